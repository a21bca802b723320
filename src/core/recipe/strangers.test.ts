import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { vesselsInTwoPlaces } from '@/core/testing/vessels';
import { dishesApart } from './apart';
import { dishFrom, readRecipe } from './reading';
import { type Share, type StrangerScore, scoreStranger, strangersIn, sumOf } from './testing/strangers';

// Recipes in the manners of others. Each set was measured before the rules were mended by it; docs/import.md has what it was then.
const LEAST = {
  found: 0.96,
  listed: 0.96,
  steps: 0.94,
  place: 0.95,
  minutes: 0.97,
  attention: 0.95,
  ties: 0.88,
  relations: 0.94,
};
const setOf = (name: string) =>
  strangersIn(readFileSync(new URL(`./testing/strangers-${name}.txt`, import.meta.url), 'utf8'));

describe.each([
  ['a', 2.2],
  ['b', 2],
  ['c', 1.5],
] as const)('the recipes of set %s', (name, most) => {
  const strangers = setOf(name);
  const scores = strangers.map(scoreStranger);

  it('are read with few corrections', () => {
    const corrections = scores.reduce((sum, each) => sum + each.corrections, 0);
    expect(corrections / scores.length, JSON.stringify(scores.map(({ faults }) => faults))).toBeLessThanOrEqual(most);
    for (const [of, share] of Object.entries(LEAST))
      expect(sumOf(scores, of as keyof StrangerScore), of).toBeGreaterThanOrEqual(share);
  });

  it.each(strangers.map((each) => [each.manner, each] as const))(
    'become dishes that a kitchen can cook: %s',
    async (_, { text }) => {
      const result = readRecipe(text);
      if (!result.ok) throw new Error(result.sentence);
      for (const reading of dishesApart(result.reading) ?? [result.reading]) {
        const dish = dishFrom(reading, 'd');
        expect(checkDish(dish)).toEqual([]);
        const meal = mealOf([dish], { people: dish.servings, kitchen: largeKitchen, hour: '20:00' });
        const planned = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 5, rounds: 1 } });
        if (!planned.ok) throw new Error(planned.refusals[0]?.sentence);
        expect(planned.plan.landings[0]?.late).toBe(0);
        expect(vesselsInTwoPlaces(meal, planned.plan)).toEqual([]);
      }
    },
  );

  it('lose no line with an amount, a time or a word in silence', () => {
    for (const { text, manner } of strangers.filter((each) => !/^[<{]/.test(each.text))) {
      const result = readRecipe(text);
      if (!result.ok) throw new Error(result.sentence);
      const { reading } = result;
      const kept = [
        reading.name,
        ...reading.ingredients.map(({ words }) => words),
        ...reading.steps.map(({ words }) => words),
        ...reading.notes,
        ...reading.notUnderstood,
      ]
        .join(' ')
        .toLowerCase();
      const words = kept.match(/[\p{L}\p{M}]+/gu) ?? [];
      const known = new Set(words);
      for (const line of text.split('\n').filter((each) => /\d/.test(each) && each.trim().length > 20)) {
        const own = (line.toLowerCase().match(/[\p{L}\p{M}]{4,}/gu) ?? []).filter((word) => !HEADS.test(word));
        const lost = own.filter((word) => !known.has(word));
        expect(lost.length, `${manner}: ${line} lacks ${lost}`).toBeLessThanOrEqual(own.length * 0.34);
      }
    }
  });
});

/** Words of lines that are heads: how many it serves, how long it takes. */
const HEADS =
  /^(?:serves|servings?|prep|cook(?:ing)?|time|total|minutes?|mins?|hours?|yield|pour|personnes|préparation|cuisson|zutaten|personen|preheat|oven|precalentar|horno|ingredienti|persone)$/;

describe('a score', () => {
  it('counts what is missing, wrong or too much', () => {
    const [stranger] = setOf('a');
    const perfect = scoreStranger(stranger!);
    const worse = scoreStranger({
      ...stranger!,
      servings: 9,
      ingredients: [...stranger!.ingredients.slice(1), { name: 'unicorn', quantity: 1, units: ['g'] }],
      steps: [
        { ...stranger!.steps[0]!, places: ['oven'], minutes: 99, attentions: ['none'] },
        ...stranger!.steps.slice(1),
      ],
    });
    expect(worse.corrections - perfect.corrections).toBe(6);
    const [right, all] = worse.found as Share;
    expect(all - right).toBe(1);
  });
});
