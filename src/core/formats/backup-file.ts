import Joi from 'joi';
import { checkDish } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import type { SaidFood } from '@/core/food/food';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { checkKitchen, MOST_DISHES } from '@/core/meal/check';
import type { MealSetting } from '@/core/meal/meal';
import type { LarderItem } from '@/core/prep/larder';
import { LEAST_OWN, MOST_OWN, type OwnMeasure } from '@/core/units/measures';
import { amountShape, dishShape, eveningShape, kitchenShape, saidFoodShape, settingShape } from './meal-file';
import { backupWithKeys } from './older-keys';
import { check, type Parsed, parseJson, upgrade } from './refuse';
import { idShape, instantShape } from './shapes';

/** A meal as it is stored: its setting, and which kitchen and dishes it stands on. */
export interface StoredMeal extends MealSetting {
  readonly kitchenId: string;
  readonly dishIds: readonly string[];
  readonly changedAt: number;
}

/** Where one thing of a meal's lists is: ticked off, at home, laid out. */
export interface StoredErrand {
  readonly id: string;
  readonly mealId: string;
  readonly key: string;
  readonly state: 'at home' | 'in the basket' | 'laid out';
}

/** A picture of a note, as text. */
export interface PhotoAsText {
  readonly id: string;
  /** "image/jpeg" */
  readonly type: string;
  /** Its bytes, base64 (RFC 4648, section 4). */
  readonly base64: string;
}

/** A choice that belongs to no meal: the paper, the sign of the money. */
export interface SettingRow {
  readonly name: string;
  readonly value: string | number;
}

export const BACKUP_VERSION = 3;

/** Everything a browser keeps, in one file. Plans are left out: they are made anew. */
export interface BackupFile {
  readonly format: 'warm-cadence/backup';
  readonly version: typeof BACKUP_VERSION;
  readonly savedAt: number;
  readonly kitchens: readonly Kitchen[];
  readonly dishes: readonly Dish[];
  readonly meals: readonly StoredMeal[];
  readonly evenings: readonly Evening[];
  readonly measures: readonly OwnMeasure[];
  readonly larder: readonly LarderItem[];
  readonly errands: readonly StoredErrand[];
  readonly settings: readonly SettingRow[];
  readonly photos: readonly PhotoAsText[];
  readonly foods: readonly KnownFood[];
}

/** What a cook has once said of a name that nobody knew: it is not asked again. */
export interface KnownFood {
  /** The name, as `rememberedAs` writes it. */
  readonly key: string;
  readonly food: SaidFood;
}

/**
 * What each older version needs to become the next. Version 1 had neither settings nor photos; in version 2 keys were not escaped, and no
 * food was asked about.
 */
const OLDER: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2, settings: [], photos: [] }),
  2: (file) => ({ ...backupWithKeys(file), version: 3, foods: [] }),
};

const id = idShape(300);
const instant = instantShape.required();
const most = 20_000;

export const larderShape: Joi.ObjectSchema<LarderItem> = Joi.object({
  key: id,
  name: Joi.string().min(1).max(120).required(),
  have: amountShape.allow(null).required(),
  price: Joi.object({ money: Joi.number().min(0).max(1_000_000).required(), per: amountShape.required() })
    .allow(null)
    .required(),
});

const list = <T>(shape: Joi.ObjectSchema<T>, key = 'id') => Joi.array().items(shape).max(most).unique(key).required();

const shape: Joi.ObjectSchema<BackupFile> = Joi.object({
  format: Joi.string().valid('warm-cadence/backup').required(),
  version: Joi.number().valid(BACKUP_VERSION).required(),
  savedAt: instant,
  kitchens: list(kitchenShape),
  dishes: list(dishShape),
  meals: list(
    (settingShape as Joi.ObjectSchema).keys({
      kitchenId: id,
      dishIds: Joi.array().items(id).max(MOST_DISHES).required(),
      changedAt: instant,
    }),
  ),
  evenings: list(eveningShape),
  measures: list(
    Joi.object({
      id,
      name: Joi.string().min(1).max(40).required(),
      millilitres: Joi.number().min(LEAST_OWN).max(MOST_OWN).required(),
    }),
  ),
  larder: list(larderShape, 'key'),
  errands: list(
    Joi.object({
      id,
      mealId: id,
      key: id,
      state: Joi.string().valid('at home', 'in the basket', 'laid out').required(),
    }),
  ),
  settings: list(
    Joi.object({
      name: id,
      value: Joi.alternatives(Joi.string().max(300), Joi.number()).required(),
    }),
    'name',
  ),
  foods: list(Joi.object({ key: id, food: saidFoodShape.required() }), 'key'),
  photos: list(
    Joi.object({
      id,
      type: Joi.string()
        .pattern(/^image\/[a-z0-9.+-]+$/)
        .required(),
      base64: Joi.string()
        .pattern(/^[A-Za-z0-9+/]*={0,2}$/)
        .max(12_000_000)
        .required(),
    }),
  ),
});

/** Whether parsed JSON says that it is a backup, of whatever version. */
export function isBackup(value: unknown): boolean {
  return (value as { format?: unknown } | null)?.format === 'warm-cadence/backup';
}

/** Reads a backup whole, or says in a sentence what is wrong with it: also where a meal stands in a kitchen that is not in it. */
export function readBackup(text: string): Parsed<BackupFile> {
  const json = parseJson(text, 'backup');
  return json.ok ? checkBackup(json.value) : json;
}

export function checkBackup(value: unknown): Parsed<BackupFile> {
  const upgraded = upgrade(value, 'backup', BACKUP_VERSION, OLDER);
  if (!upgraded.ok) return upgraded;
  const file = check(shape, upgraded.value);
  if (!file.ok) return file;
  const { kitchens, dishes, meals } = file.value;
  const fault = [...kitchens.flatMap(checkKitchen), ...dishes.flatMap(checkDish)][0];
  if (fault) return { ok: false, sentence: `${fault.where}: ${fault.sentence}` };
  const kitchenIds = new Set(kitchens.map((each) => each.id));
  for (const meal of meals) {
    if (!kitchenIds.has(meal.kitchenId)) {
      return {
        ok: false,
        sentence: `meals, "${meal.id}", kitchenId: there is no kitchen "${meal.kitchenId}" in this backup.`,
      };
    }
  }
  return file;
}
