import type { Dish } from '@/core/dish/dish';
import { holdsKind } from '@/core/dish/foods';

/** Parts that a dish may play in a meal, by the word that a cook asks for it with. */
export const ROLES = [
  'grain',
  'one pot',
  'braise',
  'roast',
  'curry',
  'fish',
  'soup',
  'pulses',
  'eggs',
  'fried',
  'side',
  'salad',
  'cold',
  'bread',
  'sauce',
] as const;
/** One of them. */
export type Role = (typeof ROLES)[number];

/** Something that shall be on the menu. */
export interface Want {
  /** As it was said. */
  readonly says: string;
  readonly role: Role | null;
  /** Words that stand in the name of the dish or in what goes in; empty where only the role was said. */
  readonly words: readonly string[];
}

/** Words of a cook for each role. */
const SAID: readonly (readonly [Role, RegExp])[] = [
  ['one pot', /^(?:one[- ]pot(?: dish)?|layered|sealed|pot dish|turned out)$/],
  ['grain', /^(?:grain|grains|starch|pilaf)$/],
  ['braise', /^(?:braise|braises|stew|stews|meat|main|main dish|something braised)$/],
  ['roast', /^(?:roast|roasts|joint|something baked|baked)$/],
  ['curry', /^(?:curry|curries)$/],
  ['fish', /^(?:fish|shellfish|seafood)$/],
  ['soup', /^(?:soup|soups|broth|starter)$/],
  ['pulses', /^(?:pulses|pulse|beans|lentils)$/],
  ['eggs', /^(?:egg|eggs)$/],
  ['fried', /^(?:fried|something fried|fritters?)$/],
  ['side', /^(?:side|sides|side dish|side dishes|vegetable|vegetables|veg|greens|something green)$/],
  ['salad', /^(?:salad|salads|something fresh|something raw)$/],
  ['cold', /^(?:cold|something cold|cold side|relish|relishes|pickle|pickles|something sour|yogurt)$/],
  ['bread', /^(?:bread|breads|flatbread|flatbreads)$/],
  ['sauce', /^(?:sauce|sauces|something to pour over)$/],
];
const NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  the: 1,
  one: 1,
  some: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
};
const MOST_OF_ONE = 5;
/** Words that say nothing of what it is. */
const EMPTY = /^(?:of|with|and|for|the|a|an|some|dish|dishes|kind|something|else|more)$/;

/** What a cook asks for in a few words: "a grain, a braise, two sides, something cold", or names; in the order they are said. */
export function readWants(text: string): readonly Want[] {
  return text
    .toLowerCase()
    .split(/[,;\n+&]|\band\b/)
    .map((piece) => piece.trim().replace(/[.!?]+$/, ''))
    .filter((piece) => piece !== '')
    .flatMap(wantsIn);
}

function wantsIn(piece: string): readonly Want[] {
  const [first = '', ...rest] = piece.split(/\s+/);
  const number = NUMBERS[first] ?? (/^\d$/.test(first) ? Number(first) : null);
  const named = number === null || rest.length === 0 ? piece : rest.join(' ');
  const role = SAID.find(([, said]) => said.test(named))?.[0] ?? roleOfLast(named);
  const words = (SAID.some(([, said]) => said.test(named)) ? [] : named.split(/[\s-]+/)).filter(
    (word) => !EMPTY.test(word) && !SAID.some(([, said]) => said.test(word)),
  );
  // "the", "some more": nothing that could be looked for.
  if (role === null && words.length === 0) return [];
  const want: Want = { says: named, role, words: words.map(stem) };
  return Array.from({ length: Math.min(MOST_OF_ONE, Math.max(1, number ?? 1)) }, () => want);
}

/** "lamb stew", "green salad": the last word says what part it plays. */
function roleOfLast(named: string): Role | null {
  const last = named.split(/\s+/).at(-1) ?? '';
  return SAID.find(([, said]) => said.test(last))?.[0] ?? null;
}

/** One and several of a thing are the same word. */
const stem = (word: string) => word.replace(/(?:ies|es|s|y)$/, '');

/** Techniques and what part a dish of theirs plays. Those of a family of one part are told by the family. */
const PLAYED: Readonly<Record<string, readonly Role[]>> = {
  layered: ['one pot', 'grain'],
  'turned-out': ['one pot', 'grain'],
  'meat-pilaf': ['one pot', 'grain'],
  braise: ['braise'],
  'braise-oven': ['braise'],
  'own-juices': ['braise'],
  'boiled-meat': ['braise'],
  meatballs: ['braise'],
  'yogurt-curry': ['curry', 'braise'],
  roast: ['roast'],
  'baked-pieces': ['roast'],
  'pan-meat': ['roast'],
  curry: ['curry'],
  'coconut-curry': ['curry'],
  soup: ['soup'],
  'pulses-soaked': ['pulses'],
  'pulses-quick': ['pulses'],
  'pulses-pressure': ['pulses'],
  'fish-parcel': ['fish'],
  'fish-seared': ['fish'],
  eggs: ['eggs'],
  omelette: ['eggs'],
  'deep-fried': ['fried'],
  'stir-fry': ['side'],
  'fried-layers': ['side'],
  'roast-vegetables': ['side'],
  greens: ['side'],
  stuffed: ['side', 'one pot'],
  salad: ['salad', 'cold'],
  'salt-drained': ['salad', 'cold'],
  relish: ['cold', 'sauce'],
  'yogurt-side': ['cold'],
  pickle: ['cold'],
  'spiced-butter': ['sauce'],
  // What is strewn over goes with what is poured over.
  nuts: ['sauce'],
  'crisp-onions': ['sauce'],
  'stirred-grain': ['grain'],
  'fried-grain': ['grain'],
  'pepper-sauce': ['sauce'],
  flatbread: ['bread'],
  'oven-bread': ['bread'],
  'steamed-filled': ['bread'],
};

/** Words in a name by which a dish that was written by hand says what it is. */
const NAMED: readonly (readonly [Role, RegExp])[] = [
  ['soup', /soup|broth/i],
  ['curry', /curry/i],
  ['salad', /salad/i],
  ['bread', /bread|loaf|loaves|buns?\b/i],
  ['roast', /roast|baked/i],
  ['braise', /brais|stew|cheek|shank/i],
  ['cold', /pickle|relish|yogurt|cream\b/i],
  ['pulses', /bean|lentil|chickpea|peas\b/i],
  ['eggs', /\beggs?\b|omelette/i],
];

/** What parts a dish plays in a meal: by how it was made, else by its name and what is in it. Never none. */
export function rolesOf(dish: Dish): readonly Role[] {
  const technique = dish.made?.technique;
  const fish = holdsKind(dish, 'fish', 'crustacean', 'mollusc');
  const played = technique === undefined ? undefined : PLAYED[technique];
  if (played) return fish && !played.includes('fish') ? [...played, 'fish'] : played;
  if (dish.grain) return ['grain'];
  const named = NAMED.filter(([, words]) => words.test(dish.name)).map(([role]) => role);
  if (fish) return ['fish', ...named];
  if (named.length > 0) return named;
  if (dish.lands?.waits.served === 'cold') return ['cold'];
  return holdsKind(dish, 'red meat', 'poultry', 'game', 'minced meat', 'offal') ? ['braise'] : ['side'];
}
