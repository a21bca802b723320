import { describe, expect, it } from 'vitest';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import type { Meal } from './meal';
import { planMeal } from './plan-meal';
import { changed, findWaysOut, ideasFor, wantsWayOut } from './ways-out';

const solving = { ...TEST_CLOCK, seconds: 10, rounds: 4 };
const plan = (meal: Meal, notBefore?: number) =>
  planMeal(meal, { solve: solving, ...(notBefore === undefined ? {} : { notBefore }) });

describe('ways out', () => {
  it('are not wanted by a plan that lands in time', async () => {
    expect(wantsWayOut(await planned(mealOf([plainGrain()])))).toBe(false);
  });

  it('are each planned for real, and only those that help are told, the best first', async () => {
    // It is 18:20, the grain takes an hour at least, and the table is at 19:00.
    const meal = mealOf([plainGrain('a'), plainGrain('b')]);
    const late = await plan(meal, -40);
    if (!late.ok) throw new Error('no plan');
    expect(wantsWayOut(late.plan)).toBe(true);
    const was = Math.max(...late.plan.landings.map((landing) => landing.late));
    const tried: string[] = [];
    const ways = await findWaysOut(
      meal,
      late.plan,
      // Serving later leaves more time from now.
      (idea) => plan(idea, -40 - (Number(idea.hour.slice(0, 2)) * 60 + Number(idea.hour.slice(3)) - 19 * 60)),
      (count, all) => tried.push(`${count} of ${all}`),
    );
    expect(tried).toHaveLength(ideasFor(meal).length);
    expect(ways[0]).toMatchObject({ id: 'later 30', late: 0, gains: 'everything lands in time' });
    for (const way of ways) expect(way.late).toBeLessThan(was);
    expect(ways.map((way) => way.late)).toEqual([...ways.map((way) => way.late)].sort((a, b) => a - b));
  });

  it('change one thing and leave the rest', () => {
    const meal = mealOf([plainGrain('a'), plainGrain('b')]);
    for (const { id, change } of ideasFor(meal)) {
      const other = changed(meal, change);
      const differs = (Object.keys(meal) as (keyof Meal)[]).filter(
        (key) => JSON.stringify(other[key]) !== JSON.stringify(meal[key]),
      );
      expect(differs, id).toHaveLength(1);
    }
    expect(ideasFor({ ...meal, hour: '23:40' }).some(({ id }) => id.startsWith('later'))).toBe(false);
  });
});
