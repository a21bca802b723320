import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '@/core/schedule/random';
import { believed, faultOf, forecastCentre, forecastWeight, type Measurement, sayFault } from './instruments';
import { centreAfter, type PretendedProbe, pretended, probeSays, scaleSays } from './pretend';

const MINUTE = 60_000;
const roast: PretendedProbe = { startAt: 0, from: 8, around: 160, slowness: 90, noise: 0.3 };

function readings(probe: PretendedProbe, from: number, to: number, seed = 1, every = 10_000): Measurement[] {
  const random = seededRandom(seed);
  const list: Measurement[] = [];
  for (let at = from * MINUTE; at <= to * MINUTE; at += every) {
    const said = probeSays(probe, at, random);
    if (said) list.push(said);
  }
  return list;
}

/** The minute at which the centre truly is there. */
function truth(probe: PretendedProbe, target: number): number {
  let minute = 0;
  while (centreAfter(probe, minute) < target) minute += 0.5;
  return minute;
}

describe('a probe in a roast', () => {
  it('forecasts when it is there, surer the nearer it comes', () => {
    const there = truth(roast, 63);
    for (const minute of [15, 25, there - 5]) {
      const { at, give, stalls } = forecastCentre(readings(roast, 0, minute), 63, 160)!;
      expect(stalls).toBe(false);
      expect(Math.abs(at / MINUTE - there), `at ${minute}`).toBeLessThanOrEqual(Math.max(3, 2.5 * give));
    }
    const early = forecastCentre(readings(roast, 0, 12), 63, 160)!;
    const late = forecastCentre(readings(roast, 0, there - 4), 63, 160)!;
    expect(late.give).toBeLessThanOrEqual(early.give);
    expect(forecastCentre(readings(roast, 0, there + 3), 63, 160)!.give).toBe(0);
  });

  it('holds its band in nine cases of ten, whatever the piece', () => {
    let within = 0;
    let cases = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 160 }),
        fc.integer({ min: 4, max: 20 }),
        fc.nat(9999),
        (slowness, from, seed) => {
          const probe = { ...roast, slowness, from };
          const there = truth(probe, 63);
          const forecast = forecastCentre(readings(probe, 0, there * 0.6, seed + 1), 63, 160);
          if (!forecast) return;
          cases++;
          if (Math.abs(forecast.at / MINUTE - there) <= 2 * forecast.give + 1) within++;
        },
      ),
      { numRuns: 120, seed: 7 },
    );
    expect(cases).toBeGreaterThan(100);
    expect(within / cases).toBeGreaterThan(0.9);
  });

  it('notices a stall, and grows less sure', () => {
    const stalling = { ...roast, stall: [50, 56] as const };
    const begins = truth({ ...roast }, 50.5);
    const forecast = forecastCentre(readings(stalling, 0, begins + 7), 63, 160)!;
    expect(forecast.stalls).toBe(true);
    expect(forecast.give).toBeGreaterThan(forecastCentre(readings(roast, 0, begins), 63, 160)!.give);
  });

  it('says nothing while there is too little to go by, or it gets colder', () => {
    expect(forecastCentre([], 63, 160)).toBeNull();
    expect(forecastCentre(readings(roast, 0, 1), 63, 160)).toBeNull();
    const cooling = readings({ ...roast, from: 80, around: 20 }, 0, 10);
    expect(forecastCentre(cooling, 90, 20)).toBeNull();
  });
});

describe('an instrument that fails', () => {
  it.each([
    ['silent', /fallen silent/],
    ['jumped', /jumped/],
    ['frozen', /the same for two minutes/],
  ] as const)('%s: is noticed and said', (fault, words) => {
    const kind = fault === 'jumped' ? 'jump' : fault;
    const mishap = { kind, from: 10 * MINUTE, to: 20 * MINUTE } as const;
    const until = fault === 'jumped' ? 10 : 13;
    const heard = readings({ ...roast, mishaps: [mishap] }, 0, until);
    expect(faultOf('probe', heard, until * MINUTE)).toBe(fault);
    expect(faultOf('probe', readings(roast, 0, until), until * MINUTE)).toBeNull();
    expect(sayFault(fault, 'probe')).toMatch(words);
  });

  it('spoils no forecast by a jump', () => {
    const jumping = { ...roast, mishaps: [{ kind: 'jump', from: 14 * MINUTE, to: 14.5 * MINUTE } as const] };
    const [with_, without] = [jumping, roast].map((probe) => forecastCentre(readings(probe, 0, 20), 63, 160)!);
    expect(Math.abs(with_!.at - without!.at) / MINUTE).toBeLessThan(4);
    expect(believed('probe', readings(jumping, 0, 20)).length).toBeLessThan(readings(jumping, 0, 20).length);
  });
});

describe('a pot on a scale', () => {
  it('tells what is left and when it has boiled down', () => {
    const random = seededRandom(2);
    const scale = { startAt: 0, grams: 4000, boilsOff: 30, noise: 4 };
    const heard = Array.from({ length: 60 }, (_, k) => scaleSays(scale, k * 10_000, random));
    const forecast = forecastWeight(heard, 3400)!;
    expect(Math.abs(forecast.at / MINUTE - 20)).toBeLessThan(1);
    expect(forecastWeight(heard, 3900)!.give).toBe(0);
    expect(
      forecastWeight(
        heard.map(({ at }) => ({ at, value: 4000 })),
        3000,
      ),
    ).toBeNull();
  });
});

describe('to the second and the degree', () => {
  const SECOND = 1000;
  const said = (...values: readonly (readonly [seconds: number, value: number])[]): Measurement[] =>
    values.map(([seconds, value]) => ({ at: seconds * SECOND, value }));
  /** A centre that warms by Newton's law without noise, once in so many seconds. */
  const warming = (from: number, around: number, slowness: number, until: number, every = 30) =>
    said(
      ...Array.from({ length: Math.floor((until * 60) / every) + 1 }, (_, index): [number, number] => {
        const seconds = index * every;
        return [seconds, around - (around - from) * Math.exp(-seconds / 60 / slowness)];
      }),
    );

  it('silent after more than thirty seconds, jumped by more than six degrees or four hundred grams', () => {
    expect(faultOf('probe', [], 99 * SECOND)).toBeNull();
    expect(faultOf('probe', said([0, 40]), 30 * SECOND)).toBeNull();
    expect(faultOf('probe', said([0, 40]), 30 * SECOND + 1)).toBe('silent');
    expect(faultOf('probe', said([0, 40], [10, 46]), 10 * SECOND)).toBeNull();
    expect(faultOf('probe', said([0, 46.5], [10, 40]), 10 * SECOND)).toBe('jumped');
    expect(faultOf('scale', said([0, 1000], [10, 600]), 10 * SECOND)).toBeNull();
    expect(faultOf('scale', said([0, 1000], [10, 599]), 10 * SECOND)).toBe('jumped');
  });

  it('frozen where six and more say the very same through two minutes, whatever was before', () => {
    const same = (every: number, count: number) =>
      said(...Array.from({ length: count }, (_, index): [number, number] => [index * every, 40]));
    const last = (list: readonly Measurement[]) => faultOf('probe', list, list.at(-1)!.at);
    expect(last(same(22, 6))).toBe('frozen');
    expect(last(same(24, 5))).toBeNull();
    expect(last(same(20, 6))).toBeNull();
    expect(last(same(10, 12))).toBe('frozen');
    expect(last(same(10, 11))).toBeNull();
    expect(last([...said([-10, 39]), ...same(10, 13)])).toBe('frozen');
    expect(last([...same(10, 12), ...said([120, 40.1])])).toBeNull();
  });

  it('a jump is left out; what stays at its new value is believed in time', () => {
    expect(believed('probe', said([0, 40], [10, 46], [20, 52.1]))).toHaveLength(2);
    // By half a minute after the last that was believed, twice the change.
    expect(believed('probe', said([0, 40], [15, 47], [30, 52])).map(({ value }) => value)).toEqual([40, 52]);
    expect(believed('probe', said([0, 40], [30, 53])).map(({ value }) => value)).toEqual([40]);
    expect(believed('scale', said([0, 1000], [10, 1401], [20, 600])).map(({ value }) => value)).toEqual([1000, 600]);
  });

  it('without noise a forecast is the law itself, as sure as a tenth', () => {
    const heard = warming(8, 160, 90, 20);
    const { at, give, stalls, value } = forecastCentre(heard, 63, 160)!;
    const there = 90 * Math.log((160 - 8) / (160 - 63));
    expect(at / MINUTE).toBeCloseTo(there, 6);
    expect(give).toBe(Math.round((there - 20) / 10));
    expect([stalls, value]).toEqual([false, expect.closeTo(160 - 152 * Math.exp(-20 / 90), 6)]);
    // Nearly there it is never surer than a minute.
    expect(forecastCentre(warming(8, 160, 90, 39), 63, 160)).toMatchObject({ give: 1 });
  });

  it('by the last twelve minutes alone, of at least six readings over three', () => {
    // Cold air at first: only what came after counts.
    const cold = said([-1200, 12], [-1190, 11], [-1180, 10]);
    const heard = warming(8, 160, 90, 12);
    expect(forecastCentre([...cold, ...heard], 63, 160)!.at).toBeCloseTo(forecastCentre(heard, 63, 160)!.at, 3);
    expect(forecastCentre(warming(8, 160, 90, 3, 36), 63, 160)).not.toBeNull();
    expect(forecastCentre(warming(8, 160, 90, 3, 45), 63, 160)).toBeNull();
    expect(forecastCentre(warming(8, 160, 90, 2.9, 10), 63, 160)).toBeNull();
  });

  it('none where it falls, stands, never comes there or only after ten hours', () => {
    expect(forecastCentre(warming(80, 20, 90, 10), 90, 160)).toBeNull();
    expect(forecastCentre(warming(8, 60, 30, 10), 60, 60)).toBeNull();
    expect(forecastCentre(warming(8, 60, 30, 10), 59, 60)).not.toBeNull();
    const hours = (slowness: number) => forecastCentre(warming(8, 160, slowness, 10), 63, 160);
    // 0.449 times its slowness from the beginning.
    expect(hours(1355)).not.toBeNull();
    expect(hours(1365)).toBeNull();
    // What is as warm as its surroundings tells nothing of their difference.
    const equal = said(...Array.from({ length: 12 }, (_, index): [number, number] => [index * 30, 159.5]));
    expect(forecastCentre(equal, 170, 160)).toBeNull();
  });

  it('a stall is less than two fifths of the rise before, and makes it a third as unsure', () => {
    const bent = (share: number) => {
      const missing = (minute: number) => 100 * Math.exp(-(Math.min(minute, 6) + Math.max(0, minute - 6) * share) / 60);
      return said(
        ...Array.from({ length: 25 }, (_, index): [number, number] => [index * 30, 160 - missing(index / 2)]),
      );
    };
    expect(forecastCentre(bent(0.5), 90, 160)!.stalls).toBe(false);
    const { stalls, give, at } = forecastCentre(bent(0.3), 90, 160)!;
    expect(stalls).toBe(true);
    expect(give).toBe(Math.round((at / MINUTE - 12) / 3));
    // Four readings in each half are the least that tells one.
    expect(
      forecastCentre(
        bent(0.1).filter((_, index) => index % 4 === 0),
        90,
        160,
      )!.stalls,
    ).toBe(false);
  });

  it('what boils off is a straight line, as sure as a tenth, and nothing under half a gram a minute', () => {
    const boiling = (perMinute: number, minutes = 10, every = 60) =>
      said(
        ...Array.from({ length: Math.floor((minutes * 60) / every) + 1 }, (_, index): [number, number] => [
          index * every,
          2000 - (perMinute * index * every) / 60,
        ]),
      );
    const forecast = forecastWeight(boiling(10), 1500)!;
    expect(forecast).toMatchObject({ give: 4, stalls: false, value: expect.closeTo(1900, 6) });
    expect(forecast.at / MINUTE).toBeCloseTo(50, 6);
    expect(forecastWeight(boiling(10), 1890)!.give).toBe(1);
    expect(forecastWeight(boiling(10), 1900.000001)).toMatchObject({ give: 0, at: 10 * MINUTE });
    expect(forecastWeight(boiling(0.4), 1990)).toBeNull();
    expect(forecastWeight(boiling(0.6), 1990)).not.toBeNull();
    expect([forecastWeight(boiling(1), 1391), forecastWeight(boiling(1), 1389)]).toEqual([expect.anything(), null]);
    expect(forecastWeight([], 100)).toBeNull();
    expect(forecastWeight(boiling(10, 3, 45), 1500)).toBeNull();
    expect(forecastWeight(boiling(10, 3, 36), 1500)).not.toBeNull();
    expect(forecastWeight(boiling(10, 2.9, 10), 1500)).toBeNull();
    // What it weighed before the lid came off, longer ago than twelve minutes, does not count.
    const before = said([-900, 2100], [-880, 2100], [-860, 2100]);
    expect(forecastWeight([...before, ...boiling(10)], 1500)!.at / MINUTE).toBeCloseTo(50, 6);
  });
});

describe('the interface of an instrument', () => {
  it('is heard at every beat that says something, until it is ended', () => {
    const beats = new Set<() => void>();
    let value: number | null = 1;
    const probe = pretended(
      'probe',
      'probe',
      () => (value === null ? null : { at: 0, value }),
      (beat) => {
        beats.add(beat);
        return () => beats.delete(beat);
      },
    );
    const heard: number[] = [];
    const end = probe.listen((reading) => heard.push(reading.value));
    for (const beat of beats) beat();
    value = null;
    for (const beat of beats) beat();
    end();
    value = 3;
    for (const beat of beats) beat();
    expect(heard).toEqual([1]);
  });
});
