import { expect, type Page, test } from '@playwright/test';
import { SHELF } from '@/core/dish/shelf';
import { inTable } from './browser-store';
import {
  beginEvening,
  EMPTY_STATE,
  NOON,
  NOON_STATE,
  openFile,
  openMeal,
  openMeals,
  soundOnlyWhenTouched,
  supperOf,
  toFirstStep,
  told,
  visit,
} from './kit';

// Who means no good, and what fails: the server goes on, and a cook loses nothing without a word.

/** Which of the events told the last one takes back, from 0. */
const takenBackNow = (page: Page) =>
  inTable(
    page,
    'sessions',
    ([session]: readonly { events: readonly { id: string; of?: string }[] }[]) => ({
      answer: session!.events.findIndex(({ id }) => id === session!.events.at(-1)!.of),
    }),
    null,
  );

/** Lets every write of the page fail as on a full disk, or again succeed. */
const fillTheDisk = (page: Page, full: boolean) =>
  page.evaluate((isFull) => {
    const own = window as unknown as { put?: IDBObjectStore['put'] };
    own.put ??= IDBObjectStore.prototype.put;
    const { put } = own;
    IDBObjectStore.prototype.put = isFull
      ? () => {
          throw new DOMException('no room', 'QuotaExceededError');
        }
      : put;
  }, full);

test.describe('at the stove', () => {
  test.use({ storageState: NOON_STATE });

  test.beforeEach(async ({ page, context }) => {
    await context.clock.install({ time: NOON });
    await beginEvening(page, 'boat');
    await toFirstStep(page);
  });

  test('a key that is held counts once, undone is done again, and nothing is told twice', async ({ page }) => {
    const focal = page.getByTestId('focal');
    const first = (await focal.getAttribute('data-key'))!;
    for (let press = 0; press < 12; press++) await page.keyboard.down('d');
    await page.keyboard.up('d');
    await expect.poll(() => told(page)).toHaveLength(1);
    await page.keyboard.down('u');
    for (let repeat = 0; repeat < 12; repeat++) await page.keyboard.down('u');
    await page.keyboard.up('u');
    await expect.poll(() => told(page)).toHaveLength(2);
    await page.getByRole('button', { name: 'do again' }).click();
    await expect.poll(() => told(page)).toHaveLength(3);
    await expect(page.getByRole('button', { name: 'do again' })).toHaveCount(0);
    await page.keyboard.press('u');
    await expect.poll(() => told(page)).toHaveLength(4);
    await expect(page.getByRole('button', { name: 'do again' })).toBeVisible();
    await page.keyboard.press('r');
    await expect.poll(() => told(page)).toHaveLength(5);
    // Right after it, while no screen shows it yet: what is taken back is this, not the one before.
    await expect(focal).not.toHaveAttribute('data-key', first);
    await page.keyboard.press('d');
    await page.keyboard.press('u');
    await expect.poll(() => told(page)).toHaveLength(7);
    expect(await takenBackNow(page)).toBe(5);
  });

  test('what cannot be stored stays in sight, and is told again with a press', async ({ page }) => {
    await fillTheDisk(page, true);
    await page.keyboard.press('d');
    const unkept = page.getByTestId('unkept');
    await expect(unkept).toContainText('no more room');
    expect(await told(page)).toEqual([]);
    await fillTheDisk(page, false);
    await unkept.getByRole('button', { name: 'tell it again' }).click();
    await expect(unkept).toHaveCount(0);
    expect(await told(page)).toHaveLength(1);
    await page.keyboard.press('e');
    await fillTheDisk(page, true);
    await page.getByRole('textbox', { name: 'A note' }).fill('more salt');
    await page.getByRole('button', { name: 'keep the note' }).click();
    await expect(page.getByText('That note was not kept')).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'A note' })).toHaveValue('more salt');
  });

  test('after a reload the view says that it makes no sound until it is touched', async ({ page }) => {
    const silent = page.getByRole('button', { name: 'silent until touched' });
    await expect(silent).toHaveCount(0);
    await soundOnlyWhenTouched(page);
    await page.reload();
    await expect(silent).toBeVisible();
    await silent.click();
    await expect(silent).toHaveCount(0);
  });

  test('without a network the evening is planned anew all the same', async ({ page, context }) => {
    // What plans was fetched when the stove was opened.
    await page.waitForLoadState('networkidle');
    await context.setOffline(true);
    await page.keyboard.press('n');
    await expect.poll(() => told(page)).toEqual(['not-yet']);
    await expect(page.getByTestId('moved')).toContainText('min more');
    await expect(page.getByTestId('unplanned')).toHaveCount(0);
    await context.setOffline(false);
  });

  test('a clock that is put back leaves every pot where it was', async ({ page }) => {
    const clock = page.getByTestId('focal-clock');
    await page.keyboard.press('n');
    await expect.poll(() => told(page)).toEqual(['not-yet']);
    await expect(page.getByTestId('moved')).toContainText('min more');
    const before = await clock.textContent();
    const now = await page.evaluate(() => Date.now());
    await page.evaluate((by) => {
      const real = Date.now;
      Date.now = () => real() - by;
    }, 3_600_000);
    await expect(page.getByText('was put back by 60 min')).toBeVisible();
    await expect.poll(() => told(page)).toEqual(['not-yet', 'clock-set']);
    expect(await page.evaluate(() => Date.now())).toBeLessThan(now);
    const minutes = (text: string | null) => Number(text?.match(/^(\d+):/)?.[1]);
    expect(Math.abs(minutes(await clock.textContent()) - minutes(before))).toBeLessThanOrEqual(1);
  });

  test('a clock that leaps on is asked about: the device slept, or the evening follows', async ({ page }) => {
    const onBy = (by: number) =>
      page.evaluate((more) => {
        const real = Date.now;
        Date.now = () => real() + more;
      }, by);
    await onBy(3 * 3_600_000);
    await expect(page.getByText('leapt on by 180 min')).toBeVisible();
    await page.getByRole('button', { name: 'the device slept' }).click();
    await expect(page.getByText('leapt on by')).toHaveCount(0);
    expect(await told(page)).toEqual([]);
    await onBy(3_600_000);
    await expect(page.getByText('leapt on by 60 min')).toBeVisible();
    await page.getByRole('button', { name: 'its clock was put forward' }).click();
    await expect(page.getByText('leapt on by')).toHaveCount(0);
    await expect.poll(() => told(page)).toContain('clock-set');
  });

  test('in another time zone the evening goes on, and says at what hour the table stands here', async ({
    context,
    browser,
  }) => {
    const storageState = await context.storageState({ indexedDB: true });
    const abroad = await browser.newContext({ storageState, timezoneId: 'Europe/London' });
    const page = await abroad.newPage();
    await visit(page, '/meals/boat/cook');
    await expect(page.getByText('the table of 20:00 there is at 19:00 by this device')).toBeVisible();
    await abroad.close();
  });
});

test('a night in which the clocks are changed is told before it comes, and at the stove', async ({ page, context }) => {
  await context.clock.install({ time: new Date('2027-03-26T12:00:00') });
  await openMeals(page);
  // More than half an hour long: the change lies within it.
  const dishes = SHELF.filter(({ name }) => name === 'Barley in broth');
  const night = { ...supperOf('night', 'Supper after a dance', dishes), day: '2027-03-28', hour: '03:30' };
  const { asleep: _, ...kitchen } = night.kitchen;
  const people = kitchen.people.map((each) => ({ ...each, from: '00:00', until: '23:59' }));
  await openFile(page, { ...night, kitchen: { ...kitchen, people } });
  await openMeal(page, 'night');
  const said = page.getByText('The clocks go forward an hour at 02:00 that night');
  await expect(said).toBeVisible();
  await visit(page, '/meals/night/paper');
  await expect(page.getByTestId('wall-sheet')).toContainText('The clocks go forward an hour at 02:00 that night');
  await beginEvening(page, 'night');
  await expect(said).toBeVisible();
});

test('a new name that cannot be stored is said not to be, and the old one is there', async ({ page }) => {
  await openMeals(page);
  await openMeal(page, 'boat');
  await fillTheDisk(page, true);
  await page.getByLabel('Name', { exact: true }).fill('Another name');
  await page.getByLabel('Name', { exact: true }).press('Tab');
  await expect(page.getByTestId('store-fault')).toContainText('was not kept');
  await page.getByRole('button', { name: 'I have read it' }).click();
  await expect(page.getByTestId('store-fault')).toHaveCount(0);
  // A new meal, and a dish from a file, say so too.
  await openMeals(page);
  await fillTheDisk(page, true);
  await page.getByRole('button', { name: 'New meal' }).click();
  await expect(page.getByTestId('store-fault')).toContainText('was not kept');
  await page.getByRole('button', { name: 'I have read it' }).click();
  const dish = JSON.stringify({ format: 'warm-cadence/dish', version: 2, dish: { ...SHELF[0], id: 'own' } });
  await page
    .getByLabel('Files to open')
    .setInputFiles([{ name: 'dish.json', mimeType: 'application/json', buffer: Buffer.from(dish) }]);
  await expect(page.getByTestId('store-fault')).toContainText('was not kept');
});

test.describe('a browser that keeps nothing', () => {
  test.use({ storageState: EMPTY_STATE });

  test('says so, where there is no store and no memory for the dress', async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'localStorage', {
        get: () => {
          throw new DOMException('denied', 'SecurityError');
        },
      });
      Object.defineProperty(window, 'indexedDB', { value: undefined });
    });
    await visit(page, '/');
    await expect(page.getByTestId('store-fault')).toContainText('lets no site keep anything');
    await page.getByRole('button', { name: /dress/ }).click();
    await expect(page.locator('html')).toHaveAttribute('data-dress', /night|day/);
  });

  test('a store that another window holds open in an older version is waited for, in words', async ({
    page,
    context,
  }) => {
    const old = await context.newPage();
    await old.goto('/icon.svg');
    await old.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          // It does not let go when a newer one asks, as a window that is busy.
          const open = indexedDB.open('warm-cadence', 10);
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            Object.assign(window, { held: open.result });
            resolve();
          };
        }),
    );
    await visit(page, '/');
    await expect(page.getByTestId('store-fault')).toContainText('If another window of Warm Cadence is open');
    await old.close();
    await expect(page.getByTestId('store-fault')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'New meal' })).toBeVisible();
  });

  test('what a newer version wrote is left alone', async ({ page }) => {
    await page.goto('/icon.svg');
    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const open = indexedDB.open('warm-cadence', 990);
          open.onupgradeneeded = () => open.result.createObjectStore('wonders');
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            open.result.close();
            resolve();
          };
        }),
    );
    await visit(page, '/');
    await expect(page.getByTestId('store-fault')).toContainText('newer Warm Cadence');
    const version = await page.evaluate(async () => (await indexedDB.databases())[0]?.version);
    expect(version).toBe(990);
  });
});
