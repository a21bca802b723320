import { describe, expect, it } from 'vitest';
import { indexProblem } from '@/core/schedule/indexed';
import type { Problem } from '@/core/schedule/problem';
import { bareProblem } from '@/core/schedule/testing/bare';
import { Engine } from './engine';
import { Model } from './model';
import { Objective, type Term } from './objective';
import { type GroupedTerm, sumUp } from './sums';

const never = () => false;

/** Costs of `starts.length` starts from 0 to 9: each minute costs as much as its place in the list, from 1. */
function build(groups: readonly number[]) {
  const engine = new Engine();
  const starts = groups.map(() => engine.variable(0, 9));
  const terms = groups.map((group, k): GroupedTerm => {
    const term: Term = { kind: 'ready', start: starts[k]!, cost: (value) => (k + 1) * value, best: [0, 0] };
    return { group, term };
  });
  const sums: number[] = [];
  const top = sumUp(engine, terms, () => {
    sums.push(engine.variable(0, 100_000));
    return sums.at(-1)!;
  });
  const total = engine.variable(0, 100_000);
  new Objective(engine, top, total).attach();
  engine.seal();
  expect(engine.start()).toBe(true);
  return { engine, starts, sums, top, total };
}

describe('sums of the cost', () => {
  it('has one for each group of several, and adds them up two by two until few are left', () => {
    expect(build([0, 0, 1, 1, -1, 2]).sums).toHaveLength(2);
    const many = build([0, 0, 1, 1, 2, 2, 3, 3, 4, 4]);
    expect(many.sums).toHaveLength(5 + 2);
    expect(many.top).toHaveLength(3);
  });

  it('come to the whole cost', () => {
    const { engine, starts, total } = build([0, 0, 1, 1, 2, 2, 3, 3, -1]);
    for (const [k, start] of starts.entries()) expect(engine.fix(2 * start, k % 4)).toBe(true);
    for (const start of starts) expect(engine.fix(2 * start + 1, -engine.lb[2 * start]!)).toBe(true);
    expect(engine.lb[2 * total]).toBe(starts.reduce((sum, _, k) => sum + (k + 1) * (k % 4), 0));
  });

  it('hand a limit on the whole down to every start', () => {
    const { engine, starts, total } = build([0, 0, 1, 1, 2, 2, 3, 3, -1]);
    expect(engine.fix(2 * total + 1, -12)).toBe(true);
    expect(starts.map((start) => 0 - engine.lb[2 * start + 1]!)).toEqual([9, 6, 4, 3, 2, 2, 1, 1, 1]);
    expect(engine.fix(2 * starts[2]!, 3)).toBe(true);
    expect(starts.map((start) => 0 - engine.lb[2 * start + 1]!)).toEqual([3, 1, 4, 0, 0, 0, 0, 0, 0]);
  });
});

describe('a model built in turns', () => {
  it('is the same as one built at once', () => {
    const steps = ['a', 'b', 'c', 'd'].map((id) => ({ id, minutes: 10, pools: { hands: 1 } }));
    const problem: Problem = {
      ...bareProblem(),
      steps,
      pools: [{ id: 'hands', capacity: 1 }],
      ready: steps.map(({ id }) => ({ step: id, by: 40, hold: 0, early: 1, late: 5 })),
    };
    const result = indexProblem(problem);
    if (!result.ok) throw new Error('contradiction');
    const turns = Model.inTurns(result.indexed);
    let turn = turns.next();
    let count = 1;
    for (; !turn.done; count++) turn = turns.next();
    const once = Model.of(result.indexed);
    const piecemeal = turn.value as Model;
    expect(count).toBeGreaterThan(5);
    expect(piecemeal.engine.lb).toEqual(once.engine.lb);
    const cost = ({ engine, total, base }: Model) => {
      expect(engine.search([], 1000, never)).toBe('found');
      return engine.lb[2 * total]! + base;
    };
    expect(cost(piecemeal)).toBe(cost(once));
  });
});
