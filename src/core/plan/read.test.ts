import { beforeAll, describe, expect, it } from 'vitest';
import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { fitBreaths, withinPools, workUntil } from './breaths';
import { knownPlan, type Plan } from './plan';
import { planMeal } from './plan-meal';

describe('a plan read back', () => {
  const meal = mealOf([plainGrain('a'), plainGrain('b')]);
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(meal);
  });
  const step = (key: string) => plan.steps.find((each) => each.key === key)!;

  it('has every step in the order of time, with its place, pot, person and amounts', () => {
    const starts = plan.steps.map((each) => each.start);
    expect(starts).toEqual([...starts].sort((x, y) => x - y));
    expect(step('a/boil')).toMatchObject({ heat: 'medium', vessel: 'pot', attention: 'hands' });
    expect(step('a/boil').station.sort).toBe('burner');
    expect(step('a/wash').station).toMatchObject({ sort: 'board', name: 'Board, you' });
    expect(step('a/wash').person?.id).toBe('cook');
    expect(step('a/soak').station.sort).toBe('shelf');
    expect(step('a/wash').amounts).toEqual(['300 g millet']);
  });

  it('tells how long a step may take and what it follows at once', () => {
    const cover = step('a/cover');
    expect(cover.shortestEnd).toBe(cover.start + 12);
    expect(cover.longestEnd).toBe(cover.start + 20);
    expect(cover.follows).toBe('a/boil');
    expect(step('a/boil').follows).toBeNull();
    expect(step('a/boil').after).toEqual(['a/soak']);
  });

  it('says why a step stands where it does, and how much it could slip', () => {
    const last = plan.landings.map((landing) => step(`${landing.dishId}/rest`));
    for (const each of last) expect(each.why).toMatch(/table/);
    expect(step('a/cover').why).toMatch(/“rest” follows at \d\d:\d\d/);
    for (const each of plan.steps) {
      expect(each.slack).toBeGreaterThanOrEqual(0);
      // What must be over before something else cannot have more room than that.
      for (const key of each.after)
        expect(step(key).slack).toBeLessThanOrEqual(each.slack + each.start - step(key).end);
    }
  });

  it('lists landings, what waits, the stations in the order of the kitchen, and the hands', () => {
    for (const landing of plan.landings) {
      expect(landing.waits).toBe(Math.max(0, -landing.ready));
      expect(landing.fine).toBe(landing.waits <= 10 ? 'well' : 'long');
      // Hot food that waits says how hot it will still be; what goes straight to the table has nothing to say.
      expect(landing.celsius !== undefined).toBe(landing.waits > 0);
      if (!landing.celsius) continue;
      expect(landing.celsius.likely).toBeLessThan(92);
      expect(landing.celsius.low).toBeLessThanOrEqual(landing.celsius.high);
    }
    for (const wait of plan.waitings) expect(wait.to).toBeGreaterThan(wait.from);
    const sorts = plan.stations.map((station) => station.sort);
    expect(sorts[0]).toBe('board');
    expect(sorts.at(-1)).toBe('shelf');
    const busy = plan.hands[0]!.busy;
    expect(busy.reduce((sum, each) => sum + each.end - each.start, 0)).toBe(
      plan.steps.filter((each) => each.person).reduce((sum, each) => sum + each.end - each.start, 0),
    );
    expect(plan.firstHand).toBe(Math.min(...plan.steps.filter((each) => each.person).map((each) => each.start)));
  });

  it('is kept to the minute in mid-meal while it stands, and left when it does not', async () => {
    const now = plan.steps[0]!.start;
    const progress = { now, done: new Map(), running: new Map() };
    const solving = { ...TEST_CLOCK, seconds: 10, rounds: 4 };
    const same = await planMeal(meal, { progress, known: knownPlan(plan), solve: solving });
    if (!same.ok) throw new Error('no plan');
    const places = (of: Plan) => of.steps.map((each) => [each.key, each.start, each.station.id]);
    expect(places(same.plan)).toEqual(places(plan));
    // Five minutes later nothing has begun: what should have must move, and nothing stands in the past.
    const later = await planMeal(meal, {
      progress: { ...progress, now: now + 5 },
      known: knownPlan(plan),
      solve: solving,
    });
    if (!later.ok) throw new Error('no plan');
    expect(Math.min(...later.plan.steps.map((each) => each.start))).toBeGreaterThanOrEqual(now + 5);
  });

  it('goes back towards the hours it had when what was feared to be late is over sooner', async () => {
    const [first] = plan.steps;
    const rest = async (known: Plan, now: number, running: object, done: object) => {
      const progress = { now, running: new Map(Object.entries(running)), done: new Map(Object.entries(done)) };
      const result = await planMeal(meal, {
        progress,
        known: knownPlan(known),
        solve: { ...TEST_CLOCK, seconds: 10, rounds: 4 },
      });
      if (!result.ok) throw new Error('no plan');
      return result.plan;
    };
    const { key, start, end } = first!;
    const hours = (of: Plan) =>
      new Map(of.steps.filter((each) => each.key !== key).map((each) => [each.key, each.start]));
    const feared = await rest(plan, end, { [key]: { start, end: end + 9 } }, {});
    const [before, pushedOn] = [hours(plan), hours(feared)];
    expect([...before].some(([each, hour]) => pushedOn.get(each)! > hour)).toBe(true);
    const after = hours(await rest(feared, end + 1, {}, { [key]: { start, end: end + 1 } }));
    for (const [each, hour] of after) {
      expect(hour).toBeGreaterThanOrEqual(before.get(each)!);
      expect(hour).toBeLessThanOrEqual(Math.max(before.get(each)! + 1, end + 1));
    }
  });

  it('is the same for a kitchen whose units are listed in another order', async () => {
    const turned = { ...smallKitchen, burners: [...smallKitchen.burners].reverse() };
    const other = await planned({ ...meal, kitchen: turned });
    expect(other.cost).toBe(plan.cost);
  });
});

describe('fitting in what runs', () => {
  const running = (key: string) => key === 'r';
  const step = (id: string, minutes: number, pools = {}) => ({ id, minutes, pools });

  it('counts a running step only as far as the pools have room for it', () => {
    const pools = [{ id: 'eyes', capacity: 1, away: [[0, 10, 1] as const] }];
    expect(withinPools([step('r', 5, { eyes: 1 }), step('s', 5, { eyes: 1 })], pools, running)).toEqual([
      step('r', 5),
      step('s', 5, { eyes: 1 }),
    ]);
    expect(withinPools([step('r', 5, { eyes: 1 })], [{ id: 'eyes', capacity: 1 }], running)).toEqual([
      step('r', 5, { eyes: 1 }),
    ]);
  });

  it('keeps a unit at work until what runs on it is over, with its breath', () => {
    const steps = [{ ...step('r', 7), units: [[{ id: 'hob', cost: 0 }]] }];
    const hold = { id: 'who r', from: 'r', to: 'r', after: 3, units: [{ id: 'cook', cost: 0 }] };
    expect([...workUntil(steps, [], running)]).toEqual([['hob', 7]]);
    expect([...workUntil(steps, [hold], running)]).toEqual([
      ['hob', 7],
      ['cook', 10],
    ]);
  });

  it('takes a breath away where the next thing must follow at once', () => {
    const problem = {
      format: 'warm-cadence/problem' as const,
      version: 1 as const,
      horizon: 60,
      serve: 50,
      units: [{ id: 'cook' }],
      pools: [],
      states: [],
      steps: [step('a', 5), step('b', 5)],
      holds: ['a', 'b'].map((id) => ({
        id: `who ${id}`,
        from: id,
        to: id,
        after: 4,
        units: [{ id: 'cook', cost: 0 }],
      })),
      links: [{ from: 'a', at: 'end' as const, to: 'b', of: 'start' as const, min: 0, max: 1 }],
      ready: [],
    };
    const breaths = ['a', 'b'].map((key, hold) => ({ hold, key, breath: 4 }));
    expect(fitBreaths(problem, breaths).map((hold) => hold.after)).toEqual([1, 4]);
  });

  it('says in one sentence when everything hot lands: at one hour, or between two', async () => {
    const one = await planned(mealOf([plainGrain()]));
    const [landing] = one.landings;
    const hour = printClock(clockMinutes(one.hour) + landing!.ready);
    expect(one.verdict).toMatch(
      new RegExp(`^(In \\d+ of 20 rehearsed evenings|Whatever happens) .+ Everything hot lands at ${hour}\\.`),
    );
    const apart = mealOf([plainGrain('a'), plainGrain('b')], { pins: [{ key: 'a/rest', start: -18 }] });
    expect((await planned(apart)).verdict).toMatch(/\. Everything hot lands between 18:52 and (?:18:5[3-9]|19:00)\./);
  });
});
