import { type Amount, scaleAmount } from '@/core/units/amount';
import type { Dish, Growth, Ingredient, Minutes, Step, VesselUse } from './dish';
import { grainParts, usualBalance } from './grain-of';

/** Share of a growing step that does not grow: getting out the board, the first cut. Common practice, no source. */
export const FIXED_SHARE = 0.2;

/** Minutes of a step for a number of people, each rounded up to a whole minute, at least 1. */
export function scaleMinutes(minutes: Minutes, grows: Growth, servings: number, people: number): Minutes {
  const factor = minutesFactor(grows, servings, people);
  const scale = (value: number) => (value === 0 ? 0 : Math.max(1, Math.round(value * factor)));
  return { shortest: scale(minutes.shortest), likely: scale(minutes.likely), longest: scale(minutes.longest) };
}

function minutesFactor(grows: Growth, servings: number, people: number): number {
  switch (grows.by) {
    case 'nothing':
      return 1;
    case 'people':
      return FIXED_SHARE + (1 - FIXED_SHARE) * (people / servings);
    case 'batches':
      return batches(grows.servingsPerBatch, people);
    case 'boil':
      return people / servings;
    case 'pieces': {
      const minutes = (kilos: number) => grows.first + grows.perKilo * pieceKilos(kilos, grows.mostKilos);
      return minutes((grows.kilos * people) / servings) / minutes(grows.kilos);
    }
  }
}

/** Kilos of each of as many equal pieces as it takes, none heavier than the most. */
export function pieceKilos(kilos: number, mostKilos: number): number {
  return kilos / Math.max(1, Math.ceil(kilos / mostKilos - 1e-9));
}

/** How many batches feed the people. */
export function batches(servingsPerBatch: number, people: number): number {
  return Math.max(1, Math.ceil(people / servingsPerBatch - 1e-9));
}

/** How much of an ingredient goes in for so many portions, in its own unit. */
export function ingredientAmount(ingredient: Ingredient, servings: number, people: number): Amount {
  return ingredient.grows ? scaleAmount(ingredient.amount, people / servings) : ingredient.amount;
}

/** Litres wanted of a vessel for a number of people. */
export function vesselLitres(use: VesselUse, servings: number, people: number): number {
  return use.grows ? (use.need.litres * people) / servings : use.need.litres;
}

/**
 * Factor of the liquid of a dish's grain. What the grain takes up grows with the people; what boils off on the way does not, so that
 * ten need less than two and a half times what four do. 1 : n of the people where the dish has no such grain, or follows a school's ratio.
 */
export function liquidFactor(dish: Dish, people: number): number {
  const times = people / dish.servings;
  // A school's ratio is a ratio, for however many.
  if (dish.made?.ways['measure'] === 'school') return times;
  const parts = dish.grain && grainParts(dish);
  if (!parts || parts.litres <= 0) return times;
  const boiled = Math.min(parts.litres / 2, usualBalance(dish.grain!, parts.grams).boiledOff.likely);
  return ((parts.litres - boiled) * times + boiled) / parts.litres;
}

/**
 * The dish so that it stays as large as it is when so many times as many portions are cooked (2: twice as many): it is written for that many
 * more, and its batches hold more of them.
 */
export function asLarge(dish: Dish, times: number): Dish {
  if (times === 1) return dish;
  return {
    ...dish,
    servings: dish.servings * times,
    steps: dish.steps.map(
      (step): Step =>
        step.grows.by === 'batches'
          ? {
              ...step,
              grows: {
                ...step.grows,
                servingsPerBatch: step.grows.servingsPerBatch * times,
                ...(step.grows.floorCm2 === undefined ? {} : { floorCm2: step.grows.floorCm2 / times }),
              },
            }
          : step,
    ),
  };
}

/** Amounts, minutes and vessels of a whole dish, rewritten for a number of people. */
export function scaleDish(dish: Dish, people: number): Dish {
  if (people === dish.servings) return dish;
  const liquid = liquidFactor(dish, people);
  const isLiquid = (id: string) => dish.grain?.liquid.includes(id) === true;
  return {
    ...dish,
    servings: people,
    ingredients: dish.ingredients.map((item) => ({
      ...item,
      amount: isLiquid(item.id) ? scaleAmount(item.amount, liquid) : ingredientAmount(item, dish.servings, people),
    })),
    steps: dish.steps.map((step) => ({
      ...step,
      minutes: scaleMinutes(step.minutes, step.grows, dish.servings, people),
      grows:
        step.grows.by === 'boil'
          ? { ...step.grows, litres: (step.grows.litres * people) / dish.servings }
          : { by: 'nothing' },
      place:
        step.place.at === 'appliance' && step.place.litres !== undefined
          ? { ...step.place, litres: (step.place.litres * people) / dish.servings }
          : step.place,
    })),
    vessels: dish.vessels.map((use) => ({
      ...use,
      need: { ...use.need, litres: vesselLitres(use, dish.servings, people) },
    })),
    gives: dish.gives.map((give) => ({ ...give, amount: scaleAmount(give.amount, people / dish.servings) })),
    takes: dish.takes.map((take) => ({
      ...take,
      amount: scaleAmount(take.amount, isLiquid(take.product) ? liquid : people / dish.servings),
    })),
  };
}
