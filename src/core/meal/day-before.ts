import type { Dish, Link, Step, VesselUse } from '@/core/dish/dish';

/** A wait this long reaches from the evening before to the day. */
const OVERNIGHT_MINUTES = 12 * 60;
/** Less than this on the evening before is not worth a second evening. */
const WORTH_HANDS = 5;
const WORTH_HEAT = 20;
/** Heating a cold dish through, covered. Common practice, no source: 10 to 25 minutes for a family pot. */
const HEAT_THROUGH = { shortest: 10, likely: 15, longest: 25 };

/**
 * Ids of the steps that can be done the evening before: all from which the dish may stand overnight, with everything before them,
 * taking nothing from another dish and giving nothing to one. Empty when that spares too little.
 */
export function stepsForTheDayBefore(dish: Dish): ReadonlySet<string> {
  const early = new Set(dish.steps.map((step) => step.id));
  if (dish.lands && !keeps(dish.lands.waits.overnight, dish.lands.waits.mostMinutes)) early.delete(dish.lands.step);
  for (const { step } of [...dish.takes, ...dish.gives]) early.delete(step);
  for (let size = -1; size !== early.size; ) {
    size = early.size;
    for (const link of dish.links) {
      if (!early.has(link.from)) early.delete(link.to);
      else if (!early.has(link.to) && !keeps(link.overnight, link.max)) early.delete(link.from);
    }
  }
  const spared = dish.steps.filter((step) => early.has(step.id) && step.daysBefore === undefined);
  const minutes = (of: (step: Step) => boolean) =>
    spared.filter(of).reduce((sum, step) => sum + step.minutes.likely, 0);
  const worth =
    minutes((step) => step.attention === 'hands') >= WORTH_HANDS || minutes((step) => isHeat(step.place)) >= WORTH_HEAT;
  return worth ? early : new Set();
}

function keeps(overnight: boolean | undefined, most: number | null): boolean {
  return overnight === true || most === null || most >= OVERNIGHT_MINUTES;
}

/**
 * The dish with these steps on the evening before. What stands overnight is kept cold; what was cooked and is not eaten cold
 * is heated through on the day, in a step of its own; a vessel is taken up once on each of the two days. The dish gets an id of its own,
 * for other meals may want it as it was.
 */
export function madeTheDayBefore(dish: Dish, early: ReadonlySet<string>): Dish {
  const { lands } = dish;
  const again = new Map<string, Step>();
  const reheats = (id: string) => {
    if (lands?.waits.served === 'cold' || !isCooked(dish, id)) return null;
    const before = dish.steps.find((step) => step.id === id)!;
    const step = again.get(id) ?? heatThrough(before, dish.vessels);
    again.set(id, step);
    return step;
  };
  const links = dish.links.flatMap((link): Link[] => {
    if (!early.has(link.from) || early.has(link.to)) return [link];
    const step = reheats(link.from);
    const overnight: Link = { from: link.from, at: 'end', to: link.to, of: link.of, min: link.min, max: null };
    return step
      ? [
          { ...overnight, to: step.id, of: 'start', min: 0 },
          { ...link, from: step.id, at: 'end' },
        ]
      : [overnight];
  });
  const last = lands && early.has(lands.step) ? reheats(lands.step) : null;
  if (lands && last) links.push({ from: lands.step, at: 'end', to: last.id, of: 'start', min: 0, max: null });
  const onTheDay = new Set([...again.values()].map((step) => step.id));
  const steps = [
    ...dish.steps.map((step) => (early.has(step.id) ? onTheEve(dish, step, early) : step)),
    ...again.values(),
  ];
  return {
    ...dish,
    id: `${dish.id}-eve`,
    steps: steps.map((step) =>
      early.has(step.id) || !step.vessel ? step : { ...step, vessel: dayUse(dish, step.vessel, early) },
    ),
    links,
    vessels: dish.vessels.flatMap((use) => usesOfBothDays(dish, use, early, onTheDay, again)),
    lands: lands && last ? { ...lands, step: last.id } : lands,
  };
}

function onTheEve(dish: Dish, step: Step, early: ReadonlySet<string>): Step {
  const stays = !dish.links.some((link) => link.from === step.id && early.has(link.to));
  return {
    ...step,
    daysBefore: step.daysBefore ?? 1,
    ahead: true,
    says: stays ? `${step.says} Then cover it and keep it in the fridge until the day.` : step.says,
    cautions: stays && isCooked(dish, step.id) ? [...step.cautions, COOL_DOWN] : step.cautions,
  };
}

/** Source: USDA FSIS, "Leftovers and Food Safety" (within two hours; 165 °F), from memory. */
const COOL_DOWN =
  'Cool it in a shallow dish and have it in the fridge within two hours, rice within one. Local rules come first.';
const ALL_THROUGH = 'Heat it until it steams all through, 74 °C in the middle, and only once. Local rules come first.';

function heatThrough(step: Step, vessels: readonly VesselUse[]): Step {
  const kinds = vessels.find((use) => use.id === step.vessel)?.need.kinds ?? [];
  const onBurner = kinds.length === 0 || kinds.some((kind) => kind !== 'tray');
  return {
    id: `${step.id}-again`,
    name: 'heat through',
    says: 'Heat it through from cold, covered, stirring or turning it now and then.',
    minutes: HEAT_THROUGH,
    grows: { by: 'nothing' },
    attention: 'eyes',
    by: 'anyone',
    lookEvery: 5,
    place: onBurner ? { at: 'burner', heat: 'medium' } : { at: 'oven', celsius: 160, shelves: 1 },
    ...(step.vessel === undefined ? {} : { vessel: step.vessel }),
    doneWhen: 'it steams all through',
    cautions: [ALL_THROUGH],
    uses: [],
  };
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

function isHeat(place: Step['place']): boolean {
  return place.at === 'burner' || place.at === 'oven' || place.at === 'appliance';
}

/** Whether a step, or one before it, is on the heat. */
function isCooked(dish: Dish, id: string): boolean {
  const seen = new Set<string>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    const here = dish.steps.find((each) => each.id === at);
    if (here && isHeat(here.place)) return true;
    for (const link of dish.links) if (link.to === at) open.push(link.from);
  }
  return false;
}
