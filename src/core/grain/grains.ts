/** A least and a most. */
export type Band = readonly [least: number, most: number];

/** What a cook needs to know of a kind of grain. Weights are of dry grain. */
export interface Grain {
  readonly id: string;
  readonly name: string;
  /** Grams of a US cup (236.6 ml). */
  readonly gramsPerCup: number;
  /** Grams of water that a gram takes up until it is done. */
  readonly takesUp: Band;
  /** Minutes covered at a simmer, unsoaked. */
  readonly minutes: Band;
  /** Minutes of soaking: too short does little, too long breaks it. Null where it is not soaked. */
  readonly soak: Band | null;
  /** Grams of water that a gram has taken up after a good soak. */
  readonly soakTakes: number;
  /** Minutes of rest off the heat. */
  readonly rest: Band;
  /** Volumes of cooked grain from one of dry. */
  readonly swells: number;
  /** Minutes it stays good in its covered pot. */
  readonly holds: number;
  /** Volumes of liquid to one of grain that are poured off at the end: it is boiled in more than it takes. None when absent. */
  readonly leaves?: Band;
}

/**
 * Kinds of grain. Dry weights and yields: USDA FoodData Central and yield tables, from memory; uptake, minutes, soaks and holding: common
 * practice, no source.
 */
export const GRAINS: readonly Grain[] = [
  grain('long', 'long grain rice', 185, [1.65, 1.95], [12, 15], [10, 30], 0.28, [5, 10], 3, 20),
  grain('soft-long', 'soft, scented long grain rice', 185, [1.3, 1.6], [12, 14], [10, 20], 0.25, [10, 10], 2.8, 20),
  grain('aged-long', 'aged long grain rice', 180, [1.6, 1.95], [10, 15], [30, 60], 0.32, [5, 10], 3.2, 20),
  grain('parboiled', 'parboiled rice', 185, [1.9, 2.3], [18, 22], [60, 120], 0.35, [5, 10], 3.2, 30),
  grain('short', 'short grain rice', 200, [1.25, 1.55], [13, 16], [20, 40], 0.28, [10, 15], 2.5, 30),
  grain('brown', 'brown rice', 190, [1.7, 2.1], [35, 45], [30, 480], 0.25, [10, 10], 2.8, 30),
  grain('red', 'red rice', 190, [1.7, 2.1], [30, 40], [30, 480], 0.22, [10, 10], 2.7, 30),
  { ...grain('wild', 'wild rice', 160, [2.2, 2.8], [40, 55], [60, 480], 0.3, [10, 10], 3.2, 30), leaves: [0.75, 0.95] },
  grain('bulgur-coarse', 'coarse bulgur', 140, [2.3, 2.9], [10, 15], null, 0, [10, 15], 2.8, 30),
  grain('bulgur-fine', 'fine bulgur', 150, [1.2, 1.6], [0, 2], null, 0, [15, 20], 2.3, 60),
  grain('freekeh', 'cracked freekeh', 165, [2.45, 2.95], [18, 25], [5, 15], 0.15, [10, 10], 2.6, 30),
  grain('barley', 'pearl barley', 200, [1.9, 2.5], [25, 40], [30, 480], 0.3, [10, 10], 3.2, 30),
  grain('farro', 'pearled farro', 180, [1.2, 1.6], [18, 28], [30, 480], 0.25, [5, 10], 2.3, 30),
  grain('millet', 'millet', 200, [1.8, 2.2], [15, 20], [20, 120], 0.2, [10, 10], 3.2, 20),
  grain('quinoa', 'quinoa', 170, [2.3, 2.75], [12, 15], [5, 30], 0.15, [5, 10], 3, 25),
  grain('couscous', 'couscous', 173, [1.1, 1.5], [0, 1], null, 0, [5, 10], 2.6, 20),
  grain('buckwheat', 'roasted buckwheat', 170, [2.65, 3.05], [10, 15], null, 0, [10, 10], 2.8, 20),
  grain('polenta', 'coarse polenta', 160, [3.2, 4.6], [30, 45], [30, 480], 0.4, [5, 5], 4, 15),
  grain('oats', 'steel-cut oats', 175, [2.6, 3.6], [20, 30], [60, 600], 0.5, [5, 5], 3.2, 20),
];

/** Litres of a US cup. Source: NIST Handbook 44, from memory. */
export const US_CUP = 0.236588;

/** The kind of grain of an id; throws where there is none. */
export function grainOf(id: string): Grain {
  const found = GRAINS.find((each) => each.id === id);
  if (!found) throw new Error(`There is no grain "${id}".`);
  return found;
}

/** Litres that so many grams of dry grain fill. */
export function litresDry({ gramsPerCup }: Grain, grams: number): number {
  return (grams / gramsPerCup) * US_CUP;
}

function grain(
  id: string,
  name: string,
  gramsPerCup: number,
  takesUp: Band,
  minutes: Band,
  soak: Band | null,
  soakTakes: number,
  rest: Band,
  swells: number,
  holds: number,
): Grain {
  return { id, name, gramsPerCup, takesUp, minutes, soak, soakTakes, rest, swells, holds };
}
