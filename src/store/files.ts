import { withRemembered } from '@/core/dish/said-foods';
import { BACKUP_VERSION, type BackupFile } from '@/core/formats/backup-file';
import { type MealFile, mealFile } from '@/core/formats/meal-file';
import { type Answer, type Clash, clashesOf, type Held, incoming } from '@/core/formats/merge';
import { withoutBefore } from '@/core/live/evening';
import type { SettingRow } from '@/core/records/rest';
import { type Pantry, SETTINGS, type Setting } from './db';
import { saidFoods } from './foods';
import { openMeal, printOf } from './meals';
import { photoAsText, photoOfText } from './photos';

/** A stored meal as a file: its dishes as they are written, the plan that fits it if there is one, and its evenings. */
export async function fileOfMeal(db: Pantry, id: string): Promise<MealFile | undefined> {
  return db.transaction('r', [db.meals, db.kitchens, db.dishes, db.plans, db.sessions, db.settings], async () => {
    const opened = await openMeal(db, id);
    if (!opened) return undefined;
    const { written, meal: cooked } = opened;
    const kept = await db.plans.get(id);
    const log = await db.sessions.where('mealId').equals(id).toArray();
    return mealFile(written, {
      ...(kept && kept.print === printOf(cooked) ? { plan: kept.plan } : {}),
      ...(log.length > 0 ? { log: log.map(withoutBefore) } : {}),
    });
  });
}

async function held(db: Pantry): Promise<Held> {
  const [kitchens, dishes, meals, evenings] = await Promise.all([
    db.kitchens.toArray(),
    db.dishes.toArray(),
    db.meals.toArray(),
    db.sessions.toArray(),
  ]);
  return { kitchens, dishes, meals, evenings };
}

export async function clashesWith(db: Pantry, file: MealFile): Promise<readonly Clash[]> {
  return clashesOf(await held(db), file);
}

/** Brings a meal file in, all of it or nothing; returns the id and name of its meal. */
export async function bringIn(
  db: Pantry,
  file: MealFile,
  answers: Readonly<Record<string, Answer>>,
  now: number,
): Promise<{ readonly id: string; readonly name: string }> {
  return db.transaction('rw', [db.kitchens, db.dishes, db.meals, db.sessions, db.plans, db.foods], async () => {
    const here = await held(db);
    const taken = new Set([...here.kitchens, ...here.dishes, ...here.meals].map(({ id }) => id));
    const fresh = (id: string) => {
      let count = 2;
      while (taken.has(`${id}-${count}`)) count++;
      taken.add(`${id}-${count}`);
      return `${id}-${count}`;
    };
    const { kitchens, dishes, meal, evenings } = incoming(here, file, answers, fresh, now);
    await db.kitchens.bulkPut([...kitchens]);
    const said = await saidFoods(db);
    await db.dishes.bulkPut(dishes.map((dish) => withRemembered(dish, said)));
    await db.meals.put(meal);
    await db.sessions.bulkPut([...evenings]);
    return { id: meal.id, name: meal.name };
  });
}

/** When all was last backed up is of this browser only. */
const OWN_SETTING = 'backed up';

/** Everything that is stored, to be kept elsewhere. */
export async function backup(db: Pantry, now: number): Promise<BackupFile> {
  const { blobs, ...rows } = await db.transaction('r', db.tables, async () => ({
    kitchens: await db.kitchens.toArray(),
    dishes: await db.dishes.toArray(),
    meals: await db.meals.toArray(),
    evenings: (await db.sessions.toArray()).map(withoutBefore),
    measures: await db.measures.toArray(),
    larder: await db.larder.toArray(),
    errands: await db.errands.toArray(),
    foods: await db.foods.toArray(),
    settings: await db.settings.filter(({ name }) => name !== OWN_SETTING).toArray(),
    blobs: await db.photos.toArray(),
  }));
  // A transaction would not wait for their bytes.
  const photos = await Promise.all(blobs.map(photoAsText));
  return { format: 'warm-cadence/backup', version: BACKUP_VERSION, savedAt: now, ...rows, photos };
}

/** Puts a backup in the place of everything that is stored: all of it, or, when anything fails, nothing. */
export async function restore(db: Pantry, file: BackupFile): Promise<void> {
  const photos = file.photos.map(photoOfText);
  await db.transaction('rw', db.tables, async () => {
    for (const table of db.tables) {
      if (table.name === db.settings.name) await db.settings.filter(({ name }) => name !== OWN_SETTING).delete();
      else await table.clear();
    }
    await db.kitchens.bulkAdd([...file.kitchens]);
    await db.dishes.bulkAdd([...file.dishes]);
    await db.meals.bulkAdd([...file.meals]);
    await db.sessions.bulkAdd([...file.evenings]);
    await db.measures.bulkAdd([...file.measures]);
    await db.larder.bulkAdd([...file.larder]);
    await db.errands.bulkAdd([...file.errands]);
    await db.foods.bulkAdd([...file.foods]);
    await db.settings.bulkPut(file.settings.filter(isSetting));
    await db.photos.bulkAdd(photos);
    // The samples are not to come back beside it.
    await db.marks.put({ name: 'samples', at: file.savedAt });
  });
}

/** A choice that this Warm Cadence knows; others are left out. */
function isSetting(row: SettingRow): row is Setting {
  return row.name !== OWN_SETTING && (SETTINGS as readonly string[]).includes(row.name);
}

/** Days without a backup after which a reminder stands on the first page. */
export const REMIND_AFTER_DAYS = 14;

/** Whether it is time for a backup: something was changed since the last one, and that is long ago or there was none. */
export async function wantsBackup(db: Pantry, now: number): Promise<boolean> {
  const last = (await db.settings.get('backed up'))?.value ?? 0;
  const changed = await db.meals.filter(({ changedAt }) => changedAt > Number(last)).count();
  const first = Number(last) || ((await db.marks.get('samples'))?.at ?? now);
  return changed > 0 && now - first > REMIND_AFTER_DAYS * 86_400_000;
}
