import { beforeAll, describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { asMadeAhead } from '@/core/meal/ahead';
import type { StepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
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

  describe('by what each plan would be', () => {
    const three = SHELF.filter((dish) => offersOf(mealOf([dish], { kitchen: largeKitchen })).length > 0).slice(0, 3);
    const [one, two, last] = three.map(({ id }) => id) as [string, string, string];
    const supper = mealOf(three, { kitchen: largeKitchen, sureness: 'even' });
    let made: Plan;
    beforeAll(async () => {
      made = await planned(supper, 10, 2);
    });
    const cook = supper.kitchen.people.find(({ role }) => role === 'cook')!;
    interface Day {
      /** Minutes of hands in the afternoon, and in the last hour. */
      readonly afternoon?: number;
      readonly hotHour?: number;
      readonly late?: number;
      readonly good?: number | null;
    }
    const dayOf = ({ afternoon = 60, hotHour = 30, late = 0, good = null }: Day): Plan => {
      const { odds, ...rest } = made;
      return {
        ...rest,
        landings: made.landings.map((landing, index) => ({ ...landing, late: index === 0 ? late : -5 })),
        hands: [
          {
            personId: cook.id,
            name: cook.name,
            busy: [
              { start: -200, end: -200 + afternoon, key: 'a/b' as StepKey },
              { start: -40, end: -40 + hotHour, key: 'a/c' as StepKey },
            ],
          },
        ],
        ...(good === null ? {} : { odds: { ...odds!, good } }),
      };
    };
    const propose = (before: Day, then: Readonly<Record<string, Day>>, meal: Meal = supper) =>
      proposeAhead(meal, dayOf(before), async (tried) => {
        const chosen = tried.ahead?.map(({ dish }) => dish).find((id) => then[id]);
        const day = chosen && then[chosen];
        return day ? { ok: true, plan: dayOf(day) } : { ok: false, refusals: [] };
      });
    const ids = (found: Awaited<ReturnType<typeof propose>>) => found.map(({ made }) => made.dish);

    it('tells hands of the day and of its last hour, and what is spared of both', async () => {
      const [found] = await propose({ good: 0.5 }, { [one]: { afternoon: 20, hotHour: 24, late: 3, good: 0.6 } });
      expect(found).toMatchObject({ hands: 44, hotHour: 24, spares: 46, sparesHotHour: 6, late: 3, good: 0.6 });
      expect([found!.id, found!.effort, found!.made]).toEqual([
        `ahead ${one}`,
        0,
        { dish: one, upTo: found!.offer.upTo, days: 1 },
      ]);
      // What is never late is late by nothing.
      expect((await propose({}, { [one]: { afternoon: 20 } }))[0]).toMatchObject({ late: 0, good: null });
    });

    it('keeps what spares hands and asks no more of the last hour, brings into time or lands more evenings', async () => {
      const helps = async (before: Day, then: Day) => ids(await propose(before, { [one]: then })).length === 1;
      expect(await helps({}, { afternoon: 59 })).toBe(true);
      expect(await helps({}, {})).toBe(false);
      expect(await helps({}, { afternoon: 20, hotHour: 31 })).toBe(false);
      expect(await helps({}, { afternoon: 60, hotHour: 29 })).toBe(true);
      expect(await helps({ late: 10 }, { afternoon: 70, late: 9 })).toBe(true);
      expect(await helps({ late: 10 }, { afternoon: 70, late: 10 })).toBe(false);
      expect(await helps({ good: 0.5 }, { afternoon: 70, good: 0.6 })).toBe(true);
      // Less than one evening in twenty is nothing that anybody could tell.
      expect(await helps({ good: 0.5 }, { afternoon: 70, good: 0.51 })).toBe(false);
      expect(await helps({ good: null }, { afternoon: 70, good: 0.6 })).toBe(true);
      expect(await helps({ good: 0.5 }, { afternoon: 70, good: null })).toBe(false);
    });

    it('puts first what is less late, then what lands more evenings, then what spares more, the last hour twice', async () => {
      const order = async (before: Day, ...days: readonly Day[]) =>
        ids(await propose(before, Object.fromEntries(days.map((day, index) => [[one, two, last][index]!, day]))));
      expect(await order({ late: 20 }, { late: 9 }, { late: 4 }, { late: 6 })).toEqual([two, last, one]);
      expect(await order({ good: 0.3 }, { good: 0.5 }, { good: 0.9 }, { good: 0.7 })).toEqual([two, last, one]);
      expect(await order({ late: 20, good: 0.3 }, { late: 9, good: 0.9 }, { late: 4, good: 0.4 })).toEqual([two, one]);
      expect(await order({}, { afternoon: 40 }, { afternoon: 20 }, { afternoon: 30 })).toEqual([two, last, one]);
      // Thirty minutes of the afternoon, or ten of the last hour with ten of the afternoon.
      expect(await order({}, { afternoon: 31 }, { afternoon: 50, hotHour: 20 })).toEqual([two, one]);
      expect(await order({}, { afternoon: 15 }, { afternoon: 50, hotHour: 20 })).toEqual([one, two]);
    });

    it('tries each dish once, by its longest beginning, and none that is made ahead already', async () => {
      const days = { [one]: { afternoon: 10 }, [two]: { afternoon: 10 }, [last]: { afternoon: 10 } };
      const found = await propose({}, days);
      expect(ids(found).toSorted()).toEqual([one, two, last].toSorted());
      for (const { offer } of found)
        expect(offer).toEqual(offersOf(supper).find(({ dishId }) => dishId === offer.dishId));
      const ahead = { ...supper, ahead: [{ ...found.find(({ made }) => made.dish === two)!.made, days: 2 }] };
      // With what is chosen already, which stays: the planner is asked about both.
      const asked: string[] = [];
      await proposeAhead(ahead, dayOf({}), async (tried) => {
        asked.push(
          (tried.ahead ?? [])
            .map(({ dish }) => dish)
            .toSorted()
            .join(),
        );
        return { ok: false, refusals: [] };
      });
      expect(asked).toEqual([one, last].map((id) => [id, two].toSorted().join()));
    });
  });
});
