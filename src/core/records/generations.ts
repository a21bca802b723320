import type { PotStands } from '@/core/heat/cool';
import {
  bowlKey,
  holdOfPerson,
  holdOfVessel,
  partKey,
  readKey,
  stepKey,
  unitId,
  vesselUnit,
  warmKey,
} from '@/core/meal/keys';

/**
 * Keys as they were written before ids were escaped in them, and plans whose steps did not tell which step they are: brought up to now. What
 * has no sign with a meaning in its ids keeps its keys. Works on what was stored, unchecked: what is not as it should be is left as it is,
 * for the check after it to refuse.
 */

type Row = Readonly<Record<string, unknown>>;

function rows(value: unknown): readonly Row[] {
  return Array.isArray(value) ? value.filter((each): each is Row => typeof each === 'object' && each !== null) : [];
}

function text(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

/** More batches than any step had. */
const MOST_PARTS = 60;

/** The new key of each old one that changes, for these dishes in these kitchens. */
function renamings(dishes: readonly Row[], kitchens: readonly Row[]): (key: string) => string {
  const by = new Map<string, string>();
  const put = (old: string, now: string) => {
    if (old !== now) by.set(old, now);
  };
  for (const dish of dishes) {
    const id = text(dish['id']);
    const own = rows(dish['steps']).map((step) => text(step['id']));
    for (const step of [...own, ...own.map((each) => `${each}-in-the-oven`), 'kept-warm']) {
      const old = `${id}/${step}`;
      put(old, stepKey(id, step));
      put(`${old}~warm`, warmKey(id, step));
      put(`who ${old}`, holdOfPerson(stepKey(id, step)));
      for (let part = 1; part <= MOST_PARTS; part++) {
        put(`${old}.${part}`, partKey(id, step, part, 2));
        put(`who ${old}.${part}`, holdOfPerson(partKey(id, step, part, 2)));
      }
    }
    for (const item of rows(dish['ingredients'])) put(`${id}/${text(item['id'])}`, bowlKey(id, text(item['id'])));
    for (const use of rows(dish['vessels'])) put(`vessel ${id}/${text(use['id'])}`, holdOfVessel(id, text(use['id'])));
  }
  for (const kitchen of kitchens) {
    for (const each of rows(kitchen['burners'])) put(`burner:${text(each['id'])}`, unitId('burner', text(each['id'])));
    for (const each of rows(kitchen['appliances']))
      put(`appliance:${text(each['id'])}`, unitId('appliance', text(each['id'])));
    for (const each of rows(kitchen['people'])) put(`person:${text(each['id'])}`, unitId('person', text(each['id'])));
    for (const each of rows(kitchen['vessels'])) {
      for (let copy = 1; copy <= 30; copy++)
        put(`vessel:${text(each['id'])}#${copy}`, vesselUnit(text(each['id']), copy));
    }
  }
  return (key) => by.get(key) ?? key;
}

/** Every text in a record that is an old key, as the new one; names of fields too, where they are keys. */
function deep(value: unknown, rename: (key: string) => string): unknown {
  if (typeof value === 'string') return rename(value);
  if (Array.isArray(value)) return value.map((each) => deep(each, rename));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [rename(key), deep(each, rename)]));
}

/** A plan with its keys, and each step with the step that it is. */
function planWithKeys(plan: unknown, rename: (key: string) => string): unknown {
  if (typeof plan !== 'object' || plan === null) return plan;
  const renamed = deep(plan, rename) as Row;
  if (!Array.isArray(renamed['steps'])) return renamed;
  return {
    ...renamed,
    steps: renamed['steps'].map((step: unknown) => {
      if (typeof step !== 'object' || step === null || 'stepId' in step) return step;
      const read = readKey(text((step as Row)['key']));
      return { ...step, stepId: read?.step ?? '', kind: read?.warms ? 'warm-up' : 'step' };
    }),
  };
}

/** How a dish was said to wait, in words, once decided how its pot stands. */
function standingOf(how: string): PotStands | null {
  return /uncovered|open/i.test(how) ? 'open' : /wrapped/i.test(how) ? 'wrapped' : null;
}

/** A dish whose pot stands open or wrapped by the words of it says so by itself. */
function dishWithStanding<T extends object>(dish: T): T {
  const lands = (dish as Row)['lands'] as Row | null | undefined;
  const waits = lands?.['waits'] as Row | undefined;
  const standing = waits && waits['standing'] === undefined ? standingOf(text(waits['how'])) : null;
  return standing === null ? dish : { ...dish, lands: { ...lands, waits: { ...waits, standing } } };
}

const dishesOf = (value: unknown) => rows(value).map(dishWithStanding);

function eventWithKeys(event: unknown, rename: (key: string) => string): unknown {
  if (typeof event !== 'object' || event === null) return event;
  const { key, unit } = event as Row;
  return {
    ...event,
    ...(typeof key === 'string' ? { key: rename(key) } : {}),
    ...(typeof unit === 'string' ? { unit: rename(unit) } : {}),
  };
}

/** An evening at the stove with its keys. */
function eveningWithKeys(evening: object): object {
  const { meal, plan, events, ...rest } = evening as Row;
  const own = (meal ?? {}) as Row;
  const rename = renamings(rows(own['dishes']), [own['kitchen'] as Row].filter(Boolean));
  return {
    ...rest,
    meal: { ...(settingWithKeys(own, rename) as Row), dishes: dishesOf(own['dishes']) },
    plan: planWithKeys(plan, rename),
    events: Array.isArray(events) ? events.map((event: unknown) => eventWithKeys(event, rename)) : events,
  };
}

/** What of a meal's setting holds keys: pins, and board work that is done together. */
function settingWithKeys(setting: object, rename: (key: string) => string): object {
  const { pins, together } = setting as Row;
  return {
    ...setting,
    ...(pins === undefined ? {} : { pins: deep(pins, rename) }),
    ...(together === undefined ? {} : { together: deep(together, rename) }),
  };
}

/** All that is kept or sent, unchecked, in lists; what a file does not have is left out. */
export interface World {
  readonly kitchens?: unknown;
  readonly dishes?: unknown;
  readonly meals?: unknown;
  readonly plans?: unknown;
  readonly evenings?: unknown;
  readonly errands?: unknown;
}

/** The shape that records have now. A change of any of them gets the next number and a step in `STEPS`; nothing else migrates. */
export const GENERATION = 2;

/** What each generation needs to become the next. */
const STEPS: Readonly<Record<number, (world: World) => World>> = { 1: withKeys };

/**
 * Brings records of an older generation up to now: the one ladder of the database, of files and of backups. What is not as it should be is left
 * as it is, for the check after it to refuse.
 */
export function broughtUp<W extends World>(world: W, from: number): W {
  let now: World = world;
  for (let generation = from; generation < GENERATION; generation++) now = STEPS[generation]!(now);
  return now as W;
}

/** In generation 1 ids were not escaped in keys, steps of plans did not tell which they are, and how a pot stands was told in words only. */
function withKeys(world: World): World {
  const rename = renamings(rows(world.dishes), rows(world.kitchens));
  const each = (list: unknown, change: (row: Row) => unknown) =>
    Array.isArray(list)
      ? list.map((row: unknown) => (typeof row === 'object' && row !== null ? change(row as Row) : row))
      : list;
  const changed: Readonly<Record<string, unknown>> = {
    dishes: each(world.dishes, dishWithStanding),
    meals: each(world.meals, (meal) => settingWithKeys(meal, rename)),
    plans: each(world.plans, (plan) => planWithKeys(plan, rename)),
    evenings: each(world.evenings, eveningWithKeys),
    errands: each(world.errands, (errand) => ({ ...errand, key: rename(text(errand['key'])) })),
  };
  return { ...world, ...Object.fromEntries(Object.entries(changed).filter(([, list]) => list !== undefined)) };
}
