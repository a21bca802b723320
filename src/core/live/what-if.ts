import { printSpan } from '@/core/plain/span';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { carryOn, type RestRequest } from './carry-on';
import type { LiveEvent, NewEvent } from './events';
import { type Trouble, troubleOf } from './offer';
import type { Session } from './session';

/** What the rest of an evening would be if something were told. */
export interface Outcome {
  readonly trouble: Trouble;
  readonly plan: Plan;
  /** "everything lands in time" */
  readonly leadsTo: string;
}

/** Plans the rest as if these were told at an instant; nothing is told. */
export async function whatIf(
  session: Session,
  does: readonly NewEvent[],
  at: number,
  planRest: (request: RestRequest) => Promise<PlanResult>,
): Promise<Outcome> {
  const events = does.map((said, index) => ({ ...said, id: `if ${index}`, at }) as LiveEvent);
  const told = { ...session, events: [...session.events, ...events] };
  const { plan, fits } = await carryOn(told, at, '', planRest);
  const trouble = troubleOf({ plan, events: told.events });
  return { trouble, plan, leadsTo: fits ? outcomeOf(trouble, plan) : say('the rest would no longer fit') };
}

/** The odds are told where they are not nearly sure. */
const NEARLY_SURE = 19;

function outcomeOf({ late, spoilt }: Trouble, { landings, odds }: Plan): string {
  const words = [
    ...(late.length > 0
      ? [
          say('{late} {span} late', {
            late: listed(late.map(({ dishName }) => dishName)),
            span: printSpan(late.at(-1)!.late),
          }),
        ]
      : []),
    ...(spoilt.length > 0
      ? [
          say('{count, plural, one {{spoilt} still stands too long} other {{spoilt} still stand too long}}', {
            spoilt: listed(spoilt.map(({ dishName }) => dishName)),
            count: spoilt.length,
          }),
        ]
      : []),
  ];
  if (words.length > 0) return words.join('; ');
  const after = landings.filter((landing) => landing.after !== undefined);
  const lands = after.length > 0 ? say('the rest lands in time') : say('everything lands in time');
  const of = odds ? ofTwenty(odds.within5) : NEARLY_SURE;
  return of < NEARLY_SURE ? say('{lands}, in {of} of 20 evenings', { lands, of }) : lands;
}
