import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { SHELF } from '@/core/dish/shelf';
import { overnight, waits } from '@/core/dish/write';
import { checkMeal } from '@/core/meal/check';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { wantsWayOut } from '@/core/plan/well-landed';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { appliedAsMade } from './change';
import { ideasFor } from './ideas';
import { missingAdded } from './lacking';
import { findWaysOut } from './ways-out';

const solving = { ...TEST_CLOCK, seconds: 10, rounds: 4 };
const plan = (meal: Meal, notBefore?: number) =>
  planMeal(meal, { solve: solving, ...(notBefore === undefined ? {} : { notBefore }) });

describe('ways out', () => {
  it('are not wanted by a plan that lands in time', async () => {
    expect(wantsWayOut(await planned(mealOf([plainGrain()])))).toBe(false);
  });

  it('are each planned for real, and only those that help are told, the best first', async () => {
    // It is 18:20, the grain takes an hour at least, and the table is at 19:00.
    const meal = mealOf([plainGrain('a'), plainGrain('b')]);
    const late = await plan(meal, -40);
    if (!late.ok) throw new Error('no plan');
    expect(wantsWayOut(late.plan)).toBe(true);
    const was = Math.max(...late.plan.landings.map((landing) => landing.late));
    const tried: string[] = [];
    const ways = await findWaysOut(
      meal,
      late.plan,
      // Serving later leaves more time from now.
      (idea) => plan(idea, -40 - (Number(idea.hour.slice(0, 2)) * 60 + Number(idea.hour.slice(3)) - 19 * 60)),
      { minutesLeft: 40, onTried: (count, all) => tried.push(`${count} of ${all}`) },
    );
    expect(tried).toHaveLength(ideasFor(meal, 40, late.plan).length);
    expect(ways[0]).toMatchObject({
      late: 0,
      gains: expect.stringMatching(/^everything lands in time, and well in \d+ of 20/),
    });
    for (const way of ways) expect(way.late).toBeLessThan(was);
    // Of serving later still nothing more is told.
    expect(ways.filter(({ id }) => id.startsWith('later'))).toHaveLength(1);
    expect(ways.map((way) => way.late)).toEqual([...ways.map((way) => way.late)].sort((a, b) => a - b));
  });

  it('change one thing and leave the rest', () => {
    const meal = mealOf([plainGrain('a'), plainGrain('b')]);
    for (const { id, change } of ideasFor(meal)) {
      const other = appliedAsMade(meal, change);
      const differs = (Object.keys(meal) as (keyof Meal)[]).filter(
        (key) => JSON.stringify(other[key]) !== JSON.stringify(meal[key]),
      );
      expect(differs, id).toHaveLength(1);
    }
    expect(ideasFor({ ...meal, hour: '23:40' }).some(({ id }) => id.startsWith('later'))).toBe(false);
  });

  it('offer the evening before only while there is one', () => {
    const { kitchen, dishes, setting } = SAMPLE_MEALS.find(({ setting: { id } }) => id === 'midwinter')!;
    const meal: Meal = { ...setting, day: '2026-11-28', kitchen, dishes };
    const eves = (minutesLeft: number) => ideasFor(meal, minutesLeft).filter(({ id }) => id.startsWith('eve '));
    expect(eves(3 * 1440).length).toBeGreaterThan(3);
    expect(eves(600)).toEqual([]);
  });

  it('hold only meals that can be planned, whatever is changed', () => {
    for (const { kitchen, dishes, setting } of SAMPLE_MEALS) {
      const meal: Meal = { ...setting, day: '2026-11-28', kitchen, dishes };
      for (const { id, change } of ideasFor(meal)) expect(checkMeal(appliedAsMade(meal, change)), id).toEqual([]);
    }
  });

  it('let a dish made the day before rescue an evening that is too short', async () => {
    const base = plainGrain('slow');
    const slow: Dish = {
      ...base,
      steps: base.steps.map((step) =>
        step.id === 'cover' ? { ...step, minutes: { shortest: 50, likely: 60, longest: 70 } } : step,
      ),
      links: base.links.map((link) => (link.to === 'rest' ? overnight(link) : link)),
      lands: { step: 'rest', waits: waits('hot', 2, 5, 'covered') },
    };
    // One burner, and two grains that both want it at the end.
    const meal = mealOf([slow, plainGrain('quick')], {
      kitchen: { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) },
    });
    const before = await plan(meal);
    if (before.ok) expect(wantsWayOut(before.plan)).toBe(true);
    const ways = await findWaysOut(meal, before.ok ? before.plan : null, (idea) => plan(idea));
    expect(ways.find(({ id }) => id === 'eve slow')).toMatchObject({ late: 0, overdue: 0 });
    expect(ways.map(({ id }) => id)).toContain('burner');
    expect(ways.map(({ id }) => id)).not.toContain('later 60');
  });

  it('put a diffuser under a pot where the only wide flame is too fierce for the barest simmer', async () => {
    const [big, small] = smallKitchen.burners;
    const fierce = {
      ...smallKitchen,
      burners: [
        { ...big!, gentle: false },
        { ...small!, widestCm: 16 },
      ],
    };
    const meal = mealOf([plainGrain()], { kitchen: fierce });
    const before = await plan(meal);
    expect(before.ok).toBe(false);
    const ways = await findWaysOut(meal, null, (idea) => plan(idea));
    expect(ways.find(({ id }) => id === 'diffuser')).toMatchObject({
      says: 'put a heat diffuser under the pot on Big burner, for the barest simmer',
      late: 0,
    });
    expect(ideasFor(mealOf([plainGrain()])).some(({ id }) => id === 'diffuser')).toBe(false);
  });

  it('keep warm what stands ready too long, and only where somebody can look after it', async () => {
    // The only cook leaves three quarters of an hour before the table: the flame wants a look, the oven does not.
    const people = [{ ...smallKitchen.people[0]!, until: '18:15' }];
    const meal = mealOf([plainGrain('a')], { kitchen: { ...smallKitchen, people } });
    const before = await planned(meal);
    expect(before.landings[0]).toMatchObject({ fine: 'too long' });
    expect(ideasFor(meal).some(({ id }) => id.startsWith('warm'))).toBe(false);
    const ideas = ideasFor(meal, undefined, before).filter(({ id }) => id.startsWith('warm'));
    expect(ideas.map(({ id }) => id)).toEqual(['warm flame a', 'warm oven a']);
    const ways = await findWaysOut(meal, before, (idea) => plan(idea));
    const warm = ways.filter(({ id }) => id.startsWith('warm'));
    expect(warm).toMatchObject([
      {
        id: 'warm oven a',
        late: 0,
        overdue: 0,
        gains: expect.stringMatching(/^everything lands in time, and well in/),
      },
    ]);
    const kept = await planned(appliedAsMade(meal, warm[0]!.change));
    const step = kept.steps.find(({ key }) => key.endsWith('kept-warm'))!;
    expect(step).toMatchObject({ station: { sort: 'oven' }, vessel: 'pot' });
    expect(step.cautions.join(' ')).toMatch(/60 °C/);
    expect(kept.landings[0]!.waits).toBeLessThanOrEqual(kept.landings[0]!.mostMinutes);
  });

  it('keep all warm that stands ready too long, in one press', async () => {
    const people = [{ ...smallKitchen.people[0]!, until: '18:15' }];
    const meal = mealOf([plainGrain('a'), plainGrain('b')], { kitchen: { ...smallKitchen, people } });
    const before = await planned(meal);
    expect(before.landings.map(({ fine }) => fine)).toEqual(['too long', 'too long']);
    const ways = await findWaysOut(meal, before, (idea) => plan(idea));
    expect(ways.find(({ id }) => id === 'warm all')).toMatchObject({
      says: 'keep Grain a and Grain b warm until the table',
      late: 0,
      overdue: 0,
    });
    expect(ways.find(({ id }) => id === 'warm oven a')).toMatchObject({ overdue: 1 });
  });
});

describe('ways out by two', () => {
  const meal = mealOf([plainGrain('a'), plainGrain('b'), plainGrain('c')]);
  /** A plan of which so many evenings land well, each dish by itself in so many. */
  const landing = (good: number, dishes: readonly number[], late = 0): Plan =>
    ({
      landings: [{ late, fine: late > 0 ? 'late' : 'well' }],
      odds: { good, within5: 1, dishes: dishes.map((each) => ({ good: each })) },
    }) as unknown as Plan;
  const before = landing(0.1, [0.2, 0.2, 1]);
  const has = ({ kitchen, dishes }: Meal) => ({
    burner: kitchen.burners.length > meal.kitchen.burners.length,
    cook: kitchen.people.length > meal.kitchen.people.length,
    dishes: dishes.length,
  });
  const search = (plan: (meal: Meal) => Plan) => {
    const tried: string[] = [];
    const ways = findWaysOut(meal, before, async (idea) => ({ ok: true, plan: plan(idea) }), {
      onTried: (count, all, found) => tried.push(`${count}/${all} ${found.length}`),
    });
    return ways.then((found) => ({ ways: found, tried }));
  };
  const single = ideasFor(meal, undefined, before).length;

  it('are tried where none alone is enough: those that bring dishes nearest, put together', async () => {
    const { ways, tried } = await search((idea) => {
      const { burner, cook } = has(idea);
      return burner && cook ? landing(0.95, [1, 1, 1]) : landing(0.12, [burner ? 0.9 : 0.2, cook ? 0.9 : 0.2, 1]);
    });
    expect(ways).toHaveLength(1);
    expect(ways[0]).toMatchObject({
      id: 'burner and hands',
      says: 'borrow a portable burner, and a second cook from 16:30 until the table',
      asks: 'a burner, and a safe place for it and somebody’s time',
      gains: expect.stringMatching(/19 of 20 evenings instead of 2$/),
    });
    expect(has(appliedAsMade(meal, ways[0]!.change))).toEqual({ burner: true, cook: true, dishes: 3 });
    expect(tried).toHaveLength(single + 1);
    expect(tried.at(-1)).toBe(`${single + 1}/${single + 1} 1`);
  });

  it('are not tried where one is enough and leaves the menu as it is', async () => {
    const enough = await search((idea) => (has(idea).burner ? landing(0.8, [1, 1, 1]) : before));
    expect(enough.tried).toHaveLength(single);
    expect(enough.ways.map(({ id }) => id)).toEqual(['burner']);
    const nearly = await search((idea) =>
      has(idea).burner ? landing(0.79, [1, 1, 0.5]) : landing(0.1, [0.2, 0.3, 1]),
    );
    expect(nearly.tried.length).toBeGreaterThan(single);
    // One dish fewer is a way, but others are looked for all the same.
    const without = await search((idea) =>
      has(idea).dishes < 3 ? landing(0.95, [1, 1]) : landing(0.1, [has(idea).burner ? 0.9 : 0.2, 0.2, 1]),
    );
    expect(without.tried.length).toBeGreaterThan(single);
    expect(without.ways[0]!.id).toMatch(/^without [abc]$/);
  });

  it('come after one alone that is as good, and of two nearly as good the one that asks less comes first', async () => {
    const { ways } = await search(({ kitchen, dishes }) => {
      if (kitchen.burners.length > 2) return landing(0.91, [1, 1, 1]);
      return dishes.length < 3 ? landing(1, [1, 1]) : before;
    });
    expect(ways[0]!.id).toBe('burner');
    expect(ways.at(-1)!.id).toMatch(/^without/);
  });
});

describe('what bakes at two heats', () => {
  const named = (name: string) => SHELF.find((dish) => dish.name === name)!;
  const legs = named('Chicken legs in yogurt, baked');
  const loin = named('Pork loin with fennel');

  it('may bake at one, with its minutes told for so many people', () => {
    const meal = mealOf([legs, plainGrain(), loin], { people: 8 });
    const idea = ideasFor(meal).find(({ id }) => id === 'one heat 205')!;
    expect(idea.says).toBe('bake Chicken legs in yogurt, baked and Pork loin with fennel together at 205 °C');
    expect(idea.asks).toMatch(
      /^other minutes: Chicken legs in yogurt, baked \d+ instead of 36 and Pork loin with fennel \d+ instead of \d+$/,
    );
    const changed = appliedAsMade(meal, idea.change);
    expect(changed.dishes.map(({ id }) => id)).toEqual([`${legs.id}-at-205`, 'grain', `${loin.id}-at-205`]);
    expect(ideasFor(changed).some(({ id }) => id.startsWith('one heat'))).toBe(false);
  });
});

describe('what a kitchen lacks', () => {
  const rice = SHELF.find(({ name }) => name === 'Rice from the cooker')!;

  it('is asked about, and once it is there the meal can be planned', () => {
    const meal = mealOf([rice, plainGrain()], { people: 40, kitchen: { ...smallKitchen, vessels: [] } });
    expect(checkMeal(meal).length).toBeGreaterThan(1);
    const missing = missingAdded(meal)!;
    expect(missing.says).toMatch(/a pot of [\d.]+ l, \d+ cm across.* and a rice cooker/);
    expect(checkMeal(appliedAsMade(meal, missing.change))).toEqual([]);
  });

  it('is nothing where nothing is lacking', () => {
    expect(missingAdded(mealOf([plainGrain()]))).toBeNull();
  });
});
