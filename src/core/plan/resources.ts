import type { Dish } from '@/core/dish/dish';
import { clockMinutes, type Kitchen, type Person } from '@/core/kitchen/kitchen';
import { unitId, vesselUnit } from '@/core/meal/keys';
import { minuteAt, type TableHour } from '@/core/plain/wall-clock';
import type { PoolResource, UnitResource } from '@/core/schedule/problem';

/** Looks a cook can keep going at once. Common practice, no source: "two or three simmers in view". */
const EYES_PER_COOK = 3;
/** Within this many degrees dishes share an oven. Common practice, no source. */
export const SHARED_DEGREES = 10;

/** The pool of all hands. */
export const HANDS = 'hands';
/** The pool of looks that cooks can keep going at once. */
export const EYES = 'eyes';
/** The pool of what is on the heat, which is away while the household sleeps. */
export const HEAT = 'heat';

/** Minutes [from, to) of the problem. */
type Span = readonly [number, number];

/** The time that a problem is about: its minute 0 relative to the table, and how many minutes it has. */
export interface Stretch {
  readonly table: TableHour;
  readonly origin: number;
  readonly horizon: number;
}

/** Absences of a person; sleep is one. */
export function absences(person: Person, stretch: Stretch, kitchen?: Kitchen): readonly Span[] {
  const away = daily(clockMinutes(person.until), clockMinutes(person.from), stretch);
  return kitchen ? joined([...away, ...sleep(kitchen, stretch)]) : away;
}

/** When the household sleeps. */
export function sleep({ asleep }: Kitchen, stretch: Stretch): readonly Span[] {
  return asleep ? daily(clockMinutes(asleep.from), clockMinutes(asleep.until), stretch) : [];
}

/** The spans between an hour and the next time that it is another, on every day of the stretch. */
function daily(from: number, until: number, { table, origin, horizon }: Stretch): readonly Span[] {
  const list: Span[] = [];
  const first = Math.floor(origin / 1440) - 2;
  const last = Math.ceil((origin + horizon) / 1440) + 1;
  for (let day = first; day <= last; day++) {
    const lo = Math.max(0, minuteAt(table, day, from) - origin);
    const hi = Math.min(horizon, minuteAt(table, until > from ? day : day + 1, until) - origin);
    if (hi > lo) list.push([lo, hi]);
  }
  return list;
}

function joined(stretches: readonly Span[]): readonly Span[] {
  const list: [number, number][] = [];
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const last = list.at(-1);
    if (last && from <= last[1]) list[list.length - 1] = [last[0], Math.max(last[1], to)];
    else list.push([from, to]);
  }
  return list;
}

/** What can be taken by one step at a time: burners, appliances, vessels, people with their absences. */
export function unitsOf(kitchen: Kitchen, stretch: Stretch): UnitResource[] {
  return [
    ...kitchen.burners.map(({ id }) => ({ id: unitId('burner', id) })),
    ...kitchen.appliances.map(({ id }) => ({ id: unitId('appliance', id) })),
    ...kitchen.vessels.flatMap((vessel) =>
      Array.from({ length: vessel.count }, (_, copy) => ({ id: vesselUnit(vessel.id, copy + 1) })),
    ),
    ...kitchen.people.map((person) => ({
      id: unitId('person', person.id),
      away: absences(person, stretch, kitchen),
    })),
  ];
}

/** More things on the heat than any stove holds: the pool of the heat is there only to be away while all sleep. */
const ENDLESS_HEAT = 100;

/** What is shared by amount: hands, eyes, shelves of ovens. */
export function poolsOf(kitchen: Kitchen, stretch: Stretch): PoolResource[] {
  const cooks = kitchen.people.filter((person) => person.role === 'cook');
  const nights = sleep(kitchen, stretch);
  return [
    { id: HANDS, capacity: kitchen.people.length },
    {
      id: EYES,
      capacity: cooks.length * EYES_PER_COOK,
      away: cooks.flatMap((cook) =>
        absences(cook, stretch, kitchen).map(([from, to]) => [from, to, EYES_PER_COOK] as const),
      ),
    },
    ...(nights.length > 0
      ? [{ id: HEAT, capacity: ENDLESS_HEAT, away: nights.map(([from, to]) => [from, to, ENDLESS_HEAT] as const) }]
      : []),
    ...kitchen.ovens.map((oven) => ({ id: shelvesOf(oven.id), capacity: oven.shelves })),
  ];
}

/** The pool of an oven's shelves. */
export function shelvesOf(oven: string): string {
  return `${oven} shelves`;
}

/** One setting of one oven that serves one or several oven steps. */
export interface OvenSetting {
  readonly oven: string;
  readonly celsius: number;
}

/**
 * Sorts the oven temperatures of a meal into settings that dishes within ten degrees share, and spreads the settings
 * over the ovens. Returns the setting for each wanted temperature.
 */
export function ovenSettings(kitchen: Kitchen, dishes: readonly Dish[]): ReadonlyMap<number, OvenSetting> {
  const wanted = new Map<number, number>();
  for (const dish of dishes) {
    for (const step of dish.steps) {
      if (step.place.at !== 'oven') continue;
      wanted.set(step.place.celsius, Math.max(wanted.get(step.place.celsius) ?? 0, step.place.shelves));
    }
  }
  const settings = new Map<number, OvenSetting>();
  let group: number[] = [];
  let count = 0;
  const close = () => {
    if (group.length === 0) return;
    const shelves = Math.max(...group.map((celsius) => wanted.get(celsius) ?? 1));
    const able = kitchen.ovens.filter((oven) => oven.shelves >= shelves);
    const oven = able[count % Math.max(1, able.length)];
    const celsius = Math.round((group[0]! + group[group.length - 1]!) / 10) * 5;
    if (oven) for (const each of group) settings.set(each, { oven: oven.id, celsius });
    count++;
    group = [];
  };
  for (const celsius of [...wanted.keys()].sort((a, b) => a - b)) {
    if (group.length > 0 && celsius - group[0]! > SHARED_DEGREES) close();
    group.push(celsius);
  }
  close();
  return settings;
}
