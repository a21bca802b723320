import { describe, expect, it } from 'vitest';
import { bare, own } from './record';

/** Every name that a plain object answers to without being asked. */
const INHERITED = [...Object.getOwnPropertyNames(Object.prototype)];

describe('a record of keys that a person chose', () => {
  it.each(INHERITED)('holds "%s" like any other key, and only when it was put there', (key) => {
    const record = bare<number>();
    expect(record[key]).toBeUndefined();
    record[key] = 7;
    expect(Object.entries(record)).toEqual([[key, 7]]);
    expect(own({ salt: 1 } as Record<string, number>, key)).toBeUndefined();
    expect(own(record, key)).toBe(7);
    expect((Object.prototype as unknown as Record<string, unknown>)['7']).toBeUndefined();
  });

  it('is filled from pairs', () => {
    expect(own(bare([['salt', 1]]), 'salt')).toBe(1);
    expect(own(JSON.parse('{"__proto__":3}') as Record<string, number>, '__proto__')).toBe(3);
  });
});
