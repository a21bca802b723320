import { HEAT_SHARE, litresBoiledOff, type Range } from '@/core/heat/boil';
import { say, term } from '@/core/say/say';
import { type Band, type Grain, grainOf, litresDry } from './grains';
import type { Method } from './methods';

/** What the liquid of a pot of grain depends on. */
export interface BalanceQuestion {
  readonly grain: Grain;
  readonly method: Method;
  /** Grams of dry grain. */
  readonly grams: number;
  readonly soaked: boolean;
  /** Watts the burner puts into a pan at full heat. */
  readonly watts: Range;
  /** Width of the pot in cm. */
  readonly widthCm: number;
}

/** Litres of liquid, term by term. `liquid` = takenUp - soaked - given + boiledOff + leftOver. */
export interface Balance {
  readonly takenUp: Range;
  /** What the soak has given already. */
  readonly soaked: number;
  /** What else in the pot gives. */
  readonly given: Range;
  readonly boiledOff: Range;
  /** What stays behind: poured off, or clinging as sauce. */
  readonly leftOver: Range;
  /** What is to be poured. */
  readonly liquid: Range;
  /** The same as volumes to one of dry grain. */
  readonly ratio: Range;
}

const LEAST_GRAMS = 20;
const MOST_GRAMS = 10_000;

/** What is asked too much, in words that name the field; null when all is well. */
export function balanceFault({ grams, widthCm }: BalanceQuestion): string | null {
  if (!(grams >= LEAST_GRAMS && grams <= MOST_GRAMS))
    return say('Dry grain: from {least} g to {most} kg.', {
      least: LEAST_GRAMS,
      most: MOST_GRAMS / 1000,
    });
  if (!(widthCm >= 8 && widthCm <= 80)) return say('Width of the pot: from 8 to 80 cm.');
  return null;
}

/**
 * What must be poured: what the grain takes up, less what it took up while soaking and what else in the pot gives, and what boils
 * off and what stays behind. A balance of water; the bands are those of grain, burner and method together.
 */
export function liquidBalance(question: BalanceQuestion): Balance {
  const { grain, method, grams, soaked, watts, widthCm } = question;
  const [least, most] = grain.takesUp;
  const takenUp = range((method.takes * grams * least) / 1000, (method.takes * grams * most) / 1000);
  const before = soaked ? (grams * grain.soakTakes) / 1000 : 0;
  const given = range(takenUp.likely * method.given[0], takenUp.likely * method.given[1]);
  let low = 0;
  let likely = 0;
  let high = 0;
  for (const { heat, lid, minutes } of method.stretches) {
    const share = HEAT_SHARE[heat];
    const off = litresBoiledOff(
      { low: watts.low * share, likely: watts.likely * share, high: watts.high * share },
      lid,
      widthCm,
    );
    const [short, long] = minutes ?? grain.minutes;
    low += off.low * short;
    likely += (off.likely * (short + long)) / 2;
    high += off.high * long;
  }
  const boiledOff = { low, likely, high };
  const dry = litresDry(grain, grams);
  // What is boiled and drained anyway leaves no more than that.
  const [pouredLeast, pouredMost] = method.takes < 1 ? [0, 0] : (grain.leaves ?? [0, 0]);
  const leftOver = range((method.left[0] + pouredLeast) * dry, (method.left[1] + pouredMost) * dry);
  const liquid = {
    low: Math.max(0, takenUp.low - before - given.high + low + leftOver.low),
    likely: Math.max(0, takenUp.likely - before - given.likely + likely + leftOver.likely),
    high: Math.max(0, takenUp.high - before - given.low + high + leftOver.high),
  };
  return {
    takenUp,
    soaked: before,
    given,
    boiledOff,
    leftOver,
    liquid,
    ratio: { low: liquid.low / dry, likely: liquid.likely / dry, high: liquid.high / dry },
  };
}

function range(low: number, high: number): Range {
  return { low, likely: (low + high) / 2, high };
}

/** Grams of dry grain that so much liquid carries, the middle of the band; what boils off does not grow with the grain. */
export function gramsFor(litres: number, question: Omit<BalanceQuestion, 'grams'>): number {
  const at = (grams: number) => liquidBalance({ ...question, grams }).liquid.likely;
  const per = (at(2000) - at(1000)) / 1000;
  const boiled = at(1000) - 1000 * per;
  return Math.max(0, (litres - boiled) / per);
}

/** How a school's ratio stands beside the balance; it speaks of grain soaked or not as the school does it. */
export function besideSchool(
  { ratio }: Balance,
  { grain, method, soaked }: Pick<BalanceQuestion, 'grain' | 'method' | 'soaked'>,
): string {
  const [least, most] = method.ratio;
  if (grain.id !== method.grain) {
    const middle = ([low, high]: Band) => (low + high) / 2;
    const known = grainOf(method.grain);
    const more = middle(grain.takesUp) - middle(known.takesUp);
    const takes =
      Math.abs(more) < 0.1 ? say('takes up about as much') : more > 0 ? say('takes up more') : say('takes up less');
    return say('The school speaks of {known}; this grain {takes}. {because}', {
      known: term(known.name),
      takes,
      because: say(method.because),
    });
  }
  if (soaked !== method.soaked) {
    return method.soaked
      ? say('The school says so of grain that was soaked. {because}', { because: say(method.because) })
      : say('The school says so of grain that was not soaked. {because}', { because: say(method.because) });
  }
  if (least > ratio.high)
    return say('The school pours more than this burner and pot would boil off. {because}', {
      because: say(method.because),
    });
  if (most < ratio.low)
    return say('The school pours less than the grain takes up here. {because}', { because: say(method.because) });
  return say(method.because);
}
