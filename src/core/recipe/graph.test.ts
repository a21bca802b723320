import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Link } from '@/core/dish/dish';
import { stripOf } from '@/core/dish/strip';
import { follow } from '@/core/dish/write';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import type { ReadStep } from './as-read';
import { dishFrom } from './reading';
import { read } from './testing/score';
import { withKeepableWaits } from './waits-kept';

const POT = dishFrom(
  read(`Leek and barley pot
Serves 4
Ingredients
300 g pearl barley
3 leeks
1 litre hot stock
200 g crème fraîche
Method
Soften the leeks for 8 minutes. Add the barley and toast it for 3 minutes, then pour in the stock and simmer, covered, for 35 minutes.
Meanwhile, whisk the crème fraîche with a little of the hot stock.
Let the pot stand for 10 minutes, stir in the crème fraîche and serve at once.`),
  'pot',
);

describe('what is mixed beside a pot, and both served at once', () => {
  it('waits for the pot: the dish can be cooked', async () => {
    const meal = mealOf([POT], { people: 4, kitchen: largeKitchen, hour: '20:00' });
    const planned = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 5, rounds: 1 } });
    if (!planned.ok) throw new Error(planned.refusals[0]?.sentence);
    expect(planned.plan.landings[0]?.late).toBe(0);
  });

  it('and by itself every step comes after those that it follows', () => {
    const strip = stripOf(POT);
    const of = (id: string) => strip.find(({ step }) => step.id === id)!;
    for (const { from, to } of POT.links)
      expect(of(to).start, `${from} before ${to}`).toBeGreaterThanOrEqual(of(from).end);
  });

  it('what comes from the heat does not wait', () => {
    const [stand, serve] = POT.steps.slice(-2);
    expect(POT.links.find(({ from, to }) => from === stand!.id && to === serve!.id)!.max).toBe(2);
  });
});

describe('waits', () => {
  const step = (k: number, likely: number) =>
    ({ id: `s${k}`, minutes: { shortest: likely, likely, longest: likely } }) as ReadStep;
  /** Whether a plan can keep every least and every longest wait, by the least times that follow from one another. */
  const canBeKept = (steps: readonly ReadStep[], links: readonly Link[]) => {
    const start = new Map(steps.map(({ id }) => [id, 0]));
    const of = (id: string) => steps.find((each) => each.id === id)!.minutes.likely;
    for (let round = 0; round <= steps.length * 2; round++) {
      let moved = false;
      const push = (id: string, to: number) => {
        if (to <= start.get(id)!) return;
        start.set(id, to);
        moved = true;
      };
      for (const { from, to, min, max } of links) {
        push(to, start.get(from)! + of(from) + min);
        if (max !== null) push(from, start.get(to)! - of(from) - max);
      }
      if (!moved) return true;
    }
    return false;
  };
  const graph = fc
    .tuple(
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 5, maxLength: 8 }),
      fc.array(fc.tuple(fc.nat(7), fc.nat(7), fc.option(fc.integer({ min: 0, max: 60 }))), {
        minLength: 8,
        maxLength: 18,
      }),
    )
    .map(([minutes, pairs]) => {
      const steps = minutes.map((each, k) => step(k, each));
      const links = pairs
        .map(([a, b, max]) => [Math.min(a, b), Math.max(a, b), max] as const)
        .filter(([a, b]) => a < b && b < steps.length)
        .map(([a, b, max]) => follow(`s${a}`, `s${b}`, 0, max));
      return { steps, links };
    });

  it('can be kept together, and none is let go where all could be', () => {
    let loosened = 0;
    fc.assert(
      fc.property(graph, ({ steps, links }) => {
        const kept = withKeepableWaits(steps, links);
        expect(canBeKept(steps, kept)).toBe(true);
        if (canBeKept(steps, links)) expect(kept).toEqual(links);
        else loosened++;
        expect(kept.map(({ from, to, min }) => [from, to, min])).toEqual(
          links.map(({ from, to, min }) => [from, to, min]),
        );
      }),
      { numRuns: 300, seed: 5 },
    );
    expect(loosened).toBeGreaterThan(20);
  });

  it('of two that cannot be kept the longer is let go', () => {
    const steps = [step(0, 5), step(1, 40), step(2, 5)];
    const links = [follow('s0', 's1', 0, 2), follow('s0', 's2', 0, 20), follow('s1', 's2', 0, 2)];
    expect(withKeepableWaits(steps, links).map(({ max }) => max)).toEqual([2, null, 2]);
  });
});
