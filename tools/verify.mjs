import { spawn } from 'node:child_process';
import { mkdtempSync, openSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BROWSER_PACKAGES, browserHere } from './browser.mjs';
import { installPackages, run } from './install.mjs';

// npm run verify: installs what is missing (packages, Chromium), then lint, types, unit and reference tests, a build, browser tests.

// Both wait for the network most of the time: side by side.
const browser = installBrowser();
installPackages();
await browser;

const STAGES = [
  ['Lint', 'npx', ['biome', 'check', '.']],
  ['Types of routes', 'npx', ['next', 'typegen']],
  ['Types', 'npx', ['tsc', '--noEmit']],
  ['Unit tests', 'npx', ['vitest', 'run', '--project', 'unit']],
  ['Reference checks', 'npx', ['vitest', 'run', '--project', 'reference']],
  ['Build', process.execPath, ['tools/demo.mjs', '--build-only']],
  ['Browser tests', 'npx', ['playwright', 'test']],
];

let passed = 0;
for (const [name, command, args] of STAGES) {
  console.log(`\n== ${name}`);
  const status = run(command, args, { NEXT_TELEMETRY_DISABLED: '1', TYPES_CHECKED: '1' });
  if (status !== 0) {
    console.error(`\n${name} failed.`);
    process.exit(status);
  }
  passed++;
}
console.log(`\nAll ${passed} stages of verify passed.`);

/**
 * Debian's Chromium, where the better package of it is not there; where that cannot be had the whole browser will do. What is printed is kept back
 * until something is wrong.
 */
async function installBrowser() {
  for (const name of BROWSER_PACKAGES) {
    if (browserHere()?.endsWith(`/${name}`)) return;
    console.log(`Installing ${name}…`);
    const words = join(mkdtempSync(join(tmpdir(), 'warm-cadence-')), 'chromium.txt');
    const file = openSync(words, 'w');
    const script = `apt-get update -q && apt-get install -y -q ${name}`;
    const child = spawn('sh', ['-c', script], { stdio: ['ignore', file, file] });
    const status = await new Promise((resolve) => {
      child.on('error', () => resolve(1));
      child.on('close', resolve);
    });
    if (status === 0 && browserHere()?.endsWith(`/${name}`)) return;
    console.error(readFileSync(words, 'utf8'));
    console.error(`${name} could not be installed.`);
  }
  if (browserHere()) return;
  console.error('Chromium is missing: install Debian’s package "chromium", then try again.');
  process.exit(1);
}
