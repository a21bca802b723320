import { clockAt, minuteAt, type TableHour } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
import { capital, listed } from '@/core/units/words';
import type { Plan, PlannedStep } from './plan';

/** What a plan asks of the cook first, wherever it lies: the days before, the first flame, the first hand. Minutes are relative to the table. */

/** Someone must set it going: it wants hands, or nothing before it leads to it. */
function isBegun({ attention, after }: PlannedStep): boolean {
  return attention === 'hands' || after.length === 0;
}

const isHot = ({ heat, celsius, station }: PlannedStep) =>
  heat !== null || celsius !== null || station.sort === 'appliance';

/** What is begun on a day before that of the table. */
export interface DayBefore {
  /** Days before the table's own: 1 is the day before. */
  readonly days: number;
  readonly steps: readonly PlannedStep[];
  /** Minutes of hands on that day. */
  readonly hands: number;
}

/** Days before the table on which something is begun, the first of them first. */
export function daysBefore(steps: readonly PlannedStep[], table: TableHour): readonly DayBefore[] {
  const list: DayBefore[] = [];
  const begun = steps.filter((step) => isBegun(step) && step.start < minuteAt(table, 0, 0));
  for (let days = 1; begun.length > 0 && days <= MOST_DAYS; days++) {
    const [from, to] = [minuteAt(table, -days, 0), minuteAt(table, 1 - days, 0)];
    const own = begun.filter(({ start }) => start >= from && start < to);
    const hands = own.filter(({ attention }) => attention === 'hands');
    if (own.length > 0)
      list.unshift({ days, steps: own, hands: hands.reduce((sum, { start, end }) => sum + end - start, 0) });
  }
  return list;
}

/** Nothing is begun earlier: what keeps longest keeps frozen for months, and is then no part of an evening's plan. */
const MOST_DAYS = 200;
/** So many things of a day before are named. */
const MOST_NAMED = 3;

/** What the day of the table begins with: its first step, the first that wants hands, and the first on the heat; null where there is none. */
export function firstOfDay(steps: readonly PlannedStep[], table: TableHour) {
  const midnight = minuteAt(table, 0, 0);
  const today = steps.filter(({ start }) => start >= midnight).sort((a, b) => a.start - b.start);
  return {
    first: today.find(isBegun) ?? null,
    hand: today.find(({ attention }) => attention === 'hands') ?? null,
    flame: today.find(isHot) ?? null,
  };
}

/** How a day is called that lies so many days before the table's own (0: that day itself). */
export type DayName = (days: number, first: PlannedStep | null) => string;

/** Days as they are called from the table. */
const FROM_THE_TABLE: DayName = (days) =>
  days === 0
    ? say('On the day')
    : days === 1
      ? say('The day before')
      : days === 2
        ? say('Two days before')
        : say('{days} days before', { days });

/**
 * The beginning of a plan in sentences: "The day before: marinate (Lamb), 5 min of hands, from 22:30. On the day: first flame at 17:34, hands from
 * 18:24; longest quiet stretch 40 min."
 */
export function sayBeginning(
  { steps, quietStretch }: Pick<Plan, 'steps' | 'quietStretch'>,
  table: TableHour,
  called: DayName = FROM_THE_TABLE,
): string {
  const clock = (minute: number) => clockAt(table, minute);
  const before = daysBefore(steps, table);
  const said = sayFirst(firstOfDay(steps, table), clock);
  const day = said === null ? '' : say('{said}; longest quiet stretch {quietStretch} min.', { said, quietStretch });
  if (before.length === 0) return day === '' ? '' : capital(day);
  const earlier = before.map((each) => `${called(each.days, each.steps[0] ?? null)}: ${sayDayBefore(each, clock)}.`);
  return [...earlier, day === '' ? '' : `${called(0, firstOfDay(steps, table).first)}: ${day}`]
    .filter(Boolean)
    .join(' ');
}

function sayFirst(
  { first, hand, flame }: ReturnType<typeof firstOfDay>,
  clock: (minute: number) => string,
): string | null {
  if (!first) return null;
  const hands = hand ? say('hands from {hour}', { hour: clock(hand.start) }) : say('no hands');
  if (hand && hand.start <= first.start) return say('first hand on a knife at {hour}', { hour: clock(hand.start) });
  if (flame && flame.start <= first.start)
    return say('first flame at {hour}, {hands}', { hour: clock(flame.start), hands });
  return say('first {first} ({dish}) at {hour}, {hands}', {
    first: first.name,
    dish: first.dishName,
    hour: clock(first.start),
    hands,
  });
}

function sayDayBefore({ steps, hands }: DayBefore, clock: (minute: number) => string): string {
  const what = listed(
    [...new Set(steps.map(({ name, dishName }) => say('{step} ({dish})', { step: name, dish: dishName })))],
    MOST_NAMED,
  );
  const first = Math.min(...steps.map(({ start }) => start));
  return hands > 0
    ? say('{what}, {hands} min of hands, from {hour}', { what, hands, hour: clock(first) })
    : say('{what}, from {hour}', { what, hour: clock(first) });
}

/** What of a plan is to be begun at an instant, in minutes relative to the table: what was due before it, and what is due within `soon` minutes. */
export function dueAt(
  steps: readonly PlannedStep[],
  minute: number,
  soon: number,
): { readonly past: readonly PlannedStep[]; readonly now: readonly PlannedStep[] } {
  const begun = steps.filter(isBegun).sort((a, b) => a.start - b.start);
  return {
    past: begun.filter(({ start }) => start < minute),
    now: begun.filter(({ start }) => start >= minute && start < minute + soon),
  };
}

/** The verdict of a plan with its days called as they are today: "Tonight: marinate …". */
export function verdictCalled(plan: Plan, called: DayName): string {
  return plan.verdict.replace(sayBeginning(plan, plan), sayBeginning(plan, plan, called));
}
