import { describe, expect, it } from 'vitest';
import { printAway, printCountdown, printSpan } from './clock';

describe('clocks', () => {
  it('count down to the second, and up once time has run out', () => {
    expect(printCountdown(34 * 60_000 + 10_000)).toBe('34:10');
    expect(printCountdown(3_725_000)).toBe('1:02:05');
    expect(printCountdown(0)).toBe('0:00');
    expect(printCountdown(-40_000)).toBe('+0:40');
  });

  it('say spans as a cook does', () => {
    expect([0, 45, 60, 150, 1500, 3000].map(printSpan)).toEqual([
      '0 min',
      '45 min',
      '1 h',
      '2 h 30 min',
      '1 day',
      '2 days',
    ]);
  });

  it('count days by the calendar, not by hours', () => {
    const now = new Date('2026-11-25T02:00').getTime();
    const away = (text: string) => printAway(now, new Date(text).getTime());
    expect(away('2026-11-25T04:30')).toBe('in 2 h 30 min');
    expect(away('2026-11-26T23:30')).toBe('tomorrow');
    expect(away('2026-11-28T00:10')).toBe('in 3 days');
    expect(away('2026-11-25T01:59')).toBe('gone by');
  });
});
