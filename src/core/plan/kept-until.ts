import { own } from '@/core/plain/record';
import type { Schedule } from '@/core/schedule/problem';
import type { Compiled, CompileOptions } from './compile';

/** What is kept warm is ready so many minutes before the table, or as many as it waits well. */
export const WARM_UNTIL = 8;
/** Of what is kept warm. */
interface KeepingOptions {
  /** As long as is good, no longer than it was meant to be, or only until it waits well for the table. */
  readonly how?: 'long' | 'as meant' | 'briefly';
  readonly well?: number;
}

/** What is too late to be kept warm has that minute still: its step stays in the plan. */
const LEAST = 1;

/**
 * Minutes, by key, for which things are kept warm when the evening goes by these starts, where that is another time than in the problem: until the hour
 * they were meant to, whenever they begin, or until they wait well for the table where that has moved; never longer than they bear. Not `long`:
 * only where that is less. `well`: how long before the table that is at most.
 */
export function keptUntilTable(
  { likely, origin, stretch }: Compiled,
  { starts }: Schedule,
  { known, how = 'long', well = Number.POSITIVE_INFINITY }: Pick<CompileOptions, 'known'> & KeepingOptions,
): ReadonlyMap<string, number> {
  // What has only now come into the plan is kept as long as the meal says.
  if (stretch.size === 0 || likely.steps.some(({ id }) => own(starts, id) === undefined)) return new Map();
  const minutesOf = new Map(likely.steps.map(({ id, minutes, latest }) => [id, { minutes, runs: latest === 0 }]));
  const landings = likely.ready.filter(({ early, late }) => early > 0 && late > early);
  const readyAt = (step: string) => own(starts, step)! + (stretch.has(step) ? 0 : minutesOf.get(step)!.minutes);
  const late = Math.max(0, ...landings.map(({ step, by }) => readyAt(step) - by));
  const kept = new Map<string, number>();
  for (const { step, by, hold } of landings) {
    const most = stretch.get(step);
    if (most === undefined) continue;
    const { minutes, runs } = minutesOf.get(step)!;
    const start = own(starts, step)!;
    const table = by + late;
    const place = known?.places.get(step);
    const meant = place && place.end - origin;
    const written = start + minutes;
    const nearly = table - Math.min(WARM_UNTIL, hold);
    const until = {
      long: Math.max(table - Math.min(well, hold), meant ?? written, Math.min(written, nearly)),
      'as meant': meant ?? written,
      briefly: table - hold,
    }[how];
    const lasts = Math.max(runs ? 0 : LEAST, Math.min(most, Math.min(table, until) - start));
    if (how === 'long' ? lasts !== minutes : lasts < minutes) kept.set(step, lasts);
  }
  return kept;
}
