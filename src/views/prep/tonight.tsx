'use client';

import { format, isSameDay } from 'date-fns';
import type { Meal } from '@/core/meal/meal';
import { minuteAt, tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { handsBetween, hotHourOf } from '@/core/prep/hot-hour';

/** What the day of the table asks of the cooks' hands, in a sentence. */
export function Tonight({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const today = Math.round(handsBetween(meal, plan, minuteAt(meal, 0, 0), 0));
  const { minutes, atTheBoard } = hotHourOf(meal, plan);
  return (
    <p className="mt-3 text-lg" data-testid="tonight">
      On the day: <strong className="font-semibold">{today} min</strong> of the cook’s hands,{' '}
      <strong className="font-semibold">{Math.round(minutes)}</strong> of them in the last hour
      {atTheBoard > 0 && <> ({Math.round(atTheBoard)} at the board)</>}.
    </p>
  );
}

const MINUTE = 60_000;

/** A minute relative to the table as a clock hour; with its day where that is another. */
export function useWhen(meal: Pick<Meal, 'day' | 'hour'>): (minute: number) => string {
  const table = tableInstant(meal);
  return (minute) => {
    const at = table + minute * MINUTE;
    return format(at, isSameDay(at, table) ? 'HH:mm' : 'EEE HH:mm');
  };
}
