import type { Dish, Step } from '@/core/dish/dish';
import { handlesRaw } from '@/core/dish/foods';
import { giverOf } from '@/core/meal/hand-over';
import { atHandKey, bowlKey, isPartOf, stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { type Amount, MASS_IN_GRAMS, VOLUME_IN_ML } from '@/core/units/amount';
import { knifeMinutes, MINUTES_TO_MEASURE } from './knife';
import { aisleOf, keyOf } from './shopping';
import { toHandOf } from './staples';

/** The order of a table laid out: dry before wet, vegetables before raw meat, so that one board and one spoon do for all. */
export const LAYERS = ['dry', 'wet', 'vegetables', 'raw'] as const;
/** When something is laid out. */
export type Layer = (typeof LAYERS)[number];

/** Ways to measure an amount out. */
export const MEASURED_WAYS = ['weighed', 'in the jug', 'by the spoon', 'counted', 'to taste'] as const;

/** How an amount is measured out. */
export type Measured = (typeof MEASURED_WAYS)[number];

/** One thing laid out for one step of one dish. */
export interface Bowl {
  /** `dish/ingredient`, the same in every plan of the meal. */
  readonly key: string;
  /** The same for the same thing in all dishes. */
  readonly thing: string;
  readonly name: string;
  readonly dishId: string;
  readonly dishName: string;
  /** Null for what is put at hand and taken as it is needed. */
  readonly amount: Amount | null;
  readonly cut: string | null;
  readonly measured: Measured;
  readonly layer: Layer;
  /** Key of the board work that readies it; null where it is only measured, or cut on the way. */
  readonly readiedIn: string | null;
  /** Key of the step that it goes into, and what that is called. */
  readonly into: { readonly key: string; readonly name: string };
  /** Minutes before which it must stand there, relative to the table; null without a plan. */
  readonly at: number | null;
  /** Minutes of hands that no step of the plan counts: to measure it, and to cut it where no step does. */
  readonly minutes: number;
  /** The dish of the meal that it comes from, when it is made on the way and not bought. */
  readonly madeBy: string | null;
}

/**
 * Everything that the steps of a meal use, as bowls on a table: what is cut how, measured how, for which step at what time. Dry before wet,
 * vegetables before raw meat; within a layer the same things together, what is needed first to the front.
 */
export function bowlsOf(meal: Meal, plan: Plan | null): readonly Bowl[] {
  const starts = new Map((plan?.steps ?? []).map((step) => [step.key, step.start]));
  const startOf = (key: string) => starts.get(key) ?? starts.get(`${key}.1`) ?? null;
  const bowls = meal.dishes.flatMap((written) => {
    const dish = scaledFor(meal, written);
    return [...ingredientsOf(dish, startOf), ...takenFrom(meal, dish, startOf), ...atHand(dish, startOf)];
  });
  const first = new Map<string, number>();
  for (const { thing, at } of bowls) first.set(thing, Math.min(first.get(thing) ?? 0, at ?? 0));
  return bowls.sort(
    (a, b) =>
      LAYERS.indexOf(a.layer) - LAYERS.indexOf(b.layer) ||
      first.get(a.thing)! - first.get(b.thing)! ||
      a.thing.localeCompare(b.thing) ||
      (a.at ?? 0) - (b.at ?? 0),
  );
}

type StartOf = (key: string) => number | null;

function ingredientsOf(dish: Dish, startOf: StartOf): Bowl[] {
  return dish.ingredients.map((item): Bowl => {
    const users = dish.steps.filter((step) => step.uses.includes(item.id));
    const user = users[0] ?? dish.steps[0]!;
    const into = isBoardWork(user) ? goesInto(dish, user) : user;
    const readied = into === user ? null : stepKey(dish.id, user.id);
    return {
      key: bowlKey(dish.id, item.id),
      thing: keyOf(item.name),
      name: item.name,
      amount: item.amount,
      cut: item.cut ?? null,
      measured: measuredBy(item.amount),
      layer: layerOf(dish, user, item.name, item.amount),
      readiedIn: readied,
      minutes: MINUTES_TO_MEASURE + (readied === null ? knifeMinutes(item.amount, item.cut) : 0),
      madeBy: null,
      ...placeOf(dish, into, startOf),
    };
  });
}

/** What another dish of the meal gives is there when that dish says so; where none gives it, it is bought and laid out. */
function takenFrom(meal: Meal, dish: Dish, startOf: StartOf): Bowl[] {
  return dish.takes.map((take): Bowl => {
    const found = giverOf(meal.dishes, dish, take);
    const name = found ? found.give.name : take.otherwise;
    return {
      key: bowlKey(dish.id, take.product),
      thing: keyOf(name),
      name,
      amount: take.amount,
      cut: null,
      measured: measuredBy(take.amount),
      layer: 'wet',
      readiedIn: found ? stepKey(found.dish.id, found.give.step) : null,
      minutes: found ? 0 : MINUTES_TO_MEASURE,
      madeBy: found?.dish.name ?? null,
      ...placeOf(dish, dish.steps.find(({ id }) => id === take.step)!, startOf),
    };
  });
}

function atHand(dish: Dish, startOf: StartOf): Bowl[] {
  return toHandOf(dish).map(
    ({ name, step }): Bowl => ({
      key: atHandKey(dish.id, name),
      thing: keyOf(name),
      name,
      amount: null,
      cut: null,
      measured: 'to taste',
      layer: layerOfName(name, null),
      readiedIn: null,
      minutes: 0,
      madeBy: null,
      ...placeOf(dish, step, startOf),
    }),
  );
}

function placeOf(dish: Dish, into: Step, startOf: StartOf): Pick<Bowl, 'dishId' | 'dishName' | 'into' | 'at'> {
  const key = stepKey(dish.id, into.id);
  return { dishId: dish.id, dishName: dish.name, into: { key, name: into.name }, at: startOf(key) };
}

/** Work at a board that readies something for a later step. */
export function isBoardWork(step: Step): boolean {
  return step.place.at === 'board' && step.attention === 'hands';
}

/** The first step after board work that is none; the work itself when nothing follows. */
function goesInto(dish: Dish, work: Step): Step {
  const seen = new Set<string>();
  const open = [work];
  for (let at = open.shift(); at; at = open.shift()) {
    if (seen.has(at.id)) continue;
    seen.add(at.id);
    if (at !== work && !isBoardWork(at)) return at;
    for (const link of dish.links) {
      const next = link.from === at.id ? dish.steps.find(({ id }) => id === link.to) : undefined;
      if (next) open.push(next);
    }
  }
  return work;
}

function measuredBy({ unit }: Amount): Measured {
  if (unit === 'tsp' || unit === 'tbsp') return 'by the spoon';
  if (unit in MASS_IN_GRAMS) return 'weighed';
  if (unit in VOLUME_IN_ML) return 'in the jug';
  return unit === 'pinch' ? 'to taste' : 'counted';
}

function layerOf(dish: Dish, user: Step, name: string, amount: Amount): Layer {
  const only = { ...user, uses: dish.ingredients.filter((each) => each.name === name).map(({ id }) => id) };
  return handlesRaw(dish, only) ? 'raw' : layerOfName(name, amount);
}

const WET = /\b(oil|vinegar|wine|cider|beer|water|milk|cream|yogh?urt|buttermilk|stock|broth|paste|sauce|honey|ghee)\b/;

function layerOfName(name: string, amount: Amount | null): Layer {
  const isLiquid = amount !== null && amount.unit in VOLUME_IN_ML && measuredBy(amount) === 'in the jug';
  if (isLiquid || WET.test(name.toLowerCase())) return 'wet';
  switch (aisleOf(name)) {
    case 'vegetables and fruit':
    case 'else':
      return amount === null ? 'dry' : 'vegetables';
    case 'dairy and eggs':
    case 'tins and jars':
      return 'wet';
    case 'meat and fish':
      return 'raw';
    default:
      return 'dry';
  }
}

/** The same thing for several dishes, cut one after the other: one board, one bowl in so many portions. */
export interface BoardRound {
  readonly thing: string;
  readonly name: string;
  readonly layer: Layer;
  readonly bowls: readonly Bowl[];
  /** Minutes of knife for all of them. */
  readonly minutes: number;
  /** The minute by which the first portion must stand ready; null without a plan. */
  readonly by: number | null;
}

/** The rounds at the board, in the order of the layers: everything that is cut, peeled or grated, the same things at once. */
export function boardRounds(bowls: readonly Bowl[], plan: Plan | null): readonly BoardRound[] {
  const rounds = new Map<string, Bowl[]>();
  for (const bowl of bowls) {
    const isCut =
      bowl.cut !== null || (bowl.readiedIn !== null && (bowl.layer === 'vegetables' || bowl.layer === 'raw'));
    if (bowl.madeBy !== null || bowl.amount === null || !isCut) continue;
    rounds.set(bowl.thing, [...(rounds.get(bowl.thing) ?? []), bowl]);
  }
  const shares = sharesOf(bowls, plan);
  return [...rounds.values()].map((own): BoardRound => {
    const times = own.flatMap(({ at }) => (at === null ? [] : [at]));
    return {
      thing: own[0]!.thing,
      name: own[0]!.name,
      layer: own[0]!.layer,
      bowls: own,
      minutes: own.reduce((sum, bowl) => sum + (shares.get(bowl.key) ?? bowl.minutes - MINUTES_TO_MEASURE), 0),
      by: times.length > 0 ? Math.min(...times) : null,
    };
  });
}

/** Minutes of the plan's board work shared out over the things it readies, by what the knife needs for each. */
function sharesOf(bowls: readonly Bowl[], plan: Plan | null): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  const works = new Map<string, Bowl[]>();
  for (const bowl of bowls) {
    if (bowl.readiedIn === null || bowl.amount === null || bowl.madeBy !== null) continue;
    works.set(bowl.readiedIn, [...(works.get(bowl.readiedIn) ?? []), bowl]);
  }
  for (const [key, own] of works) {
    const minutes = minutesOfWork(plan?.steps ?? [], key);
    const weights = own.map(({ amount, cut }) => MINUTES_TO_MEASURE + knifeMinutes(amount!, cut ?? undefined));
    const all = weights.reduce((sum, weight) => sum + weight, 0);
    for (const [index, bowl] of own.entries()) {
      shares.set(bowl.key, minutes === null ? weights[index]! : (minutes * weights[index]!) / all);
    }
  }
  return shares;
}

function minutesOfWork(steps: readonly PlannedStep[], key: string): number | null {
  const own = steps.filter((step) => isPartOf(step.key, key));
  return own.length > 0 ? own.reduce((sum, { minutes }) => sum + minutes, 0) : null;
}
