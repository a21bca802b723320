import type { Problem } from '@/core/schedule/problem';
import type { Bound, Duration } from './controllability';
import { type Course, NO_MOST } from './course';
import { turnsOf } from './turns';

/** A course as a temporal network: what is chosen, what happens, and in which order. */
export interface CourseNetwork {
  /** How many there are, the beginning counted. */
  readonly moments: number;
  readonly bounds: readonly Bound[];
  readonly durations: readonly Duration[];
  /** Steps of the durations, as positions in the course. */
  readonly steps: readonly number[];
}

/** How a network is drawn. */
export interface NetworkOptions {
  /** Share of the way from likely to shortest and longest within which minutes may lie, 0 to 1. */
  readonly share: number;
  /** Everything may begin so many minutes before its hour. */
  readonly sooner: number;
}

/** Moment 0 is minute 0 of the problem; then each step begins and ends. The moment in which a step begins. */
export const startOf = (step: number) => 1 + 2 * step;
/** The moment in which a step ends. */
export const endOf = (step: number) => 2 + 2 * step;

/**
 * The network of a plan that is followed: nothing begins before its hour but what must follow something soon, and everything keeps its place in the
 * order, with its hands, its burner, its pot and its shelf.
 */
export function networkOf(course: Course, problem: Problem, { share, sooner }: NetworkOptions): CourseNetwork {
  const { n, planned, notBefore, shortest, likely, longest, stretch } = course;
  const bounds: Bound[] = [];
  const durations: Duration[] = [];
  const steps: number[] = [];
  const least = (from: number, to: number, minutes: number) => bounds.push({ from: to, to: from, most: -minutes });
  const pulled = new Uint8Array(n);
  for (let arc = 0; arc < course.arcTo.length; arc++)
    if (course.arcMost[arc]! < NO_MOST) pulled[course.arcTo[arc]!] = 1;
  for (let i = 0; i < n; i++) {
    const [low, high] = [shortest[i]!, longest[i]!].map((end) => likely[i]! + Math.round(share * (end - likely[i]!)));
    if (stretch[i]! > 0) {
      // It ends when it is wanted: chosen, not suffered.
      bounds.push({ from: startOf(i), to: endOf(i), most: stretch[i]! });
      least(startOf(i), endOf(i), 0);
    } else if (low! < high!) {
      durations.push({ from: startOf(i), to: endOf(i), shortest: Math.max(1, low!), longest: high! });
      steps.push(i);
    } else {
      bounds.push({ from: startOf(i), to: endOf(i), most: likely[i]! });
      least(startOf(i), endOf(i), likely[i]!);
    }
    const hour = pulled[i] === 1 ? notBefore[i]! : planned[i]!;
    least(0, startOf(i), Math.min(planned[i]!, Math.max(0, hour - sooner)));
  }
  for (let from = 0; from < n; from++) {
    for (let arc = course.arcAt[from]!; arc < course.arcAt[from + 1]!; arc++) {
      const to = course.arcTo[arc]!;
      least(
        course.arcFromEnd[arc] === 1 ? endOf(from) : startOf(from),
        course.arcOfEnd[arc] === 1 ? endOf(to) : startOf(to),
        course.arcLeast[arc]!,
      );
    }
  }
  const at = new Map(course.ids.map((id, index) => [id, index]));
  for (const { from, at: of, to, of: edge, max } of problem.links) {
    if (max === null || max === undefined) continue;
    const moment = (id: string, which: 'start' | 'end') => (which === 'start' ? startOf : endOf)(at.get(id)!);
    bounds.push({ from: moment(from, of), to: moment(to, edge), most: max });
  }
  for (const { before, after, minutes } of turnsOf(course, planned)) least(endOf(before), startOf(after), minutes);
  return { moments: 1 + 2 * n, bounds, durations, steps };
}
