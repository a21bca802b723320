import type { Plan } from './plan';

/** Minutes after its hour within which a table is on time. Common practice, no source. */
export const ON_TIME = 5;
/** Minutes beyond its good wait that nobody tastes. Common practice, no source. */
export const NOT_TASTED = 3;

/** Shares for which the hour of the table is told. */
export const TABLE_SHARES = [0.05, 0.25, 0.5, 0.75, 0.9, 0.95] as const;

/** Fewer evenings than this land well: the cook is told beforehand, and offered what would help. A share, 0 to 1. */
export const SURE_ENOUGH = 0.8;

/** Whether a plan wants a way out: something is late or waits too long, or too few rehearsed evenings land well. */
export function wantsWayOut({ landings, odds }: Plan): boolean {
  const isUnsure = odds !== undefined && odds.good < SURE_ENOUGH;
  return isUnsure || landings.some((landing) => landing.fine === 'late' || landing.fine === 'too long');
}
