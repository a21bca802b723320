import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { chop, dish, follow, fry, item, leave, rest, waits, work } from '@/core/dish/write';
import type { StepKey } from '@/core/meal/keys';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { mealOf } from '@/core/testing/meals';
import type { Amount } from '@/core/units/amount';
import { mushroomStock } from '@/demo/harvest';
import { type Bowl, boardRounds, bowlsOf, isBoardWork } from './bowls';
import { keptTooLong, type Offer } from './offers';
import { toHandOf } from './staples';

/** A dish of one thing that is cut, rests cut, and is fried. */
const stew = (change: Partial<Dish> = {}): Dish => ({
  ...dish({
    id: 'stew',
    name: 'Stew',
    servings: 4,
    ingredients: [
      item('roots', 400, 'g', 'carrots', { cut: 'sliced' }),
      item('leaf', 1, 'bunch', 'parsley'),
      item('wine', 200, 'ml', 'white wine'),
      item('spice', 1, 'tsp', 'cumin'),
      item('meat', 600, 'g', 'chicken thighs'),
    ],
    steps: [
      chop('peel', 'peel', 6, 'Peel them.', { uses: ['roots'] }),
      chop('cut', 'cut', 4, 'Cut them.', { uses: ['leaf'] }),
      fry('fry', 'fry', 'medium', 10, 'Fry them.', { uses: ['spice', 'meat'] }),
      leave('simmer', 'simmer', 'low', 20, 'Simmer.', { uses: ['wine'] }),
    ],
    links: [follow('peel', 'cut'), follow('cut', 'fry'), follow('fry', 'simmer')],
    lands: { step: 'simmer', waits: waits('hot', 20, 40, 'covered') },
  }),
  ...change,
});
const bowl = (bowls: readonly Bowl[], id: string) => bowls.find(({ key }) => key === `stew/${id}`)!;
const plan = (...steps: readonly (readonly [key: string, start: number, minutes: number])[]) =>
  ({
    steps: steps.map(([key, start, minutes]) => ({ key: key as StepKey, start, minutes }) as PlannedStep),
  }) as unknown as Plan;

describe('what is laid out', () => {
  const bowls = bowlsOf(mealOf([stew()]), null);

  it('goes into the first step after the board, however many there are at it', () => {
    expect(bowl(bowls, 'roots')).toMatchObject({ readiedIn: 'stew/peel', into: { key: 'stew/fry', name: 'fry' } });
    expect(bowl(bowls, 'leaf')).toMatchObject({ readiedIn: 'stew/cut', into: { key: 'stew/fry' } });
    expect(bowl(bowls, 'spice')).toMatchObject({ readiedIn: null, into: { key: 'stew/fry' } });
    // Where nothing follows the board, it stays there; and what no step names goes into the first.
    const salad = stew({ steps: stew().steps.slice(0, 1), links: [] });
    expect(bowl(bowlsOf(mealOf([salad]), null), 'roots')).toMatchObject({
      readiedIn: null,
      into: { key: 'stew/peel' },
    });
    expect(bowl(bowlsOf(mealOf([salad]), null), 'meat')).toMatchObject({ into: { key: 'stew/peel' } });
    // A step at the board that needs no hands is none of the board's work, nor is one of hands elsewhere.
    expect(isBoardWork(chop('a', 'a', 1, ''))).toBe(true);
    expect(isBoardWork(rest('a', 'a', 1, ''))).toBe(false);
    expect(isBoardWork(fry('a', 'a', 'low', 1, '', { attention: 'hands' }))).toBe(false);
    // Links that go in a circle end.
    const round = stew({ links: [follow('peel', 'cut'), follow('cut', 'peel')] });
    expect(bowl(bowlsOf(mealOf([round]), null), 'roots').into.key).toBe('stew/peel');
  });

  it('counts what no step counts: half a minute to measure, and the knife where no board work is planned', () => {
    expect(bowl(bowls, 'roots').minutes).toBe(0.5);
    expect(bowl(bowls, 'wine').minutes).toBe(0.5);
    const uncut = stew({ steps: stew().steps.map((step) => ({ ...step, uses: step.id === 'fry' ? ['roots'] : [] })) });
    expect(bowl(bowlsOf(mealOf([uncut]), null), 'roots').minutes).toBeGreaterThan(2);
  });

  it('is measured as its unit is', () => {
    const measured = (amount: Amount) => {
      const one = stew({ ingredients: [{ ...stew().ingredients[3]!, amount }] });
      return bowl(bowlsOf(mealOf([one]), null), 'spice').measured;
    };
    const by = (unit: string) => measured({ quantity: 1, unit } as Amount);
    expect(['tsp', 'tbsp', 'g', 'kg', 'ml', 'l', 'pinch', 'piece', 'bunch'].map(by)).toEqual([
      ...Array(2).fill('by the spoon'),
      ...Array(2).fill('weighed'),
      ...Array(2).fill('in the jug'),
      'to taste',
      ...Array(2).fill('counted'),
    ]);
  });

  it('stands in its layer by what it is', () => {
    expect(['spice', 'wine', 'roots', 'leaf', 'meat'].map((id) => bowl(bowls, id).layer)).toEqual([
      'dry',
      'wet',
      'vegetables',
      'vegetables',
      'raw',
    ]);
    const layer = (name: string, amount: Amount = { quantity: 100, unit: 'g' }) => {
      const one = stew({ ingredients: [{ ...stew().ingredients[3]!, name, amount }] });
      return bowl(bowlsOf(mealOf([one]), null), 'spice').layer;
    };
    expect(
      ['Soy sauce', 'yogurt', 'yoghurt', 'butter', 'tinned tomatoes', 'rice', 'gravel'].map((name) => layer(name)),
    ).toEqual(['wet', 'wet', 'wet', 'wet', 'wet', 'dry', 'vegetables']);
    // A spoon of something dry is no liquid, a jug of it is.
    expect(layer('coconut sugar', { quantity: 1, unit: 'tsp' })).not.toBe('wet');
    expect(layer('squash juice', { quantity: 100, unit: 'ml' })).toBe('wet');
    expect(layer('squash', { quantity: 100, unit: 'g' })).toBe('vegetables');
  });

  it('stands in the order it is needed, the same things together', () => {
    const other = stew({ id: 'other', name: 'Other' });
    const when = plan(
      ['stew/fry', -40, 10],
      ['stew/simmer', -30, 20],
      ['other/fry', -90, 10],
      ['other/simmer', -80, 20],
    );
    const order = bowlsOf(mealOf([stew(), other]), when);
    const vegetables = order.filter(({ layer }) => layer === 'vegetables').map(({ key }) => key);
    expect(vegetables).toEqual(['other/roots', 'stew/roots', 'other/leaf', 'stew/leaf']);
    expect(order.find(({ key }) => key === 'stew/roots')!.at).toBe(-40);
    // In batches, the first counts.
    const lots = bowlsOf(mealOf([stew()]), plan(['stew/fry.1', -50, 10], ['stew/fry.2', -40, 10]));
    expect(bowl(lots, 'roots').at).toBe(-50);
    expect(bowl(lots, 'wine').at).toBeNull();
  });

  it('of another dish is there when that says so, and is bought where none gives it', () => {
    const take = {
      product: mushroomStock.gives[0]!.product,
      step: 'simmer',
      amount: { quantity: 500, unit: 'ml' },
      otherwise: 'ready-made stock',
    } as Dish['takes'][number];
    const taking = stew({ takes: [take] });
    const [alone, beside] = [[taking], [taking, mushroomStock]].map((dishes) =>
      bowl(bowlsOf(mealOf(dishes), null), take.product),
    );
    expect(alone).toMatchObject({
      name: 'ready-made stock',
      readiedIn: null,
      madeBy: null,
      minutes: 0.5,
      layer: 'wet',
      measured: 'in the jug',
    });
    expect(beside).toMatchObject({
      name: mushroomStock.gives[0]!.name,
      readiedIn: `${mushroomStock.id}/${mushroomStock.gives[0]!.step}`,
      madeBy: mushroomStock.name,
      minutes: 0,
      into: { key: 'stew/simmer' },
    });
  });
});

describe('rounds at the board', () => {
  it('take up what is cut, and vegetables and raw meat that a board readies; nothing that is poured, made or taken as needed', () => {
    const rounds = boardRounds(bowlsOf(mealOf([stew()]), null), null);
    expect(rounds.map(({ name }) => name)).toEqual(['carrots', 'parsley']);
    const raw = stew({
      ingredients: stew().ingredients.filter(({ id }) => id !== 'leaf'),
      steps: stew().steps.map((step) => (step.id === 'cut' ? { ...step, uses: ['meat', 'spice'] } : step)),
    });
    expect(boardRounds(bowlsOf(mealOf([raw]), null), null).map(({ name }) => name)).toEqual([
      'carrots',
      'chicken thighs',
    ]);
  });

  it('share the minutes of the plan’s work out by what the knife needs, and say by when', () => {
    const meal = mealOf([
      stew({ steps: stew().steps.map((step) => (step.id === 'cut' ? { ...step, uses: ['leaf', 'meat'] } : step)) }),
    ]);
    const when = plan(['stew/peel', -60, 9], ['stew/cut', -50, 12], ['stew/fry', -40, 10]);
    const rounds = boardRounds(bowlsOf(meal, when), when);
    const minutes = new Map(rounds.map((round) => [round.name, round.minutes]));
    expect(minutes.get('carrots')).toBe(9);
    expect(minutes.get('parsley')! + minutes.get('chicken thighs')!).toBeCloseTo(12, 6);
    expect(minutes.get('parsley')!).toBeGreaterThan(0);
    expect(rounds.map(({ by }) => by)).toEqual([-40, -40, -40]);
    expect(boardRounds(bowlsOf(meal, null), null).every(({ by }) => by === null)).toBe(true);
    // Work in parts counts with all of them.
    const parts = plan(['stew/peel.1', -60, 4], ['stew/peel.2', -55, 3]);
    expect(boardRounds(bowlsOf(meal, parts), parts).find(({ name }) => name === 'carrots')!.minutes).toBe(7);
  });
});

describe('what is at hand', () => {
  const asks = (says: string, ...listed: readonly string[]) => {
    const ingredients = listed.map((name, index) => item(`i${index}`, 1, 'tsp', name));
    const steps = [work('first', 'first', 1, 'Begin.'), work('then', 'then', 1, says)];
    return toHandOf({ ...stew(), ingredients, steps }).map(({ name, step }) => `${name} ${step.id}`);
  };

  it('is what an instruction mentions and no list holds, once, for the first step that asks', () => {
    expect(asks('Salt it, with pepper and a little butter.')).toEqual(['salt then', 'pepper then', 'butter then']);
    expect(asks('Salt it.', 'fine salt')).toEqual([]);
    expect(asks('Fry in oil.', 'beef dripping')).toEqual([]);
    expect(asks('Sweeten with sugar.', 'honey')).toEqual([]);
    expect(asks('Strew with herbs.', 'flat parsley')).toEqual([]);
    expect(asks('Under foil, on a cloth, in iced water.')).toEqual(['foil then', 'a clean cloth then', 'ice then']);
    // Less of it is not more of it; two peppers are no pepper; rice is no ice.
    expect(asks('It tastes salt less.')).toEqual([]);
    expect(asks('Add the peppers to the rice.')).toEqual([]);
    const two = { ...stew(), ingredients: [], steps: [work('a', 'a', 1, 'Salt it.'), work('b', 'b', 1, 'Salt it.')] };
    expect(toHandOf(two).map(({ step }) => step.id)).toEqual(['a']);
    const taken = { ...two, takes: [{ otherwise: 'salted broth' } as unknown as Dish['takes'][number]] };
    expect(toHandOf({ ...taken, takes: [{ otherwise: 'sea salt' } as unknown as Dish['takes'][number]] })).toEqual([]);
  });
});

describe('how long it keeps', () => {
  const keeps = (fridgeDays: number, freezerMonths: number | null) =>
    ({ keeps: { of: 'cooked grain', fridgeDays, freezerMonths } }) as unknown as Offer;

  it('is told where it is not long enough, with the freezer where that helps', () => {
    expect(keptTooLong(keeps(2, 3), { days: 2 })).toBeNull();
    expect(keptTooLong(keeps(2, 3), { days: 3 })).toBe(
      'Cooked grain: 2 days in the fridge at the most; freeze it for longer.',
    );
    expect(keptTooLong(keeps(1, null), { days: 2 })).toBe('Cooked grain: 1 day in the fridge at the most.');
    expect(keptTooLong(keeps(1, 3), { days: 9, frozen: true })).toBeNull();
    expect(keptTooLong(keeps(1, null), { days: 1, frozen: true })).toBe('Cooked grain: not for the freezer.');
  });
});
