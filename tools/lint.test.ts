import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ROOMS, root } from './rooms';

/** Lints planted files, one in each of these folders, all in one go; returns the folders in which a restricted import was found. */
function caught(plants: readonly (readonly [folder: string, text: string])[]): readonly string[] {
  const places = plants.map(([folder, text]) => {
    const place = mkdtempSync(join(root, folder, 'planted-'));
    writeFileSync(join(place, 'planted.ts'), text);
    return [folder, place] as const;
  });
  try {
    const paths = places.map(([, place]) => place);
    const { stdout, stderr } = spawnSync('node_modules/.bin/biome', ['lint', '--max-diagnostics=none', ...paths], {
      cwd: root,
      encoding: 'utf8',
    });
    const said = `${stdout}${stderr}`;
    return places
      .filter(([, place]) => new RegExp(`${place.split('/').at(-1)}/planted\\.ts.*noRestrictedImports`).test(said))
      .map(([folder]) => folder);
  } finally {
    for (const [, place] of places) rmSync(place, { recursive: true });
  }
}

const importing = (path: string) => `import { planted } from '${path}';\nexport const again = planted;\n`;
const names = Object.keys(ROOMS);
const folders = names.map((name) => `src/${name}`);

describe('the linter', () => {
  it('catches a planted import of a room above in every room, and of a package that is not its own', () => {
    const below = names.slice(0, -1);
    const up = below.map(
      (name) =>
        [
          `src/${name}`,
          importing(`@/${names.find((other) => other !== name && !ROOMS[name]!.may.includes(other))!}/there`),
        ] as const,
    );
    expect(caught(up)).toEqual(below.map((name) => `src/${name}`));
    expect(caught(folders.map((folder) => [folder, importing('left-pad')] as const))).toEqual(folders);
    expect(caught(folders.map((folder) => [folder, importing('react-dom/client')] as const))).toEqual(folders);
  });

  it('lets along what a room may import, and its own', () => {
    const allowed = names.flatMap((name) =>
      [name, ...ROOMS[name]!.may].map((other) => [`src/${name}`, importing(`@/${other}/there`)] as const),
    );
    expect(caught(allowed)).toEqual([]);
  });
});
