import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { mealOf } from '@/core/testing/meals';
import type { Amount } from '@/core/units/amount';
import { afterTheMeal, costOf, inKindOf, type LarderItem, lessTheLarder, moneyFor } from './larder';
import { added, type Errand, shoppingList } from './shopping';

const errand = (name: string, ...exact: readonly Amount[]): Errand => ({
  key: name,
  name,
  aisle: 'else',
  amounts: exact,
  exact,
  wants: exact.map((amount) => ({ dish: 'Soup', amount })),
});
const item = (name: string, have: Amount | null, price: LarderItem['price'] = null): LarderItem => {
  return { key: name, name, have, price };
};

describe('the larder', () => {
  it('gives what it has, and only the rest is bought', () => {
    const flour = errand('flour', { quantity: 700, unit: 'g' });
    expect(lessTheLarder(flour, undefined).buy).toEqual(flour.amounts);
    expect(lessTheLarder(flour, item('flour', { quantity: 0.25, unit: 'kg' }))).toEqual({
      buy: [{ quantity: 450, unit: 'g' }],
      fromHome: { quantity: 250, unit: 'g' },
    });
    expect(lessTheLarder(flour, item('flour', { quantity: 2, unit: 'kg' })).buy).toEqual([]);
  });

  it('compares spoons with grams where the density is known, and nothing else', () => {
    expect(inKindOf('olive oil', { quantity: 2, unit: 'tbsp' }, { quantity: 1, unit: 'g' })?.quantity).toBeCloseTo(
      27.6,
    );
    expect(inKindOf('dill', { quantity: 1, unit: 'bunch' }, { quantity: 1, unit: 'g' })).toBeNull();
    const salt = errand('fine salt', { quantity: 40, unit: 'ml' });
    expect(lessTheLarder(salt, item('fine salt', { quantity: 500, unit: 'g' })).buy).toEqual([]);
    const dill = errand('dill', { quantity: 1, unit: 'bunch' });
    expect(lessTheLarder(dill, item('dill', { quantity: 5, unit: 'g' })).buy).toEqual(dill.amounts);
  });

  it('never gives more than it has nor than is wanted, and what is used is gone afterwards', () => {
    fc.assert(
      fc.property(fc.nat(SHELF.length - 1), fc.integer({ min: 1, max: 20 }), fc.nat(3000), (which, people, grams) => {
        for (const each of shoppingList(mealOf([SHELF[which]!], { people }))) {
          const have: Amount = { quantity: grams, unit: 'g' };
          const own = { ...item(each.name, have), key: each.key };
          const { fromHome, buy } = lessTheLarder(each, own);
          const [after] = afterTheMeal([own], [each]);
          expect(after!.have!.quantity).toBeGreaterThanOrEqual(0);
          if (!fromHome) {
            expect(after!.have).toEqual(have);
            continue;
          }
          const given = inKindOf(each.name, fromHome, have)!.quantity;
          expect(given).toBeLessThanOrEqual(grams + 1e-6);
          expect(after!.have!.quantity).toBeCloseTo(grams - given, 6);
          const bought = added(buy).find(({ unit }) => unit === each.exact[0]!.unit)?.quantity ?? 0;
          expect(bought + added([fromHome])[0]!.quantity).toBeGreaterThanOrEqual(each.exact[0]!.quantity - 1e-6);
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('what it costs', () => {
  it('is money for what goes in, by dish and by portion, and says what has no price', () => {
    const errands: Errand[] = [
      {
        ...errand('flour', { quantity: 500, unit: 'g' }),
        wants: [{ dish: 'Bread', amount: { quantity: 500, unit: 'g' } }],
      },
      errand('leeks', { quantity: 2, unit: 'piece' }),
    ];
    const larder = [item('flour', null, { money: 1.2, per: { quantity: 1, unit: 'kg' } })];
    expect(costOf(errands, [], 4)).toBeNull();
    expect(costOf(errands, larder, 4)).toEqual({
      meal: 0.6,
      portion: 0.15,
      dishes: [
        { dish: 'Bread', money: 0.6 },
        { dish: 'Soup', money: 0 },
      ],
      unpriced: ['leeks'],
    });
  });

  it('crosses kinds by density, and knows nothing where it cannot', () => {
    const price = { money: 6, per: { quantity: 1, unit: 'l' } } as const;
    expect(moneyFor('olive oil', { quantity: 2, unit: 'tbsp' }, price)).toBeCloseTo(0.18);
    expect(moneyFor('olive oil', { quantity: 92, unit: 'g' }, price)).toBeCloseTo(0.6);
    expect(moneyFor('eggs', { quantity: 2, unit: 'piece' }, price)).toBeNull();
    expect(moneyFor('olive oil', { quantity: 1, unit: 'tbsp' }, null)).toBeNull();
  });
});
