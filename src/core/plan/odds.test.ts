import { beforeAll, describe, expect, it } from 'vitest';
import { oddsFile, oddsFileShape } from '@/core/formats/odds-file';
import { cookThrough } from '@/core/live/testing/simulate';
import type { Meal } from '@/core/meal/meal';
import { quantile } from '@/core/risk/duration';
import { isFound } from '@/core/schedule/problem';
import { seededRandom } from '@/core/schedule/random';
import { solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { TEST_CLOCK } from '@/core/testing/clock';
import { drainedGrain, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { compile } from './compile';
import { eveningsOf, oddsOf, oddsOfMeal } from './odds';
import type { Odds, Plan, PlannedStep } from './plan';
import { readPlan, sketchOf } from './read';
import { sayCauses, sayHour, sayLearned, sayOdds, sayOddsChange, saySpread } from './say-odds';
import { NOT_TASTED, ON_TIME } from './well-landed';

const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const dishes = [plainGrain('a'), drainedGrain()];
const even: Meal = mealOf(dishes, { sureness: 'even' });
const short: Meal = mealOf(dishes);
let plan: Plan;
let shortPlan: Plan;
beforeAll(async () => {
  plan = await planned(even);
  shortPlan = await planned(short);
});

/** Evenings through the session and the planner, with true minutes of the same law: the share that is on time, and on time and good. */
async function cooked(meal: Meal, from: Plan, evenings: number): Promise<{ onTime: number; good: number }> {
  const drawn = new Map(from.steps.map((step) => [step.key, step]));
  let [onTime, good] = [0, 0];
  for (let evening = 0; evening < evenings; evening++) {
    const random = seededRandom(500 + evening);
    const truth = (live: PlannedStep) => {
      const step = drawn.get(live.key) ?? live;
      return quantile(step.shortestEnd - step.start, step.minutes, step.longestEnd - step.start, random.next());
    };
    const { session } = await cookThrough({ meal, plan: from, tableAt: TABLE, truth, glance: () => 1 });
    const table = Math.max(0, ...session.plan.landings.map(({ ready }) => ready));
    if (table > ON_TIME) continue;
    onTime++;
    const fresh = session.plan.landings.every(
      ({ served, ready, wellMinutes }) => served !== 'hot' || table - ready <= wellMinutes + NOT_TASTED,
    );
    if (fresh) good++;
  }
  return { onTime: onTime / evenings, good: good / evenings };
}

describe('the odds of a plan', () => {
  it('are those of evenings cooked through the session and the planner', async () => {
    const found = await cooked(even, plan, 60);
    expect(Math.abs(found.onTime - plan.odds!.within5)).toBeLessThan(0.09);
    expect(Math.abs(found.good - plan.odds!.good)).toBeLessThan(0.09);
  });

  it('are the same by the sketch of a plan as by the plan', async () => {
    const compiled = compile(even);
    if (!compiled.ok) throw new Error('refused');
    const solution = await solve(compiled.problem, { ...TEST_CLOCK, seconds: 10, rounds: 20 });
    if (!isFound(solution)) throw new Error('no plan');
    const options = { evenings: 300, seed: 4, causes: false };
    const whole = oddsOf(compiled, readPlan(even, compiled, solution), options);
    expect(oddsOf(compiled, sketchOf(compiled, solution), options)).toEqual(whole);
    expect(whole!.dishes).toHaveLength(dishes.length);
  });

  it('are better the surer a plan leans, and what is rehearsed again comes out the same', async () => {
    expect(plan.odds!.good).toBeGreaterThan(0.9);
    expect(plan.odds!.good).toBeGreaterThan(shortPlan.odds!.good);
    expect(plan.firstHand).toBeLessThanOrEqual(shortPlan.firstHand);
    const options = { evenings: 1000, seed: 1 };
    expect(oddsOfMeal(even, plan, options)).toEqual(oddsOfMeal(even, plan, options));
    const { assured: _, ...quick } = plan.odds!;
    expect(oddsOfMeal(even, plan, { ...options, causes: false })).toEqual({ ...quick, causes: [] });
  });

  it('count what the evenings show, one by one', () => {
    const evenings = eveningsOf(even, plan, { evenings: 1000, seed: 1 });
    const share = (is: (each: (typeof evenings)[0]) => boolean) => evenings.filter(is).length / 1000;
    expect(share(({ table }) => table <= ON_TIME)).toBe(plan.odds!.within5);
    expect(share(({ table }) => table <= 2 * ON_TIME)).toBe(plan.odds!.within10);
    expect(share(({ good }) => good)).toBe(plan.odds!.good);
    const last = plan.steps.find(({ key }) => key === 'a/rest')!;
    for (const { steps } of evenings) {
      // Rests are over by the clock, and nothing begins before its hour but what follows at once.
      const rest = steps.get('a/rest')!;
      expect(rest.end - rest.start).toBe(last.minutes);
      expect(rest.start).toBeGreaterThanOrEqual(steps.get('a/cover')!.end);
      const boil = plan.steps.find(({ key }) => key === 'a/boil')!;
      expect(steps.get('a/boil')!.start).toBeGreaterThanOrEqual(Math.min(boil.start, steps.get('a/soak')!.end + 40));
    }
  });

  it('name the step that decides', async () => {
    const crowded = await planned(mealOf([plainGrain('a'), plainGrain('b'), drainedGrain()]));
    const [worst] = crowded.odds!.causes;
    expect(worst).toBeDefined();
    const step = crowded.steps.find(({ key }) => key === worst!.key)!;
    expect(step.longestEnd).toBeGreaterThan(step.end);
    expect(sayCauses(crowded.odds!, crowded.steps)[0]).toMatch(
      new RegExp(`^${step.dishName}, ${step.name}: \\d+ (evening of 100 is|evenings of 100 are) late by it$`),
    );
  });

  it('make a file of the format that is documented', () => {
    expect(oddsFileShape.validate(oddsFile('meal', plan.odds!)).error).toBeUndefined();
    expect(oddsFileShape.validate({ ...oddsFile('meal', plan.odds!), good: 2 }).error?.message).toMatch(/good/);
  });
});

describe('a plan that leans to sure', () => {
  it('breaks no rule by likely minutes, wherever its hours were moved', () => {
    const compiled = compile(even);
    if (!compiled.ok) throw new Error('refused');
    const { likely, origin } = compiled;
    const starts = Object.fromEntries(likely.steps.map(({ id }) => [id, plan.known.places[id]!.start - origin]));
    const units = Object.fromEntries(likely.steps.map(({ id }) => [id, plan.known.places[id]!.units]));
    expect(validate(likely, { starts, units, holds: plan.known.holds }).faults).toEqual([]);
    for (const step of plan.steps) expect(step.end - step.start).toBe(step.minutes);
  });

  it('lets nothing wait longer than it bears', () => {
    for (const landing of plan.landings) expect(landing.fine, landing.dishName).toBe('well');
    const drained = (id: string) => plan.steps.find(({ key }) => key === `drained/${id}`)!;
    expect(drained('drain').start).toBe(drained('parboil').end);
    expect(drained('steam').start - drained('drain').end).toBeLessThanOrEqual(5);
  });
});

describe('what is said of odds', () => {
  const table = { day: '2026-11-28', hour: '19:30' };
  const odds = (change: Partial<Odds>): Odds => ({
    evenings: 100,
    within5: 0.97,
    within10: 1,
    good: 0.96,
    table: [0, 0, 0, 1, 3, 4],
    dishes: [
      { dishId: 'a', dishName: 'Stew', ready: [-14, -9, 12], waits: [0, 9, 14], late: 0.2, good: 0.8 },
      { dishId: 'b', dishName: 'Rice', ready: [-2, 0, 3], waits: [0, 0, 2], late: 0.01, good: 0.99 },
    ],
    causes: [],
    ...change,
  });

  it('is so many of twenty, never all', () => {
    expect(sayOdds(odds({}), table)).toBe('In 19 of 20 rehearsed evenings all is well on the table by 19:35.');
    expect(sayOdds(odds({ within5: 1, good: 1 }), table)).toMatch(/^In 19 of 20/);
    expect(sayOdds(odds({ good: 0.7 }), table)).toBe(
      'In 19 of 20 rehearsed evenings all is on the table by 19:35, in 14 of them with everything at its best.',
    );
    expect(sayOdds(odds({ within5: 0.3, good: 0.1, table: [2, 5, 8, 12, 18, 24] }), table)).toBe(
      'In 6 of 20 rehearsed evenings all is on the table by 19:35; half of them are there by 19:38, nine of ten by 19:48.',
    );
  });

  it('at the stove names what could make it later', () => {
    expect(sayHour(odds({}), table)).toBe('surely, as it looks now');
    expect(sayHour(odds({ within5: 0.7, table: [0, 0, 2, 6, 11, 14] }), table)).toBe('Stew could make it 19:41');
  });

  it('of a dish tells its minutes and how often it is good', () => {
    const [stew, rice] = odds({}).dishes;
    expect(saySpread(stew!, {})).toBe(
      'Ready between 14 min before and 12 min after the table in 9 of 10 evenings; good in 16 of 20.',
    );
    expect(saySpread(rice!, { after: 3 })).toBe(
      'Ready between 5 min before and the table in 9 of 10 evenings; good in 19 of 20.',
    );
    expect(saySpread({ ...rice!, ready: [0, 0, 0] }, {})).toMatch(/^Ready as the table is laid/);
  });

  it('says what a change does to them, where it does anything that can be told', () => {
    expect(sayOddsChange({ good: 0.96 }, { good: 0.72 })).toBe(
      'Lands well in 14 of 20 evenings; in 19 before this change.',
    );
    expect(sayOddsChange({ good: 0.96 }, { good: 0.97 })).toBe('');
  });

  it('says from how many evenings a step has its minutes, and how far they strayed', () => {
    const step = { ...plan.steps[0]!, start: 0, end: 12, minutes: 12, shortestEnd: 10, longestEnd: 15, learned: 6 };
    expect(sayLearned(step)).toBe('Its 12 min, between 10 and 15, are from your last 6 times.');
    expect(sayLearned({ ...step, shortestEnd: 12, longestEnd: 12 })).toBe('Its 12 min are from your last 6 times.');
  });
});
