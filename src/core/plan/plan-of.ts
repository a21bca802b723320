import { readKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from './plan';

/** Whether a plan that came from elsewhere is one of this meal: of its hour and people, with all of its steps and no others. */
export function isPlanOf(plan: Plan, meal: Meal): boolean {
  const { mealId, day, hour, people } = plan;
  if (mealId !== meal.id || day !== meal.day || hour !== meal.hour || people !== meal.people) return false;
  const nameOf = (dish: string, step: string) => JSON.stringify([dish, step]);
  const wanted = new Set(meal.dishes.flatMap(({ id, steps }) => steps.map((step) => nameOf(id, step.id))));
  const found = new Set<string>();
  for (const { key } of plan.steps) {
    const read = readKey(key);
    if (!read || !wanted.has(nameOf(read.dish, read.step))) return false;
    if (!read.warms) found.add(nameOf(read.dish, read.step));
  }
  return found.size === wanted.size;
}
