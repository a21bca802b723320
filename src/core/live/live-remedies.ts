import type { Dish } from '@/core/dish/dish';
import { bearsWarmth, type WarmPlace } from '@/core/dish/keep-warm';
import { minutesToHeat } from '@/core/heat/roast';
import { holdOfVessel, readUnit, stepKey } from '@/core/meal/keys';
import { isLongSimmer, OVEN_SIMMER } from '@/core/meal/other-heat';
import type { PlanResult } from '@/core/plan/made';
import type { Landing, Plan } from '@/core/plan/plan';
import { type Tryable, tryOut } from '@/core/remedies/try-out';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { mealAsItIs } from './as-it-is';
import type { RestRequest } from './carry-on';
import type { NewEvent } from './events';
import { STEP, type Trouble, troubleOf, weightOf } from './offer';
import { type LiveStep, liveSteps, type Session } from './session';
import { whatIf } from './what-if';

const MINUTE = 60_000;
/** A flame turned down makes what is left of a simmer longer by so much. Common practice, no source. */
const SLOWER = 0.25;
/** What is left of a simmer must be so long for that to matter. */
const WORTH_SLOWING = 12;
/** ... and so long to be worth carrying into an oven. */
const WORTH_CARRYING = 25;
/** So late a dish may as well be left out. */
const WORTH_LEAVING = 15;
const MOST_SHOWN = 3;

/** What can be done when something comes late or stands too long: what to tell, and what it would lead to. */
export interface LiveRemedy extends Tryable {
  /** What kind of thing it does: of ways of one sort that help alike only the best is told. */
  readonly sort: 'down' | 'warm' | 'oven' | 'later' | 'after' | 'drop';
  /** As a button says it: "keep Barley warm". */
  readonly says: string;
  /** How that is done, where the button does not say it: "Barley in a low oven". */
  readonly how?: string;
  readonly does: readonly NewEvent[];
}

/** A way that was planned for real. */
export interface FoundRemedy extends LiveRemedy {
  readonly trouble: Trouble;
  /** "everything lands in time" */
  readonly leadsTo: string;
}

/**
 * What can be tried at an instant, what asks least first: the flame turned down, a dish kept warm, a simmer carried into the oven, what is late
 * eaten after the rest, a later table, a dish less.
 */
export function waysToTry(session: Session, at: number): readonly LiveRemedy[] {
  const trouble = troubleOf(session);
  const dishes = mealAsItIs(session, at).dishes;
  const steps = liveSteps(session, at);
  const ways = [
    ...trouble.spoilt
      .filter(({ dishId }) => !dishes.find(({ id }) => id === dishId)?.grain)
      .flatMap((landing) => turnedDown(landing, steps, at)),
    ...keptWarmWays(session, trouble.spoilt, dishes),
    ...carried(session, dishes, steps, at),
    ...laterWays(session.plan, trouble),
    ...leftOut(trouble, steps),
  ];
  return ways.sort((a, b) => a.effort - b.effort);
}

/** A simmer under way that would be over too soon. Grain keeps to its heat: it has the liquid for it. */
function turnedDown(
  { dishId, dishName, waits, mostMinutes }: Landing,
  steps: readonly LiveStep[],
  at: number,
): LiveRemedy[] {
  return steps.flatMap(({ step, status, endAt }): LiveRemedy[] => {
    const left = (endAt - at) / MINUTE;
    const simmers = step.station.sort === 'burner' && step.attention !== 'hands' && step.heat !== 'lowest';
    if (step.dishId !== dishId || status !== 'running' || !simmers || left < WORTH_SLOWING) return [];
    const more = Math.min(Math.round(left * SLOWER), Math.max(1, waits - mostMinutes + 2));
    return [
      {
        sort: 'down',
        id: `down ${step.key}`,
        says: say('turn the flame down under {dish}', { dish: dishName }),
        how: say('it takes {more} min more', { more }),
        does: [{ kind: 'turned-down', key: step.key, until: endAt + more * MINUTE }],
        effort: 1,
      },
    ];
  });
}

const whereWords = (): Readonly<Record<WarmPlace, string>> => ({
  oven: say('in a low oven'),
  flame: say('on the lowest flame'),
});

/** All that stands too long and bears it kept warm: in the oven, or on flames as far as that goes. */
function keptWarmWays(session: Session, spoilt: readonly Landing[], dishes: readonly Dish[]): LiveRemedy[] {
  const hasOven = session.meal.kitchen.ovens.length > 0;
  const ways = (['flame', 'oven'] as const).flatMap((rather): LiveRemedy[] => {
    const chosen = spoilt.flatMap(({ dishId, dishName }) => {
      const dish = dishes.find(({ id }) => id === dishId);
      const places: readonly WarmPlace[] = rather === 'oven' ? ['oven', 'flame'] : ['flame', 'oven'];
      const where = places.find((place) => dish && bearsWarmth(dish, place) && (place === 'flame' || hasOven));
      return where ? [{ dish: dishId, name: dishName, where }] : [];
    });
    if (chosen.length === 0) return [];
    const groups = (['flame', 'oven'] as const).flatMap((where) => {
      const names = chosen.filter((each) => each.where === where).map(({ name }) => name);
      return names.length > 0 ? [`${listed(names)} ${whereWords()[where]}`] : [];
    });
    return [
      {
        sort: 'warm',
        id: `warm ${chosen.map(({ dish, where }) => `${dish}:${where}`).join(' ')}`,
        says: say('keep {what} warm', { what: chosen.length > 1 ? 'them' : chosen[0]!.name }),
        how: groups.join(say(', ')),
        does: chosen.map(({ dish, where }) => ({ kind: 'keep-warm', dish, where })),
        effort: rather === 'flame' ? 1.5 : 2,
      },
    ];
  });
  return ways.filter(({ id }, index) => ways.findIndex((other) => other.id === id) === index);
}

/** Long simmers that could leave their burner: at once where they have not begun, else when the oven is warm. */
function carried(session: Session, dishes: readonly Dish[], steps: readonly LiveStep[], at: number): LiveRemedy[] {
  const { ovens } = session.meal.kitchen;
  const oven = ovens[0];
  if (!oven) return [];
  const warmUp = Math.round(minutesToHeat(OVEN_SIMMER, oven.warmUpMinutes).likely);
  return dishes.flatMap((dish) =>
    dish.steps.flatMap((step): LiveRemedy[] => {
      const live = steps.find((each) => each.step.key === stepKey(dish.id, step.id));
      if (!live || live.status === 'done' || live.step.parts > 1 || !isLongSimmer(step)) return [];
      if (!standsInCasserole(session, dish, step.vessel)) return [];
      const until = at + warmUp * MINUTE;
      const rest = Math.round((live.endAt - until) / MINUTE);
      const under = live.status === 'running';
      if (under && rest < WORTH_CARRYING) return [];
      return [
        {
          sort: 'oven',
          id: `oven ${live.step.key}`,
          says: say('{dish} into the oven', { dish: dish.name }),
          how: say('“{step}” goes on there, covered, and leaves its burner', { step: step.name }),
          does: [{ kind: 'to-oven', key: live.step.key, ...(under ? { under: { until, rest } } : {}) }],
          effort: under ? 3 : 2.5,
        },
      ];
    }),
  );
}

/** Only what bears an oven is carried into it. */
function standsInCasserole({ plan, meal }: Session, dish: Dish, use: string | undefined): boolean {
  const unit = use === undefined ? undefined : plan.known.holds[holdOfVessel(dish.id, use)];
  const vessel = unit && meal.kitchen.vessels.find(({ id }) => id === readUnit(unit).id);
  return vessel !== undefined && vessel !== '' && vessel.kind === 'casserole';
}

/** The table later as a whole, or the late dishes after the rest. */
function laterWays({ landings }: Plan, { late }: Trouble): LiveRemedy[] {
  const worst = late.at(-1)?.late ?? 0;
  if (worst === 0) return [];
  const ways: LiveRemedy[] = [0, 1].map((more) => {
    const minutes = Math.ceil(worst / STEP) * STEP + more * 2 * STEP;
    return {
      sort: 'later',
      id: `later ${minutes}`,
      says: say('lay the table {minutes} min later', { minutes }),
      does: [{ kind: 'hour', minutes }],
      effort: 3 + minutes / 15,
    };
  });
  const first = landings.filter((landing) => landing.served !== 'cold' && landing.late === 0);
  if (first.length < late.length) return ways;
  const names = late.map(({ dishName }) => dishName);
  ways.push({
    sort: 'after',
    id: `after ${late.map(({ dishId }) => dishId).join(' ')}`,
    says: say('eat {what} first', {
      what: first.length > 2 ? say('the rest') : listed(first.map(({ dishName }) => dishName)),
    }),
    how: say('{names} {worst} min after', { names: listed(names), worst }),
    does: late.map(({ dishId, late: minutes, after = 0 }) => ({
      kind: 'after',
      dish: dishId,
      minutes: after + Math.max(minutes, 1),
    })),
    effort: 3.5 + worst / 15,
  });
  return ways;
}

/** A dish that comes far too late and has not been begun. */
function leftOut({ late }: Trouble, steps: readonly LiveStep[]): LiveRemedy[] {
  return late
    .filter(({ dishId, late: minutes }) => {
      const begun = steps.some(
        ({ step, status }) => step.dishId === dishId && status !== 'waiting' && status !== 'due',
      );
      return minutes >= WORTH_LEAVING && !begun;
    })
    .map(({ dishId, dishName }) => ({
      sort: 'drop' as const,
      id: `drop ${dishId}`,
      says: say('leave {dish} out', { dish: dishName }),
      does: [{ kind: 'dropped' as const, dish: dishId }],
      effort: 8,
    }));
}

/**
 * Plans each way for real from an instant on and returns those that help, best first: fewest dishes late or standing too long, then what asks
 * least. Of ways that help alike and are of one sort only the first is told, and no more than three in all.
 */
export async function findWays(
  session: Session,
  at: number,
  planRest: (request: RestRequest) => Promise<PlanResult>,
  signal?: { readonly aborted: boolean },
): Promise<readonly FoundRemedy[]> {
  const was = weightOf(troubleOf(session));
  const best = await tryOut<LiveRemedy, FoundRemedy>(
    waysToTry(session, at),
    async (way) => {
      const { trouble, leadsTo } = await whatIf(session, way.does, at, planRest);
      return weightOf(trouble) < was ? { ...way, trouble, leadsTo } : null;
    },
    (a, b) => weightOf(a.trouble) - weightOf(b.trouble),
    ({ sort, trouble }) => `${sort} ${trouble.spoilt.map(({ dishId }) => dishId).join(' ')}`,
    signal ? { signal } : {},
  );
  return signal?.aborted ? [] : best.slice(0, MOST_SHOWN);
}
