import type { SaidFood } from '@/core/food/food';
import type { Amount } from '@/core/units/amount';

/** What one part of a dish can hand to another, by what a cook calls it. */
export const PRODUCTS = [
  'broth',
  'spiced water',
  'boiled meat',
  'marinated meat',
  'meat in gravy',
  'fried slices',
  'fried pieces',
  'crisp onions',
  'kept oil',
  'golden nuts',
  'spiced butter',
  'cooked pulses',
  'boiled eggs',
  'sauce',
  'spice mix',
] as const;
/** One of them. */
export type Product = (typeof PRODUCTS)[number];

/** What is handed over, and the part that makes it; null: another dish of the meal. */
export interface From {
  readonly part: string | null;
  readonly product: Product;
}

/** What stands in a slot of a technique instead of the usual; amounts for one portion. */
export interface Filling {
  readonly name?: string;
  readonly amount?: Amount;
  readonly cut?: string;
  readonly allergens?: readonly string[];
  readonly food?: SaidFood;
  /** It is made by another part of the same dish, which is then all that counts. */
  readonly from?: From;
}

/** Something that goes in beside what the technique asks for; its amount for one portion. */
export interface More {
  readonly id: string;
  readonly name: string;
  readonly amount: Amount;
  /** The step it goes into; where that is gone, the first on the heat. */
  readonly step?: string;
  readonly food?: SaidFood;
}

/** The part that comes to the table. */
export const MAIN = '';

/** What the rest of a dish knows something of a part by. */
export function idIn(part: string, id: string): string {
  return part === MAIN ? id : `${part}_${id}`;
}

/** From what a technique made a dish or a part of one: what a cook says to have it. */
export interface Said {
  readonly technique: string;
  /** Way of each choice; the usual one where none is said. */
  readonly ways: Readonly<Record<string, string>>;
  /** By slot; null leaves it out. */
  readonly fillings: Readonly<Record<string, Filling | null>>;
  /** What goes in besides. */
  readonly more?: readonly More[];
}

/** A part of a dish: made by a technique of its own, and handed to another part. */
export interface MadePart extends Said {
  /** Letters, figures and hyphens: ids of what is in it begin with it. */
  readonly id: string;
}

/** What is done to a vessel between two parts that use it. */
export const BETWEEN = ['as it is', 'wiped', 'rinsed'] as const;
/** One of them. */
export type Between = (typeof BETWEEN)[number];

/** A vessel that goes from part to part. Vessels as the whole dish knows them: "pan", or "onions_pan" of a part. */
export interface SameVessel {
  readonly from: string;
  readonly to: string;
  readonly between: Between;
}

/** What a cook says to have a whole dish: the part that comes to the table, and those that are made for it. */
export interface Made extends Said {
  readonly parts?: readonly MadePart[];
  readonly same?: readonly SameVessel[];
}

/** The technique that a step of a dish comes from: that of its part; null where the dish was written by hand. */
export function techniqueAt(made: Made | undefined, step: string): string | null {
  if (!made) return null;
  return made.parts?.find(({ id }) => step.startsWith(`${id}_`))?.technique ?? made.technique;
}
