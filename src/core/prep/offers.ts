import type { Dish } from '@/core/dish/dish';
import { type Keeps, keepsOf } from '@/core/dish/keeping';
import { scaleDish } from '@/core/dish/scale';
import { type AheadPoint, ALL_THAT_CAN, aheadPoints, isCooked, madeAhead } from '@/core/meal/ahead';
import { type MadeAhead, type Meal, MOST_DAYS_AHEAD, portionsOf } from '@/core/meal/meal';
import { type Part, partsOf } from '@/core/plan/lots';
import { say } from '@/core/say/say';
import { capital } from '@/core/units/words';

/** Minutes of one kind that an evening spends. */
export interface Spent {
  readonly hands: number;
  readonly burner: number;
  readonly oven: number;
}

/** A dish, or a beginning of it, that can be made on an earlier day. */
export interface Offer {
  readonly dishId: string;
  readonly dishName: string;
  readonly upTo: string;
  /** "all of it", or the name of its last step. */
  readonly lastStep: string;
  readonly whole: boolean;
  /** What the table's day is spared, heating through already counted; negative where it costs more. */
  readonly spares: Spent;
  readonly keeps: Keeps;
  /** The longest it may be made before, in the fridge; `MOST_DAYS_AHEAD` where it freezes. */
  readonly mostDays: number;
  /** It is cooked, and so must be cooled in time and heated through. */
  readonly cooked: boolean;
  readonly heatedAgain: boolean;
  /** Litres of box that it wants; 0 where it stays on a plate or in a bag. */
  readonly litres: number;
}

/** What can be made ahead in a meal of dishes as they are written, dish by dish, the longest beginning first. */
export function offersOf(written: Meal): readonly Offer[] {
  return written.dishes.flatMap((dish) => aheadPoints(dish).map((point) => offerOf(written, dish, point)));
}

function offerOf(written: Meal, dish: Dish, { upTo, steps }: AheadPoint): Offer {
  const made = madeAhead(dish, steps);
  const before = spentOnTheDay(written, dish);
  const after = spentOnTheDay(written, made);
  const last = dish.steps.filter(({ id }) => steps.has(id)).at(-1)!;
  const end = upTo === ALL_THAT_CAN ? last : dish.steps.find(({ id }) => id === upTo)!;
  const keeps = keepsOf(dish, steps);
  return {
    dishId: dish.id,
    dishName: dish.name,
    upTo,
    lastStep: end.name,
    whole: steps.size === dish.steps.length,
    spares: {
      hands: before.hands - after.hands,
      burner: before.burner - after.burner,
      oven: before.oven - after.oven,
    },
    keeps,
    mostDays: keeps.freezerMonths === null ? keeps.fridgeDays : MOST_DAYS_AHEAD,
    cooked: isCooked(dish, end.id),
    heatedAgain: made.steps.length > dish.steps.length && made.steps.some(({ duty }) => duty === 'heat through'),
    litres: boxOf(scaleDish(dish, portionsOf(written)), steps),
  };
}

/** Of a pot's litres about this much is food in the end, and a box wants a little room. Common practice, no source. */
const FOOD_IN_A_POT = 0.65;

function boxOf(dish: Dish, steps: ReadonlySet<string>): number {
  const used = new Set(dish.steps.filter(({ id }) => steps.has(id)).flatMap(({ vessel }) => vessel ?? []));
  const largest = Math.max(0, ...dish.vessels.filter(({ id }) => used.has(id)).map(({ need }) => need.litres));
  return Math.ceil(largest * FOOD_IN_A_POT * 2) / 2;
}

/** Minutes as they are planned: in batches, at the pace, on the burners of the kitchen. */
function spentOnTheDay(written: Meal, dish: Dish): Spent {
  const parts = [...partsOf({ ...written, dishes: [dish] }).parts.values()].flat();
  const today = parts.filter(({ step }) => !step.ahead && step.daysBefore === undefined);
  const sum = (of: (step: Part['step']) => boolean) =>
    today.filter(({ step }) => of(step)).reduce((total, { minutes }) => total + minutes.likely, 0);
  return {
    hands: sum(({ attention }) => attention === 'hands'),
    burner: sum(({ place }) => place.at === 'burner'),
    oven: sum(({ place }) => place.at === 'oven'),
  };
}

/** Whether days before the table are too many for what keeps so long; says how long it keeps. */
export function keptTooLong({ keeps }: Offer, { days, frozen }: Pick<MadeAhead, 'days' | 'frozen'>): string | null {
  if (frozen)
    return keeps.freezerMonths === null ? say('{of}: not for the freezer.', { of: capital(say(keeps.of)) }) : null;
  if (days <= keeps.fridgeDays) return null;
  const values = { of: capital(say(keeps.of)), days: keeps.fridgeDays };
  return keeps.freezerMonths === null
    ? say('{of}: {days, plural, one {# day} other {# days}} in the fridge at the most.', values)
    : say('{of}: {days, plural, one {# day} other {# days}} in the fridge at the most; freeze it for longer.', values);
}
