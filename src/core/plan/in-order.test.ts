import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { chop, dish, simmer, waits } from '@/core/dish/write';
import type { Meal } from '@/core/meal/meal';
import { TEST_CLOCK } from '@/core/testing/clock';
import { baked, mealOf, planned, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import { pushedOn } from './in-order';
import { knownSchedule } from './made';
import { knownPlan, type Plan } from './plan';
import { planMeal } from './plan-meal';
import type { KnownPlan, Progress } from './progress';

const two = {
  ...smallKitchen,
  people: [...smallKitchen.people, { ...smallKitchen.people[0]!, id: 'second', name: 'second' }],
};

/** Cut, and good for an hour. */
const salad = (id: string, minutes = 10): Dish =>
  dish({
    id,
    name: `Salad ${id}`,
    servings: 4,
    ingredients: [],
    steps: [chop('cut', 'cut', minutes, 'Cut.')],
    links: [],
    lands: { step: 'cut', waits: waits('cold', 60, 120, 'covered') },
  });

async function rest(meal: Meal, progress: Progress, known: KnownPlan): Promise<Plan> {
  const result = await planMeal(meal, { progress, known, solve: { ...TEST_CLOCK, seconds: 10, rounds: 4 } });
  if (!result.ok) throw new Error(result.refusals.map(({ sentence }) => sentence).join('\n'));
  return result.plan;
}

const at = (plan: Plan, key: string) => plan.steps.find((step) => step.key === key)!;

/** What of a plan has begun and ended by a minute, all as it was meant. */
function sofar(plan: Plan, now: number): Progress {
  const spans = Object.entries(plan.known.places).map(([key, { start, end }]) => [key, { start, end }] as const);
  return {
    now,
    done: new Map(spans.filter(([, { end }]) => end <= now)),
    running: new Map(spans.filter(([, { start, end }]) => start <= now && end > now)),
  };
}

describe('an oven in mid-meal', () => {
  // The last one wants less heat, so that it comes after the others.
  const meal = mealOf([baked('a', 180, 50), baked('b', 180, 30), { ...baked('c', 80, 15) }], { kitchen: two });

  it('that has its heat is not warmed again for what goes in beside what bakes, though it is to be cooler later', async () => {
    const plan = await planned(meal);
    const b = at(plan, 'b/cut');
    expect(at(plan, 'c/bake').start).toBeGreaterThanOrEqual(at(plan, 'b/bake').end);
    expect(at(plan, 'a/bake').start).toBeLessThan(b.end);
    // The board is two minutes late, when there is just time enough to put it in.
    const now = b.end;
    const { done, running } = sofar(plan, now);
    const late = {
      now,
      done: new Map([...done].filter(([key]) => key !== 'b/cut' && key !== 'b/bake~warm')),
      running: new Map([
        ...[...running].filter(([key]) => !key.startsWith('b/')),
        ['b/cut', { start: b.start, end: now + 2 }],
      ] as const),
    };
    const known = knownPlan(plan);
    const waiting = known.places.get('b/bake')!;
    const soon = { ...waiting, start: now, end: now + (waiting.end - waiting.start) };
    const next = await rest(meal, late, { ...known, places: new Map([...known.places, ['b/bake', soon]]) });
    expect(at(next, 'b/bake').start).toBe(now + 2);
    expect(next.steps.some(({ key, start }) => key === 'b/bake~warm' && start >= now)).toBe(false);
    expect(at(next, 'c/bake').start).toBeGreaterThanOrEqual(at(next, 'b/bake').end);
  });

  it('that is to be cooler first is warmed again', async () => {
    const plan = await planned(meal);
    const known = knownPlan(plan);
    const a = at(plan, 'a/bake');
    // By this plan the cool one comes next, then the second hot one.
    const behind = (key: string, start: number, minutes: number) =>
      [key, { ...known.places.get(key)!, start, end: start + minutes }] as const;
    const places = new Map([
      ...known.places,
      behind('c/bake~warm', a.end, 2),
      behind('c/bake', a.end + 2, 15),
      behind('b/bake~warm', a.end + 17, 10),
      behind('b/bake', a.end + 27, 30),
    ]);
    const now = a.end - 1;
    const { done, running } = sofar(plan, now);
    const others = (key: string) => !key.startsWith('b/bake') && !key.startsWith('c/bake');
    const progress = {
      now,
      done: new Map([...done].filter(([key]) => others(key))),
      running: new Map([...running].filter(([key]) => others(key))),
    };
    const warms = (inOrder: KnownPlan) => {
      const compiled = compile(meal, { progress, known: inOrder });
      return compiled.ok && compiled.likely.steps.some(({ id }) => id === 'b/bake~warm');
    };
    expect(warms({ ...known, places })).toBe(true);
    expect(warms(known)).toBe(false);
  });
});

describe('what is pushed on in mid-meal', () => {
  const meal = mealOf([salad('a'), salad('b'), salad('c', 4)], { kitchen: two, sureness: 'short' });
  const placed = (known: KnownPlan, hours: Readonly<Record<string, number>>, minutes: number): KnownPlan => ({
    places: new Map(
      [...known.places].map(([key, place]) => {
        const start = hours[key]!;
        return [key, { ...place, start, end: start + minutes }] as const;
      }),
    ),
    holds: known.holds,
  });

  it('has other hands where its own are busy for long, and its own where they are free soon', async () => {
    const plan = await planned(meal);
    const known = placed(knownPlan(plan), { 'a/cut': -60, 'b/cut': -44, 'c/cut': -30 }, 10);
    const one = [...known.holds.values()].find((unit) => unit === 'person:cook')!;
    const alone = { ...known, holds: new Map([...known.holds].map(([hold]) => [hold, one] as const)) };
    const busyUntil = async (end: number) => {
      const running = new Map([['a/cut', { start: -60, end }]]);
      const next = await rest(meal, { now: -50, done: new Map(), running }, alone);
      const step = at(next, 'b/cut');
      return { start: step.start, by: step.person?.id };
    };
    expect(await busyUntil(-46)).toMatchObject({ by: 'cook' });
    expect(await busyUntil(-35)).toEqual({ start: -44, by: 'second' });
  });

  it('leaves what was begun before its hour where it is', async () => {
    const plan = await planned(meal);
    const known = placed(knownPlan(plan), { 'a/cut': -60, 'b/cut': -40, 'c/cut': -30 }, 10);
    const wanted = new Map([...known.places].map(([key, place]) => [key, { ...place, wanted: place.start }] as const));
    const progress = {
      now: -55,
      running: new Map([['b/cut', { start: -58, end: -48 }]]),
      done: new Map([['a/cut', { start: -70, end: -60 }]]),
    };
    const options = { progress, known: { ...known, places: wanted } };
    const compiled = compile(meal, options);
    if (!compiled.ok) throw new Error('refused');
    expect(pushedOn(compiled, knownSchedule(compiled, options), options).starts).toEqual({ 'b/cut': 0, 'c/cut': 25 });
  });

  it('has another burner where its own is busy for long, but comes to the boil on its own', async () => {
    const fried = (id: string, step: Dish['steps'][number]): Dish =>
      dish({
        id,
        name: `Fried ${id}`,
        servings: 4,
        ingredients: [],
        steps: [step],
        links: [],
        lands: { step: 'fry', waits: waits('hot', 30, 60, 'covered') },
      });
    const boil = { by: 'boil', litres: 1, fromCelsius: 15, covered: true } as const;
    for (const grows of [{ by: 'nothing' } as const, boil]) {
      const fry = { ...simmer('fry', 'fry', 'medium', 10, 'Fry.'), grows };
      const meal = mealOf([fried('a', simmer('fry', 'fry', 'medium', 10, 'Fry.')), fried('b', fry)], { kitchen: two });
      const plan = await planned(meal);
      const known = placed(knownPlan(plan), { 'a/fry': -60, 'b/fry': -45 }, 10);
      const places = new Map(
        [...known.places].map(([key, place]) => [key, { ...place, units: ['burner:big'] }] as const),
      );
      const progress = { now: -50, done: new Map(), running: new Map([['a/fry', { start: -60, end: -30 }]]) };
      const options = { progress, known: { ...known, places } };
      const compiled = compile(meal, options);
      if (!compiled.ok) throw new Error('refused');
      const { starts, units } = pushedOn(compiled, knownSchedule(compiled, options), options);
      const [start, burner] = grows.by === 'boil' ? [20, 'burner:big'] : [5, 'burner:small'];
      expect([starts['b/fry'], units['b/fry']]).toEqual([start, [burner]]);
    }
  });
});
