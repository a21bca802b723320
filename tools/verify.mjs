import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, openSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installPackages, run } from './install.mjs';

// npm run verify: installs what is missing (packages, Chromium), then lint, types, unit, reference and browser tests.

const CHROMIUM = '/usr/bin/chromium';

// Both wait for the network most of the time: side by side.
const chromium = installChromium();
installPackages();
await chromium;

const STAGES = [
  ['Lint', 'npx', ['biome', 'check', '.']],
  ['Types of routes', 'npx', ['next', 'typegen']],
  ['Types', 'npx', ['tsc', '--noEmit']],
  ['Unit tests', 'npx', ['vitest', 'run', '--project', 'unit']],
  ['Reference checks', 'npx', ['vitest', 'run', '--project', 'reference']],
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

/** Debian's Chromium, where there is none; its output is kept back until something is wrong. */
async function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium…');
  const script = 'apt-get update -q && apt-get install -y -q chromium';
  const words = join(mkdtempSync(join(tmpdir(), 'warm-cadence-')), 'chromium.txt');
  const file = openSync(words, 'w');
  const child = spawn('sh', ['-c', script], { stdio: ['ignore', file, file] });
  const status = await new Promise((resolve) => {
    child.on('error', () => resolve(1));
    child.on('close', resolve);
  });
  if (status === 0 && existsSync(CHROMIUM)) return;
  console.error(readFileSync(words, 'utf8'));
  console.error('Chromium is missing and could not be installed: install Debian’s package "chromium", then try again.');
  process.exit(1);
}
