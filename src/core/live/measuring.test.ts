import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { barleyLeeks, beefCheeks, mushroomStock } from '@/demo/harvest';
import { leekBroth, muttonUnderRice } from '@/demo/shearing';
import { sayWhatIsThere, toMeasure } from './measuring';

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
    const half = sayWhatIsThere(stock, stock.wantedMl / 2);
    expect(half).toMatch(/short: top it up with .* of boiling water .* or take .* less grain: this carries/);
    expect(sayWhatIsThere(stock, stock.wantedMl)).toMatch(/^Enough: .* for /);
    expect(sayWhatIsThere(stock, stock.wantedMl + 600)).toMatch(/600 ml of .* over: .* more grain could cook in it/);
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
