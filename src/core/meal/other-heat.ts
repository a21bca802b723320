import type { Dish, Step, VesselUse } from '@/core/dish/dish';
import { simmersGently } from '@/core/dish/foods';
import { fittingVessels } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { written } from '@/core/say/retold';

/** A simmer shorter than this is not worth warming an oven for. */
const LONG_SIMMER = 40;
/** Holds a covered pot at the barest simmer. Common practice, no source: 130 to 150 °C. */
export const OVEN_SIMMER = 140;
/** A gentler simmer takes a quarter longer. Common practice, no source. */
const GENTLER = 1.25;
const WORTH_GENTLER = 10;

/** Minutes within which a simmering pot is carried from the burner into the warm oven. */
const CARRIED_OVER = 5;

const hotHandles = () =>
  written('Handles and lid come out as hot as the oven: dry cloths, and one left on the handle as a warning.');

/** A step of a dish that may happen somewhere else, and the dish as it would be. */
export interface Elsewhere {
  readonly step: Step;
  readonly dish: Dish;
}

/** The dish with a simmer in the oven from its beginning. */
export function beginsInTheOven(dish: Dish, step: Step): Dish {
  const moved = ovenStep(
    step,
    `${step.says} ${written('It goes into the oven at {celsius} °C, covered, instead of staying on the burner.', { celsius: OVEN_SIMMER })}`,
  );
  return { ...dish, steps: dish.steps.map((each) => (each === step ? moved : each)) };
}

/** Long covered simmers that could go into the oven, in a casserole of this kitchen. */
export function inTheOven(dish: Dish, kitchen: Kitchen): readonly Elsewhere[] {
  if (kitchen.ovens.length === 0) return [];
  return dish.steps.flatMap((step): Elsewhere[] => {
    const use = dish.vessels.find(({ id }) => id === step.vessel);
    if (!isLongSimmer(step) || !use) return [];
    const need = { ...use.need, kinds: ['casserole'] as const };
    if (!use.need.kinds.includes('casserole') || fittingVessels(kitchen, need).length === 0) return [];
    const vessels = dish.vessels.map((each) => (each === use ? { ...use, need } : each));
    return [{ step, dish: { ...beginsInTheOven(dish, step), id: `${dish.id}-oven-${step.id}`, vessels } }];
  });
}

/** Whether a step simmers covered and gently for so long that an oven could do it. */
export function isLongSimmer(step: Step): boolean {
  return simmersGently(step) && step.minutes.likely >= LONG_SIMMER;
}

function ovenStep(step: Step, says: string): Step {
  return {
    ...step,
    place: { at: 'oven', celsius: OVEN_SIMMER, shelves: 1 },
    says,
    cautions: [...step.cautions, hotHandles()],
  };
}

/** Id of the second half of a simmer, in the oven. */
export function restInOven(step: string): string {
  return `${step}-in-the-oven`;
}

/** The dish with the last minutes of a simmer under way in the oven, in the pot it stands in; until the oven is warm it stays where it is. */
export function goesOnInTheOven(dish: Dish, step: Step, minutes: number): Dish {
  const id = restInOven(step.id);
  const { learned: _, ...rest } = ovenStep(
    step,
    written('It goes into the oven at {celsius} °C, covered, and goes on there.', { celsius: OVEN_SIMMER }),
  );
  const moved: Step = {
    ...rest,
    id,
    name: written('{step}, in the oven', { step: step.name }),
    minutes: { shortest: minutes, likely: minutes, longest: Math.ceil(minutes * GENTLER) },
    grows: { by: 'nothing' },
    uses: [],
  };
  const at = dish.steps.indexOf(step);
  const before: Step = { ...step, doneWhen: written('the oven is warm') };
  return {
    ...dish,
    steps: [...dish.steps.slice(0, at), before, moved, ...dish.steps.slice(at + 1)],
    links: [
      ...dish.links.map((link) => (link.from === step.id && link.at === 'end' ? { ...link, from: id } : link)),
      { from: step.id, at: 'end', to: id, of: 'start', min: 0, max: CARRIED_OVER },
    ],
    vessels: dish.vessels.map((use): VesselUse => (use.to === step.id ? { ...use, to: id } : use)),
    gives: dish.gives.map((give) => (give.step === step.id ? { ...give, step: id } : give)),
    lands: dish.lands?.step === step.id ? { ...dish.lands, step: id } : dish.lands,
  };
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
      says: `${step.says} ${written('It simmers gently here and takes its time.')}`,
    };
    const steps = dish.steps.map((each) => (each === step ? moved : each));
    return [{ step, dish: { ...dish, id: `${dish.id}-gently-${step.id}`, steps } }];
  });
}
