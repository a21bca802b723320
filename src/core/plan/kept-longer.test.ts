import { describe, expect, it } from 'vitest';
import { keptWarm } from '@/core/dish/keep-warm';
import { bare } from '@/core/plain/record';
import { baked, mealOf, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import { keptAsFits } from './kept-longer';

// Three things come out of the oven and are kept warm in it, on its two shelves; they wait well for 5, 15 and 40 minutes.
const waiting = (id: string, wellMinutes: number) => {
  const dish = baked(id, 180, 20);
  const { lands } = dish;
  return keptWarm(
    { ...dish, lands: { ...lands!, waits: { ...lands!.waits, wellMinutes, mostMinutes: 60 } } },
    'oven',
    20,
  );
};
const vessels = smallKitchen.vessels.map((each) => (each.kind === 'tray' ? { ...each, count: 3 } : each));
const meal = mealOf([waiting('long', 40), waiting('short', 5), waiting('middle', 15)], {
  kitchen: { ...smallKitchen, vessels },
});
const NOW = -60;

/** Minutes for which each is kept warm that is ready at these minutes. */
function kept(ready: Readonly<Record<string, number>>, meant: Readonly<Record<string, number>>) {
  const done = new Map(
    meal.dishes.flatMap(({ id, steps }) =>
      steps
        .filter(({ duty }) => duty !== 'keep warm')
        .flatMap(({ id: step }) => [`${id}/${step}`, `${id}/${step}~warm`])
        .map((key) => [key, { start: NOW - 30, end: NOW - 1 }] as const),
    ),
  );
  const keys = meal.dishes.map(({ id, lands }) => [id, `${id}/${lands!.step}`] as const);
  const places = new Map(
    keys.map(([id, key]) => [key, { start: ready[id]!, end: meant[id]!, units: [] as readonly string[] }] as const),
  );
  const options = { progress: { now: NOW, done, running: new Map() }, known: { places, holds: new Map() } };
  const compiled = compile(meal, options);
  if (!compiled.ok) throw new Error('refused');
  const starts = bare<number>();
  const minutesOf = new Map(compiled.likely.steps.map(({ id, minutes }) => [id, minutes]));
  for (const { id } of compiled.likely.steps) starts[id] = 0;
  for (const [id, key] of keys) {
    starts[key] = ready[id]! - NOW;
    starts[`${key}~warm`] = starts[key] - minutesOf.get(`${key}~warm`)!;
  }
  const holds = bare(compiled.likely.holds.map(({ id, units }, index) => [id, units[index]!.id] as const));
  const schedule = { starts, units: bare<readonly string[]>(), holds };
  const found = keptAsFits(meal, compiled, schedule, options);
  return Object.fromEntries(keys.map(([id, key]) => [id, found.get(key) ?? 20]));
}

describe('what is kept warm on fewer shelves than it takes', () => {
  it('stays until shortly before the table where there is room for all', () => {
    // Of what was baked nothing is kept for more than half an hour.
    expect(kept({ long: -40, short: -35, middle: -10 }, { long: -8, short: -8, middle: -8 })).toEqual({
      long: 30,
      short: 30,
      middle: 2,
    });
  });

  it('stays as long as it was meant to where that fits', () => {
    expect(kept({ long: -40, short: -35, middle: -10 }, { long: -12, short: -8, middle: -8 })).toEqual({
      long: 28,
      short: 30,
      middle: 2,
    });
  });

  it('gives its place up where it waits well, not where it does not', () => {
    // The first was meant to stay until 20 minutes before the table, and the last comes 25 before it.
    expect(kept({ long: -40, short: -35, middle: -25 }, { long: -20, short: -15, middle: -5 })).toEqual({
      long: 1,
      short: 30,
      middle: 20,
    });
  });
});
