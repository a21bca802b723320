import { inWesternFigures } from './told';

/** A number as people write it, in any figures, with a point or a comma before its tenths; NaN where it is none. */
export function readNumber(text: string): number {
  const bare = inWesternFigures(text.trim()).replace('٫', ',');
  return /^[+-]?\d*[.,]?\d+$|^[+-]?\d+[.,]$/.test(bare) ? Number(bare.replace(',', '.')) : Number.NaN;
}
