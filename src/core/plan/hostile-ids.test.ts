import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';
import { cookThrough } from '@/core/live/testing/simulate';
import { recordsOf } from '@/core/log/records';
import { findingsOf } from '@/core/safety/findings';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';

/** A dish whose ids are given anew, everywhere. */
function withIds(dish: Dish, idOf: (id: string) => string): Dish {
  return {
    ...dish,
    steps: dish.steps.map((step) => ({ ...step, id: idOf(step.id) })),
    links: dish.links.map((link) => ({ ...link, from: idOf(link.from), to: idOf(link.to) })),
    vessels: dish.vessels.map((use) => ({ ...use, from: idOf(use.from), to: idOf(use.to) })),
    gives: dish.gives.map((give) => ({ ...give, step: idOf(give.step) })),
    takes: dish.takes.map((take) => ({ ...take, step: idOf(take.step) })),
    lands: dish.lands && { ...dish.lands, step: idOf(dish.lands.step) },
  };
}

const made = (technique: string, id: string, ways: Record<string, string> = {}) =>
  makeDish(techniqueOf(technique), { id, name: `${technique} ${id}`, servings: 4 }, { ways });

const kitchen = { ...largeKitchen, people: largeKitchen.people.slice(0, 1) };

describe('a meal whose ids are full of signs', () => {
  // A step "brown.2" beside a step "brown" of several batches; slashes, blanks and the ending of a warm-up.
  const odd: Readonly<Record<string, string>> = { trim: 'trim.2', onions: 'brown.1', brown: 'brown', cut: 'x~warm' };
  const dishes = (idOf: (id: string) => string, dishId: (id: string) => string) => [
    withIds(made('braise', dishId('one'), { animal: 'poultry' }), idOf),
    withIds(made('roast-vegetables', dishId('two')), idOf),
  ];
  const plain = dishes(
    (id) => id,
    (id) => id,
  );
  const hostile = dishes(
    (id) => odd[id] ?? `${id}/1`,
    (id) => `${id}/a.1 ~warm`,
  );

  it('is planned, found fault with, cooked and remembered as with plain ids', async () => {
    const meals = [plain, hostile].map((list) => mealOf(list, { people: 12, kitchen, hour: '20:00' }));
    const [a, b] = await Promise.all(meals.map((meal) => planned(meal)));
    expect(b!.steps.length).toBe(a!.steps.length);
    expect(b!.cost).toBe(a!.cost);
    expect(new Set(b!.steps.map(({ key }) => key)).size).toBe(b!.steps.length);
    const kinds = (index: number) =>
      findingsOf(meals[index]!, [a!, b!][index]!).map(({ id, weight }) => [id.split(' ')[0], weight]);
    expect(kinds(1)).toEqual(kinds(0));
    expect(b!.landings.map(({ ready }) => ready)).toEqual(a!.landings.map(({ ready }) => ready));
    const tableAt = Date.UTC(2026, 10, 28, 20);
    const cooked = await Promise.all(
      meals.map((meal, index) =>
        cookThrough({ meal, plan: [a!, b!][index]!, tableAt, truth: ({ minutes }) => minutes, glance: () => 2 }),
      ),
    );
    const records = cooked.map(({ session }, index) =>
      recordsOf({ ...session, mealId: 'm', over: true, meal: meals[index]! }).map(({ name, real }) => [
        name,
        Math.round(real),
      ]),
    );
    expect(records[1]).toEqual(records[0]);
    expect(records[0]!.length).toBeGreaterThan(5);
  });
});
