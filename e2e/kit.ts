import { expect, type Page } from '@playwright/test';

/** The first start: all three sample meals are there. */
export async function openMeals(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
}

/** Opens a view of a sample meal with its plan made and settled. */
export async function openMeal(page: Page, id: string, leaf: '' | '/score' | '/cook' = ''): Promise<void> {
  await openMeals(page);
  await page.goto(`/meals/${id}`);
  await settled(page);
  if (leaf === '') return;
  await page
    .getByRole('navigation')
    .getByRole('link', { name: leaf === '/score' ? 'Score' : 'Cook' })
    .click();
  await expect(
    leaf === '/score' ? page.getByTestId('reason') : page.getByRole('button', { name: 'Begin' }),
  ).toBeVisible();
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
  await page.goto('/bench');
  await expect(page.getByRole('button', { name: 'Burner', exact: true })).toContainText('burner, ');
}
