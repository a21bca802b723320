import { describe, expect, it } from 'vitest';
import { HEAT_SHARE, litresBoiledOff } from '@/core/heat/boil';
import { type BalanceQuestion, balanceFault, besideSchool, gramsFor, liquidBalance } from './balance';
import { GRAINS, grainOf, litresDry } from './grains';
import { METHODS, methodOf } from './methods';
import { gramsPerHead, litresInPot, litresOver, saltForBoiling, saltToAdd } from './rules';

// The balance worked out once more, each term with its numbers written out, so that none can turn round unseen.

const watts = { low: 1000, likely: 1500, high: 2000 };
const question = (change: Partial<BalanceQuestion> = {}): BalanceQuestion => ({
  grain: grainOf('long'),
  method: methodOf('covered'),
  grams: 400,
  soaked: false,
  watts,
  widthCm: 20,
  ...change,
});
const off = (share: number, lid: 'open' | 'covered' | 'sealed', width = 20) =>
  litresBoiledOff({ low: 1000 * share, likely: 1500 * share, high: 2000 * share }, lid, width);

describe('the balance', () => {
  it('of soaked grain in an ordinary pot is what it takes, less the soak, and what the two stretches boil off', () => {
    const { liquid, soaked, takenUp, boiledOff, ratio } = liquidBalance(question({ soaked: true }));
    const [open, covered] = [off(HEAT_SHARE.medium, 'open'), off(HEAT_SHARE.low, 'covered')];
    expect(takenUp).toEqual({
      low: expect.closeTo(0.66, 9),
      likely: expect.closeTo(0.72, 9),
      high: expect.closeTo(0.78, 9),
    });
    expect(soaked).toBeCloseTo(0.4 * 0.28, 9);
    // Open for 2 to 5 minutes, covered for the 12 to 15 that this grain takes.
    expect(boiledOff.low).toBeCloseTo(2 * open.low + 12 * covered.low, 9);
    expect(boiledOff.likely).toBeCloseTo(3.5 * open.likely + 13.5 * covered.likely, 9);
    expect(boiledOff.high).toBeCloseTo(5 * open.high + 15 * covered.high, 9);
    expect(liquid.low).toBeCloseTo(0.66 - 0.112 + boiledOff.low, 9);
    expect(liquid.likely).toBeCloseTo(0.72 - 0.112 + boiledOff.likely, 9);
    expect(liquid.high).toBeCloseTo(0.78 - 0.112 + boiledOff.high, 9);
    expect(ratio.likely).toBeCloseTo(liquid.likely / ((400 / 185) * 0.236588), 9);
  });

  it('takes off what meat and vegetables give, the most of it from the least', () => {
    const { liquid, given, boiledOff } = liquidBalance(question({ method: methodOf('broth') }));
    expect(given).toEqual({
      low: expect.closeTo(0.72 * 0.05, 9),
      likely: expect.closeTo(0.72 * 0.175, 9),
      high: expect.closeTo(0.72 * 0.3, 9),
    });
    expect(liquid.low).toBeCloseTo(0.66 - 0.72 * 0.3 + boiledOff.low, 9);
    expect(liquid.high).toBeCloseTo(0.78 - 0.72 * 0.05 + boiledOff.high, 9);
  });

  it('leaves what is poured off, and of grain that is always drained no more', () => {
    const dry = litresDry(grainOf('long'), 400);
    const drained = liquidBalance(question({ method: methodOf('drain') }));
    expect(drained.leftOver).toEqual({
      low: expect.closeTo(2 * dry, 9),
      likely: expect.closeTo(2.7 * dry, 9),
      high: expect.closeTo(3.4 * dry, 9),
    });
    expect(drained.takenUp.likely).toBeCloseTo(0.75 * 0.72, 9);
    expect(drained.liquid.low).toBeCloseTo(drained.takenUp.low + drained.boiledOff.low + drained.leftOver.low, 9);
    const wild = grainOf('wild');
    const wildDry = litresDry(wild, 400);
    expect(liquidBalance(question({ grain: wild })).leftOver.low).toBeCloseTo(0.75 * wildDry, 9);
    expect(liquidBalance(question({ grain: wild })).leftOver.high).toBeCloseTo(0.95 * wildDry, 9);
    expect(liquidBalance(question({ grain: wild, method: methodOf('drain') })).leftOver.low).toBeCloseTo(
      2 * wildDry,
      9,
    );
  });

  it('is turned round: so much liquid carries so much grain, and none where it all boils off', () => {
    for (const grams of [200, 777, 3000]) {
      const { liquid } = liquidBalance(question({ grams }));
      expect(gramsFor(liquid.likely, question())).toBeCloseTo(grams, 6);
    }
    expect(gramsFor(0, question())).toBe(0);
  });

  it.each([
    [{ grams: 20 }, null],
    [{ grams: 19.9 }, 'from 20 g to 10 kg'],
    [{ grams: 10_000 }, null],
    [{ grams: 10_001 }, 'Dry grain'],
    [{ widthCm: 8 }, null],
    [{ widthCm: 7.9 }, 'Width'],
    [{ widthCm: 80 }, null],
    [{ widthCm: 81 }, 'Width'],
    [{ grams: Number.NaN }, 'Dry grain'],
  ] as const)('of %o is asked within bounds: %s', (change, words) => {
    const fault = balanceFault(question(change));
    if (words === null) expect(fault).toBeNull();
    else expect(fault).toContain(words);
  });
});

describe('beside a school', () => {
  const balance = (low: number, high: number) => {
    const whole = liquidBalance(question());
    return { ...whole, ratio: { low, likely: (low + high) / 2, high } };
  };
  const covered = { grain: grainOf('long'), method: methodOf('covered'), soaked: false };

  it.each([
    [1.2, 1.49, 'pours more than this burner and pot would boil off'],
    [1.2, 1.5, null],
    [1.5, 1.8, null],
    [1.51, 1.8, 'pours less than the grain takes up here'],
  ])('of 1.5 stands a balance of %d to %d', (low, high, words) => {
    const said = besideSchool(balance(low, high), covered);
    expect(said).toContain(covered.method.because);
    if (words === null) expect(said).toBe(covered.method.because);
    else expect(said).toContain(words);
  });

  it('another grain takes up more, less or about as much, and a soak is said', () => {
    const said = (id: string) => besideSchool(balance(1, 2), { ...covered, grain: grainOf(id) });
    expect(said('parboiled')).toContain('takes up more');
    expect(said('short')).toContain('takes up less');
    expect(said('aged-long')).toContain('takes up about as much');
    expect(besideSchool(balance(1, 2), { ...covered, soaked: true })).toContain('was not soaked');
    const soaked = { grain: grainOf(methodOf('drain').grain), method: methodOf('drain'), soaked: false };
    expect(besideSchool(balance(3, 4), soaked)).toContain('grain that was soaked');
  });
});

describe('the schools', () => {
  // Volumes of liquid to one of dry grain, soaked or not, and how it stands on the heat. Common practice, no source.
  it.each([
    ['covered-soft', [1.25, 1.25], false, 'medium open, low covered'],
    ['covered', [1.5, 1.5], false, 'medium open, low covered'],
    ['pilaf', [1.5, 1.5], false, 'medium open, low covered'],
    ['pilaf-soaked', [1.33, 1.33], true, 'medium open, low covered'],
    ['broth', [1, 1.25], true, 'medium open, lowest sealed'],
    ['hard-boil', [2, 2], true, 'full open, lowest sealed'],
    ['coconut', [1.3, 1.4], false, 'medium open, lowest covered'],
    ['drain', [3, 4.5], true, 'full open'],
    ['sauce', [1.3, 1.7], false, 'medium open, low sealed'],
    ['rice-cooker', [1.25, 1.6], false, 'medium covered'],
    ['turned-out', [1.1, 1.4], true, 'medium open, low covered'],
  ] as const)('%s pours %o', (id, ratio, soaked, stretches) => {
    const method = methodOf(id);
    expect(method.ratio).toEqual(ratio);
    expect(method.soaked).toBe(soaked);
    expect(method.stretches.map(({ heat, lid }) => `${heat} ${lid}`).join(', ')).toBe(stretches);
  });

  it('are all in the table above, and all grains are found by their ids', () => {
    expect(METHODS).toHaveLength(11);
    for (const grain of GRAINS) expect(grainOf(grain.id)).toBe(grain);
    expect(grainOf('long').name).toBe('long grain rice');
    expect(() => grainOf('')).toThrow('no grain');
  });
});

describe('rules by eye', () => {
  const rice = grainOf('long');

  it('a joint of the finger over the grain is air between and a layer above', () => {
    const between = (400 / 185) * 0.236588 - 0.4 / 1.45;
    const layer = (cm: number) => (Math.PI * 10 ** 2 * cm) / 1000;
    expect(litresOver('finger-joint', rice, 400, 20)).toBeCloseTo(between + layer(2.5), 9);
    expect(litresOver('inch', rice, 400, 20)).toBeCloseTo(between + layer(2.54), 9);
    // Heavier than a kernel's own weight there is no air, and never less than none.
    expect(litresOver('inch', { ...rice, gramsPerCup: 500 }, 400, 20)).toBeCloseTo(layer(2.54), 9);
  });

  it('a pot holds what is cooked or what was poured, whichever is more, and a quarter to foam', () => {
    const cooked = (400 / 185) * 0.236588 * 3;
    expect(litresInPot(rice, 400, 0.5)).toBeCloseTo(1.25 * cooked, 9);
    expect(litresInPot(rice, 400, 4)).toBeCloseTo(1.25 * (0.4 / 1.45 + 4), 9);
  });

  it('salt by the cup, less what the stock has; a head eats less among many dishes', () => {
    expect(saltToAdd(rice, 370, 1, 'none')).toBeCloseTo(12, 9);
    expect(saltToAdd(rice, 370, 1, 'light')).toBeCloseTo(8, 9);
    expect(saltToAdd(rice, 370, 2, 'seasoned')).toBeCloseTo(-4, 9);
    expect(saltForBoiling(3)).toBe(30);
    expect([0, 1, 2, 4, 5, 12].map(gramsPerHead)).toEqual([100, 100, 75, 75, 60, 60]);
  });
});
