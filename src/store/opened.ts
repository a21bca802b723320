import { asLearned, type Lessons, learnFrom, NOTHING_LEARNED } from '@/core/log/lessons';
import { asMadeAhead } from '@/core/meal/ahead';
import type { Meal } from '@/core/meal/meal';
import type { Pantry } from './db';
import { loadWritten } from './meals';

/** A stored meal as it is written, and as it is cooked: with what evenings have taught, and what is made ahead on its day. */
export interface OpenedMeal {
  readonly written: Meal;
  readonly meal: Meal;
}

/** Opens a stored meal; undefined when the meal or its kitchen is gone. */
export async function openMeal(db: Pantry, id: string): Promise<OpenedMeal | undefined> {
  const written = await loadWritten(db, id);
  return written && { written, meal: asMadeAhead(asLearned(written, await lessonsOf(db))) };
}

export async function loadMeal(db: Pantry, id: string): Promise<Meal | undefined> {
  return (await openMeal(db, id))?.meal;
}

/** What the evenings of this browser have taught; nothing where the cook does not want it. */
export async function lessonsOf(db: Pantry): Promise<Lessons> {
  if ((await db.settings.get('learning'))?.value === 'off') return NOTHING_LEARNED;
  const evenings = await db.sessions.filter(({ over }) => over).toArray();
  return evenings.length === 0 ? NOTHING_LEARNED : learnFrom(evenings);
}
