import { type Indexed, type Need, NO_LAG } from './indexed';
import type { Placement } from './placement';
import type { Alternative, Choice, Hold, Problem, ProblemLink, ProblemStep, ReadyRow } from './problem';

/** Some steps of a problem as a problem of its own, while all others stand where they are. */
export interface Piece {
  readonly problem: Problem;
  /** Position in the whole of each free step, in the order of the piece's steps; what stands still comes after them. */
  readonly steps: readonly number[];
  /** Position in the whole of each need and hold of the piece, in its order. */
  readonly needs: readonly number[];
  /** Position in the whole of each unit of the piece. */
  readonly units: readonly number[];
  /** Where the piece stands now, and what that costs in its own terms. */
  readonly placement: Placement;
  readonly cost: number;
}

/**
 * Cuts the free steps out of a full placement. What stands still becomes absences of units and pools, bounds and prices; of steps
 * that hold a state, and of the first that keeps someone awake, a shadow comes along. Null when a hold would be cut in two.
 */
export function cutPiece(p: Indexed, placement: Placement, free: Uint8Array): Piece | null {
  if (p.needs.some((need) => free[need.from] !== free[need.to])) return null;
  return new Cut(p, placement, free).piece();
}

/** The whole with a piece put back in a new place. */
export function putBack(whole: Placement, piece: Piece, { start, unit }: Placement): Placement {
  const starts = whole.start.slice();
  const units = whole.unit.slice();
  piece.steps.forEach((step, k) => {
    starts[step] = start[k]!;
  });
  piece.needs.forEach((need, k) => {
    units[need] = piece.units[unit[k]!]!;
  });
  return { start: starts, unit: units };
}

class Cut {
  private readonly inside: readonly number[];
  private readonly needs: readonly Need[];
  private readonly ready: ReadyRow[] = [];
  private readonly links: ProblemLink[] = [];
  private readonly shadows: { readonly step: ProblemStep; readonly start: number }[] = [];
  private cost = 0;

  constructor(
    private readonly p: Indexed,
    private readonly placement: Placement,
    private readonly free: Uint8Array,
  ) {
    this.inside = Array.from({ length: p.n }, (_, i) => i).filter((i) => free[i]);
    this.needs = p.needs.filter((need) => free[need.from]);
  }

  piece(): Piece {
    const { p, inside, needs, placement } = this;
    const { problem } = p;
    const units = [...new Set(needs.flatMap((need) => [...need.units]))].sort((a, b) => a - b);
    const steps = inside.map((i) => this.freeStep(i));
    this.addArcs();
    const awake = this.addAwake();
    this.addStates();
    const holds = this.holds();
    const { awake: rule, forbid: _, ...rest } = problem;
    const forbid = this.forbidden(new Set(units.map((unit) => problem.units[unit]!.id)));
    return {
      problem: {
        ...rest,
        units: units.map((unit) => ({ id: problem.units[unit]!.id, away: this.unitAway(unit) })),
        pools: problem.pools.map((pool, k) => ({ ...pool, away: this.poolAway(k, awake) })),
        steps: [...steps, ...this.shadows.map(({ step }) => step)],
        holds,
        links: this.links,
        ready: this.ready,
        ...(rule && inside.some((i) => p.awakeOf[i]) ? { awake: rule } : {}),
        ...(forbid.length > 0 ? { forbid } : {}),
      },
      steps: inside,
      needs: needs.map(({ index }) => index),
      units,
      placement: {
        start: Int32Array.from([...inside.map((i) => placement.start[i]!), ...this.shadows.map(({ start }) => start)]),
        unit: Int32Array.from(needs, (need) => units.indexOf(placement.unit[need.index]!)),
      },
      cost: this.cost,
    };
  }

  private idOf(step: number): string {
    return this.p.problem.steps[step]!.id;
  }

  /** A free step between what stands still before and after it, with the prices that hang on it. */
  private freeStep(i: number): ProblemStep {
    const { p, free } = this;
    const { start } = this.placement;
    let earliest = p.earliest[i]!;
    let latest = p.latest[i]!;
    for (let k = 0; k < p.n; k++) {
      if (free[k]) continue;
      const ahead = p.lag[k * p.n + i]!;
      if (ahead > NO_LAG) earliest = Math.max(earliest, start[k]! + ahead);
      const behind = p.lag[i * p.n + k]!;
      if (behind > NO_LAG) latest = Math.min(latest, start[k]! - behind);
    }
    for (const row of p.readyOf[i]!) this.price(i, row);
    const minutes = p.minutes[i]!;
    for (const { from, to, above, cost } of p.softOf[i]!) {
      if (from === to) continue;
      if (!free[from]) this.price(i, { by: start[from]! + above + minutes, hold: 0, early: 0, late: cost });
      else if (!free[to]) this.price(i, { by: start[to]! - above + minutes, hold: 0, early: cost, late: 0 });
      else if (from === i) {
        this.cost += cost * Math.max(0, start[to]! - start[i]! - above);
        const ends = { from: this.idOf(from), at: 'start', to: this.idOf(to), of: 'start' } as const;
        this.links.push({ ...ends, min: -p.horizon, soft: { after: above, cost } });
      }
    }
    const lists = this.needs
      .filter(({ from, origin }) => from === i && 'step' in origin)
      .map((need) => this.alternatives(need));
    const { units: _, ...rest } = p.problem.steps[i]!;
    return { ...rest, earliest, latest, ...(lists.length > 0 ? { units: lists } : {}) };
  }

  private price(step: number, { by, hold, early, late }: Omit<ReadyRow, 'step'>): void {
    this.ready.push({ step: this.idOf(step), by, hold, early, late });
    const slip = this.placement.start[step]! + this.p.minutes[step]! - by;
    this.cost += slip > 0 ? late * slip : early * Math.max(0, -slip - hold);
  }

  /** What a need may choose beside the choices that stand; the cost of its present choice is added up. */
  private alternatives(need: Need): Alternative[] {
    const { p, free } = this;
    const { unit } = this.placement;
    const list: Alternative[] = [];
    need.units.forEach((each, pick) => {
      if (each === unit[need.index]) this.cost += need.costs[pick]!;
      const barred = p.forbidOf[need.index]!.some(
        (rule) => rule.unit === each && !free[p.needs[rule.other]!.from] && unit[rule.other] === rule.otherUnit,
      );
      if (!barred) list.push({ id: p.problem.units[each]!.id, cost: need.costs[pick]! });
    });
    return list;
  }

  private holds(): Hold[] {
    return this.needs.flatMap((need): Hold[] =>
      'hold' in need.origin
        ? [
            {
              id: need.origin.hold,
              from: this.idOf(need.from),
              to: this.idOf(need.to),
              after: need.after,
              units: this.alternatives(need),
            },
          ]
        : [],
    );
  }

  private forbidden(units: ReadonlySet<string>): (readonly [Choice, Choice])[] {
    const { inside, needs } = this;
    const steps = new Set(inside.map((i) => this.idOf(i)));
    const holds = new Set(needs.flatMap(({ origin }) => ('hold' in origin ? [origin.hold] : [])));
    const isFree = (choice: Choice) =>
      units.has(choice.unit) && ('hold' in choice ? holds.has(choice.hold) : steps.has(choice.step));
    return (this.p.problem.forbid ?? []).filter((pair) => pair.every(isFree));
  }

  private addArcs(): void {
    const { p, free } = this;
    for (const { from, to, lag } of p.arcs) {
      if (!free[from] || !free[to]) continue;
      this.links.push({ from: this.idOf(from), at: 'start', to: this.idOf(to), of: 'start', min: lag });
    }
  }

  /** The first step that keeps someone awake, when it stands still; -1 when none does or it does not matter. */
  private addAwake(): number {
    const { p, free, inside } = this;
    if (!inside.some((i) => p.awakeOf[i])) return -1;
    const { start } = this.placement;
    let first = -1;
    let awake = p.problem.serve;
    for (let i = 0; i < p.n; i++) {
      if (!p.awakeOf[i]) continue;
      awake = Math.min(awake, start[i]!);
      if (!free[i] && (first < 0 || start[i]! < start[first]!)) first = i;
    }
    this.cost += p.awakeCost * Math.max(0, p.problem.serve - awake);
    if (first < 0) return -1;
    const { id, minutes, pools } = p.problem.steps[first]!;
    this.addShadow({ id: `${id} (awake)`, minutes, ...(pools ? { pools } : {}) }, start[first]!);
    return first;
  }

  private addShadow(step: ProblemStep, start: number): void {
    this.shadows.push({ step: { ...step, earliest: start, latest: start }, start });
  }

  /** Stretches in which a state is held at one value by what stands still. */
  private addStates(): void {
    const { p, free, inside } = this;
    const { start } = this.placement;
    p.problem.states.forEach(({ id, change }, state) => {
      if (!inside.some((i) => p.stateOf[i]?.state === state)) return;
      const users = Array.from({ length: p.n }, (_, i) => i)
        .filter((i) => !free[i] && p.stateOf[i]?.state === state)
        .sort((a, b) => start[a]! - start[b]!);
      const stretches: { from: number; to: number; value: number }[] = [];
      for (const i of users) {
        const { value } = p.stateOf[i]!;
        const from = start[i]!;
        const to = from + p.minutes[i]!;
        const last = stretches.at(-1);
        // Another value finds no room in a gap that is too short for the changes.
        if (last && last.value === value && from <= last.to + 2 * change) last.to = Math.max(last.to, to);
        else stretches.push({ from, to, value });
      }
      stretches.forEach(({ from, to, value }, k) => {
        this.addShadow({ id: `${id} (held ${k})`, minutes: to - from, state: { id, value } }, from);
      });
    });
  }

  private unitAway(unit: number): (readonly [number, number])[] {
    const { p, free } = this;
    const { start, unit: chosen } = this.placement;
    const away = (p.problem.units[unit]!.away ?? []).map(([from, to]) => [from, to] as [number, number]);
    for (const need of p.needs) {
      if (free[need.from] || chosen[need.index] !== unit) continue;
      const from = start[need.from]!;
      const to = Math.min(p.horizon, start[need.to]! + p.minutes[need.to]! + need.after);
      if (to > from) away.push([from, to]);
    }
    const merged: [number, number][] = [];
    for (const [from, to] of away.sort((a, b) => a[0] - b[0])) {
      const last = merged.at(-1);
      if (last && from <= last[1]) last[1] = Math.max(last[1], to);
      else merged.push([from, to]);
    }
    return merged;
  }

  /** What stands still takes of a pool, as a profile; the shadow of step `shown` takes its own part. */
  private poolAway(pool: number, shown: number): (readonly [number, number, number])[] {
    const { p, free } = this;
    const { start } = this.placement;
    const taken = new Int32Array(p.horizon + 1);
    const take = (from: number, to: number, amount: number) => {
      const [low, high] = [Math.max(0, from), Math.min(to, p.horizon)];
      if (low >= high) return;
      taken[low] = taken[low]! + amount;
      taken[high] = taken[high]! - amount;
    };
    for (const [from, to, amount] of p.problem.pools[pool]!.away ?? []) take(from, to, amount);
    for (let i = 0; i < p.n; i++) {
      if (free[i] || i === shown) continue;
      for (const use of p.poolsOf[i]!) {
        if (use.pool === pool) take(start[i]!, start[i]! + p.minutes[i]!, use.amount);
      }
    }
    const away: (readonly [number, number, number])[] = [];
    let level = 0;
    let since = 0;
    for (let minute = 0; minute <= p.horizon; minute++) {
      if (taken[minute] === 0) continue;
      if (level > 0) away.push([since, minute, level]);
      level += taken[minute]!;
      since = minute;
    }
    return away;
  }
}
