import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TEST_CLOCK } from '@/core/testing/clock';
import { Draft } from './draft';
import { type Indexed, indexProblem } from './indexed';
import { idealStarts, noisyOrder, placeAll } from './list';
import { dishesOf } from './neighbourhoods';
import { cutPiece, type Piece, putBack } from './piece';
import { costOf, type Placement, placementOf, scheduleOf, snapshotOf } from './placement';
import { isFound, type Solution } from './problem';
import { seededRandom } from './random';
import { Retiming } from './retime';
import { solve } from './solve';
import { tinyProblem } from './testing/tiny';
import { validate } from './validate';

/** A random problem with some full placement by list scheduling, far from the best as a rule. */
function listed(seed: number): { readonly p: Indexed; readonly draft: Draft; readonly placement: Placement } | null {
  const result = indexProblem(tinyProblem(seed, { steps: 9, horizon: 40 }));
  if (!result.ok) return null;
  const p = result.indexed;
  const ideal = idealStarts(p);
  const draft = new Draft(p, ideal);
  const all = Array.from({ length: p.n }, (_, i) => i);
  const random = seededRandom(seed);
  if (!placeAll(draft, all, noisyOrder(p, ideal, all, 30, random), 100, random)) return null;
  return { p, draft, placement: placementOf(p, draft.snapshot()) };
}

const seeds = fc.integer({ min: 0, max: 1_000_000 });

/** A solution of a piece in its own positions. */
function placedIn(p: Indexed, solution: Solution): Placement {
  if (!isFound(solution)) throw new Error('no solution');
  const start = Int32Array.from(p.problem.steps, (step) => solution.starts[step.id]!);
  const unit = Int32Array.from(p.needs, ({ origin }) => {
    const id = 'hold' in origin ? solution.holds[origin.hold] : solution.units[origin.step]![origin.need];
    return p.problem.units.findIndex((each) => each.id === id);
  });
  return { start, unit };
}

/** The piece of the dishes in a mask, and its tables; null when there is none to speak of. */
function someDishes(
  p: Indexed,
  placement: Placement,
  mask: number,
): { readonly piece: Piece; readonly index: Indexed } | null {
  const free = new Uint8Array(p.n);
  dishesOf(p).forEach((dish, k) => {
    for (const step of dish) free[step] = (mask >> (k & 7)) & 1;
  });
  const piece = cutPiece(p, placement, free);
  if (!piece || piece.steps.length === 0) return null;
  const result = indexProblem(piece.problem);
  if (!result.ok) throw new Error('The piece contradicts itself.');
  return { piece, index: result.indexed };
}

describe('a piece of a plan', () => {
  it('stands by its own rules where it stands in the whole, at the cost it says', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 255 }), (seed, mask) => {
        const whole = listed(seed);
        if (!whole) return;
        const { p, placement } = whole;
        const cut = someDishes(p, placement, mask);
        if (!cut) return;
        const { piece, index } = cut;
        const verdict = validate(piece.problem, scheduleOf(index, piece.placement));
        expect(verdict.faults).toEqual([]);
        expect(verdict.cost).toBe(piece.cost);
        expect(costOf(index, piece.placement)).toBe(piece.cost);
        expect(putBack(placement, piece, piece.placement)).toEqual(placement);
      }),
      { numRuns: 400 },
    );
  });

  it('solved for itself and put back keeps all rules, and saves in the whole what it saves in itself', async () => {
    await fc.assert(
      fc.asyncProperty(seeds, fc.integer({ min: 1, max: 255 }), async (seed, mask) => {
        const whole = listed(seed);
        if (!whole) return;
        const { p, placement } = whole;
        const cut = someDishes(p, placement, mask);
        if (!cut) return;
        const { piece, index } = cut;
        const solved = await solve(piece.problem, { ...TEST_CLOCK, seconds: 5, rounds: 4 });
        const after = putBack(placement, piece, placedIn(index, solved));
        const verdict = validate(p.problem, scheduleOf(p, after));
        expect(verdict.faults).toEqual([]);
        const saved = piece.cost - (isFound(solved) ? solved.cost : 0);
        expect(verdict.cost).toBe(costOf(p, placement) - saved);
        expect(saved).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 150 },
    );
  });
});

describe('retiming', () => {
  it('never breaks a rule, keeps the choices, and saves when it changes anything', () => {
    let changed = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        const whole = listed(seed);
        if (!whole) return;
        const { p, placement } = whole;
        const cost = costOf(p, placement);
        const retiming = new Retiming(p);
        const better = retiming.better(snapshotOf(p, placement), cost);
        if (!better) return;
        changed++;
        const verdict = validate(p.problem, scheduleOf(p, placementOf(p, better)));
        expect(verdict.faults).toEqual([]);
        expect(verdict.cost).toBeLessThan(cost);
        expect(better.choice).toEqual(snapshotOf(p, placement).choice);
      }),
      { numRuns: 800 },
    );
    expect(changed).toBeGreaterThan(50);
  });

  it('leaves at the very end what takes no unit only there', async () => {
    // Two holds of one unit begin with a milestone: they fit beside each other at the horizon alone.
    const found = await solve(tinyProblem(7_002_295), { ...TEST_CLOCK, seconds: 5, rounds: 4 });
    expect(found.status).toBe('optimal');
  });

  it('finds from the flow of an earlier plan what it finds from none', () => {
    fc.assert(
      fc.property(seeds, seeds, (seed, other) => {
        const whole = listed(seed);
        if (!whole) return;
        const { p, draft, placement } = whole;
        const kept = new Retiming(p);
        kept.better(snapshotOf(p, placement), costOf(p, placement));
        kept.accept();
        // Some steps out and in again: a plan that is much the same.
        const random = seededRandom(other);
        const some = Array.from({ length: p.n }, (_, i) => i).filter(() => random.next() < 0.4);
        for (const i of some) draft.remove(i);
        if (!placeAll(draft, some, noisyOrder(p, idealStarts(p), some, 30, random), 60, random)) return;
        const after = draft.snapshot();
        const cost = draft.cost();
        const fromKept = kept.better(after, cost);
        const fromNone = new Retiming(p).better(after, cost);
        const costs = [fromKept, fromNone].map((each) => each && costOf(p, placementOf(p, each)));
        expect(costs[0]).toBe(costs[1]);
      }),
      { numRuns: 400 },
    );
  });
});
