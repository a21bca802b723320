import Joi from 'joi';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { asMadeAhead } from '@/core/meal/ahead';
import { MOST_DISHES } from '@/core/meal/check';
import type { Meal, MealSetting } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { dishShape } from '@/core/records/dish';
import { eveningShape } from '@/core/records/evening';
import { broughtUp } from '@/core/records/generations';
import { kitchenShape } from '@/core/records/kitchen';
import { planShape } from '@/core/records/plan';
import { check, type Parsed, parseJson, upgrade } from '@/core/records/refuse';
import { settingShape } from '@/core/records/setting';
import { recordOf } from '@/core/records/shapes';
import { say } from '@/core/say/say';

/** The version that is written now. */
export const MEAL_VERSION = 3;

/** A whole meal in one file: the setting, its kitchen, its dishes as they are written; perhaps its plan and its evenings. */
export interface MealFile {
  readonly format: 'warm-cadence/meal';
  readonly version: typeof MEAL_VERSION;
  readonly meal: MealSetting;
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
  readonly plan?: Plan;
  readonly log?: readonly Evening[];
}

/** A whole meal in one file. */
export const mealShape = recordOf<MealFile>({
  format: Joi.string().valid('warm-cadence/meal').required(),
  version: Joi.number().valid(MEAL_VERSION).required(),
  meal: settingShape.required(),
  kitchen: kitchenShape.required(),
  dishes: Joi.array().items(dishShape).max(MOST_DISHES).unique('id').required(),
  plan: planShape,
  log: Joi.array().items(eveningShape).max(1000),
});

/** What each older version needs to become the next. Version 1 had neither plan nor log; version 2 held records of generation 1. */
const OLDER: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2 }),
  2: (file) => ({ ...recordsBroughtUp(file, 1), version: 3 }),
};

/** A file with its records of an older generation brought up to now. */
function recordsBroughtUp(file: object, generation: number): object {
  const { meal, kitchen, dishes, plan, log, ...rest } = file as Partial<Record<keyof MealFile, unknown>>;
  const world = { kitchens: [kitchen], dishes, meals: [meal], plans: [plan], evenings: log };
  const now = broughtUp(world, generation);
  return {
    ...rest,
    meal: now.meals[0],
    kitchen: now.kitchens[0],
    dishes: now.dishes,
    ...(plan === undefined ? {} : { plan: now.plans[0] }),
    ...(log === undefined ? {} : { log: now.evenings }),
  };
}

/** Reads a meal file, of an older version too. The refusal of a newer one says so kindly; every other names the field. */
export function readMealFile(text: string): Parsed<MealFile> {
  const json = parseJson(text, say('meal file'));
  return json.ok ? checkMealFile(json.value) : json;
}

/** Checks what a meal file held, and brings an older version up to now. */
export function checkMealFile(value: unknown): Parsed<MealFile> {
  const upgraded = upgrade(value, 'meal', MEAL_VERSION, OLDER);
  if (!upgraded.ok) return upgraded;
  const file = check(mealShape, upgraded.value);
  if (!file.ok) return file;
  const stranger = file.value.log?.find(({ mealId }) => mealId !== file.value.meal.id);
  if (!stranger) return file;
  const sentence = say('log, "{id}", mealId: this evening is of the meal "{mealId}"; the file holds "{own}".', {
    id: stranger.id,
    mealId: stranger.mealId,
    own: file.value.meal.id,
  });
  return { ok: false, sentence };
}

/** The meal a file holds, ready to plan. */
export function mealOf(file: MealFile): Meal {
  return asMadeAhead({ ...file.meal, kitchen: file.kitchen, dishes: file.dishes });
}

/** A meal of dishes as they are written, with its plan and its evenings if there are any. */
export function mealFile(meal: Meal, more: Pick<MealFile, 'plan' | 'log'> = {}): MealFile {
  const { kitchen, dishes, ...setting } = meal;
  return { format: 'warm-cadence/meal', version: MEAL_VERSION, meal: setting, kitchen, dishes, ...more };
}
