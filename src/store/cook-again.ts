import { format } from 'date-fns';
import type { Evening } from '@/core/live/evening';
import { unlearnedKitchen } from '@/core/log/lessons';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import type { Pantry } from './db';

/** Begins a new meal from what was cooked on an evening: the same people, kitchen and dishes, on another day. Dishes that are not there any more are left out. */
export async function cookAgain(
  db: Pantry,
  evening: Evening,
  day: Date,
): Promise<{ readonly ok: true; readonly id: string } | { readonly ok: false; readonly sentence: string }> {
  return db.transaction('rw', [db.meals, db.dishes, db.kitchens], async () => {
    const { kitchen, dishes, pins: _, ...setting } = evening.meal;
    const before = await db.meals.get(evening.mealId);
    if (!(await db.kitchens.get(kitchen.id))) {
      await db.kitchens.put(unlearnedKitchen(kitchen));
    }
    const here = new Set(await db.dishes.toCollection().primaryKeys());
    const dishIds = (before?.dishIds ?? dishes.map(({ id }) => id)).filter((id) => here.has(id));
    if (dishIds.length === 0) {
      const names = listed(dishes.map(({ name }) => name));
      return { ok: false, sentence: say('These dishes are not in this browser any more: {names}.', { names }) };
    }
    const id = `meal-${day.getTime()}`;
    await db.meals.put({
      ...setting,
      id,
      day: format(day, 'yyyy-MM-dd'),
      kitchenId: kitchen.id,
      dishIds,
      changedAt: day.getTime(),
    });
    return { ok: true, id };
  });
}
