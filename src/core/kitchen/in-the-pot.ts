import { message } from '@/core/say/say';

/** How a pot stands to what is to go into it. */
export type Fit = 'fits' | 'too small' | 'far too large';

/** In a pot so many times too large the liquid lies shallow and boils off. Common practice, no source. */
const FAR_TOO_LARGE = 4;
/** Centimetres of the dish beyond the rim, all round. Common practice, no source. */
const BEYOND_THE_RIM = 3;

/** `wanted`: litres it must hold, room to foam included. */
export function fitOf(wanted: number, potLitres: number): Fit {
  if (potLitres < wanted - 1e-9) return 'too small';
  return potLitres > FAR_TOO_LARGE * wanted ? 'far too large' : 'fits';
}

/** Width in cm of the flat dish that a pot is turned out onto. */
export function plateFor(potWidthCm: number): number {
  return potWidthCm + 2 * BEYOND_THE_RIM;
}

/** What a pot must be like to be turned out. Common practice, no source. */
export const STRAIGHT_NEEDS = message(
  'wants straight sides, low handles that clear the dish, and 15 to 20 minutes of rest off the heat first',
);
