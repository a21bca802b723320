import { readKey, type StepKey, stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { mealAsPlanned } from './keeps';
import type { Plan } from './plan';

/** Whether a plan that came from elsewhere is one of this meal: of its hour and people, with all of its steps and no others. */
export function isPlanOf(plan: Plan, meal: Meal): boolean {
  const { mealId, day, hour, people } = plan;
  if (mealId !== meal.id || day !== meal.day || hour !== meal.hour || people !== meal.people) return false;
  const { dishes } = mealAsPlanned(meal, plan);
  const wanted = new Set(dishes.flatMap(({ id, steps }) => steps.map((step) => stepKey(id, step.id))));
  const found = new Set<StepKey>();
  for (const { key } of plan.steps) {
    const read = readKey(key);
    const step = read && stepKey(read.dish, read.step);
    if (!step || !wanted.has(step)) return false;
    if (!read.warms) found.add(step);
  }
  return found.size === wanted.size;
}
