import { describe, expect, it } from 'vitest';
import { TEST_CLOCK } from '@/core/testing/clock';
import { isFound, type Problem, type ProblemStep, type Solution } from './problem';
import { solve } from './solve';
import { bareProblem } from './testing/bare';
import { validate } from './validate';

/** One small problem for each rule of the format, with the optimum worked out by hand. */
const bare = bareProblem({ horizon: 100, serve: 60, units: [{ id: 'hob' }, { id: 'ring' }] });
const step = (id: string, minutes: number, change: Partial<ProblemStep> = {}): ProblemStep => ({
  id,
  minutes,
  ...change,
});
const on = (...ids: string[]) => [ids.map((id) => ({ id, cost: 0 }))];
const due = (id: string, by = 60, early = 1, late = 10) => ({ step: id, by, hold: 0, early, late });

async function run(change: Partial<Problem>): Promise<Solution> {
  const problem = { ...bare, ...change };
  const solution = await solve(problem, { ...TEST_CLOCK, seconds: 10 });
  if (isFound(solution)) expect(validate(problem, solution)).toEqual({ faults: [], cost: solution.cost });
  return solution;
}
async function optimum(change: Partial<Problem>): Promise<number> {
  const solution = await run(change);
  expect(solution.status).toBe('optimal');
  return isFound(solution) ? solution.cost : Number.NaN;
}

describe('the rules of the format, each by a worked example', () => {
  it('one thing at a time on a unit: the second is early by the length of the first', async () => {
    const steps = [step('a', 10, { units: on('hob') }), step('b', 7, { units: on('hob') })];
    // Better the shorter one last: the longer ends 7 early.
    expect(await optimum({ steps, ready: [due('a'), due('b')] })).toBe(7);
  });

  it('an alternative is taken when it costs less than waiting', async () => {
    const units = (cost: number) => [
      [
        { id: 'hob', cost: 0 },
        { id: 'ring', cost },
      ],
    ];
    const steps = (cost: number) => [step('a', 10, { units: on('hob') }), step('b', 7, { units: units(cost) })];
    expect(await optimum({ steps: steps(3), ready: [due('a'), due('b')] })).toBe(3);
    expect(await optimum({ steps: steps(9), ready: [due('a'), due('b')] })).toBe(7);
  });

  it('a unit that is away: the step ends before or begins after', async () => {
    const units = [{ id: 'hob', away: [[55, 70] as const] }, { id: 'ring' }];
    const steps = [step('a', 10, { units: on('hob') })];
    expect(await optimum({ units, steps, ready: [due('a')] })).toBe(5);
    expect(await optimum({ units, steps, ready: [due('a', 60, 9, 1)] })).toBe(20);
  });

  it('a pool serves several up to its capacity, less while some of it is away', async () => {
    const steps = ['a', 'b', 'c'].map((id) => step(id, 10, { pools: { eyes: 1 } }));
    const ready = steps.map(({ id }) => due(id));
    expect(await optimum({ pools: [{ id: 'eyes', capacity: 3 }], steps, ready })).toBe(0);
    expect(await optimum({ pools: [{ id: 'eyes', capacity: 2 }], steps, ready })).toBe(10);
    const away = [[50, 100, 1] as const];
    expect(await optimum({ pools: [{ id: 'eyes', capacity: 2, away }], steps, ready })).toBe(10 + 10);
  });

  it('an amount above the capacity is infeasible, not bad input', async () => {
    const solution = await run({ pools: [{ id: 'eyes', capacity: 1 }], steps: [step('a', 5, { pools: { eyes: 2 } })] });
    expect(solution).toMatchObject({ status: 'infeasible', conflict: { steps: ['a'], pools: ['eyes'], units: [] } });
  });

  it('a state has one value at a time, and a change between any two values', async () => {
    const steps = [150, 200].map((value) => step(`at ${value}`, 20, { state: { id: 'oven', value } }));
    const ready = steps.map(({ id }) => due(id));
    expect(await optimum({ states: [{ id: 'oven', change: 12 }], steps, ready })).toBe(32);
    const alike = steps.map((each) => ({ ...each, state: { id: 'oven', value: 180 } }));
    expect(await optimum({ states: [{ id: 'oven', change: 12 }], steps: alike, ready })).toBe(0);
  });

  it('a hold keeps its unit over a chain and while it is washed', async () => {
    const steps = [step('fry', 5), step('rest', 10), step('other', 8)];
    const links = [{ from: 'fry', at: 'end', to: 'rest', of: 'start', min: 0, max: 0 } as const];
    const holds = [
      { id: 'pot', from: 'fry', to: 'rest', after: 4, units: [{ id: 'hob', cost: 0 }] },
      { id: 'other pot', from: 'other', to: 'other', after: 6, units: [{ id: 'hob', cost: 0 }] },
    ];
    // Either the other is early by 15, or the rest by 8 + 4.
    expect(await optimum({ steps, links, holds, ready: [due('rest'), due('other')] })).toBe(12);
  });

  it('the time after the horizon is free: a wash may run past it', async () => {
    const steps = [step('a', 10)];
    const holds = [{ id: 'pot', from: 'a', to: 'a', after: 50, units: [{ id: 'hob', cost: 0 }] }];
    expect(await optimum({ horizon: 60, steps, holds, ready: [due('a')] })).toBe(0);
  });

  it('lags have a least and a most, and the least may be negative', async () => {
    const steps = [step('a', 10), step('b', 10)];
    const link = (min: number, max?: number) =>
      ({ from: 'a', at: 'end', to: 'b', of: 'start', min, ...(max === undefined ? {} : { max }) }) as const;
    expect(await optimum({ steps, links: [link(15)], ready: [due('a'), due('b')] })).toBe(25);
    expect(await optimum({ steps, links: [link(-4)], ready: [due('a'), due('b')] })).toBe(6);
    expect(await optimum({ steps, links: [link(0, 5)], ready: [due('a', 30), due('b')] })).toBe(15);
  });

  it('a soft lag is paid by the minute above what is free', async () => {
    const steps = [step('a', 10), step('b', 10)];
    const soft = { from: 'a', at: 'end', to: 'b', of: 'start', min: 0, soft: { after: 10, cost: 2 } } as const;
    // They stand 20 apart when both are in time: ten minutes at 2, or moving one by ten at 1.
    expect(await optimum({ steps, links: [soft], ready: [due('a', 30), due('b')] })).toBe(10);
  });

  it('several rows on one step add up, the second steeper', async () => {
    const units = [{ id: 'hob', away: [[40, 100] as const] }, { id: 'ring' }];
    const ready = [
      { step: 'a', by: 60, hold: 5, early: 1, late: 9 },
      { step: 'a', by: 60, hold: 15, early: 10, late: 0 },
    ];
    expect(await optimum({ units, steps: [step('a', 10, { units: on('hob') })], ready })).toBe(15 + 50);
  });

  it('awake counts from the first minute of hands, a milestone does not count', async () => {
    const pools = [{ id: 'hands', capacity: 1 }];
    const steps = [
      step('a', 10, { pools: { hands: 1 }, latest: 30 }),
      step('m', 0, { pools: { hands: 1 }, latest: 5 }),
    ];
    expect(await optimum({ pools, steps, awake: { pool: 'hands', cost: 3 } })).toBe(90);
  });

  it('a milestone takes nothing, but its choice is paid', async () => {
    const steps = [step('m', 0, { units: [[{ id: 'hob', cost: 4 }]] }), step('a', 100, { units: on('hob') })];
    expect(await optimum({ steps })).toBe(4);
  });

  it('needs of one step take different units', async () => {
    const both = [on('hob', 'ring')[0]!, on('hob', 'ring')[0]!];
    const solution = await run({ steps: [step('a', 5, { units: both })] });
    expect(isFound(solution) && [...solution.units['a']!].sort()).toEqual(['hob', 'ring']);
    const one = [on('hob')[0]!, on('hob')[0]!];
    expect((await run({ steps: [step('a', 5, { units: one })] })).status).toBe('infeasible');
  });

  it('forbidden pairs do not stand together', async () => {
    const steps = [
      step('a', 5, {
        units: [
          [
            { id: 'hob', cost: 0 },
            { id: 'ring', cost: 3 },
          ],
        ],
      }),
      step('b', 5, { units: on('ring') }),
    ];
    const pair = [
      { step: 'a', need: 0, unit: 'hob' },
      { step: 'b', need: 0, unit: 'ring' },
    ] as const;
    expect(await optimum({ steps })).toBe(0);
    expect(await optimum({ steps, forbid: [pair] })).toBe(3);
    expect(await optimum({ steps, forbid: [[pair[0], pair[0]]] })).toBe(3);
  });

  it('bounds that leave no start are infeasible and name the step alone', async () => {
    const solution = await run({ steps: [step('a', 5), step('b', 5, { earliest: 50, latest: 40 })] });
    expect(solution).toMatchObject({
      status: 'infeasible',
      conflict: { steps: ['b'], links: [], holds: [], units: [], pools: [], states: [] },
    });
  });

  it('a horizon of three days is searched as quickly as an evening', async () => {
    const steps = [step('soak', 600), step('cook', 60, { units: on('hob') }), step('cure', 2000)];
    const links = [{ from: 'soak', at: 'end', to: 'cook', of: 'start', min: 0, max: 300 } as const];
    const ready = [due('cook', 4200), due('cure', 4200)];
    expect(await optimum({ horizon: 4320, serve: 4200, steps, links, ready })).toBe(0);
  });
});
