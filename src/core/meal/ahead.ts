import type { Dish, Link, Step, VesselUse, Waits } from '@/core/dish/dish';
import { isHot } from '@/core/dish/foods';
import { allThrough } from '@/core/dish/set-aside';
import { written } from '@/core/say/retold';
import type { MadeAhead, Meal } from './meal';

/** A wait this long reaches from the evening before to the day. */
const OVERNIGHT_MINUTES = 12 * 60;
/** Less than this on the evening before is not worth a second evening. */
const WORTH_HANDS = 5;
const WORTH_HEAT = 20;
/** Heating a cold dish through, covered. Common practice, no source: 10 to 25 minutes for a family pot. */
const HEAT_THROUGH = { shortest: 10, likely: 15, longest: 25 };

/** A stretch of a dish that can be made on an earlier day: all up to a step, and what that step needs. */
export interface AheadPoint {
  /** Id of its last step, or `ALL_THAT_CAN`. */
  readonly upTo: string;
  readonly steps: ReadonlySet<string>;
}

/** Not up to one step but everything that may stand overnight. */
export const ALL_THAT_CAN = '*';

/**
 * The points up to which a dish can be made on an earlier day, the longest first; empty when that would spare too little. What it takes from
 * another dish stays on the day, and so does what it gives, unless it is there for nothing else, as a stock is.
 */
export function aheadPoints(dish: Dish): readonly AheadPoint[] {
  const all = stepsForTheDayBefore(dish);
  if (all.size === 0) return [];
  const points: AheadPoint[] = [{ upTo: ALL_THAT_CAN, steps: all }];
  for (const { id } of dish.steps) {
    if (!all.has(id)) continue;
    const steps = withAllBefore(dish, id);
    const rests = dish.links.every(
      (link) => !steps.has(link.from) || steps.has(link.to) || keeps(link.overnight, link.max),
    );
    const known = points.find((point) => point.steps.size === steps.size);
    // One that spares all that can be spared is known by its step.
    if (known?.upTo === ALL_THAT_CAN && rests) points[0] = { upTo: id, steps };
    else if (!known && rests && isWorthIt(dish, steps)) points.push({ upTo: id, steps });
  }
  return points.sort((a, b) => b.steps.size - a.steps.size);
}

function withAllBefore(dish: Dish, id: string): ReadonlySet<string> {
  const steps = new Set<string>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (steps.has(at)) continue;
    steps.add(at);
    for (const link of dish.links) if (link.to === at) open.push(link.from);
  }
  return steps;
}

/**
 * Ids of the steps that can be done the evening before: all from which the dish may stand overnight, with everything before them,
 * taking nothing from another dish. Empty when that spares too little.
 */
export function stepsForTheDayBefore(dish: Dish): ReadonlySet<string> {
  const early = new Set(dish.steps.map((step) => step.id));
  if (dish.lands && !keeps(dish.lands.waits.overnight, dish.lands.waits.mostMinutes)) early.delete(dish.lands.step);
  // What one part takes from another is tied by links of the dish's own.
  const own = new Set(dish.gives.map(({ product }) => product));
  for (const { step, product } of dish.takes) if (!own.has(product)) early.delete(step);
  const taken = new Set(dish.takes.map(({ product }) => product));
  // A stock is made to be given, and stands overnight; what a roast gives comes with the roast.
  if (dish.lands) {
    for (const { step, product, overnight } of dish.gives) if (!overnight && !taken.has(product)) early.delete(step);
  }
  for (let size = -1; size !== early.size; ) {
    size = early.size;
    for (const link of dish.links) {
      if (!early.has(link.from)) early.delete(link.to);
      else if (!early.has(link.to) && !keeps(link.overnight, link.max)) early.delete(link.from);
    }
  }
  return isWorthIt(dish, early) ? early : new Set();
}

function isWorthIt(dish: Dish, early: ReadonlySet<string>): boolean {
  const spared = dish.steps.filter((step) => early.has(step.id) && step.daysBefore === undefined);
  const minutes = (of: (step: Step) => boolean) =>
    spared.filter(of).reduce((sum, step) => sum + step.minutes.likely, 0);
  return minutes((step) => step.attention === 'hands') >= WORTH_HANDS || minutes(isHot) >= WORTH_HEAT;
}

function keeps(overnight: boolean | undefined, most: number | null): boolean {
  return overnight === true || most === null || most >= OVERNIGHT_MINUTES;
}

/** The meal with its dishes as they are made: what is made ahead stands on its day, cooled, kept and heated through. */
export function asMadeAhead<T extends Pick<Meal, 'dishes' | 'ahead'>>(meal: T): T {
  if (!meal.ahead || meal.ahead.length === 0) return meal;
  const dishes = meal.dishes.map((dish) => {
    const chosen = meal.ahead!.find((each) => each.dish === dish.id);
    const point = chosen && aheadPoints(dish).find(({ upTo }) => upTo === chosen.upTo);
    return chosen && point ? madeAhead(dish, point.steps, chosen) : dish;
  });
  return { ...meal, dishes };
}

/**
 * The dish with these steps on an earlier day. What was cooked is cooled and put away in steps of their own; what is not eaten cold
 * is heated through on the day; what was frozen is taken out the evening before. A vessel is taken up once on each of the two days.
 */
export function madeAhead(
  dish: Dish,
  early: ReadonlySet<string>,
  { days, frozen }: Pick<MadeAhead, 'days' | 'frozen'> = { days: 1 },
): Dish {
  const { lands } = dish;
  const kept = new Map<string, Kept>();
  const keepAfter = (id: string) => {
    const step = dish.steps.find((each) => each.id === id)!;
    const known = kept.get(id) ?? keptAfter(dish, step, days, frozen === true);
    kept.set(id, known);
    return known;
  };
  const links = dish.links.flatMap((link): Link[] => {
    if (!early.has(link.from) || early.has(link.to)) return [link];
    const { last, again } = keepAfter(link.from);
    return again
      ? [{ ...link, from: again.id, at: 'end' }]
      : [{ from: last, at: 'end', to: link.to, of: link.of, min: frozen ? THAW_MINUTES : link.min, max: null }];
  });
  if (lands && early.has(lands.step)) keepAfter(lands.step);
  const gives = dish.gives.map((give) => {
    if (!early.has(give.step)) return give;
    const { again, last } = keepAfter(give.step);
    return { ...give, step: again?.id ?? last };
  });
  links.push(...[...kept.values()].flatMap((each) => each.links));
  const again = new Map([...kept].flatMap(([id, each]) => (each.again ? [[id, each.again] as const] : [])));
  const onTheDay = new Set([...again.values()].map((step) => step.id));
  const steps = [
    ...dish.steps.map((step) =>
      early.has(step.id) ? onAnEarlierDay(step, days, kept.get(step.id)) : afterTheCold(dish, step, early),
    ),
    ...[...kept.values()].flatMap((each) => [...each.steps, ...(each.again ? [each.again] : [])]),
  ];
  const added = new Set([...kept.values()].flatMap((each) => each.steps.map(({ id }) => id)));
  const ready = lands && early.has(lands.step) ? kept.get(lands.step) : undefined;
  return {
    ...dish,
    steps: steps.map((step) =>
      early.has(step.id) || added.has(step.id) || !step.vessel
        ? step
        : { ...step, vessel: dayUse(dish, step.vessel, early) },
    ),
    links,
    vessels: dish.vessels.flatMap((use) => usesOfBothDays(dish, use, early, onTheDay, again)),
    gives,
    lands:
      lands && ready
        ? ready.again
          ? { ...lands, step: ready.again.id }
          : { step: ready.last, waits: keptCold(lands.waits, days) }
        : lands,
  };
}

/** What stands ready in the fridge since an earlier day waits well until the table. */
function keptCold(waits: Waits, days: number): Waits {
  const minutes = 1440 * (days + 1);
  return {
    ...waits,
    wellMinutes: Math.max(waits.wellMinutes, minutes),
    mostMinutes: Math.max(waits.mostMinutes, minutes),
    how: written('covered, in the fridge'),
  };
}

/** How something is kept from an earlier day: the steps of keeping, the last of them, and the step that heats it through. */
interface Kept {
  readonly steps: readonly Step[];
  readonly links: readonly Link[];
  readonly last: string;
  readonly again: Step | null;
  readonly cooled: boolean;
}

/** Until it is out of the danger zone, in a shallow dish. Source: USDA FSIS, within two hours; grain sooner, from memory. */
const COOL_MINUTES = { shortest: 30, likely: 45, longest: 60 };
const MOST_UNTIL_COLD = 45;
const THAW_MINUTES = 600;

function keptAfter(dish: Dish, step: Step, days: number, frozen: boolean): Kept {
  const cooled = isCooked(dish, step.id);
  const steps: Step[] = [];
  const links: Link[] = [];
  const then = (next: Step, min = 0, max: number | null = null) => {
    links.push({ from: steps.at(-1)?.id ?? step.id, at: 'end', to: next.id, of: 'start', min, max });
    steps.push(next);
  };
  const plain = { grows: { by: 'nothing' }, by: 'anyone', doneWhen: '', cautions: [], uses: [], ahead: true } as const;
  const where = frozen ? 'freezer' : 'fridge';
  if (cooled) {
    const cool: Step = {
      ...plain,
      id: `${step.id}-cool`,
      name: 'cool',
      says: written('Spread it in a shallow dish, uncovered, in the coolest corner or in cold water.'),
      minutes: COOL_MINUTES,
      attention: 'none',
      place: { at: 'rest' },
      duty: 'cool',
      doneWhen: written('no longer warm to the back of the hand'),
      cautions: [coolDown()],
      daysBefore: days,
    };
    then(cool, 0, 20);
  }
  const box = cooled || frozen;
  if (box) {
    const away: Step = {
      ...plain,
      id: `${step.id}-away`,
      duty: 'into the cold',
      name: written('into the {where}', { where }),
      says: written('Into a box with a lid, with the day on it, and into the {where}.', { where }),
      minutes: { shortest: 1, likely: 2, longest: 3 },
      attention: 'hands',
      place: { at: 'board' },
      daysBefore: days,
    };
    then(away, 0, cooled ? MOST_UNTIL_COLD : 20);
  }
  if (frozen) {
    const thaw: Step = {
      ...plain,
      id: `${step.id}-thaw`,
      duty: 'thaw',
      name: written('out of the freezer'),
      says: written('Move it from the freezer to the fridge, in a dish that catches what drips, to thaw overnight.'),
      minutes: { shortest: 1, likely: 1, longest: 2 },
      attention: 'hands',
      place: { at: 'board' },
      cautions: [written('Thaw it in the fridge, not in the warm kitchen. Local rules come first.')],
      daysBefore: 1,
    };
    then(thaw);
  }
  const again = dish.lands?.waits.served === 'cold' || !cooled ? null : heatThrough(dish, step);
  const last = steps.at(-1)?.id ?? step.id;
  if (again)
    links.push({ from: last, at: 'end', to: again.id, of: 'start', min: frozen ? THAW_MINUTES : 0, max: null });
  return { steps, links, last, again, cooled: box };
}

/**
 * A step on an earlier day. What stood a day before the rest already stands a day before it again; what only rests is bound by what it
 * follows, and may go on through a night.
 */
function onAnEarlierDay(step: Step, days: number, kept: Kept | undefined): Step {
  const cover = kept && !kept.cooled ? [written('Then cover it and keep it in the fridge until the day.')] : [];
  const rests = step.place.at === 'rest' || step.place.at === 'cold';
  const day = rests && step.daysBefore === undefined ? {} : { daysBefore: (step.daysBefore ?? 0) + days };
  return { ...step, ...day, ahead: true, says: [step.says, ...cover].join(' ') };
}

/** Degrees by which a pot whose layers come out of the fridge begins cooler, hot liquid poured over them. Common practice, no source. */
const COOLER = 10;

/** A boil on the day, of what stood in the cold until then: it begins cooler. */
function afterTheCold(dish: Dish, step: Step, early: ReadonlySet<string>): Step {
  const cold = dish.links.some(({ from, to }) => to === step.id && early.has(from));
  if (step.grows.by !== 'boil' || !cold || step.grows.fromCelsius <= COOLER) return step;
  return { ...step, grows: { ...step.grows, fromCelsius: step.grows.fromCelsius - COOLER } };
}

/** Source: USDA FSIS, "Leftovers and Food Safety" (within two hours), from memory. */
const coolDown = () =>
  written(
    'Cool it in a shallow dish and have it in the fridge within two hours, rice within one. Local rules come first.',
  );

function heatThrough(dish: Dish, step: Step): Step {
  const vessel = heatedIn(dish, step);
  const kinds = dish.vessels.find((use) => use.id === vessel)?.need.kinds ?? [];
  const onBurner = kinds.length === 0 || kinds.some((kind) => kind !== 'tray');
  return {
    id: `${step.id}-again`,
    duty: 'heat through',
    name: written('heat through'),
    says: written('Heat it through from cold, covered, stirring or turning it now and then.'),
    minutes: HEAT_THROUGH,
    grows: { by: 'nothing' },
    attention: 'eyes',
    by: 'anyone',
    lookEvery: 5,
    place: onBurner ? { at: 'burner', heat: 'medium' } : { at: 'oven', celsius: 160, shelves: 1 },
    ...(vessel === undefined ? {} : { vessel }),
    doneWhen: written('it steams all through'),
    cautions: [allThrough()],
    uses: [],
  };
}

/** The vessel something is heated through in: its own, or, where that bears no heat, the one it was cooked in last. */
function heatedIn(dish: Dish, step: Step): string | undefined {
  const bearsHeat = (id: string | undefined) =>
    dish.vessels.some(({ id: own, need }) => own === id && need.kinds.every((kind) => kind !== 'bowl'));
  if (bearsHeat(step.vessel)) return step.vessel;
  return dish.steps.findLast((each) => isHot(each) && bearsHeat(each.vessel))?.vessel ?? step.vessel;
}

function dayUse(dish: Dish, id: string, early: ReadonlySet<string>): string {
  const use = dish.vessels.find((each) => each.id === id);
  return use && early.has(use.from) ? `${id}-day` : id;
}

/** A vessel held over the night becomes two uses: until the last step of the evening, and from the first of the day. */
function usesOfBothDays(
  dish: Dish,
  use: VesselUse,
  early: ReadonlySet<string>,
  onTheDay: ReadonlySet<string>,
  again: ReadonlyMap<string, Step>,
): VesselUse[] {
  if (!early.has(use.from)) return [use];
  const reheated = [...again].filter(([, step]) => step.vessel === use.id && onTheDay.has(step.id));
  if (early.has(use.to) && reheated.length === 0) return [use];
  const inUse = dish.steps.filter((step) => step.vessel === use.id && early.has(step.id));
  const lastEarly = early.has(use.to) ? use.to : (inUse.at(-1)?.id ?? use.from);
  const dayFrom = reheated[0]?.[1].id ?? dish.steps.find((step) => step.vessel === use.id && !early.has(step.id))?.id;
  const dayTo = early.has(use.to) ? dayFrom : use.to;
  return [
    { ...use, to: lastEarly },
    { ...use, id: `${use.id}-day`, from: dayFrom ?? use.to, to: dayTo ?? use.to },
  ];
}

/** Whether a step, or one before it, is on the heat. */
export function isCooked(dish: Dish, id: string): boolean {
  const seen = new Set<string>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    const here = dish.steps.find((each) => each.id === at);
    if (here && isHot(here)) return true;
    for (const link of dish.links) if (link.to === at) open.push(link.from);
  }
  return false;
}
