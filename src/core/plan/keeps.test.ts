import { describe, expect, it } from 'vitest';
import { cookThrough } from '@/core/live/testing/simulate';
import { findingsOf } from '@/core/safety/findings';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { keptByPlan, mealAsPlanned, sayKept } from './keeps';
import { eveningsOf, oddsOfMeal } from './odds';
import type { Plan } from './plan';
import { planMeal } from './plan-meal';
import { isPlanOf } from './plan-of';

/** The only cook leaves three quarters of an hour before the table: the flame wants a look, the oven does not. */
const people = [{ ...smallKitchen.people[0]!, until: '18:15' }];
const leaving = mealOf([plainGrain('a')], { kitchen: { ...smallKitchen, people }, sureness: 'even' });
/** One flame for three, and no oven: what is ready first can only be wrapped. */
const oneFlame = mealOf([plainGrain('a'), plainGrain('b'), plainGrain('c')], {
  kitchen: { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) },
  sureness: 'even',
});

async function planOf(meal: typeof leaving): Promise<Plan> {
  const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 10, patience: 8 } });
  if (!result.ok) throw new Error(result.refusals[0]?.sentence);
  return result.plan;
}

describe('what would wait too long', () => {
  it('is kept warm by the plan where more evenings land well by that; the meal stays as it was put together', async () => {
    const before = JSON.stringify(leaving);
    const short = await planOf({ ...leaving, sureness: 'short' });
    expect(short.landings[0]).toMatchObject({ fine: 'too long' });
    expect(keptByPlan(leaving, short)).toEqual([]);
    expect(sayKept(leaving, short)).toBe('');
    const plan = await planOf(leaving);
    expect(plan.odds?.good).toBeGreaterThan((short.odds?.good ?? 1) + 0.5);
    expect(plan.landings[0]).toMatchObject({ fine: 'well', dishId: 'a' });
    expect(sayKept(leaving, plan)).toBe(
      'So that all lands together the plan keeps warm until the table: Grain a (15 min in a low oven).',
    );
    expect(JSON.stringify(leaving)).toBe(before);
  });

  it('is kept hot as safety wants it, and says so at the step', async () => {
    const plan = await planOf(leaving);
    const [kept] = keptByPlan(leaving, plan);
    expect(kept).toMatchObject({ station: { sort: 'oven' }, duty: 'keep warm', celsius: 90 });
    expect(kept!.cautions.join(' ')).toMatch(/60 °C/);
    expect(findingsOf(mealAsPlanned(leaving, plan), plan).filter(({ weight }) => weight === 'hard')).toEqual([]);
  });

  it('is cooked so: the meal as planned has the step, once, and its evenings go as was promised', async () => {
    const plan = await planOf(leaving);
    const meal = mealAsPlanned(leaving, plan);
    expect(meal.dishes[0]!.steps.map(({ id }) => id)).toEqual([
      ...leaving.dishes[0]!.steps.map(({ id }) => id),
      'kept-warm',
    ]);
    expect(mealAsPlanned(meal, plan)).toBe(meal);
    // It goes with the meal to another device, and is called the best by nobody.
    expect(isPlanOf(plan, leaving)).toBe(true);
    expect(isPlanOf(plan, { ...leaving, dishes: [plainGrain('b')] })).toBe(false);
    expect(plan.proven).toBe(false);
    expect(keptByPlan(meal, plan)).toEqual([]);
    const odds = oddsOfMeal(leaving, plan, { evenings: 500, seed: 4 })!;
    expect(odds.good).toBeCloseTo(plan.odds!.good, 1);
    expect(eveningsOf(leaving, plan, { evenings: 3, seed: 4 }).map(({ good }) => good)).toEqual([true, true, true]);
    const { session } = await cookThrough({
      meal: leaving,
      plan,
      tableAt: Date.UTC(2026, 10, 28, 18),
      truth: ({ minutes }) => minutes,
      glance: () => 1,
    });
    expect(session.plan.landings[0]).toMatchObject({ fine: 'well' });
  });

  it('is left where nothing can hold it', async () => {
    const plan = await planOf(oneFlame);
    // Keeping one warm on the only flame would keep the others off it.
    expect(keptByPlan(oneFlame, plan)).toEqual([]);
    expect(plan.landings.some(({ fine }) => fine === 'long' || fine === 'too long')).toBe(true);
  });
});
