import { beforeAll, describe, expect, it } from 'vitest';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { daysBefore, dueAt, firstOfDay, sayBeginning, verdictCalled } from './beginning';
import type { Plan, PlannedStep } from './plan';

const TABLE = { day: '2026-11-28', hour: '19:30' };
const HOUR = 60;

describe('what a plan begins with', () => {
  let plan: Plan;
  let model: PlannedStep;
  beforeAll(async () => {
    plan = await planned(mealOf([plainGrain('a')]));
    model = plan.steps.find(({ key }) => key === 'a/wash')!;
  });
  const step = (name: string, start: number, more: Partial<PlannedStep> = {}): PlannedStep => ({
    ...model,
    name,
    dishName: 'Lamb',
    start,
    end: start + 5,
    after: [],
    attention: 'hands',
    heat: null,
    ...more,
  });
  const say = (...steps: readonly PlannedStep[]) => sayBeginning({ steps, quietStretch: 40 }, TABLE);

  it('is the first hand where nothing comes before it', () => {
    expect(say(step('chop', -66), step('fry', -60, { heat: 'full' }))).toBe(
      'First hand on a knife at 18:24; longest quiet stretch 40 min.',
    );
  });

  it('is the first flame where that comes first', () => {
    expect(say(step('simmer', -116, { heat: 'low', attention: 'eyes' }), step('chop', -66))).toBe(
      'First flame at 17:34, hands from 18:24; longest quiet stretch 40 min.',
    );
  });

  it('is what stands by itself where that comes first', () => {
    expect(say(step('soak', -180, { attention: 'none' }), step('chop', -66))).toBe(
      'First soak (Lamb) at 16:30, hands from 18:24; longest quiet stretch 40 min.',
    );
  });

  it('names the evening before, its hands and its hour, before the day itself', () => {
    const marinate = step('marinate', -21 * HOUR);
    const lie = step('lie', -21 * HOUR + 5, { attention: 'none', after: [marinate.key] });
    expect(say(marinate, lie, step('chop', -66))).toBe(
      'The day before: marinate (Lamb), 5 min of hands, from 22:30. On the day: first hand on a knife at 18:24; longest quiet stretch 40 min.',
    );
  });

  it('tells several days, the first of them first, each by its clock', () => {
    const steps = [step('stock', -53 * HOUR), step('marinate', -21 * HOUR), step('chop', -66)];
    expect(daysBefore(steps, TABLE).map(({ days, hands }) => [days, hands])).toEqual([
      [2, 5],
      [1, 5],
    ]);
    expect(say(...steps)).toMatch(/^Two days before: stock \(Lamb\), .* from 14:30\. The day before: .* On the day: /);
  });

  it('calls days as they are today, in the verdict too', () => {
    const steps = [step('marinate', -21 * HOUR), step('chop', -66)];
    const whole: Plan = { ...plan, ...TABLE, steps, quietStretch: 40, verdict: `All is well. ${say(...steps)}` };
    const called = verdictCalled(whole, (days) => (days === 0 ? 'Tomorrow' : 'Tonight'));
    expect(called).toBe(
      'All is well. Tonight: marinate (Lamb), 5 min of hands, from 22:30. Tomorrow: first hand on a knife at 18:24; longest quiet stretch 40 min.',
    );
  });

  it('what is due now and what is past are told apart', () => {
    const steps = [step('marinate', -120), step('chop', -66), step('fry', -30)];
    const names = (list: readonly PlannedStep[]) => list.map(({ name }) => name);
    const { past, now } = dueAt(steps, -70, 15);
    expect([names(past), names(now)]).toEqual([['marinate'], ['chop']]);
  });

  it('says the same as the first step of a real plan', () => {
    const { first } = firstOfDay(plan.steps, plan);
    expect(first?.key).toBe(plan.steps[0]!.key);
    expect(plan.verdict).toContain(sayBeginning(plan, plan));
  });
});
