import { type Grain, litresDry, US_CUP } from './grains';

/** Rules by eye and by spoon, as numbers. */

/** Centimetres of liquid above the grain. Common practice, no source. */
export const OVER_THE_GRAIN = { 'finger-joint': 2.5, inch: 2.54 } as const;
/** A depth of liquid over the grain, as it is measured by eye. */
export type OverTheGrain = keyof typeof OVER_THE_GRAIN;

/** Share of a heap of dry grain that is air. From its bulk weight and that of a kernel, about 1.45 g/ml. */
const KERNEL = 1.45;

/**
 * Litres that a rule by eye pours over so many grams of dry grain in a straight pot: the air between the grains, and the layer above.
 * Geometry; a soak swells the grain and the layer stays.
 */
export function litresOver(rule: OverTheGrain, grain: Grain, grams: number, widthCm: number): number {
  const between = litresDry(grain, grams) - grams / 1000 / KERNEL;
  const layer = ((Math.PI / 4) * widthCm ** 2 * OVER_THE_GRAIN[rule]) / 1000;
  return Math.max(0, between) + layer;
}

/** Grams of fine salt of a level teaspoon. Source: USDA FoodData Central, from memory. */
export const GRAMS_PER_TEASPOON = 6;

/** Grams of salt in a litre of stock, as it tastes. Common practice, no source. */
export const STOCK_SALT = { none: 0, light: 4, seasoned: 8, 'a little too salty': 11 } as const;
/** How salty a stock tastes. */
export type StockSalt = keyof typeof STOCK_SALT;

/**
 * Grams of fine salt to add: about a teaspoon to a cup of dry grain in all, less what the stock carries. Negative when the stock
 * carries more than that. Common practice, no source.
 */
export function saltToAdd(grain: Grain, grams: number, stockLitres: number, stock: StockSalt): number {
  return (litresDry(grain, grams) / US_CUP) * GRAMS_PER_TEASPOON - stockLitres * STOCK_SALT[stock];
}

/** Grams of fine salt for water that grain is boiled in and drained from: salted like soup. Common practice, no source. */
export function saltForBoiling(litres: number): number {
  return 10 * litres;
}

/** Grams of dry grain a head with usual appetite: by itself, with a few dishes, among many. Common practice, no source. */
export function gramsPerHead(dishes: number): number {
  return dishes <= 1 ? 100 : dishes <= 4 ? 75 : 60;
}

/** Litres a pot must hold for grain cooked in its liquid: the cooked grain, or grain and liquid before, with room to foam. */
export function litresInPot(grain: Grain, grams: number, liquidLitres: number): number {
  const dry = litresDry(grain, grams);
  return FOAM_ROOM * Math.max(dry * grain.swells, grams / 1000 / KERNEL + liquidLitres);
}

/** Starch foams: a quarter more than what lies in the pot. Common practice, no source. */
const FOAM_ROOM = 1.25;
