import { tableLater } from '@/core/plain/wall-clock';
import { landingAt, type Plan } from '@/core/plan/plan';
import type { Session } from './session';

const MINUTE = 60_000;

/** The hour that was agreed when the evening began. */
export function firstTableAt({ firstTable, tableAt }: Pick<Session, 'firstTable' | 'tableAt'>): number {
  return firstTable ?? tableAt;
}

/** The session with its table at another instant: the same plan by the clock, told from the new hour. */
export function atHour<T extends Session>(session: T, tableAt: number): T {
  const by = Math.round((tableAt - session.tableAt) / MINUTE);
  return by === 0
    ? session
    : { ...session, firstTable: firstTableAt(session), tableAt, plan: shifted(session.plan, by) };
}

/** A plan told from a table that many minutes later; nothing in it moves by the clock. */
function shifted(plan: Plan, by: number): Plan {
  const landings = plan.landings.map((landing) => landingAt(landing, landing.ready - by));
  return {
    ...plan,
    ...tableLater(plan, by),
    steps: plan.steps.map((step) => ({
      ...step,
      start: step.start - by,
      end: step.end - by,
      shortestEnd: step.shortestEnd - by,
      longestEnd: step.longestEnd - by,
    })),
    landings,
    waitings: plan.waitings.map((waiting) => ({ ...waiting, from: waiting.from - by, to: waiting.to - by })),
    hands: plan.hands.map((band) => ({
      ...band,
      busy: band.busy.map((each) => ({ ...each, start: each.start - by, end: each.end - by })),
    })),
    firstHand: plan.firstHand - by,
    known: {
      ...plan.known,
      places: Object.fromEntries(
        Object.entries(plan.known.places).map(([key, place]) => [
          key,
          {
            ...place,
            start: place.start - by,
            end: place.end - by,
            ...(place.wanted === undefined ? {} : { wanted: place.wanted - by }),
          },
        ]),
      ),
    },
  };
}
