import { expect, test } from 'vitest';
import { textChanged } from './text-changed';

test.each([
  [{ name: 'a', steps: [{ says: 'x' }] }, { name: 'a', steps: [{ says: 'xy' }] }, '/steps/0/says'],
  [{ name: 'a', n: 1 }, { name: 'b', n: 1 }, '/name'],
  [{ name: 'a', n: 1 }, { name: 'b', n: 2 }, null],
  [{ name: 'a', n: 1 }, { name: 'a', n: 2 }, null],
  [{ name: 'a' }, { name: 'a' }, null],
  [{ steps: ['a'] }, { steps: ['a', 'b'] }, null],
  [{ steps: ['a'] }, { steps: { 0: 'a' } }, null],
  [{ a: 'x', b: 'x' }, { a: 'y', b: 'y' }, null],
  ['a', 'b', ''],
])('from %j to %j', (before, after, path) => {
  expect(textChanged(before, after)).toBe(path);
});
