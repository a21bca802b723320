import { beforeAll, describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { mealAsItIs } from './as-it-is';
import type { LiveEvent } from './events';
import { forgottenOf, mishapsOf, type Patient, type Rescue } from './rescues';
import { instantOf, liveSteps, type Session } from './session';
import { planRestIn, tellAndPlan } from './testing/simulate';
import { whatIf } from './what-if';

const shelf = (name: string) => SHELF.find((dish) => dish.name === name)!;
const rice = shelf('Plain long grain rice');
const braise = shelf('Beef braised in wine');
const beans = shelf('Coconut rice with yesterday’s beans');
const MEAL = mealOf([rice, braise], { kitchen: largeKitchen, people: 4 });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});
const planRest = planRestIn(3);

/** All told as planned up to a minute. */
function upTo(minute: number, meal = MEAL, whole = plan): { readonly session: Session; readonly at: number } {
  const told = whole.steps
    .flatMap(({ key, start, end }): LiveEvent[] => [
      ...(start <= minute
        ? [{ id: `b ${key}`, at: instantOf({ tableAt: TABLE }, start), kind: 'begun', key } as const]
        : []),
      ...(end <= minute
        ? [{ id: `d ${key}`, at: instantOf({ tableAt: TABLE }, end), kind: 'done', key } as const]
        : []),
    ])
    .sort((a, b) => a.at - b.at);
  const at = instantOf({ tableAt: TABLE }, minute) + 1000;
  return { session: { id: 's', meal, tableAt: TABLE, plan: whole, events: told, moved: '' }, at };
}
function patientOf({ session, at }: ReturnType<typeof upTo>, dishId: string): Patient {
  const meal = mealAsItIs(session, at);
  const own = liveSteps(session, at).filter(({ step, status }) => step.dishId === dishId && status !== 'waiting');
  const live = own.find(({ status }) => status === 'running') ?? own.at(-1)!;
  return { meal, dish: meal.dishes.find(({ id }) => id === dishId)!, live, at };
}
const ways = (patient: Patient, id: string): readonly Rescue[] =>
  mishapsOf(patient).find((each) => each.id === id)?.ways ?? [];

describe('rescues', () => {
  it('are those of grain for grain, of a sauce for a sauce, of meat for meat', () => {
    const evening = upTo(-2);
    const ofRice = mishapsOf(patientOf(evening, rice.id)).map(({ id }) => id);
    expect(ofRice).toEqual(expect.arrayContaining(['wet', 'hard', 'caught', 'fallen']));
    expect(ofRice).not.toContain('tough');
    const ofBraise = mishapsOf(patientOf(evening, braise.id)).map(({ id }) => id);
    expect(ofBraise).toEqual(
      expect.arrayContaining(['split', 'thin', 'salty', 'burnt below', 'tough', 'dry', 'fallen']),
    );
    expect(ofBraise).not.toContain('wet');
  });

  it('prolong what is under way, and add a step to what was ready', async () => {
    const covered = plan.steps.findLast(({ dishId, station }) => dishId === rice.id && station.sort === 'burner')!;
    const evening = upTo(covered.end - 2);
    const [sprinkle] = ways(patientOf(evening, rice.id), 'hard');
    const told = await tellAndPlan(evening.session, sprinkle!.does[0]!, evening.at);
    const after = liveSteps(told, evening.at).find(({ step }) => step.key === covered.key)!;
    expect(after.endAt).toBe(evening.at + 7 * 60_000);
    expect(sprinkle!.says).toMatch(/\d+ ml of boiling water/);

    const ready = upTo(-1);
    const [again] = ways(patientOf(ready, rice.id), 'hard');
    const mended = await tellAndPlan(ready.session, again!.does[0]!, ready.at);
    const extra = mended.plan.steps.findLast(({ dishId }) => dishId === rice.id)!;
    expect(extra.says).toContain('boiling water over it');
    expect(extra.minutes).toBeGreaterThanOrEqual(7);
    expect(extra.start).toBeGreaterThanOrEqual(-1);
    expect(mended.plan.landings.find(({ dishId }) => dishId === rice.id)!.late).toBeGreaterThan(0);
    // Taken back, the step is gone.
    const back = await tellAndPlan(mended, { kind: 'undo', of: mended.events.at(-1)!.id }, ready.at + 1000);
    expect(back.plan.steps.some(({ key }) => key === extra.key)).toBe(false);
  });

  it('say what each leads to, with something quick in the place of what fell', async () => {
    const { session, at } = upTo(-20);
    const patient = patientOf({ session, at }, rice.id);
    const instead = ways(patient, 'fallen').find(({ id }) => id.includes('bread'))!;
    expect(instead.caution).toMatch(/burn goes under cool running water/);
    const { plan: then, leadsTo } = await whatIf(session, instead.does, at, planRest);
    expect(leadsTo).toMatch(/lands in time/);
    expect(then.steps.some(({ dishId }) => dishId === 'extra-bread')).toBe(true);
    expect(then.landings.some(({ dishId }) => dishId === rice.id)).toBe(false);
  });

  it('never put raw meat, egg or poisonous beans into a pot that has not the time for it', async () => {
    const late = upTo(-3);
    const patient = patientOf(late, braise.id);
    const list = forgottenOf(patient, liveSteps(late.session, late.at));
    const meat = list.find(({ name }) => /beef|cheek|shin/i.test(name))!;
    expect(meat.way).toBeNull();
    expect(meat.says).toMatch(/would not be safe/);
    const meal = mealOf([beans], { kitchen: largeKitchen });
    const evening = upTo(-3, meal, await planned(meal));
    for (const each of forgottenOf(patientOf(evening, beans.id), liveSteps(evening.session, evening.at)))
      if (/kidney/i.test(each.name)) expect(each.way).toBeNull();
    // Salt and spice can still go in, and say until when.
    const onions = list.find(({ name }) => /onion/i.test(name));
    expect(onions?.says).toMatch(/[Ff]ried apart/);
  });

  it('know only of what should have gone in already', () => {
    const first = plan.steps.find(({ dishId }) => dishId === braise.id)!;
    const early = upTo(first.start);
    const list = forgottenOf(patientOf(early, braise.id), liveSteps(early.session, early.at));
    expect(list.length).toBeLessThan(braise.ingredients.length);
  });

  it('are there, with a way each, for every dish of the shelf at the table', async () => {
    for (const dish of SHELF.filter((_, index) => index % 9 === 4)) {
      const meal = mealOf([dish], { kitchen: largeKitchen });
      const evening = upTo(0, meal, await planned(meal, 2, 1));
      for (const mishap of mishapsOf(patientOf(evening, dish.id))) {
        expect(mishap.ways.length, `${dish.name}: ${mishap.id}`).toBeGreaterThan(0);
        for (const way of mishap.ways) expect(JSON.stringify(way)).not.toMatch(/NaN|Infinity|undefined/);
      }
    }
  });
});
