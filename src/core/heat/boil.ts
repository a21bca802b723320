import type { Burner, BurnerStrength } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { boilingPoint, HEAT_OF_VAPORISATION, HIGHEST_METRES, LOWEST_METRES, SPECIFIC_HEAT } from './water';

/** A figure with the band it may well lie in, in whatever it is counted in: no kitchen is a laboratory. */
export interface Range {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** What heats a burner. */
export type HobKind = 'gas' | 'electric' | 'induction';

/**
 * Share of a burner's power that goes into the pan. Source: US DOE results of tests of cooking products, from memory: gas 0.32 to 0.44,
 * electric coil or glass 0.70 to 0.75, induction 0.84 to 0.90.
 */
export const HOB_EFFICIENCY: Readonly<Record<HobKind, Range>> = {
  gas: { low: 0.32, likely: 0.39, high: 0.44 },
  electric: { low: 0.7, likely: 0.73, high: 0.75 },
  induction: { low: 0.84, likely: 0.87, high: 0.9 },
};

/** Watts that a burner of unknown make puts into a pan at full heat. Common practice, no source: a litre boils in 4, 6 or 10 minutes. */
export const USUAL_WATTS: Readonly<Record<BurnerStrength, Range>> = {
  strong: { low: 1100, likely: 1500, high: 2000 },
  middling: { low: 700, likely: 950, high: 1300 },
  weak: { low: 400, likely: 550, high: 750 },
};

/** A boil measured by the clock is right to about a tenth. Common practice, no source. */
const MEASURED = 0.1;

/** Watts that a burner puts into a pan at full heat: as measured, else as usual for its strength. */
export function wattsOf({ watts, strength }: Pick<Burner, 'watts' | 'strength'>): Range {
  if (watts === undefined) return USUAL_WATTS[strength];
  return { low: (1 - MEASURED) * watts, likely: watts, high: (1 + MEASURED) * watts };
}

/** kW that a square metre of hot water gives off on the way to the boil. Rough; open water mostly steams. */
const LOSS_OPEN = 1.6;
const LOSS_COVERED = 0.35;
/** kJ/(kg K) of steel, and kg of an ordinary pot for each litre it holds. */
const STEEL = 0.5;
const POT_KILOS_PER_LITRE = 0.35;

/** What the minutes to the boil depend on. Litres, °C, watts, metres above the sea. */
export interface BoilQuestion {
  readonly litres: number;
  readonly fromCelsius: number;
  /** Watts that reach the pan. */
  readonly watts: Range;
  readonly covered: boolean;
  /** Width of the pot in cm. */
  readonly widthCm: number;
  readonly metres: number;
}

/** What is asked too much, in words that name the field; null when all is well. */
export function boilFault(question: BoilQuestion): string | null {
  const { litres, fromCelsius, watts, widthCm, metres } = question;
  const outside = (value: number, least: number, most: number) => !(value >= least && value <= most);
  if (outside(litres, 0.05, 50)) return say('Litres: from 0.05 to 50.');
  if (outside(metres, LOWEST_METRES, HIGHEST_METRES)) {
    return say('Height: from {lowest} to {highest} m above the sea.', {
      lowest: LOWEST_METRES,
      highest: HIGHEST_METRES,
    });
  }
  const boils = Math.floor(boilingPoint(metres));
  if (outside(fromCelsius, 0, boils))
    return say('Temperature: from 0 to {boils} °C, where water boils here.', { boils });
  if (outside(widthCm, 8, 80)) return say('Width of the pot: from 8 to 80 cm.');
  if (outside(watts.likely, 50, 20_000)) return say('Watts into the pan: from 50 to 20000.');
  return null;
}

function area(widthCm: number): number {
  return (Math.PI / 4) * (widthCm / 100) ** 2;
}

/** kJ that water and pot take up on the way to the boil. */
function heatNeeded({ litres, fromCelsius, metres }: BoilQuestion): number {
  const rise = boilingPoint(metres) - fromCelsius;
  return litres * rise * (SPECIFIC_HEAT + POT_KILOS_PER_LITRE * STEEL);
}

function kilowattsLost({ covered, widthCm }: Pick<BoilQuestion, 'covered' | 'widthCm'>): number {
  return area(widthCm) * (covered ? LOSS_COVERED : LOSS_OPEN);
}

/**
 * Minutes until it boils: heat taken up by water and pot, over what the burner gives less what the surface loses. Infinite where the
 * surface loses all of it. Source: energy balance; losses are rough.
 */
export function minutesToBoil(question: BoilQuestion): Range {
  const lost = kilowattsLost(question);
  const by = (watts: number) => {
    const gain = watts / 1000 - lost;
    return gain <= 0 ? Number.POSITIVE_INFINITY : heatNeeded(question) / gain / 60;
  };
  const { low, likely, high } = question.watts;
  return { low: by(high), likely: by(likely), high: by(low) };
}

/** Watts of a household kettle, nearly all of which reach its water; what it holds. Common practice, no source; makers differ. */
const KETTLE: Range = { low: 1300, likely: 2000, high: 2700 };
const KETTLE_LITRES = 1.7;
/** Degrees lost in pouring. Common practice, no source. */
const POURED = 6;

/**
 * Minutes when a kettle heats the water first, fill by fill, and each is poured into the pot that stands on the burner meanwhile: the
 * kettle's time, and what the pot still wants after the last.
 */
export function minutesByKettle(question: BoilQuestion): Range {
  const fill = (watts: number, litres: number) =>
    minutesToBoil({
      ...question,
      litres,
      watts: { low: watts, likely: watts, high: watts },
      covered: true,
      widthCm: 14,
    }).likely;
  const hot = { ...question, fromCelsius: Math.max(question.fromCelsius, boilingPoint(question.metres) - POURED) };
  const rest = minutesToBoil(hot);
  const fills = (watts: number) => {
    const full = Math.floor(question.litres / KETTLE_LITRES);
    const last = question.litres - full * KETTLE_LITRES;
    return full * fill(watts, KETTLE_LITRES) + (last > 0.01 ? fill(watts, last) : 0);
  };
  return {
    low: fills(KETTLE.high) + rest.low,
    likely: fills(KETTLE.likely) + rest.likely,
    high: fills(KETTLE.low) + rest.high,
  };
}

/** Share of the steam that a lid lets out: none of it stays off for good. Common practice, no source. */
const ESCAPES = { open: 1, ajar: 0.45, covered: 0.12, sealed: 0.03 } as const;
/** How a pot is covered. */
export type Lid = keyof typeof ESCAPES;

/** Share of a burner's full power at each heat: what a cook means by it. Common practice, no source. */
export const HEAT_SHARE = { full: 1, medium: 0.45, low: 0.2, lowest: 0.1 } as const;

/**
 * Litres that boil off in a minute. All heat beyond what the pot's sides lose turns water to steam; a lid gives most of it back.
 * Source: heat of vaporisation; shares are rough.
 */
export function litresBoiledOff(watts: Range, lid: Lid, widthCm: number): Range {
  const by = (each: number) => {
    const left = Math.max(0, each / 1000 - kilowattsLost({ covered: true, widthCm }));
    return (left / HEAT_OF_VAPORISATION) * 60 * ESCAPES[lid];
  };
  return { low: by(watts.low), likely: by(watts.likely), high: by(watts.high) };
}

/** Litres left after boiling for so many minutes: never fewer than none. */
export function litresLeft(litres: number, off: Range, minutes: number): Range {
  const by = (each: number) => Math.max(0, litres - each * minutes);
  return { low: by(off.high), likely: by(off.likely), high: by(off.low) };
}

/** Watts that a burner puts into a pan, from one boil: "one litre took 6 min 20 s". */
export function wattsFromBoil(question: Omit<BoilQuestion, 'watts'>, minutes: number): number {
  const whole = { ...question, watts: { low: 0, likely: 0, high: 0 } };
  return 1000 * (heatNeeded(whole) / (minutes * 60) + kilowattsLost(whole));
}
