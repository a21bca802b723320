import { describe, expect, it } from 'vitest';
import { liquidBalance } from '@/core/grain/balance';
import { GRAINS, grainOf } from '@/core/grain/grains';
import { METHODS } from '@/core/grain/methods';
import { USUAL_WATTS } from '@/core/heat/boil';

describe('the schools’ ratios (common practice, no source)', () => {
  it.each(METHODS.map((method) => [method.name, method] as const))(
    '%s lies in the band that the balance gives for a family pot',
    (_, method) => {
      const watts = method.id === 'hard-boil' ? USUAL_WATTS.strong : USUAL_WATTS.middling;
      const question = { grain: grainOf(method.grain), method, grams: 400, soaked: method.soaked, watts, widthCm: 20 };
      const { ratio } = liquidBalance(question);
      const [least, most] = method.ratio;
      expect(least).toBeLessThanOrEqual(ratio.high);
      expect(most).toBeGreaterThanOrEqual(ratio.low);
      // A single figure lies inside; of a school's own band at least the middle does.
      expect((least + most) / 2).toBeGreaterThanOrEqual(ratio.low);
      expect((least + most) / 2).toBeLessThanOrEqual(ratio.high);
    },
  );
});

/** What cooks measure for a family pot, liquid to grain by volume, covered and unsoaked. Common practice, no source. */
describe('bands that cooks go by', () => {
  it.each([
    ['quinoa', 1.8, 2.2],
    ['freekeh', 1.8, 2.3],
    ['wild', 2.5, 3],
    ['buckwheat', 2, 2.4],
  ])('%s: %f to %f', (id, least, most) => {
    const method = METHODS.find((each) => each.id === 'covered')!;
    for (const grams of [280, 400]) {
      const question = { grain: grainOf(id), method, grams, soaked: false, watts: USUAL_WATTS.middling, widthCm: 20 };
      const { ratio } = liquidBalance(question);
      expect(ratio.likely).toBeGreaterThanOrEqual(least);
      expect(ratio.likely).toBeLessThanOrEqual(most);
    }
  });
});

describe('cooked weights', () => {
  it.each([
    ['long', 2.6, 3.0],
    ['brown', 2.5, 3.1],
    // By the protein of dry and cooked grain in USDA FoodData Central, which water alone thins: 14.1 to 4.4, 12.3 to 3.1, 11.7 to 3.4, 14.7 to 4.0.
    ['quinoa', 3.0, 3.6],
    ['bulgur-coarse', 3.2, 4.1],
    ['buckwheat', 3.2, 3.9],
    ['wild', 3.2, 3.9],
    ['barley', 2.9, 3.6],
  ])('a gram of dry %s gives %f to %f g (USDA yield tables, from memory)', (id, least, most) => {
    const [low, high] = grainOf(id).takesUp;
    const middle = 1 + (low + high) / 2;
    expect(middle).toBeGreaterThanOrEqual(least);
    expect(middle).toBeLessThanOrEqual(most);
  });

  it('cooked grain is two to three times the dry volume, mush a little more (common practice, no source)', () => {
    for (const { id, swells } of GRAINS) {
      expect(swells, id).toBeGreaterThanOrEqual(2);
      expect(swells, id).toBeLessThanOrEqual(id === 'polenta' ? 4 : 3.3);
    }
  });
});
