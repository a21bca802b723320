import { clockMinutes, type Kitchen, printClock } from '@/core/kitchen/kitchen';
import type { Meal, Pace } from './meal';
import type { Plan } from './plan';
import type { PlanResult } from './plan-meal';

/** A change of a meal or its kitchen that may make it fit. */
export type Change =
  | { readonly kind: 'hour'; readonly hour: string }
  | { readonly kind: 'pace'; readonly pace: Pace }
  | { readonly kind: 'kitchen'; readonly kitchen: Kitchen }
  | { readonly kind: 'without'; readonly dishId: string };

/** A what-if that can be tried. */
export interface Idea {
  readonly id: string;
  /** In a cook's words: "serve 30 min later, at 20:00". */
  readonly says: string;
  /** What it asks of the cook, from 0 upwards: of two that help alike the lesser comes first. */
  readonly effort: number;
  readonly change: Change;
}

/** A what-if that was planned for real. */
export interface WayOut extends Idea {
  /** Minutes by which the last dish is late; 0 when all are in time. */
  readonly late: number;
  /** Dishes that wait longer than they should. */
  readonly overdue: number;
  /** What it does, in words. */
  readonly gains: string;
}

const LATEST_HOUR = 23 * 60 + 45;
const HELP_MINUTES = 150;

/** Whether a plan wants a way out: something is late or waits too long. */
export function wantsWayOut(plan: Plan): boolean {
  return plan.landings.some((landing) => landing.fine === 'late' || landing.fine === 'too long');
}

/** What can be tried for a meal that does not fit or lands late. */
export function ideasFor(meal: Meal): readonly Idea[] {
  const ideas: Idea[] = [];
  const table = clockMinutes(meal.hour);
  for (const minutes of [15, 30, 60]) {
    if (table + minutes > LATEST_HOUR) continue;
    const hour = printClock(table + minutes);
    ideas.push({
      id: `later ${minutes}`,
      says: `serve ${minutes} min later, at ${hour}`,
      effort: minutes / 15,
      change: { kind: 'hour', hour },
    });
  }
  if (meal.pace !== 'brisk') {
    ideas.push({ id: 'brisk', says: 'work at a brisk pace', effort: 3, change: { kind: 'pace', pace: 'brisk' } });
  }
  const { kitchen } = meal;
  const fresh = (wish: string, taken: readonly { readonly id: string }[]) =>
    taken.some(({ id }) => id === wish) ? `${wish} ${taken.length + 1}` : wish;
  ideas.push({
    id: 'burner',
    says: 'borrow a portable burner',
    effort: 4,
    change: {
      kind: 'kitchen',
      kitchen: {
        ...kitchen,
        burners: [
          ...kitchen.burners,
          {
            id: fresh('portable', kitchen.burners),
            name: 'Portable burner',
            strength: 'middling',
            widestCm: 28,
            gentle: true,
          },
        ],
      },
    },
  });
  const from = printClock(Math.max(0, table - HELP_MINUTES));
  ideas.push({
    id: 'hands',
    says: `a second cook from ${from} until the table`,
    effort: 5,
    change: {
      kind: 'kitchen',
      kitchen: {
        ...kitchen,
        people: [
          ...kitchen.people,
          { id: fresh('second-cook', kitchen.people), name: 'second cook', role: 'cook', from, until: meal.hour },
        ],
      },
    },
  });
  if (meal.dishes.length > 1) {
    for (const dish of meal.dishes) {
      if (!dish.lands) continue;
      ideas.push({
        id: `without ${dish.id}`,
        says: `leave out ${dish.name}`,
        effort: 8,
        change: { kind: 'without', dishId: dish.id },
      });
    }
  }
  return ideas;
}

/** The meal as it would be. */
export function changed(meal: Meal, change: Change): Meal {
  switch (change.kind) {
    case 'hour':
      return { ...meal, hour: change.hour };
    case 'pace':
      return { ...meal, pace: change.pace };
    case 'kitchen':
      return { ...meal, kitchen: change.kitchen };
    case 'without':
      return { ...meal, dishes: meal.dishes.filter((dish) => dish.id !== change.dishId) };
  }
}

/**
 * Plans each idea with `plan` and returns those that help, the best first: less late, fewer dishes that wait too long, less asked
 * of the cook. `before` is the plan as it stands, null when nothing fits. `onTried` hears how many have been tried.
 */
export async function findWaysOut(
  meal: Meal,
  before: Plan | null,
  plan: (meal: Meal) => Promise<PlanResult>,
  onTried?: (tried: number, all: number) => void,
  signal?: { readonly aborted: boolean },
): Promise<readonly WayOut[]> {
  const ideas = ideasFor(meal);
  const was = before ? troubleOf(before) : null;
  const ways: WayOut[] = [];
  for (const [index, idea] of ideas.entries()) {
    if (signal?.aborted) break;
    const result = await plan(changed(meal, idea.change));
    onTried?.(index + 1, ideas.length);
    if (!result.ok) continue;
    const now = troubleOf(result.plan);
    const helps = was === null || now.late < was.late || (now.late === was.late && now.overdue < was.overdue);
    if (helps) ways.push({ ...idea, ...now, gains: gainsOf(now, was) });
  }
  return ways.sort((a, b) => a.late - b.late || a.overdue - b.overdue || a.effort - b.effort);
}

interface Trouble {
  readonly late: number;
  readonly overdue: number;
}

function troubleOf(plan: Plan): Trouble {
  return {
    late: Math.max(0, ...plan.landings.map((landing) => landing.late)),
    overdue: plan.landings.filter((landing) => landing.fine === 'too long').length,
  };
}

function gainsOf(now: Trouble, was: Trouble | null): string {
  const dishes = (count: number) => `${count} ${count === 1 ? 'dish waits' : 'dishes wait'} too long`;
  if (now.late === 0 && now.overdue === 0) return 'everything lands in time';
  const late =
    now.late === 0
      ? 'nothing is late'
      : `late by ${now.late} min${was && was.late > 0 ? ` instead of ${was.late}` : ''}`;
  return now.overdue === 0 ? late : `${late}, ${dishes(now.overdue)}`;
}
