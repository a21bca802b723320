import { format } from 'date-fns';
import type { Plan } from '@/core/plan/plan';
import { table } from './table';

const MINUTE = 60_000;

/** A plan by itself, for other programs. */
export interface PlanFile {
  readonly format: 'warm-cadence/plan';
  readonly version: 1;
  readonly meal: string;
  /** The instant of the table, ISO 8601. */
  readonly table: string;
  readonly plan: Plan;
}

/** A plan as JSON, with the instant of its table (milliseconds since 1970 in, ISO 8601 out). */
export function planFile(meal: string, plan: Plan, tableAt: number): PlanFile {
  return { format: 'warm-cadence/plan', version: 1, meal, table: new Date(tableAt).toISOString(), plan };
}

const COLUMNS = [
  'day',
  'from',
  'to',
  'minutes',
  'dish',
  'step',
  'what to do',
  'what goes in',
  'where',
  'heat',
  'vessel',
  'who',
  'done when',
  'careful',
] as const;

/** A plan as a table, a step a row, in clock time where the cook is. */
export function planTable(plan: Plan, tableAt: number): string {
  const rows = [...plan.steps]
    .sort((a, b) => a.start - b.start)
    .map((step): Record<(typeof COLUMNS)[number], string | number> => {
      const [from, to] = [tableAt + step.start * MINUTE, tableAt + step.end * MINUTE];
      return {
        day: format(from, 'yyyy-MM-dd'),
        from: format(from, 'HH:mm'),
        to: format(to, 'HH:mm'),
        minutes: step.minutes,
        dish: step.dishName,
        step: step.name,
        'what to do': step.says,
        'what goes in': step.amounts.join('; '),
        where: step.station.name,
        heat: step.celsius === null ? (step.heat ?? '') : `${step.celsius} °C`,
        vessel: step.vessel ?? '',
        who: step.person?.name ?? '',
        'done when': step.doneWhen,
        careful: step.cautions.join(' '),
      };
    });
  return table(COLUMNS, rows);
}
