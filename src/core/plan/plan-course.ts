import { readUnit } from '@/core/meal/keys';
import { bare, own } from '@/core/plain/record';
import { type Course, courseOf, type Roles } from '@/core/risk/course';
import type { Compiled } from './compile';
import type { Landing, Plan, PlannedStep } from './plan';
import { EYES, HANDS, HEAT } from './resources';
import { COST } from './weights';

/** A plan made ready to be rehearsed. */
export interface PlanCourse {
  readonly course: Course;
  /** Minute 0 of the course relative to the table. */
  readonly origin: number;
  readonly landings: readonly { readonly landing: Landing; readonly at: number }[];
}

/** As much of a plan as a rehearsal asks for: its places, when its steps end (in the order of the plan), and where its dishes land. */
export interface Rehearsable extends Pick<Plan, 'known' | 'landings'> {
  readonly steps: readonly Pick<PlannedStep, 'key' | 'dishId' | 'end'>[];
}

/** A plan of a compiled meal, ready to be rehearsed. */
export function courseOfPlan(compiled: Compiled, plan: Rehearsable): PlanCourse {
  const { likely, origin } = compiled;
  const starts = bare<number>();
  const units = bare<readonly string[]>();
  for (const { id, latest } of likely.steps) {
    const place = own(plan.known.places, id);
    starts[id] = latest === 0 ? 0 : (place?.start ?? origin) - origin;
    if (place) units[id] = place.units;
  }
  const course = courseOf(likely, { starts, units, holds: plan.known.holds }, rolesIn(compiled));
  const landings = plan.landings.flatMap((landing) => {
    const last = plan.steps.filter(({ dishId, end }) => dishId === landing.dishId && end === landing.ready).at(-1);
    const at = last ? course.ids.indexOf(last.key) : -1;
    return at < 0 ? [] : [{ landing, at }];
  });
  return { course, origin, landings };
}

/** Hands are lent, food waits for its shelf, who watches one pot more than is easy still watches it, and what is kept warm is so until its hour. */
export function rolesIn({ stretch }: Pick<Compiled, 'stretch'>): Roles {
  return {
    isPerson: (unit) => readUnit(unit).sort === 'person',
    isKept: (pool) => pool !== HANDS && pool !== EYES && pool !== HEAT,
    stretchOf: (step) => stretch.get(step),
    isLag: ({ early, late }) => early === 0 && late === COST.missedLag,
  };
}
