import { describe, expect, it } from 'vitest';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { potsOf } from './pots';

const pot = (id: string, litres: number, count = 1) => ({
  id,
  name: id,
  kind: 'pot' as const,
  litres,
  widthCm: 20,
  count,
});
const kitchen = { ...smallKitchen, vessels: [pot('snug', 2, 2), pot('roomy', 5), pot('tiny', 1)] };
const meal = mealOf([plainGrain('a'), plainGrain('b')], { kitchen });

describe('the pots of a meal', () => {
  it('are told with their hours and with all that would fit, the snuggest first', async () => {
    const pots = potsOf(meal, await planned(meal));
    expect(pots.map(({ dish }) => dish).sort()).toEqual(['Grain a', 'Grain b']);
    for (const { vessel, choices, from, until, byHand } of pots) {
      expect(vessel.id).toBe('snug');
      expect(choices.map(({ id }) => id)).toEqual(['snug', 'roomy']);
      expect(from < until).toBe(true);
      expect(byHand).toBe(false);
    }
  });

  it('are another when the cook says so, and the plan keeps to it', async () => {
    const [first] = potsOf(meal, await planned(meal));
    const roomy = first!.choices.find(({ id }) => id === 'roomy')!;
    const chosen = { ...meal, pins: [{ key: first!.key, unit: roomy.unit }] };
    const pots = potsOf(chosen, await planned(chosen));
    const own = pots.find(({ key }) => key === first!.key)!;
    expect(own).toMatchObject({ vessel: { id: 'roomy' }, byHand: true });
    expect(pots.find(({ key }) => key !== first!.key)!.vessel.id).toBe('snug');
  });

  it('chosen twice over are any of several alike, and one that is too small is not kept to', async () => {
    const keys = potsOf(meal, await planned(meal)).map(({ key }) => key);
    const both = { ...meal, pins: keys.map((key) => ({ key, unit: 'vessel:snug#1' })) };
    const plan = await planned(both);
    expect(new Set(Object.values(plan.known.holds)).size).toBeGreaterThan(1);
    expect(potsOf(both, plan).map(({ vessel }) => vessel.id)).toEqual(['snug', 'snug']);
    const tiny = { ...meal, pins: [{ key: keys[0]!, unit: 'vessel:tiny#1' }] };
    expect(potsOf(tiny, await planned(tiny)).every(({ vessel }) => vessel.id !== 'tiny')).toBe(true);
  });
});
