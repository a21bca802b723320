import type { WarmPlace } from '@/core/dish/keep-warm';
import type { Meal } from '@/core/meal/meal';
import { bearers, type Keepable, keepables, mealAsPlanned, withKept } from './keeps';
import type { Plan } from './plan';
import { SURE_ENOUGH } from './well-landed';

/** How meals with something kept warm are looked at and planned, each in a share of the time for a plan. */
export interface Keeper {
  /** How badly the evenings of a first plan go; null where there is none. */
  look(meal: Meal, share: number): Promise<number | null>;
  /** A plan with its odds; null where there is none. */
  plan(meal: Meal, share: number): Promise<Plan | null>;
  /** Whether the time is over. */
  isOver(): boolean;
}

/** A look at each way to keep things warm takes such a share of the time, and a plan for the most promising ones such a share each. */
const SHARE_OF_A_LOOK = 0.1;
const SHARE_OF_A_PLAN = 0.3;
const PROMISING = 2;
/** Minutes by which what bears it may be done with sooner. */
const OUT_OF_THE_WAY = [20, 45] as const;
/** So many more evenings must land well for a dish to be kept warm. */
const WORTH_KEEPING = 0.05;

/**
 * Where too few evenings land well because something waits too long, a plan that keeps it warm until the table, if more land by that: in a low oven, or on
 * the lowest flame. Its steps are in the plan alone; `mealAsPlanned` is the meal with them.
 */
export async function keepingWarm(meal: Meal, asked: Plan, keeper: Keeper): Promise<Plan> {
  let best = asked;
  while (best.odds && best.odds.good < SURE_ENOUGH && !keeper.isOver()) {
    const better = await keptBetter(mealAsPlanned(meal, best), best, keeper);
    if (!better) break;
    best = better;
  }
  return best;
}

/** A plan that keeps something more warm, by which more evenings land well; null where none was found. */
async function keptBetter(meal: Meal, than: Plan, keeper: Keeper): Promise<Plan | null> {
  const seen: { readonly kept: Meal; readonly loss: number }[] = [];
  for (const kept of waysToKeep(meal, than)) {
    const loss = keeper.isOver() ? null : await keeper.look(kept, SHARE_OF_A_LOOK);
    if (loss !== null) seen.push({ kept, loss });
  }
  for (const { kept } of seen.sort((a, b) => a.loss - b.loss).slice(0, PROMISING)) {
    const plan = await keeper.plan(kept, SHARE_OF_A_PLAN);
    // Proven best is only what stands with that kept warm; whether that is best nobody has proven.
    if (plan && landsBetter(plan, than)) return { ...plan, proven: false };
  }
  return null;
}

function landsBetter({ odds }: Plan, than: Plan): boolean {
  if (!odds || !than.odds) return false;
  return odds.good >= than.odds.good + WORTH_KEEPING && odds.within5 >= than.odds.within5 - WORTH_KEEPING;
}

/** How things may be kept warm: what waits too long, or all that bears it for a while, so that hands and flames are free for what does not. */
function waysToKeep(meal: Meal, plan: Plan): readonly Meal[] {
  const stale = keepables(meal, plan);
  const ways: readonly (readonly [readonly Keepable[], WarmPlace])[] = [
    [stale, 'oven'],
    [stale, 'flame'],
    ...OUT_OF_THE_WAY.map((minutes) => [bearers(meal, minutes), 'oven'] as const),
  ];
  return ways.flatMap(([kept, rather]) => (kept.length > 0 ? [withKept(meal, kept, rather)] : []));
}
