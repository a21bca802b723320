import { KEPT_WARM } from '@/core/dish/keep-warm';
import { stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { type Landing, landingAt, type Plan, type PlannedStep } from '@/core/plan/plan';
import type { Progress } from '@/core/plan/progress';
import { type LiveStep, liveSteps, minutesToTable, type Session } from './session';

/** What the planner must know to plan the rest of the evening from an instant on. */
export function progressAt(session: Session, now: number): Progress {
  // The minute that the clock shows: what is to begin within it is not late yet.
  const minute = Math.floor(minutesToTable(session, now));
  const done = new Map<string, { start: number; end: number }>();
  const running = new Map<string, { start: number; end: number }>();
  for (const { step, status, startAt, endAt } of liveSteps(session, now)) {
    const start = Math.floor(minutesToTable(session, startAt));
    // Ends are rounded to the nearest minute: half a minute of a late thumb must not move the evening.
    const end = Math.round(minutesToTable(session, endAt));
    if (status === 'done') done.set(step.key, { start, end: Math.min(minute, end) });
    if (status === 'running') running.set(step.key, { start, end: Math.max(minute, end) });
  }
  return { now: minute, done, running };
}

/** Whether the plan no longer holds: something stands in the past that has not begun, or a running pot overruns into what follows. */
export function isOutOfDate(session: Session, now: number): boolean {
  const minute = Math.floor(minutesToTable(session, now));
  const { done, running } = progressAt(session, now);
  return session.plan.steps.some((step) => {
    if (done.has(step.key)) return false;
    const real = running.get(step.key);
    return real ? real.end !== step.end : step.start < minute - 1;
  });
}

/** The new plan of the rest joined to what is done and running, as one plan; of dishes that are not `served` any more only what is done stays. */
export function joinPlans(session: Session, rest: Plan, now: number, served?: ReadonlySet<string>): Plan {
  const live = new Map(liveSteps(session, now).map((each) => [each.step.key, each]));
  const fresh = new Map(rest.steps.map((step) => [step.key, step]));
  const steps: PlannedStep[] = [];
  for (const old of session.plan.steps) {
    const each = live.get(old.key)!;
    const replanned = fresh.get(old.key);
    if (each.status === 'done' || !replanned) {
      if (each.status === 'done')
        steps.push({ ...old, ...realTimes(session, each), slack: 0, slackSooner: 0, chain: [] });
      continue;
    }
    // Whoever is at it stays at it, also where two things run in one pair of hands and the plan knows only one of them.
    const times = each.status === 'running' ? runningTimes(each.step, replanned, realTimes(session, each).start) : {};
    // The planner knows nothing of what is done; what came in between since is new to the old plan.
    const after = [...new Set([...old.after, ...replanned.after])];
    // What goes in may be more or less by now; once it is in it is what it was.
    const amounts = each.status === 'running' ? old.amounts : replanned.amounts;
    steps.push({ ...replanned, amounts, after, follows: old.follows, ...times });
  }
  for (const [key, step] of fresh) if (!live.has(key)) steps.push(step);
  const old = session.plan;
  const stillServed = old.landings.filter(({ dishId }) => served?.has(dishId) !== false);
  const landings: Landing[] = stillServed.map((landing) => {
    const replanned = rest.landings.find((each) => each.dishId === landing.dishId);
    return replanned ?? landedAt(landing, steps, old);
  });
  const known = new Set(old.landings.map(({ dishId }) => dishId));
  landings.push(...rest.landings.filter(({ dishId }) => !known.has(dishId)));
  const doneKeys = new Set(steps.filter((step) => !fresh.has(step.key)).map((step) => step.key));
  return {
    ...rest,
    steps: steps.sort((a, b) => a.start - b.start || a.key.localeCompare(b.key)),
    landings,
    waitings: [
      ...old.waitings.filter(
        (waiting) => doneKeys.has(waiting.after) && (waiting.before === null || doneKeys.has(waiting.before)),
      ),
      ...rest.waitings,
    ],
    stations: old.stations.length >= rest.stations.length ? mergeStations(old, rest) : rest.stations,
    hands: old.hands.map((band) => ({
      ...band,
      busy: steps
        .filter((step) => step.person?.id === band.personId)
        .map((step) => ({ start: step.start, end: step.end, key: step.key })),
    })),
    firstHand: old.firstHand,
    known: {
      places: { ...old.known.places, ...rest.known.places },
      holds: { ...old.known.holds, ...rest.known.holds },
    },
  };
}

/** What runs keeps its length; what is kept warm ends by the table, whatever that is by now. */
function runningTimes(old: PlannedStep, replanned: PlannedStep, start: number) {
  const minutes = isKeptWarm(old) ? replanned.end - start : old.minutes;
  return { start, minutes, person: old.person };
}

function isKeptWarm({ stepId, kind }: PlannedStep): boolean {
  return kind === 'step' && stepId === KEPT_WARM;
}

/** What has happened, with what is being kept warm lasting as long as the meal wants by now. */
export function lastingAsWanted(progress: Progress, meal: Meal): Progress {
  const running = new Map(progress.running);
  for (const dish of meal.dishes) {
    const key = stepKey(dish.id, KEPT_WARM);
    const times = running.get(key);
    const warming = dish.steps.find(({ id }) => id === KEPT_WARM);
    if (times && warming)
      running.set(key, { ...times, end: Math.max(progress.now, times.start + warming.minutes.likely) });
  }
  return { ...progress, running };
}

function realTimes(session: Session, { startAt, endAt }: LiveStep): { start: number; end: number } {
  const start = Math.floor(minutesToTable(session, startAt));
  return { start, end: Math.max(start, Math.ceil(minutesToTable(session, endAt))) };
}

function landedAt(landing: Landing, steps: readonly PlannedStep[], old: Plan): Landing {
  const last = old.steps.filter((step) => step.dishId === landing.dishId && step.end === landing.ready).at(-1);
  const ready = steps.find((step) => step.key === last?.key)?.end ?? landing.ready;
  return landingAt(landing, ready);
}

function mergeStations(old: Plan, rest: Plan): Plan['stations'] {
  const known = new Set(old.stations.map((station) => station.id));
  const added = rest.stations.filter((station) => !known.has(station.id));
  return [...old.stations.slice(0, -1), ...added, ...old.stations.slice(-1)];
}
