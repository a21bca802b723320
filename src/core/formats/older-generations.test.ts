import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { readBackup } from '@/core/formats/backup-file';
import { partKey, stepKey, unitId } from '@/core/meal/keys';
import { plainGrain, planned, mealOf as testMeal } from '@/core/testing/meals';
import { readMealFile } from './meal-file';

/** A dish whose ids have signs with a meaning; what is written of it is as version 2 wrote it. */
const odd: Dish = {
  ...plainGrain(),
  id: 'my/grain',
  steps: plainGrain().steps.map((step) => (step.id === 'wash' ? { ...step, id: 'wash.2' } : step)),
  links: plainGrain().links.map((link) => (link.from === 'wash' ? { ...link, from: 'wash.2' } : link)),
  lands: { step: 'rest', waits: { served: 'hot', wellMinutes: 10, mostMinutes: 20, how: 'uncovered, in its pot' } },
};

/** A plan as version 2 kept it: keys without escapes, steps that do not say which they are. */
async function oldPlan() {
  const plan = await planned(testMeal([odd]));
  const text = JSON.stringify(plan)
    .replaceAll(stepKey('my/grain', 'wash.2'), 'my/grain/wash.2')
    .replaceAll('my%2fgrain', 'my/grain');
  const old = JSON.parse(text);
  for (const step of old.steps) {
    delete step.stepId;
    delete step.kind;
  }
  return old;
}

const setting = () => {
  const { kitchen: _, dishes: __, ...rest } = testMeal([odd]);
  return {
    ...rest,
    pins: [
      { key: 'my/grain/wash.2', start: -70 },
      { key: 'vessel my/grain/pot', unit: 'vessel:pot#1' },
    ],
    together: [['my/grain/wash.2', 'my/grain/boil']],
  };
};

describe('what version 2 wrote', () => {
  it('of a meal has its pins, its plan and its evenings by keys of today', async () => {
    const { kitchen } = testMeal([odd]);
    const plan = await oldPlan();
    const evening = {
      id: 'e',
      mealId: 'meal',
      meal: { ...setting(), kitchen, dishes: [odd] },
      tableAt: 1_780_000_000_000,
      plan,
      events: [
        { id: '1', at: 1, kind: 'begun', key: 'my/grain/wash.2' },
        { id: '2', at: 2, kind: 'moved', key: 'my/grain/boil', unit: 'burner:small' },
      ],
      moved: '',
      over: true,
    };
    const file = {
      format: 'warm-cadence/meal',
      version: 2,
      meal: setting(),
      kitchen,
      dishes: [odd],
      plan,
      log: [evening],
    };
    const read = readMealFile(JSON.stringify(file));
    if (!read.ok) throw new Error(read.sentence);
    const { meal, plan: now, log, dishes } = read.value;
    const wash = stepKey('my/grain', 'wash.2');
    expect(meal.pins?.map(({ key }) => key)).toEqual([wash, 'vessel my%2fgrain/pot']);
    expect(meal.together).toEqual([[wash, stepKey('my/grain', 'boil')]]);
    expect(now).toEqual(await planned(testMeal([odd])));
    expect(now!.steps.find(({ key }) => key === wash)).toMatchObject({ stepId: 'wash.2', kind: 'step' });
    expect(log![0]!.events.map((event) => ('key' in event ? event.key : ''))).toEqual([
      wash,
      stepKey('my/grain', 'boil'),
    ]);
    // How its pot stands was in words only.
    expect(dishes[0]!.lands?.waits.standing).toBe('open');
    expect(log![0]!.meal.dishes[0]!.lands?.waits.standing).toBe('open');
  });

  it('of a whole browser too, ticks of lists among it, and no food was asked about yet', () => {
    const { kitchen } = testMeal([odd]);
    const backup = {
      format: 'warm-cadence/backup',
      version: 2,
      savedAt: 1,
      kitchens: [{ ...kitchen, burners: kitchen.burners.map((each, k) => (k === 0 ? { ...each, id: 'a:b' } : each)) }],
      dishes: [odd],
      meals: [
        {
          ...setting(),
          pins: [{ key: 'my/grain/boil.1', unit: 'burner:a:b' }],
          kitchenId: kitchen.id,
          dishIds: [odd.id],
          changedAt: 1,
        },
      ],
      evenings: [],
      measures: [],
      larder: [],
      errands: [{ id: 'x', mealId: 'meal', key: 'my/grain/millet', state: 'laid out' }],
      settings: [],
      photos: [],
    };
    const read = readBackup(JSON.stringify(backup));
    if (!read.ok) throw new Error(read.sentence);
    expect(read.value.meals[0]!.pins).toEqual([
      { key: partKey('my/grain', 'boil', 1, 2), unit: unitId('burner', 'a:b') },
    ]);
    expect(read.value.errands[0]!.key).toBe('my%2fgrain/millet');
    expect(read.value.foods).toEqual([]);
    expect(read.value.dishes[0]!.lands?.waits.standing).toBe('open');
  });

  it('that is broken is refused with its field, not with an exception', () => {
    for (const spoilt of [
      { dishes: 5 },
      { dishes: [null] },
      { log: {} },
      { log: [null] },
      { plan: 'x' },
      { kitchen: null },
      { meal: 3 },
    ]) {
      const { kitchen } = testMeal([odd]);
      const file = { format: 'warm-cadence/meal', version: 2, meal: setting(), kitchen, dishes: [odd], ...spoilt };
      const read = readMealFile(JSON.stringify(file));
      expect(read.ok).toBe(false);
    }
  });
});
