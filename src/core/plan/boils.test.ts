import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { atOnce, dish, item, leave, pot, simmer, waits } from '@/core/dish/write';
import { minutesToBoil, wattsOf } from '@/core/heat/boil';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { checkMeal } from '@/core/meal/check';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { drainedGrain, mealOf, planned, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import { partsOf } from './lots';

const [strong, weak] = smallKitchen.burners;
const twoStrengths: Kitchen = {
  ...smallKitchen,
  burners: [strong!, { ...weak!, strength: 'middling', widestCm: 24 }],
  vessels: smallKitchen.vessels.map((vessel) => (vessel.kind === 'pot' ? { ...vessel, litres: 9 } : vessel)),
};

function soup(id: string, minutes = 20, heat: 'full' | 'medium' = 'full'): Dish {
  return dish({
    id,
    name: `Soup ${id}`,
    servings: 4,
    ingredients: [item('water', 2, 'l', 'water')],
    steps: [
      simmer('boil', 'boil', heat, [8, 10, 13], 'Bring it to the boil.', {
        vessel: 'pot',
        boils: [2, 15, 'covered'],
      }),
      leave('simmer', 'simmer', 'low', minutes, 'Let it simmer.', { vessel: 'pot' }),
    ],
    links: atOnce('boil', 'simmer'),
    vessels: [pot('pot', 'pot', ['pot'], 2.5, 'boil', 'simmer')],
    lands: { step: 'simmer', waits: waits('hot', 2, 30, 'covered') },
  });
}

const boilOf = (meal: Meal, unit?: string) => partsOf(meal, () => unit).parts.get('a/boil')![0]!;

describe('minutes to the boil', () => {
  const meal = mealOf([soup('a')], { kitchen: twoStrengths });

  it('are those of the burner that suits best, whatever was written', () => {
    const { likely } = minutesToBoil({
      litres: 2,
      fromCelsius: 15,
      watts: wattsOf(strong!),
      covered: true,
      widthCm: 20,
      metres: 0,
    });
    expect(boilOf(meal).minutes.likely).toBe(Math.round(likely));
    expect(boilOf(meal).flames).toEqual({ quick: ['burner:big'], slow: ['burner:small'] });
  });

  it('follow the burner it stands on, the people, the burner as measured and the height', () => {
    const { likely } = boilOf(meal).minutes;
    expect(boilOf(meal, 'burner:small').minutes.likely).toBeGreaterThan(1.4 * likely);
    expect(boilOf(meal, 'burner:small').flames!.quick).toEqual(['burner:big', 'burner:small']);
    expect(boilOf({ ...meal, people: 10 }).minutes.likely).toBeGreaterThan(2.3 * likely);
    const measured = { ...twoStrengths, burners: [{ ...strong!, watts: 3000 }] };
    expect(boilOf({ ...meal, kitchen: measured }).minutes.likely).toBeLessThan(0.6 * likely);
    expect(boilOf({ ...meal, kitchen: { ...twoStrengths, metres: 3000 } }).minutes.likely).toBeLessThan(likely);
  });

  it('and of a simmer, not of frying, are more where water boils cooler', () => {
    const at = (metres: number, key: string) =>
      partsOf({ ...meal, kitchen: { ...twoStrengths, metres } }).parts.get(key)![0]!.minutes.likely;
    expect(at(2000, 'a/simmer')).toBeGreaterThan(1.3 * at(0, 'a/simmer'));
    expect(at(0, 'a/simmer')).toBe(20);
    const fried = { ...meal, dishes: [drainedGrain()] };
    const parboil = (metres: number) =>
      partsOf({ ...fried, kitchen: { ...twoStrengths, metres } }).parts.get('drained/parboil')![0]!.minutes;
    expect(parboil(2000)).toEqual(parboil(0));
  });

  it('are planned as on the burner it stands on, also where that is quicker than the one that suits it best', async () => {
    const two = mealOf([soup('a', 20, 'medium'), soup('b', 20, 'medium')], { kitchen: twoStrengths });
    const plan = await planned(two);
    const boils = plan.steps.filter(({ key }) => key.endsWith('/boil'));
    const minutesOn = (key: string, unit: string) => partsOf(two, () => unit).parts.get(key)![0]!.minutes.likely;
    expect(new Set(boils.map(({ station }) => station.id))).toEqual(new Set(['burner:big', 'burner:small']));
    expect(minutesOn('a/boil', 'burner:big')).toBeLessThan(minutesOn('a/boil', 'burner:small'));
    for (const { key, station, start, end } of boils) expect(end - start, key).toBe(minutesOn(key, station.id));
  });

  it('are a band that rises', () => {
    for (const people of [1, 4, 10]) {
      const { shortest, longest, likely } = boilOf({ ...meal, people }).minutes;
      expect(shortest).toBeGreaterThan(0);
      expect(shortest).toBeLessThanOrEqual(likely);
      expect(longest).toBeGreaterThan(likely);
    }
  });

  it('that never come are refused by name', () => {
    const candle = { ...twoStrengths, burners: [{ ...strong!, watts: 60 }] };
    const [refusal] = checkMeal({ ...meal, kitchen: candle });
    expect(refusal?.where).toBe('Soup a, boil');
    expect(refusal?.sentence).toContain('2 l');
  });
});

describe('the plan', () => {
  it('lets a boil stand on no burner slower than its minutes count on', () => {
    const compiled = compile(mealOf([soup('a')], { kitchen: twoStrengths }));
    if (!compiled.ok) throw new Error();
    const boil = compiled.problem.steps.find(({ id }) => id === 'a/boil')!;
    expect(boil.units).toEqual([[{ id: 'burner:big', cost: 0 }]]);
  });

  it('takes the slower burner, and its minutes, where the quick one is busy', async () => {
    const plan = await planned(mealOf([soup('a', 40), soup('b', 40)], { kitchen: twoStrengths }));
    const boils = plan.steps.filter(({ name }) => name === 'boil');
    expect(new Set(boils.map(({ station }) => station.id))).toEqual(new Set(['burner:big', 'burner:small']));
    const on = (unit: string) => boils.find(({ station }) => station.id === unit)!.minutes;
    expect(on('burner:small')).toBeGreaterThan(1.4 * on('burner:big'));
    expect(plan.landings.every(({ late }) => late === 0)).toBe(true);
  });

  it('keeps to the burner set by hand, with the minutes it takes there', async () => {
    const meal = mealOf([soup('a')], { kitchen: twoStrengths, pins: [{ key: 'a/boil', unit: 'burner:small' }] });
    const boil = (await planned(meal)).steps.find(({ name }) => name === 'boil')!;
    expect(boil.station.id).toBe('burner:small');
    expect(boil.minutes).toBe(boilOf(meal, 'burner:small').minutes.likely);
  });
});

describe('portions', () => {
  it('follow the people, their appetite and what is to be left', () => {
    const of = (change: Partial<Meal>) => portionsOf({ ...mealOf([]), people: 10, ...change });
    expect(of({})).toBe(10);
    expect(of({ appetite: 'light' })).toBe(8);
    expect(of({ appetite: 'hearty', leftovers: 4 })).toBe(16.5);
  });
});
