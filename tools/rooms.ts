import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

// The rooms of the house as data: what each may import. The diagram of docs/architecture.md and the rules of biome.json are made from it
// (`npm run rooms`); tools/rooms.test.ts holds the code to it.

export const root = fileURLToPath(new URL('..', import.meta.url));

export interface Room {
  /** Rooms that it may import, besides those that they may import themselves where `through` says so. */
  readonly may: readonly string[];
  /** Packages that it may import; all others are refused. */
  readonly packages: readonly string[];
  readonly says: string;
}

const GROUND = [
  'core/say',
  'core/plain',
  'core/units',
  'core/food',
  'core/schedule',
  'core/risk',
  'core/kitchen',
  'core/heat',
  'core/grain',
] as const;
const TABLE = [...GROUND, 'core/dish', 'core/meal', 'core/plan'] as const;
const ALL_CORE = [
  ...TABLE,
  'core/remedies',
  'core/live',
  'core/log',
  'core/prep',
  'core/paper',
  'core/recipe',
  'core/safety',
  'core/records',
  'core/formats',
] as const;

const room = (says: string, may: readonly string[], packages: readonly string[] = []): Room => ({
  says,
  may,
  packages,
});

/** Lowest first. */
export const ROOMS: Readonly<Record<string, Room>> = {
  'core/say': room('all that is said, in the language of whoever reads it', [], ['@messageformat/parser', 'date-fns']),
  'core/plain': room('records, ids, the wall clock', ['core/say']),
  'core/units': room('amounts', ['core/say', 'core/plain']),
  'core/food': room('what things are', ['core/say', 'core/plain']),
  'core/schedule': room('the solver', ['core/say', 'core/plain']),
  'core/risk': room('what may take longer, and how it ends', ['core/say', 'core/plain', 'core/schedule']),
  'core/kitchen': room('burners, oven, pots, people', ['core/say', 'core/plain', 'core/units']),
  'core/heat': room('boiling, boiling off, cooling, limits', ['core/say', 'core/plain', 'core/units', 'core/kitchen']),
  'core/grain': room('kinds, methods, the liquid balance', [
    'core/say',
    'core/plain',
    'core/units',
    'core/kitchen',
    'core/heat',
  ]),
  'core/dish': room(
    'ingredients, steps, techniques, rules of safety',
    GROUND.filter((each) => each !== 'core/schedule'),
  ),
  'core/meal': room('what a meal is, and whether it can be', [...GROUND, 'core/dish']),
  'core/plan': room('compile, solve, read back, why', [...GROUND, 'core/dish', 'core/meal']),
  'core/remedies': room('changes of a meal, tried out', TABLE),
  'core/live': room('an evening at the stove', [...TABLE, 'core/remedies'], ['simple-statistics', 'fast-deep-equal']),
  'core/log': room('what evenings teach', [...TABLE, 'core/live'], ['simple-statistics']),
  'core/prep': room('shopping, bowls, days ahead', [...TABLE, 'core/remedies']),
  'core/paper': room('sheets to print', [...TABLE, 'core/prep'], ['pdfmake/interfaces']),
  'core/recipe': room(
    'reading other people’s',
    [...GROUND, 'core/dish'],
    ['linkedom', '@mozilla/readability', 'marked'],
  ),
  'core/safety': room('what a plan has to heed', TABLE),
  'core/records': room(
    'what is kept or sent: each its type, its schema, its generations',
    [...TABLE, 'core/live', 'core/prep'],
    ['joi', 'date-fns'],
  ),
  'core/formats': room(
    'files of records, tables, calendars',
    [...TABLE, 'core/live', 'core/prep', 'core/records'],
    ['joi', 'ical-generator', 'fast-deep-equal', 'date-fns', 'papaparse'],
  ),
  demo: room('sample meals', TABLE),
  server: room('bounded queue, limits, a thread for each job', ALL_CORE, ['joi', 'node:worker_threads']),
  words: room('other languages: a catalog each', ['core/say']),
  workers: room('the planner on its own thread', ALL_CORE, ['comlink']),
  store: room('Dexie tables', [...ALL_CORE, 'demo'], ['dexie', 'date-fns', 'fast-deep-equal']),
  offline: room('the app kept on a device', ['store'], ['serwist']),
  link: room('two screens of one evening', [...ALL_CORE, 'store'], ['dexie']),
  ui: room(
    'small shared pieces',
    [...ALL_CORE, 'words'],
    [
      'react',
      'react/jsx-runtime',
      'react/jsx-dev-runtime',
      'date-fns',
      '@dnd-kit/core',
      '@dnd-kit/sortable',
      '@dnd-kit/utilities',
      '@headlessui/react',
      'lucide-react',
      'echarts/charts',
      'echarts/components',
      'echarts/core',
      'echarts/renderers',
      'next/link',
      'next/navigation',
    ],
  ),
  views: room(
    'what a person sees',
    [...ALL_CORE, 'words', 'ui', 'store', 'workers', 'offline', 'link'],
    [
      'react',
      'react-dom',
      'next/navigation',
      'next/dynamic',
      '@headlessui/react',
      'lucide-react',
      'dexie-react-hooks',
      'date-fns',
      'fast-deep-equal',
      'echarts/core',
      'pdfmake/interfaces',
      'pdfmake/build/pdfmake',
      'qrcode',
      'jsqr',
    ],
  ),
  app: room(
    'routes',
    [...ALL_CORE, 'words', 'views', 'server'],
    [
      'joi',
      'react',
      'next',
      'next/headers',
      'next/server',
      'next/navigation',
      '@fontsource-variable/petrona',
      '@fontsource-variable/atkinson-hyperlegible-next',
      '@fontsource-variable/noto-sans-devanagari',
      '@fontsource-variable/vazirmatn',
    ],
  ),
};

/** The room that a file under src lies in. */
export function roomOf(file: string): string {
  const [, first = '', second = ''] = file.split('/');
  // What the framework looks for beside the routes is one with them.
  if (second === '' && first.includes('.')) return 'app';
  return first === 'core' ? `core/${second}` : first;
}

/** One import as it is written in a file: the file that it names, or the package. */
export interface Import {
  readonly from: string;
  readonly to: string;
  readonly isPackage: boolean;
}

const WRITTEN = /(?:import|export)\s+(?:type\s+)?[^'";]*?from\s+'([^']+)'|import\s+'([^']+)'|import\('([^']+)'\)/g;

/** Every import of the code under src, tests and their helpers left out. */
export function importsOfAll(): readonly Import[] {
  const files = filesIn(join(root, 'src')).map((file) => relative(root, file));
  const known = new Set(files);
  return files.flatMap((from) =>
    [...readFileSync(join(root, from), 'utf8').matchAll(WRITTEN)].flatMap((found): Import[] => {
      const named = found[1] ?? found[2] ?? found[3] ?? '';
      if (named.endsWith('.css')) return [];
      if (!named.startsWith('@/') && !named.startsWith('.')) return [{ from, to: named, isPackage: true }];
      const path = named.startsWith('@/')
        ? `src/${named.slice(2)}`
        : relative(root, resolve(root, dirname(from), named));
      const to = [path, `${path}.ts`, `${path}.tsx`].find((each) => known.has(each));
      return [{ from, to: to ?? path, isPackage: false }];
    }),
  );
}

/** The files of the core, tests and their helpers left out. */
export function coreFiles(): readonly string[] {
  return filesIn(join(root, 'src/core')).map((file) => relative(root, file));
}

function filesIn(folder: string): readonly string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    // What a test of the linter has planted is no part of the house, and may be gone already.
    if (name === 'testing' || name.startsWith('planted-')) return [];
    if (statSync(path).isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name) ? [path] : [];
  });
}

/** Imports that go against the rooms, each in a sentence. */
export function faultsOf(imports: readonly Import[]): readonly string[] {
  return imports.flatMap(({ from, to, isPackage }) => {
    const name = roomOf(from);
    const own = ROOMS[name];
    if (!own) return [`${from} lies in no room: "${name}" is not among them.`];
    if (isPackage) return own.packages.includes(to) ? [] : [`${from} imports the package ${to}: ${name} may not.`];
    const other = roomOf(to);
    return other === name || own.may.includes(other) ? [] : [`${from} imports ${to}: ${name} may not import ${other}.`];
  });
}

/** Circles of files that import one another; of types too: what needs itself to be read cannot be read by itself. */
export function circlesOf(imports: readonly Import[]): readonly (readonly string[])[] {
  const next = new Map<string, string[]>();
  for (const { from, to, isPackage } of imports) if (!isPackage) next.set(from, [...(next.get(from) ?? []), to]);
  const order = new Map<string, number>();
  const low = new Map<string, number>();
  const open: string[] = [];
  const circles: string[][] = [];
  // Tarjan 1972: strongly connected components.
  const visit = (file: string): void => {
    order.set(file, order.size);
    low.set(file, order.get(file)!);
    open.push(file);
    for (const other of next.get(file) ?? []) {
      if (!order.has(other)) visit(other);
      if (open.includes(other)) low.set(file, Math.min(low.get(file)!, low.get(other)!));
    }
    if (low.get(file) !== order.get(file)) return;
    const circle = open.splice(open.indexOf(file));
    if (circle.length > 1) circles.push(circle);
  };
  for (const file of next.keys()) if (!order.has(file)) visit(file);
  return circles;
}

/** The diagram of the rooms as Mermaid, drawn from the imports there are; an arrow that another path implies is left out. */
export function diagram(imports: readonly Import[]): string {
  const arrows = new Map<string, Set<string>>(Object.keys(ROOMS).map((name) => [name, new Set()]));
  for (const { from, to, isPackage } of imports) {
    if (!isPackage && roomOf(from) !== roomOf(to)) arrows.get(roomOf(from))?.add(roomOf(to));
  }
  const reaches = (from: string, to: string): boolean =>
    [...(arrows.get(from) ?? [])].some((each) => each === to || reaches(each, to));
  const short = (name: string) => name.replace('core/', '');
  const isCore = (name: string) => name.startsWith('core/');
  const names = Object.keys(ROOMS).reverse();
  const drawn = names.flatMap((from) =>
    [...(arrows.get(from) ?? [])]
      .filter((to) => ![...arrows.get(from)!].some((between) => between !== to && reaches(between, to)))
      .sort()
      .map((to) => [from, to] as const),
  );
  const box = (name: string) => `${short(name)}["${short(name)}: ${ROOMS[name]!.says}"]`;
  return [
    'flowchart TD',
    ...names.filter((name) => !isCore(name)).map((name) => `  ${box(name)}`),
    '  subgraph core',
    ...names.filter(isCore).map((name) => `    ${box(name)}`),
    '  end',
    ...drawn.map(([from, to]) => `  ${short(from)} --> ${short(to)}`),
  ].join('\n');
}

/** The linter's rule for each room: what an editor shows while one types. */
export function lintRules(): readonly object[] {
  return Object.entries(ROOMS).map(([name, { may, packages }]) => ({
    includes: [`src/${name}/**`, '!**/*.test.ts', '!**/*.test.tsx', '!**/testing/**'],
    linter: {
      rules: {
        style: {
          noRestrictedImports: {
            level: 'error',
            options: {
              patterns: [
                {
                  group: [
                    '**',
                    '!./**',
                    '!*.css',
                    `!@/${name}/**`,
                    ...may.map((each) => `!@/${each}/**`),
                    ...packages.map((each) => `!${each}`),
                  ],
                  message: `${name} may import ${[...may, ...packages].join(', ') || 'nothing from outside itself'}: see tools/rooms.ts.`,
                },
              ],
            },
          },
        },
      },
    },
  }));
}
