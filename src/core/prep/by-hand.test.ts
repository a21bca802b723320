import { describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { mealOf, smallKitchen } from '@/core/testing/meals';
import type { Amount } from '@/core/units/amount';
import { handsBetween, hotHourOf, prepStretch } from './hot-hour';
import { costOf, inKindOf, type LarderItem, lessTheLarder, moneyFor } from './larder';
import { packsFor } from './packs';
import type { Errand } from './shopping';

const g = (quantity: number): Amount => ({ quantity, unit: 'g' });
const ml = (quantity: number): Amount => ({ quantity, unit: 'ml' });

describe('the last hour', () => {
  const meal = mealOf([], {
    kitchen: {
      ...smallKitchen,
      people: [
        { id: 'cook', name: 'you', role: 'cook', from: '06:00', until: '23:30' },
        { id: 'child', name: 'Bo', role: 'helper', from: '06:00', until: '23:30' },
      ],
    },
  });
  const busy = (start: number, end: number) => ({ start, end, key: `${start}` });
  const step = (start: number, end: number, change: object = {}) => ({
    start,
    end,
    person: { id: 'cook', name: 'you' },
    station: { sort: 'board' },
    ...change,
  });
  const plan = (change: object) => ({ hands: [], steps: [], ...change }) as unknown as Plan;

  it('counts the cooks’ minutes in it, cut at its ends, and no helper’s', () => {
    const hands = [
      { personId: 'cook', busy: [busy(-90, -70), busy(-65, -50), busy(-30, -20), busy(-5, 10), busy(20, 30)] },
      { personId: 'child', busy: [busy(-40, -10)] },
    ];
    expect(handsBetween(meal, plan({ hands }), -60, 0)).toBe(10 + 10 + 5);
    expect(handsBetween(meal, plan({ hands }), -65, -50)).toBe(15);
    expect(handsBetween(meal, plan({ hands }), -20, -5)).toBe(0);
    expect(hotHourOf(meal, plan({ hands })).minutes).toBe(25);
  });

  it('tells what of it is at the board, by a cook', () => {
    const steps = [
      step(-70, -55),
      step(-30, -20),
      step(-3, 4),
      step(-20, -10, { person: { id: 'child', name: 'Bo' } }),
      step(-20, -10, { person: null }),
      step(-20, -10, { station: { sort: 'burner' } }),
      step(-100, -61),
    ];
    expect(hotHourOf(meal, plan({ steps })).atTheBoard).toBe(5 + 10 + 3);
  });

  it('has a stretch of preparing before it, from the first board to the last that is over in time', () => {
    const steps = [
      step(-200, -180, { ahead: true }),
      step(-150, -140, { station: { sort: 'burner' } }),
      step(-145, -130, { person: null }),
      step(-120, -110),
      step(-90, -60),
      step(-100, -59),
    ];
    expect(prepStretch(plan({ steps }))).toEqual({ from: -120, to: -60 });
    expect(prepStretch(plan({ steps: [step(-100, -59)] }))).toBeNull();
  });
});

describe('packs', () => {
  const packs = (name: string, ...buy: Amount[]) => packsFor({ name }, buy);

  it.each([
    ['tinned tomatoes', g(400), 1, 0],
    ['tinned tomatoes', g(401), 2, 399],
    ['butter', g(12.5), 1, 237.5],
    ['yogurt', g(500), 1, 0],
    ['coconut milk', ml(800), 2, 0],
  ])('of %s: %o are %d, and %d over', (name, amount, count, left) => {
    const told = packs(name, amount)!;
    expect([told.count, told.left.quantity, told.told]).toEqual([count, expect.closeTo(left, 6), false]);
  });

  it('are of the size that leaves least; of two alike the fewer, larger ones', () => {
    expect(packs('milk', ml(600))).toMatchObject({ size: ml(1000), count: 1 });
    expect(packs('milk', ml(400))).toMatchObject({ size: ml(500), count: 1 });
    expect(packs('milk', ml(1000))).toMatchObject({ size: ml(1000), count: 1 });
    expect(packs('eggs', { quantity: 12, unit: 'piece' })).toMatchObject({ count: 2, left: { quantity: 0 } });
    expect(packs('eggs', { quantity: 7, unit: 'piece' })).toMatchObject({ count: 1, left: { quantity: 3 } });
  });

  it('are not told of a splash, of what is sold loose, and of two kinds at once', () => {
    expect(packs('butter', g(12.4))).toBeNull();
    expect(packs('carrots', g(900))).toBeNull();
    expect(packs('butter', g(200), ml(20))).toBeNull();
    expect(packs('butter')).toBeNull();
    expect(packs('eggs', g(200))).toBeNull();
  });

  it('are of the cook’s own size where that was told', () => {
    const item: LarderItem = { key: 'butter', name: 'butter', have: null, price: { money: 3, per: g(200) } };
    expect(packsFor({ name: 'butter' }, [g(390)], item)).toMatchObject({
      size: g(200),
      count: 2,
      told: true,
      left: { quantity: 10 },
    });
  });
});

describe('the larder', () => {
  const errand = (name: string, exact: readonly Amount[]): Errand =>
    ({
      key: name,
      name,
      aisle: 'else',
      amounts: exact,
      exact,
      wants: exact.map((amount) => ({ dish: 'Dish', amount })),
    }) as Errand;
  const item = (have: Amount | null, price: LarderItem['price'] = null): LarderItem => ({
    key: 'rice',
    name: 'rice',
    have,
    price,
  });

  it('crosses from grams to millilitres and back by density only', () => {
    expect(inKindOf('sugar', g(85), ml(1))!.quantity).toBeCloseTo(100, 6);
    expect(inKindOf('sugar', ml(100), g(1))).toEqual({ quantity: expect.closeTo(85, 6), unit: 'g' });
    expect(inKindOf('sugar', { quantity: 1, unit: 'kg' }, g(1))).toEqual(g(1000));
    expect(inKindOf('leeks', g(85), ml(1))).toBeNull();
    expect(inKindOf('sugar', { quantity: 2, unit: 'piece' }, g(1))).toBeNull();
    expect(inKindOf('sugar', g(2), { quantity: 1, unit: 'piece' })).toBeNull();
  });

  it('gives what it has to the first, then to the next, and the rest is bought as it is sold', () => {
    expect(lessTheLarder(errand('rice', [g(300)]), item(g(120)))).toEqual({ buy: [g(180)], fromHome: g(120) });
    expect(lessTheLarder(errand('rice', [g(300)]), item(g(300)))).toEqual({ buy: [], fromHome: g(300) });
    expect(lessTheLarder(errand('rice', [g(300)]), item(g(900)))).toEqual({ buy: [], fromHome: g(300) });
    for (const none of [item(null), item(g(0)), undefined])
      expect(lessTheLarder(errand('rice', [g(300)]), none)).toEqual({ buy: [g(300)], fromHome: null });
    const pieces = { quantity: 2, unit: 'piece' } as const;
    const other = lessTheLarder(errand('leeks', [pieces, g(300)]), item(g(100)));
    expect(other).toEqual({ buy: [pieces, g(200)], fromHome: g(100) });
  });

  it('prices by the share of what it costs', () => {
    expect(moneyFor('rice', g(250), { money: 4, per: { quantity: 1, unit: 'kg' } })).toBeCloseTo(1, 9);
    expect(moneyFor('rice', g(250), { money: 4, per: { quantity: 0, unit: 'kg' } })).toBeNull();
    expect(moneyFor('rice', g(250), null)).toBeNull();
    expect(moneyFor('leeks', g(250), { money: 4, per: { quantity: 1, unit: 'piece' } })).toBeNull();
  });

  it('adds prices up to a meal, says what has none, and nothing at all where none has', () => {
    const priced: LarderItem = {
      key: 'rice',
      name: 'rice',
      have: null,
      price: { money: 4, per: { quantity: 1, unit: 'kg' } },
    };
    const list = [errand('rice', [g(500), g(250)]), errand('leeks', [g(300)])];
    expect(costOf(list, [priced], 4)).toEqual({
      meal: 3,
      portion: 0.75,
      dishes: [{ dish: 'Dish', money: 3 }],
      unpriced: ['leeks'],
    });
    expect(costOf(list, [priced], 0)!.portion).toBe(3);
    expect(costOf(list, [], 4)).toBeNull();
  });
});
