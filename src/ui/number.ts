/** A number as people write it, with a point or a comma before its tenths; NaN where it is none. */
export function readNumber(text: string): number {
  const bare = text.trim();
  return /^[+-]?\d*[.,]?\d+$|^[+-]?\d+[.,]$/.test(bare) ? Number(bare.replace(',', '.')) : Number.NaN;
}
