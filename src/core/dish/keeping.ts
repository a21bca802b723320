import { type Food, isKernel } from '@/core/food/food';
import { foodsOf, unknownIn } from '@/core/food/known';
import { type Message, message } from '@/core/say/say';
import type { Dish } from './dish';
import { cooks } from './foods';

/** How long something keeps that is made ahead, in the fridge at 4 °C or below and in the freezer at -18 °C. */
export interface Keeps {
  readonly of: Message;
  readonly fridgeDays: number;
  /** Months in the freezer; null where it does not freeze well. */
  readonly freezerMonths: number | null;
  readonly source: Message;
}

const CHART = message('FoodSafety.gov, Cold Food Storage Chart');
const TRADE = message('common practice, no source');

/** The lower end of each range, all from memory of the source named. Local rules and labels come first. */
export const KEEPING = {
  grain: {
    of: message('cooked grain'),
    fridgeDays: 1,
    freezerMonths: 1,
    source: message('FSA guidance on rice: within 24 hours'),
  },
  rawMinced: { of: message('raw minced meat and inner parts'), fridgeDays: 1, freezerMonths: 3, source: CHART },
  rawPoultry: { of: message('raw poultry'), fridgeDays: 1, freezerMonths: 9, source: CHART },
  rawFish: { of: message('raw fish'), fridgeDays: 1, freezerMonths: 2, source: CHART },
  rawMeat: { of: message('raw meat in pieces'), fridgeDays: 3, freezerMonths: 4, source: CHART },
  stew: { of: message('soup, stew and cooked meat'), fridgeDays: 3, freezerMonths: 2, source: CHART },
  eggs: { of: message('what is made with egg'), fridgeDays: 3, freezerMonths: null, source: CHART },
  dairy: { of: message('cold sauces with milk or cream'), fridgeDays: 2, freezerMonths: null, source: TRADE },
  pulses: { of: message('soaked pulses'), fridgeDays: 1, freezerMonths: null, source: TRADE },
  cooked: { of: message('cooked vegetables and pulses'), fridgeDays: 3, freezerMonths: 2, source: TRADE },
  unknown: { of: message('what is not known'), fridgeDays: 1, freezerMonths: null, source: TRADE },
  cut: { of: message('cut vegetables'), fridgeDays: 2, freezerMonths: null, source: TRADE },
} as const satisfies Record<string, Keeps>;

/** How long the beginning of a dish keeps: the least of all that is in it by then. What is not known keeps no longer than the rest. */
export function keepsOf(dish: Dish, early: ReadonlySet<string>): Keeps {
  const steps = dish.steps.filter(({ id }) => early.has(id));
  const used = new Set(steps.flatMap(({ uses }) => uses));
  const within = dish.ingredients.filter(({ id }) => used.has(id));
  const foods = within.flatMap(foodsOf);
  const cooked = steps.some(cooks);
  const found: Keeps[] = [cooked ? KEEPING.cooked : KEEPING.cut, ...foods.flatMap((food) => keptAs(food, cooked))];
  if (within.some((item) => unknownIn(item).length > 0)) found.push(KEEPING.unknown);
  return found.reduce((least, each) => (isShorter(least, each) ? least : each));
}

/** What a food is kept as, raw or in something cooked. */
function keptAs(food: Food, cooked: boolean): readonly Keeps[] {
  const raw = !cooked && food.state === 'raw';
  switch (food.kind) {
    case 'poultry':
      return [raw ? KEEPING.rawPoultry : KEEPING.stew];
    case 'minced meat':
    case 'offal':
      return [raw ? KEEPING.rawMinced : KEEPING.stew];
    case 'red meat':
    case 'game':
      return [raw ? KEEPING.rawMeat : KEEPING.stew];
    case 'fish':
    case 'crustacean':
    case 'mollusc':
      return [raw ? KEEPING.rawFish : KEEPING.stew];
    case 'stock':
      return [KEEPING.stew];
    case 'egg':
      return [KEEPING.eggs];
    case 'grain':
      return isKernel(food) && (cooked || food.state === 'cooked') ? [KEEPING.grain] : [];
    case 'pulse':
      return cooked ? [] : [KEEPING.pulses];
    case 'dairy':
      return cooked ? [] : [KEEPING.dairy];
    default:
      return [];
  }
}

function isShorter(one: Keeps, other: Keeps): boolean {
  if (one.fridgeDays !== other.fridgeDays) return one.fridgeDays < other.fridgeDays;
  return (one.freezerMonths ?? 0) < (other.freezerMonths ?? 0);
}
