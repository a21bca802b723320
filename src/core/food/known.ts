import {
  ALLERGENS,
  DIETS,
  type Diet,
  type Food,
  type FoodKind,
  type FoodState,
  isFlesh,
  KINDS,
  looser,
  type SaidFood,
} from './food';
import {
  CRUSTACEANS,
  DAIRY,
  EGGS,
  FISH,
  GAME,
  GAME_BIRDS,
  MINCED,
  MOLLUSCS,
  OFFAL,
  POULTRY,
  RED_MEAT,
} from './foods-of-animals';
import { FRUIT, GRAINS_FOOD, NUTS, PULSES_FOOD, SEEDS, SPICES, VEGETABLES } from './foods-of-plants';
import { BREADS, DRINKS, FATS, NOT_EATEN, SAUCES, STOCKS, SWEETS, WATERS } from './foods-that-are-made';
import { partsOf, plain, wordsOf } from './names';
import { COOKED_WORDS, CUTS, DESCRIBING, DESCRIBING_PHRASES, MINCING_WORDS, STOCK_WORDS, UNSURE_WORDS } from './words';

/** What a name says: the foods in it, and the words that are not known. A name is known when it has foods and nothing unknown. */
export interface NameReading {
  readonly foods: readonly Food[];
  readonly unknown: readonly string[];
}

/** Longest name of the table in words. */
const LONGEST = 5;

type Group = readonly [kind: FoodKind, state: FoodState, lines: string, all?: Partial<Food>];

const GROUPS: readonly Group[] = [
  ['poultry', 'raw', POULTRY, { allergens: [] }],
  ['poultry', 'raw', GAME_BIRDS],
  ['red meat', 'raw', RED_MEAT],
  ['minced meat', 'raw', MINCED],
  ['game', 'raw', GAME],
  ['offal', 'raw', OFFAL],
  ['fish', 'raw', FISH, { allergens: ['fish'] }],
  ['crustacean', 'raw', CRUSTACEANS, { allergens: ['crustaceans'] }],
  ['mollusc', 'raw', MOLLUSCS, { allergens: ['molluscs'] }],
  ['egg', 'raw', EGGS, { allergens: ['eggs'] }],
  ['dairy', 'ready', DAIRY, { allergens: ['milk'] }],
  ['vegetable', 'raw', VEGETABLES],
  ['fruit', 'raw', FRUIT],
  ['grain', 'raw', GRAINS_FOOD],
  ['pulse', 'raw', PULSES_FOOD],
  ['nut', 'ready', NUTS],
  ['seed', 'ready', SEEDS],
  ['spice', 'ready', SPICES],
  ['fat', 'ready', FATS],
  ['sweet', 'ready', SWEETS],
  ['bread', 'ready', BREADS],
  ['sauce', 'ready', SAUCES],
  ['stock', 'cooked', STOCKS],
  ['drink', 'ready', DRINKS],
  ['water', 'ready', WATERS],
];

/** Foods by their name in the singular. */
const TABLE: ReadonlyMap<string, Food> = new Map(GROUPS.flatMap(entriesOf));
/** Names of the table that have an "and" of their own. */
const JOINED: readonly string[] = [...TABLE.keys()].filter((name) => name.includes(' and '));
const THINGS: ReadonlySet<string> = new Set(namesOf(NOT_EATEN.trim()).map((name) => keyOf(name)));

/** All names of the table, each with its food. */
export const KNOWN_FOODS: readonly (readonly [name: string, food: Food])[] = [...TABLE];

function entriesOf([kind, state, lines, all = {}]: Group): (readonly [string, Food])[] {
  return lines
    .trim()
    .split('\n')
    .flatMap((line) => {
      const [names = '', marks = ''] = line.split('|');
      const food = withMarks(
        { kind, state, allergens: [], diet: KINDS[kind], ...all },
        marks.split(',').map((mark) => mark.trim()),
      );
      return namesOf(names).map((name) => [keyOf(name), { ...food, name }] as const);
    });
}

function namesOf(line: string): string[] {
  return line
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
}

function withMarks(food: Omit<Food, 'name'>, marks: readonly string[]): Omit<Food, 'name'> {
  const named = marks.filter((mark) => (ALLERGENS as readonly string[]).includes(mark));
  const has = (mark: string) => marks.includes(mark);
  const state = (['raw', 'cooked', 'ready'] as const).find(has) ?? food.state;
  const said = DIETS.find((diet) => has(`diet:${diet}`));
  const allergens = ALLERGENS.filter((each) => named.includes(each) || food.allergens.includes(each));
  return {
    ...food,
    state,
    allergens,
    diet: said ?? looser(food.diet, ofAnimals(allergens, has('honey'))),
    ...(has('bird') ? { bird: true } : {}),
    ...(has('kidney') ? { beans: 'kidney' } : has('other') ? { beans: 'other' } : {}),
    ...(has('spice') ? { whole: 'spice' } : has('pepper') ? { whole: 'pepper' } : {}),
    ...(has('hard') ? { hard: true } : {}),
    ...(has('honey') ? { honey: true } : {}),
    ...(has('rennet') ? { unless: 'animal rennet' } : {}),
  };
}

/** The diet that allergens and honey alone leave. */
function ofAnimals(allergens: readonly string[], honey: boolean): Diet {
  if (allergens.some((each) => each === 'fish' || each === 'crustaceans' || each === 'molluscs')) return 'with fish';
  return honey || allergens.includes('milk') || allergens.includes('eggs') ? 'vegetarian' : 'vegan';
}

/** Reads what a name says. */
export function readFood(name: string): NameReading {
  const tinned = IN_A_TIN.test(plain(name));
  const read = partsOf(name, JOINED).map((part) => readPart(part, tinned));
  const foods = read.flatMap((part) => part.foods);
  const cuts = read.flatMap((part) => part.cuts);
  const unknown = read.flatMap((part) => part.unknown);
  // "Cod steak" is cod; a steak by itself is beef. "Bean burger" is neither: what is in it is not known.
  const isNothing = foods.length === 0 && unknown.length === 0 && !read.some(({ thing }) => thing);
  if (cuts.length === 0) return { foods, unknown: isNothing ? [name.trim()] : unknown };
  if (foods.some(isFlesh)) return { foods, unknown };
  const meat = cuts.flatMap((cut) => CUTS.get(cut) ?? []).map((cut) => TABLE.get(cut)!);
  if (foods.length === 0 && unknown.length === 0 && meat.length === cuts.length) return { foods: meat, unknown };
  const isOfPlants = foods.some(({ kind }) => kind === 'vegetable' || kind === 'fruit');
  return { foods, unknown: isOfPlants ? unknown : [...unknown, ...cuts] };
}

interface ReadPart {
  /** It names something that is in a kitchen and not eaten. */
  readonly thing: boolean;
  readonly foods: readonly Food[];
  readonly cuts: readonly string[];
  readonly unknown: readonly string[];
}

/** Fish and shellfish in oil, brine or sauce come out of a tin, and were cooked in it. */
const IN_A_TIN =
  /\b(?:tuna|salmon|sardines?|mackerel|herrings?|sprats?|pilchards?|crab|mussels?|clams?|oysters?|octopus|squid) in (?:[a-z]+ )*(?:oil|brine|water|sauce|vinegar|jelly)\b/;

/** Shapes that meat is bought in, and that are made of plants as often. */
const SHAPED: ReadonlySet<string> = new Set([
  'burger',
  'hamburger',
  'slider',
  'sausage',
  'meatball',
  'kofta',
  'rissole',
  'mince',
  'meat loaf',
]);
const OF_PLANTS: ReadonlySet<FoodKind> = new Set(['vegetable', 'fruit', 'pulse', 'grain', 'nut', 'seed']);

function readPart(part: string, tinned: boolean): ReadPart {
  const words = wordsOf(part.replace(DESCRIBING_PHRASES, ' '));
  const foods: Food[] = [];
  const cuts: string[] = [];
  const unknown: string[] = [];
  let cooked = tinned;
  let minced = false;
  let stock = false;
  let free = false;
  let thing = false;
  for (let at = 0; at < words.length; ) {
    const found = longestAt(words, at);
    if (found) {
      if (found.food) foods.push(found.food);
      else thing = true;
      at += found.length;
      continue;
    }
    const word = words[at]!;
    if (word === 'gluten' && words[at + 1] === 'free') {
      free = true;
      at += 2;
      continue;
    }
    if (COOKED_WORDS.has(word)) cooked = true;
    else if (MINCING_WORDS.has(word)) minced = true;
    else if (STOCK_WORDS.has(word)) stock = true;
    else if (CUTS.has(word)) cuts.push(word);
    else if (UNSURE_WORDS.has(word) || !isDescribing(word)) unknown.push(word);
    at++;
  }
  const asOne = foods.map((food) => {
    const now = cooked ? asCooked(food) : food;
    const chopped = minced ? asMinced(now) : now;
    const poured = stock && isFlesh(food) ? asStock(food) : chopped;
    return free ? { ...poured, allergens: poured.allergens.filter((each) => each !== 'gluten') } : poured;
  });
  // A burger of lentils is no meat, and what else is in it its label says.
  const shaped = foods.filter(({ name }) => SHAPED.has(name)).map(({ name }) => name);
  if (shaped.length > 0 && foods.some(({ kind }) => OF_PLANTS.has(kind))) unknown.push(...shaped);
  // Which stock, of which meat: the word alone does not say.
  const bare = stock && !foods.some((food) => isFlesh(food) || food.kind === 'stock');
  const poured = bare && foods.some(({ kind }) => kind === 'vegetable') ? [TABLE.get('vegetable stock')!] : [];
  return {
    thing,
    foods: [...asOne, ...poured],
    cuts,
    unknown: bare && poured.length === 0 ? [...unknown, 'stock'] : unknown,
  };
}

function longestAt(
  words: readonly string[],
  at: number,
): { readonly food: Food | null; readonly length: number } | null {
  for (let length = Math.min(LONGEST, words.length - at); length > 0; length--) {
    const name = words.slice(at, at + length).join(' ');
    const food = TABLE.get(name);
    if (food) return { food, length };
    if (THINGS.has(name)) return { food: null, length };
  }
  return null;
}

function isDescribing(word: string): boolean {
  return DESCRIBING.has(word) || /^[\d.,/%½¼¾⅓⅔⅛×x-]+[a-z]{0,2}$/.test(word);
}

function asCooked(food: Food): Food {
  const { beans: _, ...rest } = food;
  return { ...rest, state: 'cooked' };
}

function asMinced(food: Food): Food {
  if (food.kind === 'poultry') return { ...food, kind: 'minced meat', bird: true };
  return food.kind === 'red meat' || food.kind === 'game' ? { ...food, kind: 'minced meat' } : food;
}

function asStock({ name, allergens, diet }: Food): Food {
  return {
    name: `${name} stock`,
    kind: 'stock',
    state: 'cooked',
    allergens: ALLERGENS.filter((each) => each === 'celery' || allergens.includes(each)),
    diet,
  };
}

function keyOf(name: string): string {
  return wordsOf(name).join(' ');
}

/** The name under which an answer is remembered: small letters, singular, without accents. */
export function rememberedAs(name: string): string {
  return keyOf(name);
}

/** What stands in a dish by a name, with what the cook has said of it. */
export interface Named {
  readonly name: string;
  readonly food?: SaidFood;
}

const read = new Map<string, NameReading>();
const MOST_KEPT = 5000;

/** The foods of a thing: as the cook has said, else by its name. */
export function foodsOf({ name, food }: Named): readonly Food[] {
  return food ? [{ name, ...food }] : readingOf(name).foods;
}

/** Words of its name that nobody knows; empty when it is known or the cook has said what it is. */
export function unknownIn({ name, food }: Named): readonly string[] {
  return food ? [] : readingOf(name).unknown;
}

/** Reading a name is pure and asked for at every glance: it is kept. */
function readingOf(name: string): NameReading {
  const kept = read.get(name);
  if (kept) return kept;
  if (read.size >= MOST_KEPT) read.clear();
  const fresh = readFood(name);
  read.set(name, fresh);
  return fresh;
}
