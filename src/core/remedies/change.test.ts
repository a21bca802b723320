import { describe, expect, it } from 'vitest';
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
});
