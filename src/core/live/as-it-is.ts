import type { Dish } from '@/core/dish/dish';
import { KEPT_WARM, keptWarm, type WarmPlace } from '@/core/dish/keep-warm';
import { isPartOf, readUnit, stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { beginsInTheOven, goesOnInTheOven } from '@/core/meal/other-heat';
import { tableLater } from '@/core/plain/wall-clock';
import { WARM_UNTIL } from '@/core/plan/kept-until';
import { applied, type Change } from '@/core/remedies/change';
import { firstTableAt } from './at-hour';
import { eatersOf, type StandingEvent, standingEvents } from './events';
import { withGuests } from './guests';
import { asMeasured } from './measuring';
import { mended } from './mending';
import { liveSteps, type Session } from './session';

const MINUTE = 60_000;

/** The instant of the table by all that was told. */
export function agreedTableAt(session: Session): number {
  const moved = standingEvents(session.events).reduce(
    (sum, event) => sum + (event.kind === 'hour' ? event.minutes : 0),
    0,
  );
  return firstTableAt(session) + moved * MINUTE;
}

/** Less than this is not worth warming an oven for. */
const WORTH_WARMING = 4;

/**
 * The meal as it is by now: without what was dropped, in the kitchen that still works, at the hour agreed, with what was decided for a dish on the
 * way: to come after the rest, to go on in the oven, to be kept warm for as long as it is ready too soon, as that looks at `at`.
 */
export function mealAsItIs(session: Session, at: number): Meal {
  return changesSoFar(session, at).reduce(applied, session.meal);
}

/** What was told, as changes of the meal: the same that are proposed before an evening, carried out by the same hand. */
export function changesSoFar(session: Session, at: number): readonly Change[] {
  const { meal } = session;
  const events = standingEvents(session.events);
  const dropped = new Set(events.flatMap((event) => (event.kind === 'dropped' ? [event.dish] : [])));
  const failed = events.flatMap((event) => (event.kind === 'failed' ? [readUnit(event.unit)] : []));
  const minutes = Math.round((agreedTableAt(session) - firstTableAt(session)) / MINUTE);
  const works = (sort: 'burner' | 'appliance') => (each: { readonly id: string }) =>
    !failed.some((unit) => unit.sort === sort && unit.id === each.id);
  const { kitchen } = meal;
  const people = eatersOf(meal, events);
  const written = new Map(meal.dishes.map((dish) => [dish.id, dish]));
  const measured = events.filter((event) => event.kind === 'measured');
  const isLast = ({ key, product }: (typeof measured)[number], index: number) =>
    !measured.slice(index + 1).some((later) => later.key === key && later.product === product);
  const cooked = measured.filter(isLast).reduce(asMeasured, withGuests(meal, events));
  const added = cooked.dishes.filter(({ id }) => !written.has(id) && !dropped.has(id));
  return [
    ...(minutes === 0 ? [] : [{ kind: 'hour', ...tableLater(meal, minutes) } as const]),
    ...(people === meal.people ? [] : [{ kind: 'people', people } as const]),
    ...[...dropped].filter((id) => written.has(id)).map((dishId) => ({ kind: 'without', dishId }) as const),
    ...added.map((dish) => ({ kind: 'with', dish: asDecided(session, dish, events, at) }) as const),
    ...cooked.dishes.flatMap((dish): readonly Change[] => {
      if (!written.has(dish.id)) return [];
      const decided = dropped.has(dish.id) ? dish : asDecided(session, dish, events, at);
      return decided === written.get(dish.id) ? [] : [{ kind: 'dish', dishId: dish.id, dish: decided }];
    }),
    ...(failed.length === 0
      ? []
      : [
          {
            kind: 'kitchen',
            kitchen: {
              ...kitchen,
              burners: kitchen.burners.filter(works('burner')),
              appliances: kitchen.appliances.filter(works('appliance')),
            },
          } as const,
        ]),
  ];
}

/** A dish with what was decided for it, the latest word counting. */
function asDecided(session: Session, dish: Dish, events: readonly StandingEvent[], at: number): Dish {
  let now = dish;
  let where: WarmPlace | null = null;
  for (const event of events) {
    if (event.kind === 'after' && event.dish === dish.id && now.lands)
      now = { ...now, lands: { ...now.lands, after: event.minutes } };
    if (event.kind === 'keep-warm' && event.dish === dish.id) where = event.where;
    if (event.kind === 'rescued' && event.dish === dish.id && event.step) now = mended(now, event.step, event.id);
    if (event.kind === 'to-oven') {
      const step = now.steps.find(({ id }) => stepKey(dish.id, id) === event.key);
      if (step) now = event.under ? goesOnInTheOven(now, step, event.under.rest) : beginsInTheOven(now, step);
    }
  }
  const minutes = where === null ? 0 : warmMinutes(session, now, at);
  return where !== null && minutes > 0 ? keptWarm(now, where, minutes) : now;
}

/** How long a dish has to be kept warm: from when it is ready, as that looks now, until shortly before it is eaten; 0 for not at all. */
function warmMinutes(session: Session, { id, lands }: Dish, at: number): number {
  if (!lands) return 0;
  const steps = liveSteps(session, at);
  const last = steps.findLast(({ step }) => isPartOf(step.key, stepKey(id, lands.step)));
  if (!last) return 0;
  const warming = steps.find(({ step, status }) => step.key === stepKey(id, KEPT_WARM) && status !== 'waiting');
  const table = agreedTableAt(session) + (lands.after ?? 0) * MINUTE;
  const until = table - Math.min(WARM_UNTIL, lands.waits.wellMinutes) * MINUTE;
  const minutes = Math.round((until - (warming?.startAt ?? last.endAt)) / MINUTE);
  if (warming) return Math.max(1, minutes);
  // Until the oven or the flame is free for it, it may wait as well as it would before the table.
  const room = Math.min(WARM_UNTIL, lands.waits.wellMinutes);
  return minutes < WORTH_WARMING ? 0 : Math.max(WORTH_WARMING, minutes - room);
}
