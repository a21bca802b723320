import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';

/** Ends the program with a sentence and exit status 2: bad input. */
export function refuse(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
}

/** The one file argument ("-" for standard input) and the named options; anything else is refused. */
export function readArguments<const Names extends readonly string[], const Flags extends readonly string[]>(
  usage: string,
  names: Names,
  flags: Flags,
): { text: string; options: Partial<Record<Names[number], string>>; flags: Partial<Record<Flags[number], boolean>> } {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: Object.fromEntries([
        ...names.map((name) => [name, { type: 'string' as const }]),
        ...flags.map((flag) => [flag, { type: 'boolean' as const }]),
      ]),
    });
    const [file, ...others] = positionals;
    if (file === undefined || others.length > 0) refuse(usage);
    const options: Record<string, string> = {};
    const set: Record<string, boolean> = {};
    for (const [name, value] of Object.entries(values)) {
      if (typeof value === 'string') options[name] = value;
      else if (typeof value === 'boolean') set[name] = value;
    }
    return {
      text: readText(file),
      options: options as Partial<Record<Names[number], string>>,
      flags: set as Partial<Record<Flags[number], boolean>>,
    };
  } catch (error) {
    refuse(`${error instanceof Error ? error.message : error}\n${usage}`);
  }
}

function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    refuse(`The file ${file} cannot be read: name a file that is there, or - for standard input.`);
  }
}

/** A number option within bounds, or its default. */
export function numberOption(
  name: string,
  text: string | undefined,
  usual: number,
  least: number,
  most: number,
  whole = false,
): number {
  if (text === undefined) return usual;
  const value = text.trim() === '' ? Number.NaN : Number(text);
  if (!Number.isFinite(value) || value < least || value > most || (whole && !Number.isInteger(value))) {
    refuse(`--${name} must be a ${whole ? 'whole ' : ''}number from ${least} to ${most}; found "${text}".`);
  }
  return value;
}
