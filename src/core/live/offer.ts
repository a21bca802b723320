import type { Landing, Plan } from '@/core/plan/plan';
import { tableWithin } from '@/core/plan/say-odds';
import { type NewEvent, standingEvents } from './events';
import type { Session } from './session';

/** Less than this is not worth speaking about. */
const WORTH_MINUTES = 3;
/** Hours are agreed in steps of five minutes. */
export const STEP = 5;
const MINUTE = 60_000;

/** What is wrong with a plan in mid-meal. */
export interface Trouble {
  /** Hot dishes that come late, the latest last. */
  readonly late: readonly Landing[];
  /** Dishes that stand longer than they bear. */
  readonly spoilt: readonly Landing[];
}

/** What is wrong with a plan, apart from what the cook has said may be so. */
export function troubleOf({ plan, events }: Pick<Session, 'plan' | 'events'>): Trouble {
  const kept = standingEvents(events).findLast((event) => event.kind === 'kept');
  const allowed = kept?.kind === 'kept' ? kept.minutes + STEP : WORTH_MINUTES;
  const borne = new Set(kept?.kind === 'kept' ? kept.dishes : []);
  const late = plan.landings
    .filter((landing) => landing.served !== 'cold' && landing.late > 0)
    .sort((a, b) => a.late - b.late);
  const worst = late.at(-1)?.late ?? 0;
  return {
    late: worst < allowed ? [] : late,
    spoilt: plan.landings.filter((landing) => landing.fine === 'too long' && !borne.has(landing.dishId)),
  };
}

/** Whether anything is late or stands too long. */
export function isTrouble({ late, spoilt }: Trouble): boolean {
  return late.length > 0 || spoilt.length > 0;
}

/** What to tell when all may be as it is: the hour stays, what is late comes late, what stands too long stands. */
export function borneAsItIs({ landings }: Plan): Extract<NewEvent, { kind: 'kept' }> {
  const hot = landings.filter(({ served }) => served !== 'cold');
  return {
    kind: 'kept',
    minutes: Math.max(0, ...hot.map(({ late }) => late)),
    dishes: landings.filter(({ fine }) => fine === 'too long').map(({ dishId }) => dishId),
  };
}

/** How bad it is, in minutes late; a dish spoilt counts as a quarter of an hour. */
export function weightOf({ late, spoilt }: Trouble): number {
  return (late.at(-1)?.late ?? 0) + 15 * spoilt.length;
}

/** What can be agreed when the hour cannot be kept. */
export interface LateOffer {
  /** The dishes that come late, the latest last. */
  readonly dishes: readonly string[];
  readonly late: number;
  /** The hour that can be kept, and how much later it is. */
  readonly newTable: number;
  readonly minutes: number;
}

/** The offer that stands, if the hour cannot be kept and the cook has not said that it stays. */
export function lateOffer(session: Session): LateOffer | null {
  const { late: isLate } = troubleOf(session);
  const late = isLate.at(-1)?.late;
  if (late === undefined) return null;
  // An hour that can be kept in nine of ten evenings: one offer, large enough.
  const { odds } = session.plan;
  const surely = odds ? Math.max(late, tableWithin(odds.table, 0.9)) : late;
  const minutes = Math.ceil(surely / STEP) * STEP;
  return {
    dishes: isLate.map(({ dishName }) => dishName),
    late,
    newTable: session.tableAt + minutes * MINUTE,
    minutes,
  };
}
