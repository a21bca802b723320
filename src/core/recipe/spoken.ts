import { readFood } from '@/core/food/known';
import { own } from '@/core/plain/record';
import { startsWork } from './classify';
import { NUMBER_WORDS } from './digits';
import { type ReadIngredient, readIngredient } from './ingredient-line';

const WORD = `(?:${Object.keys(NUMBER_WORDS).join('|')})`;
/** Numbers as they are spoken. */
const ONES: Readonly<Record<string, number>> = { ...NUMBER_WORDS, a: 1, an: 1, half: 0.5, couple: 2, few: 3 };
const COUNT = String.raw`(?:\d+(?:[.,/]\d+)?(?:\s?[½¼¾])?|[½¼¾⅓⅔]|half an?|an?|a couple(?: of)?|a few|${WORD}(?: hundred(?: and ${WORD})?)?)`;
/** Measures as they are spoken, by what a line of ingredients calls them. */
const MEASURES: Readonly<Record<string, string>> = {
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  kg: 'kg',
  gram: 'g',
  grams: 'g',
  g: 'g',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  liters: 'l',
  l: 'l',
  mil: 'ml',
  mils: 'ml',
  ml: 'ml',
  millilitres: 'ml',
  cup: 'cup',
  cups: 'cup',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  tbsp: 'tbsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  tsp: 'tsp',
  pound: 'lb',
  pounds: 'lb',
  lb: 'lb',
  lbs: 'lb',
  ounce: 'oz',
  ounces: 'oz',
  oz: 'oz',
  pinch: 'pinch',
  pinches: 'pinch',
  clove: 'cloves',
  cloves: 'cloves',
  sprig: 'sprig',
  sprigs: 'sprigs',
  bunch: 'bunch',
  handful: 'handful',
  tin: 'tin',
  tins: 'tins',
  can: 'can',
  cans: 'cans',
  stick: 'stick',
  sticks: 'sticks',
  slice: 'slice',
  slices: 'slices',
  glass: 'glass',
  knob: 'knob',
};
/** What ends the name of a thing in a sentence. */
const STOP = `(?:and|or|to|in|into|with|for|until|over|on|at|from|then|than|which|that|if|so|while|when|is|are|was|goes?|go|get|gets|just|thinly|finely|roughly|until|till|by|as|but|about|there|here|now|off|through|it|them|you|i|we|plus|each|again|more|stir|mix|chopped|cut|peel|peeled|sliced|diced|per|before|after|because|slice|slid|slide|turning|all|both)`;
const NAME = String.raw`((?:(?!${STOP}\b)[\p{L}’'-]{2,20}(?:\s+|(?=[^\p{L}\s]|$))){1,4})`;
const AMOUNT_OF = new RegExp(
  String.raw`(?<![\p{L}\d.,/°])(${COUNT})\s*(${Object.keys(MEASURES).join('|')})\b\.?\s+(?:of\s+)?(?:the\s+)?${NAME}`,
  'giu',
);
/** "Fifty grams of butter, fifty of flour". */
const SAME_MEASURE = new RegExp(String.raw`(?<![\p{L}\d.,/])(${COUNT})\s+of\s+${NAME}`, 'giu');
const COUNTED = new RegExp(String.raw`(?<![\p{L}\d.,/])(\d{1,3}|an?|${WORD}|a couple of|a few)\s+${NAME}`, 'giu');
/** "Joint the chickens (2 x 1.6 kg)": how much stands behind the name, in brackets. */
const IN_BRACKETS = new RegExp(
  String.raw`(?<![\p{L}])(?:the\s+)?${NAME}\((\d{1,3})(?:\s*[x×]\s*\d+(?:[.,]\d+)?)?\s*(kg|g|ml|l|oz|lbs?)\)`,
  'giu',
);
/** What is counted and is no food: lots, sides, minutes. */
const NO_FOOD =
  /^(?:the|my|this|that|each|it|us|lots?|batch(?:es)?|sides?|minutes?|mins?|hours?|seconds?|degrees?|times?|parts?|pieces?|people|pan|pot|bowl|plate|lid|boil|simmer|bit|little|wide|big bowl|dry|hot|low|high|medium|heavy|large pan|more minutes|more|cut|few|oven|water until)\b/i;

/** Longer than that no sentence is. */
const LOOKED_AT = 2000;

interface Mention {
  readonly at: number;
  readonly end: number;
  readonly read: ReadIngredient;
}

/** Ingredients that sentences speak of with how much: "half a litre of water", "two big onions". `counted`: those counted without a measure too. */
export function spokenIngredients(written: string, counted: boolean): readonly ReadIngredient[] {
  const sentence = written.slice(0, LOOKED_AT);
  const found: Mention[] = [];
  const isFree = (at: number, end: number) => found.every((each) => end <= each.at || at >= each.end);
  const add = (match: RegExpMatchArray, amount: string, measure: string, name: string, mustBeFood: boolean) => {
    const at = match.index!;
    const end = at + match[0].length;
    const called = nameIn(name);
    if (called === '' || NO_FOOD.test(called) || !isFree(at, end)) return;
    if (mustBeFood && readFood(called).foods.length === 0) return;
    const read = readIngredient(`${numberIn(amount)} ${measure} ${called}`.replace(/\s+/g, ' '));
    if (read) found.push({ at, end, read: { ...read, words: match[0].trim() } });
  };
  for (const match of sentence.matchAll(IN_BRACKETS)) {
    const lots = /[x×]/.test(match[0]);
    add(match, match[2]!, lots ? '' : MEASURES[match[3]!.toLowerCase()]!, withoutVerb(match[1]!), true);
  }
  let last = '';
  for (const match of sentence.matchAll(AMOUNT_OF)) {
    last = MEASURES[match[2]!.toLowerCase()]!;
    add(match, match[1]!, last, match[3]!, false);
  }
  if (last !== '' && counted)
    for (const match of sentence.matchAll(SAME_MEASURE)) add(match, match[1]!, last, match[2]!, true);
  if (counted) for (const match of sentence.matchAll(COUNTED)) add(match, match[1]!, '', match[2]!, true);
  return found.sort((a, b) => a.at - b.at).map(({ read }) => read);
}

/** What is worked on, without the work: "Joint the chickens". */
function withoutVerb(words: string): string {
  const thing = words.replace(/^.*\b(?:the|an?|your)\s+/i, '');
  return startsWork(thing) ? thing.replace(/^\S+\s*/, '') : thing;
}

/** The name alone, from the last words that are a food: "big onions" is onions. */
function nameIn(words: string): string {
  const plain = words.trim().replace(/[’'-]+$/, '');
  return plain.replace(/^(?:of|the|big|large|small|nice|good|whole|more|heaped|level|waxy)\s+/i, '');
}

function numberIn(words: string): string {
  const plain = words
    .toLowerCase()
    .replace(/\s+of$/, '')
    .trim();
  if (/\d|[½¼¾⅓⅔]/.test(plain)) return plain;
  if (/^half an?$/.test(plain)) return '0.5';
  const [head, hundred, , tail] = plain.replace(/^a /, '').split(' ');
  const base = own(ONES, head ?? '') ?? 1;
  return String(hundred === 'hundred' ? base * 100 + (own(ONES, tail ?? '') ?? 0) : base);
}
