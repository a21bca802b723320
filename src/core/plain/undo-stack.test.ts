import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { changedFrom, doneAgain, NO_PAST, type Past, takenBack } from './undo-stack';

describe('taking back', () => {
  it('goes back through every change and forth again, and a new change forgets what was ahead', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('change', 'back', 'again'), { maxLength: 40 }), (acts) => {
        let past: Past<number> = NO_PAST;
        let present = 0;
        // The plain model: a list of states and a place in it.
        let list = [0];
        let at = 0;
        for (const [index, act] of acts.entries()) {
          if (act === 'change') {
            past = changedFrom(past, present);
            present = index + 1;
            list = [...list.slice(0, at + 1), present];
            at++;
          } else {
            const moved = act === 'back' ? takenBack(past, present) : doneAgain(past, present);
            const to = at + (act === 'back' ? -1 : 1);
            expect(moved === null).toBe(list[to] === undefined);
            if (moved) {
              ({ state: present, past } = moved);
              at = to;
            }
          }
          expect(present).toBe(list[at]);
        }
      }),
    );
  });

  it('keeps the last sixty', () => {
    let past: Past<number> = NO_PAST;
    for (let state = 0; state < 100; state++) past = changedFrom(past, state);
    expect(past.before).toHaveLength(60);
    expect(past.before.at(-1)).toBe(99);
  });
});
