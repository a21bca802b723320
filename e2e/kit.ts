import { expect, type Page } from '@playwright/test';
import { mealFile } from '@/core/formats/meal-file';
import type { Meal } from '@/core/meal/meal';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { inTable } from './browser-store';

/** Where the browser of a test begins: with the sample meals planned, today or at that noon, or with nothing. Written by `seed.setup.ts`. */
export const SAMPLE_STATE = 'e2e/.state/today.json';
export const NOON_STATE = 'e2e/.state/noon.json';
export const EMPTY_STATE = { cookies: [], origins: [] };
export const NOON = new Date('2026-11-25T12:00:00');

/** What takes long and seldom finds what nothing else finds: `npm run test:everything` runs it too, `verify` does not. */
export const LONG = '@long';

/** Opens a page, and waits until it is dressed, which it does when it begins to answer: what is typed before that may be lost. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForSelector('html[data-dress]', { state: 'attached' });
}

/** On to another view as a link leads there, without the page being opened anew: half the work, for walks through many views. */
export async function goOn(page: Page, path: string): Promise<void> {
  await page.evaluate(
    (to) => (window as unknown as { next: { router: { push(to: string): void } } }).next.router.push(to),
    path,
  );
  await expect(page).toHaveURL(path);
}

/** The first start: all sample meals are there. */
export async function openMeals(page: Page): Promise<void> {
  await visit(page, '/');
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
}

/** Opens a view of a sample meal with its plan made and settled; from another view of the app as a link does. In an empty browser the first page must have been opened before. */
export async function openMeal(page: Page, id: string, leaf: '' | '/score' | '/cook' = ''): Promise<void> {
  await (page.url().startsWith('http') ? goOn : visit)(page, `/meals/${id}${leaf}`);
  if (leaf === '/cook') {
    await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible({ timeout: 90_000 });
    return;
  }
  await settled(page);
  if (leaf === '/score') await expect(page.getByTestId('reason')).toBeVisible();
}

/** Begins the evening of a meal at the stove. In an empty browser the first page must have been opened before. */
export async function beginEvening(page: Page, id: string): Promise<void> {
  await openMeal(page, id, '/cook');
  await page.getByRole('button', { name: 'Begin at the stove' }).click();
  await expect(page.getByTestId('table-line')).toBeVisible();
}

/** Waits until the plan stands and no better one is being looked for. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.getByText('Looking for a better plan')).toHaveCount(0, { timeout: 90_000 });
}

/** A supper of these dishes for four in the large kitchen, at seven on the day of `NOON`'s week. */
export const supperOf = (id: string, name: string, dishes: Meal['dishes']): Meal => ({
  id,
  name,
  people: 4,
  day: '2026-11-27',
  hour: '19:00',
  pace: 'steady',
  kitchen: largeKitchen,
  dishes,
});

/** Hands a meal file to the page of meals, and waits until the meal is there. */
export async function openFile(page: Page, meal: Meal): Promise<void> {
  const buffer = Buffer.from(JSON.stringify(mealFile(meal)));
  await page.getByLabel('Files to open').setInputFiles([{ name: 'meal.json', mimeType: 'application/json', buffer }]);
  await expect(page.getByRole('region', { name: 'Files' }).getByRole('status')).toContainText('is here');
}

/** What kinds of events the evening under way has been told. */
export const told = (page: Page) =>
  inTable(
    page,
    'sessions',
    ([session]: readonly { readonly events: readonly { readonly kind: string }[] }[]) => ({
      answer: (session?.events ?? []).map(({ kind }) => kind),
    }),
    null,
  );

/** With a clock that the test has: on to the first step of the evening that has begun. */
export async function toFirstStep(page: Page): Promise<void> {
  const first = await inTable(
    page,
    'sessions',
    ([session]: readonly { tableAt: number; plan: { steps: readonly { start: number }[] } }[]) => ({
      answer: session!.tableAt + session!.plan.steps[0]!.start * 60_000,
    }),
    null,
  );
  await page.clock.fastForward(Math.max(0, first - (await page.evaluate(() => Date.now()))) + 5000);
  await expect(page.getByTestId('focal')).toBeVisible();
}

/** Fails the test on any error that the page reports. */
export function watchForErrors(page: Page): readonly string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return errors;
}

/** Opens the bench, and waits until the kitchens' burners are there: from then on it answers. */
export async function openBench(page: Page): Promise<void> {
  await visit(page, '/bench');
  await expect(page.getByRole('button', { name: 'Burner', exact: true })).toContainText('burner, ');
}

/** From the next page on: a browser that lets a page sound only once it was touched, also after a reload. */
export async function soundOnlyWhenTouched(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let touched = false;
    addEventListener('pointerdown', () => (touched = true), true);
    class Shy extends AudioContext {
      override get state() {
        return touched ? super.state : 'suspended';
      }
    }
    Object.assign(window, { AudioContext: Shy });
  });
}

/** Pixels by which the page is wider than the window, and what is. */
export const overflow = (page: Page) =>
  page.evaluate(() => {
    const beyond = document.documentElement.scrollWidth - innerWidth;
    const wide = [...document.querySelectorAll('main *, header *')].find(
      (each) => each.getBoundingClientRect().right > innerWidth + 0.5 || each.getBoundingClientRect().left < -0.5,
    );
    return beyond > 0 ? `${beyond}: ${wide?.outerHTML.slice(0, 120)}` : '';
  });
