import { own } from '@/core/plain/record';
import type { Problem, ReadyRow, Schedule } from '@/core/schedule/problem';

/**
 * A schedule as it is followed: what waits for what, what stands in whose place, who does what. Times are minutes of the problem. Arcs of a
 * step lie from `arcAt[i]` to `arcAt[i + 1]`.
 */
export interface Course {
  readonly n: number;
  readonly ids: readonly string[];
  /** The hour at which each step is to begin. */
  readonly planned: Int32Array;
  /** The hour to begin at, sooner than planned for what must not wait longer for something that is over by now. */
  readonly pulledTo: Int32Array;
  /** 1 for what is under way, or cannot begin at any other minute: nothing holds it up. */
  readonly fixed: Uint8Array;
  readonly shortest: Float64Array;
  readonly likely: Float64Array;
  readonly longest: Float64Array;
  /** What only lasts until its hour ends then, whenever it began: the most minutes that it may last so; 0 for all others. */
  readonly stretch: Int32Array;
  /** Nothing is pulled before this minute by what it must follow soon: what is ready too soon waits before its last step, not after it. */
  readonly notBefore: Int32Array;
  /** Arcs that lead to each step. */
  readonly waitsFor: Int32Array;
  readonly arcAt: Int32Array;
  readonly arcTo: Int32Array;
  /** 1 where the arc goes out from the end of its step, 0 from the start. */
  readonly arcFromEnd: Uint8Array;
  /** 1 where it holds the end of the other, 0 the start. */
  readonly arcOfEnd: Uint8Array;
  readonly arcLeast: Int32Array;
  /** Longest time after the edge it goes out from; `NO_MOST` for none. */
  readonly arcMost: Int32Array;
  /** Position of the person whose hands it wants; -1 for none. */
  readonly person: Int32Array;
  /** Minutes that its person breathes after it. */
  readonly breath: Int32Array;
  /** Others who could do it, as bits. */
  readonly could: Int32Array;
  readonly people: number;
  /** People and places by position. */
  readonly peopleIds: readonly string[];
  readonly placeIds: readonly string[];
  /** Position of the burner or appliance it stands on; -1 for none. */
  readonly place: Int32Array;
  /** Others it could stand on, as bits. */
  readonly placeCould: Int32Array;
  readonly places: number;
  /** What chance is shared by: hands of the same cook, pots on the same flame; -1 for nothing. */
  readonly kin: Int32Array;
  readonly kins: number;
}

/** No longest time, in minutes: beyond any horizon. */
export const NO_MOST = 0x3fffffff;

/** A pot counts as idle that nothing uses for so many minutes before and after. */
const SPARE = 20;

/** A place in a set of 31; what lies beyond is nobody's choice. */
const bit = (position: number) => (position < 31 ? 1 << position : 0);

/** What the scheduler's things are to whoever follows a schedule. */
export interface Roles {
  /** Whether a unit is somebody's hands: people help each other out. */
  readonly isPerson: (unit: string) => boolean;
  /** Whether what takes part in a pool waits for a place in it, as food does for a shelf; what is only watched does not. */
  readonly isKept: (pool: string) => boolean;
  /** The most minutes that a step may last which only fills the time until its hour; absent for all others. */
  readonly stretchOf?: (step: string) => number | undefined;
  /** Whether a row of the problem says how long what follows may wait for something that is over, or under way, by now. */
  readonly isLag?: (row: ReadyRow) => boolean;
}

/** Pools of more than so many at once are never what decides the order. */
const CHAINED = 12;

interface Arc {
  readonly from: number;
  readonly to: number;
  readonly fromEnd: number;
  readonly ofEnd: number;
  readonly least: number;
  readonly most: number;
}

/** What uses a pot, or an appliance beside the burner, from the start of one step to the end of another. */
interface Use {
  readonly first: number;
  readonly last: number;
  /** Minutes that it is kept longer. */
  readonly after: number;
}

/**
 * The minute from which a dish waits whose last step began and ended at these. What is kept warm until the table, or nearly, goes on so while the table
 * waits for others: it waits only when it has been kept as long as it bears.
 */
export function waitsFrom(
  { planned, likely, stretch }: Course,
  at: number,
  { start, end }: { readonly start: number; readonly end: number },
  nearly: number,
): number {
  const isKept = stretch[at]! > 0 && planned[at]! + likely[at]! >= nearly;
  return isKept ? Math.max(end, start + stretch[at]!) : end;
}

/** Minutes that a step lasts which begins at a minute: what fills the time until its hour as long as it has to, all else so many. */
export function lastsFrom({ stretch, planned, likely }: Course, at: number, start: number, minutes: number): number {
  if (stretch[at] === 0) return minutes;
  return Math.max(0, Math.min(stretch[at]!, planned[at]! + likely[at]! - start));
}

/** Makes the course of a schedule: see `CourseMaker`. */
export function courseOf(problem: Problem, schedule: Schedule, roles: Roles): Course {
  const start = Int32Array.from(problem.steps, ({ id }) => own(schedule.starts, id) ?? 0);
  return new CourseMaker(problem, schedule, roles).at(start);
}

/**
 * Makes courses of schedules that differ in their hours alone. The order of things in each pot and oven is kept; people help each other out, and
 * what finds its burner taken goes onto another that would do.
 */
export class CourseMaker {
  private readonly links: readonly Arc[];
  private readonly uses = new Map<string, Use[]>();
  /** Pots that would do as well, by the step that takes one first. */
  private readonly others = new Map<number, readonly string[]>();
  private readonly person: Int32Array;
  private readonly could: Int32Array;
  private readonly breath: Int32Array;
  private readonly people = new Map<string, number>();
  private readonly place: Int32Array;
  private readonly placeCould: Int32Array;
  private readonly places = new Map<string, number>();
  private readonly kin: Int32Array;
  private readonly kins: number;
  private readonly shortest: Float64Array;
  private readonly likely: Float64Array;
  private readonly longest: Float64Array;
  private readonly stretch: Int32Array;
  private readonly earliest: Int32Array;
  private readonly fixed: Uint8Array;
  private readonly landings: readonly { readonly index: number; readonly soonest: number }[];
  private readonly lags: readonly { readonly index: number; readonly latest: number }[];
  /** What holds several at once, and how much of it each step takes. */
  private readonly pools: readonly { readonly capacity: number; readonly takes: readonly number[] }[];
  /** For each state of an oven the steps that want it. */
  private readonly states: readonly { readonly change: number; readonly users: readonly number[] }[];

  constructor(
    private readonly problem: Problem,
    schedule: Pick<Schedule, 'units' | 'holds'>,
    { isPerson, isKept, stretchOf, isLag }: Roles,
  ) {
    const { steps } = problem;
    const n = steps.length;
    const at = new Map(steps.map(({ id }, index) => [id, index]));
    this.links = problem.links.map((link) => ({
      from: at.get(link.from)!,
      to: at.get(link.to)!,
      fromEnd: link.at === 'end' ? 1 : 0,
      ofEnd: link.of === 'end' ? 1 : 0,
      least: link.min,
      most: link.of === 'start' ? (link.max ?? NO_MOST) : NO_MOST,
    }));
    this.person = new Int32Array(n).fill(-1);
    this.could = new Int32Array(n);
    this.breath = new Int32Array(n);
    this.place = new Int32Array(n).fill(-1);
    this.placeCould = new Int32Array(n);
    this.takeUnits(schedule, at);
    this.takeHolds(schedule, at, isPerson);
    this.kin = new Int32Array(n).fill(-1);
    const kins = new Map<string, number>();
    for (const [index, { id }] of steps.entries()) {
      const name = this.person[index]! >= 0 ? `person ${this.person[index]}` : own(schedule.units, id)?.[0];
      if (name === undefined) continue;
      if (!kins.has(name)) kins.set(name, kins.size);
      this.kin[index] = kins.get(name)!;
    }
    this.kins = kins.size;
    this.shortest = Float64Array.from(steps, ({ spread, minutes }) => Math.min(minutes, spread?.[0] ?? minutes));
    this.likely = Float64Array.from(steps, ({ minutes }) => minutes);
    this.longest = Float64Array.from(steps, ({ spread, minutes }) => Math.max(minutes, spread?.[1] ?? minutes));
    this.stretch = Int32Array.from(steps, ({ id }) => stretchOf?.(id) ?? 0);
    this.fixed = Uint8Array.from(steps, ({ earliest, latest }) =>
      earliest !== undefined && earliest === latest ? 1 : 0,
    );
    this.earliest = Int32Array.from(steps, ({ earliest }) => earliest ?? 0);
    this.landings = problem.ready
      .filter(({ early, late }) => early > 0 && late > early)
      .map(({ step, by, hold }) => {
        const index = at.get(step)!;
        return { index, soonest: by - hold - Math.max(this.stretch[index]!, steps[index]!.minutes) };
      });
    this.lags = problem.ready
      .filter((row) => isLag?.(row) === true)
      .map(({ step, by }) => ({ index: at.get(step)!, latest: Math.max(0, by - steps[at.get(step)!]!.minutes) }));
    this.pools = problem.pools
      .filter(({ id, capacity }) => capacity <= CHAINED && isKept(id))
      .map(({ id, capacity }) => ({
        capacity,
        takes: steps.map(({ pools, minutes }) => (minutes === 0 ? 0 : Math.min(capacity, pools?.[id] ?? 0))),
      }));
    this.states = problem.states.map(({ id, change }) => ({
      change,
      users: steps.flatMap((step, index) => (step.state?.id === id && step.minutes > 0 ? [index] : [])),
    }));
  }

  /** The course whose steps begin at these minutes; the array is the course's own from then on. */
  at(start: Int32Array): Course {
    const { problem, landings } = this;
    const n = problem.steps.length;
    // What is under way is before all that waits, also before what should have begun by now.
    const order = start.map((minute, index) => (this.fixed[index] === 1 && minute === 0 ? -NO_MOST : minute));
    const arcs = [...this.links, ...this.inTurn(start, order)]
      .filter(({ to }) => this.fixed[to] === 0)
      .sort((a, b) => a.from - b.from);
    const notBefore = this.earliest.slice();
    for (const { index, soonest } of landings)
      notBefore[index] = Math.max(notBefore[index]!, Math.min(start[index]!, soonest));
    const arcAt = new Int32Array(n + 1);
    for (const { from } of arcs) arcAt[from + 1]!++;
    for (let i = 0; i < n; i++) arcAt[i + 1]! += arcAt[i]!;
    const waitsFor = new Int32Array(n);
    for (const { to } of arcs) waitsFor[to]!++;
    return {
      n,
      ids: problem.steps.map(({ id }) => id),
      planned: start,
      pulledTo: this.pulledTo(start),
      fixed: this.fixed,
      notBefore,
      shortest: this.shortest,
      likely: this.likely,
      longest: this.longest,
      stretch: this.stretch,
      waitsFor,
      arcAt,
      arcTo: Int32Array.from(arcs, ({ to }) => to),
      arcFromEnd: Uint8Array.from(arcs, ({ fromEnd }) => fromEnd),
      arcOfEnd: Uint8Array.from(arcs, ({ ofEnd }) => ofEnd),
      arcLeast: Int32Array.from(arcs, ({ least }) => least),
      arcMost: Int32Array.from(arcs, ({ most }) => most),
      person: this.person,
      breath: this.breath,
      could: this.could,
      people: this.people.size,
      peopleIds: [...this.people.keys()],
      placeIds: [...this.places.keys()],
      place: this.place,
      placeCould: this.placeCould,
      places: this.places.size,
      kin: this.kin,
      kins: this.kins,
    };
  }

  /** Hours at which what must not wait longer is not late, with what has to be over before it. */
  private pulledTo(start: Int32Array): Int32Array {
    if (this.lags.length === 0) return start;
    const pulled = start.slice();
    const waiting = this.lags.map(({ index, latest }) => ({ index, latest }));
    for (let next = waiting.pop(); next; next = waiting.pop()) {
      const { index, latest } = next;
      if (latest >= pulled[index]! || this.fixed[index] === 1) continue;
      pulled[index] = Math.max(0, latest);
      for (const { from, to, fromEnd, ofEnd, least } of this.links)
        if (to === index && ofEnd === 0 && least >= 0)
          waiting.push({ index: from, latest: latest - least - (fromEnd === 1 ? this.likely[from]! : 0) });
    }
    return pulled;
  }

  private takeUnits(schedule: Pick<Schedule, 'units' | 'holds'>, at: ReadonlyMap<string, number>): void {
    const tooWide = tooWideFor(this.problem, schedule, at);
    for (const [index, { id, minutes, units }] of this.problem.steps.entries()) {
      if (minutes === 0) continue;
      const [unit, ...others] = own(schedule.units, id) ?? [];
      if (unit === undefined) continue;
      this.place[index] = positionIn(this.places, unit);
      for (const each of units?.[0] ?? [])
        if (!tooWide.get(index)?.has(each.id)) this.placeCould[index]! |= bit(positionIn(this.places, each.id));
      for (const other of others) this.use(other, { first: index, last: index, after: 0 });
    }
  }

  private takeHolds(
    schedule: Pick<Schedule, 'holds'>,
    at: ReadonlyMap<string, number>,
    isPerson: (unit: string) => boolean,
  ): void {
    for (const { id, from, to, after, units } of this.problem.holds) {
      const unit = own(schedule.holds, id);
      if (unit === undefined) continue;
      const [first, last] = [at.get(from)!, at.get(to)!];
      if (first === last && isPerson(unit)) {
        this.person[first] = positionIn(this.people, unit);
        this.breath[first] = after;
        for (const each of units) this.could[first]! |= bit(positionIn(this.people, each.id));
      } else {
        this.use(unit, { first, last, after });
        const others = units.map((each) => each.id).filter((each) => each !== unit);
        this.others.set(first, [...(this.others.get(first) ?? []), ...others]);
      }
    }
  }

  /**
   * What a pool holds is shared out into chains, one for each that it can hold at once (chaining: Policella, Cesta, Oddi and Smith, "From precedence
   * constraint posting to partial order schedules", AI Communications 20, 2007).
   */
  private *inChains(
    { capacity, takes }: (typeof this.pools)[number],
    start: Int32Array,
    order: Int32Array,
  ): Generator<Arc> {
    const chains = Array.from({ length: capacity }, () => ({ last: -1, until: -NO_MOST }));
    const users = takes.flatMap((amount, index) => (amount > 0 ? [index] : []));
    for (const index of users.sort((a, b) => order[a]! - order[b]! || a - b)) {
      // What is free longest asks for the least order.
      chains.sort((a, b) => a.until - b.until);
      const before = new Set<number>();
      for (const chain of chains.slice(0, takes[index])) {
        if (chain.last >= 0) before.add(chain.last);
        chain.last = index;
        chain.until = start[index]! + this.likely[index]!;
      }
      for (const from of before) yield { from, to: index, fromEnd: 1, ofEnd: 0, least: 0, most: NO_MOST };
    }
  }

  private use(unit: string, use: Use): void {
    this.uses.set(unit, [...(this.uses.get(unit) ?? []), use]);
  }

  /** What stands in a pot, or in an oven of a temperature, after something else. */
  private *inTurn(start: Int32Array, order: Int32Array): Generator<Arc> {
    const { likely, uses } = this;
    const end = (index: number) => start[index]! + likely[index]!;
    const isIdle = (unit: string, from: number, to: number) =>
      (uses.get(unit) ?? []).every(
        ({ first, last, after }) => end(last) + after <= from - SPARE || start[first]! >= to + SPARE,
      );
    for (const list of uses.values()) {
      if (list.length < 2) continue;
      const inOrder = [...list].sort((a, b) => order[a.first]! - order[b.first]!);
      for (const [index, next] of inOrder.slice(1).entries()) {
        const { last, after } = inOrder[index]!;
        if (last === next.first) continue;
        // Nobody waits for a pot while another that would do hangs on the wall.
        const spare = (this.others.get(next.first) ?? []).some((unit) =>
          isIdle(unit, start[next.first]!, end(next.last) + next.after),
        );
        if (!spare) yield { from: last, to: next.first, fromEnd: 1, ofEnd: 0, least: after, most: NO_MOST };
      }
    }
    for (const pool of this.pools) yield* this.inChains(pool, start, order);
    const warmth = (index: number) => this.problem.steps[index]!.state!.value;
    for (const { change, users } of this.states) {
      for (const a of users) {
        for (const b of users) {
          if (warmth(a) !== warmth(b) && (order[a]! < order[b]! || (order[a] === order[b] && a < b)))
            yield { from: a, to: b, fromEnd: 1, ofEnd: 0, least: change, most: NO_MOST };
        }
      }
    }
  }
}

/** Places that would do for steps, by position, were it not for the pots that were chosen for them. */
function tooWideFor(
  { forbid }: Problem,
  { holds }: Pick<Schedule, 'holds'>,
  at: ReadonlyMap<string, number>,
): ReadonlyMap<number, ReadonlySet<string>> {
  const places = new Map<number, Set<string>>();
  for (const pair of forbid ?? []) {
    const pot = pair.find((choice) => 'hold' in choice);
    const place = pair.find((choice) => 'step' in choice);
    if (!pot || !place || own(holds, pot.hold) !== pot.unit) continue;
    const index = at.get(place.step)!;
    places.set(index, (places.get(index) ?? new Set()).add(place.unit));
  }
  return places;
}

function positionIn(positions: Map<string, number>, name: string): number {
  return positions.get(name) ?? positions.set(name, positions.size).size - 1;
}
