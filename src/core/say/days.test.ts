import { afterEach, describe, expect, it } from 'vitest';
import { sayDay } from './days';
import { speak } from './say';

const DAY = new Date('2026-12-02T19:30');
afterEach(() => speak('en'));

describe('a day', () => {
  it('is said as English writes it, and as other languages do', () => {
    const said = () =>
      (['weekday', 'short weekday', 'day', 'short day', 'date', 'short date'] as const).map((form) =>
        sayDay(DAY, form),
      );
    expect(said()).toEqual([
      'Wednesday',
      'Wed',
      'Wednesday 2 December',
      'Wednesday 2 Dec',
      'Wednesday 2 December 2026',
      '2 Dec',
    ]);
    speak('de');
    expect(said()).toEqual([
      'Mittwoch',
      'Mi',
      'Mittwoch, 2. Dezember',
      'Mittwoch, 2. Dez.',
      'Mittwoch, 2. Dezember 2026',
      '2. Dez.',
    ]);
    speak('fr');
    expect(sayDay(DAY.getTime(), 'day')).toBe('mercredi 2 décembre');
  });

  it('keeps western figures and the months of the plan, which are told in the reader’s own where they are shown', () => {
    speak('fa');
    expect(sayDay(DAY, 'day')).toMatch(/2/);
    expect(sayDay(DAY, 'day')).not.toMatch(/[۰-۹]/);
    expect(sayDay(DAY, 'date')).toMatch(/2026/);
  });
});
