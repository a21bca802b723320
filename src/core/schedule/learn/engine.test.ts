import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FirstStart } from './energy';
import { ALWAYS, Engine } from './engine';
import { Pairs } from './pairs';
import { Timetable } from './timetable';

const never = () => false;

/** Every combination of values from 0 to `high`, a digit a variable. */
function* combinations(count: number, high: number): Generator<readonly number[]> {
  const size = high + 1;
  for (let code = 0; code < size ** count; code++) {
    yield Array.from({ length: count }, (_, k) => Math.floor(code / size ** k) % size);
  }
}

const COUNT = 4;
const HIGH = 3;
const literal = fc.record({
  variable: fc.integer({ min: 0, max: COUNT - 1 }),
  upper: fc.boolean(),
  value: fc.integer({ min: 0, max: HIGH }),
});
type Literal = { readonly variable: number; readonly upper: boolean; readonly value: number };
const holdsIn = (values: readonly number[], { variable, upper, value }: Literal) =>
  upper ? values[variable]! <= value : values[variable]! >= value;

describe('clauses and differences over whole numbers', () => {
  it('are satisfied when they can be, and refuted when they cannot', () => {
    const difference = fc.tuple(
      fc.integer({ min: 0, max: COUNT - 1 }),
      fc.integer({ min: 0, max: COUNT - 1 }),
      fc.integer({ min: -2, max: 2 }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.array(literal, { minLength: 1, maxLength: 3 }), { maxLength: 12 }),
        fc.array(difference, { maxLength: 4 }),
        (clauses, differences) => {
          const engine = new Engine();
          const variables = Array.from({ length: COUNT }, () => engine.variable(0, HIGH));
          const lags = differences.filter(([from, to]) => from !== to);
          for (const [from, to, lag] of lags) engine.difference(2 * variables[from]!, 2 * variables[to]!, lag);
          engine.seal();
          const view = ({ variable, upper, value }: Literal) =>
            upper ? ([2 * variables[variable]! + 1, -value] as const) : ([2 * variables[variable]!, value] as const);
          const sound = engine.start() && clauses.every((clause) => engine.addClause(clause.map(view)));
          const outcome = sound ? engine.search([], 100_000, never) : 'refuted';
          const fits = (values: readonly number[]) =>
            clauses.every((clause) => clause.some((each) => holdsIn(values, each))) &&
            lags.every(([from, to, lag]) => values[to]! >= values[from]! + lag);
          const possible = [...combinations(COUNT, HIGH)].some(fits);
          expect(outcome).toBe(possible ? 'found' : 'refuted');
          if (outcome === 'found') {
            const values = variables.map((variable) => engine.lb[2 * variable]!);
            expect(fits(values)).toBe(true);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  it('under assumptions say "refuted" without closing the whole, and pausing changes nothing', () => {
    const engine = new Engine();
    const [a, b] = [engine.variable(0, 5), engine.variable(0, 5)];
    engine.difference(2 * a, 2 * b, 2);
    engine.seal();
    expect(engine.start()).toBe(true);
    expect(engine.search([2 * a, 4], 100, never)).toBe('refuted');
    expect(engine.isOpen()).toBe(true);
    let first = true;
    const once = () => {
      const now = first;
      first = false;
      return now;
    };
    let outcome = engine.search([2 * a, 3], 100, once);
    while (outcome === 'paused') outcome = engine.search([2 * a, 3], 100, never, true);
    expect(outcome).toBe('found');
    expect(engine.lb[2 * b]).toBe(5);
    expect(engine.fix(2 * a, 4)).toBe(false);
    expect(engine.isOpen()).toBe(false);
  });
});

/** Steps as whole numbers with minutes; rules as predicates on their starts. */
interface Room {
  readonly engine: Engine;
  readonly starts: readonly number[];
}

function room(minutes: readonly number[], last: number): Room {
  const engine = new Engine();
  return { engine, starts: minutes.map(() => engine.variable(0, last)) };
}

describe('pairs', () => {
  it('order two uses whenever both choices meet, and only then', () => {
    const minutes = fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 3, maxLength: 3 });
    const fixed = fc.array(literal, { maxLength: 5 });
    fc.assert(
      fc.property(minutes, fixed, fc.integer({ min: 2, max: 4 }), (lengths, wishes, last) => {
        const { engine, starts } = room(lengths, last);
        // Each use takes one of two units.
        const choices = starts.map(() => engine.variable(0, 1));
        const pairs = new Pairs(engine);
        for (let a = 0; a < 3; a++) {
          for (let b = a + 1; b < 3; b++) {
            const [x, y] = [2 * starts[a]!, 2 * starts[b]!];
            const [p, q] = [choices[a]!, choices[b]!];
            pairs.add([x, y], [y, x], [lengths[a]!, lengths[b]!], [[2 * p, 2 * q]]);
          }
        }
        engine.seal();
        pairs.seal();
        engine.isIdle = (variable) => pairs.isIdle(variable);
        const clauses = wishes
          .filter(({ variable }) => variable < 3)
          .map(({ variable, upper, value }) =>
            upper
              ? ([2 * starts[variable]! + 1, -value] as const)
              : ([2 * choices[variable]!, value > 1 ? 1 : 0] as const),
          );
        const sound = engine.start() && clauses.every((each) => engine.addClause([each]));
        const outcome = sound ? engine.search([], 100_000, never) : 'refuted';
        const apart = (s: readonly number[], c: readonly number[]) =>
          [0, 1, 2].every((a) =>
            [0, 1, 2].every(
              (b) => a >= b || c[a] === 0 || c[b] === 0 || s[a]! + lengths[a]! <= s[b]! || s[b]! + lengths[b]! <= s[a]!,
            ),
          );
        const wished = (s: readonly number[], c: readonly number[]) =>
          wishes
            .filter(({ variable }) => variable < 3)
            .every(({ variable, upper, value }) =>
              upper ? s[variable]! <= value : c[variable]! >= (value > 1 ? 1 : 0),
            );
        let possible = false;
        for (const s of combinations(3, last)) {
          for (const c of combinations(3, 1)) if (apart(s, c) && wished(s, c)) possible = true;
        }
        expect(outcome).toBe(possible ? 'found' : 'refuted');
      }),
      { numRuns: 120 },
    );
  });
});

describe('timetables', () => {
  it('never let more be taken than there is, and refute only what cannot be', () => {
    const work = fc.array(
      fc.record({ minutes: fc.integer({ min: 1, max: 3 }), amount: fc.integer({ min: 1, max: 2 }) }),
      { minLength: 3, maxLength: 3 },
    );
    const shortage = fc.record({
      from: fc.integer({ min: 0, max: 3 }),
      length: fc.integer({ min: 1, max: 2 }),
      amount: fc.integer({ min: 1, max: 2 }),
    });
    fc.assert(
      fc.property(work, fc.array(shortage, { maxLength: 1 }), fc.integer({ min: 1, max: 4 }), (steps, short, last) => {
        const capacity = 2;
        const { engine, starts } = room(
          steps.map((step) => step.minutes),
          last,
        );
        const uses = steps.map(({ minutes, amount }, k) => {
          const start = 2 * starts[k]!;
          return { from: start, to: start, tail: minutes, amount, choice: 2 * ALWAYS };
        });
        const shortages = short.map(({ from, length, amount }) => ({ from, to: from + length, amount }));
        const timetable = new Timetable(engine, uses, capacity, shortages, 20);
        engine.addPropagator(timetable, new Set(timetable.views()));
        engine.seal();
        const outcome = engine.start() ? engine.search([], 100_000, never) : 'refuted';
        const fits = (values: readonly number[]) =>
          Array.from({ length: 12 }, (_, minute) => minute).every((minute) => {
            const taken = steps.reduce(
              (sum, step, k) => sum + (values[k]! <= minute && minute < values[k]! + step.minutes ? step.amount : 0),
              0,
            );
            const missing = shortages.reduce((sum, s) => sum + (s.from <= minute && minute < s.to ? s.amount : 0), 0);
            return taken === 0 || taken <= Math.max(0, capacity - missing);
          });
        expect(outcome).toBe([...combinations(3, last)].some(fits) ? 'found' : 'refuted');
        if (outcome === 'found') expect(fits(starts.map((start) => engine.lb[2 * start]!))).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  it('rule out a choice that has no room', () => {
    const { engine, starts } = room([4, 4], 0);
    const choice = engine.variable(0, 1);
    const use = (k: number, view: number) => ({
      from: 2 * starts[k]!,
      to: 2 * starts[k]!,
      tail: 4,
      amount: 1,
      choice: view,
    });
    const timetable = new Timetable(engine, [use(0, 2 * ALWAYS), use(1, 2 * choice)], 1, [], 20);
    engine.addPropagator(timetable, new Set(timetable.views()));
    engine.seal();
    expect(engine.start()).toBe(true);
    expect(engine.fails(2 * choice, 1)).toBe(true);
  });
});

describe('the first start', () => {
  it('falls by the energy of the work that has a deadline', () => {
    const { engine, starts } = room([5, 5, 5], 30);
    const first = engine.variable(-100, 100);
    for (const start of starts) engine.difference(2 * first, 2 * start, 0);
    const work = starts.map((start) => ({ start: 2 * start, minutes: 5, amount: 1 }));
    const energy = new FirstStart(engine, first, work, 1);
    engine.addPropagator(energy, energy.views());
    engine.seal();
    expect(engine.start()).toBe(true);
    // All end by minute 20: fifteen minutes of work for one pair of hands.
    for (const start of starts) expect(engine.fix(2 * start + 1, -15)).toBe(true);
    expect(-engine.lb[2 * first + 1]!).toBe(5);
  });
});
