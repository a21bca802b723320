import type { Range } from './boil';
import { LIMITS } from './safe-limits';
import { SPECIFIC_HEAT } from './water';

/** How a pot stands while it cools. */
export const STANDINGS = ['open', 'covered', 'wrapped'] as const;
/** How a pot stands while it waits. */
export type PotStands = (typeof STANDINGS)[number];

/**
 * W/(m² K) that the whole outside of a pot of hot food gives off, steam from an open top included. Common practice, no source: a covered
 * pot of 4 l is at 60 °C after one and a half to two and a half hours.
 */
const GIVES_OFF: Readonly<Record<PotStands, Range>> = {
  open: { low: 14, likely: 20, high: 30 },
  covered: { low: 8, likely: 11, high: 14 },
  wrapped: { low: 2.5, likely: 4, high: 6 },
};

/** What cooling depends on. Litres, °C, centimetres. */
export interface CoolingQuestion {
  readonly litres: number;
  readonly widthCm: number;
  readonly fromCelsius: number;
  readonly roomCelsius: number;
  readonly standing: PotStands;
}

/** Minutes after which a pot has lost all but 37 % of what it is warmer than the room. Newton's law of cooling. */
function timeConstant({ litres, widthCm }: CoolingQuestion, givesOff: number): number {
  const width = widthCm / 100;
  const floor = (Math.PI / 4) * width ** 2;
  const height = litres / 1000 / floor;
  const outside = 2 * floor + Math.PI * width * height;
  return (litres * SPECIFIC_HEAT * 1000) / (givesOff * outside) / 60;
}

/** °C after so many minutes. */
export function celsiusAfter(question: CoolingQuestion, minutes: number): Range {
  const { fromCelsius, roomCelsius, standing } = question;
  const by = (givesOff: number) =>
    roomCelsius + (fromCelsius - roomCelsius) * Math.exp(-minutes / timeConstant(question, givesOff));
  const { low, likely, high } = GIVES_OFF[standing];
  return { low: by(high), likely: by(likely), high: by(low) };
}

/** Minutes it stays at a temperature or above; infinite where the room is as warm. */
export function minutesAbove(question: CoolingQuestion, celsius: number = LIMITS.hotHolding.celsius): Range {
  const { fromCelsius, roomCelsius, standing } = question;
  const by = (givesOff: number) => {
    if (fromCelsius < celsius) return 0;
    if (roomCelsius >= celsius) return Number.POSITIVE_INFINITY;
    return timeConstant(question, givesOff) * Math.log((fromCelsius - roomCelsius) / (celsius - roomCelsius));
  };
  const { low, likely, high } = GIVES_OFF[standing];
  return { low: by(high), likely: by(likely), high: by(low) };
}
