import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainGrain, mealOf as testMeal } from '@/core/testing/meals';
import { spicedChickpeas } from '@/demo/boat';
import { type MealFile, mealFile } from './meal-file';
import { type Answer, clashesOf, clashKey, type Held, incoming } from './merge';

const meal = testMeal([plainGrain(), spicedChickpeas], {
  pins: [
    { key: 'grain/boil', start: -40 },
    { key: 'vessel grain/pot', unit: 'vessel:pot#1' },
  ],
  ahead: [{ dish: 'chickpeas', upTo: 'tender', days: 1 }],
  together: [['grain/wash', 'chickpeas/onion']],
});
const file = mealFile(meal);
const NOTHING: Held = { kitchens: [], dishes: [], meals: [], evenings: [] };
const fresh = (id: string) => `${id}-2`;
const met = (held: Held, from: MealFile, answers: Readonly<Record<string, Answer>> = {}): Held => {
  const into = incoming(held, from, answers, fresh, 5);
  const put = <T extends { readonly id: string }>(old: readonly T[], more: readonly T[]) => [
    ...old.filter(({ id }) => !more.some((each) => each.id === id)),
    ...more,
  ];
  return {
    kitchens: put(held.kitchens, into.kitchens),
    dishes: put(held.dishes, into.dishes),
    meals: put(held.meals, [into.meal]),
    evenings: put(held.evenings, into.evenings),
  };
};

describe('a meal file met with what is here', () => {
  it('comes in whole where nothing is, and again without a question', () => {
    const held = met(NOTHING, file);
    expect(held.dishes).toEqual(file.dishes);
    expect(held.meals[0]).toMatchObject({ name: 'Test meal', kitchenId: 'small', dishIds: ['grain', 'chickpeas'] });
    expect(clashesOf(held, file)).toEqual([]);
    expect(met(held, file).dishes).toEqual(held.dishes);
  });

  it('asks where a dish, a kitchen or the meal differs, and says in what', () => {
    const held = met(NOTHING, file);
    const theirs: MealFile = {
      ...file,
      meal: { ...file.meal, people: 9 },
      kitchen: { ...file.kitchen, name: 'Other kitchen' },
      dishes: [{ ...file.dishes[0]!, servings: 6 }, file.dishes[1]!],
    };
    expect(clashesOf(held, theirs).map(({ kind, id, differs }) => [kind, id, differs])).toEqual([
      ['kitchen', 'small', 'name'],
      ['dish', 'grain', 'servings'],
      ['meal', 'meal', 'people'],
    ]);
  });

  it('keeps both when asked, and the one that comes in stands on its own dish with all that was put by hand', () => {
    const held = met(NOTHING, file);
    const theirs = { ...file, dishes: [{ ...file.dishes[0]!, servings: 6 }, file.dishes[1]!] };
    const both = met(held, theirs);
    expect(both.dishes.map(({ id, name }) => [id, name])).toEqual([
      ['grain', 'Grain grain'],
      ['chickpeas', 'Spiced chickpeas'],
      ['grain-2', 'Grain grain (2)'],
    ]);
    const second = both.meals.find(({ id }) => id === 'meal-2')!;
    expect(second.dishIds).toEqual(['grain-2', 'chickpeas']);
    expect(second.pins!.map(({ key }) => key)).toEqual(['grain-2/boil', 'vessel grain-2/pot']);
    expect(second.together).toEqual([['grain-2/wash', 'chickpeas/onion']]);
    expect(both.meals.find(({ id }) => id === 'meal')).toEqual(held.meals[0]);
  });

  it('loses nothing that was here unless the cook said “theirs”, whatever is answered', () => {
    const answer = fc.constantFrom<Answer>('mine', 'theirs', 'both');
    const change = fc.record({
      people: fc.integer({ min: 1, max: 9 }),
      servings: fc.integer({ min: 1, max: 9 }),
      kitchen: fc.boolean(),
    });
    fc.assert(
      fc.property(change, answer, answer, answer, ({ people, servings, kitchen }, a, b, c) => {
        const held = met(NOTHING, file);
        const theirs: MealFile = {
          ...file,
          meal: { ...file.meal, people },
          kitchen: kitchen ? { ...file.kitchen, name: 'Theirs' } : file.kitchen,
          dishes: [{ ...file.dishes[0]!, servings }, file.dishes[1]!],
        };
        const clashes = clashesOf(held, theirs);
        const answers = Object.fromEntries(clashes.map((clash, index) => [clashKey(clash), [a, b, c][index]!]));
        const merged = met(held, theirs, answers);
        const givenUp = new Set(Object.entries(answers).flatMap(([key, said]) => (said === 'theirs' ? [key] : [])));
        for (const kind of ['kitchens', 'dishes', 'meals'] as const) {
          for (const mine of held[kind]) {
            if (givenUp.has(`${kind === 'dishes' ? 'dish' : kind.slice(0, -1)} ${mine.id}`)) continue;
            expect(merged[kind].find(({ id }) => id === mine.id)).toMatchObject(
              kind === 'meals' ? { ...mine, changedAt: expect.any(Number) } : mine,
            );
          }
        }
        // Every meal stands on what is there.
        for (const each of merged.meals) {
          expect(merged.kitchens.some(({ id }) => id === each.kitchenId)).toBe(true);
          for (const id of each.dishIds) expect(merged.dishes.some((dish) => dish.id === id)).toBe(true);
        }
        // What the file has is there, but for what the cook did not want.
        const unwanted = clashes.filter((clash) => answers[clashKey(clash)] === 'mine').map(clashKey);
        if (!unwanted.includes('dish grain'))
          expect(merged.dishes.some((dish) => dish.servings === servings)).toBe(true);
      }),
    );
  });
});
