import { nextLookAt } from './looks';
import type { LiveStep, Session } from './session';
import { instantOf, liveSteps } from './session';

/** What stands before the cook: what the hands do, what is on the heat, what comes. */
export interface Stove {
  readonly now: readonly LiveStep[];
  /** Under way without hands, what wants an eye first at the head. */
  readonly watching: readonly LiveStep[];
  readonly next: readonly LiveStep[];
  /** Whole minutes without hands-on work from now, for the first cook; 0 while the hands are busy. */
  readonly quietMinutes: number;
  /** When that quiet begins. */
  readonly quietFrom: number;
  readonly finished: boolean;
}

const MOST_NEXT = 4;
const MINUTE = 60_000;

/** For so long a turn goes before all else: a flame turned down late burns. */
const AT_ONCE = 2 * MINUTE;

/** What stands first under "now": what has just to be turned, the hands, what has to be set going. */
function rank({ step, turns, startAt }: LiveStep, now: number): number {
  if (turns && now < startAt + AT_ONCE) return 0;
  return step.attention === 'hands' ? 1 : 2;
}

/** The three parts of the cook view at an instant. `steps`: what every step is doing then, where that is known already. */
export function stoveAt(session: Session, now: number, steps = liveSteps(session, now)): Stove {
  const hands = (live: LiveStep) => live.step.attention === 'hands';
  const due = steps.filter(
    (live) => live.status === 'due' || live.turns === true || (live.status === 'running' && hands(live)),
  );
  // One thing at a time for each pair of hands: the first that is due; what has to be set going or turned comes with it.
  const first = new Set<string>();
  const nowList = due.filter((live) => {
    const who = live.step.person?.id ?? `start ${live.step.key}`;
    if (first.has(who)) return false;
    first.add(who);
    return true;
  });
  // What wants an eye first stands first: a look or its end. Both instants are known ahead, so that time alone moves nothing.
  const watching = steps
    .filter((live) => live.status === 'running' && !hands(live))
    .map((live) => ({ live, eyeAt: Math.min(live.endAt, nextLookAt(live) ?? live.endAt) }))
    .sort((a, b) => a.eyeAt - b.eyeAt)
    .map(({ live }) => live);
  const coming = steps
    .filter((live) => (live.status === 'waiting' || live.status === 'due') && !nowList.includes(live))
    .filter((live) => live.step.follows === null || hands(live))
    .sort((a, b) => a.startAt - b.startAt);
  const cook = session.meal.kitchen.people.find((person) => person.role === 'cook');
  const handsAhead = coming.filter((live) => live.step.person && live.step.person.id === cook?.id);
  const busyUntil = nowList
    .filter((live) => live.step.person?.id === cook?.id)
    .reduce((latest, live) => Math.max(latest, live.endAt), now);
  const nextHands = handsAhead[0]?.startAt ?? instantOf(session, 0);
  return {
    now: nowList.sort((a, b) => rank(a, now) - rank(b, now) || a.startAt - b.startAt),
    watching,
    next: coming.slice(0, MOST_NEXT),
    quietMinutes: Math.max(0, Math.floor((nextHands - busyUntil) / MINUTE)),
    quietFrom: busyUntil,
    finished: steps.every((live) => live.status === 'done'),
  };
}
