import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { indexProblem } from '@/core/schedule/indexed';
import { isFound, type Problem, type ReadyRow } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { TEST_CLOCK } from '@/core/testing/clock';
import { bareProblem } from '../testing/bare';
import { Engine } from './engine';
import { Model } from './model';
import { Objective, type Term } from './objective';

const LAST = 5;
const COUNT = 3;

/** Terms over three starts from 0 to LAST and one choice of two. */
const terms = fc.record({
  ready: fc.array(
    fc.record({
      of: fc.integer({ min: 0, max: COUNT - 1 }),
      by: fc.integer({ min: 0, max: LAST }),
      early: fc.integer({ min: 0, max: 3 }),
      late: fc.integer({ min: 1, max: 4 }),
    }),
    { maxLength: 3 },
  ),
  soft: fc.array(
    fc.record({
      from: fc.integer({ min: 0, max: COUNT - 1 }),
      to: fc.integer({ min: 0, max: COUNT - 1 }),
      above: fc.integer({ min: -2, max: 2 }),
      cost: fc.integer({ min: 1, max: 3 }),
    }),
    { maxLength: 2 },
  ),
  dearer: fc.integer({ min: 0, max: 4 }),
});

describe('the objective', () => {
  it('lets exactly those values through whose cost is within the limit', () => {
    fc.assert(
      fc.property(
        terms,
        fc.integer({ min: 0, max: 25 }),
        fc.array(fc.integer({ min: -2, max: 3 }), { maxLength: 2 }),
        (given, limit, lags) => {
          const engine = new Engine();
          const starts = Array.from({ length: COUNT }, () => engine.variable(0, LAST));
          const [cheap, dear] = [engine.variable(0, 1), engine.variable(0, 1)];
          const total = engine.variable(0, 1000);
          lags.forEach((lag, k) => {
            engine.difference(2 * starts[k]!, 2 * starts[k + 1]!, lag);
          });
          const readyCost = (row: (typeof given.ready)[number], start: number) =>
            row.late * Math.max(0, start - row.by) + row.early * Math.max(0, row.by - start);
          const soft = given.soft.filter(({ from, to }) => from !== to);
          const list: Term[] = [
            { kind: 'choice', choices: [cheap, dear], costs: [0, given.dearer] },
            ...soft.map(({ from, to, above, cost }): Term => {
              return { kind: 'soft', from: starts[from]!, to: starts[to]!, above, cost };
            }),
            ...given.ready.map((row): Term => {
              const best = [row.early > 0 ? row.by : -1e9, row.by] as const;
              return { kind: 'ready', start: starts[row.of]!, cost: (start) => readyCost(row, start), best };
            }),
          ];
          const objective = new Objective(engine, list, total);
          objective.attach();
          engine.isIdle = (variable) => variable === total;
          engine.seal();
          const sound =
            engine.start() &&
            engine.addClause([
              [2 * cheap, 1],
              [2 * dear, 1],
            ]) &&
            engine.fix(2 * total + 1, -limit);
          const outcome = sound ? engine.search([], 100_000, () => false) : 'refuted';
          const costOf = (s: readonly number[]) =>
            given.ready.reduce((sum, row) => sum + readyCost(row, s[row.of]!), 0) +
            soft.reduce((sum, { from, to, above, cost }) => sum + cost * Math.max(0, s[to]! - s[from]! - above), 0);
          let least = Number.POSITIVE_INFINITY;
          for (let code = 0; code < (LAST + 1) ** COUNT; code++) {
            const s = Array.from({ length: COUNT }, (_, k) => Math.floor(code / (LAST + 1) ** k) % (LAST + 1));
            if (lags.every((lag, k) => s[k + 1]! >= s[k]! + lag)) least = Math.min(least, costOf(s));
          }
          expect(outcome).toBe(least <= limit ? 'found' : 'refuted');
          if (outcome !== 'found') return;
          const found = starts.map((start) => engine.lb[2 * start]!);
          const choice = engine.lb[2 * cheap]! >= 1 ? 0 : given.dearer;
          expect(costOf(found) + choice).toBeLessThanOrEqual(limit);
          expect(engine.lb[2 * total]).toBe(costOf(found) + choice);
        },
      ),
      { numRuns: 250 },
    );
  });
});

describe('the model', () => {
  const step = (id: string, minutes: number, change: object = {}) => ({ id, minutes, ...change });
  const bare = bareProblem();
  const modelOf = (problem: Problem) => {
    const result = indexProblem(problem);
    if (!result.ok) throw new Error('contradiction');
    return Model.of(result.indexed);
  };
  const due = (id: string, by: number): ReadyRow => ({ step: id, by, hold: 0, early: 1, late: 9 });

  it('gives units that are alike one class, so that no permutation is searched', () => {
    const pots = ['pot-1', 'pot-2', 'pot-3'].map((id) => ({ id }));
    const need = [pots.map(({ id }) => ({ id, cost: 0 }))];
    const steps = ['a', 'b', 'c'].map((id) => step(id, 10, { units: need }));
    const alike = modelOf({ ...bare, units: pots, steps });
    expect(alike.classes.map(({ units }) => units.length)).toEqual([3]);
    expect(alike.pairs.count).toBe(0);
    const marked = pots.map((pot, k) => (k === 0 ? { ...pot, away: [[0, 5] as const] } : pot));
    expect(modelOf({ ...bare, units: marked, steps }).classes.map(({ units }) => units.length)).toEqual([1, 2]);
  });

  it('asks for no order that the links have settled', () => {
    const units = [{ id: 'hob' }];
    const need = [[{ id: 'hob', cost: 0 }]];
    const steps = ['a', 'b'].map((id) => step(id, 10, { units: need }));
    const link = { from: 'a', at: 'end', to: 'b', of: 'start', min: 0 } as const;
    expect(modelOf({ ...bare, units, steps }).pairs.count).toBe(1);
    expect(modelOf({ ...bare, units, steps, links: [link] }).pairs.count).toBe(0);
  });

  it('knows at the root that the first hand cannot begin later than the work allows', () => {
    const steps = ['a', 'b', 'c'].map((id) => step(id, 10, { pools: { hands: 1 }, latest: 40 }));
    const model = modelOf({
      ...bare,
      pools: [{ id: 'hands', capacity: 1 }],
      steps,
      awake: { pool: 'hands', cost: 2 },
    });
    // All is over by minute 50: thirty minutes of work begin at 20 at the latest, thirty minutes before the table.
    expect(model.engine.rootBound(2 * model.total) + model.base).toBe(60);
  });

  it('tells a minute of each kind of cost as the format says', async () => {
    const steps = [step('a', 10), step('b', 10)];
    const cost = async (problem: Problem) => {
      const solution = await solve(problem, { ...TEST_CLOCK, seconds: 5 });
      return isFound(solution) ? solution.cost : null;
    };
    expect(await cost({ ...bare, steps, ready: [due('a', 30), due('b', 5)] })).toBe(9 * 5);
    const soft = { from: 'a', at: 'start', to: 'b', of: 'end', min: 30, soft: { after: 22, cost: 3 } } as const;
    expect(await cost({ ...bare, steps, links: [soft] })).toBe(3 * 8);
    const pools = [{ id: 'hands', capacity: 2 }];
    const awake = { pool: 'hands', cost: 4 };
    const early = [step('a', 10, { latest: 15, pools: { hands: 1 } }), step('b', 10)];
    expect(await cost({ ...bare, steps: early, pools, awake })).toBe(4 * 35);
  });
});
