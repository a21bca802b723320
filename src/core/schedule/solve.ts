import { findConflict } from './conflict';
import { Descent } from './descent';
import { Draft, type Snapshot } from './draft';
import { type Indexed, indexProblem } from './indexed';
import type { Outcome } from './learn/engine';
import { Model, type Placement } from './learn/model';
import { idealStarts, noisyOrder, placeAll, seedDraft } from './list';
import { closelyJoined, dishesOf, keepTheRest, pickFree } from './neighbourhoods';
import type { FoundSolution, Problem, Schedule, Solution } from './problem';
import { type Random, seededRandom } from './random';
import { validate } from './validate';

export interface SolveOptions {
  /** Time limit in seconds; default 5. */
  readonly seconds?: number;
  /** The same seed and problem give the same solution when the limit is not what ends the search; default 1. */
  readonly seed?: number;
  /** Ends the search after this many rounds of improvement; unbounded when absent. */
  readonly rounds?: number;
  /** Ends the search after this many rounds without a gain; unbounded when absent. */
  readonly patience?: number;
  /** A schedule to begin from; it may miss steps or break rules, what fits of it is kept. */
  readonly start?: Schedule;
  /** Whether to look for a conflict when there is no schedule; default true. */
  readonly explain?: boolean;
  /** A clock in milliseconds; the core has none of its own. */
  readonly now: () => number;
  /** Gives the caller's event loop a turn, so that the search can be cancelled. */
  readonly pause: () => Promise<void>;
}

/** Called with each better plan as it is found. */
export type OnImprove = (solution: FoundSolution) => void;

/** What the search needs from an AbortSignal. */
export interface CancelSignal {
  readonly aborted: boolean;
}

const MILLISECONDS_BETWEEN_PAUSES = 15;
const MILLISECONDS_BETWEEN_NEWS = 60;
/** List schedules tried before the engine looks for a first plan too. */
const FIRST_ATTEMPTS = 8;
/** Rounds of the quick descent without a gain after which the learning search takes over. */
const DESCENT_PATIENCE = 100;
/** And the most it may take of the time. */
const DESCENT_SHARE = 0.4;
const DESCENT_SHARE_OF_MANY = 0.8;
/** In a kitchen of more steps, with a bound below so much of the cost, the whole problem is hopeless. */
const MANY_STEPS = 80;
const CLOSE = 0.5;
/** Minutes by which what is not free may move, one of them at random for each neighbourhood. */
const REACHES = [0, 0, 4, 30];
/** Least share of the cost that a neighbourhood is asked to save. */
const LEAST_SAVING = 0.003;
/** So few orders to decide need no neighbourhoods. */
const FEW_PAIRS = 60;
const HEAD = { format: 'warm-cadence/solution', version: 1 } as const;

/**
 * Finds a schedule and keeps improving it until the time, the rounds or the patience run out, or the cost is proven least.
 * List scheduling with ejection gives the first plan. Then a learning search takes turns on neighbourhoods of the best plan (a
 * few dishes free, the rest held in its order) and on the whole problem, which in the end proves the optimum or that there is no
 * plan at all; see docs/solver.md. Every plan handed out has passed `validate`. An impossible problem comes back as `infeasible`
 * with a conflict, one that could not be decided in time as `unknown`.
 */
export async function solve(
  problem: Problem,
  options: SolveOptions,
  onImprove?: OnImprove,
  signal?: CancelSignal,
): Promise<Solution> {
  const run = new Run(problem, options, onImprove, signal);
  return run.solve();
}

class Run {
  private readonly begun: number;
  private readonly limit: number;
  private readonly random: Random;
  private lastPause = 0;
  private best: FoundSolution | null = null;
  private bound = 0;

  constructor(
    private readonly problem: Problem,
    private readonly options: SolveOptions,
    private readonly onImprove: OnImprove | undefined,
    private readonly signal: CancelSignal | undefined,
  ) {
    this.begun = options.now();
    this.limit = (options.seconds ?? 5) * 1000;
    this.random = seededRandom(options.seed ?? 1);
  }

  private elapsed(): number {
    return this.options.now() - this.begun;
  }

  private isOver(): boolean {
    return this.elapsed() >= this.limit || this.signal?.aborted === true;
  }

  private wantsPause(): boolean {
    return this.elapsed() - this.lastPause > MILLISECONDS_BETWEEN_PAUSES;
  }

  private async breathe(): Promise<void> {
    await this.options.pause();
    this.lastPause = this.elapsed();
  }

  async solve(): Promise<Solution> {
    const result = indexProblem(this.problem);
    if (!result.ok) return this.infeasible();
    const p = result.indexed;
    if (p.n === 0) {
      this.keep(p, { start: new Int32Array(0), unit: new Int32Array(0) });
      return this.answer(true);
    }
    const ideal = idealStarts(p);
    const draft = new Draft(p, ideal);
    let placement = this.listSchedule(p, draft, ideal, 0);
    for (let attempt = 1; !placement && attempt < FIRST_ATTEMPTS && !this.isOver(); attempt++) {
      if (this.wantsPause()) await this.breathe();
      placement = this.listSchedule(p, draft, ideal, attempt);
    }
    if (placement) this.keep(p, placement);
    await this.breathe();
    const model = new Model(p);
    if (!model.sound) return this.best ? this.answer(true) : this.infeasible();
    this.raiseBound(model);
    if (placement) {
      if (!this.limitTo(model, this.best!.cost)) return this.answer(true);
      const many = this.isHopeless(p);
      const patience = this.options.start ? 25 : DESCENT_PATIENCE + (many ? 40 : 12) * p.n;
      const share = many ? DESCENT_SHARE_OF_MANY : DESCENT_SHARE;
      const until = this.elapsed() + share * (this.limit - this.elapsed());
      placement = await this.descend(p, this.descentFrom(p, draft, ideal), patience, until);
    } else {
      placement = await this.firstByEngine(p, model, draft, ideal);
      if (!placement) return this.giveUp(model);
    }
    const proven = await this.improve(p, model, placement, draft, ideal);
    return this.answer(proven);
  }

  private raiseBound(model: Model): void {
    this.bound = Math.max(this.bound, model.engine.rootBound(2 * model.total) + model.base);
  }

  /** From now on only plans below a cost count; false when there is none, which proves that cost the least. */
  private limitTo(model: Model, cost: number): boolean {
    const open = model.engine.fix(2 * model.total + 1, model.base + 1 - cost);
    if (open) this.raiseBound(model);
    return open;
  }

  /** Many steps and a bound far below the cost: a proof is out of reach, and nearly all time goes to better plans. */
  private isHopeless(p: Indexed): boolean {
    return p.n > MANY_STEPS && this.bound < CLOSE * this.best!.cost;
  }

  private descentFrom(p: Indexed, draft: Draft, ideal: Int32Array): Descent {
    return new Descent(p, draft, ideal, closelyJoined(p), this.random);
  }

  private listSchedule(p: Indexed, draft: Draft, ideal: Int32Array, attempt: number): Placement | null {
    const all = Array.from({ length: p.n }, (_, i) => i);
    for (const i of all) draft.remove(i);
    if (this.options.start && attempt < 2) seedDraft(p, draft, this.options.start);
    const missing = all.filter((i) => !draft.isPlaced(i));
    const order = noisyOrder(p, ideal, missing, attempt === 0 ? 0 : Math.min(120, 5 * attempt), this.random);
    if (!placeAll(draft, missing, order, 12 * p.n + 200, this.random)) return null;
    return placementOf(p, draft.snapshot());
  }

  /** Quick rounds over list schedules, as long as they bring something. */
  private async descend(p: Indexed, descent: Descent, patience: number, until: number): Promise<Placement> {
    let told = this.elapsed();
    for (let idle = 0; idle < patience && this.elapsed() < until && !this.isOver(); idle++) {
      if (this.wantsPause()) await this.breathe();
      if (!descent.round()) continue;
      idle = -1;
      // Telling of each of the many small gains would take longer than making them.
      if (this.elapsed() - told < MILLISECONDS_BETWEEN_NEWS) continue;
      this.keep(p, placementOf(p, descent.best));
      told = this.elapsed();
    }
    const placement = placementOf(p, descent.best);
    this.keep(p, placement);
    return placement;
  }

  /** The engine and list scheduling in turns, until one of them has a plan or there is none. */
  private async firstByEngine(p: Indexed, model: Model, draft: Draft, ideal: Int32Array): Promise<Placement | null> {
    const { engine } = model;
    for (let step = 0; step < p.n; step++) engine.phase[model.startOf(step)] = ideal[step]!;
    for (let turn = 0; !this.isOver(); turn++) {
      const outcome = await this.search(model, [], 400 + 200 * turn);
      if (outcome === 'found') {
        const placement = model.read();
        this.keep(p, placement);
        return placement;
      }
      if (outcome === 'refuted' || this.isOver()) return null;
      const placement = this.listSchedule(p, draft, ideal, FIRST_ATTEMPTS + turn);
      if (placement) {
        this.keep(p, placement);
        return placement;
      }
    }
    return null;
  }

  /** One search to its end, with breaks in which the caller may cancel; 'paused' when it was cut off. */
  private async search(model: Model, assumptions: readonly number[], conflicts: number): Promise<Outcome> {
    const { engine } = model;
    let outcome = engine.search(assumptions, conflicts, () => this.wantsPause());
    while (outcome === 'paused') {
      await this.breathe();
      if (this.isOver()) return 'paused';
      outcome = engine.search(assumptions, conflicts, () => this.wantsPause(), true);
    }
    return outcome;
  }

  /** Neighbourhoods and the whole problem in turns; true when the best plan is proven to be the best there is. */
  private async improve(p: Indexed, model: Model, first: Placement, draft: Draft, ideal: Int32Array): Promise<boolean> {
    const { engine } = model;
    const dishes = dishesOf(p);
    draft.restore(snapshotOf(p, first));
    const descent = this.descentFrom(p, draft, ideal);
    let placement = first;
    let size = Math.min(p.n, 14);
    let wholeConflicts = this.isHopeless(p) ? 500 : 1500;
    let partConflicts = 0;
    let sinceGain = 0;
    let part: { readonly free: Uint8Array; readonly reach: number } | null = null;
    if (!this.limitTo(model, this.best!.cost)) return true;
    for (let round = 0; round < (this.options.rounds ?? Number.POSITIVE_INFINITY); round++) {
      if (sinceGain >= (this.options.patience ?? Number.POSITIVE_INFINITY) || this.isOver()) return false;
      const many = this.isHopeless(p);
      const whole: boolean =
        part === null && (model.pairs.count < FEW_PAIRS || partConflicts >= (many ? 20 : 0.4) * wholeConflicts);
      const before = engine.conflicts;
      model.guide(placement);
      let outcome: Outcome;
      if (whole) {
        outcome = await this.search(model, [], wholeConflicts);
      } else {
        part ??=
          round === 0
            ? { free: new Uint8Array(p.n), reach: 30 }
            : {
                free: pickFree(p, dishes, placement, size, this.random),
                reach: REACHES[this.random.below(many ? 3 : REACHES.length)]!,
              };
        // Where nearly everything stands still, the exact timing has nothing to add.
        model.lookAtTiming(part.reach > 4);
        const saving = round === 0 ? 1 : Math.max(1, Math.floor(this.best!.cost * LEAST_SAVING));
        const goal = [2 * model.total + 1, model.base + saving - this.best!.cost];
        outcome = await this.search(model, [...goal, ...keepTheRest(model, placement, part.free, part.reach)], 150);
        model.lookAtTiming(true);
      }
      if (outcome === 'paused') return false;
      if (!engine.isOpen() || (whole && outcome === 'refuted')) return true;
      this.raiseBound(model);
      sinceGain++;
      if (outcome === 'found') {
        // Free again what was free: there may be more to gain in the same place.
        placement = model.read(placement.unit);
        this.keep(p, placement);
        sinceGain = 0;
        if (!this.limitTo(model, this.best!.cost)) return true;
        continue;
      }
      part = null;
      if (many && (round & 1) === 1) {
        // In a large kitchen the quick rounds go on bringing more than the thorough ones.
        descent.adopt(snapshotOf(p, placement));
        const { cost } = this.best!;
        const better = await this.descend(p, descent, 3 * p.n, this.limit);
        if (this.isOver()) return false;
        if (descent.bestCost < cost) {
          placement = better;
          sinceGain = 0;
          if (!this.limitTo(model, this.best!.cost)) return true;
        }
      }
      if (whole) {
        partConflicts = 0;
        wholeConflicts = Math.min(20_000, Math.ceil(wholeConflicts * 1.4));
      } else {
        // A round without a conflict still costs something.
        partConflicts += engine.conflicts - before + 5;
        size = outcome === 'refuted' ? Math.min(p.n, size + 0.25) : Math.max(5, size - 0.5);
      }
    }
    return false;
  }

  private keep(p: Indexed, placement: Placement): void {
    const schedule = scheduleOf(p, placement);
    const verdict = validate(this.problem, schedule);
    if (verdict.faults.length > 0) throw new Error(`The solver broke a rule: ${verdict.faults[0]}`);
    if (this.best && verdict.cost >= this.best.cost) return;
    const bound = Math.min(this.bound, verdict.cost);
    this.best = {
      ...HEAD,
      status: verdict.cost <= bound ? 'optimal' : 'feasible',
      cost: verdict.cost,
      bound,
      ...schedule,
      milliseconds: Math.round(this.elapsed()),
    };
    this.onImprove?.(this.best);
  }

  private answer(proven: boolean): Solution {
    const best = this.best!;
    const bound = proven ? best.cost : Math.min(best.cost, Math.max(0, this.bound));
    const status = bound >= best.cost ? 'optimal' : 'feasible';
    return { ...best, status, bound, milliseconds: Math.round(this.elapsed()) };
  }

  private async giveUp(model: Model): Promise<Solution> {
    if (this.best) return this.answer(false);
    if (!model.engine.isOpen()) return this.infeasible();
    return { ...HEAD, status: 'unknown', milliseconds: Math.round(this.elapsed()) };
  }

  private async infeasible(): Promise<Solution> {
    if (this.options.explain === false) {
      return { ...HEAD, status: 'infeasible', milliseconds: Math.round(this.elapsed()) };
    }
    const conflict = await findConflict(this.problem, {
      isOver: () => this.signal?.aborted === true || this.elapsed() >= Math.max(this.limit, 1000),
      breathe: () => this.breathe(),
    });
    return { ...HEAD, status: 'infeasible', conflict, milliseconds: Math.round(this.elapsed()) };
  }
}

function placementOf(p: Indexed, { start, choice }: Snapshot): Placement {
  return { start, unit: Int32Array.from(p.needs, (need) => need.units[choice[need.index]!]!) };
}

function snapshotOf(p: Indexed, { start, unit }: Placement): Snapshot {
  return { start: start.slice(), choice: Int32Array.from(p.needs, (need) => need.units.indexOf(unit[need.index]!)) };
}

function scheduleOf(p: Indexed, { start, unit }: Placement): Schedule {
  const starts: Record<string, number> = {};
  const units: Record<string, string[]> = {};
  const holds: Record<string, string> = {};
  p.problem.steps.forEach((step, index) => {
    starts[step.id] = start[index]!;
  });
  for (const need of p.needs) {
    const id = p.problem.units[unit[need.index]!]!.id;
    if ('hold' in need.origin) {
      holds[need.origin.hold] = id;
    } else {
      const list = units[need.origin.step] ?? [];
      list[need.origin.need] = id;
      units[need.origin.step] = list;
    }
  }
  return { starts, units, holds };
}
