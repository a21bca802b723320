import { describe, expect, it } from 'vitest';
import { minutesAbove } from '@/core/heat/cool';
import { HOT_AIR, LIMITS } from '@/core/heat/safe-limits';
import { SAMPLE_MEALS } from '@/demo/meals';
import { checkDish } from './check';
import type { Dish } from './dish';
import { bearsWarmth, isKeptIn, keptWarm, mostKept } from './keep-warm';
import { bearsStanding, HEATED_AGAIN, MOST_ASIDE, SET_ASIDE, setAside, TOO_LONG_ASIDE } from './set-aside';
import { SHELF } from './shelf';

const all = [...SHELF, ...SAMPLE_MEALS.flatMap(({ dishes }) => dishes)];
const called = (name: string): Dish => all.find((dish) => dish.name === name)!;

describe('a dish set aside and heated through', () => {
  // Common practice, no source.
  it.each([
    ['Beef in coconut', true],
    ['Chicken in broth', true],
    ['Peppers filled with rice', true],
    ['Split pea and squash curry', true],
    // Fried after it was boiled; eggs; grain; baked; briefly cooked; fish; cold.
    ['Lamb boiled, then fried', false],
    ['Eggs in dark onion gravy', false],
    ['Pearl barley with leeks', false],
    ['Roast potatoes', false],
    ['Skillet greens', false],
    ['Fish baked in paper', false],
    ['Fennel salad', false],
  ])('%s bears it: %s', (name, bears) => {
    expect(bearsStanding(called(name))).toBe(bears);
  });

  it('is on the heat again within five quarters of an hour after its last heat, and steams all through before the table', () => {
    // USDA FSIS: within two hours, 74 °C (165 °F) for what is heated again; from memory.
    for (const name of ['Beef in coconut', 'Peppers filled with rice']) {
      const dish = called(name);
      const last = dish.steps.findLast(({ place }) => place.at === 'burner')!;
      expect(setAside(dish).links.slice(-3)).toMatchObject([
        { from: dish.lands!.step, at: 'end', to: SET_ASIDE, of: 'start', max: 5 },
        { from: SET_ASIDE, at: 'end', to: HEATED_AGAIN, of: 'start', max: null },
        { from: last.id, at: 'end', to: HEATED_AGAIN, of: 'start', max: MOST_ASIDE },
      ]);
    }
    const aside = setAside(called('Beef in coconut'));
    const stands = aside.steps.at(-2)!;
    expect(stands).toMatchObject({ id: SET_ASIDE, place: { at: 'rest' }, vessel: aside.steps.at(-1)!.vessel });
    expect(stands.cautions.join(' ')).toMatch(/an hour and a half at the most.*Local rules come first/);
    const step = aside.steps.at(-1)!;
    expect(step).toMatchObject({ duty: 'heat through', attention: 'eyes', place: { at: 'burner' } });
    expect(step.cautions.join(' ')).toMatch(/74 °C.*Local rules come first/);
    expect(step.doneWhen).toBe('it steams all through');
  });

  it('lies below what hot food is held at for less than any rule allows, in a small pot and in hot air too', () => {
    for (const roomCelsius of [22, 35]) {
      const pot = { litres: 1.5, widthCm: 18, fromCelsius: 95, roomCelsius, standing: 'covered' } as const;
      const most = roomCelsius > HOT_AIR ? LIMITS.dangerZoneHot : LIMITS.dangerZone;
      expect(TOO_LONG_ASIDE - minutesAbove(pot).low).toBeLessThan(most.minutes);
    }
    expect(MOST_ASIDE).toBeLessThan(TOO_LONG_ASIDE);
  });

  it('is still a sound dish, in the pot it simmered in, and is kept once', () => {
    const bearing = all.filter(bearsStanding);
    expect(bearing.length).toBeGreaterThan(15);
    for (const dish of bearing) {
      const aside = setAside(dish);
      expect(checkDish(aside), dish.name).toEqual([]);
      const again = aside.steps.at(-1)!;
      expect(
        dish.steps.some(({ vessel }) => vessel === again.vessel),
        dish.name,
      ).toBe(true);
      expect(aside.vessels.find(({ id }) => id === again.vessel)).toMatchObject({ to: HEATED_AGAIN });
      expect(aside.lands).toEqual({ ...dish.lands, step: HEATED_AGAIN });
      expect([isKeptIn(aside), mostKept(aside)]).toEqual(['aside', MOST_ASIDE]);
      for (const where of ['flame', 'oven', 'aside'] as const) expect(bearsWarmth(aside, where)).toBe(false);
      expect(bearsWarmth(keptWarm(dish, 'flame', 20), 'aside')).toBe(false);
    }
  });
});
