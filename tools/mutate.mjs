import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

// npm run mutate -- safety heat: plants small faults in these rooms of the core, and says which of them no test notices.

const rooms = process.argv.slice(2).filter((each) => /^[a-z-]+$/.test(each));
const { status } = spawnSync('npx', ['stryker', 'run'], {
  stdio: 'inherit',
  env: {
    ...process.env,
    // Stryker has the clock running before the configuration of Vitest could set it.
    TZ: 'Europe/Berlin',
    KEPT_PLANS: resolve('.stryker/plans'),
    ...(rooms.length > 0 ? { ROOMS: rooms.join(',') } : {}),
  },
});
process.exit(status ?? 1);
