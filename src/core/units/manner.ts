import { say } from '@/core/say/say';
import { fahrenheitOf, gasMarkOf, measureOf } from './measures';

/** How a cook measures: what amounts, heat, hours and numbers are said in. Everything is kept and reckoned in one manner, `CANONICAL`. */
export interface Manner {
  /** Grams and litres; cups, spoons, ounces and pounds as in the United States; grams with cups of 250 ml and tablespoons of 20 as in Australia. */
  readonly amounts: 'metric' | 'american' | 'australian';
  readonly heat: 'celsius' | 'fahrenheit' | 'gas';
  readonly clock: '24 hours' | 'am and pm';
  readonly decimal: 'point' | 'comma';
  /** The figures that numbers are written in. */
  readonly figures: 'western' | 'arabic' | 'persian' | 'devanagari';
}

/** Ways to say amounts, for a choice. */
export const AMOUNT_MANNERS: readonly Manner['amounts'][] = ['metric', 'american', 'australian'];
/** Ways to say heat, for a choice. */
export const HEAT_MANNERS: readonly Manner['heat'][] = ['celsius', 'fahrenheit', 'gas'];
/** Ways to say hours, for a choice. */
export const CLOCK_MANNERS: readonly Manner['clock'][] = ['24 hours', 'am and pm'];
/** Signs before tenths, for a choice. */
export const DECIMAL_MANNERS: readonly Manner['decimal'][] = ['point', 'comma'];

/** Figures to write numbers in, for a choice. */
export const FIGURES: readonly Manner['figures'][] = ['western', 'arabic', 'persian', 'devanagari'];

/** The manner in which the product itself writes. */
export const CANONICAL: Manner = {
  amounts: 'metric',
  heat: 'celsius',
  clock: '24 hours',
  decimal: 'point',
  figures: 'western',
};

/** Regions that cook by cups, ounces and pounds, and those that set ovens in °F. Source: Unicode CLDR, unit preferences, from memory. */
const CUPS = new Set(['US', 'LR', 'PR', 'GU', 'VI', 'AS', 'MP']);
const FAHRENHEIT = new Set([...CUPS, 'BS', 'BZ', 'KY', 'PW', 'FM', 'MH']);
const AUSTRALIAN = new Set(['AU']);

/** By the names that Unicode gives to systems of figures. */
const FIGURES_OF: Readonly<Record<string, Manner['figures']>> = {
  arab: 'arabic',
  arabext: 'persian',
  deva: 'devanagari',
};

/** The manner of whoever reads a language tag such as "en-US" or "de". A tag that says nothing gives `CANONICAL`. */
export function mannerOf(language: string): Manner {
  try {
    const region = new Intl.Locale(language).maximize().region ?? '';
    const { hour12 } = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions();
    const numbers = new Intl.NumberFormat(language);
    const decimal = numbers.formatToParts(1.5).find(({ type }) => type === 'decimal')?.value;
    return {
      amounts: CUPS.has(region) ? 'american' : AUSTRALIAN.has(region) ? 'australian' : 'metric',
      heat: FAHRENHEIT.has(region) ? 'fahrenheit' : 'celsius',
      clock: hour12 ? 'am and pm' : '24 hours',
      decimal: decimal === '.' ? 'point' : 'comma',
      figures: FIGURES_OF[numbers.resolvedOptions().numberingSystem] ?? 'western',
    };
  } catch {
    return CANONICAL;
  }
}

/** A manner from anywhere: what it does not say, or says wrongly, is as in `otherwise`. */
export function soundManner(given: unknown, otherwise: Manner): Manner {
  const said =
    typeof given === 'object' && given !== null ? new Map(Object.entries(given)) : new Map<string, unknown>();
  const pick = <T extends string>(key: keyof Manner, known: readonly T[], usual: T): T =>
    known.find((each) => each === said.get(key)) ?? usual;
  return {
    amounts: pick('amounts', AMOUNT_MANNERS, otherwise.amounts),
    heat: pick('heat', HEAT_MANNERS, otherwise.heat),
    clock: pick('clock', CLOCK_MANNERS, otherwise.clock),
    decimal: pick('decimal', DECIMAL_MANNERS, otherwise.decimal),
    figures: pick('figures', FIGURES, otherwise.figures),
  };
}

/** What a number with a unit is told and typed in: its unit, and the way there and back. */
export interface Scale {
  readonly unit: string;
  /** What one press adds, in that unit. */
  readonly step: number;
  readonly there: (value: number) => number;
  readonly back: (value: number) => number;
}

const HUNDREDTHS = 100;
const rounded = (value: number, step: number) => Math.round(Math.round(value / step) * step * HUNDREDTHS) / HUNDREDTHS;

/** The scale on which a number of a unit is shown; null where it is shown as it is. `step` is the one of the canonical unit. */
export function scaleFor(unit: string | undefined, step: number, manner: Manner): Scale | null {
  const by = (name: string, size: number, shown: number): Scale => ({
    unit: name,
    step: shown,
    there: (value) => rounded(value / size, shown),
    back: (value) => value * size,
  });
  if (unit === '°C' && manner.heat === 'fahrenheit') {
    // Ovens are set in steps of 25 °F, the air of a room is told by the degree.
    const shown = step >= 5 ? 25 : 1;
    return {
      unit: '°F',
      step: shown,
      there: (value) => rounded(fahrenheitOf(value), shown),
      back: (value) => Math.round((value - 32) / 1.8),
    };
  }
  if (manner.amounts !== 'american') return null;
  if (unit === 'cm') return by('in', measureOf('inch').size, 0.5);
  if (unit === 'l') return by('qt', measureOf('quart-us').size / 1000, 0.25);
  if (unit === 'ml') return by('fl oz', measureOf('floz-us').size, 0.5);
  if (unit === 'g') return by('oz', measureOf('oz').size, 0.5);
  if (unit === 'kg') return by('lb', measureOf('lb').size / 1000, 0.25);
  if (unit === 'm') {
    const feet = by('ft', 0.3048, 100);
    return { ...feet, back: (value) => Math.round(feet.back(value)) };
  }
  return null;
}

/** An oven's or a pan's heat as it is told: °F by the steps of American ovens from 110 °C up, to the degree below. */
export function fahrenheitTold(celsius: number): number {
  const exact = fahrenheitOf(celsius);
  return celsius >= 110 ? Math.round(exact / 25) * 25 : Math.round(exact);
}

/** "gas mark 6 (200 °C)"; null where an oven has none. */
export function gasTold(celsius: number): string | null {
  const mark = gasMarkOf(celsius);
  if (mark === null || celsius < 105) return null;
  return say('gas mark {mark} ({celsius} °C)', { mark: mark === 0.25 ? '¼' : mark === 0.5 ? '½' : mark, celsius });
}
