import { own } from '@/core/plain/record';
import { toEnd } from '@/core/plain/to-end';
import { longestLags, NO_LAG } from './lags';
import type { Choice, Problem } from './problem';

export { NO_LAG } from './lags';

/** Rows of the tables made between two turns. */
const ROWS_IN_A_TURN = 64;

/** A choice of one unit, held over an interval that hangs on one step (a need) or on two (a hold); steps by position. */
export interface Need {
  readonly index: number;
  readonly from: number;
  readonly to: number;
  /** Minutes kept after the end of `to`. */
  readonly after: number;
  readonly units: Int32Array;
  readonly costs: Int32Array;
  readonly origin: { readonly step: string; readonly need: number } | { readonly hold: string };
}

interface SoftLag {
  readonly from: number;
  readonly to: number;
  /** start(to) - start(from) above this is paid for, by the minute. */
  readonly above: number;
  readonly cost: number;
}

/** The problem with ids turned to positions and links to start-to-start lags, ready for fast search. */
export interface Indexed {
  readonly problem: Problem;
  readonly n: number;
  readonly horizon: number;
  readonly minutes: Int32Array;
  /** Bounds of each start, tightened through the links. */
  readonly earliest: Int32Array;
  readonly latest: Int32Array;
  /** What the links and holds say, as they stand: start(to) - start(from) is at least the lag. */
  readonly arcs: readonly { readonly from: number; readonly to: number; readonly lag: number }[];
  /** lag[i * n + j]: least start(j) - start(i), closed over all links; NO_LAG when unrelated. */
  readonly lag: Int32Array;
  readonly needs: readonly Need[];
  readonly needsOf: readonly (readonly Need[])[];
  readonly poolsOf: readonly (readonly { readonly pool: number; readonly amount: number }[])[];
  readonly stateOf: readonly ({ readonly state: number; readonly value: number } | null)[];
  readonly readyOf: readonly (readonly { by: number; hold: number; early: number; late: number }[])[];
  readonly softOf: readonly (readonly SoftLag[])[];
  /** Steps whose first start is paid for until `serve`. */
  readonly awakeOf: Uint8Array;
  readonly awakeCost: number;
  /** Forbidden pairs as [need, unit, need, unit]. */
  readonly forbidOf: readonly (readonly { unit: number; other: number; otherUnit: number }[])[];
}

/** Tables for the search, or that there can be no schedule. */
export type IndexResult = { readonly ok: true; readonly indexed: Indexed } | { readonly ok: false };

/** Tables for the search, or `ok: false` when the links and bounds alone contradict each other. */
export function indexProblem(problem: Problem): IndexResult {
  return toEnd(indexInTurns(problem));
}

/** What the links and bounds of a problem say of the starts of its steps; minutes, by position. */
interface Bounds {
  readonly n: number;
  readonly stepAt: ReadonlyMap<string, number>;
  readonly minutes: Int32Array;
  readonly earliest: Int32Array;
  readonly latest: Int32Array;
  readonly arcs: Indexed['arcs'];
  readonly softOf: Indexed['softOf'];
  readonly lag: Int32Array;
}

/** Least minutes between the starts of any two steps, closed over all links: `lag[i * n + j]` from i to j; null where links and bounds contradict each other. */
export function closedLags(problem: Problem): { readonly lag: Int32Array; readonly n: number } | null {
  return toEnd(boundsInTurns(problem));
}

function* boundsInTurns(problem: Problem): Generator<void, Bounds | null> {
  const n = problem.steps.length;
  const stepAt = new Map(problem.steps.map((step, index) => [step.id, index]));
  const minutes = Int32Array.from(problem.steps, (step) => step.minutes);
  const earliest = Int32Array.from(problem.steps, (step) => Math.max(0, step.earliest ?? 0));
  const latest = Int32Array.from(problem.steps, (step) =>
    Math.min(problem.horizon - step.minutes, step.latest ?? problem.horizon),
  );

  const { arcs, softOf, isPossible } = lagsOf(problem, stepAt, minutes);
  const lag = isPossible ? yield* longestLags(n, arcs) : null;
  if (!lag) return null;
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < n; k++) {
      const forward = lag[k * n + i]!;
      if (forward > NO_LAG) {
        const low = Math.max(0, problem.steps[k]!.earliest ?? 0) + forward;
        if (low > earliest[i]!) earliest[i] = low;
      }
      const back = lag[i * n + k]!;
      if (back > NO_LAG) {
        const step = problem.steps[k]!;
        const high = Math.min(problem.horizon - step.minutes, step.latest ?? problem.horizon) - back;
        if (high < latest[i]!) latest[i] = high;
      }
    }
    if (earliest[i]! > latest[i]!) return null;
    if (i % ROWS_IN_A_TURN === 0) yield;
  }
  return { n, stepAt, minutes, earliest, latest, arcs, softOf, lag };
}

/** The same in turns of some milliseconds, so that whoever waits for it may give up. */
export function* indexInTurns(problem: Problem): Generator<void, IndexResult> {
  const bounds = yield* boundsInTurns(problem);
  if (!bounds) return { ok: false };
  const { n, stepAt, minutes, earliest, latest, arcs, softOf, lag } = bounds;
  const unitAt = new Map(problem.units.map((unit, index) => [unit.id, index]));
  const poolAt = new Map(problem.pools.map((pool, index) => [pool.id, index]));
  const stateAt = new Map(problem.states.map((state, index) => [state.id, index]));

  const wanted = needsOfProblem(problem, stepAt, unitAt);
  if (!wanted) return { ok: false };
  const { needs, needsOf } = wanted;
  const forbidOf = forbiddenPairs(problem, wanted, unitAt);

  const awakePool = problem.awake?.pool;
  const readyOf: { by: number; hold: number; early: number; late: number }[][] = problem.steps.map(() => []);
  for (const row of problem.ready) readyOf[stepAt.get(row.step)!]!.push(row);
  return {
    ok: true,
    indexed: {
      problem,
      n,
      horizon: problem.horizon,
      minutes,
      earliest,
      latest,
      arcs,
      lag,
      needs,
      needsOf,
      poolsOf: problem.steps.map((step) =>
        step.minutes === 0
          ? []
          : Object.entries(step.pools ?? {})
              .filter(([, amount]) => amount > 0)
              .map(([pool, amount]) => ({ pool: poolAt.get(pool)!, amount })),
      ),
      stateOf: problem.steps.map((step) =>
        step.state && step.minutes > 0 ? { state: stateAt.get(step.state.id)!, value: step.state.value } : null,
      ),
      readyOf,
      softOf,
      awakeOf: Uint8Array.from(problem.steps, (step) =>
        awakePool !== undefined && step.minutes > 0 && (own(step.pools ?? {}, awakePool) ?? 0) > 0 ? 1 : 0,
      ),
      awakeCost: problem.awake?.cost ?? 0,
      forbidOf,
    },
  };
}

/**
 * Choices that no plan can make, as keys: those forbidden together with themselves, and those forbidden with every choice that another step or
 * hold has (arc consistency).
 */
function impossibleChoices(problem: Problem): ReadonlySet<string> {
  const open = new Map<string, Set<string>>();
  for (const step of problem.steps) {
    for (const [need, list] of (step.units ?? []).entries())
      open.set(ownerKey({ step: step.id, need }), new Set(list.map(({ id }) => id)));
  }
  for (const hold of problem.holds) open.set(ownerKey({ hold: hold.id }), new Set(hold.units.map(({ id }) => id)));
  const barred = new Set<string>();
  /** For each choice, what it forbids to each of the others. */
  const against = new Map<string, { readonly choice: Choice; readonly others: Map<string, Set<string>> }>();
  for (const [a, b] of problem.forbid ?? []) {
    for (const [choice, other] of [
      [a, b],
      [b, a],
    ] as const) {
      const key = choiceKey(choice, choice.unit);
      const row = against.get(key) ?? { choice, others: new Map<string, Set<string>>() };
      const owner = ownerKey(other);
      row.others.set(owner, (row.others.get(owner) ?? new Set()).add(other.unit));
      against.set(key, row);
    }
  }
  for (let changed = true; changed; ) {
    changed = false;
    for (const [key, { choice, others }] of against) {
      if (barred.has(key) || !open.get(ownerKey(choice))?.has(choice.unit)) continue;
      const self = others.get(ownerKey(choice))?.has(choice.unit) === true;
      const lone = [...others].some(([owner, units]) => {
        const left = open.get(owner);
        return owner !== ownerKey(choice) && left !== undefined && [...left].every((unit) => units.has(unit));
      });
      if (!self && !lone) continue;
      barred.add(key);
      open.get(ownerKey(choice))!.delete(choice.unit);
      changed = true;
    }
  }
  return barred;
}

type Owner = { readonly step: string; readonly need: number } | { readonly hold: string };

function ownerKey(owner: Owner): string {
  return 'hold' in owner ? JSON.stringify([owner.hold]) : JSON.stringify([owner.step, owner.need]);
}

function choiceKey(owner: Owner, unit: string): string {
  return 'hold' in owner ? JSON.stringify([owner.hold, unit]) : JSON.stringify([owner.step, owner.need, unit]);
}

/** All lags as least ones, by step; and whether no step has to wait for itself. */
function lagsOf(
  { steps, links, holds }: Problem,
  stepAt: ReadonlyMap<string, number>,
  minutes: Int32Array,
): {
  readonly arcs: { from: number; to: number; lag: number }[];
  readonly softOf: SoftLag[][];
  readonly isPossible: boolean;
} {
  const arcs: { from: number; to: number; lag: number }[] = [];
  const softOf: SoftLag[][] = steps.map(() => []);
  let isPossible = true;
  const raise = (from: number, to: number, value: number) => {
    if (from !== to) arcs.push({ from, to, lag: value });
    else if (value > 0) isPossible = false;
  };
  for (const link of links) {
    const from = stepAt.get(link.from)!;
    const to = stepAt.get(link.to)!;
    const offset = (link.at === 'end' ? minutes[from]! : 0) - (link.of === 'end' ? minutes[to]! : 0);
    raise(from, to, link.min + offset);
    if (link.max !== undefined && link.max !== null) raise(to, from, -(link.max + offset));
    if (link.soft && link.soft.cost > 0) {
      const soft = { from, to, above: link.soft.after + offset, cost: link.soft.cost };
      softOf[from]!.push(soft);
      if (to !== from) softOf[to]!.push(soft);
    }
  }
  for (const hold of holds) {
    const to = stepAt.get(hold.to)!;
    raise(stepAt.get(hold.from)!, to, -minutes[to]!);
  }
  return { arcs, softOf, isPossible };
}

interface Wanted {
  readonly needs: Need[];
  readonly needsOf: Need[][];
  readonly needOfChoice: ReadonlyMap<string, number>;
}

/** Every unit that something needs; null where one has no alternative left. */
function needsOfProblem(
  problem: Problem,
  stepAt: ReadonlyMap<string, number>,
  unitAt: ReadonlyMap<string, number>,
): Wanted | null {
  const barred = impossibleChoices(problem);
  const needs: Need[] = [];
  const needsOf: Need[][] = problem.steps.map(() => []);
  const needOfChoice = new Map<string, number>();
  const add = (
    { from, to, after }: Pick<Need, 'from' | 'to' | 'after'>,
    list: readonly { id: string; cost: number }[],
    origin: Need['origin'],
  ): boolean => {
    const open = list.filter(({ id }) => !barred.has(choiceKey(origin, id)));
    const units = Int32Array.from(open, ({ id }) => unitAt.get(id)!);
    const costs = Int32Array.from(open, ({ cost }) => cost);
    const need: Need = { index: needs.length, from, to, after, units, costs, origin };
    needs.push(need);
    needsOf[from]!.push(need);
    if (to !== from) needsOf[to]!.push(need);
    needOfChoice.set('hold' in origin ? `h ${origin.hold}` : `s ${origin.need} ${origin.step}`, need.index);
    return open.length > 0;
  };
  let isPossible = true;
  for (const [index, step] of problem.steps.entries()) {
    for (const [need, list] of (step.units ?? []).entries()) {
      const can = add({ from: index, to: index, after: 0 }, list, { step: step.id, need });
      isPossible &&= can;
    }
  }
  for (const { id, from, to, after, units } of problem.holds) {
    const can = add({ from: stepAt.get(from)!, to: stepAt.get(to)!, after }, units, { hold: id });
    isPossible &&= can;
  }
  return isPossible ? { needs, needsOf, needOfChoice } : null;
}

/** For each need what it forbids to others: [unit, other need, its unit]. */
function forbiddenPairs(
  { forbid }: Problem,
  { needs, needOfChoice }: Wanted,
  unitAt: ReadonlyMap<string, number>,
): { unit: number; other: number; otherUnit: number }[][] {
  const forbidOf: { unit: number; other: number; otherUnit: number }[][] = needs.map(() => []);
  for (const pair of forbid ?? []) {
    const [a, b] = pair.map((choice) => ({
      need: needOfChoice.get('hold' in choice ? `h ${choice.hold}` : `s ${choice.need} ${choice.step}`)!,
      unit: unitAt.get(choice.unit)!,
    }));
    if (!a || !b) continue;
    forbidOf[a.need]!.push({ unit: a.unit, other: b.need, otherUnit: b.unit });
    forbidOf[b.need]!.push({ unit: b.unit, other: a.need, otherUnit: a.unit });
  }
  return forbidOf;
}
