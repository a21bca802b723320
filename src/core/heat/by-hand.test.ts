import { describe, expect, it } from 'vitest';
import { type BoilQuestion, boilFault, litresBoiledOff, minutesByKettle, minutesToBoil } from './boil';
import { celsiusAfter, minutesAbove } from './cool';
import { carryOver, minutesToHeat, restOf } from './roast';
import { boilingPoint, simmerFactor } from './water';

// The formulas worked out once more with the numbers written out, so that no term can turn round unseen. Water: 4.186 kJ/(kg K), 2257 kJ/kg.

const even = (watts: number) => ({ low: watts, likely: watts, high: watts });
const pot = (change: Partial<BoilQuestion> = {}): BoilQuestion => ({
  litres: 2,
  fromCelsius: 20,
  watts: even(1500),
  covered: true,
  widthCm: 20,
  metres: 0,
  ...change,
});
const FLOOR_20 = Math.PI * 0.1 ** 2;

describe('minutes to the boil', () => {
  it.each([
    [true, 0.35],
    [false, 1.6],
  ])('are what water and pot take up over what is left of the flame, covered: %s', (covered, loss) => {
    const rise = boilingPoint(0) - 20;
    const needed = 2 * rise * (4.186 + 0.35 * 0.5);
    const expected = needed / (1.5 - loss * FLOOR_20) / 60;
    expect(minutesToBoil(pot({ covered })).likely / expected).toBeCloseTo(1, 2);
  });

  it('are endless where the surface loses all, or just all, of it', () => {
    const lost = 1.6 * FLOOR_20 * 1000;
    expect(minutesToBoil(pot({ covered: false, watts: even(lost * 0.9) })).likely).toBe(Number.POSITIVE_INFINITY);
    expect(minutesToBoil(pot({ covered: false, watts: even(lost * 1.01) })).likely).toBeLessThan(
      Number.POSITIVE_INFINITY,
    );
    expect(minutesToBoil(pot({ covered: false, watts: even(1.6 * ((Math.PI / 4) * 0.2 ** 2) * 1000) })).likely).toBe(
      Number.POSITIVE_INFINITY,
    );
  });

  it.each([
    [{ litres: 0.05 }, null],
    [{ litres: 0.049 }, 'Litres'],
    [{ litres: 50 }, null],
    [{ litres: 50.1 }, 'Litres'],
    [{ widthCm: 8 }, null],
    [{ widthCm: 7.9 }, 'Width'],
    [{ widthCm: 80 }, null],
    [{ widthCm: 80.1 }, 'Width'],
    [{ fromCelsius: 0 }, null],
    [{ fromCelsius: -1 }, 'Temperature'],
    [{ fromCelsius: Math.floor(boilingPoint(0)) }, null],
    [{ fromCelsius: Math.floor(boilingPoint(0)) + 1 }, 'Temperature'],
    [{ watts: even(50) }, null],
    [{ watts: even(49) }, 'Watts'],
    [{ watts: even(20_000) }, null],
    [{ watts: even(20_001) }, 'Watts'],
    [{ metres: 9000 }, 'Height'],
    [{ litres: Number.NaN }, 'Litres'],
  ] as const)('of %o are asked within bounds: %s', (change, field) => {
    const fault = boilFault(pot(change));
    if (field === null) expect(fault).toBeNull();
    else expect(fault).toContain(field);
  });
});

describe('a kettle and then the pot', () => {
  // A kettle is covered and 14 cm wide; of 2 kW likely, 2.7 at the most; poured water is 6 degrees below the boil.
  const kettle = (litres: number, watts: number) =>
    minutesToBoil(pot({ litres, watts: even(watts), covered: true, widthCm: 14 })).likely;
  const rest = (question: BoilQuestion) => minutesToBoil({ ...question, fromCelsius: boilingPoint(0) - 6 });

  it.each([1, 1.7, 2.5, 3.4, 4])('for %d litres is fill after fill and the last degrees in the pot', (litres) => {
    const question = pot({ litres, covered: false });
    const full = Math.floor(litres / 1.7);
    const last = litres - full * 1.7;
    const fills = (watts: number) => full * kettle(1.7, watts) + (last > 0.01 ? kettle(last, watts) : 0);
    const { low, likely, high } = minutesByKettle(question);
    expect(likely).toBeCloseTo(fills(2000) + rest(question).likely, 9);
    expect(low).toBeCloseTo(fills(2700) + rest(question).low, 9);
    expect(high).toBeCloseTo(fills(1300) + rest(question).high, 9);
  });

  it('heats nothing that comes hotter than it pours', () => {
    const hot = pot({ fromCelsius: 99 });
    expect(minutesByKettle(hot).likely).toBeCloseTo(kettleOf(hot) + minutesToBoil(hot).likely, 9);
  });
  const kettleOf = (question: BoilQuestion) =>
    minutesToBoil({ ...question, litres: 1.7, watts: even(2000), widthCm: 14 }).likely +
    minutesToBoil({ ...question, litres: question.litres - 1.7, watts: even(2000), widthCm: 14 }).likely;
});

describe('boiling off', () => {
  it.each([
    ['open', 1],
    ['ajar', 0.45],
    ['covered', 0.12],
    ['sealed', 0.03],
  ] as const)('with the lid %s is what the flame has left over for steam', (lid, share) => {
    const expected = ((1.5 - 0.35 * FLOOR_20) / 2257) * 60 * share;
    expect(litresBoiledOff(even(1500), lid, 20).likely / expected).toBeCloseTo(1, 2);
  });
});

describe('cooling', () => {
  // A cylinder of water: bottom and lid, and the wall around it; 11 W/(m² K) covered, 20 open, 4 wrapped.
  const height = 0.004 / FLOOR_20;
  const outside = 2 * FLOOR_20 + Math.PI * 0.2 * height;
  const question = { litres: 4, widthCm: 20, fromCelsius: 95, roomCelsius: 20, standing: 'covered' } as const;

  it.each([
    ['open', 20],
    ['covered', 11],
    ['wrapped', 4],
  ] as const)('%s goes by the whole outside of the pot', (standing, givesOff) => {
    const minutes = (4 * 4186) / (givesOff * outside) / 60;
    expect(celsiusAfter({ ...question, standing }, minutes).likely).toBeCloseTo(20 + 75 / Math.E, 0);
    const above = minutesAbove({ ...question, standing }, 60).likely;
    expect(above / (minutes * Math.log(75 / 40))).toBeCloseTo(1, 2);
  });

  it('a wide pot of as much cools sooner than one as high as it is wide, and a flat one sooner still', () => {
    const above = (widthCm: number) => minutesAbove({ ...question, widthCm }, 60).likely;
    expect(above(30)).toBeLessThan(above(18));
    expect(above(45)).toBeLessThan(above(30));
  });

  it('is at its end where it begins, and never comes to it in a room as warm', () => {
    expect(minutesAbove({ ...question, fromCelsius: 60 }, 60)).toEqual({ low: 0, likely: 0, high: 0 });
    expect(minutesAbove({ ...question, fromCelsius: 59 }, 60).likely).toBe(0);
    expect(minutesAbove({ ...question, roomCelsius: 60 }, 60).likely).toBe(Number.POSITIVE_INFINITY);
    expect(minutesAbove({ ...question, roomCelsius: 59 }, 60).likely).toBeLessThan(Number.POSITIVE_INFINITY);
  });
});

describe('a roast, its rest and its oven', () => {
  it.each([
    // kilos, oven, likely: (2.5 + 4.5 size) heat; size from 0.3 to 3 kg, heat from 0.6 to 1.3 of 190 °C.
    [0.3, 190, 2.5],
    [0.1, 190, 2.5],
    [3, 190, 7],
    [9, 190, 7],
    [1.65, 190, 4.75],
    [3, 95, 7 * 0.6],
    [3, 152, 7 * 0.8],
    [3, 285, 7 * 1.3],
  ])('of %d kg from %d °C rises by %d', (kilos, oven, likely) => {
    const rise = carryOver(kilos, oven);
    expect(rise.likely).toBeCloseTo(likely, 9);
    expect(rise.low).toBeCloseTo(0.6 * likely, 9);
    expect(rise.high).toBeCloseTo(1.4 * likely, 9);
  });

  it.each([
    [0.2, 5, 10, 20],
    [0.5, 5, 10, 20],
    [1.75, 15, 20, 30],
    [3, 25, 30, 40],
    [8, 25, 30, 40],
  ])('of %d kg rests %d to %d to %d min', (kilos, low, likely, high) => {
    const rest = restOf(kilos);
    expect([rest.low, rest.likely, rest.high]).toEqual([low, expect.closeTo(likely, 9), expect.closeTo(high, 9)]);
  });

  it('warms as Newton has it, a quarter either way', () => {
    const { low, likely, high } = minutesToHeat(220, 12, 100);
    expect(likely).toBeCloseTo((12 * Math.log(200 / 80)) / Math.log(280 / 120), 9);
    expect([low / likely, high / likely]).toEqual([expect.closeTo(0.75, 9), expect.closeTo(1.25, 9)]);
    expect(minutesToHeat(180, 12).likely).toBeCloseTo(12, 9);
    expect(minutesToHeat(290, 12).likely).toBeCloseTo((12 * Math.log(280 / 10)) / Math.log(280 / 120), 9);
    expect(minutesToHeat(295, 12).likely).toBeCloseTo(minutesToHeat(300, 12).likely, 9);
    expect(minutesToHeat(20, 12).likely).toBe(0);
    expect(minutesToHeat(100, 12, 100).likely).toBe(0);
    expect(minutesToHeat(101, 12, 100).likely).toBeGreaterThan(0);
  });
});

describe('up in the mountains', () => {
  it('a simmer takes a quarter longer for each five degrees', () => {
    for (const metres of [0, 800, 2500])
      expect(simmerFactor(metres)).toBeCloseTo(1.25 ** ((boilingPoint(0) - boilingPoint(metres)) / 5), 9);
    expect(simmerFactor(1524)).toBeCloseTo(1.25, 1);
  });
});
