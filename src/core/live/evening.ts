import isEqual from 'fast-deep-equal';
import { say } from '@/core/say/say';
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
  /** It was told things on another device that its plan does not know yet: of this browser only, until it is planned anew. */
  readonly toldElsewhere?: true;
  /** So many events of its log its plan knows, while that is not all of them: of this browser only. */
  readonly planKnows?: number;
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
  const planKnows = fresh.some((event) => isNewToThePlan(event, events)) ? eventsKnown(evening) : evening.planKnows;
  return { ...evening, events, ...(before ? { before } : {}), ...(planKnows === undefined ? {} : { planKnows }) };
}

/** So many events of the log the plan was made with, at most; each plan of an evening that was told things elsewhere lacks some. */
export function eventsKnown({ events, planKnows, toldElsewhere }: HeldEvening): number {
  return planKnows ?? events.length - (toldElsewhere ? 1 : 0);
}

/** What begins is in the plan already; where it began at another minute than planned, a new plan follows by the clock. */
function isNewToThePlan(event: LiveEvent, events: readonly LiveEvent[]): boolean {
  return event.kind !== 'begun' && changesThePlan(event, events);
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
  // What is taken back the plan of before never knew: it knows all that stands.
  const { firstTable: _, ...rest } = knowingAll(evening);
  const { events: __, ...stood } = kept;
  return { ...rest, ...stood, moved: say('Taken back: as it was. {moved}', { moved: kept.moved }).trim() };
}

/** The evening as it is kept elsewhere: without what is of this browser only. */
export function withoutBefore({ before: _, ...evening }: HeldEvening): Evening {
  return knowingAll(evening);
}

/** The evening with a plan that knows all of its log. */
export function knowingAll({ toldElsewhere: _, planKnows: __, ...evening }: HeldEvening): HeldEvening {
  return evening;
}

/**
 * One evening that was told things on two devices: all that either was told, each once, by its instant; what was taken back on one is taken back.
 * The plan and the hour are those of the device that was told last, until all of it is planned anew. Where both say the same of the evening, it is the first as it stands.
 */
export function joined(mine: HeldEvening, theirs: Evening): HeldEvening {
  const events = joinedLogs(mine.events, theirs.events);
  const over = mine.over || theirs.over;
  if (events === mine.events) return over === mine.over ? mine : { ...mine, over };
  // How it stood before was of a log that nobody has any more.
  const told = lastAt(theirs) > lastAt(mine) ? theirs : withoutBefore(mine);
  return { ...told, mealId: mine.mealId, events, over, toldElsewhere: true };
}

/** All that either log was told, each once, by its instant; mine itself where the other holds nothing more. */
export function joinedLogs(mine: readonly LiveEvent[], theirs: readonly LiveEvent[]): readonly LiveEvent[] {
  const known = new Map(mine.map((event) => [event.id, event]));
  /** What an event of theirs is called here. */
  const names = new Map<string, string>();
  const fresh: LiveEvent[] = [];
  for (const event of theirs) {
    const told: LiveEvent = event.kind === 'undo' ? { ...event, of: names.get(event.of) ?? event.of } : event;
    // Two devices may give one name to two things told at the same instant: the second is called otherwise, on whichever it comes in.
    const name = event.id.replace(/\++$/, '');
    let id = name;
    while (known.has(id) && !isSame(known.get(id)!, told)) id += '+';
    names.set(event.id, id);
    if (known.has(id)) continue;
    known.set(id, { ...told, id });
    fresh.push({ ...told, id });
  }
  return fresh.length === 0 ? mine : [...mine, ...fresh].sort((a, b) => a.at - b.at);
}

const lastAt = ({ events }: Evening) => events.at(-1)?.at ?? 0;

/** Whether two events say the same, whatever they are called. */
function isSame(one: LiveEvent, other: LiveEvent): boolean {
  return isEqual(one, { ...other, id: one.id });
}
