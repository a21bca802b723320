import type Joi from 'joi';
import { parseForeignJson } from '@/core/plain/json';
import { say } from '@/core/say/say';

/** What was read, or one sentence that says which field is wrong, what was found and what is allowed. */
export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly sentence: string };

/** Parses JSON text; a broken file is told with the place where it breaks. */
export function parseJson(text: string, what: string): Parsed<unknown> {
  try {
    return { ok: true, value: parseForeignJson(text) };
  } catch (error) {
    const detail = error instanceof Error ? error.message : '';
    return {
      ok: false,
      sentence: say('This {what} cannot be read: it is not whole JSON ({detail}).', { what, detail }),
    };
  }
}

/**
 * Brings what an older version wrote up to a version, one version at a time. A newer one is refused kindly, and what is of no
 * version is left to the check of its shape.
 */
export function upgrade(
  value: unknown,
  what: string,
  current: number,
  older: Readonly<Record<number, (file: object) => object>>,
): Parsed<unknown> {
  let file = value;
  for (;;) {
    const version = (file as { version?: unknown } | null)?.version;
    if (typeof version === 'number' && version > current) {
      return {
        ok: false,
        sentence: say(
          'version: this {what} file is of version {version}, written by a newer Warm Cadence; this one reads up to version {current}. Update and open it again.',
          { what, version, current },
        ),
      };
    }
    const next = typeof version === 'number' ? older[version] : undefined;
    if (!next) return { ok: true, value: file };
    file = next(file as object);
  }
}

/** Checks a value against a shape; the first fault becomes a sentence. */
export function check<T>(schema: Joi.Schema<T>, value: unknown): Parsed<T> {
  const { error, value: clean } = schema.validate(value, { abortEarly: true, convert: false });
  if (!error) return { ok: true, value: clean as T };
  const detail = error.details[0]!;
  return { ok: false, sentence: `${place(detail.path, value)}: ${rule(detail)}` };
}

/** "dishes, Roast roots, steps, cut, minutes, likely": positions in lists are replaced by the item's own name or id. */
function place(path: readonly (string | number)[], root: unknown): string {
  if (path.length === 0) return say('The whole file');
  let at = root;
  const words: string[] = [];
  for (const key of path) {
    at = (at as Record<string | number, unknown> | undefined)?.[key];
    if (typeof key === 'string') {
      words.push(key);
      continue;
    }
    const named = at as { id?: unknown; name?: unknown; step?: unknown } | undefined;
    const name = named && typeof named === 'object' ? (named.id ?? named.name ?? named.step) : undefined;
    words.push(typeof name === 'string' ? `"${name}"` : say('number {key}', { key: key + 1 }));
  }
  return words.join(', ');
}

function rule({ type, context, message }: Joi.ValidationErrorItem): string {
  const found = context && 'value' in context ? say('; found {shown}', { shown: shown(context['value']) }) : '';
  switch (type) {
    case 'any.required':
      return say('this is missing.');
    case 'any.only':
      return say('this must be {what}{found}.', {
        what: ((context?.['valids'] ?? []) as unknown[]).map((each) => JSON.stringify(each)).join(' or '),
        found,
      });
    case 'day.none':
      return say('there is no such day{found}.', { found });
    case 'array.unique':
      return say('this stands twice; each needs its own.');
    case 'object.unknown':
      return say('there is no such field in this format.');
    case 'number.base':
    case 'number.integer':
      return say('this must be a whole number{found}.', { found });
    case 'number.min':
      return say('this must be {what} or more{found}.', { what: context?.['limit'], found });
    case 'number.max':
      return say('this must be {what} or less{found}.', { what: context?.['limit'], found });
    case 'string.empty':
      return say('this must not be empty.');
    case 'array.min':
      return say('this needs at least {what}.', { what: context?.['limit'] });
    case 'array.max':
      return say('this may hold {what} at most.', { what: context?.['limit'] });
    case 'array.base':
      return say('this must be a list{found}.', { found });
    case 'object.base':
      return say('this must be a record{found}.', { found });
    case 'string.base':
      return say('this must be a text{found}.', { found });
    case 'string.pattern.name':
      return say('this must be {what}{found}.', { what: context?.['name'], found });
    default:
      return `${message.replace(/^"[^"]*" /, 'this ')}${found}.`;
  }
}

function shown(value: unknown): string {
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
}
