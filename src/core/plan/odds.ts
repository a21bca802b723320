import { readUnit } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { bare } from '@/core/plain/record';
import { type Course, courseOf } from '@/core/risk/course';
import { drawMinutes, type Rehearsed, rehearse, USUAL_SHARED } from '@/core/risk/rehearse';
import type { Schedule } from '@/core/schedule/problem';
import { compile } from './compile';
import type { Landing, Plan } from './plan';
import type { Progress } from './progress';

/** Minutes after its hour within which a table is on time. Common practice, no source. */
export const ON_TIME = 5;
/** Minutes beyond its good wait that nobody tastes. Common practice, no source. */
export const NOT_TASTED = 3;

/** Where a dish lands over many evenings. Minutes are relative to the table's hour; shares are from 0 to 1. */
export interface DishOdds {
  readonly dishId: string;
  readonly dishName: string;
  /** Minutes in which it is ready: in one of twenty evenings sooner, in half of them, in one of twenty later. */
  readonly ready: readonly [soon: number, middle: number, late: number];
  /** Minutes it waits for the table, the same way. */
  readonly waits: readonly [short: number, middle: number, long: number];
  /** Evenings in which it is what comes later than five minutes after the hour. */
  readonly late: number;
  /** Evenings in which it is hot and good, or cold and good, when the table is laid. */
  readonly good: number;
}

/** What makes evenings late. */
export interface Cause {
  readonly key: string;
  /** Evenings in a hundred that would be on time if it took its likely minutes. */
  readonly odds: number;
}

/** How an evening may go: what many rehearsed evenings came to. Shares are from 0 to 1. */
export interface Odds {
  readonly evenings: number;
  /** On the table within five and ten minutes of its hour. */
  readonly within5: number;
  readonly within10: number;
  /** On the table within five minutes, and every hot dish within its good wait and three minutes. */
  readonly good: number;
  /** Minutes after its hour at which all is on the table, in 5, 25, 50, 75, 90 and 95 of a hundred evenings at the latest. */
  readonly table: readonly number[];
  readonly dishes: readonly DishOdds[];
  /** The steps that decide, the worst first. */
  readonly causes: readonly Cause[];
}

/** Shares for which the hour of the table is told. */
export const TABLE_SHARES = [0.05, 0.25, 0.5, 0.75, 0.9, 0.95] as const;
/** Steps that are tried as causes, the most likely first, and what is worth telling. */
const TRIED_CAUSES = 8;
const WORTH_TELLING = 0.01;

/** A plan made ready to be rehearsed. */
export interface PlanCourse {
  readonly course: Course;
  /** Minute 0 of the course relative to the table. */
  readonly origin: number;
  readonly landings: readonly { readonly landing: Landing; readonly at: number }[];
}

/** How many evenings, by which chance. */
export interface RehearsalOptions {
  readonly evenings: number;
  readonly seed: number;
  readonly shared?: number;
  readonly progress?: Progress;
}

/** The course of a plan: its steps as they wait for each other; null where the meal cannot be planned. */
export function courseOfPlan(meal: Meal, plan: Plan, progress?: Progress): PlanCourse | null {
  const known = {
    places: new Map(Object.entries(plan.known.places)),
    holds: new Map(Object.entries(plan.known.holds)),
  };
  const compiled = compile(meal, { known, roomShare: 0, ...(progress ? { progress } : {}) });
  if (!compiled.ok) return null;
  const { likely, origin } = compiled;
  const starts = bare<number>();
  const units = bare<readonly string[]>();
  for (const { id, latest } of likely.steps) {
    const place = known.places.get(id);
    starts[id] = latest === 0 ? 0 : (place?.start ?? origin) - origin;
    if (place) units[id] = place.units;
  }
  const schedule: Schedule = { starts, units, holds: bare(known.holds) };
  const course = courseOf(likely, schedule, (unit) => readUnit(unit).sort === 'person');
  const landings = plan.landings.flatMap((landing) => {
    const last = plan.steps.filter(({ dishId, end }) => dishId === landing.dishId && end === landing.ready).at(-1);
    const at = last ? course.ids.indexOf(last.key) : -1;
    return at < 0 ? [] : [{ landing, at }];
  });
  return { course, origin, landings };
}

/** The odds of a plan, from so many rehearsed evenings; null where the meal cannot be planned, or nothing is left to land. */
export function oddsOf(meal: Meal, plan: Plan, options: RehearsalOptions): Odds | null {
  const made = courseOfPlan(meal, plan, options.progress);
  if (!made || made.landings.length === 0) return null;
  const chance = { seed: options.seed, shared: options.shared ?? USUAL_SHARED };
  const again = (course: Course) => rehearse(course, drawMinutes(course, options.evenings, chance));
  return readOdds(made, again(made.course), plan, again);
}

/** Reads the odds from rehearsed evenings; `again` rehearses a changed course by the same chance. */
function readOdds(made: PlanCourse, rehearsed: Rehearsed, plan: Plan, again: (course: Course) => Rehearsed): Odds {
  const { evenings } = rehearsed;
  const tables = tablesOf(made, rehearsed, plan);
  const share = (is: (evening: number) => boolean) => {
    let count = 0;
    for (let evening = 0; evening < evenings; evening++) if (is(evening)) count++;
    return count / evenings;
  };
  const { n } = made.course;
  const readyOf = (at: number, evening: number) => rehearsed.ends[evening * n + at]! + made.origin;
  const isStale = ({ landing, at }: PlanCourse['landings'][0], evening: number) =>
    landing.served === 'hot' &&
    Math.max(landing.after ?? 0, tables[evening]!) - readyOf(at, evening) > landing.wellMinutes + NOT_TASTED;
  const dishes = made.landings.map((each): DishOdds => {
    const { landing, at } = each;
    const by = landing.after ?? 0;
    const ready = Int32Array.from({ length: evenings }, (_, evening) => readyOf(at, evening)).sort();
    const waits = Int32Array.from({ length: evenings }, (_, evening) =>
      Math.max(0, Math.max(by, tables[evening]!) - readyOf(at, evening)),
    ).sort();
    const three = (sorted: Int32Array) =>
      [0.05, 0.5, 0.95].map((part) => quantileOf(sorted, part)) as [number, number, number];
    return {
      dishId: landing.dishId,
      dishName: landing.dishName,
      ready: three(ready),
      waits: three(waits),
      late: share((evening) => readyOf(at, evening) - by > ON_TIME),
      good: share((evening) => readyOf(at, evening) - by <= ON_TIME && !isStale(each, evening)),
    };
  });
  const sorted = Int32Array.from(tables).sort();
  const within5 = share((evening) => tables[evening]! <= ON_TIME);
  return {
    evenings,
    within5,
    within10: share((evening) => tables[evening]! <= 2 * ON_TIME),
    good: share(
      (evening) => tables[evening]! <= ON_TIME && !made.landings.some((landing) => isStale(landing, evening)),
    ),
    table: TABLE_SHARES.map((part) => quantileOf(sorted, part)),
    dishes,
    causes: causesOf(made, rehearsed, tables, within5, plan, again),
  };
}

/** Minute after its hour at which all is on the table, for each evening; what is to come later counts from its own minute. */
function tablesOf({ course, origin, landings }: PlanCourse, { evenings, ends }: Rehearsed, plan: Plan): Int32Array {
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
function causesOf(
  made: PlanCourse,
  { evenings, starts, ends }: Rehearsed,
  tables: Int32Array,
  within5: number,
  plan: Plan,
  again: (course: Course) => Rehearsed,
): readonly Cause[] {
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
