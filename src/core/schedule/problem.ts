/**
 * The kitchen problem in the words of scheduling: steps with durations, links with minimum and maximum lags, units
 * held by one thing at a time, pools with a capacity, states with one value at a time, and piecewise-linear costs.
 * It knows nothing of food. All times are whole minutes from 0 to `horizon`. See docs/formats.md.
 */
export interface Problem {
  readonly format: 'warm-cadence/problem';
  readonly version: 1;
  /** Nothing ends after this minute. */
  readonly horizon: number;
  /** When the table is laid; only costs refer to it. */
  readonly serve: number;
  readonly units: readonly UnitResource[];
  readonly pools: readonly PoolResource[];
  readonly states: readonly StateResource[];
  readonly steps: readonly ProblemStep[];
  readonly holds: readonly Hold[];
  readonly links: readonly ProblemLink[];
  readonly ready: readonly ReadyRow[];
  readonly awake?: { readonly pool: string; readonly cost: number };
  readonly forbid?: readonly (readonly [Choice, Choice])[];
}

/** Holds one thing at a time; not to be had during `away`, each [from, to). */
export interface UnitResource {
  readonly id: string;
  readonly away?: readonly (readonly [number, number])[];
}

/** Holds several at once up to `capacity`; `away` [from, to, amount] lowers it for a while, never below 0. */
export interface PoolResource {
  readonly id: string;
  readonly capacity: number;
  readonly away?: readonly (readonly [number, number, number])[];
}

/** One value at a time; `change` minutes lie between two different values. */
export interface StateResource {
  readonly id: string;
  readonly change: number;
}

/** A unit that may be taken, and what that costs. */
export interface Alternative {
  readonly id: string;
  readonly cost: number;
}

/** Something that takes time. Whole minutes from minute 0 of the problem. */
export interface ProblemStep {
  readonly id: string;
  /** 0 is a milestone: it takes no unit, pool or state. */
  readonly minutes: number;
  /** Bounds of the start; 0 and horizon - minutes when absent. */
  readonly earliest?: number;
  readonly latest?: number;
  /** One list a need; exactly one alternative of each list is used, different needs take different units. */
  readonly units?: readonly (readonly Alternative[])[];
  readonly pools?: Readonly<Record<string, number>>;
  readonly state?: { readonly id: string; readonly value: number };
  readonly spread?: readonly [number, number];
}

/** A unit kept from the start of `from` to the end of `to` plus `after` minutes. */
export interface Hold {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly after: number;
  readonly units: readonly Alternative[];
}

/** The beginning or the end of a step. */
export type Edge = 'start' | 'end';

/** min <= time(to) - time(from) <= max, in minutes. */
export interface ProblemLink {
  readonly from: string;
  readonly at: Edge;
  readonly to: string;
  readonly of: Edge;
  readonly min: number;
  readonly max?: number | null;
  readonly soft?: { readonly after: number; readonly cost: number };
}

/** slip = end(step) - by; cost is late * max(0, slip) + early * max(0, -slip - hold). */
export interface ReadyRow {
  readonly step: string;
  readonly by: number;
  readonly hold: number;
  readonly early: number;
  readonly late: number;
}

/** A unit taken by a need of a step, or by a hold. */
export type Choice =
  | { readonly step: string; readonly need: number; readonly unit: string }
  | { readonly hold: string; readonly unit: string };

/** What is known of a schedule: the best, one that stands, none at all, or nothing yet. */
export type Status = 'optimal' | 'feasible' | 'infeasible' | 'unknown';

/** Parts of a problem that cannot hold together. */
export interface Conflict {
  readonly steps: readonly string[];
  readonly links: readonly number[];
  readonly holds: readonly string[];
  readonly units: readonly string[];
  readonly pools: readonly string[];
  readonly states: readonly string[];
}

/** When everything starts and which unit each need and hold takes. */
export interface Schedule {
  readonly starts: Readonly<Record<string, number>>;
  readonly units: Readonly<Record<string, readonly string[]>>;
  readonly holds: Readonly<Record<string, string>>;
}

interface SolutionHead {
  readonly format: 'warm-cadence/solution';
  readonly version: 1;
  readonly milliseconds: number;
}

/** A schedule with its cost, and a bound below which no schedule costs. */
export interface FoundSolution extends SolutionHead, Schedule {
  readonly status: 'optimal' | 'feasible';
  readonly cost: number;
  /** A proven lower bound; equal to `cost` when optimal. */
  readonly bound: number;
}

/** That there is no schedule, or that none was found in the time. */
export interface NoSolution extends SolutionHead {
  readonly status: 'infeasible' | 'unknown';
  readonly conflict?: Conflict;
}

/** What the solver answers. */
export type Solution = FoundSolution | NoSolution;

/** Whether a solution holds a schedule. */
export function isFound(solution: Solution): solution is FoundSolution {
  return solution.status === 'optimal' || solution.status === 'feasible';
}
