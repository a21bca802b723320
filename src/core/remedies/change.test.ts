import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { aheadPoints } from '@/core/meal/ahead';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { applied, appliedAsMade } from './change';

const meal = {
  ...mealOf([plainGrain('one'), plainGrain('two')]),
  pins: [
    { key: 'one/boil', start: -40 },
    { key: 'two/boil', start: -30 },
    { key: 'vessel one/pot', unit: 'vessel:pot#1' },
  ],
  ahead: [{ dish: 'one', upTo: 'wash', days: 1 }],
};

describe('a change carried out', () => {
  it('of hour, pace and kitchen changes that and nothing else', () => {
    expect(applied(meal, { kind: 'hour', hour: '21:00' })).toEqual({ ...meal, hour: '21:00' });
    expect(applied(meal, { kind: 'pace', pace: 'brisk' })).toEqual({ ...meal, pace: 'brisk' });
    const kitchen = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    expect(applied(meal, { kind: 'kitchen', kitchen })).toEqual({ ...meal, kitchen });
  });

  it('of a dish puts another in its place, and takes with it what was set for its steps', () => {
    const other = { ...plainGrain('other') };
    const now = applied(meal, { kind: 'dish', dishId: 'one', dish: other });
    expect(now.dishes.map(({ id }) => id)).toEqual(['other', 'two']);
    expect(now.pins?.map(({ key }) => key)).toEqual(['two/boil', 'vessel one/pot']);
    expect(now.ahead).toEqual([]);
    const shared = plainGrain('shared');
    const both = applied(meal, { kind: 'dishes', dishes: { one: other, two: shared } });
    expect(both.dishes.map(({ id }) => id)).toEqual(['other', shared.id]);
  });

  it('of a dish less, or made ahead: once, whatever was said of it before', () => {
    expect(applied(meal, { kind: 'without', dishId: 'one' }).dishes.map(({ id }) => id)).toEqual(['two']);
    const made = { dish: 'one', upTo: 'soak', days: 2 };
    expect(applied(meal, { kind: 'ahead', made }).ahead).toEqual([made]);
    // The dishes stay as they are written; to be planned they are made ahead.
    expect(applied(meal, { kind: 'ahead', made }).dishes).toBe(meal.dishes);
    expect(appliedAsMade(meal, { kind: 'ahead', made }).ahead).toEqual([made]);
  });

  it('of several is each of what the one before has made', () => {
    const kitchen = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    const stew = SHELF.find(({ name }) => name === 'Lamb in its own juices')!;
    const made = { dish: stew.id, upTo: aheadPoints(stew)[0]!.upTo, days: 1 };
    const several = {
      kind: 'several',
      changes: [
        { kind: 'kitchen', kitchen },
        { kind: 'dish', dishId: 'two', dish: stew },
        { kind: 'ahead', made },
      ],
    } as const;
    const now = applied(meal, several);
    expect(now).toMatchObject({ kitchen, ahead: [...meal.ahead, made] });
    expect(now.dishes).toEqual([meal.dishes[0], stew]);
    // Ready to plan, what is made ahead is gone from the day.
    const asMade = appliedAsMade(meal, several).dishes;
    expect(asMade).toEqual(appliedAsMade(now, { kind: 'ahead', made }).dishes);
    expect(asMade[1]).not.toEqual(stew);
  });
});
