import { type Food, isFlesh, isRawFlesh } from '@/core/food/food';
import { LIMITS, type Limit } from '@/core/heat/safe-limits';
import { written } from '@/core/say/retold';
import type { Dish, Step } from './dish';
import { cooks, foodsAt, foodsIn, stepsFrom } from './foods';

/**
 * The one table of what heat makes safe: which temperature the middle must reach for which food. Cautions, findings, probes and techniques
 * all ask here.
 */

/** What the middle must reach, and how long it rests then. */
export interface CentreRule {
  readonly celsius: number;
  readonly restMinutes: number;
  readonly limit: Limit;
}

const rule = (limit: Limit & { readonly celsius: number }): CentreRule => ({
  celsius: limit.celsius,
  restMinutes: limit.minutes ?? 0,
  limit,
});

/** The rule for one food; null where none bites: it is no flesh and no egg, or is eaten as it comes. */
export function ruleFor(food: Food): CentreRule | null {
  if (food.state === 'ready') return null;
  // Cooked already and heated again: as all that is heated again.
  if (food.state === 'cooked') return isFlesh(food) || food.kind === 'egg' ? rule(LIMITS.poultry) : null;
  if (food.bird) return rule(LIMITS.poultry);
  switch (food.kind) {
    case 'poultry':
      return rule(LIMITS.poultry);
    case 'minced meat':
      return rule(LIMITS.minced);
    case 'game':
    case 'offal':
      return rule(LIMITS.gameAndOffal);
    case 'egg':
      return rule(LIMITS.egg);
    case 'red meat':
      return rule(LIMITS.whole);
    case 'fish':
    case 'crustacean':
    case 'mollusc':
      return rule(LIMITS.fish);
    default:
      return null;
  }
}

/** The strictest rule of several foods: the hottest, and of equal ones the longest rest. */
export function strictest(foods: readonly Food[]): CentreRule | null {
  return foods.reduce<CentreRule | null>((most, food) => {
    const one = ruleFor(food);
    if (!one) return most;
    if (!most || one.celsius > most.celsius) return one;
    return one.celsius === most.celsius && one.restMinutes > most.restMinutes ? one : most;
  }, null);
}

/** The strictest rule of all that is in a dish. */
export function ruleOf(dish: Pick<Dish, 'ingredients'>): CentreRule | null {
  return strictest(foodsIn(dish));
}

/** Boiled or simmered in its liquid for so long, its middle is far beyond any rule. Common practice, no source. */
const THROUGH_AND_THROUGH = 60;

/** Minutes at the least that a dish lies in simmering liquid, or what counts for as many: in a pressure cooker, a closed pot in the oven, the oven. */
function wetMinutes(dish: Dish, steps: readonly Step[]): number {
  return steps.reduce((sum, step) => sum + step.minutes.shortest * weightOf(dish, step), 0);
}

/** Under pressure a minute counts for three; in the open oven three count for one. Common practice, no source. */
const PRESSED = 3;
const ROASTED = 1 / 3;

function weightOf(dish: Dish, step: Step): number {
  if (step.place.at === 'appliance') return step.place.appliance === 'pressure-cooker' ? PRESSED : 0;
  if (isWet(dish, step)) return 1;
  return step.place.at === 'oven' ? ROASTED : 0;
}

function isWet(dish: Dish, { place, attention, vessel }: Step): boolean {
  if (attention === 'hands' || (place.at !== 'burner' && place.at !== 'oven')) return false;
  const kinds = dish.vessels.find(({ id }) => id === vessel)?.need.kinds ?? [];
  return kinds.some((kind) => kind === 'casserole' || kind === 'pot') && kinds.every((kind) => kind !== 'tray');
}

/** A step at whose end the middle is measured, and what it must have reached. */
export interface Measured {
  readonly step: Step;
  readonly rule: CentreRule;
}

/**
 * Where the middle of what a dish cooks is measured: at the last heat that it goes through. Null where nothing asks for it, or where it has
 * boiled for so long that there is nothing to measure.
 */
export function measuredAt(dish: Dish): Measured | null {
  const asked = ruleOf(dish);
  if (!asked) return null;
  const entries = dish.steps.filter((step) => strictest(foodsAt(dish, step)) !== null);
  const after = new Set(entries.flatMap(({ id }) => stepsFrom(dish, id).map((step) => step.id)));
  const heated = dish.steps.filter((step) => after.has(step.id) && cooks(step));
  const last = heated.findLast(({ duty }) => duty === undefined);
  if (!last || wetMinutes(dish, heated) >= THROUGH_AND_THROUGH) return null;
  return { step: last, rule: asked };
}

/** Raw flesh and eggs that no heat reaches after they are taken in hand, and the step that takes them; foods eaten raw on purpose too. */
export function neverHeated(dish: Dish): readonly { readonly step: Step; readonly food: Food }[] {
  return dish.steps.flatMap((step) => {
    const raw = foodsAt(dish, step).filter((food) => isRawFlesh(food) || (food.kind === 'egg' && food.state === 'raw'));
    const heated = raw.length === 0 || stepsFrom(dish, step.id).some(cooks);
    return heated ? [] : raw.map((food) => ({ step, food }));
  });
}

/** The rule in a sentence. */
export function sayRule({ celsius, restMinutes, limit }: CentreRule): string {
  return `${middle(celsius, restMinutes, limit)} ${written('Local rules come first.')}`;
}

function middle(celsius: number, minutes: number, { id }: Limit): string {
  if (id === 'egg') {
    return written('In the middle at least {celsius} °C, or white and yolk firm: measure the thickest piece.', {
      celsius,
    });
  }
  if (id === 'fish') {
    return written('In the middle at least {celsius} °C, or opaque and flaking: measure the thickest piece.', {
      celsius,
    });
  }
  if (minutes === 0) return written('In the middle at least {celsius} °C: measure the thickest piece.', { celsius });
  return written('In the middle at least {celsius} °C, and {minutes} minutes of rest: measure the thickest piece.', {
    celsius,
    minutes,
  });
}
