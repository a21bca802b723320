import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import type { Meal } from '@/core/meal/meal';
import { cookEach } from '@/core/risk/rehearse';
import { seededRandom } from '@/core/schedule/random';
import { drainedGrain, friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { assuredOf } from './assured';
import { compile } from './compile';
import { knownPlan, type Plan } from './plan';
import { courseOfPlan, type PlanCourse } from './plan-course';
import { sayAssured, sayOdds } from './say-odds';
import { NOT_TASTED, ON_TIME } from './well-landed';

function looked(meal: Meal, plan: Plan) {
  const compiled = compile(meal, { known: knownPlan(plan), roomShare: 0 });
  if (!compiled.ok) throw new Error('What was planned compiles.');
  return { likely: compiled.likely, made: courseOfPlan(compiled, plan) };
}

/** The same plan with every step begun so many minutes sooner. */
const earlier = (made: PlanCourse, minutes: number): PlanCourse => ({
  ...made,
  course: { ...made.course, planned: made.course.planned.map((minute) => minute - minutes) },
});

/** Minutes by which the table is late in evenings in which each step takes its shortest or its longest minutes, or anything between. */
function tablesAtTheEnds({ course, landings }: PlanCourse, serve: number, evenings: number): readonly number[] {
  const random = seededRandom(3);
  const minutes = Int32Array.from({ length: evenings * course.n }, (_, at) => {
    const step = at % course.n;
    const [low, high] = [course.shortest[step]!, course.longest[step]!];
    return random.below(3) === 0 ? low + random.below(high - low + 1) : random.below(2) === 0 ? low : high;
  });
  const late: number[] = [];
  cookEach(course, { evenings, minutes }, (ends) => {
    late.push(Math.max(0, ...landings.map(({ landing, at }) => ends[at]! - serve - (landing.after ?? 0))));
    return true;
  });
  return late;
}

describe('what is sure whatever happens', () => {
  it('is all of it where a dish keeps as long as it may take, and is then said so', async () => {
    const meal = mealOf([friedGreens(12)], { sureness: 'sure' });
    const plan = await planned(meal);
    expect(plan.odds!.assured).toEqual({ onTime: 1, good: 1, breaks: [], mends: [] });
    const words = 'Whatever happens within these minutes, all is well on the table by 19:05.';
    expect(sayOdds(plan.odds!, meal)).toBe(words);
    expect(plan.verdict).toContain(words);
    expect(sayAssured(plan.odds!.assured!, plan, meal)).toHaveLength(1);
    const { likely, made } = looked(meal, plan);
    expect(Math.max(...tablesAtTheEnds(made, likely.serve, 500))).toBeLessThanOrEqual(ON_TIME);
  });

  it('is not that a dish is at its best which cannot be known to be done: it would have to keep longer', async () => {
    // Eight minutes between the shortest and the longest, five forgiven at the table, three on the tongue: nought to keep.
    const sure = async (well: number) =>
      (await planned(mealOf([friedGreens(well)], { sureness: 'sure' }))).odds!.assured!;
    const meal = mealOf([{ ...friedGreens(0), steps: friedGreens(0).steps.map(longer) }], { sureness: 'sure' });
    const plan = await planned(meal);
    const assured = looked(meal, plan);
    const found = assuredOf(assured.likely, assured.made);
    expect(found.good).toBeLessThan(1);
    expect(found.breaks).toEqual(['greens/fry']);
    expect((await sure(4)).good).toBe(1);
    const words = sayAssured(found, plan, meal).join(' ');
    expect(words).toMatch(/Against more stands fry \(Greens, \d+ to \d+ min\)\./);
  });

  it('says by how many minutes a plan begins too late, and no fewer would do', async () => {
    const meal = mealOf([friedGreens(12), plainGrain('a')]);
    const plan = await planned(meal);
    const { likely, made } = looked(meal, plan);
    const { onTime, mends } = assuredOf(likely, made);
    expect(onTime).toBeLessThan(1);
    const [mend] = mends;
    if (mend?.by !== 'sooner') throw new Error('It begins too late.');
    expect(assuredOf(likely, earlier(made, mend.minutes)).onTime).toBe(1);
    expect(assuredOf(likely, earlier(made, mend.minutes - 1)).onTime).toBeLessThan(1);
    const late = tablesAtTheEnds(made, likely.serve, 500);
    expect(Math.max(...late)).toBeGreaterThan(ON_TIME);
    expect(sayAssured({ onTime, good: 0, breaks: [], mends }, plan, meal).at(-1)).toBe(
      `It would be sure whatever happens, begun ${mend.minutes} min sooner.`,
    );
  });

  it('says how much longer a dish would have to keep, and with that it is sure', async () => {
    const both = (well: number) => mealOf([{ ...friedGreens(well), steps: friedGreens(well).steps.map(longer) }]);
    const plan = await planned(both(1));
    const { likely, made } = looked(both(1), plan);
    const soon = earlier(made, 30);
    const found = assuredOf(likely, soon);
    expect(found).toMatchObject({ onTime: 1, mends: [{ by: 'waits', dishId: 'greens' }] });
    const minutes = found.mends[0]!.minutes;
    const kept = (more: number): PlanCourse => ({
      ...soon,
      landings: soon.landings.map(({ landing, at }) => ({ at, landing: { ...landing, wellMinutes: 1 + more } })),
    });
    expect(assuredOf(likely, kept(minutes)).good).toBe(1);
    expect(assuredOf(likely, kept(minutes - 2)).good).toBeLessThan(1);
    expect(minutes + 1 + NOT_TASTED + ON_TIME).toBeGreaterThanOrEqual(26 - 8);
  });

  it('is never more than evenings at the ends of all ranges show', async () => {
    for (const sureness of ['sure', 'even', 'short'] as const) {
      for (const dishes of [
        [plainGrain('a'), drainedGrain()],
        [plainGrain('a'), friedGreens(8)],
        [drainedGrain(), friedGreens(15)],
      ]) {
        const meal = mealOf(dishes, { sureness });
        const plan = await planned(meal);
        const { likely, made } = looked(meal, plan);
        const late = Math.max(...tablesAtTheEnds(made, likely.serve, 300));
        if (late > ON_TIME) expect(plan.odds!.assured!.onTime).toBeLessThan(1);
      }
    }
  });
});

/** Fried for up to 26 minutes. */
function longer(step: Dish['steps'][0]): Dish['steps'][0] {
  return step.id === 'fry' ? { ...step, minutes: { ...step.minutes, longest: 26 } } : step;
}
