import type { Engine, Propagator } from './engine';

/** A step that takes part of a resource: the view of its start, its minutes, how much it takes. */
export interface Work {
  readonly start: number;
  readonly minutes: number;
  readonly amount: number;
}

/**
 * How late the first of several pieces of work can begin: what must be over by a minute needs its room before that minute. A
 * variable `first` stands at or before all of them; its upper bound falls by the energy of the work (after Baptiste, Le Pape,
 * Nuijten 2001), for each deadline t: first <= t - energy(work that ends by t) / capacity.
 */
export class FirstStart implements Propagator {
  private readonly order: Int32Array;

  constructor(
    private readonly engine: Engine,
    private readonly first: number,
    private readonly work: readonly Work[],
    private readonly capacity: number,
  ) {
    this.order = Int32Array.from(work, (_, k) => k);
  }

  views(): number[] {
    return this.work.map(({ start }) => start ^ 1);
  }

  propagate(): boolean {
    const { engine, work, order, capacity } = this;
    const latestEnd = (k: number) => work[k]!.minutes - engine.lb[work[k]!.start ^ 1]!;
    // Nearly sorted from the time before: insertion is quick.
    for (let i = 1; i < order.length; i++) {
      const k = order[i]!;
      const end = latestEnd(k);
      let j = i - 1;
      for (; j >= 0 && latestEnd(order[j]!) > end; j--) order[j + 1] = order[j]!;
      order[j + 1] = k;
    }
    let energy = 0;
    let best = Number.POSITIVE_INFINITY;
    let bestAt = -1;
    for (let i = 0; i < order.length; i++) {
      const { minutes, amount } = work[order[i]!]!;
      energy += minutes * amount;
      const bound = latestEnd(order[i]!) - Math.ceil(energy / capacity);
      if (bound < best) {
        best = bound;
        bestAt = i;
      }
    }
    const view = 2 * this.first + 1;
    if (bestAt < 0 || engine.lb[view]! >= -best) return true;
    const deadline = latestEnd(order[bestAt]!);
    engine.openReason();
    for (let i = 0; i <= bestAt; i++) {
      const { start, minutes } = work[order[i]!]!;
      engine.because(start ^ 1, minutes - deadline);
    }
    return engine.set(view, -best, engine.closeReason());
  }
}
