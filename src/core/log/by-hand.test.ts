import { beforeAll, describe, expect, it } from 'vitest';
import type { Evening } from '@/core/live/evening';
import type { LiveEvent, NewEvent } from '@/core/live/events';
import { toMeasure } from '@/core/live/measuring';
import { stepKey } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { printAmount } from '@/core/units/amount';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { NOTHING_LEARNED } from './lessons';
import { leftOvers, lookBack, proposalsFor, ratingsOf } from './look-back';
import { measuresOf, yieldKey } from './records';
import { settling } from './settling';

// An evening written by hand: what it shows and what it proposes, to the minute.

const MINUTE = 60_000;
const TABLE = Date.UTC(2026, 10, 28, 18);
const greens = friedGreens(10);
const grain = plainGrain();
const meal = mealOf([greens, grain]);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});

/** Each step begun as planned and done so many minutes late. */
function evening(
  late: Readonly<Record<string, number>> = {},
  ...said: (NewEvent & { readonly at?: number })[]
): Evening {
  const events = plan.steps.flatMap(({ key, start, end }): LiveEvent[] => [
    { id: `b ${key}`, kind: 'begun', key, at: TABLE + start * MINUTE },
    { id: `d ${key}`, kind: 'done', key, at: TABLE + (end + (late[key] ?? 0)) * MINUTE },
  ]);
  const more = said.map((each, k) => ({ id: `s${k}`, at: TABLE + (60 + k) * MINUTE, ...each }) as LiveEvent);
  const all = [...events.sort((a, b) => a.at - b.at), ...more];
  return { id: 'e', mealId: meal.id, meal, plan, tableAt: TABLE, events: all, moved: '', over: true };
}
const step = (key: string) => plan.steps.find((each) => each.key === key)!;

describe('what an evening shows', () => {
  it('has each dish at its minute after the hour, and what ran behind at each step', () => {
    const { landed, records, drift } = lookBack(evening({ 'greens/fry': 6 }));
    const ready = step('greens/fry').end + 6;
    const greensLanded = landed.find(({ dishId }) => dishId === 'greens')!;
    expect(greensLanded.readyAt).toBe(TABLE + ready * MINUTE);
    expect(greensLanded.minutes).toBe(ready);
    const fry = records.find(({ key }) => key === 'greens/fry')!;
    expect(fry.real - fry.planned).toBeCloseTo(6, 9);
    expect(drift.at(-1)!.minutes).toBe(6);
    expect(drift.map(({ at }) => at)).toEqual(drift.map(({ at }) => at).toSorted((a, b) => a - b));
  });

  it('never ready is nothing, and the hour is the one agreed first', () => {
    const whole = evening();
    const unfinished = {
      ...whole,
      events: whole.events.filter((event) => !('key' in event && event.key === 'greens/fry')),
    };
    expect(lookBack(unfinished).landed.find(({ dishId }) => dishId === 'greens')).toMatchObject({ minutes: 0 });
    const later = lookBack({ ...whole, firstTable: TABLE - 20 * MINUTE });
    expect(later.landed.find(({ dishId }) => dishId === 'greens')!.minutes).toBe(step('greens/fry').end + 20);
  });

  it('what was done twelve hours before and more is no part of the drift', () => {
    const whole = evening();
    const early = { ...whole, tableAt: TABLE + 13 * 60 * MINUTE };
    expect(lookBack(whole).drift.length).toBeGreaterThan(0);
    expect(lookBack(early).drift).toEqual([]);
  });

  it('the latest word on each side counts, of this dish only', () => {
    const rated = evening(
      {},
      { kind: 'rated', dish: 'greens', salt: 1, doneness: -1 },
      { kind: 'rated', dish: 'greens', salt: 0 },
      { kind: 'rated', dish: 'grain', wetness: 1 },
    );
    expect(ratingsOf(rated, 'greens')).toEqual({ salt: 0, doneness: -1 });
    expect(ratingsOf(rated, 'grain')).toEqual({ wetness: 1 });
  });
});

describe('what an evening proposes', () => {
  const said = (of: Evening) => proposalsFor(of, NOTHING_LEARNED, [greens, grain]).map(({ says }) => says);

  it.each([
    [2.4, []],
    [2.6, ['Begin “fry” 3 min earlier.']],
    [-2.4, []],
    [-2.6, ['“fry” may begin 3 min later.']],
  ])('for a step that took %d min more: %o', (late, proposals) => {
    expect(said(evening({ 'greens/fry': late }))).toEqual(proposals);
  });

  it('says how often it was seen, once that is more than once', () => {
    const lesson = (times: number) => ({ factor: 1.2, low: 1.1, high: 1.3, times, scatter: 0 });
    const because = (times: number) =>
      proposalsFor(
        evening({ 'greens/fry': 8 }),
        { ...NOTHING_LEARNED, steps: new Map([['greens/fry', lesson(times)]]) },
        [greens],
      )[0]!.because;
    expect(because(1)).toBe('Greens: it took 19 min, planned were 11.');
    expect(because(2)).toBe('Greens: it took 19 min, planned were 11 (seen 2 times).');
  });

  it.each([
    [1, '“fry” 1 min shorter.', 'overdone', 9],
    [-1, '“fry” 1 min longer.', 'not done enough', 11],
  ] as const)('a tenth of its longest time on the heat where it was %d', (doneness, says, because, likely) => {
    const watched = {
      ...greens,
      steps: greens.steps.map((each) => (each.id === 'fry' ? { ...each, attention: 'eyes' as const } : each)),
    };
    const [told, ...more] = proposalsFor(evening({}, { kind: 'rated', dish: 'greens', doneness }), NOTHING_LEARNED, [
      watched,
    ]);
    expect(more).toEqual([]);
    expect(told).toMatchObject({ says, dishId: 'greens' });
    expect(told!.because).toContain(because);
    const fry = told!.dish!.steps.find(({ id }) => id === 'fry')!;
    expect(fry.minutes).toEqual({ shortest: 8 - doneness, likely, longest: 16 - doneness });
    expect(told!.dish!.steps[0]).toEqual(watched.steps[0]);
  });

  it('the longest of what stands on heat by itself is meant, the first of equals: not the board, a rest, the cold or hands', () => {
    const [wash, fry] = greens.steps;
    const as = (id: string, likely: number, over: object) => ({
      ...fry!,
      id,
      name: id,
      minutes: { shortest: likely - 5, likely, longest: likely + 9 },
      ...over,
    });
    const eyes = { attention: 'eyes' as const };
    const many = {
      ...greens,
      steps: [
        as('chop', 90, { place: { at: 'board' }, attention: 'none' }),
        as('stand', 80, { place: { at: 'rest' }, ...eyes }),
        as('chill', 70, { place: { at: 'cold' }, ...eyes }),
        as('stir', 60, { attention: 'hands' }),
        as('warm', 20, eyes),
        as('simmer', 40, eyes),
        as('bake', 40, { place: { at: 'oven', celsius: 180, shelves: 1 }, ...eyes }),
        wash!,
      ],
    };
    const rated = (doneness: -1 | 0 | 1, dish: typeof greens) =>
      proposalsFor(evening({}, { kind: 'rated', dish: 'greens', doneness }), NOTHING_LEARNED, [dish]);
    const [told] = rated(1, many);
    expect(told!.says).toBe('“simmer” 4 min shorter.');
    expect(told!.because).toBe('Greens was overdone.');
    const minutes = told!.dish!.steps.map((each) => each.minutes.likely);
    expect(minutes).toEqual(many.steps.map((each) => each.minutes.likely - (each.id === 'simmer' ? 4 : 0)));
    const short = { ...many, steps: [as('flash', 2, { minutes: { shortest: 1, likely: 2, longest: 3 }, ...eyes })] };
    expect(rated(1, short)[0]!.dish!.steps[0]!.minutes).toEqual({ shortest: 1, likely: 1, longest: 2 });
    expect(rated(0, many)).toEqual([]);
    expect(rated(1, { ...many, steps: many.steps.slice(0, 4) })).toEqual([]);
  });

  it('wet and dry, salt and its lack, are said by their names', () => {
    const because = (what: { wetness?: -1 | 1; salt?: -1 | 1 }, dish: typeof grain) =>
      proposalsFor(evening({}, { kind: 'rated', dish: dish.id, ...what }), NOTHING_LEARNED, [dish])[0]!;
    expect(because({ salt: 1 }, greens).because).toBe('Greens had too much of it.');
    expect(because({ salt: -1 }, greens).because).toBe('Greens had too little of it.');
    const told = { ...grain, grain: { kind: 'millet', soaked: false, grain: 'millet', liquid: ['water'] } } as never;
    expect(because({ wetness: 1 }, told).says).toBe('5 % less liquid.');
    expect(because({ wetness: 1 }, told).because).toContain('too wet');
    expect(because({ wetness: -1 }, told).says).toBe('5 % more liquid.');
    expect(because({ wetness: -1 }, told).because).toContain('too dry');
  });

  it('salt by a tenth where the dish names it, and in words only where it does not', () => {
    const salted = {
      ...greens,
      ingredients: [
        ...greens.ingredients,
        { ...greens.ingredients[0]!, id: 'salt', name: 'fine salt', amount: { quantity: 10, unit: 'g' as const } },
      ],
    };
    const proposal = (salt: -1 | 1, dish: typeof greens) =>
      proposalsFor(evening({}, { kind: 'rated', dish: 'greens', salt }), NOTHING_LEARNED, [dish])[0]!;
    expect(proposal(1, salted).dish!.ingredients.map(({ amount }) => amount.quantity)).toEqual([400, 9]);
    expect(proposal(-1, salted).dish!.ingredients.map(({ amount }) => amount.quantity)).toEqual([400, 11]);
    expect(proposal(1, salted).says).toBe('A tenth less salt.');
    expect(proposal(-1, greens)).toMatchObject({ says: 'A tenth more salt.', dish: null });
    expect(proposalsFor(evening({}, { kind: 'rated', dish: 'greens', salt: 0 }), NOTHING_LEARNED, [salted])).toEqual(
      [],
    );
  });

  it('what went in after a taste, for as many as the dish is written for; in words where it is measured otherwise', () => {
    const gave = (name: string, quantity: number, unit: 'g' | 'tsp') =>
      ({ kind: 'tasted', dish: 'greens', sense: 'flat', gave: { name, amount: { quantity, unit } } }) as const;
    const twice = {
      ...evening({}, gave('chard', 40, 'g') as never, gave('chard', 20, 'tsp') as never),
      meal: { ...meal, people: 8 },
    };
    const [more, ...others] = proposalsFor(twice, NOTHING_LEARNED, [greens]);
    expect(others).toEqual([]);
    expect(more).toMatchObject({ says: '40 g chard more.', because: 'You added it to Greens after tasting.' });
    // Written for four, cooked for eight.
    expect(more!.dish!.ingredients.map(({ amount }) => amount)).toEqual([{ quantity: 420, unit: 'g' }]);
    const [spoons] = proposalsFor(evening({}, gave('chard', 1, 'tsp') as never), NOTHING_LEARNED, [greens]);
    expect(spoons).toMatchObject({ says: '1 tsp chard more.', dish: null });
    expect(proposalsFor(evening({}, gave('chard', 1, 'tsp') as never), NOTHING_LEARNED, [grain])).toEqual([]);
  });

  it('the five steps that were furthest off, the furthest first, whichever way', () => {
    const keys = plan.steps.filter(({ kind }) => kind === 'step').map(({ key }) => key);
    const late = Object.fromEntries(keys.map((key, k) => [key, 3 + k]));
    const ids = proposalsFor(evening(late), NOTHING_LEARNED, [greens, grain]).map(({ id }) => id);
    const counted = lookBack(evening(late)).records.map(({ key }) => key);
    const furthest = keys
      .filter((key) => counted.includes(key))
      .toReversed()
      .slice(0, 5);
    expect(ids).toEqual(furthest.map((key) => `time ${key}`));
  });
});

describe('the record of a step', () => {
  it('is whose hands it was in', () => {
    const records = lookBack(evening()).records;
    const hands = records.filter(({ attention }) => attention === 'hands');
    expect(hands.length).toBeGreaterThan(1);
    for (const { person, key } of hands) expect(person).toBe(step(key).person!.id);
    const others = records.filter(({ attention }) => attention !== 'hands');
    expect(others.length).toBeGreaterThan(0);
    expect(others.map(({ person }) => person)).toEqual(others.map(() => null));
    expect(records.map(({ boiledOn }) => boiledOn)).toEqual(records.map(() => null));
  });

  /** The same meal, with every step on a burner coming to the boil. */
  const boiling = {
    ...meal,
    kitchen: { ...meal.kitchen, burners: meal.kitchen.burners.map((each) => ({ ...each, learned: 2 })) },
    dishes: meal.dishes.map((dish) => ({
      ...dish,
      steps: dish.steps.map((each) => ({
        ...each,
        learned: { factor: 4, times: 3 },
        ...(each.place.at === 'burner' ? { grows: { by: 'boil' } } : {}),
      })),
    })),
  } as typeof meal;

  it('knows what was planned without what was learned: of the step, and of the burner where it boils', () => {
    const { records } = lookBack({ ...evening(), meal: boiling });
    const onBurners = records.filter(({ key }) => step(key).station.sort === 'burner');
    expect(onBurners.length).toBeGreaterThan(0);
    expect(onBurners.length).toBeLessThan(records.length);
    for (const { key, planned: by, plannedPlain, boiledOn } of records) {
      const boils = onBurners.some((each) => each.key === key);
      expect(boiledOn).toBe(boils ? step(key).station.id : null);
      expect(by / plannedPlain).toBeCloseTo(boils ? 2 : 4, 9);
    }
    for (const { planned: by, plannedPlain } of lookBack(evening()).records) expect(plannedPlain).toBe(by);
  });

  it('is not made for a step that is of no dish any more', () => {
    const gone = { ...meal, dishes: [greens] };
    const kept = { ...greens, steps: greens.steps.filter(({ id }) => id !== 'cut') };
    expect(lookBack({ ...evening(), meal: gone }).records.map(({ dishId }) => dishId)).not.toContain('grain');
    const records = lookBack({ ...evening(), meal: { ...meal, dishes: [kept] } }).records;
    expect(records.map(({ key }) => key)).toEqual(['greens/fry']);
  });

  it('has the minutes without the pause in them', () => {
    const fry = step('greens/fry');
    const at = (minute: number) => TABLE + (fry.start + minute) * MINUTE;
    const paused = evening(
      {},
      { kind: 'paused', key: fry.key, at: at(2) } as never,
      { kind: 'resumed', key: fry.key, at: at(5) } as never,
    );
    const events = [...paused.events].sort((a, b) => a.at - b.at);
    const record = lookBack({ ...paused, events }).records.find(({ key }) => key === fry.key)!;
    expect([record.paused, record.real]).toEqual([3, fry.end - fry.start - 3]);
  });
});

describe('what was noted', () => {
  it('stands with its instant and its photo, in its order, unless it was taken back', () => {
    const told = evening(
      {},
      { kind: 'note', text: 'more lemon' },
      { kind: 'note', text: 'the crust', photo: 'p1' },
      { kind: 'note', text: 'a slip' },
      { kind: 'undo', of: 's2' },
    );
    expect(lookBack(told).notes).toEqual([
      { at: TABLE + 60 * MINUTE, text: 'more lemon', photo: null },
      { at: TABLE + 61 * MINUTE, text: 'the crust', photo: 'p1' },
    ]);
  });
});

describe('what was measured', () => {
  const two = mealOf([mushroomStock, barleyLeeks], { people: 8, kitchen: largeKitchen });
  const key = stepKey(mushroomStock.id, 'strain');
  const thought = toMeasure(two, mushroomStock.id, 'strain')!;
  const measured = (ml: number, product = thought.product, of = key): LiveEvent =>
    ({
      id: `m ${ml} ${product}`,
      at: TABLE + ml,
      kind: 'measured',
      key: of,
      product,
      ml,
      does: 'as it is',
    }) as LiveEvent;
  const on = (...events: readonly LiveEvent[]): Evening => ({
    id: 'e',
    mealId: two.id,
    meal: two,
    plan: { ...plan, steps: [] },
    tableAt: TABLE,
    events,
    moved: '',
    over: true,
  });

  it.each([
    [1, '5 % less liquid.', 'too wet', 0.95],
    [-1, '5 % more liquid.', 'too dry', 1.05],
  ] as const)(
    'a twentieth of the liquid of grain where it was %d, with the ratio of that evening',
    (wetness, says, how, factor) => {
      const rated = (dish: string) => on({ id: 'r', at: TABLE, kind: 'rated', dish, wetness });
      const [told, ...more] = proposalsFor(rated(barleyLeeks.id), NOTHING_LEARNED, [barleyLeeks, mushroomStock]);
      expect(more).toEqual([]);
      expect(told).toMatchObject({ says, dishId: barleyLeeks.id });
      expect(told!.because).toMatch(new RegExp(`${how}: 1 : [\\d.]+ by weight, (un)?soaked\\.$`));
      const liquid = new Set(barleyLeeks.grain!.liquid);
      for (const [k, item] of told!.dish!.ingredients.entries()) {
        const was = barleyLeeks.ingredients[k]!.amount.quantity;
        expect(item.amount.quantity / was).toBeCloseTo(liquid.has(item.id) ? factor : 1, 2);
      }
      // What is no grain has no liquid to be less.
      const wet = evening({}, { kind: 'rated', dish: 'greens', wetness });
      expect(proposalsFor(wet, NOTHING_LEARNED, [greens, grain])).toEqual([]);
    },
  );

  it('is the last word on each liquid, beside what was thought of', () => {
    expect(measuresOf(on(measured(900), measured(1000)))).toEqual([
      {
        key: yieldKey(two.kitchen.id, mushroomStock.id, thought.product),
        dishId: mushroomStock.id,
        dishName: mushroomStock.name,
        name: thought.name,
        thought: thought.thoughtMl,
        thoughtPlain: thought.thoughtMl,
        real: 1000,
      },
    ]);
  });

  it('is nothing where there was none, or no such liquid or step', () => {
    const other = stepKey(mushroomStock.id, 'simmer');
    expect(measuresOf(on(measured(0), measured(800, 'whey'), measured(700, thought.product, other)))).toEqual([]);
  });

  it('counts from what would have been thought without what was learned', () => {
    const learned = {
      ...mushroomStock,
      gives: mushroomStock.gives.map((give) => ({ ...give, learned: { factor: 0.8, times: 2 } })),
    };
    const taught = { ...on(measured(1000)), meal: { ...two, dishes: [learned as typeof mushroomStock, barleyLeeks] } };
    const [record] = measuresOf(taught);
    expect(record!.thoughtPlain).toBeCloseTo(record!.thought / 0.8, 6);
  });

  it.each([
    [0.951, false],
    [0.949, true],
    [1.049, false],
    [1.051, true],
  ])('proposes %d times what was thought: %s', (share, worth) => {
    const real = (Math.round(thought.thoughtMl * 1000) * share) / 1000;
    const told = proposalsFor(on(measured(real)), NOTHING_LEARNED, []);
    expect(told.map(({ id }) => id)).toEqual(
      worth ? [`measured ${yieldKey(two.kitchen.id, mushroomStock.id, thought.product)}`] : [],
    );
    for (const { says, because } of told) {
      expect(says).toBe(`Count on about ${printAmount({ quantity: real, unit: 'ml' })} of ${thought.name}.`);
      expect(because).toContain(`${printAmount({ quantity: thought.thoughtMl, unit: 'ml' })} were thought of`);
    }
  });
});

describe('what is left over', () => {
  it('is cold two hours after the table, or after it was ready where that is later', () => {
    const [left, ...more] = leftOvers(evening({}, { kind: 'left-over', dish: 'greens', portions: 3 }));
    expect(more).toEqual([]);
    expect(left).toMatchObject({ dishId: 'greens', dishName: 'Greens', portions: 3, coldBy: TABLE + 120 * MINUTE });
    const [late] = leftOvers(evening({ 'greens/fry': 90 }, { kind: 'left-over', dish: 'greens', portions: 1 }));
    expect(late!.coldBy).toBe(TABLE + (step('greens/fry').end + 90 + 120) * MINUTE);
    expect(leftOvers(evening({}, { kind: 'left-over', dish: 'greens', portions: 0 }))).toEqual([]);
  });
});

describe('how the estimate of hands settles', () => {
  const by = (id: string, person: string, late: number): Evening => {
    const whole = evening({ 'greens/wash': late, 'grain/wash': late });
    const steps = whole.plan.steps.map((each) =>
      each.person ? { ...each, person: { id: person, name: person } } : each,
    );
    const people = ['cook', 'helper'].map((each) => ({ ...whole.meal.kitchen.people[0]!, id: each, name: each }));
    return { ...whole, id, plan: { ...whole.plan, steps }, meal: { ...meal, kitchen: { ...meal.kitchen, people } } };
  };

  it('follows the hands that were seen most, evening by evening, and is nothing where none were seen', () => {
    const list = [by('one', 'helper', 0), by('two', 'cook', 4), by('three', 'cook', 4)];
    const settled = settling(list);
    expect(settled.map((each) => each.evening)).toEqual(['two', 'three']);
    expect(
      settled.every(({ at, factor, low, high }) => at === TABLE && factor > 1 && low < factor && factor < high),
    ).toBe(true);
    expect(settled[1]!.high - settled[1]!.low).toBeLessThan(settled[0]!.high - settled[0]!.low);
    expect(settling([])).toEqual([]);
    expect(settling([{ ...by('none', 'cook', 0), events: [] }])).toEqual([]);
  });
});
