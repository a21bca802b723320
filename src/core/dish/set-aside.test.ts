import { describe, expect, it } from 'vitest';
import { SAMPLE_MEALS } from '@/demo/meals';
import { checkDish } from './check';
import type { Dish } from './dish';
import { bearsWarmth, isKeptIn, keptWarm, mostKept } from './keep-warm';
import { bearsStanding, HEATED_AGAIN, MOST_ASIDE, SET_ASIDE, setAside } from './set-aside';
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

  it('stands an hour at the most, and steams all through before the table', () => {
    // USDA FSIS: within two hours, 74 °C (165 °F) for what is heated again; from memory.
    const aside = setAside(called('Beef in coconut'));
    expect(aside.links.slice(-2)).toMatchObject([
      { from: called('Beef in coconut').lands!.step, at: 'end', to: SET_ASIDE, of: 'start', max: 5 },
      { from: SET_ASIDE, at: 'end', to: HEATED_AGAIN, of: 'start', max: 60 - aside.steps.at(-2)!.minutes.longest },
    ]);
    const stands = aside.steps.at(-2)!;
    expect(stands).toMatchObject({ id: SET_ASIDE, place: { at: 'rest' }, vessel: aside.steps.at(-1)!.vessel });
    expect(stands.cautions.join(' ')).toMatch(/an hour at the most.*Local rules come first/);
    const step = aside.steps.at(-1)!;
    expect(step).toMatchObject({ duty: 'heat through', attention: 'eyes', place: { at: 'burner' } });
    expect(step.cautions.join(' ')).toMatch(/74 °C.*Local rules come first/);
    expect(step.doneWhen).toBe('it steams all through');
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
