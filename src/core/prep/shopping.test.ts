import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { dish, item, work } from '@/core/dish/write';
import { listAsCsv } from '@/core/formats/shopping-table';
import { mealOf } from '@/core/testing/meals';
import { densityOf } from '@/core/units/densities';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { SAMPLE_MEALS } from '@/demo/meals';
import { added, aisleOf, buyable, keyOf, listAsText, sayErrand, shoppingList } from './shopping';

const simple = (id: string, ...ingredients: ReturnType<typeof item>[]) =>
  dish({
    id,
    name: `Dish ${id}`,
    servings: 4,
    ingredients,
    steps: [work('do', 'do', 5, 'Do it.', { uses: ingredients.map((each) => each.id) })],
    links: [],
    lands: null,
  });
const find = (list: ReturnType<typeof shoppingList>, key: string) => list.find((errand) => errand.key === key)!;

describe('the shopping list', () => {
  it('adds up the same thing over all dishes, for the people, and says who wants what', () => {
    const list = shoppingList(
      mealOf(
        [
          simple('a', item('o', 2, 'piece', 'onions'), item('s', 300, 'ml', 'cream')),
          simple('b', item('o', 1, 'piece', 'Onion', { cut: 'chopped' }), item('s', 4, 'tbsp', 'cream')),
        ],
        { people: 6 },
      ),
    );
    expect(find(list, 'onion').amounts).toEqual([{ quantity: 5, unit: 'piece' }]);
    expect(find(list, 'onion').wants.map(({ dish: of }) => of)).toEqual(['Dish a', 'Dish b']);
    expect(find(list, 'cream').amounts).toEqual([{ quantity: 550, unit: 'ml' }]);
  });

  it('keeps kinds apart, leaves out water from the tap, and buys a stock that nobody makes', () => {
    const list = shoppingList(
      mealOf([
        simple('a', item('c', 200, 'g', 'carrots'), item('w', 1, 'l', 'cold water')),
        simple('b', item('c', 2, 'piece', 'carrot')),
      ]),
    );
    expect(find(list, 'carrot').amounts).toHaveLength(2);
    expect(sayErrand(find(list, 'carrot'))).toBe('200 g and 2 carrots');
    expect(list.some(({ name }) => name.includes('water'))).toBe(false);
    expect(shoppingList(mealOf([barleyLeeks])).some(({ name }) => name === 'hot stock')).toBe(true);
    expect(shoppingList(mealOf([barleyLeeks, mushroomStock])).some(({ name }) => name === 'hot stock')).toBe(false);
  });

  it('never buys less than all dishes want, whichever they are and for however many', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.nat(SHELF.length - 1), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1, max: 40 }),
        (which, people) => {
          for (const { name, amounts, wants } of shoppingList(
            mealOf(
              which.map((k) => SHELF[k]!),
              { people },
            ),
          )) {
            const needed = added(wants.map(({ amount }) => amount));
            for (const { unit, quantity } of needed) {
              // Spoons of what is weighed too are bought by weight.
              const buys = amounts.find((amount) => amount.unit === unit) ?? amounts.find((each) => each.unit === 'g')!;
              const factor = buys.unit === unit ? 1 : densityOf(name)!;
              expect(buys.quantity).toBeGreaterThanOrEqual(quantity * factor - 1e-6);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of the sample meals leaves nothing out but water, and knows the aisle of nearly everything', () => {
    for (const { setting, dishes, kitchen } of SAMPLE_MEALS) {
      const meal = { ...mealOf(dishes), ...setting, day: '2026-11-28', kitchen };
      const list = shoppingList(meal);
      const keys = new Set(list.map(({ key }) => key));
      for (const { name } of dishes.flatMap(({ ingredients }) => ingredients)) {
        expect(keys.has(keyOf(name)) || /water$/.test(name), name).toBe(true);
      }
      expect(list.filter(({ aisle }) => aisle === 'else').length / list.length).toBeLessThan(0.1);
    }
  });
});

describe('amounts one can buy', () => {
  it.each([
    [{ quantity: 2.25, unit: 'piece' }, 3],
    [{ quantity: 0.3, unit: 'bunch' }, 1],
    [{ quantity: 12, unit: 'g' }, 15],
    [{ quantity: 101, unit: 'g' }, 110],
    [{ quantity: 801, unit: 'g' }, 850],
    [{ quantity: 1210, unit: 'ml' }, 1300],
    [{ quantity: 4, unit: 'clove' }, 4],
  ] as const)('%j: %i', (amount, quantity) => {
    expect(buyable(amount)).toEqual({ unit: amount.unit, quantity });
  });

  it.each([
    ['Onions', 'onion'],
    ['potatoes', 'potato'],
    ['lime leaves', 'lime leaf'],
    ['cherries', 'cherry'],
    ['asparagus', 'asparagus'],
    ['coconut milk (400 ml)', 'coconut milk'],
    ['radishes', 'radish'],
  ])('%s is %s', (name, key) => {
    expect(keyOf(name)).toBe(key);
  });

  it.each([
    ['beef cheeks', 'meat and fish'],
    ['coconut milk (400 ml)', 'tins and jars'],
    ['butter', 'dairy and eggs'],
    ['pearl barley', 'dry goods'],
    ['red wine', 'drinks'],
    ['sherry vinegar', 'spices and oils'],
    ['leeks', 'vegetables and fruit'],
    ['candles', 'else'],
  ])('%s: %s', (name, aisle) => {
    expect(aisleOf(name)).toBe(aisle);
  });
});

describe('the list for elsewhere', () => {
  const list = shoppingList(mealOf([simple('a, "b"', item('x', 2, 'piece', '=onions'), item('y', 500, 'g', 'flour'))]));

  it('is text by aisle, and a table whose cells are words', () => {
    expect(listAsText(list)).toContain('DRY GOODS\n- 500 g flour');
    const [head, ...rows] = listAsCsv(list).split('\r\n');
    expect(head).toBe('aisle,thing,amount,unit,for');
    expect(rows.find((row) => row.includes('onions'))).toBe(`vegetables and fruit,"'=onions",2,piece,"Dish a, ""b"""`);
  });
});
