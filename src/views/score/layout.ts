import { clockMinutes } from '@/core/kitchen/kitchen';
import type { Pin } from '@/core/meal/pin';
import type { Landing, Plan, PlannedStep, Station } from '@/core/plan/plan';
import { retold } from '@/core/say/retold';
import { say } from '@/core/say/say';
import { type TimeScale, ticks, timeScale } from './scale';

/** A step drawn as a piece of its dish's ribbon. */
export interface Ribbon {
  readonly step: PlannedStep;
  readonly x: number;
  readonly width: number;
  /** Middle line and thickness. */
  readonly y: number;
  readonly thickness: number;
  /** Where the tail of a longer run ends. */
  readonly tailX: number;
  readonly label: Label | null;
}

export interface Label {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly inside: boolean;
}

/** Food waiting: a dotted line on the shelf. */
export interface WaitLine {
  readonly dishId: string;
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  /** The dish in a word or two, where there is room for it on the line. */
  readonly label: string | null;
  /** Ends of the links to the ribbons before and after it. */
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number } | null;
}

/** Where a step is wished on the sheet; null when the sheet does not hold it. */
export function ghostOf(layout: Pick<ScoreLayout, 'ribbons' | 'staves' | 'scale' | 'middle'>, wish: Pin) {
  const ribbon = layout.ribbons.find(({ step }) => step.key === wish.key);
  if (!ribbon) return null;
  const { step, thickness } = ribbon;
  const start = wish.start ?? step.start;
  const stave = layout.staves.find(({ station }) => station.id === wish.unit && wish.unit !== step.station.id);
  const height = Math.max(10, thickness);
  const x = layout.scale.x(start);
  return {
    x,
    y: (stave ? stave.top + layout.middle : ribbon.y) - height / 2,
    width: Math.max(6, layout.scale.x(start + step.end - step.start) - x),
    height,
  };
}

/** A link from one ribbon to the next of its dish. */
export interface Join {
  readonly dishId: string;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

export interface Stave {
  readonly station: Station;
  readonly top: number;
  readonly height: number;
}

export interface LandingMark {
  readonly landing: Landing;
  readonly y: number;
  readonly from: { readonly x: number; readonly y: number };
}

export interface ScoreLayout {
  readonly scale: TimeScale;
  readonly staves: readonly Stave[];
  readonly ribbons: readonly Ribbon[];
  readonly waits: readonly WaitLine[];
  readonly joins: readonly Join[];
  readonly landings: readonly LandingMark[];
  readonly ticks: readonly number[];
  /** From the top of a stave to the middle line of its first lane. */
  readonly middle: number;
  readonly handsTop: number;
  readonly height: number;
  readonly tableX: number;
}

const TOP = 42;
const STAVE = 45;
const LANE = 26;
/** From the top of a stave to the middle line of its first lane. */
const MIDDLE = 28;
const SHELF_LANE = 13;
/** The closest that lines may stand, as a share of their usual distance. */
const CLOSEST = 0.8;
/** A shorter wait is no line of its own: the ribbon just goes on. */
const SHORT_WAIT = 6;
const LANDING = 46;
const LETTER = 6.9;
export const HANDS = 22;

/** How thick a ribbon is: the hotter, the thicker. */
export function thicknessOf(step: PlannedStep): number {
  switch (step.station.sort) {
    case 'board':
      return 7;
    case 'shelf':
      return 6;
    case 'oven':
      return step.kind === 'warm-up' ? 6 : Math.max(12, Math.min(24, 10 + ((step.celsius ?? 150) - 100) / 8));
    case 'appliance':
      return 14;
    case 'burner':
      return { full: 26, medium: 20, low: 13, lowest: 9 }[step.heat ?? 'medium'];
  }
}

/** The scale of a plan's own minutes. `width` is the room between the names and the landing edge. */
export function scaleOf(plan: Plan, width: number, zoom: number): TimeScale {
  return timeScale(
    plan.steps.flatMap((step) => [step.start, step.end]),
    width,
    zoom,
  );
}

/**
 * Where everything of a plan stands on the sheet. The scale may be that of another plan: under the hand it must not run away. A sheet higher
 * than its `room` draws its lines closer together, as far as they can still be read.
 */
export function layOut(given: Plan, scale: TimeScale, room = Number.POSITIVE_INFINITY): ScoreLayout {
  const plan = asRead(given);
  let layout = arranged(plan, scale, 1);
  for (let density = 1, tries = 0; layout.height > room && density > CLOSEST && tries < 4; tries++) {
    density = Math.max(CLOSEST, (density * room) / layout.height);
    layout = arranged(plan, scale, density);
  }
  return layout;
}

/** The plan with the names that its reader reads: how wide they are decides where they stand. */
function asRead(plan: Plan): Plan {
  return {
    ...plan,
    steps: plan.steps.map((step) => ({ ...step, name: retold(step.name), dishName: retold(step.dishName) })),
    landings: plan.landings.map((landing) => ({ ...landing, dishName: retold(landing.dishName) })),
  };
}

function arranged(plan: Plan, scale: TimeScale, density: number): ScoreLayout {
  const steps = plan.steps;
  const staveHeight = STAVE * density;
  const middleOf = MIDDLE * density;
  const shelfLane = SHELF_LANE * density;
  // Three lines of letters cannot come closer than that.
  const landingHeight = LANDING * Math.max(0.95, density);
  const tableX = scale.x(0);

  const staves: Stave[] = [];
  const laneOf = new Map<string, number>();
  let top = TOP;
  for (const station of plan.stations) {
    const own = steps.filter((step) => step.station.id === station.id);
    if (station.sort === 'shelf') break;
    const lanes = packLanes(
      own.map((step) => ({ id: step.key, from: step.start, to: step.end })),
      laneOf,
    );
    const height = staveHeight + Math.max(0, lanes - 1) * LANE;
    staves.push({ station, top, height });
    top += height;
  }
  const shelf = plan.stations[plan.stations.length - 1]!;
  const gap = 8 / scale.perMinute;
  const resting = steps
    .filter((step) => step.station.id === shelf.id)
    .map((step) => ({
      id: step.key,
      from: step.start,
      to: Math.max(step.end, step.start + textWidth(step.name) / scale.perMinute) + gap,
    }));
  const lines = plan.waitings.filter((wait) => wait.before === null || wait.to - wait.from >= SHORT_WAIT);
  const waiting = lines.map((wait, index) => ({ id: `wait ${index}`, from: wait.from, to: wait.to + gap }));
  const lanes = packLanes([...resting, ...waiting], laneOf);
  const shelfHeight = Math.max(staveHeight, 24 + lanes * shelfLane);
  staves.push({ station: shelf, top, height: shelfHeight });
  const shelfTop = top;
  top += shelfHeight;

  const middle = (step: PlannedStep) => {
    const stave = staves.find((each) => each.station.id === step.station.id)!;
    const lane = laneOf.get(step.key) ?? 0;
    return step.station.id === shelf.id ? shelfTop + 22 + lane * shelfLane : stave.top + middleOf + lane * LANE;
  };
  const bare = steps.map((step) => {
    const x = scale.x(step.start);
    const width = Math.max(3, scale.x(step.end) - x);
    return {
      step,
      x,
      width,
      y: middle(step),
      thickness: thicknessOf(step),
      tailX: Math.max(x + width, scale.x(Math.min(step.longestEnd, 0))),
    };
  });
  const ribbons = placeLabels(bare, tableX, wordsOf(bare));
  const byKey = new Map(ribbons.map((ribbon) => [ribbon.step.key, ribbon]));

  const isFree = roomOnShelf(ribbons);
  const waits = lines.flatMap((wait, index): WaitLine[] => {
    const before = byKey.get(wait.after);
    if (!before) return [];
    const after = wait.before === null ? undefined : byKey.get(wait.before);
    const onShelf = before.step.station.id === shelf.id && wait.before === null;
    const y = onShelf ? before.y : shelfTop + 22 + (laneOf.get(`wait ${index}`) ?? 0) * shelfLane;
    return [
      {
        dishId: wait.dishId,
        x1: scale.x(wait.from),
        x2: scale.x(wait.to),
        y,
        label: isFree(shortName(before.step.dishName), scale.x(wait.from), scale.x(wait.to), y),
        from: { x: before.x + before.width, y: before.y },
        to: after ? { x: after.x, y: after.y } : null,
      },
    ];
  });
  const joins = ribbons.flatMap((ribbon): Join[] =>
    ribbon.step.after.flatMap((key) => {
      const before = byKey.get(key);
      if (!before || before.step.end > ribbon.step.start || before.y === ribbon.y) return [];
      const waits = lines.some((wait) => wait.after === key && wait.before === ribbon.step.key);
      if (waits || ribbon.step.start - before.step.end >= SHORT_WAIT) return [];
      return [{ dishId: ribbon.step.dishId, x1: before.x + before.width, y1: before.y, x2: ribbon.x, y2: ribbon.y }];
    }),
  );

  const handsTop = top + 10;
  const landings = placeLandings(plan, byKey, waits, scale, handsTop, landingHeight);
  const height = Math.max(handsTop, TOP + landings.length * landingHeight + 12);
  return {
    scale,
    staves,
    ribbons,
    waits,
    joins,
    landings,
    ticks: ticks(scale, clockMinutes(plan.hour)),
    middle: middleOf,
    handsTop,
    height,
    tableX,
  };
}

/** Letters on a waiting line are smaller than on a ribbon. */
const SMALL_LETTER = 5.8;

/** Finds words room on a waiting line, where they touch no ribbon, no other words and no end of the line; null where there is none. */
function roomOnShelf(ribbons: readonly Ribbon[]) {
  const taken = ribbons.flatMap(({ x, width, y, thickness, label }) => [
    { x1: x, x2: x + width, y1: y - thickness / 2, y2: y + thickness / 2 },
    ...(label && !label.inside
      ? [{ x1: label.x, x2: label.x + textWidth(label.text), y1: label.y - 10, y2: label.y + 2 }]
      : []),
  ]);
  return (words: string, from: number, to: number, y: number): string | null => {
    const width = waitWordsWidth(words);
    const box = { x1: from, x2: from + width, y1: y - 5, y2: y + 5 };
    const touches = taken.some(
      (other) => box.x1 < other.x2 + 3 && other.x1 < box.x2 + 3 && box.y1 < other.y2 && other.y1 < box.y2,
    );
    if (width + 14 > to - from || touches) return null;
    taken.push(box);
    return words;
  };
}

/** Pixels of words on a waiting line. */
export function waitWordsWidth(words: string): number {
  return words.length * SMALL_LETTER + 4;
}

/** Gives each span the lowest lane that is free; returns how many lanes that takes. */
export function packLanes(
  spans: readonly { readonly id: string; readonly from: number; readonly to: number }[],
  laneOf: Map<string, number>,
): number {
  const freeFrom: number[] = [];
  for (const span of [...spans].sort((a, b) => a.from - b.from || b.to - a.to)) {
    let lane = freeFrom.findIndex((free) => free <= span.from);
    if (lane < 0) lane = freeFrom.length;
    freeFrom[lane] = span.to;
    laneOf.set(span.id, lane);
  }
  return freeFrom.length;
}

export function textWidth(text: string): number {
  return text.length * LETTER;
}

/**
 * Writes each step's name inside its ribbon where it fits, else above it, else below, and nowhere when all of these would touch another label:
 * a name is never cut and never collides. The keyboard and the lines below the sheet always tell it.
 */
function placeLabels(
  bare: readonly Omit<Ribbon, 'label'>[],
  tableX: number,
  wordsFor: (ribbon: Omit<Ribbon, 'label'>) => readonly string[],
): Ribbon[] {
  const taken: { x1: number; x2: number; y1: number; y2: number }[] = [];
  const isFree = (x1: number, x2: number, y: number, self: Omit<Ribbon, 'label'>) =>
    x1 >= 0 &&
    x2 <= tableX - 3 &&
    !taken.some((box) => x1 < box.x2 + 5 && box.x1 < x2 + 5 && y - 11 < box.y2 && box.y1 < y + 3) &&
    !bare.some(
      (other) =>
        other !== self &&
        x1 < other.x + other.width &&
        other.x < x2 &&
        y - 10 < other.y + other.thickness / 2 &&
        other.y - other.thickness / 2 < y + 2,
    );
  const placed = (ribbon: Omit<Ribbon, 'label'>, text: string): Label | null => {
    const width = textWidth(text);
    if (ribbon.width >= width + 12 && ribbon.thickness >= 18)
      return { text, x: ribbon.x + 7, y: ribbon.y + 4.5, inside: true };
    for (const y of [ribbon.y - ribbon.thickness / 2 - 4, ribbon.y + ribbon.thickness / 2 + 12])
      for (const x of [ribbon.x, ribbon.x + ribbon.width - width])
        if (isFree(x, x + width, y, ribbon)) return { text, x, y, inside: false };
    return null;
  };
  return bare.map((ribbon): Ribbon => {
    for (const text of wordsFor(ribbon)) {
      const label = placed(ribbon, text);
      if (!label) continue;
      if (!label.inside) taken.push({ x1: label.x, x2: label.x + textWidth(text), y1: label.y - 11, y2: label.y + 3 });
      return { ...ribbon, label };
    }
    return { ...ribbon, label: null };
  });
}

/** A dish in a word or two, for a label: "Pearl barley" of "Pearl barley with leeks". */
export function shortName(dishName: string): string {
  // The message lists the words before which a name may end; a language lists its own.
  const joining = new Set(say('with and in from on of').split(' '));
  const words = dishName.split(/,? /);
  const end = words.findIndex(
    (word, at) => at > 0 && (joining.has(word) || dishName.includes(`${words[at - 1]}, ${word}`)),
  );
  return words.slice(0, end < 0 ? words.length : end).join(' ');
}

/**
 * What may be written at each ribbon, the best first: at the longest on the heat of each dish its name, elsewhere the step's; where steps of several dishes are
 * called alike each says whose it is.
 */
function wordsOf(bare: readonly Omit<Ribbon, 'label'>[]): (ribbon: Omit<Ribbon, 'label'>) => readonly string[] {
  const main = new Map<string, Omit<Ribbon, 'label'>>();
  const called = new Map<string, Set<string>>();
  for (const ribbon of bare) {
    const { dishId, name, station } = ribbon.step;
    called.set(name, (called.get(name) ?? new Set()).add(dishId));
    const isHot = station.sort !== 'board' && station.sort !== 'shelf' && ribbon.step.kind === 'step';
    if (isHot && ribbon.width > (main.get(dishId)?.width ?? 0)) main.set(dishId, ribbon);
  }
  return (ribbon) => {
    const { dishId, dishName, name } = ribbon.step;
    const own = `${shortName(dishName)}: ${name}`;
    const isMain = main.get(dishId) === ribbon;
    if ((called.get(name)?.size ?? 0) > 1) return [own, shortName(dishName)];
    return isMain ? [own, name] : [name];
  };
}

/** Landings stand in the order of the ribbons they come from, so that their lines cross as little as can be. */
function placeLandings(
  plan: Plan,
  byKey: ReadonlyMap<string, Ribbon>,
  waits: readonly WaitLine[],
  scale: TimeScale,
  bottom: number,
  least: number,
): LandingMark[] {
  const marks = plan.landings.map((landing) => {
    const wait = plan.waitings.findIndex((each) => each.dishId === landing.dishId && each.before === null);
    const last = [...byKey.values()]
      .filter((ribbon) => ribbon.step.dishId === landing.dishId && ribbon.step.end === landing.ready)
      .at(-1);
    const line = wait >= 0 ? waits.find((each) => each.dishId === landing.dishId && each.to === null) : undefined;
    const from = line
      ? { x: line.x2, y: line.y }
      : last
        ? { x: last.x + last.width, y: last.y }
        : { x: scale.x(0), y: TOP };
    return { landing, from };
  });
  marks.sort((a, b) => a.from.y - b.from.y || a.landing.ready - b.landing.ready);
  const room = Math.max(least, Math.min(70, (bottom - TOP) / Math.max(1, marks.length)));
  return marks.map((mark, index) => ({ ...mark, y: TOP + 14 + index * room }));
}
