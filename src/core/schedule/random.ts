/** A small seeded generator (mulberry32, Tommy Ettinger, public domain): the same seed gives the same numbers. */
export interface Random {
  /** A float in [0, 1). */
  next(): number;
  /** A whole number in [0, below). */
  below(below: number): number;
}

/** Chance that is the same for the same seed (mulberry32). */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return { next, below: (below) => Math.floor(next() * below) };
}
