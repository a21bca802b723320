import { ALLERGENS, DIETS, type Diet, looser } from '@/core/food/food';
import { foodsOf, readFood, unknownIn } from '@/core/food/known';
import type { Dish, Ingredient } from './dish';

export { ALLERGENS, DIETS, type Diet };

/** Allergens that a name gives away, in the order of the lists. Labels come first. */
export function allergensIn(name: string): readonly string[] {
  return inOrder(readFood(name).foods.flatMap(({ allergens }) => allergens));
}

/** A dish with what it takes from others, and what these are when they are known. */
export interface Eaten extends Pick<Dish, 'ingredients'> {
  readonly takes?: Dish['takes'];
  /** What it makes itself: it is not bought where another part of it takes it. */
  readonly gives?: Dish['gives'];
}

/** What is bought because the dish does not make it. */
function boughtIn({ takes = [], gives = [] }: Eaten): readonly string[] {
  const made = new Set(gives.map(({ product }) => product));
  return takes.filter(({ product }) => !made.has(product)).map(({ otherwise }) => otherwise);
}

/** What of a dish nobody knows: ingredients by their names, and what is bought because no dish of the meal makes it. */
export function unknownOf(dish: Eaten): readonly string[] {
  const own = dish.ingredients.filter((item) => unknownIn(item).length > 0).map(({ name }) => name);
  const bought = boughtIn(dish).filter((name) => unknownIn({ name }).length > 0);
  return [...new Set([...own, ...bought])];
}

/** Ingredients whose names are not known, and of which the cook has said nothing yet. */
export function askedAbout({ ingredients }: Pick<Dish, 'ingredients'>): readonly Ingredient[] {
  return ingredients.filter((item) => unknownIn(item).length > 0);
}

/** The strictest diet that a dish suits; "not known" where something in it is not known and nothing in it says meat already. */
export function dietOf(dish: Eaten): Diet | 'not known' {
  const bought = boughtIn(dish).flatMap((name) => readFood(name).foods);
  const foods = [...dish.ingredients.flatMap(foodsOf), ...bought];
  const diet = foods.reduce<Diet>((sum, food) => looser(sum, food.diet), 'vegan');
  return diet !== 'with meat' && unknownOf(dish).length > 0 ? 'not known' : markedDiet(dish, diet);
}

/** Allergens marked by hand say of animals what a name may not. */
function markedDiet({ ingredients }: Eaten, diet: Diet): Diet {
  const marked = new Set(ingredients.flatMap(({ allergens }) => allergens));
  const sea = ['fish', 'crustaceans', 'molluscs'].some((each) => marked.has(each));
  const farm = marked.has('milk') || marked.has('eggs');
  return looser(diet, sea ? 'with fish' : farm ? 'vegetarian' : 'vegan');
}

/** What a label has to say before the diet of a dish is sure: "animal rennet". */
export function unlessOf({ ingredients }: Pick<Dish, 'ingredients'>): readonly string[] {
  return [...new Set(ingredients.flatMap(foodsOf).flatMap(({ unless }) => unless ?? []))];
}

/** All allergens of a dish: as marked, and as the names say. Of what is not known nothing is said: see `unknownOf`. */
export function allergensOf(dish: Eaten): readonly string[] {
  const own = dish.ingredients.flatMap((item) => [
    ...item.allergens,
    ...foodsOf(item).flatMap(({ allergens }) => allergens),
  ]);
  return inOrder([...own, ...boughtIn(dish).flatMap(allergensIn)]);
}

function inOrder(found: readonly string[]): readonly string[] {
  const all = new Set(found);
  const known: readonly string[] = ALLERGENS;
  return [...known.filter((each) => all.has(each)), ...[...all].filter((each) => !known.includes(each))];
}
