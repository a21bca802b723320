/** Dish colours: pigments by day, lighter ones by night; always doubled by a pattern and the name. */
export interface Pigment {
  readonly day: string;
  readonly night: string;
  readonly pattern: Pattern;
}

export type Pattern = 'plain' | 'rise' | 'fall' | 'dots' | 'bars' | 'grid' | 'waves';

const PATTERNS: readonly Pattern[] = ['plain', 'rise', 'dots', 'bars', 'fall', 'grid', 'waves'];

const COLOURS: readonly (readonly [day: string, night: string])[] = [
  ['#7a2333', '#d9768a'],
  ['#8a5a10', '#e6b04e'],
  ['#55652f', '#a8bd78'],
  ['#b04a12', '#f0935a'],
  ['#2b5a7a', '#84b6d8'],
  ['#93395a', '#e592b0'],
  ['#2a6a4c', '#74c09a'],
  ['#5d4a8a', '#b3a2e0'],
  ['#6b5a2a', '#cbb878'],
  ['#1f6468', '#72bfc2'],
  ['#7d4a32', '#d3a083'],
  ['#44484f', '#b4bac4'],
  ['#84307a', '#db94d3'],
  ['#3d5f1f', '#9ccb72'],
];

/** The pigment of the n-th dish of a meal; colours come round after fourteen, each time with another pattern. */
export function pigmentAt(index: number): Pigment {
  const [day, night] = COLOURS[index % COLOURS.length]!;
  const round = Math.floor(index / COLOURS.length);
  return { day, night, pattern: PATTERNS[(index + round) % PATTERNS.length]! };
}

export const PIGMENT_COUNT = COLOURS.length;
