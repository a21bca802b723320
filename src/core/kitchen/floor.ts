/** The floor of a pan, and what lies on it in one layer. */

/** Square centimetres of a round floor. */
export function floorOf(widthCm: number): number {
  return (Math.PI / 4) * widthCm ** 2;
}

/** How many layers so much makes, one after another. `floorCm2`: what all of it covers lying side by side. */
export function batchesOn(floorCm2: number, widthCm: number): number {
  return Math.max(1, Math.ceil(floorCm2 / floorOf(widthCm) - 1e-9));
}

/** Width in cm of the narrowest pan in which so many batches are enough. */
export function widthFor(floorCm2: number, batches: number): number {
  return Math.sqrt(floorCm2 / batches / (Math.PI / 4)) - 1e-6;
}

/**
 * Grams of a square centimetre of things lying loosely in one layer, with the gaps that browning wants. Common practice, no source: a
 * 28 cm pan takes 700 g of diced meat.
 */
export const LAYERS = {
  'diced meat': 1.15,
  'meat in large pieces': 2,
  'sliced vegetables': 0.6,
  'fish fillets': 1.3,
} as const;
/** How thick a layer lies on the floor of a pan. */
export type Layer = keyof typeof LAYERS;

/** Pieces are cut smaller or larger: so much less or more of the floor. Common practice, no source. */
const CUT = [0.85, 1.2] as const;

/** Batches of so many grams in one layer: the fewest, the likely and the most. */
export function batchBand(layer: Layer, grams: number, widthCm: number): readonly [number, number, number] {
  const floor = coveredBy(layer, grams);
  return [batchesOn(CUT[0] * floor, widthCm), batchesOn(floor, widthCm), batchesOn(CUT[1] * floor, widthCm)];
}

/** Square centimetres that so many grams cover in one layer. */
export function coveredBy(layer: Layer, grams: number): number {
  return grams / LAYERS[layer];
}
