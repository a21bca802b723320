import { describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import { mealOf, planned, smallKitchen } from '@/core/testing/meals';
import { brownRice } from '@/demo/harvest';
import { atOnce, dish, fry, item, leave, pot, simmer, waits } from '../dish/write';
import { portionWords, whatPeopleChange } from './people';

const stew = dish({
  id: 'stew',
  name: 'Stew',
  servings: 4,
  ingredients: [item('meat', 800, 'g', 'meat'), item('water', 1, 'l', 'water')],
  steps: [
    fry('brown', 'brown', 'full', 6, 'Brown the meat.', { vessel: 'pot', uses: ['meat'], perBatch: 4, floorCm2: 60 }),
    simmer('boil', 'boil', 'full', 8, 'Water on.', { vessel: 'pot', uses: ['water'], boils: [1.6, 20] }),
    leave('simmer', 'simmer', 'low', 40, 'Lid on.', { vessel: 'pot' }),
  ],
  links: atOnce('brown', 'boil', 'simmer'),
  vessels: [pot('pot', 'stew pot', ['pot'], 2, 'brown', 'simmer')],
  lands: { step: 'simmer', waits: waits('hot', 20, 40, 'covered') },
});

const kitchen = {
  ...smallKitchen,
  vessels: [
    { id: 'small', name: '3 l pot', kind: 'pot' as const, litres: 3, widthCm: 20, count: 3 },
    { id: 'large', name: 'large pot', kind: 'pot' as const, litres: 9, widthCm: 26, count: 1 },
    { id: 'bowl', name: 'bowl', kind: 'bowl' as const, litres: 9, widthCm: 30, count: 3 },
  ],
};
const meal = mealOf([stew, brownRice], { kitchen });
const withPlan = async (change: Partial<Meal>) => {
  const changed = { ...meal, ...change };
  return { meal: changed, plan: await planned(changed) };
};

describe('ten at the table instead of four', () => {
  it('change liquid, pot, batches, minutes to the boil, hands and the evening, and each says so', async () => {
    const [four, ten] = [await withPlan({}), await withPlan({ people: 10 })];
    const changes = whatPeopleChange(four, ten);
    const told = (name: string | null) => changes.find(({ dish: of }) => of === name)?.sentences.join(' ') ?? '';
    expect(told('Stew')).toMatch(/Liquid: 2\.5 l instead of 1 l\./);
    expect(told('Stew')).toMatch(/Stew pot: the large pot instead of the 3 l pot; it must hold 5 l, not 2 l\./);
    expect(told('Stew')).toMatch(/Brown: 2 batches instead of 1\./);
    const [, now, was] = told('Stew').match(/Boil: (\d+) min on the Big burner instead of (\d+)\./) ?? [];
    expect(Number(now)).toBeGreaterThan(2 * Number(was));
    expect(told('Stew')).toMatch(/Hands: /);
    expect(told('Chestnut brown rice')).toMatch(/less than in proportion/);
    expect(told(null)).toMatch(/first hand is wanted at/);
    expect(ten.plan.firstHand).toBeLessThan(four.plan.firstHand);
    expect(portionWords(four.meal, ten.meal)).toBe('10 people instead of 4');
  });

  it('the other way round turn every sentence round', async () => {
    const [ten, four] = [await withPlan({ people: 10 }), await withPlan({})];
    const sentences = whatPeopleChange(ten, four).flatMap((change) => change.sentences);
    expect(sentences).toContain('Brown: 1 batch instead of 2.');
    expect(sentences.some((sentence) => sentence.includes('more than in proportion'))).toBe(true);
  });

  it('nothing changes when nothing changes', async () => {
    const same = await withPlan({});
    expect(whatPeopleChange(same, same)).toEqual([]);
  });

  it('are told as portions when appetite or leftovers are in it', () => {
    expect(portionWords(meal, { ...meal, appetite: 'hearty', leftovers: 2 })).toBe('7 portions instead of 4');
  });
});
