import type { Snapshot } from './draft';
import type { Indexed, Need } from './indexed';
import { type Flow, Timing } from './learn/timing';
import { costOf, placementOf } from './placement';

/** A stretch of use of one resource: rows may follow it. */
interface Use {
  /** Steps at whose start it begins and after whose end it is over. */
  readonly from: number;
  readonly to: number;
  readonly after: number;
}

/**
 * The best starts for a full schedule when all its choices and orders stay: every use of a unit, of a place in a pool and
 * of a state stays before the one that follows it now. Exact for those orders, by the flow of `Timing`.
 */
export class Retiming {
  private readonly timing: Timing;
  private readonly fixedRules: number;
  private readonly awake: number;
  private readonly flow: Flow;

  constructor(private readonly p: Indexed) {
    this.awake = 1 + p.n;
    const timing = Timing.of(p);
    this.timing = timing;
    this.fixedRules = timing.ruleCount;
    this.flow = timing.emptyFlow();
  }

  /** The same choices with the best starts; null when `cost` is the least already, or the rules could not be kept. */
  better(snapshot: Snapshot, cost: number): Snapshot | null {
    const { p, timing } = this;
    timing.keepRules(this.fixedRules);
    this.orderUnits(snapshot);
    this.orderPools(snapshot);
    this.orderStates(snapshot);
    timing.start[0] = 0;
    let first = p.problem.serve;
    for (let step = 0; step < p.n; step++) {
      timing.start[1 + step] = snapshot.start[step]!;
      if (p.awakeOf[step]) first = Math.min(first, snapshot.start[step]!);
    }
    timing.start[this.awake] = first;
    const least = timing.solve(this.flow);
    if (least === null) return null;
    let choices = 0;
    for (const need of p.needs) choices += need.costs[snapshot.choice[need.index]!]!;
    if (least + choices >= cost) return null;
    const start = new Int32Array(p.n);
    for (let step = 0; step < p.n; step++) start[step] = timing.start[1 + step]!;
    const retimed = { start, choice: snapshot.choice };
    // A soft lag of a step to itself costs whatever it costs: the flow knows nothing of it.
    return costOf(p, placementOf(p, retimed)) < cost ? retimed : null;
  }

  /** What was found last is where things stand now: the next search begins from it. */
  accept(): void {
    this.timing.remember(this.flow);
  }

  private follows({ to, after }: Use, from: number): void {
    if (to !== from || after < 0) this.timing.addRule(1 + to, 1 + from, this.p.minutes[to]! + after);
  }

  private orderUnits({ start, choice }: Snapshot): void {
    const { p } = this;
    const byUnit = new Map<number, Need[]>();
    for (const need of p.needs) {
      const { from, to, after } = need;
      if (start[from]! >= p.horizon) {
        // What begins at the very end takes no unit, and others may do so beside it: it stays there.
        this.timing.addRule(0, 1 + from, p.horizon);
        continue;
      }
      const length = start[to]! + p.minutes[to]! + after - start[from]!;
      // A hold that takes no time now goes on taking none; one that takes some must not be turned round.
      if (length <= 0 && from !== to) this.timing.addRule(1 + to, 1 + from, p.minutes[to]! + after);
      if (length <= 0) continue;
      if (from !== to) this.timing.addRule(1 + from, 1 + to, -p.minutes[to]! - after);
      const unit = need.units[choice[need.index]!]!;
      const list = byUnit.get(unit);
      if (list) list.push(need);
      else byUnit.set(unit, [need]);
    }
    for (const [unit, list] of byUnit) {
      list.sort((a, b) => start[a.from]! - start[b.from]!);
      for (let k = 1; k < list.length; k++) this.follows(list[k - 1]!, list[k]!.from);
      for (const [from, to] of p.problem.units[unit]!.away ?? []) {
        for (const need of list) this.passBy(need, start[need.from]!, from, to);
      }
    }
  }

  /** A use stays on its side of an absence. */
  private passBy({ from, to, after }: Use, at: number, absent: number, back: number): void {
    const { timing, p } = this;
    if (at >= back) timing.addRule(0, 1 + from, back);
    else timing.addRule(1 + to, 0, p.minutes[to]! + after - absent);
  }

  /** Places in a pool are handed out in order of time, absences first; whoever gets a place follows the one who had it. */
  private orderPools({ start }: Snapshot): void {
    const { p, timing } = this;
    p.problem.pools.forEach(({ capacity, away }, pool) => {
      const uses: { step: number; at: number; end: number; amount: number }[] = [];
      for (let step = 0; step < p.n; step++) {
        for (const use of p.poolsOf[step]!) {
          if (use.pool !== pool) continue;
          uses.push({ step, at: start[step]!, end: start[step]! + p.minutes[step]!, amount: use.amount });
        }
      }
      for (const [from, to, by] of away ?? []) {
        if (from < to) uses.push({ step: -1, at: Math.max(0, from), end: to, amount: Math.min(by, capacity) });
      }
      uses.sort((a, b) => a.at - b.at || a.step - b.step);
      // Last holder of each place; -2 nobody.
      const free = Array.from({ length: capacity }, () => ({ until: Number.NEGATIVE_INFINITY, step: -2 }));
      for (const use of uses) {
        // The place that became free last is taken first: it ties the fewest others.
        const open = free.filter(({ until }) => until <= use.at).sort((a, b) => b.until - a.until);
        for (let k = 0; k < use.amount; k++) {
          const place = open[k];
          // Absences that overlap may take more than there is.
          if (!place) break;
          if (use.step >= 0 && place.step >= 0) timing.addRule(1 + place.step, 1 + use.step, p.minutes[place.step]!);
          else if (use.step >= 0 && place.step === -1) timing.addRule(0, 1 + use.step, place.until);
          else if (use.step === -1 && place.step >= 0)
            timing.addRule(1 + place.step, 0, p.minutes[place.step]! - use.at);
          place.until = use.end;
          place.step = use.step;
        }
      }
    });
  }

  /** Everything at one value is over, and the change made, before anything at another begins. */
  private orderStates({ start }: Snapshot): void {
    const { p, timing } = this;
    p.problem.states.forEach(({ change }, state) => {
      const users = Array.from({ length: p.n }, (_, step) => step)
        .filter((step) => p.stateOf[step]?.state === state)
        .sort((a, b) => start[a]! - start[b]!);
      let before: number[] = [];
      let group: number[] = [];
      for (const step of users) {
        if (group.length > 0 && p.stateOf[group[0]!]!.value !== p.stateOf[step]!.value) {
          before = group;
          group = [];
        }
        group.push(step);
        for (const earlier of before) timing.addRule(1 + earlier, 1 + step, p.minutes[earlier]! + change);
      }
    });
  }
}
