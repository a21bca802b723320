import { describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import { planMeal } from '@/core/meal/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { carryOn } from './carry-on';
import { instantOf, isFinished, type LiveEvent, liveSteps, type Session } from './session';

/** Cooks a whole evening by the clock, minute by minute, a thumb one second late on every button. */
async function cookThrough(meal: Meal): Promise<{ readonly finishedAt: number; readonly told: number }> {
  const tableAt = new Date(`${meal.day}T${meal.hour}:00`).getTime();
  let session: Session = { id: 'e', meal, tableAt, plan: await planned(meal, 20, 12), events: [], moved: '' };
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
        planMeal(meal, { ...request, solve: { ...TEST_CLOCK, seconds: 10, rounds: 6 } }),
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
