import { allergensIn } from '@/core/dish/diet';
import { readFood } from '@/core/food/known';
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
  [/(?<![\p{L}])(?:EL|Esslöffel|cucharadas?|yemek kaşığı)(?![\p{L}])/giu, 'tbsp'],
  [/(?<![\p{L}])(?:TL|Teelöffel|cucharaditas?|çay kaşığı|tatlı kaşığı)(?![\p{L}])/giu, 'tsp'],
  [/(?:قاشق غذاخوری|قاشق سوپخوری|ملعقة كبيرة|ملاعق كبيرة|बड़ा चम्मच|बड़े चम्मच)/gu, 'tbsp '],
  [/(?:قاشق چای ?خوری|قاشق مرباخوری|ملعقة صغيرة|ملاعق صغيرة|छोटा चम्मच|छोटे चम्मच)/gu, 'tsp '],
  [/(?<![\p{L}])(?:tazas?|tasses?|su bardağı|Tassen?)(?![\p{L}])/giu, 'cup-of-250 '],
  [/(?:حبات|حبة|حبّات)(?![\p{L}])/gu, 'pieces '],
  [/(?:پیمانه|لیوان|كوب|أكواب|कप)/gu, 'cup-of-250 '],
  [/(?<![\p{L}])(?:gramm?os?|gramm|gram)(?![\p{L}])/giu, 'g '],
  [/(?<![\p{L}])(?:litros?)(?![\p{L}])/giu, 'l '],
  [/(?:گرم|غرام|جرام|ग्राम)/gu, 'g '],
  [/(?:کیلو(?:گرم)?|كيلو(?:غرام|جرام)?|किलो)/gu, 'kg '],
  [/(?:میلی ?لیتر|مل(?![\p{L}])|मिली)/gu, 'ml '],
  [/(?:لیتر|لتر|लीटर)/gu, 'l '],
  [/(?<![\p{L}])(?:Stück|unidades|adet|عدد)(?![\p{L}])/giu, 'pieces'],
  [/(?<![\p{L}])(?:Zehen?|gousses?|dientes?|diş)(?![\p{L}])/giu, 'cloves'],
  [/(?<![\p{L}])(?:Prisen?|pinc[eé]es?|pizcas?|tutam)(?![\p{L}])/giu, 'pinch'],
  [/(?<![\p{L}])(?:brins?|ramitas?|Zweige?|dal)(?![\p{L}])/giu, 'sprigs'],
  [/(?<![\p{L}])(?:Bund|bottes?|manojos?|demet)(?![\p{L}])/giu, 'bunch'],
  [/(?<![\p{L}])(?:Dosen?|latas?|bo[iî]tes?|kutu)(?![\p{L}])/giu, 'tin'],
];
const SIZES =
  /^(?:(?:extra[- ])?large|lge?\.?|small|sm\.?|medium(?:-sized)?|med\.?|big|heaped|heaping|rounded|scant|packed|level|generous|of|thumb(?:-sized piece)? of|(?:pkgs?|packages?|packets?|packs?|pkts?|boxe?s?|bags?|pans?|glass|heads?|bottles?|tubs?)\b\.?(?: of)?)\s+/i;
/** "3 garlic cloves": the measure behind its name. A bay leaf is one by its name. */
const UNIT_BEHIND = /^(?!bay\b|lime\b|vine\b|cinnamon\b)(\p{L}[\p{L} -]*?)\s+(cloves?|sticks?|stalks?|sprigs?)$/iu;
/** "Milk 200ml", "tomato paste 2 tbsp", "pancetta 100". */
const AMOUNT_BEHIND =
  /^(\p{L}[^\d()½¼¾⅓⅔⅛]*?)\s*[-–—:,]?\s*\(?(\d+(?:[.,/]\d+)?|[½¼¾⅓⅔⅛]|\d+ ?[½¼¾])\s*(kg|g|gr|ml|cl|dl|l|litres?|liters?|oz|lbs?|cups?|tbsp|tsp|tins?|cans?|cloves?)?\)?\.?(?:,\s*(.*))?$/iu;
/** A bare number as large as that is of grams, or of millilitres where it pours. Common practice, no source. */
const LEAST_BARE = 20;
const POURS = /\b(?:stock|broth|water|milk|cream|wine|oil|juice|cider|beer|vinegar)\b/i;
/** No line for an ingredient is longer: what comes after is kept in its words only. */
const LONGEST = 500;
/** Nobody cooks with more of a thing than this; a longer row of figures is no amount. */
const MOST = 1_000_000;
const SEASONING =
  /(?<![\p{L}])(?:salt|pepper|oil|salz|pfeffer|sel|poivre|sal|pimienta|tuz|karabiber|نمک|فلفل|ملح|فلفل|नमक)(?![\p{L}])/iu;
const PLAIN_SEASONING =
  /^(?:(?:fine|sea|coarse|kosher|table|flaky|freshly|ground|black|white|milled|cracked) )*(?:salt|pepper|salz|pfeffer|sel|poivre|sal|pimienta|tuz|karabiber|نمک|ملح|नमक)$/iu;
/** What a weight comes in. */
const PACKED = /^(?:tins?|cans?|jars?|packets?|packs?|pkgs?\.?|cartons?|bags?|blocks?|bottles?)(?: of)? (?=\p{L})/iu;
const BULLET = /^[\s\-–—•*·▢☐□]+/;

/** Reads one line: "2 1/2 cups (600 ml) hot stock, strained". Null for an empty line or a heading ("For the sauce:"). */
export function readIngredient(line: string): ReadIngredient | null {
  const words = line.replace(BULLET, '').replace(/\s+/g, ' ').trim();
  if (words === '' || /:$/.test(words)) return null;
  const head = words.slice(0, LONGEST);
  const bare = withPlainUnits(behindToFront(head) ?? head.replace(/ ?\([^()]*\)/g, '').trim());
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
  const [called, ...cuts] = after.split(',').map((part) => part.trim());
  const behind = unit === 'piece' && quantity !== null ? (called ?? '').match(UNIT_BEHIND) : null;
  const name = behind ? behind[1]! : called;
  const toTaste = cuts.some((part) => /to taste|as needed|optional/i.test(part)) || /\bto taste\b/i.test(after);
  const cut = cuts.filter((part) => part !== '' && !/to taste|as needed|optional/i.test(part)).join(', ');
  const plain = (name ?? '').replace(/\s+to taste$/i, '').trim();
  if (plain === '')
    return { words, name: words, amount: { quantity: 1, unit: 'piece' }, allergens: allergensIn(words), sure: false };
  const amount: Amount =
    quantity === null
      ? { quantity: 1, unit: toTaste || SEASONING.test(plain) ? 'pinch' : 'piece' }
      : {
          quantity: Number((quantity * times).toFixed(3)),
          unit: behind ? UNIT_WORDS[behind[2]!.toLowerCase()]![0] : unit,
        };
  return {
    words,
    name: plain,
    amount,
    ...(cut ? { cut } : {}),
    allergens: allergensIn(plain),
    // How much salt is never in doubt.
    sure: quantity !== null || PLAIN_SEASONING.test(plain),
  };
}

/** An amount that stands behind its name, before it; null where the line begins with one or has none. */
function behindToFront(line: string): string | null {
  const match = /^\W*[\d½¼¾⅓⅔⅛]/.test(line) ? null : line.match(AMOUNT_BEHIND);
  if (!match) return null;
  const [, name, amount, unit, cut] = match;
  const bare = unit === undefined && Number(amount) >= LEAST_BARE;
  const measure = unit ?? (bare ? (POURS.test(name!) ? 'ml' : 'g') : '');
  const plain = name!
    .replace(/^(?:an?|one) (?=\p{L}+ )/iu, '')
    .replace(SIZES, '')
    .trim();
  return `${amount} ${measure} ${plain}${cut ? `, ${cut}` : ''}`.replace(/\s+/g, ' ');
}

/** "300ml/½ pint", "1 lb / 450 g": the first measure counts, and the other says the same. */
const SAME_AGAIN =
  /^(\s*[\d.,/⁄½¼¾⅓⅔⅛ ]*\d?[½¼¾⅓⅔⅛]?\s*(?:kg|g|ml|l|oz|lbs?|cups?|tbsp|tsp|pints?))\s*[/|]\s*[\d.,½¼¾⅓⅔⅛ ]+\s*(?:fl\.?\s*)?(?:kg|g|ml|l|oz|lbs?|cups?|pints?|quarts?)\b\.?(?:\s*\d+[½¼¾]?\s*oz\b\.?)?/i;

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
  // A great T is a tablespoon and a small one a teaspoon, by old custom.
  const said = found?.[1] ?? '';
  const unit = said === 'T' ? 'tbsp' : said === 't' ? 'tsp' : said.toLowerCase();
  const known = counted ? own(UNIT_WORDS, unit) : undefined;
  if (found && known)
    return { unit: known[0], times: known[1], after: found[2]!.replace(SIZES, '').replace(PACKED, '') };
  return { unit: 'piece', times: 1, after: rest };
}

/** "Salt & pepper", "Salz und Pfeffer", "Sel, poivre": two things; what stands before or after belongs to both. */
const SALT_AND_PEPPER =
  /^((?:fine |sea |coarse |table |kosher )*(?:salt|salz|sel|sal|tuz|s\.?))\s*(?:and|und|et|y|e|ve|&|\+|,|\/)\s*((?:freshly )?(?:ground |milled |cracked )?(?:black |white )?(?:pepper|pfeffer|poivre|pimienta|karabiber|p\.?))(?![\p{L}])(.*)$/iu;
/** "S & P" is written so, and nothing else is. */
const LETTERS: Readonly<Record<string, string>> = { s: 'salt', p: 'pepper' };

/** A line with all that it names: "salt & pepper" is two things, and so are two columns of amounts side by side. */
export function readIngredients(line: string): readonly ReadIngredient[] {
  const columns = line.split(COLUMN);
  const isList = columns.length > 1 && columns.every((each) => /^\W*(?:\d|[½¼¾⅓⅔])/.test(each));
  return (isList ? columns : [line]).flatMap(readEach);
}

/** Not "chopped" or "to taste": a food by itself. */
const startsAsFood = (name: string) =>
  !/^(?:to |for |chopped|sliced|diced|peeled|grated|melted|softened|ground|fresh$|dried$)/i.test(name);

/** "Onion, carrot, celery - 1 each". */
const EACH =
  /^([^\d]{3,80}?)\s*[-–—:,]?\s*(\d+(?:[.,]\d+)?\s*(?:kg|g|ml|l|oz|lbs?|tbsp|tsp)?|one|two|half an?)\s+(?:of )?each\b(.*)$/i;

function readEach(line: string): readonly ReadIngredient[] {
  const words = line.replace(BULLET, '').trim();
  const both = words.match(SALT_AND_PEPPER);
  const again = (parts: readonly string[]) =>
    parts.flatMap((part) => {
      const read = readIngredient(part);
      return read ? [{ ...read, words }] : [];
    });
  if (both)
    return again(
      [both[1]!, both[2]!].map((each) => `${own(LETTERS, each.replace('.', '').toLowerCase()) ?? each}${both[3]}`),
    );
  const each = words.match(EACH);
  if (each) {
    const names = each[1]!.split(/,| and | & /).map((name) => name.trim());
    if (names.length > 1 && names.every((name) => name !== ''))
      return again(names.map((name) => `${each[2]} ${name}${each[3]}`));
  }
  // "Thyme, bay": two things that are known, and nothing said of either.
  const things = words.split(/, | and | & /).map((name) => name.trim());
  if (
    things.length > 1 &&
    !/\d/.test(words) &&
    things.every((name) => name.split(' ').length <= 3 && readFood(name).foods.length > 0 && startsAsFood(name))
  )
    return again(things);
  return again([words]);
}
