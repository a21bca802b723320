import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Border, borders, crossed, unsound } from './borders';

/** A bounded run of what `npm run fuzz` does ten thousand times: always the same inputs. */
const RUNS = 100;

describe('at a border', () => {
  it.each(borders().map((border) => [border.name, border] as const))(
    '%s of ill will are taken soundly or refused in words',
    async (_, { inputs }: Border) => {
      const count = { taken: 0, refused: 0 };
      for (const attempt of fc.sample(inputs, { numRuns: RUNS, seed: 20 })) {
        const became = await crossed(attempt);
        expect(became, attempt.input.slice(0, 400)).toBeTypeOf('string');
        count[became as 'taken' | 'refused']++;
      }
      // Inputs of which all end alike try nothing.
      expect(Math.min(count.taken, count.refused)).toBeGreaterThan(0);
    },
  );

  it('what is no number is found wherever it stands, and whatever is thrown is wrong', async () => {
    expect(unsound({ a: [1, { b: Number.NaN }] })).toBe('value.a.1.b is NaN');
    expect(unsound({ a: 'in undefined minutes' })).toMatch(/undefined minutes/);
    expect(unsound(new Map([['a', Number.POSITIVE_INFINITY]]))).toMatch(/Infinity/);
    expect(unsound({ a: [1, 'Nantes', null] })).toBeNull();
    const cross = () => {
      throw new Error('no');
    };
    expect(await crossed({ input: '', cross })).toMatchObject({ wrong: expect.stringContaining('thrown: no') });
  });
});
