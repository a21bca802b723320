import { beforeAll, describe, expect, it } from 'vitest';
import { KEPT_WARM } from '@/core/dish/keep-warm';
import { type StepKey, stepKey } from '@/core/meal/keys';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { atHour } from './at-hour';
import type { LiveEvent } from './events';
import { isOutOfDate, joinPlans, lastingAsWanted, progressAt } from './replan';
import { instantOf, type Session } from './session';

const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const meal = mealOf([plainGrain('a'), plainGrain('b')], { kitchen: smallKitchen, people: 4 });
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal, 4, 2);
});
const step = (key: string, of: Plan = plan) => of.steps.find((each) => each.key === key)!;
const at = (minute: number) => instantOf({ tableAt: TABLE }, minute);
const session = (events: readonly LiveEvent[] = [], of: Plan = plan): Session => ({
  id: 's',
  meal,
  tableAt: TABLE,
  plan: of,
  events,
  moved: '',
});
const told = (kind: 'begun' | 'done', key: string, minute: number) =>
  ({ id: `${kind} ${key}`, at: at(minute), kind, key }) as LiveEvent;

describe('what has happened, in whole minutes', () => {
  it('begins with the minute in which it began, and ends with the nearest, not after now', () => {
    const { start } = step('a/wash');
    const ended = (minute: number, now: number) =>
      progressAt(session([told('begun', 'a/wash', start + 0.9), told('done', 'a/wash', minute)]), at(now)).done.get(
        'a/wash',
      );
    expect(ended(start + 3.4, start + 9)).toEqual({ start, end: start + 3 });
    expect(ended(start + 3.6, start + 9)).toEqual({ start, end: start + 4 });
    // The minute is not over by the clock, and more than half of it is.
    expect(ended(start + 3.6, start + 3.7)).toEqual({ start, end: start + 3 });
  });

  it('goes on until it is thought to end, or at least until now; now is the minute that the clock shows', () => {
    const { start, end } = step('a/wash');
    const running = (now: number) => progressAt(session([told('begun', 'a/wash', start)]), at(now));
    expect(running(start + 1.9)).toMatchObject({ now: start + 1 });
    expect(running(start + 1.9).running.get('a/wash')).toEqual({ start, end });
    expect(running(end + 2.5).running.get('a/wash')!.end).toBeGreaterThanOrEqual(end + 2);
    expect(running(start + 1.9).done.size).toBe(0);
  });
});

describe('a plan holds', () => {
  it('while what has not begun is no more than a minute behind the clock', () => {
    // What waits for the washing should have begun a minute after it did.
    const { start } = step('a/wash');
    const own = {
      ...plan,
      steps: [step('a/wash'), { ...step('a/soak'), start: start + 1, end: start + 21 }],
    };
    expect(isOutOfDate(session([], own), at(start + 2.9))).toBe(false);
    expect(isOutOfDate(session([], own), at(start + 3))).toBe(true);
  });

  it('while what runs ends when it should, whatever is done', () => {
    const { start, end } = step('a/wash');
    const begun = [told('begun', 'a/wash', start)];
    // Of this dish alone: the other waits for the same hands.
    const own = { ...plan, steps: plan.steps.filter(({ key }) => key === 'a/wash') };
    expect(isOutOfDate(session(begun, own), at(end - 1))).toBe(false);
    expect(isOutOfDate(session([told('begun', 'a/wash', start + 2)], own), at(start + 2.5))).toBe(true);
    expect(isOutOfDate(session([...begun, told('done', 'a/wash', start + 1)], own), at(end + 30))).toBe(false);
  });
});

describe('the rest is joined to what was', () => {
  /** An evening in which one dish is washed and soaks, planned anew a few minutes later than it was. */
  function joined(change: (rest: Plan) => Plan = (rest) => rest, served?: ReadonlySet<string>) {
    const { start } = step('a/wash');
    const events = [
      told('begun', 'a/wash', start + 0.5),
      told('done', 'a/wash', start + 2.5),
      told('begun', 'a/soak', start + 2.5),
    ];
    const before = session(events);
    const now = at(start + 3);
    const later = (each: PlannedStep): PlannedStep => ({
      ...each,
      start: each.start + 5,
      end: each.end + 5,
      amounts: [...each.amounts, 'more'],
      after: [...each.after, 'new' as StepKey],
      person: null,
    });
    const rest: Plan = { ...plan, steps: plan.steps.filter(({ key }) => key !== 'a/wash').map(later) };
    return { start, after: joinPlans(before, change(rest), now, served) };
  }

  it('done steps keep the minutes they really took, and hold nothing up any more', () => {
    const { start, after } = joined();
    expect(step('a/wash', after)).toMatchObject({ start, end: start + 3, slack: 0, slackSooner: 0, chain: [] });
  });

  it('what runs keeps its beginning, its length, its hands and what is in it; the rest is as it is planned now', () => {
    const { start, after } = joined();
    const soak = step('a/soak', after);
    expect(soak).toMatchObject({ start: start + 2, minutes: step('a/soak').minutes, amounts: step('a/soak').amounts });
    expect(soak.person).toEqual(step('a/soak').person);
    const boil = step('b/boil', after);
    expect(boil.start).toBe(step('b/boil').start + 5);
    expect(boil.amounts).toEqual([...step('b/boil').amounts, 'more']);
    expect(boil.person).toBeNull();
    // What each waits for by the old plan and by the new one, each once.
    expect(boil.after).toEqual([...step('b/boil').after, 'new']);
    expect(boil.follows).toEqual(step('b/boil').follows);
    const starts = after.steps.map((each) => each.start);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });

  it('what is not planned any more is gone, and what came new is there', () => {
    const { after } = joined((rest) => ({
      ...rest,
      steps: [
        ...rest.steps.filter(({ key }) => key !== 'b/rest'),
        { ...step('b/rest'), key: 'c/x' as StepKey, start: -999 },
      ],
    }));
    expect(after.steps.map(({ key }) => key)).not.toContain('b/rest');
    expect(after.steps[0]!.key).toBe('c/x');
    expect(after.steps.map(({ key }) => key)).toContain('a/wash');
  });

  it('each dish lands as it is planned now; what is eaten no more lands nowhere, what came new lands too', () => {
    const moved = (rest: Plan): Plan => ({
      ...rest,
      landings: [
        ...rest.landings.filter(({ dishId }) => dishId === 'b').map((each) => ({ ...each, late: 7 })),
        { ...rest.landings[0]!, dishId: 'c' },
      ],
    });
    const { after } = joined(moved);
    expect(after.landings.map(({ dishId, late }) => [dishId, late])).toEqual([
      ['a', expect.any(Number)],
      ['b', 7],
      ['c', 0],
    ]);
    // Not planned any more: it lands by its last step, five minutes later than it was thought.
    expect(after.landings[0]).toMatchObject({
      ready: step('a/rest').end + 5,
      late: Math.max(0, step('a/rest').end + 5),
    });
    expect(joined(moved, new Set(['b', 'c'])).after.landings.map(({ dishId }) => dishId)).toEqual(['b', 'c']);
  });

  it('what waits between steps that are done stays, what waits for others is that of the new plan', () => {
    const wait = (after: string, before: string | null) =>
      ({ dishId: 'a', from: 0, to: 1, after, before, cold: false }) as Plan['waitings'][number];
    const { start } = step('a/wash');
    const old: Plan = {
      ...plan,
      waitings: [wait('a/wash', null), wait('a/wash', 'a/soak'), wait('a/soak', null), wait('a/wash', 'a/wash')],
    };
    const events = [told('begun', 'a/wash', start), told('done', 'a/wash', start + 2)];
    const rest = {
      ...plan,
      steps: plan.steps.filter(({ key }) => key !== 'a/wash'),
      waitings: [wait('b/soak', 'b/boil')],
    };
    const { waitings } = joinPlans(session(events, old), rest, at(start + 3));
    expect(waitings.map(({ after, before }) => [after, before])).toEqual([
      ['a/wash', null],
      ['a/wash', 'a/wash'],
      ['b/soak', 'b/boil'],
    ]);
  });

  it('hands are told by who is at what, rows of stations are those of both, and what is known of either stands', () => {
    const cook = plan.hands[0]!;
    const station = (id: string) => ({ ...plan.stations[0]!, id });
    const { after } = joined((rest) => ({
      ...rest,
      steps: rest.steps.map((each) => (each.key === 'b/wash' ? { ...each, person: step('b/wash').person } : each)),
      stations: [station('new'), plan.stations.at(-1)!],
      firstHand: 0,
      known: { places: { x: {} }, holds: { y: 'z' } } as unknown as Plan['known'],
    }));
    const own = after.hands.find(({ personId }) => personId === cook.personId)!.busy;
    expect(own.map(({ key }) => key).toSorted()).toEqual(['a/wash', 'b/wash']);
    for (const each of own)
      expect(each).toMatchObject({ start: step(each.key, after).start, end: step(each.key, after).end });
    expect(after.stations.map(({ id }) => id)).toEqual([
      ...plan.stations.slice(0, -1).map(({ id }) => id),
      'new',
      plan.stations.at(-1)!.id,
    ]);
    expect(after.firstHand).toBe(plan.firstHand);
    expect(after.known.places).toEqual({ ...plan.known.places, x: {} });
    expect(after.known.holds).toEqual({ ...plan.known.holds, y: 'z' });
    const more = [...plan.stations, station('one'), station('two')];
    expect(joined((rest) => ({ ...rest, stations: more })).after.stations).toEqual(more);
  });
});

describe('what is kept warm', () => {
  it('lasts as long as the meal wants by now, and at least until now', () => {
    const warming = (likely: number) => ({
      ...meal,
      dishes: [
        {
          ...meal.dishes[0]!,
          steps: [
            { ...meal.dishes[0]!.steps[0]!, id: KEPT_WARM, minutes: { shortest: likely, likely, longest: likely } },
          ],
        },
      ],
    });
    const key = stepKey('a', KEPT_WARM);
    const progress = { now: -10, done: new Map(), running: new Map([[key, { start: -20, end: -12 }]]) };
    const end = (likely: number) => lastingAsWanted(progress, warming(likely)).running.get(key);
    expect(end(15)).toEqual({ start: -20, end: -5 });
    expect(end(5)).toEqual({ start: -20, end: -10 });
    expect(lastingAsWanted(progress, meal).running.get(key)).toEqual({ start: -20, end: -12 });
    expect(lastingAsWanted({ ...progress, running: new Map() }, warming(15)).running.size).toBe(0);
  });
});

describe('the table at another hour', () => {
  it('is told from there: nothing moves by the clock, and the first hour is remembered', () => {
    const before = session();
    expect(atHour(before, TABLE)).toBe(before);
    const later = atHour(before, TABLE + 20 * 60_000);
    expect(later).toMatchObject({ tableAt: TABLE + 20 * 60_000, firstTable: TABLE });
    for (const { key, start, end, shortestEnd, longestEnd } of plan.steps)
      expect(step(key, later.plan)).toMatchObject({
        start: start - 20,
        end: end - 20,
        shortestEnd: shortestEnd - 20,
        longestEnd: longestEnd - 20,
      });
    expect(later.plan.firstHand).toBe(plan.firstHand - 20);
    const [was, is] = [plan, later.plan].map(({ waitings, hands, landings, known }) => ({
      waits: waitings.map(({ from, to }) => [from, to]),
      busy: hands.flatMap(({ busy }) => busy.map(({ start, end }) => [start, end])),
      ready: landings.map(({ ready }) => [ready, ready]),
      places: Object.values(known.places).map(({ start, end }) => [start, end]),
    }));
    for (const part of ['waits', 'busy', 'ready', 'places'] as const)
      expect(is![part]).toEqual(was![part].map((pair) => pair.map((minute) => minute - 20)));
    // And later still it is the same first hour.
    expect(atHour(later, TABLE + 60 * 60_000).firstTable).toBe(TABLE);
  });
});
