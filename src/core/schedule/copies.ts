import type { Indexed } from './indexed';

/**
 * A class for each unit: units of one class are wanted by the same choices at the same cost, are away at the same minutes and are named
 * by the same rules, so that of those in which nothing stands one is as good as another.
 */
export function copiesOf({ problem, needs, forbidOf }: Indexed): Int32Array {
  const marks = problem.units.map((unit) => (unit.away ?? []).flat().reduce(mixed, 17));
  const mark = (unit: number, value: number) => {
    marks[unit] = mixed(marks[unit]!, value);
  };
  for (const need of needs) {
    need.units.forEach((unit, pick) => {
      mark(unit, need.index);
      mark(unit, need.costs[pick]!);
    });
    for (const rule of forbidOf[need.index]!) {
      // Whatever is named in a rule stands for itself.
      mark(rule.unit, problem.units.length + rule.unit);
      mark(rule.otherUnit, problem.units.length + rule.otherUnit);
    }
  }
  const classes = new Map<number, number>();
  return Int32Array.from(marks, (each, unit) => {
    const first = classes.get(each) ?? unit;
    classes.set(each, first);
    return first;
  });
}

/** One more number in a mark of 52 bits or less: two marks agree by chance about once in 10^15. */
function mixed(mark: number, value: number): number {
  const high = Math.floor(mark / 0x4000000);
  const low = mark % 0x4000000;
  const next = Math.imul(high ^ (value + 0x9e3779b9), 0x85ebca6b) ^ Math.imul(low + value, 0xc2b2ae35);
  const other = Math.imul(low ^ (value * 31 + 0x27d4eb2f), 0x165667b1) ^ (high + value);
  return (next & 0x3ffffff) * 0x4000000 + (other & 0x3ffffff);
}
