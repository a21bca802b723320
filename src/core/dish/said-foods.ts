import type { SaidFood } from '@/core/food/food';
import { rememberedAs, unknownIn } from '@/core/food/known';
import { own } from '@/core/plain/record';
import type { Dish } from './dish';
import { idIn, MAIN, type Made, type Said } from './made';

/** The dish with what the cook has said that one of its ingredients is; its technique, if it has one, keeps it too. */
export function withSaidFood(dish: Dish, ingredient: string, food: SaidFood): Dish {
  const { made } = dish;
  return {
    ...dish,
    ingredients: dish.ingredients.map((item) => (item.id === ingredient ? { ...item, food } : item)),
    ...(made ? { made: madeWith(made, ingredient, food) } : {}),
  };
}

/** The part that an ingredient belongs to keeps what was said of it. */
function madeWith(made: Made, ingredient: string, food: SaidFood): Made {
  const { parts } = made;
  return {
    ...saidOf(made, MAIN, ingredient, food),
    ...(parts ? { parts: parts.map((part) => saidOf(part, part.id, ingredient, food)) } : {}),
  };
}

function saidOf<T extends Said>(said: T, part: string, ingredient: string, food: SaidFood): T {
  const slot = Object.keys(said.fillings).find((each) => idIn(part, each) === ingredient);
  const filling = slot === undefined ? null : own(said.fillings, slot);
  if (slot === undefined || !filling) return said;
  return { ...said, fillings: { ...said.fillings, [slot]: { ...filling, food } } };
}

/** The dish with what was said of the same names before, where nobody knows them and nothing is said yet. */
export function withRemembered(dish: Dish, said: ReadonlyMap<string, SaidFood>): Dish {
  return dish.ingredients.reduce((now, item) => {
    const known = unknownIn(item).length > 0 ? said.get(rememberedAs(item.name)) : undefined;
    return known ? withSaidFood(now, item.id, known) : now;
  }, dish);
}
