import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import type { Odds } from './plan';
import { ON_TIME, TABLE_SHARES } from './well-landed';

/** Evenings are told as so many of twenty: finer than that nobody can tell. */
const OF = 20;

/** "19", of twenty; never all of them: that is for what cannot fail. */
export function ofTwenty(share: number): number {
  return Math.min(OF - 1, Math.floor(share * OF + 1e-9));
}

/** "In 19 of 20 rehearsed evenings all is hot on the table by 19:35." */
export function sayOdds({ good, within5, table }: Odds, at: TableHour): string {
  const by = clockAt(at, ON_TIME);
  const well = ofTwenty(good);
  const onTime = ofTwenty(within5);
  if (well > 0 && onTime - well <= 1)
    return `In ${well} of ${OF} rehearsed evenings all is on the table by ${by}, as good as it can be.`;
  const hour = ` half of them are there by ${clockAt(at, table[TABLE_SHARES.indexOf(0.5)]!)}, nine of ten by ${clockAt(at, tableWithin(table, 0.9))}.`;
  return onTime < OF / 2
    ? `In ${onTime} of ${OF} rehearsed evenings all is on the table by ${by};${hour}`
    : `In ${onTime} of ${OF} rehearsed evenings all is on the table by ${by}, in ${well} of them with everything at its best.`;
}

/** Minutes after its hour by which the table is laid in such a share of evenings. */
export function tableWithin(table: readonly number[], share: (typeof TABLE_SHARES)[number]): number {
  return table[TABLE_SHARES.indexOf(share)]!;
}

/** The hour as the cook view tells it: "surely", or what could make it later, and when it will be there in nine of ten evenings. */
export function sayHour({ within5, table, dishes }: Odds, at: TableHour, hour: string): string {
  const later = tableWithin(table, 0.9);
  if (within5 >= SURELY || later <= ON_TIME) return `${hour}, surely`;
  const worst = dishes.reduce((most, dish) => (dish.late > most.late ? dish : most));
  return `${hour}; ${worst.dishName} could make it ${clockAt(at, later)}`;
}

/** So many evenings are called sure. */
const SURELY = 0.9;
