import type { Course } from './course';

/** One step that comes after another with the same hands, or on the same burner. */
export interface Turn {
  /** Steps, as positions in the course. */
  readonly before: number;
  readonly after: number;
  /** Minutes that lie between them: the person's breath. */
  readonly minutes: number;
}

/** What follows what with the same hands and on the same burner, in the order of these hours. */
export function turnsOf({ n, likely, person, breath, place }: Course, starts: Int32Array): readonly Turn[] {
  const order = Array.from({ length: n }, (_, index) => index)
    .filter((index) => likely[index]! > 0)
    .sort((a, b) => starts[a]! - starts[b]! || a - b);
  const inTurn = (of: Int32Array, minutesAfter: (step: number) => number): Turn[] => {
    const last = new Map<number, number>();
    const turns: Turn[] = [];
    for (const after of order) {
      const unit = of[after]!;
      if (unit < 0) continue;
      const before = last.get(unit);
      if (before !== undefined) turns.push({ before, after, minutes: minutesAfter(before) });
      last.set(unit, after);
    }
    return turns;
  };
  return [...inTurn(person, (step) => breath[step]!), ...inTurn(place, () => 0)];
}
