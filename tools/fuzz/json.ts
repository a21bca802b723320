import fc from 'fast-check';

/** Where in parsed JSON something stands: keys of records and positions in lists, from the outside in. */
export type Path = readonly (string | number)[];

/** One change of a file; `at` chooses the place by its share of all places. */
interface Edit {
  readonly at: number;
  readonly change: (old: unknown, parent: unknown, key: string | number) => unknown;
}

/** A spoilt file, and the fields and ids by which a refusal may name what is wrong; none where its text is broken. */
export interface Spoilt {
  readonly text: string;
  readonly names: readonly string[];
}

/** Written in place of a value, to become in the text what JSON can say and JavaScript cannot. */
const ENDLESS = '\u0001endless';

const LONG = 'x'.repeat(5000);

const VALUES: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  0.5,
  1e9,
  -1e9,
  2 ** 53,
  1e300,
  ENDLESS,
  '',
  ' ',
  '0',
  'hasOwnProperty',
  '__proto__',
  'constructor',
  '../..',
  'a\nb',
  '\u202Eevil',
  '😀',
  LONG,
  [],
  {},
  [[]],
  [null],
  { id: 'x' },
];

const value = fc.constantFrom(...VALUES);

const GONE = Symbol('gone');

const edit: fc.Arbitrary<Edit> = fc.record({
  at: fc.double({ min: 0, max: 0.999, noNaN: true }),
  change: fc.oneof(
    // Another sort of value; the value a little off, as whoever writes by hand errs; gone; another's value.
    value.map((each) => () => each),
    fc
      .constantFrom(-1, 1, 1000, -1000, 0.5, 10)
      .map((by) => (old: unknown) => (typeof old === 'number' ? old + by : old)),
    fc
      .constantFrom('', ' ', 'x', '__proto__', '\n', 'é')
      .map((more) => (old: unknown) => (typeof old === 'string' ? `${old}${more}` : old)),
    fc.constant(() => GONE),
    fc.nat().map((which) => (old: unknown, parent: unknown) => {
      const others = Object.values((parent ?? {}) as object);
      return others.length > 0 ? others[which % others.length] : old;
    }),
    // A list with a row twice, in another order, or with far too many.
    fc
      .constantFrom<(list: readonly unknown[]) => unknown[]>(
        (list) => [...list, ...list],
        (list) => [...list].reverse(),
        (list) => list.slice(1),
        (list) => Array.from({ length: 300 }, (_, k) => list[k % Math.max(1, list.length)]),
      )
      .map((turned) => (old: unknown) => (Array.isArray(old) ? turned(old) : old)),
    // A field more.
    fc
      .constantFrom('__proto__', 'constructor', 'more', '')
      .map(
        (key) => (old: unknown) =>
          old !== null && typeof old === 'object' && !Array.isArray(old)
            ? Object.fromEntries([...Object.entries(old), [key, { polluted: true }]])
            : old,
      ),
  ),
});

/** Files with one to three changes at any depth, or with their very text broken. Deep values are as likely to change as shallow ones. */
export function spoilt(files: readonly unknown[]): fc.Arbitrary<Spoilt> {
  const from = fc.constantFrom(...files.map((file) => JSON.stringify(file)));
  const inside = fc
    .record({ from, edits: fc.array(edit, { minLength: 1, maxLength: 3 }) })
    .map(({ from: text, edits }) => {
      let root: unknown = JSON.parse(text);
      const names: string[] = [];
      for (const { at, change } of edits) {
        const paths = pathsIn(root);
        const path = paths[Math.floor(at * paths.length)]!;
        const before = root;
        root = changed(root, path, change);
        names.push(...namesAt(before, path), ...namesAt(root, path));
      }
      return {
        text: JSON.stringify(root)?.replaceAll(`"${ENDLESS.replace('\u0001', '\\u0001')}"`, '1e999') ?? '',
        names,
      };
    });
  const broken = fc
    .record({
      from,
      at: fc.double({ min: 0, max: 1, noNaN: true }),
      sign: fc.constantFrom('', '"', '}', '[', '\u0000', '0', ',', '\uFEFF'),
    })
    .map(({ from: text, at, sign }) => {
      const cut = Math.floor(at * text.length);
      return { text: text.slice(0, cut) + sign + (sign === '' ? '' : text.slice(cut + 1)), names: [] };
    });
  return fc.oneof({ weight: 9, arbitrary: inside }, { weight: 1, arbitrary: broken });
}

function pathsIn(root: unknown, path: Path = []): Path[] {
  if (root === null || typeof root !== 'object') return [path];
  const below = Object.entries(root).flatMap(([key, each]) =>
    pathsIn(each, [...path, Array.isArray(root) ? Number(key) : key]),
  );
  return [path, ...below];
}

/** Keys nearest to what was changed that a refusal may name it by. */
const NEAREST = 2;

/** The field itself and the one that it is in, the ids and names of what it is of, and what stands there where that is a word itself. */
function namesAt(root: unknown, path: Path): string[] {
  const names: string[] = path.filter((key) => typeof key === 'string').slice(-NEAREST);
  // Of a whole file that is another one, any field may be the first that is wrong.
  if (path.length === 0) names.push(...Object.keys(root ?? {}), 'format');
  let at = root;
  for (const key of [...path, null]) {
    if (at === null || at === undefined) break;
    const { id, name } = at as { id?: unknown; name?: unknown };
    for (const each of [id, name]) if (typeof each === 'string') names.push(each);
    if (typeof at === 'string') names.push(at);
    if (key !== null) at = (at as Record<string | number, unknown>)[key];
  }
  return names;
}

function changed(root: unknown, path: Path, change: Edit['change']): unknown {
  const [key] = path;
  if (key === undefined) {
    const now = change(root, root, '');
    return now === GONE ? null : now;
  }
  const inner = (root as Record<string | number, unknown>)[key];
  const now = path.length === 1 ? change(inner, root, key) : changed(inner, path.slice(1), change);
  if (Array.isArray(root)) return now === GONE ? root.filter((_, at) => at !== key) : root.with(Number(key), now);
  const entries = Object.entries(root as object).filter(([each]) => each !== key);
  return Object.fromEntries(now === GONE ? entries : [...entries, [key, now]]);
}
