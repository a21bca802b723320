import { afterEach, describe, expect, it } from 'vitest';
import { clockAt, clockChange, furtherEast, minuteAt, sayClockChange, tableInstant, tableLater } from './wall-clock';

// The tests run in the time of Berlin: clocks go back at 3:00 on 25 October 2026 and forward at 2:00 on 28 March 2027 (EU directive 2000/84/EC).
const AUTUMN = { day: '2026-10-25', hour: '19:30' };
const SPRING = { day: '2027-03-28', hour: '19:30' };

describe('the clock on the wall', () => {
  it('is told from a table, over the night in which the clocks are changed', () => {
    expect(new Date(tableInstant(AUTUMN)).toISOString()).toBe('2026-10-25T18:30:00.000Z');
    expect(clockAt(AUTUMN, 0)).toBe('19:30');
    expect(clockAt(AUTUMN, -60)).toBe('18:30');
    // From 19:30 the day before it is twenty-five hours.
    expect(clockAt(AUTUMN, -25 * 60)).toBe('19:30');
    expect(clockAt(SPRING, -23 * 60)).toBe('19:30');
    expect(clockAt({ day: '2026-11-28', hour: '19:30' }, -24 * 60)).toBe('19:30');
  });

  it.each([AUTUMN, SPRING, { day: '2026-11-28', hour: '00:15' }])('and back: $day', (table) => {
    for (const days of [-3, -1, 0, 1]) {
      for (const hour of [0, 5, 9, 16, 21, 23]) {
        const minute = minuteAt(table, days, hour * 60 + 26);
        expect(clockAt(table, minute)).toBe(`${String(hour).padStart(2, '0')}:26`);
      }
    }
    expect(minuteAt(table, 0, Number(table.hour.slice(0, 2)) * 60 + Number(table.hour.slice(3)))).toBe(0);
  });

  it('has a longer and a shorter day before the table', () => {
    expect(minuteAt(AUTUMN, -1, 19 * 60 + 30)).toBe(-1500);
    expect(minuteAt(SPRING, -1, 19 * 60 + 30)).toBe(-1380);
  });

  it('goes on past midnight', () => {
    expect(tableLater({ day: '2026-12-31', hour: '23:50' }, 15)).toEqual({ day: '2027-01-01', hour: '00:05' });
    expect(tableLater(AUTUMN, 0)).toEqual(AUTUMN);
  });
});

describe('where the clocks are changed', () => {
  const here = process.env['TZ'];
  afterEach(() => {
    process.env['TZ'] = here;
  });

  // Supper after midnight in the night of the change. Europe: directive 2000/84/EC. America: Energy Policy Act of 2005, at 2:00 on the second
  // Sunday of March and the first of November.
  it.each([
    ['Europe/Berlin', { day: '2026-10-25', hour: '04:00' }, 'back', '03:00', -60, -120],
    ['Europe/Berlin', { day: '2027-03-28', hour: '04:00' }, 'forward', '02:00', 60, -60],
    ['America/New_York', { day: '2026-11-01', hour: '04:00' }, 'back', '02:00', -60, -180],
    ['America/New_York', { day: '2027-03-14', hour: '04:00' }, 'forward', '02:00', 60, -60],
  ] as const)('in %s on %o it is said, and the hours around it are right', (zone, table, way, at, by, minute) => {
    process.env['TZ'] = zone;
    expect(clockChange(table, -600, 0)).toEqual({ minute, by });
    expect(sayClockChange(table, -600, 0)).toContain(`The clocks go ${way} an hour at ${at}`);
    // A minute before and the minute itself: an hour of the wall is left out, or comes again.
    const minutesOfDay = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));
    expect(minutesOfDay(clockAt(table, minute)) - minutesOfDay(clockAt(table, minute - 1))).toBe(1 + by);
    // Just at the ends of the stretch.
    expect(clockChange(table, minute, 0)).toBeNull();
    expect(clockChange(table, minute - 1, 0)).toEqual({ minute, by });
    expect(clockChange(table, -600, minute - 1)).toBeNull();
    expect(clockChange(table, -600, minute)).toEqual({ minute, by });
    expect(sayClockChange(table, minute, 0)).toBe('');
  });

  it('is nothing to say on other days, and by half an hour elsewhere', () => {
    expect(clockChange({ day: '2026-11-28', hour: '19:30' }, -3000, 60)).toBeNull();
    // Lord Howe Island changes its clocks by half an hour, at 2:00 on the first Sunday of April (IANA time zone database).
    process.env['TZ'] = 'Australia/Lord_Howe';
    const table = { day: '2026-04-05', hour: '06:00' };
    expect(clockChange(table, -600, 0)?.by).toBe(-30);
    expect(sayClockChange(table, -600, 0)).toContain('back 30 min at 02:00');
  });

  it('a table that was agreed elsewhere stands at another hour here', () => {
    const table = { day: '2026-11-28', hour: '19:30' };
    const agreed = tableInstant(table);
    expect(furtherEast(table, agreed)).toBe(0);
    process.env['TZ'] = 'Europe/London';
    expect(furtherEast(table, agreed)).toBe(-60);
    process.env['TZ'] = 'America/New_York';
    expect(furtherEast(table, agreed)).toBe(-360);
    expect(clockAt(table, furtherEast(table, agreed))).toBe('13:30');
  });
});
