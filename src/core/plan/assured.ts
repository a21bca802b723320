import { type Bound, type Controllability, controllability } from '@/core/risk/controllability';
import { endOf, type NetworkOptions, networkOf } from '@/core/risk/network';
import type { Problem } from '@/core/schedule/problem';
import type { Assured, Mend } from './plan';
import type { PlanCourse } from './plan-course';
import { NOT_TASTED, ON_TIME } from './well-landed';

/** Ranges of minutes are tried in so many steps from nothing to all of them. */
const SHARES = 20;
/** Nobody begins more than an hour sooner to be sure, nor do all dishes together keep more than an hour longer. */
const MOST_MENDED = 60;
/** Waits are lengthened by so many minutes at a time. */
const WAIT_STEP = 2;
/** Steps told as standing against certainty, at most. */
const MOST_TOLD = 4;

/** What is asked of an evening: all on the table in time, or everything at its best as well. */
type Asked = 'on time' | 'good';

/**
 * What a plan holds whatever happens within the minutes that its steps may take, each begun at its hour or later, in its order, in its place:
 * by the dynamic controllability of its temporal network. Where it does not hold: which steps stand against it, and what would mend it.
 */
export function assuredOf(likely: Problem, made: PlanCourse): Assured {
  const question = new Question(likely, made);
  const at = (share: number) => ({ share: share / SHARES, sooner: 0 });
  const shareOf = (asked: Asked) => lastOf(SHARES, (share) => question.holds(asked, at(share)));
  const onTime = shareOf('on time');
  const good = shareOf('good');
  if (good === SHARES) return { onTime: 1, good: 1, breaks: [], mends: [] };
  // Just beyond what holds the fewest steps collide.
  const asked = onTime < SHARES ? 'on time' : 'good';
  const breaks = question.breaks(asked, at((asked === 'on time' ? onTime : good) + 1));
  const mends = asked === 'on time' ? sooner(question) : keptLonger(question);
  return { onTime: onTime / SHARES, good: good / SHARES, breaks, mends };
}

/** How much sooner everything would have to begin; nothing where that alone does not help. */
function sooner(question: Question): readonly Mend[] {
  const late = lastOf(MOST_MENDED, (minutes) => !question.holds('on time', { share: 1, sooner: minutes }));
  return late < MOST_MENDED ? [{ by: 'sooner', minutes: late + 1 }] : [];
}

/** Which dishes would have to keep how much longer; nothing where that alone does not help. */
function keptLonger(question: Question): readonly Mend[] {
  const waits = new Map<string, number>();
  for (let longer = 0; longer <= MOST_MENDED; longer += WAIT_STEP) {
    const dish = question.stale(waits);
    if (dish === 'none') return [...waits].map(([dishId, minutes]) => ({ by: 'waits', dishId, minutes }));
    if (dish === 'other') return [];
    waits.set(dish, (waits.get(dish) ?? 0) + WAIT_STEP);
  }
  return [];
}

/** A plan that may be asked what it holds. */
class Question {
  private readonly rows: readonly {
    readonly dishId: string;
    readonly at: number;
    readonly after: number;
    readonly well: number;
    readonly hot: boolean;
  }[];

  constructor(
    private readonly likely: Problem,
    private readonly made: PlanCourse,
  ) {
    this.rows = made.landings.map(({ landing: { dishId, after = 0, wellMinutes, served }, at }) => ({
      dishId,
      at,
      after,
      well: wellMinutes + NOT_TASTED,
      hot: served === 'hot',
    }));
  }

  holds(asked: Asked, options: NetworkOptions): boolean {
    return this.ask(asked, options).found.ok;
  }

  /** Keys of the steps that collide, those that may stray farthest first. */
  breaks(asked: Asked, options: NetworkOptions): readonly string[] {
    const { found, steps } = this.ask(asked, options);
    if (found.ok) return [];
    const { ids, shortest, longest } = this.made.course;
    return found.durations
      .map((index) => steps[index]!)
      .sort((a, b) => longest[b]! - shortest[b]! - (longest[a]! - shortest[a]!))
      .slice(0, MOST_TOLD)
      .map((step) => ids[step]!);
  }

  /** A dish that would be past its best though each kept so much longer: its id; none is, or something else collides. */
  stale(waits: ReadonlyMap<string, number>): string | 'none' | 'other' {
    const { found, fresh } = this.ask('good', { share: 1, sooner: 0 }, waits);
    if (found.ok) return 'none';
    return found.bounds.flatMap((index) => fresh.get(index) ?? [])[0] ?? 'other';
  }

  private ask(
    asked: Asked,
    options: NetworkOptions,
    waits: ReadonlyMap<string, number> = new Map(),
  ): {
    readonly found: Controllability;
    readonly steps: readonly number[];
    readonly fresh: ReadonlyMap<number, string>;
  } {
    const { serve } = this.likely;
    const { moments, bounds: own, durations, steps } = networkOf(this.made.course, this.likely, options);
    // The moment in which the table is laid comes after all others.
    const table = moments;
    const bounds: Bound[] = [
      ...own,
      { from: 0, to: table, most: serve + ON_TIME },
      { from: table, to: 0, most: -serve },
    ];
    const fresh = new Map<number, string>();
    for (const { dishId, at, after, well, hot } of this.rows) {
      bounds.push({ from: table, to: endOf(at), most: after });
      if (!hot || asked === 'on time') continue;
      fresh.set(bounds.length, dishId);
      const most = well + (waits.get(dishId) ?? 0);
      // What is to come later counts from its own minute.
      bounds.push(
        after > 0 ? { from: endOf(at), to: 0, most: most - serve - after } : { from: endOf(at), to: table, most },
      );
    }
    return { found: controllability({ moments: moments + 1, bounds, durations }), steps, fresh };
  }
}

/** The last of 0 to `most` for which something holds that holds for less too; 0 where it holds for none. */
function lastOf(most: number, holds: (k: number) => boolean): number {
  let [low, high] = [0, most];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (holds(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}
