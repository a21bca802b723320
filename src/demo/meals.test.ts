import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { scaleDish } from '@/core/dish/scale';
import { checkMeal } from '@/core/meal/check';
import { SAMPLE_MEALS } from './meals';

/** What a good cook would look for in any written dish. Common practice, no source. */
describe.each(SAMPLE_MEALS.map((sample) => [sample.setting.name, sample] as const))('%s', (_, sample) => {
  const { dishes, kitchen, setting } = sample;

  it('can be cooked in its kitchen for its people', () => {
    expect(checkMeal({ ...setting, day: '2026-11-28', kitchen, dishes })).toEqual([]);
    for (const dish of dishes) expect(checkDish(dish)).toEqual([]);
  });

  it('uses each ingredient in some step, and says of each step what to do', () => {
    for (const dish of dishes) {
      const used = new Set(dish.steps.flatMap((step) => step.uses));
      const unused = dish.ingredients.filter(({ id }) => !used.has(id)).map(({ name }) => name);
      expect(unused, dish.name).toEqual([]);
      for (const step of dish.steps) expect(step.says, `${dish.name}, ${step.name}`).toMatch(/^[A-Z].*[.!]$/s);
    }
  });

  it('tells when a pot is ready, not only when its time is up', () => {
    for (const dish of dishes) {
      for (const step of dish.steps) {
        if (step.place.at === 'burner' || step.place.at === 'oven') {
          expect(step.doneWhen, `${dish.name}, ${step.name}`).not.toBe('');
        }
      }
    }
  });

  it('warns where the work can hurt someone', () => {
    for (const dish of dishes) {
      const hot = dish.steps.some((step) => step.place.at === 'oven' || step.place.at === 'burner');
      const cautions = dish.steps.flatMap((step) => step.cautions);
      if (hot) expect(cautions.length, dish.name).toBeGreaterThan(0);
    }
  });

  it('puts every dish on the table at one moment, or hands it to one that is', () => {
    for (const dish of dishes) {
      const taken = dishes.some((other) =>
        other.takes.some((take) => dish.gives.some((give) => give.product === take.product)),
      );
      expect(dish.lands !== null || taken, dish.name).toBe(true);
    }
  });

  it('grows in its amounts but not in its simmers', () => {
    for (const dish of dishes) {
      const twice = scaleDish(dish, dish.servings * 2);
      dish.ingredients.forEach((item, k) => {
        const factor = twice.ingredients[k]!.amount.quantity / item.amount.quantity;
        if (dish.grain?.liquid.includes(item.id)) {
          // What boils off does not grow.
          expect(factor, `${dish.name}, ${item.name}`).toBeGreaterThan(1.8);
          expect(factor, `${dish.name}, ${item.name}`).toBeLessThan(2);
          return;
        }
        expect(factor, `${dish.name}, ${item.name}`).toBeCloseTo(item.grows ? 2 : 1, 6);
      });
      dish.steps.forEach((step, k) => {
        if (step.grows.by === 'nothing') expect(twice.steps[k]!.minutes).toEqual(step.minutes);
        else expect(twice.steps[k]!.minutes.likely).toBeGreaterThan(step.minutes.likely);
      });
    }
  });

  it('has grain of a weight that people eat: 20 to 130 g of dry grain or pulse a head', () => {
    const grains = /barley|rice|millet|lentil|split pea|chickpea/;
    for (const dish of dishes) {
      for (const { name, amount } of dish.ingredients) {
        if (!grains.test(name) || amount.unit !== 'g') continue;
        const each = amount.quantity / dish.servings;
        expect(each, `${dish.name}, ${name}`).toBeGreaterThanOrEqual(20);
        expect(each, `${dish.name}, ${name}`).toBeLessThanOrEqual(130);
      }
    }
  });
});
