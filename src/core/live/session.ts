import type { Meal } from '@/core/meal/meal';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { type LiveEvent, pausedFor, type StandingEvent, type StepTold, standingEvents, toldOf } from './events';

/** An evening at the stove: the meal as it was when it began, the plan as it stands, and everything that was told. */
export interface Session {
  readonly id: string;
  readonly meal: Meal;
  /** The instant of the table, as it is agreed by now. */
  readonly tableAt: number;
  /** The instant that was agreed when it began; `tableAt` when absent. */
  readonly firstTable?: number;
  readonly plan: Plan;
  readonly events: readonly LiveEvent[];
  /** What moved at the last re-plan, in a sentence. */
  readonly moved: string;
}

/** What a step is doing at an instant. */
export type StepStatus = 'waiting' | 'due' | 'running' | 'done';

/** A planned step and what has become of it. */
export interface LiveStep {
  readonly step: PlannedStep;
  readonly status: StepStatus;
  /** When it really began, or is planned to. */
  readonly startAt: number;
  /** When it really ended, or is thought to. */
  readonly endAt: number;
  /** All that was told about it. */
  readonly told: StepTold;
  /** It is under way, and put aside for the moment. */
  readonly stands?: boolean;
  /**
   * It began by itself when another ended, and hands have to turn the flame, pour, cover or move the pot: so it is until somebody says that it
   * was done, or for some minutes.
   */
  readonly turns?: boolean;
}

const MINUTE = 60_000;
/** A turn that nobody confirms was made after so many minutes, or the pot shows it. Common practice, no source. */
const TURNS_FOR = 10;
const NOTHING_TOLD: StepTold = { pauses: [], water: 0 };

/** Minutes relative to the table, as a fraction. */
export function minutesToTable(session: Pick<Session, 'tableAt'>, at: number): number {
  return (at - session.tableAt) / MINUTE;
}

/** The instant of a minute relative to the table, in milliseconds since 1970. */
export function instantOf(session: Pick<Session, 'tableAt'>, minute: number): number {
  return session.tableAt + minute * MINUTE;
}

/** The event that an undo would take back, if there is one. */
export function lastStanding(session: Session): StandingEvent | undefined {
  return standingEvents(session.events).findLast(({ kind }) => kind !== 'clock-set');
}

/**
 * What every step is doing at an instant, from the plan and the log alone. Hands-on work is under way when its hour has
 * come, what it waits for is over and the hands are free; a pot that follows at once begins by itself; what only rests is
 * over when its time is.
 */
export function liveSteps(session: Session, now: number): readonly LiveStep[] {
  const standing = standingEvents(session.events);
  const told = toldOf(standing);
  const people = new Map(session.meal.kitchen.people.map(({ id, name }) => [id, { id, name }]));
  /** Work that was given to other hands is theirs, whatever the plan says yet. */
  const asGiven = (step: PlannedStep): PlannedStep => {
    const given = people.get(told.get(step.key)?.person ?? '');
    return given && step.person ? { ...step, person: given } : step;
  };
  // A clock that was put back unnoticed: what was told has happened all the same.
  const at = Math.max(now, standing.at(-1)?.at ?? now);
  const known = new Map<string, LiveStep>();
  const byStart = session.plan.steps.map(asGiven).sort((a, b) => a.start - b.start || a.end - b.end);
  // A step may stand before what it waits for when the plan is out of date: go round until nothing changes.
  for (let pass = 0; pass < byStart.length; pass++) {
    let changed = false;
    for (const step of byStart) {
      const before = known.get(step.key);
      const live = liveStep(session, step, told.get(step.key) ?? NOTHING_TOLD, known, at);
      if (!before || before.status !== live.status || before.endAt !== live.endAt) changed = true;
      known.set(step.key, live);
    }
    if (!changed) break;
  }
  return byStart.map((step) => known.get(step.key)!);
}

function liveStep(
  session: Session,
  step: PlannedStep,
  told: StepTold,
  known: ReadonlyMap<string, LiveStep>,
  now: number,
): LiveStep {
  const planned = instantOf(session, step.start);
  const length = step.minutes * MINUTE;
  const before = step.after.map((key) => known.get(key)).filter((each) => each !== undefined);
  const free = before.every((each) => each.status === 'done');
  const freeAt = before.reduce((latest, each) => Math.max(latest, each.endAt), Number.NEGATIVE_INFINITY);
  const begunAt = beginning();
  if (told.done !== undefined) {
    return { step, status: 'done', startAt: Math.min(begunAt ?? planned, told.done), endAt: told.done, told };
  }
  if (begunAt === null || begunAt > now) {
    const due = free && planned <= now;
    return { step, status: due ? 'due' : 'waiting', startAt: planned, endAt: planned + length, told };
  }
  const paused = pausedFor(told, now);
  const stands = told.pauses.at(-1)?.to === null;
  const endAt = told.over ?? Math.max(told.forecast ?? begunAt + length + paused, told.until ?? 0);
  const overByItself = step.station.sort === 'shelf' && step.attention === 'none' && endAt <= now && !stands;
  const turns =
    step.follows !== null &&
    step.attention !== 'hands' &&
    told.touched === undefined &&
    now < begunAt + TURNS_FOR * MINUTE;
  return {
    step,
    status: overByItself ? 'done' : 'running',
    startAt: begunAt,
    endAt,
    told,
    ...(stands ? { stands } : {}),
    ...(turns ? { turns } : {}),
  };

  function beginning(): number | null {
    if (told.begun !== undefined) return told.begun;
    if (!free) return null;
    if (step.attention === 'hands') {
      // What was spoken of is under way, whatever else the hands have taken up since.
      if (told.touched !== undefined) return Math.min(told.touched, Math.max(planned, freeAt));
      const handsFree = handsFreeAt();
      if (handsFree === null) return null;
      const start = Math.max(planned, freeAt, handsFree);
      return start <= now ? start : null;
    }
    if (step.follows !== null && freeAt <= now) return freeAt;
    return told.until !== undefined ? planned : null;
  }

  /** When the person's earlier work in the plan was over; null while it still goes on. */
  function handsFreeAt(): number | null {
    let latest = Number.NEGATIVE_INFINITY;
    for (const other of known.values()) {
      const same = other.step.person !== null && other.step.person.id === step.person?.id;
      if (!same || other.step.key === step.key || other.step.start > step.start) continue;
      if (other.status === 'running' && !other.stands) return null;
      if (other.status === 'done') latest = Math.max(latest, other.endAt);
    }
    return latest;
  }
}

/** Whether everything that leads to the table is over. */
export function isFinished(steps: readonly LiveStep[]): boolean {
  return steps.every(({ status }) => status === 'done');
}

/** Minutes that safety still asks for of a step under way; 0 where it asks for none, or they are over. */
export function safeMinutesLeft({ step, status, startAt, told }: LiveStep, now: number): number {
  if (step.safeMinutes === undefined || status !== 'running') return 0;
  const gone = (now - startAt - pausedFor(told, now)) / MINUTE;
  return Math.max(0, Math.ceil(step.safeMinutes - gone - 1e-6));
}

/** How many minutes "not yet" gives: two fifths of what is left of its usual spread, 2 to 15. Common practice, no source. */
export function moreMinutes(step: PlannedStep): number {
  const spread = Math.max(step.longestEnd - step.end, (step.end - step.start) * 0.15);
  return Math.max(2, Math.min(15, Math.round(spread * 0.4)));
}
