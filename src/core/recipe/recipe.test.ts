import { describe, expect, it } from 'vitest';
import { asSort, classify, ovenOf } from './classify';
import { readDuration, readIsoDuration } from './duration';
import { readIngredient } from './ingredient-line';
import { dishFrom, readRecipe, unnamed } from './reading';
import { read } from './testing/score';

const POT = `Leek and barley pot
Serves 4

Ingredients
300 g pearl barley
2 large leeks, in rings
1 onion, finely chopped
40 g butter
1 litre hot stock
1 tsp salt

Method
1. Slice the leeks and chop the onion.
2. Melt the butter and soften the leeks and onion for 8 minutes.
3. Add the barley and toast it for 3 minutes.
4. Pour in the stock and bring to the boil.
5. Cover and simmer for 30-35 minutes, until the barley is tender.
6. Leave to rest for 10 minutes, then serve.`;

const PORK = `Lemon pork
Serves 4
Ingredients
600 g pork fillet, sliced
juice of 1 lemon
2 cloves garlic, crushed
1 tbsp oil
Directions
Marinate the pork in lemon juice and garlic for 2 hours in the fridge.
Sear the pork in hot oil over high heat for 6 minutes.
Meanwhile, slice some bread.
Rest the pork for 5 minutes and serve.`;

const BEANS = `Bean pot

You'll need:
500g dried white beans
2 onions
a handful of sage
4 tablespoons of oil

What to do
Soak the beans overnight in plenty of water. Drain them. Chop the onions and brown them in the oil, about 10 minutes. Put in the beans and the sage, cover with water and cook gently until tender, about 1 hour. Let it stand a few minutes before you serve.`;

describe('a reading', () => {
  it('points back to its words, and lists what no step names and what was not understood', () => {
    const reading = read(POT);
    expect(reading.steps[1]).toMatchObject({ sort: 'fry', sortWords: 'soften', minutesWords: '8 minutes' });
    for (const step of reading.steps) expect(POT).toContain(step.words.slice(0, 20));
    expect(unnamed(reading).map(({ name }) => name)).toEqual(['salt']);
    const odd = read('Odd soup\nIngredients\nmystery\n2 carrots\nMethod\nSimmer the carrots for 20 minutes.');
    expect(odd.notUnderstood).toEqual(['mystery']);
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
    const dish = dishFrom(read(PORK), 'x');
    const [, sear, slice] = dish.steps;
    expect(dish.links.some(({ from, to }) => from === sear!.id && to === slice!.id)).toBe(false);
    expect(dish.steps.find(({ says }) => says.startsWith('Marinate'))!.place.at).toBe('cold');
  });

  it('sets what happens overnight on the day before', () => {
    const dish = dishFrom(read(BEANS), 'x');
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
    ['2 1/2 cups flour', 'flour', 2.5, 'us-cup'],
    ['1½ kg potatoes, peeled', 'potatoes', 1.5, 'kg'],
    ['a pinch of saffron', 'saffron', 1, 'pinch'],
    ['juice of 2 lemons', 'lemons', 2, 'piece'],
    ['2-3 cloves garlic', 'garlic', 2.5, 'clove'],
    ['about 200g butter (cold)', 'butter', 200, 'g'],
    ['4 eggs', 'eggs', 4, 'piece'],
    ['8 oz mushrooms', 'mushrooms', 8, 'oz'],
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
