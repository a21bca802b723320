import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { checkMeal } from '@/core/meal/check';
import { planMeal } from '@/core/plan/plan-meal';
import { dishFrom } from '@/core/recipe/reading';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { vesselsInTwoPlaces } from '@/core/testing/vessels';
import { read, score, type Written } from './score';

/** What must hold of recipes in whatever manner: read with few corrections, and cooked. */
export function describeRecipes(recipes: readonly Written[]): void {
  describe.each(recipes.map((written) => [written.manner, written] as const))('%s', (_, written) => {
    const reading = read(written.text);

    it('is usable with few corrections', () => {
      const { right, all } = score(written);
      expect(all - right, JSON.stringify(reading.steps.map(({ sort }) => sort))).toBeLessThanOrEqual(2);
      expect(reading.servings).toBe(written.servings);
      expect(reading.ingredients).toHaveLength(written.ingredients.length);
    });

    it('becomes a dish that can be cooked, with all its ingredients', async () => {
      const dish = dishFrom(reading, 'read');
      expect(checkDish(dish)).toEqual([]);
      const meal = mealOf([dish], { people: dish.servings, kitchen: largeKitchen, hour: '20:00' });
      expect(checkMeal(meal)).toEqual([]);
      const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 5, rounds: 1 } });
      if (!result.ok) throw new Error(result.refusals[0]?.sentence);
      expect(result.plan.landings[0]?.late).toBe(0);
      expect(vesselsInTwoPlaces(meal, result.plan)).toEqual([]);
      const used = new Set(dish.steps.flatMap(({ uses }) => uses));
      expect(dish.ingredients.every(({ id }) => used.has(id))).toBe(true);
    });
  });

  describe('all of these', () => {
    it('are read in nine tenths of their ingredients and steps as a cook reads them', () => {
      const scores = recipes.map(score);
      const sum = (of: 'right' | 'all') => scores.reduce((total, each) => total + each[of], 0);
      expect(sum('right') / sum('all')).toBeGreaterThan(0.9);
    });
  });
}
