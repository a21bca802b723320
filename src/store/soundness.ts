import { checkDish, type Refusal } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { checkKitchen } from '@/core/meal/check';
import type { MealSetting } from '@/core/meal/meal';
import { dishShape } from '@/core/records/dish';
import { kitchenShape } from '@/core/records/kitchen';
import { check } from '@/core/records/refuse';
import { settingShape } from '@/core/records/setting';

// What may be stored, by shape and by sense, and what is done to it before it is: without what evenings have taught, with what was said of foods. Nothing
// imports it but `sound.ts`, which fetches it.

export { withRemembered } from '@/core/dish/said-foods';
export { rememberedAs } from '@/core/food/known';
export { unlearned, unlearnedKitchen } from '@/core/log/lessons';
export { applied } from '@/core/remedies/change';

export function faultOfDish(dish: Dish): Refusal | null {
  const shaped = check(dishShape, dish);
  return shaped.ok ? (checkDish(dish)[0] ?? null) : { where: dish.name, sentence: shaped.sentence };
}

export function faultOfKitchen(kitchen: Kitchen): Refusal | null {
  const shaped = check(kitchenShape, kitchen);
  return shaped.ok ? (checkKitchen(kitchen)[0] ?? null) : { where: 'kitchen', sentence: shaped.sentence };
}

export function faultOfSetting(setting: MealSetting): Refusal | null {
  const shaped = check(settingShape, setting);
  return shaped.ok ? null : { where: 'meal', sentence: shaped.sentence };
}
