import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grainOf } from '@/core/grain/grains';
import { barleyLeeks, brownRice } from '@/demo/harvest';
import { checkDish } from './check';
import type { Dish } from './dish';
import { beginDraft, dishOf } from './draft-dish';
import { grainParts, litresOf, usualBalance, withLiquid, withLiquidFor } from './grain-of';
import { liquidFactor, scaleDish } from './scale';
import { techniqueOf } from './techniques/all';

const waterOf = (dish: Dish) => litresOf(dish.ingredients.find(({ id }) => id === 'water')!.amount)!;

describe('the grain of a dish', () => {
  it('tells its dry weight and its liquid, poured in or taken from another dish', () => {
    expect(grainParts(brownRice)).toEqual({ grams: 500, litres: 1 });
    expect(grainParts(barleyLeeks)).toEqual({ grams: 480, litres: 1.25 });
    expect(grainParts({ ...brownRice, grain: undefined } as unknown as Dish)).toBeNull();
  });

  it('wants more liquid for more people, but not in proportion: what boils off stays the same', () => {
    const ten = waterOf(scaleDish(brownRice, 10));
    const four = waterOf(scaleDish(brownRice, 4));
    expect(ten).toBeGreaterThan(2.2 * four);
    expect(ten).toBeLessThan(2.5 * four);
    const boiled = usualBalance(brownRice.grain!, 500).boiledOff.likely;
    expect(ten - four).toBeCloseTo(((1 - boiled) * 6) / 8, 9);
    expect(scaleDish(barleyLeeks, 16).takes[0]!.amount.quantity).toBeLessThan(2.5);
    expect(liquidFactor({ ...brownRice, grain: undefined } as unknown as Dish, 16)).toBe(2);
  });

  it('keeps the ratio of a school for however many', () => {
    const fresh = { ...beginDraft(techniqueOf('absorption'), 'x', 4), ways: { measure: 'school' } };
    const dish = dishOf(fresh);
    expect(grainParts(scaleDish(dish, 12))!.litres).toBeCloseTo(3 * grainParts(dish)!.litres, 9);
    // Made for so many from the start it is the same, but for the rounding.
    expect(grainParts(scaleDish(dish, 12))!.litres).toBeCloseTo(
      grainParts(dishOf({ ...fresh, servings: 12 }))!.litres,
      1,
    );
  });

  it('takes a measured amount and a school back into the dish', () => {
    const way = { kind: 'red', method: 'pilaf', soaked: false };
    const changed = withLiquid(brownRice, 0.9, way);
    expect(waterOf(changed)).toBeCloseTo(0.9, 6);
    expect(changed.grain).toEqual({ ...brownRice.grain, ...way });
    expect(checkDish(changed)).toEqual([]);
    expect(withLiquid(barleyLeeks, 1.5, way).takes[0]!.amount).toEqual({ quantity: 1.5, unit: 'l' });
    expect(grainOf(changed.grain!.kind).name).toBe('red rice');
  });

  it('written back for other portions, wants just that when scaled to them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 20, max: 3000 }), (portions, millilitres) => {
        const changed = withLiquidFor(brownRice, portions, millilitres / 1000, brownRice.grain!);
        expect(grainParts(scaleDish(changed, portions))!.litres).toBeCloseTo(millilitres / 1000, 2);
      }),
    );
  });

  it.each([
    [{ kind: 'gravel' }, 'gravel'],
    [{ method: 'prayer' }, 'prayer'],
    [{ dry: 'oil' }, 'g or kg'],
    [{ liquid: ['chestnuts'] }, 'ml or l'],
    [{ liquid: ['nothing'] }, 'nothing'],
  ])('is refused by name when it does not hold together: %j', (change, words) => {
    const [fault] = checkDish({ ...brownRice, grain: { ...brownRice.grain!, ...change } });
    expect(fault?.sentence).toContain(words);
  });
});
