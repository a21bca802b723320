import { isPartOf, stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import type { Plan } from '@/core/plan/plan';
import type { Bowl } from './bowls';
import { isBoardWork } from './bowls';

/** Board work of several dishes on the same thing, that could be one round at the board. */
export interface Joint {
  /** What they share. */
  readonly thing: string;
  readonly name: string;
  /** Keys of the steps, in the order of the plan. */
  readonly steps: readonly string[];
  readonly dishes: readonly string[];
  readonly joined: boolean;
}

/**
 * Steps of different dishes that cut the same thing and that a plan may put one after the other: on the same day, by anyone. A step is in one
 * joint at most, that of the thing most dishes share.
 */
export function jointsOf(meal: Meal, bowls: readonly Bowl[], plan: Plan | null): readonly Joint[] {
  const free = new Set(
    meal.dishes.flatMap((written) => {
      const dish = scaledFor(meal, written);
      return dish.steps
        .filter((step) => isBoardWork(step) && step.by === 'anyone' && !step.ahead)
        .map(({ id }) => stepKey(dish.id, id));
    }),
  );
  const byThing = new Map<string, Bowl[]>();
  for (const bowl of bowls) {
    if (bowl.readiedIn === null || bowl.madeBy !== null || !free.has(bowl.readiedIn)) continue;
    byThing.set(bowl.thing, [...(byThing.get(bowl.thing) ?? []), bowl]);
  }
  const taken = new Set<string>();
  const joined = (meal.together ?? []).map((group) => new Set(group));
  const start = (key: string) => plan?.steps.find((step) => isPartOf(step.key, key))?.start ?? 0;
  return [...byThing.values()]
    .sort((a, b) => new Set(b.map(({ dishId }) => dishId)).size - new Set(a.map(({ dishId }) => dishId)).size)
    .flatMap((own): Joint[] => {
      const steps = [...new Set(own.map(({ readiedIn }) => readiedIn!))].filter((key) => !taken.has(key));
      const dishes = [
        ...new Set(own.filter(({ readiedIn }) => steps.includes(readiedIn!)).map((each) => each.dishName)),
      ];
      if (dishes.length < 2) return [];
      for (const key of steps) taken.add(key);
      return [
        {
          thing: own[0]!.thing,
          name: own[0]!.name,
          steps: steps.sort((a, b) => start(a) - start(b)),
          dishes,
          joined: joined.some((group) => steps.every((key) => group.has(key))),
        },
      ];
    });
}
