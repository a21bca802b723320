import { beforeAll, describe, expect, it } from 'vitest';
import { holdOfVessel } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { planned } from '@/core/testing/meals';
import { vesselsInTwoPlaces } from '@/core/testing/vessels';
import { SAMPLE_MEALS } from '@/demo/meals';
import type { Plan, PlannedStep } from './plan';
import { planMeal } from './plan-meal';
import { potsOf } from './pots';

const meals = SAMPLE_MEALS.map(
  (sample): Meal => ({ ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes }),
);

describe.each(meals.map((meal) => [meal.name, meal] as const))('%s', (_, meal) => {
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(meal, 5, 5);
  });
  const overlap = (a: PlannedStep, b: PlannedStep) => a.start < b.end && b.start < a.end;
  const clashes = (same: (a: PlannedStep, b: PlannedStep) => boolean) =>
    plan.steps.flatMap((a, index) =>
      plan.steps.slice(index + 1).flatMap((b) => (same(a, b) && overlap(a, b) ? [`${a.key} and ${b.key}`] : [])),
    );

  it('lands every dish on time and within its waiting time', () => {
    for (const landing of plan.landings) {
      expect(landing.late, landing.dishName).toBe(0);
      expect(landing.waits, landing.dishName).toBeLessThanOrEqual(landing.mostMinutes);
    }
    expect(plan.landings.length).toBeGreaterThan(0);
  });

  it('is sensible at first sight, when the time is over before the search has begun', async () => {
    // Where parts meet within minutes the first that fits has to be looked for.
    const least = meal.id === 'shearing' ? { seconds: 5, rounds: 1 } : { seconds: 0 };
    const result = await planMeal({ ...meal, layOutFirst: false }, { solve: { ...TEST_CLOCK, ...least } });
    const landings = result.ok ? result.plan.landings : [];
    expect(landings.length).toBeGreaterThan(0);
    for (const { dishName, waits, late, mostMinutes } of landings) {
      expect(late, dishName).toBeLessThan(45);
      expect(waits, dishName).toBeLessThan(mostMinutes + 45);
    }
  });

  it('puts one thing at a time on a burner and in a pair of hands', () => {
    expect(clashes((a, b) => a.station.sort === 'burner' && a.station.id === b.station.id)).toEqual([]);
    expect(clashes((a, b) => a.person !== null && a.person.id === b.person?.id)).toEqual([]);
  });

  it('has no pot in two places, and calls each by one name on the menu and at every step', () => {
    expect(vesselsInTwoPlaces(meal, plan)).toEqual([]);
    for (const { key, vessel } of potsOf(meal, plan)) {
      const steps = plan.steps.filter(({ dishId, stepId, kind }) => {
        if (kind !== 'step') return false;
        const use = meal.dishes.find(({ id }) => id === dishId)?.steps.find(({ id }) => id === stepId)?.vessel;
        return use !== undefined && holdOfVessel(dishId, use) === key;
      });
      expect(steps.map((step) => step.vessel)).toEqual(steps.map(() => vessel.name));
    }
  });

  it('never wants the oven at two temperatures, nor more shelves than there are', () => {
    expect(
      clashes((a, b) => a.station.sort === 'oven' && a.station.id === b.station.id && a.celsius !== b.celsius),
    ).toEqual([]);
  });

  it('does nothing before what it waits for', () => {
    const byKey = new Map(plan.steps.map((step) => [step.key, step]));
    for (const step of plan.steps) {
      for (const key of step.after) {
        const before = byKey.get(key);
        if (before) expect(step.start, `${key} before ${step.key}`).toBeGreaterThanOrEqual(before.end);
      }
    }
  });

  it('says of each step what to do, why it stands there, and where', () => {
    for (const step of plan.steps) {
      expect(step.says.length).toBeGreaterThan(5);
      expect(step.why).not.toBe('');
      expect(plan.stations.some((station) => station.id === step.station.id)).toBe(true);
    }
  });
});

describe('the harvest supper', () => {
  it('has the stock strained before the barley needs it', async () => {
    const plan = await planned(meals[0]!, 5, 5);
    const strain = plan.steps.find((step) => step.key === 'mushroom-stock/strain')!;
    const takes = meals[0]!.dishes.flatMap((dish) => dish.takes.map((take) => `${dish.id}/${take.step}`));
    expect(takes.length).toBeGreaterThan(0);
    for (const key of takes) {
      expect(plan.steps.find((step) => step.key === key)!.start).toBeGreaterThanOrEqual(strain.end);
    }
  });
});
