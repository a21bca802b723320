import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DIETS, dietOf } from '@/core/dish/diet';
import { SHELF } from '@/core/dish/shelf';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen, twoBurners } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { harvestDishes } from '@/demo/harvest';
import { boatKitchen, hallKitchen } from '@/demo/kitchens';
import { proposeMenu } from './menu-proposal';
import { ROLES, readWants, rolesOf } from './menu-words';

const meal = (people = 6, kitchen = hallKitchen) => ({ ...mealOf([], { people, kitchen, hour: '19:30' }), dishes: [] });
const said = (text: string) => readWants(text).map(({ role, words }) => [role, words.join(' ')]);

describe('a few words for a menu', () => {
  it('are parts that dishes play, so many of each, or names', () => {
    expect(said('a grain, a braise, two sides, something cold')).toEqual([
      ['grain', ''],
      ['braise', ''],
      ['side', ''],
      ['side', ''],
      ['cold', ''],
    ]);
    expect(said('Rice and a lamb stew; 2 salads')).toEqual([
      [null, 'rice'],
      ['braise', 'lamb'],
      ['salad', ''],
      ['salad', ''],
    ]);
    expect(said('one-pot dish, flatbread')).toEqual([
      ['one pot', ''],
      ['bread', ''],
    ]);
    expect(said(' , ;')).toEqual([]);
  });

  it('whatever they are, are few, and have a part or a word', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        for (const { role, words } of readWants(text)) expect(role !== null || words.length > 0).toBe(true);
        expect(readWants(text).length).toBeLessThanOrEqual(5 * (text.length + 1));
      }),
    );
  });

  it('find a dish of every part on the shelf, and a part for every dish', () => {
    for (const dish of [...SHELF, ...harvestDishes]) expect(rolesOf(dish).length, dish.name).toBeGreaterThan(0);
    for (const role of ROLES) {
      const [place] = proposeMenu([{ says: role, role, words: [] }], SHELF, {
        meal: meal(4, largeKitchen),
        diet: null,
      }).places;
      expect(place?.dish, role).not.toBeNull();
      expect(rolesOf(place!.dish!)).toContain(role);
      expect(place!.others.length, role).toBeGreaterThan(0);
    }
  });
});

describe('a menu that is proposed', () => {
  const wants = readWants('a grain, a braise, two sides, something cold');

  it('answers each wish with another dish, none twice, and the same each time', () => {
    const { places, notes } = proposeMenu(wants, SHELF, { meal: meal(), diet: null });
    const ids = places.map(({ dish }) => dish?.id);
    expect(new Set(ids).size).toBe(5);
    for (const { want, dish, others } of places) {
      expect(rolesOf(dish!)).toContain(want.role);
      expect(others.map(({ id }) => id)).not.toContain(dish!.id);
    }
    expect(notes.join(' ')).toMatch(/min of hands in the last hour/);
    expect(proposeMenu(wants, SHELF, { meal: meal(), diet: null })).toEqual({ places, notes });
  });

  it('keeps to a diet, and does not propose again what was refused', () => {
    for (const diet of ['vegetarian', 'vegan'] as const) {
      const { places } = proposeMenu(readWants('a grain, pulses, a side, bread'), SHELF, { meal: meal(), diet });
      for (const { dish } of places)
        expect(DIETS.indexOf(dietOf(dish!) as 'vegan')).toBeLessThanOrEqual(DIETS.indexOf(diet));
    }
    const first = proposeMenu(wants, SHELF, { meal: meal(), diet: null }).places.flatMap(({ dish }) => dish?.id ?? []);
    const next = proposeMenu(wants, SHELF, { meal: meal(), diet: null }, new Set(first));
    for (const { dish } of next.places) expect(first).not.toContain(dish?.id);
  });

  it('proposes nothing that the kitchen cannot cook, and says so where nothing is left', () => {
    const small = { ...boatKitchen, ovens: [], appliances: [] };
    const { places } = proposeMenu(readWants('a roast, bread'), SHELF, { meal: meal(4, small), diet: null });
    for (const { dish } of places) expect(dish?.steps.some(({ place }) => place.at === 'oven') ?? false).toBe(false);
    const none = proposeMenu(readWants('unicorn'), SHELF, { meal: meal(), diet: null });
    expect(none).toEqual({ places: [{ want: expect.anything(), dish: null, others: [] }], notes: [] });
  });

  it('asks for one warmth of the oven rather than two, where it has the choice', () => {
    const { places } = proposeMenu(readWants('a roast, roast roots'), SHELF, {
      meal: meal(6, largeKitchen),
      diet: null,
    });
    const warmths = places.flatMap(({ dish }) =>
      dish!.steps.flatMap(({ place }) => (place.at === 'oven' ? [place.celsius] : [])),
    );
    expect(Math.max(...warmths) - Math.min(...warmths)).toBeLessThanOrEqual(20);
  });

  it.each([
    ['hall', hallKitchen, 8],
    ['two burners', twoBurners, 6],
    ['boat', boatKitchen, 4],
  ] as const)('comes out when it is planned: %s', async (_, kitchen, people) => {
    const { places } = proposeMenu(wants, SHELF, { meal: meal(people, kitchen), diet: null });
    const dishes = places.flatMap(({ dish }) => dish ?? []);
    expect(dishes).toHaveLength(5);
    const result = await planMeal(
      { ...meal(people, kitchen), dishes },
      { solve: { ...TEST_CLOCK, seconds: 6, rounds: 20, explain: false } },
    );
    if (!result.ok) throw new Error(result.refusals[0]?.sentence);
    expect(result.plan.landings.filter(({ late }) => late > 0)).toEqual([]);
  });
});
