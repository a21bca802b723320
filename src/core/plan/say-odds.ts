import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
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
  if (assured?.good === 1)
    return say('Whatever happens within these minutes, all is well on the table by {by}.', { by });
  const well = ofTwenty(good);
  const onTime = ofTwenty(within5);
  if (well > 0 && onTime - well <= 1)
    return say('In {well} of {of} rehearsed evenings all is well on the table by {by}.', { well, of: OF, by });
  const hour = say(' half of them are there by {hour}, nine of ten by {most}.', {
    hour: clockAt(at, table[TABLE_SHARES.indexOf(0.5)]!),
    most: clockAt(at, tableWithin(table, 0.9)),
  });
  return onTime < OF / 2
    ? say('In {onTime} of {of} rehearsed evenings all is on the table by {by};{hour}', { onTime, of: OF, by, hour })
    : say(
        'In {onTime} of {of} rehearsed evenings all is on the table by {by}, in {well} of them with everything at its best.',
        { onTime, of: OF, by, well },
      );
}

/** What a change does to the odds: "Lands well in 14 of 20 evenings; in 19 before this change." Empty where that is the same. */
export function sayOddsChange(before: Pick<Odds, 'good'>, after: Pick<Odds, 'good'>): string {
  const [was, is] = [ofTwenty(before.good), ofTwenty(after.good)];
  return was === is
    ? ''
    : say('Lands well in {is} of {of} evenings; in {was} before this change.', { is, of: OF, was });
}

/** Minutes after its hour by which the table is laid in such a share of evenings. */
export function tableWithin(table: readonly number[], share: (typeof TABLE_SHARES)[number]): number {
  return table[TABLE_SHARES.indexOf(share)]!;
}

/** How sure the hour is, in a few words for the stove: "surely", or what could make it later, and by when it is there in nine of ten evenings. */
export function sayHour({ within5, table, dishes }: Odds, at: TableHour): string {
  const later = tableWithin(table, 0.9);
  if (within5 >= SURELY || later <= ON_TIME) return say('surely, as it looks now');
  const worst = dishes.reduce((most, dish) => (dish.late > most.late ? dish : most));
  return say('{dish} could make it {hour}', { dish: worst.dishName, hour: clockAt(at, later) });
}

/** So many evenings are called sure. */
const SURELY = 0.9;

/** "Ready 3 to 14 min before the table in 9 of 10 evenings; good in 19 of 20." */
export function saySpread({ ready: [soon, , late], good }: DishOdds, { after = 0 }: Pick<Landing, 'after'>): string {
  const [first, last] = [soon - after, late - after];
  const minutes = (minute: number) =>
    minute === 0
      ? say('the table')
      : minute < 0
        ? say('{minute} min before', { minute: Math.abs(minute) })
        : say('{minute} min after', { minute: Math.abs(minute) });
  const one = last === 0 ? say('as the table is laid') : say('{minutes} the table', { minutes: minutes(last) });
  const when =
    first === last
      ? one
      : last === 0
        ? say('between {minutes} and {late}', { minutes: minutes(first), late: minutes(last) })
        : say('between {minutes} and {late} the table', { minutes: minutes(first), late: minutes(last) });
  return say('Ready {when} in 9 of 10 evenings; good in {good} of {of}.', {
    when,
    good: ofTwenty(good),
    of: OF,
  });
}

/** The few steps that decide: "What decides: Cabbage, braise (4 more evenings of 100 would be on time if it took no longer than is likely)." */
export function sayCauses({ causes }: Odds, steps: readonly PlannedStep[]): readonly string[] {
  return causes.slice(0, 3).flatMap(({ key, odds }) => {
    const step = steps.find((each) => each.key === key);
    const evenings = Math.round(100 * odds);
    return step && evenings > 0
      ? [
          say(
            '{dish}, {step}: {evenings, plural, one {# evening of 100 is} other {# evenings of 100 are}} late by it',
            { dish: step.dishName, step: step.name, evenings },
          ),
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
    say('while no step strays more than {share} % of the way from its likely minutes to its shortest or longest', {
      share: Math.round(100 * share),
    });
  if (good === 1)
    return [say('Whatever happens within these minutes, all is on the table by {by}, and at its best.', { by })];
  const isSure =
    onTime === 1
      ? good > 0
        ? say('Whatever happens within these minutes, all is on the table by {by}; at its best as well {within}.', {
            by,
            within: within(good),
          })
        : say('Whatever happens within these minutes, all is on the table by {by}.', { by })
      : onTime > 0
        ? good === onTime
          ? say('All is sure to be on the table by {by} {within}, and at its best.', { by, within: within(onTime) })
          : say('All is sure to be on the table by {by} {within}.', { by, within: within(onTime) })
        : say('Nothing is sure by {by} but what is likely: too much hangs on minutes that nobody knows.', { by });
  const names = breaks.flatMap((key) => {
    const step = plan.steps.find((each) => each.key === key);
    return step
      ? [say('{step} ({dish}, {range})', { step: step.name, dish: step.dishName, range: rangeOf(step) })]
      : [];
  });
  const against =
    names.length > 0
      ? [
          say('{count, plural, one {Against more stands {list}.} other {Against more stand {list}.}}', {
            count: names.length,
            list: listed(names, names.length),
          }),
        ]
      : [];
  const mended = mends.map((mend) =>
    mend.by === 'sooner'
      ? say('begun {minutes} min sooner', { minutes: mend.minutes })
      : say('could {dish} stand {minutes} min longer at its best', {
          dish: plan.landings.find(({ dishId }) => dishId === mend.dishId)?.dishName ?? say('a dish'),
          minutes: mend.minutes,
        }),
  );
  return [
    isSure,
    ...against,
    ...(mended.length > 0
      ? [say('It would be sure whatever happens, {mended}.', { mended: listed(mended, mended.length) })]
      : []),
  ];
}

/** "Its 12 min, between 10 and 15, are from your last 6 times." */
export function sayLearned(step: PlannedStep): string {
  const [low, high] = endsOf(step);
  const between = low < high ? say(', between {low} and {high},', { low, high }) : '';
  return say('Its {minutes} min{between} are from your last {learned} times.', {
    minutes: step.minutes,
    between,
    learned: step.learned ?? 0,
  });
}

function endsOf({ minutes, start, shortestEnd, longestEnd }: PlannedStep): readonly [low: number, high: number] {
  return [Math.min(minutes, shortestEnd - start), Math.max(minutes, longestEnd - start)];
}

function rangeOf(step: PlannedStep): string {
  const [low, high] = endsOf(step);
  return low === high ? say('{low} min', { low }) : say('{low} to {high} min', { low, high });
}
