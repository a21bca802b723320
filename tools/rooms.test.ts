import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ARCHITECTURE, BIOME, withDiagram, withRules } from './draw-rooms';
import { circlesOf, faultsOf, importsOfAll, ROOMS, roomOf } from './rooms';

const imports = importsOfAll();
const names = Object.keys(ROOMS);

describe('the rooms of the house', () => {
  it('import only what they may, and no two files import one another in a circle', () => {
    expect(imports.length).toBeGreaterThan(800);
    expect(faultsOf(imports)).toEqual([]);
    expect(circlesOf(imports)).toEqual([]);
  });

  it('may import only what lies below them', () => {
    for (const [index, name] of names.entries()) {
      for (const other of ROOMS[name]!.may) expect(names.indexOf(other), `${name} ${other}`).toBeLessThan(index);
    }
  });

  it.each(names)(
    '%s: a planted import of every room above it, of itself from above, and of a package is caught',
    (name) => {
      const above = names.filter((other) => other !== name && !ROOMS[name]!.may.includes(other));
      for (const other of above) {
        expect(
          faultsOf([{ from: `src/${name}/planted.ts`, to: `src/${other}/there.ts`, isPackage: false }]),
        ).toHaveLength(1);
      }
      expect(faultsOf([{ from: `src/${name}/planted.ts`, to: 'left-pad', isPackage: true }])).toHaveLength(1);
      expect(faultsOf([{ from: `src/${name}/planted.ts`, to: `src/${name}/other.ts`, isPackage: false }])).toEqual([]);
    },
  );

  it('a planted circle of three is found', () => {
    const planted = [
      ['a', 'b'],
      ['b', 'c'],
      ['c', 'a'],
      ['c', 'd'],
    ].map(([from, to]) => ({ from: `src/ui/${from}.ts`, to: `src/ui/${to}.ts`, isPackage: false }));
    expect(circlesOf(planted).map((circle) => [...circle].sort())).toEqual([
      ['src/ui/a.ts', 'src/ui/b.ts', 'src/ui/c.ts'],
    ]);
  });

  it('a file in no room is a fault', () => {
    expect(faultsOf([{ from: 'src/cellar/wine.ts', to: 'src/ui/button.tsx', isPackage: false }])).toHaveLength(1);
    expect(roomOf('src/core/dish/techniques/all.ts')).toBe('core/dish');
  });

  it('stand in the documents and in the linter as they are (else run "npm run rooms")', () => {
    const text = readFileSync(ARCHITECTURE, 'utf8');
    expect(withDiagram(text)).toBe(text);
    const config = JSON.parse(readFileSync(BIOME, 'utf8'));
    expect(withRules(config)).toEqual(config);
  });
});

describe('keys', () => {
  it('are taken apart in one place: nowhere else is a key of a step sliced, split or matched', () => {
    const touching = /\b(?:key|stepKey|unit|unitId)\)?\??\.(?:slice|split|endsWith|lastIndexOf|match|substring)\(/;
    const found = [...new Set(imports.map(({ from }) => from))]
      .filter(
        (file) => file.startsWith('src/') && file !== 'src/core/meal/keys.ts' && !file.startsWith('src/core/schedule/'),
      )
      .filter((file) => touching.test(readFileSync(file, 'utf8')));
    expect(found).toEqual([]);
  });
});
