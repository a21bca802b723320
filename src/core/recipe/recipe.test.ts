import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { checkMeal } from '@/core/meal/check';
import { planMeal } from '@/core/meal/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { asSort, classify, ovenOf } from './classify';
import { readDuration, readIsoDuration } from './duration';
import { readIngredient } from './ingredient-line';
import { dishFrom, type Reading, readRecipe, unnamed } from './reading';
import { CORPUS as FIRST, type Written } from './testing/corpus';
import { MORE } from './testing/more';

const CORPUS = [...FIRST, ...MORE];

const read = (text: string): Reading => {
  const result = readRecipe(text);
  if (!result.ok) throw new Error(result.sentence);
  return result.reading;
};

/** Length of the longest row that both have in this order. */
function longestCommon(a: readonly string[], b: readonly string[]): number {
  const rows = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  for (let i = 1; i <= a.length; i++) {
    for (let j = 1; j <= b.length; j++) {
      rows[i]![j] = a[i - 1] === b[j - 1] ? rows[i - 1]![j - 1]! + 1 : Math.max(rows[i - 1]![j]!, rows[i]![j - 1]!);
    }
  }
  return rows[a.length]![b.length]!;
}

/** How many of what a cook reads was read: ingredients with name, amount and unit; steps by sort, in their order. */
function score({ text, ingredients, steps }: Written): { readonly right: number; readonly all: number } {
  const reading = read(text);
  const items = ingredients.filter(([name, quantity, unit], k) => {
    const found = reading.ingredients[k];
    return found?.name === name && Math.abs(found.amount.quantity - quantity) < 1e-6 && found.amount.unit === unit;
  });
  const inOrder = longestCommon(
    steps,
    reading.steps.map(({ sort }) => sort),
  );
  return { right: items.length + inOrder, all: ingredients.length + steps.length };
}

describe('recipes in many manners', () => {
  it.each(CORPUS.map((written) => [written.manner, written] as const))(
    '%s: usable with few corrections',
    (_, written) => {
      const reading = read(written.text);
      const { right, all } = score(written);
      expect(all - right, JSON.stringify(reading.steps.map(({ sort }) => sort))).toBeLessThanOrEqual(2);
      expect(reading.servings).toBe(written.servings);
      expect(reading.ingredients).toHaveLength(written.ingredients.length);
    },
  );

  it('nine tenths of ingredients and steps are read as a cook reads them', () => {
    const scores = CORPUS.map(score);
    const sum = (of: 'right' | 'all') => scores.reduce((total, each) => total + each[of], 0);
    expect(sum('right') / sum('all')).toBeGreaterThan(0.9);
  });

  it.each(CORPUS.map((written) => [written.manner, written] as const))(
    '%s: becomes a dish that can be cooked',
    async (_, { text }) => {
      const dish = dishFrom(read(text), 'read');
      expect(checkDish(dish)).toEqual([]);
      const meal = mealOf([dish], { people: dish.servings, kitchen: largeKitchen, hour: '20:00' });
      expect(checkMeal(meal)).toEqual([]);
      const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 5, rounds: 1 } });
      if (!result.ok) throw new Error(result.refusals[0]?.sentence);
      expect(result.plan.landings[0]?.late).toBe(0);
      const used = new Set(dish.steps.flatMap(({ uses }) => uses));
      expect(dish.ingredients.every(({ id }) => used.has(id))).toBe(true);
    },
  );
});

describe('a reading', () => {
  const [pot] = CORPUS;

  it('points back to its words, and lists what no step names and what was not understood', () => {
    const reading = read(pot!.text);
    expect(reading.steps[1]).toMatchObject({ sort: 'fry', sortWords: 'soften', minutesWords: '8 minutes' });
    for (const step of reading.steps) expect(pot!.text).toContain(step.words.slice(0, 20));
    expect(unnamed(reading).map(({ name }) => name)).toEqual(['salt']);
    const odd = read('Odd soup\nIngredients\nmystery\n2 carrots\nMethod\nSimmer the carrots for 20 minutes.');
    expect(odd.notUnderstood).toEqual(['mystery']);
  });

  it('finds the name, also where it says how many it is for', () => {
    expect(FIRST.map(({ text }) => read(text).name)).toEqual([
      'Leek and barley pot',
      'Baked Sweet Potatoes with Lime',
      'Quick lentils',
      'Pickled & crisp cabbage',
      'Garlic greens',
      'Bean pot',
      'Roast roots',
      'Chickpea stew (30 minutes)',
      'Flatbreads',
      'Lemon pork',
      'Sunday shanks',
      'Green relish',
    ]);
  });

  it('takes another sort from the cook, and its place and usual minutes with it', () => {
    const guess = classify('Stir in the cream.')!;
    expect(guess).toMatchObject({ sort: 'mix', place: { at: 'board' }, minutesWords: null });
    expect(asSort(guess, 'Stir in the cream.', 'bake')).toMatchObject({
      sort: 'bake',
      place: { at: 'oven', celsius: 180 },
      attention: 'none',
      minutes: { likely: 35 },
    });
    const timed = classify('Cook for 12 minutes.')!;
    expect(asSort(timed, 'Cook for 12 minutes.', 'bake').minutes.likely).toBe(12);
  });

  it('lets "meanwhile" go on beside the step before it', () => {
    const dish = dishFrom(read(CORPUS.find(({ manner }) => manner.startsWith('marinade'))!.text), 'x');
    const [, sear, slice] = dish.steps;
    expect(dish.links.some(({ from, to }) => from === sear!.id && to === slice!.id)).toBe(false);
    expect(dish.steps.find(({ says }) => says.startsWith('Marinate'))!.place.at).toBe('cold');
  });

  it('sets what happens overnight on the day before', () => {
    const dish = dishFrom(read(CORPUS.find(({ manner }) => manner.includes('letter'))!.text), 'x');
    expect(dish.steps[0]).toMatchObject({ daysBefore: 1, ahead: true });
  });
});

describe('what is no recipe is refused or made harmless in words', () => {
  it.each([
    ['', 'nothing to read yet'],
    ['x'.repeat(5_000_000), 'at most 1 MB'],
    ['<html><body><p>About us</p></body></html>', 'this page holds none'],
    ['<html><script type="application/ld+json">{"@type": "Recipe", </script></html>', 'broken JSON'],
    ['{"@type": "Recipe"', 'broken JSON'],
    ['hello there', 'neither ingredients nor steps'],
    [
      JSON.stringify({
        '@type': 'Recipe',
        name: 'Endless',
        recipeInstructions: Array.from({ length: 10_000 }, () => 'Stir for 1 minute.'),
      }),
      'at most 400 lines',
    ],
  ])('%#', (text, words) => {
    const result = readRecipe(text);
    expect(result.ok ? '' : result.sentence).toContain(words);
  });

  it('script in a title is words, or nothing', () => {
    const reading = read(
      JSON.stringify({
        '@type': 'Recipe',
        name: '<script>alert(1)</script><b>Soup</b>',
        recipeIngredient: ['1 onion'],
        recipeInstructions: 'Simmer &lt;img src=x onerror=alert(1)&gt; for 10 minutes.',
      }),
    );
    expect(reading.name).toBe('Soup');
    expect(JSON.stringify(reading)).not.toMatch(/<|onerror=alert\(1\)>/);
  });
});

describe('a line of ingredients', () => {
  it.each([
    ['2 1/2 cups flour', 'flour', 600, 'ml'],
    ['1½ kg potatoes, peeled', 'potatoes', 1.5, 'kg'],
    ['a pinch of saffron', 'saffron', 1, 'pinch'],
    ['juice of 2 lemons', 'lemons', 2, 'piece'],
    ['2-3 cloves garlic', 'garlic', 2.5, 'clove'],
    ['about 200g butter (cold)', 'butter', 200, 'g'],
    ['4 eggs', 'eggs', 4, 'piece'],
    ['8 oz mushrooms', 'mushrooms', 224, 'g'],
    ['1 bunch of parsley, chopped', 'parsley', 1, 'bunch'],
    ['two onions', 'onions', 2, 'piece'],
    ['½ tsp salt', 'salt', 0.5, 'tsp'],
    ['salt and pepper to taste', 'salt and pepper', 1, 'pinch'],
  ])('%s', (line, name, quantity, unit) => {
    const { amount, ...found } = readIngredient(line)!;
    expect(found.name).toBe(name);
    expect(amount).toEqual({ quantity, unit });
  });

  it('a heading is none', () => {
    expect(readIngredient('For the sauce:')).toBeNull();
    expect(readIngredient('  ')).toBeNull();
  });
});

describe('durations and heats in a sentence', () => {
  it.each([
    ['Cook for 10 minutes.', [9, 10, 12]],
    ['Cook for 10-15 mins.', [10, 13, 15]],
    ['Bake for 1 hour 30 minutes', [77, 90, 103]],
    ['Simmer until tender, about 1 hour', [42, 60, 78]],
    ['Roast 1 1/2 hours', [77, 90, 103]],
    ['Bake half an hour', [26, 30, 35]],
    ['Soak overnight', [480, 600, 840]],
    ['Wait 2 to 3 hours', [120, 150, 180]],
  ])('%s', (sentence, [shortest, likely, longest]) => {
    expect(readDuration(sentence)?.minutes).toEqual({ shortest, likely, longest });
  });

  it('says nothing where nothing is said', () => {
    expect(readDuration('Stir it well.')).toBeNull();
    expect(classify('The best part of the day.')).toBeNull();
    expect(classify('Preheat the oven to 180°C.')).toBeNull();
  });

  it.each([
    ['200 °C', 200],
    ['400°F', 205],
    ['gas mark 4', 175],
    ['425 degrees F', 220],
    ['1000°C', null],
  ])('%s', (text, celsius) => {
    expect(ovenOf(text)).toBe(celsius);
  });

  it.each([
    ['PT1H30M', 90],
    ['PT45M', 45],
    ['P1DT2H', 1560],
    ['soon', null],
    ['P', null],
  ])('%s', (text, minutes) => {
    expect(readIsoDuration(text)).toBe(minutes);
  });
});
