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

/** A number that an exported record of the core holds, and whether its unit or what it counts from is told. */
export interface NumberMember {
  readonly file: string;
  readonly line: number;
  readonly name: string;
  readonly told: boolean;
}

/** Names that say themselves what they are counted in, or that count. */
const EVIDENT =
  /minutes|litres|ml$|grams|celsius|percent|cm$|watts|hours|days|months|count|people|portions|servings|evenings|index|version|times|share|copy|part|seed|horizon|factor|capacity|shelves|^n$/i;
const MEMBER =
  /^ {2}(?:readonly )?(\w+)\??: (?:number|Range|Int32Array|Float64Array|readonly \[[^\]]*number[^\]]*\])(?: \| null)?;/;
const OPENS = /^export (?:interface \w+|type \w+ = .*\{$)/;
/** What tells a unit or a point of reference. */
const UNIT =
  /minute|millisecond|instant|share|of a hundred|degree|°C|litre|gram|position|counted|cost|amount|times|bits|probabilit|0 to 1|moment/i;

/** Numbers of exported records: told where a docstring stands above them or above the ones they stand with, or the record's own tells a unit. */
export function numbersIn(file: string, text: string): readonly NumberMember[] {
  const lines = text.split('\n');
  let isInside = false;
  let recordTells = false;
  return lines.flatMap((line, index) => {
    if (OPENS.test(line)) {
      isInside = true;
      recordTells = isSaid(lines, index) && UNIT.test(docAbove(lines, index));
    } else if (line.startsWith('}')) isInside = false;
    const name = isInside ? line.match(MEMBER)?.[1] : undefined;
    if (name === undefined) return [];
    return [{ file, line: index + 1, name, told: EVIDENT.test(name) || recordTells || isSaidOfGroup(lines, index) }];
  });
}

/** Members that stand together without a blank or another docstring share the one above the first. */
function isSaidOfGroup(lines: readonly string[], index: number): boolean {
  let first = index;
  while (/^ {2}(?:readonly )?\w+\??:/.test(lines[first - 1] ?? '')) first--;
  return isSaid(lines, first) && index - first < 3;
}

function docAbove(lines: readonly string[], index: number): string {
  let first = index;
  while (first > 0 && !(lines[first - 1] ?? '').includes('/**')) first--;
  return lines.slice(first - 1, index).join(' ');
}

/** Every number of an exported record of the core. */
export function numbersOfCore(): readonly NumberMember[] {
  return coreFiles().flatMap((file) => numbersIn(file, readFileSync(join(root, file), 'utf8')));
}
