'use client';

import { differenceInCalendarDays, format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import type { Meal } from '@/core/meal/meal';
import { type TableHour, tableInstant } from '@/core/plain/wall-clock';
import { type DayName, dueAt } from '@/core/plan/beginning';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { pantry } from '@/store/db';
import { useNow } from '@/ui/clock';
import { Say } from '@/ui/say';

const MINUTE = 60_000;
/** So soon is as good as now, minutes. */
const SOON = 15;
/** From this hour on a day is called tonight. */
const EVENING = 17;
const MOST_NAMED = 3;

/** How the days of a plan are called at an instant: "Tonight", "Tomorrow", "On Friday". */
export function dayNames(table: TableHour, now: number): DayName {
  const at = tableInstant(table);
  return (days, first) => {
    const day = new Date(at);
    day.setDate(day.getDate() - days);
    const away = differenceInCalendarDays(day, now);
    if (away === 0) {
      const begins = first ? new Date(at + first.start * MINUTE).getHours() : 0;
      return begins >= EVENING ? say('Tonight') : say('Today');
    }
    if (away === 1) return say('Tomorrow');
    return say('On {day}', { day: sayDay(day, away < 7 ? 'weekday' : 'day') });
  };
}

/** What of a plan is due now or past already, while it is not cooked yet. */
export function Due({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const now = useNow(20_000);
  const begun = useLiveQuery(
    async () => (await pantry().sessions.where('mealId').equals(meal.id).toArray()).some(({ over }) => !over),
    [meal.id],
  );
  const at = tableInstant(meal);
  if (now === null || begun !== false || now >= at) return null;
  const due = dueAt(plan.steps, (now - at) / MINUTE, SOON);
  const hour = ({ start }: PlannedStep) => {
    const instant = at + start * MINUTE;
    const clock = format(instant, 'HH:mm');
    return differenceInCalendarDays(instant, now) === 0 ? clock : `${sayDay(instant, 'weekday')} ${clock}`;
  };
  const names = (steps: readonly PlannedStep[]) =>
    listed(
      steps.map((step) => say('{step} ({dish}) at {hour}', { step: step.name, dish: step.dishName, hour: hour(step) })),
      MOST_NAMED,
    );
  return (
    <>
      {due.past.length > 0 && (
        <p className="mt-1 border-s-4 border-warn ps-3 text-lg" data-testid="past">
          <Say
            words="<b>Its time is past:</b> {names}. Begin now under Cook, or choose a later hour or another day."
            values={{ names: names(due.past) }}
            marks={{ b: <strong className="font-semibold" /> }}
          />
        </p>
      )}
      {due.now.length > 0 && (
        <p className="mt-1 border-s-4 border-ember ps-3 text-lg" data-testid="due-now">
          <strong className="font-semibold">{say('Now:')}</strong> {names(due.now)}.
        </p>
      )}
    </>
  );
}
