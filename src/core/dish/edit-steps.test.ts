import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barleyLeeks, beefCheeks, harvestDishes, mushroomStock } from '@/demo/harvest';
import type { Dish } from './dish';
import {
  afterAt,
  aftersOf,
  changed,
  copyOf,
  goesInto,
  withAfters,
  withGive,
  withIngredient,
  withLikely,
  withMinutes,
  withNewGive,
  withNewIngredient,
  withNewStep,
  withNewTake,
  withNewVessel,
  withOrder,
  withoutIngredient,
  withoutStep,
  withoutVessel,
  withStep,
  withTake,
  withUse,
  withVessel,
} from './edit-steps';
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
        expect(aftersOf(sound(more.dish), more.id)).toEqual([afterAt(before)]);
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
    expect(aftersOf(beefCheeks, 'brown')).toEqual([{ ...afterAt('trim'), within: 240 }]);
    const other = sound(
      withAfters(beefCheeks, 'brown', [
        { ...afterAt('trim'), within: 30, least: 10, rather: 15, overnight: true },
        afterAt('onions'),
      ]),
    );
    expect(aftersOf(other, 'brown')).toEqual([
      { step: 'trim', within: 30, least: 10, rather: 15, overnight: true },
      afterAt('onions'),
    ]);
    // A shortest wait beyond the longest pushes it; what would rather be sooner than it may is not said any more.
    const late = sound(withAfters(beefCheeks, 'brown', [{ ...afterAt('trim'), within: 30, least: 60, rather: 15 }]));
    expect(aftersOf(late, 'brown')).toEqual([{ ...afterAt('trim'), within: 60, least: 60 }]);
    expect(aftersOf(sound(withAfters(beefCheeks, 'brown', [])), 'brown')).toEqual([]);
    const circle = changed(withAfters(beefCheeks, 'trim', [afterAt('finish')]));
    expect(circle.ok ? '' : circle.refusal.sentence).toContain('circle');
  });

  it('belongs to no technique any more', () => {
    expect(SHELF[0]!.made).toBeDefined();
    expect(sound(withStep(SHELF[0]!, SHELF[0]!.steps[0]!.id, { name: 'rinse' })).made).toBeUndefined();
  });

  it('has each of its three minutes set, and the others give way', () => {
    const minutes = { shortest: 8, likely: 10, longest: 15 };
    expect(withMinutes(minutes, 'shortest', 12)).toEqual({ shortest: 12, likely: 12, longest: 15 });
    expect(withMinutes(minutes, 'longest', 5)).toEqual({ shortest: 5, likely: 5, longest: 5 });
    expect(withMinutes(minutes, 'likely', 20)).toEqual({ shortest: 8, likely: 20, longest: 20 });
  });

  it('gives something to other dishes or to itself, and takes it, tied by a link of its own', () => {
    const give = withNewGive(beefCheeks, 'brown');
    const { product } = give.gives.at(-1)!;
    const named = withGive(give, product, { name: 'fat of the meat', amount: { quantity: 2, unit: 'tbsp' } });
    const taken = sound(withNewTake(named, product, 'finish'));
    expect(taken.takes.at(-1)).toMatchObject({ product, step: 'finish', otherwise: 'fat of the meat' });
    // That comes after it already; an earlier one does not, and is refused as a circle.
    expect(taken.links).toEqual(named.links);
    const round = changed(withNewTake(withGive(give, product, { step: 'finish' }), product, 'trim'));
    expect(round.ok ? '' : round.refusal.sentence).toContain('circle');
    expect(withGive(taken, product, null)).toMatchObject({ gives: beefCheeks.gives, takes: beefCheeks.takes });
    // A grain whose liquid is taken no more is not measured any more.
    const [take] = barleyLeeks.takes;
    expect(barleyLeeks.grain?.liquid).toContain(take!.product);
    expect(sound(withTake(barleyLeeks, 0, null)).grain).toBeUndefined();
    expect(withTake(barleyLeeks, 0, { withinMinutes: 30 }).takes[0]!.withinMinutes).toBe(30);
    expect(withTake(barleyLeeks, 9, null)).toBe(barleyLeeks);
  });

  it('moves the band of minutes along with the likely ones', () => {
    expect(withLikely({ shortest: 8, likely: 10, longest: 15 }, 20)).toEqual({ shortest: 16, likely: 20, longest: 30 });
    expect(withLikely({ shortest: 0, likely: 0, longest: 0 }, 4)).toEqual({ shortest: 1, likely: 4, longest: 4 });
    expect(withLikely({ shortest: 8, likely: 10, longest: 15 }, 0)).toEqual({ shortest: 0, likely: 0, longest: 0 });
  });

  it('has its ingredients in another order, none lost', () => {
    const ids = (dish: Dish) => dish.ingredients.map(({ id }) => id);
    const moved = withOrder(beefCheeks, 'wine', 0);
    expect(ids(moved)[0]).toBe('wine');
    expect([...ids(moved)].sort()).toEqual([...ids(beefCheeks)].sort());
    expect(ids(withOrder(beefCheeks, 'wine', 99)).at(-1)).toBe('wine');
    expect(withOrder(beefCheeks, 'nothing', 0)).toBe(beefCheeks);
  });

  it('has its vessels changed, added and taken out', () => {
    const larger = sound(withVessel(beefCheeks, 'pot', { name: 'iron pot' }));
    expect(larger.vessels[0]!.name).toBe('iron pot');
    const more = sound(withNewVessel(beefCheeks, 'finish'));
    expect(more.steps.find(({ id }) => id === 'finish')!.vessel).toBe(more.vessels.at(-1)!.id);
    const none = sound(withoutVessel(beefCheeks, 'pot'));
    expect(none.steps.every(({ vessel }) => vessel !== 'pot')).toBe(true);
  });

  it('takes a vessel for as long as its steps are in it, wherever they are moved', () => {
    const more = sound(withNewVessel(beefCheeks, 'trim'));
    const own = more.vessels.at(-1)!.id;
    const both = sound(withStep(more, 'finish', { vessel: own }));
    expect(both.vessels.find(({ id }) => id === own)).toMatchObject({ from: 'trim', to: 'finish' });
    const moved = sound(withStep(both, 'trim', { vessel: 'pot' }));
    expect(moved.vessels.find(({ id }) => id === own)).toMatchObject({ from: 'finish', to: 'finish' });
    expect(moved.vessels.find(({ id }) => id === 'pot')!.from).toBe('trim');
  });

  it('is copied whole, under a name of its own', () => {
    const copy = sound(copyOf(beefCheeks, 'other'));
    expect(copy).toEqual({ ...beefCheeks, id: 'other', name: 'Beef cheeks with damsons (copy)' });
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
