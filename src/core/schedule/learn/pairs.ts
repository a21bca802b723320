import { ALWAYS, type Engine, type Reactor } from './engine';

/**
 * Two uses that may not overlap when they take the same thing. One order variable decides which comes first (1: the first
 * use). The order says nothing while the two take different things.
 */
interface PairRows {
  readonly order: number[];
  /** Two a pair, one a direction: the view that must be over, the view that may then begin, the minutes between. */
  readonly before: number[];
  readonly after: number[];
  readonly lag: number[];
  /** Where the pair's shared choices begin; two views each. */
  readonly shared: number[][];
}

const BOUND = 0;
const CHOSEN = 1;
const ORDERED = 2;

/** All pairs of a problem and what follows from their bounds, orders and choices. */
export class Pairs implements Reactor {
  private readonly rows: PairRows = { order: [], before: [], after: [], lag: [], shared: [] };
  private order = new Int32Array(0);
  private before = new Int32Array(0);
  private after = new Int32Array(0);
  private lag = new Int32Array(0);
  private shared: Int32Array[] = [];
  private pairOfOrder = new Map<number, number>();

  constructor(private readonly engine: Engine) {}

  /**
   * Adds a pair: `before[0] + lag[0] <= after[0]` or `before[1] + lag[1] <= after[1]`, when for one of the `shared` both
   * choices are made; an empty list means always.
   */
  add(
    before: readonly [number, number],
    after: readonly [number, number],
    lag: readonly [number, number],
    shared: readonly (readonly [number, number])[],
  ): number {
    const { engine, rows } = this;
    const pair = rows.order.length;
    const order = engine.variable(0, 1);
    rows.order.push(order);
    rows.before.push(...before);
    rows.after.push(...after);
    rows.lag.push(...lag);
    const always = shared.some(([a, b]) => a === 2 * ALWAYS && b === 2 * ALWAYS);
    rows.shared.push(always ? [] : shared.flat());
    for (const way of [0, 1]) {
      const item = (pair * 2 + way) * 4;
      engine.reactTo(before[way]!, item + BOUND);
      engine.reactTo(after[way]! ^ 1, item + BOUND);
      engine.reactTo(2 * order + way, item + ORDERED);
    }
    if (!always) for (const view of new Set(shared.flat())) engine.reactTo(view, pair * 8 + CHOSEN);
    return pair;
  }

  seal(): void {
    const { rows } = this;
    this.order = Int32Array.from(rows.order);
    this.before = Int32Array.from(rows.before);
    this.after = Int32Array.from(rows.after);
    this.lag = Int32Array.from(rows.lag);
    this.shared = rows.shared.map((list) => Int32Array.from(list));
    rows.order.forEach((order, pair) => {
      this.pairOfOrder.set(order, pair);
    });
    this.engine.setReactor(this);
  }

  /** The order variable of a pair while the pairs are still being drawn up. */
  draftOrder(pair: number): number {
    return this.rows.order[pair]!;
  }

  /** Which way round (0, 1) a pair stands when the views have these values; 1 when neither fits. */
  firstIn(pair: number, value: (view: number) => number): 0 | 1 {
    const row = pair * 2;
    return value(this.before[row]!) + this.lag[row]! <= value(this.after[row]!) ? 0 : 1;
  }

  /** The way round that is decided for an active pair (0, 1), or -1. */
  decided(pair: number): -1 | 0 | 1 {
    const held = this.orderHolds(pair, 0) ? 0 : this.orderHolds(pair, 1) ? 1 : -1;
    return held >= 0 && this.isActive(pair) ? held : -1;
  }

  beforeOf(row: number): number {
    return this.before[row]!;
  }

  afterOf(row: number): number {
    return this.after[row]!;
  }

  lagOf(row: number): number {
    return this.lag[row]!;
  }

  /** Adds to the conflict that a pair is active and decided this way round. */
  conflictBecause(pair: number, way: number): void {
    const { engine } = this;
    engine.addConflict(2 * this.order[pair]! + way, 1 - way);
    const shared = this.shared[pair]!;
    for (let k = 0; k < shared.length; k += 2) {
      if (engine.lb[shared[k]!]! < 1 || engine.lb[shared[k + 1]!]! < 1) continue;
      engine.addConflict(shared[k]!, 1);
      engine.addConflict(shared[k + 1]!, 1);
      return;
    }
  }

  get count(): number {
    return this.order.length;
  }

  orderOf(pair: number): number {
    return this.order[pair]!;
  }

  /** Whether an order variable decides nothing just now. */
  isIdle(variable: number): boolean {
    const pair = this.pairOfOrder.get(variable);
    return pair !== undefined && !this.isActive(pair);
  }

  /** Whether both uses are known to take the same thing. */
  isActive(pair: number): boolean {
    const shared = this.shared[pair]!;
    if (shared.length === 0) return true;
    const { lb } = this.engine;
    for (let k = 0; k < shared.length; k += 2) if (lb[shared[k]!]! >= 1 && lb[shared[k + 1]!]! >= 1) return true;
    return false;
  }

  react(item: number, view: number): boolean {
    const pair = item >> 3;
    switch (item & 3) {
      case BOUND:
        return this.onBound(pair, (item >> 2) & 1, view);
      case ORDERED: {
        const way = (item >> 2) & 1;
        if (!this.orderHolds(pair, way) || !this.isActive(pair)) return true;
        return this.enforce(pair, way, 0) && this.enforce(pair, way, 1);
      }
      default:
        return this.onChosen(pair);
    }
  }

  private isImpossible(row: number): boolean {
    const { lb } = this.engine;
    return lb[this.before[row]!]! + this.lag[row]! > -lb[this.after[row]! ^ 1]!;
  }

  private orderHolds(pair: number, way: number): boolean {
    return this.engine.lb[2 * this.order[pair]! + way]! >= 1 - way;
  }

  private onBound(pair: number, way: number, view: number): boolean {
    const row = pair * 2 + way;
    if (this.orderHolds(pair, way)) {
      return this.isActive(pair) ? this.enforce(pair, way, view === this.before[row] ? 0 : 1) : true;
    }
    if (!this.isImpossible(row) || this.orderHolds(pair, 1 - way)) return true;
    if (this.isActive(pair)) return this.turn(pair, way);
    return this.isImpossible(row ^ 1) ? this.exclude(pair) : true;
  }

  private onChosen(pair: number): boolean {
    if (!this.isActive(pair)) {
      return this.isImpossible(pair * 2) && this.isImpossible(pair * 2 + 1) ? this.exclude(pair) : true;
    }
    for (const way of [0, 1]) {
      if (this.orderHolds(pair, way)) return this.enforce(pair, way, 0) && this.enforce(pair, way, 1);
    }
    if (this.isImpossible(pair * 2)) return this.turn(pair, 0);
    return this.isImpossible(pair * 2 + 1) ? this.turn(pair, 1) : true;
  }

  /**
   * One way round has become impossible: the other it is. While the pair does not matter its order is free, so for one of
   * the ways (not for both: the two may be impossible together) the bounds alone are reason enough.
   */
  private turn(pair: number, way: number): boolean {
    const { engine } = this;
    engine.openReason();
    this.becauseImpossible(pair * 2 + way);
    if (way === 1) this.becauseActive(pair);
    return engine.set(2 * this.order[pair]! + (1 - way), way, engine.closeReason());
  }

  private becauseImpossible(row: number): void {
    const { engine } = this;
    const after = this.after[row]! ^ 1;
    const ceiling = engine.lb[after]!;
    engine.because(after, ceiling);
    engine.because(this.before[row]!, 1 - ceiling - this.lag[row]!);
  }

  /** Pushes one end of an order that holds: 0 the later use upwards, 1 the earlier one downwards. */
  private enforce(pair: number, way: number, end: 0 | 1): boolean {
    const { engine } = this;
    const row = pair * 2 + way;
    const source = end === 0 ? this.before[row]! : this.after[row]! ^ 1;
    const target = end === 0 ? this.after[row]! : this.before[row]! ^ 1;
    const value = engine.lb[source]! + this.lag[row]!;
    if (engine.lb[target]! >= value) return true;
    engine.openReason();
    engine.because(2 * this.order[pair]! + way, 1 - way);
    this.becauseActive(pair);
    return engine.set(target, value, engine.closeLiftable(source, value - this.lag[row]!));
  }

  private becauseActive(pair: number): void {
    const { engine } = this;
    const shared = this.shared[pair]!;
    for (let k = 0; k < shared.length; k += 2) {
      if (engine.lb[shared[k]!]! < 1 || engine.lb[shared[k + 1]!]! < 1) continue;
      engine.because(shared[k]!, 1);
      engine.because(shared[k + 1]!, 1);
      return;
    }
  }

  /** Neither way round is possible: the two cannot take the same thing. */
  private exclude(pair: number): boolean {
    const { engine } = this;
    const shared = this.shared[pair]!;
    for (let k = 0; k < shared.length; k++) {
      const other = shared[k ^ 1]!;
      if (engine.lb[shared[k]!]! < 1 || engine.lb[other ^ 1]! >= 0) continue;
      engine.openReason();
      this.becauseImpossible(pair * 2);
      this.becauseImpossible(pair * 2 + 1);
      engine.because(shared[k]!, 1);
      if (!engine.set(other ^ 1, 0, engine.closeReason())) return false;
    }
    return true;
  }
}
