import { parseArgs } from 'node:util';
import { type BrowserContext, type CDPSession, chromium, type Page } from '@playwright/test';
import { numberOption, refuse } from './arguments';
import { browserHere } from './browser.mjs';

// npm run weigh [-- --url http://localhost:3000 --cpu 4]: how heavy each view is on a slow phone, from a server that runs (npm run demo). Prints a
// table: script in kB as it is sent, until the view answers and in all; largest paint and the longest task in ms; how much the page shifts.

const USAGE = 'Usage: npm run weigh -- [--url http://localhost:3000] [--cpu 4]';
/** A fast third-generation network as the browsers' own tools have it: bits per second and ms. */
const NETWORK = {
  offline: false,
  downloadThroughput: (1.6e6 / 8) * 0.9,
  uploadThroughput: (0.75e6 / 8) * 0.9,
  latency: 150,
};
const VIEWS = [
  '/',
  '/dishes',
  '/dishes/read',
  '/bench',
  '/measures',
  '/evenings',
  '/meals/harvest',
  '/meals/harvest/prep',
  '/meals/harvest/prep/lay-out',
  '/meals/harvest/score',
  '/meals/harvest/rehearse',
  '/meals/harvest/paper',
  '/meals/harvest/cook',
] as const;
/** What comes after that is not of the opening, in ms. */
const SETTLES = 4000;

/** What the page tells of itself. */
interface Told {
  readonly paint: number;
  readonly shift: number;
  readonly task: number;
}

const { url, cpu } = options();
const browser = await chromium.launch({ executablePath: browserHere() ?? '', args: ['--no-sandbox'] });
const context = await browser.newContext({
  baseURL: url,
  serviceWorkers: 'block',
  viewport: { width: 412, height: 870 },
});
await context.addInitScript(watch);
await planTheSample(context);
console.log(`${url}, processor ${cpu} times as slow, fast 3G\n`);
console.log(row(['until', 'in all', 'paint', 'task', 'shift'], 'view'));
for (const view of VIEWS) {
  const page = await context.newPage();
  const session = await slow(page);
  let sent = 0;
  const scripts = new Set<string>();
  session.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && scripts.add(requestId));
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) sent += encodedDataLength;
  });
  await page.goto(view, { timeout: 120_000 });
  await page.waitForSelector('html[data-dress]', { state: 'attached', timeout: 120_000 });
  const until = sent;
  await page.waitForTimeout(SETTLES);
  const { paint, shift, task } = await page.evaluate(() => (window as unknown as { told: Told }).told);
  const kB = (bytes: number) => (bytes / 1000).toFixed(0);
  console.log(row([kB(until), kB(sent), paint.toFixed(0), task.toFixed(0), shift.toFixed(3)], view));
  await page.close();
}
await browser.close();

function row(cells: readonly string[], view: string): string {
  return `${cells.map((each) => each.padStart(8)).join('')}  ${view}`;
}

/** In the page: keeps the largest paint, the longest task and the sum of the shifts. No named function: a bundler adds a helper to those, which the page has not. */
function watch(): void {
  const told = { paint: 0, shift: 0, task: 0 };
  Object.assign(window, { told });
  for (const type of ['largest-contentful-paint', 'longtask', 'layout-shift']) {
    new PerformanceObserver((list) => {
      for (const { startTime, duration, value } of list.getEntries() as (PerformanceEntry & { value: number })[]) {
        if (type === 'longtask') told.task = Math.max(told.task, duration);
        else if (type === 'layout-shift') told.shift += value;
        else told.paint = Math.max(told.paint, startTime);
      }
    }).observe({ type, buffered: true });
  }
}

/** The meal that is weighed is opened before, so that its plan is there: planning is not weighed. */
async function planTheSample(of: BrowserContext): Promise<void> {
  const page = await of.newPage();
  await page.goto('/').catch(() => refuse(`--url ${url} does not answer: start the app with npm run demo.`));
  await page.getByText('Harvest supper').first().waitFor();
  await page.goto('/meals/harvest');
  await page.getByTestId('verdict').waitFor({ timeout: 90_000 });
  await page.getByText('Looking for a better plan').waitFor({ state: 'hidden', timeout: 90_000 });
  await page.close();
}

async function slow(page: Page): Promise<CDPSession> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  await session.send('Network.emulateNetworkConditions', NETWORK);
  await session.send('Emulation.setCPUThrottlingRate', { rate: cpu });
  return session;
}

function options() {
  try {
    const { values } = parseArgs({ options: { url: { type: 'string' }, cpu: { type: 'string' } } });
    return { url: values.url ?? 'http://localhost:3000', cpu: numberOption('cpu', values.cpu, 4, 1, 20, false) };
  } catch (error) {
    return refuse(`${error instanceof Error ? error.message : error}\n${USAGE}`);
  }
}
