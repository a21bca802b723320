import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { keptPlans } from './tools/mutate/kept-plans';

const rooms = (process.env.ROOMS ?? 'safety,heat,grain,units,live,log,formats,prep').split(',');

const BESIDE_PLANNING = new Set(['live', 'log', 'formats', 'prep', 'paper']);

// The tests of the rooms in which faults are planted, and the reference checks, which hold several of them.
export default defineConfig({
  // Plans are made once for all faults; faults are planted in no room that planning reaches.
  plugins: rooms.every((room) => BESIDE_PLANNING.has(room))
    ? [keptPlans(process.env.KEPT_PLANS ?? '.stryker/plans')]
    : [],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    isolate: false,
    env: { TZ: 'Europe/Berlin' },
    setupFiles: ['fake-indexeddb/auto'],
    include: [
      ...rooms.map((room) => `src/core/${room}/**/*.test.ts`),
      ...(process.env.REFERENCE ? ['reference/**/*.test.ts'] : []),
    ],
    // Whole evenings take half a minute, and would be cooked for every fault.
    exclude: ['src/core/live/{evening,storms}.test.ts'],
    testTimeout: 300_000,
    hookTimeout: 120_000,
  },
});
