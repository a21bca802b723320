import { readUnit } from '@/core/meal/keys';
import { own } from '@/core/plain/record';
import { type Course, courseOf } from '@/core/risk/course';
import { cookEach, type Drawn, drawMinutes, USUAL_SHARED } from '@/core/risk/rehearse';
import type { Problem, Schedule } from '@/core/schedule/problem';
import { seededRandom } from '@/core/schedule/random';
import { validate } from '@/core/schedule/validate';
import type { Compiled } from './compile';
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
/** Evenings that are bad cost one each; what nearly was costs a little, so that the search knows where it goes. */
const NEARLY = { late: 0.02, stale: 0.01, veryLate: 0.3 } as const;

interface Lander {
  readonly at: number;
  readonly by: number;
  readonly well: number;
  readonly hot: boolean;
}

/**
 * Moves steps of a schedule about, within all its rules and by likely minutes, towards the hours at which most evenings land well: each try is
 * rehearsed by the same drawn evenings. Order, burners, pots and people stay.
 */
export async function polished(compiled: Compiled, from: Schedule, options: PolishOptions): Promise<Schedule> {
  const { likely } = compiled;
  const course = courseOf(likely, from, isPerson);
  const landers = landersOf(compiled, course);
  if (landers.length === 0) return from;
  const drawn = drawMinutes(course, options.evenings, { seed: options.seed, shared: USUAL_SHARED });
  const lossOf = (schedule: Schedule, most: number): number => {
    const { faults, cost } = validate(likely, schedule);
    if (faults.length > 0) return Number.POSITIVE_INFINITY;
    const moved = courseOf(likely, schedule, isPerson);
    return badness(moved, drawn, landers, most - options.price * cost) + options.price * cost;
  };
  let best = from;
  let least = lossOf(from, Number.MAX_VALUE);
  // What was handed in may stand only with what the problem with room allows.
  if (!Number.isFinite(least)) return from;
  const linked = linksHold(likely);
  const groups = groupsOf(likely);
  const random = seededRandom(options.seed);
  let tries = 0;
  for (let idle = 0; tries < options.tries && idle < 2; idle++) {
    // What lands worst is moved first: the time may be short.
    const worst = worstFirst(courseOf(likely, best, isPerson), drawn, landers);
    const order = worst.flatMap((id) => groups.filter((group) => group.includes(id)));
    for (const group of new Set([...order, ...shuffled([...groups, ...cutsOf(likely, best)], random)])) {
      for (const by of BY) {
        // As long as a move helps it is made again.
        for (let helps = true; helps && tries < options.tries; ) {
          tries++;
          if (tries % TRIES_IN_A_TURN === 0 && (await options.pause()) && tries >= FIRST_TRIES) return best;
          helps = false;
          const tried = shifted(likely, best, group, by);
          if (!tried || !linked(tried)) continue;
          const loss = lossOf(tried, least);
          if (loss >= least - 1e-6) continue;
          least = loss;
          best = tried;
          helps = true;
          idle = -1;
        }
      }
    }
  }
  return best;
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

/** Bad evenings among the drawn ones, as a share, and a little for what nearly was; anything above `most` is told as infinite, for it does not matter. */
function badness(course: Course, drawn: Drawn, landers: readonly Lander[], most: number): number {
  const enough = most * drawn.evenings;
  let sum = 0;
  cookEach(course, drawn, (ends) => {
    let late = 0;
    for (const { at, by } of landers) late = Math.max(late, ends[at]! - by);
    let bad = late > ON_TIME ? 1 : 0;
    if (late > 2 * ON_TIME) sum += NEARLY.veryLate;
    sum += NEARLY.late * Math.max(0, late - 2);
    for (const { at, by, well, hot } of landers) {
      if (!hot) continue;
      const stale = late + by - ends[at]! - well;
      if (stale > NOT_TASTED) bad = 1;
      if (stale > 0) sum += NEARLY.stale * stale;
    }
    sum += bad;
    return sum <= enough;
  });
  return sum <= enough ? sum / drawn.evenings : Number.POSITIVE_INFINITY;
}

/** Last steps of dishes that are late or stale in some evenings, the worst first. */
function worstFirst(course: Course, drawn: Drawn, landers: readonly Lander[]): readonly string[] {
  const bad = new Int32Array(landers.length);
  cookEach(course, drawn, (ends) => {
    let late = 0;
    for (const { at, by } of landers) late = Math.max(late, ends[at]! - by);
    landers.forEach(({ at, by, well, hot }, index) => {
      const isStale = hot && late + by - ends[at]! > well + NOT_TASTED;
      if (isStale || ends[at]! - by > ON_TIME) bad[index]!++;
    });
    return true;
  });
  return landers
    .map(({ at }, index) => ({ id: course.ids[at]!, bad: bad[index]! }))
    .filter(({ bad: count }) => count > 0)
    .sort((a, b) => b.bad - a.bad)
    .map(({ id }) => id);
}

/** What moves together: closely tied steps alone, and each beginning and each end of what waits for one another. */
function groupsOf(problem: Problem): readonly (readonly string[])[] {
  const fixed = new Set(
    problem.steps.filter(({ earliest, latest }) => earliest !== undefined && earliest === latest).map(({ id }) => id),
  );
  const parent = new Map(problem.steps.map(({ id }) => [id, id]));
  const root = (id: string): string => (parent.get(id) === id ? id : root(parent.get(id)!));
  for (const { from, to, min, max } of problem.links) {
    if (max !== undefined && max !== null && max - min <= TIED) parent.set(root(from), root(to));
  }
  const tied = new Map<string, string[]>();
  for (const { id } of problem.steps) tied.set(root(id), [...(tied.get(root(id)) ?? []), id]);
  const next = new Map<string, Set<string>>();
  const before = new Map<string, Set<string>>();
  for (const { from, to } of problem.links) {
    const [a, b] = [root(from), root(to)];
    if (a === b) continue;
    next.set(a, (next.get(a) ?? new Set()).add(b));
    before.set(b, (before.get(b) ?? new Set()).add(a));
  }
  const reach = (from: string, ways: ReadonlyMap<string, ReadonlySet<string>>) => {
    const seen = new Set([from]);
    for (const each of seen) for (const other of ways.get(each) ?? []) seen.add(other);
    return [...seen].flatMap((each) => tied.get(each)!);
  };
  const groups = [...tied].flatMap(([id, steps]) => [steps, reach(id, before), reach(id, next)]);
  const byName = new Map(groups.map((group) => [[...group].sort().join('\n'), group]));
  // The smallest first: what can be mended by moving little is.
  return [...byName.values()].filter((group) => !group.some((id) => fixed.has(id))).sort((a, b) => a.length - b.length);
}

/** All that begins before a minute, for each minute at which something begins, and everything: moved sooner, they leave room for all that follows. */
function cutsOf({ steps }: Problem, { starts }: Schedule): readonly (readonly string[])[] {
  const free = steps.filter(({ earliest, latest }) => earliest === undefined || earliest !== latest);
  const minutes = [...new Set(free.map(({ id }) => starts[id]!))].sort((a, b) => a - b).slice(1);
  return [...minutes, Number.POSITIVE_INFINITY].map((minute) =>
    free.filter(({ id }) => starts[id]! < minute).map(({ id }) => id),
  );
}

function shifted(problem: Problem, schedule: Schedule, group: readonly string[], by: number): Schedule | null {
  const starts: Record<string, number> = Object.assign(Object.create(null), schedule.starts);
  for (const id of group) {
    const start = (own(schedule.starts, id) ?? 0) + by;
    if (start < 0 || start > problem.horizon) return null;
    starts[id] = start;
  }
  return { ...schedule, starts };
}

/** Whether all links hold: most moves fail by them, and they are quickly looked through. */
function linksHold({ steps, links }: Problem): (schedule: Schedule) => boolean {
  const minutes = new Map(steps.map((step) => [step.id, step.minutes]));
  const rows = links.map(({ from, at, to, of, min, max }) => {
    const shift = (of === 'end' ? minutes.get(to)! : 0) - (at === 'end' ? minutes.get(from)! : 0);
    return { from, to, min: min - shift, max: (max ?? Number.POSITIVE_INFINITY) - shift };
  });
  return ({ starts }) =>
    rows.every(({ from, to, min, max }) => {
      const lag = starts[to]! - starts[from]!;
      return lag >= min && lag <= max;
    });
}

function shuffled<T>(list: readonly T[], random: { below(n: number): number }): readonly T[] {
  const copy = [...list];
  for (let i = copy.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [copy[i], copy[j]] = [copy[j]!, copy[i]!];
  }
  return copy;
}

function isPerson(unit: string): boolean {
  return readUnit(unit).sort === 'person';
}
