import { describe, expect, it } from 'vitest';
import { SAMPLE_MEALS } from '@/demo/meals';
import { checkDish } from './check';
import type { Dish } from './dish';
import { bearsWarmth, isKeptIn, KEPT_WARM, keptWarm, mostKept, WARM_OVEN } from './keep-warm';
import { SHELF } from './shelf';

const sample = (name: string): Dish => SAMPLE_MEALS.flatMap(({ dishes }) => dishes).find((dish) => dish.name === name)!;

describe('keeping a finished dish warm', () => {
  // Common practice, no source.
  it.each([
    ['Beef cheeks with damsons', true],
    ['Pearl barley with leeks', true],
    ['Roast potatoes', true],
    ['Fish baked in paper', false],
    ['Skillet greens', false],
    ['Fennel salad', false],
  ])('%s bears the oven: %s', (name, bears) => {
    expect(bearsWarmth(sample(name), 'oven')).toBe(bears);
  });

  it('a roast bears no flame, a simmered curry does', () => {
    expect(bearsWarmth(sample('Roast potatoes'), 'flame')).toBe(false);
    expect(bearsWarmth(sample('Split pea and squash curry'), 'flame')).toBe(true);
  });

  // Common practice, no source: a stew or a braise an hour in its gravy, grain half an hour and less.
  it.each([
    ['Beef cheeks with damsons', 60],
    ['Split pea and squash curry', 60],
    ['Roast potatoes', 30],
    ['Pearl barley with leeks', 25],
  ])('%s is kept so for %i minutes at most', (name, minutes) => {
    expect(mostKept(sample(name))).toBe(minutes);
  });

  it('stays in the oven that is switched off only what comes out of it last, for a quarter of an hour', () => {
    // Common practice, no source: with the door open a hand's width it is still over 60 °C in there by then.
    const [roots, braise] = [sample('Roast roots'), sample('Beef cheeks with damsons')];
    expect(bearsWarmth(roots, 'ajar')).toBe(true);
    expect(bearsWarmth(braise, 'ajar')).toBe(false);
    expect(mostKept(roots, 'ajar')).toBe(15);
    const left = keptWarm(roots, 'ajar', 10);
    expect(checkDish(left)).toEqual([]);
    expect([roots, left, keptWarm(roots, 'oven', 10), keptWarm(braise, 'flame', 10)].map(isKeptIn)).toEqual([
      null,
      'ajar',
      'oven',
      'flame',
    ]);
    expect([left, keptWarm(roots, 'oven', 10)].map((dish) => mostKept(dish))).toEqual([15, 30]);
  });

  it('every dish that bears it is still a sound dish with it, in its own pot, and is kept warm once', () => {
    const dishes = [...SHELF, ...SAMPLE_MEALS.flatMap((meal) => meal.dishes)];
    const seen = dishes.flatMap((dish) =>
      (['oven', 'flame'] as const)
        .filter((where) => bearsWarmth(dish, where))
        .map((where) => ({ dish, where, warm: keptWarm(dish, where, 25) })),
    );
    expect(seen.length).toBeGreaterThan(20);
    for (const { dish, where, warm } of seen) {
      expect(checkDish(warm), dish.name).toEqual([]);
      const step = warm.steps.find(({ id }) => id === KEPT_WARM)!;
      expect(step.minutes.likely).toBe(25);
      expect(step.place.at).toBe(where === 'oven' ? 'oven' : 'burner');
      expect(step.cautions.join(' ')).toContain('60 °C');
      expect(warm.lands?.step).toBe(KEPT_WARM);
      expect(bearsWarmth(warm, where)).toBe(false);
    }
  });

  it('the oven is hot enough to hold, and no hotter than food bears', () => {
    // FDA Food Code 2022, 3-501.16: hot holding at 57 °C or above.
    expect(WARM_OVEN).toBeGreaterThan(57 + 20);
    expect(WARM_OVEN).toBeLessThan(100);
  });
});
