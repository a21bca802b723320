import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Pin } from './pins';

/** How the cook likes to work: pads hands-on minutes and leaves a breath after each. */
export type Pace = 'relaxed' | 'steady' | 'brisk';
export const PACES: readonly Pace[] = ['relaxed', 'steady', 'brisk'];

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
  /** What the cook has set by hand; none when absent. */
  readonly pins?: readonly Pin[];
}

/** A meal with all it stands on: one cooks these dishes in this kitchen for these people at this hour. */
export interface Meal extends MealSetting {
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
}
