import type { Dish } from '@/core/dish/dish';
import type { SaidFood } from '@/core/food/food';
import type { Pantry } from './db';
import { soundness } from './sound';

/** What the cook has said of names that nobody knew, by the name as `rememberedAs` writes it. */
export async function saidFoods(db: Pantry): Promise<ReadonlyMap<string, SaidFood>> {
  return new Map((await db.foods.toArray()).map(({ key, food }) => [key, food]));
}

/** Keeps what the cook says that a name is: for the next time, and for every stored dish that has it and says nothing yet. */
export async function sayFood(db: Pantry, name: string, food: SaidFood): Promise<void> {
  const { rememberedAs, withRemembered } = await soundness();
  const key = rememberedAs(name);
  await db.transaction('rw', db.foods, db.dishes, async () => {
    await db.foods.put({ key, food });
    const said = new Map([[key, food]]);
    const changed = (await db.dishes.toArray()).flatMap((dish): Dish[] => {
      const now = withRemembered(dish, said);
      return now === dish ? [] : [now];
    });
    await db.dishes.bulkPut(changed);
  });
}
