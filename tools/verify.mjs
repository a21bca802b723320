import { existsSync } from 'node:fs';
import { installPackages, run } from './install.mjs';

// npm run verify: installs what is missing (packages, Chromium), then lint, types, unit, reference and browser tests.

installPackages();
installChromium();

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
  const status = run(command, args, { NEXT_TELEMETRY_DISABLED: '1' });
  if (status !== 0) {
    console.error(`\n${name} failed.`);
    process.exit(status);
  }
  passed++;
}
console.log(`\nAll ${passed} stages of verify passed.`);

function installChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-q']);
  if (run('apt-get', ['install', '-y', '-q', 'chromium']) !== 0 || !existsSync('/usr/bin/chromium')) {
    console.error(
      'Chromium is missing and could not be installed: install Debian’s package "chromium", then try again.',
    );
    process.exit(1);
  }
}
