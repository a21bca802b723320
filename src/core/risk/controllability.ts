/**
 * A temporal network of which some durations are chosen by nature (a simple temporal network with uncertainty: Vidal and Fargier, "Handling
 * contingency in temporal constraint networks", 1999). Moments are numbered from 0; times are whole minutes.
 */
export interface UncertainNetwork {
  readonly moments: number;
  /** `to` is at most `most` minutes after `from`; a negative `most` makes it come before. */
  readonly bounds: readonly Bound[];
  /** Durations that nature chooses: `to` follows `from` by `shortest` to `longest` minutes, and is seen when it comes. */
  readonly durations: readonly Duration[];
}

/** One bound between two moments. */
export interface Bound {
  readonly from: number;
  readonly to: number;
  readonly most: number;
}

/** One duration that nature chooses, in whole minutes; no two end in the same moment. */
export interface Duration {
  readonly from: number;
  readonly to: number;
  readonly shortest: number;
  readonly longest: number;
}

/** Whether the network can be kept whatever nature chooses; if not, what collides: positions in the network's lists. */
export type Controllability =
  | { readonly ok: true }
  | { readonly ok: false; readonly durations: readonly number[]; readonly bounds: readonly number[] };

/** An edge of the labelled distance graph, kept where it ends: the end comes at most `weight` after `start`. */
interface Edge {
  readonly start: number;
  readonly weight: number;
  /** Where it comes from: a bound, a duration, or the edges of the path that it sums up. */
  readonly bound?: number;
  readonly duration?: number;
  readonly path?: () => readonly Edge[];
  /** Lower-case: nature may let the rest of a duration be nothing; upper-case: it may let it be all. */
  readonly nature?: 'lower' | 'upper';
}

/**
 * Decides dynamic controllability: is there a way to choose every other moment, knowing only what has been seen by then (and at once when it
 * is seen), so that all bounds hold whatever nature does? By backward propagation from the ends of negative edges: Morris, "Dynamic
 * controllability and dispatchability relationships", CPAIOR 2014; of cubic order in the number of moments.
 */
export function controllability(network: UncertainNetwork): Controllability {
  const search = new Search(network);
  for (let moment = 0; moment < search.into.length; moment++) {
    const cycle = search.isNegative(moment) ? search.propagate(moment) : null;
    if (cycle) return { ok: false, ...namesOf(cycle) };
  }
  return { ok: true };
}

class Search {
  /** Edges into each moment. */
  readonly into: Edge[][];
  private readonly done: Uint8Array;
  /** The moments under way, each with the edge by which the moments before it were reached. */
  private readonly underWay: { readonly source: number; readonly by: readonly (Step | undefined)[] }[] = [];

  constructor({ moments, bounds, durations }: UncertainNetwork) {
    // Each duration is cut in two: what it takes at least, which is certain, and the rest, which begins at a moment of its own.
    this.into = Array.from({ length: moments + durations.length }, () => []);
    const edge = (start: number, end: number, weight: number, from: Pick<Edge, 'bound' | 'duration' | 'nature'>) =>
      this.into[end]!.push({ start, weight, ...from });
    for (const [bound, { from, to, most }] of bounds.entries()) edge(from, to, most, { bound });
    for (const [duration, { from, to, shortest, longest }] of durations.entries()) {
      if (shortest === longest) {
        edge(from, to, longest, { duration });
        edge(to, from, -shortest, { duration });
        continue;
      }
      const middle = moments + duration;
      edge(from, middle, shortest, { duration });
      edge(middle, from, -shortest, { duration });
      // The ordinary edge beside the first of these is never shorter.
      edge(middle, to, 0, { duration, nature: 'lower' });
      edge(to, middle, shortest - longest, { duration, nature: 'upper' });
    }
    this.done = new Uint8Array(this.into.length);
  }

  isNegative(moment: number): boolean {
    return this.into[moment]!.some(({ weight }) => weight < 0);
  }

  /** Makes up for all negative paths that end here; the edges of a cycle for which nothing can. */
  propagate(source: number): readonly Edge[] | null {
    const above = this.underWay.findIndex((each) => each.source === source);
    if (above >= 0) return this.cycleFrom(above);
    if (this.done[source] === 1) return null;
    const moments = this.into.length;
    const by: (Step | undefined)[] = new Array(moments);
    this.underWay.push({ source, by });
    const distance = new Float64Array(moments).fill(Number.POSITIVE_INFINITY);
    const closed = new Uint8Array(moments);
    const reach = (edge: Edge, at: number, next: number) => {
      if (at >= distance[edge.start]!) return;
      distance[edge.start] = at;
      by[edge.start] = { edge, next };
    };
    for (const edge of this.into[source]!) if (edge.weight < 0) reach(edge, edge.weight, source);
    for (let moment = nearest(distance, closed); moment >= 0; moment = nearest(distance, closed)) {
      closed[moment] = 1;
      const far = distance[moment]!;
      if (far >= 0) {
        // The way there is looked up only if it is asked for: most of these are never part of a collision.
        this.into[source]!.push({ start: moment, weight: far, path: () => pathOf(by, moment, source) });
        continue;
      }
      const cycle = this.isNegative(moment) ? this.propagate(moment) : null;
      if (cycle) return cycle;
      for (const edge of this.into[moment]!) {
        if (edge.weight < 0) continue;
        // The rest of a duration cannot be nothing and all at once.
        if (edge.nature === 'lower' && edge.start === source) continue;
        reach(edge, far + edge.weight, moment);
      }
    }
    this.underWay.pop();
    this.done[source] = 1;
    return null;
  }

  /** From each moment under way to the one after it, and from the last back to the first of the cycle. */
  private cycleFrom(above: number): readonly Edge[] {
    const level = this.underWay.slice(above);
    return level.flatMap(({ source, by }, index) => pathOf(by, (level[index + 1] ?? level[0]!).source, source));
  }
}

/** An edge taken, and the moment it leads to. */
interface Step {
  readonly edge: Edge;
  readonly next: number;
}

function pathOf(by: readonly (Step | undefined)[], from: number, source: number): readonly Edge[] {
  const path: Edge[] = [];
  let moment = from;
  do {
    const step = by[moment];
    if (!step) break;
    path.push(step.edge);
    moment = step.next;
  } while (moment !== source);
  return path;
}

/** Looked through one by one: there are so few that a heap is no quicker. */
function nearest(distance: Float64Array, closed: Uint8Array): number {
  let best = -1;
  let least = Number.POSITIVE_INFINITY;
  for (let moment = 0; moment < distance.length; moment++) {
    if (closed[moment] === 1 || distance[moment]! >= least) continue;
    least = distance[moment]!;
    best = moment;
  }
  return best;
}

function namesOf(cycle: readonly Edge[]): {
  readonly durations: readonly number[];
  readonly bounds: readonly number[];
} {
  const durations = new Set<number>();
  const bounds = new Set<number>();
  const seen = new Set<Edge>();
  const look = (edge: Edge) => {
    if (seen.has(edge)) return;
    seen.add(edge);
    if (edge.duration !== undefined) durations.add(edge.duration);
    if (edge.bound !== undefined) bounds.add(edge.bound);
    edge.path?.().forEach(look);
  };
  cycle.forEach(look);
  const sorted = (set: ReadonlySet<number>) => [...set].sort((a, b) => a - b);
  return { durations: sorted(durations), bounds: sorted(bounds) };
}
