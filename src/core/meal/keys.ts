import type { Kitchen } from '@/core/kitchen/kitchen';

/**
 * The one place where keys are made and read: of steps and their parts in a plan, of what the scheduler holds and chooses among. Ids may be
 * any text: the signs that part a key are escaped in them, so that no id can be taken for another or for a batch of it. Ordinary ids
 * (letters, digits, - and _) stand in a key as they are.
 */

/**
 * A text that is known to be a key of one sort: the compiler refuses it where a key of another sort is asked for. What comes out of a
 * file or out of a record of the scheduler is text, and may stand for any.
 */
type Key<Sort extends string> = string & { readonly sort?: Sort };

/** Names a step in a plan, or a part of it. */
export type StepKey = Key<'step'>;
/** Names something that the scheduler gives to one step at a time. */
export type UnitKey = Key<'unit'>;
/** Names what keeps such a thing from one step to another. */
export type HoldKey = Key<'hold'>;

/** Signs with a meaning in a key, and the sign that escapes. */
const SIGNS = /[%/.~#: ]/g;

function escaped(id: string): string {
  return id.replace(SIGNS, (sign) => `%${sign.charCodeAt(0).toString(16)}`);
}

function plain(id: string): string {
  return id.replace(/%([0-9a-f]{2})/g, (_, code: string) => String.fromCharCode(Number.parseInt(code, 16)));
}

/** Key of a step of a dish, whole: `dish/step`. */
export function stepKey(dish: string, step: string): StepKey {
  return `${escaped(dish)}/${escaped(step)}`;
}

/** Key of one of several parts (batches, sittings) of a step, counted from 1: `dish/step.2`. */
export function partKey(dish: string, step: string, part: number, parts: number): StepKey {
  return parts > 1 ? `${stepKey(dish, step)}.${part}` : stepKey(dish, step);
}

/** Key of the step that warms the oven for a dish's oven step: `dish/step~warm`. */
export function warmKey(dish: string, step: string): StepKey {
  return `${stepKey(dish, step)}${WARM}`;
}
const WARM = '~warm';

/** What a key of a planned step says. */
export interface ReadKey {
  readonly dish: string;
  readonly step: string;
  /** Which part, from 1; null for the whole. */
  readonly part: number | null;
  readonly warms: boolean;
}

/** Reads the key of a planned step; null for any other text. */
export function readKey(key: StepKey): ReadKey | null {
  const found = /^([^/ ]*)\/([^/.~ ]*)(?:\.(\d+))?(~warm)?$/.exec(key);
  if (!found) return null;
  const [, dish = '', step = '', part, warm] = found;
  return {
    dish: plain(dish),
    step: plain(step),
    part: part === undefined ? null : Number(part),
    warms: warm !== undefined,
  };
}

/** Whether a key is that of a step or of one of its parts, given the step's key. */
export function isPartOf(key: StepKey, step: StepKey): boolean {
  return key === step || (key.startsWith(`${step}.`) && /^\d+$/.test(key.slice(step.length + 1)));
}

/** Whether a planned step's key belongs to a dish. */
export function isOfDish(key: StepKey, dish: string): boolean {
  return key.startsWith(`${escaped(dish)}/`);
}

/** Id of the hold on the person who does a step. */
export function holdOfPerson(key: StepKey): HoldKey {
  return `who ${key}`;
}

/** Id of the hold on the vessel that a dish takes: `vessel dish/use`. */
export function holdOfVessel(dish: string, use: string): HoldKey {
  return `${VESSEL}${stepKey(dish, use)}`;
}
const VESSEL = 'vessel ';

/** A key of a step or of a vessel with its dish by another id; any other text as it is. */
export function withDishOf(key: string, idOf: (dish: string) => string): string {
  const vessel = key.startsWith(VESSEL) ? VESSEL : '';
  const rest = key.slice(vessel.length);
  const slash = rest.indexOf('/');
  return slash < 0 ? key : `${vessel}${escaped(idOf(plain(rest.slice(0, slash))))}${rest.slice(slash)}`;
}

/** Key of a bowl: of an ingredient, or of what a dish takes from another. */
export function bowlKey(dish: string, thing: string): string {
  return stepKey(dish, thing);
}

/** Key of what a dish asks for and no list names. */
export function atHandKey(dish: string, name: string): string {
  return `${escaped(dish)}/at hand ${name}`;
}

/** What a unit of the scheduler is. */
export type UnitSort = 'burner' | 'appliance' | 'vessel' | 'person';

/** The scheduler's id of something in the kitchen: burners, vessels and people may share an id among themselves. */
export function unitId(sort: UnitSort, id: string): UnitKey {
  return `${sort}:${escaped(id)}`;
}

/** One of several vessels that are alike, counted from 1. */
export function vesselUnit(id: string, copy: number): UnitKey {
  return `${unitId('vessel', id)}#${copy}`;
}

/** What a unit of the scheduler stands for in the kitchen. */
export function readUnit(unit: UnitKey): { readonly sort: UnitSort; readonly id: string } {
  const colon = unit.indexOf(':');
  const sort = unit.slice(0, colon) as UnitSort;
  const rest = unit.slice(colon + 1);
  return { sort, id: plain(sort === 'vessel' ? (rest.split('#')[0] ?? '') : rest) };
}

/** Id of the stave of something in the kitchen, where no unit of the scheduler stands for it. */
export function stationId(sort: 'board' | 'oven', id: string): string {
  return `${sort}:${escaped(id)}`;
}

/** The ids of a joined key. */
export function readJoined(key: string): readonly string[] {
  return key.split('/').map(plain);
}

/** One key of several ids: no two lists of ids give the same. */
export function joinedKey(...ids: readonly string[]): string {
  return ids.map(escaped).join('/');
}

/** What a cook calls a unit of the scheduler: a burner's, pot's, appliance's or person's name. */
export function nameOfUnit(kitchen: Kitchen, unit: string): string {
  const { sort, id } = readUnit(unit);
  const list: readonly { readonly id: string; readonly name: string }[] =
    sort === 'burner'
      ? kitchen.burners
      : sort === 'appliance'
        ? kitchen.appliances
        : sort === 'vessel'
          ? kitchen.vessels
          : kitchen.people;
  return list.find((each) => each.id === id)?.name ?? id;
}
