import { beforeAll, describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { planned } from '@/core/testing/meals';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { SAMPLE_MEALS } from '@/demo/meals';
import { agreedTableAt } from './as-it-is';
import { cuesAt, ringsAt } from './cues';
import type { LiveEvent, NewEvent } from './events';
import { followAlong } from './follow';
import { nextLookAt, questionOf, toFishOut, untilAfter, waterReminder } from './looks';
import { lateOffer } from './offer';
import { type LiveStep, liveSteps, type Session } from './session';
import { tellAndPlan } from './testing/simulate';

const kitchen = SAMPLE_MEALS[0]!.kitchen;
const meal: Meal = {
  id: 'm',
  name: 'Barley',
  people: 8,
  day: '2026-11-28',
  hour: '19:00',
  pace: 'steady',
  kitchen,
  dishes: [mushroomStock, barleyLeeks],
};
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const MINUTE = 60_000;
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal, 2);
});
const at = (minute: number) => TABLE + minute * MINUTE;
const step = (key: string) => plan.steps.find((each) => each.key === key)!;

/** Everything before a step as planned, and that step begun on its minute. */
function upTo(key: string): Session {
  const { start } = step(key);
  const before = plan.steps.filter((each) => each.end <= start && each.key !== key);
  const done = before.map(
    (each, index): LiveEvent => ({ id: `d${index}`, at: at(each.end), kind: 'done', key: each.key }),
  );
  const begun: LiveEvent = { id: 'b', at: at(start), kind: 'begun', key };
  return { id: 's', meal, tableAt: TABLE, plan, events: [...done, begun], moved: '' };
}
const live = (session: Session, key: string, now: number): LiveStep =>
  liveSteps(session, now).find((each) => each.step.key === key)!;
const told = (session: Session, said: NewEvent, now: number): Session => ({
  ...session,
  events: [...session.events, { ...said, id: `t${session.events.length}`, at: now } as LiveEvent],
});

describe('looks', () => {
  const key = 'mushroom-stock/boil';

  it('are wanted every so many minutes from the last one, asked as the sign of being done', () => {
    const session = upTo(key);
    const boil = live(session, key, at(step(key).start + 1));
    expect(nextLookAt(boil)).toBe(at(step(key).start + 10));
    expect(questionOf(boil)).toBe('It rolls?');
    const looked = told(
      session,
      { kind: 'checked', key, look: 'not there', until: boil.endAt },
      at(step(key).start + 4),
    );
    const later = live(looked, key, at(step(key).start + 5));
    const next = nextLookAt(later);
    // Less than a minute before its end it is looked at anyway.
    expect(next === null || next === at(step(key).start + 14)).toBe(true);
  });

  it('change the forecast by their answer: early nothing, nearly a little, not there more, there ends it', () => {
    const session = upTo(key);
    const boil = live(session, key, at(step(key).start + 1));
    const late = boil.endAt + MINUTE;
    expect(untilAfter('not there', boil, boil.startAt + MINUTE)).toBe(boil.endAt);
    const [nearly, not] = [untilAfter('nearly', boil, late), untilAfter('not there', boil, late)];
    expect(nearly).toBeGreaterThan(late);
    expect(not).toBeGreaterThan(nearly);
    const there = told(session, { kind: 'checked', key, look: 'there', until: late }, late);
    expect(live(there, key, late + 1).status).toBe('done');
  });

  it('with water: the grain’s liquid is remembered, and the stock that a grain takes is measured again', () => {
    expect(waterReminder(meal, 'barley', 100)).toMatch(/liquid of the grain: 100 ml/);
    expect(waterReminder(meal, 'mushroom-stock', 100)).toMatch(/Measure again.*Pearl barley with leeks wants/);
    expect(waterReminder(meal, 'none', 100)).toBeNull();
  });

  it('know what must be fished out', () => {
    expect(toFishOut(mushroomStock)).toEqual(['bay', 'peppercorns']);
    expect(toFishOut(barleyLeeks)).toEqual([]);
  });
});

describe('calls', () => {
  const key = 'mushroom-stock/simmer';

  it('come once for each thing, looks near one another as one trip, danger again and again until it is answered', () => {
    const session = upTo(key);
    const { endAt } = live(session, key, at(step(key).start + 1));
    const end = cuesAt(session, endAt + 1000).filter(({ kind }) => kind === 'look');
    expect(end).toHaveLength(1);
    expect(end[0]!.says).toMatch(/One trip to the stove\..*fish out the bay and peppercorns/);
    expect(cuesAt(session, endAt + 1000)[0]!.id).toBe(cuesAt(session, endAt + 9000)[0]!.id);
    const late = endAt + 20 * MINUTE;
    const danger = cuesAt(session, late)[0]!;
    expect(danger).toMatchObject({ kind: 'danger', keys: [key] });
    expect(ringsAt(danger, late + 60_000)).toBeGreaterThan(ringsAt(danger, late));
    const answered = told(session, { kind: 'done', key }, late);
    expect(cuesAt(answered, late + 1).some(({ kind }) => kind === 'danger')).toBe(false);
    const aside = told(session, { kind: 'paused', key }, late);
    expect(cuesAt(aside, late + 1).some(({ kind }) => kind === 'danger')).toBe(false);
  });

  it('ask the same of one pot once, when its look and its end come together', () => {
    const boil = 'mushroom-stock/boil';
    const look = at(step(boil).start + 10);
    const session = told(upTo(boil), { kind: 'not-yet', key: boil, until: look + 100_000 }, at(step(boil).start + 1));
    expect(nextLookAt(live(session, boil, look))).toBe(look);
    const asked = cuesAt(session, look + 1000).filter(({ keys }) => keys.includes(boil));
    expect(asked).toHaveLength(1);
    expect(asked[0]!.says.match(/It rolls\?/g)).toHaveLength(1);
  });

  it('follow along only with cold work at the board that nothing speaks against', () => {
    const first = plan.steps.find((each) => each.key === 'mushroom-stock/chop')!;
    const session: Session = { id: 's', meal, tableAt: TABLE, plan, events: [], moved: '' };
    const over = at(first.end) + 30_000;
    expect(followAlong(session, liveSteps(session, over), over)?.step.key).toBe(first.key);
    expect(followAlong(session, liveSteps(session, at(first.end) + 5000), at(first.end) + 5000)).toBeNull();
    const simmering = upTo(key);
    const late = at(step(key).end + 30);
    expect(
      followAlong(
        simmering,
        liveSteps(simmering, late).filter((each) => each.step.key === key),
        late,
      ),
    ).toBeNull();
  });
});

describe('when the hour cannot be kept', () => {
  it('an hour that can be kept is offered; agreed on, all else lands by it; taken back, the old hour stands', async () => {
    const key = 'mushroom-stock/simmer';
    let session = upTo(key);
    expect(lateOffer(session)).toBeNull();
    const now = at(step(key).end);
    const until = at(step(key).end + 40);
    session = await tellAndPlan(session, { kind: 'not-yet', key, until }, now);
    const offer = lateOffer(session)!;
    expect(offer.dishes).toEqual(['Pearl barley with leeks']);
    expect(offer.minutes % 5).toBe(0);
    expect(offer.newTable).toBe(TABLE + offer.minutes * MINUTE);
    const kept = await tellAndPlan(session, { kind: 'kept', minutes: offer.late }, now);
    expect(lateOffer(kept)).toBeNull();
    const agreed = await tellAndPlan(session, { kind: 'hour', minutes: offer.minutes }, now);
    expect(agreed.tableAt).toBe(offer.newTable);
    expect(lateOffer(agreed)).toBeNull();
    expect(agreed.plan.landings.every(({ late }) => late === 0)).toBe(true);
    // What has happened keeps its place on the clock.
    const began = (from: Session) => live(from, key, now).startAt;
    expect(began(agreed)).toBe(began(session));
    const hour = agreed.events.findLast(({ kind }) => kind === 'hour')!;
    const back = await tellAndPlan(agreed, { kind: 'undo', of: hour.id }, now);
    expect(back.tableAt).toBe(TABLE);
    expect(agreedTableAt(back)).toBe(TABLE);
  });

  it('a burner that fails is used no more, and a dish that is dropped is gone from what is to come', async () => {
    const key = 'mushroom-stock/simmer';
    const session = upTo(key);
    const now = at(step(key).start + 5);
    const { station } = step(key);
    const failed = await tellAndPlan(session, { kind: 'failed', unit: station.id }, now);
    expect(
      failed.plan.steps.filter((each) => each.end > step(key).start + 5 && each.station.id === station.id),
    ).toEqual([]);
    const dropped = await tellAndPlan(session, { kind: 'dropped', dish: 'barley' }, now);
    expect(dropped.plan.landings).toEqual([]);
    expect(
      liveSteps(dropped, now).filter(({ step: { dishId }, status }) => dishId === 'barley' && status !== 'done'),
    ).toEqual([]);
  });
});
