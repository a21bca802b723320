import { describe, expect, it } from 'vitest';
import { capital, listed } from './words';

describe('words', () => {
  it('list names with commas and one "and"', () => {
    expect(listed([])).toBe('');
    expect(listed(['leeks'])).toBe('leeks');
    expect(listed(['leeks', 'rice'])).toBe('leeks and rice');
    expect(listed(['leeks', 'barley', 'rice'])).toBe('leeks, barley and rice');
  });

  it('count what is more than may be named', () => {
    expect(listed(['a', 'b', 'c'], 3)).toBe('a, b and c');
    expect(listed(['a', 'b', 'c', 'd'], 3)).toBe('a, b and 2 more');
  });

  it('begin with a capital', () => {
    expect(capital('oats')).toBe('Oats');
    expect(capital('')).toBe('');
  });
});
