import type { Dish } from './dish';
import { isHot, sortsOf } from './foods';

/** How long something keeps that is made ahead, in the fridge at 4 °C or below and in the freezer at -18 °C. */
export interface Keeps {
  readonly of: string;
  readonly fridgeDays: number;
  /** Months in the freezer; null where it does not freeze well. */
  readonly freezerMonths: number | null;
  readonly source: string;
}

const CHART = 'FoodSafety.gov, Cold Food Storage Chart';
const TRADE = 'common practice, no source';

/** The lower end of each range, all from memory of the source named. Local rules and labels come first. */
export const KEEPING = {
  grain: { of: 'cooked grain', fridgeDays: 1, freezerMonths: 1, source: 'FSA guidance on rice: within 24 hours' },
  rawMinced: { of: 'raw minced meat', fridgeDays: 1, freezerMonths: 3, source: CHART },
  rawPoultry: { of: 'raw poultry', fridgeDays: 1, freezerMonths: 9, source: CHART },
  rawFish: { of: 'raw fish', fridgeDays: 1, freezerMonths: 2, source: CHART },
  rawMeat: { of: 'raw meat in pieces', fridgeDays: 3, freezerMonths: 4, source: CHART },
  stew: { of: 'soup, stew and cooked meat', fridgeDays: 3, freezerMonths: 2, source: CHART },
  eggs: { of: 'what is made with egg', fridgeDays: 3, freezerMonths: null, source: CHART },
  dairy: { of: 'cold sauces with milk or cream', fridgeDays: 2, freezerMonths: null, source: TRADE },
  pulses: { of: 'soaked pulses', fridgeDays: 1, freezerMonths: null, source: TRADE },
  cooked: { of: 'cooked vegetables and pulses', fridgeDays: 3, freezerMonths: 2, source: TRADE },
  cut: { of: 'cut vegetables', fridgeDays: 2, freezerMonths: null, source: TRADE },
} as const satisfies Record<string, Keeps>;

const GRAIN =
  /\b(rice|barley|millet|bulgur|couscous|quinoa|freekeh|farro|oats?|buckwheat|polenta|semolina|pasta|noodles)\b/;
const PULSES = /\b(beans?|peas|chickpeas|lentils?)\b/;
const DAIRY = /\b(milk|cream|yogh?urt|cheese|buttermilk)\b/;
const PLANT_MILK = /\bcoconut\b/;

/** How long the beginning of a dish keeps: the least of all that is in it by then. */
export function keepsOf(dish: Dish, early: ReadonlySet<string>): Keeps {
  const steps = dish.steps.filter(({ id }) => early.has(id));
  const cooked = steps.some(isHot);
  const used = new Set(steps.flatMap(({ uses }) => uses));
  const within = dish.ingredients.filter(({ id }) => used.has(id));
  const is = (pattern: RegExp) => within.some(({ name }) => pattern.test(name.toLowerCase()));
  const sorts = new Set(within.flatMap(sortsOf));
  const found: Keeps[] = [];
  if (cooked) {
    found.push(KEEPING.cooked);
    if (is(GRAIN)) found.push(KEEPING.grain);
    if (['poultry', 'minced', 'whole', 'fish'].some((sort) => sorts.has(sort as 'fish'))) found.push(KEEPING.stew);
  } else {
    found.push(KEEPING.cut);
    if (sorts.has('minced')) found.push(KEEPING.rawMinced);
    if (sorts.has('poultry')) found.push(KEEPING.rawPoultry);
    if (sorts.has('fish')) found.push(KEEPING.rawFish);
    if (sorts.has('whole')) found.push(KEEPING.rawMeat);
    if (is(PULSES)) found.push(KEEPING.pulses);
    if (within.some(({ name }) => DAIRY.test(name.toLowerCase()) && !PLANT_MILK.test(name.toLowerCase())))
      found.push(KEEPING.dairy);
  }
  if (sorts.has('egg')) found.push(KEEPING.eggs);
  return found.reduce((least, each) => (isShorter(least, each) ? least : each));
}

function isShorter(one: Keeps, other: Keeps): boolean {
  if (one.fridgeDays !== other.fridgeDays) return one.fridgeDays < other.fridgeDays;
  return (one.freezerMonths ?? 0) < (other.freezerMonths ?? 0);
}
