import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tools/**/*.test.ts', 'bench/**/*.test.ts'],
          testTimeout: 30_000,
        },
      },
      { resolve: { alias }, test: { name: 'reference', include: ['reference/**/*.test.ts'], testTimeout: 60_000 } },
    ],
  },
});
