import { holdOfPerson } from '@/core/meal/keys';
import { bare, own } from '@/core/plain/record';
import { type Course, courseOf } from '@/core/risk/course';
import { type Followed, followed } from '@/core/risk/rehearse';
import { withinLags } from '@/core/risk/within-lags';
import type { FoundSolution, Schedule } from '@/core/schedule/problem';
import { validate } from '@/core/schedule/validate';
import type { Compiled, CompileOptions } from './compile';
import { type Made, madeOf, once, type PlanOptions, rehearsedInBrief } from './made';
import type { Plan } from './plan';
import { rolesIn } from './plan-course';
import { COST } from './weights';

/** Where so many minutes are won by it, people help each other out and pots go onto other burners than they were meant to. */
const WORTH_HELP = 3;

/**
 * The known plan with everything begun at the hour wanted at first, or as soon after as what it waits for allows: what a cook does who just goes
 * on, and makes up for minutes that were feared lost. What must not wait long for something that is late is begun later too. Whose hands or burner
 * are taken meanwhile has others where that helps.
 */
export function pushedOn(compiled: Compiled, known: Schedule, options: CompileOptions): Schedule {
  const { likely, origin } = compiled;
  if (likely.steps.some(({ id }) => own(known.starts, id) === undefined)) return known;
  const wanted = bare<number>();
  for (const { id, latest } of likely.steps) {
    // What is under way, perhaps sooner than it was wanted, has no other hour.
    const hour = latest === 0 ? undefined : options.known?.places.get(id)?.wanted;
    wanted[id] = hour === undefined ? known.starts[id]! : hour - origin;
  }
  const course = onOwnFlames(courseOf(likely, { ...known, starts: wanted }, rolesIn(compiled)), compiled);
  const inOrder = (as: 'meant' | 'helped') => {
    const { starts: on, person, place } = followed(course, as);
    const starts = withinLags({ ...course, person, place }, likely, on) ?? on;
    return { starts, schedule: asFollowed(course, known, { starts, person, place }) };
  };
  const meant = inOrder('meant');
  const isLaterThan = (hours: Int32Array) => meant.starts.some((start, index) => start - hours[index]! >= WORTH_HELP);
  if (!isLaterThan(course.pulledTo)) return meant.schedule;
  const helped = inOrder('helped');
  if (!isLaterThan(helped.starts)) return meant.schedule;
  const faults = (schedule: Schedule) => validate(likely, schedule).faults.length;
  return faults(helped.schedule) <= faults(meant.schedule) ? helped.schedule : meant.schedule;
}

/** The course in which what comes to the boil stays on its burner: on another its minutes would be others. */
function onOwnFlames(course: Course, { entries }: Compiled): Course {
  const boils = (id: string) => {
    const entry = entries.get(id);
    return entry?.kind === 'part' && entry.part.step.grows.by === 'boil';
  };
  return { ...course, placeCould: course.placeCould.map((could, index) => (boils(course.ids[index]!) ? 0 : could)) };
}

function asFollowed(
  { ids, peopleIds, placeIds }: Course,
  known: Schedule,
  { starts, person, place }: Followed,
): Schedule {
  const [hours, units, holds] = [bare<number>(), bare(Object.entries(known.units)), bare(Object.entries(known.holds))];
  for (const [index, id] of ids.entries()) {
    hours[id] = starts[index]!;
    const [, ...others] = own(known.units, id) ?? [];
    if (place[index]! >= 0) units[id] = [placeIds[place[index]!]!, ...others];
    if (person[index]! >= 0) holds[holdOfPerson(id)] = peopleIds[person[index]!]!;
  }
  return { starts: hours, units, holds };
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
