import { beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { drainedGrain, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { carryOn, carryOnByClock } from './carry-on';
import { cuesAt } from './cues';
import { type LiveEvent, lastTakenBack, standingEvents } from './events';
import { isOutOfDate, progressAt } from './replan';
import { instantOf, isFinished, lastStanding, liveSteps, moreMinutes, type Session, safeMinutesLeft } from './session';
import { stoveAt } from './stove';

const MEAL = mealOf([plainGrain(), drainedGrain()]);
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});

const session = (events: readonly LiveEvent[] = []): Session => ({
  id: 's',
  meal: MEAL,
  tableAt: TABLE,
  plan,
  events,
  moved: '',
});
const step = (key: string) => plan.steps.find((each) => each.key === key)!;
const live = (from: Session, key: string, at: number) => liveSteps(from, at).find((each) => each.step.key === key)!;
const minute = (value: number, seconds = 1) => instantOf({ tableAt: TABLE }, value) + seconds * 1000;

/** Everything up to a minute told exactly as planned. */
function asPlanned(until: number): Session {
  const events = plan.steps.flatMap((each, index): LiveEvent[] => [
    ...(each.start <= until
      ? [{ id: `b${index}`, at: instantOf({ tableAt: TABLE }, each.start), kind: 'begun', key: each.key } as const]
      : []),
    ...(each.end <= until
      ? [{ id: `d${index}`, at: instantOf({ tableAt: TABLE }, each.end), kind: 'done', key: each.key } as const]
      : []),
  ]);
  return session(events);
}

describe('the log', () => {
  it('leaves out what was undone, and keeps it in the log', () => {
    const events: LiveEvent[] = [
      { id: '1', at: 0, kind: 'begun', key: 'a' },
      { id: '2', at: 1, kind: 'done', key: 'a' },
      { id: '3', at: 2, kind: 'undo', of: '2' },
    ];
    expect(standingEvents(events).map(({ id }) => id)).toEqual(['1']);
    expect(events).toHaveLength(3);
  });

  it('tells again what was taken back, step by step, until something new is told', () => {
    const told = (id: string): LiveEvent => ({ id, at: Number(id), kind: 'done', key: id });
    const undo = (id: string, of: string): LiveEvent => ({ id, at: Number(id), kind: 'undo', of });
    const log = [told('1'), told('2'), undo('3', '2'), undo('4', '1')];
    expect(standingEvents(log)).toEqual([]);
    expect(lastTakenBack(log)?.id).toBe('4');
    const one = [...log, undo('5', '4')];
    expect(standingEvents(one).map(({ id }) => id)).toEqual(['1']);
    expect(lastTakenBack(one)?.id).toBe('3');
    const both = [...one, undo('6', '3')];
    expect(standingEvents(both).map(({ id }) => id)).toEqual(['1', '2']);
    expect(lastTakenBack(both)).toBeUndefined();
    expect(lastTakenBack([...one, told('7')])).toBeUndefined();
  });
});

describe('a clock that is put back', () => {
  const HOUR = 3_600_000;
  it('leaves every pot on the heat, also where nobody noticed', () => {
    const at = minute(step('grain/cover').start + 3);
    const before = asPlanned(step('grain/cover').start + 3);
    expect(live(before, 'grain/cover', at).status).toBe('running');
    const after = live(before, 'grain/cover', at - HOUR);
    expect(after.status).toBe('running');
  });

  it('keeps its minutes left where it was noticed: what was told is told by the clock as it goes now', () => {
    const at = minute(step('grain/cover').start + 3);
    const before = asPlanned(step('grain/cover').start + 3);
    const set: LiveEvent = { id: 'set', at: at - HOUR, kind: 'clock-set', by: -HOUR };
    const after = session([...before.events, set]);
    const left = (from: Session, now: number) => live(from, 'grain/cover', now).endAt - now;
    expect(left(after, at - HOUR)).toBe(left(before, at));
    expect(lastStanding(after)).toEqual(lastStanding({ ...before, events: standingEvents(after.events).slice(0, -1) }));
    // Set twice, all before is moved twice; what was told in between once.
    const twice = standingEvents([
      { id: 'a', at: 100_000, kind: 'not-yet', key: 'x', until: 200_000 },
      { id: 'b', at: 90_000, kind: 'clock-set', by: -10_000 },
      { id: 'c', at: 95_000, kind: 'begun', key: 'y' },
      { id: 'd', at: 75_000, kind: 'clock-set', by: -20_000 },
    ]);
    expect(twice.map(({ at: told }) => told)).toEqual([70_000, 70_000, 75_000, 75_000]);
    expect(twice[0]).toMatchObject({ until: 170_000 });
  });
});

/** A sear that is followed at once by a rest, and a hard boil that safety asks for. */
describe('what follows at once', () => {
  const covered = () => {
    const boil = step('grain/boil');
    const cover = plan.steps.find((each) => each.follows === boil.key)!;
    const at = minute(boil.end);
    const done = session([...asPlanned(boil.start).events, { id: 'now', at, kind: 'done', key: boil.key }]);
    return { cover, at, done };
  };

  it('stands under now with the first that are due until it was told to be made, or for some minutes', () => {
    const { cover, at, done } = covered();
    const keys = (of: Session, now: number) => stoveAt(of, now).now.map((each) => each.step.key);
    expect(keys(done, at + 1000)[0]).toBe(cover.key);
    expect(live(done, cover.key, at + 1000)).toMatchObject({ status: 'running', turns: true });
    // It is under way all the same: its clock runs in sight.
    expect(stoveAt(done, at + 1000).watching.map((each) => each.step.key)).toContain(cover.key);
    const told = {
      ...done,
      events: [...done.events, { id: 't', at: at + 2000, kind: 'begun', key: cover.key } as const],
    };
    expect(keys(told, at + 3000)).not.toContain(cover.key);
    expect(keys(done, at + 11 * 60_000)).not.toContain(cover.key);
  });

  it('is called for with all its words', () => {
    const { cover, at, done } = covered();
    const cue = cuesAt(done, at + 1000).find(({ id }) => id === `turn ${cover.key}`);
    expect(cue?.kind).toBe('hands');
    expect(cue?.says).toContain(cover.says);
  });
});

describe('minutes of safety', () => {
  it('are asked back of a done that comes before they are over, without the time that it was put aside', () => {
    const boil = step('grain/boil');
    const safe: Session = {
      ...asPlanned(boil.start),
      plan: { ...plan, steps: plan.steps.map((each) => (each.key === boil.key ? { ...each, safeMinutes: 30 } : each)) },
    };
    const left = (after: number, of = safe) =>
      safeMinutesLeft(live(of, boil.key, minute(boil.start + after, 0)), minute(boil.start + after, 0));
    expect([left(0), left(12), left(30), left(45)]).toEqual([30, 18, 0, 0]);
    const aside: readonly LiveEvent[] = [
      { id: 'p', at: minute(boil.start + 5, 0), kind: 'paused', key: boil.key },
      { id: 'r', at: minute(boil.start + 15, 0), kind: 'resumed', key: boil.key },
    ];
    expect(left(30, { ...safe, events: [...safe.events, ...aside] })).toBe(10);
    expect(safeMinutesLeft(live(asPlanned(boil.start), boil.key, minute(boil.start + 1)), minute(boil.start + 1))).toBe(
      0,
    );
  });
});

describe('a step at the stove', () => {
  it('is under way by itself when it is hands-on and its hour has come', () => {
    const wash = step('grain/wash');
    expect(live(session(), wash.key, minute(wash.start - 1)).status).toBe('waiting');
    const running = live(session(), wash.key, minute(wash.start));
    expect(running.status).toBe('running');
    expect(running.endAt).toBe(instantOf({ tableAt: TABLE }, wash.end));
  });

  it('is due when someone must set it going, and runs from when it is told', () => {
    const boil = step('drained/parboil');
    const before = asPlanned(boil.start - 1);
    const at = minute(boil.start, 30);
    const told: Session = { ...before, events: [...before.events, { id: 'x', at, kind: 'begun', key: boil.key }] };
    expect(live(told, boil.key, at + 1).startAt).toBe(at);
    expect(live(told, boil.key, at + 1).endAt).toBe(at + boil.minutes * 60_000);
  });

  it('gets more time by "not yet": two fifths of its usual spread, between 2 and 15 minutes', () => {
    const cover = step('grain/cover');
    expect(moreMinutes(cover)).toBe(2);
    expect(moreMinutes({ ...cover, longestEnd: cover.end + 30 })).toBe(12);
    expect(moreMinutes({ ...cover, longestEnd: cover.end + 300 })).toBe(15);
  });

  it('is the same from the log at any instant: a closed tab loses nothing', () => {
    const halfway = asPlanned(step('grain/boil').end);
    const copy: Session = JSON.parse(JSON.stringify(halfway));
    for (const at of [-60, -30, -10, 0]) expect(liveSteps(copy, minute(at))).toEqual(liveSteps(halfway, minute(at)));
  });

  it('ends the evening when all is done', () => {
    expect(isFinished(liveSteps(asPlanned(0), minute(1)))).toBe(true);
    expect(stoveAt(asPlanned(0), minute(1)).finished).toBe(true);
    expect(isFinished(liveSteps(asPlanned(-20), minute(-20)))).toBe(false);
  });
});

describe('the three parts at the stove', () => {
  it('show one thing for a pair of hands, every pot on the heat, and what comes in the order of time', () => {
    for (let at = plan.steps[0]!.start; at < 0; at += 3) {
      const stove = stoveAt(asPlanned(at), minute(at));
      const hands = stove.now.filter((each) => each.step.attention === 'hands');
      expect(hands.length).toBeLessThanOrEqual(1);
      for (const pot of stove.watching) expect(pot.status).toBe('running');
      const starts = stove.next.map((each) => each.startAt);
      expect(starts).toEqual([...starts].sort((a, b) => a - b));
    }
  });
});

describe('planning the rest', () => {
  const rest = (from: Session, at: number) =>
    carryOn(from, at, 'Done', (request) =>
      planMeal(request.meal, {
        progress: request.progress,
        known: request.known,
        solve: { ...TEST_CLOCK, seconds: 10, rounds: 8 },
      }),
    );

  it('moves nothing when all goes by the clock', async () => {
    for (const share of [0.2, 0.5, 0.8]) {
      const at = Math.round(plan.steps[0]!.start * (1 - share));
      const done = await rest(asPlanned(at), minute(at));
      expect(done.moved).toBe('Done; nothing else moved.');
    }
  });

  it('after "not yet" moves what hangs on it, never what runs, is done, or into the past', async () => {
    const cover = step('grain/cover');
    const at = cover.end - 1;
    const before = asPlanned(at);
    const until = minute(cover.end + 6, 0);
    const told: Session = {
      ...before,
      events: [...before.events, { id: 'n', at: minute(at), kind: 'not-yet', key: cover.key, until }],
    };
    expect(isOutOfDate(told, minute(at))).toBe(true);
    const after = await rest(told, minute(at));
    const moved = after.plan.steps.find((each) => each.key === 'grain/rest')!;
    expect(moved.start).toBe(cover.end + 6);
    const { done, running } = progressAt(told, minute(at));
    for (const each of after.plan.steps) {
      const old = step(each.key);
      if (done.has(each.key)) expect(each.end).toBe(old.end);
      else if (running.has(each.key)) expect(each.start).toBe(old.start);
      else expect(each.start).toBeGreaterThanOrEqual(at);
    }
    expect(after.moved).toMatch(/Grain grain 6 min later/);
  });

  it('keeps the old plan and says so when the rest no longer fits', async () => {
    const at = plan.steps[0]!.start + 5;
    const told = await carryOn(asPlanned(at), minute(at), 'Done', async () => ({ ok: false, refusals: [] }));
    expect(told.plan).toBe(plan);
    expect(told.moved).toMatch(/no longer fits/);
  });

  it('by the clock leaves what the last answer led to in front for a minute', async () => {
    const at = plan.steps[0]!.start + 5;
    const told = { ...asPlanned(at), moved: 'Onions: glassy; nothing else moved.' };
    const said = told.events.at(-1)!.at;
    const clock = async (after: number, moved = told.moved) =>
      (await carryOnByClock({ ...told, moved }, said + after, async () => ({ ok: false, refusals: [] }))).moved;
    expect(await clock(30_000)).toMatch(
      /^Onions: glassy; nothing else moved. The clock has moved on. The rest no longer/,
    );
    expect(await clock(30_000, await clock(20_000))).toBe(await clock(30_000));
    expect(await clock(90_000)).toMatch(/^The clock has moved on/);
    expect(await clock(30_000, '')).toMatch(/^The clock has moved on/);
  });
});
