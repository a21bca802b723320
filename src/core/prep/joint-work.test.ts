import { describe, expect, it } from 'vitest';
import type { Dish, Step } from '@/core/dish/dish';
import { chop, fry } from '@/core/dish/write';
import type { Plan } from '@/core/plan/plan';
import { mealOf, plainGrain } from '@/core/testing/meals';
import type { Bowl } from './bowls';
import { jointsOf } from './joint-work';

const dish = (id: string, ...steps: readonly Step[]): Dish => ({
  ...plainGrain(id),
  name: id,
  steps,
  links: [],
  vessels: [],
  ingredients: [],
});
const board = (id: string, change: Partial<Step> = {}): Step => ({ ...chop(id, id, 5, 'Cut.'), ...change });
const bowl = (thing: string, dishId: string, readiedIn: string | null, change: Partial<Bowl> = {}) =>
  ({ thing, name: thing, dishId, dishName: dishId, readiedIn, madeBy: null, ...change }) as Bowl;
const planOf = (starts: Readonly<Record<string, number>>) =>
  ({ steps: Object.entries(starts).map(([key, start]) => ({ key, start })) }) as unknown as Plan;

describe('work at the board for several dishes', () => {
  const soup = dish('soup', board('onions'), board('leeks'));
  const stew = dish('stew', board('onions'), board('roots'));
  const tart = dish('tart', board('onions'), board('leeks'));
  const meal = mealOf([soup, stew, tart]);
  const onions = ['tart', 'soup', 'stew'].map((id) => bowl('onion', id, `${id}/onions`));

  it('is the same thing in two dishes or more, in the order of the plan', () => {
    const plan = planOf({ 'tart/onions': -20, 'soup/onions': -90, 'stew/onions': -60 });
    expect(jointsOf(meal, [...onions, bowl('root', 'stew', 'stew/roots')], plan)).toEqual([
      {
        thing: 'onion',
        name: 'onion',
        steps: ['soup/onions', 'stew/onions', 'tart/onions'],
        dishes: ['tart', 'soup', 'stew'],
        joined: false,
      },
    ]);
    expect(jointsOf(meal, onions, null)[0]!.steps).toEqual(['tart/onions', 'soup/onions', 'stew/onions']);
  });

  it('is joined where all of it is, and not where a part is', () => {
    const joined = (...together: readonly string[][]) => jointsOf({ ...meal, together }, onions, null)[0]!.joined;
    expect(joined(['tart/onions', 'soup/onions', 'stew/onions'])).toBe(true);
    expect(joined(['tart/onions', 'soup/onions'])).toBe(false);
  });

  it('takes each step once, for what most dishes share', () => {
    // The soup cuts its garlic with the onions; two dishes share garlic, three onions.
    const garlic = [bowl('garlic', 'soup', 'soup/onions'), bowl('garlic', 'stew', 'stew/roots')];
    const both = jointsOf(meal, [...garlic, ...onions], null);
    expect(both.map(({ thing }) => thing)).toEqual(['onion']);
    const leeks = [bowl('leek', 'soup', 'soup/leeks'), bowl('leek', 'tart', 'tart/leeks')];
    expect(jointsOf(meal, [...leeks, ...onions], null).map(({ thing }) => thing)).toEqual(['onion', 'leek']);
  });

  it('is none that one person alone does, that is done ahead or at the stove, that another dish made, or that nobody cuts', () => {
    const shared = (change: Partial<Step>) => {
      const own = dish('own', board('onions', change));
      const bowls = [bowl('onion', 'soup', 'soup/onions'), bowl('onion', 'own', 'own/onions')];
      return jointsOf(mealOf([soup, own]), bowls, null).length;
    };
    expect(shared({})).toBe(1);
    expect(shared({ by: 'cook' })).toBe(0);
    expect(shared({ ahead: true })).toBe(0);
    expect(shared({ ...fry('onions', 'onions', 'medium', 5, 'Fry.'), by: 'anyone' })).toBe(0);
    const pair = (change: Partial<Bowl>) =>
      jointsOf(meal, [onions[0]!, bowl('onion', 'soup', 'soup/onions', change)], null).length;
    expect([pair({}), pair({ madeBy: 'stock' }), pair({ readiedIn: null })]).toEqual([1, 0, 0]);
  });
});
