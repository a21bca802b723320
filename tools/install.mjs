import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command in the project, its output shown; returns its exit status. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  return result.status ?? 1;
}

/** A hash of files' contents, to know whether work done from them is still good. */
export function printOfFiles(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(new URL(`../${file}`, import.meta.url)));
  return hash.digest('hex');
}

/** Installs the packages when they are missing or the lock file has changed since. */
export function installPackages() {
  const mark = new URL('../node_modules/.warm-cadence-lock', import.meta.url);
  const print = printOfFiles(['package-lock.json']);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === print) return;
  console.log('Installing packages…');
  const status = run('npm', ['ci', '--no-audit', '--no-fund']);
  if (status !== 0) {
    console.error('The packages could not be installed: is the npm registry within reach?');
    process.exit(status);
  }
  writeFileSync(mark, print);
}
