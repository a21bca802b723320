import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Arc, longestLags, NO_LAG } from './lags';

/** Longest chains by trying every middle, as in the textbook. */
function byHand(n: number, arcs: readonly Arc[]): readonly number[] | null {
  const lag = Array.from({ length: n * n }, (_, at) => (at % (n + 1) === 0 ? 0 : Number.NEGATIVE_INFINITY));
  for (const { from, to, lag: value } of arcs) lag[from * n + to] = Math.max(lag[from * n + to]!, value);
  for (let k = 0; k < n; k++)
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) lag[i * n + j] = Math.max(lag[i * n + j]!, lag[i * n + k]! + lag[k * n + j]!);
  return Array.from({ length: n }, (_, i) => lag[i * n + i]!).some((own) => own > 0) ? null : lag;
}

function ours(n: number, arcs: readonly Arc[]): readonly number[] | null {
  const turns = longestLags(n, arcs);
  let turn = turns.next();
  while (!turn.done) turn = turns.next();
  return turn.value && Array.from(turn.value, (lag) => (lag <= NO_LAG ? Number.NEGATIVE_INFINITY : lag));
}

describe('longest lags', () => {
  it('are those of the textbook, for few steps and for many, and a circle that asks for time has none', () => {
    const sizes = fc.integer({ min: 1, max: 60 });
    const graphs = sizes.chain((n) => {
      const step = fc.integer({ min: 0, max: n - 1 });
      const arc = fc.record({ from: step, to: step, lag: fc.integer({ min: -60, max: 20 }) });
      return fc.record({ n: fc.constant(n), arcs: fc.array(arc, { maxLength: 3 * n }) });
    });
    let circles = 0;
    fc.assert(
      fc.property(graphs, ({ n, arcs }) => {
        const wanted = byHand(n, arcs);
        if (wanted === null) circles++;
        expect(ours(n, arcs)).toEqual(wanted);
      }),
      { numRuns: 300, seed: 7 },
    );
    expect(circles).toBeGreaterThan(20);
  });

  it('give the caller a turn on the way', () => {
    const chain = Array.from({ length: 199 }, (_, i) => ({ from: i, to: i + 1, lag: 5 }));
    let turns = 0;
    const lags = longestLags(200, chain);
    let turn = lags.next();
    for (; !turn.done; turn = lags.next()) turns++;
    expect(turns).toBeGreaterThan(5);
    expect(turn.value![0 * 200 + 199]).toBe(995);
  });
});
