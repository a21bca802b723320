import { expect, type Page } from '@playwright/test';

/** Where the browser of a test begins: with the sample meals planned, today or at that noon, or with nothing. Written by `seed.setup.ts`. */
export const SAMPLE_STATE = 'e2e/.state/today.json';
export const NOON_STATE = 'e2e/.state/noon.json';
export const EMPTY_STATE = { cookies: [], origins: [] };
export const NOON = new Date('2026-11-25T12:00:00');

/** Opens a page, and waits until it is dressed, which it does when it begins to answer: what is typed before that may be lost. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForSelector('html[data-dress]', { state: 'attached' });
}

/** The first start: all three sample meals are there. */
export async function openMeals(page: Page): Promise<void> {
  await visit(page, '/');
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
}

/** Opens a view of a sample meal with its plan made and settled. In an empty browser the first page must have been opened before. */
export async function openMeal(page: Page, id: string, leaf: '' | '/score' | '/cook' = ''): Promise<void> {
  await visit(page, `/meals/${id}${leaf}`);
  if (leaf === '/cook') {
    await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible({ timeout: 45_000 });
    return;
  }
  await settled(page);
  if (leaf === '/score') await expect(page.getByTestId('reason')).toBeVisible();
}

/** Waits until the plan stands and no better one is being looked for. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.getByText('Looking for a better plan')).toHaveCount(0, { timeout: 45_000 });
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
