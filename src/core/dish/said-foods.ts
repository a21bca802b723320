import type { SaidFood } from '@/core/food/food';
import { rememberedAs, unknownIn } from '@/core/food/known';
import { own } from '@/core/plain/record';
import type { Dish } from './dish';

/** The dish with what the cook has said that one of its ingredients is; its technique, if it has one, keeps it too. */
export function withSaidFood(dish: Dish, ingredient: string, food: SaidFood): Dish {
  const { made } = dish;
  const filling = made && own(made.fillings, ingredient);
  return {
    ...dish,
    ingredients: dish.ingredients.map((item) => (item.id === ingredient ? { ...item, food } : item)),
    ...(made && filling
      ? { made: { ...made, fillings: { ...made.fillings, [ingredient]: { ...filling, food } } } }
      : {}),
  };
}

/** The dish with what was said of the same names before, where nobody knows them and nothing is said yet. */
export function withRemembered(dish: Dish, said: ReadonlyMap<string, SaidFood>): Dish {
  return dish.ingredients.reduce((now, item) => {
    const known = unknownIn(item).length > 0 ? said.get(rememberedAs(item.name)) : undefined;
    return known ? withSaidFood(now, item.id, known) : now;
  }, dish);
}
