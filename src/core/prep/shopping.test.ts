import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { dish, item, work } from '@/core/dish/write';
import { listAsCsv } from '@/core/formats/shopping-table';
import { mealOf } from '@/core/testing/meals';
import { densityOf } from '@/core/units/densities';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { SAMPLE_MEALS } from '@/demo/meals';
import { AISLES, added, aisleOf, buyable, keyOf, listAsText, sayErrand, shoppingList } from './shopping';

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

describe('what a shop sells', () => {
  it.each([
    [1, 5],
    [20, 20],
    [20.1, 30],
    [21, 30],
    [200, 200],
    [200.1, 250],
    [201, 250],
    [1000, 1000],
    [1001, 1100],
    [1100, 1100],
  ])('of %d g is %d, never less', (quantity, sold) => {
    for (const unit of ['g', 'ml'] as const) expect(buyable({ quantity, unit })).toEqual({ quantity: sold, unit });
  });

  it.each([
    [0.2, 1],
    [1, 1],
    [1.0000000001, 1],
    [1.1, 2],
  ])('of %d pieces is %d', (quantity, sold) => {
    expect(buyable({ quantity, unit: 'piece' })).toEqual({ quantity: sold, unit: 'piece' });
  });

  it('stands by aisle and then by name, what is spooned joining what is weighed', () => {
    const pie = simple(
      'pie',
      item('a', 100, 'g', 'plain flour'),
      item('b', 8, 'tbsp', 'plain flour'),
      item('c', 2, 'piece', 'onions'),
      item('d', 500, 'g', 'beef shin'),
      item('e', 1, 'piece', 'leek'),
    );
    const list = shoppingList(mealOf([pie], { people: pie.servings }));
    const places = list.map(({ aisle, name }) => [AISLES.indexOf(aisle), name] as const);
    expect(places).toEqual(places.toSorted(([a, one], [b, other]) => a - b || one.localeCompare(other)));
    expect(new Set(places.map(([aisle]) => aisle)).size).toBeGreaterThan(2);
    const flour = list.find(({ name }) => name === 'plain flour')!;
    // Eight spoons of 15 ml, at a density between that of sifted and of packed flour.
    expect(flour.exact).toHaveLength(1);
    expect(flour.exact[0]!.unit).toBe('g');
    expect(flour.exact[0]!.quantity).toBeGreaterThan(100 + 120 * 0.45);
    expect(flour.exact[0]!.quantity).toBeLessThan(100 + 120 * 0.75);
    const [onion] = list.filter(({ name }) => name === 'onions');
    expect(onion!.exact).toEqual([{ quantity: 2, unit: 'piece' }]);
  });

  it.each([
    [20, 20],
    [21, 30],
    [200, 200],
    [201, 250],
    [1000, 1000],
    [1001, 1100],
  ])('of %d g is bought as %d g', (quantity, bought) => {
    expect(buyable({ quantity, unit: 'g' })).toEqual({ quantity: bought, unit: 'g' });
  });

  it('is added up by kind', () => {
    const amounts = added([
      { quantity: 1, unit: 'kg' },
      { quantity: 250, unit: 'g' },
      { quantity: 1, unit: 'l' },
      { quantity: 2, unit: 'tbsp' },
      { quantity: 2, unit: 'piece' },
      { quantity: 1, unit: 'piece' },
    ]);
    expect(amounts).toEqual([
      { quantity: 1250, unit: 'g' },
      { quantity: expect.closeTo(1030, 6), unit: 'ml' },
      { quantity: 3, unit: 'piece' },
    ]);
  });
});

describe('one name for one thing', () => {
  it.each([
    ['Onions', 'onion'],
    ['red onions', 'red onion'],
    ['tomatoes (ripe)', 'tomato'],
    ['potatoes', 'potato'],
    ['berries', 'berry'],
    ['bay leaves', 'bay leaf'],
    ['radishes', 'radish'],
    ['peaches', 'peach'],
    ['couscous', 'couscous'],
    ['cress', 'cress'],
    ['peas', 'pea'],
    ['gas', 'gas'],
    ['asparagus', 'asparagus'],
    ['coconut milk (400 ml)', 'coconut milk'],
  ])('%s is %s', (name, key) => {
    expect(keyOf(name)).toBe(key);
  });

  it.each([
    ['fresh ginger', 'vegetables and fruit'],
    ['ground ginger', 'spices and oils'],
    ['chicken stock', 'meat and fish'],
    ['vegetable stock', 'tins and jars'],
    ['butter', 'dairy and eggs'],
    ['flatbread', 'bread'],
    ['dry cider', 'drinks'],
    ['brown rice', 'dry goods'],
    ['candles', 'else'],
    ['coconut milk (400 ml)', 'tins and jars'],
    ['sherry vinegar', 'spices and oils'],
  ])('%s stands with %s', (name, aisle) => {
    expect(aisleOf(name)).toBe(aisle);
  });

  it('is said with all its amounts, an aisle a paragraph', () => {
    const errand = (name: string, aisle: string, amounts: readonly { quantity: number; unit: 'g' | 'piece' }[]) =>
      ({ key: name, name, aisle, amounts, exact: amounts, wants: [] }) as never;
    expect(
      sayErrand(
        errand('onions', 'else', [
          { quantity: 400, unit: 'g' },
          { quantity: 2, unit: 'piece' },
        ]),
      ),
    ).toBe('400 g and 2 onions');
    const text = listAsText([
      errand('beef', 'meat and fish', [{ quantity: 500, unit: 'g' }]),
      errand('leeks', 'vegetables and fruit', [{ quantity: 3, unit: 'piece' }]),
    ]);
    expect(text).toBe('VEGETABLES AND FRUIT\n- 3 leeks\n\nMEAT AND FISH\n- 500 g beef');
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
