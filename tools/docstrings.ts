import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { coreFiles, root } from './rooms';

/** An exported thing of the core, and whether words stand above it. */
export interface Exported {
  readonly file: string;
  readonly line: number;
  readonly kind: 'function' | 'type' | 'constant';
  readonly name: string;
  readonly said: boolean;
}

const EXPORTED =
  /^export (?:default )?(?:(?:async )?function\*?|(?:abstract )?class|interface|type|const|enum) +([A-Za-z_$][\w$]*)/;

/** Everything that a text of code exports by name where it stands. */
export function exportedIn(file: string, text: string): readonly Exported[] {
  const lines = text.split('\n');
  return lines.flatMap((line, index) => {
    const name = line.match(EXPORTED)?.[1];
    if (name === undefined) return [];
    const kind = /function|class/.test(line.slice(0, 40))
      ? 'function'
      : /^export (?:interface|type)/.test(line)
        ? 'type'
        : 'constant';
    return [{ file, line: index + 1, kind, name, said: isSaid(lines, index) } as const];
  });
}

/** Whether a docstring ends on the line above; marks for the linter may stand between. */
function isSaid(lines: readonly string[], index: number): boolean {
  let at = index - 1;
  while (/^\s*\/\/ biome-ignore/.test(lines[at] ?? '')) at--;
  return /\*\/\s*$/.test(lines[at] ?? '');
}

/** Every export of the core; tests and what only tests use are left out. */
export function exportedByCore(): readonly Exported[] {
  return coreFiles().flatMap((file) => exportedIn(file, readFileSync(join(root, file), 'utf8')));
}
