import { allergensIn } from '@/core/dish/diet';
import { own } from '@/core/plain/record';
import type { Amount, Unit } from '@/core/units/amount';
import { readQuantity } from '@/core/units/measures';
import { westernDigits } from './digits';
import { COLUMN } from './taken-apart';

/** A line of a recipe's ingredients, read. */
export interface ReadIngredient {
  /** The line as it stood. */
  readonly words: string;
  readonly name: string;
  readonly amount: Amount;
  readonly cut?: string;
  readonly allergens: readonly string[];
  /** Both an amount and a name were found. */
  readonly sure: boolean;
}

/** Words for units: what they mean here, and how many of it. What is written in cups, ounces and pounds stays so. */
const UNIT_WORDS: Readonly<Record<string, readonly [Unit, number]>> = {
  g: ['g', 1],
  gr: ['g', 1],
  gram: ['g', 1],
  grams: ['g', 1],
  gramme: ['g', 1],
  grammes: ['g', 1],
  kg: ['kg', 1],
  kilo: ['kg', 1],
  kilos: ['kg', 1],
  kilogram: ['kg', 1],
  kilograms: ['kg', 1],
  oz: ['oz', 1],
  ounce: ['oz', 1],
  ounces: ['oz', 1],
  lb: ['lb', 1],
  lbs: ['lb', 1],
  pound: ['lb', 1],
  pounds: ['lb', 1],
  ml: ['ml', 1],
  millilitre: ['ml', 1],
  millilitres: ['ml', 1],
  milliliters: ['ml', 1],
  cl: ['ml', 10],
  dl: ['ml', 100],
  l: ['l', 1],
  litre: ['l', 1],
  litres: ['l', 1],
  liter: ['l', 1],
  liters: ['l', 1],
  cup: ['us-cup', 1],
  cups: ['us-cup', 1],
  c: ['us-cup', 1],
  pint: ['ml', 500],
  pints: ['ml', 500],
  quart: ['us-cup', 4],
  quarts: ['us-cup', 4],
  tsp: ['tsp', 1],
  tsps: ['tsp', 1],
  teaspoon: ['tsp', 1],
  teaspoons: ['tsp', 1],
  tbsp: ['tbsp', 1],
  tbsps: ['tbsp', 1],
  tablespoon: ['tbsp', 1],
  tablespoons: ['tbsp', 1],
  tbs: ['tbsp', 1],
  pinch: ['pinch', 1],
  pinches: ['pinch', 1],
  dash: ['pinch', 1],
  handful: ['g', 25],
  handfuls: ['g', 25],
  knob: ['g', 20],
  clove: ['clove', 1],
  cloves: ['clove', 1],
  bunch: ['bunch', 1],
  bunches: ['bunch', 1],
  sprig: ['sprig', 1],
  sprigs: ['sprig', 1],
  leaf: ['leaf', 1],
  leaves: ['leaf', 1],
  stick: ['stick', 1],
  sticks: ['stick', 1],
  stalk: ['stick', 1],
  stalks: ['stick', 1],
  rib: ['stick', 1],
  ribs: ['stick', 1],
  tin: ['tin', 1],
  tins: ['tin', 1],
  can: ['tin', 1],
  cans: ['tin', 1],
  jar: ['tin', 1],
  slice: ['slice', 1],
  slices: ['slice', 1],
  sheet: ['sheet', 1],
  sheets: ['sheet', 1],
  'cup-of-250': ['cup', 1],
  piece: ['piece', 1],
  pieces: ['piece', 1],
};
/** Measures of more than one word, in several languages, as one word that is known. */
const LONG_UNITS: readonly (readonly [RegExp, string])[] = [
  [/(?:c\.?|cuill(?:[eè]re|\.)?s?)\s*à\s*(?:s(?:oupe)?\b\.?|soupe)|\bc\.?\s?à\.?\s?s\b\.?/gi, 'tbsp'],
  [/(?:c\.?|cuill(?:[eè]re|\.)?s?)\s*à\s*(?:c(?:af[eé])?\b\.?|caf[eé])|\bc\.?\s?à\.?\s?c\b\.?/gi, 'tsp'],
  [/\b(?:EL|Esslöffel|cucharadas?|yemek kaşığı)(?![\p{L}])/giu, 'tbsp'],
  [/\b(?:TL|Teelöffel|cucharaditas?|çay kaşığı|tatlı kaşığı)(?![\p{L}])/giu, 'tsp'],
  [/(?:قاشق غذاخوری|قاشق سوپخوری|ملعقة كبيرة|ملاعق كبيرة|बड़ा चम्मच|बड़े चम्मच)/gu, 'tbsp '],
  [/(?:قاشق چای ?خوری|قاشق مرباخوری|ملعقة صغيرة|ملاعق صغيرة|छोटा चम्मच|छोटे चम्मच)/gu, 'tsp '],
  [/\b(?:tazas?|tasses?|su bardağı|Tassen?)(?![\p{L}])/giu, 'cup-of-250 '],
  [/(?:پیمانه|لیوان|كوب|أكواب|कप)/gu, 'cup-of-250 '],
  [/(?:گرم|غرام|جرام|ग्राम)/gu, 'g '],
  [/(?:کیلو(?:گرم)?|كيلو(?:غرام|جرام)?|किलो)/gu, 'kg '],
  [/(?:میلی ?لیتر|مل(?![\p{L}])|मिली)/gu, 'ml '],
  [/(?:لیتر|لتر|लीटर)/gu, 'l '],
  [/\b(?:Stück|unidades|adet|عدد)(?![\p{L}])/giu, 'pieces'],
  [/\b(?:Zehen?|gousses?|dientes?|diş)(?![\p{L}])/giu, 'cloves'],
  [/\b(?:Prisen?|pinc[eé]es?|pizcas?|tutam)(?![\p{L}])/giu, 'pinch'],
  [/\b(?:Bund|bottes?|manojos?|demet)(?![\p{L}])/giu, 'bunch'],
  [/\b(?:Dosen?|latas?|bo[iî]tes?|kutu)(?![\p{L}])/giu, 'tin'],
];
const SIZES = /^(large|small|medium|big|heaped|level|generous|good|fresh|ripe|whole|of)\s+/i;
/** No line for an ingredient is longer: what comes after is kept in its words only. */
const LONGEST = 500;
/** Nobody cooks with more of a thing than this; a longer row of figures is no amount. */
const MOST = 1_000_000;
const BULLET = /^[\s\-–—•*·▢☐□]+/;

/** Reads one line: "2 1/2 cups (600 ml) hot stock, strained". Null for an empty line or a heading ("For the sauce:"). */
export function readIngredient(line: string): ReadIngredient | null {
  const words = line.replace(BULLET, '').replace(/\s+/g, ' ').trim();
  if (words === '' || /:$/.test(words)) return null;
  const bare = withPlainUnits(
    words
      .slice(0, LONGEST)
      .replace(/ ?\([^()]*\)/g, '')
      .trim(),
  );
  const juice = bare.match(/^(?:the )?((?:finely |grated )?(?:juice|zest)(?: and (?:juice|zest))?) of (.+)$/i);
  if (juice) {
    const inner = readIngredient(juice[2]!);
    return inner && { ...inner, words, cut: juice[1]!.toLowerCase() };
  }
  // "Red lentils - 200 g": the amount after the name.
  const turned = bare.match(/^([a-z][^\d,]*?)\s*[-–—:]\s+(\d.*)$/i);
  const { quantity: found, rest } = leadingQuantity(turned ? `${turned[2]} ${turned[1]}` : bare);
  const quantity = found !== null && found <= MOST ? found : null;
  const { unit, times, after } = leadingUnit(rest, quantity !== null);
  const [name, ...cuts] = after.split(',').map((part) => part.trim());
  const toTaste = cuts.some((part) => /to taste|as needed|optional/i.test(part)) || /\bto taste\b/i.test(after);
  const cut = cuts.filter((part) => part !== '' && !/to taste|as needed|optional/i.test(part)).join(', ');
  const plain = (name ?? '').replace(/\s+to taste$/i, '').trim();
  if (plain === '')
    return { words, name: words, amount: { quantity: 1, unit: 'piece' }, allergens: allergensIn(words), sure: false };
  const amount: Amount =
    quantity === null
      ? { quantity: 1, unit: toTaste || /\b(salt|pepper|oil)\b/i.test(plain) ? 'pinch' : 'piece' }
      : { quantity: Number((quantity * times).toFixed(3)), unit };
  return {
    words,
    name: plain,
    amount,
    ...(cut ? { cut } : {}),
    allergens: allergensIn(plain),
    sure: quantity !== null,
  };
}

/** "300ml/½ pint", "1 lb / 450 g": the first measure counts, and the other says the same. */
const SAME_AGAIN =
  /^(\s*[\d.,/⁄½¼¾⅓⅔⅛ ]*\d?[½¼¾⅓⅔⅛]?\s*(?:kg|g|ml|l|oz|lbs?|cups?|tbsp|tsp|pints?))\s*[/|]\s*[\d.,½¼¾⅓⅔⅛ ]+\s*(?:fl\.?\s*)?(?:kg|g|ml|l|oz|lbs?|cups?|pints?|quarts?)\b\.?/i;

/** A line with its measures as words that are known, in whatever language, and said once. */
function withPlainUnits(line: string): string {
  const known = LONG_UNITS.reduce((text, [pattern, unit]) => text.replace(pattern, ` ${unit} `), westernDigits(line));
  return known
    .replace(/\s+/g, ' ')
    .trim()
    .replace(SAME_AGAIN, '$1')
    .replace(/^(\S*\d\S*(?: [a-z]+)?) [–—-] (?=\D)/i, '$1 ');
}

/** "pinch of salt": one of it. */
const LONE_UNIT = /^(?:good |large |small )?(?:pinch|handful|dash|knob|bunch|sprig)\b/i;

/** The longest number at the beginning; of "2-3" or "2 to 3" the middle. */
function leadingQuantity(text: string): { readonly quantity: number | null; readonly rest: string } {
  const range = text.match(/^([\d.,/⁄½¼¾⅓⅔⅛ ]+?)\s*(?:-|–|to|or)\s*([\d.,/⁄½¼¾⅓⅔⅛]+)\s*(.*)$/i);
  if (range) {
    const [low, high] = [readQuantity(range[1]!), readQuantity(range[2]!)];
    if (low !== null && high !== null && high >= low) return { quantity: (low + high) / 2, rest: range[3]! };
  }
  const found = text.match(
    /^(?:about|approx\.?|roughly|ca\.?|around)?\s*((?:\d+(?:[.,]\d+)?\s+)?\d*\s*[/⁄]?\s*\d*[½¼¾⅓⅔⅛⅜⅝⅞]?)\s*(.*)$/i,
  );
  const number = found ? readQuantity(found[1]!.trim()) : null;
  if (found && number !== null && found[1]!.trim() !== '') return { quantity: number, rest: stripTimes(found[2]!) };
  const word = text.match(/^(a few|a couple of|an?|one|half an?|a half|two|three|four|six)\s+(.+)$/i);
  if (word) {
    const counts: Readonly<Record<string, number>> = {
      'a few': 3,
      'a couple of': 2,
      two: 2,
      three: 3,
      four: 4,
      six: 6,
    };
    const value = own(counts, word[1]!.toLowerCase()) ?? readQuantity(word[1]!);
    if (value !== null) return { quantity: value, rest: word[2]! };
  }
  return LONE_UNIT.test(text) ? { quantity: 1, rest: text } : { quantity: null, rest: text };
}

/** "2 x 400 g tins": the number of tins counts. */
function stripTimes(rest: string): string {
  return rest.replace(/^[x×]\s*[\d.,]+\s*(g|ml|kg|l)\b\s*/i, '');
}

function leadingUnit(
  text: string,
  counted: boolean,
): { readonly unit: Unit; readonly times: number; readonly after: string } {
  const rest = text.replace(SIZES, '');
  const found = rest.match(/^([a-z][a-z\d-]*)\.?\s+(?:(?:of|de|d'|von|di)\s+)?(.+)$/i);
  const known = found && counted ? own(UNIT_WORDS, found[1]!.toLowerCase()) : undefined;
  if (found && known) return { unit: known[0], times: known[1], after: found[2]!.replace(SIZES, '') };
  return { unit: 'piece', times: 1, after: rest };
}

const AND =
  /^((?:fine |sea |coarse |table )*salt)(?: and | & |, )((?:freshly )?(?:ground )?(?:black |white )?pepper)\b(.*)$/i;

/** A line with all that it names: "salt & pepper" is two things, and so are two columns of amounts side by side. */
export function readIngredients(line: string): readonly ReadIngredient[] {
  const columns = line.split(COLUMN);
  const isList = columns.length > 1 && columns.every((each) => /^\W*(?:\d|[½¼¾⅓⅔])/.test(each));
  const parts = isList ? columns : [line];
  return parts.flatMap((part) => {
    const both = part.replace(BULLET, '').trim().match(AND);
    const read = both ? [both[1]! + both[3]!, both[2]! + both[3]!].map(readIngredient) : [readIngredient(part)];
    return read.flatMap((each) => (each ? [both ? { ...each, words: part.replace(BULLET, '').trim() } : each] : []));
  });
}
