import { type Food, type FoodKind, isFlesh, isRawFlesh } from '@/core/food/food';
import { foodsOf } from '@/core/food/known';
import type { Dish, Step } from './dish';

/** What is in a dish: the foods of all its ingredients, by what the cook has said of them or by their names. */
export function foodsIn({ ingredients }: Pick<Dish, 'ingredients'>): readonly Food[] {
  return ingredients.flatMap(foodsOf);
}

/** The foods that a step takes in hand. */
export function foodsAt(dish: Dish, step: Pick<Step, 'uses'>): readonly Food[] {
  return step.uses.flatMap((id) => foodsOf(dish.ingredients.find((item) => item.id === id) ?? { name: '' }));
}

/** Whether a step takes raw meat or fish in hand. */
export function handlesRaw(dish: Dish, step: Pick<Step, 'uses'>): boolean {
  return foodsAt(dish, step).some(isRawFlesh);
}

/** Whether raw meat or fish lies in what a step leaves to itself: it takes it in hand, or has it from a step that did and does not cook. */
export function liesRaw(dish: Dish, step: Pick<Step, 'id' | 'uses'>): boolean {
  const before = dish.links.flatMap(({ from, to }) =>
    to === step.id ? dish.steps.filter(({ id }) => id === from) : [],
  );
  return handlesRaw(dish, step) || before.some((each) => handlesRaw(dish, each) && !cooks(each));
}

/** Whether something of a dish is of this kind. */
export function holdsKind(dish: Pick<Dish, 'ingredients'>, ...kinds: readonly FoodKind[]): boolean {
  return foodsIn(dish).some(({ kind }) => kinds.includes(kind));
}

/** Whether meat, fish or shellfish is among its ingredients. */
export function holdsFlesh(dish: Pick<Dish, 'ingredients'>): boolean {
  return foodsIn(dish).some(isFlesh);
}

/** Whether a step stands on or in something hot. */
export function isHot({ place }: Pick<Step, 'place'>): boolean {
  return place.at === 'burner' || place.at === 'oven' || place.at === 'appliance';
}

/** Whether a step cooks: a kettle and a blender do not. */
export function cooks({ place }: Pick<Step, 'place'>): boolean {
  return isHot({ place }) && !(place.at === 'appliance' && ['kettle', 'blender'].includes(place.appliance));
}

/** Whether a step leaves a pot at a gentle simmer, with a look now and then at the most. */
export function simmersGently({ place, attention }: Pick<Step, 'place' | 'attention'>): boolean {
  return place.at === 'burner' && (place.heat === 'low' || place.heat === 'lowest') && attention !== 'hands';
}

/** A simmer as long as this bears more of the same, and is as good heated through. Common practice, no source. */
const LONG_SIMMER = 15;

/** Whether a step simmers gently for so long that what comes of it waits on the heat, or is heated again, without harm. */
export function simmersLong(step: Pick<Step, 'place' | 'attention' | 'minutes'>): boolean {
  return simmersGently(step) && step.minutes.likely >= LONG_SIMMER;
}

/** Ids of the steps that come after one, itself among them, in the order of the dish. */
export function stepsFrom({ links, steps }: Pick<Dish, 'links' | 'steps'>, id: string): readonly Step[] {
  const next = new Map<string, string[]>();
  for (const { from, to } of links) next.set(from, [...(next.get(from) ?? []), to]);
  const seen = new Set<string>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    open.push(...(next.get(at) ?? []));
  }
  return steps.filter((step) => seen.has(step.id));
}

/** Whether what a step handles is heated in a step after it: else it is eaten as it lies there. */
export function isHeatedAfter(dish: Dish, id: string): boolean {
  return stepsFrom(dish, id).some((step) => step.id !== id && cooks(step));
}
