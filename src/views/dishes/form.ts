import type { Dish } from '@/core/dish/dish';

/** What a form of the step editor shows, and what it changes: a function of the dish as it is by then, for what was last drawn may be older. */
export interface FormProps {
  readonly dish: Dish;
  readonly onChange: (change: (now: Dish) => Dish) => void;
}

/** The steps of a dish to choose from. */
export function stepsOf(dish: Dish): readonly (readonly [string, string])[] {
  return dish.steps.map(({ id, name }) => [id, name] as const);
}
