import { beforeAll, describe, expect, it } from 'vitest';
import { chop, dish, follow, item, leave, pot, rest, waits } from '@/core/dish/write';
import { recordsOf } from '@/core/log/records';
import type { Plan } from '@/core/plan/plan';
import { mealOf, planned } from '@/core/testing/meals';
import type { LiveEvent, NewEvent } from './events';
import { instantOf, liveSteps, type Session } from './session';
import { doneAlready, earlierThan, restThatWouldBegin, settling } from './settle';
import { tellAndPlan } from './testing/simulate';

const beans = dish({
  id: 'beans',
  name: 'Beans',
  servings: 4,
  ingredients: [item('beans', 400, 'g', 'chickpeas')],
  steps: [
    chop('cover', 'into water', 3, 'Into plenty of water.', { uses: ['beans'], ahead: true }),
    rest('soak', 'soak', [480, 600, 840], 'It stands overnight.', { ahead: true }),
    leave('boil', 'boil', 'low', [40, 50, 60], 'Boil until soft.', { vessel: 'pot', attention: 'eyes', lookEvery: 10 }),
  ],
  links: [follow('cover', 'soak', 0, 0), follow('soak', 'boil', 0, 60)],
  vessels: [pot('pot', 'pot', ['pot'], 2, 'boil', 'boil')],
  lands: { step: 'boil', waits: waits('hot', 20, 60, 'covered') },
});
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const meal = mealOf([beans]);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});
const evening = (events: readonly LiveEvent[] = []): Session => ({
  id: 's',
  meal,
  tableAt: TABLE,
  plan,
  events,
  moved: '',
});
const boil = () => plan.steps.find(({ key }) => key === 'beans/boil')!;
const at = (minute: number) => instantOf({ tableAt: TABLE }, minute);
async function telling(all: readonly NewEvent[], now: number): Promise<Session> {
  let told = evening();
  for (const said of all) told = await tellAndPlan(told, said, now);
  return told;
}

describe('what was done before', () => {
  it('is asked of what is planned before the evening begins', () => {
    const now = at(boil().start - 5);
    const [group, ...others] = earlierThan(plan, TABLE, now);
    expect(others).toEqual([]);
    expect(group!.steps.map(({ stepId }) => stepId)).toEqual(['cover', 'soak']);
    expect(earlierThan(plan, TABLE, at(plan.steps[0]!.start - 60))).toEqual([]);
  });

  it('done last night keeps the hour, and teaches nothing', async () => {
    const now = at(boil().start + 1);
    const [group] = earlierThan(plan, TABLE, now);
    const told = await telling(settling(group!, 'done', TABLE, now), now);
    expect(told.plan.landings[0]!.late).toBeLessThanOrEqual(2);
    const live = liveSteps(told, now);
    expect(live.filter(({ status }) => status === 'done').map(({ step }) => step.stepId)).toEqual(['cover', 'soak']);
    expect(recordsOf({ ...told, mealId: 'm', over: true })).toEqual([]);
  });

  it('still soaking goes on soaking', async () => {
    const soak = plan.steps.find(({ stepId }) => stepId === 'soak')!;
    const now = at(soak.start + 300);
    const [group] = earlierThan(plan, TABLE, now);
    const told = await telling(settling(group!, 'done', TABLE, now), now);
    const live = liveSteps(told, now).find(({ step }) => step.stepId === 'soak')!;
    expect(live.status).toBe('running');
    expect(Math.abs(live.endAt - at(soak.end))).toBeLessThan(2 * 60_000);
  });

  it('not needed is left out with its rest; not done is due, and the table waits', async () => {
    const now = at(boil().start - 5);
    const [group] = earlierThan(plan, TABLE, now);
    const left = await telling(settling(group!, 'not needed', TABLE, now), now);
    expect(left.plan.landings[0]!.late).toBe(0);
    expect(settling(group!, 'not done', TABLE, now)).toEqual([]);
  });

  it('at any time settles all that it waits for', async () => {
    const now = at(boil().start);
    const events = doneAlready(evening(), 'beans/soak', now);
    expect(events.map((event) => 'key' in event && event.key)).toEqual(['beans/cover', 'beans/soak']);
    const told = await telling(events, now);
    expect(told.plan.landings[0]!.late).toBeLessThanOrEqual(1);
    expect(doneAlready(told, 'beans/soak', now)).toEqual([]);
  });

  it('asks before a late "done" starts the clock of a night', () => {
    const cover = liveSteps(evening(), at(-86)).find(({ step }) => step.stepId === 'cover')!;
    expect(restThatWouldBegin(evening(), cover, at(-86))?.step.stepId).toBe('soak');
    const first = plan.steps[0]!;
    const onTime = liveSteps(evening(), at(first.end)).find(({ step }) => step.stepId === 'cover')!;
    expect(restThatWouldBegin(evening(), onTime, at(first.end))).toBeNull();
  });
});
