import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Takes } from '@/core/dish/dish';
import { grainParts } from '@/core/dish/grain-of';
import { stepKey } from '@/core/meal/keys';
import { scaledFor } from '@/core/meal/scaled';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { barleyLeeks, beefCheeks, mushroomStock } from '@/demo/harvest';
import { leekBroth, muttonUnderRice } from '@/demo/shearing';
import { asMeasured, measuringWays, sayWhatIsThere, type ToMeasure, toMeasure, whatToDo } from './measuring';

const harvest = mealOf([mushroomStock, barleyLeeks, beefCheeks], { people: 8, kitchen: largeKitchen });
const OTHER: Takes = {
  ...leekBroth.takes[0]!,
  product: 'cream',
  otherwise: 'cream',
  amount: { quantity: 1, unit: 'l' },
};
const stock = toMeasure(harvest, mushroomStock.id, 'strain')!;

describe('what is measured at the stove', () => {
  it('is the liquid that the step gives, for all that take it', () => {
    expect(stock.takers).toEqual([barleyLeeks.name]);
    expect(stock.grainGrams).toBeGreaterThan(300);
    expect(stock.wantedMl).toBeGreaterThan(800);
    const mutton = toMeasure(mealOf([muttonUnderRice, leekBroth], { people: 10 }), muttonUnderRice.id, 'mutton_strain');
    expect(mutton).toMatchObject({ takers: [leekBroth.name], thoughtMl: 2800, wantedMl: 2200, grainGrams: 0 });
    // No other step, and nothing that nobody takes.
    expect(toMeasure(harvest, mushroomStock.id, 'simmer')).toBeNull();
    expect(toMeasure(harvest, 'nobody', 'strain')).toBeNull();
    expect(toMeasure(mealOf([mushroomStock]), mushroomStock.id, 'strain')).toBeNull();
  });

  it('is short, enough or over, with what then', () => {
    expect(sayWhatIsThere(stock, stock.wantedMl / 2)).toMatch(/short of the/);
    const [topped, less] = whatToDo(stock, stock.wantedMl / 2);
    expect(topped).toMatchObject({
      does: 'topped up',
      says: expect.stringMatching(/^top it up with .* of boiling water$/),
    });
    expect(topped!.how).toMatch(/tsp of salt/);
    expect(less).toMatchObject({ does: 'less grain', how: expect.stringMatching(/^it carries .* g; salt/) });
    expect(sayWhatIsThere(stock, stock.wantedMl)).toMatch(/^Enough: .* for /);
    const [over] = whatToDo(stock, stock.wantedMl + 600);
    expect(over!.how).toMatch(/600 ml of .* stays: .* more grain could cook in it/);
  });

  it('changes the meal: less grain with its liquid and salt, or as much as was wanted', () => {
    const key = stepKey(mushroomStock.id, 'strain');
    const ml = stock.wantedMl * 0.8;
    const amounts = (meal: typeof harvest) => {
      const dish = scaledFor(meal, meal.dishes.find(({ id }) => id === barleyLeeks.id)!);
      const give = scaledFor(meal, meal.dishes.find(({ id }) => id === mushroomStock.id)!).gives[0]!.amount;
      return { grain: grainParts(dish)!, give: give.quantity * (give.unit === 'l' ? 1000 : 1) };
    };
    const before = amounts(harvest);
    const less = asMeasured(harvest, { key, product: stock.product, ml, does: 'less grain' });
    const now = amounts(less);
    expect(now.grain.grams / before.grain.grams).toBeCloseTo(0.8, 2);
    expect(now.grain.litres / before.grain.litres).toBeCloseTo(0.8, 2);
    expect(now.give).toBeCloseTo(ml, 0);
    // What is left of it is just what is wanted: measured again, it is enough.
    const again = toMeasure(less, mushroomStock.id, 'strain')!;
    expect(sayWhatIsThere(again, again.thoughtMl)).toMatch(/^Enough/);
    const topped = amounts(asMeasured(harvest, { key, product: stock.product, ml, does: 'topped up' }));
    expect(topped.grain).toEqual(before.grain);
    expect(topped.give).toBeCloseTo(stock.wantedMl, 0);
    // A word about something that is not measured there changes nothing.
    expect(asMeasured(harvest, { key, product: 'wine', ml, does: 'less grain' })).toBe(harvest);
  });

  describe('of a litre that is wanted for 400 g of grain', () => {
    const broth: ToMeasure = {
      product: 'broth',
      name: 'broth',
      thoughtMl: 1500,
      wantedMl: 1000,
      takers: ['Rice'],
      grainGrams: 400,
    };
    const soup = { ...broth, grainGrams: 0, takers: ['Soup'] };

    it('says what is there: within four in a hundred it is enough, and from 150 ml on it is over', () => {
      expect(sayWhatIsThere(broth, 960)).toBe('Enough: 1 l for Rice.');
      expect(sayWhatIsThere(broth, 959)).toMatch(/^40 ml short of the 1 l for Rice\.$/);
      expect(sayWhatIsThere(broth, 500)).toBe('500 ml short of the 1 l for Rice.');
      expect(sayWhatIsThere(broth, 1149)).toBe('Enough: 1 l for Rice.');
      expect(sayWhatIsThere(broth, 1150)).toBe('Enough: 1 l for Rice. 150 ml over.');
      expect(sayWhatIsThere({ ...broth, takers: ['Rice', 'Soup'] }, 1000)).toContain('for Rice and Soup.');
    });

    it('tops up with eight grams of salt a litre, a quarter of a teaspoon at least, or cooks as much less grain', () => {
      const [topped, less] = whatToDo(broth, 250);
      expect(topped).toMatchObject({ does: 'topped up', says: 'top it up with 750 ml of boiling water' });
      expect(topped!.how).toMatch(/^1 tsp of salt with it, then taste/);
      expect(less).toEqual({
        does: 'less grain',
        says: 'take 300 g less grain',
        how: 'it carries 100 g; salt for the grain goes down with it',
      });
      expect(whatToDo(broth, 940)[0]!.how).toMatch(/^¼ tsp of salt/);
      // Of nothing at all no grain is cooked.
      expect(whatToDo(broth, 0).map(({ does }) => does)).toEqual(['topped up']);
      expect(whatToDo(broth, 1).map(({ does }) => does)).toEqual(['topped up', 'less grain']);
    });

    it('takes less of it where no grain cooks in it', () => {
      expect(whatToDo(soup, 500)[1]).toMatchObject({ says: 'take less of it', how: 'Soup has so much less' });
      expect(whatToDo({ ...soup, takers: ['Soup', 'Stew'] }, 500)[1]!.how).toBe('Soup and Stew have so much less');
    });

    it('keeps what is over, and says how much more grain it would carry', () => {
      expect(whatToDo(broth, 1149)).toEqual([{ does: 'as it is', says: 'take 1 l', how: '' }]);
      const [over] = whatToDo(broth, 1150);
      expect(over!.how).toMatch(/^150 ml of broth stays: .*; 60 g more grain could cook in it$/);
      expect(whatToDo(soup, 1150)[0]!.how).toMatch(/^150 ml of broth stays: [^;]*; or [^;]*$/);
    });
  });

  it('by jug, mug and scale, and by the depth in a pot whose width is known', () => {
    const ways = measuringWays(20);
    expect(ways.map(({ id, steps }) => [id, ...steps])).toEqual([
      ['jug', -250, -50, 50, 250],
      ['mug', -1, -0.25, 0.25, 1],
      ['depth', -1, -0.25, 0.25, 1],
      ['scale', -250, -50, 50, 250],
    ]);
    // A centimetre in a pot of 20 cm: 3.14 dl.
    expect(ways.map(({ ml }) => Math.round(ml))).toEqual([1, 250, 314, 1]);
    expect(ways[2]!.name).toBe('depth in the 20 cm pot');
    for (const width of [null, 0, -5])
      expect(measuringWays(width).map(({ id }) => id)).toEqual(['jug', 'mug', 'scale']);
    const prints = (id: string, ...of: readonly number[]) => of.map(ways.find((way) => way.id === id)!.print);
    expect(prints('jug', 750)).toEqual(['750 ml']);
    expect(prints('mug', -1, 0, 0.25, 1, 2.5)).toEqual(['no mug', 'no mug', '¼ mug', '1 mug', '2½ mugs']);
    expect(prints('depth', -1, 0, 0.25, 4)).toEqual(['0 cm', '0 cm', '¼ cm', '4 cm']);
    expect(prints('scale', -1, 0, 250)).toEqual(['0 g', '0 g', '250 g']);
  });

  it('leaves the rest as it is: other things of the dish, other dishes, and what is not short', () => {
    const key = stepKey(mushroomStock.id, 'strain');
    const said = (does: 'less grain' | 'as it is' | 'topped up', ml: number) =>
      asMeasured(harvest, { key, product: stock.product, ml, does });
    const less = said('less grain', stock.wantedMl / 2);
    const dishes = (meal: typeof harvest) => new Map(meal.dishes.map((dish) => [dish.id, dish]));
    expect(dishes(less).get(beefCheeks.id)).toBe(dishes(harvest).get(beefCheeks.id));
    const [before, after] = [barleyLeeks, dishes(less).get(barleyLeeks.id)!];
    for (const item of before.ingredients) {
      const goesDown =
        item.id === before.grain!.dry || /\bsalt\b/.test(item.name) || before.grain!.liquid.includes(item.id);
      const now = after.ingredients.find(({ id }) => id === item.id)!;
      if (goesDown) expect(now.amount.quantity, item.name).toBeLessThan(item.amount.quantity);
      else expect(now, item.name).toEqual(item);
    }
    // More than was wanted cooks no more grain; and what was topped up is what was wanted, or what there is.
    expect(dishes(said('less grain', 2 * stock.wantedMl)).get(barleyLeeks.id)).toBe(barleyLeeks);
    const gives = (meal: typeof harvest) => toMeasure(meal, mushroomStock.id, 'strain')!.thoughtMl;
    expect(gives(said('topped up', 10))).toBeCloseTo(stock.wantedMl, 0);
    expect(gives(said('topped up', 2 * stock.wantedMl))).toBeCloseTo(2 * stock.wantedMl, 0);
    expect(gives(said('as it is', stock.thoughtMl))).toBeCloseTo(stock.thoughtMl, 0);
    expect(said('as it is', stock.thoughtMl).dishes[0]).toBe(mushroomStock);
    for (const odd of ['', 'nobody/strain', stepKey(mushroomStock.id, 'simmer')])
      expect(asMeasured(harvest, { key: odd, product: stock.product, ml: 5, does: 'less grain' })).toBe(harvest);
  });

  it('a dish without grain takes less of that, and as much of all else', () => {
    const meal = mealOf([muttonUnderRice, { ...leekBroth, takes: [...leekBroth.takes, OTHER] }], { people: 10 });
    const measure = toMeasure(meal, muttonUnderRice.id, 'mutton_strain')!;
    const key = stepKey(muttonUnderRice.id, 'mutton_strain');
    const half = asMeasured(meal, { key, product: measure.product, ml: measure.wantedMl / 2, does: 'less grain' });
    const takes = (of: typeof meal) => of.dishes[1]!.takes.map(({ amount }) => amount.quantity);
    const [first, ...others] = takes(meal);
    expect(takes(half)[0]).toBeCloseTo(first! / 2, 3);
    expect(takes(half).slice(1)).toEqual(others);
    expect(half.dishes[1]!.ingredients).toEqual(meal.dishes[1]!.ingredients);
  });

  it('is what is a liquid, of whichever gift of the step', () => {
    const bones = {
      ...mushroomStock.gives[0]!,
      product: 'bones',
      name: 'bones',
      amount: { quantity: 500, unit: 'g' } as const,
    };
    const twice = { ...mushroomStock, gives: [bones, ...mushroomStock.gives] };
    expect(toMeasure({ ...harvest, dishes: [twice, barleyLeeks] }, twice.id, 'strain')?.product).toBe(stock.product);
    const solid = { ...mushroomStock, gives: [bones] };
    expect(toMeasure({ ...harvest, dishes: [solid, barleyLeeks] }, solid.id, 'strain')).toBeNull();
    // In millilitres as in litres.
    const ml = mushroomStock.gives.map((give) => ({
      ...give,
      amount: { quantity: give.amount.quantity * 1000, unit: 'ml' } as const,
    }));
    const small = { ...mushroomStock, gives: ml };
    expect(toMeasure({ ...harvest, dishes: [small, barleyLeeks] }, small.id, 'strain')?.thoughtMl).toBeCloseTo(
      stock.thoughtMl,
      0,
    );
  });

  it('never says short of what is enough, nor enough of what is short', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6000 }), (ml) => {
        const says = sayWhatIsThere(stock, ml);
        if (ml >= stock.wantedMl) expect(says).toContain('Enough');
        if (ml < 0.95 * stock.wantedMl) expect(says).toContain('short');
        expect(says).not.toMatch(/NaN|Infinity|-\d/);
      }),
    );
  });
});
