import { describe, expect, it } from 'vitest';
import { readNumber } from './number';

describe('a number as people write it', () => {
  it.each([
    ['7,5', 7.5],
    ['7.5', 7.5],
    [' 12 ', 12],
    ['-3', -3],
    [',5', 0.5],
    ['7,', 7],
  ])('%s is read', (text, value) => expect(readNumber(text)).toBe(value));

  it.each(['', ' ', '1.000,5', '1e3', 'seven', '0x10', '7,5,1', '--1', ','])('%j is none', (text) =>
    expect(readNumber(text)).toBeNaN(),
  );
});
