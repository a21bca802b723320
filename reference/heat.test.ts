import psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import { HOB_EFFICIENCY, litresBoiledOff, minutesToBoil, type Range, USUAL_WATTS } from '@/core/heat/boil';
import { celsiusAfter, minutesAbove } from '@/core/heat/cool';
import { airPressure, boilingPoint } from '@/core/heat/water';

psychrolib.SetUnitSystem(psychrolib.SI);

const share = (watts: number, { low, likely, high }: Range): Range => ({
  low: watts * low,
  likely: watts * likely,
  high: watts * high,
});
const around = (value: number): Range => ({ low: value, likely: value, high: value });

describe('water against published values', () => {
  it('has the standard atmosphere of psychrolib (ASHRAE Fundamentals), to a thousandth', () => {
    for (const metres of [0, 500, 1000, 1609, 2240, 3000, 4000]) {
      const theirs = psychrolib.GetStandardAtmPressure(metres);
      expect(airPressure(metres) / theirs).toBeCloseTo(1, 3);
    }
  });

  it('boils where the saturation pressure of psychrolib (ASHRAE Fundamentals) is the pressure of the air, within 0.1 K', () => {
    for (const metres of [0, 500, 1000, 1609, 2240, 3000, 4000]) {
      const celsius = boilingPoint(metres);
      const air = psychrolib.GetStandardAtmPressure(metres);
      expect(psychrolib.GetSatVapPres(celsius - 0.1)).toBeLessThan(air);
      expect(psychrolib.GetSatVapPres(celsius + 0.1)).toBeGreaterThan(air);
    }
  });
});

describe('boiling against worked examples and common practice', () => {
  const pot = { litres: 1, fromCelsius: 20, covered: true, widthCm: 18, metres: 0 };

  it('a litre takes 335 kJ: on 1800 W of induction 3.5 to 4.5 minutes (energy balance; common practice, no source)', () => {
    const { likely } = minutesToBoil({ ...pot, watts: share(1800, HOB_EFFICIENCY.induction) });
    expect(likely).toBeGreaterThan(3.5);
    expect(likely).toBeLessThan(4.5);
  });

  it('a big pot of water takes 10 to 20 minutes on an ordinary burner (common practice, no source)', () => {
    const { likely } = minutesToBoil({
      ...pot,
      litres: 2.5,
      widthCm: 24,
      fromCelsius: 15,
      watts: USUAL_WATTS.middling,
    });
    expect(likely).toBeGreaterThan(10);
    expect(likely).toBeLessThan(20);
  });

  it('of six mugs of 300 ml about five are left after 15 min at a full boil, lid ajar (common practice, no source)', () => {
    const off = litresBoiledOff(USUAL_WATTS.strong, 'ajar', 22);
    expect(15 * off.low).toBeLessThan(0.3);
    expect(15 * off.high).toBeGreaterThan(0.3);
  });

  it('1 kW into open water boils off 26.6 g a minute and no more (heat of vaporisation, steam tables)', () => {
    const { likely } = litresBoiledOff(around(1000), 'open', 10);
    expect(likely).toBeLessThan(0.0266);
    expect(likely).toBeGreaterThan(0.0255);
  });
});

describe('cooling against common practice', () => {
  it('a covered pot of 4 l is at 60 °C after one and a half to two and a half hours (no source)', () => {
    const pot = { litres: 4, widthCm: 22, fromCelsius: 95, roomCelsius: 21, standing: 'covered' } as const;
    const { likely } = minutesAbove(pot, 60);
    expect(likely).toBeGreaterThan(75);
    expect(likely).toBeLessThan(150);
  });

  it('covered grain is hot for 15 to 20 minutes, wrapped for 30 to 40 at least (no source)', () => {
    const grain = { litres: 1.5, widthCm: 18, fromCelsius: 95, roomCelsius: 21 } as const;
    expect(celsiusAfter({ ...grain, standing: 'covered' }, 20).likely).toBeGreaterThan(60);
    expect(celsiusAfter({ ...grain, standing: 'wrapped' }, 40).low).toBeGreaterThan(60);
  });
});
