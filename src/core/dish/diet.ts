import type { Dish, Ingredient } from './dish';

/**
 * Words by which an ingredient is known to hold an allergen. The fourteen of EU 1169/2011 Annex II, which contain the nine of US law
 * (FALCPA, FASTER Act); lists from memory. A guess to be confirmed: labels come first.
 */
export const ALLERGENS: Readonly<Record<string, RegExp>> = {
  gluten:
    /\b(wheat|flour|barley|rye|oats?|spelt|farro|freekeh|bulgur|couscous|semolina|bread|breadcrumbs|noodles|pasta|soy sauce|malt)\b/,
  crustaceans: /\b(prawns?|shrimps?|crabs?|lobsters?|crayfish)\b/,
  eggs: /\b(eggs?|mayonnaise)\b/,
  fish: /\b(fish|cod|haddock|mackerel|salmon|trout|tuna|anchov(y|ies)|sardines?|herring)\b/,
  peanuts: /\b(peanuts?|groundnuts?)\b/,
  soy: /\b(soy|soya|tofu|miso|tempeh)\b/,
  milk: /\b(milk|butter|cream|yogh?urt|cheese|ghee|whey|buttermilk)\b/,
  'tree nuts': /\b(almonds?|hazelnuts?|walnuts?|cashews?|pecans?|pistachios?|macadamias?|chestnuts?|nuts)\b/,
  celery: /\b(celery|celeriac)\b/,
  mustard: /\bmustard\b/,
  sesame: /\b(sesame|tahini)\b/,
  sulphites: /\b(wine|vinegar|raisins|dried apricots|sulphites)\b/,
  lupin: /\blupin\b/,
  molluscs: /\b(mussels?|clams?|oysters?|squid|octopus|snails?)\b/,
};

/** What is made of plants though its name says milk or butter. */
const PLANT = /\b(coconut milk|coconut cream|oat milk|almond milk|peanut butter|nut butter|cocoa butter|rice milk)\b/g;

/** Allergens that a name gives away, in the order of the list. */
export function allergensIn(name: string): readonly string[] {
  const words = name.toLowerCase();
  const animal = words.replace(PLANT, (found) =>
    /almond|peanut|nut/.test(found) ? found.replace(/milk|butter/, '') : ' ',
  );
  return Object.entries(ALLERGENS).flatMap(([allergen, pattern]) =>
    pattern.test(allergen === 'milk' ? animal : words.replace(/\bcoconut\b/g, '')) ? [allergen] : [],
  );
}

const MEAT =
  /\b(beef|pork|lamb|mutton|goat|veal|chicken|turkey|duck|meat|meatballs|minced|bacon|ham|sausages?|lard|dripping|bones?|shanks?|cheeks|gelatine?|rabbit|venison)\b/;
const FISH = new RegExp(
  `${ALLERGENS['fish']!.source}|${ALLERGENS['crustaceans']!.source}|${ALLERGENS['molluscs']!.source}`,
);
const ANIMAL = /\bhoney\b/;

export type Diet = 'vegan' | 'vegetarian' | 'with fish' | 'with meat';
/** From the strictest. */
export const DIETS: readonly Diet[] = ['vegan', 'vegetarian', 'with fish', 'with meat'];

/** The strictest diet that a dish suits, by the names of what goes in. */
export function dietOf({ ingredients }: Pick<Dish, 'ingredients'>): Diet {
  const is = (pattern: RegExp) => ingredients.some(({ name }) => pattern.test(name.toLowerCase()));
  if (is(MEAT)) return 'with meat';
  if (is(FISH)) return 'with fish';
  const holds = (item: Ingredient) => [...item.allergens, ...allergensIn(item.name)];
  const animal =
    is(ANIMAL) || ingredients.some((item) => holds(item).some((each) => each === 'milk' || each === 'eggs'));
  return animal ? 'vegetarian' : 'vegan';
}

/** All allergens of a dish: as marked, and as the names say. */
export function allergensOf({ ingredients }: Pick<Dish, 'ingredients'>): readonly string[] {
  const found = new Set(ingredients.flatMap((item) => [...item.allergens, ...allergensIn(item.name)]));
  return [
    ...Object.keys(ALLERGENS).filter((each) => found.has(each)),
    ...[...found].filter((each) => !(each in ALLERGENS)),
  ];
}
