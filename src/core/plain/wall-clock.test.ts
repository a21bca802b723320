import { describe, expect, it } from 'vitest';
import { clockAt, minuteAt, tableInstant, tableLater } from './wall-clock';

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
