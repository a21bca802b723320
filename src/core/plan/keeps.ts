import type { Dish } from '@/core/dish/dish';
import {
  bearsWarmth,
  isKeptIn,
  KEPT_WARM,
  type KeptIn,
  keptWarm,
  mostKept,
  WARM_OVEN,
  type WarmPlace,
} from '@/core/dish/keep-warm';
import { HEATED_AGAIN, setAside } from '@/core/dish/set-aside';
import type { Meal } from '@/core/meal/meal';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { WARM_UNTIL } from './kept-until';
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

/** A dish kept warm: where, and for how many minutes. */
export interface Kept {
  readonly dishId: string;
  readonly place: KeptIn;
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
  const dish = dishes.find(({ id }) => id === dishId);
  const places = dish ? placesFor(dish, kitchen) : [];
  return dish && places.length > 0 ? [{ dishId, places, minutes: Math.min(minutes, mostKept(dish)) }] : [];
}

function placesFor(dish: Dish, { ovens }: Meal['kitchen']): readonly WarmPlace[] {
  const all: readonly WarmPlace[] = ovens.length > 0 ? ['flame', 'oven'] : ['flame'];
  return all.filter((place) => bearsWarmth(dish, place));
}

/** What is to be kept warm in the oven where that can be, which takes several and wants no eye, or all on flames. */
export function keptRather(keeps: readonly Keepable[], rather: WarmPlace): readonly Kept[] {
  return keeps.map(({ dishId, places, minutes }) => ({
    dishId,
    minutes,
    place: places.includes(rather) ? rather : places[0]!,
  }));
}

/** The meal with such dishes kept warm. */
export function withKept(meal: Meal, keeps: readonly Kept[]): Meal {
  const byDish = new Map(keeps.map((each) => [each.dishId, each]));
  const dishes = meal.dishes.map((dish) => {
    const keep = byDish.get(dish.id);
    if (!keep) return dish;
    return keep.place === 'aside' ? setAside(dish) : keptWarm(dish, keep.place, keep.minutes);
  });
  return { ...meal, dishes };
}

/** The meal as if all that bears it waited as well as when it is kept warm: a plan of it shows what wants that. */
export function asIfKept(meal: Meal): Meal {
  const dishes = meal.dishes.map((dish): Dish => {
    if (!dish.lands || placesFor(dish, meal.kitchen).length === 0) return dish;
    const { waits } = dish.lands;
    const wellMinutes = waits.wellMinutes + mostKept(dish);
    const longer = { ...waits, wellMinutes, mostMinutes: Math.max(wellMinutes, waits.mostMinutes) };
    return { ...dish, lands: { ...dish.lands, waits: longer } };
  });
  return { ...meal, dishes };
}

/** What is to be kept warm, and where, so that a plan made as if all were can be cooked: what waits longer in it than it does well. */
export function keptAsIf(
  meal: Meal,
  { landings, steps }: Pick<Plan, 'landings' | 'steps'>,
  rather: 'flame' | 'aside' = 'flame',
): readonly Kept[] {
  const waiting = landings.flatMap((landing) => {
    const dish = meal.dishes.find(({ id }) => id === landing.dishId);
    const well = dish?.lands?.waits.wellMinutes ?? 0;
    if (!dish || landing.waits <= well) return [];
    const minutes = Math.max(WARM_STEP, landing.waits - Math.min(WARM_UNTIL, well));
    return [{ dish, minutes, from: landing.ready }];
  });
  const [oven] = meal.kitchen.ovens;
  const hotUntil = (but: string) =>
    Math.max(
      Number.NEGATIVE_INFINITY,
      ...steps.filter(({ station, dishId }) => station.sort === 'oven' && dishId !== but).map(({ end }) => end),
    );
  let shelves = oven?.shelves ?? 0;
  let isLeft = false;
  return waiting
    .sort((a, b) => b.minutes - a.minutes)
    .flatMap(({ dish, minutes, from }): readonly Kept[] => {
      const ajar = Math.min(minutes, mostKept(dish, 'ajar'));
      if (!isLeft && bearsWarmth(dish, 'ajar') && minutes <= ajar && hotUntil(dish.id) <= from) {
        isLeft = true;
        return [{ dishId: dish.id, place: 'ajar', minutes: ajar }];
      }
      const lasts = Math.min(minutes, mostKept(dish));
      const places = placesFor(dish, meal.kitchen);
      const isFree = !isLeft && shelves > 0 && hotUntil('') <= from + (minutes - lasts) + Math.min(WARM_STEP, lasts);
      if (places.includes('oven') && isFree) {
        shelves--;
        return [{ dishId: dish.id, place: 'oven', minutes: lasts }];
      }
      if (rather === 'aside' && bearsWarmth(dish, 'aside'))
        return [{ dishId: dish.id, place: 'aside', minutes: lasts }];
      return places.includes('flame') ? [{ dishId: dish.id, place: 'flame', minutes: lasts }] : [];
    });
}

/** The meal as a plan cooks it: what the plan keeps warm until the table has that as a step of its own. The same meal where there is nothing of the kind. */
export function mealAsPlanned(meal: Meal, { steps }: Pick<Plan, 'steps'>): Meal {
  const kept = keptByPlan(meal, { steps });
  if (kept.length === 0) return meal;
  return withKept(
    meal,
    kept.map((step) => ({ dishId: step.dishId, place: placeOf(step), minutes: step.minutes })),
  );
}

function placeOf({ station, celsius, stepId }: PlannedStep): KeptIn {
  if (stepId === HEATED_AGAIN) return 'aside';
  if (station.sort !== 'oven') return 'flame';
  return celsius === WARM_OVEN ? 'oven' : 'ajar';
}

/** What the plan itself keeps warm, in a sentence; empty where there is nothing of the kind. */
export function sayKept(meal: Meal, plan: Pick<Plan, 'steps'>): string {
  const kept = keptByPlan(meal, plan).map((step) => {
    const { dishName: dish, minutes } = step;
    const place = placeOf(step);
    if (place === 'aside') return say('{dish} (covered, off the heat, and heated through at the end)', { dish });
    if (place === 'ajar') return say('{dish} ({minutes} min in the oven, switched off)', { dish, minutes });
    return place === 'oven'
      ? say('{dish} ({minutes} min in a low oven)', { dish, minutes })
      : say('{dish} ({minutes} min on the lowest flame)', { dish, minutes });
  });
  if (kept.length === 0) return '';
  return say('So that all lands together the plan keeps warm: {kept}.', { kept: listed(kept) });
}

/** What the plan itself keeps warm, where the meal as it was put together does not. */
export function keptByPlan(meal: Meal, { steps }: Pick<Plan, 'steps'>): readonly PlannedStep[] {
  const isPlain = new Set(meal.dishes.flatMap((dish) => (isKeptIn(dish) ? [] : [dish.id])));
  return steps.filter(
    ({ stepId, kind, dishId }) =>
      (stepId === KEPT_WARM || stepId === HEATED_AGAIN) && kind === 'step' && isPlain.has(dishId),
  );
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
