import { bearsWarmth, KEPT_WARM, keptWarm, mostKept, type WarmPlace } from '@/core/dish/keep-warm';
import type { Meal } from '@/core/meal/meal';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import type { Landing, Plan, PlannedStep } from './plan';
import { SURE_ENOUGH } from './well-landed';

/** A dish is kept warm for a multiple of so many minutes. */
const WARM_STEP = 5;

/** A dish that waits too long, with the places where it could be kept warm, and for how long. */
export interface Keepable {
  readonly dishId: string;
  readonly places: readonly WarmPlace[];
  readonly minutes: number;
}

/** Dishes that wait too long in the plan, or in many rehearsed evenings, and bear being kept warm. Minutes are those that they wait then beyond their good wait, as far as they bear that. */
export function keepables(meal: Meal, plan: Pick<Plan, 'landings' | 'odds'> | null): readonly Keepable[] {
  return waitingTooLong(plan).flatMap(({ dishId, waits, wellMinutes }) => {
    return keepable(meal, dishId, WARM_STEP * Math.ceil((waits - wellMinutes) / WARM_STEP));
  });
}

/** All that bears being kept warm, for so many minutes: hands and flames are then free for what does not. */
export function bearers(meal: Meal, minutes: number): readonly Keepable[] {
  return meal.dishes.flatMap(({ id }) => keepable(meal, id, minutes));
}

/** A dish kept warm for so many minutes, or for as long as it bears; none where it bears none. */
function keepable({ dishes, kitchen }: Meal, dishId: string, minutes: number): readonly Keepable[] {
  const all: readonly WarmPlace[] = kitchen.ovens.length > 0 ? ['flame', 'oven'] : ['flame'];
  const dish = dishes.find(({ id }) => id === dishId);
  const places = dish ? all.filter((place) => bearsWarmth(dish, place)) : [];
  return dish && places.length > 0 ? [{ dishId, places, minutes: Math.min(minutes, mostKept(dish)) }] : [];
}

/** The meal with such dishes kept warm: in the oven where that can be, which takes several and wants no eye, or all on flames. */
export function withKept(meal: Meal, kept: readonly Keepable[], rather: WarmPlace): Meal {
  const byDish = new Map(kept.map((each) => [each.dishId, each]));
  const dishes = meal.dishes.map((dish) => {
    const keep = byDish.get(dish.id);
    if (!keep) return dish;
    return keptWarm(dish, keep.places.includes(rather) ? rather : keep.places[0]!, keep.minutes);
  });
  return { ...meal, dishes };
}

/** The meal as a plan cooks it: what the plan keeps warm until the table has that as a step of its own. The same meal where there is nothing of the kind. */
export function mealAsPlanned(meal: Meal, { steps }: Pick<Plan, 'steps'>): Meal {
  const kept = keptByPlan(meal, { steps });
  if (kept.length === 0) return meal;
  const dishes = meal.dishes.map((dish) => {
    const step = kept.find(({ dishId }) => dishId === dish.id);
    return step ? keptWarm(dish, step.station.sort === 'oven' ? 'oven' : 'flame', step.minutes) : dish;
  });
  return { ...meal, dishes };
}

/** What the plan itself keeps warm, in a sentence; empty where there is nothing of the kind. */
export function sayKept(meal: Meal, plan: Pick<Plan, 'steps'>): string {
  const kept = keptByPlan(meal, plan).map(({ dishName: dish, minutes, station }) =>
    station.sort === 'oven'
      ? say('{dish} ({minutes} min in a low oven)', { dish, minutes })
      : say('{dish} ({minutes} min on the lowest flame)', { dish, minutes }),
  );
  if (kept.length === 0) return '';
  return say('So that all lands together the plan keeps warm until the table: {kept}.', { kept: listed(kept) });
}

/** What the plan itself keeps warm, where the meal as it was put together does not. */
export function keptByPlan(meal: Meal, { steps }: Pick<Plan, 'steps'>): readonly PlannedStep[] {
  const isPlain = new Set(
    meal.dishes.flatMap(({ id, steps: own }) => (own.some((step) => step.id === KEPT_WARM) ? [] : [id])),
  );
  return steps.filter(({ stepId, kind, dishId }) => stepId === KEPT_WARM && kind === 'step' && isPlain.has(dishId));
}

/** Dishes that wait too long in the plan, or in many rehearsed evenings, with the minutes they wait then. */
function waitingTooLong(plan: Pick<Plan, 'landings' | 'odds'> | null): readonly Landing[] {
  return (plan?.landings ?? []).flatMap((landing) => {
    if (landing.fine === 'too long') return [landing];
    const odds = plan?.odds?.dishes.find(({ dishId }) => dishId === landing.dishId);
    const [, , long] = odds?.waits ?? [0, 0, 0];
    const isUnsure = odds !== undefined && odds.good < SURE_ENOUGH && landing.served === 'hot';
    return isUnsure && long > landing.wellMinutes ? [{ ...landing, waits: long }] : [];
  });
}
