/** What a thing that goes into a dish is, to the rules of safety, allergens and diet. */

/**
 * The fourteen allergens of EU 1169/2011 Annex II, which contain the nine of US law (FALCPA, FASTER Act); lists from memory. Labels and
 * local rules come first.
 */
export const ALLERGENS = [
  'gluten',
  'crustaceans',
  'eggs',
  'fish',
  'peanuts',
  'soy',
  'milk',
  'tree nuts',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'molluscs',
] as const;
/** One of the fourteen that the law asks to be named (Regulation (EU) 1169/2011, annex II). */
export type Allergen = (typeof ALLERGENS)[number];

/** Who can eat it, from the strictest. */
export const DIETS = ['vegan', 'vegetarian', 'with fish', 'with meat'] as const;
/** Who may eat it at the strictest: vegan, vegetarian, or neither. */
export type Diet = (typeof DIETS)[number];

/** Kinds of food, each with the diet that it suits where nothing else is said. */
export const KINDS = {
  poultry: 'with meat',
  'red meat': 'with meat',
  game: 'with meat',
  offal: 'with meat',
  'minced meat': 'with meat',
  fish: 'with fish',
  crustacean: 'with fish',
  mollusc: 'with fish',
  egg: 'vegetarian',
  dairy: 'vegetarian',
  grain: 'vegan',
  pulse: 'vegan',
  vegetable: 'vegan',
  fruit: 'vegan',
  nut: 'vegan',
  seed: 'vegan',
  bread: 'vegan',
  fat: 'vegan',
  spice: 'vegan',
  sweet: 'vegan',
  sauce: 'vegan',
  stock: 'with meat',
  drink: 'vegan',
  water: 'vegan',
} as const satisfies Record<string, Diet>;
/** What sort of thing a food is, for heat, keeping and guests. */
export type FoodKind = keyof typeof KINDS;

/** Raw: must be cooked or kept as raw. Cooked: it was. Ready: eaten as it comes, though no heat has seen it (cured, smoked, pickled). */
export type FoodState = 'raw' | 'cooked' | 'ready';
/** States a food may be in, for a choice. */
export const STATES: readonly FoodState[] = ['raw', 'cooked', 'ready'];

/** What the table knows of a food. */
export interface Food {
  /** Its name in the table, or as the cook has said it. */
  readonly name: string;
  readonly kind: FoodKind;
  readonly state: FoodState;
  readonly allergens: readonly string[];
  readonly diet: Diet;
  /** Minced or inner parts of a bird: the bird's rule bites. */
  readonly bird?: true;
  /** Beans that are poisonous until boiled hard: red and white kidney beans most of all. */
  readonly beans?: 'kidney' | 'other';
  /** Comes out before a dish is eaten: a whole spice, a pepper that may burst. */
  readonly whole?: 'spice' | 'pepper';
  /** Rolls and resists under a knife. */
  readonly hard?: true;
  /** Not for infants under one year. */
  readonly honey?: true;
  /** What a label has to say before its diet is sure: "animal rennet". */
  readonly unless?: string;
}

/** What a cook has said that a thing is, where its name is not known. */
export interface SaidFood {
  readonly kind: FoodKind;
  readonly state: FoodState;
  readonly diet: Diet;
  readonly allergens: readonly string[];
}

const FLESH: ReadonlySet<FoodKind> = new Set([
  'poultry',
  'red meat',
  'game',
  'offal',
  'minced meat',
  'fish',
  'crustacean',
  'mollusc',
]);

/** Meat, fish and shellfish. */
export function isFlesh({ kind }: Pick<Food, 'kind'>): boolean {
  return FLESH.has(kind);
}

/** Raw meat, fish or shellfish: it wants a board of its own and the cold. */
export function isRawFlesh(food: Pick<Food, 'kind' | 'state'>): boolean {
  return food.state === 'raw' && isFlesh(food);
}

/** Rice and other grain cooked whole: not flour, starch or what is made of them. */
export function isKernel({ kind, name }: Pick<Food, 'kind' | 'name'>): boolean {
  return (
    kind === 'grain' &&
    !/flour|starch|noodle|paper|wrapper|tortilla|pasta|sheet|semolina|bran|cake|crumb|yeast|cereal/.test(name)
  );
}

/** The less strict of two diets: what one may eat who eats both. */
export function looser(one: Diet, other: Diet): Diet {
  return DIETS.indexOf(one) >= DIETS.indexOf(other) ? one : other;
}
