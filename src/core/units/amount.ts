import { say } from '@/core/say/say';
/**
 * Amounts as a cook measures them. A unit belongs to one kind (mass, volume, count); amounts of one kind can be
 * scaled and added, and are printed rounded to what a kitchen can measure.
 */
export type MassUnit = 'g' | 'kg' | 'oz' | 'lb';
/** A unit of volume. A cup without more is the metric one. */
export type VolumeUnit = 'ml' | 'l' | 'tsp' | 'tbsp' | 'au-tbsp' | 'cup' | 'us-cup';
/** A unit that is counted. */
export type CountUnit = 'piece' | 'clove' | 'bunch' | 'sprig' | 'leaf' | 'stick' | 'tin' | 'slice' | 'pinch' | 'sheet';
/** A unit in which amounts are kept. */
export type Unit = MassUnit | VolumeUnit | CountUnit;

/** An amount: so many of a unit. */
export interface Amount {
  readonly quantity: number;
  readonly unit: Unit;
}

/** Grams of each unit of mass. */
export const MASS_IN_GRAMS: Readonly<Record<MassUnit, number>> = {
  g: 1,
  kg: 1000,
  oz: 28.349_523_125,
  lb: 453.592_37,
};
/** Metric spoons of 5 and 15 ml, the Australian of 20; cups of 250 ml and of the United States. Sources: `measures.ts`. */
export const VOLUME_IN_ML: Readonly<Record<VolumeUnit, number>> = {
  ml: 1,
  l: 1000,
  tsp: 5,
  tbsp: 15,
  'au-tbsp': 20,
  cup: 250,
  'us-cup': 236.588_236_5,
};
/** Units that are counted. */
export const COUNT_UNITS: readonly CountUnit[] = [
  'piece',
  'clove',
  'bunch',
  'sprig',
  'leaf',
  'stick',
  'tin',
  'slice',
  'pinch',
  'sheet',
];
/** All units in which amounts are kept. */
export const UNITS: readonly Unit[] = [
  'g',
  'kg',
  'ml',
  'l',
  'tsp',
  'tbsp',
  ...COUNT_UNITS,
  'cup',
  'us-cup',
  'au-tbsp',
  'oz',
  'lb',
];

/** Whether a unit weighs. */
export function isMass(unit: Unit): unit is MassUnit {
  return unit in MASS_IN_GRAMS;
}

/** Whether a unit measures a volume. */
export function isVolume(unit: Unit): unit is VolumeUnit {
  return unit in VOLUME_IN_ML;
}

/** Multiplies an amount; `factor` is usually people now over people written for. */
export function scaleAmount(amount: Amount, factor: number): Amount {
  return { quantity: amount.quantity * factor, unit: amount.unit };
}

const FRACTIONS: readonly (readonly [number, string])[] = [
  [0.25, '¼'],
  [1 / 3, '⅓'],
  [0.5, '½'],
  [2 / 3, '⅔'],
  [0.75, '¾'],
];

/** Writes 2.5 as "2½": the nearest quarter or third, never 0. */
export function printFraction(value: number): string {
  if (value >= 10) return String(Math.round(value));
  const whole = Math.floor(value + 1 / 24);
  const rest = value - whole;
  if (rest < 1 / 8) return whole > 0 ? String(whole) : '¼';
  if (rest > 7 / 8) return String(whole + 1);
  let best = FRACTIONS[0]!;
  for (const candidate of FRACTIONS) if (Math.abs(candidate[0] - rest) < Math.abs(best[0] - rest)) best = candidate;
  return whole > 0 ? `${whole}${best[1]}` : best[1];
}

/** Rounds to a step that scales or jugs show: 1 below 10, 5 below 200, 10 below 500, 50 below 2000, else 100. */
export function roundMeasurable(value: number): number {
  const step = value < 10 ? 1 : value < 200 ? 5 : value < 500 ? 10 : value < 2000 ? 50 : 100;
  return Math.max(step === 1 ? 1 : step, Math.round(value / step) * step);
}

/** What nobody halves. */
const WHOLE: readonly CountUnit[] = ['clove', 'leaf', 'sprig', 'slice', 'sheet', 'pinch'];

/** So many as can be had: whole cloves and leaves, halves of what is larger, quarters below one; never none. */
function printCount(quantity: number, unit: CountUnit): string {
  if (WHOLE.includes(unit)) return String(Math.max(1, Math.round(quantity)));
  const parts = quantity < 1 ? 4 : 2;
  return printFraction(Math.max(1 / parts, Math.round(quantity * parts) / parts));
}

/** The number of an amount as it can be measured, in its own unit: "280", "1.35", "2½", "3". */
export function printQuantity({ quantity, unit }: Amount): string {
  if (unit === 'g' || unit === 'ml') return String(roundMeasurable(quantity));
  if (unit === 'kg' || unit === 'l') return trimZeros(roundMeasurable(quantity * 1000) / 1000);
  return isMass(unit) || isVolume(unit) ? printFraction(quantity) : printCount(quantity, unit);
}

/** "1.35 l", "450 g", "2½ tbsp", "3 cloves", "4" (plain pieces): in the manner in which everything is written (`told.ts`). */
export function printAmount(amount: Amount): string {
  const { quantity, unit } = amount;
  if (isMass(unit)) {
    const grams = roundMeasurable(quantity * MASS_IN_GRAMS[unit]);
    return grams >= 1000 ? `${trimZeros(grams / 1000)} kg` : `${grams} g`;
  }
  if (isVolume(unit)) {
    if (unit === 'tsp' && quantity >= 6) return `${printFraction(quantity / 3)} tbsp`;
    if (unit === 'tsp' || unit === 'tbsp') return `${printFraction(quantity)} ${unit}`;
    const exact = quantity * VOLUME_IN_ML[unit];
    // Fine enough for cups to come back as the cups that they were.
    const ml = unit === 'ml' || unit === 'l' || exact < 10 ? roundMeasurable(exact) : Math.round(exact / 5) * 5;
    return ml >= 1000 ? `${trimZeros(ml / 1000)} l` : `${ml} ml`;
  }
  const number = printCount(quantity, unit);
  if (unit === 'piece') return number;
  return counted(unit, number, /^(?:1|[¼½¾])$/.test(number) ? 1 : Math.max(2, Math.round(quantity)));
}

/** So many of a unit that is counted; `number` is how the number is written. */
function counted(unit: Exclude<CountUnit, 'piece'>, number: string, count: number): string {
  switch (unit) {
    case 'clove':
      return say('{count, plural, one {{number} clove} other {{number} cloves}}', { count, number });
    case 'bunch':
      return say('{count, plural, one {{number} bunch} other {{number} bunches}}', { count, number });
    case 'sprig':
      return say('{count, plural, one {{number} sprig} other {{number} sprigs}}', { count, number });
    case 'leaf':
      return say('{count, plural, one {{number} leaf} other {{number} leaves}}', { count, number });
    case 'stick':
      return say('{count, plural, one {{number} stick} other {{number} sticks}}', { count, number });
    case 'tin':
      return say('{count, plural, one {{number} tin} other {{number} tins}}', { count, number });
    case 'slice':
      return say('{count, plural, one {{number} slice} other {{number} slices}}', { count, number });
    case 'pinch':
      return say('{count, plural, one {{number} pinch} other {{number} pinches}}', { count, number });
    case 'sheet':
      return say('{count, plural, one {{number} sheet} other {{number} sheets}}', { count, number });
  }
}

function trimZeros(value: number): string {
  return value.toFixed(2).replace(/\.?0+$/, '');
}
