import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { asMadeAhead } from '@/core/meal/ahead';
import { isOfDish } from '@/core/meal/keys';
import type { MadeAhead, Meal, Pace, Sureness } from '@/core/meal/meal';
import { own } from '@/core/plain/record';

/** What can be changed of a meal to make it fit: the one list of it, for every idea that proposes one and everything that carries it out. */
export type Change =
  /** Another hour, perhaps on another day. */
  | { readonly kind: 'hour'; readonly hour: string; readonly day?: string }
  | { readonly kind: 'pace'; readonly pace: Pace }
  | { readonly kind: 'sureness'; readonly sureness: Sureness }
  | { readonly kind: 'kitchen'; readonly kitchen: Kitchen }
  /** One dish made in another way: a new dish in the place of the old. */
  | { readonly kind: 'dish'; readonly dishId: string; readonly dish: Dish }
  /** Several dishes, by the ids of the old. */
  | { readonly kind: 'dishes'; readonly dishes: Readonly<Record<string, Dish>> }
  /** A dish, or the beginning of one, made on an earlier day. */
  | { readonly kind: 'ahead'; readonly made: MadeAhead }
  | { readonly kind: 'without'; readonly dishId: string }
  /** So many eat. */
  | { readonly kind: 'people'; readonly people: number }
  /** Another dish comes to the table. */
  | { readonly kind: 'with'; readonly dish: Dish }
  /** Some of these, one after the other, each as a change of what the one before has made. */
  | { readonly kind: 'several'; readonly changes: readonly Change[] };

/**
 * The meal as it is written, with a change. Of a dish that gives way to another what was put by hand and made ahead goes with it: it speaks
 * of steps that are no longer there.
 */
export function applied(meal: Meal, change: Change): Meal {
  switch (change.kind) {
    case 'hour':
      return { ...meal, hour: change.hour, ...(change.day === undefined ? {} : { day: change.day }) };
    case 'pace':
      return { ...meal, pace: change.pace };
    case 'sureness':
      return { ...meal, sureness: change.sureness };
    case 'kitchen':
      return { ...meal, kitchen: change.kitchen };
    case 'dish':
      return withDishes(meal, { [change.dishId]: change.dish });
    case 'dishes':
      return withDishes(meal, change.dishes);
    case 'ahead': {
      const others = (meal.ahead ?? []).filter(({ dish }) => dish !== change.made.dish);
      return { ...meal, ahead: [...others, change.made] };
    }
    case 'without':
      return { ...meal, dishes: meal.dishes.filter((dish) => dish.id !== change.dishId) };
    case 'people':
      return { ...meal, people: change.people };
    case 'with':
      return { ...meal, dishes: [...meal.dishes, change.dish] };
    case 'several':
      return change.changes.reduce(applied, meal);
  }
}

/** The same of a meal whose dishes are made ahead already, ready to plan. */
export function appliedAsMade(meal: Meal, change: Change): Meal {
  if (change.kind === 'several') return change.changes.reduce(appliedAsMade, meal);
  const now = applied(meal, change);
  return change.kind === 'ahead'
    ? { ...now, dishes: asMadeAhead({ dishes: meal.dishes, ahead: [change.made] }).dishes }
    : now;
}

function withDishes(meal: Meal, others: Readonly<Record<string, Dish>>): Meal {
  const gone = Object.keys(others);
  const stays = (key: string) => !gone.some((dish) => isOfDish(key, dish));
  return {
    ...meal,
    dishes: meal.dishes.map((dish) => own(others, dish.id) ?? dish),
    ...(meal.pins ? { pins: meal.pins.filter(({ key }) => stays(key)) } : {}),
    ...(meal.ahead ? { ahead: meal.ahead.filter(({ dish }) => !gone.includes(dish)) } : {}),
  };
}
