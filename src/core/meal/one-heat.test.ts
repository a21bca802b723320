import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { SHELF } from '@/core/dish/shelf';
import { checkMeal } from '@/core/meal/check';
import { mealOf } from '@/core/testing/meals';
import { atOneHeat } from './one-heat';

const named = (name: string) => SHELF.find((dish) => dish.name === name)!;
const legs = named('Chicken legs in yogurt, baked');
const loin = named('Pork loin with fennel');
const bakeOf = ({ steps }: Dish) => steps.find(({ place }) => place.at === 'oven')!;
const withHeat = (dish: Dish, celsius: number): Dish => ({
  ...dish,
  id: `${dish.id} ${celsius}`,
  steps: dish.steps.map((step) => (step.place.at === 'oven' ? { ...step, place: { ...step.place, celsius } } : step)),
});

describe('one heat for what bakes at two', () => {
  it('lies between them: the hotter takes longer and the cooler less long', () => {
    const [one, ...more] = atOneHeat([legs, loin], 10);
    expect(more).toEqual([]);
    expect(one!.celsius).toBe(205);
    const [cooler, hotter] = [bakeOf(one!.dishes[legs.id]!), bakeOf(one!.dishes[loin.id]!)];
    expect([cooler.place, hotter.place]).toMatchObject([{ celsius: 205 }, { celsius: 205 }]);
    for (const edge of ['shortest', 'likely', 'longest'] as const) {
      expect(cooler.minutes[edge]).toBeGreaterThan(bakeOf(legs).minutes[edge]);
      expect(hotter.minutes[edge]).toBeLessThan(bakeOf(loin).minutes[edge]);
    }
    expect(cooler.says).toContain('205 °C');
    expect(one!.moved.map(({ dish, minutes }) => [dish.id, minutes])).toEqual([
      [legs.id, cooler.minutes.likely],
      [loin.id, hotter.minutes.likely],
    ]);
  });

  it('moves what grows by its pieces in all its minutes', () => {
    const was = bakeOf(loin).grows;
    const grows = bakeOf(atOneHeat([legs, loin], 10)[0]!.dishes[loin.id]!).grows;
    if (was.by !== 'pieces' || grows.by !== 'pieces') throw new Error('it is roasted whole');
    expect(grows.first / was.first).toBeLessThan(1);
    expect(grows.perKilo / was.perKilo).toBeCloseTo(grows.first / was.first, 9);
  });

  it('leaves a dish that bakes at that heat already as it is, but takes it along', () => {
    const one = atOneHeat([withHeat(loin, 190), withHeat(loin, 200), withHeat(legs, 210)], 10)[0]!;
    expect(one.celsius).toBe(200);
    expect(one.moved.map(({ dish }) => dish.id)).toEqual([`${loin.id} 190`, `${legs.id} 210`]);
    expect(bakeOf(one.dishes[`${loin.id} 200`]!).minutes).toEqual(bakeOf(loin).minutes);
  });

  it('is wanted only from where they cannot share to where they cannot meet', () => {
    const apart = (degrees: number) => atOneHeat([withHeat(loin, 180), withHeat(legs, 180 + degrees)], 10).length;
    expect([10, 11, 40, 41].map(apart)).toEqual([0, 1, 1, 0]);
    const heats = (...list: number[]) =>
      atOneHeat(
        list.map((celsius) => withHeat(loin, celsius)),
        10,
      ).map(({ celsius }) => celsius);
    expect(heats(155, 225)).toEqual([]);
    expect(heats(160, 190, 220)).toEqual([175, 205]);
    expect(heats(154, 170)).toEqual([]);
    expect(heats(210, 226)).toEqual([]);
  });

  it('is not for dough, eggs, slow bakes, cold dishes, or what safety or warmth has minutes for', () => {
    const loaf = withHeat(named('Night loaf'), 220);
    const changed = (with_: Partial<ReturnType<typeof bakeOf>>): Dish => ({
      ...legs,
      steps: legs.steps.map((step) => (step.place.at === 'oven' ? { ...step, ...with_ } : step)),
    });
    const minutes = (likely: number) => ({ minutes: { shortest: likely, likely, longest: likely } });
    const meets = (dish: Dish) => atOneHeat([loin, dish], 10).length > 0;
    expect(meets(legs)).toBe(true);
    expect(meets(loaf)).toBe(false);
    expect(meets({ ...legs, ingredients: [{ ...legs.ingredients[0]!, name: 'eggs' }, ...legs.ingredients] })).toBe(
      false,
    );
    expect([90, 91].map((likely) => meets(changed(minutes(likely))))).toEqual([true, false]);
    expect(meets(changed({ duty: 'keep warm' }))).toBe(false);
    expect(meets(changed({ safeMinutes: 10 }))).toBe(false);
    expect(meets({ ...legs, lands: { ...legs.lands!, waits: { ...legs.lands!.waits, served: 'cold' } } })).toBe(false);
  });

  it('is not for one dish that bakes first at one heat and then at another', () => {
    const twice: Dish = {
      ...legs,
      steps: legs.steps.flatMap((step) =>
        step.place.at === 'oven' ? [step, { ...step, id: 'lower', place: { ...step.place, celsius: 190 } }] : [step],
      ),
    };
    expect(atOneHeat([twice], 10)).toEqual([]);
    expect(atOneHeat([twice, loin], 10)).toHaveLength(1);
  });

  it('gives dishes that can be planned', () => {
    const { dishes } = atOneHeat([legs, loin], 10)[0]!;
    expect(checkMeal(mealOf(Object.values(dishes)))).toEqual(checkMeal(mealOf([legs, loin])));
  });
});
