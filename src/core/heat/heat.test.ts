import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BoilQuestion,
  boilFault,
  litresBoiledOff,
  litresLeft,
  minutesByKettle,
  minutesToBoil,
  USUAL_WATTS,
  wattsFromBoil,
  wattsOf,
} from './boil';
import { celsiusAfter, minutesAbove } from './cool';
import { carryOver, minutesToCool, minutesToHeat, restOf, slowerBy } from './roast';
import { boilingPoint, simmerFactor } from './water';

const question: BoilQuestion = {
  litres: 3,
  fromCelsius: 15,
  watts: USUAL_WATTS.strong,
  covered: true,
  widthCm: 22,
  metres: 0,
};

describe('boiling down', () => {
  it('leaves less the longer it boils, a band that widens, and never less than nothing', () => {
    const off = litresBoiledOff(USUAL_WATTS.middling, 'open', 22);
    const left = (minutes: number) => litresLeft(2, off, minutes);
    expect(left(0)).toEqual({ low: 2, likely: 2, high: 2 });
    expect(left(20).likely).toBeLessThan(left(10).likely);
    expect(left(20).high - left(20).low).toBeGreaterThan(left(10).high - left(10).low);
    expect(left(2000).likely).toBe(0);
  });
});

describe('a kettle first', () => {
  it('saves minutes over a weak burner and next to none over a very strong one', () => {
    const both = (watts: number) => {
      const asked = { ...question, watts: { low: watts, likely: watts, high: watts } };
      return [minutesToBoil(asked).likely, minutesByKettle(asked).likely] as const;
    };
    expect(both(500)[1]).toBeLessThan(0.5 * both(500)[0]);
    expect(both(4000)[1]).toBeGreaterThan(both(4000)[0]);
  });

  it('is filled as often as it must be', () => {
    const likely = (litres: number) => minutesByKettle({ ...question, litres }).likely;
    expect(likely(5.1)).toBeCloseTo(3 * likely(1.7), 0);
    const { low, likely: middle, high } = minutesByKettle(question);
    expect(low).toBeLessThan(middle);
    expect(middle).toBeLessThan(high);
  });
});

describe('to the boil', () => {
  it('takes longer for more water, colder water, an open pot and a weaker burner', () => {
    const likely = (change: Partial<BoilQuestion>) => minutesToBoil({ ...question, ...change }).likely;
    expect(likely({ litres: 6 })).toBeGreaterThan(1.9 * likely({}));
    expect(likely({ fromCelsius: 5 })).toBeGreaterThan(likely({}));
    expect(likely({ covered: false })).toBeGreaterThan(likely({}));
    expect(likely({ watts: USUAL_WATTS.weak })).toBeGreaterThan(2 * likely({}));
    expect(likely({ fromCelsius: 95 })).toBeLessThan(1.5);
  });

  it('is a band around what is likely', () => {
    const { low, likely, high } = minutesToBoil(question);
    expect(low).toBeLessThan(likely);
    expect(likely).toBeLessThan(high);
    expect(minutesToBoil({ ...question, watts: { low: 10, likely: 10, high: 10 } }).likely).toBe(
      Number.POSITIVE_INFINITY,
    );
  });

  it('gives back the watts of a burner from one boil', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 300, max: 4000, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.integer({ min: 0, max: 3000 }),
        (watts, litres, metres) => {
          const asked = { ...question, litres, metres, watts: { low: watts, likely: watts, high: watts } };
          expect(wattsFromBoil(asked, minutesToBoil(asked).likely)).toBeCloseTo(watts, 3);
        },
      ),
    );
  });

  it('goes by the strength of a burner until it was measured', () => {
    expect(wattsOf({ strength: 'weak' })).toEqual(USUAL_WATTS.weak);
    const measured = wattsOf({ strength: 'weak', watts: 1000 });
    expect(measured).toEqual({ low: 900, likely: 1000, high: 1100 });
  });

  it.each([
    [{ litres: 0 }, /Litres/],
    [{ litres: -3 }, /Litres/],
    [{ fromCelsius: 300 }, /from 0 to 9\d|from 0 to 100|Temperature/],
    [{ metres: 9000 }, /Height/],
    [{ widthCm: Number.NaN }, /Width/],
    [{ watts: { low: 0, likely: 0, high: 0 } }, /Watts/],
  ])('refuses %j in words', (change, words) => {
    expect(boilFault({ ...question, ...change })).toMatch(words);
    expect(boilFault(question)).toBeNull();
  });
});

describe('boiling off', () => {
  it('is more without a lid and with more heat, and never less than nothing', () => {
    const open = litresBoiledOff(USUAL_WATTS.strong, 'open', 24);
    const covered = litresBoiledOff(USUAL_WATTS.strong, 'covered', 24);
    expect(open.likely).toBeGreaterThan(5 * covered.likely);
    expect(litresBoiledOff({ low: 0, likely: 5, high: 10 }, 'open', 30).low).toBe(0);
  });
});

describe('cooling', () => {
  const pot = { litres: 4, widthCm: 22, fromCelsius: 95, roomCelsius: 21, standing: 'covered' } as const;

  it('goes on towards the room and never beyond it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2000 }), fc.integer({ min: 0, max: 2000 }), (a, b) => {
        const [sooner, later] = [Math.min(a, b), Math.max(a, b)];
        expect(celsiusAfter(pot, later).likely).toBeLessThanOrEqual(celsiusAfter(pot, sooner).likely);
        expect(celsiusAfter(pot, later).likely).toBeGreaterThanOrEqual(pot.roomCelsius);
      }),
    );
    expect(celsiusAfter(pot, 0)).toEqual({ low: 95, likely: 95, high: 95 });
  });

  it('takes longer wrapped than covered, and covered than open', () => {
    const stays = (standing: 'open' | 'covered' | 'wrapped') => minutesAbove({ ...pot, standing }).likely;
    expect(stays('wrapped')).toBeGreaterThan(2 * stays('covered'));
    expect(stays('covered')).toBeGreaterThan(stays('open'));
  });

  it('says when the band of holding hot is left, in agreement with the curve', () => {
    const { likely } = minutesAbove(pot, 60);
    expect(celsiusAfter(pot, likely).likely).toBeCloseTo(60, 6);
    expect(minutesAbove({ ...pot, fromCelsius: 50 }).likely).toBe(0);
    expect(minutesAbove({ ...pot, roomCelsius: 70 }).likely).toBe(Number.POSITIVE_INFINITY);
  });
});

describe('water', () => {
  it('boils cooler the higher, and simmers longer for it', () => {
    expect(boilingPoint(2000)).toBeLessThan(boilingPoint(1000));
    expect(simmerFactor(0)).toBe(1);
    expect(simmerFactor(2000)).toBeGreaterThan(1.3);
  });
});

describe('a roast and its oven', () => {
  it('rises by a few degrees after it is out, a joint more than a cutlet', () => {
    expect(carryOver(0.3, 190).likely).toBeLessThan(4);
    expect(carryOver(3, 190).likely).toBeGreaterThan(5);
    expect(carryOver(3, 240).high).toBeLessThan(13);
    expect(carryOver(2, 190).low).toBeLessThan(carryOver(2, 190).likely);
  });

  it('rests ten minutes to half an hour (common practice, no source)', () => {
    expect(restOf(0.4).likely).toBe(10);
    expect(restOf(4).likely).toBe(30);
  });

  it('an oven takes as long as told to 180 °C, longer to 250, and nothing when it is there', () => {
    expect(minutesToHeat(180, 12).likely).toBeCloseTo(12, 9);
    expect(minutesToHeat(250, 12).likely).toBeGreaterThan(18);
    expect(minutesToHeat(100, 12).likely).toBeLessThan(7);
    expect(minutesToHeat(150, 12, 180).likely).toBe(0);
    expect(Number.isFinite(minutesToHeat(320, 12).likely)).toBe(true);
  });

  it('an oven comes down to 80 °C the sooner the less hot it was, and nothing from where it is', () => {
    const { low, likely, high } = minutesToCool(80, 200);
    expect(likely).toBeCloseTo(11 * Math.log(3), 9);
    expect([low, high]).toEqual([0.67 * likely, 1.33 * likely]);
    expect(minutesToCool(80, 140).likely).toBeLessThan(likely);
    expect(minutesToCool(80, 80).likely).toBe(0);
    expect(minutesToCool(180, 160).likely).toBe(0);
    // Nobody waits for an oven to be as cold as the kitchen.
    expect(minutesToCool(20, 200).likely).toBe(minutesToCool(30, 200).likely);
  });

  it('a cooler oven takes longer, a hotter one less long, and there and back is the same', () => {
    expect(slowerBy(190, 190)).toBe(1);
    expect(slowerBy(200, 180)).toBeCloseTo(Math.log(170 / 105) / Math.log(190 / 125), 9);
    expect(slowerBy(180, 200)).toBeCloseTo(1 / slowerBy(200, 180), 9);
  });
});
