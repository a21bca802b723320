import Joi from 'joi';
import { checkDish } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { checkKitchen } from '@/core/meal/check';
import type { LarderItem } from '@/core/prep/larder';
import { dishShape } from '@/core/records/dish';
import { eveningShape } from '@/core/records/evening';
import { broughtUp } from '@/core/records/generations';
import { kitchenShape } from '@/core/records/kitchen';
import { check, type Parsed, parseJson, upgrade } from '@/core/records/refuse';
import {
  errandShape,
  type KnownFood,
  knownFoodShape,
  larderShape,
  measureShape,
  type PhotoAsText,
  photoShape,
  type SettingRow,
  type StoredErrand,
  settingRowShape,
} from '@/core/records/rest';
import { type StoredMeal, storedMealShape } from '@/core/records/setting';
import { instantShape, recordOf } from '@/core/records/shapes';
import { say } from '@/core/say/say';
import type { OwnMeasure } from '@/core/units/measures';

/** The version that is written now. */
export const BACKUP_VERSION = 3;

/** Everything a browser keeps, in one file. Plans are left out: they are made anew. */
export interface BackupFile {
  readonly format: 'warm-cadence/backup';
  readonly version: typeof BACKUP_VERSION;
  /** Milliseconds since 1970. */
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

/**
 * What each older version needs to become the next. Version 1 had neither settings nor photos; version 2 held records of generation 1, and no
 * food was asked about.
 */
const OLDER: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2, settings: [], photos: [] }),
  2: (file) => ({ ...broughtUp(file, 1), version: 3, foods: [] }),
};

const MOST = 20_000;

const list = <T>(shape: Joi.ObjectSchema<T>, key = 'id') => Joi.array().items(shape).max(MOST).unique(key).required();

/** Everything a browser keeps, in one file. */
export const backupShape = recordOf<BackupFile>({
  format: Joi.string().valid('warm-cadence/backup').required(),
  version: Joi.number().valid(BACKUP_VERSION).required(),
  savedAt: instantShape.required(),
  kitchens: list(kitchenShape),
  dishes: list(dishShape),
  meals: list(storedMealShape),
  evenings: list(eveningShape),
  measures: list(measureShape),
  larder: list(larderShape, 'key'),
  errands: list(errandShape),
  settings: list(settingRowShape, 'name'),
  photos: list(photoShape),
  foods: list(knownFoodShape, 'key'),
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

/** Checks what a backup held, and brings an older version up to now. */
export function checkBackup(value: unknown): Parsed<BackupFile> {
  const upgraded = upgrade(value, 'backup', BACKUP_VERSION, OLDER);
  if (!upgraded.ok) return upgraded;
  const file = check(backupShape, upgraded.value);
  if (!file.ok) return file;
  const { kitchens, dishes, meals } = file.value;
  const fault = [...kitchens.flatMap(checkKitchen), ...dishes.flatMap(checkDish)][0];
  if (fault) return { ok: false, sentence: `${fault.where}: ${fault.sentence}` };
  const kitchenIds = new Set(kitchens.map((each) => each.id));
  for (const meal of meals) {
    if (!kitchenIds.has(meal.kitchenId)) {
      return {
        ok: false,
        sentence: say('meals, "{id}", kitchenId: there is no kitchen "{kitchenId}" in this backup.', {
          id: meal.id,
          kitchenId: meal.kitchenId,
        }),
      };
    }
  }
  return file;
}
