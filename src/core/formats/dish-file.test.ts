import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { readRecipe } from '@/core/recipe/reading';
import { beefCheeks, harvestDishes } from '@/demo/harvest';
import { dishFile, isDishFile, readDishFile, recipeJsonLd } from './dish-file';

const all = [...SHELF, ...harvestDishes];

describe('a dish file', () => {
  it('gives back every dish as it was', () => {
    for (const dish of all) {
      const text = JSON.stringify(dishFile(dish), null, 2);
      expect(isDishFile(text)).toBe(true);
      expect(readDishFile(text)).toEqual({ ok: true, value: dish });
    }
  });

  it.each([
    ['{', 'dish file'],
    [JSON.stringify({ ...dishFile(beefCheeks), version: 3 }), 'newer Warm Cadence'],
    [JSON.stringify(dishFile({ ...beefCheeks, servings: 0 })), 'servings'],
    [JSON.stringify(dishFile({ ...beefCheeks, lands: { ...beefCheeks.lands!, step: 'nowhere' } })), 'nowhere'],
  ])('that cannot be used is refused by name: %#', (text, words) => {
    const result = readDishFile(text);
    expect(result.ok ? '' : result.sentence).toContain(words);
  });
});

describe('a dish as a schema.org Recipe', () => {
  it('can be read again as one, with its name, servings and all its ingredients', () => {
    for (const dish of all) {
      const result = readRecipe(JSON.stringify(recipeJsonLd(dish)));
      if (!result.ok) throw new Error(result.sentence);
      expect(result.reading.name).toBe(dish.name);
      expect(result.reading.servings).toBe(dish.servings);
      expect(result.reading.ingredients).toHaveLength(dish.ingredients.length);
      expect(result.reading.steps.length).toBeGreaterThan(0);
    }
  });
});
