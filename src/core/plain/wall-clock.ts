// Minutes relative to a table, and the clock on the wall. The one way from the one to the other: in the night in which the clocks are changed
// an hour of the wall is not sixty minutes.

/** The day and the hour of a table as they are agreed: "2026-10-25" and "19:30", by the clock of whoever cooks. */
export interface TableHour {
  readonly day: string;
  readonly hour: string;
}

const MINUTE = 60_000;

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

function twoFigures(value: number): string {
  return String(value).padStart(2, '0');
}
