import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { changesThePlan, type LiveEvent } from './events';
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

  it('is not asked while a pot is early in its simmer, or of plain grain', () => {
    const at = (gone: number) => {
      const live = {
        step: {
          key: 'd/s',
          dishId: braise.id,
          stepId: 's',
          kind: 'step',
          attention: 'eyes',
          minutes: 100,
          station: { sort: 'burner' },
        },
        status: 'running',
        startAt: 0,
        endAt: 100 * 60_000,
        told: { pauses: [], water: 0 },
      } as never;
      return isToTaste(braise, live, [live], gone * 60_000);
    };
    expect(at(20)).toBe(false);
    expect(at(90)).toBe(true);
  });
});
