// Longest lags between all pairs of steps.

/** No lag known: far below any real one, yet safe to add to. */
export const NO_LAG = -100_000_000;

/** One lag between two starts, in minutes; steps by position. */
export interface Arc {
  readonly from: number;
  readonly to: number;
  /** start(to) - start(from) is at least this. */
  readonly lag: number;
}

/** Fewer steps than this are closed faster by trying every middle. */
const FEW = 40;
const ROWS_IN_A_TURN = 16;

/**
 * lag[i * n + j]: the longest chain of arcs from i to j, NO_LAG where there is none; null when a circle of arcs asks for time. In turns. Few
 * steps by Floyd (1962), many by Johnson (1977): potentials that turn every lag around, then from each step the shortest way (Dijkstra).
 */
export function* longestLags(n: number, arcs: readonly Arc[]): Generator<void, Int32Array | null> {
  return n < FEW ? closed(n, arcs) : yield* johnson(n, arcs);
}

function closed(n: number, arcs: readonly Arc[]): Int32Array | null {
  const lag = new Int32Array(n * n).fill(NO_LAG);
  for (let i = 0; i < n; i++) lag[i * n + i] = 0;
  for (const { from, to, lag: value } of arcs) {
    if (value > lag[from * n + to]!) lag[from * n + to] = value;
  }
  for (let k = 0; k < n; k++) {
    for (let i = 0; i < n; i++) {
      const ik = lag[i * n + k]!;
      if (ik <= NO_LAG) continue;
      for (let j = 0; j < n; j++) {
        const kj = lag[k * n + j]!;
        if (kj > NO_LAG && ik + kj > lag[i * n + j]!) lag[i * n + j] = ik + kj;
      }
    }
  }
  for (let i = 0; i < n; i++) if (lag[i * n + i]! > 0) return null;
  return lag;
}

function* johnson(n: number, arcs: readonly Arc[]): Generator<void, Int32Array | null> {
  const graph = outgoing(n, arcs);
  const potential = potentials(n, graph);
  if (!potential) return null;
  // With potentials every arc has a length of 0 or more: how much later than it must be the potential lets its end begin.
  const { first, to, lag } = graph;
  const length = new Int32Array(lag.length);
  for (let i = 0; i < n; i++) {
    for (let k = first[i]!; k < first[i + 1]!; k++) length[k] = potential[to[k]!]! - potential[i]! - lag[k]!;
  }
  const lags = new Int32Array(n * n).fill(NO_LAG);
  const heap = new Heap(n);
  for (let source = 0; source < n; source++) {
    if (source % ROWS_IN_A_TURN === 0) yield;
    heap.open(source);
    for (let node = heap.next(); node >= 0; node = heap.next()) {
      const far = heap.distance[node]!;
      lags[source * n + node] = potential[node]! - potential[source]! - far;
      for (let k = first[node]!; k < first[node + 1]!; k++) heap.reach(to[k]!, far + length[k]!);
    }
  }
  return lags;
}

interface Graph {
  /** The arcs of step i are first[i] to first[i + 1] - 1. */
  readonly first: Int32Array;
  readonly to: Int32Array;
  readonly lag: Int32Array;
}

function outgoing(n: number, arcs: readonly Arc[]): Graph {
  const first = new Int32Array(n + 1);
  for (const { from } of arcs) first[from + 1]!++;
  for (let i = 0; i < n; i++) first[i + 1]! += first[i]!;
  const next = first.slice();
  const to = new Int32Array(arcs.length);
  const lag = new Int32Array(arcs.length);
  for (const arc of arcs) {
    const at = next[arc.from]!++;
    to[at] = arc.to;
    lag[at] = arc.lag;
  }
  return { first, to, lag };
}

/** Starts that keep every arc, or null when a circle asks for time: then a chain of more than n arcs still grows. */
function potentials(n: number, { first, to, lag }: Graph): Int32Array | null {
  const start = new Int32Array(n);
  const hops = new Int32Array(n);
  const waiting = new Uint8Array(n).fill(1);
  const queue = Array.from({ length: n }, (_, i) => i);
  for (let at = 0; at < queue.length; at++) {
    const node = queue[at]!;
    waiting[node] = 0;
    for (let k = first[node]!; k < first[node + 1]!; k++) {
      const other = to[k]!;
      const low = start[node]! + lag[k]!;
      if (low <= start[other]!) continue;
      start[other] = low;
      hops[other] = hops[node]! + 1;
      if (hops[other]! > n) return null;
      if (waiting[other] === 1) continue;
      waiting[other] = 1;
      queue.push(other);
    }
  }
  return start;
}

/** Steps by their distance from a source, nearest first. */
class Heap {
  readonly distance: Int32Array;
  private readonly seen: Int32Array;
  private readonly done: Int32Array;
  private readonly node: Int32Array;
  private readonly place: Int32Array;
  private size = 0;
  private round = 0;

  constructor(n: number) {
    this.distance = new Int32Array(n);
    this.seen = new Int32Array(n);
    this.done = new Int32Array(n);
    this.node = new Int32Array(n);
    this.place = new Int32Array(n);
  }

  open(source: number): void {
    this.round++;
    this.size = 0;
    this.reach(source, 0);
  }

  reach(node: number, distance: number): void {
    if (this.done[node] === this.round) return;
    if (this.seen[node] !== this.round) {
      this.seen[node] = this.round;
      this.place[node] = this.size++;
    } else if (distance >= this.distance[node]!) return;
    this.distance[node] = distance;
    let here = this.place[node]!;
    while (here > 0) {
      const up = (here - 1) >> 1;
      if (this.distance[this.node[up]!]! <= distance) break;
      this.put(here, this.node[up]!);
      here = up;
    }
    this.put(here, node);
  }

  /** The nearest step that has not been given out yet; -1 when there is none. */
  next(): number {
    if (this.size === 0) return -1;
    const nearest = this.node[0]!;
    this.done[nearest] = this.round;
    const last = this.node[--this.size]!;
    if (this.size > 0) {
      let here = 0;
      for (;;) {
        let down = 2 * here + 1;
        if (down >= this.size) break;
        if (down + 1 < this.size && this.far(down + 1) < this.far(down)) down++;
        if (this.far(down) >= this.distance[last]!) break;
        this.put(here, this.node[down]!);
        here = down;
      }
      this.put(here, last);
    }
    return nearest;
  }

  private far(place: number): number {
    return this.distance[this.node[place]!]!;
  }

  private put(place: number, node: number): void {
    this.node[place] = node;
    this.place[node] = place;
  }
}
