import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TEST_CLOCK } from '@/core/testing/clock';
import { restrict } from './conflict';
import { isFound, type Problem, type Schedule, type Solution } from './problem';
import { type SolveOptions, solve } from './solve';
import { bruteForce, tinyProblem } from './testing/tiny';
import { validate } from './validate';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
const run = (problem: Problem, options: Partial<SolveOptions> = {}) =>
  solve(problem, { ...TEST_CLOCK, seconds: 20, ...options });
const costOf = (solution: Solution) => (isFound(solution) ? solution.cost : null);

describe('on tiny problems', () => {
  it('finds and proves what trying everything finds, or that there is nothing', async () => {
    await fc.assert(
      fc.asyncProperty(seeds, async (seed) => {
        const problem = tinyProblem(seed, { steps: 4, horizon: 8 });
        const solution = await run(problem);
        const least = bruteForce(problem);
        expect(solution.status).toBe(least === null ? 'infeasible' : 'optimal');
        expect(costOf(solution)).toBe(least);
        if (isFound(solution)) {
          expect(validate(problem, solution)).toEqual({ faults: [], cost: least });
          expect(solution.bound).toBe(least);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('names a conflict that is infeasible by itself and from which nothing can be left out', async () => {
    let seen = 0;
    for (let seed = 1; seen < 15; seed++) {
      const problem = tinyProblem(seed, { steps: 4, horizon: 8 });
      const solution = await run(problem);
      if (solution.status !== 'infeasible') continue;
      seen++;
      const conflict = solution.conflict!;
      const members = [
        ...(['steps', 'holds', 'units', 'pools', 'states'] as const).flatMap((kind) =>
          conflict[kind].map((id) => ({ kind, id })),
        ),
        ...conflict.links.map((index) => ({ kind: 'links' as const, index })),
      ];
      expect(bruteForce(restrict(problem, members)), `seed ${seed}`).toBeNull();
      for (const left of members) {
        const rest = members.filter((each) => each !== left);
        expect(bruteForce(restrict(problem, rest)), `seed ${seed} without ${JSON.stringify(left)}`).not.toBeNull();
      }
    }
  });
});

describe('relations that must hold', () => {
  const medium = (seed: number) => tinyProblem(seed, { steps: 7, horizon: 30 });

  it('one more unit to choose from never makes the best plan dearer', async () => {
    await fc.assert(
      fc.asyncProperty(seeds, async (seed) => {
        const problem = medium(seed);
        const before = costOf(await run(problem));
        const after = costOf(
          await run({
            ...problem,
            units: [...problem.units, { id: 'new' }],
            steps: problem.steps.map((step) => ({
              ...step,
              ...(step.units ? { units: step.units.map((need) => [...need, { id: 'new', cost: 0 }]) } : {}),
            })),
          }),
        );
        if (before !== null) expect(after).toBeLessThanOrEqual(before);
      }),
      { numRuns: 40 },
    );
  });

  it('shifting the table and everything with it shifts the plan', async () => {
    const later = 17;
    await fc.assert(
      fc.asyncProperty(seeds, async (seed) => {
        const problem = medium(seed);
        const shifted: Problem = {
          ...problem,
          horizon: problem.horizon + later,
          serve: problem.serve + later,
          units: problem.units.map((unit) => ({
            ...unit,
            away: [[0, later], ...(unit.away ?? []).map(([from, to]) => [from + later, to + later] as const)],
          })),
          pools: problem.pools.map((pool) => ({
            ...pool,
            away: (pool.away ?? []).map(([from, to, by]) => [from + later, to + later, by] as const),
          })),
          steps: problem.steps.map((step) => ({
            ...step,
            earliest: (step.earliest ?? 0) + later,
            ...(step.latest === undefined ? {} : { latest: step.latest + later }),
          })),
          ready: problem.ready.map((row) => ({ ...row, by: row.by + later })),
        };
        expect(costOf(await run(shifted))).toBe(costOf(await run(problem)));
      }),
      { numRuns: 40 },
    );
  });

  it('other names and another order of everything change nothing', async () => {
    await fc.assert(
      fc.asyncProperty(seeds, async (seed) => {
        const problem = medium(seed);
        const text = JSON.stringify(problem).replace(/"([suph])(\d)"/g, '"$1x$2y"');
        const named = JSON.parse(text) as Problem;
        const turned: Problem = {
          ...named,
          units: [...named.units].reverse(),
          steps: [...named.steps].reverse(),
          links: [...named.links].reverse(),
          ready: [...named.ready].reverse(),
        };
        expect(costOf(await run(turned))).toBe(costOf(await run(problem)));
      }),
      { numRuns: 40 },
    );
  });
});

describe('the search', () => {
  const problem = tinyProblem(92, { steps: 12, horizon: 60 });

  it('gives the same solution for the same seed', async () => {
    const strip = (solution: Solution) => ({ ...solution, milliseconds: 0 });
    const once = strip(await run(problem, { rounds: 12, seed: 5 }));
    expect(strip(await run(problem, { rounds: 12, seed: 5 }))).toEqual(once);
  });

  it('tells of each better plan, each valid and cheaper than the last', async () => {
    const costs: number[] = [];
    const solution = await solve(problem, { ...TEST_CLOCK, seconds: 5 }, (better) => {
      expect(validate(problem, better)).toEqual({ faults: [], cost: better.cost });
      expect(better.bound).toBeLessThanOrEqual(better.cost);
      costs.push(better.cost);
    });
    expect(costs.length).toBeGreaterThan(0);
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    expect(costOf(solution)).toBe(costs.at(-1));
  });

  it('begins from a plan that is given, whole or not', async () => {
    const first = await run(problem);
    if (!isFound(first)) throw new Error('no plan');
    expect(costOf(await run(problem, { start: first, rounds: 1 }))).toBe(first.cost);
    const half: Schedule = {
      ...first,
      starts: Object.fromEntries(Object.entries(first.starts).slice(0, 6)),
      units: {},
      holds: { ghost: 'none' },
    };
    expect(costOf(await run(problem, { start: half }))).toBe(first.cost);
  });

  it('in brief finds a valid plan no dearer than the one given, proves nothing, and says so where there is none', async () => {
    const first = await run(problem, { brief: true, rounds: 1, patience: 1 });
    const again = await run(problem, { brief: true, patience: 40, ...(isFound(first) ? { start: first } : {}) });
    if (!isFound(first) || !isFound(again)) throw new Error('no plan');
    expect(validate(problem, again)).toEqual({ faults: [], cost: again.cost });
    expect(again.cost).toBeLessThanOrEqual(first.cost);
    expect(again.status).toBe('feasible');
    let none = 0;
    for (let seed = 1; seed < 60; seed++) {
      const tiny = tinyProblem(seed, { steps: 4, horizon: 8 });
      const solution = await run(tiny, { brief: true, patience: 20 });
      if (bruteForce(tiny) === null) none++;
      expect(isFound(solution)).toBe(bruteForce(tiny) !== null);
    }
    expect(none).toBeGreaterThan(3);
  });

  it('ends when it is cancelled, with what it has', async () => {
    const signal = { aborted: false };
    let told = 0;
    const solution = await solve(
      problem,
      { ...TEST_CLOCK, seconds: 60 },
      () => {
        told++;
        signal.aborted = true;
      },
      signal,
    );
    expect(isFound(solution)).toBe(true);
    expect(told).toBeLessThanOrEqual(2);
  });

  it('answers a problem without steps', async () => {
    const empty: Problem = { ...problem, steps: [], holds: [], links: [], ready: [], forbid: [] };
    expect(await run(empty)).toMatchObject({ status: 'optimal', cost: 0, bound: 0, starts: {} });
  });
});
