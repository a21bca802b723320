import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { HOT_HOUR_MINUTES } from '@/core/plan/weights';

/** Minutes of cooks' hands, helpers left out, between two minutes relative to the table. */
export function handsBetween(meal: Meal, plan: Plan, from: number, to: number): number {
  const cooks = new Set(meal.kitchen.people.filter(({ role }) => role === 'cook').map(({ id }) => id));
  return plan.hands
    .filter(({ personId }) => cooks.has(personId))
    .flatMap(({ busy }) => busy)
    .reduce((sum, { start, end }) => sum + Math.max(0, Math.min(end, to) - Math.max(start, from)), 0);
}

/** What the hot hour asks of the cooks, and what goes on on the table's day before it. */
export interface HotHour {
  readonly minutes: number;
  /** Of these, minutes at a board. */
  readonly atTheBoard: number;
  /** The stretch of preparing before it, if there is any. */
  readonly prep: { readonly from: number; readonly to: number } | null;
}

/** What the last hour before the table asks of the cook's hands, in minutes. */
export function hotHourOf(meal: Meal, plan: Plan): HotHour {
  const cooks = new Set(meal.kitchen.people.filter(({ role }) => role === 'cook').map(({ id }) => id));
  const atTheBoard = plan.steps
    .filter(({ person, station }) => person && cooks.has(person.id) && station.sort === 'board')
    .reduce((sum, { start, end }) => sum + Math.max(0, Math.min(end, 0) - Math.max(start, -HOT_HOUR_MINUTES)), 0);
  return { minutes: handsBetween(meal, plan, -HOT_HOUR_MINUTES, 0), atTheBoard, prep: prepStretch(plan) };
}

/** On the table's day, from the first work at a board to the last that is over before the hot hour; null where there is none. */
export function prepStretch(plan: Plan): { readonly from: number; readonly to: number } | null {
  const early = plan.steps.filter(
    ({ ahead, station, person, end }) => !ahead && station.sort === 'board' && person && end <= -HOT_HOUR_MINUTES,
  );
  if (early.length === 0) return null;
  return { from: Math.min(...early.map(({ start }) => start)), to: Math.max(...early.map(({ end }) => end)) };
}
