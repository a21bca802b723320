import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Descent } from './descent';
import { Draft } from './draft';
import { type Indexed, indexProblem, NO_LAG } from './indexed';
import { idealStarts, noisyOrder, placeAll, seedDraft } from './list';
import { closelyJoined, dishesOf, PiecePicker } from './neighbourhoods';
import type { Problem, Schedule } from './problem';
import { seededRandom } from './random';
import { tinyProblem } from './testing/tiny';
import { validate } from './validate';

const seeds = fc.integer({ min: 1, max: 1_000_000 });

function indexed(problem: Problem): Indexed | null {
  const result = indexProblem(problem);
  return result.ok ? result.indexed : null;
}

/** The schedule that a full draft holds. */
function scheduleOf(p: Indexed, draft: Draft): Schedule {
  const starts: Record<string, number> = {};
  const units: Record<string, string[]> = {};
  const holds: Record<string, string> = {};
  p.problem.steps.forEach((step, index) => {
    starts[step.id] = draft.start[index]!;
  });
  for (const need of p.needs) {
    const unit = p.problem.units[need.units[draft.choice[need.index]!]!]!.id;
    if ('hold' in need.origin) holds[need.origin.hold] = unit;
    else {
      units[need.origin.step] ??= [];
      units[need.origin.step]![need.origin.need] = unit;
    }
  }
  return { starts, units, holds };
}

function filled(p: Indexed, seed: number): Draft | null {
  const ideal = idealStarts(p);
  const draft = new Draft(p, ideal);
  const random = seededRandom(seed);
  const all = Array.from({ length: p.n }, (_, i) => i);
  return placeAll(draft, all, noisyOrder(p, ideal, all, 0, random), 400, random) ? draft : null;
}

describe('list scheduling', () => {
  it('makes schedules that stand, with the cost it thinks they have', () => {
    let made = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        const problem = tinyProblem(seed, { steps: 9, horizon: 50 });
        const p = indexed(problem);
        const draft = p && filled(p, seed);
        if (!p || !draft) return;
        made++;
        expect(validate(problem, scheduleOf(p, draft))).toEqual({ faults: [], cost: draft.cost() });
      }),
      { numRuns: 200 },
    );
    expect(made).toBeGreaterThan(40);
  });

  it('comes back to a snapshot exactly, whatever was taken out in between', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const p = indexed(tinyProblem(seed, { steps: 9, horizon: 50 }));
        const draft = p && filled(p, seed);
        if (!p || !draft) return;
        const before = draft.snapshot();
        const cost = draft.cost();
        const random = seededRandom(seed + 1);
        for (let k = 0; k < 4; k++) draft.remove(random.below(p.n));
        for (let i = 0; i < p.n; i++) if (!draft.isPlaced(i)) draft.insert(i);
        draft.restore(before);
        expect(draft.snapshot()).toEqual(before);
        expect(draft.cost()).toBe(cost);
      }),
      { numRuns: 100 },
    );
  });

  it('keeps of an earlier schedule what still fits', () => {
    const problem = tinyProblem(92, { steps: 12, horizon: 60 });
    const p = indexed(problem)!;
    const draft = filled(p, 3)!;
    const schedule = scheduleOf(p, draft);
    const again = new Draft(p, idealStarts(p));
    seedDraft(p, again, schedule);
    expect(again.snapshot()).toEqual(draft.snapshot());
    const half = new Draft(p, idealStarts(p));
    const [first] = problem.steps;
    seedDraft(p, half, { ...schedule, starts: { [first!.id]: schedule.starts[first!.id]! } });
    expect(Array.from({ length: p.n }, (_, i) => half.isPlaced(i)).filter(Boolean)).toHaveLength(1);
  });
});

describe('the quick descent', () => {
  it('never loses its best, and every best stands', () => {
    const problem = tinyProblem(92, { steps: 12, horizon: 60 });
    const p = indexed(problem)!;
    const draft = filled(p, 1)!;
    const descent = new Descent(p, draft, idealStarts(p), closelyJoined(p), seededRandom(4));
    let best = descent.bestCost;
    for (let round = 0; round < 300; round++) {
      const gained = descent.round();
      expect(descent.bestCost < best).toBe(gained);
      best = descent.bestCost;
    }
    draft.restore(descent.best);
    expect(validate(problem, scheduleOf(p, draft))).toEqual({ faults: [], cost: best });
  });
});

describe('the tables', () => {
  it('close lags over paths and tighten bounds through them', () => {
    const p = indexed({
      ...tinyProblem(92, { steps: 12, horizon: 60 }),
      horizon: 100,
      units: [],
      pools: [],
      states: [],
      holds: [],
      ready: [],
      forbid: [],
      steps: [
        { id: 'a', minutes: 10, earliest: 5 },
        { id: 'b', minutes: 20 },
        { id: 'c', minutes: 5, latest: 60 },
      ],
      links: [
        { from: 'a', at: 'end', to: 'b', of: 'start', min: 2, max: 6 },
        { from: 'b', at: 'end', to: 'c', of: 'end', min: 8 },
      ],
    } as Problem)!;
    // a to b: 10 + 2; b to c: 20 + 8 - 5; so a to c: 35, and c no later than 60 leaves a until 25.
    expect(p.lag[0 * 3 + 2]).toBe(35);
    expect(p.lag[1 * 3 + 0]).toBe(-16);
    expect([...p.earliest]).toEqual([5, 17, 40]);
    expect([...p.latest]).toEqual([25, 37, 60]);
    expect(p.lag[2 * 3 + 0]).toBe(NO_LAG);
  });

  it('tell at once when lags contradict each other or a start has no room', () => {
    const bare = { ...tinyProblem(1), units: [], pools: [], states: [], holds: [], ready: [], forbid: [] };
    const steps = [
      { id: 'a', minutes: 3 },
      { id: 'b', minutes: 3 },
    ];
    const link = (min: number, max?: number) =>
      ({ from: 'a', at: 'end', to: 'b', of: 'start', min, ...(max === undefined ? {} : { max }) }) as const;
    const problem = (links: Problem['links']): Problem => ({ ...bare, horizon: 20, steps, links }) as Problem;
    expect(indexProblem(problem([link(2)])).ok).toBe(true);
    expect(indexProblem(problem([link(5), link(-20, 4)])).ok).toBe(false);
    expect(indexProblem(problem([link(15)])).ok).toBe(false);
  });
});

describe('neighbourhoods', () => {
  it('take whole dishes, at least one step and about as many as asked for', () => {
    const p = indexed(tinyProblem(92, { steps: 12, horizon: 60 }))!;
    const draft = filled(p, 1)!;
    const dishes = dishesOf(p);
    expect(dishes.flat().sort((a, b) => a - b)).toEqual(Array.from({ length: p.n }, (_, i) => i));
    const placement = { start: draft.start, unit: new Int32Array(p.needs.length) };
    const picker = new PiecePicker(p, seededRandom(9));
    const counts = (solved: boolean) =>
      Array.from({ length: 60 }, () => {
        const free = picker.pick(placement);
        for (const dish of dishes) expect(new Set(dish.map((step) => free[step])).size).toBe(1);
        picker.learn(solved);
        return free.reduce((sum, each) => sum + each, 0);
      });
    const shrinking = counts(false);
    expect(Math.min(...shrinking)).toBeGreaterThanOrEqual(1);
    expect(shrinking.at(-1)!).toBeLessThanOrEqual(6 + Math.max(...dishes.map((dish) => dish.length)));
    const growing = counts(true);
    expect(growing.at(-1)!).toBeGreaterThan(shrinking.at(-1)!);
  });
});
