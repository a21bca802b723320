import { describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { carryOn } from './carry-on';
import type { LiveEvent } from './events';
import { lateOffer } from './offer';
import { instantOf, isFinished, liveSteps, type Session } from './session';
import { tellAndPlan } from './testing/simulate';

/** Cooks a whole evening by the clock, minute by minute, a thumb one second late on every button. */
async function cookThrough(meal: Meal): Promise<{ readonly finishedAt: number; readonly told: number }> {
  const tableAt = new Date(`${meal.day}T${meal.hour}:00`).getTime();
  let session: Session = { id: 'e', meal, tableAt, plan: await planned(meal, 4, 5), events: [], moved: '' };
  const first = session.plan.steps[0]!.start;
  for (let minute = first - 1; minute <= 120; minute++) {
    const at = instantOf(session, minute) + 1000;
    for (;;) {
      const steps = liveSteps(session, at);
      const due = steps.find((each) => each.status === 'due' && each.step.attention !== 'hands');
      const over = steps.find((each) => each.status === 'running' && each.endAt <= at);
      const press = due ?? over;
      if (!press) break;
      const event: LiveEvent = {
        id: `e${session.events.length}`,
        at,
        kind: due ? 'begun' : 'done',
        key: press.step.key,
      };
      session = { ...session, events: [...session.events, event] };
      const carried = await carryOn(session, at, 'Told', (request) =>
        planMeal(request.meal, {
          progress: request.progress,
          known: request.known,
          solve: { ...TEST_CLOCK, seconds: 5, rounds: 3 },
        }),
      );
      session = { ...session, plan: carried.plan, moved: carried.moved };
    }
    if (isFinished(liveSteps(session, at))) return { finishedAt: minute, told: session.events.length };
  }
  throw new Error('The evening never ended.');
}

describe('an evening cooked by the clock', () => {
  it.each(SAMPLE_MEALS.map((sample) => [sample.setting.name, sample] as const))(
    '%s: ends at the hour',
    async (_, sample) => {
      const meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
      const { finishedAt, told } = await cookThrough(meal);
      expect(told).toBeGreaterThan(10);
      expect(finishedAt).toBeLessThanOrEqual(3);
    },
    120_000,
  );
});

describe('the braise takes as long as it takes', () => {
  it('after “not yet” twice, with the new hour agreed, everything hot lands warm', async () => {
    const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'harvest')!;
    // A plan with room would bear it.
    const sureness = 'short';
    const meal: Meal = {
      ...sample.setting,
      sureness,
      day: '2026-11-28',
      kitchen: sample.kitchen,
      dishes: sample.dishes,
    };
    const tableAt = new Date('2026-11-28T19:30:00').getTime();
    const plan = await planned(meal, 20, 12);
    const braise = plan.steps.find(({ key }) => key === 'cheeks/braise')!;
    const at = instantOf({ tableAt }, braise.end) + 1000;
    const told = (kind: 'begun' | 'done', key: string, minute: number): LiveEvent => ({
      id: `${kind} ${key}`,
      at: instantOf({ tableAt }, minute),
      kind,
      key,
    });
    const events = plan.steps.flatMap((step) => [
      ...(step.start <= braise.end ? [told('begun', step.key, step.start)] : []),
      ...(step.end <= braise.end && step !== braise ? [told('done', step.key, step.end)] : []),
    ]);
    let session: Session = { id: 's', meal, tableAt, plan, events, moved: '' };
    for (const minutes of [15, 30]) {
      const until = at + minutes * 60_000;
      session = await tellAndPlan(session, { kind: 'not-yet', key: 'cheeks/braise', until }, at);
    }
    const offer = lateOffer(session);
    // The oven is not free for the roots before the braise leaves it: they are what comes late.
    expect(offer?.dishes).toContain('Roast roots');
    const agreed = await tellAndPlan(session, { kind: 'hour', minutes: offer!.minutes }, at);
    expect(lateOffer(agreed)).toBeNull();
    for (const { dishName, served, late, fine, waits, celsius } of agreed.plan.landings) {
      if (served === 'cold') continue;
      expect(late, dishName).toBeLessThanOrEqual(1);
      expect(['well', 'long'], `${dishName} waits ${waits} min`).toContain(fine);
      // Warm: above what hot food is held at, even if it cools as fast as it may.
      if (celsius) expect(celsius.likely, dishName).toBeGreaterThan(57);
    }
  }, 60_000);
});
