import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { beginDraft, dishOf } from '@/core/dish/draft-dish';
import { sourcesOf, withSource, withWay } from '@/core/dish/draft-parts';
import { MAIN } from '@/core/dish/made';
import { SHELF } from '@/core/dish/shelf';
import { techniqueOf } from '@/core/dish/techniques/all';
import { checkMeal } from '@/core/meal/check';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen, twoBurners } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import type { Plan } from './plan';
import { planMeal } from './plan-meal';

const MAINS = ['layered', 'turned-out', 'meat-pilaf', 'sauce-grain', 'broth-grain', 'coconut-pulses'];
const SIDES = SHELF.filter(({ made }) =>
  ['relish', 'salad', 'salt-drained', 'yogurt-side', 'pickle', 'greens', 'roast-vegetables'].includes(made!.technique),
);

/** A dish as a cook would press it together: any way of each choice, and what can be made for it made or bought. */
const pressed = fc
  .record({
    main: fc.constantFrom(...MAINS),
    ways: fc.array(fc.nat(5), { minLength: 10, maxLength: 10 }),
    sources: fc.array(fc.nat(6), { minLength: 12, maxLength: 12 }),
    servings: fc.integer({ min: 2, max: 12 }),
  })
  .map(({ main, ways, sources, servings }): Dish => {
    const technique = techniqueOf(main);
    const chosen = technique.choices.reduce(
      (draft, choice, k) => withWay(draft, MAIN, choice, choice.ways[ways[k]! % choice.ways.length]!.id),
      { ...beginDraft(technique, 'pressed', servings), name: 'Pressed together' },
    );
    const made = technique.slots.reduce((draft, slot, k) => {
      const all = sourcesOf(draft, MAIN, slot);
      // Half of them are left as they stand.
      return sources[k]! % 2 === 0 ? draft : withSource(draft, MAIN, slot, all[sources[k]! % all.length]!);
    }, chosen);
    return dishOf(made);
  });

function startOf(plan: Plan, id: string): number | undefined {
  const own = plan.steps.filter(({ stepId, kind }) => stepId === id && kind === 'step');
  return own.length > 0 ? Math.min(...own.map(({ start }) => start)) : undefined;
}

function endOf(plan: Plan, id: string): number | undefined {
  const own = plan.steps.filter(({ stepId, kind }) => stepId === id && kind === 'step');
  return own.length > 0 ? Math.max(...own.map(({ end }) => end)) : undefined;
}

describe('dishes whose parts meet, in a meal', () => {
  it('keep what is handed over in order and in time, whatever was pressed, for few and many, on two burners and on four', async () => {
    let planned = 0;
    await fc.assert(
      fc.asyncProperty(
        pressed,
        fc.uniqueArray(fc.constantFrom(...SIDES), { maxLength: 2 }),
        fc.constantFrom(twoBurners, largeKitchen),
        fc.integer({ min: 2, max: 12 }),
        async (dish, sides, kitchen, people) => {
          const meal = mealOf([dish, ...sides], { people, kitchen, hour: '20:00' });
          expect(checkMeal(meal)).toEqual([]);
          const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 4, rounds: 2, explain: false } });
          if (!result.ok) return;
          planned++;
          for (const take of dish.takes) {
            const give = dish.gives.find(({ product }) => product === take.product);
            if (!give) continue;
            const there = endOf(result.plan, give.step)!;
            const taken = startOf(result.plan, take.step)!;
            expect(taken, `${take.product} into ${take.step}`).toBeGreaterThanOrEqual(there);
            if (take.withinMinutes !== null) {
              expect(taken - there, `${take.product} into ${take.step}`).toBeLessThanOrEqual(take.withinMinutes);
            }
          }
          // Drained grain clumps: it is laid in at once.
          const poured = endOf(result.plan, 'pour');
          const laid = startOf(result.plan, 'layer');
          if (poured !== undefined && laid !== undefined) expect(laid - poured).toBeLessThanOrEqual(10);
        },
      ),
      // The same meals each time: how many of them can be planned is counted.
      { numRuns: 25, seed: 5 },
    );
    // One cook with two burners cannot do everything; most of it can be done.
    expect(planned).toBeGreaterThanOrEqual(18);
  });
});
