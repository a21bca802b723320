import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const rooms = (process.env.ROOMS ?? 'safety,heat,grain,units,live,log,formats,prep').split(',');

// The tests of the rooms in which faults are planted, and the reference checks, which hold several of them.
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    isolate: false,
    env: { TZ: 'Europe/Berlin' },
    setupFiles: ['fake-indexeddb/auto'],
    include: [
      ...rooms.map((room) => `src/core/${room}/**/*.test.ts`),
      ...(process.env.REFERENCE ? ['reference/**/*.test.ts'] : []),
    ],
    testTimeout: 300_000,
    hookTimeout: 120_000,
  },
});
