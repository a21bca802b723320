import { own } from '@/core/plain/record';
import type { Draft } from './draft';
import { type Indexed, NO_LAG } from './indexed';
import type { Schedule } from './problem';
import type { Random } from './random';

/** Where each step would start if nothing stood in its way: pulled towards the ready rows through the links. */
export function idealStarts(p: Indexed): Int32Array {
  const ideal = new Int32Array(p.n);
  const target = (i: number) => {
    let by = Number.POSITIVE_INFINITY;
    for (const row of p.readyOf[i]!) if (row.late > 0 || row.early > 0) by = Math.min(by, row.by);
    return by - p.minutes[i]!;
  };
  for (let i = 0; i < p.n; i++) {
    let at = target(i);
    if (!Number.isFinite(at)) {
      for (let j = 0; j < p.n; j++) {
        const lag = p.lag[i * p.n + j]!;
        if (lag > NO_LAG && lag >= 0 && Number.isFinite(target(j))) at = Math.min(at, target(j) - lag);
      }
    }
    if (!Number.isFinite(at)) at = p.problem.serve - p.minutes[i]!;
    ideal[i] = Math.max(p.earliest[i]!, Math.min(p.latest[i]!, at));
  }
  return ideal;
}

/** The ideal starts with some noise: the order in which the steps are inserted, the latest first. */
export function noisyOrder(
  p: Indexed,
  ideal: Int32Array,
  steps: readonly number[],
  noise: number,
  random: Random,
): Float64Array {
  const order = new Float64Array(p.n);
  for (const i of steps) order[i] = ideal[i]! + (noise > 0 ? random.next() * noise : 0);
  return order;
}

/** A step thrown out so often is looking for room where there is none. */
const STUBBORN = 10;

/**
 * Inserts the steps, the latest first, ejecting where there is no room; false when the ejections run out. What is thrown out again and again goes, with all
 * that hangs closely on it, to another place by chance.
 */
export function placeAll(
  draft: Draft,
  steps: readonly number[],
  order: Float64Array,
  ejections: number,
  random: Random,
): boolean {
  const waiting = [...steps].sort((a, b) => order[a]! - order[b]! || a - b);
  const thrownOut = new Map<number, number>();
  let left = ejections;
  while (waiting.length > 0) {
    const step = waiting.pop()!;
    if (draft.isPlaced(step) || draft.insert(step)) continue;
    const ejected = draft.insertByEjection(step, random);
    if (!ejected) return false;
    left -= Math.max(1, ejected.length);
    if (left <= 0) return false;
    for (const each of ejected) thrownOut.set(each, (thrownOut.get(each) ?? 0) + 1);
    const stubborn = ejected.find((each) => thrownOut.get(each)! >= STUBBORN && !draft.isPlaced(each));
    if (stubborn !== undefined) {
      thrownOut.set(stubborn, 0);
      ejected.push(...draft.removeJoined(stubborn));
      draft.insertSomewhere(stubborn, random);
    }
    waiting.push(...ejected.filter((each) => !draft.isPlaced(each)).sort((a, b) => order[a]! - order[b]!));
  }
  return true;
}

/** Keeps of an earlier schedule all that still fits, in its order of time. */
export function seedDraft(p: Indexed, draft: Draft, schedule: Schedule): void {
  const start = new Int32Array(p.n).fill(-1);
  const choice = new Int32Array(p.needs.length).fill(-1);
  p.problem.steps.forEach((step, index) => {
    start[index] = own(schedule.starts, step.id) ?? -1;
  });
  for (const need of p.needs) {
    const { origin } = need;
    const wanted =
      'hold' in origin ? own(schedule.holds, origin.hold) : own(schedule.units, origin.step)?.[origin.need];
    choice[need.index] = need.units.findIndex((unit) => p.problem.units[unit]!.id === wanted);
  }
  const byTime = Array.from({ length: p.n }, (_, i) => i)
    .filter((i) => start[i]! >= 0)
    .sort((a, b) => start[b]! - start[a]!);
  for (const i of byTime) draft.insertAt(i, start[i]!, choice);
}
