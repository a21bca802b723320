import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { importsOfAll, root } from './rooms';

// What a view is made of when it is first opened: what it imports, what that imports, and so on; not what is fetched when it is wanted.

/** Imports that only types need, and those that are fetched later, are no part of a first load. */
function isLoaded(from: string, to: string): boolean {
  const written = readFileSync(join(root, from), 'utf8');
  const name = to.replace(/^src\//, '@/').replace(/\.tsx?$/, '');
  const near = `./${to
    .split('/')
    .at(-1)!
    .replace(/\.tsx?$/, '')}`;
  const statements = written.match(/(?:^|\n)(?:import|export)\s[^;]*?from\s+'[^']+';/g) ?? [];
  return statements.some((statement) => {
    const [, named = '', path = ''] = /(?:import|export)\s([^;]*?)from\s+'([^']+)'/.exec(statement) ?? [];
    if (path !== name && path !== near && !path.endsWith(`/${near.slice(2)}`)) return false;
    if (/^\s*type\s/.test(named)) return false;
    const inner = /\{([^}]*)\}/.exec(named)?.[1];
    const isBare = inner !== undefined && named.replace(/\{[^}]*\}/, '').trim() === '';
    return !(isBare && inner.split(',').every((each) => each.trim() === '' || each.trim().startsWith('type ')));
  });
}

const next = new Map<string, string[]>();
for (const { from, to, isPackage } of importsOfAll())
  if (!isPackage && isLoaded(from, to)) next.set(from, [...(next.get(from) ?? []), to]);

/** The way from a view to a file, import by import; null where it is not loaded with it. */
function wayTo(view: string, file: string): string | null {
  if (!next.has(view)) throw new Error(`There is no ${view}.`);
  const before = new Map<string, string | null>([[view, null]]);
  for (const [at] of before) for (const to of next.get(at) ?? []) if (!before.has(to)) before.set(to, at);
  if (!before.has(file)) return null;
  const way: string[] = [];
  for (let at: string | null = file; at; at = before.get(at) ?? null) way.unshift(at);
  return way.join(' > ');
}

const TECHNIQUES = 'src/core/dish/techniques/all.ts';
const FOODS = 'src/core/food/known.ts';
const SOLVER = 'src/core/schedule/solve.ts';
const SCHEMAS = 'src/core/records/dish.ts';
const OF_A_MEAL = [
  'menu/menu-view',
  'score/score-view',
  'cook/cook-view',
  'paper/paper-view',
  'rehearse/rehearse-view',
  'prep/shop-view',
  'prep/lay-out-view',
  'prep/ahead-view',
];
const OTHERS = ['meals/meals-view', 'bench/bench-view', 'kitchen/kitchen-view', 'evenings/evenings-view'];

describe('with a view comes', () => {
  it.each([...OF_A_MEAL, ...OTHERS])('%s: neither all techniques, nor the solver, nor what checks files', (view) => {
    for (const file of [TECHNIQUES, SOLVER, SCHEMAS]) expect(wayTo(`src/views/${view}.tsx`, file)).toBeNull();
  });

  it.each(['meals/meals-view', 'bench/bench-view', 'kitchen/kitchen-view', 'measures/measures-view'])(
    '%s: no table of foods',
    (view) => {
      expect(wayTo(`src/views/${view}.tsx`, FOODS)).toBeNull();
    },
  );

  it('something, and what is fetched later is no part of it', () => {
    expect(wayTo('src/views/dishes/dishes-view.tsx', TECHNIQUES)).toMatch(
      /^src\/views\/dishes\/dishes-view.tsx > .*all\.ts$/,
    );
    expect(wayTo('src/views/menu/add-dish.tsx', TECHNIQUES)).not.toBeNull();
    expect(wayTo('src/views/menu/menu-view.tsx', 'src/views/menu/add-dish.tsx')).toBeNull();
    expect(wayTo('src/views/menu/menu-view.tsx', 'src/views/shell/meal-frame.tsx')).not.toBeNull();
  });
});
