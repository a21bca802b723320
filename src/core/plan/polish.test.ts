import { describe, expect, it } from 'vitest';
import { isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import { oddsOf } from './odds';
import { polished } from './polish';
import { readPlan } from './read';

/** Grain that may take much longer, and waits well for ten minutes. */
const grain = plainGrain('a');
const slow = {
  ...grain,
  steps: grain.steps.map((step) =>
    step.id === 'cover' ? { ...step, minutes: { shortest: 12, likely: 15, longest: 36 } } : step,
  ),
};
const meal = mealOf([slow]);
const options = { evenings: 200, seed: 1, price: 0.001, pause: async () => false };

async function solved() {
  const compiled = compile(meal);
  if (!compiled.ok) throw new Error('refused');
  const solution = await solve(compiled.problem, { ...TEST_CLOCK, seconds: 10, rounds: 60 });
  if (!isFound(solution)) throw new Error('no plan');
  return { compiled, solution };
}

describe('moving hours by rehearsal', () => {
  it('lands more evenings, breaks no rule, and leaves order, burners and people', async () => {
    const { compiled, solution } = await solved();
    const moved = await polished(compiled, solution, { ...options, tries: 2000 });
    expect(validate(compiled.likely, moved).faults).toEqual([]);
    expect(moved.units).toEqual(solution.units);
    expect(moved.holds).toEqual(solution.holds);
    const good = (schedule: typeof moved) =>
      oddsOf(compiled, readPlan(meal, compiled, { ...solution, ...schedule }), { evenings: 1000, seed: 9 })!.good;
    expect(good(moved)).toBeGreaterThan(good(solution) + 0.1);
  });

  it('lays the table in time also where something waits too long on every evening', async () => {
    // One flame for two: the other has stood for half an hour by then.
    const kitchen = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    const crowded = mealOf([slow, plainGrain('b'), plainGrain('c')], { kitchen });
    const compiled = compile(crowded);
    if (!compiled.ok) throw new Error('refused');
    const solution = await solve(compiled.problem, { ...TEST_CLOCK, seconds: 10, rounds: 60 });
    if (!isFound(solution)) throw new Error('no plan');
    const moved = await polished(compiled, solution, { ...options, price: 0.0002, tries: 2000 });
    const plan = readPlan(crowded, compiled, { ...solution, ...moved });
    const odds = oddsOf(compiled, plan, { evenings: 1000, seed: 9 })!;
    expect(odds.good).toBeLessThan(0.1);
    expect(odds.within5).toBeGreaterThan(0.8);
  });

  it('is the same for the same seed, and stops when it is told to, after a few tries', async () => {
    const { compiled, solution } = await solved();
    const twice = await Promise.all([1, 2].map(() => polished(compiled, solution, { ...options, tries: 300 })));
    expect(twice[0]).toEqual(twice[1]);
    let turns = 0;
    const pause = async () => ++turns > 0;
    await polished(compiled, solution, { ...options, tries: 100_000, pause });
    expect(turns).toBeLessThan(100);
  });

  it('gives back what it was given where nothing lands, or where that breaks a rule', async () => {
    const { compiled, solution } = await solved();
    const broken = { ...solution, starts: { ...solution.starts, 'a/rest': 0 } };
    expect(await polished(compiled, broken, { ...options, tries: 50 })).toBe(broken);
    const nothing = { ...compiled, dishes: [] };
    expect(await polished(nothing, solution, { ...options, tries: 50 })).toBe(solution);
  });
});
