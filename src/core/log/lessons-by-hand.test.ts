import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { joinedKey, unitId } from '@/core/meal/keys';
import { friedGreens, mealOf, plainGrain } from '@/core/testing/meals';
import { mushroomStock } from '@/demo/harvest';
import { asLearned, type Lesson, learn, NOTHING_LEARNED, posterior, unlearned, unlearnedKitchen } from './lessons';
import { type MeasureRecord, yieldKey } from './records';

// What lessons do to a meal, and what is undone of it, worked out once more.

const lesson = (factor: number, times: number): Lesson => ({ factor, low: factor, high: factor, times, scatter: 0 });
const measured = (real: number, thoughtPlain = 1000, key = 'k'): MeasureRecord => ({
  key,
  dishId: 'stock',
  dishName: 'Stock',
  name: 'stock',
  thought: thoughtPlain,
  thoughtPlain,
  real,
});

describe('how much of a liquid there is', () => {
  it('is drawn from what is written towards what was measured: by its noise and its spread', () => {
    const one = learn([], [measured(1300)]).yields.get('k')!;
    // Conjugate normal with noise 0.08 and spread 0.3: mean = sum/noise² / (n/noise² + 1/spread²).
    const mean = Math.log(1.3) / 0.08 ** 2 / (1 / 0.08 ** 2 + 1 / 0.3 ** 2);
    expect(one.factor).toBeCloseTo(Math.exp(mean), 9);
    expect(one.times).toBe(1);
    const two = learn([], [measured(1300), measured(900)]).yields.get('k')!;
    const sum = Math.log(1.3) + Math.log(0.9);
    expect(two.factor).toBeCloseTo(Math.exp(sum / 0.08 ** 2 / (2 / 0.08 ** 2 + 1 / 0.3 ** 2)), 9);
    expect(two).toEqual(posterior([Math.log(1.3), Math.log(0.9)], 0.3, 0.08));
    expect(two.high / two.low).toBeLessThan(one.high / one.low);
  });

  it('is of each dish and product by itself; four times as much or more is another thing, and none is nothing', () => {
    const { yields } = learn(
      [],
      [measured(4000), measured(4001, 1000, 'far'), measured(0, 1000, 'none'), measured(900, 1000, 'other')],
    );
    expect([...yields.keys()]).toEqual(['k', 'other']);
    expect([...learn([], []).yields.keys()]).toEqual([]);
  });

  it('changes what a dish gives, and is taken back when the dish is stored', () => {
    const meal = mealOf([mushroomStock, friedGreens(10)]);
    const [give] = mushroomStock.gives;
    const known = (factor: number) => ({
      ...NOTHING_LEARNED,
      yields: new Map([[yieldKey(meal.kitchen.id, mushroomStock.id, give!.product), lesson(factor, 3)]]),
    });
    const taught = asLearned(meal, known(0.8)).dishes[0]!;
    expect(taught.gives[0]!.learned).toEqual({ factor: 0.8, times: 3 });
    expect(taught.gives[0]!.amount.quantity).toBeCloseTo(0.8 * give!.amount.quantity, 2);
    expect(unlearned(taught).gives[0]!.amount.quantity).toBeCloseTo(give!.amount.quantity, 2);
    expect(unlearned(taught).gives[0]).not.toHaveProperty('learned');
    // The other dish is the very same; so is this one where hardly anything was learned.
    expect(asLearned(meal, known(0.8)).dishes[1]).toBe(meal.dishes[1]);
    expect(asLearned(meal, known(1.049)).dishes[0]).toBe(mushroomStock);
    expect(asLearned(meal, NOTHING_LEARNED).dishes).toEqual(meal.dishes);
  });
});

describe('a burner that is weaker or stronger than it was told', () => {
  const meal = mealOf([plainGrain()]);
  const [burner, ...others] = meal.kitchen.burners;
  const taught = (factor: number, times: number) => {
    const burners = new Map([[joinedKey(meal.kitchen.id, unitId('burner', burner!.id)), lesson(factor, times)]]);
    return asLearned(meal, { ...NOTHING_LEARNED, burners }).kitchen.burners;
  };

  it('is known from the second time, where it differs, and no other with it', () => {
    expect(taught(1.4, 1)[0]).toBe(burner);
    // Less than a twentieth is no difference, either way.
    for (const factor of [0.951, 1.049]) expect(taught(factor, 9)[0]).toBe(burner);
    for (const factor of [0.949, 1.051]) expect(taught(factor, 9)[0]).toEqual({ ...burner, learned: factor });
    const known = taught(1.4, 2);
    expect(known[0]).toEqual({ ...burner, learned: 1.4 });
    expect(unlearnedKitchen({ ...meal.kitchen, burners: known })).toEqual(meal.kitchen);
    expect(known.slice(1)).toEqual(others);
  });
});

describe('a dish whose minutes were learned', () => {
  const dish = friedGreens(10);
  const learnedAs = (factor: number, minutes: Dish['steps'][number]['minutes']): Dish => ({
    ...dish,
    steps: dish.steps.map((step) => (step.id === 'fry' ? { ...step, minutes, learned: { factor, times: 3 } } : step)),
  });
  const fry = (of: Dish) => of.steps.find(({ id }) => id === 'fry')!;

  it('kept by an older version is divided back, at least a minute, in its order; nothing stays nothing', () => {
    expect(fry(unlearned(learnedAs(2, { shortest: 16, likely: 20, longest: 32 })))).toEqual(fry(dish));
    const short = fry(unlearned(learnedAs(8, { shortest: 1, likely: 2, longest: 3 })));
    expect(short.minutes).toEqual({ shortest: 1, likely: 1, longest: 1 });
    const none = fry(unlearned(learnedAs(2, { shortest: 0, likely: 0, longest: 4 })));
    expect(none.minutes).toEqual({ shortest: 0, likely: 0, longest: 2 });
    const odd = fry(unlearned(learnedAs(2, { shortest: 30, likely: 20, longest: 10 })));
    expect(odd.minutes).toEqual({ shortest: 10, likely: 10, longest: 10 });
  });

  it('is the very same where nothing was learned', () => {
    expect(unlearned(dish)).toBe(dish);
  });
});
