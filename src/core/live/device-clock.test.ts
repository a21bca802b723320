import { describe, expect, it } from 'vitest';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { leapBetween } from './device-clock';
import type { LiveEvent } from './events';
import { standingEvents } from './events';
import { liveSteps, type Session } from './session';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const look = (wall: number, running: number) => ({ wall, running });

describe('the clock of a device', () => {
  const before = look(1_000_000_000, 5_000);

  it.each([
    ['runs on', 250, 250, null],
    ['runs on while the machine is busy for ten minutes', 10 * MINUTE, 10 * MINUTE, null],
    ['is tuned back by 29 s', 250 - 29_000, 250, null],
    ['is put back by 30 s', 250 - 30_000, 250, { way: 'back', by: -30_000 }],
    ['is put back by an hour', 250 - HOUR, 250, { way: 'back', by: -HOUR }],
    ['is tuned on by less than five minutes', 5 * MINUTE - 1, 0, null],
    ['is put on by five minutes', 5 * MINUTE, 0, { way: 'on', by: 5 * MINUTE }],
    ['has gone on for three hours of sleep', 3 * HOUR + 250, 250, { way: 'on', by: 3 * HOUR }],
  ] as const)('%s', (_, wall, running, leap) => {
    expect(leapBetween(before, look(before.wall + wall, before.running + running))).toEqual(leap);
  });
});

describe('an evening whose clock was set', () => {
  async function evening(by: number): Promise<{ left: readonly number[]; session: Session }> {
    const meal = mealOf([plainGrain()]);
    const plan = await planned(meal, 1);
    const tableAt = Date.UTC(2026, 10, 28, 18);
    const boil = plan.steps.find(({ stepId }) => stepId === 'boil')!;
    const begun = tableAt + boil.start * MINUTE;
    const events: LiveEvent[] = [
      { id: '1', kind: 'begun', key: boil.key, at: begun },
      { id: '2', kind: 'not-yet', key: boil.key, until: begun + 20 * MINUTE, at: begun + 2 * MINUTE },
    ];
    const set: LiveEvent = { id: '3', kind: 'clock-set', by, at: begun + 3 * MINUTE + by };
    const leftOf = (log: readonly LiveEvent[], now: number) => {
      const live = liveSteps({ id: 'e', meal, plan, tableAt, events: log, moved: '' }, now).find(
        ({ step }) => step.key === boil.key,
      )!;
      return Math.round((live.endAt - now) / MINUTE);
    };
    const left = [leftOf(events, begun + 3 * MINUTE), leftOf([...events, set], begun + 3 * MINUTE + by)];
    return { left, session: { id: 'e', meal, plan, tableAt, events: [...events, set], moved: '' } };
  }

  it.each([-HOUR, HOUR, 3 * HOUR])('by %d ms has its pots where they were', async (by) => {
    const { left } = await evening(by);
    expect(left).toEqual([17, 17]);
  });

  it('moves each instant that was told before, and none after', async () => {
    const { session } = await evening(HOUR);
    const instants = standingEvents([...session.events, { id: '4', kind: 'begun', key: 'grain/cover', at: 5 }]).map(
      (event) => event.at,
    );
    const told = session.events.map(({ at }) => at);
    expect(instants).toEqual([told[0]! + HOUR, told[1]! + HOUR, told[2], 5]);
    const settled = standingEvents([
      { id: '1', kind: 'settled', key: 'grain/boil', when: 1000, at: 2000 },
      { id: '2', kind: 'to-oven', key: 'grain/boil', under: { until: 3000, rest: 5 }, at: 2500 },
      { id: '3', kind: 'clock-set', by: HOUR, at: 3000 },
    ]);
    expect(settled[0]).toMatchObject({ when: 1000 + HOUR, at: 2000 + HOUR });
    expect(settled[1]).toMatchObject({ under: { until: 3000 + HOUR, rest: 5 } });
  });
});
