import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { dishFrom, readRecipe } from '@/core/recipe/reading';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { vesselsInTwoPlaces } from '@/core/testing/vessels';

/** Recipes in which several things go on at once on the hob. */
const TOGETHER = [
  `Lamb with rice and onions
Serves 4
1 kg lamb shoulder
300 g rice
3 onions
2 tbsp oil

Cover the lamb with water and simmer for 1 1/2 hours. Meanwhile, boil the rice in salted water for 12 minutes and drain. Meanwhile, fry the onions in a frying pan for 10 minutes. Serve everything together.`,
  `Two sauces
Serves 4
400 g tomatoes
200 ml cream

Simmer the tomatoes for 20 minutes. In another pan, simmer the cream for 5 minutes. Stir together and simmer for 2 minutes.`,
];

describe('in no plan is one vessel in two places', () => {
  it.each(TOGETHER)('%s', async (text) => {
    const result = readRecipe(text);
    if (!result.ok) throw new Error(result.sentence);
    const dish = dishFrom(result.reading, 'read');
    const meal = mealOf([dish], { people: 4, kitchen: largeKitchen, hour: '20:00' });
    expect(dish.vessels.length).toBeGreaterThan(1);
    expect(vesselsInTwoPlaces(meal, await planned(meal))).toEqual([]);
  });

  it('every dish of the shelf by itself', async () => {
    for (const dish of SHELF) {
      const meal = mealOf([dish], { people: 4, kitchen: largeKitchen, hour: '20:00' });
      expect(vesselsInTwoPlaces(meal, await planned(meal, 2, 1)), dish.name).toEqual([]);
    }
  });
});
