import type { Engine, Propagator } from './engine';
import type { Use } from './uses';

/** Minutes [from, to) over which a resource has less to give, by an amount, for reasons outside the search. */
export interface Shortage {
  readonly from: number;
  readonly to: number;
  readonly amount: number;
}

/**
 * A resource that serves several uses at once, up to its capacity: timetable reasoning with point-wise explanations
 * (Schutt, Feydy, Stuckey, Wallace 2009). Uses may be as long as the search makes them, and may depend on a choice.
 */
export class Timetable implements Propagator {
  private readonly count: number;
  /** Start, end and height of the parts of the profile. */
  private readonly cuts: Int32Array;
  private readonly heights: Int32Array;
  private pieces = 0;
  private highest = 0;
  private readonly least: number;
  // Made once: this runs often.
  private readonly toReason: (view: number, value: number) => void;
  private readonly toConflict: (view: number, value: number) => void;

  constructor(
    private readonly engine: Engine,
    private readonly uses: readonly Use[],
    private readonly capacity: number,
    private readonly shortages: readonly Shortage[],
    private readonly horizon: number,
  ) {
    this.count = uses.length;
    this.cuts = new Int32Array(2 * (this.count + shortages.length) + 2);
    this.heights = new Int32Array(this.cuts.length);
    this.least = uses.reduce((low, { amount }) => Math.min(low, amount), capacity + 1);
    this.toReason = (view, value) => engine.because(view, value);
    this.toConflict = (view, value) => engine.addConflict(view, value);
  }

  views(): number[] {
    return this.uses.flatMap(({ from, to, choice }) => [from ^ 1, from, to, to ^ 1, choice]);
  }

  private mustFrom(use: Use): number {
    return -this.engine.lb[use.from ^ 1]!;
  }

  private mustTo(use: Use): number {
    return Math.min(this.horizon, this.engine.lb[use.to]! + use.tail);
  }

  private isReal(use: Use): boolean {
    return this.engine.lb[use.choice]! >= 1;
  }

  private build(): void {
    const { uses, shortages, cuts, heights } = this;
    let size = 0;
    for (const use of uses) {
      const from = this.mustFrom(use);
      const to = this.mustTo(use);
      if (from >= to || !this.isReal(use)) continue;
      cuts[size++] = from;
      cuts[size++] = to;
    }
    for (const { from, to } of shortages) {
      cuts[size++] = from;
      cuts[size++] = to;
    }
    const sorted = cuts.subarray(0, size).sort();
    let pieces = 0;
    for (let k = 0; k < size; k++) if (pieces === 0 || sorted[k]! !== cuts[pieces - 1]!) cuts[pieces++] = sorted[k]!;
    this.pieces = Math.max(0, pieces - 1);
    heights.fill(0, 0, this.pieces);
    for (const use of uses) {
      const from = this.mustFrom(use);
      const to = this.mustTo(use);
      if (from < to && this.isReal(use)) this.raise(from, to, use.amount);
    }
    for (const { from, to, amount } of shortages) this.raise(from, to, amount);
    this.highest = 0;
    for (let k = 0; k < this.pieces; k++) if (heights[k]! > this.highest) this.highest = heights[k]!;
  }

  /** The first piece that begins at or after a minute. */
  private pieceFrom(minute: number): number {
    const { cuts } = this;
    let low = 0;
    let high = this.pieces;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (cuts[middle]! < minute) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private raise(from: number, to: number, amount: number): void {
    const { cuts, heights } = this;
    for (let k = this.pieceFrom(from); k < this.pieces && cuts[k]! < to; k++) heights[k] = heights[k]! + amount;
  }

  propagate(): boolean {
    this.build();
    const { cuts, heights, capacity, pieces } = this;
    for (let k = 0; k < pieces; k++) {
      if (heights[k]! <= capacity || !this.hasUse(cuts[k]!)) continue;
      this.engine.beginConflict();
      this.why(cuts[k]!, capacity + 1, null, this.toConflict);
      return false;
    }
    if (this.highest + this.least <= capacity) return true;
    for (const use of this.uses) if (!this.push(use)) return false;
    return true;
  }

  /** Whether something of the search, not only shortages, takes part at a minute. */
  private hasUse(minute: number): boolean {
    return this.uses.some((use) => this.covers(use, minute));
  }

  private covers(use: Use, minute: number): boolean {
    return this.isReal(use) && this.mustFrom(use) <= minute && minute < this.mustTo(use);
  }

  /** Tells which uses take at least `amount` at a minute, together with the shortages; without one use. */
  private why(minute: number, amount: number, without: Use | null, tell: (view: number, value: number) => void): void {
    let left = amount;
    for (const { from, to, amount: short } of this.shortages) if (from <= minute && minute < to) left -= short;
    for (const use of this.uses) {
      if (left <= 0) return;
      if (use === without || !this.covers(use, minute)) continue;
      tell(use.from ^ 1, -minute);
      tell(use.to, minute + 1 - use.tail);
      tell(use.choice, 1);
      left -= use.amount;
    }
  }

  private push(use: Use): boolean {
    const { engine, cuts, heights, capacity, pieces } = this;
    if (engine.lb[use.choice ^ 1]! >= 0) return true;
    // What stands where it stands is in the profile already.
    if (
      engine.lb[use.choice]! >= 1 &&
      engine.lb[use.from]! === -engine.lb[use.from ^ 1]! &&
      engine.lb[use.to]! === -engine.lb[use.to ^ 1]!
    ) {
      return true;
    }
    const real = this.isReal(use);
    const tell = this.toReason;
    // Upwards: from the first piece that its earliest stretch meets.
    for (let k = Math.max(0, this.pieceFrom(engine.lb[use.from]! + 1) - 1); k < pieces; k++) {
      const from = engine.lb[use.from]!;
      const must = this.mustFrom(use);
      const soonest = this.mustTo(use);
      if (cuts[k]! >= soonest) break;
      if (cuts[k + 1]! <= from || heights[k]! + use.amount <= capacity) continue;
      // Where it must be anyway the profile counts it already.
      const own = real && must <= cuts[k]! && cuts[k]! < soonest;
      if (own) continue;
      const minute = Math.min(cuts[k + 1]!, soonest) - 1;
      if (minute < from) continue;
      if (!real) {
        if (must > minute) continue;
        engine.openReason();
        this.why(minute, capacity - use.amount + 1, use, tell);
        tell(use.from ^ 1, -minute);
        tell(use.to, minute + 1 - use.tail);
        return engine.set(use.choice ^ 1, 0, engine.closeReason());
      }
      engine.openReason();
      this.why(minute, capacity - use.amount + 1, use, tell);
      tell(use.to, minute + 1 - use.tail);
      tell(use.choice, 1);
      if (!engine.set(use.from, minute + 1, engine.closeReason())) return false;
      if (minute + 1 < cuts[k + 1]!) k--;
    }
    if (!real) return true;
    const end = Math.min(this.horizon, -engine.lb[use.to ^ 1]! + use.tail);
    for (let k = Math.min(pieces, this.pieceFrom(end)) - 1; k >= 0; k--) {
      const until = Math.min(this.horizon, -engine.lb[use.to ^ 1]! + use.tail);
      const must = this.mustFrom(use);
      const soonest = this.mustTo(use);
      if (cuts[k + 1]! <= must) break;
      if (cuts[k]! >= until || heights[k]! + use.amount <= capacity) continue;
      const own = must <= cuts[k]! && cuts[k]! < soonest;
      if (own) continue;
      const minute = Math.max(cuts[k]!, must);
      if (minute >= until) continue;
      engine.openReason();
      this.why(minute, capacity - use.amount + 1, use, tell);
      tell(use.from ^ 1, -minute);
      tell(use.choice, 1);
      // It must end by that minute.
      if (!engine.set(use.to ^ 1, -(minute - use.tail), engine.closeReason())) return false;
      if (minute > cuts[k]!) k++;
    }
    return true;
  }
}
