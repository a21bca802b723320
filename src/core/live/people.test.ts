import { beforeAll, describe, expect, it } from 'vitest';
import { holdOfPerson } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { barleyLeeks, beefCheeks, mushroomStock } from '@/demo/harvest';
import { cuesAt } from './cues';
import { cuesFor, peopleAt, stoveFor } from './people';
import { instantOf, liveSteps, type Session } from './session';
import { stoveAt } from './stove';
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
