import { grown, type PackedLists, packLists } from './growing';
import { ActivityHeap } from './heap';

/**
 * A lazy-clause-generation engine over whole-number variables (Ohrimenko, Stuckey, Codish 2009), with bounds as its only
 * literals. A variable x has two views: 2x stands for its value, 2x + 1 for the value's negative. A literal (view, value)
 * says "the view is at least the value"; its negation is (view ^ 1, 1 - value). So an upper bound is a lower bound of the
 * other view, and every rule needs writing once.
 *
 * Propagators push bounds and say why; from each conflict the engine learns a clause at the first unique implication
 * point, over bounds directly, and jumps back.
 */

/** Variable 0 is the constant 1: a literal on it is a condition that always holds. */
export const ALWAYS = 0;

const KIND_BITS = 3;
const KIND_MASK = 7;
/** Kinds of reasons, in the low bits of a reason; the payload stands above them. */
const STORED = 0;
const LIFTABLE = 1;
const CLAUSE = 2;
const EDGE = 3;
const LAZY = 4;
const NONE = -1;

/** Steps back along the reasons in which a learned literal may be found superfluous. */
const MOST_STEPS = 4;
const FIRST_RESTART = 120;

/** What a propagator is to the engine. It reads `engine.lb` and calls `engine.set`. */
export interface Propagator {
  /** Pushes all it can; false on a conflict (the engine then holds it). */
  propagate(): boolean;
  /** Adds to the conflict why (view, value) was pushed at trail position `at`; only of propagators that push with `lazyReason`. */
  explain?(payload: number, view: number, value: number, at: number): void;
}

/** Answers at once to the change of a view (order decisions and the like). */
export interface Reactor {
  react(item: number, view: number): boolean;
}

/** How a search ended. */
export type Outcome = 'found' | 'refuted' | 'spent' | 'paused';

/** Lazy clause generation over bounds of integers: propagate, learn from conflicts, jump back. See docs/solver.md. */
export class Engine {
  /** Lower bound of each view. */
  lb: Int32Array<ArrayBuffer> = new Int32Array(0);
  /** Bounds that hold without any decision. */
  private root: Int32Array<ArrayBuffer> = new Int32Array(0);
  variables = 0;
  conflicts = 0;

  // The trail: one entry for each bound pushed.
  private trailView = new Int32Array(1024);
  private trailNew = new Int32Array(1024);
  private trailOld = new Int32Array(1024);
  private trailBefore = new Int32Array(1024);
  private trailReason = new Int32Array(1024);
  private trailLevel = new Int32Array(1024);
  private top = 0;
  private head = 0;
  private last: Int32Array<ArrayBuffer> = new Int32Array(0);
  private levelStart: number[] = [];
  private levelStore: number[] = [];

  // Reasons stored with the trail: [count, view, value, ...].
  private store = new Int32Array(4096);
  private storeTop = 0;

  // Clauses: [size, glue, view, value, ...] one after another.
  private clause = new Int32Array(8192);
  private clauseTop = 0;
  private learned: number[] = [];
  private fixedClauses: number[] = [];
  private clauseActivity = new Map<number, number>();
  private clauseStep = 1;
  private reduceAt = 2500;
  /** Watchers of each view: [clause, threshold, blocking view, blocking value] each. */
  private watch: Int32Array<ArrayBuffer>[] = [];
  private watchSize: Int32Array<ArrayBuffer> = new Int32Array(0);

  private readonly initial: number[] = [];
  private readonly edgeLists: number[][] = [];
  private edges: PackedLists = { from: new Int32Array(0), items: new Int32Array(0) };
  private edgeFrom = new Int32Array(0);
  private readonly reactLists: number[][] = [];
  private reactions: PackedLists = { from: new Int32Array(0), items: new Int32Array(0) };
  private reactor: Reactor | null = null;
  private readonly wakeLists: number[][] = [];
  private wakes: PackedLists = { from: new Int32Array(0), items: new Int32Array(0) };
  private readonly propagators: Propagator[] = [];
  private queued = new Uint8Array(0);
  private waiting = 0;

  // The conflict under analysis.
  private needed = new Int32Array(0);
  private marked = new Uint8Array(0);
  private listed = new Uint8Array(0);
  private markedViews: number[] = [];
  private levelSeen = new Int32Array(64);
  private levelStamp = 0;
  private current = 0;
  private conflictViews: number[] = [];
  private conflictValues: number[] = [];

  heap = new ActivityHeap(0);
  /** The value each variable is tried at first. */
  phase: Int32Array<ArrayBuffer> = new Int32Array(0);
  /** Variables from 1 to this number are decided only when nothing else is open. */
  lastVariables = 0;
  /**
   * A stronger bound, asked for at every so many decisions and (with `leaf`) before the first of the last variables is decided;
   * false on a conflict (see `beginConflict`).
   */
  bounder: ((leaf: boolean) => boolean) | null = null;
  lookEvery = 4;
  /** Variables that need not be decided just now are passed over. */
  isIdle: (variable: number) => boolean = () => false;
  private ok = true;
  /** Level at which the leaf was looked at already. */
  private leafLevel = -1;
  private clash = false;
  private left = 0;
  private untilRestart = 0;
  private ticks = 0;

  constructor() {
    this.variable(1, 1);
  }

  // --- building ---

  variable(low: number, high: number): number {
    this.initial.push(low, -high);
    this.edgeLists.push([], []);
    this.reactLists.push([], []);
    this.wakeLists.push([], []);
    return this.variables++;
  }

  /** view `to` >= view `from` + lag, always. */
  difference(from: number, to: number, lag: number): void {
    this.edgeLists[from]!.push(to, lag);
    this.edgeLists[to ^ 1]!.push(from ^ 1, lag);
  }

  reactTo(view: number, item: number): void {
    this.reactLists[view]!.push(item);
  }

  setReactor(reactor: Reactor): void {
    this.reactor = reactor;
  }

  addPropagator(propagator: Propagator, views: Iterable<number>): number {
    const index = this.propagators.length;
    this.propagators.push(propagator);
    for (const view of views) this.wakeLists[view]!.push(index);
    return index;
  }

  /** Ends the building; clauses may be added from now on. */
  seal(): void {
    const views = 2 * this.variables;
    this.lb = Int32Array.from(this.initial);
    this.root = this.lb.slice();
    this.last = new Int32Array(views).fill(-1);
    this.needed = new Int32Array(views);
    this.marked = new Uint8Array(views);
    this.listed = new Uint8Array(views);
    this.watch = Array.from({ length: views }, () => new Int32Array(0));
    this.watchSize = new Int32Array(views);
    this.edges = packLists(this.edgeLists);
    this.edgeFrom = new Int32Array(this.edges.items.length >> 1);
    for (let view = 0; view < views; view++) {
      for (let k = this.edges.from[view]!; k < this.edges.from[view + 1]!; k += 2) this.edgeFrom[k >> 1] = view;
    }
    this.reactions = packLists(this.reactLists);
    this.wakes = packLists(this.wakeLists);
    this.queued = new Uint8Array(this.propagators.length);
    this.phase = new Int32Array(this.variables);
    this.heap = new ActivityHeap(this.variables);
    for (let variable = 1; variable < this.variables; variable++) {
      this.phase[variable] = this.lb[2 * variable]!;
      if (variable > this.lastVariables) this.heap.bump(variable);
      this.heap.insert(variable);
    }
  }

  /** First propagation of everything; false when the rules contradict each other. */
  start(): boolean {
    for (let index = 0; index < this.propagators.length; index++) this.wake(index);
    const { lb, edges } = this;
    for (let view = 0; view < 2 * this.variables && this.ok; view++) {
      for (let k = edges.from[view]!; k < edges.from[view + 1]! && this.ok; k += 2) {
        this.ok = this.set(edges.items[k]!, lb[view]! + edges.items[k + 1]!, ((k >> 1) << KIND_BITS) | EDGE);
      }
      for (let k = this.reactions.from[view]!; k < this.reactions.from[view + 1]! && this.ok; k++) {
        this.ok = this.reactor!.react(this.reactions.items[k]!, view);
      }
    }
    return this.settle();
  }

  /** Adds a clause at the root: one of the literals holds. False when that contradicts what is known. */
  addClause(literals: readonly (readonly [number, number])[]): boolean {
    if (!this.ok) return false;
    const open = literals.filter(([view, value]) => this.lb[view ^ 1]! < 1 - value);
    if (open.some(([view, value]) => this.lb[view]! >= value)) return true;
    if (open.length === 0) {
      this.ok = false;
    } else if (open.length === 1) {
      this.ok = this.set(open[0]![0], open[0]![1], NONE);
    } else {
      this.fixedClauses.push(
        this.storeClause(
          open.map(([view]) => view),
          open.map(([, value]) => value),
          0,
        ),
      );
    }
    return this.ok;
  }

  // --- bounds ---

  level(): number {
    return this.levelStart.length;
  }

  /** The bound of a view that holds without any decision. */
  rootBound(view: number): number {
    return this.root[view]!;
  }

  isFixed(variable: number): boolean {
    return this.lb[2 * variable]! === -this.lb[2 * variable + 1]!;
  }

  holds(view: number, value: number): boolean {
    return this.lb[view]! >= value;
  }

  fails(view: number, value: number): boolean {
    return this.lb[view ^ 1]! >= 1 - value;
  }

  /** Raises a bound for a reason; false on a conflict. */
  set(view: number, value: number, reason: number): boolean {
    const before = this.lb[view]!;
    if (before >= value) return true;
    const ceiling = -this.lb[view ^ 1]!;
    if (value > ceiling) {
      this.beginConflict();
      this.addConflict(view ^ 1, -ceiling);
      this.antecedents(reason, view, ceiling + 1, value, this.top);
      return false;
    }
    if (this.top === this.trailView.length) this.growTrail();
    const at = this.top++;
    this.trailView[at] = view;
    this.trailNew[at] = value;
    this.trailOld[at] = before;
    this.trailBefore[at] = this.last[view]!;
    this.trailReason[at] = reason;
    this.trailLevel[at] = this.levelStart.length;
    this.last[view] = at;
    this.lb[view] = value;
    return true;
  }

  private growTrail(): void {
    const size = this.trailView.length * 2;
    this.trailView = grown(this.trailView, size);
    this.trailNew = grown(this.trailNew, size);
    this.trailOld = grown(this.trailOld, size);
    this.trailBefore = grown(this.trailBefore, size);
    this.trailReason = grown(this.trailReason, size);
    this.trailLevel = grown(this.trailLevel, size);
  }

  // --- reasons ---

  /** Opens a reason; add its literals, then close it. */
  openReason(): void {
    if (this.storeTop + 64 > this.store.length) this.store = grown(this.store, this.storeTop + 64);
    this.store[this.storeTop] = 0;
  }

  because(view: number, value: number): void {
    if (value <= this.root[view]!) return;
    const count = this.store[this.storeTop]!;
    const at = this.storeTop + 1 + 2 * count;
    if (at + 2 > this.store.length) this.store = grown(this.store, at + 2);
    this.store[at] = view;
    this.store[at + 1] = value;
    this.store[this.storeTop] = count + 1;
  }

  closeReason(): number {
    const at = this.storeTop;
    this.storeTop += 1 + 2 * this.store[at]!;
    return (at << KIND_BITS) | STORED;
  }

  /** Closes a reason whose first literal may sink by as much as less is asked of the pushed bound. */
  closeLiftable(view: number, value: number): number {
    // Its first literal is kept even when it holds at the root, for its place.
    const at = this.storeTop;
    const count = this.store[at]!;
    if (at + 3 + 2 * count > this.store.length) this.store = grown(this.store, at + 3 + 2 * count);
    this.store.copyWithin(at + 3, at + 1, at + 1 + 2 * count);
    this.store[at] = count + 1;
    this.store[at + 1] = view;
    this.store[at + 2] = value;
    this.storeTop += 3 + 2 * count;
    return (at << KIND_BITS) | LIFTABLE;
  }

  /** A reason that the propagator gives when asked. */
  lazyReason(propagator: number, payload: number): number {
    return ((payload * this.propagators.length + propagator) << KIND_BITS) | LAZY;
  }

  /** The bound of a view before trail position `at`. */
  boundAt(view: number, at: number): number {
    let entry = this.last[view]!;
    if (entry < at) return this.lb[view]!;
    let value = 0;
    while (entry >= at) {
      value = this.trailOld[entry]!;
      entry = this.trailBefore[entry]!;
    }
    return value;
  }

  beginConflict(): void {
    this.conflictViews.length = 0;
    this.conflictValues.length = 0;
  }

  addConflict(view: number, value: number): void {
    if (value <= this.root[view]!) return;
    this.conflictViews.push(view);
    this.conflictValues.push(value);
  }

  /** Adds to the conflict what implied (view, needed) where the reason gave `pushed` at a trail position. */
  private antecedents(reason: number, view: number, needed: number, pushed: number, at: number): void {
    const payload = reason >> KIND_BITS;
    switch (reason & KIND_MASK) {
      case EDGE:
        this.addConflict(this.edgeFrom[payload]!, needed - this.edges.items[2 * payload + 1]!);
        return;
      case STORED:
      case LIFTABLE: {
        const count = this.store[payload]!;
        const sink = (reason & KIND_MASK) === LIFTABLE ? pushed - needed : 0;
        for (let k = 0; k < count; k++) {
          const value = this.store[payload + 2 + 2 * k]!;
          this.addConflict(this.store[payload + 1 + 2 * k]!, k === 0 ? value - sink : value);
        }
        return;
      }
      case CLAUSE: {
        const size = this.clause[payload]!;
        for (let k = 1; k < size; k++) {
          this.addConflict(this.clause[payload + 2 + 2 * k]! ^ 1, 1 - this.clause[payload + 3 + 2 * k]!);
        }
        return;
      }
      case LAZY: {
        const count = this.propagators.length;
        this.propagators[payload % count]!.explain!(Math.floor(payload / count), view, needed, at);
      }
    }
  }

  // --- propagation ---

  wake(propagator: number): void {
    if (this.queued[propagator]) return;
    this.queued[propagator] = 1;
    this.waiting++;
  }

  /** Propagates to the end; false on a conflict. */
  private propagate(): boolean {
    for (;;) {
      while (this.head < this.top) {
        const at = this.head++;
        const view = this.trailView[at]!;
        if (!this.visitWatchers(view, this.trailOld[at]!, this.trailNew[at]!)) return false;
        // A later entry of the same view does the rest.
        if (this.trailNew[at]! < this.lb[view]!) continue;
        const { edges, reactions, wakes } = this;
        const bound = this.lb[view]!;
        for (let k = edges.from[view]!, end = edges.from[view + 1]!; k < end; k += 2) {
          const to = edges.items[k]!;
          const value = bound + edges.items[k + 1]!;
          if (value > this.lb[to]! && !this.set(to, value, ((k >> 1) << KIND_BITS) | EDGE)) return false;
        }
        for (let k = reactions.from[view]!, end = reactions.from[view + 1]!; k < end; k++) {
          if (!this.reactor!.react(reactions.items[k]!, view)) return false;
        }
        for (let k = wakes.from[view]!, end = wakes.from[view + 1]!; k < end; k++) this.wake(wakes.items[k]!);
      }
      if (this.waiting === 0) return true;
      for (let index = 0; index < this.queued.length; index++) {
        if (!this.queued[index]) continue;
        this.queued[index] = 0;
        this.waiting--;
        if (!this.propagators[index]!.propagate()) return false;
        break;
      }
    }
  }

  private visitWatchers(view: number, old: number, now: number): boolean {
    const size = this.watchSize[view]!;
    if (size === 0) return true;
    const list = this.watch[view]!;
    const { lb } = this;
    let kept = 0;
    for (let i = 0; i < size; i += 4) {
      const threshold = list[i + 1]!;
      if (threshold > now || threshold <= old || lb[list[i + 2]!]! >= list[i + 3]!) {
        if (kept !== i) {
          list[kept] = list[i]!;
          list[kept + 1] = threshold;
          list[kept + 2] = list[i + 2]!;
          list[kept + 3] = list[i + 3]!;
        }
        kept += 4;
        continue;
      }
      const at = list[i]!;
      const { clause } = this;
      // The literal that has just failed goes to the second place.
      if (clause[at + 2]! === (view ^ 1) && clause[at + 3]! === 1 - threshold) {
        const [v, b] = [clause[at + 2]!, clause[at + 3]!];
        clause[at + 2] = clause[at + 4]!;
        clause[at + 3] = clause[at + 5]!;
        clause[at + 4] = v;
        clause[at + 5] = b;
      }
      const firstView = clause[at + 2]!;
      const firstValue = clause[at + 3]!;
      if (lb[firstView]! >= firstValue) {
        list[kept] = at;
        list[kept + 1] = threshold;
        list[kept + 2] = firstView;
        list[kept + 3] = firstValue;
        kept += 4;
        continue;
      }
      const literals = clause[at]!;
      let moved = false;
      for (let k = 2; k < literals; k++) {
        const otherView = clause[at + 2 + 2 * k]!;
        const otherValue = clause[at + 3 + 2 * k]!;
        if (lb[otherView ^ 1]! >= 1 - otherValue) continue;
        clause[at + 2 + 2 * k] = clause[at + 4]!;
        clause[at + 3 + 2 * k] = clause[at + 5]!;
        clause[at + 4] = otherView;
        clause[at + 5] = otherValue;
        this.watchLiteral(otherView, otherValue, at, firstView, firstValue);
        moved = true;
        break;
      }
      if (moved) continue;
      list[kept] = at;
      list[kept + 1] = threshold;
      list[kept + 2] = firstView;
      list[kept + 3] = firstValue;
      kept += 4;
      if (!this.set(firstView, firstValue, (at << KIND_BITS) | CLAUSE)) {
        list.copyWithin(kept, i + 4, size);
        this.watchSize[view] = kept + size - i - 4;
        return false;
      }
    }
    this.watchSize[view] = kept;
    return true;
  }

  private watchLiteral(view: number, value: number, clause: number, blockView: number, blockValue: number): void {
    const on = view ^ 1;
    const size = this.watchSize[on]!;
    if (size + 4 > this.watch[on]!.length) this.watch[on] = grown(this.watch[on]!, size + 4);
    const list = this.watch[on]!;
    list[size] = clause;
    list[size + 1] = 1 - value;
    list[size + 2] = blockView;
    list[size + 3] = blockValue;
    this.watchSize[on] = size + 4;
  }

  private storeClause(views: readonly number[], values: readonly number[], glue: number): number {
    const at = this.clauseTop;
    const size = views.length;
    if (at + 2 + 2 * size > this.clause.length) this.clause = grown(this.clause, at + 2 + 2 * size);
    this.clause[at] = size;
    this.clause[at + 1] = glue;
    for (let k = 0; k < size; k++) {
      this.clause[at + 2 + 2 * k] = views[k]!;
      this.clause[at + 3 + 2 * k] = values[k]!;
    }
    this.clauseTop += 2 + 2 * size;
    this.watchLiteral(views[0]!, values[0]!, at, views[1]!, values[1]!);
    this.watchLiteral(views[1]!, values[1]!, at, views[0]!, values[0]!);
    return at;
  }

  // --- search ---

  /** Takes back all decisions above a level. */
  backTo(level: number): void {
    if (this.levelStart.length <= level) return;
    const start = this.levelStart[level]!;
    for (let at = this.top - 1; at >= start; at--) {
      const view = this.trailView[at]!;
      this.lb[view] = this.trailOld[at]!;
      this.last[view] = this.trailBefore[at]!;
      this.heap.insert(view >> 1);
    }
    this.top = start;
    this.head = start;
    this.storeTop = this.levelStore[level]!;
    this.levelStart.length = level;
    this.levelStore.length = level;
    this.queued.fill(0);
    this.waiting = 0;
  }

  private decide(view: number, value: number): void {
    this.levelStart.push(this.top);
    this.levelStore.push(this.storeTop);
    this.set(view, value, NONE);
  }

  /** Propagates at the root, where everything becomes permanent; false when there is no solution left at all. */
  settle(): boolean {
    if (!this.ok) return false;
    this.ok = this.propagate();
    if (this.ok && this.levelStart.length === 0) this.forgetTrail();
    return this.ok;
  }

  private forgetTrail(): void {
    for (let at = 0; at < this.top; at++) this.last[this.trailView[at]!] = -1;
    this.root.set(this.lb);
    this.top = 0;
    this.head = 0;
    this.storeTop = 0;
  }

  /** Raises a bound for good; to be called without decisions. False when that leaves no solution. */
  fix(view: number, value: number): boolean {
    this.backTo(0);
    if (!this.ok) return false;
    if (!this.set(view, value, NONE)) this.ok = false;
    return this.settle();
  }

  /**
   * Searches under assumptions (literals decided first, as flat view, value pairs). 'found': all variables that matter are
   * fixed, read them before anything else; 'refuted': no solution under the assumptions (or at all, see `isOpen`); 'spent': the
   * conflicts ran out; 'paused': `shallPause` said so, go on with `resume` as if nothing had happened.
   */
  search(assumptions: readonly number[], mostConflicts: number, shallPause: () => boolean, resume = false): Outcome {
    if (!resume) {
      this.backTo(0);
      this.clash = false;
      this.leafLevel = -1;
      this.left = mostConflicts;
      this.untilRestart = FIRST_RESTART;
      if (!this.settle()) return 'refuted';
    }
    for (;;) {
      if ((++this.ticks & 31) === 0 && shallPause()) return 'paused';
      if (this.clash || !this.propagate()) {
        this.clash = false;
        this.leafLevel = -1;
        this.conflicts++;
        this.untilRestart--;
        if (this.levelStart.length === 0) {
          this.ok = false;
          return 'refuted';
        }
        if (!this.learn()) return 'refuted';
        if (--this.left <= 0) return 'spent';
        continue;
      }
      if (this.levelStart.length === 0 && this.top > 0) this.forgetTrail();
      if (this.untilRestart <= 0) {
        this.untilRestart = FIRST_RESTART + (this.conflicts % 7) * 60;
        this.leafLevel = -1;
        this.backTo(0);
        if (this.learned.length > this.reduceAt) this.reduce();
        continue;
      }
      const depth = this.levelStart.length;
      if (2 * depth < assumptions.length) {
        const view = assumptions[2 * depth]!;
        const value = assumptions[2 * depth + 1]!;
        if (this.fails(view, value)) return 'refuted';
        this.decide(view, value);
        continue;
      }
      const variable = this.nextVariable();
      if (variable < 0) return 'found';
      const last = variable <= this.lastVariables;
      const look = last ? this.leafLevel < 0 : depth % this.lookEvery === this.lookEvery - 1;
      if (look && this.bounder !== null) {
        if (last) this.leafLevel = depth;
        if (!this.bounder(last)) {
          this.clash = true;
          continue;
        }
      }
      const low = this.lb[2 * variable]!;
      const high = -this.lb[2 * variable + 1]!;
      const wish = Math.min(high, Math.max(low, this.phase[variable]!));
      if (wish > low) this.decide(2 * variable, wish);
      else this.decide(2 * variable + 1, -wish);
    }
  }

  /** Whether a solution may still exist at the root. */
  isOpen(): boolean {
    return this.ok;
  }

  private nextVariable(): number {
    for (;;) {
      const variable = this.heap.top();
      if (variable < 0) return -1;
      if (!this.isFixed(variable) && !this.isIdle(variable)) return variable;
      this.heap.pop();
    }
  }

  // --- learning ---

  private mark(view: number, value: number): void {
    if (this.marked[view]) {
      if (this.needed[view]! >= value) return;
      const wasCurrent = this.isCurrent(view, this.needed[view]!);
      this.needed[view] = value;
      if (!wasCurrent && this.isCurrent(view, value)) this.current++;
      return;
    }
    this.marked[view] = 1;
    this.needed[view] = value;
    if (!this.listed[view]) {
      this.listed[view] = 1;
      this.markedViews.push(view);
    }
    if (view >> 1 > this.lastVariables) this.heap.bump(view >> 1);
    if (this.isCurrent(view, value)) this.current++;
  }

  /** Whether a literal became true at the present level. */
  private isCurrent(view: number, value: number): boolean {
    return this.boundAt(view, this.levelStart[this.levelStart.length - 1]!) < value;
  }

  private entryOf(view: number, value: number): number {
    let entry = this.last[view]!;
    while (entry >= 0 && this.trailOld[entry]! >= value) entry = this.trailBefore[entry]!;
    return entry;
  }

  private takeConflict(): void {
    for (let k = 0; k < this.conflictViews.length; k++) this.mark(this.conflictViews[k]!, this.conflictValues[k]!);
  }

  /** Learns from the conflict at hand and jumps back; false when nothing is left. */
  private learn(): boolean {
    this.current = 0;
    this.markedViews.length = 0;
    this.sinkConflict();
    this.takeConflict();
    let at = this.top - 1;
    let uip = -1;
    let uipValue = 0;
    for (; at >= 0; at--) {
      const view = this.trailView[at]!;
      if (!this.marked[view] || this.needed[view]! <= this.trailOld[at]!) continue;
      const value = this.needed[view]!;
      if (this.current <= 1) {
        uip = view;
        uipValue = value;
        break;
      }
      this.marked[view] = 0;
      this.current--;
      const reason = this.trailReason[at]!;
      if ((reason & KIND_MASK) === CLAUSE) this.bumpClause(reason >> KIND_BITS);
      this.beginConflict();
      this.antecedents(reason, view, value, this.trailNew[at]!, at);
      this.takeConflict();
    }
    const views: number[] = [];
    const values: number[] = [];
    let back = 0;
    let backAt = -1;
    this.levelStamp++;
    let glue = 1;
    if (uip >= 0) {
      views.push(uip ^ 1);
      values.push(1 - uipValue);
    }
    for (const view of this.markedViews) {
      if (!this.marked[view] || view === uip) continue;
      const value = this.needed[view]!;
      if (value <= this.root[view]! || this.isImplied(view, value)) continue;
      const level = this.trailLevel[this.entryOf(view, value)]!;
      if (this.stampLevel(level)) glue++;
      if (level > back) {
        back = level;
        backAt = views.length;
      }
      views.push(view ^ 1);
      values.push(1 - value);
    }
    for (const view of this.markedViews) {
      this.marked[view] = 0;
      this.listed[view] = 0;
    }
    this.heap.decay();
    this.clauseStep *= 1 / 0.999;
    if (views.length === 0) {
      this.ok = false;
      return false;
    }
    this.backTo(back);
    if (views.length === 1) {
      if (!this.set(views[0]!, values[0]!, NONE)) this.ok = false;
      return this.ok;
    }
    // The second watch is the literal that fails last.
    [views[1], views[backAt]] = [views[backAt]!, views[1]!];
    [values[1], values[backAt]] = [values[backAt]!, values[1]!];
    const clause = this.storeClause(views, values, glue);
    this.learned.push(clause);
    this.bumpClause(clause);
    this.set(views[0]!, values[0]!, (clause << KIND_BITS) | CLAUSE);
    return true;
  }

  /** A conflict may lie below the present level when a propagator was slow to see it: go back to where it arose. */
  private sinkConflict(): void {
    let highest = 0;
    for (let k = 0; k < this.conflictViews.length; k++) {
      const entry = this.entryOf(this.conflictViews[k]!, this.conflictValues[k]!);
      if (entry >= 0) highest = Math.max(highest, this.trailLevel[entry]!);
    }
    if (highest < this.levelStart.length && highest > 0) this.backTo(highest);
  }

  private stampLevel(level: number): boolean {
    if (level >= this.levelSeen.length) this.levelSeen = grown(this.levelSeen, level + 1);
    if (this.levelSeen[level] === this.levelStamp) return false;
    this.levelSeen[level] = this.levelStamp;
    return true;
  }

  /** Whether the other marked literals imply this one already, in so many steps at most. */
  private isImplied(view: number, value: number, depth = MOST_STEPS): boolean {
    const entry = this.entryOf(view, value);
    if (entry < 0) return true;
    const reason = this.trailReason[entry]!;
    if (reason === NONE) return false;
    this.beginConflict();
    this.antecedents(reason, view, value, this.trailNew[entry]!, entry);
    const views = depth > 1 ? this.conflictViews.slice() : this.conflictViews;
    const values = depth > 1 ? this.conflictValues.slice() : this.conflictValues;
    for (let k = 0; k < views.length; k++) {
      const other = views[k]!;
      // What was true only later may rest on this literal itself.
      const known =
        this.marked[other]! === 1 &&
        this.needed[other]! >= values[k]! &&
        this.boundAt(other, entry) >= this.needed[other]!;
      if (known) continue;
      if (depth <= 1 || !this.isImplied(other, values[k]!, depth - 1)) return false;
    }
    return true;
  }

  private bumpClause(clause: number): void {
    if (this.clause[clause + 1] === 0) return;
    this.clauseActivity.set(clause, (this.clauseActivity.get(clause) ?? 0) + this.clauseStep);
    if (this.clauseStep > 1e20) {
      for (const [at, activity] of this.clauseActivity) this.clauseActivity.set(at, activity * 1e-20);
      this.clauseStep *= 1e-20;
    }
  }

  /** Forgets the less useful half of what was learned; without decisions only. */
  private reduce(): void {
    const activity = (at: number) => this.clauseActivity.get(at) ?? 0;
    const isDead = (at: number) => {
      for (let k = 0; k < this.clause[at]!; k++) {
        if (this.root[this.clause[at + 2 + 2 * k]!]! >= this.clause[at + 3 + 2 * k]!) return true;
      }
      return false;
    };
    const keep = this.learned.filter((at) => !isDead(at) && this.clause[at + 1]! <= 3);
    const rest = this.learned.filter((at) => this.clause[at + 1]! > 3 && !isDead(at));
    rest.sort((a, b) => activity(b) - activity(a));
    keep.push(...rest.slice(0, rest.length >> 1));
    this.reduceAt = Math.max(this.reduceAt + 300, keep.length + 2000);
    const old = this.clause;
    const kept = [...this.fixedClauses.map((at) => [at, true] as const), ...keep.map((at) => [at, false] as const)];
    const activities = new Map<number, number>();
    this.clause = new Int32Array(old.length);
    this.clauseTop = 0;
    this.watchSize.fill(0);
    this.fixedClauses = [];
    this.learned = [];
    for (const [from, fixed] of kept) {
      const size = old[from]!;
      const views: number[] = [];
      const values: number[] = [];
      for (let k = 0; k < size; k++) {
        views.push(old[from + 2 + 2 * k]!);
        values.push(old[from + 3 + 2 * k]!);
      }
      // Watch literals that are still open.
      let open = 0;
      for (let k = 0; k < size && open < 2; k++) {
        if (this.lb[views[k]! ^ 1]! >= 1 - values[k]!) continue;
        [views[open], views[k]] = [views[k]!, views[open]!];
        [values[open], values[k]] = [values[k]!, values[open]!];
        open++;
      }
      const at = this.storeClause(views, values, old[from + 1]!);
      if (fixed) this.fixedClauses.push(at);
      else this.learned.push(at);
      activities.set(at, activity(from));
    }
    this.clauseActivity = activities;
  }
}
