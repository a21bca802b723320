import type { Engine, Propagator } from './engine';

/** A part of the cost that hangs on few variables. */
export type Term =
  /** A convex cost of one start: what its ready rows come to. */
  | {
      readonly kind: 'ready';
      readonly start: number;
      readonly cost: (start: number) => number;
      readonly best: readonly [number, number];
    }
  /** `cost` a minute of start(to) - start(from) above a lag. */
  | { readonly kind: 'soft'; readonly from: number; readonly to: number; readonly above: number; readonly cost: number }
  /** One of several choices, each with a cost; rising, the first one free. */
  | { readonly kind: 'choice'; readonly choices: readonly number[]; readonly costs: readonly number[] };

/**
 * The sum of all terms is at most the bound held by variable `total`. Pushes each variable so far that its term still fits
 * beside the least the others can cost. Reasons are given on demand, from the bounds as they stood then.
 */
export class Objective implements Propagator {
  private readonly least: Float64Array;
  private index = -1;

  constructor(
    private readonly engine: Engine,
    readonly terms: readonly Term[],
    private readonly total: number,
  ) {
    this.least = new Float64Array(terms.length);
  }

  attach(): void {
    const views = new Set<number>([2 * this.total + 1]);
    for (const term of this.terms) {
      switch (term.kind) {
        case 'ready':
          views.add(2 * term.start).add(2 * term.start + 1);
          break;
        case 'soft':
          views.add(2 * term.to).add(2 * term.from + 1);
          break;
        case 'choice':
          for (const choice of term.choices) views.add(2 * choice).add(2 * choice + 1);
      }
    }
    this.index = this.engine.addPropagator(this, views);
  }

  /** The least a term can cost with bounds read by `bound` (lower bounds of views). */
  private leastOf(term: Term, bound: (view: number) => number): number {
    switch (term.kind) {
      case 'ready': {
        const low = bound(2 * term.start);
        const high = -bound(2 * term.start + 1);
        if (low > term.best[1]) return term.cost(low);
        if (high < term.best[0]) return term.cost(high);
        return term.cost(Math.min(Math.max(term.best[0], low), high));
      }
      case 'soft':
        return term.cost * Math.max(0, bound(2 * term.to) + bound(2 * term.from + 1) - term.above);
      case 'choice': {
        // Costs rise: the first that is still open.
        for (let k = 0; k < term.choices.length; k++) if (bound(2 * term.choices[k]! + 1) < 0) return term.costs[k]!;
        return term.costs[term.costs.length - 1]!;
      }
    }
  }

  propagate(): boolean {
    const { engine, terms, least, total } = this;
    const { lb } = engine;
    const bound = (view: number) => lb[view]!;
    let sum = 0;
    for (let k = 0; k < terms.length; k++) {
      const cost = this.leastOf(terms[k]!, bound);
      least[k] = cost;
      sum += cost;
    }
    if (sum > lb[2 * total]! && !engine.set(2 * total, sum, engine.lazyReason(this.index, terms.length))) return false;
    const slack = -lb[2 * total + 1]! - sum;
    for (let k = 0; k < terms.length; k++) if (!this.push(k, least[k]! + slack)) return false;
    return true;
  }

  /** Pushes the variables of a term that may cost no more than `most`. */
  private push(k: number, most: number): boolean {
    const { engine } = this;
    const term = this.terms[k]!;
    const { lb } = engine;
    switch (term.kind) {
      case 'ready': {
        const view = 2 * term.start;
        const low = lb[view]!;
        const high = -lb[view + 1]!;
        if (high > term.best[1] && term.cost(high) > most) {
          const value = lastWithin(Math.max(low, term.best[1]), high, (start) => term.cost(start) <= most);
          if (!engine.set(view + 1, -value, engine.lazyReason(this.index, k))) return false;
        }
        if (low < term.best[0] && term.cost(low) > most) {
          const value = -lastWithin(-Math.min(high, term.best[0]), -low, (start) => term.cost(-start) <= most);
          if (!engine.set(view, value, engine.lazyReason(this.index, k))) return false;
        }
        return true;
      }
      case 'soft': {
        const room = term.above + Math.floor(most / term.cost);
        const latest = room - lb[2 * term.from + 1]!;
        if (latest < -lb[2 * term.to + 1]! && !engine.set(2 * term.to + 1, -latest, engine.lazyReason(this.index, k))) {
          return false;
        }
        const soonest = lb[2 * term.to]! - room;
        return soonest <= lb[2 * term.from]! || engine.set(2 * term.from, soonest, engine.lazyReason(this.index, k));
      }
      case 'choice': {
        for (let c = term.choices.length - 1; c >= 0 && term.costs[c]! > most; c--) {
          const view = 2 * term.choices[c]! + 1;
          if (lb[view]! >= 0) continue;
          if (!engine.set(view, 0, engine.lazyReason(this.index, k))) return false;
        }
        return true;
      }
    }
  }

  explain(payload: number, view: number, value: number, at: number): void {
    const { engine, terms, total } = this;
    const bound = (of: number) => engine.boundAt(of, at);
    if (payload === terms.length) {
      this.explainSum(-1, value, bound);
      return;
    }
    // The term's own variable pushed one short of this would cost too much.
    const ceiling = -bound(2 * total + 1);
    const term = terms[payload]!;
    const own = this.costBeyond(term, view, value, bound);
    engine.addConflict(2 * total + 1, -ceiling);
    this.explainSum(payload, ceiling + 1 - own, bound);
  }

  /** What a term would cost at least if (view, value) did not hold; tells the bounds this rests on. */
  private costBeyond(term: Term, view: number, value: number, bound: (view: number) => number): number {
    switch (term.kind) {
      case 'ready':
        return term.cost(view & 1 ? 1 - value : value - 1);
      case 'soft': {
        const other = view === 2 * term.from ? 2 * term.to : 2 * term.from + 1;
        const held = bound(other);
        this.engine.addConflict(other, held);
        return term.cost * Math.max(0, held + 1 - value - term.above);
      }
      case 'choice':
        return term.costs[term.choices.indexOf(view >> 1)]!;
    }
  }

  /** Tells bounds by which the terms, without one, cost at least `required` together; as few and as weak as is easy. */
  private explainSum(without: number, required: number, bound: (view: number) => number): void {
    const { terms } = this;
    const costs = this.least;
    let surplus = -required;
    for (let k = 0; k < terms.length; k++) {
      if (k === without) continue;
      costs[k] = this.leastOf(terms[k]!, bound);
      surplus += costs[k]!;
    }
    for (let k = 0; k < terms.length; k++) {
      if (k === without || costs[k] === 0) continue;
      const term = terms[k]!;
      const floor = this.floorOf(term);
      if (costs[k]! - floor <= 0) continue;
      if (costs[k]! - floor <= surplus) {
        surplus -= costs[k]! - floor;
        continue;
      }
      surplus -= this.tellTerm(term, costs[k]!, surplus, bound);
    }
  }

  /** What a term costs whatever the bounds. */
  private floorOf(term: Term): number {
    if (term.kind === 'ready') return term.cost(term.best[0]);
    return term.kind === 'choice' ? term.costs[0]! : 0;
  }

  /** Tells why a term costs what it does, as weakly as the surplus allows; returns the surplus used up. */
  private tellTerm(term: Term, cost: number, surplus: number, bound: (view: number) => number): number {
    const { engine } = this;
    switch (term.kind) {
      case 'ready': {
        const view = 2 * term.start;
        const low = bound(view);
        if (low > term.best[1]) {
          const value = -lastWithin(-low, -term.best[1], (start) => term.cost(-start) >= cost - surplus);
          engine.addConflict(view, value);
          return cost - term.cost(value);
        }
        const high = -bound(view + 1);
        const value = lastWithin(high, term.best[0], (start) => term.cost(start) >= cost - surplus);
        engine.addConflict(view + 1, -value);
        return cost - term.cost(value);
      }
      case 'soft': {
        const spare = Math.floor(surplus / term.cost);
        engine.addConflict(2 * term.to, bound(2 * term.to) - spare);
        engine.addConflict(2 * term.from + 1, bound(2 * term.from + 1));
        return spare * term.cost;
      }
      case 'choice': {
        for (let c = 0; c < term.choices.length && term.costs[c]! < cost; c++) {
          engine.addConflict(2 * term.choices[c]! + 1, 0);
        }
        return 0;
      }
    }
  }
}

/** The last whole number from `low` to `high` for which `fits` holds; it holds at `low` and, once it fails, fails on. */
function lastWithin(low: number, high: number, fits: (value: number) => boolean): number {
  let good = low;
  let bad = high + 1;
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2);
    if (fits(middle)) good = middle;
    else bad = middle;
  }
  return good;
}
