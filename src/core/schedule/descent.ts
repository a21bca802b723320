import type { Draft, Snapshot } from './draft';
import { type Indexed, NO_LAG } from './indexed';
import { noisyOrder, placeAll } from './list';
import { type Placement, placementOf, snapshotOf } from './placement';
import type { Random } from './random';
import { Retiming } from './retime';

/** Share of the cost by which a list schedule may be worse than the present one and still be worth an exact timing. */
const WORTH_TIMING = 1;
/** How much worse a plan may be and still be taken as likely as not, in shares of a step's cost: as a cycle begins, and as it ends. */
const WARMEST = 2.5;
const COOLEST = 0.08;
const COLD = 0.3;
/** Rounds of the first cycle by the number of steps; each cycle is twice as long as the one before. */
const FIRST_CYCLE = 15;

/**
 * Improvement of a full draft by taking some steps out and listing them in again, where every promising plan gets its exact timing
 * (large-neighbourhood search over list schedules, cooled like annealing in longer and longer cycles). Ends a round at a time, so that the
 * caller can stop it.
 */
export class Descent {
  private readonly retiming: Retiming;
  private current: Snapshot;
  private currentCost: number;
  private cycle: number;
  private inCycle = 0;
  best: Snapshot;
  bestCost: number;

  constructor(
    private readonly p: Indexed,
    private readonly draft: Draft,
    private readonly ideal: Int32Array,
    private readonly dishes: readonly (readonly number[])[],
    private readonly random: Random,
  ) {
    this.retiming = new Retiming(p);
    this.cycle = FIRST_CYCLE * p.n;
    this.current = draft.snapshot();
    this.currentCost = draft.cost();
    this.best = this.current;
    this.bestCost = this.currentCost;
  }

  /** Whether a cycle has just come to its end: nothing worse is taken any more, and the next begins warm again. */
  get isCold(): boolean {
    return this.inCycle === 0;
  }

  /** Rounds of the cycle under way. */
  get cycleRounds(): number {
    return this.cycle;
  }

  /** Goes on from a better plan that was found elsewhere. */
  adopt(snapshot: Snapshot): void {
    if (snapshot === this.current) return;
    this.draft.restore(snapshot);
    this.current = snapshot;
    this.currentCost = this.draft.cost();
    this.best = snapshot;
    this.bestCost = this.currentCost;
  }

  /** A placement with its best starts. */
  retimed(placement: Placement, cost: number): Placement {
    const better = this.retiming.better(snapshotOf(this.p, placement), cost);
    return better ? placementOf(this.p, better) : placement;
  }

  /** One round; whether it found a new best. */
  round(): boolean {
    const { draft, random, p } = this;
    const temperature = this.cool();
    const free = this.pick();
    for (const i of free) draft.remove(i);
    const order = noisyOrder(p, this.ideal, free, random.below(4) * 15, random);
    const placed = placeAll(draft, free, order, 6 * free.length + 20, random);
    let cost = placed ? draft.cost() : Number.POSITIVE_INFINITY;
    if (cost > this.currentCost * (1 + WORTH_TIMING)) {
      draft.restore(this.current);
      return false;
    }
    let snapshot = draft.snapshot();
    const timed = this.retiming.better(snapshot, cost);
    if (timed) {
      draft.restore(timed);
      snapshot = timed;
      cost = draft.cost();
    }
    if (cost > this.currentCost && random.next() >= Math.exp((this.currentCost - cost) / temperature)) {
      draft.restore(this.current);
      return false;
    }
    this.retiming.accept();
    this.current = snapshot;
    this.currentCost = cost;
    if (cost >= this.bestCost) return false;
    this.best = snapshot;
    this.bestCost = cost;
    return true;
  }

  /** The temperature of this round; a new cycle begins from the best plan, twice as long. */
  private cool(): number {
    const share = this.inCycle / this.cycle;
    const temperature = Math.max(COLD, (this.bestCost / this.p.n) * WARMEST * (COOLEST / WARMEST) ** share);
    this.inCycle++;
    if (this.inCycle >= this.cycle) {
      this.inCycle = 0;
      this.cycle *= 2;
      if (this.bestCost < this.currentCost) this.adopt(this.best);
    }
    return temperature;
  }

  /** Some dishes, a step with all it is linked to, or most of what happens in a stretch of time. */
  private pick(): number[] {
    const { p, draft, random, dishes } = this;
    const kind = random.next();
    const free = new Set<number>();
    if (kind < 0.55) {
      const count = 1 + random.below(Math.min(4, dishes.length));
      for (let c = 0; c < count; c++) for (const i of dishes[random.below(dishes.length)]!) free.add(i);
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
}
