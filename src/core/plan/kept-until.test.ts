import { describe, expect, it } from 'vitest';
import { bareProblem } from '@/core/schedule/testing/bare';
import type { Compiled } from './compile';
import { keptUntilTable } from './kept-until';

// The table is at minute 100 of the problem; the stew waits well for 20 minutes and bears 60 of being kept warm, the roast waits for 5.
const step = (id: string, minutes: number) => ({ id, minutes });
const landing = (id: string, hold: number) => ({ step: id, by: 100, hold, early: 2, late: 50 });
const compiled = (minutes: number, runs = false, most = 60) =>
  ({
    likely: bareProblem({
      horizon: 200,
      serve: 100,
      steps: [{ ...step('keep', minutes), ...(runs ? { earliest: 0, latest: 0 } : {}) }, step('roast', 10)],
      ready: [landing('keep', 20), landing('roast', 5)],
    }),
    origin: -100,
    stretch: new Map([['keep', most]]),
  }) as unknown as Compiled;
const known = (end: number) => ({
  known: { places: new Map([['keep', { start: 0, end, units: [] }]]), holds: new Map() },
});
const kept = (of: Compiled, keep: number, options = {}, roast = 90) =>
  keptUntilTable(of, { starts: { keep, roast }, units: {}, holds: {} }, options).get('keep');

describe('how long things are kept warm', () => {
  it('is until the hour they were meant to, whenever they begin', () => {
    expect(kept(compiled(20), 70, known(-10))).toBe(undefined);
    expect(kept(compiled(20), 75, known(-10))).toBe(17);
    expect(kept(compiled(20), 60, known(-10))).toBe(30);
    // Too late for any of it the step stays, a minute long.
    expect(kept(compiled(20), 95, known(-10))).toBe(1);
  });

  it('is at most as long as they bear, and never past the table', () => {
    expect(kept(compiled(20), 10, known(-10))).toBe(60);
    expect(kept(compiled(20), 85, known(10))).toBe(15);
  });

  it('is until they wait well, where the table waits for others', () => {
    expect(kept(compiled(20), 70, known(-10), 90)).toBe(undefined);
    expect(kept(compiled(20), 70, known(-10), 120)).toBe(40);
    expect(kept(compiled(20), 70, {}, 90)).toBe(undefined);
    expect(kept(compiled(10), 50, { well: 8 })).toBe(42);
    expect(kept(compiled(10), 50, {})).toBe(30);
  });

  it('is never longer than it was meant to be where there is no place for that', () => {
    expect(kept(compiled(20), 60, { ...known(-10), how: 'as meant' })).toBe(undefined);
    expect(kept(compiled(20), 75, { ...known(-10), how: 'as meant' })).toBe(15);
    expect(kept(compiled(20), 70, { ...known(-10), how: 'as meant' }, 120)).toBe(undefined);
  });

  it('is only until they wait well, where even that place is wanted', () => {
    const briefly = { ...known(-10), how: 'briefly' } as const;
    // Twenty minutes before the table it waits well: from 60 on it is kept for 20, as the meal says.
    expect(kept(compiled(20), 60, briefly)).toBe(undefined);
    expect(kept(compiled(20), 70, briefly)).toBe(10);
    expect(kept(compiled(20), 85, briefly)).toBe(1);
    expect(kept(compiled(20), 70, briefly, 110)).toBe(undefined);
  });

  it('is over at once, where it runs and its hour has come', () => {
    expect(kept(compiled(20, true), 0, known(-100), 0)).toBe(60);
    expect(kept(compiled(20, true, 0), 0, known(-100), 0)).toBe(0);
  });

  it('is what the meal says for what has only now come into the plan', () => {
    expect(keptUntilTable(compiled(20), { starts: { roast: 120 }, units: {}, holds: {} }, {})).toEqual(new Map());
  });
});
