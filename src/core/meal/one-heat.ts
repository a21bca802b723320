import type { Dish, Growth, Step } from '@/core/dish/dish';
import { foodsIn } from '@/core/dish/foods';
import { isKernel } from '@/core/food/food';
import { slowerBy } from '@/core/heat/roast';
import { bare } from '@/core/plain/record';
import { written } from '@/core/say/retold';

/** Between these heats food roasts and bakes as well, only slower or faster. Common practice, no source. */
const LEAST_HEAT = 155;
const MOST_HEAT = 225;
/** Further apart than this nothing is baked at the heat between: each goes half the way. Common practice, no source. */
const MEET_WITHIN = 40;
/** What bakes longer than this is meant to be slow. */
const SLOW_BAKE = 90;

/** What bakes at another heat than is written. */
interface Bake {
  readonly dish: Dish;
  readonly step: Step;
  readonly celsius: number;
}

/** Dishes whose heats are apart, baked at the one between them. */
export interface OneHeat {
  readonly celsius: number;
  readonly moved: readonly { readonly dish: Dish; readonly step: Step; readonly minutes: number }[];
  /** The dishes as they would be, by the ids of the old. */
  readonly dishes: Readonly<Record<string, Dish>>;
}

/** Heats of several dishes that are too far apart to share an oven and near enough to meet, each run of them by itself. `apart`: degrees that are shared as they are. */
export function atOneHeat(dishes: readonly Dish[], apart: number): readonly OneHeat[] {
  const bakes = dishes.flatMap(bakesOf);
  const heats = [...new Set(bakes.map(({ celsius }) => celsius))].sort((a, b) => a - b);
  const runs = heats.map((least) => heats.filter((each) => each >= least && each <= least + MEET_WITHIN));
  return runs
    .filter((run, index) => run.at(-1)! - run[0]! > apart && run.at(-1) !== runs[index - 1]?.at(-1))
    .flatMap((run) => {
      const inRun = bakes.filter((bake) => run.includes(bake.celsius));
      // Two heats of one dish are meant to follow each other.
      const isOneDish = inRun.every(({ dish }) => dish === inRun[0]!.dish);
      return isOneDish ? [] : [metAt(inRun, 5 * Math.round((run[0]! + run.at(-1)!) / 10))];
    });
}

function metAt(bakes: readonly Bake[], celsius: number): OneHeat {
  const others = new Map(
    bakes.filter((bake) => bake.celsius !== celsius).map((bake) => [bake.step, bakedAt(bake, celsius)]),
  );
  const dishes = bare<Dish>();
  for (const { dish } of bakes)
    dishes[dish.id] = {
      ...dish,
      id: `${dish.id}-at-${celsius}`,
      steps: dish.steps.map((step) => others.get(step) ?? step),
    };
  const moved = bakes.flatMap(({ dish, step }) => {
    const other = others.get(step);
    return other ? [{ dish, step, minutes: other.minutes.likely }] : [];
  });
  return { celsius, moved, dishes };
}

/** Steps that bake as well at another heat: not dough, custard and batter, which rise and set at one, nor what is slow on purpose or only kept warm. */
function bakesOf(dish: Dish): Bake[] {
  const rises = foodsIn(dish).some(
    (food) => food.kind === 'egg' || food.kind === 'bread' || (food.kind === 'grain' && !isKernel(food)),
  );
  if (rises || dish.lands?.waits.served !== 'hot') return [];
  return dish.steps.flatMap((step) => {
    const { place, minutes, duty, safeMinutes } = step;
    if (place.at !== 'oven' || duty || safeMinutes || minutes.likely > SLOW_BAKE) return [];
    const { celsius } = place;
    return celsius < LEAST_HEAT || celsius > MOST_HEAT ? [] : [{ dish, step, celsius }];
  });
}

/** A bake at another heat, with the minutes that it takes there. */
function bakedAt({ step, celsius: was }: Bake, celsius: number): Step {
  const factor = slowerBy(was, celsius);
  const times = (value: number) => Math.max(1, Math.round(value * factor));
  const { shortest, likely, longest } = step.minutes;
  const grows: Growth =
    step.grows.by === 'pieces'
      ? { ...step.grows, first: step.grows.first * factor, perKilo: step.grows.perKilo * factor }
      : step.grows;
  const { learned: _, ...rest } = step;
  return {
    ...rest,
    place: step.place.at === 'oven' ? { ...step.place, celsius } : step.place,
    minutes: { shortest: times(shortest), likely: times(likely), longest: times(longest) },
    grows,
    says: `${step.says} ${written('It bakes at {celsius} °C here, with what else is in the oven: its colour and its middle say when it is done.', { celsius })}`,
  };
}
