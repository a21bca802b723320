import ical, { ICalAlarmType } from 'ical-generator';
import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { say } from '@/core/say/say';
import { capital } from '@/core/units/words';

const MINUTE = 60_000;
const TABLE_MINUTES = 90;

/** What goes into a calendar, and when. Instants are milliseconds since 1970. */
export interface CalendarOptions {
  /** The instant of the table, in milliseconds since 1970. */
  readonly tableAt: number;
  /** The instant before which a step belongs to an earlier day: midnight of the table's day, where the cook is. */
  readonly midnight: number;
  /** Every cue, or only those of earlier days. */
  readonly which: 'all' | 'earlier days';
  /** Minutes before a cue at which an alarm goes; null for none. */
  readonly alarm: number | null;
  /** The present, and when the meal was last changed: the same events come back changed, never twice. */
  readonly now: number;
  readonly changedAt: number;
  /** How its words are told: in the cook's manner of measuring; as they are written when absent. */
  readonly spell?: (words: string) => string;
}

/**
 * A plan as an iCalendar file (RFC 5545): an event for each cue and one for the table. Instants are written in UTC, so that they stay right
 * in any time zone and across a change of summer time. The UID of an event follows from the meal and the step alone.
 */
export function planCalendar(
  meal: { readonly id: string; readonly name: string },
  plan: Plan,
  options: CalendarOptions,
): string {
  const { tableAt, midnight, which, alarm, now, changedAt, spell = (words) => words } = options;
  const calendar = ical({
    name: oneLine(meal.name),
    prodId: { company: 'Warm Cadence', product: 'plan', language: 'EN' },
  });
  const sequence = Math.max(0, Math.floor(changedAt / 1000 - EPOCH));
  const add = (uid: string, start: number, end: number, summary: string, description: string) => {
    const event = calendar.createEvent({
      id: `${safe(meal.id)}.${safe(uid)}@warm-cadence`,
      start: new Date(start),
      end: new Date(Math.max(end, start + MINUTE)),
      stamp: new Date(now),
      sequence,
      summary: oneLine(spell(summary)),
      description: spell(description),
    });
    if (alarm !== null) {
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: alarm * 60,
        description: oneLine(spell(summary)),
      });
    }
  };
  for (const step of plan.steps.filter(isCue)) {
    const start = tableAt + step.start * MINUTE;
    if (which === 'earlier days' && start >= midnight) continue;
    add(
      step.key,
      start,
      tableAt + step.end * MINUTE,
      capital(say('{name}: {words}', { name: step.name, words: step.dishName })),
      wordsOf(step, plan),
    );
  }
  if (which === 'all')
    add(
      'table',
      tableAt,
      tableAt + TABLE_MINUTES * MINUTE,
      say('{meal}: to the table', { meal: meal.name }),
      plan.verdict,
    );
  return calendar.toString();
}

/** Seconds to the first of January 2024: a sequence number is a 32-bit integer, and grows with every change. */
const EPOCH = 1_704_067_200;

/** Someone must do something when it begins: it wants hands, or does not begin by itself. */
export function isCue({ attention, follows }: PlannedStep): boolean {
  return attention === 'hands' || follows === null;
}

function wordsOf(
  { says, amounts, station, doneWhen, cautions, end, longestEnd }: PlannedStep,
  table: TableHour,
): string {
  return [
    says,
    longestEnd > end ? say('It may take until {hour}.', { hour: clockAt(table, longestEnd) }) : '',
    amounts.length > 0 ? say('In goes: {amounts}.', { amounts: amounts.join('; ') }) : '',
    station.sort === 'board' || station.sort === 'shelf' ? '' : say('On: {station}.', { station: station.name }),
    doneWhen ? say('Done when {doneWhen}.', { doneWhen }) : '',
    ...cautions.map((caution) => say('Careful: {caution}', { caution })),
  ]
    .filter(Boolean)
    .join('\n');
}

/** Words without signs that would end a line of the file. */
function oneLine(words: string): string {
  // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
  return words.replace(/[\u0000-\u001f\u007f\u2028\u2029]+/g, ' ').trim();
}

/** UIDs of letters, digits and a few signs, whatever an id holds; different ids stay different. */
function safe(id: string): string {
  return [...id]
    .map((sign) => (/[A-Za-z0-9._~-]/.test(sign) ? sign : `_${sign.codePointAt(0)!.toString(16)}_`))
    .join('');
}
