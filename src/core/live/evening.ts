import { changesThePlan, type LiveEvent, standingEvents } from './events';
import type { Session } from './session';

/** An evening at the stove, as it is kept: put away when it is over. */
export interface Evening extends Session {
  readonly mealId: string;
  readonly over: boolean;
}

/** An evening as a browser holds it. */
export interface HeldEvening extends Evening {
  /** How it stood before the last things that were told, the latest last: of this browser only, so that an undo restores it. */
  readonly before?: readonly Before[];
}

/** An evening as it stood when its log was so long. */
export interface Before extends Pick<Session, 'plan' | 'tableAt' | 'firstTable' | 'moved'> {
  /** How many events its log had. */
  readonly events: number;
}

/** So many are kept. */
const MOST_KEPT = 3;

/** The evening with what is told next, and with how it stood before that. */
export function remembering(evening: HeldEvening, fresh: readonly LiveEvent[]): HeldEvening {
  const events = [...evening.events, ...fresh];
  const { plan, tableAt, firstTable, moved } = evening;
  const matters = fresh.some((event) => event.kind !== 'undo' && changesThePlan(event, events));
  const now: Before = {
    plan,
    tableAt,
    moved,
    events: evening.events.length,
    ...(firstTable === undefined ? {} : { firstTable }),
  };
  const before = matters ? [...(evening.before ?? []), now].slice(-MOST_KEPT) : evening.before;
  return { ...evening, events, ...(before ? { before } : {}) };
}

/**
 * The evening exactly as it stood when just what stands now had been told; null where that is not kept. What only tells and changes no plan does
 * not count.
 */
export function restored(evening: HeldEvening): HeldEvening | null {
  const standing = (events: readonly LiveEvent[]) =>
    standingEvents(events)
      .filter((event) => changesThePlan(event, events))
      .map(({ id }) => id)
      .join(' ');
  const now = standing(evening.events);
  const kept = evening.before?.findLast(({ events }) => standing(evening.events.slice(0, events)) === now);
  if (!kept) return null;
  const { firstTable: _, ...rest } = evening;
  const { events: __, ...stood } = kept;
  return { ...rest, ...stood, moved: `Taken back: as it was. ${kept.moved}`.trim() };
}

/** The evening as it is kept elsewhere: without what is of this browser only. */
export function withoutBefore({ before: _, ...evening }: HeldEvening): Evening {
  return evening;
}
