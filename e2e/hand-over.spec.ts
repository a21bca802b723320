import { expect, type Page, test } from '@playwright/test';
import { toDataURL } from 'qrcode';
import { seededRandom } from '@/core/schedule/random';
import { inTable } from './browser-store';
import { told, visit } from './kit';
import { hold, laptopAndTablet, show, withPaintedCamera } from './two-devices';

// From one device to another by codes: the camera of the second sees what the first shows.

test('an evening goes from the laptop to the tablet in four presses, with codes lost on the way, and back again: nothing told on either is lost', async ({
  browser,
  baseURL,
}) => {
  const { page, other, close } = await laptopAndTablet(browser, baseURL);
  await page.keyboard.press('d');
  await expect.poll(() => told(page)).toHaveLength(1);

  await page.getByRole('button', { name: 'evening', exact: true }).click();
  await page.getByRole('button', { name: 'Show it as a code' }).click();
  // In sight of a camera: nothing lies over it.
  const inSight = () =>
    page.getByTestId('code').evaluate((code) => {
      const { left, top, width, height } = code.getBoundingClientRect();
      return document.elementFromPoint(left + width / 2, top + height / 2) === code;
    });
  await expect.poll(inSight).toBe(true);
  await other.getByRole('button', { name: 'Take a meal over by its code' }).click();
  // Three of ten, by chance: in step with the round the same code would be lost each time.
  const chance = seededRandom(1);
  await hold(page, other, () => chance.below(10) < 3);
  await expect(other).toHaveURL(/\/meals\/barley-supper\/cook$/);
  await expect(other.getByTestId('table-line')).toBeVisible();
  expect(await told(other)).toEqual(await told(page));
  const plans = (each: Page) =>
    inTable(
      each,
      'sessions',
      ([session]: readonly { plan: object; tableAt: number }[]) => ({ answer: session!.plan }),
      null,
    );
  expect(await plans(other)).toEqual(await plans(page));

  // Told on both, then back by file: both are in the log, each once.
  await other.keyboard.press('u');
  await expect.poll(() => told(other)).toEqual(['done', 'undo']);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page
    .getByRole('button', { name: /^\d+ min$/ })
    .first()
    .click();
  await expect.poll(() => told(page)).toEqual(['done', 'hour']);
  await visit(other, '/meals/barley-supper/paper');
  const saved = other.waitForEvent('download');
  await other.getByRole('button', { name: 'the whole meal as a file' }).click();
  const path = await (await saved).path();
  await visit(page, '/');
  await page.getByLabel('Files to open').setInputFiles(path);
  await expect(page.getByRole('region', { name: 'Files' }).getByRole('status')).toContainText('is here');
  expect([...(await told(page))].sort()).toEqual(['done', 'hour', 'undo']);
  // At the stove all of it is planned anew.
  const unplanned = () =>
    inTable(
      page,
      'sessions',
      ([session]: readonly { toldElsewhere?: true }[]) => ({ answer: session!.toldElsewhere ?? false }),
      null,
    );
  expect(await unplanned()).toBe(true);
  await visit(page, '/meals/barley-supper/cook');
  await expect.poll(unplanned).toBe(false);
  await close();
});

test('a wrong code, and no camera, are said', async ({ browser, baseURL }) => {
  const read = async (camera: boolean) => {
    const context = await browser.newContext({ baseURL: baseURL! });
    if (camera) await withPaintedCamera(context);
    const page = await context.newPage();
    await visit(page, '/');
    await page.getByRole('button', { name: 'Take a meal over by its code' }).click();
    return page;
  };
  const without = await read(false);
  await expect(without.getByRole('dialog').getByRole('alert')).toContainText('ring the meal as a file');
  await without.getByRole('button', { name: 'Give up' }).click();
  await expect(without.getByRole('dialog')).toHaveCount(0);
  await without.context().close();

  const page = await read(true);
  const seen = page.getByTestId('code-seen');
  await expect(seen).toContainText('Looking for a code');
  await show(page, await toDataURL('https://example.org/menu', { width: 600 }));
  await expect(seen).toHaveText('That is another code, not one of Warm Cadence.');
  await page.context().close();
});
