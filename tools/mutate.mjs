import { spawnSync } from 'node:child_process';

// npm run mutate -- safety heat: plants small faults in these rooms of the core, and says which of them no test notices.

const rooms = process.argv.slice(2).filter((each) => /^[a-z-]+$/.test(each));
const { status } = spawnSync('npx', ['stryker', 'run'], {
  stdio: 'inherit',
  env: { ...process.env, ...(rooms.length > 0 ? { ROOMS: rooms.join(',') } : {}) },
});
process.exit(status ?? 1);
