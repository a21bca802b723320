import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { handOut } from './classes';
import { ActivityHeap } from './heap';
import { Timing } from './timing';

interface Arc {
  readonly from: number;
  readonly to: number;
  readonly by: number;
  readonly cost: number;
}

const NODES = 4;
const LAST = 6;
const arc = fc.record({
  from: fc.integer({ min: 0, max: NODES - 1 }),
  to: fc.integer({ min: 0, max: NODES - 1 }),
  by: fc.integer({ min: -3, max: 3 }),
  cost: fc.integer({ min: 1, max: 5 }),
});

/** Tries all starts from 0 to LAST of all nodes but the first, which stands at 0. */
function bruteTiming(rules: readonly Arc[], prices: readonly Arc[]): number | null {
  let best: number | null = null;
  for (let code = 0; code < (LAST + 1) ** (NODES - 1); code++) {
    const start = [0, ...Array.from({ length: NODES - 1 }, (_, k) => Math.floor(code / (LAST + 1) ** k) % (LAST + 1))];
    if (rules.some(({ from, to, by }) => start[to]! - start[from]! < by)) continue;
    const cost = prices.reduce(
      (sum, { from, to, by, cost: c }) => sum + c * Math.max(0, start[to]! - start[from]! - by),
      0,
    );
    if (best === null || cost < best) best = cost;
  }
  return best;
}

describe('exact timing', () => {
  it('finds the least cost that trying all starts finds', () => {
    fc.assert(
      fc.property(fc.array(arc, { maxLength: 5 }), fc.array(arc, { maxLength: 6 }), (rules, prices) => {
        const sound = rules.filter(({ from, to }) => from !== to);
        const paid = prices.filter(({ from, to }) => from !== to);
        const timing = new Timing(NODES);
        for (let node = 1; node < NODES; node++) {
          timing.addRule(0, node, 0);
          timing.addRule(node, 0, -LAST);
        }
        for (const { from, to, by } of sound) timing.addRule(from, to, by);
        for (const { from, to, by, cost } of paid) timing.addPrice(from, to, by, cost);
        const bounds = Array.from({ length: NODES - 1 }, (_, k) => [
          { from: 0, to: k + 1, by: 0, cost: 0 },
          { from: k + 1, to: 0, by: -LAST, cost: 0 },
        ]).flat();
        expect(timing.solve()).toBe(bruteTiming([...bounds, ...sound], paid));
        if (timing.solve() !== null) expect(timing.start[0]).toBe(0);
      }),
      { numRuns: 300 },
    );
  });

  it('tells which rules the cost rests on', () => {
    const timing = new Timing(3);
    timing.addPrice(0, 2, 5, 3);
    const loose = timing.addRule(0, 1, 0);
    const chain = [timing.addRule(0, 1, 4), timing.addRule(1, 2, 4)];
    expect(timing.solve()).toBe(9);
    expect(chain.every((rule) => timing.restsOn(rule))).toBe(true);
    expect(timing.restsOn(loose)).toBe(false);
  });
});

describe('handing out units that are alike', () => {
  it('never gives one unit to two that overlap, as long as there are enough', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 8 }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 9 }), (pairs) => {
        const spans = pairs.map(([from, length]) => [from, from + length] as const);
        const most = Math.max(1, ...spans.map(([at]) => spans.filter(([from, to]) => from <= at && at < to).length));
        const units = Array.from({ length: most }, (_, k) => 10 + k);
        const given = handOut(
          [{ units }],
          spans.map(() => 0),
          (need) => spans[need]!,
          () => -1,
        );
        spans.forEach(([from, to], a) => {
          expect(units).toContain(given[a]);
          spans.forEach(([lo, hi], b) => {
            if (a < b && from < hi && lo < to && from < to && lo < hi) expect(given[a]).not.toBe(given[b]);
          });
        });
      }),
    );
  });
});

describe('the heap of variables', () => {
  it('hands them out by activity', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 60 }), (bumps) => {
        const heap = new ActivityHeap(10);
        for (let variable = 0; variable < 10; variable++) heap.insert(variable);
        for (const variable of bumps) heap.bump(variable);
        let last = Number.POSITIVE_INFINITY;
        for (let k = 0; k < 10; k++) {
          const top = heap.top();
          expect(heap.activity[top]!).toBeLessThanOrEqual(last);
          last = heap.activity[top]!;
          heap.pop();
        }
        expect(heap.top()).toBe(-1);
      }),
    );
  });
});
