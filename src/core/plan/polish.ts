import { groupBy } from '@/core/plain/group-by';
import { bare, own } from '@/core/plain/record';
import { type Course, CourseMaker, waitsFrom } from '@/core/risk/course';
import { cookEach, type Drawn, drawMinutes, USUAL_SHARED } from '@/core/risk/rehearse';
import type { Problem, ProblemStep, Schedule } from '@/core/schedule/problem';
import { seededRandom } from '@/core/schedule/random';
import { validate } from '@/core/schedule/validate';
import type { Compiled } from './compile';
import { rolesIn } from './plan-course';
import { NOT_TASTED, ON_TIME } from './well-landed';

/** Limits of a search for a plan that lands more evenings. */
export interface PolishOptions {
  /** Evenings that each try is rehearsed in. */
  readonly evenings: number;
  /** Tries at most. */
  readonly tries: number;
  readonly seed: number;
  /** What a minute of likely cost is worth, in evenings: an awake minute more, a minute of waiting. */
  readonly price: number;
  /** Gives the caller a turn; true to stop where it is. */
  readonly pause: () => Promise<boolean>;
}

/** Evenings between two turns. */
const TRIES_IN_A_TURN = 4;
/** Tries that every plan gets, whatever the time. */
const FIRST_TRIES = 120;
/** Minutes by which steps are moved, in turn. */
const BY = [-2, 2, -5, 5, -1, 1, -10, 10] as const;
/** Steps tied as closely as this move together. */
const TIED = 3;
/**
 * Evenings that are bad cost one each, and a late one a little more: where something waits too long on all of them, the table can still be laid in time.
 * What nearly was bad costs a little, so that the search knows where it goes.
 */
const NEARLY = { late: 0.02, stale: 0.01, isLate: 0.5, veryLate: 0.3 } as const;

interface Lander {
  readonly at: number;
  readonly by: number;
  readonly well: number;
  readonly hot: boolean;
}

/** Evenings that each try of a round is rehearsed in: few at first, which is quick, then more. */
const EVENINGS_OF_A_ROUND = [100, 300] as const;
/** Rounds are compared by so many evenings of their own. */
const EVENINGS_TO_COMPARE = 1000;
/** As good as this needs no further round, and a round that brings less than this is the last. */
const GOOD_ENOUGH = 0.01;
const WORTH_A_ROUND = 0.002;

/** What hours are judged by: bad evenings as a share, and the price of the cost; infinite where a rule is broken, or nothing lands. */
export function lossOfEvenings(
  compiled: Compiled,
  schedule: Schedule,
  { seed, price }: Pick<PolishOptions, 'seed' | 'price'>,
): number {
  return new Polish(compiled, schedule, { evenings: EVENINGS_TO_COMPARE, seed, price }).loss;
}

/** Polishes in rounds, each by other evenings, so that none ends where a few unlucky draws keep it; the best of all is kept. */
export async function polishedInRounds(
  compiled: Compiled,
  from: Schedule,
  { rounds, seed, ...options }: Omit<PolishOptions, 'evenings'> & { readonly rounds: number },
): Promise<Schedule> {
  let isOver = false;
  const pause = async () => {
    isOver ||= await options.pause();
    return isOver;
  };
  const lossOf = (schedule: Schedule) => lossOfEvenings(compiled, schedule, { ...options, seed: seed - 1 });
  let best = from;
  let least = lossOf(from);
  for (let round = 0; round < rounds && !isOver && least > GOOD_ENOUGH; round++) {
    let tried = best;
    for (const [index, evenings] of EVENINGS_OF_A_ROUND.entries()) {
      if (isOver && index > 0) break;
      tried = await polished(compiled, tried, { ...options, evenings, pause, seed: seed + 2 * round + index });
    }
    const loss = lossOf(tried);
    const won = least - loss;
    if (won > 0) {
      best = tried;
      least = loss;
    }
    if (round > 0 && won < WORTH_A_ROUND) break;
  }
  return best;
}

/**
 * Moves steps of a schedule about, within all its rules and by likely minutes, towards the hours at which most evenings land well: each try is
 * rehearsed by the same drawn evenings. Order, burners, pots and people stay.
 */
export async function polished(compiled: Compiled, from: Schedule, options: PolishOptions): Promise<Schedule> {
  const { likely } = compiled;
  const polish = new Polish(compiled, from, options);
  // What was handed in may stand only with what the problem with room allows; and where nothing lands there is nothing to gain.
  if (!Number.isFinite(polish.loss)) return from;
  const shift = new Shift(likely);
  const groups = groupsOf(likely);
  const random = seededRandom(options.seed);
  let tries = 0;
  for (let idle = 0; tries < options.tries && idle < 2; idle++) {
    // What lands worst is moved first: the time may be short.
    const order = polish.worstFirst().flatMap((step) => groups.filter((group) => group.includes(step)));
    const cuts = cutsOf(likely, polish.starts);
    for (const group of new Set([...order, ...shuffled([...groups, ...cuts], random)])) {
      for (const by of BY) {
        // As long as a move helps it is made again.
        for (let helps = true; helps && tries < options.tries; ) {
          tries++;
          const isOver = tries % TRIES_IN_A_TURN === 0 && (await options.pause());
          if (isOver && tries >= FIRST_TRIES) return polish.schedule();
          const tried = shift.by(polish.starts, group, by);
          helps = tried !== null && polish.takes(tried);
          if (helps) idle = -1;
        }
      }
    }
  }
  return polish.schedule();
}

/** The best hours so far, and what they are judged by. */
class Polish {
  /** Minutes at which the steps begin. */
  starts: Int32Array;
  /** Bad evenings as a share, and the price of the cost; infinite where a rule is broken, or nothing lands. */
  loss = Number.POSITIVE_INFINITY;
  private readonly maker: CourseMaker;
  private readonly landers: readonly Lander[];
  private readonly drawn: Drawn;
  private readonly jury: Jury;

  constructor(
    private readonly compiled: Compiled,
    private readonly from: Schedule,
    private readonly options: Pick<PolishOptions, 'evenings' | 'seed' | 'price'>,
  ) {
    const { likely } = compiled;
    this.starts = Int32Array.from(likely.steps, ({ id }) => own(from.starts, id) ?? 0);
    this.maker = new CourseMaker(likely, from, rolesIn(compiled));
    const course = this.maker.at(this.starts);
    this.landers = landersOf(compiled, course);
    this.drawn = drawMinutes(course, options.evenings, { seed: options.seed, shared: USUAL_SHARED });
    this.jury = new Jury(this.drawn, course.n, this.landers);
    if (this.landers.length > 0) this.takes(this.starts);
  }

  /** Takes other hours where they are better; whether they were. */
  takes(starts: Int32Array): boolean {
    const { faults, cost } = validate(this.compiled.likely, this.named(starts));
    if (faults.length > 0) return false;
    const price = this.options.price * cost;
    const most = Math.min(this.loss, Number.MAX_VALUE) - price;
    const loss = this.jury.badness(this.maker.at(starts), most) + price;
    if (loss >= this.loss - 1e-6) return false;
    this.loss = loss;
    this.starts = starts;
    this.jury.agree();
    return true;
  }

  schedule(): Schedule {
    return this.named(this.starts);
  }

  /** Last steps of dishes that are late or stale in some evenings, the worst first, as positions. */
  worstFirst(): readonly number[] {
    return worstFirst(this.maker.at(this.starts), this.drawn, this.landers);
  }

  private named(starts: Int32Array): Schedule {
    const named = bare<number>();
    for (const [index, { id }] of this.compiled.likely.steps.entries()) named[id] = starts[index]!;
    return { ...this.from, starts: named };
  }
}

function landersOf({ likely, dishes, entries }: Compiled, course: Course): readonly Lander[] {
  return dishes.flatMap((dish) => {
    const { lands } = dish;
    if (!lands) return [];
    const last = [...entries].findLast(
      ([, entry]) => entry.kind === 'part' && entry.part.dish.id === dish.id && entry.part.step.id === lands.step,
    );
    const at = last ? course.ids.indexOf(last[0]) : -1;
    const by = likely.serve + (lands.after ?? 0);
    return at < 0 ? [] : [{ at, by, well: lands.waits.wellMinutes, hot: lands.waits.served === 'hot' }];
  });
}

/** By the evenings that hold so much of what is bad about the best plan another one shows whether it can be better. */
const TELLING = 0.75;

/** Judges plans by the same evenings, those first in which the best one so far is worst: most others show there that they are no better. */
class Jury {
  private minutes: Int32Array;
  /** Badness of the best plan in each evening, and of the plan that was judged last. */
  private best: Float64Array;
  private last: Float64Array;
  /** Evenings that hold the telling share of the badness, and the sum of it there. */
  private telling = { evenings: 0, sum: 0 };

  constructor(
    drawn: Drawn,
    private readonly n: number,
    private readonly landers: readonly Lander[],
  ) {
    this.minutes = drawn.minutes;
    this.best = new Float64Array(drawn.evenings);
    this.last = new Float64Array(drawn.evenings);
  }

  /** Bad evenings as a share, and a little for what nearly was; anything above `most` is told as infinite, for it does not matter. */
  badness(course: Course, most: number): number {
    const evenings = this.best.length;
    const enough = most * evenings;
    // What costs less may be a little worse in the worst evenings.
    const inTelling = Math.max(
      this.telling.sum,
      enough - (1 - TELLING) * this.best.reduce((sum, each) => sum + each, 0),
    );
    let sum = 0;
    cookEach(course, { evenings, minutes: this.minutes }, (ends, starts, evening) => {
      const bad = this.badnessIn(course, ends, starts);
      this.last[evening] = bad;
      sum += bad;
      if (evening + 1 === this.telling.evenings && sum > inTelling + 1e-9) sum = Number.POSITIVE_INFINITY;
      return sum <= enough;
    });
    return sum <= enough ? sum / evenings : Number.POSITIVE_INFINITY;
  }

  /** The plan that was judged last is the best from now on. */
  agree(): void {
    const { n, last } = this;
    const order = Array.from(last, (_, evening) => evening).sort((a, b) => last[b]! - last[a]! || a - b);
    const minutes = new Int32Array(this.minutes.length);
    for (const [to, from] of order.entries()) minutes.set(this.minutes.subarray(from * n, (from + 1) * n), to * n);
    this.minutes = minutes;
    this.best = Float64Array.from(order, (evening) => last[evening]!);
    const enough = TELLING * this.best.reduce((sum, each) => sum + each, 0);
    let [evenings, sum] = [0, 0];
    while (sum < enough) sum += this.best[evenings++]!;
    this.telling = { evenings, sum };
  }

  private badnessIn(course: Course, ends: Int32Array, starts: Int32Array): number {
    let late = 0;
    for (const { at, by } of this.landers) late = Math.max(late, ends[at]! - by);
    let isBad = late > ON_TIME;
    let sum = NEARLY.late * Math.max(0, late - 2) + (isBad ? NEARLY.isLate : 0);
    if (late > 2 * ON_TIME) sum += NEARLY.veryLate;
    for (const lander of this.landers) {
      if (!lander.hot) continue;
      const stale = late + lander.by - waitFrom(course, lander, ends, starts) - lander.well;
      if (stale > NOT_TASTED) isBad = true;
      if (stale > 0) sum += NEARLY.stale * stale;
    }
    return isBad ? sum + 1 : sum;
  }
}

function waitFrom(course: Course, { at, by, well }: Lander, ends: Int32Array, starts: Int32Array): number {
  return waitsFrom(course, at, { start: starts[at]!, end: ends[at]! }, by - well);
}

function worstFirst(course: Course, drawn: Drawn, landers: readonly Lander[]): readonly number[] {
  const bad = new Int32Array(landers.length);
  cookEach(course, drawn, (ends, starts) => {
    let late = 0;
    for (const { at, by } of landers) late = Math.max(late, ends[at]! - by);
    landers.forEach((lander, index) => {
      const { at, by, well, hot } = lander;
      const isStale = hot && late + by - waitFrom(course, lander, ends, starts) > well + NOT_TASTED;
      if (isStale || ends[at]! - by > ON_TIME) bad[index]!++;
    });
    return true;
  });
  return landers
    .map(({ at }, index) => ({ at, bad: bad[index]! }))
    .filter(({ bad: count }) => count > 0)
    .sort((a, b) => b.bad - a.bad)
    .map(({ at }) => at);
}

/** What moves together, as positions: closely tied steps alone, and each beginning and each end of what waits for one another. */
function groupsOf({ steps, links }: Problem): readonly (readonly number[])[] {
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  const parent = steps.map((_, index) => index);
  const root = (index: number): number => (parent[index] === index ? index : root(parent[index]!));
  for (const { from, to, min, max } of links) {
    if (max !== undefined && max !== null && max - min <= TIED) parent[root(at.get(from)!)] = root(at.get(to)!);
  }
  const tied = groupBy(
    steps.map((_, index) => index),
    root,
  );
  const next = new Map<number, Set<number>>();
  const before = new Map<number, Set<number>>();
  for (const { from, to } of links) {
    const [a, b] = [root(at.get(from)!), root(at.get(to)!)];
    if (a === b) continue;
    next.set(a, (next.get(a) ?? new Set()).add(b));
    before.set(b, (before.get(b) ?? new Set()).add(a));
  }
  const reach = (from: number, ways: ReadonlyMap<number, ReadonlySet<number>>) => {
    const seen = new Set([from]);
    for (const each of seen) for (const other of ways.get(each) ?? []) seen.add(other);
    return [...seen].flatMap((each) => tied.get(each)!).sort((a, b) => a - b);
  };
  const groups = [...tied].flatMap(([from, together]) => [together, reach(from, before), reach(from, next)]);
  const byName = new Map(groups.map((group) => [group.join(' '), group]));
  // The smallest first: what can be mended by moving little is.
  return [...byName.values()]
    .filter((group) => !group.some((index) => isFixed(steps[index]!)))
    .sort((a, b) => a.length - b.length);
}

function isFixed({ earliest, latest }: ProblemStep): boolean {
  return earliest !== undefined && earliest === latest;
}

/** All that begins before a minute, for each minute at which something begins, and everything: moved sooner, they leave room for all that follows. */
function cutsOf({ steps }: Problem, starts: Int32Array): readonly (readonly number[])[] {
  const free = steps.flatMap((step, index) => (isFixed(step) ? [] : [index]));
  const minutes = [...new Set(free.map((index) => starts[index]!))].sort((a, b) => a - b).slice(1);
  return [...minutes, Number.POSITIVE_INFINITY].map((minute) => free.filter((index) => starts[index]! < minute));
}

/** Moves steps where all links allow it: most moves fail by them, and they are quickly looked through. */
class Shift {
  private readonly rows: readonly {
    readonly from: number;
    readonly to: number;
    readonly min: number;
    readonly max: number;
  }[];
  private readonly moved: Uint8Array;

  constructor(private readonly problem: Problem) {
    const { steps, links } = problem;
    const at = new Map(steps.map(({ id }, index) => [id, index]));
    this.moved = new Uint8Array(steps.length);
    this.rows = links.map(({ from, at: of, to, of: edge, min, max }) => {
      const [a, b] = [at.get(from)!, at.get(to)!];
      const shift = (edge === 'end' ? steps[b]!.minutes : 0) - (of === 'end' ? steps[a]!.minutes : 0);
      return { from: a, to: b, min: min - shift, max: (max ?? Number.POSITIVE_INFINITY) - shift };
    });
  }

  /** The hours with a group moved by so many minutes; null where a link or the horizon is against it. */
  by(starts: Int32Array, group: readonly number[], minutes: number): Int32Array | null {
    const { moved } = this;
    moved.fill(0);
    const tried = starts.slice();
    for (const index of group) {
      moved[index] = 1;
      tried[index]! += minutes;
      if (tried[index]! < 0 || tried[index]! > this.problem.horizon) return null;
    }
    for (const { from, to, min, max } of this.rows) {
      if (moved[from] === moved[to]) continue;
      const lag = tried[to]! - tried[from]!;
      if (lag < min || lag > max) return null;
    }
    return tried;
  }
}

function shuffled<T>(list: readonly T[], random: { below(n: number): number }): readonly T[] {
  const copy = [...list];
  for (let i = copy.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [copy[i], copy[j]] = [copy[j]!, copy[i]!];
  }
  return copy;
}
