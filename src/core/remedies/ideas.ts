import type { Dish, VesselUse } from '@/core/dish/dish';
import { keptWarm, type WarmPlace } from '@/core/dish/keep-warm';
import { fittingVessels } from '@/core/kitchen/fits';
import { clockMinutes, type Kitchen, printClock, VESSEL_KINDS } from '@/core/kitchen/kitchen';
import { aheadPoints } from '@/core/meal/ahead';
import type { Meal } from '@/core/meal/meal';
import { missingVessels } from '@/core/meal/missing-vessels';
import { atOneHeat } from '@/core/meal/one-heat';
import { inTheOven, moreGently } from '@/core/meal/other-heat';
import { scaledFor } from '@/core/meal/scaled';
import { sharedOut } from '@/core/meal/share-out';
import { bare } from '@/core/plain/record';
import { keepables } from '@/core/plan/keeps';
import type { Plan } from '@/core/plan/plan';
import { SHARED_DEGREES } from '@/core/plan/resources';
import { say } from '@/core/say/say';
import { capital, listed } from '@/core/units/words';
import type { Change } from './change';
import { applianceNames, lackedVessels, sayVessel } from './lacking';

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

const LATEST_HOUR = 23 * 60 + 45;
const HELP_MINUTES = 150;
/** What the evening before must still have left of it. */
const EVENING_MINUTES = 180;

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
    ...oneHeatIdeas(meal),
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

/** What bakes at heats that are too far apart, baked together at the one between them. */
function oneHeatIdeas(meal: Meal): Idea[] {
  const portions = meal.dishes.map((dish) => scaledFor(meal, dish));
  const told = atOneHeat(portions, SHARED_DEGREES);
  return atOneHeat(meal.dishes, SHARED_DEGREES).map(({ celsius, dishes }, index) => ({
    id: `one heat ${celsius}`,
    says: say('bake {dishes} together at {celsius} °C', {
      dishes: listed(meal.dishes.filter(({ id }) => id in dishes).map(({ name }) => name)),
      celsius,
    }),
    asks: say('other minutes: {minutes}', {
      minutes: listed(
        told[index]!.moved.map(({ dish, step, minutes }) =>
          say('{dish} {minutes} instead of {was}', { dish: dish.name, minutes, was: step.minutes.likely }),
        ),
      ),
    }),
    effort: 2.4,
    change: { kind: 'dishes', dishes },
  }));
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
