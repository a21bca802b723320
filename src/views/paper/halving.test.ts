import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { halving } from './halving';

describe('halving', () => {
  it('finds what trying all in order finds, in few tries, and tries the last when nothing fits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 41 }), (length, from) => {
        const list = Array.from({ length }, (_, index) => index);
        const tried: number[] = [];
        const search = halving(list);
        let turn = search.next();
        while (!turn.done) {
          tried.push(turn.value);
          turn = search.next(turn.value >= from);
        }
        expect(turn.value).toBe(list.find((each) => each >= from));
        expect(tried.length).toBeLessThanOrEqual(Math.ceil(Math.log2(length + 1)));
        if (turn.value === undefined) expect(tried).toContain(length - 1);
      }),
    );
  });
});
