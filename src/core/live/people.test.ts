import { beforeAll, describe, expect, it } from 'vitest';
import { holdOfPerson } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { barleyLeeks, beefCheeks, mushroomStock } from '@/demo/harvest';
import { type Cue, cuesAt } from './cues';
import { cuesFor, isFor, peopleAt, stoveFor } from './people';
import { instantOf, type LiveStep, liveSteps, type Session } from './session';
import { type Stove, stoveAt } from './stove';
import { tellAndPlan } from './testing/simulate';

const meal = mealOf([mushroomStock, barleyLeeks, beefCheeks], { people: 8, kitchen: largeKitchen });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
let session: Session;
beforeAll(async () => {
  plan = await planned(meal);
  session = { id: 's', meal, tableAt: TABLE, plan, events: [], moved: '' };
});
const [cook, helper] = largeKitchen.people;

describe('two in the kitchen', () => {
  it('each has a list of their own, together all of it', () => {
    for (let minute = plan.firstHand; minute < 0; minute += 7) {
      const now = instantOf({ tableAt: TABLE }, minute);
      const steps = liveSteps(session, now);
      const stove = stoveAt(session, now, steps);
      const lists = [cook!, helper!].map(({ id }) => stoveFor(stove, id, meal.kitchen.people));
      const keys = (of: typeof lists) =>
        of.flatMap((each) => [...each.now, ...each.watching]).map(({ step }) => step.key);
      expect(new Set(keys(lists))).toEqual(new Set(keys([stove])));
      expect(keys(lists)).toHaveLength(keys([stove]).length);
      expect(lists[1]!.watching).toEqual([]);
      const cues = cuesAt(session, now, steps);
      const called = [cook!, helper!].flatMap(({ id }) => cuesFor(cues, steps, id, meal.kitchen.people));
      expect(new Set(called)).toEqual(new Set(cues));
    }
  });

  it('shows who is free, and calls by name', () => {
    const own = plan.steps.find(({ person, attention }) => attention === 'hands' && person?.id === helper!.id)!;
    const now = instantOf({ tableAt: TABLE }, own.start) + 1000;
    const steps = liveSteps(
      {
        ...session,
        events: plan.steps
          .filter(({ end }) => end <= own.start)
          .map(({ key, end }, index) => ({
            id: `${index}`,
            at: instantOf({ tableAt: TABLE }, end),
            kind: 'done',
            key,
          })),
      },
      now,
    );
    const at = peopleAt(session, steps).find(({ person }) => person.id === helper!.id)!;
    expect(at.doing?.step.key).toBe(own.key);
    expect(cuesAt(session, now, steps).find(({ keys }) => keys.includes(own.key))!.says).toMatch(
      new RegExp(`^${helper!.name}: `),
    );
  });

  it('work that is given to the other is theirs at once, and stays theirs in the plan', async () => {
    const own = plan.steps.find(
      ({ person, attention, station }) =>
        attention === 'hands' && person?.id === cook!.id && station.sort === 'board' && person !== null,
    )!;
    const now = instantOf({ tableAt: TABLE }, plan.firstHand - 10);
    const told = await tellAndPlan(session, { kind: 'handed', key: own.key, person: helper!.id }, now);
    const after = told.plan.steps.find(({ key }) => key === own.key)!;
    expect(after.person?.id).toBe(helper!.id);
    expect(told.plan.known.holds[holdOfPerson(own.key)]).toContain(helper!.id);
    // A word about whose it is does not begin it.
    expect(liveSteps(told, now).find(({ step }) => step.key === own.key)!.status).toBe('waiting');
    // And it is taken back.
    const back = await tellAndPlan(told, { kind: 'undo', of: told.events.at(-1)!.id }, now + 1000);
    expect(liveSteps(back, now).find(({ step }) => step.key === own.key)!.told.person).toBeUndefined();
  });
});

describe('each pair of hands', () => {
  const [cook, helper] = largeKitchen.people;
  const step = (key: string, person: string | null, over: object = {}, at: object = {}) =>
    ({
      step: { key, attention: 'hands', person: person === null ? null : { id: person }, ...over },
      status: 'waiting',
      stands: false,
      startAt: 0,
      ...at,
    }) as unknown as LiveStep;

  it('does what runs and does not stand, and next what comes first of what waits or is due', () => {
    const steps = [
      step('stands', cook!.id, {}, { status: 'running', stands: true }),
      step('runs', cook!.id, {}, { status: 'running' }),
      step('third', cook!.id, {}, { startAt: 30 }),
      step('second', cook!.id, {}, { startAt: 20, status: 'due' }),
      step('simmers', cook!.id, { attention: 'eyes' }, { startAt: 1 }),
      step('done', cook!.id, {}, { status: 'done' }),
      step('of another', helper!.id, {}, { startAt: 2 }),
      step('of nobody', null),
    ];
    const [mine, theirs] = peopleAt({ meal }, steps);
    expect([mine!.doing?.step.key, mine!.next?.step.key]).toEqual(['runs', 'second']);
    expect([theirs!.doing, theirs!.next?.step.key]).toEqual([null, 'of another']);
    expect(peopleAt({ meal }, [steps[0]!]).map(({ doing, next }) => [doing, next])).toEqual(
      largeKitchen.people.map(() => [null, null]),
    );
  });

  it('has what its hands do; a pot, and what nobody has, is the first cook’s', () => {
    const mine = (of: LiveStep) => largeKitchen.people.map(({ id }) => isFor(of, id, largeKitchen.people));
    const none = largeKitchen.people.map(() => false);
    expect(mine(step('a', helper!.id))).toEqual(none.with(1, true));
    expect(mine(step('a', helper!.id, { attention: 'eyes' }))).toEqual(none.with(0, true));
    expect(mine(step('a', null))).toEqual(none.with(0, true));
    expect(isFor(step('a', null), cook!.id, [helper!])).toBe(false);
  });

  it('hears its own calls, and those of danger whoever they are for', () => {
    const steps = [step('a', helper!.id), step('b', cook!.id)];
    const cue = (kind: string, ...keys: readonly string[]) => ({ kind, keys }) as unknown as Cue;
    const cues = [
      cue('begin', 'a'),
      cue('begin', 'b'),
      cue('danger', 'a'),
      cue('begin', 'gone'),
      cue('begin', 'b', 'a'),
    ];
    const of = (id: string) => cuesFor(cues, steps, id, largeKitchen.people).map((each) => cues.indexOf(each));
    expect([of(cook!.id), of(helper!.id)]).toEqual([
      [1, 2, 4],
      [0, 2, 4],
    ]);
  });

  it('has its own rows of the stove', () => {
    const steps = [step('a', helper!.id), step('b', cook!.id)];
    const stove = { now: steps, watching: steps, next: steps } as unknown as Stove;
    const keys = (id: string) => {
      const { now, watching, next } = stoveFor(stove, id, largeKitchen.people);
      return [now, watching, next].map((list) => list.map(({ step }) => step.key).join());
    };
    expect(keys(helper!.id)).toEqual(['a', 'a', 'a']);
    expect(keys(cook!.id)).toEqual(['b', 'b', 'b']);
  });
});
