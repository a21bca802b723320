import { holdOfPerson, unitId } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { PlanResult } from '@/core/plan/made';
import { knownPlan, type Plan } from '@/core/plan/plan';
import { whatMoved } from '@/core/plan/plan-diff';
import type { KnownPlan, Progress } from '@/core/plan/progress';
import { say } from '@/core/say/say';
import { agreedTableAt, mealAsItIs } from './as-it-is';
import { atHour } from './at-hour';
import { standingEvents, toldOf } from './events';
import { troubleOf, weightOf } from './offer';
import { joinPlans, lastingAsWanted, progressAt } from './replan';
import type { Session } from './session';

/** What a planner is asked for in mid-meal: the meal as it is by now, what has happened, and the plan the cook knows. */
export interface RestRequest {
  readonly meal: Meal;
  readonly progress: Progress;
  readonly known: KnownPlan;
}

/** The plan of an evening from now on with its hour, and what changed in it, in a sentence. */
export interface CarriedOn {
  readonly plan: Plan;
  /** Milliseconds since 1970. */
  readonly tableAt: number;
  readonly moved: string;
  /** Whether the rest could be planned: else the old plan stands. */
  readonly fits: boolean;
}

/**
 * Plans the rest of an evening from an instant on, by all that was told: what was dropped is gone, what failed is not used, what was moved
 * stands where it was moved to, and the hour is the one agreed. `words` says what happened ("Barley: toast is done"). What is done or
 * running stays; when the rest no longer fits, the old plan stands and the sentence says so.
 */
export async function carryOn(
  before: Session,
  at: number,
  words: string,
  planRest: (request: RestRequest) => Promise<PlanResult>,
): Promise<CarriedOn> {
  const session = atHour(before, agreedTableAt(before));
  const meal = mealAsItIs(session, at);
  const { tableAt } = session;
  if (meal.dishes.length === 0)
    return {
      plan: session.plan,
      tableAt,
      moved: say('{words}. There is nothing left to cook.', { words }),
      fits: true,
    };
  const progress = lastingAsWanted(progressAt(session, at), meal);
  const result = await planRest({ meal, progress, known: knownAsItIs(session) });
  if (!result.ok) {
    const moved = say('{words}. The rest no longer fits by the clock: carry on in this order, the hour will slip.', {
      words,
    });
    return { plan: session.plan, tableAt, moved, fits: false };
  }
  const dishes = new Set(meal.dishes.map(({ id }) => id));
  const plan = joinPlans(session, result.plan, at, dishes);
  const fixed = new Set([...progress.done.keys(), ...progress.running.keys()]);
  return { plan, tableAt, moved: whatMoved(session.plan, plan, fixed, words), fits: true };
}

/** How long the rest of an evening is thought about. */
export interface Thought {
  /** The most it takes, in seconds. */
  readonly seconds: number;
  /** Ends sooner after so many rounds without a better plan. */
  readonly patience?: number;
  readonly rounds?: number;
  readonly brief?: boolean;
}

/** With what surrounds it an answer comes within a tenth of a second at a hundred steps. */
export const AT_ONCE: Thought = { seconds: 0.01, patience: 250, brief: true };
/** A plan that lands late, or lets something spoil, is told only after so many rounds: by rounds, so that a busy machine says the same hour. */
const SURE: Thought = { seconds: 8, rounds: 12 };

/**
 * Carries on as a cook is answered: at once; but where something then comes late or spoils it is planned again before anything is said, and
 * `onThinking` is called: an hour that is told is not taken back a second later.
 */
export async function answered(
  session: Session,
  carry: (thought: Thought) => Promise<CarriedOn>,
  onThinking?: () => void,
): Promise<CarriedOn> {
  const weight = ({ plan }: CarriedOn) => weightOf(troubleOf({ ...session, plan }));
  const first = await carry(AT_ONCE);
  if (weight(first) === 0) return first;
  onThinking?.();
  const second = await carry(SURE);
  return weight(second) <= weight(first) ? second : first;
}

const clockWords = () => say('The clock has moved on');
/** Milliseconds for which the words after an answer stay in front. */
const READ_WITHIN = 60_000;

/**
 * Plans by the clock alone, when nobody told anything. What the last answer led to was perhaps not read yet: for a minute it stays in
 * front, and what the clock moved is said after it.
 */
export async function carryOnByClock(
  session: Session,
  at: number,
  planRest: (request: RestRequest) => Promise<PlanResult>,
): Promise<CarriedOn> {
  const carried = await carryOn(session, at, clockWords(), planRest);
  const last = session.events.at(-1);
  if (!last || at - last.at > READ_WITHIN || session.moved === '') return carried;
  const said = session.moved.split(` ${clockWords()}`)[0]!;
  return said.startsWith(clockWords()) ? carried : { ...carried, moved: `${said} ${carried.moved}` };
}

/** The plan the cook knows, with what was moved to another burner where it stands now. */
function knownAsItIs(session: Session): KnownPlan {
  const known = knownPlan(session.plan);
  const places = new Map(known.places);
  const given = new Map<string, string>();
  for (const [key, { unit, person }] of toldOf(standingEvents(session.events))) {
    const place = places.get(key);
    if (place && unit !== undefined) places.set(key, { ...place, units: [unit, ...place.units.slice(1)] });
    if (person !== undefined) given.set(holdOfPerson(key), unitId('person', person));
  }
  return { ...known, places, ...(given.size > 0 ? { given } : {}) };
}
