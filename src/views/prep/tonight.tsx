'use client';

import { format, isSameDay } from 'date-fns';
import type { Meal } from '@/core/meal/meal';
import { minuteAt, tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { handsBetween, hotHourOf } from '@/core/prep/hot-hour';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { Say } from '@/ui/say';

/** What the day of the table asks of the cooks' hands, in a sentence. */
export function Tonight({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const today = Math.round(handsBetween(meal, plan, minuteAt(meal, 0, 0), 0));
  const { minutes, atTheBoard } = hotHourOf(meal, plan);
  return (
    <p className="mt-3 text-lg" data-testid="tonight">
      <Say
        words="On the day: <b>{today} min</b> of the cook’s hands, {minutes} of them in the last hour"
        values={{ today, minutes: <strong className="font-semibold">{Math.round(minutes)}</strong> }}
        marks={{ b: <strong className="font-semibold" /> }}
      />
      {atTheBoard > 0 && <> {say('({atTheBoard} at the board)', { atTheBoard: Math.round(atTheBoard) })}</>}.
    </p>
  );
}

const MINUTE = 60_000;

/** A minute relative to the table as a clock hour; with its day where that is another. */
export function useWhen(meal: Pick<Meal, 'day' | 'hour'>): (minute: number) => string {
  const table = tableInstant(meal);
  return (minute) => {
    const at = table + minute * MINUTE;
    const clock = format(at, 'HH:mm');
    return isSameDay(at, table) ? clock : `${sayDay(at, 'short weekday')} ${clock}`;
  };
}
