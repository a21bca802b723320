import type { Indexed } from '@/core/schedule/indexed';
import { ALWAYS, type Engine } from './engine';
import type { Pairs } from './pairs';
import { Timing } from './timing';

/** What is looked at of the model whose leaf it is. */
export interface LeafModel {
  readonly p: Indexed;
  readonly engine: Engine;
  readonly pairs: Pairs;
  /** Part of the cost that no choice changes, and the variable of the whole cost. */
  readonly base: number;
  readonly total: number;
  startOf(step: number): number;
  leastChoices(): number;
  conflictBecauseOfChoices(): void;
}

/**
 * When the orders and choices are made, the best starts for them are found at once: either they cost too much, and the orders
 * that the cost rests on are the conflict, or the search is led straight to them.
 */
export class LeafTiming {
  private readonly timing: Timing;
  private readonly fixedRules: number;
  private readonly awake: number;
  private readonly pairOfRule: number[] = [];

  constructor(private readonly model: LeafModel) {
    const { p } = model;
    this.awake = 1 + p.n;
    const timing = Timing.of(p);
    this.timing = timing;
    this.fixedRules = timing.ruleCount;
  }

  /** False when no starts under the present orders are cheap enough: the engine holds the conflict. */
  check(lead: boolean): boolean {
    const { model, timing } = this;
    const { engine, pairs, p } = model;
    timing.keepRules(this.fixedRules);
    this.pairOfRule.length = 0;
    for (let step = 0; step < p.n; step++) {
      const view = 2 * model.startOf(step);
      timing.changeLag(2 * step, engine.rootBound(view));
      timing.changeLag(2 * step + 1, engine.rootBound(view + 1));
    }
    for (let pair = 0; pair < pairs.count; pair++) {
      const way = pairs.decided(pair);
      if (way < 0) continue;
      const row = pair * 2 + way;
      const before = pairs.beforeOf(row) >> 1;
      const after = pairs.afterOf(row) >> 1;
      // The constant stands at 1, node 0 at minute 0.
      const shift = (before === ALWAYS ? 1 : 0) - (after === ALWAYS ? 1 : 0);
      timing.addRule(before, after, pairs.lagOf(row) + shift);
      this.pairOfRule.push(row);
    }
    timing.start[0] = 0;
    let first = Number.POSITIVE_INFINITY;
    for (let step = 0; step < p.n; step++) {
      const at = engine.phase[model.startOf(step)]!;
      timing.start[1 + step] = at;
      if (p.awakeOf[step]) first = Math.min(first, at);
    }
    timing.start[this.awake] = Number.isFinite(first) ? first : 0;
    const least = timing.solve();
    if (least === null) return true;
    const cost = least + model.leastChoices() - model.base;
    const ceiling = -engine.lb[2 * model.total + 1]!;
    if (cost > ceiling) {
      engine.beginConflict();
      engine.addConflict(2 * model.total + 1, -ceiling);
      this.pairOfRule.forEach((row, k) => {
        if (timing.restsOn(this.fixedRules + k)) pairs.conflictBecause(row >> 1, row & 1);
      });
      model.conflictBecauseOfChoices();
      return false;
    }
    if (lead) for (let step = 0; step < p.n; step++) engine.phase[model.startOf(step)] = timing.start[1 + step]!;
    return true;
  }
}
