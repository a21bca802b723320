import { describe, expect, it } from 'vitest';
import { makeDish } from '@/core/dish/technique';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { Evening } from '@/core/live/evening';
import { cookThrough } from '@/core/live/testing/simulate';
import { joinedKey, unitId } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { partsOf } from '@/core/plan/lots';
import type { PlannedStep } from '@/core/plan/plan';
import { seededRandom } from '@/core/schedule/random';
import { planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { asLearned, factorFor, learn, NOTHING_LEARNED, unlearned, unlearnedKitchen } from './lessons';
import { recordsOf, type StepRecord } from './records';

const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'boat')!;
const boat: Meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };

const record = (change: Partial<StepRecord>): StepRecord => ({
  eveningId: 'e',
  step: 'dish/step',
  key: 'dish/step',
  dishId: 'dish',
  dishName: 'Dish',
  name: 'step',
  technique: null,
  kitchenId: 'k',
  person: 'cook',
  boiledOn: null,
  attention: 'hands',
  planned: 10,
  plannedPlain: 10,
  real: 10,
  startedAt: 0,
  endedAt: 0,
  paused: 0,
  ...change,
});

/** Normal numbers by Box and Muller, from a seed. */
function normals(seed: number): () => number {
  const source = seededRandom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - source.next())) * Math.cos(2 * Math.PI * source.next());
}

describe('what records teach', () => {
  it('recovers the cook, the burner and the single step from simulated histories', () => {
    const normal = normals(3);
    const truth = { cook: 1.3, burner: 1.5, onions: 1.2 };
    const records = Array.from({ length: 40 }, (_, evening) => {
      const noisy = (factor: number) => 10 * factor * Math.exp(0.15 * normal());
      return [
        ...['a', 'b', 'c', 'd', 'e', 'f'].map((step) =>
          record({ eveningId: `${evening}`, step, real: noisy(truth.cook) }),
        ),
        record({ eveningId: `${evening}`, step: 'onions', real: noisy(truth.cook * truth.onions) }),
        record({
          eveningId: `${evening}`,
          step: 'boil',
          boiledOn: 'burner:weak',
          person: null,
          real: noisy(truth.burner),
        }),
      ];
    }).flat();
    const lessons = learn(records);
    expect(lessons.hands.get('k/cook')!.factor).toBeCloseTo(truth.cook, 1);
    expect(lessons.burners.get(joinedKey('k', unitId('burner', 'weak')))!.factor / truth.burner).toBeCloseTo(1, 1);
    const onions = lessons.hands.get('k/cook')!.factor * lessons.steps.get('onions')!.factor;
    expect(onions / (truth.cook * truth.onions)).toBeCloseTo(1, 1);
  });

  it('believes little after one time and more after many, and says how sure it is', () => {
    const slow = (times: number) => learn(Array.from({ length: times }, () => record({ real: 20, boiledOn: 'b' })));
    const [one, many] = [slow(1), slow(20)].map((lessons) => lessons.burners.get('k/b')!);
    expect(one!.factor).toBeLessThan(many!.factor);
    expect(many!.factor).toBeCloseTo(2, 1);
    expect(one!.high / one!.low).toBeGreaterThan(many!.high / many!.low);
    expect(many!.times).toBe(20);
  });

  it('leaves out what is absurd, and what lies far from the others', () => {
    const usual = Array.from({ length: 8 }, (_, k) => record({ real: 10 + (k % 3), boiledOn: 'b' }));
    const clean = learn(usual).burners.get('k/b')!;
    for (const real of [200, 0.5, 35]) {
      const lesson = learn([...usual, record({ real, boiledOn: 'b' })]).burners.get('k/b')!;
      expect(lesson.factor, String(real)).toBeCloseTo(clean.factor, 6);
      expect(lesson.times).toBe(8);
    }
  });

  it('changes a meal only where enough was seen, says from how often, and nothing when nothing was', () => {
    expect(asLearned(boat, NOTHING_LEARNED)).toEqual(boat);
    const step = 'fennel/shave';
    const slow = (times: number) =>
      learn(Array.from({ length: times }, () => record({ step, kitchenId: 'boat', real: 16 })));
    const dish = boat.dishes.find(({ id }) => id === 'fennel')!;
    expect(factorFor(slow(1), boat, dish, dish.steps[0]!)).toBeNull();
    const learned = asLearned(boat, slow(4)).dishes.find(({ id }) => id === 'fennel')!.steps[0]!;
    expect(learned.learned!.times).toBe(4);
    expect(learned.minutes.likely).toBeGreaterThan(dish.steps[0]!.minutes.likely);
    expect(learned.minutes.shortest).toBeLessThanOrEqual(learned.minutes.likely);
    // What was learned once is not learned from again, and is taken out before anything is stored.
    const once = asLearned(boat, slow(4));
    expect(asLearned(once, slow(4))).toEqual(once);
    expect(once.dishes.map(unlearned)).toEqual(boat.dishes);
    expect(
      unlearnedKitchen({ ...boat.kitchen, burners: boat.kitchen.burners.map((each) => ({ ...each, learned: 2 })) }),
    ).toEqual(boat.kitchen);
  });
});

describe('minutes that safety asks for', () => {
  const beans = makeDish(
    techniqueOf('pulses-soaked'),
    { id: 'beans', name: 'Beans', servings: 4 },
    { ways: { which: 'kidney' } },
  );
  const meal = { ...boat, dishes: [beans] };

  it('are not learned away by hasty presses, however many, nor by a brisk pace', () => {
    for (const times of [3, 20]) {
      const hasty = learn(
        Array.from({ length: times }, () =>
          record({
            step: 'beans/rolling',
            dishId: 'beans',
            kitchenId: 'boat',
            planned: 30,
            plannedPlain: 30,
            real: 12,
          }),
        ),
      );
      const known = asLearned(meal, hasty);
      const rolling = known.dishes[0]!.steps.find(({ id }) => id === 'rolling')!;
      expect(rolling.minutes.shortest, String(times)).toBe(30);
      expect(rolling.minutes.likely).toBeGreaterThanOrEqual(30);
      const [part] = partsOf({ ...known, pace: 'brisk' }).parts.get('beans/rolling')!;
      expect(part!.minutes.shortest).toBeGreaterThanOrEqual(30);
    }
  });

  it('are a floor in a plan even where a step is written with fewer', () => {
    const written = {
      ...beans,
      steps: beans.steps.map((step) =>
        step.id === 'rolling' ? { ...step, minutes: { shortest: 5, likely: 8, longest: 10 } } : step,
      ),
    };
    const [part] = partsOf({ ...boat, dishes: [written] }).parts.get('beans/rolling')!;
    expect(part!.minutes).toEqual({ shortest: 30, likely: 30, longest: 30 });
  });
});

describe('eight evenings on a slow stove', () => {
  it('bring the plan’s mean error a step down to less than half', async () => {
    const normal = normals(11);
    const slow = { hands: 1.35, boil: 1.5, simmer: 1.15 };
    const evenings: Evening[] = [];
    const errors: number[] = [];
    for (let count = 0; count < 9; count++) {
      const meal = asLearned(boat, learn(evenings.flatMap(recordsOf)));
      const plan = await planned(meal, 3, 6);
      const tableAt = Date.UTC(2026, 10, 28 + count, 19, 0);
      const { session } = await cookThrough({
        meal,
        plan,
        tableAt,
        glance: () => 0.25,
        truth: truthIn(meal, slow, normal),
      });
      const evening: Evening = { ...session, id: `evening ${count}`, mealId: meal.id, over: true };
      const records = recordsOf(evening);
      expect(records.length).toBeGreaterThan(12);
      evenings.push(evening);
      errors.push(records.reduce((sum, { planned: was, real }) => sum + Math.abs(real - was), 0) / records.length);
    }
    expect(errors[8]! / errors[0]!, errors.map((error) => error.toFixed(2)).join(' ')).toBeLessThan(0.5);
  }, 120_000);
});

/** Minutes as this stove and these hands really take, whatever the plan has learned by then. */
function truthIn(meal: Meal, slow: { hands: number; boil: number; simmer: number }, normal: () => number) {
  return ({ key, dishId, minutes, attention, station }: PlannedStep) => {
    const dish = meal.dishes.find(({ id }) => id === dishId)!;
    const step = dish.steps.find(({ id }) => `${dishId}/${id}` === key.replace(/\.\d+$/, ''));
    if (!step || station.sort === 'shelf') return minutes;
    const boils = step.grows.by === 'boil';
    const burner = meal.kitchen.burners.find(({ id }) => station.id === `burner:${id}`);
    const plain = minutes / (boils ? (burner?.learned ?? 1) : (step.learned?.factor ?? 1));
    const factor = boils ? slow.boil : attention === 'hands' ? slow.hands : slow.simmer;
    return plain * factor * Math.exp(0.05 * normal());
  };
}
