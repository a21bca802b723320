// npm run mutate -- safety: plants small faults in a room of the core, one by one, and says which of them no test notices. Takes minutes to
// hours, and is no part of `npm run verify`. Without a room: all of them but the solver's engine.
const rooms = (process.env.ROOMS ?? 'safety,heat,grain,units,live,log,formats,prep').split(',');

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  coverageAnalysis: 'perTest',
  mutate: rooms.flatMap((room) => [
    `src/core/${room}/**/*.ts`,
    `!src/core/${room}/**/*.test.ts`,
    `!src/core/${room}/testing/**`,
  ]),
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral', 'Regex'] },
  ignorePatterns: ['.next', 'docs/screenshots', 'e2e', 'test-results'],
  thresholds: { high: 80, low: 70, break: null },
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: '.stryker/mutation.json' },
  tempDirName: '.stryker/tmp',
  // It would be read by TypeScript's JavaScript API, which TypeScript 7 has not; the tests need none.
  tsconfigFile: 'no-tsconfig.json',
  concurrency: 2,
  timeoutMS: 60_000,
};
