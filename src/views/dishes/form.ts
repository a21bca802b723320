import type { Dish } from '@/core/dish/dish';

/** What a form of the step editor changes: the whole dish, as it is then. */
export interface FormProps {
  readonly dish: Dish;
  readonly onChange: (dish: Dish) => void;
}

/** The steps of a dish to choose from. */
export function stepsOf(dish: Dish): readonly (readonly [string, string])[] {
  return dish.steps.map(({ id, name }) => [id, name] as const);
}
