import { beforeAll, describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { mealAsItIs } from './as-it-is';
import type { LiveEvent } from './events';
import { type FoundRemedy, findWays, waysToTry } from './live-remedies';
import { borneAsItIs, isTrouble, lateOffer, troubleOf } from './offer';
import { instantOf, liveSteps, type Session } from './session';
import { planRestIn, tellAndPlan } from './testing/simulate';

const MINUTE = 60_000;

function sampleMeal(id: string): Meal {
  const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === id)!;
  return { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
}

/** An evening that has gone by the plan up to a minute. */
function upTo(meal: Meal, plan: Plan, minute: number): { readonly session: Session; readonly at: number } {
  const tableAt = new Date(`${meal.day}T${meal.hour}:00`).getTime();
  const told = (kind: 'begun' | 'done', key: string, when: number): LiveEvent => ({
    id: `${kind} ${key}`,
    at: instantOf({ tableAt }, when),
    kind,
    key,
  });
  const events = plan.steps
    .flatMap(({ key, start, end }) => [
      ...(start <= minute ? [told('begun', key, start)] : []),
      ...(end <= minute ? [told('done', key, end)] : []),
    ])
    .sort((a, b) => a.at - b.at);
  return {
    session: { id: 's', meal, tableAt, plan, events, moved: '' },
    at: instantOf({ tableAt }, minute) + 1000,
  };
}

const planRest = planRestIn(2);
const find = (session: Session, at: number) => findWays(session, at, planRest);

async function take(session: Session, way: FoundRemedy, at: number): Promise<Session> {
  let told = session;
  for (const said of way.does) told = await tellAndPlan(told, said, at);
  return told;
}

describe('at the harvest supper', () => {
  const meal = sampleMeal('harvest');
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(meal, 20, 12);
  });

  it('guests forty minutes late at the last moment: what bears it is kept warm until they come, again when they are later still', async () => {
    const { session, at } = upTo(meal, plan, -15);
    const late = await tellAndPlan(session, { kind: 'hour', minutes: 40 }, at);
    const { spoilt } = troubleOf(late);
    expect(spoilt.length).toBeGreaterThan(0);
    const ways = await find(late, at);
    const warm = ways.find(({ id }) => id.startsWith('warm'))!;
    expect(warm.says).toMatch(/^keep .+ warm$/);
    expect(warm.how).toMatch(/(on the lowest flame|in a low oven)/);
    const kept = await take(late, warm, at);
    expect(troubleOf(kept).spoilt.length).toBeLessThan(spoilt.length);
    const held = kept.plan.steps.filter(({ name }) => name === 'keep warm');
    expect(held.length).toBe(warm.does.length);
    for (const step of held) {
      expect(step.cautions.join(' ')).toContain('60 °C');
      expect(step.end).toBeLessThanOrEqual(0);
      expect(step.end).toBeGreaterThanOrEqual(-25);
    }
    // Set going, and then the table is later once more: it goes on for as long.
    const first = held[0]!;
    const begun = await tellAndPlan(kept, { kind: 'begun', key: first.key }, instantOf(kept, first.start));
    const later = await tellAndPlan(begun, { kind: 'hour', minutes: 10 }, instantOf(kept, first.start) + MINUTE);
    const now = later.plan.steps.find(({ key }) => key === first.key)!;
    expect(now.minutes).toBeGreaterThanOrEqual(first.minutes + 5);
    expect(later.plan.landings.find(({ dishId }) => dishId === first.dishId)?.fine).not.toBe('too long');
  }, 60_000);

  it('taken back, what was to be kept warm is not there any more', async () => {
    const { session, at } = upTo(meal, plan, -15);
    const late = await tellAndPlan(session, { kind: 'hour', minutes: 40 }, at);
    const warm = (await find(late, at)).find(({ id }) => id.startsWith('warm'))!;
    let kept = await take(late, warm, at);
    for (const { id, kind } of kept.events.slice(-warm.does.length)) {
      expect(kind).toBe('keep-warm');
      kept = await tellAndPlan(kept, { kind: 'undo', of: id }, at);
    }
    expect(kept.plan.steps.some(({ name }) => name === 'keep warm')).toBe(false);
  }, 60_000);

  it('what comes late is eaten after the rest, or the table is later: both are planned, and the first way keeps its word', async () => {
    const { session, at } = upTo(meal, plan, -45);
    const long = liveSteps(session, at)
      .filter(({ status, step }) => status === 'running' && step.station.sort !== 'board')
      .sort((a, b) => b.endAt - a.endAt)[0]!;
    const slow = await tellAndPlan(
      session,
      { kind: 'not-yet', key: long.step.key, until: long.endAt + 35 * MINUTE },
      at,
    );
    const { late } = troubleOf(slow);
    expect(late.length).toBeGreaterThan(0);
    const ways = await find(slow, at);
    const after = ways.find(({ id }) => id.startsWith('after'))!;
    expect([after.says, after.how].join(': ')).toMatch(/^eat .+ first: .+ \d+ min after$/);
    const served = await take(slow, after, at);
    expect(isTrouble(troubleOf(served))).toBe(isTrouble(after.trouble));
    const landing = served.plan.landings.find(({ dishId }) => dishId === late.at(-1)!.dishId)!;
    expect(landing.after).toBeGreaterThan(0);
    expect(landing.late).toBeLessThanOrEqual(1);
    expect(lateOffer(served)).toBeNull();
    const best = ways[0]!;
    const taken = await take(slow, best, at);
    expect(troubleOf(taken).spoilt.length).toBe(best.trouble.spoilt.length);
    expect(Math.max(0, ...troubleOf(taken).late.map((each) => each.late))).toBeLessThanOrEqual(
      Math.max(3, ...best.trouble.late.map((each) => each.late)),
    );
  }, 60_000);

  it('tries nothing where nothing is wrong, and what was said to be borne is no trouble', async () => {
    const { session, at } = upTo(meal, plan, -45);
    expect(isTrouble(troubleOf(session))).toBe(false);
    expect((await find(session, at)).length).toBe(0);
    const late = await tellAndPlan(upTo(meal, plan, -15).session, { kind: 'hour', minutes: 40 }, at + 30 * MINUTE);
    const kept = borneAsItIs(late.plan);
    expect(kept.dishes).toEqual(troubleOf(late).spoilt.map(({ dishId }) => dishId));
    const borne = await tellAndPlan(late, kept, at + 30 * MINUTE);
    expect(isTrouble(troubleOf(borne))).toBe(false);
  }, 60_000);
});

describe('a simmer under way', () => {
  const meal = sampleMeal('boat');
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(meal, 20, 12);
  });

  it('goes on in the oven: it stays on its burner until that is warm, and its minutes are not lost', async () => {
    const simmer = plan.steps.find(({ key }) => key === 'chickpeas/tender')!;
    const { session, at } = upTo(meal, plan, simmer.start + 5);
    const until = at + 12 * MINUTE;
    const rest = Math.round((instantOf(session, simmer.end) - until) / MINUTE);
    const said = { kind: 'to-oven', key: simmer.key, under: { until, rest } } as const;
    const moved = await tellAndPlan(session, said, at);
    const oven = moved.plan.steps.find(({ key }) => key === 'chickpeas/tender-in-the-oven')!;
    expect(oven.station.sort).toBe('oven');
    expect(oven.minutes).toBe(rest);
    expect(oven.cautions.join(' ')).toContain('as hot as the oven');
    const warm = moved.plan.steps.find(({ key }) => key === 'chickpeas/tender-in-the-oven~warm')!;
    expect(warm.end).toBeLessThanOrEqual(oven.start);
    const still = liveSteps(moved, at + MINUTE).find(({ step }) => step.key === simmer.key)!;
    expect([still.status, still.endAt]).toEqual(['running', until]);
    expect(still.step.doneWhen).toBe('the oven is warm');
    const next = moved.plan.steps.find(({ key }) => key === 'chickpeas/together')!;
    expect(next.after).toContain(oven.key);
    expect(mealAsItIs(moved, at).dishes.find(({ id }) => id === 'chickpeas')!.vessels[1]!.to).toBe(
      'tender-in-the-oven',
    );
  }, 60_000);

  it('is turned down when it would be over too soon', async () => {
    const simmer = plan.steps.find(({ key }) => key === 'chickpeas/together')!;
    const { session, at } = upTo(meal, plan, simmer.start + 1);
    const late = await tellAndPlan(session, { kind: 'hour', minutes: 60 }, at);
    // Chickpeas wait for hours; here they must not.
    const landings = late.plan.landings.map((landing) =>
      landing.dishId === 'chickpeas' ? { ...landing, mostMinutes: 5, fine: 'too long' as const } : landing,
    );
    const touchy = { ...late, plan: { ...late.plan, landings } };
    const down = waysToTry(touchy, at).find(({ id }) => id.startsWith('down'));
    const [said] = down!.does;
    const told = await tellAndPlan(late, said!, at);
    const now = liveSteps(told, at).find(({ step }) => step.key === simmer.key)!;
    expect(now.endAt).toBeGreaterThan(liveSteps(late, at).find(({ step }) => step.key === simmer.key)!.endAt);
  }, 60_000);
});
