import type { Indexed } from '@/core/schedule/indexed';
import { grown } from './growing';

/** The flow of a solution: by rule, at the position from * nodes + to, and by price. */
export interface Flow {
  readonly rule: Int32Array;
  /** Scratch. */
  readonly used: Uint8Array;
  readonly price: Int32Array;
}

/** Nodes by distance, the nearest first; a node may stand in it more than once. */
class NearestFirst {
  private node: Int32Array<ArrayBuffer>;
  private key: Int32Array<ArrayBuffer>;
  private size = 0;

  constructor(room: number) {
    this.node = new Int32Array(4 * room);
    this.key = new Int32Array(4 * room);
  }

  clear(): void {
    this.size = 0;
  }

  add(node: number, key: number): void {
    if (this.size === this.node.length) {
      this.node = grown(this.node, 2 * this.size);
      this.key = grown(this.key, 2 * this.size);
    }
    let here = this.size++;
    while (here > 0) {
      const up = (here - 1) >> 1;
      if (this.key[up]! <= key) break;
      this.node[here] = this.node[up]!;
      this.key[here] = this.key[up]!;
      here = up;
    }
    this.node[here] = node;
    this.key[here] = key;
  }

  /** The nearest, taken out; -1 when there is none. */
  take(): number {
    if (this.size === 0) return -1;
    const first = this.node[0]!;
    const last = --this.size;
    const node = this.node[last]!;
    const key = this.key[last]!;
    let here = 0;
    for (;;) {
      let down = 2 * here + 1;
      if (down >= last) break;
      if (down + 1 < last && this.key[down + 1]! < this.key[down]!) down++;
      if (this.key[down]! >= key) break;
      this.node[here] = this.node[down]!;
      this.key[here] = this.key[down]!;
      here = down;
    }
    this.node[here] = node;
    this.key[here] = key;
    return first;
  }
}

/**
 * The best starts when every order and choice is made: least sum of costs on differences of starts under difference
 * constraints. Its dual is a minimum-cost circulation (as in Ahuja, Hochbaum, Orlin 2003), solved by successive shortest paths
 * from any guess made feasible; the flow it ends with tells which constraints the cost rests on.
 *
 * Nodes are starts; node 0 stands at minute 0. A rule (from, to, lag) says start(to) >= start(from) + lag; a price (from, to,
 * above, cost) costs `cost` for each minute of start(to) - start(from) above `above`.
 */
export class Timing {
  /** Starts, by node: a guess before `solve`, the best after it. */
  readonly start: Int32Array;
  private rules = 0;
  private ruleFrom = new Int32Array(64);
  private ruleTo = new Int32Array(64);
  private ruleLag = new Int32Array(64);
  private ruleFlow = new Int32Array(64);
  private prices = 0;
  private priceFrom = new Int32Array(64);
  private priceTo = new Int32Array(64);
  private priceAbove = new Int32Array(64);
  private priceCost = new Int32Array(64);
  private priceFlow = new Int32Array(64);

  private readonly excess: Int32Array;
  private readonly distance: Int32Array;
  /** The augmentation in which a node was last met, and last left for good. */
  private readonly met: Int32Array;
  private readonly done: Int32Array;
  private augmentation = 0;
  /** Nodes left for good, nearest first. */
  private readonly path: Int32Array;
  private readonly near: NearestFirst;
  private readonly queue: Int32Array;
  private readonly queued: Uint8Array;
  /** How a node was reached: arc * 4 + kind. */
  private readonly reached: Int32Array;
  // Arcs at each node, rebuilt for each solve.
  private readonly first: Int32Array;
  private list = new Int32Array(256);

  constructor(readonly nodes: number) {
    this.start = new Int32Array(nodes);
    this.excess = new Int32Array(nodes);
    this.distance = new Int32Array(nodes);
    this.met = new Int32Array(nodes);
    this.done = new Int32Array(nodes);
    this.path = new Int32Array(nodes);
    this.near = new NearestFirst(nodes);
    this.reached = new Int32Array(nodes);
    this.queue = new Int32Array(nodes);
    this.queued = new Uint8Array(nodes);
    this.first = new Int32Array(nodes + 1);
  }

  /** Forgets all rules beyond the first so many. */
  keepRules(count: number): void {
    this.rules = count;
  }

  get ruleCount(): number {
    return this.rules;
  }

  addRule(from: number, to: number, lag: number): number {
    if (this.rules === this.ruleFrom.length) {
      const size = this.rules * 2;
      this.ruleFrom = grown(this.ruleFrom, size);
      this.ruleTo = grown(this.ruleTo, size);
      this.ruleLag = grown(this.ruleLag, size);
      this.ruleFlow = grown(this.ruleFlow, size);
    }
    this.ruleFrom[this.rules] = from;
    this.ruleTo[this.rules] = to;
    this.ruleLag[this.rules] = lag;
    return this.rules++;
  }

  changeLag(rule: number, lag: number): void {
    this.ruleLag[rule] = lag;
  }

  addPrice(from: number, to: number, above: number, cost: number): void {
    if (cost === 0) return;
    if (this.prices === this.priceFrom.length) {
      const size = this.prices * 2;
      this.priceFrom = grown(this.priceFrom, size);
      this.priceTo = grown(this.priceTo, size);
      this.priceAbove = grown(this.priceAbove, size);
      this.priceCost = grown(this.priceCost, size);
      this.priceFlow = grown(this.priceFlow, size);
    }
    this.priceFrom[this.prices] = from;
    this.priceTo[this.prices] = to;
    this.priceAbove[this.prices] = above;
    this.priceCost[this.prices] = cost;
    this.prices++;
  }

  /**
   * The bounds, links and prices of a problem, without any orders: node 1 + i is step i, node 1 + n the first minute that wants someone
   * awake. The bounds come first, two a step.
   */
  static of(p: Indexed): Timing {
    const timing = new Timing(p.n + 2);
    for (let step = 0; step < p.n; step++) {
      timing.addRule(0, 1 + step, p.earliest[step]!);
      timing.addRule(1 + step, 0, -p.latest[step]!);
    }
    for (const { from, to, lag } of p.arcs) timing.addRule(1 + from, 1 + to, lag);
    timing.addCosts(p, 1 + p.n);
    return timing;
  }

  private addCosts(p: Indexed, awake: number): void {
    for (let step = 0; step < p.n; step++) {
      const minutes = p.minutes[step]!;
      for (const { by, hold, early, late } of p.readyOf[step]!) {
        this.addPrice(0, 1 + step, by - minutes, late);
        this.addPrice(1 + step, 0, minutes + hold - by, early);
      }
      for (const soft of p.softOf[step]!) {
        if (soft.from === step && soft.to !== step) {
          this.addPrice(1 + soft.from, 1 + soft.to, soft.above, soft.cost);
        }
      }
      if (p.awakeOf[step]) this.addRule(awake, 1 + step, 0);
    }
    if (p.awakeOf.includes(1)) this.addPrice(awake, 0, -p.problem.serve, p.awakeCost);
  }

  /** Whether the cost rests on a rule, after `solve`. */
  restsOn(rule: number): boolean {
    return this.ruleFlow[rule]! > 0;
  }

  /**
   * Raises starts until all rules hold (a shift of all together changes nothing: node 0 may rise too). False when that takes too
   * long, as it does when the rules contradict each other.
   */
  private makeFeasible(): boolean {
    const { start, first, list, queue, queued, nodes } = this;
    let head = 0;
    let size = nodes;
    for (let node = 0; node < nodes; node++) {
      queue[node] = node;
      queued[node] = 1;
    }
    for (let rounds = 0; size > 0; rounds++) {
      if (rounds > 40 * nodes) return false;
      const node = queue[head]!;
      head = head + 1 === nodes ? 0 : head + 1;
      size--;
      queued[node] = 0;
      for (let k = first[node]!; k < first[node + 1]!; k++) {
        const item = list[k]!;
        if ((item & 3) !== 1) continue;
        const to = this.ruleTo[item >> 2]!;
        const low = start[node]! + this.ruleLag[item >> 2]!;
        if (start[to]! >= low) continue;
        start[to] = low;
        if (queued[to]) continue;
        queued[to] = 1;
        queue[(head + size) % nodes] = to;
        size++;
      }
    }
    return true;
  }

  /**
   * Moves the starts to the least cost there is and returns it; null when they could not be made to keep the rules. With `Flow` from
   * an earlier solution of much the same rules it begins from what of that still holds, and has only the difference to do.
   */
  solve(earlier?: Flow): number | null {
    const { start, excess, prices } = this;
    this.index();
    if (!this.makeFeasible()) return null;
    excess.fill(0);
    if (earlier) this.beginFrom(earlier);
    else this.ruleFlow.fill(0, 0, this.rules);
    for (let k = 0; k < prices; k++) {
      const from = this.priceFrom[k]!;
      const to = this.priceTo[k]!;
      const beyond = start[to]! - start[from]! - this.priceAbove[k]!;
      const flow = beyond > 0 ? this.priceCost[k]! : beyond === 0 && earlier ? earlier.price[k]! : 0;
      this.priceFlow[k] = flow;
      excess[to] = excess[to]! + flow;
      excess[from] = excess[from]! - flow;
    }
    for (let source = 0; source < this.nodes; source++) {
      while (excess[source]! > 0) this.augment(source);
    }
    const origin = start[0]!;
    for (let node = 0; node < this.nodes; node++) start[node] = start[node]! - origin;
    let cost = 0;
    for (let k = 0; k < prices; k++) {
      const beyond = start[this.priceTo[k]!]! - start[this.priceFrom[k]!]! - this.priceAbove[k]!;
      if (beyond > 0) cost += beyond * this.priceCost[k]!;
    }
    return cost;
  }

  /** Takes over the flow of rules that still stand and are tight. */
  private beginFrom({ rule, used }: Flow): void {
    const { nodes, start, excess, ruleFrom, ruleTo } = this;
    for (let k = 0; k < this.rules; k++) {
      const from = ruleFrom[k]!;
      const to = ruleTo[k]!;
      const key = from * nodes + to;
      const flow = rule[key]!;
      if (flow === 0 || used[key] !== 0 || start[to]! - start[from]! !== this.ruleLag[k]!) {
        this.ruleFlow[k] = 0;
        continue;
      }
      used[key] = 1;
      this.ruleFlow[k] = flow;
      excess[to] = excess[to]! - flow;
      excess[from] = excess[from]! + flow;
    }
    for (let k = 0; k < this.rules; k++) if (this.ruleFlow[k]! > 0) used[ruleFrom[k]! * nodes + ruleTo[k]!] = 0;
  }

  /** Keeps the flow of the last solution, for the next one to begin from. */
  remember(flow: Flow): void {
    flow.rule.fill(0);
    for (let k = 0; k < this.rules; k++) {
      const key = this.ruleFrom[k]! * this.nodes + this.ruleTo[k]!;
      flow.rule[key] = flow.rule[key]! + this.ruleFlow[k]!;
    }
    for (let k = 0; k < this.prices; k++) flow.price[k] = this.priceFlow[k]!;
  }

  /** An empty flow for `solve` and `remember`. */
  emptyFlow(): Flow {
    const pairs = this.nodes * this.nodes;
    return { rule: new Int32Array(pairs), used: new Uint8Array(pairs), price: new Int32Array(this.prices) };
  }

  private index(): void {
    const { first } = this;
    const size = 2 * (this.rules + this.prices);
    if (size > this.list.length) this.list = grown(this.list, size);
    first.fill(0);
    for (let k = 0; k < this.rules; k++) {
      first[this.ruleFrom[k]! + 1]!++;
      first[this.ruleTo[k]! + 1]!++;
    }
    for (let k = 0; k < this.prices; k++) {
      first[this.priceFrom[k]! + 1]!++;
      first[this.priceTo[k]! + 1]!++;
    }
    for (let node = 0; node < this.nodes; node++) first[node + 1] = first[node + 1]! + first[node]!;
    const next = first.slice();
    const put = (node: number, item: number) => {
      this.list[next[node]!] = item;
      next[node]!++;
    };
    // Kinds: 0 a rule from its end, 1 a rule's flow taken back, 2 a price paid, 3 a price's flow taken back.
    for (let k = 0; k < this.rules; k++) {
      put(this.ruleTo[k]!, 4 * k);
      put(this.ruleFrom[k]!, 4 * k + 1);
    }
    for (let k = 0; k < this.prices; k++) {
      put(this.priceFrom[k]!, 4 * k + 2);
      put(this.priceTo[k]!, 4 * k + 3);
    }
  }

  /** Sends flow from a node along the shortest way to one that lacks some, and moves the starts with it. */
  private augment(source: number): void {
    const { distance, met, done, reached, excess, start, first, list, near, path } = this;
    const stamp = ++this.augmentation;
    near.clear();
    near.add(source, 0);
    distance[source] = 0;
    met[source] = stamp;
    let target = -1;
    let left = 0;
    while (target < 0) {
      const node = near.take();
      if (node < 0) throw new Error('The starts given were not feasible.');
      if (done[node] === stamp) continue;
      if (excess[node]! < 0) {
        target = node;
        break;
      }
      const least = distance[node]!;
      done[node] = stamp;
      path[left++] = node;
      for (let k = first[node]!; k < first[node + 1]!; k++) {
        const item = list[k]!;
        const arc = item >> 2;
        let other = 0;
        let length = 0;
        switch (item & 3) {
          case 0:
            other = this.ruleFrom[arc]!;
            length = start[node]! - start[other]! - this.ruleLag[arc]!;
            break;
          case 1:
            if (this.ruleFlow[arc] === 0) continue;
            other = this.ruleTo[arc]!;
            break;
          case 2:
            if (this.priceFlow[arc] === this.priceCost[arc]) continue;
            other = this.priceTo[arc]!;
            length = this.priceAbove[arc]! + start[node]! - start[other]!;
            break;
          default:
            if (this.priceFlow[arc] === 0) continue;
            other = this.priceFrom[arc]!;
            length = start[node]! - start[other]! - this.priceAbove[arc]!;
        }
        if (done[other] === stamp || (met[other] === stamp && least + length >= distance[other]!)) continue;
        distance[other] = least + length;
        met[other] = stamp;
        reached[other] = item;
        near.add(other, least + length);
      }
    }
    const far = distance[target]!;
    let amount = Math.min(excess[source]!, -excess[target]!);
    for (let v = target; v !== source; v = this.cameFrom(v)) amount = Math.min(amount, this.room(reached[v]!));
    for (let v = target; v !== source; v = this.cameFrom(v)) this.send(reached[v]!, amount);
    excess[source] = excess[source]! - amount;
    excess[target] = excess[target]! + amount;
    // All others would rise by the whole distance: these are lowered instead, which is the same.
    for (let k = 0; k < left; k++) start[path[k]!] = start[path[k]!]! + distance[path[k]!]! - far;
  }

  private cameFrom(node: number): number {
    const item = this.reached[node]!;
    const arc = item >> 2;
    switch (item & 3) {
      case 0:
        return this.ruleTo[arc]!;
      case 1:
        return this.ruleFrom[arc]!;
      case 2:
        return this.priceFrom[arc]!;
      default:
        return this.priceTo[arc]!;
    }
  }

  private room(item: number): number {
    const arc = item >> 2;
    switch (item & 3) {
      case 0:
        return Number.MAX_SAFE_INTEGER;
      case 1:
        return this.ruleFlow[arc]!;
      case 2:
        return this.priceCost[arc]! - this.priceFlow[arc]!;
      default:
        return this.priceFlow[arc]!;
    }
  }

  private send(item: number, amount: number): void {
    const arc = item >> 2;
    switch (item & 3) {
      case 0:
        this.ruleFlow[arc] = this.ruleFlow[arc]! + amount;
        break;
      case 1:
        this.ruleFlow[arc] = this.ruleFlow[arc]! - amount;
        break;
      case 2:
        this.priceFlow[arc] = this.priceFlow[arc]! + amount;
        break;
      default:
        this.priceFlow[arc] = this.priceFlow[arc]! - amount;
    }
  }
}
