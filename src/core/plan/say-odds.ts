import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import { listed } from '@/core/units/words';
import type { Assured, DishOdds, Landing, Odds, Plan, PlannedStep } from './plan';
import { ON_TIME, TABLE_SHARES } from './well-landed';

/** Evenings are told as so many of twenty: finer than that nobody can tell. */
const OF = 20;

/** "19", of twenty; never all of them: that is for what cannot fail. */
export function ofTwenty(share: number): number {
  return Math.min(OF - 1, Math.floor(share * OF + 1e-9));
}

/** "In 19 of 20 rehearsed evenings all is well on the table by 19:35." */
export function sayOdds({ good, within5, table, assured }: Odds, at: TableHour): string {
  const by = clockAt(at, ON_TIME);
  if (assured?.good === 1) return `Whatever happens within these minutes, all is well on the table by ${by}.`;
  const well = ofTwenty(good);
  const onTime = ofTwenty(within5);
  if (well > 0 && onTime - well <= 1)
    return `In ${well} of ${OF} rehearsed evenings all is well on the table by ${by}.`;
  const hour = ` half of them are there by ${clockAt(at, table[TABLE_SHARES.indexOf(0.5)]!)}, nine of ten by ${clockAt(at, tableWithin(table, 0.9))}.`;
  return onTime < OF / 2
    ? `In ${onTime} of ${OF} rehearsed evenings all is on the table by ${by};${hour}`
    : `In ${onTime} of ${OF} rehearsed evenings all is on the table by ${by}, in ${well} of them with everything at its best.`;
}

/** What a change does to the odds: "Lands well in 14 of 20 evenings; in 19 before this change." Empty where that is the same. */
export function sayOddsChange(before: Pick<Odds, 'good'>, after: Pick<Odds, 'good'>): string {
  const [was, is] = [ofTwenty(before.good), ofTwenty(after.good)];
  return was === is ? '' : `Lands well in ${is} of ${OF} evenings; in ${was} before this change.`;
}

/** Minutes after its hour by which the table is laid in such a share of evenings. */
export function tableWithin(table: readonly number[], share: (typeof TABLE_SHARES)[number]): number {
  return table[TABLE_SHARES.indexOf(share)]!;
}

/** How sure the hour is, in a few words for the stove: "surely", or what could make it later, and by when it is there in nine of ten evenings. */
export function sayHour({ within5, table, dishes }: Odds, at: TableHour): string {
  const later = tableWithin(table, 0.9);
  if (within5 >= SURELY || later <= ON_TIME) return 'surely, as it looks now';
  const worst = dishes.reduce((most, dish) => (dish.late > most.late ? dish : most));
  return `${worst.dishName} could make it ${clockAt(at, later)}`;
}

/** So many evenings are called sure. */
const SURELY = 0.9;

/** "Ready 3 to 14 min before the table in 9 of 10 evenings; good in 19 of 20." */
export function saySpread({ ready: [soon, , late], good }: DishOdds, { after = 0 }: Pick<Landing, 'after'>): string {
  const [first, last] = [soon - after, late - after];
  const minutes = (minute: number) =>
    minute === 0 ? 'the table' : `${Math.abs(minute)} min ${minute < 0 ? 'before' : 'after'}`;
  const one = last === 0 ? 'as the table is laid' : `${minutes(last)} the table`;
  const when = first === last ? one : `between ${minutes(first)} and ${minutes(last)}${last === 0 ? '' : ' the table'}`;
  return `Ready ${when} in 9 of 10 evenings; good in ${ofTwenty(good)} of ${OF}.`;
}

/** The few steps that decide: "What decides: Cabbage, braise (4 more evenings of 100 would be on time if it took no longer than is likely)." */
export function sayCauses({ causes }: Odds, steps: readonly PlannedStep[]): readonly string[] {
  return causes.slice(0, 3).flatMap(({ key, odds }) => {
    const step = steps.find((each) => each.key === key);
    const evenings = Math.round(100 * odds);
    return step && evenings > 0
      ? [
          `${step.dishName}, ${step.name}: ${evenings} ${evenings === 1 ? 'evening of 100 is' : 'evenings of 100 are'} late by it`,
        ]
      : [];
  });
}

/** What is sure whatever happens, what stands against it, and what would mend it: a sentence or a few. */
export function sayAssured(
  { onTime, good, breaks, mends }: Assured,
  plan: Pick<Plan, 'steps' | 'landings'>,
  at: TableHour,
): readonly string[] {
  const by = clockAt(at, ON_TIME);
  const within = (share: number) =>
    `while no step strays more than ${Math.round(100 * share)} % of the way from its likely minutes to its shortest or longest`;
  if (good === 1) return [`Whatever happens within these minutes, all is on the table by ${by}, and at its best.`];
  const isSure =
    onTime === 1
      ? `Whatever happens within these minutes, all is on the table by ${by}${good > 0 ? `; at its best as well ${within(good)}` : ''}.`
      : onTime > 0
        ? `All is sure to be on the table by ${by} ${within(onTime)}${good === onTime ? ', and at its best' : ''}.`
        : `Nothing is sure by ${by} but what is likely: too much hangs on minutes that nobody knows.`;
  const names = breaks.flatMap((key) => {
    const step = plan.steps.find((each) => each.key === key);
    return step ? [`${step.name} (${step.dishName}, ${rangeOf(step)})`] : [];
  });
  const against =
    names.length > 0 ? [`Against more stand${names.length > 1 ? '' : 's'} ${listed(names, names.length)}.`] : [];
  const mended = mends.map((mend) =>
    mend.by === 'sooner'
      ? `begun ${mend.minutes} min sooner`
      : `could ${plan.landings.find(({ dishId }) => dishId === mend.dishId)?.dishName ?? 'a dish'} stand ${mend.minutes} min longer at its best`,
  );
  return [
    isSure,
    ...against,
    ...(mended.length > 0 ? [`It would be sure whatever happens, ${listed(mended, mended.length)}.`] : []),
  ];
}

/** "Its 12 min, between 10 and 15, are from your last 6 times." */
export function sayLearned(step: PlannedStep): string {
  const [low, high] = endsOf(step);
  const between = low < high ? `, between ${low} and ${high},` : '';
  return `Its ${step.minutes} min${between} are from your last ${step.learned} times.`;
}

function endsOf({ minutes, start, shortestEnd, longestEnd }: PlannedStep): readonly [low: number, high: number] {
  return [Math.min(minutes, shortestEnd - start), Math.max(minutes, longestEnd - start)];
}

function rangeOf(step: PlannedStep): string {
  const [low, high] = endsOf(step);
  return low === high ? `${low} min` : `${low} to ${high} min`;
}
