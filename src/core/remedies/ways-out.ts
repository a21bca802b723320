import type { Meal } from '@/core/meal/meal';
import { groupBy } from '@/core/plain/group-by';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { ON_TIME, SURE_ENOUGH } from '@/core/plan/well-landed';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { appliedAsMade } from './change';
import { type Idea, ideasFor } from './ideas';
import { ranked, type TryOutOptions, tryOut } from './try-out';

/** A what-if that was planned for real. */
export interface WayOut extends Idea {
  /** Minutes by which the last dish is late; 0 when all are in time. */
  readonly late: number;
  /** Dishes that wait longer than they should. */
  readonly overdue: number;
  /** Share of rehearsed evenings that land well; null where they were not rehearsed. */
  readonly good: number | null;
  /** What it does, in words. */
  readonly gains: string;
}

/** Of two ways the one with so many more evenings that land well is better; of those in which nearly all do, the one that asks less. */
const MORE_EVENINGS = 0.05;
const NEARLY_ALL = 0.9;

/** How long ways out are looked for, and what they are held against. */
export interface SearchOptions extends TryOutOptions<WayOut> {
  /** Until the table; see `ideasFor`. */
  readonly minutesLeft?: number;
}

/**
 * Plans each idea with `plan` and returns those that help, the best first: less late, fewer dishes that wait too long, less asked
 * of the cook. Where none is enough by itself and leaves the menu as it is, the most promising are tried two at a time. `before` is the plan as it
 * stands, null when nothing fits.
 */
export async function findWaysOut(
  meal: Meal,
  before: Plan | null,
  plan: (meal: Meal) => Promise<PlanResult>,
  { minutesLeft, ...options }: SearchOptions = {},
): Promise<readonly WayOut[]> {
  const was = before ? troubleOf(before) : null;
  const seen: { readonly idea: Idea; readonly shortfall: number }[] = [];
  const tryIdea = async (idea: Idea): Promise<WayOut | null> => {
    const result = await plan(appliedAsMade(meal, idea.change));
    if (!result.ok) return null;
    const now = troubleOf(result.plan);
    seen.push({ idea, shortfall: shortfallOf(result.plan) });
    const helps = was === null || byTrouble(now, was) < 0;
    return helps ? { ...idea, ...now, gains: gainsOf(now, was) } : null;
  };
  const sortOf = ({ sort }: Idea) => sort;
  const ideas = ideasFor(meal, minutesLeft, before);
  const ways = await tryOut<Idea, WayOut>(ideas, tryIdea, byTrouble, sortOf, options);
  if (!before || options.signal?.aborted || ways.some((way) => isEnough(way) && way.change.kind !== 'without'))
    return ways;
  const pairs = pairsOf(meal, before, seen, minutesLeft);
  const both = await tryOut<Idea, WayOut>(pairs, tryIdea, byTrouble, sortOf, {
    ...options,
    onTried: (tried, all, found) =>
      options.onTried?.(ideas.length + tried, ideas.length + all, ranked([...ways, ...found], byTrouble, sortOf)),
  });
  return ranked([...ways, ...both], byTrouble, sortOf);
}

/** So many of the most promising ideas are put together two by two, and so many of these pairs are tried. */
const MOST_PROMISING = 5;
const MOST_PAIRS = 8;

/** Ideas put together two by two, those that came nearest by themselves first; leaving a dish out is one of them at most. */
function pairsOf(
  meal: Meal,
  before: Plan,
  seen: readonly { readonly idea: Idea; readonly shortfall: number }[],
  minutesLeft?: number,
): readonly Idea[] {
  const sortOf = ({ idea }: (typeof seen)[0]) => (idea.change.kind === 'without' ? 'without' : (idea.sort ?? idea.id));
  const nearest = seen
    .filter(({ shortfall }) => shortfall < shortfallOf(before))
    .sort((a, b) => a.shortfall - b.shortfall || a.idea.effort - b.idea.effort);
  const chosen = [...groupBy(nearest, sortOf).values()].map(([first]) => first!).slice(0, MOST_PROMISING);
  return chosen
    .flatMap((one, index) => chosen.slice(index + 1).map((other) => ({ one, other })))
    .sort((a, b) => a.one.shortfall + a.other.shortfall - (b.one.shortfall + b.other.shortfall))
    .slice(0, MOST_PAIRS)
    .flatMap((pair) => {
      const [one, other] = [pair.one.idea, pair.other.idea].sort((a, b) => a.effort - b.effort) as [Idea, Idea];
      // What the second changes it changes of what the first has made.
      const then = ideasFor(appliedAsMade(meal, one.change), minutesLeft, before).find(({ id }) => id === other.id);
      return then ? [together(one, then)] : [];
    });
}

function together(one: Idea, other: Idea): Idea {
  return {
    id: `${one.id} and ${other.id}`,
    says: say('{one}, and {other}', { one: one.says, other: other.says }),
    asks: listed([one.asks, other.asks]),
    effort: one.effort + other.effort,
    change: { kind: 'several', changes: [one.change, other.change] },
  };
}

/** How far a plan is from a good evening, in dishes that are late or wait too long: by its rehearsed evenings where it has them. */
function shortfallOf(plan: Plan): number {
  const { late, overdue } = troubleOf(plan);
  const { odds } = plan;
  const rehearsed = odds ? 1 - odds.within5 + odds.dishes.reduce((sum, { good }) => sum + 1 - good, 0) : 0;
  return late / ON_TIME + overdue + rehearsed;
}

function isEnough({ late, overdue, good }: Trouble): boolean {
  return late === 0 && overdue === 0 && (good ?? 1) >= SURE_ENOUGH;
}

interface Trouble {
  readonly late: number;
  readonly overdue: number;
  /** Share of rehearsed evenings that land well; null where the plan was not rehearsed. */
  readonly good: number | null;
}

/** The less troubled first; of evenings that land well only a good many more count. */
function byTrouble(a: Trouble, b: Trouble): number {
  const evenings = (each: Trouble) => Math.floor(Math.min(NEARLY_ALL, each.good ?? 0) / MORE_EVENINGS);
  return a.late - b.late || a.overdue - b.overdue || evenings(b) - evenings(a);
}

function troubleOf(plan: Plan): Trouble {
  return {
    late: Math.max(0, ...plan.landings.map((landing) => landing.late)),
    overdue: plan.landings.filter((landing) => landing.fine === 'too long').length,
    good: plan.odds?.good ?? null,
  };
}

function gainsOf(now: Trouble, was: Trouble | null): string {
  const dishes = (count: number) =>
    say('{count, plural, one {# dish waits} other {# dishes wait}} too long', { count });
  if (now.late === 0 && now.overdue === 0) {
    const evenings = now.good === null ? '' : say(', and well in {odds} of 20 evenings', { odds: ofTwenty(now.good) });
    const instead = evenings !== '' && was?.good != null ? say(' instead of {odds}', { odds: ofTwenty(was.good) }) : '';
    return say('everything lands in time{evenings}{instead}', { evenings, instead });
  }
  const late =
    now.late === 0
      ? say('nothing is late')
      : was && was.late > 0
        ? say('late by {late} min instead of {was}', { late: now.late, was: was.late })
        : say('late by {late} min', { late: now.late });
  return now.overdue === 0 ? late : `${late}, ${dishes(now.overdue)}`;
}
