import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { installPackages, printOfFiles, root, run } from './install.mjs';

// npm run demo [-- --port 3000]: installs what is missing, builds when something changed, serves with the sample meals.

const port = readPort(process.argv.slice(2));
await refuseTakenPort(port);
installPackages();
buildWhenChanged();

const url = `http://localhost:${port}`;
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '--port', String(port)], {
  cwd: root,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, WARM_CADENCE_SAMPLES: '1' },
});
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready')) {
    console.log(`\nWarm Cadence listens on ${url} with three sample meals. Ctrl-C ends it.`);
  }
});
let ending = false;
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    ending = true;
    server.kill('SIGTERM');
  });
}
server.on('exit', (code) => {
  if (ending) console.log('\nEnded.');
  process.exit(ending ? 0 : (code ?? 1));
});

function readPort(args) {
  const at = args.findIndex((arg) => arg === '--port' || arg.startsWith('--port='));
  if (at < 0) return 3000;
  const text = args[at].includes('=') ? args[at].slice('--port='.length) : args[at + 1];
  const value = Number(text);
  if (!Number.isInteger(value) || value < 1 || value > 65535) {
    console.error(`--port must be a whole number from 1 to 65535; found "${text ?? ''}".`);
    process.exit(2);
  }
  return value;
}

function refuseTakenPort(wanted) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => {
      const sentence =
        error.code === 'EADDRINUSE'
          ? `Port ${wanted} is taken by another program. Choose another one: npm run demo -- --port ${wanted < 65535 ? wanted + 1 : 3000}`
          : `Port ${wanted} cannot be used: ${error.message}.`;
      console.error(sentence);
      process.exit(1);
    });
    probe.listen(wanted, () => probe.close(resolve));
  });
}

function buildWhenChanged() {
  const mark = new URL('../.next/warm-cadence-build', import.meta.url);
  const listed = spawnSync('git', ['ls-files', '-co', '--exclude-standard', 'src', '*.json', '*.config.*'], {
    cwd: root,
  });
  const files =
    listed.status === 0
      ? String(listed.stdout)
          .split('\n')
          .filter((file) => file && existsSync(`${root}/${file}`))
      : null;
  // Without git there is no list of sources to compare: build each time.
  const print = files ? printOfFiles(files) : String(Date.now());
  if (existsSync(mark) && readFileSync(mark, 'utf8') === print) return;
  console.log('Building…');
  const status = run(process.execPath, ['node_modules/next/dist/bin/next', 'build']);
  if (status !== 0) process.exit(status);
  writeFileSync(mark, print);
}
