import { bare, own } from '@/core/plain/record';
import { courseOf } from '@/core/risk/course';
import { pushed } from '@/core/risk/rehearse';
import { withinLags } from '@/core/risk/within-lags';
import type { FoundSolution, Schedule } from '@/core/schedule/problem';
import { validate } from '@/core/schedule/validate';
import type { Compiled, CompileOptions } from './compile';
import { type Made, madeOf, once, type PlanOptions, rehearsedInBrief } from './made';
import type { Plan } from './plan';
import { rolesIn } from './plan-course';
import { COST } from './weights';

/**
 * The known plan with everything begun at the hour wanted at first, or as soon after as what it waits for allows: what a cook does who just goes
 * on, and makes up for minutes that were feared lost. What must not wait long for something that is late is begun later too.
 */
export function pushedOn(compiled: Compiled, known: Schedule, options: CompileOptions): Schedule {
  const { likely, origin } = compiled;
  if (likely.steps.some(({ id }) => own(known.starts, id) === undefined)) return known;
  const wanted = bare<number>();
  for (const { id } of likely.steps) {
    const hour = options.known?.places.get(id)?.wanted;
    wanted[id] = hour === undefined ? known.starts[id]! : hour - origin;
  }
  const course = courseOf(likely, { ...known, starts: wanted }, rolesIn(compiled));
  const on = pushed(course);
  const found = withinLags(course, likely, on) ?? on;
  const starts = bare<number>();
  for (const [index, id] of course.ids.entries()) starts[id] = found[index]!;
  return { ...known, starts };
}

/** Minutes late that rounding to whole minutes alone can make. */
const FORGIVEN = 1;

/**
 * In mid-meal the plan that the cook knows is kept as long as it breaks no rule, makes nothing late, spoils nothing and misses no hand-over: a
 * slightly better one is not worth learning anew.
 */
export function whileItStands({ likely: problem }: Compiled, known: Schedule): FoundSolution | null {
  if (problem.steps.some((step) => own(known.starts, step.id) === undefined)) return null;
  const { faults, cost } = validate(problem, known);
  if (faults.length > 0) return null;
  const isLate = problem.ready.some((row) => {
    const end = own(known.starts, row.step)! + (problem.steps.find((step) => step.id === row.step)?.minutes ?? 0);
    return row.late >= COST.missedLag && end > row.by + FORGIVEN;
  });
  // Where the hour was moved, what was in time may now stand too long: resting or holding longer is better than spoiling.
  const isSpoilt = problem.ready.some((row) => {
    const end = own(known.starts, row.step)! + (problem.steps.find((step) => step.id === row.step)?.minutes ?? 0);
    return row.early === COST.spoiling && end < row.by - row.hold - FORGIVEN;
  });
  if (isLate || isSpoilt) return null;
  return { format: 'warm-cadence/solution', version: 1, status: 'feasible', cost, bound: 0, milliseconds: 0, ...known };
}

/** So many more evenings must land before a plan that the cook knows gives way to another. */
const WORTH_LEARNING = 0.05;

/** In mid-meal: what was found, or everything in the order that the cook knows, where that breaks no rule and lands about as many evenings. */
export function orInOrder(found: Made, inOrder: Schedule, options: PlanOptions & CompileOptions): Made {
  const { seed = 1 } = options.solve;
  const { meal, compiled } = found;
  const { faults, cost } = validate(compiled.likely, inOrder);
  if (faults.length > 0) return found;
  const standing = { ...found.solution, ...inOrder, status: 'feasible', cost, bound: 0 } as const;
  const known = asWanted(madeOf(meal, compiled, standing), options);
  const rehearsed = (made: Made) => {
    const seen = rehearsedInBrief(made, seed);
    return { made: { ...made, odds: seen?.odds }, landed: seen ? (seen.within5 + seen.good) / 2 : 1 };
  };
  const [one, other] = [rehearsed(known), rehearsed(found)];
  const gain = other.landed - one.landed;
  if (Math.abs(gain) >= WORTH_LEARNING) return gain > 0 ? other.made : one.made;
  return validate(compiled.likely, found.solution).cost < cost ? other.made : one.made;
}

/** A plan whose hours were pushed on, with those that were wanted at first. */
export function asWanted(made: Made, { known }: CompileOptions): Made {
  return { ...made, plan: once(() => wanting(made.plan(), known)) };
}

function wanting(plan: Plan, known: CompileOptions['known']): Plan {
  const places = Object.entries(plan.known.places).map(([key, place]) => {
    const before = known?.places.get(key);
    const wanted = before?.wanted ?? before?.start ?? place.start;
    return [key, wanted === place.start ? place : { ...place, wanted }] as const;
  });
  return { ...plan, known: { ...plan.known, places: bare(places) } };
}
