import type { Refusal } from '@/core/dish/check';
import type { Dish, Minutes, Step } from '@/core/dish/dish';
import { batches, FIXED_SHARE, scaleMinutes } from '@/core/dish/scale';
import { simmerFactor } from '@/core/heat/water';
import { fittingVessels, lotsIn } from '@/core/kitchen/fits';
import { batchesOn, widthFor } from '@/core/kitchen/floor';
import { boilMinutes } from '@/core/meal/boils';
import { partKey, type StepKey, stepKey } from '@/core/meal/keys';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { breathAfter, padHands } from '@/core/meal/pace';
import { scaledFor } from '@/core/meal/scaled';
import { say } from '@/core/say/say';

/** A step in more parts than this, and a meal of more parts than that, is refused: see `tooManyParts`. */
const MOST_OF_A_STEP = 100;
const MOST_OF_A_MEAL = 1500;

/** Board work longer than this is cut into sittings of about this many minutes, so that one can breathe between. */
const LONGEST_SITTING = 25;

/** A step as it is planned: whole, or one batch or sitting of several. Minutes are scaled and padded. */
export interface Part {
  /** `dish/step`, with `.2` for the second of several parts. */
  readonly key: StepKey;
  readonly dish: Dish;
  readonly step: Step;
  readonly minutes: Minutes;
  readonly part: number;
  readonly parts: number;
  /** Free minutes wanted after it; 0 where no hands are needed. */
  readonly breath: number;
  /** Width in cm of the vessel that its batches were counted for. */
  readonly leastWidthCm?: number;
  /** What brings it to the boil within these minutes, and what takes longer; absent where it does not come to the boil. */
  readonly flames?: { readonly quick: readonly string[]; readonly slow: readonly string[] };
}

/** Width in cm that a vessel use of a dish must have so that the batches counted are enough; 0 for no wish. */
export function leastWidthOf(dish: Dish, use: string, parts: ReadonlyMap<string, readonly Part[]>): number {
  const own = dish.steps.filter(({ vessel }) => vessel === use).flatMap(({ id }) => parts.get(stepKey(dish.id, id))!);
  return Math.max(0, ...own.map(({ leastWidthCm }) => leastWidthCm ?? 0));
}

/** Where water boils cooler a simmer takes longer; what is fried, baked or left to rest does not. */
function atHeight({ minutes, place, attention, duty }: Step, metres: number): Minutes {
  const simmers = place.at === 'burner' && attention !== 'hands' && duty !== 'keep warm';
  const factor = simmers ? simmerFactor(metres) : 1;
  const longer = (value: number) => Math.round(value * Math.max(1, factor));
  return { shortest: longer(minutes.shortest), likely: longer(minutes.likely), longest: longer(minutes.longest) };
}

/** Batches in the widest vessel that fits a step of a scaled dish, and the width that they take; null where no floor is told. */
function floorBatches(
  meal: Meal,
  dish: Dish,
  { grows, vessel }: Step,
): { readonly count: number; readonly leastWidthCm: number } | null {
  const use = dish.vessels.find(({ id }) => id === vessel);
  if (grows.by !== 'batches' || grows.floorCm2 === undefined || !use) return null;
  const floor = grows.floorCm2 * portionsOf(meal);
  const widest = Math.max(0, ...fittingVessels(meal.kitchen, use.need).map(({ widthCm }) => widthCm));
  return widest > 0
    ? { count: batchesOn(floor, widest), leastWidthCm: widthFor(floor, batchesOn(floor, widest)) }
    : null;
}

/** The unit that a step is thought to stand on, if anybody has said so. */
export type FlameOf = (key: string) => string | undefined;

/** The dishes of a meal for its people, and every step cut into its parts. Boiling takes as long as on the burner of `flameOf`. */
export function partsOf(
  meal: Meal,
  flameOf: FlameOf = () => undefined,
): {
  readonly dishes: readonly Dish[];
  readonly parts: ReadonlyMap<string, readonly Part[]>;
} {
  const dishes: Dish[] = [];
  const parts = new Map<string, readonly Part[]>();
  const there = new Set(meal.dishes.flatMap(({ id, steps }) => steps.map((step) => stepKey(id, step.id))));
  const later = new Set((meal.together ?? []).flatMap((group) => group.filter((key) => there.has(key)).slice(1)));
  for (const written of meal.dishes) {
    const dish = scaledFor(meal, written);
    dishes.push(dish);
    for (const step of written.steps) {
      const scaled = dish.steps.find((candidate) => candidate.id === step.id)!;
      const key = stepKey(dish.id, step.id);
      const own = later.has(key) ? { ...scaled, minutes: withBoardOut(step.minutes, scaled.minutes) } : scaled;
      parts.set(key, cut(meal, written, dish, step, own, flameOf));
    }
  }
  return { dishes, parts };
}

/** The board is out already, and so is the first onion: the share of the work that is getting started is spared. */
function withBoardOut(written: Minutes, scaled: Minutes): Minutes {
  const less = (was: number, of: number) => Math.max(Math.min(1, was), Math.round(was - FIXED_SHARE * of));
  return {
    shortest: less(scaled.shortest, written.shortest),
    likely: less(scaled.likely, written.likely),
    longest: less(scaled.longest, written.longest),
  };
}

/** Minutes no fewer than safety asks for. */
function atLeast({ shortest, likely, longest }: Minutes, floor = 0): Minutes {
  return { shortest: Math.max(floor, shortest), likely: Math.max(floor, likely), longest: Math.max(floor, longest) };
}

/** A step of an appliance that is filled several times. */
function inLots(step: Step, place: Extract<Step['place'], { at: 'appliance' }>, lots: number): Step {
  return { ...step, place: { ...place, ...(place.litres === undefined ? {} : { litres: place.litres / lots }) } };
}

function cut(meal: Meal, written: Dish, dish: Dish, step: Step, scaled: Step, flameOf: FlameOf): readonly Part[] {
  const key = stepKey(dish.id, step.id);
  const hands = step.attention === 'hands';
  const pad = (minutes: Minutes): Minutes =>
    hands
      ? {
          shortest: padHands(minutes.shortest, meal.pace),
          likely: padHands(minutes.likely, meal.pace),
          longest: padHands(minutes.longest, meal.pace),
        }
      : minutes;
  const part = (wanted: Minutes, index: number, parts: number): Part => {
    const minutes = atLeast(wanted, step.safeMinutes);
    return {
      key: partKey(dish.id, step.id, index + 1, parts),
      dish,
      step: scaled,
      minutes,
      part: index + 1,
      parts,
      breath: hands && minutes.likely > 0 ? breathAfter(minutes.likely, meal.pace) : 0,
    };
  };
  if (scaled.grows.by === 'boil') {
    const boil = boilMinutes(meal.kitchen, dish, scaled, flameOf(key));
    if (boil) return [{ ...part(boil.minutes, 0, 1), flames: boil.flames }];
  }
  const lots =
    step.place.at === 'appliance' && scaled.place.at === 'appliance'
      ? lotsIn(meal.kitchen, step.place.appliance, scaled.place.litres)
      : 1;
  if (lots !== null && lots > 1 && scaled.place.at === 'appliance') {
    const each = inLots(scaled, scaled.place, lots);
    return several(lots, (index) => ({ ...part(pad(each.minutes), index, lots), step: each }));
  }
  if (step.grows.by === 'batches') {
    const floor = floorBatches(meal, dish, step);
    const count = floor?.count ?? batches(step.grows.servingsPerBatch, portionsOf(meal));
    const one = pad(scaleMinutes(step.minutes, { by: 'nothing' }, written.servings, portionsOf(meal)));
    return several(count, (index) => ({
      ...part(one, index, count),
      ...(floor ? { leastWidthCm: floor.leastWidthCm } : {}),
    }));
  }
  const whole = pad(atHeight(scaled, meal.kitchen.metres ?? 0));
  if (!hands || step.place.at !== 'board' || whole.likely <= LONGEST_SITTING) return [part(whole, 0, 1)];
  const count = Math.ceil(whole.likely / LONGEST_SITTING);
  const share = (minutes: number) => Math.ceil(minutes / count);
  const each = { shortest: share(whole.shortest), likely: share(whole.likely), longest: share(whole.longest) };
  return several(count, (index) => part(each, index, count));
}

/** So many parts; of far too many only one more than is allowed, so that they can be refused. */
function several(count: number, part: (index: number) => Part): readonly Part[] {
  return Array.from({ length: Math.min(count, MOST_OF_A_STEP + 1) }, (_, index) => part(index));
}

/** Steps that would be done in more parts than anybody plans, in a cook's words; empty where all is well. */
export function tooManyParts(parts: ReadonlyMap<string, readonly Part[]>): readonly Refusal[] {
  const faults = [...parts.values()]
    .filter(({ length }) => length > MOST_OF_A_STEP)
    .map(([first]): Refusal => {
      const { dish, step, parts: count } = first!;
      return {
        where: say('{dish}, {step}', { dish: dish.name, step: step.name }),
        sentence: say(
          '“{step}” for {servings} would be done in {count} lots, one after another; up to {most} are planned. Let one lot serve more, or cook for fewer.',
          { step: step.name, servings: Math.round(dish.servings), count, most: MOST_OF_A_STEP },
        ),
      };
    });
  const all = [...parts.values()].reduce((sum, { length }) => sum + length, 0);
  if (faults.length > 0 || all <= MOST_OF_A_MEAL) return faults;
  const sentence = say(
    'This meal has {all} steps with all their lots; up to {most} are planned at once. Take a dish out, or let one lot serve more.',
    { all, most: MOST_OF_A_MEAL },
  );
  return [{ where: 'dishes', sentence }];
}
