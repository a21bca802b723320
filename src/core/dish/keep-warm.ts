import { LIMITS } from '@/core/heat/safe-limits';
import { written } from '@/core/say/retold';
import type { Dish, Place, Step } from './dish';
import { holdsKind, isHot, simmersLong } from './foods';
import { bearsStanding, HEATED_AGAIN, MOST_ASIDE } from './set-aside';

/** Where a finished dish is kept warm: in a low oven, or covered on the lowest flame. */
export type WarmPlace = 'oven' | 'flame';
/** The same, or where it was baked, in the oven that has been switched off, its door open a hand's width. */
export type HeldIn = WarmPlace | 'ajar';
/** The same, or set aside off the heat and heated through before the table. */
export type KeptIn = HeldIn | 'aside';

/** Id of the step that keeps a finished dish warm. */
export const KEPT_WARM = 'kept-warm';

/** °C of an oven that holds food well over any rule's hot-holding line and cooks it no further. Common practice, no source: 80 to 95. */
export const WARM_OVEN = 90;
const LONG_BAKE = 30;
/** What is in the oven as long as this braises there. Common practice, no source. */
const OVEN_BRAISE = 90;
/** On a flame it can catch: so often somebody stirs. Common practice, no source. */
const STIR_EVERY = 10;

const HOLDING = written(
  'Food that is kept hot stays at {celsius} °C or more, in the middle too; when in doubt a thermometer tells. Your local food-safety rules come first.',
  { celsius: LIMITS.hotHolding.celsius },
);

const HOT_POT = written('The pot comes out as hot as the oven: dry cloths, and one left on the handle as a warning.');

const WARM_WAYS: Readonly<Record<HeldIn, { place: Place; says: string; cautions: readonly string[] }>> = {
  ajar: {
    place: { at: 'oven', celsius: WARM_OVEN, shelves: 1 },
    says: written("Switch the oven off, open its door a hand's width, and leave it inside until the table."),
    cautions: [HOLDING, HOT_POT],
  },
  oven: {
    place: { at: 'oven', celsius: WARM_OVEN, shelves: 1 },
    says: written(
      'Cover it and keep it in the oven at {celsius} °C until the table. What has stood beside the heat is brought up to steaming first.',
      { celsius: WARM_OVEN },
    ),
    cautions: [HOLDING, HOT_POT],
  },
  flame: {
    place: { at: 'burner', heat: 'lowest' },
    says: written(
      'Keep it covered on the lowest flame until the table. Stir to the ground now and then; a splash of water if it catches.',
    ),
    cautions: [HOLDING],
  },
};

/**
 * Whether a finished dish bears being kept on the heat: what has simmered in its liquid or baked for a while, and grain. What is fried,
 * steamed or briefly cooked, and fish, gets worse by every minute of it. On a flame only what is moist. Common practice, no source.
 */
export function bearsWarmth(dish: Dish, where: KeptIn): boolean {
  const { lands, steps, grain } = dish;
  if (isKeptIn(dish)) return false;
  if (where === 'aside') return bearsStanding(dish);
  if (where === 'ajar') return bearsWarmth(dish, 'oven') && lastOf(dish)?.place.at === 'oven';
  if (lands?.waits.served !== 'hot') return false;
  if (holdsKind(dish, 'fish', 'crustacean', 'mollusc')) return false;
  if (grain) return true;
  return steps.some((step) =>
    step.place.at === 'oven' ? where === 'oven' && step.minutes.likely >= LONG_BAKE : simmersLong(step),
  );
}

/** What is ready last, before it comes to the table. */
function lastOf({ lands, steps }: Dish): Step | undefined {
  return steps.find(({ id }) => id === lands?.step);
}

/**
 * Minutes for which it may be kept so: an hour in its gravy, half of that where it was baked, grain less; an oven that is switched off holds for half of
 * that again. Common practice, no source.
 */
const MOST_KEPT = { stewed: 60, baked: 30, grain: 25, ajar: 15 } as const;

/** Minutes within which the oven is switched off: it does not go on by itself, somebody has to be called to do that. */
const SWITCHED_OFF_WITHIN = 2;

/** Where a dish is kept until the table by a step of its own; null where it is not. */
export function isKeptIn({ steps }: Pick<Dish, 'steps'>): KeptIn | null {
  const place = steps.find(({ id }) => id === KEPT_WARM)?.place;
  if (!place) return steps.some(({ id }) => id === HEATED_AGAIN) ? 'aside' : null;
  if (place.at !== 'oven') return 'flame';
  return place.celsius === WARM_OVEN ? 'oven' : 'ajar';
}

/** Whether that is done by this step in an oven that has been switched off. */
export function isLeftInTheOven(dish: Pick<Dish, 'steps'>, { id }: Pick<Step, 'id'>): boolean {
  return id === KEPT_WARM && isKeptIn(dish) === 'ajar';
}

/** The most minutes for which a finished dish that bears warmth is kept so: where it is kept already, or `where` it would be. */
export function mostKept(dish: Dish, where: KeptIn | null = isKeptIn(dish)): number {
  const { grain, steps } = dish;
  if (where === 'ajar') return MOST_KEPT.ajar;
  if (where === 'aside') return MOST_ASIDE;
  if (grain) return MOST_KEPT.grain;
  const isStewed = steps.some((step) =>
    step.id === KEPT_WARM ? false : step.place.at === 'oven' ? step.minutes.likely >= OVEN_BRAISE : simmersLong(step),
  );
  return isStewed ? MOST_KEPT.stewed : MOST_KEPT.baked;
}

/** The dish with so many minutes of being kept warm after it is ready; it may still wait as before afterwards. */
export function keptWarm(dish: Dish, where: HeldIn, minutes: number): Dish {
  const { lands, vessels } = dish;
  if (!lands) return dish;
  const last = lastOf(dish)?.place;
  const isLeft = where === 'ajar' && last?.at === 'oven';
  const pot = vessels.find(({ to }) => to === lands.step) ?? vessels.findLast(({ id }) => usedOnHeat(dish, id));
  const { place: there, says, cautions } = WARM_WAYS[where];
  const place = isLeft ? last : there;
  const step: Step = {
    id: KEPT_WARM,
    name: written('keep warm'),
    says,
    minutes: { shortest: minutes, likely: minutes, longest: minutes },
    grows: { by: 'nothing' },
    attention: where === 'flame' ? 'eyes' : 'none',
    by: 'cook',
    ...(where === 'flame' ? { lookEvery: STIR_EVERY } : {}),
    place,
    ...(pot ? { vessel: pot.id } : {}),
    doneWhen: written('its time is over, or the table is ready for it; it is steaming hot'),
    cautions,
    uses: [],
    duty: 'keep warm',
  };
  return {
    ...dish,
    steps: [...dish.steps, step],
    links: [
      ...dish.links,
      {
        from: lands.step,
        at: 'end',
        to: KEPT_WARM,
        of: 'start',
        min: 0,
        max: isLeft ? SWITCHED_OFF_WITHIN : Math.max(5, lands.waits.wellMinutes),
      },
    ],
    vessels: vessels.map((use) => (use === pot ? { ...use, to: KEPT_WARM } : use)),
    lands: { ...lands, step: KEPT_WARM },
  };
}

function usedOnHeat({ steps }: Dish, vessel: string): boolean {
  return steps.some((step) => step.vessel === vessel && isHot(step));
}
