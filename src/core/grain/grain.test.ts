import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_WATTS } from '@/core/heat/boil';
import { balanceFault, besideSchool, gramsFor, liquidBalance } from './balance';
import { GRAINS, grainOf, litresDry } from './grains';
import { METHODS, methodOf } from './methods';
import { gramsPerHead, litresInPot, litresOver, saltForBoiling, saltToAdd } from './rules';

const asked = (change: Partial<Parameters<typeof liquidBalance>[0]> = {}) => ({
  grain: grainOf('long'),
  method: methodOf('covered'),
  grams: 400,
  soaked: false,
  watts: USUAL_WATTS.middling,
  widthCm: 20,
  ...change,
});

describe('the grains', () => {
  it('are eighteen at least, each with bands the right way round', () => {
    expect(GRAINS.length).toBeGreaterThanOrEqual(18);
    expect(new Set(GRAINS.map(({ id }) => id)).size).toBe(GRAINS.length);
    for (const { id, takesUp, minutes, soak, rest, soakTakes, swells } of GRAINS) {
      for (const [least, most] of [takesUp, minutes, rest, ...(soak ? [soak] : [])]) {
        expect(least, id).toBeLessThanOrEqual(most);
        expect(least, id).toBeGreaterThanOrEqual(0);
      }
      expect(soakTakes, id).toBeLessThan(takesUp[0]);
      expect(soakTakes > 0, id).toBe(soak !== null);
      expect(swells, id).toBeGreaterThan(2);
    }
    expect(() => grainOf('gravel')).toThrow('gravel');
    expect(() => methodOf('prayer')).toThrow('prayer');
  });

  it('fill what they weigh', () => {
    expect(litresDry(grainOf('long'), 370)).toBeCloseTo(2 * 0.2366, 3);
  });
});

describe('the liquid balance', () => {
  it('adds up, term by term, whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRAINS),
        fc.constantFrom(...METHODS),
        fc.integer({ min: 50, max: 3000 }),
        fc.boolean(),
        (grain, method, grams, soaked) => {
          const {
            takenUp,
            soaked: before,
            given,
            boiledOff,
            leftOver,
            liquid,
          } = liquidBalance(asked({ grain, method, grams, soaked }));
          expect(liquid.likely).toBeCloseTo(
            Math.max(0, takenUp.likely - before - given.likely + boiledOff.likely + leftOver.likely),
            9,
          );
          expect(liquid.low).toBeLessThanOrEqual(liquid.likely);
          expect(liquid.likely).toBeLessThanOrEqual(liquid.high);
        },
      ),
    );
  });

  it('pours less when soaked, more for more grain, and less of it by volume the more there is', () => {
    const likely = (change: Parameters<typeof asked>[0]) => liquidBalance(asked(change)).liquid.likely;
    expect(likely({ soaked: true })).toBeLessThan(likely({}));
    expect(likely({ grams: 800 })).toBeGreaterThan(likely({}));
    // What boils off is the same for two cups and for six: the ratio falls.
    expect(liquidBalance(asked({ grams: 1200 })).ratio.likely).toBeLessThan(liquidBalance(asked()).ratio.likely);
  });

  it('tells how much grain a measured stock carries: the way back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRAINS),
        fc.constantFrom(...METHODS),
        fc.integer({ min: 100, max: 3000 }),
        (grain, method, grams) => {
          const question = asked({ grain, method, grams });
          expect(gramsFor(liquidBalance(question).liquid.likely, question)).toBeCloseTo(grams, 3);
        },
      ),
    );
    expect(gramsFor(0, asked())).toBe(0);
  });

  it.each([
    [{ grams: 0 }, /Dry grain/],
    [{ grams: -3 }, /Dry grain/],
    [{ grams: Number.NaN }, /Dry grain/],
    [{ widthCm: 200 }, /Width/],
  ])('refuses %j in words', (change, words) => {
    expect(balanceFault(asked(change))).toMatch(words);
    expect(balanceFault(asked())).toBeNull();
  });

  it('says when a school pours more or less than the balance would', () => {
    const weak = liquidBalance(
      asked({ grain: grainOf('aged-long'), method: methodOf('hard-boil'), soaked: true, watts: USUAL_WATTS.weak }),
    );
    const grain = grainOf('aged-long');
    expect(besideSchool(weak, { grain, method: methodOf('hard-boil'), soaked: true })).toMatch(/pours more/);
    expect(besideSchool(weak, { grain, method: methodOf('hard-boil'), soaked: false })).toMatch(
      /grain that was soaked/,
    );
    const long = grainOf('long');
    const thirsty = liquidBalance(asked({ grain: { ...long, takesUp: [2.4, 2.8] } }));
    expect(besideSchool(thirsty, { grain: long, method: methodOf('covered'), soaked: false })).toMatch(/pours less/);
  });

  it('says when a school speaks of another grain', () => {
    const beside = (id: string) => {
      const grain = grainOf(id);
      return besideSchool(liquidBalance(asked({ grain })), { grain, method: methodOf('covered'), soaked: false });
    };
    expect(beside('polenta')).toMatch(/long grain rice; this grain takes up more/);
    expect(beside('farro')).toMatch(/takes up less/);
    expect(beside('aged-long')).toMatch(/about as much/);
  });
});

describe('rules by eye and by spoon', () => {
  const long = grainOf('long');

  it('a finger-joint pours more over little grain in a wide pot than the grain can take', () => {
    const ratio = (grams: number, widthCm: number) =>
      litresOver('finger-joint', long, grams, widthCm) / litresDry(long, grams);
    expect(ratio(200, 24)).toBeGreaterThan(3);
    expect(ratio(800, 18)).toBeLessThan(1.4);
    expect(litresOver('inch', long, 400, 20)).toBeGreaterThan(litresOver('finger-joint', long, 400, 20));
  });

  it('salt is counted through stock and grain', () => {
    expect(saltToAdd(long, 370, 0.6, 'none')).toBeCloseTo(12, 6);
    expect(saltToAdd(long, 370, 0.6, 'seasoned')).toBeCloseTo(12 - 4.8, 6);
    expect(saltToAdd(long, 185, 1, 'a little too salty')).toBeLessThan(0);
    expect(saltForBoiling(3)).toBe(30);
  });

  it('less grain a head the more dishes there are', () => {
    expect([1, 3, 9].map(gramsPerHead)).toEqual([100, 75, 60]);
  });

  it('a pot holds the cooked grain, and the grain and its liquid, with room to foam', () => {
    const dry = litresDry(long, 400);
    expect(litresInPot(long, 400, 0.6)).toBeCloseTo(1.25 * 3 * dry, 6);
    expect(litresInPot(long, 400, 5)).toBeGreaterThan(1.25 * 5);
  });
});
