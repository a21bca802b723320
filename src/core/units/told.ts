import { retold, thingRetold } from '@/core/say/retold';
import { readFromTheRight, spoken, term } from '@/core/say/say';
import { printFraction } from './amount';
import { densityOf } from './densities';
import { CANONICAL, fahrenheitTold, gasTold, type Manner } from './manner';
import { measureOf, readQuantity } from './measures';

/**
 * Everything is written in one manner ("280 g red rice", "at 200 °C", "18:40", "1.35 l") and told in the cook's own, here and nowhere else. Only
 * numbers with their units are touched, so that words may come from anywhere. What is told once is not told again.
 */

const NUMBER = String.raw`(?:\d+(?:\.\d+)?(?:[¼½¾⅓⅔])?|[¼½¾⅓⅔])`;
/** "200 °C", "3 to 5 °C", "between 4 and 60 °C", "150–180 °C", "−18 °C". Other languages than English write the sign that joins words, which nobody sees, before a difference. */
const HEAT = new RegExp(
  String.raw`(?<!gas mark \S{1,2} \()(\u2060?)([−-]?${NUMBER})(?:( to | and | or |–|-)([−-]?${NUMBER}))?\s?°C( below what| cooler| warmer| hotter| colder| more| less| either way)?`,
  'gu',
);
/** "280 g red rice", "1.2 l", "400 to 500 ml", "2½ tbsp". The name decides whether a cup measures it. */
const AMOUNT = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(${NUMBER})(?:( to | or |–|-)(${NUMBER}))?[ \u00a0]?(kg|g|ml|l|tbsp|cm|mm)(?![\p{L}\d])(?=((?:[ \u00a0](?:of )?\p{L}[^,.;:()\n]{0,40})?))`,
  'gu',
);
const CLOCK = /(?<![\d:.])([01]\d|2[0-3]):([0-5]\d)(?!\d|:\d| [AP]M)/g;
const MIXED = /(?<!\u2066)\d+[¼½¾⅓⅔⅛⅜⅝⅞]/g;
const TENTHS = /(\d)\.(\d)/g;

/** A text as the cook of a manner reads it: what a dish keeps in the cook's language, amounts in the cook's measures. Other text comes back as it is. */
export function told(text: string, manner: Manner): string {
  return inMeasures(retold(text), manner);
}

/** A text in the cook's measures whose words are the cook's already. */
export function inMeasures(words: string, manner: Manner): string {
  if (!/\d|[¼½¾⅓⅔]/.test(words)) return words;
  let out = words;
  if (manner.heat !== CANONICAL.heat) out = heatTold(out, manner.heat);
  if (manner.amounts !== 'metric') out = amountsTold(out, manner.amounts);
  if (manner.clock !== CANONICAL.clock)
    out = out.replace(CLOCK, (_, hour: string, minute: string) => twelve(+hour, minute));
  if (manner.decimal !== CANONICAL.decimal) out = out.replace(TENTHS, manner.figures === 'western' ? '$1,$2' : '$1٫$2');
  // By its English name a thing was measured until now.
  if (spoken() !== 'en') out = thingRetold(out).replace(UNIT, term);
  // The whole stands left of its part also where all else runs from the right.
  if (readFromTheRight()) out = out.replace(MIXED, '\u2066$&\u2069');
  return inFigures(out, manner.figures);
}

/** Units as they are written after a number: each language has its own signs for some of them. */
export const UNIT_SIGNS = [
  'g',
  'kg',
  'ml',
  'l',
  'cm',
  'mm',
  'm',
  'tsp',
  'tbsp',
  'cup',
  'cups',
  'min',
  'h',
  's',
  '°C',
  '°F',
  'AM',
  'PM',
] as const;
const UNIT = new RegExp(String.raw`(?<=[\d¼½¾⅓⅔⅛\u2060][ \u00a0]?)(?:${UNIT_SIGNS.join('|')})(?![\p{L}\d²/])`, 'gu');

/** The code of nought in each system; the other figures follow it. */
const NOUGHTS: Readonly<Record<Manner['figures'], number>> = {
  western: 0x30,
  arabic: 0x660,
  persian: 0x6f0,
  devanagari: 0x966,
};

/** After a figure: it stays as it is written. */
export const AS_WRITTEN = '\ufe0e';

/** A text with its numbers in other figures. */
export function inFigures(text: string, figures: Manner['figures']): string {
  if (figures === CANONICAL.figures) return text;
  return text.replace(/\d(?!\ufe0e)/g, (figure) => String.fromCodePoint(NOUGHTS[figures] + Number(figure)));
}

/** A text with numbers in any of these figures, in western ones: what is typed is read so. */
export function inWesternFigures(text: string): string {
  return text.replace(/[\u0660-\u0669\u06f0-\u06f9\u0966-\u096f]/g, (figure) => {
    const code = figure.codePointAt(0)!;
    return String(code - Math.max(...Object.values(NOUGHTS).filter((nought) => nought <= code)));
  });
}

function numberOf(text: string): number {
  return (text.startsWith('−') || text.startsWith('-') ? -1 : 1) * (readQuantity(text.replace(/^[−-]/, '')) ?? 0);
}

function heatTold(text: string, heat: Manner['heat']): string {
  return text.replace(
    HEAT,
    (
      whole,
      joint: string,
      one: string,
      between: string | undefined,
      two: string | undefined,
      word: string | undefined,
    ) => {
      const apart = word ?? joint;
      const values = [one, two].filter((each) => each !== undefined).map(numberOf);
      if (heat === 'gas') {
        const marks = values.map(gasTold);
        return values.length === 1 && marks[0] && !apart ? marks[0] : whole;
      }
      // "5 °C below": so much of a difference, not a temperature.
      const told = values.map((value) => (apart ? Math.round(value * 1.8) : fahrenheitTold(value)));
      const sign = (value: number) => (value < 0 ? `−${-value}` : String(value));
      return `${told.map(sign).join(between ?? '')} °F${word ?? ''}`;
    },
  );
}

/** "6:40 PM", "12:05 AM". */
function twelve(hour: number, minute: string): string {
  return `${hour % 12 === 0 ? 12 : hour % 12}:${minute} ${hour < 12 ? 'AM' : 'PM'}`;
}

const METRIC: Readonly<Record<string, { readonly sort: 'volume' | 'mass' | 'length'; readonly size: number }>> = {
  ml: { sort: 'volume', size: 1 },
  l: { sort: 'volume', size: 1000 },
  tbsp: { sort: 'volume', size: 15 },
  g: { sort: 'mass', size: 1 },
  kg: { sort: 'mass', size: 1000 },
  cm: { sort: 'length', size: 1 },
  mm: { sort: 'length', size: 0.1 },
};

function amountsTold(text: string, manner: 'american' | 'australian'): string {
  return text.replace(
    AMOUNT,
    (whole, one: string, between: string | undefined, two: string | undefined, unit: string, name: string) => {
      const { sort, size } = METRIC[unit]!;
      const values = [one, two].filter((each) => each !== undefined).map((each) => numberOf(each) * size);
      // The larger end decides in what both are told.
      const most = Math.max(...values);
      const way = manner === 'american' ? american(sort, most, unit, name) : australian(sort, most, unit);
      if (!way) return whole;
      const numbers = values.map(way.print).join(between ?? '');
      // "the 5¼-quart pot".
      if (unit === 'l' && VESSEL.test(name)) return `${numbers}-${way.unit(0)}`;
      return `${numbers} ${way.unit(most)}`;
    },
  );
}

const VESSEL = /^ (?:pot|pan|casserole|tray|bowl|kettle|dish|tin)\b/;

/** How an amount is told: its number, and its unit for so much of it. */
interface Way {
  readonly print: (base: number) => string;
  readonly unit: (base: number) => string;
}

const way = (size: number, one: string, many: string, print: (quantity: number) => string = printFraction): Way => ({
  print: (base) => print(base / size),
  unit: (base) => (/^(?:1|[⅛¼⅓½⅔¾])$/.test(print(base / size)) ? one : many),
});

const [TSP, TBSP, CUP, QUART] = ['tsp-us', 'tbsp-us', 'cup-us', 'quart-us'].map((id) => measureOf(id).size) as [
  number,
  number,
  number,
  number,
];
const [OZ, LB, INCH] = ['oz', 'lb', 'inch'].map((id) => measureOf(id).size) as [number, number, number];

/** So much is measured by cups; more by the quart. Millilitres. */
const MOST_CUPS_ML = 1500;

/** Volumes by spoons, cups and quarts; what a cup measures by cups even where it is weighed; the rest by ounces and pounds; lengths in inches. */
function american(sort: 'volume' | 'mass' | 'length', base: number, unit: string, name: string): Way | null {
  if (sort === 'length') return way(INCH, 'in', 'in', printInches);
  if (unit === 'tbsp') return null;
  if (sort === 'volume') return cups(base);
  const density = densityOf(name.split(/ (?:for|in|with|and|into|from|on) /)[0]!);
  if (density !== null && base / density < MOST_CUPS_ML) {
    const { print, unit: said } = cups(base / density);
    return { print: (grams) => print(grams / density), unit: (grams) => said(grams / density) };
  }
  return base < LB * 0.97 ? way(OZ, 'oz', 'oz', printOunces) : way(LB, 'lb', 'lb', (pounds) => inParts(pounds, 4));
}

const CUP_PARTS = [1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1];

/** Volumes as American spoons, cups and quarts measure them, millilitres. */
function cups(ml: number): Way {
  if (ml < 2.5 * TSP) return way(TSP, 'tsp', 'tsp', printSpoon);
  if (ml < CUP * 0.23) return way(TBSP, 'tbsp', 'tbsp');
  const part = CUP_PARTS.findLast((each) => each * CUP <= ml);
  const spoons = Math.round((ml - (part ?? 0) * CUP) / TBSP);
  // "⅓ cup and 1 tbsp": where no part of a cup is near enough.
  if (ml < CUP && part && spoons > 0 && CUP_PARTS.every((each) => Math.abs(each * CUP - ml) > 0.08 * ml))
    return { print: () => `${printFraction(part)} cup and ${spoons}`, unit: () => 'tbsp' };
  return ml < MOST_CUPS_ML ? way(CUP, 'cup', 'cups') : way(QUART, 'quart', 'quarts');
}

/** Cups of 250 ml and tablespoons of 20 ml; grams, litres and centimetres as they are. */
function australian(sort: 'volume' | 'mass' | 'length', base: number, unit: string): Way | null {
  if (sort !== 'volume' || unit === 'l') return null;
  // The sign that joins words, which nobody sees, keeps it from being told twice: the spoon keeps its name.
  if (unit === 'tbsp') return way(20, 'tbsp', 'tbsp', (spoons) => `${printFraction(spoons)}\u2060`);
  if (base < 15) return way(5, 'tsp', 'tsp', printSpoon);
  if (base < 60) return way(20, 'tbsp', 'tbsp', (spoons) => `${printFraction(spoons)}\u2060`);
  return base < MOST_CUPS_ML ? way(250, 'cup', 'cups') : null;
}

/** Spoons go down to an eighth. */
function printSpoon(quantity: number): string {
  return quantity < 3 / 16 ? '⅛' : printFraction(quantity);
}

/** Ounces as a kitchen scale shows them: quarters below four, halves below ten, then whole. */
function printOunces(ounces: number): string {
  if (ounces < 4) return inParts(ounces, 4);
  return ounces < 10 ? inParts(ounces, 2) : String(Math.round(ounces));
}

/** Inches as a rule shows them: eighths below one, quarters below four, halves above. */
function printInches(inches: number): string {
  return inParts(inches, inches < 1 ? 8 : inches < 4 ? 4 : 2);
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** A number in halves, quarters or eighths, never 0. */
function inParts(value: number, parts: 2 | 4 | 8): string {
  const eighths = Math.max(8 / parts, Math.round(value * parts) * (8 / parts));
  const whole = Math.floor(eighths / 8);
  return `${whole === 0 ? '' : whole}${EIGHTHS[eighths % 8]!}`;
}

/** Says how something looks, to no reader: a colour, a size. */
const LOOKS = /^(?:#[\da-f]{3,8}|rgba?\([^)]*\)|[\d.]+(?:px|%))$/i;

/** A value with every text in it told: sheets, files for people, settings of charts. Keys, numbers and functions stay; of a drawing, its words are told. */
export function toldAll<T>(value: T, manner: Manner): T {
  return eachText(value, (text) => {
    if (LOOKS.test(text)) return text;
    return text.startsWith('<svg') ? toldDrawing(text, manner) : told(text, manner);
  });
}

/** A value with every text in it changed. */
export function eachText<T>(value: T, change: (text: string) => string): T {
  if (typeof value === 'string') return change(value) as T;
  if (Array.isArray(value)) return value.map((each) => eachText(each, change)) as T;
  if (typeof value !== 'object' || value === null || Object.getPrototypeOf(value) !== Object.prototype) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, eachText(each, change)])) as T;
}

/** An SVG with the words in it told: places and sizes stay. */
export function toldDrawing(svg: string, manner: Manner): string {
  return svg.replace(/>([^<>]+)</g, (_, words: string) => `>${told(words, manner)}<`);
}
