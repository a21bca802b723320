import type { Evening } from '@/core/live/evening';
import { joinedKey } from '@/core/meal/keys';
import { learn } from './lessons';
import { recordsOf } from './records';

/** What was thought of the hands after each evening, in the order they were cooked. */
export interface Settled {
  readonly evening: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** How many times longer than written, likely, and between what in nine chances of ten. */
  readonly factor: number;
  readonly low: number;
  readonly high: number;
}

/** How the estimate of the most seen pair of hands settled, evening by evening; empty where no hands were seen. */
export function settling(evenings: readonly Evening[]): readonly Settled[] {
  const records = evenings.map(recordsOf);
  const counts = new Map<string, number>();
  for (const { kitchenId, person } of records.flat()) {
    if (person !== null) counts.set(joinedKey(kitchenId, person), (counts.get(joinedKey(kitchenId, person)) ?? 0) + 1);
  }
  const most = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  if (most === undefined) return [];
  return evenings.flatMap(({ id, tableAt }, index): Settled[] => {
    const lesson = learn(records.slice(0, index + 1).flat()).hands.get(most);
    return lesson ? [{ evening: id, at: tableAt, factor: lesson.factor, low: lesson.low, high: lesson.high }] : [];
  });
}
