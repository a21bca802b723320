import type { SaidFood } from '@/core/food/food';
import type { Amount } from '@/core/units/amount';

/** What stands in a slot of a technique instead of the usual; amounts for one portion. */
export interface Filling {
  readonly name?: string;
  readonly amount?: Amount;
  readonly cut?: string;
  readonly allergens?: readonly string[];
  readonly food?: SaidFood;
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

/** From what a technique made a dish: what a cook says to have one. */
export interface Made {
  readonly technique: string;
  /** Way of each choice; the usual one where none is said. */
  readonly ways: Readonly<Record<string, string>>;
  /** By slot; null leaves it out. */
  readonly fillings: Readonly<Record<string, Filling | null>>;
  /** What goes in besides. */
  readonly more?: readonly More[];
}
