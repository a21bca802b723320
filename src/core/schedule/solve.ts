import { Draft, type Snapshot } from './draft';
import { type Indexed, indexProblem, NO_LAG } from './indexed';
import type { FoundSolution, Problem, Schedule, Solution } from './problem';
import { type Random, seededRandom } from './random';
import { validate } from './validate';

export interface SolveOptions {
  /** Time limit in seconds; default 5. */
  readonly seconds?: number;
  /** The same seed and problem give the same solution when the limit is not what ends the search; default 1. */
  readonly seed?: number;
  /** Ends the search after this many rounds of improvement; unbounded when absent. */
  readonly rounds?: number;
  /** Ends the search after this many rounds without a gain; unbounded when absent. */
  readonly patience?: number;
  /** A schedule to begin from; it may miss steps or break rules, what fits of it is kept. */
  readonly start?: Schedule;
  /** A clock in milliseconds; the core has none of its own. */
  readonly now: () => number;
  /** Gives the caller's event loop a turn, so that the search can be cancelled. */
  readonly pause: () => Promise<void>;
}

/** Called with each better plan as it is found. */
export type OnImprove = (solution: FoundSolution) => void;

/** What the search needs from an AbortSignal. */
export interface CancelSignal {
  readonly aborted: boolean;
}

const MILLISECONDS_BETWEEN_PAUSES = 15;

/**
 * Finds a schedule and keeps improving it until the time, the rounds or the patience run out, or the cost is proven least. List scheduling with
 * ejection gives the first plan; large-neighbourhood search improves it. Every plan handed out has passed `validate`.
 * Rejects nothing: an impossible problem comes back as `infeasible` (proved by its links and bounds) or `unknown`.
 */
export async function solve(
  problem: Problem,
  options: SolveOptions,
  onImprove?: OnImprove,
  signal?: CancelSignal,
): Promise<Solution> {
  const begun = options.now();
  const elapsed = () => options.now() - begun;
  const limit = (options.seconds ?? 5) * 1000;
  const head = { format: 'warm-cadence/solution', version: 1 } as const;
  const result = indexProblem(problem);
  if (!result.ok) {
    return { ...head, status: 'infeasible', milliseconds: Math.round(elapsed()) };
  }
  const p = result.indexed;
  const bound = costBound(p);
  const random = seededRandom(options.seed ?? 1);
  const ideal = idealStarts(p);
  const draft = new Draft(p, ideal);
  let paused = elapsed();
  const shallStop = async () => {
    const now = elapsed();
    if (now - paused > MILLISECONDS_BETWEEN_PAUSES) {
      await options.pause();
      paused = elapsed();
    }
    return now >= limit || signal?.aborted === true;
  };

  const found: { best: FoundSolution | null } = { best: null };
  const keep = () => {
    const schedule = readSchedule(p, draft.snapshot());
    const verdict = validate(problem, schedule);
    if (verdict.faults.length > 0) throw new Error(`The solver broke a rule: ${verdict.faults[0]}`);
    if (found.best && verdict.cost >= found.best.cost) return;
    found.best = {
      ...head,
      status: verdict.cost <= bound ? 'optimal' : 'feasible',
      cost: verdict.cost,
      bound,
      ...schedule,
      milliseconds: Math.round(elapsed()),
    };
    onImprove?.(found.best);
  };

  const all = Array.from({ length: p.n }, (_, i) => i);
  let attempts = 0;
  while (!found.best) {
    if (options.start && attempts === 0) seedDraft(p, draft, options.start);
    const missing = all.filter((i) => !draft.isPlaced(i));
    const noise = attempts === 0 ? 0 : Math.min(120, 5 * attempts);
    if (placeAll(draft, missing, noisyOrder(p, ideal, missing, noise, random), 40 * p.n + 200, random)) keep();
    else for (const i of all) draft.remove(i);
    attempts++;
    // Without a first plan the cook waits: give up only on time, and never after fewer than one whole attempt.
    if (!found.best && (await shallStop())) return { ...head, status: 'unknown', milliseconds: Math.round(elapsed()) };
  }

  const neighbourhoods = clusters(p);
  let current = draft.snapshot();
  let currentCost = draft.cost();
  let temperature = Math.max(1, currentCost * 0.02);
  let sinceGain = 0;
  for (let round = 0; round < (options.rounds ?? Number.POSITIVE_INFINITY); round++) {
    if (found.best.cost <= bound || sinceGain >= (options.patience ?? Number.POSITIVE_INFINITY)) break;
    if (await shallStop()) break;
    const free = pickNeighbourhood(p, draft, neighbourhoods, random);
    for (const i of free) draft.remove(i);
    const order = noisyOrder(p, ideal, free, random.below(4) * 15, random);
    const placed = placeAll(draft, free, order, 6 * free.length + 20, random);
    const cost = placed ? draft.cost() : Number.POSITIVE_INFINITY;
    sinceGain++;
    if (cost <= currentCost || (placed && random.next() < Math.exp((currentCost - cost) / temperature))) {
      current = draft.snapshot();
      currentCost = cost;
      if (cost < found.best.cost) {
        keep();
        sinceGain = 0;
      }
    } else {
      draft.restore(current);
    }
    temperature = Math.max(0.3, temperature * 0.999);
  }
  return { ...found.best, milliseconds: Math.round(elapsed()) };
}

/** Least conceivable cost from alternatives, ready rows and soft lags taken one at a time within the tightened bounds. */
function costBound(p: Indexed): number {
  let bound = 0;
  for (const need of p.needs) bound += need.costs.reduce((least, cost) => Math.min(least, cost), need.costs[0] ?? 0);
  for (let i = 0; i < p.n; i++) {
    const minutes = p.minutes[i]!;
    for (const row of p.readyOf[i]!) {
      bound += row.late * Math.max(0, p.earliest[i]! + minutes - row.by);
      bound += row.early * Math.max(0, row.by - row.hold - (p.latest[i]! + minutes));
    }
    for (const soft of p.softOf[i]!) {
      if (soft.from !== i) continue;
      const least = p.lag[soft.from * p.n + soft.to]!;
      if (least > NO_LAG) bound += soft.cost * Math.max(0, least - soft.above);
    }
  }
  let awake = 0;
  for (let i = 0; i < p.n; i++) {
    if (p.awakeOf[i]) awake = Math.max(awake, p.awakeCost * Math.max(0, p.problem.serve - p.latest[i]!));
  }
  return bound + awake;
}

/** Where each step would start if nothing stood in its way: pulled towards the ready rows through the links. */
function idealStarts(p: Indexed): Int32Array {
  const ideal = new Int32Array(p.n);
  const target = (i: number) => {
    let by = Number.POSITIVE_INFINITY;
    for (const row of p.readyOf[i]!) if (row.late > 0 || row.early > 0) by = Math.min(by, row.by);
    return by - p.minutes[i]!;
  };
  for (let i = 0; i < p.n; i++) {
    let at = target(i);
    if (!Number.isFinite(at)) {
      for (let j = 0; j < p.n; j++) {
        const lag = p.lag[i * p.n + j]!;
        if (lag > NO_LAG && lag >= 0 && Number.isFinite(target(j))) at = Math.min(at, target(j) - lag);
      }
    }
    if (!Number.isFinite(at)) at = p.problem.serve - p.minutes[i]!;
    ideal[i] = Math.max(p.earliest[i]!, Math.min(p.latest[i]!, at));
  }
  return ideal;
}

function noisyOrder(
  p: Indexed,
  ideal: Int32Array,
  steps: readonly number[],
  noise: number,
  random: Random,
): Float64Array {
  const order = new Float64Array(p.n);
  for (const i of steps) order[i] = ideal[i]! + (noise > 0 ? random.next() * noise : 0);
  return order;
}

/** Inserts the steps, the latest first, ejecting where there is no room; false when the ejections run out. */
function placeAll(
  draft: Draft,
  steps: readonly number[],
  order: Float64Array,
  ejections: number,
  random: Random,
): boolean {
  const waiting = [...steps].sort((a, b) => order[a]! - order[b]! || a - b);
  let left = ejections;
  while (waiting.length > 0) {
    const step = waiting.pop()!;
    if (draft.isPlaced(step) || draft.insert(step)) continue;
    const ejected = draft.insertByEjection(step, random);
    if (!ejected) return false;
    left -= Math.max(1, ejected.length);
    if (left <= 0) return false;
    waiting.push(...ejected.sort((a, b) => order[a]! - order[b]!));
  }
  return true;
}

/** Keeps of an earlier schedule all that still fits, in its order of time. */
function seedDraft(p: Indexed, draft: Draft, schedule: Schedule): void {
  const start = new Int32Array(p.n).fill(-1);
  const choice = new Int32Array(p.needs.length).fill(-1);
  p.problem.steps.forEach((step, index) => {
    start[index] = schedule.starts[step.id] ?? -1;
  });
  for (const need of p.needs) {
    const { origin } = need;
    const wanted = 'hold' in origin ? schedule.holds[origin.hold] : schedule.units[origin.step]?.[origin.need];
    choice[need.index] = need.units.findIndex((unit) => p.problem.units[unit]!.id === wanted);
  }
  const byTime = Array.from({ length: p.n }, (_, i) => i)
    .filter((i) => start[i]! >= 0)
    .sort((a, b) => start[b]! - start[a]!);
  for (const i of byTime) draft.insertAt(i, start[i]!, choice);
}

/** Groups of steps that belong together: joined by a bounded lag or a hold over several steps. */
function clusters(p: Indexed): readonly (readonly number[])[] {
  const parent = Array.from({ length: p.n }, (_, i) => i);
  const find = (i: number): number => {
    let root = i;
    while (parent[root] !== root) root = parent[root]!;
    parent[i] = root;
    return root;
  };
  for (const need of p.needs) parent[find(need.from)] = find(need.to);
  for (let i = 0; i < p.n; i++) {
    for (let j = 0; j < p.n; j++) {
      if (i !== j && p.lag[i * p.n + j]! > NO_LAG && p.lag[j * p.n + i]! > NO_LAG) parent[find(i)] = find(j);
    }
  }
  // Single steps join the group they are linked to most closely, so that a group is about a dish.
  const groups = new Map<number, number[]>();
  for (let i = 0; i < p.n; i++) {
    const root = find(i);
    groups.set(root, [...(groups.get(root) ?? []), i]);
  }
  return [...groups.values()];
}

/** Some groups, or all that happens in a stretch of time, to be taken out and put back. */
function pickNeighbourhood(p: Indexed, draft: Draft, groups: readonly (readonly number[])[], random: Random): number[] {
  const kind = random.next();
  const free = new Set<number>();
  if (kind < 0.55) {
    const count = 1 + random.below(Math.min(4, groups.length));
    for (let c = 0; c < count; c++) for (const i of groups[random.below(groups.length)]!) free.add(i);
  } else if (kind < 0.75) {
    const seed = random.below(p.n);
    for (let i = 0; i < p.n; i++) {
      if (p.lag[seed * p.n + i]! > NO_LAG || p.lag[i * p.n + seed]! > NO_LAG) free.add(i);
    }
  } else {
    const middle = draft.start[random.below(p.n)]!;
    const half = 10 + random.below(50);
    for (let i = 0; i < p.n; i++) {
      const at = draft.start[i]!;
      if (at < middle + half && at + p.minutes[i]! > middle - half && random.next() < 0.8) free.add(i);
    }
  }
  return [...free];
}

function readSchedule(p: Indexed, snapshot: Snapshot): Schedule {
  const { problem } = p;
  const starts: Record<string, number> = {};
  const units: Record<string, string[]> = {};
  const holds: Record<string, string> = {};
  problem.steps.forEach((step, index) => {
    starts[step.id] = snapshot.start[index]!;
  });
  for (const need of p.needs) {
    const unit = problem.units[need.units[snapshot.choice[need.index]!]!]!.id;
    if ('hold' in need.origin) {
      holds[need.origin.hold] = unit;
    } else {
      const list = units[need.origin.step] ?? [];
      list[need.origin.need] = unit;
      units[need.origin.step] = list;
    }
  }
  return { starts, units, holds };
}
