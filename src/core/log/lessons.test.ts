import { describe, expect, it } from 'vitest';
import type { Step } from '@/core/dish/dish';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { Evening } from '@/core/live/evening';
import { cookThrough } from '@/core/live/testing/simulate';
import { joinedKey, unitId } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { compile } from '@/core/plan/compile';
import { partsOf } from '@/core/plan/lots';
import type { PlannedStep } from '@/core/plan/plan';
import { quantile } from '@/core/risk/duration';
import { seededRandom } from '@/core/schedule/random';
import { planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { asLearned, knownOf, learn, NOTHING_LEARNED, unlearned, unlearnedKitchen, wideningOf } from './lessons';
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

  it('asks four of a step before one of them lies far from the others, and then beyond a doubling', () => {
    const times = (reals: readonly number[]) =>
      learn(reals.map((real) => record({ real, boiledOn: 'b' }))).burners.get('k/b')!.times;
    expect(times([10, 10, 25])).toBe(3);
    expect(times([10, 10, 10, 25])).toBe(3);
    expect(times([10, 10, 10, 20])).toBe(4);
    expect(times([10, 10, 10, 20.1])).toBe(3);
    // Where the others vary, so may it: 3.5 deviations of theirs (median absolute deviation over 0.6745).
    expect(times([6, 8, 12, 16, 25])).toBe(5);
    // Four times longer or shorter is another thing altogether, alone too.
    expect(times([40])).toBe(1);
    expect(learn([record({ real: 40.1, boiledOn: 'b' })]).burners.size).toBe(0);
    expect(times([2.5])).toBe(1);
    expect(learn([record({ real: 2.4, boiledOn: 'b' })]).burners.size).toBe(0);
    // Nothing that took no time, or was planned to take none.
    expect(learn([record({ real: 0, boiledOn: 'b' }), record({ plannedPlain: 0, boiledOn: 'b' })]).burners.size).toBe(
      0,
    );
  });

  it('is used from the second time on, from the fourth where only hands or technique are known, and from a twentieth off', () => {
    const dish = boat.dishes.find(({ id }) => id === 'fennel')!;
    const [step] = dish.steps;
    const lesson = (times: number, factor: number) => ({
      factor,
      low: factor,
      high: factor,
      times,
      scatter: 0.1 * times,
    });
    const known = (lessons: Partial<typeof NOTHING_LEARNED>) =>
      knownOf({ ...NOTHING_LEARNED, ...lessons }, boat, dish, step!);
    const own = (times: number, factor: number) =>
      known({ steps: new Map([[`fennel/${step!.id}`, lesson(times, factor)]]) });
    expect(own(1, 1.5)).toBeNull();
    expect(own(2, 1.5)).toMatchObject({ factor: 1.5, times: 2 });
    const [cook] = boat.kitchen.people;
    const hands = (times: number, factor: number) =>
      known({ hands: new Map([[joinedKey(boat.kitchen.id, cook!.id), lesson(times, factor)]]) });
    expect(hands(3, 1.5)).toBeNull();
    expect(hands(4, 1.5)).toMatchObject({ factor: expect.closeTo(1.5, 9), widening: 1, times: 2 });
    expect(hands(4, 1.04)).toBeNull();
    expect(hands(4, 1.06)).toMatchObject({ factor: expect.closeTo(1.06, 9) });
    expect(hands(4, 0.94)).toMatchObject({ factor: expect.closeTo(0.94, 9) });
    // A boil goes by its burner.
    const boil = { ...step!, grows: { by: 'boil' } as Step['grows'] };
    const often = { ...NOTHING_LEARNED, steps: new Map([[`fennel/${step!.id}`, lesson(9, 2)]]) };
    expect(knownOf(often, boat, dish, boil)).toBeNull();
    expect(knownOf(often, boat, dish, step!)).not.toBeNull();
  });

  it('changes a meal only where enough was seen, says from how often, and nothing when nothing was', () => {
    expect(asLearned(boat, NOTHING_LEARNED)).toEqual(boat);
    const step = 'fennel/shave';
    const slow = (times: number) =>
      learn(Array.from({ length: times }, () => record({ step, kitchenId: 'boat', real: 16 })));
    const dish = boat.dishes.find(({ id }) => id === 'fennel')!;
    expect(knownOf(slow(1), boat, dish, dish.steps[0]!)).toBeNull();
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

describe('how far minutes may stray', () => {
  const range = { shortest: 8, likely: 10, longest: 18 };
  const step = 'fennel/shave';
  const told = (reals: readonly number[]) =>
    learn(
      reals.map((real) => record({ step, kitchenId: 'boat', plannedPlain: range.likely, planned: range.likely, real })),
    );
  const dishes = boat.dishes.map((each) =>
    each.id === 'fennel'
      ? { ...each, steps: each.steps.map((one) => (one.id === 'shave' ? { ...one, minutes: range } : one)) }
      : each,
  );
  const widthAfter = (reals: readonly number[]) => {
    const { minutes } = asLearned({ ...boat, dishes }, told(reals))
      .dishes.find(({ id }) => id === 'fennel')!
      .steps.find(({ id }) => id === 'shave')!;
    return (minutes.longest - minutes.shortest) / minutes.likely;
  };
  const written = (range.longest - range.shortest) / range.likely;

  it('is narrower the more evenings were alike, wider where they were not, and as written before any', () => {
    expect(widthAfter([])).toBe(written);
    const [few, some, many] = [3, 8, 40].map((times) => widthAfter(Array.from({ length: times }, () => 11)));
    expect(few).toBeLessThan(written);
    expect(some).toBeLessThan(few!);
    expect(many).toBeLessThan(some!);
    expect(many).toBeLessThan(written / 2);
    const wild = Array.from({ length: 12 }, (_, k) => (k % 2 === 0 ? 6 : 22));
    expect(widthAfter(wild)).toBeGreaterThan(written);
  });

  it('stays about as it was where evenings vary as it says', () => {
    const drawn = Array.from({ length: 200 }, (_, k) => quantile(8, 10, 18, (((k * 73) % 200) + 0.5) / 200));
    const scatterOf = (reals: readonly number[]) => {
      const logs = reals.map((real) => Math.log(real / 10));
      const mean = logs.reduce((sum, y) => sum + y, 0) / logs.length;
      return { times: reals.length, scatter: logs.reduce((sum, y) => sum + (y - mean) ** 2, 0) };
    };
    const { scatter, times } = scatterOf(drawn);
    expect(wideningOf({ scatter, times }, Math.sqrt(scatter / times))).toBeCloseTo(1, 1);
    expect(wideningOf({ scatter: 0, times: 0 }, 0.3)).toBeCloseTo(1, 9);
    expect(wideningOf({ scatter: 9, times: 3 }, 0)).toBe(1);
  });

  it('leaves less room in the plan, and is taken out with the rest before anything is stored', async () => {
    const meal = { ...boat, dishes, sureness: 'even' as const };
    const learned = asLearned(meal, told(Array.from({ length: 12 }, () => 10)));
    expect(learned.dishes.map(unlearned)).toEqual(dishes);
    const roomOf = (each: Meal) => {
      const compiled = compile(each);
      if (!compiled.ok) throw new Error('The sample compiles.');
      return compiled.room.get(step) ?? 0;
    };
    expect(roomOf(learned)).toBeLessThan(roomOf(meal));
    // What a cook has rewritten since is no lesson to be taken out.
    const again = learned.dishes.map((each) => ({
      ...each,
      steps: each.steps.map((one) =>
        one.learned ? { ...one, minutes: { shortest: 3, likely: 30, longest: 60 } } : one,
      ),
    }));
    expect(again.map(unlearned).find(({ id }) => id === 'fennel')!.steps[0]!.minutes.likely).toBe(30);
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
      const plan = await planned(meal, 1, 3);
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
  }, 300_000);
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
