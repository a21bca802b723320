import type { Dish, VesselUse } from '@/core/dish/dish';
import { keptWarm, type WarmPlace } from '@/core/dish/keep-warm';
import { fittingVessels } from '@/core/kitchen/fits';
import {
  type ApplianceKind,
  clockMinutes,
  type Kitchen,
  printClock,
  VESSEL_KINDS,
  type Vessel,
  type VesselKind,
} from '@/core/kitchen/kitchen';
import { aheadPoints } from '@/core/meal/ahead';
import type { Meal } from '@/core/meal/meal';
import { missingVessels } from '@/core/meal/missing-vessels';
import { inTheOven, moreGently } from '@/core/meal/other-heat';
import { scaledFor } from '@/core/meal/scaled';
import { sharedOut } from '@/core/meal/share-out';
import { bare } from '@/core/plain/record';
import { keepables } from '@/core/plan/keeps';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { say, term } from '@/core/say/say';
import { capital, listed } from '@/core/units/words';
import { appliedAsMade, type Change } from './change';
import { type TryOutOptions, tryOut } from './try-out';

/** A what-if that can be tried. */
export interface Idea {
  readonly id: string;
  /** In a cook's words: "serve 30 min later, at 20:00". */
  readonly says: string;
  /** What it asks, in words: "the table waits 30 min". */
  readonly asks: string;
  /** How much that is, from 0 upwards: of two that help alike the lesser comes first. */
  readonly effort: number;
  /** Of ideas that do more of the same only the best is told. */
  readonly sort?: string;
  readonly change: Change;
}

/** A what-if that was planned for real. */
export interface WayOut extends Idea {
  /** Minutes by which the last dish is late; 0 when all are in time. */
  readonly late: number;
  /** Dishes that wait longer than they should. */
  readonly overdue: number;
  /** Share of rehearsed evenings that land well; null where they were not rehearsed. */
  readonly good: number | null;
  /** What it does, in words. */
  readonly gains: string;
}

const LATEST_HOUR = 23 * 60 + 45;
const HELP_MINUTES = 150;
/** What the evening before must still have left of it. */
const EVENING_MINUTES = 180;

/** Of two ways the one with so many more evenings that land well is better. */
const MORE_EVENINGS = 0.05;

/**
 * What can be tried for a meal that does not fit or lands late, what asks least of the cook first. `minutesLeft` until the
 * table: without an evening before there is nothing to be made on it. `before` is the plan as it stands: what waits too long in it may
 * be kept warm.
 */
export function ideasFor(
  meal: Meal,
  minutesLeft = Number.POSITIVE_INFINITY,
  before: Pick<Plan, 'landings' | 'odds'> | null = null,
): readonly Idea[] {
  const eve = minutesLeft >= clockMinutes(meal.hour) + EVENING_MINUTES;
  const ideas = [
    ...laterIdeas(meal),
    ...vesselIdeas(meal),
    ...kitchenIdeas(meal),
    ...meal.dishes.flatMap((dish) => [...elsewhereIdeas(meal, dish), ...(eve ? eveIdeas(meal, dish) : [])]),
    ...warmIdeas(meal, before),
    ...surerIdeas(meal, before),
    ...withoutIdeas(meal),
  ];
  return ideas.sort((a, b) => a.effort - b.effort);
}

function laterIdeas({ hour, pace }: Meal): Idea[] {
  const ideas: Idea[] = [];
  const table = clockMinutes(hour);
  for (const minutes of [15, 30, 60]) {
    if (table + minutes > LATEST_HOUR) continue;
    const later = printClock(table + minutes);
    ideas.push({
      id: `later ${minutes}`,
      says: say('serve {minutes} min later, at {later}', { minutes, later }),
      asks: say('the table waits {minutes} min', { minutes }),
      effort: minutes / 15,
      sort: 'later',
      change: { kind: 'hour', hour: later },
    });
  }
  if (pace !== 'brisk') {
    ideas.push({
      id: 'brisk',
      says: say('work at a brisk pace'),
      asks: say('no breath between the steps'),
      effort: 3,
      change: { kind: 'pace', pace: 'brisk' },
    });
  }
  return ideas;
}

/** More room for what takes longer. */
function surerIdeas({ sureness }: Meal, before: Pick<Plan, 'odds'> | null): Idea[] {
  if (sureness === 'sure' || !before?.odds) return [];
  const change = { kind: 'sureness', sureness: 'sure' } as const;
  return [{ id: 'sure', says: say('lean to a sure plan'), asks: say('hands that begin sooner'), effort: 2, change }];
}

const applianceNames = (): Readonly<Record<ApplianceKind, string>> => ({
  kettle: say('kettle'),
  'rice-cooker': say('rice cooker'),
  'pressure-cooker': say('pressure cooker'),
  blender: say('blender'),
  'slow-cooker': say('slow cooker'),
});

/** What a kitchen could have more of. */
function kitchenIdeas({ kitchen, dishes, hour }: Meal): Idea[] {
  const fresh = (wish: string, taken: readonly { readonly id: string }[]) =>
    taken.some(({ id }) => id === wish) ? `${wish} ${taken.length + 1}` : wish;
  const idea = (id: string, says: string, asks: string, effort: number, change: Partial<Kitchen>): Idea => ({
    id,
    says,
    asks,
    effort,
    change: { kind: 'kitchen', kitchen: { ...kitchen, ...change } },
  });
  const portable = {
    id: fresh('portable', kitchen.burners),
    name: say('Portable burner'),
    strength: 'middling',
    widestCm: 28,
    gentle: true,
  } as const;
  const from = printClock(Math.max(0, clockMinutes(hour) - HELP_MINUTES));
  const cooks = kitchen.people.filter(({ role }) => role === 'cook').length;
  const another = cooks === 1 ? say('second cook') : say('further cook');
  const second = {
    id: fresh('second-cook', kitchen.people),
    name: another,
    role: 'cook',
    from,
    until: hour,
  } as const;
  const bareSimmer = dishes.some(({ steps }) =>
    steps.some(({ place }) => place.at === 'burner' && place.heat === 'lowest'),
  );
  const fierce = kitchen.burners.filter(({ gentle }) => !gentle);
  const ideas = [
    ...(bareSimmer && fierce.length > 0
      ? [
          idea(
            'diffuser',
            say('put a heat diffuser under the pot on {burner}, for the barest simmer', {
              burner: listed(fierce.map(({ name }) => name)),
            }),
            say('a metal plate between flame and pot'),
            2,
            { burners: kitchen.burners.map((burner) => ({ ...burner, gentle: true })) },
          ),
        ]
      : []),
    idea('burner', say('borrow a portable burner'), say('a burner, and a safe place for it'), 4, {
      burners: [...kitchen.burners, portable],
    }),
    idea('hands', say('a {another} from {from} until the table', { another, from }), say('somebody’s time'), 5, {
      people: [...kitchen.people, second],
    }),
  ];
  const uses = dishes.flatMap((dish) => dish.vessels);
  for (const kind of VESSEL_KINDS) {
    // One more of the largest that is wanted by more than one thing.
    const wanted = uses.filter((use) => use.need.kinds[0] === kind);
    const largest = wanted.flatMap((use) => fittingVessels(kitchen, use.need).slice(0, 1));
    const vessel = largest.sort((a, b) => b.litres - a.litres)[0];
    if (!vessel || wanted.length < 2) continue;
    const vessels = kitchen.vessels.map((each) => (each.id === vessel.id ? { ...each, count: each.count + 1 } : each));
    ideas.push(
      idea(
        `one more ${kind}`,
        say('borrow one more {vessel}', { vessel: vessel.name.toLowerCase() }),
        say('one to be found'),
        3.5,
        { vessels },
      ),
    );
  }
  const places = dishes.flatMap((dish) => dish.steps.map(({ place }) => place));
  const could = new Set(places.flatMap((place) => (place.at === 'burner' && place.orIn ? [place.orIn] : [])));
  for (const kind of could) {
    if (kitchen.appliances.some((each) => each.kind === kind)) continue;
    const borrowed = { id: fresh(kind, kitchen.appliances), kind, name: capital(applianceNames()[kind]) };
    ideas.push(
      idea(
        `borrow ${kind}`,
        say('borrow a {appliance}', { appliance: applianceNames()[kind] }),
        say('one to be found, and a socket'),
        4,
        {
          appliances: [...kitchen.appliances, borrowed],
        },
      ),
    );
  }
  return ideas;
}

/** Vessels that a meal lacks: of each kind as many as are wanted, each large and wide enough for any of the uses. */
function lackedVessels(meal: Meal): readonly Vessel[] {
  const wanted = new Map<VesselKind, Vessel>();
  for (const { use } of missingVessels(meal)) {
    const kind = use.need.kinds[0]!;
    const known = wanted.get(kind);
    const litres = Math.max(known?.litres ?? 0, Math.ceil(use.need.litres * 2 - 1e-9) / 2);
    const straight = known?.straight === true || use.need.straight === true;
    wanted.set(kind, {
      id: `borrowed ${kind} ${litres}`,
      name: say('borrowed {kind} of {litres} l', { kind, litres }),
      kind,
      litres,
      widthCm: Math.max(known?.widthCm ?? 0, use.need.widthCm, usualWidth(litres)),
      count: (known?.count ?? 0) + 1,
      ...(straight ? { straight } : {}),
    });
  }
  return [...wanted.values()];
}

const sayVessel = ({ kind, litres, widthCm, count }: Vessel) =>
  count > 1
    ? say('{count} {kind}s of {litres} l, {widthCm} cm across', { count, kind: term(kind), litres, widthCm })
    : say('a {kind} of {litres} l, {widthCm} cm across', { kind: term(kind), litres, widthCm });

/** What a meal lacks of vessels and appliances, put into its kitchen: for a cook who has them and has not said so. Null where it lacks nothing. */
export function missingAdded(meal: Meal): { readonly says: string; readonly change: Change } | null {
  const { kitchen, dishes } = meal;
  const vessels = lackedVessels(meal).map((vessel) => ({
    ...vessel,
    id: vessel.id.replace('borrowed', 'own'),
    name: capital(vessel.name.replace('borrowed ', '')),
  }));
  const places = dishes.flatMap((dish) => scaledFor(meal, dish).steps.map(({ place }) => place));
  const kinds = new Map<ApplianceKind, number>();
  for (const place of places) {
    if (place.at !== 'appliance' || kitchen.appliances.some(({ kind }) => kind === place.appliance)) continue;
    kinds.set(place.appliance, Math.max(kinds.get(place.appliance) ?? 0, place.litres ?? 0));
  }
  const appliances = [...kinds].map(([kind, litres]) => ({
    id: `own ${kind}`,
    kind,
    name: capital(applianceNames()[kind]),
    ...(litres > 0 ? { litres: Math.max(1.5, Math.ceil(litres * 2) / 2) } : {}),
  }));
  if (vessels.length + appliances.length === 0) return null;
  const others = kitchen.vessels.filter(({ id }) => !vessels.some((vessel) => vessel.id === id));
  return {
    says: listed([
      ...vessels.map(sayVessel),
      ...appliances.map(({ kind }) => say('a {what}', { what: applianceNames()[kind] })),
    ]),
    change: {
      kind: 'kitchen',
      kitchen: { ...kitchen, vessels: [...others, ...vessels], appliances: [...kitchen.appliances, ...appliances] },
    },
  };
}

/** What helps where nothing is large enough: to borrow, or to share out between two pots. */
function vesselIdeas(meal: Meal): Idea[] {
  const lacking = missingVessels(meal);
  if (lacking.length === 0) return [];
  const { kitchen } = meal;
  const list = lackedVessels(meal);
  const named = list.map(sayVessel);
  const others = kitchen.vessels.filter(({ id }) => !list.some((vessel) => vessel.id === id));
  const ideas: Idea[] = [
    {
      id: 'borrow vessels',
      says: say('borrow {named}', { named: listed(named) }),
      asks: list.length > 1 ? say('some vessels to be found') : say('one to be found'),
      effort: 3,
      change: { kind: 'kitchen', kitchen: { ...kitchen, vessels: [...others, ...list] } },
    },
  ];
  // One press must make the meal possible: everything that is too large is shared out at once.
  const dishes = shareAll(meal, lacking);
  if (dishes) {
    const names = [...new Set(lacking.map(({ dish }) => dish.name))];
    ideas.push({
      id: 'share out',
      says: say('share {names} out between two pots', { names: listed(names) }),
      asks: say('twice the pots, and room for them on the heat'),
      effort: 2,
      change: { kind: 'dishes', dishes },
    });
  }
  return ideas;
}

function shareAll(
  meal: Meal,
  lacking: readonly { readonly dish: Dish; readonly use: VesselUse }[],
): Readonly<Record<string, Dish>> | null {
  const dishes = bare<Dish>();
  for (const { dish, use } of lacking) {
    const half = { ...use.need, litres: use.need.litres / 2 };
    const current = dishes[dish.id] ?? dish;
    const written = current.vessels.find(({ id }) => id === use.id);
    const shared = written && fittingVessels(meal.kitchen, half).length > 0 ? sharedOut(current, written) : null;
    if (!shared) return null;
    dishes[dish.id] = shared;
  }
  return dishes;
}

/** Width in cm of an ordinary vessel of so many litres. */
function usualWidth(litres: number): number {
  return Math.round(10 * (litres / 0.4) ** (1 / 3));
}

/** Steps of a dish that could stand somewhere else. */
function elsewhereIdeas({ kitchen }: Meal, dish: Dish): Idea[] {
  const idea = (id: string, says: string, asks: string, other: Dish): Idea => ({
    id,
    says,
    asks,
    effort: 2.5,
    change: { kind: 'dish', dishId: dish.id, dish: other },
  });
  return [
    ...inTheOven(dish, kitchen).map(({ step, dish: other }) =>
      idea(
        `oven ${dish.id} ${step.id}`,
        say('let {dish} (“{step}”) go on in the oven', { dish: dish.name, step: step.name }),
        say('a shelf, and a casserole with hot handles'),
        other,
      ),
    ),
    ...moreGently(dish).map(({ step, dish: other }) =>
      idea(
        `gently ${dish.id} ${step.id}`,
        say('let {dish} (“{step}”) simmer on a weaker burner', { dish: dish.name, step: step.name }),
        say('it takes a quarter longer'),
        other,
      ),
    ),
  ];
}

const warmWords = (): Readonly<Record<WarmPlace, readonly [says: string, asks: string]>> => ({
  flame: [say('on the lowest flame'), say('a burner, and a stir now and then')],
  oven: [say('in a low oven'), say('a shelf of a low oven')],
});

/** What waits too long kept warm until shortly before the table, where it bears that: each by itself, and all together. */
function warmIdeas(meal: Meal, before: Pick<Plan, 'landings' | 'odds'> | null): Idea[] {
  const kept = keepables(meal, before).map(({ dishId, places, minutes }) => {
    const dish = meal.dishes.find(({ id }) => id === dishId)!;
    const inPlace = (place: WarmPlace) => ({ ...keptWarm(dish, place, minutes), id: `${dishId}-warm-${place}` });
    return { dish, borne: places, minutes, inPlace };
  });
  const ideas = kept.flatMap(({ dish, borne, minutes, inPlace }) =>
    borne.map((place): Idea => {
      const [where, asks] = warmWords()[place];
      return {
        id: `warm ${place} ${dish.id}`,
        says: say('keep {dish} warm {where} for {minutes} min', { dish: dish.name, where, minutes }),
        asks,
        effort: 2,
        sort: `warm ${dish.id}`,
        change: { kind: 'dish', dishId: dish.id, dish: inPlace(place) },
      };
    }),
  );
  if (kept.length < 2) return ideas;
  // In the oven where that can be: it takes several, and wants no eye.
  const all = kept.map(({ dish, borne, inPlace }) => [dish.id, inPlace(borne.at(-1)!)] as const);
  const together: Idea = {
    id: 'warm all',
    says: say('keep {kept} warm until the table', { kept: listed(kept.map(({ dish }) => dish.name)) }),
    asks: kept.every(({ borne }) => borne.includes('oven'))
      ? say('shelves of a low oven')
      : say('burners or a low oven'),
    effort: 2.2,
    change: { kind: 'dishes', dishes: Object.fromEntries(all) },
  };
  return [...ideas, together];
}

/** A dish, or the beginning of one, made the evening before. */
function eveIdeas({ ahead }: Meal, dish: Dish): Idea[] {
  const point = aheadPoints(dish)[0];
  if (!point || ahead?.some((each) => each.dish === dish.id)) return [];
  const early = dish.steps.filter(({ id }) => point.steps.has(id));
  const hands = early
    .filter(({ attention, daysBefore }) => attention === 'hands' && daysBefore === undefined)
    .reduce((sum, { minutes }) => sum + minutes.likely, 0);
  const what =
    early.length === dish.steps.length
      ? dish.name
      : say('{dish} up to “{hour}”', { dish: dish.name, hour: early.at(-1)!.name });
  return [
    {
      id: `eve ${dish.id}`,
      says: say('make {what} the day before', { what }),
      asks:
        hands > 0
          ? say('{hands} min of hands the evening before, and room in the fridge', { hands })
          : say('room in the fridge'),
      effort: 4.5,
      change: { kind: 'ahead', made: { dish: dish.id, upTo: point.upTo, days: 1 } },
    },
  ];
}

function withoutIdeas({ dishes }: Meal): Idea[] {
  if (dishes.length < 2) return [];
  return dishes
    .filter((dish) => dish.lands)
    .map(({ id, name }) => ({
      id: `without ${id}`,
      says: say('leave out {name}', { name }),
      asks: say('one dish fewer'),
      effort: 8,
      change: { kind: 'without', dishId: id },
    }));
}

/** How long ways out are looked for, and what they are held against. */
export interface SearchOptions extends TryOutOptions<WayOut> {
  /** Until the table; see `ideasFor`. */
  readonly minutesLeft?: number;
}

/**
 * Plans each idea with `plan` and returns those that help, the best first: less late, fewer dishes that wait too long, less asked
 * of the cook. `before` is the plan as it stands, null when nothing fits.
 */
export async function findWaysOut(
  meal: Meal,
  before: Plan | null,
  plan: (meal: Meal) => Promise<PlanResult>,
  { minutesLeft, ...options }: SearchOptions = {},
): Promise<readonly WayOut[]> {
  const was = before ? troubleOf(before) : null;
  return tryOut<Idea, WayOut>(
    ideasFor(meal, minutesLeft, before),
    async (idea) => {
      const result = await plan(appliedAsMade(meal, idea.change));
      if (!result.ok) return null;
      const now = troubleOf(result.plan);
      const helps = was === null || byTrouble(now, was) < 0;
      return helps ? { ...idea, ...now, gains: gainsOf(now, was) } : null;
    },
    byTrouble,
    ({ sort }) => sort,
    options,
  );
}

interface Trouble {
  readonly late: number;
  readonly overdue: number;
  /** Share of rehearsed evenings that land well; null where the plan was not rehearsed. */
  readonly good: number | null;
}

/** The less troubled first; of evenings that land well only a good many more count. */
function byTrouble(a: Trouble, b: Trouble): number {
  const evenings = (each: Trouble) => Math.floor((each.good ?? 0) / MORE_EVENINGS);
  return a.late - b.late || a.overdue - b.overdue || evenings(b) - evenings(a);
}

function troubleOf(plan: Plan): Trouble {
  return {
    late: Math.max(0, ...plan.landings.map((landing) => landing.late)),
    overdue: plan.landings.filter((landing) => landing.fine === 'too long').length,
    good: plan.odds?.good ?? null,
  };
}

function gainsOf(now: Trouble, was: Trouble | null): string {
  const dishes = (count: number) =>
    say('{count, plural, one {# dish waits} other {# dishes wait}} too long', { count });
  if (now.late === 0 && now.overdue === 0) {
    const evenings = now.good === null ? '' : say(', and well in {odds} of 20 evenings', { odds: ofTwenty(now.good) });
    const instead = evenings !== '' && was?.good != null ? say(' instead of {odds}', { odds: ofTwenty(was.good) }) : '';
    return say('everything lands in time{evenings}{instead}', { evenings, instead });
  }
  const late =
    now.late === 0
      ? say('nothing is late')
      : was && was.late > 0
        ? say('late by {late} min instead of {was}', { late: now.late, was: was.late })
        : say('late by {late} min', { late: now.late });
  return now.overdue === 0 ? late : `${late}, ${dishes(now.overdue)}`;
}
