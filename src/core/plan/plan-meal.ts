import type { Meal } from '@/core/meal/meal';
import type { CancelSignal } from '@/core/schedule/solve';
import { planAsSet } from './attempt';
import { type Keeper, keepingWarm, keptFirst, landsBetter, NEARLY_ALL } from './keeping-warm';
import { LONGEST_PLAN } from './longest';
import { type Attempt, EVENINGS_AT_THE_STOVE, latenessOf, lossOf, type PlanOptions, type PlanResult } from './made';
import { oddsOf } from './odds';
import { knownPlan, type Plan } from './plan';
import { readPlan, withOdds } from './read';
import { surest } from './surest';

/**
 * Plans a meal: compiles it, solves it, reads the plan back. `onImprove` gets each better plan on the way. A meal that
 * cannot be planned comes back as refusals in a cook's words. Pins that cannot be kept are kept as nearly as can be, each attempt in
 * its own time limit; see `unkeptPins`. A plan may keep dishes warm until the table of its own accord: `mealAsPlanned` is the meal with that.
 */
export async function planMeal(
  meal: Meal,
  options: PlanOptions,
  onImprove?: (plan: Plan) => void,
  signal?: CancelSignal,
): Promise<PlanResult> {
  const { now, seconds = 5 } = options.solve;
  const until = now() + 1000 * (LONGEST_PLAN * seconds + LEAST_SECONDS);
  const end: CancelSignal = {
    get aborted() {
      return signal?.aborted === true || now() >= until;
    },
  };
  const mayKeep = meal.sureness !== 'short' && !options.progress && !options.held;
  if (!mayKeep) return planAsAsked(meal, options, onImprove, end);
  const keeper = keeperOf(options, end);
  const began = now();
  const glance = await planAsSet(meal, inShareOf(options, SHARE_OF_A_GLANCE), onImprove, end);
  const isDone = now() - began < 1000 * seconds * SHARE_OF_A_GLANCE;
  // Whatever else is tried takes longer, and seldom helps a kitchen as full as that.
  const isFull = glance.ok && lossOf(glance, options) > HARDLY_LANDS;
  const kept = isFull ? await keptFirst(meal, keeper) : null;
  if (kept?.odds && kept.odds.good >= NEARLY_ALL) return { ok: true, plan: kept };
  const from = glance.ok ? { from: knownPlan(glance.plan()) } : {};
  const isLast = glance.ok && (isDone || end.aborted);
  const whole = isLast ? glance : await planAsSet(meal, { ...options, ...from }, onImprove, end);
  // The time may be over before another is found.
  const first = whole.ok || !glance.ok ? whole : glance;
  const asked = await orLaidOutLater(first, meal, options, onImprove, end);
  if (!asked.ok) return kept ? { ok: true, plan: kept } : asked;
  const best = kept && landsBetter(kept, asked.plan) ? kept : asked.plan;
  return { ...asked, plan: await keepingWarm(meal, best, keeper) };
}

/** So much of the time shows whether a kitchen is full; what is proven best by then needs no more of it. */
const SHARE_OF_A_GLANCE = 0.2;

/** Where so many evenings go badly by a first plan, before its hours are moved, what waits in it is kept warm first of all. */
const HARDLY_LANDS = 0.6;

/** Whoever gives next to no time still gets the first plan. */
const LEAST_SECONDS = 1;

/** The same within such a share of the time. */
function inShareOf(options: PlanOptions, share: number): PlanOptions {
  const { seconds = 5 } = options.solve;
  return { ...options, solve: { ...options.solve, seconds: seconds * share, explain: false } };
}

/** How meals with something kept warm are looked at and planned, each in a share of the time. */
function keeperOf(options: PlanOptions, end: CancelSignal): Keeper {
  const withRoom = (room: 'no room' | 'room') => (room === 'no room' ? { roomShare: 0 } : {});
  return {
    look: async (meal, share) => {
      const look = await planAsSet(meal, inShareOf(options, share), undefined, end);
      return look.ok ? lossOf(look, options) : null;
    },
    sketch: async (meal, share, room) => {
      const sketch = await planAsSet(meal, { ...inShareOf(options, share), ...withRoom(room) }, undefined, end);
      return sketch.ok ? { plan: sketch.plan(), room, loss: lossOf(sketch, options) } : null;
    },
    plan: async (meal, share, sketch) => {
      const from = sketch ? { ...withRoom(sketch.room), from: knownPlan(sketch.plan) } : {};
      const result = await planAsAsked(meal, { ...inShareOf(options, share), ...from }, undefined, end);
      return result.ok ? result.plan : null;
    },
    isOver: () => end.aborted,
  };
}

async function planAsAsked(
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<PlanResult> {
  return orLaidOutLater(await planAsSet(meal, options, onImprove, signal), meal, options, onImprove, signal);
}

/** Of the time for a plan so much is for one that does not lay all out first, where there is a plan that does. */
const SHARE_OF_ANOTHER = 0.5;

/** What was planned with its hours moved, or a plan in which not all is laid out first, where that lands sooner. */
async function orLaidOutLater(
  first: Attempt,
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<PlanResult> {
  const wants = meal.layOutFirst !== false && !options.progress && !signal?.aborted;
  if (!wants || (first.ok && latenessOf(first.plan()) === 0)) return finished(first, options, signal);
  const share = first.ok ? SHARE_OF_ANOTHER : 1;
  const { seconds = 5 } = options.solve;
  // Where hands are too few to lay all out first, what keeps may be prepared in the last hour after all.
  const second = await planAsSet(
    { ...meal, layOutFirst: false },
    { ...options, solve: { ...options.solve, seconds: share * seconds, explain: false } },
    (plan) => {
      if (!first.ok || latenessOf(plan) < latenessOf(first.plan())) onImprove?.({ ...plan, lastHourOpen: true });
    },
    signal,
  );
  const isBetter = second.ok && (!first.ok || latenessOf(second.plan()) < latenessOf(first.plan()));
  const result = await finished(isBetter ? second : first, options, signal);
  return isBetter && result.ok ? { ...result, plan: { ...result.plan, lastHourOpen: true } } : result;
}

/** Evenings that the odds of a plan are taken from before an evening. */
const EVENINGS = 1000;

/** The plan moved to where more evenings land, with its odds. */
async function finished(made: Attempt, options: PlanOptions, signal: CancelSignal | undefined): Promise<PlanResult> {
  if (!made.ok) return made;
  const { meal } = made;
  const { seed = 1 } = options.solve;
  const quick = options.progress !== undefined || options.held !== undefined;
  const leans = meal.sureness !== 'short' && !quick && !signal?.aborted;
  const { compiled, solution } = leans ? await surest(made, options, signal) : made;
  const isAsMade = solution === made.solution;
  const plan = isAsMade ? made.plan() : readPlan(meal, compiled, solution);
  const known = isAsMade ? made.odds?.() : undefined;
  const odds =
    known ?? oddsOf(compiled, plan, { evenings: quick ? EVENINGS_AT_THE_STOVE : EVENINGS, seed, causes: !quick });
  if (!odds) return { ok: true, plan };
  return { ok: true, plan: withOdds(plan, odds, meal, compiled) };
}
