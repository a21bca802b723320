import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { SHELF } from '@/core/dish/shelf';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import type { Amount } from '@/core/units/amount';
import { changesThePlan, type LiveEvent, SENSES } from './events';
import type { LiveStep } from './session';
import { isToTaste, litresInPot, rememberedOf, sayRemembered, tasteSteps } from './tasting';

const braise = SHELF.find(({ name }) => name === 'Beef braised in wine')!;
const mealFor = (people: number) => mealOf([braise], { kitchen: largeKitchen, people });
const give = (people: number, sense: string) =>
  tasteSteps(mealFor(people), braise.id).find((step) => step.sense === sense)!.give!;

describe('tasting', () => {
  it('gives small steps, as large as the pot', () => {
    const [four, eight] = [give(4, 'flat'), give(8, 'flat')];
    expect(four.name).toBe('fine salt');
    expect(eight.amount.quantity / four.amount.quantity).toBeCloseTo(2, 1);
    // Never more than a third of a teaspoon of salt a litre at once.
    expect(four.amount.quantity).toBeLessThan(1);
    expect(litresInPot(braise)).toBeGreaterThan(0.5);
    expect(tasteSteps(mealFor(4), braise.id).find(({ sense }) => sense === 'thin')!.give).toBeUndefined();
    expect(tasteSteps(mealFor(4), 'nobody')).toEqual([]);
  });

  it('remembers what was added on other evenings, in all and how often', () => {
    const sugar = (quantity: number, id: string): LiveEvent => ({
      id,
      at: 1,
      kind: 'tasted',
      dish: 'd',
      sense: 'sour',
      gave: { name: 'sugar', amount: { quantity, unit: 'tsp' } },
    });
    const evenings = [
      { events: [sugar(0.5, 'a'), sugar(0.5, 'b')] },
      { events: [sugar(1, 'a')] },
      { events: [sugar(4, 'a'), { id: 'u', at: 2, kind: 'undo', of: 'a' } as LiveEvent] },
      { events: [{ ...sugar(1, 'a'), dish: 'other' } as LiveEvent] },
    ];
    expect(rememberedOf(evenings, 'd')).toEqual([{ name: 'sugar', times: 2, amount: { quantity: 1, unit: 'tsp' } }]);
    expect(sayRemembered(rememberedOf(evenings, 'd'))).toBe('Before, you added 1 tsp sugar (2 times).');
    expect(sayRemembered([])).toBe('');
    expect(changesThePlan(sugar(1, 'a'), [])).toBe(false);
  });

  it('takes of what is weighed four fifths for liquid, and a small pot for a third of a litre', () => {
    const of = (amounts: readonly Amount[], takes: readonly Amount[] = []) =>
      ({
        ...braise,
        ingredients: amounts.map((amount, index) => ({ id: `${index}`, name: 'x', amount })),
        takes: takes.map((amount) => ({ amount })),
      }) as unknown as Dish;
    expect(litresInPot(of([]))).toBe(0);
    expect(litresInPot(of([{ quantity: 500, unit: 'ml' }]))).toBe(0.5);
    expect(litresInPot(of([{ quantity: 500, unit: 'g' }], [{ quantity: 1, unit: 'l' }]))).toBeCloseTo(1.4);
    expect(litresInPot(of([{ quantity: 2, unit: 'kg' }]))).toBeCloseTo(1.6);
    expect(litresInPot(of([{ quantity: 3, unit: 'piece' }]))).toBe(0);
    const small = { ...of([{ quantity: 100, unit: 'ml' }]), id: 'small' };
    const meal = mealOf([small], { kitchen: largeKitchen, people: small.servings });
    const salt = tasteSteps(meal, 'small').find(({ sense }) => sense === 'flat')!.give!;
    expect(salt.amount).toEqual({ quantity: expect.closeTo(0.075), unit: 'tsp' });
    expect(tasteSteps(meal, 'small').map(({ sense }) => sense)).toEqual([...SENSES]);
  });

  it('adds up what has one unit only, the most often first', () => {
    const gave = (name: string, quantity: number, unit: 'tsp' | 'ml', id: string): LiveEvent => ({
      id,
      at: 1,
      kind: 'tasted',
      dish: 'd',
      sense: 'sour',
      gave: { name, amount: { quantity, unit } },
    });
    const nothing = { id: 'n', at: 1, kind: 'tasted', dish: 'd', sense: 'thin' } as LiveEvent;
    const evenings = [
      { events: [gave('salt', 1, 'tsp', 'a'), gave('sugar', 1, 'tsp', 'b'), gave('sugar', 5, 'ml', 'c'), nothing] },
      { events: [gave('sugar', 2, 'tsp', 'a')] },
      { events: [gave('sugar', 9, 'ml', 'a')] },
    ];
    const found = rememberedOf(evenings, 'd');
    expect(found).toEqual([
      { name: 'sugar', times: 2, amount: { quantity: 1.5, unit: 'tsp' } },
      { name: 'salt', times: 1, amount: { quantity: 1, unit: 'tsp' } },
    ]);
    expect(sayRemembered(found)).toBe('Before, you added 1½ tsp sugar (2 times), 1 tsp salt (once).');
  });

  describe('is asked', () => {
    const step = (stepId: string, over: object = {}, sort = 'burner') => ({
      key: `d/${stepId}`,
      dishId: braise.id,
      stepId,
      kind: 'step',
      attention: 'eyes',
      minutes: 100,
      station: { sort },
      ...over,
    });
    const live = (of: object, status = 'running') =>
      ({ step: of, status, startAt: 0, endAt: 6_000_000, told: { pauses: [], water: 0 } }) as unknown as LiveStep;
    const asked = (own: LiveStep, steps: readonly LiveStep[] = [own], minute = 90, dish: Dish = braise) =>
      isToTaste(dish, own, steps, minute * 60_000);
    const simmer = live(step('s'));

    it('in the last fifth of the last simmer, on a burner or in the oven, and not before', () => {
      expect([20, 79, 80, 90].map((minute) => asked(simmer, [simmer], minute))).toEqual([false, false, true, true]);
      expect(asked(live(step('s', {}, 'oven')))).toBe(true);
      expect(asked(live(step('s', {}, 'board')))).toBe(false);
      expect(asked(live(step('s', { minutes: 4 })))).toBe(false);
      expect(asked(live(step('s', { minutes: 5 })))).toBe(true);
      expect(asked(live(step('s', { attention: 'hands' })))).toBe(false);
      const later = live(step('later'), 'waiting');
      expect(asked(simmer, [simmer, later])).toBe(false);
      // What other dishes simmer is not its business.
      const other = { ...later, step: { ...later.step, dishId: 'other' } } as LiveStep;
      expect(asked(simmer, [simmer, other])).toBe(true);
    });

    it('at the work of the hands after it, once it is done', () => {
      const finish = live(step('finish', { attention: 'hands', minutes: 3 }));
      const done = { ...simmer, status: 'done' } as LiveStep;
      expect(asked(finish, [done, finish])).toBe(true);
      expect(asked(finish, [simmer, finish])).toBe(false);
      expect(asked(finish, [finish])).toBe(false);
      const rests = live(step('rest', { minutes: 3 }, 'board'));
      expect(asked(rests, [done, rests])).toBe(false);
    });

    it('of what runs, of the dish itself, and not of a grain, of what stays in the kitchen or has nothing to taste', () => {
      for (const status of ['waiting', 'due', 'done']) expect(asked(live(step('s'), status))).toBe(false);
      expect(asked(live(step('s', { kind: 'mending' })))).toBe(false);
      expect(asked(live(step('s', { dishId: 'other' })))).toBe(false);
      const dry = { ...braise, ingredients: [], takes: [] };
      expect(asked(simmer, [simmer], 90, dry)).toBe(false);
      expect(asked(simmer, [simmer], 90, { ...braise, lands: null } as unknown as Dish)).toBe(false);
      expect(asked(simmer, [simmer], 90, { ...braise, grain: {} } as unknown as Dish)).toBe(false);
    });

    it('of what it hands over as a liquid, at once and where it is not eaten itself', () => {
      const gives = (quantity: number, unit: string) =>
        ({
          ...braise,
          lands: null,
          gives: [{ step: 's', amount: { quantity, unit } }],
        }) as unknown as Dish;
      expect(asked(simmer, [simmer], 1, gives(2, 'l'))).toBe(true);
      expect(asked(simmer, [simmer], 1, gives(2, 'piece'))).toBe(false);
      expect(asked(live(step('t')), [simmer], 1, gives(2, 'l'))).toBe(false);
    });
  });
});
