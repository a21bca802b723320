import type { Landing, Plan, PlannedStep } from '@/core/meal/plan';
import type { Progress } from '@/core/meal/progress';
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

/** The new plan of the rest joined to what is done and running, as one plan. */
export function joinPlans(session: Session, rest: Plan, now: number): Plan {
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
    const times = each.status === 'running' ? { start: realTimes(session, each).start, minutes: old.minutes } : {};
    steps.push({ ...replanned, amounts: old.amounts, after: old.after, follows: old.follows, ...times });
  }
  for (const [key, step] of fresh) if (!live.has(key)) steps.push(step);
  const old = session.plan;
  const landings = old.landings.map((landing) => {
    const replanned = rest.landings.find((each) => each.dishId === landing.dishId);
    return replanned ?? landedAt(landing, steps, old);
  });
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

function realTimes(session: Session, { startAt, endAt }: LiveStep): { start: number; end: number } {
  const start = Math.floor(minutesToTable(session, startAt));
  return { start, end: Math.max(start, Math.ceil(minutesToTable(session, endAt))) };
}

function landedAt(landing: Landing, steps: readonly PlannedStep[], old: Plan): Landing {
  const last = old.steps.filter((step) => step.dishId === landing.dishId && step.end === landing.ready).at(-1);
  const ready = steps.find((step) => step.key === last?.key)?.end ?? landing.ready;
  const waits = Math.max(0, -ready);
  const fine =
    ready > 0 ? 'late' : waits <= landing.wellMinutes ? 'well' : waits <= landing.mostMinutes ? 'long' : 'too long';
  return { ...landing, ready, waits, late: Math.max(0, ready), fine };
}

function mergeStations(old: Plan, rest: Plan): Plan['stations'] {
  const known = new Set(old.stations.map((station) => station.id));
  const added = rest.stations.filter((station) => !known.has(station.id));
  return [...old.stations.slice(0, -1), ...added, ...old.stations.slice(-1)];
}
