import { addDays, format } from 'date-fns';
import isEqual from 'fast-deep-equal';
import type { Dish } from '@/core/dish/dish';
import { SAMPLE_MEALS, type SampleMeal } from '@/demo/meals';
import type { Pantry } from './db';

// Large, and of use once: views fetch this when it is wanted.

/**
 * Loads the sample meals once; a second call, or a second tab at the same time, changes nothing. `anew` loads them whatever was
 * before: the cook has asked for them.
 */
export async function loadSamples(
  db: Pantry,
  today: Date,
  { samples = SAMPLE_MEALS, anew = false }: { readonly samples?: readonly SampleMeal[]; readonly anew?: boolean } = {},
): Promise<void> {
  await db.transaction('rw', db.marks, db.kitchens, db.dishes, db.meals, async () => {
    if (!anew && (await db.marks.get('samples'))) return;
    await db.marks.put({ name: 'samples', at: today.getTime() });
    // What is there already may have been changed: it stays as it is.
    const kitchens = samples.map((sample) => sample.kitchen);
    const dishes = samples.flatMap((sample) => [...sample.dishes]);
    const [knownKitchens, knownDishes] = [await keysOf(db.kitchens), await keysOf(db.dishes)];
    await db.kitchens.bulkAdd(kitchens.filter(({ id }) => !knownKitchens.has(id)));
    await db.dishes.bulkAdd(dishes.filter(({ id }) => !knownDishes.has(id)));
    await db.meals.bulkPut(
      samples.map((sample) => ({
        ...sample.setting,
        day: format(addDays(today, sample.daysAhead), 'yyyy-MM-dd'),
        kitchenId: sample.kitchen.id,
        dishIds: sample.dishes.map((dish) => dish.id),
        changedAt: today.getTime(),
      })),
    );
  });
}

/** Whether a dish is one of the samples, as it came. */
export function isSample(dish: Dish): boolean {
  return SAMPLE_MEALS.some(({ dishes }) => dishes.some((sample) => sample.id === dish.id && isEqual(sample, dish)));
}

async function keysOf(table: {
  toCollection(): { primaryKeys(): PromiseLike<string[]> };
}): Promise<ReadonlySet<string>> {
  return new Set(await table.toCollection().primaryKeys());
}
