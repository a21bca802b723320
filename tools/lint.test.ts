import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ROOMS, root } from './rooms';

/**
 * Lints planted files, one in each of these folders, all in one go, and returns the folders in which a restricted import was found.
 * They stand in a folder of their own with the project's rules: what looks through the sources at the same time never meets them.
 */
function caught(plants: readonly (readonly [folder: string, text: string])[]): readonly string[] {
  const house = mkdtempSync(join(tmpdir(), 'rooms-'));
  try {
    for (const name of ['biome.json', '.gitignore']) copyFileSync(join(root, name), join(house, name));
    const places = plants.map(([folder, text], index) => {
      const file = `${folder}/planted-${index}.ts`;
      mkdirSync(join(house, folder), { recursive: true });
      writeFileSync(join(house, file), text);
      return [folder, file] as const;
    });
    const { stdout, stderr } = spawnSync(join(root, 'node_modules/.bin/biome'), ['lint', '--max-diagnostics=none'], {
      cwd: house,
      encoding: 'utf8',
    });
    const said = `${stdout}${stderr}`;
    expect(said).toContain(`Checked ${places.length + 1} files`);
    return places
      .filter(([, file]) => new RegExp(`${file.replace('.', '\\.')}.*noRestrictedImports`).test(said))
      .map(([folder]) => folder);
  } finally {
    rmSync(house, { recursive: true });
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
