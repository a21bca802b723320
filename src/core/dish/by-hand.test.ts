import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barleyLeeks, beefCheeks, harvestDishes, mushroomStock } from '@/demo/harvest';
import {
  aftersOf,
  changed,
  goesInto,
  withAfters,
  withIngredient,
  withLikely,
  withNewIngredient,
  withNewStep,
  withoutIngredient,
  withoutStep,
  withStep,
  withUse,
} from './by-hand';
import type { Dish } from './dish';
import { SHELF } from './shelf';

const sound = (dish: Dish) => {
  const result = changed(dish);
  if (!result.ok) throw new Error(`${result.refusal.where}: ${result.refusal.sentence}`);
  return result.dish;
};

describe('a dish changed by hand', () => {
  it('stays sound whichever step is taken out or put in', () => {
    const all = [...harvestDishes, ...SHELF];
    fc.assert(
      fc.property(fc.nat(), fc.nat(), fc.nat(), (which, out, after) => {
        const dish = all[which % all.length]!;
        const gone = dish.steps[out % dish.steps.length]!.id;
        if (dish.steps.length > 1) {
          const left = sound(withoutStep(dish, gone));
          expect(left.steps).toHaveLength(dish.steps.length - 1);
          // Nothing that went in is lost.
          expect(new Set(left.steps.flatMap(({ uses }) => uses))).toEqual(
            new Set(dish.steps.flatMap(({ uses }) => uses)),
          );
        }
        const before = dish.steps[after % dish.steps.length]!.id;
        const more = withNewStep(dish, before);
        expect(aftersOf(sound(more.dish), more.id)).toEqual([{ step: before, within: null }]);
      }),
      { numRuns: 300 },
    );
  });

  it('keeps what was joined through a step that goes', () => {
    const left = withoutStep(beefCheeks, 'wine');
    expect(aftersOf(left, 'braise').map(({ step }) => step)).toEqual(['soften']);
    expect(withoutStep(mushroomStock, 'strain').gives[0]!.step).toBe('simmer');
    expect(withoutStep(barleyLeeks, 'finish').lands?.step).toBe('rest');
  });

  it('says by name what a step comes after, and within how long', () => {
    expect(aftersOf(beefCheeks, 'brown')).toEqual([{ step: 'trim', within: 240 }]);
    const other = sound(
      withAfters(beefCheeks, 'brown', [
        { step: 'trim', within: 30 },
        { step: 'onions', within: null },
      ]),
    );
    expect(aftersOf(other, 'brown')).toEqual([
      { step: 'trim', within: 30 },
      { step: 'onions', within: null },
    ]);
    expect(aftersOf(sound(withAfters(beefCheeks, 'brown', [])), 'brown')).toEqual([]);
    const circle = changed(withAfters(beefCheeks, 'trim', [{ step: 'finish', within: null }]));
    expect(circle.ok ? '' : circle.refusal.sentence).toContain('circle');
  });

  it('belongs to no technique any more', () => {
    expect(SHELF[0]!.made).toBeDefined();
    expect(sound(withStep(SHELF[0]!, SHELF[0]!.steps[0]!.id, { name: 'rinse' })).made).toBeUndefined();
  });

  it('moves the band of minutes along with the likely ones', () => {
    expect(withLikely({ shortest: 8, likely: 10, longest: 15 }, 20)).toEqual({ shortest: 16, likely: 20, longest: 30 });
    expect(withLikely({ shortest: 0, likely: 0, longest: 0 }, 4)).toEqual({ shortest: 1, likely: 4, longest: 4 });
    expect(withLikely({ shortest: 8, likely: 10, longest: 15 }, 0)).toEqual({ shortest: 0, likely: 0, longest: 0 });
  });

  it('has its ingredients changed, moved to another step, forgotten, added and taken out', () => {
    expect(goesInto(beefCheeks, 'wine')).toBe('wine');
    const moved = withUse(beefCheeks, 'wine', 'soften');
    expect(goesInto(moved, 'wine')).toBe('soften');
    expect(goesInto(withUse(beefCheeks, 'wine', null), 'wine')).toBeUndefined();
    expect(
      withIngredient(beefCheeks, 'wine', { name: 'cider' }).ingredients.find(({ id }) => id === 'wine')?.name,
    ).toBe('cider');
    expect(sound(withNewIngredient(beefCheeks)).ingredients).toHaveLength(beefCheeks.ingredients.length + 1);
    expect(sound(withoutIngredient(beefCheeks, 'wine')).ingredients.some(({ id }) => id === 'wine')).toBe(false);
    // Without its dry grain a dish has no grain to measure.
    expect(sound(withoutIngredient(barleyLeeks, 'barley')).grain).toBeUndefined();
  });
});
