import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grainParts } from '@/core/dish/grain-of';
import { stepKey } from '@/core/meal/keys';
import { scaledFor } from '@/core/meal/scaled';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { barleyLeeks, beefCheeks, mushroomStock } from '@/demo/harvest';
import { leekBroth, muttonUnderRice } from '@/demo/shearing';
import { asMeasured, sayWhatIsThere, toMeasure, whatToDo } from './measuring';

const harvest = mealOf([mushroomStock, barleyLeeks, beefCheeks], { people: 8, kitchen: largeKitchen });
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
