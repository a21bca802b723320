import { type Indexed, NO_LAG } from '@/core/schedule/indexed';
import type { Placement } from '@/core/schedule/placement';
import { Union } from '@/core/schedule/union';
import { type ClassNeed, classify, handOut, type UnitClass } from './classes';
import { FirstStart, type Work } from './energy';
import { ALWAYS, Engine } from './engine';
import { LeafTiming } from './leaf';
import { Objective } from './objective';
import { Pairs } from './pairs';
import { type GroupedTerm, sumUp } from './sums';
import { Timetable } from './timetable';
import type { Use } from './uses';

const MOST_COST = 1_000_000_000;
const FEW_STEPS = 80;
/** So many are built within a few milliseconds. */
const PAIRS_A_TURN = 1000;

interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Minutes from the start of `to` until it is free. */
  readonly tail: number;
}

interface PairDraft {
  readonly a: Stretch;
  readonly b: Stretch;
  /** Extra minutes between the two, whichever comes first. */
  readonly gap: number;
  readonly shared: (readonly [number, number])[];
}

/** Two uses, one after the other when a shared choice is made; the minutes from the one's last start to the other. */
interface Disjunction {
  readonly a: Stretch;
  readonly b: Stretch;
  readonly lags: readonly [number, number];
  readonly shared: readonly (readonly [number, number])[];
}

function endsOf({ a, b }: Disjunction): string {
  return `${a.from} ${a.to} ${b.from} ${b.to}`;
}

/** The kitchen problem in the engine's terms: variables, rules and the way back. */
export class Model {
  readonly engine = new Engine();
  readonly pairs: Pairs;
  readonly classes: readonly UnitClass[];
  readonly needs: readonly ClassNeed[];
  /** Choice variable of each need for each of its classes; ALWAYS when it has but one. */
  readonly choices: readonly (readonly number[])[];
  total = ALWAYS;
  /** From this variable to `total`: sums of parts of the cost. */
  private sums = ALWAYS;
  /** Variable at or before the first start that counts as being awake, or ALWAYS when none does. */
  private first = ALWAYS;
  /** Part of the cost that no choice changes. */
  base = 0;
  private readonly clauses: (readonly (readonly [number, number])[])[] = [];
  /** View on each need's choice of each class, as far as it takes up time at all. */
  private readonly taking: number[][];
  sound = false;
  private leaf: LeafTiming | null = null;

  static of(p: Indexed): Model {
    const turns = Model.inTurns(p);
    for (;;) {
      const turn = turns.next();
      if (turn.done) return turn.value;
    }
  }

  /** Builds the model in short turns, so that a caller can do something else between them, or give up. */
  static *inTurns(p: Indexed): Generator<void, Model> {
    const model = new Model(p);
    yield;
    yield* model.build();
    return model;
  }

  private constructor(readonly p: Indexed) {
    const { engine } = this;
    for (let i = 0; i < p.n; i++) engine.variable(p.earliest[i]!, p.latest[i]!);
    const { classes, needs } = classify(p);
    this.classes = classes;
    this.needs = needs;
    this.choices = needs.map(({ classes: list }) =>
      list.length === 1 ? [ALWAYS] : list.map(() => engine.variable(0, 1)),
    );
    this.pairs = new Pairs(engine);
    this.taking = needs.map((need, index) => this.takingOf(need, index));
  }

  private *build(): Generator<void, void> {
    const { engine, p } = this;
    this.addLinks();
    this.addChoices();
    yield* this.addResources();
    this.first = this.addAwake();
    const { terms, base } = this.terms();
    this.base = base;
    this.sums = engine.variables;
    const summed = sumUp(engine, terms, () => engine.variable(0, MOST_COST));
    this.total = engine.variable(0, MOST_COST);
    new Objective(engine, summed, this.total).attach();
    engine.lastVariables = p.n;
    yield;
    engine.seal();
    this.pairs.seal();
    yield;
    this.leaf = new LeafTiming(this);
    // The bound costs too much time in large kitchens to be looked at on the way.
    if (p.n > FEW_STEPS) engine.lookEvery = Number.MAX_SAFE_INTEGER;
    this.lookAtTiming(true);
    engine.isIdle = (variable) =>
      (variable >= this.sums && variable <= this.total) || variable === this.first || this.pairs.isIdle(variable);
    const started = engine.start();
    yield;
    this.sound = started && this.clauses.every((clause) => engine.addClause(clause)) && engine.settle();
  }

  /** Whether the search looks at the exact timing of its leaves. */
  lookAtTiming(use: boolean): void {
    this.engine.bounder = this.leaf && use ? (leaf) => this.leaf!.check(leaf) : null;
  }

  startOf(step: number): number {
    return 1 + step;
  }

  private addLinks(): void {
    for (const { from, to, lag } of this.p.arcs) {
      this.engine.difference(2 * this.startOf(from), 2 * this.startOf(to), lag);
    }
  }

  /** The view that says a need takes a class over some time: its choice, unless it may come to take no time at all. */
  private takingOf({ need }: ClassNeed, index: number): number[] {
    const { engine, p, pairs } = this;
    const chosen = this.choices[index]!;
    const from = 2 * this.startOf(need.from);
    const to = 2 * this.startOf(need.to);
    const minutes = p.minutes[need.to]!;
    const mayBeEmpty = need.from !== need.to && p.lag[need.from * p.n + need.to]! + minutes <= 0 && need.after === 0;
    const mayBeBeyond = need.after > 0 && p.latest[need.from]! >= p.horizon;
    if (!mayBeEmpty && !mayBeBeyond) return chosen.map((choice) => 2 * choice);
    const constant = 2 * ALWAYS;
    const pair = mayBeEmpty
      ? pairs.add([from, to], [to, from], [1 - minutes, minutes], [[constant, constant]])
      : pairs.add([from, constant], [constant, from], [2 - p.horizon, p.horizon - 1], [[constant, constant]]);
    const present = pairs.draftOrder(pair);
    return chosen.map((choice) => {
      if (choice === ALWAYS) return 2 * present;
      const taking = engine.variable(0, 1);
      this.clauses.push(
        [not(2 * taking), yes(2 * choice)],
        [not(2 * taking), yes(2 * present)],
        [yes(2 * taking), not(2 * choice), not(2 * present)],
      );
      return 2 * taking;
    });
  }

  private addChoices(): void {
    const { p, choices, clauses } = this;
    choices.forEach((list) => {
      if (list.length === 1) return;
      clauses.push(list.map((choice) => yes(2 * choice)));
      list.forEach((a, k) => {
        for (const b of list.slice(k + 1)) clauses.push([not(2 * a), not(2 * b)]);
      });
    });
    // Needs of one step take different units, also where the step takes no time.
    for (const own of p.needsOf) {
      const needs = own.filter((need) => 'step' in need.origin);
      needs.forEach((a, k) => {
        for (const b of needs.slice(k + 1)) {
          for (const shared of this.needs[a.index]!.classes) {
            const other = this.choiceOf(b.index, shared);
            if (other >= 0) clauses.push([not(2 * this.choiceOf(a.index, shared)), not(2 * other)]);
          }
        }
      });
    }
    p.forbidOf.forEach((rules, need) => {
      for (const { unit, other, otherUnit } of rules) {
        if (other < need) continue;
        const own = this.choiceOfUnit(need, unit);
        const their = this.choiceOfUnit(other, otherUnit);
        if (own >= 0 && their >= 0) clauses.push([not(2 * own), not(2 * their)]);
      }
    });
  }

  /** The choice variable of a need for a class, or -1. */
  private choiceOf(need: number, unitClass: number): number {
    const k = this.needs[need]!.classes.indexOf(unitClass);
    return k < 0 ? -1 : this.choices[need]![k]!;
  }

  private choiceOfUnit(need: number, unit: number): number {
    return this.choiceOf(
      need,
      this.classes.findIndex(({ units }) => units.includes(unit)),
    );
  }

  private stretchOf({ need }: ClassNeed): Stretch {
    return { from: need.from, to: need.to, tail: this.p.minutes[need.to]! + need.after };
  }

  private *addResources(): Generator<void, void> {
    const { p } = this;
    const drafts = new Map<string, PairDraft>();
    const draft = (a: Stretch, b: Stretch, gap: number, shared: readonly [number, number]) => {
      const key = [a.from, a.to, a.tail, b.from, b.to, b.tail, gap].join(' ');
      const known = drafts.get(key);
      if (known) known.shared.push(shared);
      else drafts.set(key, { a, b, gap, shared: [shared] });
    };
    const constant = 2 * ALWAYS;
    p.problem.states.forEach((state, index) => {
      const users = Array.from({ length: p.n }, (_, i) => i).filter((i) => p.stateOf[i]?.state === index);
      users.forEach((i, k) => {
        for (const j of users.slice(k + 1)) {
          if (p.stateOf[i]!.value === p.stateOf[j]!.value) continue;
          draft(this.stepStretch(i), this.stepStretch(j), state.change, [constant, constant]);
        }
      });
    });
    yield;
    for (let pool = 0; pool < p.problem.pools.length; pool++) {
      this.addPool(pool, draft);
      yield;
    }
    for (const [index, unitClass] of this.classes.entries()) {
      this.addClass(unitClass, index, draft);
      yield;
    }
    yield* this.addPairs([...drafts.values()]);
  }

  private stepStretch(step: number): Stretch {
    return { from: step, to: step, tail: this.p.minutes[step]! };
  }

  private addPool(
    pool: number,
    draft: (a: Stretch, b: Stretch, gap: number, shared: readonly [number, number]) => void,
  ): void {
    const { p, engine } = this;
    const { capacity, away } = p.problem.pools[pool]!;
    const users: { step: number; amount: number }[] = [];
    for (let step = 0; step < p.n; step++) {
      const amount = p.poolsOf[step]!.find((each) => each.pool === pool)?.amount ?? 0;
      if (amount > 0) users.push({ step, amount });
    }
    const constant = 2 * ALWAYS;
    for (const [from, to, by] of merged(away ?? [])) {
      for (const { step, amount } of users) {
        if (amount <= Math.max(0, capacity - by)) continue;
        const start = 2 * this.startOf(step);
        this.clauses.push([
          [start + 1, p.minutes[step]! - from],
          [start, to],
        ]);
      }
    }
    const tooMuch = users.find(({ amount }) => amount > capacity);
    if (tooMuch) this.clauses.push([]);
    users.forEach((a, k) => {
      for (const b of users.slice(k + 1)) {
        if (a.amount + b.amount > capacity)
          draft(this.stepStretch(a.step), this.stepStretch(b.step), 0, [constant, constant]);
      }
    });
    const smallest = users.map(({ amount }) => amount).sort((a, b) => a - b);
    const pairwise = (smallest[0] ?? 0) + (smallest[1] ?? 0) > capacity;
    const all = smallest.reduce((sum, amount) => sum + amount, 0);
    const shortages = merged(away ?? []).map(([from, to, amount]) => ({ from, to, amount }));
    if (users.length < 2 || (pairwise && shortages.length === 0) || (all <= capacity && shortages.length === 0)) return;
    const uses = users.map(({ step, amount }): Use => {
      const start = 2 * this.startOf(step);
      return { from: start, to: start, tail: p.minutes[step]!, amount, choice: constant };
    });
    const timetable = new Timetable(engine, uses, capacity, shortages, p.horizon);
    engine.addPropagator(timetable, new Set(timetable.views()));
  }

  private addClass(
    { units }: UnitClass,
    index: number,
    draft: (a: Stretch, b: Stretch, gap: number, shared: readonly [number, number]) => void,
  ): void {
    const { p, engine, needs } = this;
    const takers = needs.flatMap((each, need) => {
      const k = each.classes.indexOf(index);
      const stretch = this.stretchOf(each);
      const empty = stretch.from === stretch.to && stretch.tail === 0;
      return k < 0 || empty ? [] : [{ stretch, choice: this.taking[need]![k]! }];
    });
    for (const [from, to] of p.problem.units[units[0]!]!.away ?? []) {
      if (from >= to) continue;
      for (const { stretch, choice } of takers) {
        this.clauses.push([
          [2 * this.startOf(stretch.to) + 1, stretch.tail - from],
          [2 * this.startOf(stretch.from), to],
          not(choice),
        ]);
      }
    }
    if (units.length === 1) {
      takers.forEach((a, k) => {
        for (const b of takers.slice(k + 1)) draft(a.stretch, b.stretch, 0, [a.choice, b.choice]);
      });
      return;
    }
    if (takers.length <= units.length) return;
    const uses = takers.map(({ stretch, choice }): Use => {
      return {
        from: 2 * this.startOf(stretch.from),
        to: 2 * this.startOf(stretch.to),
        tail: stretch.tail,
        amount: 1,
        choice,
      };
    });
    const timetable = new Timetable(engine, uses, units.length, [], p.horizon);
    engine.addPropagator(timetable, new Set(timetable.views()));
  }

  /** Draws up one pair for each two uses that may clash; what always holds is merged, and swallows weaker conditions. */
  private *addPairs(drafts: readonly PairDraft[]): Generator<void, void> {
    const always = new Map<string, Disjunction>();
    const conditional: Disjunction[] = [];
    for (const { a: one, b: two, gap, shared } of drafts) {
      const [a, b] = one.from > two.from || (one.from === two.from && one.to > two.to) ? [two, one] : [one, two];
      const each = { a, b, lags: [a.tail + gap, b.tail + gap] as const, shared };
      if (!shared.some(([x, y]) => x === 2 * ALWAYS && y === 2 * ALWAYS)) {
        conditional.push(each);
        continue;
      }
      const known = always.get(endsOf(each))?.lags ?? [0, 0];
      always.set(endsOf(each), {
        ...each,
        lags: [Math.max(known[0], each.lags[0]), Math.max(known[1], each.lags[1])],
      });
    }
    yield;
    let added = 0;
    for (const each of always.values()) {
      this.addPair(each);
      if (++added % PAIRS_A_TURN === 0) yield;
    }
    for (const each of conditional) {
      if (++added % PAIRS_A_TURN === 0) yield;
      const known = always.get(endsOf(each));
      if (!known || known.lags[0] < each.lags[0] || known.lags[1] < each.lags[1]) this.addPair(each);
    }
  }

  private addPair({ a, b, lags, shared }: Disjunction): void {
    const { p, pairs } = this;
    const lag = (from: number, to: number) => p.lag[from * p.n + to]!;
    // What the links put in an order already needs no choice.
    if (lag(a.to, b.from) >= lags[0] || lag(b.to, a.from) >= lags[1]) return;
    const barred = [
      lag(b.from, a.to) > NO_LAG && lag(b.from, a.to) + lags[0] > 0,
      lag(a.from, b.to) > NO_LAG && lag(a.from, b.to) + lags[1] > 0,
    ];
    if (barred[0] && barred[1]) {
      for (const [x, y] of shared) this.clauses.push([not(x), not(y)]);
      return;
    }
    const pair = pairs.add(
      [2 * this.startOf(a.to), 2 * this.startOf(b.to)],
      [2 * this.startOf(b.from), 2 * this.startOf(a.from)],
      lags,
      shared,
    );
    const order = 2 * pairs.draftOrder(pair);
    if (barred[0]) this.clauses.push([not(order)]);
    if (barred[1]) this.clauses.push([yes(order)]);
  }

  private addAwake(): number {
    const { engine, p } = this;
    const steps = Array.from({ length: p.n }, (_, i) => i).filter((i) => p.awakeOf[i]);
    if (steps.length === 0 || p.awakeCost === 0) return ALWAYS;
    const first = engine.variable(-MOST_COST, p.horizon);
    const pool = p.problem.pools.findIndex(({ id }) => id === p.problem.awake!.pool);
    for (const step of steps) engine.difference(2 * first, 2 * this.startOf(step), 0);
    const work = steps.map((step): Work => {
      const amount = p.poolsOf[step]!.find((each) => each.pool === pool)!.amount;
      return { start: 2 * this.startOf(step), minutes: p.minutes[step]!, amount };
    });
    const energy = new FirstStart(engine, first, work, Math.max(1, p.problem.pools[pool]!.capacity));
    engine.addPropagator(energy, energy.views());
    return first;
  }

  private terms(): { terms: GroupedTerm[]; base: number } {
    const { p } = this;
    const terms: GroupedTerm[] = [];
    const dishes = new Union(p.n);
    for (const { from, to } of p.arcs) dishes.join(from, to);
    let base = 0;
    this.needs.forEach(({ costs, need }, index) => {
      const least = Math.min(...costs);
      base += least;
      const sorted = costs
        .map((cost, k) => ({ cost: cost - least, choice: this.choices[index]![k]! }))
        .sort((a, b) => a.cost - b.cost);
      if (sorted.at(-1)!.cost === 0) return;
      const term = {
        kind: 'choice',
        choices: sorted.map(({ choice }) => choice),
        costs: sorted.map(({ cost }) => cost),
      } as const;
      terms.push({ group: dishes.find(need.from), term });
    });
    for (let i = 0; i < p.n; i++) {
      const rows = p.readyOf[i]!.filter(({ early, late }) => early > 0 || late > 0);
      if (rows.length > 0) {
        const minutes = p.minutes[i]!;
        const cost = (start: number) => {
          let sum = 0;
          for (const { by, hold, early, late } of rows) {
            const slip = start + minutes - by;
            sum += slip > 0 ? late * slip : slip < -hold ? early * (-slip - hold) : 0;
          }
          return sum;
        };
        const turns = rows.flatMap(({ by, hold }) => [by - minutes, by - hold - minutes]);
        const least = Math.min(...turns.map(cost));
        const flat = turns.filter((turn) => cost(turn) === least);
        const best = [
          rows.some(({ early }) => early > 0) ? Math.min(...flat) : -MOST_COST,
          rows.some(({ late }) => late > 0) ? Math.max(...flat) : MOST_COST,
        ] as const;
        base += least;
        const term = {
          kind: 'ready',
          start: this.startOf(i),
          cost: (start: number) => cost(start) - least,
          best,
        } as const;
        terms.push({ group: dishes.find(i), term });
      }
      for (const soft of p.softOf[i]!) {
        if (soft.from !== i) continue;
        if (soft.to === i) {
          base += soft.cost * Math.max(0, -soft.above);
          continue;
        }
        const least = Math.max(soft.above, p.lag[soft.from * p.n + soft.to]!);
        base += soft.cost * (least - soft.above);
        const [from, to] = [this.startOf(soft.from), this.startOf(soft.to)];
        terms.push({ group: dishes.find(i), term: { kind: 'soft', from, to, above: least, cost: soft.cost } });
      }
    }
    if (this.first !== ALWAYS) {
      const { serve } = p.problem;
      const cost = (first: number) => p.awakeCost * Math.max(0, serve - first);
      terms.push({ group: -1, term: { kind: 'ready', start: this.first, cost, best: [serve, MOST_COST] } });
    }
    // Reasons drop terms from the front where they can: first those that take many literals to tell.
    const rank = { choice: 0, soft: 1, ready: 2 };
    terms.sort((a, b) => rank[a.term.kind] - rank[b.term.kind]);
    return { terms, base };
  }

  /** What the choices cost at least, as far as they are made. */
  leastChoices(): number {
    const { lb } = this.engine;
    let sum = 0;
    this.needs.forEach(({ costs }, need) => {
      let least = Number.POSITIVE_INFINITY;
      this.choices[need]!.forEach((choice, k) => {
        if (lb[2 * choice + 1]! < 0 && costs[k]! < least) least = costs[k]!;
      });
      sum += least;
    });
    return sum;
  }

  /** Adds to the conflict the choices that make the needs cost more than they must. */
  conflictBecauseOfChoices(): void {
    const { engine } = this;
    this.needs.forEach(({ costs }, need) => {
      const list = this.choices[need]!;
      const least = list.reduce(
        (low, choice, k) => (engine.lb[2 * choice + 1]! < 0 ? Math.min(low, costs[k]!) : low),
        Number.POSITIVE_INFINITY,
      );
      list.forEach((choice, k) => {
        if (costs[k]! < least) engine.addConflict(2 * choice + 1, 0);
      });
    });
  }

  // --- there and back ---

  /** Where a placement puts each variable: what the search tries first. */
  guide({ start, unit }: Placement): void {
    const { engine, pairs, p } = this;
    for (let i = 0; i < p.n; i++) engine.phase[this.startOf(i)] = start[i]!;
    this.needs.forEach(({ classes }, need) => {
      classes.forEach((unitClass, k) => {
        const choice = this.choices[need]![k]!;
        if (choice !== ALWAYS) engine.phase[choice] = this.classes[unitClass]!.units.includes(unit[need]!) ? 1 : 0;
      });
    });
    for (let pair = 0; pair < pairs.count; pair++) {
      engine.phase[pairs.orderOf(pair)] = pairs.firstIn(pair, (view) => this.valueIn(start, view)) === 0 ? 1 : 0;
    }
  }

  private valueIn(start: Int32Array, view: number): number {
    const variable = view >> 1;
    const value = variable === ALWAYS ? 1 : start[variable - 1]!;
    return view & 1 ? -value : value;
  }

  /** The placement that the engine has found. `wish`: units that needs would like to keep, -1 for none. */
  read(wish?: Int32Array): Placement {
    const { engine, p } = this;
    const start = new Int32Array(p.n);
    for (let i = 0; i < p.n; i++) start[i] = engine.lb[2 * this.startOf(i)]!;
    const chosen = this.needs.map(({ classes }, need) => {
      const k = this.choices[need]!.findIndex((choice) => choice === ALWAYS || engine.lb[2 * choice]! >= 1);
      return classes[k]!;
    });
    return { start, unit: this.unitsFor(start, chosen, wish) };
  }

  private unitsFor(start: Int32Array, chosen: readonly number[], wish?: Int32Array): Int32Array {
    const { p } = this;
    return handOut(
      this.classes,
      chosen,
      (need) => {
        const { from, to, tail } = this.stretchOf(this.needs[need]!);
        return [start[from]!, Math.min(p.horizon, start[to]! + tail)];
      },
      (need) => wish?.[need] ?? -1,
    );
  }
}

function yes(view: number): readonly [number, number] {
  return [view, 1];
}

function not(view: number): readonly [number, number] {
  return [view ^ 1, 0];
}

/** Overlapping reductions added up: disjoint stretches, each with what is missing in it. */
function merged(away: readonly (readonly [number, number, number])[]): [number, number, number][] {
  const ends = [...away.map(([from]) => from), ...away.map(([, to]) => to)];
  const cuts = [...new Set(ends)].sort((a, b) => a - b);
  const list: [number, number, number][] = [];
  cuts.slice(0, -1).forEach((from, k) => {
    const to = cuts[k + 1]!;
    const amount = away.reduce((sum, [lo, hi, by]) => sum + (lo <= from && to <= hi ? by : 0), 0);
    if (amount > 0) list.push([from, to, amount]);
  });
  return list;
}
