import type { Heat, VesselKind } from '@/core/kitchen/kitchen';
import type { Amount, Unit } from '@/core/units/amount';
import type { Dish, Growth, Ingredient, Link, Minutes, Place, Step, VesselUse, Waits } from './dish';

/**
 * Short words for writing a dish by hand: each makes one plain record. Minutes are one number, or shortest, likely and longest.
 */
export type Times = number | readonly [number, number, number];

type Extra = Partial<
  Pick<
    Step,
    | 'uses'
    | 'doneWhen'
    | 'cautions'
    | 'vessel'
    | 'ahead'
    | 'by'
    | 'lookEvery'
    | 'attention'
    | 'daysBefore'
    | 'safeMinutes'
  >
> & {
  readonly perBatch?: number;
  readonly floorCm2?: number;
  readonly steady?: boolean;
  /** Comes to the boil: litres, °C at the beginning, and whether the lid is on. */
  readonly boils?: readonly [litres: number, celsius: number, lid?: 'covered'];
};

function minutesOf(times: Times): Minutes {
  return typeof times === 'number'
    ? { shortest: times, likely: times, longest: times }
    : { shortest: times[0], likely: times[1], longest: times[2] };
}

function write(id: string, name: string, times: Times, says: string, place: Place, usual: Extra, extra: Extra): Step {
  const { perBatch, floorCm2, steady, boils, ...rest } = { ...usual, ...extra };
  const grows: Growth = boils
    ? { by: 'boil', litres: boils[0], fromCelsius: boils[1], covered: boils[2] === 'covered' }
    : perBatch
      ? { by: 'batches', servingsPerBatch: perBatch, ...(floorCm2 ? { floorCm2 } : {}) }
      : steady === false
        ? { by: 'people' }
        : { by: 'nothing' };
  return {
    id,
    name,
    says,
    minutes: minutesOf(times),
    grows,
    attention: 'none',
    by: 'cook',
    place,
    doneWhen: '',
    cautions: [],
    uses: [],
    ...rest,
  };
}

/** Board work that anyone can do and that grows with the people. */
export const chop = (id: string, name: string, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'board' }, { attention: 'hands', by: 'anyone', steady: false }, extra);

/** A cook's work away from the heat: strain, dress, plate. */
export const work = (id: string, name: string, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'board' }, { attention: 'hands' }, extra);

/** Frying, browning, stirring: hands at a burner. */
export const fry = (id: string, name: string, heat: Heat, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'burner', heat }, { attention: 'hands' }, extra);

/** A pot looked at now and then. */
export const simmer = (id: string, name: string, heat: Heat, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'burner', heat }, { attention: 'eyes', lookEvery: 10 }, extra);

/** A covered pot left alone on a burner. */
export const leave = (id: string, name: string, heat: Heat, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'burner', heat }, {}, extra);

/** A step in the oven that nobody has to look after. */
export const bake = (
  id: string,
  name: string,
  celsius: number,
  shelves: number,
  times: Times,
  says: string,
  extra: Extra = {},
) => write(id, name, times, says, { at: 'oven', celsius, shelves }, {}, extra);

/** Off the heat: resting, soaking, draining. */
export const rest = (id: string, name: string, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'rest' }, {}, extra);

/** A step in the cold. */
export const chill = (id: string, name: string, times: Times, says: string, extra: Extra = {}) =>
  write(id, name, times, says, { at: 'cold' }, {}, extra);

/**
 * `to` follows `from`, after at least `min` and at most `max` minutes. (Not called `then`: a module that exports a
 * `then` is taken for a promise, and importing it never ends.)
 */
export function follow(from: string, to: string, min = 0, max: number | null = null, rather?: number): Link {
  return { from, at: 'end', to, of: 'start', min, max, ...(rather === undefined ? {} : { rather }) };
}

/** Each step follows the one before at once. */
export function atOnce(...ids: readonly string[]): Link[] {
  return ids.slice(1).map((id, index) => follow(ids[index]!, id, 0, 0));
}

/** A pot or pan that a dish takes, with the steps from and to which it is taken. Litres are for the dish's own servings. */
export function pot(
  id: string,
  name: string,
  kinds: readonly VesselKind[],
  litres: number,
  from: string,
  to: string,
  more: {
    readonly widthCm?: number;
    readonly wash?: number;
    readonly grows?: boolean;
    readonly straight?: boolean;
  } = {},
): VesselUse {
  return {
    id,
    name,
    need: { kinds, litres, widthCm: more.widthCm ?? 0, ...(more.straight ? { straight: true } : {}) },
    grows: more.grows ?? true,
    from,
    to,
    washMinutes: more.wash ?? 5,
  };
}

/** An ingredient of a written dish. */
export function item(
  id: string,
  quantity: number,
  unit: Unit,
  name: string,
  more: Partial<Pick<Ingredient, 'cut' | 'grows' | 'allergens'>> = {},
): Ingredient {
  const amount: Amount = { quantity, unit };
  return { id, name, amount, grows: true, allergens: [], ...more };
}

/** `standing`: how its pot stands, where that is not covered. */
export function waits(
  served: Waits['served'],
  wellMinutes: number,
  mostMinutes: number,
  how: string,
  standing?: Waits['standing'],
): Waits {
  return { served, wellMinutes, mostMinutes, how, ...(standing ? { standing } : {}) };
}

/** What may also stand a night in the cold before it goes on. */
export function overnight<T extends Link | Waits>(given: T): T {
  return { ...given, overnight: true };
}

/** Fills in what a dish may leave out. */
export function dish(
  given: Omit<Dish, 'vessels' | 'gives' | 'takes'> & Partial<Pick<Dish, 'vessels' | 'gives' | 'takes'>>,
): Dish {
  return { vessels: [], gives: [], takes: [], ...given };
}
