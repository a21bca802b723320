import type { Meal } from '@/core/meal/meal';
import { type Course, waitsFrom } from '@/core/risk/course';
import { drawMinutes, type Rehearsed, rehearse, USUAL_SHARED } from '@/core/risk/rehearse';
import { assuredOf } from './assured';
import { type Compiled, compile } from './compile';
import { mealAsPlanned } from './keeps';
import { type Assured, type Cause, type DishOdds, knownPlan, type Odds, type Plan } from './plan';
import { courseOfPlan, type PlanCourse, type Rehearsable } from './plan-course';
import { NOT_TASTED, ON_TIME, TABLE_SHARES } from './well-landed';

/** Steps that are tried as causes, the most likely first, and what is worth telling. */
const TRIED_CAUSES = 8;
const WORTH_TELLING = 0.01;

/** How many evenings, by which chance. */
export interface RehearsalOptions {
  readonly evenings: number;
  readonly seed: number;
  readonly shared?: number;
  /** False: what makes evenings late, and what is sure, is not looked for. */
  readonly causes?: boolean;
}

/** A plan that was rehearsed: the shares that two plans are compared by, and all of its odds when they are asked for. */
export interface RehearsedPlan {
  /** Share of the evenings, 0 to 1, on the table within five minutes of the hour. */
  readonly within5: number;
  /** Share of the evenings, 0 to 1, that are so with every hot dish within its good wait. */
  readonly good: number;
  readonly odds: () => Odds;
}

/** Rehearses a plan on so many evenings; undefined where nothing is left to land. */
export function rehearsedPlan(
  compiled: Compiled,
  plan: Rehearsable,
  options: RehearsalOptions,
): RehearsedPlan | undefined {
  const made = courseOfPlan(compiled, plan);
  if (made.landings.length === 0) return undefined;
  const chance = { seed: options.seed, shared: options.shared ?? USUAL_SHARED };
  const again = (course: Course) => rehearse(course, drawMinutes(course, options.evenings, chance));
  const seen = lookAt(made, again(made.course), plan);
  const odds = () => {
    if (options.causes === false) return readOdds(seen, plan, null);
    const all = readOdds(seen, plan, again);
    return { ...all, assured: believed(assuredOf(compiled.likely, made), all) };
  };
  return { within5: seen.within5, good: seen.good, odds };
}

/** The odds of a plan, from so many rehearsed evenings; undefined where nothing is left to land. */
export function oddsOf(compiled: Compiled, plan: Rehearsable, options: RehearsalOptions): Odds | undefined {
  return rehearsedPlan(compiled, plan, options)?.odds();
}

/** People who help each other out may get in each other's way: what one rehearsed evening missed is not called sure. */
function believed(assured: Assured, { within5, good }: Odds): Assured {
  const most = (share: number, seen: number) => (seen < 1 ? Math.min(share, NEARLY_SURE) : share);
  return { ...assured, onTime: most(assured.onTime, within5), good: most(assured.good, good) };
}

const NEARLY_SURE = 0.95;

/** The odds of a plan that was made before, by its meal. */
export function oddsOfMeal(meal: Meal, plan: Plan, options: RehearsalOptions): Odds | undefined {
  const known = knownPlan(plan);
  const compiled = compile(mealAsPlanned(meal, plan), { known, roomShare: 0 });
  return compiled.ok ? oddsOf(compiled, plan, options) : undefined;
}

/** Rehearsed evenings of a plan, one by one, to be looked at. */
export interface LookedAt {
  /** Minutes relative to the table, by step of the plan: when it began and when it was over. */
  readonly steps: ReadonlyMap<string, { readonly start: number; readonly end: number }>;
  /** Minute at which all was on the table. */
  readonly table: number;
  /** On the table within five minutes, every hot dish within its good wait and three minutes. */
  readonly good: boolean;
}

/** So many evenings of a plan, each whole; none where the meal cannot be planned. */
export function eveningsOf(meal: Meal, plan: Plan, { evenings, seed, shared }: RehearsalOptions): readonly LookedAt[] {
  const compiled = compile(mealAsPlanned(meal, plan), { known: knownPlan(plan), roomShare: 0 });
  if (!compiled.ok) return [];
  const made = courseOfPlan(compiled, plan);
  const { course, origin } = made;
  const rehearsed = rehearse(course, drawMinutes(course, evenings, { seed, shared: shared ?? USUAL_SHARED }));
  const tables = tablesOf(made, rehearsed, plan);
  const planned = new Set(plan.steps.map(({ key }) => key));
  return Array.from({ length: evenings }, (_, evening) => {
    const at = (times: Int32Array, step: number) => times[evening * course.n + step]! + origin;
    const table = tables[evening]!;
    const isWell = !made.landings.some((each) => isStale(made, rehearsed, tables, each, evening));
    return {
      steps: new Map(
        course.ids.flatMap((id, step) =>
          planned.has(id) ? [[id, { start: at(rehearsed.starts, step), end: at(rehearsed.ends, step) }] as const] : [],
        ),
      ),
      table,
      good: table <= ON_TIME && isWell,
    };
  });
}

/** Rehearsed evenings of a plan, with what is seen of them at once. */
interface Seen {
  readonly made: PlanCourse;
  readonly rehearsed: Rehearsed;
  /** Minute after its hour at which all is on the table, for each evening. */
  readonly tables: Int32Array;
  readonly within5: number;
  readonly good: number;
}

function lookAt(made: PlanCourse, rehearsed: Rehearsed, plan: Rehearsable): Seen {
  const tables = tablesOf(made, rehearsed, plan);
  const onTime = (evening: number) => tables[evening]! <= ON_TIME;
  const isWell = (evening: number) =>
    onTime(evening) && !made.landings.some((landing) => isStale(made, rehearsed, tables, landing, evening));
  return { made, rehearsed, tables, within5: shareOf(rehearsed, onTime), good: shareOf(rehearsed, isWell) };
}

function shareOf({ evenings }: Rehearsed, is: (evening: number) => boolean): number {
  let count = 0;
  for (let evening = 0; evening < evenings; evening++) if (is(evening)) count++;
  return count / evenings;
}

/** Whether a dish waits longer than it does well on an evening. */
function isStale(
  { course, origin }: PlanCourse,
  { starts, ends }: Rehearsed,
  tables: Int32Array,
  { landing, at }: PlanCourse['landings'][0],
  evening: number,
): boolean {
  const table = Math.max(landing.after ?? 0, tables[evening]!);
  const here = evening * course.n + at;
  const nearly = (landing.after ?? 0) - landing.wellMinutes - origin;
  const ready = origin + waitsFrom(course, at, { start: starts[here]!, end: ends[here]! }, nearly);
  return landing.served === 'hot' && table - ready > landing.wellMinutes + NOT_TASTED;
}

/** Reads the odds from rehearsed evenings; `again` rehearses a changed course by the same chance. */
function readOdds(seen: Seen, plan: Rehearsable, again: ((course: Course) => Rehearsed) | null): Odds {
  const { made, rehearsed, tables, within5, good } = seen;
  const { evenings } = rehearsed;
  const { n } = made.course;
  const readyOf = (at: number, evening: number) => rehearsed.ends[evening * n + at]! + made.origin;
  const dishes = made.landings.map((each): DishOdds => {
    const { landing, at } = each;
    const by = landing.after ?? 0;
    const ready = Int32Array.from({ length: evenings }, (_, evening) => readyOf(at, evening)).sort();
    const waits = Int32Array.from({ length: evenings }, (_, evening) =>
      Math.max(0, Math.max(by, tables[evening]!) - readyOf(at, evening)),
    ).sort();
    const three = (sorted: Int32Array) =>
      [0.05, 0.5, 0.95].map((part) => quantileOf(sorted, part)) as [number, number, number];
    const isInTime = (evening: number) => readyOf(at, evening) - by <= ON_TIME;
    return {
      dishId: landing.dishId,
      dishName: landing.dishName,
      ready: three(ready),
      waits: three(waits),
      late: shareOf(rehearsed, (evening) => !isInTime(evening)),
      good: shareOf(rehearsed, (evening) => isInTime(evening) && !isStale(made, rehearsed, tables, each, evening)),
    };
  });
  const sorted = Int32Array.from(tables).sort();
  return {
    evenings,
    within5,
    within10: shareOf(rehearsed, (evening) => tables[evening]! <= 2 * ON_TIME),
    good,
    table: TABLE_SHARES.map((part) => quantileOf(sorted, part)),
    dishes,
    causes: again ? causesOf(seen, plan, again) : [],
  };
}

/** Minute after its hour at which all is on the table, for each evening; what is to come later counts from its own minute. */
function tablesOf(
  { course, origin, landings }: PlanCourse,
  { evenings, ends }: Rehearsed,
  plan: Rehearsable,
): Int32Array {
  const there = new Set(landings.map(({ landing }) => landing));
  const sure = plan.landings.reduce((late, landing) => (there.has(landing) ? late : Math.max(late, landing.late)), 0);
  return Int32Array.from({ length: evenings }, (_, evening) => {
    let table = sure;
    for (const { landing, at } of landings)
      table = Math.max(table, ends[evening * course.n + at]! + origin - (landing.after ?? 0));
    return table;
  });
}

function quantileOf(sorted: Int32Array, part: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
}

/** Steps whose minutes go with the table's, each tried for real: what the odds were, had it taken its likely minutes. */
function causesOf(seen: Seen, plan: Rehearsable, again: (course: Course) => Rehearsed): readonly Cause[] {
  const { made, rehearsed, tables, within5 } = seen;
  const { evenings, starts, ends } = rehearsed;
  if (within5 > 1 - WORTH_TELLING) return [];
  const { course } = made;
  const meanTable = tables.reduce((sum, each) => sum + each, 0) / evenings;
  const drawn = Array.from({ length: course.n }, (_, step) => {
    let mean = 0;
    for (let evening = 0; evening < evenings; evening++)
      mean += ends[evening * course.n + step]! - starts[evening * course.n + step]!;
    mean /= evenings;
    let together = 0;
    for (let evening = 0; evening < evenings; evening++) {
      const minutes = ends[evening * course.n + step]! - starts[evening * course.n + step]!;
      together += (minutes - mean) * (tables[evening]! - meanTable);
    }
    return { step, together };
  });
  const likeliest = drawn.filter(({ together }) => together > 0).sort((a, b) => b.together - a.together);
  return likeliest
    .slice(0, TRIED_CAUSES)
    .map(({ step }): Cause => {
      const [shortest, longest] = [course.shortest.slice(), course.longest.slice()];
      shortest[step] = course.likely[step]!;
      longest[step] = course.likely[step]!;
      const certain = again({ ...course, shortest, longest });
      const better = tablesOf(made, certain, plan).reduce((count, table) => count + (table <= ON_TIME ? 1 : 0), 0);
      return { key: course.ids[step]!, odds: better / evenings - within5 };
    })
    .filter(({ odds }) => odds >= WORTH_TELLING)
    .sort((a, b) => b.odds - a.odds);
}
