import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { installPackages, printOfFiles, root, run } from './install.mjs';

// npm run demo [-- --port 3000 --host 127.0.0.1]: installs what is missing, builds when something changed, serves with the sample meals.
// `--build-only` ends there.
// Only this machine is served unless another address is told: --host 0.0.0.0 serves the whole network.

const onlyBuild = process.argv.includes('--build-only');
const port = readPort(process.argv.slice(2));
const host = told(process.argv.slice(2), '--host') ?? '127.0.0.1';
if (!onlyBuild) await refuseTakenPort(port);
installPackages();
buildWhenChanged();
if (onlyBuild) process.exit(0);
process.env.WARM_CADENCE_SAMPLES = '1';
if (run(process.execPath, ['tools/service-worker.mjs']) !== 0) process.exit(1);

const url = `http://${host === '127.0.0.1' ? 'localhost' : host}:${port}`;
const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '--port', String(port), '--hostname', host],
  {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
  },
);
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready')) {
    console.log(`\nWarm Cadence listens on ${url} with four sample meals. Ctrl-C ends it.`);
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
  const text = told(args, '--port');
  if (text === undefined) return 3000;
  const value = Number(text);
  if (!Number.isInteger(value) || value < 1 || value > 65535) {
    console.error(`--port must be a whole number from 1 to 65535; found "${text ?? ''}".`);
    process.exit(2);
  }
  return value;
}

/** What stands after an option or its equals sign; undefined when it is not there. */
function told(args, option) {
  const at = args.findIndex((arg) => arg === option || arg.startsWith(`${option}=`));
  if (at < 0) return undefined;
  return args[at].includes('=') ? args[at].slice(option.length + 1) : (args[at + 1] ?? '');
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
    probe.listen(wanted, host, () => probe.close(resolve));
  });
}

function buildWhenChanged() {
  const mark = new URL('../.next/warm-cadence-build', import.meta.url);
  const listed = spawnSync('git', ['ls-files', '-co', '--exclude-standard', 'src', 'public', '*.json', '*.config.*'], {
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
