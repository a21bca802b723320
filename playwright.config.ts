import { defineConfig, devices } from '@playwright/test';
import { LONG, SAMPLE_STATE } from './e2e/kit';
import { browserHere } from './tools/browser.mjs';

const PORT = 3217;

/**
 * What the browser leaves out: for every page it would load two more, which show what is typed into an address bar that nobody sees (a sixth of all
 * processor time). A second list replaces Playwright's own, so what matters of that one is said again: plain addresses stay plain, storage is not parted,
 * closing a page is not held up.
 */
const LEFT_OUT = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'PreloadTopChromeWebUI',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'OptimizationHints',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  // Asked whether it understands speech by itself, the browser without windows ends the page.
  'OnDeviceWebSpeechAvailable',
];

export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  ...(process.env.EVERYTHING === '1' ? {} : { grepInvert: new RegExp(LONG) }),
  workers: 2,
  timeout: 360_000,
  // A busy machine may take its time; nothing here measures speed.
  expect: { timeout: 45_000 },
  reporter: [['list']],
  use: {
    ...devices['Desktop Chrome'],
    // What is not there after so long will not come: a test says so instead of waiting for its own end.
    actionTimeout: 90_000,
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Nothing is tested while it moves.
    contextOptions: { reducedMotion: 'reduce' },
    timezoneId: 'Europe/Berlin',
    // Each test would keep the whole app for itself; `offline.spec.ts` asks for it.
    serviceWorkers: 'block',
    // Measures by its language: grams, Celsius, 24 hours.
    locale: 'en-GB',
    launchOptions: {
      executablePath: browserHere() ?? '',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--disable-features=${LEFT_OUT.join(',')}`,
      ],
    },
  },
  projects: [
    { name: 'seed', testMatch: 'seed.setup.ts' },
    // A browser's store, clock and pages are put back between tests; what it has read of the app stays read.
    {
      name: 'app',
      dependencies: ['seed'],
      testIgnore: 'api.spec.ts',
      use: { storageState: SAMPLE_STATE, reuseContext: true },
    },
    // The server takes one search at a time and turns others away: its own tests have it for themselves.
    { name: 'api', dependencies: ['app'], testMatch: 'api.spec.ts', fullyParallel: false },
  ],
  webServer: {
    command: `node tools/demo.mjs --port ${PORT}`,
    url: `http://localhost:${PORT}`,
    timeout: 600_000,
    // What is tested is that plans are made and shown; how good they are is tested where no browser is. So a new plan takes a fraction of the processor's time.
    env: { WARM_CADENCE_PLAN_SECONDS: '0.5' },
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
});
