import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { liveSteps } from '@/core/live/session';
import { planned } from '@/core/testing/meals';
import { checkBackup, isBackup } from './backup-file';
import { MEAL_VERSION, mealOf, readMealFile } from './meal-file';

// Files that older states of the app really wrote: the meal of the boat, as it was saved at commits 42bec21 and 4ded7c8 (version 1), b350728
// (version 2, with a plan, pins, joined board work and half an evening) and 59e03fe (version 3), and a backup of b350728. They are never made
// anew: what was written once must be read for ever.
const fixture = (name: string) => readFileSync(new URL(`./fixtures/${name}.json`, import.meta.url), 'utf8');

describe('a file of an older version', () => {
  it.each(['meal-1-first', 'meal-1-last', 'meal-2', 'meal-3-first'])(
    '%s is read whole, and can be planned',
    async (name) => {
      const text = fixture(name);
      const old = JSON.parse(text);
      const read = readMealFile(text);
      if (!read.ok) throw new Error(read.sentence);
      const { version, meal, dishes, kitchen } = read.value;
      expect(version).toBe(MEAL_VERSION);
      expect([meal.id, meal.people, dishes.length, kitchen.burners.length]).toEqual([
        'boat',
        old.meal.people,
        old.dishes.length,
        old.kitchen.burners.length,
      ]);
      for (const [index, dish] of dishes.entries()) {
        expect(dish.steps.map(({ id, says }) => [id, says])).toEqual(
          old.dishes[index].steps.map(({ id, says }: { id: string; says: string }) => [id, says]),
        );
      }
      const plan = await planned(mealOf(read.value), 1);
      expect(plan.landings).toHaveLength(dishes.filter(({ lands }) => lands).length);
    },
  );

  it('of version 2 keeps its pins, its joined work, its plan and its evening, each about a step that there is', () => {
    const old = JSON.parse(fixture('meal-2'));
    const read = readMealFile(fixture('meal-2'));
    if (!read.ok) throw new Error(read.sentence);
    const { meal, plan, log } = read.value;
    const keys = new Set(plan!.steps.map(({ key }) => key));
    expect(plan!.steps).toHaveLength(old.plan.steps.length);
    for (const { stepId, key } of plan!.steps) expect([stepId !== '', keys.has(key)]).toEqual([true, true]);
    for (const { key } of meal.pins!) expect(keys).toContain(key);
    for (const key of meal.together!.flat()) expect([...keys].some((each) => each.startsWith(key))).toBe(true);
    const [evening] = log!;
    expect(evening!.events).toHaveLength(old.log[0].events.length);
    const steps = liveSteps(evening!, evening!.events.at(-1)!.at);
    expect(steps.filter(({ status }) => status === 'done').length).toBeGreaterThanOrEqual(9);
    expect(steps.some(({ status }) => status === 'running')).toBe(true);
  });
});

describe('a backup of an older version', () => {
  it('is read with every record', () => {
    const old = JSON.parse(fixture('backup-2'));
    const read = checkBackup(old);
    if (!read.ok) throw new Error(read.sentence);
    const count = (rows: unknown) => (rows as readonly unknown[]).length;
    for (const table of [
      'kitchens',
      'dishes',
      'meals',
      'evenings',
      'measures',
      'larder',
      'errands',
      'settings',
      'photos',
    ] as const)
      expect([table, count(read.value[table])]).toEqual([table, count(old[table])]);
    expect(read.value.foods).toEqual([]);
  });
});

describe('a backup that does not hold together', () => {
  const read = checkBackup(JSON.parse(fixture('backup-2')));
  if (!read.ok) throw new Error(read.sentence);
  const whole = read.value;
  const [kitchen] = whole.kitchens;
  const [dish] = whole.dishes;

  it.each([
    [
      'a meal in a kitchen that is not there',
      { kitchens: [] },
      'meals, "boat", kitchenId: there is no kitchen "boat" in this backup.',
    ],
    [
      'two kitchens of one id',
      { kitchens: [...whole.kitchens, kitchen!] },
      'kitchens, "boat": this stands twice; each needs its own.',
    ],
    [
      'a kitchen without anyone to cook',
      { kitchens: [{ ...kitchen!, people: [] }, ...whole.kitchens.slice(1)] },
      'kitchens, "boat", people: this needs at least 1.',
    ],
    [
      'a dish whose link goes nowhere',
      {
        dishes: [
          { ...dish!, links: [{ from: 'x', to: 'y', at: 'end', of: 'start', min: 0, max: null }] },
          ...whole.dishes.slice(1),
        ],
      },
      'Spiced chickpeas, link from "x" to "y": There is no step "x" in this dish.',
    ],
    ['no number for a version', { version: 'one' }, 'version: this must be 3; found "one".'],
  ])('%s is refused in a sentence that names it', (_, change, sentence) => {
    const found = checkBackup({ ...whole, ...change });
    expect(found).toEqual({ ok: false, sentence });
  });

  it('is told from other files by what it says of itself', () => {
    expect([whole, { format: 'warm-cadence/meal' }, null, undefined, 7, 'text'].map(isBackup)).toEqual([
      true,
      false,
      false,
      false,
      false,
      false,
    ]);
  });
});
