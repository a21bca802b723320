import type { Dish, Step } from '@/core/dish/dish';
import { fittingVessels } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';

/** A simmer shorter than this is not worth warming an oven for. */
const LONG_SIMMER = 40;
/** Holds a covered pot at the barest simmer. Common practice, no source: 130 to 150 °C. */
const OVEN_SIMMER = 140;
/** A gentler simmer takes a quarter longer. Common practice, no source. */
const GENTLER = 1.25;
const WORTH_GENTLER = 10;

const HOT_HANDLES = 'Handles and lid come out as hot as the oven: dry cloths, and one left on the handle as a warning.';

/** A step of a dish that may happen somewhere else, and the dish as it would be. */
export interface Elsewhere {
  readonly step: Step;
  readonly dish: Dish;
}

/** Long covered simmers that could go into the oven, in a casserole of this kitchen. */
export function inTheOven(dish: Dish, kitchen: Kitchen): readonly Elsewhere[] {
  if (kitchen.ovens.length === 0) return [];
  return dish.steps.flatMap((step): Elsewhere[] => {
    const { place } = step;
    const use = dish.vessels.find(({ id }) => id === step.vessel);
    const gentle = place.at === 'burner' && (place.heat === 'low' || place.heat === 'lowest');
    if (!gentle || step.attention === 'hands' || step.minutes.likely < LONG_SIMMER || !use) return [];
    const need = { ...use.need, kinds: ['casserole'] as const };
    if (!use.need.kinds.includes('casserole') || fittingVessels(kitchen, need).length === 0) return [];
    const moved: Step = {
      ...step,
      place: { at: 'oven', celsius: OVEN_SIMMER, shelves: 1 },
      says: `${step.says} It goes into the oven at ${OVEN_SIMMER} °C, covered, instead of staying on the burner.`,
      cautions: [...step.cautions, HOT_HANDLES],
    };
    const vessels = dish.vessels.map((each) => (each === use ? { ...use, need } : each));
    return [{ step, dish: { ...withStep(dish, moved, 'oven'), vessels } }];
  });
}

/** Simmers at medium heat that could go gently instead, where a weak burner will do. */
export function moreGently(dish: Dish): readonly Elsewhere[] {
  return dish.steps.flatMap((step): Elsewhere[] => {
    const { place, minutes } = step;
    if (place.at !== 'burner' || place.heat !== 'medium') return [];
    const comesToTheBoil = dish.links.some((link) => link.from === step.id && link.max === 0);
    if (step.attention === 'hands' || minutes.likely < WORTH_GENTLER || comesToTheBoil) return [];
    const longer = (value: number) => Math.ceil(value * GENTLER);
    const moved: Step = {
      ...step,
      place: { ...place, heat: 'low' },
      minutes: {
        shortest: minutes.shortest,
        likely: longer(minutes.likely),
        longest: Math.max(longer(minutes.likely), longer(minutes.longest)),
      },
      says: `${step.says} It simmers gently here and takes its time.`,
    };
    return [{ step, dish: withStep(dish, moved, 'gently') }];
  });
}

function withStep(dish: Dish, step: Step, suffix: string): Dish {
  return {
    ...dish,
    id: `${dish.id}-${suffix}-${step.id}`,
    steps: dish.steps.map((each) => (each.id === step.id ? step : each)),
  };
}
