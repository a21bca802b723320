import { describe, expect, it } from 'vitest';
import { exportedByCore, exportedIn, numbersIn, numbersOfCore } from './docstrings';

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

describe('numbers in what the core exports', () => {
  it('say what they are counted in, by name or in words', () => {
    const all = numbersOfCore();
    expect(all.length).toBeGreaterThan(300);
    expect(all.filter(({ told }) => !told).map(({ file, line, name }) => `${file}:${line} ${name}`)).toEqual([]);
  });

  it('are found with and without it', () => {
    const text = [
      '/** A pot. */',
      'export interface Pot {',
      '  readonly litres: number;',
      '  readonly height: number;',
      '  /** Degrees of the handle. */',
      '  readonly turned: number;',
      '  readonly until: number | null;',
      '  readonly name: string;',
      '}',
      '/** A stretch, in minutes of the problem. */',
      'export interface Span {',
      '  readonly from: number;',
      '}',
      'interface Own {',
      '  readonly size: number;',
      '}',
    ].join('\n');
    expect(numbersIn('a.ts', text).map(({ name, told }) => [name, told])).toEqual([
      ['litres', true],
      ['height', false],
      ['turned', true],
      ['until', true],
      ['from', true],
    ]);
  });
});
