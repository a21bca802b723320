import type { Refusal } from '@/core/dish/check';
import type { Meal } from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import { bare } from '@/core/plain/record';
import type { FoundSolution, Schedule } from '@/core/schedule/problem';
import type { SolveOptions } from '@/core/schedule/solve';
import type { Compiled, CompileOptions } from './compile';
import { rehearsedPlan } from './odds';
import type { Odds, Plan } from './plan';
import { lossOfEvenings } from './polish';
import type { KnownPlan } from './progress';
import { readPlan, sketchOf } from './read';

/** A plan, or why there is none. */
export type PlanResult =
  | { readonly ok: true; readonly plan: Plan }
  | {
      readonly ok: false;
      readonly refusals: readonly Refusal[];
      /** The time ended before it was known whether there is a plan: more of it may bring one. */
      readonly undecided?: true;
    };

/** Circumstances and limits of planning. */
export interface PlanOptions extends Omit<CompileOptions, 'pins'> {
  readonly solve: SolveOptions;
  /** A pin under the hand: it gives way before the meal's own pins do. */
  readonly held?: Pin;
  /** Before the evening: a plan of much the same meal, from which the search begins. */
  readonly from?: KnownPlan;
}

/** A plan with what it is read from. */
export interface Made {
  readonly ok: true;
  /** Read when it is first asked for: of two plans that are compared one is never looked at. */
  readonly plan: () => Plan;
  readonly meal: Meal;
  readonly compiled: Compiled;
  readonly solution: FoundSolution;
  /** Where it was rehearsed on the way. */
  readonly odds?: (() => Odds) | undefined;
  /** Another plan of the same meal, which looked worse before hours were moved. */
  readonly other?: Made;
}

/** What an attempt at a plan came to. */
export type Attempt = Made | Extract<PlanResult, { readonly ok: false }>;

/** A plan that is read from a solution. */
export function madeOf(meal: Meal, compiled: Compiled, solution: FoundSolution): Made {
  return { ok: true, plan: once(() => readPlan(meal, compiled, solution)), meal, compiled, solution };
}

/** What is made when it is first asked for, and kept. */
export function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}

/** In evenings: a minute awake or waiting is dear enough that hours stay where nothing is won, and too cheap to stand in a guest's way. */
export const PRICE_OF_A_MINUTE = 0.0002;

/** What a plan is judged by before an evening: how its rehearsed evenings go. */
export function lossOf(
  { compiled, solution }: Pick<Made, 'compiled' | 'solution'>,
  { solve: { seed = 1 } }: PlanOptions,
): number {
  return lossOfEvenings(compiled, solution, { seed, price: PRICE_OF_A_MINUTE });
}

/** Minutes by which the last dish is late by likely minutes. */
export function latenessOf({ landings }: Plan): number {
  return Math.max(0, ...landings.map(({ late }) => late));
}

/** Minutes late by likely minutes, and a quarter of an hour for each dish that waits too long. */
export function troublesOf(made: Made): number {
  const plan = made.plan();
  const overdue = plan.landings.filter(({ fine }) => fine === 'too long').length;
  return latenessOf(plan) + 15 * overdue;
}

/** The known plan in the times and ids of the newly compiled problem: a place to start from. */
export function knownSchedule(compiled: Compiled, { known }: CompileOptions): Schedule {
  const starts = bare<number>();
  const units = bare<readonly string[]>();
  for (const step of compiled.problem.steps) {
    const place = known?.places.get(step.id);
    if (!place) continue;
    starts[step.id] = step.latest === 0 ? 0 : place.start - compiled.origin;
    units[step.id] = place.units;
  }
  for (const step of compiled.problem.steps) {
    if (step.minutes === 0 && step.latest === 0) starts[step.id] = 0;
  }
  return { starts, units, holds: bare(known?.holds) };
}

/** Evenings that the odds of a plan are taken from with guests waiting. */
export const EVENINGS_AT_THE_STOVE = 200;

/** As many evenings as there is time for at the stove, of a plan that is not put into words for it. */
export function rehearsedInBrief({ compiled, solution }: Made, seed: number) {
  return rehearsedPlan(compiled, sketchOf(compiled, solution), {
    evenings: EVENINGS_AT_THE_STOVE,
    seed,
    causes: false,
  });
}
