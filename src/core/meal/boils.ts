import type { Refusal } from '@/core/dish/check';
import type { Dish, Minutes, Step } from '@/core/dish/dish';
import { HEAT_SHARE, minutesToBoil, type Range, wattsOf } from '@/core/heat/boil';
import { boilingPoint } from '@/core/heat/water';
import { fittingVessels } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { readUnit } from './keys';
import { stationsFor } from './stations';

/** Nobody waits longer for a boil: such a burner counts as unable. */
const MOST_MINUTES = 150;
/** The band is told up to so many times the likely minutes. */
const MOST_SPREAD = 3;

/** A burner (or what may stand in for it) and the minutes in which it brings a step to the boil. */
export interface Flame {
  readonly unit: string;
  readonly minutes: Minutes;
}

/**
 * All that can bring a step of a scaled dish to the boil, the one that suits its heat best first. The pot is the snuggest that fits.
 * Empty for steps that do not come to the boil.
 */
export function flamesFor(kitchen: Kitchen, dish: Dish, step: Step): readonly Flame[] {
  const { place, grows } = step;
  if (place.at !== 'burner' || grows.by !== 'boil') return [];
  const use = dish.vessels.find(({ id }) => id === step.vessel);
  const widthCm = (use && fittingVessels(kitchen, use.need)[0]?.widthCm) ?? usualWidth(grows.litres);
  const metres = kitchen.metres ?? 0;
  return [...stationsFor(kitchen, place)]
    .sort((a, b) => a.cost - b.cost)
    .flatMap(({ id: unit }) => {
      const { sort, id } = readUnit(unit);
      const burner = sort === 'burner' && kitchen.burners.find((each) => each.id === id);
      if (!burner) return [{ unit, minutes: step.minutes }];
      const share = HEAT_SHARE[place.heat];
      const { low, likely, high } = wattsOf(burner);
      const minutes = minutesToBoil({
        litres: grows.litres,
        fromCelsius: Math.min(grows.fromCelsius, boilingPoint(metres)),
        watts: { low: share * low, likely: share * likely, high: share * high },
        covered: grows.covered,
        widthCm,
        metres,
      });
      const slower = burner.learned ?? 1;
      const own = { low: slower * minutes.low, likely: slower * minutes.likely, high: slower * minutes.high };
      return own.likely > MOST_MINUTES ? [] : [{ unit, minutes: wholeMinutes(own) }];
    });
}

/**
 * Minutes in which a step of a scaled dish comes to the boil on a unit, or on the one that suits it best, and which others are no
 * slower. Null where there is none.
 */
export function boilMinutes(
  kitchen: Kitchen,
  dish: Dish,
  step: Step,
  unit?: string,
): {
  readonly minutes: Minutes;
  readonly flames: { readonly quick: readonly string[]; readonly slow: readonly string[] };
} | null {
  const flames = flamesFor(kitchen, dish, step);
  const own = flames.find((flame) => flame.unit === unit) ?? flames[0];
  if (!own) return null;
  const isQuick = ({ minutes }: Flame) => minutes.likely <= own.minutes.likely;
  return {
    minutes: own.minutes,
    flames: {
      quick: flames.filter(isQuick).map((flame) => flame.unit),
      slow: flames.filter((flame) => !isQuick(flame)).map((flame) => flame.unit),
    },
  };
}

/** What is wrong with a boil of a scaled dish in this kitchen, in a cook's words. */
export function boilFaults(kitchen: Kitchen, dish: Dish, step: Step): readonly Refusal[] {
  if (step.grows.by !== 'boil' || flamesFor(kitchen, dish, step).length > 0) return [];
  const litres = Math.round(step.grows.litres * 10) / 10;
  return [
    {
      where: `${dish.name}, ${step.name}`,
      sentence: say(
        'No burner of this kitchen brings {litres} l to the boil within {most} minutes. Cook for fewer, share it out between two pots, or measure the burner on the Bench.',
        { litres, most: MOST_MINUTES },
      ),
    },
  ];
}

function wholeMinutes({ low, likely, high }: Range): Minutes {
  const middle = Math.max(1, Math.round(likely));
  return {
    shortest: Math.min(middle, Math.max(1, Math.floor(low))),
    likely: middle,
    longest: Math.max(middle, Math.ceil(Math.min(high, MOST_SPREAD * likely))),
  };
}

/** Width in cm of a pot a little wider than deep. */
function usualWidth(litres: number): number {
  return 10 * (litres / 0.47) ** (1 / 3);
}
