import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { asMadeAhead } from '@/core/meal/ahead';
import type { StepKey } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { applied } from '@/core/remedies/change';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { offersOf } from './offers';
import { proposeAhead } from './propose';

describe('what would help most on the evening before', () => {
  const able = SHELF.filter((dish) => offersOf(mealOf([dish], { kitchen: largeKitchen })).length > 0).slice(0, 2);
  const meal = mealOf(able, { kitchen: largeKitchen, sureness: 'even' });

  it('is planned for real, and told with the hands it spares and the evenings that land well', async () => {
    const before = await planned(meal, 10, 2);
    const found = await proposeAhead(meal, before, async (tried) => ({ ok: true, plan: await planned(tried, 10, 2) }));
    expect(found.length).toBeGreaterThan(0);
    for (const { made, hands, spares, good } of found.slice(0, 1)) {
      const plan = await planned(asMadeAhead(applied(meal, { kind: 'ahead', made })), 10, 2);
      expect(good).toBe(plan.odds!.good);
      expect(spares + hands).toBe(found[0]!.spares + found[0]!.hands);
    }
  });

  it('puts first what lands more evenings, of those that are in time', async () => {
    const before = await planned(meal, 10, 2);
    const odds = { ...before.odds!, good: 0.5 };
    // The first dish made ahead changes nothing but the hands; the second lands more evenings.
    const found = await proposeAhead(meal, { ...before, odds }, async (tried) => {
      const isSecond = tried.ahead?.some(({ dish }) => dish === able[1]!.id) ?? false;
      return { ok: true, plan: { ...before, odds: { ...odds, good: isSecond ? 0.9 : 0.5 } } };
    });
    expect(found.map(({ made }) => made.dish)).toEqual([able[1]!.id]);
  });

  it('leaves out what spares the afternoon and asks more of the last hour', async () => {
    const made = await planned(meal, 10, 2);
    const cook = meal.kitchen.people.find(({ role }) => role === 'cook')!;
    const busy = (...stretches: readonly (readonly [start: number, end: number])[]) => ({
      ...made,
      hands: [
        {
          personId: cook.id,
          name: cook.name,
          busy: stretches.map(([start, end]) => ({ start, end, key: 'a/b' as StepKey })),
        },
      ],
    });
    const before = busy([-200, -100], [-50, -10]);
    const propose = (then: Plan) => proposeAhead(meal, before, async () => ({ ok: true, plan: then }));
    expect(await propose(busy([-200, -140], [-58, -6]))).toEqual([]);
    expect(await propose(busy([-200, -140], [-50, -10]))).toHaveLength(able.length);
  });
});
