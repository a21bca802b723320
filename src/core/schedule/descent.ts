import type { Draft } from './draft';
import { type Indexed, NO_LAG } from './indexed';
import { noisyOrder, placeAll } from './list';
import type { Random } from './random';

/**
 * Quick improvement of a full draft by taking some steps out and listing them in again (large-neighbourhood search over list
 * schedules, cooled like annealing). Ends a round at a time, so that the caller can stop it.
 */
export class Descent {
  private current: ReturnType<Draft['snapshot']>;
  private currentCost: number;
  private temperature: number;
  best: ReturnType<Draft['snapshot']>;
  bestCost: number;

  constructor(
    private readonly p: Indexed,
    private readonly draft: Draft,
    private readonly ideal: Int32Array,
    private readonly dishes: readonly (readonly number[])[],
    private readonly random: Random,
  ) {
    this.current = draft.snapshot();
    this.currentCost = draft.cost();
    this.best = this.current;
    this.bestCost = this.currentCost;
    this.temperature = Math.max(1, this.currentCost * 0.02);
  }

  /** Goes on from a better plan that was found elsewhere. */
  adopt(snapshot: ReturnType<Draft['snapshot']>): void {
    this.draft.restore(snapshot);
    this.current = snapshot;
    this.currentCost = this.draft.cost();
    this.best = snapshot;
    this.bestCost = this.currentCost;
  }

  /** One round; whether it found a new best. */
  round(): boolean {
    const { draft, random, p } = this;
    const free = this.pick();
    for (const i of free) draft.remove(i);
    const order = noisyOrder(p, this.ideal, free, random.below(4) * 15, random);
    const placed = placeAll(draft, free, order, 6 * free.length + 20, random);
    const cost = placed ? draft.cost() : Number.POSITIVE_INFINITY;
    this.temperature = Math.max(0.3, this.temperature * 0.999);
    const worth = cost <= this.currentCost || random.next() < Math.exp((this.currentCost - cost) / this.temperature);
    if (!placed || !worth) {
      draft.restore(this.current);
      return false;
    }
    this.current = draft.snapshot();
    this.currentCost = cost;
    if (cost >= this.bestCost) return false;
    this.best = this.current;
    this.bestCost = cost;
    return true;
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
