import { own } from '@/core/plain/record';
import type { Problem, Schedule } from '@/core/schedule/problem';

/**
 * A schedule as it is followed: what waits for what, what stands in whose place, who does what. Times are minutes of the problem. Arcs of a
 * step lie from `arcAt[i]` to `arcAt[i + 1]`.
 */
export interface Course {
  readonly n: number;
  readonly ids: readonly string[];
  /** The hour at which each step is to begin. */
  readonly planned: Int32Array;
  readonly shortest: Float64Array;
  readonly likely: Float64Array;
  readonly longest: Float64Array;
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

/**
 * Makes the course of a schedule. The order of things in each pot and oven is kept; people help each other out, and what finds its burner taken
 * goes onto another that would do.
 */
export function courseOf(problem: Problem, schedule: Schedule, isPerson: (unit: string) => boolean): Course {
  const { steps } = problem;
  const n = steps.length;
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  const start = Int32Array.from(steps, ({ id }) => own(schedule.starts, id) ?? 0);
  const end = (index: number) => start[index]! + steps[index]!.minutes;
  const arcs: { from: number; to: number; fromEnd: number; ofEnd: number; least: number; most: number }[] = [];
  for (const link of problem.links) {
    arcs.push({
      from: at.get(link.from)!,
      to: at.get(link.to)!,
      fromEnd: link.at === 'end' ? 1 : 0,
      ofEnd: link.of === 'end' ? 1 : 0,
      least: link.min,
      most: link.of === 'start' ? (link.max ?? NO_MOST) : NO_MOST,
    });
  }
  const follow = (from: number, to: number, least: number) => {
    if (from !== to) arcs.push({ from, to, fromEnd: 1, ofEnd: 0, least, most: NO_MOST });
  };
  const others = new Map<number, readonly string[]>();
  const uses = new Map<string, { lo: number; first: number; last: number; after: number }[]>();
  const use = (unit: string, first: number, last: number, after: number) =>
    uses.set(unit, [...(uses.get(unit) ?? []), { lo: start[first]!, first, last, after }]);
  const person = new Int32Array(n).fill(-1);
  const could = new Int32Array(n);
  const breath = new Int32Array(n);
  const people = new Map<string, number>();
  const place = new Int32Array(n).fill(-1);
  const placeCould = new Int32Array(n);
  const places = new Map<string, number>();
  const placeOf = (unit: string) => places.get(unit) ?? places.set(unit, places.size).size - 1;
  const positionOf = (unit: string) => people.get(unit) ?? people.set(unit, people.size).size - 1;
  for (const [index, { id, minutes }] of steps.entries()) {
    if (minutes === 0) continue;
    const [unit, ...others] = own(schedule.units, id) ?? [];
    if (unit === undefined) continue;
    place[index] = placeOf(unit);
    for (const each of steps[index]!.units?.[0] ?? []) placeCould[index]! |= bit(placeOf(each.id));
    for (const other of others) use(other, index, index, 0);
  }
  for (const hold of problem.holds) {
    const unit = own(schedule.holds, hold.id);
    if (unit === undefined) continue;
    const [first, last] = [at.get(hold.from)!, at.get(hold.to)!];
    if (first === last && isPerson(unit)) {
      person[first] = positionOf(unit);
      breath[first] = hold.after;
      for (const each of hold.units) could[first]! |= bit(positionOf(each.id));
    } else {
      use(unit, first, last, hold.after);
      others.set(first, [...(others.get(first) ?? []), ...hold.units.map(({ id }) => id).filter((id) => id !== unit)]);
    }
  }
  const isIdle = (unit: string, from: number, to: number) =>
    (uses.get(unit) ?? []).every(({ lo, last, after }) => end(last) + after <= from - SPARE || lo >= to + SPARE);
  for (const list of uses.values()) {
    list.sort((a, b) => a.lo - b.lo);
    for (const [index, next] of list.slice(1).entries()) {
      // Nobody waits for a pot while another that would do hangs on the wall.
      const spare = (others.get(next.first) ?? []).some((unit) => isIdle(unit, next.lo, end(next.last) + next.after));
      if (!spare) follow(list[index]!.last, next.first, list[index]!.after);
    }
  }
  for (const state of problem.states) {
    const users = steps.flatMap((step, index) => (step.state?.id === state.id && step.minutes > 0 ? [index] : []));
    for (const a of users) {
      for (const b of users) {
        if (steps[a]!.state!.value !== steps[b]!.state!.value && end(a) <= start[b]!) follow(a, b, state.change);
      }
    }
  }
  const notBefore = Int32Array.from(steps, ({ earliest }) => earliest ?? 0);
  for (const { step, by, hold, early, late } of problem.ready) {
    const index = at.get(step)!;
    const isLanding = early > 0 && late > early;
    if (isLanding)
      notBefore[index] = Math.max(notBefore[index]!, Math.min(start[index]!, by - hold - steps[index]!.minutes));
  }
  const kin = new Int32Array(n).fill(-1);
  const kins = new Map<string, number>();
  for (const [index, { id }] of steps.entries()) {
    const name = person[index]! >= 0 ? `person ${person[index]}` : own(schedule.units, id)?.[0];
    if (name === undefined) continue;
    if (!kins.has(name)) kins.set(name, kins.size);
    kin[index] = kins.get(name)!;
  }
  arcs.sort((a, b) => a.from - b.from);
  const arcAt = new Int32Array(n + 1);
  for (const { from } of arcs) arcAt[from + 1]!++;
  for (let i = 0; i < n; i++) arcAt[i + 1]! += arcAt[i]!;
  const waitsFor = new Int32Array(n);
  for (const { to } of arcs) waitsFor[to]!++;
  return {
    n,
    ids: steps.map(({ id }) => id),
    planned: start,
    notBefore,
    shortest: Float64Array.from(steps, ({ spread, minutes }) => Math.min(minutes, spread?.[0] ?? minutes)),
    likely: Float64Array.from(steps, ({ minutes }) => minutes),
    longest: Float64Array.from(steps, ({ spread, minutes }) => Math.max(minutes, spread?.[1] ?? minutes)),
    waitsFor,
    arcAt,
    arcTo: Int32Array.from(arcs, ({ to }) => to),
    arcFromEnd: Uint8Array.from(arcs, ({ fromEnd }) => fromEnd),
    arcOfEnd: Uint8Array.from(arcs, ({ ofEnd }) => ofEnd),
    arcLeast: Int32Array.from(arcs, ({ least }) => least),
    arcMost: Int32Array.from(arcs, ({ most }) => most),
    person,
    breath,
    could,
    people: people.size,
    place,
    placeCould,
    places: places.size,
    kin,
    kins: kins.size,
  };
}
