import { beforeAll, describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { SHELF } from '@/core/dish/shelf';
import type { Meal } from '@/core/meal/meal';
import type { Landing, Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
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

// Nothing is kept warm by the plan itself.
const meal: Meal = { ...sampleMeal('harvest'), sureness: 'short' };
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal, 20, 12);
});

describe('at the harvest supper', () => {
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

describe('what is tried', () => {
  /** Ways at a minute, where these dishes land otherwise. */
  const tried = (minute: number, by: Readonly<Record<string, Partial<Landing>>>, over: Partial<Meal> = {}) => {
    const { session, at } = upTo(meal, plan, minute);
    const landings = plan.landings.map((landing) => ({ ...landing, ...by[landing.dishId] }));
    return waysToTry({ ...session, meal: { ...meal, ...over }, plan: { ...plan, landings } }, at);
  };
  const ofSort = (sort: string, ways: ReturnType<typeof waysToTry>) => ways.filter((each) => each.sort === sort);
  const begin = (key: string) => plan.steps.find((step) => step.key === key)!.start;
  const end = (key: string) => plan.steps.find((step) => step.key === key)!.end;
  const tooLong = (more: Partial<Landing> = {}) => ({ fine: 'too long' as const, ...more });

  it('is nothing where all is in time, and what asks least comes first', () => {
    expect(tried(-3, {})).toEqual([]);
    const ways = tried(end('curry/squash-in') - 13, { curry: tooLong(), roots: { late: 20 }, greens: { late: 3 } });
    const efforts = ways.map(({ effort }) => effort);
    expect(efforts).toEqual([...efforts].sort((a, b) => a - b));
    expect(new Set(ways.map(({ sort }) => sort)).size).toBeGreaterThan(3);
  });

  it('a later hour is in steps of five minutes, and once more ten minutes on', () => {
    const ways = tried(-45, { roots: { late: 12 }, greens: { late: 4 } });
    expect(ofSort('later', ways).map(({ does, effort, says }) => [does, effort, says])).toEqual([
      [[{ kind: 'hour', minutes: 15 }], 4, 'lay the table 15 min later'],
      [[{ kind: 'hour', minutes: 25 }], 3 + 25 / 15, 'lay the table 25 min later'],
    ]);
    const [after] = ofSort('after', ways);
    expect(after).toMatchObject({
      says: 'eat the rest first',
      how: 'Skillet greens and Roast roots 12 min after',
      effort: 3.5 + 12 / 15,
      does: [
        { kind: 'after', dish: 'greens', minutes: 4 },
        { kind: 'after', dish: 'roots', minutes: 12 },
      ],
    });
    const second = ofSort('after', tried(-45, { roots: { late: 5, after: 10 } }))[0]!;
    expect(second.does).toEqual([{ kind: 'after', dish: 'roots', minutes: 15 }]);
    expect(ofSort('later', tried(-45, { curry: tooLong() }))).toEqual([]);
  });

  it('the rest is eaten first where it is at least as much, and by name where it is two dishes', () => {
    const late = (...ids: readonly string[]) =>
      ofSort('after', tried(-45, Object.fromEntries(ids.map((id) => [id, { late: 10 }]))))[0];
    expect(late('roots', 'greens', 'curry')?.says).toBe('eat the rest first');
    expect(late('roots', 'greens', 'curry', 'barley')).toBeUndefined();
    // Cold dishes do not count: they are there in any case.
    const cold = { served: 'cold' as const };
    const two = tried(-45, { roots: { late: 10 }, greens: { late: 10 }, curry: cold, barley: cold });
    expect(ofSort('after', two)[0]!.says).toBe('eat Beef cheeks with damsons and Chestnut brown rice first');
    const three = tried(-45, { roots: { late: 10 }, greens: { late: 10 }, curry: cold });
    expect(ofSort('after', three)[0]!.says).toBe('eat the rest first');
  });

  it('a dish is left out where it comes a quarter of an hour late and nothing of it has begun', () => {
    const dropped = (minutes: number, id: string, minute = begin('roots/cut') - 1) =>
      ofSort('drop', tried(minute, { [id]: { late: minutes } })).map(({ does }) => does);
    expect(dropped(15, 'roots')).toEqual([[{ kind: 'dropped', dish: 'roots' }]]);
    expect(dropped(14, 'roots')).toEqual([]);
    expect(dropped(15, 'roots', begin('roots/cut') + 1)).toEqual([]);
    expect(dropped(15, 'roots', end('roots/cut') + 1)).toEqual([]);
  });

  it('a flame is turned down under what simmers for twelve minutes and more, by a quarter of that at most', () => {
    const simmer = end('curry/squash-in');
    const down = (minute: number, landing: Partial<Landing>, id = 'curry') =>
      ofSort('down', tried(minute, { [id]: tooLong(landing) }));
    const waits = { waits: 40, mostMinutes: 20 };
    expect(down(simmer - 13, waits)).toMatchObject([
      {
        id: 'down curry/squash-in',
        says: 'turn the flame down under Split pea and squash curry',
        how: 'it takes 3 min more',
        effort: 1,
      },
    ]);
    const { session } = upTo(meal, plan, simmer - 13);
    expect(down(simmer - 13, waits)[0]!.does).toEqual([
      { kind: 'turned-down', key: 'curry/squash-in', until: instantOf(session, simmer) + 3 * MINUTE },
    ]);
    expect(down(simmer - 12, waits)).toEqual([]);
    expect(down(simmer - 14, { waits: 20, mostMinutes: 20 })[0]!.how).toBe('it takes 2 min more');
    expect(down(simmer - 14, { waits: 10, mostMinutes: 20 })[0]!.how).toBe('it takes 1 min more');
    // Not before it has begun, not what hands stir, and no grain, which has the liquid for its heat.
    expect(down(begin('curry/squash-in') - 1, waits)).toEqual([]);
    expect(down(end('curry/brown') - 15, waits)).toEqual([]);
    expect(down(end('barley/simmer') - 20, waits, 'barley')).toEqual([]);
    // What roasts has no flame.
    expect(down(begin('roots/roast') + 5, waits, 'roots')).toEqual([]);
  });

  it('what stands too long is kept warm where it bears it, on a flame or in the oven, each way once', () => {
    const warm = (by: Readonly<Record<string, Partial<Landing>>>, over: Partial<Meal> = {}) =>
      ofSort('warm', tried(-15, by, over));
    const [flame, oven] = warm({ curry: tooLong() });
    expect([flame, oven]).toMatchObject([
      {
        says: 'keep Split pea and squash curry warm',
        how: 'Split pea and squash curry on the lowest flame',
        does: [{ kind: 'keep-warm', dish: 'curry', where: 'flame' }],
        effort: 1.5,
      },
      { how: 'Split pea and squash curry in a low oven', does: [{ where: 'oven' }], effort: 2 },
    ]);
    const noOven = { kitchen: { ...meal.kitchen, ovens: [] } };
    expect(warm({ curry: tooLong() }, noOven)).toHaveLength(1);
    const both = warm({ curry: tooLong(), cheeks: tooLong() });
    expect(both.map(({ says }) => says)).toEqual(both.map(() => 'keep them warm'));
    expect(both.map(({ how }) => how)).toEqual([
      'Split pea and squash curry on the lowest flame, Beef cheeks with damsons in a low oven',
      'Beef cheeks with damsons and Split pea and squash curry in a low oven',
    ]);
    // Greens bear nothing.
    expect(warm({ greens: tooLong() })).toEqual([]);
  });
});

describe('a long simmer in a casserole', () => {
  const braise = SHELF.find(({ name }) => name === 'Beef braised in wine')!;
  const pot: Dish = {
    ...braise,
    id: 'pot',
    steps: braise.steps.map((step) =>
      step.id === 'braise' ? { ...step, place: { at: 'burner', heat: 'low' } as const } : step,
    ),
  };
  const supper: Meal = { ...mealOf([pot], { kitchen: largeKitchen, people: 4 }), day: '2026-11-28' };
  let made: Plan;
  beforeAll(async () => {
    made = await planned(supper, 4, 2);
  });
  const simmer = () => made.steps.find(({ key }) => key === 'pot/braise')!;
  const carried = (minute: number, change: (session: Session) => Session = (session) => session) => {
    const { session, at } = upTo(supper, made, minute);
    return waysToTry(change(session), at).filter(({ sort }) => sort === 'oven');
  };

  it('goes into the oven at once where it has not begun', () => {
    expect(carried(simmer().start - 1)).toEqual([
      {
        sort: 'oven',
        id: 'oven pot/braise',
        says: `${pot.name} into the oven`,
        how: `“${simmer().name}” goes on there, covered, and leaves its burner`,
        does: [{ kind: 'to-oven', key: 'pot/braise' }],
        effort: 2.5,
      },
    ]);
  });

  it('under way it goes when the oven is warm, where 25 minutes are left then, and not where it is done', () => {
    const { start, end } = simmer();
    const [way] = carried(start + 1);
    const [said] = way!.does;
    if (said?.kind !== 'to-oven' || !said.under) throw new Error('It goes on there later.');
    const { session, at } = upTo(supper, made, start + 1);
    const warmUp = (said.under.until - at) / MINUTE;
    // Twelve minutes are what this oven takes to 180 °C; to 150 it is fewer.
    expect(warmUp).toBeGreaterThanOrEqual(5);
    expect(warmUp).toBeLessThanOrEqual(12);
    expect(said.under.rest).toBe(Math.round((instantOf(session, end) - said.under.until) / MINUTE));
    expect(way!.effort).toBe(3);
    expect(carried(end - warmUp - 26)).toHaveLength(1);
    expect(carried(end - warmUp - 24)).toEqual([]);
    expect(carried(end)).toEqual([]);
  });

  it('stays where there is no oven, in a pot that bears none, in several parts, or where it is too short', () => {
    const before = simmer().start - 1;
    const noOven = { ...supper.kitchen, ovens: [] };
    expect(carried(before, (session) => ({ ...session, meal: { ...supper, kitchen: noOven } }))).toEqual([]);
    const vessels = supper.kitchen.vessels.map((vessel) => ({ ...vessel, kind: 'pot' as const }));
    const pots = { ...supper.kitchen, vessels };
    expect(carried(before, (session) => ({ ...session, meal: { ...supper, kitchen: pots } }))).toEqual([]);
    const inParts = made.steps.map((step) => ({ ...step, parts: 2 }));
    expect(carried(before, (session) => ({ ...session, plan: { ...made, steps: inParts } }))).toEqual([]);
    const noPot = { ...made, known: { ...made.known, holds: {} } };
    expect(carried(before, (session) => ({ ...session, plan: noPot }))).toEqual([]);
    const short = pot.steps.map((step) => ({ ...step, minutes: { shortest: 5, likely: 10, longest: 12 } }));
    expect(
      carried(before, (session) => ({ ...session, meal: { ...supper, dishes: [{ ...pot, steps: short }] } })),
    ).toEqual([]);
  });
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
