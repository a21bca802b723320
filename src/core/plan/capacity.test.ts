import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { Appliance } from '@/core/kitchen/kitchen';
import { checkMeal } from '@/core/meal/check';
import { partFaults } from '@/core/meal/hand-over';
import { scaledFor } from '@/core/meal/scaled';
import { findingsOf } from '@/core/safety/findings';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { partsOf } from './lots';

const made = (technique: string, ways: Record<string, string> = {}, id = technique) =>
  makeDish(techniqueOf(technique), { id, name: technique, servings: 4 }, { ways });
const kitchenWith = (...appliances: readonly Appliance[]) => ({ ...largeKitchen, appliances });
const cooker = (kind: Appliance['kind'], litres: number): Appliance => ({ id: kind, name: kind, kind, litres });
const refusals = (dish: Dish, people: number, appliance: Appliance) =>
  checkMeal(mealOf([dish], { people, kitchen: kitchenWith(appliance) })).map(({ sentence }) => sentence);
const partsFor = (dish: Dish, people: number, appliance: Appliance) =>
  partsOf(mealOf([dish], { people, kitchen: kitchenWith(appliance) })).parts.get(`${dish.id}/cook`)!;

describe('what an appliance holds', () => {
  it('is all of it, or lots one after another, or a refusal that says by how much', () => {
    const beans = made('pulses-pressure');
    const six = cooker('pressure-cooker', 6);
    expect(partsFor(beans, 6, six)).toHaveLength(1);
    expect(partsFor(beans, 16, six)).toHaveLength(2);
    expect(refusals(beans, 16, six)).toEqual([]);
    expect(refusals(beans, 40, six)).toEqual([
      expect.stringMatching(/for 40 needs a pressure cooker of 29 l; the largest here holds 6 l/),
    ]);
  });

  it('of a rice cooker takes no second lot: the first cannot wait', () => {
    const rice = made('rice-cooker');
    const two = cooker('rice-cooker', 2);
    expect(refusals(rice, 4, two)).toEqual([]);
    expect(refusals(rice, 12, two)).toEqual([expect.stringContaining('the largest here holds 2 l')]);
    expect(refusals(rice, 12, cooker('rice-cooker', 5))).toEqual([]);
    // Of one that nobody has measured nothing is refused.
    expect(refusals(rice, 12, { id: 'r', name: 'r', kind: 'rice-cooker' })).toEqual([]);
  });

  it('of a kettle is filled as often as it takes', () => {
    const couscous = made('steeped');
    const parts = partsOf(mealOf([couscous], { people: 60, kitchen: kitchenWith(cooker('kettle', 1.7)) })).parts;
    expect(parts.get('steeped/kettle')!.length).toBeGreaterThan(1);
  });
});

describe('what is handed over', () => {
  const grain = made('broth-grain');
  const stock = made('stock');
  const scaled = (dishes: readonly Dish[], people = 4) => {
    const meal = mealOf(dishes, { people, kitchen: largeKitchen });
    return dishes.map((dish) => scaledFor(meal, dish));
  };

  it('is missing where no dish makes it, short where it is less than what is taken, unused where none takes it', () => {
    expect(partFaults(scaled([grain])).map(({ kind }) => kind)).toEqual(['missing']);
    expect(partFaults(scaled([stock])).map(({ kind }) => kind)).toEqual(['unused']);
    expect(partFaults(scaled([stock, grain]))).toEqual([]);
    const [short] = partFaults(scaled([stock, grain, { ...grain, id: 'more' }, { ...grain, id: 'yet more' }]));
    expect(short?.kind).toBe('short');
    if (short?.kind !== 'short') return;
    const { quantity } = short.giver.give.amount;
    expect(short.lacks.quantity).toBeCloseTo(short.taken.quantity - quantity, 9);
  });

  it('stands in the verdict and is found with its ways out: no meal lands whole without its parts', async () => {
    const others = ['more', 'yet-more'].map((id) => ({ ...grain, id, name: id }));
    const meal = mealOf([stock, grain, ...others], {
      kitchen: largeKitchen,
      hour: '20:00',
    });
    const plan = await planned(meal);
    expect(plan.verdict).toMatch(/^Not whole yet: there is less stock/);
    const [short] = findingsOf(meal, plan).filter(({ id }) => id.startsWith('short'));
    expect(short?.fix).toMatch(/% more of it, top it up with .+ of boiling water.*less grain/);
    const alone = mealOf([grain], { kitchen: largeKitchen, hour: '20:00' });
    const lonely = await planned(alone);
    expect(lonely.verdict).toMatch(/^Not whole yet: .* takes hot stock, which no dish of this meal makes/);
    expect(findingsOf(alone, lonely).map(({ id }) => id.split(' ')[0])).toContain('missing');
  });
});

describe('cooking in the open, and on a hot day', () => {
  it('is told what a flame gives off, wind and ground; in a tent it is not safe', async () => {
    const found = async (where: 'outdoors' | 'tent') => {
      const meal = mealOf([made('greens')], { kitchen: { ...largeKitchen, where }, hour: '20:00' });
      return findingsOf(meal, await planned(meal));
    };
    expect((await found('outdoors')).map(({ id }) => id)).toEqual(
      expect.arrayContaining(['carbon-monoxide', 'wind-and-ground']),
    );
    expect((await found('tent'))[0]).toMatchObject({ id: 'carbon-monoxide', weight: 'hard' });
  });

  it('above 32 °C an hour is the most, and a pot cools more slowly', async () => {
    const dish: Dish = {
      ...made('relish'),
      lands: { step: 'cold', waits: { served: 'warm', wellMinutes: 400, mostMinutes: 500, how: 'covered' } },
    };
    const stands = (roomCelsius: number) =>
      mealOf([dish], {
        kitchen: largeKitchen,
        hour: '20:00',
        roomCelsius,
        pins: [{ key: 'relish/cold', start: -110 }],
      });
    const weights = async (roomCelsius: number) => {
      const meal = stands(roomCelsius);
      return findingsOf(meal, await planned(meal))
        .filter(({ id }) => id.startsWith('danger'))
        .map(({ says }) => says);
    };
    expect(await weights(23)).toEqual([]);
    expect((await weights(35))[0]).toContain('60 in all are the most in such heat');
  });
});
