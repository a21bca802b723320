import { type Amount, MASS_IN_GRAMS, type MassUnit, VOLUME_IN_ML, type VolumeUnit } from '@/core/units/amount';

/** Minutes of a sharp knife in practised but unhurried hands, for plain slicing. Common practice, no source. */
const MINUTES_A_PIECE = 1;
const MINUTES_A_CLOVE = 0.5;
const MINUTES_A_STICK = 0.5;
const MINUTES_A_BUNCH = 2;
const MINUTES_A_LEAF = 0.1;
const MINUTES_A_HUNDRED_GRAMS = 0.8;
/** Getting a thing out, weighing or counting it, into its bowl. */
export const MINUTES_TO_MEASURE = 0.5;

/** How much longer or shorter than slicing; the first that fits counts. Common practice, no source. */
const CUTS: readonly (readonly [RegExp, number])[] = [
  [/\b(halved|halves|quartered|quarters|torn|trimmed)\b/, 0.4],
  [/\b(chunks?|wedges|thick|roughly|crumbled|bruised|crushed)\b/, 0.6],
  [/\b(finely|fine|thinly|thin|minced|matchsticks|shaved)\b/, 1.5],
  [/\b(grated|diced?|segments|stoned|peeled)\b/, 1.4],
  [/\bzest and juice\b/, 1.6],
  [/\b(juice|zest|drained|washed|rinsed|toasted)\b/, 0.7],
];

/** Minutes at the board for an amount and a cut, without the minute of getting started; 0 where nothing is cut. */
export function knifeMinutes({ quantity, unit }: Amount, cut: string | undefined): number {
  if (!cut) return 0;
  const words = cut.toLowerCase();
  const factor = CUTS.find(([pattern]) => pattern.test(words))?.[1] ?? 1;
  return factor * plainMinutes(quantity, unit);
}

function plainMinutes(quantity: number, unit: Amount['unit']): number {
  if (unit in MASS_IN_GRAMS) return (MINUTES_A_HUNDRED_GRAMS * quantity * MASS_IN_GRAMS[unit as MassUnit]) / 100;
  if (unit in VOLUME_IN_ML) return (MINUTES_A_HUNDRED_GRAMS * quantity * VOLUME_IN_ML[unit as VolumeUnit]) / 100;
  switch (unit) {
    case 'clove':
      return MINUTES_A_CLOVE * quantity;
    case 'stick':
    case 'slice':
      return MINUTES_A_STICK * quantity;
    case 'bunch':
      return MINUTES_A_BUNCH * quantity;
    case 'leaf':
    case 'sprig':
    case 'pinch':
      return MINUTES_A_LEAF * quantity;
    default:
      return MINUTES_A_PIECE * quantity;
  }
}
