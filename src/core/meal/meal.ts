import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Pin } from './pin';

/** How the cook likes to work: pads hands-on minutes and leaves a breath after each. */
export type Pace = 'relaxed' | 'steady' | 'brisk';
/** Paces from slow to quick, for a choice. */
export const PACES: readonly Pace[] = ['relaxed', 'steady', 'brisk'];

/** What the plan leans to: room for whatever takes longer, or as short an evening as can be. */
export type Sureness = 'sure' | 'even' | 'short';
/** From the surest to the shortest, for a choice. */
export const SURENESSES: readonly Sureness[] = ['sure', 'even', 'short'];

/** How much is eaten. */
export type Appetite = 'light' | 'usual' | 'hearty';
/** Appetites from small to large, for a choice. */
export const APPETITES: readonly Appetite[] = ['light', 'usual', 'hearty'];

/** The longest way back from the table, for what is frozen. */
export const MOST_DAYS_AHEAD = 30;

/** A dish made on an earlier day up to a step, and all that step needs. */
export interface MadeAhead {
  readonly dish: string;
  /** Id of the last step of the earlier day. */
  readonly upTo: string;
  /** Days before the table, from 1. */
  readonly days: number;
  /** Kept in the freezer until the night before. */
  readonly frozen?: boolean;
}

/** What is chosen for a meal, apart from the dishes and the kitchen themselves. */
export interface MealSetting {
  readonly id: string;
  readonly name: string;
  readonly people: number;
  /** Day of the table, "YYYY-MM-DD". */
  readonly day: string;
  /** Hour of the table, "HH:MM". */
  readonly hour: string;
  readonly pace: Pace;
  /** Even when absent. */
  readonly sureness?: Sureness;
  /** How much they eat; usual when absent. */
  readonly appetite?: Appetite;
  /** Portions to be left over for another day; none when absent. */
  readonly leftovers?: number;
  /** Safety findings that the cook has read and passes over, by their ids; they stay in sight, marked. */
  readonly passedOver?: readonly string[];
  /** What keeps laid out is prepared before the last hour, where there is time for it; so when absent. */
  readonly layOutFirst?: boolean;
  /** Board work that is done together, one after the other: keys of steps. */
  readonly together?: readonly (readonly string[])[];
  /** Dishes, or beginnings of dishes, made on a day before. */
  readonly ahead?: readonly MadeAhead[];
  /** °C of the air where it is cooked on that day: how fast food cools and how long it may stand; an ordinary kitchen when absent. */
  readonly roomCelsius?: number;
  /** What the cook has set by hand; none when absent. */
  readonly pins?: readonly Pin[];
}

/** Share of a written portion. Common practice, no source. */
const EATS: Readonly<Record<Appetite, number>> = { light: 0.8, usual: 1, hearty: 1.25 };

/** Written portions to cook: for the people as they eat, and what shall be left over. To a tenth. */
export function portionsOf({
  people,
  appetite,
  leftovers,
}: Pick<MealSetting, 'people' | 'appetite' | 'leftovers'>): number {
  return Math.round(10 * (people * EATS[appetite ?? 'usual'] + (leftovers ?? 0))) / 10;
}

/** °C of a kitchen with the oven on. Common practice, no source. */
const ORDINARY_ROOM = 23;
/** The coldest air that is reckoned with, °C. */
export const COLDEST_ROOM = -10;
/** The hottest air that is reckoned with, °C. */
export const HOTTEST_ROOM = 50;

/** °C of the air around what stands in a meal's kitchen. */
export function roomOf({ roomCelsius }: Pick<MealSetting, 'roomCelsius'>): number {
  return roomCelsius ?? ORDINARY_ROOM;
}

/** A meal with all it stands on: one cooks these dishes in this kitchen for these people at this hour. */
export interface Meal extends MealSetting {
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
}
