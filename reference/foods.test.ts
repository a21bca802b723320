import { describe, expect, it } from 'vitest';
import { ALLERGENS, type Allergen } from '@/core/food/food';
import { KNOWN_FOODS, readFood } from '@/core/food/known';

/**
 * What the two laws list, by the foods that they name. EU 1169/2011 Annex II (with the nuts it names one by one); US FALCPA 2004 and FASTER
 * Act 2021; both from memory.
 */
const EU: Readonly<Record<Allergen, readonly string[]>> = {
  gluten: ['wheat', 'spelt', 'khorasan wheat', 'rye', 'barley', 'oats'],
  crustaceans: ['prawns', 'crab', 'lobster', 'crayfish'],
  eggs: ['eggs', 'egg white'],
  fish: ['cod', 'fish sauce', 'anchovies'],
  peanuts: ['peanuts', 'groundnuts', 'monkey nuts'],
  soy: ['soybeans', 'tofu', 'soy sauce'],
  milk: ['milk', 'butter', 'whey', 'yogurt', 'paneer'],
  'tree nuts': [
    'almonds',
    'hazelnuts',
    'walnuts',
    'cashews',
    'pecan nuts',
    'Brazil nuts',
    'pistachio nuts',
    'macadamia nuts',
    'Queensland nuts',
  ],
  celery: ['celery', 'celeriac'],
  mustard: ['mustard', 'mustard seeds'],
  sesame: ['sesame seeds', 'tahini'],
  sulphites: ['red wine', 'dried apricots', 'sultanas', 'cider'],
  lupin: ['lupin flour', 'lupini beans'],
  molluscs: ['mussels', 'oysters', 'squid', 'snails', 'scallops'],
};
const US = ['milk', 'eggs', 'fish', 'crustaceans', 'tree nuts', 'peanuts', 'gluten', 'soy', 'sesame'];

describe('the allergens of EU 1169/2011 Annex II', () => {
  it.each(Object.entries(EU))('%s is known in %j', (allergen, names) => {
    for (const name of names) {
      const { foods, unknown } = readFood(name);
      expect(unknown, name).toEqual([]);
      expect(
        foods.flatMap((food) => food.allergens),
        name,
      ).toContain(allergen);
    }
  });

  it('contain the nine of US law, wheat under gluten', () => {
    expect([...ALLERGENS]).toEqual(expect.arrayContaining(US));
  });
});

describe('the table of foods', () => {
  it('holds six hundred names at least, of every kind', () => {
    expect(KNOWN_FOODS.length).toBeGreaterThan(600);
    const kinds = new Set(KNOWN_FOODS.map(([, { kind }]) => kind));
    expect(kinds.size).toBeGreaterThanOrEqual(20);
  });

  // Common practice, no source: what a kitchen means by these names.
  it.each([
    ['drumsticks', 'poultry', 'with meat', []],
    ['rump steak', 'red meat', 'with meat', []],
    ['oxtail', 'red meat', 'with meat', []],
    ['brisket', 'red meat', 'with meat', []],
    ['turkey mince', 'minced meat', 'with meat', []],
    ['sea bass', 'fish', 'with fish', ['fish']],
    ['scallops', 'mollusc', 'with fish', ['molluscs']],
    ['naan', 'bread', 'vegetarian', ['gluten', 'milk']],
    ['challah', 'bread', 'vegetarian', ['gluten', 'eggs', 'sesame']],
    ['sourdough', 'bread', 'vegan', ['gluten']],
    ['mayonnaise', 'sauce', 'vegetarian', ['eggs', 'mustard']],
    ['hollandaise', 'sauce', 'vegetarian', ['eggs', 'milk']],
    ['ketchup', 'sauce', 'vegan', ['celery']],
    ['sriracha', 'sauce', 'vegan', ['sulphites']],
    ['shaoxing wine', 'drink', 'vegan', ['gluten', 'sulphites']],
    ['shrimp paste', 'crustacean', 'with fish', ['crustaceans']],
    ['mustard seeds', 'spice', 'vegan', ['mustard']],
    ['paneer', 'dairy', 'vegetarian', ['milk']],
    ['beer', 'drink', 'vegan', ['gluten', 'sulphites']],
    ['sultanas', 'fruit', 'vegan', ['sulphites']],
    ['goat’s cheese', 'dairy', 'vegetarian', ['milk']],
    ['lamb’s lettuce', 'vegetable', 'vegan', []],
    ['beef tomatoes', 'vegetable', 'vegan', []],
    ['oyster mushrooms', 'vegetable', 'vegan', []],
    ['butter beans', 'pulse', 'vegan', []],
    ['coconut milk', 'fruit', 'vegan', []],
    ['peanut butter', 'pulse', 'vegan', ['peanuts']],
    ['cream of tartar', 'spice', 'vegan', []],
    ['Worcestershire sauce', 'sauce', 'with fish', ['gluten', 'fish', 'soy', 'sulphites']],
    ['buckwheat flour', 'grain', 'vegan', []],
    ['eggplant', 'vegetable', 'vegan', []],
    ['nutmeg', 'spice', 'vegan', []],
  ] as const)('%s: %s, %s, %j', (name, kind, diet, allergens) => {
    const { foods, unknown } = readFood(name);
    expect(unknown).toEqual([]);
    expect(foods.map((food) => [food.kind, food.diet, food.allergens])).toEqual([[kind, diet, [...allergens]]]);
  });

  // FDA Bad Bug Book: red kidney beans most, white kidney beans (cannellini) a third of it; from memory.
  it.each(['kidney beans', 'red beans', 'rajma', 'cannellini beans', 'white kidney beans'])(
    '%s are kidney beans until they come out of a tin',
    (name) => {
      expect(readFood(name).foods[0]?.beans).toBe('kidney');
      expect(readFood(`tinned ${name}`).foods[0]?.beans).toBeUndefined();
    },
  );
});
