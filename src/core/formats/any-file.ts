import { checkDish } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import { checkKitchen } from '@/core/meal/check';
import { type Parsed, parseJson } from '@/core/records/refuse';
import { say } from '@/core/say/say';
import { type BackupFile, checkBackup, isBackup } from './backup-file';
import { isDishFile, readDishFile } from './dish-file';
import { checkMealFile, type MealFile } from './meal-file';
import { checkInvitation, isInvitation } from './two-screens';

/** What a file of ours may hold. */
export type Opened =
  | {
      readonly kind: 'meal';
      readonly file: MealFile;
      /** How another screen that shows its evening can be reached, where it was invited to follow it. */
      readonly offer?: string;
    }
  | { readonly kind: 'dish'; readonly dish: Dish }
  | { readonly kind: 'backup'; readonly file: BackupFile };

/** Opens a file of any of our formats; the refusal says what it is not, or which field is wrong. */
export function openAny(text: string): Parsed<Opened> {
  const json = parseJson(text, 'file');
  if (!json.ok) return json;
  if (isBackup(json.value)) {
    const read = checkBackup(json.value);
    return read.ok ? { ok: true, value: { kind: 'backup', file: read.value } } : read;
  }
  if (isDishFile(text)) {
    const read = readDishFile(text);
    return read.ok ? { ok: true, value: { kind: 'dish', dish: read.value } } : read;
  }
  if (isInvitation(json.value)) {
    const read = checkInvitation(json.value);
    return read.ok ? openedMeal(read.value.file, { offer: read.value.offer }) : read;
  }
  const format = (json.value as { format?: unknown } | null)?.format;
  if (format !== 'warm-cadence/meal') {
    return {
      ok: false,
      sentence: say('format: this must be a meal, a dish or a backup of Warm Cadence; found {found}.', {
        found: JSON.stringify(format) ?? 'none',
      }),
    };
  }
  const read = checkMealFile(json.value);
  return read.ok ? openedMeal(read.value) : read;
}

function openedMeal(file: MealFile, more: { readonly offer?: string } = {}): Parsed<Opened> {
  const fault = [...checkKitchen(file.kitchen), ...file.dishes.flatMap(checkDish)][0];
  return fault
    ? { ok: false, sentence: `${fault.where}: ${fault.sentence}` }
    : { ok: true, value: { kind: 'meal', file, ...more } };
}
