import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import { type Pin, pinOf, withoutPin, withPin } from '@/core/meal/pin';
import { TEST_CLOCK } from '@/core/testing/clock';
import { drainedGrain, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { pinAttempts, unkeptPins } from './pins';
import { knownPlan, type Plan } from './plan';
import { planMeal } from './plan-meal';

const MEAL = mealOf([plainGrain(), drainedGrain()]);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});

const stepOf = (from: Plan, key: string) => from.steps.find((each) => each.key === key)!;

async function by(meal: Meal, held?: Pin): Promise<Plan> {
  const result = await planMeal(meal, {
    near: true,
    known: knownPlan(plan),
    solve: { ...TEST_CLOCK, seconds: 5, patience: 8 },
    ...(held ? { held } : {}),
  });
  if (!result.ok) throw new Error(result.refusals[0]!.sentence);
  return result.plan;
}

describe('pins', () => {
  it('are put in, joined and taken out by step', () => {
    const one = withPin([], { key: 'a', start: -30 });
    const both = withPin(one, { key: 'a', unit: 'burner:big' });
    expect(both).toEqual([{ key: 'a', start: -30, unit: 'burner:big' }]);
    expect(pinOf(withPin(both, { key: 'b', start: 0 }), 'b')).toEqual({ key: 'b', start: 0 });
    expect(withoutPin(both, 'a')).toEqual([]);
  });

  it('give way in turn: first the one under the hand, then all', () => {
    expect(pinAttempts([])).toEqual([{ firm: [], wished: [] }]);
    const held = { key: 'a', start: -9 };
    expect(pinAttempts([], held)).toHaveLength(2);
    const [all, held2, none] = pinAttempts([{ key: 'b', start: 0 }], held);
    expect(all?.firm).toHaveLength(2);
    expect(held2).toEqual({ firm: [{ key: 'b', start: 0 }], wished: [held] });
    expect(none?.firm).toEqual([]);
  });

  it('hold to the minute where they can, and the rest arranges itself around them', async () => {
    const boil = stepOf(plan, 'grain/boil');
    const pins = [{ key: boil.key, start: boil.start - 7 }];
    const other = await by({ ...MEAL, pins });
    expect(stepOf(other, boil.key).start).toBe(boil.start - 7);
    expect(stepOf(other, boil.key).why).toContain('You put it there.');
    expect(stepOf(plan, boil.key).why).not.toContain('You put it there.');
    expect(stepOf(other, 'grain/soak').why).toContain('“boil”, which you put by hand');
    expect(unkeptPins(other, pins)).toEqual([]);
    expect(other.proven).toBe(false);
  });

  it('move only what must move', async () => {
    const free = plan.steps.find(({ slackSooner }) => slackSooner > 2)!;
    const other = await by(MEAL, { key: free.key, start: free.start - free.slackSooner });
    const moved = other.steps.filter((step) => stepOf(plan, step.key).start !== step.start);
    expect(moved.map(({ key }) => key)).toEqual([free.key]);
  });

  it('give a burner where it may be, and are passed over where it may not', async () => {
    const boil = stepOf(plan, 'grain/boil');
    expect(boil.choices).toEqual(['burner:big', 'burner:small']);
    for (const unit of boil.choices) {
      expect(stepOf(await by(MEAL, { key: boil.key, unit }), boil.key).station.id).toBe(unit);
    }
    const other = await by(MEAL, { key: boil.key, unit: 'burner:none' });
    expect(unkeptPins(other, [{ key: boil.key, unit: 'burner:none' }])).toEqual([]);
  });

  it('that cannot hold are met as nearly as can be', async () => {
    const pins = [{ key: 'grain/rest', start: stepOf(plan, 'grain/rest').start }];
    // Covered until the rest begins: it cannot stand after it.
    const held = { key: 'grain/cover', start: pins[0]!.start + 5 };
    const other = await by({ ...MEAL, pins }, held);
    expect(stepOf(other, 'grain/rest').start).toBe(pins[0]!.start);
    const cover = stepOf(other, 'grain/cover');
    expect(cover.end).toBe(pins[0]!.start);
    expect(unkeptPins(other, [held])).toEqual([{ pin: held, step: cover, by: cover.start - held.start }]);
  });

  it('of steps that are gone are passed over', async () => {
    const pins = [{ key: 'no-such/step', start: -10 }];
    expect(unkeptPins(await by({ ...MEAL, pins }), pins)).toEqual([]);
  });

  it('anywhere leave a plan that stands', async () => {
    await fc.assert(
      fc.asyncProperty(fc.nat(plan.steps.length - 1), fc.integer({ min: -90, max: 60 }), async (index, shift) => {
        const step = plan.steps[index]!;
        const other = await by(MEAL, { key: step.key, start: step.start + shift });
        const off = Math.abs(stepOf(other, step.key).start - step.start - shift);
        // Sooner than it can or later than the evening lasts it may not be; it never moves away from where it is wanted.
        expect(off).toBeLessThanOrEqual(Math.abs(shift));
      }),
      { numRuns: 25 },
    );
  });
});
