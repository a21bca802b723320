import type { Dish } from '@/core/dish/dish';
import { asLarge } from '@/core/dish/scale';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { eatersOf, type StandingEvent, standingEvents } from './events';
import type { Session } from './session';

/** The dishes of an evening, what came to it later and was not taken back too. */
export function dishesOf({ meal, events }: Pick<Session, 'meal' | 'events'>): readonly Dish[] {
  return [...meal.dishes, ...addedIn(standingEvents(events))];
}

function addedIn(events: readonly StandingEvent[]): readonly Dish[] {
  return events.flatMap((event) => (event.kind === 'added' ? [event.made] : []));
}

/** Portions that a dish is cooked for: those of the last word about the guests with which it could still grow. */
export function cookedFor(meal: Meal, dishId: string, events: readonly StandingEvent[]): number {
  let people = meal.people;
  let portions = portionsOf(meal);
  for (const event of events) {
    if (event.kind !== 'guests') continue;
    people = Math.max(1, people + event.more);
    if (!event.fixed.includes(dishId)) portions = portionsOf({ ...meal, people });
  }
  return portions;
}

/** The meal for all who eat: what could still grow has grown, what could not is as large as it was, and what was added is as large as it was made. */
export function withGuests(meal: Meal, events: readonly StandingEvent[]): Meal {
  const added = addedIn(events);
  const people = eatersOf(meal, events);
  if (people === meal.people && added.length === 0) return meal;
  const now = { ...meal, people };
  const portions = portionsOf(now);
  const as = (dish: Dish, size: number) => asLarge(dish, portions / size);
  return {
    ...now,
    dishes: [
      ...meal.dishes.map((dish) => as(dish, cookedFor(meal, dish.id, events))),
      ...added.map((dish) => as(dish, dish.servings)),
    ],
  };
}
