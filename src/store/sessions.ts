import { atHour } from '@/core/live/at-hour';
import type { CarriedOn } from '@/core/live/carry-on';
import { type HeldEvening, knowingAll, remembering, restored } from '@/core/live/evening';
import { isToldAlready, type LiveEvent, type NewEvent } from '@/core/live/events';
import { met, type Shared } from '@/core/live/two-screens';
import type { Meal } from '@/core/meal/meal';
import { mealAsPlanned } from '@/core/plan/keeps';
import type { Plan } from '@/core/plan/plan';
import type { Pantry } from './db';
import { tableInstant } from './meals';

/** The session of a meal that is not put away, if any. */
export async function openSession(db: Pantry, mealId: string): Promise<HeldEvening | undefined> {
  return (await db.sessions.where('mealId').equals(mealId).toArray()).find((session) => !session.over);
}

/** Begins an evening at the stove from a plan; an open session of that meal is kept instead. */
export async function beginSession(db: Pantry, meal: Meal, plan: Plan, now: number): Promise<void> {
  await db.transaction('rw', db.sessions, async () => {
    if (await openSession(db, meal.id)) return;
    await db.sessions.put({
      id: `${meal.id} ${now}`,
      mealId: meal.id,
      meal: mealAsPlanned(meal, plan),
      tableAt: tableInstant(meal),
      plan,
      events: [],
      moved: '',
      over: false,
    });
  });
}

/** Whether the evening of this meal, at this very hour, was cooked and put away. */
export async function wasPutAway(db: Pantry, meal: Meal): Promise<boolean> {
  const tableAt = tableInstant(meal);
  return (await db.sessions.where('mealId').equals(meal.id).toArray()).some(
    (session) => session.over && session.tableAt === tableAt,
  );
}

/**
 * Adds what was told to the log at once, all of it or nothing, whatever else is going on; undefined where the log says it already. The log never
 * runs backwards: when the clock of the device was put back unnoticed, it stands at the instant of the event before it.
 */
export async function tell(
  db: Pantry,
  id: string,
  said: NewEvent | readonly NewEvent[],
  now: number,
): Promise<HeldEvening | undefined> {
  return db.transaction('rw', db.sessions, async () => {
    const session = await db.sessions.get(id);
    if (!session) return undefined;
    const fresh = [said].flat().filter((each) => !isToldAlready(session.events, each, now));
    if (fresh.length === 0) return undefined;
    // A clock that was set back, and says so, begins to count anew.
    const isSet = fresh.some(({ kind }) => kind === 'clock-set');
    const at = isSet ? now : Math.max(now, session.events.at(-1)?.at ?? 0);
    const events = fresh.map((each, index) => {
      const id = `${at}-${session.events.length + index}`;
      return { ...each, id, at } as LiveEvent;
    });
    const told = remembering(session, events);
    await db.sessions.put(told);
    return told;
  });
}

/** Stores a re-plan, unless something was told meanwhile: then it is out of date already. Says whether it was stored. */
export async function adoptPlan(
  db: Pantry,
  id: string,
  eventCount: number,
  { plan, tableAt, moved }: Pick<CarriedOn, 'plan' | 'tableAt' | 'moved'>,
): Promise<boolean> {
  return db.transaction('rw', db.sessions, async () => {
    const session = await db.sessions.get(id);
    if (!session || session.events.length !== eventCount) return false;
    await db.sessions.put({ ...atHour(knowingAll(session), tableAt), plan, moved });
    return true;
  });
}

/** Takes over what another screen of an evening tells; the evening as it is then. */
export async function meetSession(
  db: Pantry,
  id: string,
  theirs: Shared,
  leads: boolean,
): Promise<HeldEvening | undefined> {
  return db.transaction('rw', db.sessions, async () => {
    const mine = await db.sessions.get(id);
    if (!mine) return undefined;
    const both = met(mine, theirs, leads);
    if (both !== mine) await db.sessions.put(both);
    return both;
  });
}

/** Brings an evening back to exactly how it stood before what was taken back; says whether that was kept. */
export async function restoreSession(db: Pantry, id: string): Promise<boolean> {
  return db.transaction('rw', db.sessions, async () => {
    const session = await db.sessions.get(id);
    const as = session ? restored(session) : null;
    if (as) await db.sessions.put(as);
    return as !== null;
  });
}

/** Puts the session away; the log stays. */
export async function endSession(db: Pantry, id: string): Promise<void> {
  await db.sessions.update(id, { over: true, before: undefined });
}
