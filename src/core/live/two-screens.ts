import isEqual from 'fast-deep-equal';
import { say } from '@/core/say/say';
import { type Evening, eventsKnown, type HeldEvening, joinedLogs, knowingAll, withoutBefore } from './evening';

// One evening on two screens that are joined to each other: each tells the other the evening as it stands there, whenever it changes.

/** What one screen tells the other. */
export interface Shared {
  readonly evening: Evening;
  /** So many events of the evening's log its plan was made with. */
  readonly knows: number;
}

/** What a screen tells of an evening. */
export function sharedOf(held: HeldEvening): Shared {
  return { evening: withoutBefore(held), knows: eventsKnown(held) };
}

/**
 * The evening with what the other screen tells: all that either was told, each once; the plan that knows more of it, and of two that know as
 * much the leading screen's, so that both show one. Where no plan knows all of it the evening says so (`toldElsewhere`), and the leading screen
 * plans anew. Where nothing is news it is the first as it stands.
 */
export function met(mine: HeldEvening, theirs: Shared, leads: boolean): HeldEvening {
  const events = joinedLogs(mine.events, theirs.evening.events);
  const over = mine.over || theirs.evening.over;
  const [here, there] = [eventsKnown(mine), theirs.knows];
  const takesTheirs = there > here || (there === here && !leads && !isSamePlan(mine, theirs.evening));
  if (events === mine.events && over === mine.over && !takesTheirs) return mine;
  // How it stood before was of a log that nobody has any more.
  const { before, firstTable: _, ...rest } = knowingAll(mine);
  const kept = events === mine.events && before ? { before } : {};
  const { plan, tableAt, firstTable, moved } = takesTheirs ? theirs.evening : mine;
  const knows = Math.max(here, there);
  const behind = knows < events.length ? ({ planKnows: knows, toldElsewhere: true } as const) : {};
  const first = firstTable === undefined ? {} : { firstTable };
  return { ...rest, ...kept, plan, tableAt, ...first, moved, events, over, ...behind };
}

/** Whether the other screen, as it told last, does not show what this one shows. */
export function isNewsTo(theirs: Shared, mine: HeldEvening): boolean {
  const [here, there] = [eventsKnown(mine), theirs.knows];
  if (joinedLogs(theirs.evening.events, mine.events) !== theirs.evening.events) return true;
  if (mine.over && !theirs.evening.over) return true;
  // Also that the plan that both show knows more than the other screen believes.
  return here > there || (here === there && !isSamePlan(mine, theirs.evening));
}

function isSamePlan(one: Evening, other: Evening): boolean {
  return one.tableAt === other.tableAt && one.moved === other.moved && isEqual(one.plan, other.plan);
}

/** Whether the clock of one device was set and the other does not know: the two tell their instants by different clocks. */
export function clockWasSet(one: Evening, other: Evening): boolean {
  const set = ({ events }: Evening) => events.filter(({ kind }) => kind === 'clock-set').length;
  return set(one) !== set(other);
}

/** Two clocks that differ by more than this, in milliseconds, are spoken of: a call comes that much too soon on one of the screens. */
export const WORTH_SAYING = 5000;

/**
 * Milliseconds by which the other device's clock is ahead: asked at one instant of this clock, answered at one of the other's, heard at one of
 * this again. The way there and the way back are taken to be as long.
 */
export function clockAhead(asked: number, answered: number, heard: number): number {
  return Math.round(answered - (asked + heard) / 2);
}

/** The difference of two clocks in a sentence; null where it is not worth one. */
export function sayClockAhead(ahead: number): string | null {
  if (Math.abs(ahead) <= WORTH_SAYING) return null;
  const seconds = Math.round(Math.abs(ahead) / 1000);
  const far =
    seconds < 120
      ? say('{seconds} seconds', { seconds })
      : say('{seconds} minutes', { seconds: Math.round(seconds / 60) });
  return ahead > 0
    ? say(
        'The clock of the other device is {far} ahead: set both by the network’s time, or calls come too soon on one.',
        { far },
      )
    : say(
        'The clock of the other device is {far} behind: set both by the network’s time, or calls come too soon on one.',
        { far },
      );
}
