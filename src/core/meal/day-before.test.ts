import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { chop, dish, follow, fry, item, leave, overnight, pot, waits } from '@/core/dish/write';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { madeTheDayBefore, stepsForTheDayBefore } from './day-before';
import { inTheOven, moreGently } from './elsewhere';

const stew = dish({
  id: 'stew',
  name: 'Bean stew',
  servings: 4,
  ingredients: [item('beans', 400, 'g', 'beans')],
  steps: [
    chop('chop', 'chop', 10, 'Chop.'),
    fry('brown', 'brown', 'medium', 8, 'Brown.', { vessel: 'pot' }),
    leave('simmer', 'simmer', 'lowest', [50, 60, 80], 'Simmer.', { vessel: 'pot', uses: ['beans'] }),
    chop('taste', 'taste', 3, 'Taste.', { vessel: 'pot', by: 'cook' }),
  ],
  links: [
    follow('chop', 'brown', 0, 120),
    follow('brown', 'simmer', 0, 0),
    overnight(follow('simmer', 'taste', 0, 30)),
  ],
  vessels: [pot('pot', 'pot', ['pot', 'casserole'], 3, 'brown', 'taste')],
  lands: { step: 'taste', waits: waits('hot', 10, 20, 'covered') },
});

describe('the day before', () => {
  it('takes all up to where the dish may stand overnight, and nothing where it may not', () => {
    expect([...stepsForTheDayBefore(stew)].sort()).toEqual(['brown', 'chop', 'simmer']);
    expect(stepsForTheDayBefore(plainGrain()).size).toBe(0);
    const noPoint = { ...stew, links: stew.links.map(({ overnight: _, ...link }) => link) };
    expect(stepsForTheDayBefore(noPoint).size).toBe(0);
  });

  it('takes nothing that another dish gives or wants', () => {
    const giver = {
      ...stew,
      gives: [{ product: 'beans', name: 'beans', step: 'simmer', amount: item('x', 1, 'l', 'x').amount }],
    };
    expect(stepsForTheDayBefore(giver).size).toBe(0);
  });

  it('cools and heats through what was cooked, in a vessel of each day', () => {
    const made = madeTheDayBefore(stew, stepsForTheDayBefore(stew));
    expect(checkDish(made)).toEqual([]);
    expect(made.steps.find(({ id }) => id === 'simmer')?.cautions.join(' ')).toMatch(/within two hours/);
    const again = made.steps.find(({ id }) => id === 'simmer-again')!;
    expect(again.cautions.join(' ')).toMatch(/74 °C/);
    expect(made.vessels.map(({ id, from, to }) => [id, from, to])).toEqual([
      ['pot', 'brown', 'simmer'],
      ['pot-day', 'simmer-again', 'taste'],
    ]);
    expect(made.links).toContainEqual(expect.objectContaining({ from: 'simmer-again', to: 'taste', max: 30 }));
  });

  it('is planned in the evening before, and the day has only the rest', async () => {
    const plan = await planned(mealOf([madeTheDayBefore(stew, stepsForTheDayBefore(stew)), plainGrain()]));
    const midnight = -19 * 60;
    for (const step of plan.steps.filter(({ dishId }) => dishId === 'stew-eve')) {
      const early =
        ['chop', 'brown', 'simmer'].some((id) => step.key.startsWith(`stew-eve/${id}`)) && !step.key.includes('again');
      if (early) expect(step.end, step.key).toBeLessThanOrEqual(midnight);
      else expect(step.start, step.key).toBeGreaterThan(midnight);
    }
    expect(plan.landings.every(({ late }) => late === 0)).toBe(true);
  });

  it('makes sound dishes of all samples it can make ahead', () => {
    const dishes = SAMPLE_MEALS.flatMap((meal) => meal.dishes).filter((each) => stepsForTheDayBefore(each).size > 0);
    expect(dishes.length).toBeGreaterThan(6);
    for (const each of dishes)
      expect(checkDish(madeTheDayBefore(each, stepsForTheDayBefore(each))), each.name).toEqual([]);
  });
});

describe('elsewhere', () => {
  const casserole = { id: 'c', name: 'casserole', kind: 'casserole', litres: 5, widthCm: 26, count: 1 } as const;

  it('moves a long gentle simmer into the oven where a casserole fits, and says that it is hot', () => {
    expect(inTheOven(stew, smallKitchen)).toEqual([]);
    const [moved] = inTheOven(stew, { ...smallKitchen, vessels: [...smallKitchen.vessels, casserole] });
    const step = moved?.dish.steps.find(({ id }) => id === 'simmer');
    expect(step?.place).toEqual({ at: 'oven', celsius: 140, shelves: 1 });
    expect(step?.cautions.join(' ')).toMatch(/hot/);
    expect(moved?.dish.vessels[0]?.need.kinds).toEqual(['casserole']);
    expect(checkDish(moved!.dish)).toEqual([]);
    expect(inTheOven(stew, { ...smallKitchen, ovens: [], vessels: [casserole] })).toEqual([]);
  });

  it('lets a medium simmer go gently and longer, but not what must come to the boil', () => {
    expect(moreGently(stew)).toEqual([]);
    const place = { at: 'burner', heat: 'medium' } as const;
    const faster = { ...stew, steps: stew.steps.map((step) => (step.id === 'simmer' ? { ...step, place } : step)) };
    const [moved] = moreGently(faster);
    const step = moved?.dish.steps.find(({ id }) => id === 'simmer');
    expect(step).toMatchObject({ place: { heat: 'low' }, minutes: { shortest: 50, likely: 75, longest: 100 } });
    const boils = {
      ...faster,
      links: faster.links.map((link) => (link.from === 'simmer' ? { ...link, max: 0 } : link)),
    };
    expect(moreGently(boils)).toEqual([]);
  });
});
