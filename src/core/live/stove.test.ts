import { beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import type { LiveEvent } from './events';
import { lastStanding, liveSteps, minutesToTable, type Session } from './session';
import { stoveAt } from './stove';

const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const MINUTE = 60_000;
const at = (minute: number, seconds = 1) => TABLE + minute * MINUTE + seconds * 1000;

/** Two grains and a helper who washes one of them. */
const meal = mealOf([plainGrain('a'), plainGrain('b')], {
  kitchen: {
    ...smallKitchen,
    people: [...smallKitchen.people, { id: 'helper', name: 'helper', role: 'helper', from: '06:00', until: '23:30' }],
  },
});
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});
const session = (events: readonly LiveEvent[]): Session => ({ id: 's', meal, tableAt: TABLE, plan, events, moved: '' });
const step = (key: string) => plan.steps.find((each) => each.key === key)!;
const done = (key: string, minute = step(key).end): LiveEvent => ({
  id: `done ${key}`,
  at: at(minute, 0),
  kind: 'done',
  key,
});

describe('at the stove', () => {
  it('nothing is to be done before the first step, and the next one is named', () => {
    const first = plan.steps[0]!;
    const stove = stoveAt(session([]), at(first.start - 20));
    expect(stove.now).toEqual([]);
    expect(stove.watching).toEqual([]);
    expect(stove.next[0]!.step.key).toBe(first.key);
    expect(stove.finished).toBe(false);
  });

  it('each pair of hands has its own thing to do', () => {
    const washes = ['a/wash', 'b/wash'].map(step);
    const together = washes[0]!.start < washes[1]!.end && washes[1]!.start < washes[0]!.end;
    const minute = Math.max(...washes.map((each) => each.start));
    const stove = stoveAt(session([]), at(minute));
    const hands = stove.now.filter((each) => each.step.attention === 'hands');
    expect(new Set(hands.map((each) => each.step.person!.id)).size).toBe(hands.length);
    if (together) expect(hands).toHaveLength(2);
  });

  it('what only rests is over by itself, and what follows waits for its hour', () => {
    const told = session([done('a/wash')]);
    const soak = step('a/soak');
    const find = (minute: number) => liveSteps(told, at(minute)).find((each) => each.step.key === 'a/soak')!;
    expect(find(soak.start).status).toBe('running');
    expect(find(soak.end).status).toBe('done');
    expect(stoveAt(told, at(soak.start)).watching.map((each) => each.step.key)).toContain('a/soak');
    expect(stoveAt(told, at(soak.end)).watching.map((each) => each.step.key)).not.toContain('a/soak');
  });

  it('a pot that runs over stays in sight until someone says it is done', () => {
    const events = ['a/wash', 'b/wash', 'a/boil', 'b/boil'].map((key) => done(key));
    const cover = step('a/cover');
    const late = stoveAt(session(events), at(cover.end + 7));
    const pot = late.watching.find((each) => each.step.key === 'a/cover')!;
    expect(pot.status).toBe('running');
    expect(pot.endAt).toBeLessThan(at(cover.end + 7));
    const after = stoveAt(session([...events, done('a/cover', cover.end + 7)]), at(cover.end + 7));
    expect(after.watching.map((each) => each.step.key)).not.toContain('a/cover');
    expect(after.watching.map((each) => each.step.key)).toContain('a/rest');
  });

  it('what wants an eye first stands first, and time alone moves nothing', () => {
    // Of two covered pots the one that is over later is to be looked at every five minutes.
    const steps = plan.steps.map((each) =>
      each.key === 'b/cover' ? { ...each, lookEvery: 5, attention: 'eyes' as const } : each,
    );
    const minute = Math.max(step('a/cover').start, step('b/cover').start);
    const begun = (key: string, when: number): LiveEvent => ({ id: `on ${key}`, at: at(when, 0), kind: 'begun', key });
    const events = [
      ...['a/wash', 'b/wash', 'a/boil', 'b/boil'].map((key) => done(key, minute - 1)),
      begun('a/cover', minute - 1),
      begun('b/cover', minute),
    ];
    const evening: Session = { ...session(events), plan: { ...plan, steps } };
    const pots = (when: Session, now: number) =>
      stoveAt(when, now)
        .watching.map((each) => each.step.key)
        .filter((key) => key.endsWith('/cover'));
    const order = (when: number) => pots(evening, at(when));
    expect(order(minute + 1)).toEqual(['b/cover', 'a/cover']);
    for (let later = 2; later < 12; later++) expect(order(minute + later)).toEqual(order(minute + 1));
    // Looked at, it wants no eye for a while: the other one comes first.
    const look: LiveEvent = {
      id: 'look',
      at: at(minute + 10, 0),
      kind: 'checked',
      key: 'b/cover',
      look: 'not there',
      until: at(minute + 25, 0),
    };
    expect(pots({ ...evening, events: [...events, look] }, at(minute + 10, 30))).toEqual(['a/cover', 'b/cover']);
  });

  it('undo takes back the last thing said that still stands', () => {
    const events: LiveEvent[] = [done('a/wash'), done('b/wash')];
    const undone: LiveEvent = { id: 'u', at: at(0), kind: 'undo', of: 'done b/wash' };
    expect(lastStanding(session(events))?.id).toBe('done b/wash');
    expect(lastStanding(session([...events, undone]))?.id).toBe('done a/wash');
    expect(lastStanding(session([]))).toBeUndefined();
    const again = liveSteps(session([...events, undone]), at(step('b/wash').end - 1));
    expect(again.find((each) => each.step.key === 'b/wash')!.status).not.toBe('done');
  });

  it('free minutes are counted to the next thing for the hands', () => {
    for (const minute of [plan.steps[0]!.start - 15, -40, -20]) {
      const stove = stoveAt(session([]), at(minute, 0));
      const next = stove.next.find((each) => each.step.person?.id === 'cook');
      const until = next ? minutesToTable({ tableAt: TABLE }, next.startAt) : 0;
      const busy = minutesToTable({ tableAt: TABLE }, stove.quietFrom);
      expect(stove.quietMinutes).toBe(Math.max(0, Math.floor(until - busy)));
    }
  });
});
