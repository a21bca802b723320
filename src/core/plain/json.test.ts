import { describe, expect, it } from 'vitest';
import { parseForeignJson } from './json';

describe('JSON of whatever sender', () => {
  it('is read, also behind a mark of the byte order', () => {
    expect(parseForeignJson('\uFEFF{"a": ["]", "\\"{", 1]}')).toEqual({ a: [']', '"{', 1] });
  });

  it('is refused where it is nested without end, and brackets in texts do not count', () => {
    const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
    expect(parseForeignJson(nested(100))).toBeTruthy();
    for (const depth of [101, 5000, 100_000]) expect(() => parseForeignJson(nested(depth))).toThrow(/more than 100/);
    expect(parseForeignJson(JSON.stringify({ note: '['.repeat(5000) }))).toBeTruthy();
  });
});
