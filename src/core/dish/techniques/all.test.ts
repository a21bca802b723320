import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import { beginDraft, dishOf } from '@/core/dish/draft-dish';
import { makeDish } from '@/core/dish/parts';
import type { Technique } from '@/core/dish/technique';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { usualKitchen } from '@/core/kitchen/usual';
import { checkMeal } from '@/core/meal/check';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { TECHNIQUES, techniqueOf } from './all';

/** A household's stove of one flame, with every appliance that a technique may want. */
const oneFlame: Kitchen = {
  ...usualKitchen('one-flame', 'One flame', { burners: 1, oven: 'usual', crew: 'one cook', pots: 'usual' }),
  appliances: largeKitchen.appliances,
};

const make = (technique: Technique, ways: Record<string, string> = {}, servings = 4) =>
  makeDish(technique, { id: 'it', name: technique.name, servings }, { ways });

/** As a draft of it begins: with the parts that are usually made for it. */
const begun = (technique: Technique, ways: Record<string, string> = {}, servings = 4) =>
  dishOf({ ...beginDraft(technique, 'it', servings), ways });

/** The usual dish, and one for each other way of each choice; with its parts, where there are any. */
const variants = (technique: Technique): readonly Dish[] => [
  make(technique),
  ...(technique.begins ? [begun(technique)] : []),
  ...technique.choices.flatMap(({ id, ways }) => ways.slice(1).map((way) => begun(technique, { [id]: way.id }))),
];

describe('the techniques', () => {
  it('are twenty-eight at least, each by a name of its own, with what goes wrong', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(28);
    for (const key of ['id', 'name'] as const) {
      expect(new Set(TECHNIQUES.map((technique) => technique[key])).size).toBe(TECHNIQUES.length);
    }
    for (const { id, mistakes, choices, slots } of TECHNIQUES) {
      expect(mistakes.length, id).toBeGreaterThan(0);
      expect(slots.length, id).toBeGreaterThan(0);
      for (const choice of choices) {
        expect(choice.ways.length, `${id}, ${choice.id}`).toBeGreaterThan(1);
        for (const { because } of choice.ways) expect(because.length, `${id}, ${choice.id}`).toBeGreaterThan(15);
      }
    }
    expect(() => techniqueOf('magic')).toThrow('magic');
  });
});

describe.each(TECHNIQUES.map((technique) => [technique.name, technique] as const))('%s', (_, technique) => {
  it('makes sound dishes, whichever ways are chosen', () => {
    for (const dish of variants(technique)) {
      expect(checkDish(dish)).toEqual([]);
      expect(dish.made?.technique).toBe(technique.id);
    }
  });

  it('uses every ingredient in a step, and every step is told in full', () => {
    for (const dish of variants(technique)) {
      const used = new Set(dish.steps.flatMap(({ uses }) => uses));
      expect(dish.ingredients.filter(({ id }) => !used.has(id)).map(({ id }) => id)).toEqual([]);
      expect(dish.ingredients.length).toBeGreaterThan(0);
      for (const step of dish.steps) expect(step.says.length, step.id).toBeGreaterThan(5);
    }
  });

  it('never rests before it cooks, and waits well no longer than it can wait', () => {
    for (const { lands, links, steps } of variants(technique)) {
      if (!lands) continue;
      expect(lands.waits.wellMinutes).toBeLessThanOrEqual(lands.waits.mostMinutes);
      // The landing is the end of all: nothing follows it.
      expect(links.some(({ from }) => from === lands.step)).toBe(false);
      expect(steps.at(-1)!.id).toBe(lands.step);
    }
  });

  it.each([1, 4, 40])('can be cooked alone for %i', async (people) => {
    for (const dish of people === 4 ? variants(technique) : [begun(technique)]) {
      // For a family one cook and one flame must do.
      const meal = mealOf([dish], { people, kitchen: people === 4 ? oneFlame : largeKitchen, hour: '20:00' });
      expect(checkMeal(meal)).toEqual([]);
      const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 2, rounds: 1, explain: false } });
      if (!result.ok) throw new Error(`${JSON.stringify(dish.made?.ways)}: ${result.refusals[0]?.sentence}`);
      for (const { late } of result.plan.landings) expect(late).toBe(0);
    }
  });
});
