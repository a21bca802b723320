import { median, medianAbsoluteDeviation } from 'simple-statistics';
import type { Dish, Gives, Step } from '@/core/dish/dish';
import { techniqueAt } from '@/core/dish/made';
import type { Burner, Kitchen } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { joinedKey, stepKey, unitId } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { quantile } from '@/core/risk/duration';
import { scaleAmount } from '@/core/units/amount';
import { type MeasureRecord, measuresOf, recordsOf, type StepRecord, yieldKey } from './records';

/** How many times longer something takes than it is written: likely, and between what with nine chances in ten. */
export interface Lesson {
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  /** How often it was seen; outliers are not counted. */
  readonly times: number;
  /** Sum of the squares by which the logarithms lay off the posterior mean: how much it varies from evening to evening. */
  readonly scatter: number;
}

/** What evenings have taught. Keys: `kitchen/person`, `kitchen/station`, technique and step (`dish/step`). */
export interface Lessons {
  readonly hands: ReadonlyMap<string, Lesson>;
  readonly burners: ReadonlyMap<string, Lesson>;
  readonly techniques: ReadonlyMap<string, Lesson>;
  readonly steps: ReadonlyMap<string, Lesson>;
  /** How much of a liquid there is, against what was thought: `kitchen/dish/product`. */
  readonly yields: ReadonlyMap<string, Lesson>;
}

/** Before any evening: all factors are 1. */
export const NOTHING_LEARNED: Lessons = {
  hands: new Map(),
  burners: new Map(),
  techniques: new Map(),
  steps: new Map(),
  yields: new Map(),
};

/**
 * Minutes are log-normal: their logarithm varies by about a quarter from evening to evening, and differs from what is written by about so
 * much from cook to cook, stove to stove and dish to dish. Common practice put into numbers, no source.
 */
const NOISE = 0.25;
const SPREAD = { hands: 0.3, burners: 0.4, techniques: 0.2, steps: 0.25 } as const;
/** Beyond four times longer or shorter something else happened. */
const ABSURD = Math.log(4);
/** Beyond so many robust deviations from the others, and beyond a doubling, it counts no more. */
const OUTLYING = 3.5;
const MAD_TO_SIGMA = 1.4826;
const Z90 = 1.6449;

/** One observation: the logarithm of real over written minutes. */
interface Seen {
  readonly record: StepRecord;
  readonly y: number;
}

/**
 * What records teach. Each estimate is shrunk towards what stands above it (a step towards its technique, that towards the hands or the
 * burner, those towards what is written), the more the fewer times it was seen: the posterior mean of a normal with known noise.
 */
export function learn(records: readonly StepRecord[], measured: readonly MeasureRecord[] = []): Lessons {
  const seen = withoutOutliers(
    records
      .filter(({ real, plannedPlain }) => real > 0 && plannedPlain > 0)
      .map((record) => ({ record, y: Math.log(record.real / record.plannedPlain) }))
      .filter(({ y }) => Math.abs(y) <= ABSURD),
  );
  const boils = seen.filter(({ record }) => record.boiledOn !== null);
  const burners = estimates(
    boils,
    ({ kitchenId, boiledOn }) => joinedKey(kitchenId, boiledOn ?? ''),
    SPREAD.burners,
    () => 0,
  );
  const others = seen.filter(({ record }) => record.boiledOn === null);
  // Hands first, then what their steps add to that; twice round, so that neither is taken for the other.
  let steps: ReadonlyMap<string, Lesson> = new Map();
  let techniques: ReadonlyMap<string, Lesson> = new Map();
  let hands: ReadonlyMap<string, Lesson> = new Map();
  for (let round = 0; round < 3; round++) {
    const own = (map: ReadonlyMap<string, Lesson>, key: string | null) => Math.log((key && map.get(key)?.factor) || 1);
    const handKey = ({ kitchenId, person }: StepRecord) => (person === null ? null : joinedKey(kitchenId, person));
    hands = estimates(
      others,
      handKey,
      SPREAD.hands,
      ({ technique, step }) => own(techniques, technique) + own(steps, step),
    );
    techniques = estimates(
      others,
      ({ technique }) => technique,
      SPREAD.techniques,
      (record) => own(hands, handKey(record)) + own(steps, record.step),
    );
    steps = estimates(
      others,
      ({ step }) => step,
      SPREAD.steps,
      (record) => own(hands, handKey(record)) + own(techniques, record.technique),
    );
  }
  return { hands, burners, techniques, steps, yields: yieldsOf(measured) };
}

/** What evenings teach. */
export function learnFrom(evenings: readonly Evening[]): Lessons {
  return learn(evenings.flatMap(recordsOf), evenings.flatMap(measuresOf));
}

/**
 * What was measured is known far better than minutes are: the logarithm varies by about a twelfth from evening to evening, and differs from what
 * is written by about three tenths. Common practice put into numbers, no source.
 */
const YIELD = { noise: 0.08, spread: 0.3 } as const;

function yieldsOf(measured: readonly MeasureRecord[]): ReadonlyMap<string, Lesson> {
  const groups = new Map<string, number[]>();
  for (const { key, real, thoughtPlain } of measured) {
    const y = Math.log(real / thoughtPlain);
    if (Number.isFinite(y) && Math.abs(y) <= ABSURD) groups.set(key, [...(groups.get(key) ?? []), y]);
  }
  return new Map([...groups].map(([key, ys]) => [key, posterior(ys, YIELD.spread, YIELD.noise)]));
}

function estimates(
  seen: readonly Seen[],
  keyOf: (record: StepRecord) => string | null,
  spread: number,
  above: (record: StepRecord) => number,
): ReadonlyMap<string, Lesson> {
  const groups = new Map<string, number[]>();
  for (const { record, y } of seen) {
    const key = keyOf(record);
    if (key !== null) groups.set(key, [...(groups.get(key) ?? []), y - above(record)]);
  }
  return new Map([...groups].map(([key, ys]) => [key, posterior(ys, spread)]));
}

/** The posterior of a normal mean with known noise and a prior around nothing. Source: any textbook of Bayesian statistics (conjugate normal). */
export function posterior(ys: readonly number[], spread: number, noise: number = NOISE): Lesson {
  const precision = ys.length / noise ** 2 + 1 / spread ** 2;
  const mean = ys.reduce((sum, y) => sum + y, 0) / noise ** 2 / precision;
  const half = Z90 * Math.sqrt(1 / precision);
  const scatter = ys.reduce((sum, y) => sum + (y - mean) ** 2, 0);
  return { factor: Math.exp(mean), low: Math.exp(mean - half), high: Math.exp(mean + half), times: ys.length, scatter };
}

/** A written range counts as so many evenings. Common practice put into a number, no source. */
const RANGE_COUNTS = 4;
/** Of the variance of a written range one half is from evening to evening, the other that nobody knew this kitchen: as `NOISE` is to `SPREAD.steps`. */
const FROM_EVENING_TO_EVENING = 0.5;

/**
 * How many times as wide as it was written a step's range is after so many evenings: the deviation of the posterior predictive over that of the
 * prior, where the variance from evening to evening has a scaled inverse chi-squared prior. Source: any textbook of Bayesian statistics
 * (normal with unknown mean and variance). `deviation` is that of the logarithm of the minutes as they are written.
 */
export function wideningOf({ times, scatter }: Pick<Lesson, 'times' | 'scatter'>, deviation: number): number {
  if (deviation <= 0) return 1;
  const before = FROM_EVENING_TO_EVENING * deviation ** 2;
  const after = (RANGE_COUNTS * before + scatter) / (RANGE_COUNTS + times);
  return Math.sqrt((after * (1 + 1 / (1 + times))) / deviation ** 2);
}

/** Each step's own observations without what lies far from its others. */
function withoutOutliers(seen: readonly Seen[]): readonly Seen[] {
  const groups = new Map<string, Seen[]>();
  for (const each of seen) {
    const key = joinedKey(each.record.kitchenId, each.record.step, each.record.boiledOn ?? '');
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()].flatMap((own) => {
    if (own.length < 4) return own;
    const ys = own.map(({ y }) => y);
    const middle = median(ys);
    const far = Math.max(Math.log(2), OUTLYING * MAD_TO_SIGMA * medianAbsoluteDeviation(ys));
    return own.filter(({ y }) => Math.abs(y - middle) <= far);
  });
}

/** Seen less often than this, or different by less, it is not worth changing a plan for. */
const LEAST_TIMES = 2;
const LEAST_CHANGE = 0.05;

/** What is known of a step's minutes in a kitchen: how many times longer it takes, and how many times wider its range is, from how often. */
export interface Known {
  readonly factor: number;
  readonly widening: number;
  readonly times: number;
}

/** What is known of a step in a kitchen; null where that is nothing, or next to nothing. */
export function knownOf(lessons: Lessons, meal: Pick<Meal, 'kitchen'>, dish: Dish, step: Step): Known | null {
  if (step.grows.by === 'boil') return null;
  const own = lessons.steps.get(stepKey(dish.id, step.id));
  const by = techniqueAt(dish.made, step.id);
  const technique = by === null ? undefined : lessons.techniques.get(by);
  const hands = step.attention === 'hands' ? handsOf(lessons, meal, step) : undefined;
  const times = own?.times ?? 0;
  const factor = (own?.factor ?? 1) * (technique?.factor ?? 1) * (hands?.factor ?? 1);
  const isKnown =
    times >= LEAST_TIMES || (hands?.times ?? 0) >= 2 * LEAST_TIMES || (technique?.times ?? 0) >= 2 * LEAST_TIMES;
  // Whose minutes only others have shown has the range that it was written with.
  const widening = own && times >= LEAST_TIMES ? wideningOf(own, deviationOf(step)) : 1;
  const isSame = Math.abs(factor - 1) < LEAST_CHANGE;
  if (!isKnown || (isSame && Math.abs(widening - 1) < LEAST_CHANGE)) return null;
  return { factor: isSame ? 1 : factor, widening, times: Math.max(times, LEAST_TIMES) };
}

/** Deviation of the logarithm of a step's minutes by its written range: nine evenings of ten lie within the 5th and the 95th of a hundred. */
function deviationOf({ minutes: { shortest, likely, longest } }: Step): number {
  if (shortest <= 0 || longest <= shortest) return 0;
  const [low, high] = [0.05, 0.95].map((share) => quantile(shortest, likely, longest, share));
  return Math.log(high! / low!) / (2 * Z90);
}

/** The hands that may do it, each as often as they were seen. */
function handsOf(lessons: Lessons, { kitchen }: Pick<Meal, 'kitchen'>, step: Step): Lesson | undefined {
  const able = kitchen.people.filter(({ role }) => role === 'cook' || step.by === 'anyone');
  const known = able.flatMap(({ id }) => lessons.hands.get(joinedKey(kitchen.id, id)) ?? []);
  const times = known.reduce((sum, each) => sum + each.times, 0);
  if (times === 0) return undefined;
  const mean = known.reduce((sum, each) => sum + each.times * Math.log(each.factor), 0) / times;
  return { factor: Math.exp(mean), low: Math.exp(mean), high: Math.exp(mean), times, scatter: 0 };
}

/** A meal whose minutes and burners are as its cook and kitchen have shown them to be; what was changed says so and from how often. */
export function asLearned(meal: Meal, lessons: Lessons): Meal {
  const dishes = meal.dishes.map(unlearned).map((dish): Dish => {
    const steps = dish.steps.map((step): Step => {
      const known = knownOf(lessons, meal, dish, step);
      if (!known) return step;
      const { minutes } = step;
      // What safety asks for is not learned away.
      const floor = step.safeMinutes ?? 1;
      const longer = (value: number) =>
        value === 0 ? 0 : Math.max(Math.min(floor, value), Math.round(value * known.factor));
      const likely = longer(minutes.likely);
      const off = (end: number) =>
        longer(Math.max(Math.min(1, end), minutes.likely + known.widening * (end - minutes.likely)));
      return {
        ...step,
        minutes: {
          shortest: Math.min(likely, off(minutes.shortest)),
          likely,
          longest: Math.max(likely, off(minutes.longest)),
        },
        learned: { factor: likely / Math.max(1, minutes.likely), times: known.times, written: minutes },
      };
    });
    const gives = dish.gives.map((give): Gives => {
      const known = lessons.yields.get(yieldKey(meal.kitchen.id, dish.id, give.product));
      if (!known || Math.abs(known.factor - 1) < LEAST_CHANGE) return give;
      const { factor, times } = known;
      return { ...give, amount: scaleAmount(give.amount, factor), learned: { factor, times } };
    });
    const isSame =
      steps.every((step, index) => step === dish.steps[index]) &&
      gives.every((give, index) => give === dish.gives[index]);
    return isSame ? dish : { ...dish, steps, gives };
  });
  const burners = meal.kitchen.burners.map((burner): Burner => {
    const known = lessons.burners.get(joinedKey(meal.kitchen.id, unitId('burner', burner.id)));
    if (!known || known.times < LEAST_TIMES || Math.abs(known.factor - 1) < LEAST_CHANGE) return burner;
    return { ...burner, learned: known.factor };
  });
  return { ...meal, dishes, kitchen: { ...meal.kitchen, burners } };
}

/** A dish with its minutes as they were written: what is stored must not be learned from twice. */
export function unlearned(written: Dish): Dish {
  const dish = written.gives.some(({ learned }) => learned)
    ? { ...written, gives: written.gives.map(asWritten) }
    : written;
  if (!dish.steps.some(({ learned }) => learned)) return dish;
  const steps = dish.steps.map(({ learned, ...step }): Step => {
    if (!learned) return step;
    const isAsLearned = learned.written && learned.factor === step.minutes.likely / Math.max(1, learned.written.likely);
    if (isAsLearned) return { ...step, minutes: learned.written };
    // Rewritten since, or kept before the written minutes were kept beside it.
    const { minutes } = step;
    const back = (value: number) => (value === 0 ? 0 : Math.max(1, Math.round(value / learned.factor)));
    const likely = back(minutes.likely);
    return {
      ...step,
      minutes: {
        shortest: Math.min(likely, back(minutes.shortest)),
        likely,
        longest: Math.max(likely, back(minutes.longest)),
      },
    };
  });
  return { ...dish, steps };
}

function asWritten({ learned, ...give }: Gives): Gives {
  return learned ? { ...give, amount: scaleAmount(give.amount, 1 / learned.factor) } : give;
}

/** A kitchen as it was told. */
export function unlearnedKitchen(kitchen: Kitchen): Kitchen {
  return { ...kitchen, burners: kitchen.burners.map(({ learned: _, ...burner }) => burner) };
}
