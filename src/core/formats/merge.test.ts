import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Evening } from '@/core/live/evening';
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
/** The same meal as somebody else has it: more people, another kitchen, a dish for more. */
const theirs: MealFile = {
  ...file,
  meal: { ...file.meal, people: 9 },
  kitchen: { ...file.kitchen, name: 'Aunt’s kitchen' },
  dishes: [{ ...file.dishes[0]!, servings: 6 }, file.dishes[1]!],
};
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

  it('is told apart by a number only from what has the same name, and what is kept as mine brings nothing', () => {
    const held = met(NOTHING, file);
    const said = (answer: Answer) =>
      incoming(held, theirs, { 'kitchen small': answer, 'dish grain': answer, 'meal meal': answer }, fresh, 5);
    const both = said('both');
    expect(both.kitchens.map(({ id, name }) => [id, name])).toEqual([['small-2', 'Aunt’s kitchen']]);
    expect(both.dishes.map(({ id, name }) => [id, name])).toEqual([['grain-2', 'Grain grain (2)']]);
    expect([both.meal.id, both.meal.name, both.meal.kitchenId]).toEqual(['meal-2', 'Test meal (2)', 'small-2']);
    const mine = said('mine');
    expect([mine.kitchens, mine.dishes]).toEqual([[], []]);
    expect(mine.meal).toEqual(held.meals[0]);
    const taken = said('theirs');
    expect([taken.meal.id, taken.meal.people, taken.kitchens[0]!.name]).toEqual(['meal', 9, 'Aunt’s kitchen']);
    // Another name needs no number; and where only the kitchen differs the meal that is here is left alone too.
    const named = { ...theirs, meal: { ...theirs.meal, name: 'Their meal' } };
    expect(incoming(held, named, {}, fresh, 5).meal.name).toBe('Their meal');
    const moved: MealFile = { ...file, kitchen: theirs.kitchen };
    expect(incoming(held, moved, {}, fresh, 5).meal).toMatchObject({ id: 'meal-2', kitchenId: 'small-2' });
    // Nothing of that name here: it keeps its own.
    expect(incoming({ ...held, meals: [] }, moved, {}, fresh, 5).meal.id).toBe('meal');
  });

  it('brings evenings that are not here, and what was told more of those that are; nothing twice', () => {
    const told = (id: string, at: number) => ({ id, kind: 'note' as const, text: id, at });
    const evening = (id: string, ...events: ReturnType<typeof told>[]): Evening =>
      ({ id, mealId: 'meal', meal, tableAt: 1000, events, moved: '', plan: {} }) as unknown as Evening;
    const here = [evening('first', told('a', 1)), evening('second', told('b', 2))];
    const held: Held = { ...met(NOTHING, file), evenings: here };
    const log = [here[0]!, evening('second', told('b', 2), told('c', 3)), evening('third')];
    const { evenings } = incoming(held, { ...file, log }, {}, fresh, 5);
    expect(evenings.map(({ id, events }) => [id, events.map((event) => event.id)])).toEqual([
      ['second', ['b', 'c']],
      ['third', []],
    ]);
    const beside = { ...file, log, meal: { ...file.meal, people: 9 } };
    const { meal: other, evenings: theirs } = incoming(held, beside, {}, fresh, 5);
    expect(theirs.find(({ id }) => id === 'third')!.mealId).toBe(other.id);
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
