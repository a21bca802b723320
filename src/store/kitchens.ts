import type { Refusal } from '@/core/dish/check';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { copyOfKitchen, freeName, type KitchenAnswers, usualKitchen } from '@/core/kitchen/usual';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import type { Pantry } from './db';

/** Makes a kitchen from the answers of a first run, with a name that no other has; new meals are cooked in it. Its id. */
export async function createKitchen(db: Pantry, answers: KitchenAnswers, now: number): Promise<string> {
  return db.transaction('rw', db.kitchens, db.settings, async () => {
    const id = await freeId(db, now);
    const names = (await db.kitchens.toArray()).map(({ name }) => name);
    await db.kitchens.add(usualKitchen(id, freeName(say('My kitchen'), names), answers));
    await db.settings.put({ name: 'kitchen', value: id });
    return id;
  });
}

/** The same kitchen once more, to be changed without touching the first. Its id, or null where the first is gone. */
export async function copyKitchen(db: Pantry, id: string, now: number): Promise<string | null> {
  return db.transaction('rw', db.kitchens, async () => {
    const all = await db.kitchens.toArray();
    const kitchen = all.find((each) => each.id === id);
    if (!kitchen) return null;
    const copy = copyOfKitchen(
      kitchen,
      await freeId(db, now),
      all.map(({ name }) => name),
    );
    await db.kitchens.add(copy);
    return copy.id;
  });
}

async function freeId(db: Pantry, now: number): Promise<string> {
  let number = now;
  while (await db.kitchens.get(`kitchen-${number}`)) number++;
  return `kitchen-${number}`;
}

/** What became of a wish to remove: the kitchen, so that it can be put back, or why it stays. */
export type Removed =
  | { readonly ok: true; readonly kitchen: Kitchen }
  | { readonly ok: false; readonly refusal: Refusal };

/** Removes a kitchen in which no meal is cooked. */
export async function removeKitchen(db: Pantry, id: string): Promise<Removed> {
  return db.transaction('rw', db.kitchens, db.meals, async () => {
    const kitchen = await db.kitchens.get(id);
    if (!kitchen)
      return { ok: false, refusal: { where: 'kitchen', sentence: say('This kitchen is no longer there.') } } as const;
    const meals = await db.meals.filter(({ kitchenId }) => kitchenId === id).toArray();
    if (meals.length > 0) {
      const names = listed(
        meals.map(({ name }) => name),
        3,
      );
      const sentence = say(
        '{kitchen} stays: {count, plural, one {{meals} is} other {{meals} are}} cooked in it. Choose another kitchen there first.',
        { kitchen: kitchen.name, meals: names, count: meals.length },
      );
      return { ok: false, refusal: { where: kitchen.name, sentence } } as const;
    }
    await db.kitchens.delete(id);
    return { ok: true, kitchen } as const;
  });
}

/** Puts a removed kitchen back, where nothing has taken its place. */
export async function putBackKitchen(db: Pantry, kitchen: Kitchen): Promise<void> {
  await db.transaction('rw', db.kitchens, async () => {
    if (!(await db.kitchens.get(kitchen.id))) await db.kitchens.add(kitchen);
  });
}

/** The kitchen that a new meal is cooked in: the one made or chosen last, else that of the meal changed last, else any. */
export async function kitchenForNewMeal(db: Pantry): Promise<Kitchen | undefined> {
  const chosen = (await db.settings.get('kitchen'))?.value;
  const newest = (await db.meals.toArray()).sort((a, b) => b.changedAt - a.changedAt)[0]?.kitchenId;
  for (const id of [chosen, newest]) {
    const kitchen = typeof id === 'string' ? await db.kitchens.get(id) : undefined;
    if (kitchen) return kitchen;
  }
  return db.kitchens.toCollection().first();
}

/** What is cooked next is cooked in this kitchen too. */
export async function rememberKitchen(db: Pantry, id: string): Promise<void> {
  await db.settings.put({ name: 'kitchen', value: id });
}
