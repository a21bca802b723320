import { own } from '@/core/plain/record';
import { say } from '@/core/say/say';

/** Measures as cooks of different countries use them, and the ways between them. */
export type MeasureSort = 'volume' | 'mass' | 'length' | 'temperature';

/** Something to measure with. `size` in millilitres, grams or centimetres, by its sort. */
export interface Measure {
  readonly id: string;
  /** As it is written after a number: "cups" for more than one. */
  readonly name: string;
  readonly plural: string;
  readonly sort: MeasureSort;
  /** In ml, g or cm; temperatures have none. */
  readonly size: number;
  /** Whose it is, where countries differ. */
  readonly of?: 'US' | 'metric' | 'imperial' | 'Australian';
}

const volume = (id: string, name: string, plural: string, size: number, of?: Measure['of']): Measure => ({
  id,
  name,
  plural,
  sort: 'volume',
  size,
  ...(of ? { of } : {}),
});

/**
 * Sources, from memory: US measures NIST Handbook 44; imperial the Weights and Measures Act 1985; the metric cup and spoons common
 * national practice; the Australian tablespoon AS 1325.
 */
export const MEASURES: readonly Measure[] = [
  volume('ml', 'ml', 'ml', 1),
  volume('l', 'l', 'l', 1000),
  volume('tsp', 'tsp', 'tsp', 5, 'metric'),
  volume('tbsp', 'tbsp', 'tbsp', 15, 'metric'),
  volume('tbsp-au', 'tbsp', 'tbsp', 20, 'Australian'),
  volume('cup', 'cup', 'cups', 250, 'metric'),
  volume('tsp-us', 'tsp', 'tsp', 4.928_921_594, 'US'),
  volume('tbsp-us', 'tbsp', 'tbsp', 14.786_764_781, 'US'),
  volume('cup-us', 'cup', 'cups', 236.588_236_5, 'US'),
  volume('floz-us', 'fl oz', 'fl oz', 29.573_529_563, 'US'),
  volume('pint-us', 'pint', 'pints', 473.176_473, 'US'),
  volume('quart-us', 'quart', 'quarts', 946.352_946, 'US'),
  volume('floz-imp', 'fl oz', 'fl oz', 28.413_062_5, 'imperial'),
  volume('pint-imp', 'pint', 'pints', 568.261_25, 'imperial'),
  // Common practice, no source: sixteen pinches to a teaspoon.
  volume('pinch', 'pinch', 'pinches', 0.31),
  volume('tin', 'tin of coconut milk', 'tins of coconut milk', 400),
  { id: 'g', name: 'g', plural: 'g', sort: 'mass', size: 1 },
  { id: 'kg', name: 'kg', plural: 'kg', sort: 'mass', size: 1000 },
  { id: 'oz', name: 'oz', plural: 'oz', sort: 'mass', size: 28.349_523_125 },
  { id: 'lb', name: 'lb', plural: 'lb', sort: 'mass', size: 453.592_37 },
  { id: 'cm', name: 'cm', plural: 'cm', sort: 'length', size: 1 },
  { id: 'inch', name: 'inch', plural: 'inches', sort: 'length', size: 2.54 },
];

/** The measure of an id; throws where there is none. */
export function measureOf(id: string): Measure {
  const found = MEASURES.find((each) => each.id === id);
  if (!found) throw new Error(`There is no measure "${id}".`);
  return found;
}

/** A vessel of the cook's own that measures: a mug, a tin, the blue cup. Measured once, in ml. */
export interface OwnMeasure {
  readonly id: string;
  readonly name: string;
  readonly millilitres: number;
}

/** The smallest mug of one's own, millilitres. */
export const LEAST_OWN = 5;
/** The largest mug of one's own, millilitres. */
export const MOST_OWN = 5000;

/** What is wrong with an own measure, in words; null when nothing is. */
export function ownFault({ name, millilitres }: Omit<OwnMeasure, 'id'>): string | null {
  if (name.trim() === '') return say('Name: it needs one, such as “the blue mug”.');
  if (name.length > 40) return say('Name: 40 letters at most.');
  if (!(millilitres >= LEAST_OWN && millilitres <= MOST_OWN))
    return say('It holds: from {least} ml to {most} l.', { least: LEAST_OWN, most: MOST_OWN / 1000 });
  return null;
}

/** An own measure among the others: "2½ × the blue mug" for more than one. */
export function measureOfOwn({ id, name, millilitres }: OwnMeasure): Measure {
  return { id: `own-${id}`, name, plural: `× ${name}`, sort: 'volume', size: millilitres };
}

/**
 * A quantity in another measure; `density` in g/ml leads from volume to mass and back. Null where there is no way: between a length
 * and a volume, or between volume and mass without a density.
 */
export function convert(quantity: number, from: Measure, to: Measure, density?: number): number | null {
  const base = quantity * from.size;
  if (from.sort === to.sort) return base / to.size;
  if (density === undefined) return null;
  if (from.sort === 'volume' && to.sort === 'mass') return (base * density) / to.size;
  if (from.sort === 'mass' && to.sort === 'volume') return base / density / to.size;
  return null;
}

const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** A number as cooks write it: "1 1/2", "1½", "2,5", "3/4", "a", "half a". Null when it is none. */
export function readQuantity(text: string): number | null {
  const words = text.trim().toLowerCase();
  if (/^(an?|one)$/.test(words)) return 1;
  if (/^(a )?half( an?)?$/.test(words)) return 0.5;
  if (/^(a )?quarter( of an?)?$/.test(words)) return 0.25;
  const signs = Object.keys(FRACTION_SIGNS).join('');
  const match = words.match(new RegExp(`^(\\d+(?:[.,]\\d+)?)?\\s*(?:(\\d+)\\s*[/⁄]\\s*(\\d+)|([${signs}]))?$`));
  if (!match || words === '') return null;
  const [, whole, over, under, sign] = match;
  // "11/2" is eleven halves in writing, but nobody cooks by halves beyond the whole: without a space it is read as it stands.
  if (whole !== undefined && over === undefined && sign === undefined) return finite(Number(whole.replace(',', '.')));
  if (under !== undefined && Number(under) === 0) return null;
  const part = sign !== undefined ? FRACTION_SIGNS[sign]! : Number(over) / Number(under);
  return finite((whole === undefined ? 0 : Number(whole.replace(',', '.'))) + part);
}

/** A row of figures without end is no number. */
function finite(value: number): number | null {
  return Number.isFinite(value) ? value : null;
}

/** Words for measures beside their own names. */
const ALSO: Readonly<Record<string, string>> = {
  litre: 'l',
  liter: 'l',
  millilitre: 'ml',
  milliliter: 'ml',
  gram: 'g',
  gramme: 'g',
  kilo: 'kg',
  kilogram: 'kg',
  teaspoon: 'tsp',
  tablespoon: 'tbsp',
  ounce: 'oz',
  pound: 'lb',
  centimetre: 'cm',
  in: 'inch',
};

/** "1 1/2 cups", "2½ tbsp", "a pinch", "half a cup": how many of which measure; null when it is none. The first that fits counts. */
export function readMeasured(
  text: string,
  measures: readonly Measure[] = MEASURES,
): { readonly quantity: number; readonly measure: Measure } | null {
  const words = text.trim().toLowerCase().replace(/\s+/g, ' ');
  // The longest number that leaves a measure.
  for (let cut = words.length - 1; cut > 0; cut--) {
    const quantity = readQuantity(words.slice(0, cut));
    if (quantity === null) continue;
    const measure = measureNamed(words.slice(cut).trim(), measures);
    if (measure) return { quantity, measure };
  }
  return null;
}

function measureNamed(word: string, measures: readonly Measure[]): Measure | undefined {
  const bare = word.replace(/^of /, '').replace(/\.$/, '');
  const single = bare.replace(/s$/, '');
  const id = own(ALSO, bare) ?? own(ALSO, single);
  const isNamed = ({ id: own, name, plural }: Measure) =>
    own === id || [name, plural].some((each) => [bare, single].includes(each.toLowerCase().replace(/^× /, '')));
  return measures.find(isNamed);
}

const ABSOLUTE_ZERO = -273.15;

/** °F of °C. */
export function fahrenheitOf(celsius: number): number {
  return celsius * 1.8 + 32;
}

/** °C of °F. */
export function celsiusOf(fahrenheit: number): number {
  return (fahrenheit - 32) / 1.8;
}

/** °F of a gas mark: mark 1 is 275, each more 25; the half and the quarter are 250 and 225. Source: common tables. */
export function fahrenheitOfGasMark(mark: number): number | null {
  if (mark === 0.25) return 225;
  if (mark === 0.5) return 250;
  return Number.isInteger(mark) && mark >= 1 && mark <= 10 ? 250 + 25 * mark : null;
}

/** The gas mark nearest to a temperature; null where an oven has none. */
export function gasMarkOf(celsius: number): number | null {
  const fahrenheit = fahrenheitOf(celsius);
  if (fahrenheit < 212.5 || fahrenheit > 512.5) return null;
  if (fahrenheit < 237.5) return 0.25;
  if (fahrenheit < 262.5) return 0.5;
  return Math.min(10, Math.max(1, Math.round((fahrenheit - 250) / 25)));
}

/** What is wrong with a temperature, in words; null when nothing is. */
export function temperatureFault(celsius: number): string | null {
  if (!(celsius >= ABSOLUTE_ZERO)) return say('Temperature: nothing is colder than −273 °C.');
  return celsius <= 600 ? null : say('Temperature: at most 600 °C; no kitchen is hotter.');
}
