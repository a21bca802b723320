/**
 * Where two values differ, when they differ in nothing but one text: its path, "steps/2/name". Null where they are alike or differ
 * in anything else. Words typed with pauses between are one such change after another.
 */
export function textChanged(before: unknown, after: unknown): string | null {
  const paths = [...differences(before, after, '')].slice(0, 2);
  return paths.length === 1 ? paths[0]! : null;
}

/** Paths at which values differ; a difference that is no text is given twice, so that it is never the only one. */
function* differences(before: unknown, after: unknown, path: string): Generator<string> {
  if (Object.is(before, after)) return;
  if (typeof before === 'string' && typeof after === 'string') {
    yield path;
    return;
  }
  if (!isObject(before) || !isObject(after) || Array.isArray(before) !== Array.isArray(after)) {
    yield path;
    yield path;
    return;
  }
  const [old, now] = [new Map(Object.entries(before)), new Map(Object.entries(after))];
  for (const key of new Set([...old.keys(), ...now.keys()]))
    yield* differences(old.get(key), now.get(key), `${path}/${key}`);
}

function isObject(value: unknown): value is object {
  return typeof value === 'object' && value !== null;
}
