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
