import { say } from '@/core/say/say';
// Minutes relative to a table, and the clock on the wall. The one way from the one to the other: in the night in which the clocks are changed
// an hour of the wall is not sixty minutes.

/** The day and the hour of a table as they are agreed: "2026-10-25" and "19:30", by the clock of whoever cooks. */
export interface TableHour {
  readonly day: string;
  readonly hour: string;
}

const MINUTE = 60_000;
/** Minutes. */
const HOUR = 60;

/** The instant of the table, in milliseconds since 1970, where this machine is. */
export function tableInstant({ day, hour }: TableHour): number {
  return new Date(`${day}T${hour}:00`).getTime();
}

/** "18:45": what the clock shows so many minutes after the table (negative: before it). */
export function clockAt(table: TableHour, minute: number): string {
  const at = new Date(tableInstant(table) + Math.round(minute) * MINUTE);
  return `${twoFigures(at.getHours())}:${twoFigures(at.getMinutes())}`;
}

/** Minutes relative to the table of a time of the clock (minutes after midnight), so many days after the table's own day (negative: before it). */
export function minuteAt(table: TableHour, days: number, clock: number): number {
  const [year, month, day] = table.day.split('-').map(Number) as [number, number, number];
  // The hour is told by itself: minutes after midnight would count the hour that the night lost or gained.
  const at = new Date(year, month - 1, day + days, Math.floor(clock / 60), clock % 60);
  return Math.round((at.getTime() - tableInstant(table)) / MINUTE);
}

/** The table so many minutes later, on another day perhaps. */
export function tableLater(table: TableHour, minutes: number): TableHour {
  const at = new Date(tableInstant(table) + minutes * MINUTE);
  const day = `${at.getFullYear()}-${twoFigures(at.getMonth() + 1)}-${twoFigures(at.getDate())}`;
  return { day, hour: clockAt(table, minutes) };
}

/** When the clocks are changed in a stretch around a table. */
export interface ClockChange {
  /** Minutes relative to the table. */
  readonly minute: number;
  /** Minutes by which the clock goes forward; negative: back. */
  readonly by: number;
}

/** The first change of summer time from one minute to another, both relative to the table; null where the clock runs on evenly. */
export function clockChange(table: TableHour, from: number, until: number): ClockChange | null {
  const at = tableInstant(table);
  const offset = (minute: number) => -new Date(at + minute * MINUTE).getTimezoneOffset();
  let before = from;
  for (let minute = Math.min(from + HOUR, until); before < until; minute = Math.min(minute + HOUR, until)) {
    const by = offset(minute) - offset(before);
    if (by !== 0) {
      let [same, other] = [before, minute];
      while (other - same > 1) {
        const middle = Math.floor((same + other) / 2);
        if (offset(middle) === offset(before)) same = middle;
        else other = middle;
      }
      return { minute: other, by };
    }
    before = minute;
  }
  return null;
}

/** "The clocks go back an hour at 03:00 that night." Empty where they do not from one minute to another. */
export function sayClockChange(table: TableHour, from: number, until: number): string {
  const change = clockChange(table, from, until);
  if (!change) return '';
  // Told by the clock as it is before it is changed: "at 3 back to 2", "at 2 forward to 3".
  const eve = new Date(tableInstant(table) + (change.minute - 1) * MINUTE);
  eve.setHours(eve.getHours(), 0, 0, 0);
  const hour = (eve.getHours() + 1) % 24;
  const size = Math.abs(change.by) === HOUR ? say('an hour') : say('{by} min', { by: Math.abs(change.by) });
  return change.by < 0
    ? say('The clocks go back {size} at {hour}:00 that night; all hours are told by them, and the minutes are true.', {
        size,
        hour: twoFigures(hour),
      })
    : say(
        'The clocks go forward {size} at {hour}:00 that night; all hours are told by them, and the minutes are true.',
        { size, hour: twoFigures(hour) },
      );
}

/** Minutes by which the clock on the wall here stands further than where a table was agreed for an instant; 0 in the same time zone. */
export function furtherEast(table: TableHour, instant: number): number {
  return Math.round((instant - tableInstant(table)) / MINUTE);
}

function twoFigures(value: number): string {
  return String(value).padStart(2, '0');
}
