import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

// No test file changes what another one sees; to load everything anew for each took as long as the tests themselves.
// Hours are told by the clock of whoever cooks: one with summer time.
const shared = { isolate: false, env: { TZ: 'Europe/Berlin' } };

export default defineConfig({
  resolve: { alias },
  test: {
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          ...shared,
          name: 'unit',
          // A store for whoever loads it first: what is loaded is shared among files.
          setupFiles: ['fake-indexeddb/auto'],
          include: ['src/**/*.test.{ts,tsx}', 'tools/**/*.test.ts', 'bench/**/*.test.ts'],
          testTimeout: 300_000,
          // What a busy machine takes long for is planned before the tests, not measured by them.
          hookTimeout: 120_000,
        },
      },
      {
        resolve: { alias },
        test: {
          ...shared,
          name: 'reference',
          include: ['reference/**/*.test.ts'],
          testTimeout: 300_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
