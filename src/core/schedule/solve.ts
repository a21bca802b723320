import { findConflict } from './conflict';
import { Descent } from './descent';
import { Draft } from './draft';
import { type Indexed, indexInTurns, indexProblem } from './indexed';
import type { Outcome } from './learn/engine';
import { Model } from './learn/model';
import { idealStarts, noisyOrder, placeAll, seedDraft } from './list';
import { closelyJoined, PiecePicker } from './neighbourhoods';
import { cutPiece, putBack } from './piece';
import { costOf, type Placement, placementOf, scheduleOf, snapshotOf } from './placement';
import type { FoundSolution, Problem, Schedule, Solution } from './problem';
import { type Random, seededRandom } from './random';
import { validate } from './validate';

/** Limits of a search, and where it begins. */
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
  /** List schedules alone, where one is found: the model of the learning search takes longer to build than an answer at the stove may take. Default false. */
  readonly brief?: boolean;
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
/** Rounds of improvement that a plan made from nothing gets, whatever the time. */
const FIRST_ROUNDS = 30;
/** List schedules tried before the engine looks for a first plan too. */
const FIRST_ATTEMPTS = 8;
/** The most that the first cycles of the descent may take of the time, before the learning search joins in. */
const DESCENT_SHARE = 0.4;
const DESCENT_SHARE_OF_MANY = 0.8;
/** With a plan to begin from, so many rounds without a gain are enough. */
const SHORT_DESCENT = 25;
/** A round of the learning search without a conflict still costs something. */
const ROUND_COST = 5;
/** Rounds of the descent for each conflict of the learning search, which shares out the time between them. */
const ROUNDS_PER_CONFLICT = 4;
const ROUNDS_PER_CONFLICT_OF_MANY = 6;
const ROUNDS_PER_CONFLICT_PROVING = 0.5;
/** In a kitchen of more steps, with a bound below so much of the cost, the whole problem is hopeless. */
const MANY_STEPS = 80;
const CLOSE = 0.5;
/** Least share of the cost that a piece is asked to save. */
const LEAST_SAVING = 0.0005;
/** Conflicts after which a piece is given up, and those in pieces for each one in the whole. */
const PIECE_CONFLICTS = 80;
const PIECES_SHARE = 0.7;
const PIECES_SHARE_OF_MANY = 20;
const PIECES_SHARE_PROVING = 0.1;
/** Rounds without a gain after which, near a proof, most of the time goes to it. */
const PATIENCE_FOR_GAINS = 25;
const HEAD = { format: 'warm-cadence/solution', version: 1 } as const;

/**
 * Finds a schedule and keeps improving it until the time, the rounds or the patience run out, or the cost is proven least.
 * List scheduling with ejection gives the first plan. Then annealed list schedules with exact timing, a learning search on pieces of
 * the best plan and the same search on the whole problem take turns; the last in the end proves the optimum or that there is no
 * plan at all. See docs/solver.md. Every plan handed out has passed `validate`. An impossible problem comes back as `infeasible`
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

  private isCancelled(): boolean {
    return this.signal?.aborted === true;
  }

  private isOver(): boolean {
    return this.elapsed() >= this.limit || this.isCancelled();
  }

  private wantsPause(): boolean {
    return this.elapsed() - this.lastPause > MILLISECONDS_BETWEEN_PAUSES;
  }

  private async breathe(): Promise<void> {
    await this.options.pause();
    this.lastPause = this.elapsed();
  }

  async solve(): Promise<Solution> {
    const result = await this.inTurns(indexInTurns(this.problem), () => this.isCancelled());
    if (!result) return this.unknown();
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
    const dishes = closelyJoined(p);
    let descent: Descent | null = null;
    if (placement) {
      this.keep(p, placement);
      descent = new Descent(p, draft, ideal, dishes, this.random);
      placement = await this.firstRounds(p, descent);
    }
    if (descent && this.options.brief) {
      await this.descend(p, descent, this.limit, this.options.patience);
      return this.answer(false);
    }
    await this.breathe();
    const model = await this.inTurns(Model.inTurns(p), () => this.isOver());
    if (!model) return this.best ? this.answer(false) : this.unknown();
    if (!model.sound) return this.best ? this.answer(true) : this.infeasible();
    this.raiseBound(model);
    if (placement) {
      if (!this.limitTo(model, this.best!.cost)) return this.answer(true);
    } else {
      placement = await this.firstByEngine(p, model, draft, ideal);
      if (!placement) return this.giveUp(model);
      draft.restore(snapshotOf(p, placement));
    }
    descent ??= new Descent(p, draft, ideal, dishes, this.random);
    await this.descendFirst(p, descent);
    const proven = await this.improve(p, model, descent);
    return this.answer(proven);
  }

  /**
   * A first plan may be far from any sense, and on a busy machine all the time may be over with it: so many rounds it gets in any case,
   * unless there was a plan to begin from.
   */
  private async firstRounds(p: Indexed, descent: Descent): Promise<Placement> {
    for (let round = 0; round < FIRST_ROUNDS && !this.options.start && this.signal?.aborted !== true; round++) {
      if (this.wantsPause()) await this.breathe();
      descent.round();
    }
    const placement = placementOf(p, descent.best);
    this.keep(p, placement);
    return placement;
  }

  /** What is built in turns, or null when it had to be given up before. */
  private async inTurns<T>(turns: Generator<void, T>, isOver: () => boolean): Promise<T | null> {
    for (;;) {
      const turn = turns.next();
      if (turn.done) return turn.value;
      if (this.wantsPause()) await this.breathe();
      if (isOver()) return null;
    }
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

  /** The bound is not far below the cost: a proof may be near. */
  private isClose(): boolean {
    return this.bound >= CLOSE * this.best!.cost;
  }

  /** Many steps and a bound far below the cost: a proof is out of reach, and nearly all time goes to better plans. */
  private isHopeless(p: Indexed): boolean {
    return p.n > MANY_STEPS && !this.isClose();
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

  /** The first rounds over list schedules: a few cycles, in a large kitchen as many as there is time for. */
  private async descendFirst(p: Indexed, descent: Descent): Promise<void> {
    const many = this.isHopeless(p);
    const share = many ? DESCENT_SHARE_OF_MANY : DESCENT_SHARE;
    const until = this.elapsed() + share * (this.limit - this.elapsed());
    if (this.options.start) {
      await this.descend(p, descent, until, SHORT_DESCENT);
      return;
    }
    for (let cycle = 0; cycle < (this.isClose() ? 1 : 2); cycle++) await this.descend(p, descent, until);
  }

  /** One cycle of rounds over list schedules, or less: until the time is up, or so many rounds have brought nothing. */
  private async descend(
    p: Indexed,
    descent: Descent,
    until = this.limit,
    patience = Number.POSITIVE_INFINITY,
  ): Promise<void> {
    let told = this.elapsed();
    for (let idle = 0; idle < patience && this.elapsed() < until && !this.isOver(); idle++) {
      if (this.wantsPause()) await this.breathe();
      const better = descent.round();
      if (better) idle = -1;
      // Telling of each of the many small gains would take longer than making them.
      if (better && this.elapsed() - told >= MILLISECONDS_BETWEEN_NEWS) {
        this.keep(p, placementOf(p, descent.best));
        told = this.elapsed();
      }
      if (descent.isCold) break;
    }
    this.keep(p, placementOf(p, descent.best));
  }

  /** The engine and list scheduling in turns, until one of them has a plan or there is none. */
  private async firstByEngine(p: Indexed, model: Model, draft: Draft, ideal: Int32Array): Promise<Placement | null> {
    const { engine } = model;
    for (let step = 0; step < p.n; step++) engine.phase[model.startOf(step)] = ideal[step]!;
    for (let turn = 0; !this.isOver(); turn++) {
      const outcome = await this.search(model, 400 + 200 * turn);
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
  private async search(model: Model, conflicts: number): Promise<Outcome> {
    const { engine } = model;
    let outcome = engine.search([], conflicts, () => this.wantsPause());
    while (outcome === 'paused') {
      await this.breathe();
      if (this.isOver()) return 'paused';
      outcome = engine.search([], conflicts, () => this.wantsPause(), true);
    }
    return outcome;
  }

  /** Pieces, list schedules and the whole problem in turns; true when the best plan is proven to be the best there is. */
  private async improve(p: Indexed, model: Model, descent: Descent): Promise<boolean> {
    const { engine } = model;
    const pieces = new PiecePicker(p, this.random);
    let placement = placementOf(p, descent.best);
    let wholeConflicts = this.isClose() ? 600 : 1000;
    /** Conflicts in pieces since the last search on the whole, and since the last rounds over list schedules. */
    let inPieces = this.isClose() ? Number.POSITIVE_INFINITY : 0;
    let learned = 0;
    let sinceGain = 0;
    if (!this.limitTo(model, this.best!.cost)) return true;
    for (let round = 0; round < (this.options.rounds ?? Number.POSITIVE_INFINITY); round++) {
      if (sinceGain >= (this.options.patience ?? Number.POSITIVE_INFINITY) || this.isOver()) return false;
      const many = this.isHopeless(p);
      const { cost } = this.best!;
      // Near a proof, and with nothing gained for a while, the best plan is likely found: what is left is to prove it.
      const proving = sinceGain > PATIENCE_FOR_GAINS && this.isClose();
      const share = many ? PIECES_SHARE_OF_MANY : proving ? PIECES_SHARE_PROVING : PIECES_SHARE;
      const whole: boolean = !pieces.areSmaller || inPieces >= share * wholeConflicts;
      if (whole) {
        const before = engine.conflicts;
        model.guide(placement);
        const outcome = await this.search(model, wholeConflicts);
        if (!engine.isOpen() || outcome === 'refuted') return true;
        this.raiseBound(model);
        if (outcome === 'found') {
          placement = model.read(placement.unit);
          this.keep(p, placement);
        }
        learned += engine.conflicts - before;
        inPieces = 0;
        wholeConflicts = Math.min(20_000, Math.ceil(wholeConflicts * 1.4));
      } else {
        const { better, conflicts } = await this.improvePiece(p, pieces, placement);
        if (better) {
          placement = descent.retimed(better, costOf(p, better));
          this.keep(p, placement);
        }
        inPieces += conflicts;
        learned += conflicts;
      }
      if (this.isOver()) return false;
      const rounds = many ? ROUNDS_PER_CONFLICT_OF_MANY : proving ? ROUNDS_PER_CONFLICT_PROVING : ROUNDS_PER_CONFLICT;
      if (learned * rounds >= descent.cycleRounds) {
        // Each finds what the other does not: they get about the same time.
        descent.adopt(snapshotOf(p, placement));
        await this.descend(p, descent);
        placement = placementOf(p, descent.best);
        learned = 0;
      }
      sinceGain = this.best!.cost < cost ? 0 : sinceGain + 1;
      if (this.best!.cost < cost && !this.limitTo(model, this.best!.cost)) return true;
    }
    return false;
  }

  /** Solves one piece of the plan for itself; what that took, and the whole plan with it when it is better. */
  private async improvePiece(
    p: Indexed,
    pieces: PiecePicker,
    placement: Placement,
  ): Promise<{ readonly better: Placement | null; readonly conflicts: number }> {
    const piece = cutPiece(p, placement, pieces.pick(placement));
    const result = piece && indexProblem(piece.problem);
    if (!result?.ok) return { better: null, conflicts: ROUND_COST };
    const model = Model.of(result.indexed);
    // So small a problem is searched faster than its timing is looked at.
    model.lookAtTiming(false);
    model.guide(piece!.placement);
    let { cost } = piece!;
    let found: Placement | null = null;
    let outcome: Outcome = 'refuted';
    const saving = Math.max(1, Math.floor(this.best!.cost * LEAST_SAVING));
    while (model.sound && model.engine.fix(2 * model.total + 1, model.base + saving - cost)) {
      outcome = await this.search(model, PIECE_CONFLICTS);
      if (outcome !== 'found') break;
      found = model.read();
      cost = costOf(result.indexed, found);
    }
    pieces.learn(outcome === 'refuted' || outcome === 'found');
    return {
      better: found && putBack(placement, piece!, found),
      conflicts: model.engine.conflicts + ROUND_COST,
    };
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
    return this.unknown();
  }

  private unknown(): Solution {
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
