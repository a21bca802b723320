import { afterEach, describe, expect, it, vi } from 'vitest';
import { manner, takeUpManner } from './manner';

/** A browser of a language, with what it keeps. */
function browserOf(language: string, kept: Map<string, string> | null): void {
  vi.stubGlobal('navigator', { language });
  vi.stubGlobal('window', { addEventListener: () => {} });
  const storage = {
    getItem: (name: string) => kept!.get(name) ?? null,
    setItem: (name: string, value: string) => kept!.set(name, value),
  };
  vi.stubGlobal('localStorage', storage);
}

afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

describe('the manner of a browser', () => {
  it('is that of its language, asked for once', () => {
    const kept = new Map<string, string>();
    browserOf('en-US', kept);
    takeUpManner();
    expect(manner()).toEqual({
      amounts: 'american',
      heat: 'fahrenheit',
      clock: 'am and pm',
      decimal: 'point',
      figures: 'western',
    });
    const asked = vi.spyOn(Intl, 'DateTimeFormat');
    takeUpManner();
    expect(manner().heat).toBe('fahrenheit');
    expect(asked).not.toHaveBeenCalled();
    asked.mockRestore();
    browserOf('de-DE', kept);
    takeUpManner();
    expect(manner()).toEqual({
      amounts: 'metric',
      heat: 'celsius',
      clock: '24 hours',
      decimal: 'comma',
      figures: 'western',
    });
  });

  it('is what was chosen, the rest as its language has it; what cannot be read or kept is left', () => {
    const kept = new Map([['warm-cadence manner', '{"heat":"gas"}']]);
    browserOf('en-US', kept);
    takeUpManner();
    expect(manner()).toMatchObject({ heat: 'gas', amounts: 'american' });
    kept.set('warm-cadence manner', '{');
    kept.set('warm-cadence manner of the language', '{"language":"en-US","manner":"?"}');
    takeUpManner();
    expect(manner().heat).toBe('celsius');
    browserOf('en-US', null);
    takeUpManner();
    expect(manner().heat).toBe('fahrenheit');
  });
});
