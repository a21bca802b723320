import type { SaidFood } from '@/core/food/food';
import type { PotStands } from '@/core/heat/cool';
import type { VesselNeed } from '@/core/kitchen/fits';
import type { ApplianceKind, Heat } from '@/core/kitchen/kitchen';
import type { Amount } from '@/core/units/amount';
import type { Made } from './made';

/** How long a step takes: at the shortest, most likely, at the longest; whole minutes. */
export interface Minutes {
  readonly shortest: number;
  readonly likely: number;
  readonly longest: number;
}

/** Where a step happens. */
export type Place =
  | { readonly at: 'board' }
  /** `orIn` names an appliance that can do the same, such as a rice cooker. */
  | { readonly at: 'burner'; readonly heat: Heat; readonly orIn?: ApplianceKind }
  | { readonly at: 'oven'; readonly celsius: number; readonly shelves: number }
  /** `litres`: what it must hold for the dish's servings, with the room that it needs; any size will do where nothing is said. */
  | { readonly at: 'appliance'; readonly appliance: ApplianceKind; readonly litres?: number }
  /** Off the heat: resting, soaking, draining at room temperature. */
  | { readonly at: 'rest' }
  | { readonly at: 'cold' };

/** Hands: one such step at a time. Eyes: a look now and then, two or three at once. None: leave it alone. */
export type Attention = 'hands' | 'eyes' | 'none';

/** How the minutes follow the number of people. */
export type Growth =
  | { readonly by: 'nothing' }
  /** A fifth is getting started, the rest grows with the people: chopping, layering. */
  | { readonly by: 'people' }
  /** Whole batches, one after another: browning, flatbreads. The minutes are those of one batch. */
  | {
      readonly by: 'batches';
      readonly servingsPerBatch: number;
      /** Floor of the pan that a serving covers in one layer: in a kitchen its widest pan then decides, not `servingsPerBatch`. */
      readonly floorCm2?: number;
    }
  /**
   * Roasted whole: as many pieces as it takes of at most so many kilos, side by side. The minutes are those of one piece: some to begin
   * with, and more for each kilo of it. `kilos` are all of them for the dish's servings.
   */
  | {
      readonly by: 'pieces';
      readonly kilos: number;
      readonly mostKilos: number;
      readonly first: number;
      readonly perKilo: number;
    }
  /**
   * Coming to the boil: litres (for the dish's servings) from a temperature, lid on or off. In a kitchen the minutes are those of the
   * burner it stands on; the written ones stand where no kitchen is known.
   */
  | { readonly by: 'boil'; readonly litres: number; readonly fromCelsius: number; readonly covered: boolean };

/** What a step is for that the app itself has added: cooling, keeping and heating again, which have rules of their own. */
export const DUTIES = ['cool', 'into the cold', 'thaw', 'heat through', 'keep warm'] as const;
/** A step that the app has added, and what for. */
export type Duty = (typeof DUTIES)[number];

/** One thing that is done for a dish. Minutes are those for the dish's own servings. */
export interface Step {
  readonly id: string;
  /** A word or two for the score: "toast". */
  readonly name: string;
  /** The instruction in full. */
  readonly says: string;
  readonly minutes: Minutes;
  readonly grows: Growth;
  readonly attention: Attention;
  /** Who may do a hands-on step: a helper works at the board only. */
  readonly by: 'cook' | 'anyone';
  /** Minutes between looks at a step that wants eyes. */
  readonly lookEvery?: number;
  readonly place: Place;
  /** The vessel use it happens in. */
  readonly vessel?: string;
  readonly doneWhen: string;
  readonly cautions: readonly string[];
  /** Ids of the ingredients that go in here. */
  readonly uses: readonly string[];
  /** May stand hours or a day before the rest, and does not count towards the evening at the stove. */
  readonly ahead?: boolean;
  /** Begins this many days before the table. */
  readonly daysBefore?: number;
  readonly duty?: Duty;
  /** Minutes that safety asks for: a floor that no plan, pace or lesson goes below. */
  readonly safeMinutes?: number;
  /** Its minutes were changed after so many evenings, by a factor, from what was written; absent in a dish as it is written. */
  readonly learned?: {
    readonly factor: number;
    readonly times: number;
    /** Absent in what was kept by older versions. */
    readonly written?: Minutes;
  };
}

/** The beginning or the end of a step. */
export type Edge = 'start' | 'end';

/** `min` to `max` minutes (null: any) lie between an edge of one step and an edge of another. */
export interface Link {
  readonly from: string;
  readonly at: Edge;
  readonly to: string;
  readonly of: Edge;
  readonly min: number;
  readonly max: number | null;
  /** Waiting longer than this is allowed but a pity. */
  readonly rather?: number;
  /** Instead it may stand a night in the cold, covered: what is before can be made the day before. */
  readonly overnight?: boolean;
}

/** A vessel kept from the start of one step to the end of another, then washed. */
export interface VesselUse {
  readonly id: string;
  readonly name: string;
  readonly need: VesselNeed;
  /** Whether the litres grow with the people. */
  readonly grows: boolean;
  readonly from: string;
  readonly to: string;
  readonly washMinutes: number;
}

/** Something this dish makes that another takes, or another part of itself: a strained stock. */
export interface Gives {
  readonly product: string;
  readonly name: string;
  readonly step: string;
  readonly amount: Amount;
  /** It may stand a night in the cold, though its dish comes to the table by itself. */
  readonly overnight?: boolean;
  /** So many times as much as is written, measured on so many evenings; absent in a dish as it is written. */
  readonly learned?: { readonly factor: number; readonly times: number };
}

/** Something taken from another dish of the meal, or from another part of the same dish, at the start of a step. */
export interface Takes {
  readonly product: string;
  readonly step: string;
  readonly amount: Amount;
  /** Longest wait between the other dish giving it and this step taking it; null: any. */
  readonly withinMinutes: number | null;
  /** What to use when no dish of the meal gives it. */
  readonly otherwise: string;
}

/** How the finished dish waits: well for a while, then worse, and not beyond the most. */
export interface Waits {
  readonly wellMinutes: number;
  readonly mostMinutes: number;
  readonly how: string;
  /** How its pot stands meanwhile, which decides how fast it cools; covered when absent. */
  readonly standing?: PotStands;
  readonly served: 'hot' | 'warm' | 'cold';
  /** The finished dish may stand a night in the cold. */
  readonly overnight?: boolean;
}

/** How a dish comes to the table. */
export interface Lands {
  readonly step: string;
  readonly waits: Waits;
  /** It comes so many minutes after the rest, on purpose; with the rest when absent. Agreed in mid-meal only. */
  readonly after?: number;
}

/** What goes into a dish. The amount is for the dish's own servings. */
export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly amount: Amount;
  /** How it is cut or readied: "thinly sliced". */
  readonly cut?: string;
  /** Some things do not grow with the people: a bay leaf, the oil in the pan. */
  readonly grows: boolean;
  readonly allergens: readonly string[];
  /** What the cook has said it is, where its name is not known or says something else. */
  readonly food?: SaidFood;
}

/** The grain of a dish that cooks in measured liquid, so that the one follows the other. */
export interface DishGrain {
  /** A kind of grain and a way of cooking it, by the ids of the grain tables. */
  readonly kind: string;
  readonly method: string;
  readonly soaked: boolean;
  /** The ingredient that is the dry grain, by weight. */
  readonly dry: string;
  /** The ingredients, or what is taken from another dish, that are its liquid; volumes. */
  readonly liquid: readonly string[];
  /** Litres that a sauce or vegetables in the pot bring for the dish's servings: so much less is poured. */
  readonly besides?: number;
  /** The cook or a school has said how much: it follows no burner. */
  readonly set?: true;
  /** Nothing in the pot gives juice, though the method counts on it. */
  readonly alone?: true;
}

/** A recipe as it is cooked: ingredients, steps, and what ties the steps together. */
export interface Dish {
  readonly id: string;
  readonly name: string;
  readonly servings: number;
  readonly ingredients: readonly Ingredient[];
  readonly steps: readonly Step[];
  readonly links: readonly Link[];
  readonly vessels: readonly VesselUse[];
  readonly gives: readonly Gives[];
  readonly takes: readonly Takes[];
  /** The step at whose end the dish is ready for the table; null for a part, such as a stock. */
  readonly lands: Lands | null;
  readonly note?: string;
  readonly grain?: DishGrain;
  /** The technique it was made by, and what was said for it; absent where it was written by hand. */
  readonly made?: Made;
}
