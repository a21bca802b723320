import type { LiveEvent, Session } from '@/core/live/session';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/meal/plan';
import type { Pantry, StoredSession } from './db';
import { tableInstant } from './meals';

/** The session of a meal that is not put away, if any. */
export async function openSession(db: Pantry, mealId: string): Promise<StoredSession | undefined> {
  return (await db.sessions.where('mealId').equals(mealId).toArray()).find((session) => !session.over);
}

/** Begins an evening at the stove from a plan; an open session of that meal is kept instead. */
export async function beginSession(db: Pantry, meal: Meal, plan: Plan, now: number): Promise<void> {
  await db.transaction('rw', db.sessions, async () => {
    if (await openSession(db, meal.id)) return;
    await db.sessions.put({
      id: `${meal.id} ${now}`,
      mealId: meal.id,
      meal,
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

/** Adds an event to the log at once, whatever else is going on. */
export async function tell(db: Pantry, id: string, event: LiveEvent): Promise<Session | undefined> {
  return db.transaction('rw', db.sessions, async () => {
    const session = await db.sessions.get(id);
    if (!session) return undefined;
    const told = { ...session, events: [...session.events, event] };
    await db.sessions.put(told);
    return told;
  });
}

/** Stores a re-plan, unless something was told meanwhile: then it is out of date already. Says whether it was stored. */
export async function adoptPlan(
  db: Pantry,
  id: string,
  eventCount: number,
  plan: Plan,
  moved: string,
): Promise<boolean> {
  return db.transaction('rw', db.sessions, async () => {
    const session = await db.sessions.get(id);
    if (!session || session.events.length !== eventCount) return false;
    await db.sessions.put({ ...session, plan, moved });
    return true;
  });
}

/** Puts the session away; the log stays. */
export async function endSession(db: Pantry, id: string): Promise<void> {
  await db.sessions.update(id, { over: true });
}
