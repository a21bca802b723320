import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aheadPoints, madeAhead } from '@/core/meal/ahead';
import { checkMeal } from '@/core/meal/check';
import { partFaults, sayMeasured } from '@/core/meal/hand-over';
import { planMeal } from '@/core/plan/plan-meal';
import { dishShape } from '@/core/records/dish';
import { check } from '@/core/records/refuse';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { checkDish } from './check';
import { allergensOf, dietOf } from './diet';
import { beginDraft, type DishDraft, dishOf, draftOf } from './draft-dish';
import { PRODUCTS, techniqueAt } from './made';
import { makersOf, untakenParts } from './parts';
import { scaleDish } from './scale';
import { TECHNIQUES, techniqueOf } from './techniques/all';

const draft = (technique: string, servings = 4) => beginDraft(techniqueOf(technique), 'it', servings);

/** A pot of fried slices, meat and its broth, turned out. */
const turned: DishDraft = {
  ...draft('turned-out'),
  ways: { meat: 'with' },
  parts: [
    { id: 'slices', technique: 'fried-layers', ways: {}, fillings: {} },
    { id: 'meat', technique: 'boiled-meat', ways: { cut: 'pieces' }, fillings: {} },
  ],
  fillings: {
    layers: { from: { part: 'slices', product: 'fried slices' } },
    meat: { from: { part: 'meat', product: 'boiled meat' } },
    water: { from: { part: 'meat', product: 'broth' } },
  },
};

describe('parts that meet', () => {
  it('come to one dish: what is handed over is no ingredient, and is taken where it is used', () => {
    const dish = dishOf(turned);
    expect(checkDish(dish)).toEqual([]);
    expect(dish.ingredients.map(({ id }) => id)).not.toContain('layers');
    expect(dish.ingredients.map(({ id }) => id)).not.toContain('water');
    expect(dish.takes.map(({ product, step }) => [product, step])).toEqual([
      ['meat_broth', 'boil'],
      ['slices_fried-slices', 'layer'],
      ['meat_boiled-meat', 'layer'],
    ]);
    expect(dish.grain?.liquid).toEqual(['meat_broth']);
    expect(dish.lands?.step).toBe('turn');
  });

  it('are planned in order: fried, boiled, strained, layered, broth, low, rest, turned', async () => {
    const plan = await planned(mealOf([dishOf(turned)], { kitchen: largeKitchen, hour: '20:00' }));
    const step = (id: string) => plan.steps.find(({ key, stepId }) => stepId === id && !/\.[2-9]$/.test(key))!;
    const order = ['meat_cook', 'meat_strain', 'layer', 'boil', 'low', 'settle', 'turn'];
    for (const [k, id] of order.slice(1).entries()) {
      expect(step(id).start, id).toBeGreaterThanOrEqual(step(order[k]!).end);
    }
    const fried = plan.steps.filter(({ stepId }) => stepId === 'slices_fry').map(({ end }) => end);
    expect(step('layer').start).toBeGreaterThanOrEqual(Math.max(...fried));
    expect(step('layer').start - Math.max(...fried)).toBeLessThanOrEqual(60);
    expect(step('boil').amounts.join(' ')).toContain('lamb broth, hot');
    // One who strains is told how much of it is wanted, and what is over.
    expect(step('meat_strain').says).toMatch(/There will be about .* is wanted, and the .* over is worth keeping/);
  });

  it('say when there is less broth than the grain wants, and that it is topped up', () => {
    const little: DishDraft = {
      ...turned,
      parts: turned.parts!.map((part) =>
        part.id === 'meat' ? { ...part, fillings: { water: { amount: { quantity: 60, unit: 'ml' } } } } : part,
      ),
    };
    const dish = dishOf(little);
    expect(partFaults([dish]).map(({ kind }) => kind)).toEqual(['short']);
    expect(sayMeasured([dish], dish, 'meat_strain')).toMatch(/top it up with .* of boiling water/);
    expect(sayMeasured([dish], dish, 'boil')).toBe('');
    const ample = dishOf(turned);
    expect(partFaults([ample])).toEqual([]);
    // For twelve the grain takes less than three times what it does for four: more is over.
    const many = scaleDish(ample, 12);
    expect(checkDish(many)).toEqual([]);
    expect(partFaults([many])).toEqual([]);
    const broth = many.takes.find(({ product }) => product === 'meat_broth')!;
    expect(broth.amount.quantity).toBeLessThan(3 * ample.takes[0]!.amount.quantity);
  });

  it('keep tight waits: onions hot at layering, drained grain at once', async () => {
    const dish = dishOf(draft('layered'));
    const plan = await planned(mealOf([dish], { kitchen: largeKitchen, hour: '20:00' }));
    const ends = (id: string) => Math.max(...plan.steps.filter(({ stepId }) => stepId === id).map(({ end }) => end));
    const layer = plan.steps.find(({ stepId }) => stepId === 'layer')!.start;
    expect(layer - ends('onions_fry')).toBeLessThanOrEqual(10);
    expect(layer - ends('pour')).toBeLessThanOrEqual(8);
    expect(layer).toBeGreaterThanOrEqual(ends('meat_finish'));
  });

  it('share a thing that two slots take, and say of a part that nobody takes it', () => {
    const twice: DishDraft = {
      ...draft('layered'),
      fillings: {
        ...draft('layered').fillings,
        crisp: { from: { part: 'onions', product: 'crisp onions' } },
        fat: { from: { part: 'onions', product: 'kept oil' } },
      },
    };
    expect(untakenParts(twice, 4)).toEqual([]);
    const alone: DishDraft = { ...twice, fillings: {} };
    expect(untakenParts(alone, 4)).toEqual(['meat', 'onions']);
    // It is cooked all the same, and comes to the table beside the dish.
    const dish = dishOf(alone);
    expect(checkDish(dish)).toEqual([]);
    expect(dish.links.some(({ from, to }) => from === 'onions_fry' && to === 'open')).toBe(true);
  });

  it('take one pan after the other where the cook says so, in the order of the parts', async () => {
    const pans: DishDraft = {
      ...turned,
      parts: [...turned.parts!, { id: 'onions', technique: 'crisp-onions', ways: {}, fillings: {} }],
      fillings: { ...turned.fillings, nuts: null },
      same: [{ from: 'slices_pan', to: 'onions_pan', between: 'wiped' }],
    };
    const dish = dishOf(pans);
    expect(checkDish(dish)).toEqual([]);
    expect(dish.vessels.filter(({ id }) => id.endsWith('_pan')).map(({ id }) => id)).toEqual(['onions_pan']);
    const plan = await planned(mealOf([dish], { kitchen: largeKitchen, hour: '20:00' }));
    const of = (id: string) => plan.steps.filter(({ stepId }) => stepId === id);
    const fried = Math.max(...of('slices_fry').map(({ end }) => end));
    expect(Math.min(...of('onions_fry').map(({ start }) => start))).toBeGreaterThan(fried);
  });

  it('rinse a pot between two parts by hand, and leave alone what cannot be one', () => {
    const rinsed = dishOf({ ...turned, same: [{ from: 'meat_meat', to: 'pot', between: 'rinsed' }] });
    expect(checkDish(rinsed)).toEqual([]);
    const rinse = rinsed.steps.find(({ name }) => name.startsWith('rinse'))!;
    expect(rinse).toMatchObject({ attention: 'hands', vessel: 'pot' });
    expect(rinsed.links).toContainEqual(expect.objectContaining({ from: 'meat_strain', to: rinse.id }));
    expect(rinsed.links).toContainEqual(expect.objectContaining({ from: rinse.id, to: 'layer' }));
    // A bowl is no pan.
    const odd = dishOf({ ...turned, same: [{ from: 'bowl', to: 'slices_pan', between: 'wiped' }] });
    expect(odd.vessels.map(({ id }) => id)).toEqual(dishOf(turned).vessels.map(({ id }) => id));
  });

  it('come back from their draft, and are kept as they are said', () => {
    const dish = dishOf(turned);
    expect(dishOf(draftOf(dish)!)).toEqual(dish);
    expect(check(dishShape, dish)).toMatchObject({ ok: true });
    const { parts, fillings } = dish.made!;
    expect(parts).toEqual(turned.parts);
    expect(fillings).toEqual(turned.fillings);
  });

  it('are each known by their own technique, so that what one evening teaches of frying is known of all that fries', () => {
    const { made, steps } = dishOf(turned);
    const by = Object.fromEntries(steps.map(({ id }) => [id, techniqueAt(made, id)]));
    expect(by).toMatchObject({ slices_fry: 'fried-layers', meat_cook: 'boiled-meat', layer: 'turned-out' });
    expect(techniqueAt(undefined, 'layer')).toBeNull();
  });

  it('bring their own allergens and diet, and those of what they replace no more', () => {
    const vegan = dishOf({ ...draft('turned-out'), fillings: { ...draft('turned-out').fillings, nuts: null } });
    expect(dietOf(vegan)).toBe('vegan');
    const lamb = dishOf(turned);
    expect(dietOf(lamb)).toBe('with meat');
    const pilaf = dishOf(draft('meat-pilaf'));
    // Bought broth has celery in it; one's own has what goes in.
    expect(allergensOf(pilaf)).not.toContain('celery');
    expect(allergensOf(dishOf({ ...draft('meat-pilaf'), parts: [], fillings: {} }))).toContain('celery');
  });

  it('made in a way that is not known here are read as they are written', () => {
    const dish = dishOf(turned);
    const [part, ...others] = dish.made!.parts!;
    expect(
      draftOf({ ...dish, made: { ...dish.made!, parts: [{ ...part!, technique: 'magic' }, ...others] } }),
    ).toBeNull();
    expect(draftOf({ ...dish, made: { ...dish.made!, technique: 'magic' } })).toBeNull();
  });

  it('in a circle, or from a part that is gone, fall back on what is bought', () => {
    const round: DishDraft = {
      ...turned,
      parts: [
        { ...turned.parts![0]!, fillings: { oil: { from: { part: 'meat', product: 'kept oil' } } } },
        turned.parts![1]!,
      ],
      fillings: { ...turned.fillings, meat: { from: { part: 'nobody', product: 'boiled meat' } } },
    };
    const dish = dishOf(round);
    expect(checkDish(dish)).toEqual([]);
    expect(dish.ingredients.map(({ id }) => id)).toContain('meat');
  });

  it('can be made the day before, as far as each may stand', () => {
    const points = aheadPoints(dishOf(turned));
    expect(points.length).toBeGreaterThan(0);
    const most = points[0]!.steps;
    expect([...most]).toContain('meat_strain');
    expect([...most]).not.toContain('turn');
    expect(checkDish(madeAhead(dishOf(turned), most))).toEqual([]);
  });
});

/** Every slot that takes something, with every technique that gives it. */
const joints = TECHNIQUES.flatMap((taker) =>
  taker.slots.flatMap((slot) =>
    (slot.takes ?? []).flatMap((product) => makersOf(product).map((giver) => ({ taker, slot, product, giver }))),
  ),
);
const joint = ({ taker, slot, product, giver }: (typeof joints)[number], servings = 4) =>
  dishOf({
    ...beginDraft(taker, 'it', servings),
    parts: [{ id: 'part', technique: giver.id, ways: {}, fillings: {} }],
    fillings: { [slot.id]: { from: { part: 'part', product } } },
  });

describe('any part in any slot that takes it', () => {
  it('is there for each product: something makes it, and something takes it', () => {
    for (const product of PRODUCTS) {
      expect(makersOf(product).length, product).toBeGreaterThan(0);
      expect(
        joints.some((each) => each.product === product),
        product,
      ).toBe(true);
    }
  });

  it('is a sound dish that takes it, for one and for forty, and for nobody else', () => {
    for (const each of joints) {
      const name = `${each.giver.id} in ${each.taker.id}, ${each.slot.id}`;
      const dish = joint(each);
      expect(checkDish(dish), name).toEqual([]);
      // A slot that this way of cooking does not use takes nothing.
      const bought = dishOf({ ...beginDraft(each.taker, 'it', 4), parts: [], fillings: {} });
      if (!bought.ingredients.some(({ id }) => id === each.slot.id)) continue;
      expect(
        dish.ingredients.map(({ id }) => id),
        name,
      ).not.toContain(each.slot.id);
      expect(dish.takes.filter(({ product }) => product.startsWith('part_')).length, name).toBe(1);
      for (const people of [1, 40]) expect(checkDish(scaleDish(dish, people)), name).toEqual([]);
    }
  });

  it('is planned, whichever and for however many', async () => {
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...joints), fc.integer({ min: 1, max: 40 }), async (each, people) => {
        const meal = mealOf([joint(each)], { people, kitchen: largeKitchen, hour: '20:00' });
        if (each.taker.partOnly) return;
        expect(checkMeal(meal)).toEqual([]);
        const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 3, rounds: 1, explain: false } });
        if (!result.ok) throw new Error(result.refusals[0]?.sentence);
      }),
      { numRuns: 25 },
    );
  });
});
