import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { HEATED_AGAIN, MOST_ASIDE, SET_ASIDE } from '@/core/dish/set-aside';
import { cookThrough } from '@/core/live/testing/simulate';
import { findingsOf } from '@/core/safety/findings';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import { asIfKept, keptAsIf, keptByPlan, mealAsPlanned, sayKept, withKept } from './keeps';
import { eveningsOf, oddsOfMeal } from './odds';
import { type Landing, landingAt, type Plan } from './plan';
import { isPlanOf } from './plan-of';

/** The only cook leaves three quarters of an hour before the table: the flame wants a look, the oven does not. */
const people = [{ ...smallKitchen.people[0]!, until: '18:15' }];
const leaving = mealOf([plainGrain('a')], { kitchen: { ...smallKitchen, people }, sureness: 'even' });
/** One flame for three, and no oven: what is ready first can only be wrapped. */
const oneFlame = mealOf([plainGrain('a'), plainGrain('b'), plainGrain('c')], {
  kitchen: { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) },
  sureness: 'even',
});

describe('what would wait too long', () => {
  it('is kept warm by the plan where more evenings land well by that; the meal stays as it was put together', async () => {
    const before = JSON.stringify(leaving);
    const short = await planned({ ...leaving, sureness: 'short' });
    expect(short.landings[0]).toMatchObject({ fine: 'too long' });
    expect(keptByPlan(leaving, short)).toEqual([]);
    expect(sayKept(leaving, short)).toBe('');
    const plan = await planned(leaving);
    expect(plan.odds?.good).toBeGreaterThan((short.odds?.good ?? 1) + 0.5);
    expect(plan.landings[0]).toMatchObject({ fine: 'well', dishId: 'a' });
    expect(sayKept(leaving, plan)).toMatch(
      /^So that all lands together the plan keeps warm: Grain a \(1\d min in a low oven\)\.$/,
    );
    expect(JSON.stringify(leaving)).toBe(before);
  });

  it('is kept hot as safety wants it, and says so at the step', async () => {
    const plan = await planned(leaving);
    const [kept] = keptByPlan(leaving, plan);
    expect(kept).toMatchObject({ station: { sort: 'oven' }, duty: 'keep warm', celsius: 90 });
    expect(kept!.cautions.join(' ')).toMatch(/60 °C/);
    expect(findingsOf(mealAsPlanned(leaving, plan), plan).filter(({ weight }) => weight === 'hard')).toEqual([]);
  });

  it('is cooked so: the meal as planned has the step, once, and its evenings go as was promised', async () => {
    const plan = await planned(leaving);
    const meal = mealAsPlanned(leaving, plan);
    expect(meal.dishes[0]!.steps.map(({ id }) => id)).toEqual([
      ...leaving.dishes[0]!.steps.map(({ id }) => id),
      'kept-warm',
    ]);
    expect(mealAsPlanned(meal, plan)).toBe(meal);
    // It goes with the meal to another device, and is called the best by nobody.
    expect(isPlanOf(plan, leaving)).toBe(true);
    expect(isPlanOf(plan, { ...leaving, dishes: [plainGrain('b')] })).toBe(false);
    expect(plan.proven).toBe(false);
    expect(keptByPlan(meal, plan)).toEqual([]);
    const odds = oddsOfMeal(leaving, plan, { evenings: 500, seed: 4 })!;
    expect(odds.good).toBeCloseTo(plan.odds!.good, 1);
    expect(eveningsOf(leaving, plan, { evenings: 3, seed: 4 }).map(({ good }) => good)).toEqual([true, true, true]);
    const { session } = await cookThrough({
      meal: leaving,
      plan,
      tableAt: Date.UTC(2026, 10, 28, 18),
      truth: ({ minutes }) => minutes,
      glance: () => 1,
    });
    expect(session.plan.landings[0]).toMatchObject({ fine: 'well' });
  });

  it('is kept warm until the table, however soon or late it is ready', async () => {
    const plan = await planned(leaving);
    const kept = keptByPlan(leaving, plan)[0]!;
    // Minutes by which the covered pot is done sooner or later than was thought.
    for (const by of [-3, 4, 8]) {
      const { session } = await cookThrough({
        meal: leaving,
        plan,
        tableAt: Date.UTC(2026, 10, 28, 18),
        truth: ({ stepId, minutes }) => (stepId === 'cover' ? minutes + by : minutes),
        glance: () => 1,
      });
      const [landing] = session.plan.landings;
      const held = session.plan.steps.find(({ key }) => key === kept.key)!;
      expect(held.end, `${by}`).toBe(kept.end);
      expect(landing, `${by}`).toMatchObject({ fine: 'well', late: 0 });
    }
  });

  it('is left where nothing can hold it', async () => {
    const plan = await planned(oneFlame, 1);
    // Keeping one warm on the only flame would keep the others off it.
    expect(keptByPlan(oneFlame, plan)).toEqual([]);
    expect(plan.landings.some(({ fine }) => fine === 'long' || fine === 'too long')).toBe(true);
  });
});

describe('a plan made as if all that bears it were kept warm', () => {
  const stew: Dish = { ...plainGrain('stew'), name: 'Stew' };
  const roast: Dish = {
    ...stew,
    id: 'roast',
    name: 'Roast',
    steps: stew.steps.map((step) =>
      step.id === 'rest'
        ? {
            ...step,
            minutes: { shortest: 30, likely: 40, longest: 50 },
            place: { at: 'oven', celsius: 200, shelves: 1 } as const,
          }
        : step,
    ),
  };
  const meal = mealOf([stew, roast], { kitchen: smallKitchen });
  const landing = (dishId: string, ready: number) =>
    landingAt(
      {
        dishId,
        dishName: dishId,
        ready: 0,
        waits: 0,
        late: 0,
        wellMinutes: 90,
        mostMinutes: 90,
        how: '',
        served: 'hot',
        fine: 'well',
      },
      ready,
    );
  const hot = (dishId: string, end: number) =>
    ({ dishId, end, station: { id: 'oven', sort: 'oven', name: '' } }) as Plan['steps'][0];
  const kept = (landings: readonly Landing[], steps: readonly Plan['steps'][0][] = []) =>
    keptAsIf(meal, { landings, steps });

  it('lets them wait as well as that', () => {
    const wells = asIfKept(meal).dishes.map(({ lands }) => lands?.waits);
    expect(wells).toMatchObject([{ wellMinutes: 70 }, { wellMinutes: 70 }]);
    expect(wells[0]!.mostMinutes).toBeGreaterThanOrEqual(70);
  });

  it('keeps what waits longer in it than it does well, until shortly before the table', () => {
    expect(kept([landing('stew', -10), landing('roast', -8)])).toEqual([]);
    expect(kept([landing('stew', -40)])).toEqual([{ dishId: 'stew', place: 'oven', minutes: 32 }]);
    expect(kept([landing('stew', -90)])).toEqual([{ dishId: 'stew', place: 'oven', minutes: 60 }]);
  });

  it('on the lowest flame where the oven is hot for something else', () => {
    expect(kept([landing('stew', -40)], [hot('roast', -30)])).toEqual([
      { dishId: 'stew', place: 'flame', minutes: 32 },
    ]);
    expect(kept([landing('stew', -40)], [hot('roast', -35)])).toEqual([{ dishId: 'stew', place: 'oven', minutes: 32 }]);
  });

  it('sets aside what is as good heated through, rather than keep it on a flame, where that is asked', () => {
    const busy = [hot('roast', -30)];
    expect(keptAsIf(meal, { landings: [landing('stew', -40)], steps: busy }, 'aside')).toMatchObject([
      { dishId: 'stew', place: 'aside' },
    ]);
    // In the oven it is out of the way as well, and what was baked is not heated in a pot.
    expect(keptAsIf(meal, { landings: [landing('stew', -40)], steps: [] }, 'aside')).toMatchObject([{ place: 'oven' }]);
    expect(keptAsIf(meal, { landings: [landing('roast', -40)], steps: busy }, 'aside')).toMatchObject([
      { place: 'flame' },
    ]);
  });

  it('leaves what was baked where it is, the oven switched off, where that is long enough and it is the last in there', () => {
    expect(kept([landing('roast', -20)], [hot('roast', -20)])).toEqual([
      { dishId: 'roast', place: 'ajar', minutes: 12 },
    ]);
    expect(kept([landing('roast', -30)], [hot('roast', -30)])).toEqual([
      { dishId: 'roast', place: 'oven', minutes: 22 },
    ]);
    expect(kept([landing('roast', -20)], [hot('stew', -10)])).toMatchObject([{ place: 'flame' }]);
    // Nothing else finds a low oven then.
    expect(kept([landing('stew', -19), landing('roast', -20)])).toEqual([
      { dishId: 'roast', place: 'ajar', minutes: 12 },
      { dishId: 'stew', place: 'flame', minutes: 11 },
    ]);
    const left = withKept(meal, [{ dishId: 'roast', place: 'ajar', minutes: 12 }]);
    const step = left.dishes[1]!.steps.at(-1)!;
    expect(step).toMatchObject({ id: 'kept-warm', place: { at: 'oven', celsius: 200 } });
    expect(step.cautions.join(' ')).toContain('60 °C');
    expect(left.dishes[1]!.links.at(-1)).toMatchObject({ from: 'rest', to: 'kept-warm', min: 0, max: 2 });
  });

  it('stands within its hour and is heated through before the table when it is set aside, and is read back as that', async () => {
    const only = mealOf([stew]);
    const plan = await planned(withKept(only, [{ dishId: 'stew', place: 'aside', minutes: 0 }]));
    const aside = plan.steps.find(({ stepId }) => stepId === SET_ASIDE)!;
    const again = plan.steps.find(({ stepId }) => stepId === HEATED_AGAIN)!;
    const covered = plan.steps.find(({ stepId }) => stepId === 'cover')!;
    expect(again.start - covered.end).toBeLessThanOrEqual(MOST_ASIDE);
    expect(again).toMatchObject({ station: { sort: 'burner' }, vessel: aside.vessel });
    expect(plan.landings[0]).toMatchObject({ ready: again.end });
    expect(sayKept(only, plan)).toContain('Stew (covered, off the heat, and heated through at the end)');
    expect(isPlanOf(plan, only)).toBe(true);
    const asCooked = mealAsPlanned(only, plan);
    expect(asCooked.dishes[0]!.steps.slice(-2).map(({ id }) => id)).toEqual([SET_ASIDE, HEATED_AGAIN]);
    expect(mealAsPlanned(asCooked, plan)).toBe(asCooked);
    expect(findingsOf(asCooked, plan).filter(({ weight }) => weight === 'hard')).toEqual([]);
  });

  it('is alone in the oven that is switched off, and read back as that', async () => {
    const plan = await planned(withKept(meal, [{ dishId: 'roast', place: 'ajar', minutes: 12 }]));
    const off = plan.steps.find(({ stepId, kind }) => stepId === 'kept-warm' && kind === 'step')!;
    expect(off).toMatchObject({ celsius: null, station: { sort: 'oven' } });
    expect(sayKept(meal, { steps: [off] })).toContain(`Roast (${off.minutes} min in the oven, switched off)`);
    expect(mealAsPlanned(meal, { steps: [off] }).dishes[1]!.steps.at(-1)!.place).toMatchObject({ celsius: 200 });
    const compiled = compile(withKept(meal, [{ dishId: 'roast', place: 'ajar', minutes: 12 }]));
    if (!compiled.ok) throw new Error('The meal can be planned.');
    const row = compiled.problem.steps.find(({ id }) => id === off.key)!;
    expect(Object.values(row.pools!)).toContain(smallKitchen.ovens[0]!.shelves);
  });
});
