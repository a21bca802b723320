import isEqual from 'fast-deep-equal';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { type Evening, joined } from '@/core/live/evening';
import { withDishOf } from '@/core/meal/keys';
import type { MealSetting } from '@/core/meal/meal';
import { own } from '@/core/plain/record';
import type { StoredMeal } from '@/core/records/setting';
import type { MealFile } from './meal-file';

/** What is stored, as far as files can meet it. */
export interface Held {
  readonly kitchens: readonly Kitchen[];
  readonly dishes: readonly Dish[];
  readonly meals: readonly StoredMeal[];
  readonly evenings: readonly Evening[];
}

/** Something in a file that is here already, and is not the same. */
export interface Clash {
  readonly kind: 'kitchen' | 'dish' | 'meal';
  readonly id: string;
  /** What it is called here and in the file. */
  readonly mine: string;
  readonly theirs: string;
  readonly differs: string;
}

/** Keep what is here; take what the file has; or keep both, the file's beside it. */
export type Answer = 'mine' | 'theirs' | 'both';

/** How a clash is known among the answers to all. */
export function clashKey({ kind, id }: Pick<Clash, 'kind' | 'id'>): string {
  return `${kind} ${id}`;
}

/** Where a meal file and what is stored share an id and differ, so that the cook must be asked. */
export function clashesOf(held: Held, file: MealFile): readonly Clash[] {
  const clash = <T extends { readonly id: string; readonly name: string }>(
    kind: Clash['kind'],
    mine: T | undefined,
    theirs: T,
  ) =>
    mine === undefined || isEqual(mine, theirs)
      ? []
      : [{ kind, id: theirs.id, mine: mine.name, theirs: theirs.name, differs: differences(mine, theirs) }];
  return [
    ...clash('kitchen', byId(held.kitchens, file.kitchen.id), file.kitchen),
    ...file.dishes.flatMap((dish) => clash('dish', byId(held.dishes, dish.id), dish)),
    ...clash('meal', comparable(byId(held.meals, file.meal.id)), comparable(stored(file, 0))!),
  ];
}

/** When a meal was last changed is no difference, and nor is what is merely left out. */
function comparable(meal: StoredMeal | undefined): StoredMeal | undefined {
  return meal && (JSON.parse(JSON.stringify({ ...meal, changedAt: 0 })) as StoredMeal);
}

function stored({ meal, kitchen, dishes }: MealFile, changedAt: number): StoredMeal {
  return { ...meal, kitchenId: kitchen.id, dishIds: dishes.map(({ id }) => id), changedAt };
}

function byId<T extends { readonly id: string }>(list: readonly T[], id: string): T | undefined {
  return list.find((each) => each.id === id);
}

/** The names of the fields that differ: "name, people, dishIds". */
function differences(mine: object, theirs: object): string {
  const fields = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
  const at = (record: object, field: string) => (record as Record<string, unknown>)[field];
  return fields.filter((field) => !isEqual(at(mine, field), at(theirs, field))).join(', ');
}

/** What is to be stored for a file; everything that is not in it stays as it is. */
export interface Incoming {
  readonly kitchens: readonly Kitchen[];
  readonly dishes: readonly Dish[];
  readonly meal: StoredMeal;
  readonly evenings: readonly Evening[];
}

/**
 * What a meal file brings in, by the answers to its clashes (unanswered: both). Nothing that is stored is changed but what was answered
 * with `theirs`. `fresh` makes an id that is not taken.
 */
export function incoming(
  held: Held,
  file: MealFile,
  answers: Readonly<Record<string, Answer>>,
  fresh: (id: string) => string,
  now: number,
): Incoming {
  const clashing = new Set(clashesOf(held, file).map(clashKey));
  const answer = (kind: Clash['kind'], id: string): Answer | null =>
    clashing.has(clashKey({ kind, id })) ? (own(answers, clashKey({ kind, id })) ?? 'both') : null;
  const renamed = new Map<string, string>();
  const put = <T extends Kitchen | Dish>(kind: 'kitchen' | 'dish', mine: T | undefined, theirs: T): T[] => {
    switch (answer(kind, theirs.id)) {
      case 'mine':
        return [];
      case 'both': {
        const id = fresh(theirs.id);
        renamed.set(`${kind} ${theirs.id}`, id);
        return [{ ...theirs, id, name: mine && mine.name === theirs.name ? `${theirs.name} (2)` : theirs.name }];
      }
      default:
        return mine && isEqual(mine, theirs) ? [] : [theirs];
    }
  };
  const kitchens = put('kitchen', byId(held.kitchens, file.kitchen.id), file.kitchen);
  const dishes = file.dishes.flatMap((dish) => put('dish', byId(held.dishes, dish.id), dish));
  const kitchenId = renamed.get(`kitchen ${file.kitchen.id}`) ?? file.kitchen.id;
  const dishIds = file.dishes.map(({ id }) => renamed.get(`dish ${id}`) ?? id);
  const setting = withDishes(file.meal, (id) => renamed.get(`dish ${id}`) ?? id);
  const mine = byId(held.meals, file.meal.id);
  const reply = answer('meal', file.meal.id) ?? (renamed.size > 0 && mine ? 'both' : null);
  const meal: StoredMeal = { ...setting, kitchenId, dishIds, changedAt: now };
  const evenings = eveningsOf(held, file, file.meal.id);
  if (reply === 'mine' && mine) return { kitchens, dishes, meal: mine, evenings };
  if (reply === 'both') {
    const id = fresh(meal.id);
    const name = mine && mine.name === meal.name ? `${meal.name} (2)` : meal.name;
    return {
      kitchens,
      dishes,
      meal: { ...meal, id, name },
      evenings: eveningsOf(held, file, id),
    };
  }
  return { kitchens, dishes, meal, evenings };
}

/** Evenings that are not here yet, and those that are and were told more on the other device. */
function eveningsOf(held: Held, { log = [] }: MealFile, mealId: string): readonly Evening[] {
  return log.flatMap((theirs) => {
    const mine = byId(held.evenings, theirs.id);
    if (!mine) return [{ ...theirs, mealId }];
    const both = joined(mine, theirs);
    return both === mine ? [] : [both];
  });
}

/** A setting whose dishes have other ids: what was put by hand, made ahead or joined goes with them. */
function withDishes(setting: MealSetting, idOf: (id: string) => string): MealSetting {
  const key = (old: string) => withDishOf(old, idOf);
  return {
    ...setting,
    ...(setting.pins ? { pins: setting.pins.map((pin) => ({ ...pin, key: key(pin.key) })) } : {}),
    ...(setting.together ? { together: setting.together.map((group) => group.map(key)) } : {}),
    ...(setting.ahead ? { ahead: setting.ahead.map((made) => ({ ...made, dish: idOf(made.dish) })) } : {}),
  };
}
