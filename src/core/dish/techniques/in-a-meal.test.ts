import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { aheadPoints, madeAhead } from '@/core/meal/ahead';
import { checkMeal } from '@/core/meal/check';
import { sharedOut } from '@/core/meal/share-out';
import { compile } from '@/core/plan/compile';
import { planMeal } from '@/core/plan/plan-meal';
import { findingsOf } from '@/core/safety/findings';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { checkDish } from '../check';
import { scaleDish } from '../scale';

const solving = { ...TEST_CLOCK, seconds: 8, rounds: 1, explain: false };
const three = fc.uniqueArray(fc.nat(SHELF.length - 1), { minLength: 3, maxLength: 3 });

describe('dishes of the shelf in one meal', () => {
  it('are planned together, whichever three and for however many, without two things at once anywhere', async () => {
    await fc.assert(
      fc.asyncProperty(three, fc.integer({ min: 1, max: 40 }), async (which, people) => {
        const meal = mealOf(
          which.map((k) => SHELF[k]!),
          { people, kitchen: largeKitchen, hour: '20:00' },
        );
        expect(checkMeal(meal)).toEqual([]);
        const result = await planMeal(meal, { solve: solving });
        if (!result.ok) throw new Error(result.refusals[0]?.sentence);
        const { steps, hands } = result.plan;
        for (const { busy } of hands) {
          const row = [...busy].sort((a, b) => a.start - b.start);
          for (const [k, stretch] of row.slice(1).entries()) expect(stretch.start).toBeGreaterThanOrEqual(row[k]!.end);
        }
        const hot = steps.filter(({ station }) => station.sort === 'burner');
        for (const a of hot) {
          for (const b of hot) {
            if (a === b || a.station.id !== b.station.id) continue;
            expect(a.end <= b.start || b.end <= a.start, `${a.key} and ${b.key}`).toBe(true);
          }
        }
        // Nothing of our own is unsafe as it stands.
        expect(findingsOf(meal, result.plan).filter(({ weight }) => weight === 'hard')).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
});

describe.each(SHELF.map((dish) => [dish.name, dish] as const))('%s', (_, dish) => {
  it('scales without losing an ingredient or a step', () => {
    for (const people of [1, 7, 40]) {
      const scaled = scaleDish(dish, people);
      expect(checkDish(scaled)).toEqual([]);
      expect(scaled.ingredients.map(({ id }) => id)).toEqual(dish.ingredients.map(({ id }) => id));
      expect(scaled.steps).toHaveLength(dish.steps.length);
      for (const item of scaled.ingredients) expect(item.amount.quantity).toBeGreaterThan(0);
    }
  });

  it('made the day before, or shared out between two pots, is sound and compiles', () => {
    const others = [
      ...aheadPoints(dish).map(({ steps }) => madeAhead(dish, steps)),
      ...dish.vessels.flatMap((use) => sharedOut(dish, use) ?? []),
    ];
    for (const other of others) {
      expect(checkDish(other)).toEqual([]);
      const compiled = compile(mealOf([other], { people: 8, kitchen: largeKitchen, hour: '20:00' }));
      expect(compiled.ok).toBe(true);
    }
  });
});
