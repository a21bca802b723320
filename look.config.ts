import { defineConfig, devices } from '@playwright/test';
import { SAMPLE_STATE } from '/work/main/e2e/kit';

const PORT = 3217;

export default defineConfig({
  testDir: '/work/main/e2e',
  fullyParallel: true,
  workers: 2,
  timeout: 360_000,
  // A busy machine may take its time; nothing here measures speed.
  expect: { timeout: 45_000 },
  reporter: [['list']],
  use: {
    ...devices['Desktop Chrome'],
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Berlin',
    // Measures by its language: grams, Celsius, 24 hours.
    locale: 'en-GB',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  });
