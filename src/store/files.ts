import isEqual from 'fast-deep-equal';
import { withRemembered } from '@/core/dish/said-foods';
import { BACKUP_VERSION, type BackupFile } from '@/core/formats/backup-file';
import { type MealFile, mealFile } from '@/core/formats/meal-file';
import { type Answer, type Clash, clashesOf, type Held, incoming } from '@/core/formats/merge';
import { withoutBefore } from '@/core/live/evening';
import { isPlanOf } from '@/core/plan/plan-of';
import type { SettingRow } from '@/core/records/rest';
import { type Pantry, SETTINGS, type Setting } from './db';
import { saidFoods } from './foods';
import { printOf } from './meals';
import { openMeal } from './opened';
import { photoAsText, photoOfText } from './photos';
import { openSession } from './sessions';

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

/**
 * What another device needs to go on with a meal: the meal as it is written, and its evening where one is under way; else the plan that was made,
 * so that both have the same hours.
 */
export async function fileToHandOver(db: Pantry, id: string): Promise<MealFile | undefined> {
  const whole = await fileOfMeal(db, id);
  if (!whole) return undefined;
  const { plan, log, ...file } = whole;
  const evening = await openSession(db, id);
  const own = log?.find((each) => each.id === evening?.id);
  if (own) return { ...file, log: [own] };
  return plan ? { ...file, plan } : file;
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
  const stores = [db.kitchens, db.dishes, db.meals, db.sessions, db.plans, db.foods, db.settings];
  return db.transaction('rw', stores, async () => {
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
    await keepPlanOf(db, file, meal.id);
    return { id: meal.id, name: meal.name };
  });
}

/** The plan of a file goes with its meal where that stands here as the file has it: its hours are those that were printed, or agreed on, there. */
async function keepPlanOf(db: Pantry, { plan, log: _, ...file }: MealFile, id: string): Promise<void> {
  const opened = plan && (await openMeal(db, id));
  if (!plan || !opened || !isEqual(mealFile(opened.written), file) || !isPlanOf(plan, opened.meal)) return;
  await db.plans.put({ mealId: id, print: printOf(opened.meal), plan });
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
