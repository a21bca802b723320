import type { Dish, Gives } from '@/core/dish/dish';
import { foodsAt, stepsFrom } from '@/core/dish/foods';
import { ruleFor, ruleOf } from '@/core/dish/rules';
import type { Meal } from '@/core/meal/meal';
import { VOLUME_IN_ML, type VolumeUnit } from '@/core/units/amount';
import type { LiveStep } from './session';

/** What an instrument can tell about a step under way. */
export type Measurable =
  /** The centre of a piece of meat or fish: °C at which it is safe, in surroundings of so many. */
  | { readonly kind: 'probe'; readonly target: number; readonly around: number }
  /** A pot that boils down: millilitres wanted of it in the end. */
  | { readonly kind: 'scale'; readonly wantedMl: number };

/** °C around a piece in a pot that simmers. Common practice, no source. */
const SIMMERING = 96;
const FRYING = 120;

/** What can be measured at a step on the heat; null where nothing helps. */
export function measurable(meal: Meal, { step, status }: LiveStep): Measurable | null {
  const dish = meal.dishes.find(({ id }) => id === step.dishId);
  const hot = step.station.sort === 'burner' || step.station.sort === 'oven';
  if (!dish || !hot || status !== 'running' || step.attention === 'hands' || step.kind === 'warm-up') return null;
  const give = liquidOf(dish, step.stepId);
  if (give && step.station.sort === 'burner') {
    return { kind: 'scale', wantedMl: give.amount.quantity * VOLUME_IN_ML[give.amount.unit as VolumeUnit] };
  }
  const target = centreOf(dish);
  if (target === null || !cooksFlesh(dish, step.stepId)) return null;
  const around = step.celsius ?? (step.heat === 'full' || step.heat === 'medium' ? FRYING : SIMMERING);
  return { kind: 'probe', target, around };
}

/** The liquid that a pot gives, while it is in it: measured where it is strained. */
function liquidOf(dish: Dish, step: string): Gives | undefined {
  const vessel = dish.steps.find(({ id }) => id === step)?.vessel;
  return dish.gives.find(
    (give) =>
      give.amount.unit in VOLUME_IN_ML &&
      vessel !== undefined &&
      dish.steps.find(({ id }) => id === give.step)?.vessel === vessel &&
      stepsFrom(dish, step).some(({ id }) => id === give.step),
  );
}

/** Whether what a step has on the heat has an animal or an egg in it: water that boils beside it has not. */
function cooksFlesh(dish: Dish, step: string): boolean {
  return dish.steps.some(
    (each) =>
      foodsAt(dish, each).some((food) => ruleFor(food) !== null) &&
      stepsFrom(dish, each.id).some(({ id }) => id === step),
  );
}

/** °C in the middle of what a dish holds, by the strictest rule that bites; null where none does. */
export function centreOf(dish: Pick<Dish, 'ingredients'>): number | null {
  return ruleOf(dish)?.celsius ?? null;
}
