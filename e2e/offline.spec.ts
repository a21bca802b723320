import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, expect, type Page, test as plain } from '@playwright/test';
import { inTable } from './browser-store';
import { type Front, standBefore } from './front';
import { beginEvening, openMeal, openMeals, toFirstStep, told, visit } from './kit';

// The app is kept on the device: it opens without the server, and a newer one is shown when the cook says so, never in mid-meal.

const test = plain.extend<{ readonly front: Front }>({
  front: async ({ baseURL }, use) => {
    const front = await standBefore(baseURL!);
    await use(front);
    await front.goAway();
  },
});

const KEPT = 'All of Warm Cadence is kept on this device';

/** The first visit, until all is kept. */
async function firstVisit(page: Page): Promise<void> {
  await openMeals(page);
  // Every file of the build and a page of each kind: on a busy machine that takes its time.
  await expect(page.getByTestId('kept-here')).toContainText(KEPT, { timeout: 150_000 });
}

/** The evening is over. */
const putAway = (page: Page) =>
  inTable(
    page,
    'sessions',
    ([session]: readonly object[]) => ({ answer: null, put: [{ ...session, over: true }] }),
    null,
  );

/** The build that the page in sight came from; null for the one that was first. */
const buildShown = (page: Page) => page.evaluate(() => document.documentElement.dataset['build'] ?? null);

/** What a newer worker has come to, after the browser was asked to look for one. */
const lookForNewer = (page: Page) =>
  page.evaluate(async () => {
    const registration = (await navigator.serviceWorker.getRegistration())!;
    await registration.update();
  });
const isWaiting = (page: Page) =>
  page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.waiting !== null);

test('after one visit, without the server: planned, printed, backed up, cooked; and after the browser was closed', async ({
  playwright,
  launchOptions,
  front,
}) => {
  const profile = mkdtempSync(join(tmpdir(), 'warm-cadence-'));
  const open = () =>
    playwright.chromium.launchPersistentContext(profile, {
      ...launchOptions,
      baseURL: front.url,
      acceptDownloads: true,
      serviceWorkers: 'allow',
    });
  let context: BrowserContext = await open();
  let page = await context.newPage();
  await page.clock.install();
  await firstVisit(page);
  await front.goAway();

  await page.reload();
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
  await openMeal(page, 'boat', '/score');
  // On its own thread, whose script comes from what is kept: the page stays free.
  await expect(page.getByText('planner did not answer')).toHaveCount(0);
  // From view to view without a page being loaded: what the cook has allowed it, sound for one, stays allowed.
  await page.evaluate(() => Object.assign(window, { sameWindow: true }));
  await page.getByRole('navigation').getByRole('link', { name: 'Paper' }).click();
  await expect(page.getByText('PDFs can be saved now')).toBeVisible();
  expect(await page.evaluate(() => 'sameWindow' in window)).toBe(true);
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as PDF' }).click();
  expect(String(readFileSync(await (await pdf).path()).subarray(0, 5))).toBe('%PDF-');
  await page.getByRole('link', { name: 'Warm Cadence' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything' }).click();
  const backup = JSON.parse(String(readFileSync(await (await saved).path())));
  expect(backup).toMatchObject({ format: 'warm-cadence/backup' });

  for (const path of ['/dishes', '/dishes/read', '/bench', '/measures', '/evenings', '/meals/boat/prep/lay-out']) {
    await visit(page, path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  }
  await visit(page, '/no/such/page');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();

  await beginEvening(page, 'boat');
  await toFirstStep(page);
  await page.keyboard.press('d');
  await expect.poll(() => told(page)).toHaveLength(1);
  await context.close();

  context = await open();
  page = await context.newPage();
  await visit(page, '/meals/boat/cook');
  await expect(page.getByTestId('table-line')).toBeVisible();
  expect(await told(page)).toHaveLength(1);
  await context.close();
});

test('a newer one waits until the evening is over, also when every window was closed; then it is offered, and shown when the cook says so', async ({
  browser,
  front,
}) => {
  const context = await browser.newContext({ baseURL: front.url, serviceWorkers: 'allow' });
  let page = await context.newPage();
  await firstVisit(page);
  await beginEvening(page, 'boat');
  front.deploy('a-newer-build-of-it');
  await lookForNewer(page);
  await expect.poll(() => isWaiting(page), { timeout: 150_000 }).toBe(true);
  await expect(page.getByTestId('newer')).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('table-line')).toBeVisible();
  expect(await buildShown(page)).toBeNull();

  // With no window left the browser lets the newer worker take over, in its own time; the pages stay.
  await expect(async () => {
    await page.close();
    const blank = await context.newPage();
    await blank.waitForTimeout(1000);
    page = await context.newPage();
    await blank.close();
    await visit(page, '/meals/boat/cook');
    await expect(page.getByTestId('table-line')).toBeVisible();
    expect(await buildShown(page)).toBeNull();
    expect(await isWaiting(page)).toBe(false);
  }).toPass({ timeout: 120_000 });
  await page.reload();
  await expect(page.getByTestId('table-line')).toBeVisible();
  expect(await buildShown(page)).toBeNull();
  const newer = page.getByTestId('newer');
  await expect(newer).toHaveCount(0);
  await putAway(page);
  await visit(page, '/');
  await expect(newer).toContainText('A newer Warm Cadence is here');
  await newer.getByRole('button', { name: 'Later' }).click();
  await expect(newer).toHaveCount(0);
  await page.reload();
  expect(await buildShown(page)).toBeNull();
  await newer.getByRole('button', { name: 'Use it now' }).click();
  await expect.poll(() => buildShown(page).catch(() => null)).toBe('a-newer-build-of-it');
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
  await expect(newer).toHaveCount(0);
  await context.close();
});

test('it can be installed, and takes our files and recipes that are shared', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL: baseURL! });
  const page = await context.newPage();
  await openMeals(page);
  const manifest = await page.evaluate(async () => {
    const { href } = document.querySelector<HTMLLinkElement>('link[rel=manifest]')!;
    return (await fetch(href)).json();
  });
  expect(manifest).toMatchObject({ name: 'Warm Cadence', display: 'standalone', start_url: '/' });
  for (const { src, sizes } of manifest.icons) {
    const size = await page.evaluate(async (url) => {
      const image = await createImageBitmap(await (await fetch(url)).blob());
      return `${image.width}x${image.height}`;
    }, src);
    expect(size).toBe(sizes);
  }
  for (const { url } of manifest.shortcuts) {
    await visit(page, url);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  }

  const { action, params } = manifest.share_target;
  const share = (text: string) =>
    visit(page, `${action}?${new URLSearchParams({ [params.title]: 'Leek soup', [params.text]: text })}`);
  await share('2 leeks\nBoil them for 20 minutes.');
  const field = page.getByRole('textbox');
  await expect(field).toHaveValue('Leek soup\n\n2 leeks\nBoil them for 20 minutes.');
  await expect(page).toHaveURL(/\/dishes\/read$/);
  await share('3 onions');
  await page.getByRole('button', { name: 'Keep this one' }).click();
  await expect(page.getByText('another one is under way')).toHaveCount(0);
  await expect(field).toHaveValue(/2 leeks/);
  await share('3 onions');
  await page.getByRole('button', { name: 'Take the shared one' }).click();
  await expect(field).toHaveValue('Leek soup\n\n3 onions');
  await share('https://example.org/leek');
  await expect(page.getByText('Only an address was shared: https://example.org/leek')).toBeVisible();

  // What a browser hands to an installed app when one of its files is opened.
  await page.addInitScript(() => {
    const file = new File(['{"format":"warm-cadence/other"}'], 'supper.json');
    Object.defineProperty(window, 'launchQueue', {
      value: { setConsumer: (take: (launched: object) => void) => take({ files: [{ getFile: async () => file }] }) },
    });
  });
  await visit(page, manifest.file_handlers[0].action);
  await expect(page.getByRole('region', { name: 'Files' }).getByRole('status')).toContainText('supper.json');
  await context.close();
});
