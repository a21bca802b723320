import { handlesRaw } from '@/core/dish/foods';
import { dishesOf } from './guests';
import type { LiveStep, Session } from './session';

/** Seconds past its time after which a silent cook is thought to be done. */
const SILENT_SECONDS = 20;

/**
 * Whether a step may be thought done when its time is over and the cook says nothing: only cold work of the hands at the board, nothing that
 * is on the heat, nothing raw, nothing that waits to be found done, and nothing with a caution.
 */
export function maySlipBy(session: Session, { step, status, stands }: LiveStep): boolean {
  if (status !== 'running' || stands || step.attention !== 'hands' || step.station.sort !== 'board') return false;
  if (step.cautions.length > 0) return false;
  const dish = dishesOf(session).find(({ id }) => id === step.dishId);
  const written = dish?.steps.find(({ id }) => id === step.stepId);
  return dish !== undefined && written !== undefined && !handlesRaw(dish, written);
}

/** The step that the clock may call done at an instant, following along with a silent cook; the first, if several. */
export function followAlong(session: Session, steps: readonly LiveStep[], now: number): LiveStep | null {
  return steps.find((live) => maySlipBy(session, live) && now >= live.endAt + SILENT_SECONDS * 1000) ?? null;
}
