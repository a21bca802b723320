import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type Lock, licencesPage, supplied, withInstallScripts } from './supply';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as Lock;
const own = JSON.parse(readFileSync('package.json', 'utf8'));

/** What may be served along with a product under the MIT licence; LGPL only for a library that stays one of its own. */
const FREE = /^(MIT\b.*|ISC|0BSD|BSD-[23]-Clause|Apache-2\.0|OFL-1\.1|BlueOak-1\.0\.0|CC-BY-4\.0|\(MIT AND Zlib\))$/;

/** What is asked for by no line of code: by a command, a setting, or the types of what is. */
const BY_OTHER_MEANS: Readonly<Record<string, RegExp>> = {
  '@biomejs/biome': /biome check/,
  '@stryker-mutator/core': /stryker/,
  '@types/node': /node:/,
  '@types/react-dom': /react-dom|next/,
  'react-dom': /next/,
  tailwindcss: /@import "tailwindcss"|@import 'tailwindcss'/,
  tsx: /tsx /,
  typescript: /tsc /,
};

const ROOMS = ['src', 'tools', 'e2e', 'bench', 'reference'];
const inRooms = ROOMS.flatMap((room) => readdirSync(room, { recursive: true }).map((file) => `${room}/${file}`));
const written = [...inRooms, ...readdirSync('.').filter((file) => file !== 'package-lock.json')]
  .filter((file) => /\.(tsx?|mjs|css|json)$/.test(file))
  .map((file) => readFileSync(file, 'utf8'))
  .map((text) => text.replace(/"(dev)?[dD]ependencies": \{[^}]*\}/g, ''))
  .join('\n');

describe('what comes from others', () => {
  it('is listed with its licence, as it is locked', () => {
    expect(readFileSync('docs/licences.md', 'utf8'), 'write it anew with: npm run licences').toBe(licencesPage(lock));
  });

  it('is free to be served with the product', () => {
    const strange = supplied(lock).filter(({ licence }) => !FREE.test(licence));
    // The pictures' library of the framework, whose work the product never asks for.
    expect(strange.filter(({ name, isOptional }) => !(isOptional && name.startsWith('@img/')))).toEqual([]);
  });

  it('runs nothing when it is installed but what fetches a program for this machine', () => {
    expect(withInstallScripts(lock)).toEqual(['esbuild']);
  });

  it.each(Object.keys({ ...own.dependencies, ...own.devDependencies }))('%s is used', (name) => {
    const asked = name.startsWith('@types/') ? name.slice('@types/'.length) : name;
    const quoted = new RegExp(`['"]${asked.replaceAll('/', '\\/')}(/[^'"]*)?['"]`);
    expect(written).toMatch(BY_OTHER_MEANS[name] ?? quoted);
  });

  it('has a version, and a licence, for each name', () => {
    for (const each of supplied(lock))
      expect([each.name, each.version !== '', each.licence !== '']).toEqual([each.name, true, true]);
    expect(
      supplied({ packages: { '': {}, 'node_modules/a': { version: '1.0.0' }, 'node_modules/b': { dev: true } } }),
    ).toEqual([{ name: 'a', version: '1.0.0', licence: '', isOptional: false }]);
  });
});
