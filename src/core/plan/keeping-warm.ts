import type { WarmPlace } from '@/core/dish/keep-warm';
import type { Meal } from '@/core/meal/meal';
import { asIfKept, bearers, type Keepable, keepables, keptAsIf, keptRather, mealAsPlanned, withKept } from './keeps';
import type { Plan } from './plan';

/** How meals with something kept warm are looked at and planned, each in a share of the time for a plan. */
export interface Keeper {
  /** How badly the evenings of a first plan go; null where there is none. */
  look(meal: Meal, share: number): Promise<number | null>;
  /** A plan as it comes, with room behind its steps or without, its hours not moved; null where there is none. */
  sketch(meal: Meal, share: number, room: 'no room' | 'room'): Promise<Plan | null>;
  /** A plan with its odds; null where there is none. */
  plan(meal: Meal, share: number): Promise<Plan | null>;
  /** Whether the time is over. */
  isOver(): boolean;
}

/** A sketch as if all were kept warm takes such a share of the time, a look at each way to do it, and a plan for the most promising ones each. */
const SHARE_OF_A_SKETCH = 0.3;
const SHARE_OF_A_LOOK = 0.1;
const SHARE_OF_A_PLAN = 0.3;
const PROMISING = 2;
/** Minutes by which what bears it may be done with sooner. */
const OUT_OF_THE_WAY = [20, 45] as const;
/** Where so many evenings land well nothing else is tried for more. */
export const NEARLY_ALL = 0.95;
/** So many more evenings must land well for a dish to be kept warm. */
const WORTH_KEEPING = 0.03;

/**
 * Where too few evenings land well because something waits too long, a plan that keeps it warm until the table, if more land by that: in a low oven, in
 * the one it was baked in, or on the lowest flame. Its steps are in the plan alone; `mealAsPlanned` is the meal with them.
 */
export async function keepingWarm(meal: Meal, asked: Plan, keeper: Keeper): Promise<Plan> {
  let best = asked;
  while (best.odds && best.odds.good < NEARLY_ALL && !keeper.isOver()) {
    const more = mealAsPlanned(meal, best);
    const better = (await keptWhereItWaits(more, best, keeper)) ?? (await keptSomehow(more, best, keeper));
    if (!better) break;
    best = better;
  }
  return best;
}

/**
 * A plan that keeps warm what waits, by which most evenings land well; null where nothing waits that could be kept. With room behind its steps the longest
 * work comes last and what is kept comes before it, without room the other way round: both are tried, unless the first is enough.
 */
export async function keptFirst(meal: Meal, keeper: Keeper): Promise<Plan | null> {
  const roomy = await keptWhereItWaits(meal, null, keeper);
  if ((roomy?.odds && roomy.odds.good >= NEARLY_ALL) || keeper.isOver()) return roomy;
  const bare = await keptWhereItWaits(meal, roomy, keeper, 'no room');
  return bare ?? roomy;
}

/** The meal is planned as if all that bears it were kept warm; what waits then is: a plan with that, where there is one by which more evenings land well. */
async function keptWhereItWaits(
  meal: Meal,
  than: Plan | null,
  keeper: Keeper,
  room: 'no room' | 'room' = 'room',
): Promise<Plan | null> {
  const sketch = await keeper.sketch(asIfKept(meal), SHARE_OF_A_SKETCH, room);
  const kept = sketch ? keptAsIf(meal, sketch) : [];
  return kept.length > 0 && !keeper.isOver() ? planKeeping(withKept(meal, kept), than, keeper) : null;
}

/** Other ways to keep things warm, the most promising ones planned; null where none lands more evenings well. */
async function keptSomehow(meal: Meal, than: Plan, keeper: Keeper): Promise<Plan | null> {
  const seen: { readonly kept: Meal; readonly loss: number }[] = [];
  for (const kept of waysToKeep(meal, than)) {
    const loss = keeper.isOver() ? null : await keeper.look(kept, SHARE_OF_A_LOOK);
    if (loss !== null) seen.push({ kept, loss });
  }
  for (const { kept } of seen.sort((a, b) => a.loss - b.loss).slice(0, PROMISING)) {
    const plan = await planKeeping(kept, than, keeper);
    if (plan) return plan;
  }
  return null;
}

async function planKeeping(kept: Meal, than: Plan | null, keeper: Keeper): Promise<Plan | null> {
  const plan = await keeper.plan(kept, SHARE_OF_A_PLAN);
  // Proven best is only what stands with that kept warm; whether that is best nobody has proven.
  return plan && (!than || landsBetter(plan, than)) ? { ...plan, proven: false } : null;
}

/** Whether clearly fewer evenings go badly by a plan; a late one weighs half as much again. */
export function landsBetter({ odds }: Plan, than: Plan): boolean {
  if (!odds || !than.odds) return false;
  return odds.good - than.odds.good + (odds.within5 - than.odds.within5) / 2 >= WORTH_KEEPING;
}

/** How things may be kept warm: what waits too long, or all that bears it for a while, so that hands and flames are free for what does not. */
function waysToKeep(meal: Meal, plan: Plan): readonly Meal[] {
  const stale = keepables(meal, plan);
  const ways: readonly (readonly [readonly Keepable[], WarmPlace])[] = [
    [stale, 'oven'],
    [stale, 'flame'],
    ...OUT_OF_THE_WAY.map((minutes) => [bearers(meal, minutes), 'oven'] as const),
  ];
  return ways.flatMap(([kept, rather]) => (kept.length > 0 ? [withKept(meal, keptRather(kept, rather))] : []));
}
