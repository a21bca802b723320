import { describe, expect, it } from 'vitest';
import { exportedByCore, exportedIn } from './docstrings';

describe('what the core exports', () => {
  it('is said in words above it, all of it', () => {
    const all = exportedByCore();
    expect(all.length).toBeGreaterThan(800);
    expect(all.filter(({ said }) => !said).map(({ file, line, name }) => `${file}:${line} ${name}`)).toEqual([]);
  });

  it('is found with and without its words', () => {
    const text = [
      '/** Said. */',
      'export function one(): void {}',
      '',
      'export const two = 2;',
      '/** Said over a mark. */',
      '// biome-ignore lint/x: reason',
      'export interface Three {}',
      'export type Four = 4;',
      '/** Said. */',
      'export async function* five() {}',
      '  export const inner = 1;',
    ].join('\n');
    expect(exportedIn('a.ts', text).map(({ name, kind, said }) => [name, kind, said])).toEqual([
      ['one', 'function', true],
      ['two', 'constant', false],
      ['Three', 'type', true],
      ['Four', 'type', false],
      ['five', 'function', true],
    ]);
  });
});
