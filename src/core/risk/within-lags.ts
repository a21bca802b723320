import type { Problem } from '@/core/schedule/problem';
import { type Course, lastsFrom } from './course';
import { turnsOf } from './turns';

/** One lag between the starts of two steps, by position. */
interface Lag {
  readonly from: number;
  readonly to: number;
  /** `start(to)` is at least so many minutes after `start(from)`, or after its end where that is how it is counted. */
  readonly least: number;
  readonly fromEnd: boolean;
}

/**
 * The soonest hours, none sooner than these, that keep every lag, longest ones too, with everything in its order: what must follow something soon
 * that is late is waited for before it is begun. By likely minutes; null where what is under way stands against it, or the day is too short.
 */
export function withinLags(course: Course, problem: Problem, starts: Int32Array): Int32Array | null {
  const { n, likely, fixed } = course;
  const lags: Lag[] = [];
  for (let from = 0; from < n; from++) {
    for (let arc = course.arcAt[from]!; arc < course.arcAt[from + 1]!; arc++) {
      const to = course.arcTo[arc]!;
      const least = course.arcLeast[arc]! - (course.arcOfEnd[arc] === 1 ? likely[to]! : 0);
      lags.push({ from, to, least, fromEnd: course.arcFromEnd[arc] === 1 });
    }
  }
  const at = new Map(course.ids.map((id, index) => [id, index]));
  for (const { from, at: of, to, of: edge, max } of problem.links) {
    if (max === null || max === undefined) continue;
    const [a, b] = [at.get(from)!, at.get(to)!];
    const offset = (of === 'end' ? likely[a]! : 0) - (edge === 'end' ? likely[b]! : 0);
    lags.push({ from: b, to: a, least: -max - offset, fromEnd: false });
  }
  for (const { before, after, minutes } of turnsOf(course, starts)) {
    lags.push({ from: before, to: after, least: minutes, fromEnd: true });
  }
  const found = starts.slice();
  for (let round = 0; round <= n; round++) {
    let isKept = true;
    for (const { from, to, least, fromEnd } of lags) {
      const lasts = fromEnd ? lastsFrom(course, from, found[from]!, likely[from]!) : 0;
      if (found[to]! >= found[from]! + lasts + least) continue;
      if (fixed[to] === 1) return null;
      found[to] = found[from]! + lasts + least;
      isKept = false;
    }
    if (isKept) return found.every((start, index) => start + likely[index]! <= problem.horizon) ? found : null;
  }
  return null;
}
