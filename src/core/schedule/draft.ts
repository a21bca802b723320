import { copiesOf } from './copies';
import { type Indexed, type Need, NO_LAG } from './indexed';
import type { Random } from './random';

/** A copy of the placed starts (minutes, by step) and choices (positions, by need), to go back to. */
export interface Snapshot {
  readonly start: Int32Array;
  readonly choice: Int32Array;
}

interface Spot {
  readonly at: number;
  readonly cost: number;
  readonly picks: readonly number[];
}

const AWAY = -1;
const MOST_COMBINATIONS = 48;

/**
 * A schedule being built: some steps are placed, with every rule among the placed ones kept at all times. Resource
 * use is held minute by minute, which makes looking for room a short scan.
 */
export class Draft {
  readonly start: Int32Array;
  /** For each need the position of its alternative, -1 while open. */
  readonly choice: Int32Array;
  private readonly unitUse: readonly Int32Array[];
  private readonly poolFree: readonly Int32Array[];
  private readonly stateUsers: readonly Set<number>[];
  /** The first placed start that counts as being awake, `serve` when there is none; -1 when it must be looked up. */
  private awake = -1;
  private readonly copies: Int32Array;
  /** How many intervals each unit is taken for. */
  private readonly takenFor: Int32Array;
  /** Moves on with each list of combinations that had to be cut, so that none is left out for ever. */
  private turn = 0;

  constructor(
    private readonly p: Indexed,
    private readonly ideal: Int32Array,
  ) {
    const { problem, horizon } = p;
    this.start = new Int32Array(p.n).fill(-1);
    this.choice = new Int32Array(p.needs.length).fill(-1);
    this.unitUse = problem.units.map((unit) => {
      const use = new Int32Array(horizon);
      for (const [from, to] of unit.away ?? []) use.fill(AWAY, Math.max(0, from), Math.max(0, Math.min(to, horizon)));
      return use;
    });
    this.poolFree = problem.pools.map((pool) => {
      const free = new Int32Array(horizon).fill(pool.capacity);
      for (const [from, to, by] of pool.away ?? []) {
        for (let t = Math.max(0, from); t < Math.min(to, horizon); t++) free[t] = free[t]! - by;
      }
      for (let t = 0; t < horizon; t++) if (free[t]! < 0) free[t] = 0;
      return free;
    });
    this.stateUsers = problem.states.map(() => new Set<number>());
    this.copies = copiesOf(p);
    this.takenFor = new Int32Array(problem.units.length);
  }

  isPlaced(step: number): boolean {
    return this.start[step]! >= 0;
  }

  snapshot(): Snapshot {
    return { start: this.start.slice(), choice: this.choice.slice() };
  }

  restore(snapshot: Snapshot): void {
    for (let i = 0; i < this.p.n; i++) {
      if (this.start[i]! >= 0 && !this.sameAs(snapshot, i)) this.remove(i);
    }
    for (let i = 0; i < this.p.n; i++) {
      if (this.start[i]! < 0 && snapshot.start[i]! >= 0) {
        const open = this.completedBy(i);
        this.put(
          i,
          snapshot.start[i]!,
          open,
          open.map((need) => snapshot.choice[need.index]!),
        );
      }
    }
  }

  private sameAs(snapshot: Snapshot, step: number): boolean {
    if (snapshot.start[step] !== this.start[step]) return false;
    return this.p.needsOf[step]!.every((need) => snapshot.choice[need.index] === this.choice[need.index]);
  }

  /** Places a step at its cheapest room beside what is placed, or at the room next to `near`; false when there is none. */
  insert(step: number, near?: number): boolean {
    const low = this.windowLow(step);
    const high = this.windowHigh(step);
    if (low > high) return false;
    const open = this.completedBy(step);
    const spot = this.bestSpot(step, open, low, high, near);
    if (!spot) return false;
    this.put(step, spot.at, open, spot.picks);
    return true;
  }

  /** Places a step at the room next to some minute of its window; false when there is none. */
  insertSomewhere(step: number, random: Random): boolean {
    const low = this.windowLow(step);
    const high = this.windowHigh(step);
    return low <= high && this.insert(step, low + random.below(high - low + 1));
  }

  /** Takes out every step that may be neither much sooner nor much later than this one; returns those that stood. */
  removeJoined(step: number): number[] {
    const { n, lag } = this.p;
    const joined: number[] = [];
    for (let k = 0; k < n; k++) {
      const bound = lag[step * n + k]! > NO_LAG && lag[k * n + step]! > NO_LAG;
      if (k === step || !bound || this.start[k]! < 0) continue;
      this.remove(k);
      joined.push(k);
    }
    return joined;
  }

  /** Places a step just there with the given choices if every rule allows it; otherwise leaves it out. */
  insertAt(step: number, at: number, choice: Int32Array): boolean {
    if (at < this.windowLow(step) || at > this.windowHigh(step)) return false;
    const open = this.completedBy(step);
    const picks = open.map((need) => choice[need.index]!);
    const allowed = open.every(
      (need, depth) => picks[depth]! >= 0 && this.mayPick(need, picks[depth]!, open, picks, depth),
    );
    if (!allowed || this.roomBelow(step, open, picks, at, at) !== at) return false;
    this.put(step, at, open, picks);
    return true;
  }

  /**
   * Makes room for a step that has none: either it stands where the resources allow and the steps whose lags then
   * break are taken out, or it stands within its lags and those in its way are taken out. Returns the steps taken
   * out, or null when nothing can be done.
   */
  insertByEjection(step: number, random: Random): number[] | null {
    const open = this.completedBy(step);
    const low = this.windowLow(step);
    const high = this.windowHigh(step);
    if (random.next() < 0.7) {
      const ejected = this.shiftPast(step, open, low, high, random);
      if (ejected) return ejected;
    }
    return this.pushAside(step, open, low, high, random) ?? this.shiftPast(step, open, low, high, random);
  }

  remove(step: number): void {
    const { p } = this;
    const at = this.start[step]!;
    if (at < 0) return;
    for (const need of p.needsOf[step]!) {
      const pick = this.choice[need.index]!;
      if (pick < 0) continue;
      this.paint(need, need.units[pick]!, 0);
      this.choice[need.index] = -1;
    }
    const end = at + p.minutes[step]!;
    for (const { pool, amount } of p.poolsOf[step]!) {
      const free = this.poolFree[pool]!;
      for (let t = at; t < end; t++) free[t] = free[t]! + amount;
    }
    const state = p.stateOf[step];
    if (state) this.stateUsers[state.state]!.delete(step);
    if (p.awakeOf[step] && at === this.awake) this.awake = -1;
    this.start[step] = -1;
  }

  private put(step: number, at: number, open: readonly Need[], picks: readonly number[]): void {
    const { p } = this;
    this.start[step] = at;
    if (p.awakeOf[step] && at < this.awake) this.awake = at;
    open.forEach((need, index) => {
      this.choice[need.index] = picks[index]!;
      this.paint(need, need.units[picks[index]!]!, need.index + 1);
    });
    const end = at + p.minutes[step]!;
    for (const { pool, amount } of p.poolsOf[step]!) {
      const free = this.poolFree[pool]!;
      for (let t = at; t < end; t++) free[t] = free[t]! - amount;
    }
    const state = p.stateOf[step];
    if (state) this.stateUsers[state.state]!.add(step);
  }

  private paint(need: Need, unit: number, value: number): void {
    const { p } = this;
    const from = this.start[need.from]!;
    const end = this.start[need.to]! + p.minutes[need.to]! + need.after;
    if (need.from === need.to && p.minutes[need.to] === 0 && need.after === 0) return;
    const use = this.unitUse[unit]!;
    this.takenFor[unit]! += value > 0 ? 1 : -1;
    for (let t = from; t < Math.min(end, p.horizon); t++) use[t] = value;
  }

  /** Needs that have a known interval once this step is placed. */
  private completedBy(step: number): readonly Need[] {
    return this.p.needsOf[step]!.filter((need) => {
      const other = need.from === step ? need.to : need.from;
      return other === step || this.start[other]! >= 0;
    });
  }

  private windowLow(step: number): number {
    const { n, lag, earliest } = this.p;
    let low = earliest[step]!;
    for (let k = 0; k < n; k++) {
      const at = this.start[k]!;
      if (at < 0) continue;
      const ahead = lag[k * n + step]!;
      if (ahead > NO_LAG && at + ahead > low) low = at + ahead;
    }
    return low;
  }

  private windowHigh(step: number): number {
    const { n, lag, latest } = this.p;
    let high = latest[step]!;
    for (let k = 0; k < n; k++) {
      const at = this.start[k]!;
      if (at < 0) continue;
      const behind = lag[step * n + k]!;
      if (behind > NO_LAG && at - behind < high) high = at - behind;
    }
    return high;
  }

  /** The cost this step adds at a start, given what is placed; convex in the start. */
  private localCost(step: number, at: number): number {
    const { p } = this;
    const end = at + p.minutes[step]!;
    let cost = 0;
    for (const row of p.readyOf[step]!) {
      const slip = end - row.by;
      cost += slip > 0 ? row.late * slip : row.early * Math.max(0, -slip - row.hold);
    }
    for (const soft of p.softOf[step]!) {
      const from = soft.from === step ? at : this.start[soft.from]!;
      const to = soft.to === step ? at : this.start[soft.to]!;
      if (from >= 0 && to >= 0) cost += soft.cost * Math.max(0, to - from - soft.above);
    }
    if (p.awakeOf[step]) cost += p.awakeCost * Math.max(0, this.firstAwake() - at);
    return cost;
  }

  private firstAwake(): number {
    const { p } = this;
    if (this.awake >= 0) return this.awake;
    let first = p.problem.serve;
    for (let k = 0; k < p.n; k++)
      if (p.awakeOf[k] && this.start[k]! >= 0 && this.start[k]! < first) first = this.start[k]!;
    this.awake = first;
    return first;
  }

  /** The start with the least local cost in the window, the nearest to the ideal among equals. */
  private favourite(step: number, low: number, high: number): number {
    const { p } = this;
    const minutes = p.minutes[step]!;
    const turns = [low, high, this.ideal[step]!];
    for (const row of p.readyOf[step]!) turns.push(row.by - minutes, row.by - row.hold - minutes);
    for (const soft of p.softOf[step]!) {
      const other = soft.from === step ? soft.to : soft.from;
      if (this.start[other]! < 0 || other === step) continue;
      turns.push(soft.from === step ? this.start[other]! - soft.above : this.start[other]! + soft.above);
    }
    if (p.awakeOf[step]) turns.push(this.firstAwake());
    let best = low;
    let bestCost = Number.POSITIVE_INFINITY;
    let bestAway = 0;
    for (const turn of turns) {
      const at = Math.min(high, Math.max(low, turn));
      const cost = this.localCost(step, at);
      const away = Math.abs(at - this.ideal[step]!);
      if (cost < bestCost || (cost === bestCost && away < bestAway)) {
        best = at;
        bestCost = cost;
        bestAway = away;
      }
    }
    return best;
  }

  private bestSpot(step: number, open: readonly Need[], low: number, high: number, near?: number): Spot | null {
    const favourite = near === undefined ? this.favourite(step, low, high) : Math.min(high, Math.max(low, near));
    let best: Spot | null = null;
    for (const picks of this.combinationsWithin(step, open, low, high)) {
      const fixed = open.reduce((sum, need, index) => sum + need.costs[picks[index]!]!, 0);
      const down = this.roomBelow(step, open, picks, favourite, low);
      const up = down === favourite ? -1 : this.roomAbove(step, open, picks, favourite, high);
      for (const at of [down, up]) {
        if (at < 0) continue;
        const cost = fixed + this.localCost(step, at);
        const closer = best && Math.abs(at - this.ideal[step]!) < Math.abs(best.at - this.ideal[step]!);
        if (!best || cost < best.cost || (cost === best.cost && closer)) best = { at, cost, picks };
      }
    }
    return best;
  }

  /** The combinations of which each pick has, by itself, some room for the step between two starts. */
  private combinationsWithin(step: number, open: readonly Need[], low: number, high: number) {
    const many = open.reduce((product, need) => product * need.units.length, 1) > MOST_COMBINATIONS;
    if (!many || open.length < 2) return this.combinations(open);
    return this.combinations(open, (need, pick) => this.roomBelow(step, [need], [pick], high, low) >= 0);
  }

  /** Picks for the open needs that break no forbidden pair and take different units; at most a few dozen, in turn. */
  private combinations(
    open: readonly Need[],
    mayServe: (need: Need, pick: number) => boolean = () => true,
  ): readonly (readonly number[])[] {
    let combos: number[][] = [[]];
    open.forEach((need, depth) => {
      const longer: number[][] = [];
      const serving = Array.from(need.units, (_, pick) => pick).filter((pick) => mayServe(need, pick));
      for (const combo of combos) {
        const fresh = new Set<number>();
        for (const pick of serving) {
          if (!this.mayPick(need, pick, open, combo, depth)) continue;
          const unit = need.units[pick]!;
          if (this.takenFor[unit] === 0) {
            // Of equal pots in the cupboard one is enough.
            if (fresh.has(this.copies[unit]!)) continue;
            fresh.add(this.copies[unit]!);
          }
          longer.push([...combo, pick]);
        }
      }
      combos = longer.length > MOST_COMBINATIONS ? this.spread(longer) : longer;
    });
    return combos;
  }

  /** A few dozen of many combinations, evenly from the whole list, the next time others. */
  private spread<T>(list: readonly T[]): T[] {
    const step = list.length / MOST_COMBINATIONS;
    const first = this.turn++ % Math.ceil(step);
    return Array.from({ length: MOST_COMBINATIONS }, (_, k) => list[Math.floor(k * step + first) % list.length]!);
  }

  private mayPick(need: Need, pick: number, open: readonly Need[], combo: readonly number[], depth: number): boolean {
    const unit = need.units[pick]!;
    for (let before = 0; before < depth; before++) {
      const other = open[before]!;
      const bothOwn = 'step' in need.origin && 'step' in other.origin;
      if (bothOwn && other.units[combo[before]!] === unit) return false;
      // A step's own unit and a hold over the same minutes would clash as well.
      if (!bothOwn && other.units[combo[before]!] === unit) return false;
    }
    for (const rule of this.p.forbidOf[need.index]!) {
      if (rule.unit !== unit) continue;
      const inCombo = open.findIndex((other, index) => index < depth && other.index === rule.other);
      const otherNeed = this.p.needs[rule.other]!;
      const otherPick = inCombo >= 0 ? combo[inCombo]! : this.choice[rule.other]!;
      if (otherPick >= 0 && otherNeed.units[otherPick] === rule.otherUnit) return false;
    }
    return true;
  }

  /** The latest start at or before `at`, not under `low`, with all resources free; -1 when there is none. */
  private roomBelow(step: number, open: readonly Need[], picks: readonly number[], at: number, low: number): number {
    const { p } = this;
    const minutes = p.minutes[step]!;
    let t = at;
    search: while (t >= low) {
      for (const { pool, amount } of p.poolsOf[step]!) {
        const free = this.poolFree[pool]!;
        for (let m = t; m < t + minutes; m++) {
          if (free[m]! < amount) {
            t = m - minutes;
            continue search;
          }
        }
      }
      const clash = this.stateClash(step, t);
      if (clash >= 0) {
        t = this.start[clash]! - p.problem.states[p.stateOf[step]!.state]!.change - minutes;
        continue;
      }
      for (let index = 0; index < open.length; index++) {
        const need = open[index]!;
        const [from, to] = this.interval(need, step, t);
        const use = this.unitUse[need.units[picks[index]!]!]!;
        for (let m = from; m < to; m++) {
          if (use[m] !== 0) {
            if (need.from === step && need.to !== step) return -1;
            t = m - minutes - need.after;
            continue search;
          }
        }
      }
      return t;
    }
    return -1;
  }

  /** The earliest start at or after `at`, not over `high`, with all resources free; -1 when there is none. */
  private roomAbove(step: number, open: readonly Need[], picks: readonly number[], at: number, high: number): number {
    const { p } = this;
    const minutes = p.minutes[step]!;
    let t = at;
    search: while (t <= high) {
      for (const { pool, amount } of p.poolsOf[step]!) {
        const free = this.poolFree[pool]!;
        for (let m = t + minutes - 1; m >= t; m--) {
          if (free[m]! < amount) {
            t = m + 1;
            continue search;
          }
        }
      }
      const clash = this.stateClash(step, t);
      if (clash >= 0) {
        t = this.start[clash]! + p.minutes[clash]! + p.problem.states[p.stateOf[step]!.state]!.change;
        continue;
      }
      for (let index = 0; index < open.length; index++) {
        const need = open[index]!;
        const [from, to] = this.interval(need, step, t);
        const use = this.unitUse[need.units[picks[index]!]!]!;
        for (let m = to - 1; m >= from; m--) {
          if (use[m] !== 0) {
            if (need.to === step && need.from !== step) return -1;
            t = m + 1;
            continue search;
          }
        }
      }
      return t;
    }
    return -1;
  }

  private interval(need: Need, step: number, at: number): readonly [number, number] {
    const { p } = this;
    const from = need.from === step ? at : this.start[need.from]!;
    const endStart = need.to === step ? at : this.start[need.to]!;
    const end = endStart + p.minutes[need.to]! + need.after;
    return [from, Math.min(end, p.horizon)];
  }

  private stateClash(step: number, at: number): number {
    const { p } = this;
    const own = p.stateOf[step];
    if (!own) return -1;
    const change = p.problem.states[own.state]!.change;
    for (const other of this.stateUsers[own.state]!) {
      if (p.stateOf[other]!.value === own.value) continue;
      const from = this.start[other]!;
      if (at < from + p.minutes[other]! + change && from < at + p.minutes[step]! + change) return other;
    }
    return -1;
  }

  private shiftPast(step: number, open: readonly Need[], low: number, high: number, random: Random): number[] | null {
    const { p } = this;
    let best = -1;
    let bestPicks: readonly number[] = [];
    let bestDistance = Number.POSITIVE_INFINITY;
    const downFirst = random.next() < 0.75;
    for (const picks of this.combinationsWithin(step, open, p.earliest[step]!, p.latest[step]!)) {
      const down = this.roomBelow(step, open, picks, Math.min(low, high), p.earliest[step]!);
      const up = this.roomAbove(step, open, picks, Math.max(low, high), p.latest[step]!);
      for (const [at, weight] of [
        [down, downFirst ? 1 : 6],
        [up, downFirst ? 6 : 1],
      ] as const) {
        if (at < 0) continue;
        const distance = (at < low ? low - at : at > high ? at - high : 0) * weight + random.next();
        if (distance < bestDistance) {
          best = at;
          bestPicks = picks;
          bestDistance = distance;
        }
      }
    }
    if (best < 0) return null;
    this.put(step, best, open, bestPicks);
    return this.ejectBrokenLags(step);
  }

  private ejectBrokenLags(step: number): number[] {
    const { n, lag } = this.p;
    const at = this.start[step]!;
    const ejected: number[] = [];
    for (let k = 0; k < n; k++) {
      const other = this.start[k]!;
      if (k === step || other < 0) continue;
      if (at + lag[step * n + k]! > other || other + lag[k * n + step]! > at) {
        this.remove(k);
        ejected.push(k);
      }
    }
    return ejected;
  }

  private pushAside(step: number, open: readonly Need[], low: number, high: number, random: Random): number[] | null {
    if (low > high) return null;
    const { p } = this;
    const minutes = p.minutes[step]!;
    const combos = this.combinations(open);
    if (combos.length === 0) return this.pushAsideForbidden(step, open, random);
    for (let attempt = 0; attempt < 6; attempt++) {
      const picks = combos[random.below(combos.length)]!;
      const at = attempt === 0 ? this.favourite(step, low, high) : low + random.below(high - low + 1);
      const blockers = new Set<number>();
      let blocked = false;
      open.forEach((need, index) => {
        const [from, to] = this.interval(need, step, at);
        const use = this.unitUse[need.units[picks[index]!]!]!;
        for (let m = from; m < to; m++) {
          const owner = use[m]!;
          if (owner === AWAY) blocked = true;
          else if (owner > 0) {
            const held = p.needs[owner - 1]!;
            blockers.add(held.from === step ? held.to : held.from);
            if (held.from !== held.to && random.next() < 0.5 && held.to !== step) blockers.add(held.to);
          }
        }
      });
      if (blocked) continue;
      for (const { pool, amount } of p.poolsOf[step]!) this.poolBlockers(pool, amount, at, at + minutes, blockers);
      const state = p.stateOf[step];
      if (state) {
        const { change } = p.problem.states[state.state]!;
        for (const other of this.stateUsers[state.state]!) {
          const from = this.start[other]!;
          const differs = p.stateOf[other]!.value !== state.value;
          if (differs && at < from + p.minutes[other]! + change && from < at + minutes + change) blockers.add(other);
        }
      }
      blockers.delete(step);
      const ejected = [...blockers].filter((other) => this.start[other]! >= 0);
      for (const other of ejected) this.remove(other);
      // With the blockers out, a hold may have opened: look again for what this step completes.
      const now = this.completedBy(step);
      const kept = now.map((need) => picks[open.indexOf(need)]!);
      if (this.roomBelow(step, now, kept, at, at) === at) {
        this.put(step, at, now, kept);
        return ejected;
      }
      if (ejected.length > 0) return [...ejected, step];
    }
    return null;
  }

  /** Every combination is forbidden by choices already made: take out one of those. */
  private pushAsideForbidden(step: number, open: readonly Need[], random: Random): number[] | null {
    const rules = open.flatMap((need) => this.p.forbidOf[need.index]!).filter((rule) => this.choice[rule.other]! >= 0);
    const rule = rules[random.below(Math.max(1, rules.length))];
    if (!rule) return null;
    const other = this.p.needs[rule.other]!.from;
    if (other === step || this.start[other]! < 0) return null;
    this.remove(other);
    // At once, or the other would be put back where it stood.
    return this.insert(step) ? [other] : [other, step];
  }

  private poolBlockers(pool: number, amount: number, from: number, to: number, blockers: Set<number>): void {
    const { p } = this;
    const free = this.poolFree[pool]!;
    for (let m = from; m < to; m++) {
      let short = amount - free[m]!;
      for (let k = 0; k < p.n && short > 0; k++) {
        if (this.start[k]! < 0 || this.start[k]! > m || this.start[k]! + p.minutes[k]! <= m) continue;
        const use = p.poolsOf[k]!.find((entry) => entry.pool === pool);
        if (!use) continue;
        blockers.add(k);
        short -= use.amount;
      }
    }
  }

  /** The whole cost of a full draft. */
  cost(): number {
    const { p } = this;
    let cost = 0;
    for (let i = 0; i < p.n; i++) {
      const at = this.start[i]!;
      const end = at + p.minutes[i]!;
      for (const row of p.readyOf[i]!) {
        const slip = end - row.by;
        cost += slip > 0 ? row.late * slip : row.early * Math.max(0, -slip - row.hold);
      }
      for (const soft of p.softOf[i]!) {
        if (soft.from === i) cost += soft.cost * Math.max(0, this.start[soft.to]! - at - soft.above);
      }
    }
    for (const need of p.needs) cost += need.costs[this.choice[need.index]!]!;
    return cost + p.awakeCost * Math.max(0, p.problem.serve - this.firstAwake());
  }
}
