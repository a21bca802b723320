import { addDays, format } from 'date-fns';
import type { Refusal } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Meal, MealSetting } from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import { tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import type { Change } from '@/core/remedies/change';
import { say } from '@/core/say/say';
import type { Pantry, StoredMeal } from './db';
import { saidFoods } from './foods';
import { kitchenForNewMeal } from './kitchens';
import { type Soundness, soundness } from './sound';

/** A stored meal with its kitchen and its dishes as they are written. */
export async function loadWritten(db: Pantry, id: string): Promise<Meal | undefined> {
  return db.transaction('r', db.meals, db.kitchens, db.dishes, async () => {
    const stored = await db.meals.get(id);
    const kitchen = stored && (await db.kitchens.get(stored.kitchenId));
    if (!stored || !kitchen) return undefined;
    const dishes = await db.dishes.bulkGet([...stored.dishIds]);
    return { ...settingOf(stored), kitchen, dishes: dishes.filter((dish) => dish !== undefined) };
  });
}

export function settingOf({ kitchenId: _, dishIds: __, changedAt: ___, ...setting }: StoredMeal): MealSetting {
  return setting;
}

/** The instant of the table in the browser's own time zone. */
export { tableInstant };

/** What is to change of a stored meal. */
export type MealChange = Partial<Omit<StoredMeal, 'id'>>;

/**
 * Stores a change of a meal when it is sound; otherwise says why not and keeps what was there. A change that builds on what is
 * there (one more dish, one entry of a list) is told as a function of the stored meal: what a view has read may be older.
 */
export async function changeMeal(
  db: Pantry,
  id: string,
  change: MealChange | ((stored: StoredMeal) => MealChange),
  now: number,
): Promise<Refusal | null> {
  return putMeal(await soundness(), db, id, change, now);
}

async function putMeal(
  { faultOfSetting }: Soundness,
  db: Pantry,
  id: string,
  change: MealChange | ((stored: StoredMeal) => MealChange),
  now: number,
): Promise<Refusal | null> {
  return db.transaction('rw', db.meals, async () => {
    const stored = await db.meals.get(id);
    if (!stored) return { where: 'meal', sentence: say('This meal is no longer there; go back to the meals.') };
    const changed: StoredMeal = {
      ...stored,
      ...(typeof change === 'function' ? change(stored) : change),
      changedAt: now,
    };
    const fault = faultOfSetting(settingOf(changed));
    if (!fault) await db.meals.put(changed);
    return fault;
  });
}

/** Stores a change of a kitchen as it stands now, by the rules of `storeKitchen`. */
export async function changeKitchen(
  db: Pantry,
  id: string,
  change: (kitchen: Kitchen) => Kitchen,
): Promise<Refusal | null> {
  const sound = await soundness();
  return db.transaction('rw', db.kitchens, async () => {
    const stored = await db.kitchens.get(id);
    if (!stored) return { where: 'kitchen', sentence: say('This kitchen is no longer there; go back to the meals.') };
    return putKitchen(sound, db, change(stored));
  });
}

/** Stores a kitchen when it is sound; otherwise says why not and keeps what was there. */
export async function storeKitchen(db: Pantry, kitchen: Kitchen): Promise<Refusal | null> {
  return putKitchen(await soundness(), db, kitchen);
}

async function putKitchen(
  { faultOfKitchen, unlearnedKitchen }: Soundness,
  db: Pantry,
  kitchen: Kitchen,
): Promise<Refusal | null> {
  const fault = faultOfKitchen(kitchen);
  if (!fault) await db.kitchens.put(unlearnedKitchen(kitchen));
  return fault;
}

/** Stores a dish when it is sound; otherwise says why not and keeps what was there. */
export async function storeDish(db: Pantry, dish: Dish): Promise<Refusal | null> {
  return putDish(await soundness(), db, dish);
}

async function putDish(
  { faultOfDish, unlearned, withRemembered }: Soundness,
  db: Pantry,
  dish: Dish,
): Promise<Refusal | null> {
  const fault = faultOfDish(dish);
  if (!fault) await db.dishes.put(unlearned(withRemembered(dish, await saidFoods(db))));
  return fault;
}

/** Puts a stored dish onto the menu of a meal, last. */
export async function addToMeal(db: Pantry, mealId: string, dishId: string, now: number): Promise<Refusal | null> {
  if (!(await db.meals.get(mealId)))
    return { where: 'meal', sentence: say('This meal is no longer there; the dish is kept under Dishes.') };
  return changeMeal(
    db,
    mealId,
    ({ dishIds }) => (dishIds.includes(dishId) ? {} : { dishIds: [...dishIds, dishId] }),
    now,
  );
}

/** Ends a transaction in which something was refused: nothing of it is stored. */
class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.sentence);
  }
}

/** Carries out a change of a meal, whoever proposed it: all of it is stored, or, where any part is refused, nothing. */
export async function carryOut(db: Pantry, mealId: string, change: Change, now: number): Promise<Refusal | null> {
  const orRefuse = async (stored: Promise<Refusal | null>) => {
    const refusal = await stored;
    if (refusal) throw new Refused(refusal);
  };
  const sound = await soundness();
  try {
    await db.transaction('rw', db.meals, db.kitchens, db.dishes, db.foods, async () => {
      const before = await loadWritten(db, mealId);
      if (!before)
        throw new Refused({ where: 'meal', sentence: say('This meal is no longer there; go back to the meals.') });
      const { hour, pace, sureness, pins, ahead, kitchen, dishes } = sound.applied(before, change);
      if (kitchen !== before.kitchen) await orRefuse(putKitchen(sound, db, kitchen));
      for (const dish of dishes) if (!before.dishes.includes(dish)) await orRefuse(putDish(sound, db, dish));
      const dishIds = dishes.map(({ id }) => id);
      const rest = { ...(sureness ? { sureness } : {}), ...(pins ? { pins } : {}), ...(ahead ? { ahead } : {}) };
      await orRefuse(putMeal(sound, db, mealId, { hour, pace, dishIds, ...rest }, now));
    });
    return null;
  } catch (error) {
    if (error instanceof Refused) return error.refusal;
    throw error;
  }
}

/** What a plan depends on, as text: equal text, equal plan. All of a meal but its name, and what the cook passes over. */
export function printOf({ id: _, name: __, passedOver: ___, ...meal }: Meal): string {
  return JSON.stringify(Object.entries({ ...USUAL, ...meal }).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** What a meal is where it does not say so. */
const USUAL: Partial<Meal> = {
  pins: [],
  sureness: 'even',
  appetite: 'usual',
  leftovers: 0,
  layOutFirst: true,
  together: [],
  ahead: [],
};

/** Stores what was set by hand together with the plan that was made for it, so that both change at once. */
export async function setByHand(db: Pantry, meal: Meal, pins: readonly Pin[], plan: Plan, now: number): Promise<void> {
  await db.transaction('rw', db.meals, db.plans, async () => {
    if ((await db.meals.update(meal.id, { pins, changedAt: now })) === 0) return;
    await db.plans.put({ mealId: meal.id, print: printOf({ ...meal, pins }), plan });
  });
}

/** Begins an empty meal for tomorrow evening in the cook's kitchen. Its id, or null where there is no kitchen yet. */
export async function createMeal(db: Pantry, today: Date): Promise<string | null> {
  const kitchen = await kitchenForNewMeal(db);
  if (!kitchen) return null;
  const id = `meal-${today.getTime()}`;
  await db.meals.put({
    id,
    name: say('New meal'),
    people: 4,
    day: format(addDays(today, 1), 'yyyy-MM-dd'),
    hour: '19:30',
    pace: 'steady',
    kitchenId: kitchen.id,
    dishIds: [],
    changedAt: today.getTime(),
  });
  return id;
}
