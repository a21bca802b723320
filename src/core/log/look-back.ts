import type { Dish, Ingredient } from '@/core/dish/dish';
import { grainParts } from '@/core/dish/grain-of';
import { KEEPING, keepsOf } from '@/core/dish/keeping';
import { firstTableAt } from '@/core/live/at-hour';
import type { Evening } from '@/core/live/evening';
import { type Rating, standingEvents } from '@/core/live/events';
import { cookedFor, dishesOf } from '@/core/live/guests';
import { liveSteps } from '@/core/live/session';
import { rememberedOf } from '@/core/live/tasting';
import { scaledFor } from '@/core/meal/scaled';
import { say } from '@/core/say/say';
import { printAmount, scaleAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import type { Lessons } from './lessons';
import { type MeasureRecord, measuresOf, recordsOf, type StepRecord } from './records';

const MINUTE = 60_000;
const DAY = 1440 * MINUTE;
const EVENING = 12 * 60 * MINUTE;

/** How a dish came to the table. */
export interface Landed {
  readonly dishId: string;
  readonly dishName: string;
  /** Null when it never was ready. */
  readonly readyAt: number | null;
  /** Minutes after the hour that was agreed first; negative: it waited. */
  readonly minutes: number;
  readonly ratings: Ratings;
  readonly leftOver: number;
}

/** How a dish was, by the cook's word: too little (-1), right (0), too much (1). */
export interface Ratings {
  readonly salt?: Rating;
  readonly wetness?: Rating;
  readonly doneness?: Rating;
}

/** An evening looked back on. */
export interface LookBack {
  readonly records: readonly StepRecord[];
  readonly landed: readonly Landed[];
  /** Minutes by which the whole evening ran behind its first plan, at each step that was done. */
  readonly drift: readonly { readonly at: number; readonly minutes: number }[];
  readonly notes: readonly { readonly at: number; readonly text: string; readonly photo: string | null }[];
}

/** An evening told afterwards: steps planned and real, landings, tastes, what to do otherwise. */
export function lookBack(evening: Evening): LookBack {
  const events = standingEvents(evening.events);
  const records = recordsOf(evening);
  const end = (events.at(-1)?.at ?? evening.tableAt) + 1;
  const steps = liveSteps(evening, end);
  const first = firstTableAt(evening);
  const landed = dishesOf(evening)
    .filter(({ lands }) => lands)
    .map(({ id, name, lands }): Landed => {
      const own = steps.filter(({ step }) => step.kind === 'step' && step.dishId === id && step.stepId === lands!.step);
      const last = own.at(-1);
      const readyAt = last?.status === 'done' ? last.endAt : null;
      return {
        dishId: id,
        dishName: name,
        readyAt,
        minutes: readyAt === null ? 0 : Math.trunc((readyAt - first) / MINUTE) + 0,
        ratings: ratingsOf(evening, id),
        leftOver: events.reduce(
          (sum, event) => (event.kind === 'left-over' && event.dish === id ? event.portions : sum),
          0,
        ),
      };
    });
  let behind = 0;
  // What was done on an earlier day is no part of it.
  const drift = records
    .filter(({ endedAt }) => endedAt > evening.tableAt - EVENING)
    .sort((a, b) => a.endedAt - b.endedAt)
    .map(({ endedAt, real, planned }) => {
      behind += real - planned;
      return { at: endedAt, minutes: Math.round(behind) };
    });
  const notes = events.flatMap((event) =>
    event.kind === 'note' ? [{ at: event.at, text: event.text, photo: event.photo ?? null }] : [],
  );
  return { records, landed, drift, notes };
}

/** The latest word on each side of a dish. */
export function ratingsOf({ events }: Pick<Evening, 'events'>, dishId: string): Ratings {
  const ratings: { salt?: Rating; wetness?: Rating; doneness?: Rating } = {};
  for (const event of standingEvents(events)) {
    if (event.kind !== 'rated' || event.dish !== dishId) continue;
    const { salt, wetness, doneness } = event;
    if (salt !== undefined) ratings.salt = salt;
    if (wetness !== undefined) ratings.wetness = wetness;
    if (doneness !== undefined) ratings.doneness = doneness;
  }
  return ratings;
}

/** What to do otherwise next time, with the reason. `dish` is the dish as it would be written then; null where plans learn it by themselves. */
export interface NextTime {
  readonly id: string;
  readonly dishId: string;
  readonly says: string;
  readonly because: string;
  readonly dish: Dish | null;
}

/** Less than this many minutes off is as planned. */
const WORTH_MINUTES = 3;
/** Steps of change after a word on the taste. Common practice, no source: small, and tasted again. */
const LESS_LIQUID = 0.05;
const LESS_SALT = 0.1;
const LONGER = 0.1;

/** Proposals from what an evening showed: minutes from all evenings, liquid, salt and time on the heat from what was said of the dishes as they are now. */
export function proposalsFor(evening: Evening, lessons: Lessons, dishes: readonly Dish[]): readonly NextTime[] {
  const back = lookBack(evening);
  return [
    ...timeProposals(back.records, lessons),
    ...measuresOf(evening).flatMap(measureProposals),
    ...dishes.flatMap((dish) => addedProposals(evening, dish)),
    ...back.landed.flatMap((each) => tasteProposals(evening, each, dishes)),
  ];
}

function timeProposals(records: readonly StepRecord[], lessons: Lessons): NextTime[] {
  const worst = [...records].sort((a, b) => Math.abs(b.real - b.planned) - Math.abs(a.real - a.planned)).slice(0, 5);
  return worst.flatMap((record): NextTime[] => {
    const off = Math.round(record.real - record.planned);
    if (Math.abs(off) < WORTH_MINUTES) return [];
    const lesson = lessons.steps.get(record.step);
    const often = lesson && lesson.times > 1 ? say(' (seen {times} times)', { times: lesson.times }) : '';
    return [
      {
        id: `time ${record.key}`,
        dishId: record.dishId,
        says:
          off > 0
            ? say('Begin “{record}” {off} min earlier.', { record: record.name, off })
            : say('“{record}” may begin {off} min later.', { record: record.name, off: -off }),
        because: say('{dish}: it took {real} min, planned were {planned}{often}.', {
          dish: record.dishName,
          real: Math.round(record.real),
          planned: Math.round(record.planned),
          often,
        }),
        dish: null,
      },
    ];
  });
}

/** Less off than this share is as thought. */
const WORTH_SHARE = 0.05;

/** What was measured: the plan learns it by itself, and the cook is told. */
function measureProposals({ key, dishId, dishName, name, thought, real }: MeasureRecord): NextTime[] {
  if (Math.abs(real / thought - 1) < WORTH_SHARE) return [];
  const ml = (of: number) => printAmount({ quantity: of, unit: 'ml' });
  return [
    {
      id: `measured ${key}`,
      dishId,
      says: say('Count on about {ml} of {name}.', { ml: ml(real), name }),
      because: say('{dish}: {ml} were thought of, and {real} were there.', {
        dish: dishName,
        ml: ml(thought),
        real: ml(real),
      }),
      dish: null,
    },
  ];
}

/** What went in after a taste goes in from the beginning, where the dish has it by the same measure. */
function addedProposals(evening: Evening, dish: Dish): NextTime[] {
  const portions = cookedFor(evening.meal, dish.id, standingEvents(evening.events));
  return rememberedOf([evening], dish.id).map(({ name, amount }): NextTime => {
    const share = dish.servings / portions;
    const has = dish.ingredients.find((item) => item.name === name && item.amount.unit === amount.unit);
    const more = (item: Ingredient) =>
      item === has
        ? { ...item, amount: { ...amount, quantity: item.amount.quantity + amount.quantity * share } }
        : item;
    return {
      id: `added ${name} ${dish.id}`,
      dishId: dish.id,
      says: say('{thing} more.', { thing: printThing(amount, name) }),
      because: say('You added it to {dish} after tasting.', { dish: dish.name }),
      dish: has ? { ...dish, ingredients: dish.ingredients.map(more) } : null,
    };
  });
}

function tasteProposals(evening: Evening, { dishId, dishName, ratings }: Landed, dishes: readonly Dish[]): NextTime[] {
  const dish = dishes.find(({ id }) => id === dishId);
  const list: NextTime[] = [];
  if (!dish) return list;
  const add = (id: string, says: string, because: string, changed: Dish | null) =>
    list.push({ id: `${id} ${dishId}`, dishId, says, because, dish: changed });
  const { salt, wetness, doneness } = ratings;
  if (wetness && dish.grain) {
    const factor = 1 - wetness * LESS_LIQUID;
    const liquid = new Set(dish.grain.liquid);
    const changed = withAmounts(dish, (id) => (liquid.has(id) ? factor : 1));
    add(
      'liquid',
      wetness > 0 ? say('5 % less liquid.') : say('5 % more liquid.'),
      wetness > 0
        ? say('{dish} was too wet: {ratio}.', { dish: dishName, ratio: ratioOf(evening, dish) })
        : say('{dish} was too dry: {ratio}.', { dish: dishName, ratio: ratioOf(evening, dish) }),
      changed,
    );
  }
  const salty = dish.ingredients.filter(({ name }) => /\bsalt\b/.test(name.toLowerCase())).map(({ id }) => id);
  if (salt) {
    const changed =
      salty.length > 0 ? withAmounts(dish, (id) => (salty.includes(id) ? 1 - salt * LESS_SALT : 1)) : null;
    add(
      'salt',
      salt > 0 ? say('A tenth less salt.') : say('A tenth more salt.'),
      salt > 0
        ? say('{dish} had too much of it.', { dish: dishName })
        : say('{dish} had too little of it.', { dish: dishName }),
      changed,
    );
  }
  const heat = dish.steps.filter(
    ({ place, attention }) =>
      place.at !== 'board' && place.at !== 'rest' && place.at !== 'cold' && attention !== 'hands',
  );
  const longest = heat.reduce<Dish['steps'][number] | null>(
    (best, step) => (best && best.minutes.likely >= step.minutes.likely ? best : step),
    null,
  );
  if (doneness && longest) {
    const by = Math.max(1, Math.round(longest.minutes.likely * LONGER));
    const changed: Dish = {
      ...dish,
      steps: dish.steps.map((step) =>
        step === longest
          ? {
              ...step,
              minutes: {
                shortest: Math.max(1, step.minutes.shortest - doneness * by),
                likely: Math.max(1, step.minutes.likely - doneness * by),
                longest: Math.max(1, step.minutes.longest - doneness * by),
              },
            }
          : step,
      ),
    };
    add(
      'time',
      doneness > 0
        ? say('“{longest}” {by} min shorter.', { longest: longest.name, by })
        : say('“{longest}” {by} min longer.', { longest: longest.name, by }),
      doneness > 0
        ? say('{dish} was overdone.', { dish: dishName })
        : say('{dish} was not done enough.', { dish: dishName }),
      changed,
    );
  }
  return list;
}

function withAmounts(dish: Dish, factor: (id: string) => number): Dish {
  return {
    ...dish,
    ingredients: dish.ingredients.map((item) => ({ ...item, amount: scaleAmount(item.amount, factor(item.id)) })),
    takes: dish.takes.map((take) => ({ ...take, amount: scaleAmount(take.amount, factor(take.product)) })),
  };
}

/** "1 : 1.6 by weight, unsoaked": the numbers that a grain was cooked by that evening. */
function ratioOf({ meal }: Evening, dish: Dish): string {
  const cooked = meal.dishes.find(({ id }) => id === dish.id) ?? dish;
  const parts = grainParts(scaledFor(meal, cooked));
  if (!parts || !cooked.grain) return say('as it was measured');
  const ratio = Math.round((parts.litres * 1000 * 100) / parts.grams) / 100;
  return cooked.grain.soaked
    ? say('1 : {ratio} by weight, soaked', { ratio })
    : say('1 : {ratio} by weight, unsoaked', { ratio });
}

/** What is left over, with the instants by which it must be cold and eaten. */
export interface LeftOver {
  readonly dishId: string;
  readonly dishName: string;
  readonly portions: number;
  readonly coldBy: number;
  readonly eatBy: number;
  readonly keeps: string;
}

/** Cooked grain is cold within the hour, all else within two. Sources: FSA and FSIS guidance; FDA Food Code 3-501.14, from memory. */
export function leftOvers(evening: Evening): readonly LeftOver[] {
  const back = lookBack(evening);
  return back.landed.flatMap(({ dishId, dishName, leftOver, readyAt }): LeftOver[] => {
    const dish = dishesOf(evening).find(({ id }) => id === dishId);
    if (leftOver <= 0 || !dish) return [];
    const keeps = keepsOf(dish, new Set(dish.steps.map(({ id }) => id)));
    const from = readyAt ?? evening.tableAt;
    const hours = keeps === KEEPING.grain ? 1 : 2;
    return [
      {
        dishId,
        dishName,
        portions: leftOver,
        coldBy: Math.max(from, evening.tableAt) + hours * 60 * MINUTE,
        eatBy: from + keeps.fridgeDays * DAY,
        keeps: say(keeps.of),
      },
    ];
  });
}
