import { expect, test } from '@playwright/test';
import { inTable } from './browser-store';
import { EMPTY_STATE, openMeals, settled, visit, watchForErrors } from './kit';

test('burners, oven, pots and people are edited and kept', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await page.getByRole('link', { name: 'Hall kitchen' }).click();
  for (const name of ['Burners', 'Pots, pans and trays', 'Appliances'] as const) {
    const region = page.getByRole('region', { name });
    const rows = region.getByRole('button', { name: /^Take out/ });
    await expect(region).toBeVisible();
    const before = await rows.count();
    await region.getByRole('button', { name: `Add to ${name}` }).click();
    await expect(rows).toHaveCount(before + 1);
  }
  await page.reload();
  await expect(page.getByRole('region', { name: 'Burners' }).getByRole('button', { name: /^Take out/ })).toHaveCount(4);
  expect(errors).toEqual([]);
});

test('a kitchen without a cook is refused with a sentence, and the old one stays', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('link', { name: 'Hall kitchen' }).click();
  const people = page.getByRole('region', { name: 'People' });
  const rows = people.getByRole('button', { name: /^Take out/ });
  await expect(rows).toHaveCount(2);
  await rows.first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'Someone must cook' })).toBeVisible();
  await expect(rows).toHaveCount(2);
});

test('an empty meal says what to do first, and becomes a plan with its first dish', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('button', { name: 'New meal' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Choose at least one dish' })).toBeVisible();
  await page.getByLabel('Add a dish').fill('pickled');
  await page.getByRole('button', { name: '+ Quick-pickled onions' }).click();
  await settled(page);
  await expect(page.getByTestId('verdict')).toContainText('First hand on a knife');
});

test.describe(() => {
  test.use({ storageState: EMPTY_STATE });
  test('without the samples the first page says how to begin', async ({ page }) => {
    await openMeals(page);
    await inTable(page, 'meals', () => ({ answer: null, clear: true as const }), null);
    await page.reload();
    await expect(page.getByText('Nothing is planned yet')).toBeVisible();
    await page.getByRole('button', { name: 'Load the sample meals' }).click();
    await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
  });
});

test('a meal that is not there says so and leads back', async ({ page }) => {
  await visit(page, '/meals/no-such-meal');
  await expect(page.getByText('There is no such meal in this browser')).toBeVisible();
  await page.getByRole('link', { name: 'Go to the meals' }).click();
  await expect(page.getByRole('heading', { name: 'Meals', exact: true })).toBeVisible();
});

test('the dress is changed by day and by night and stays', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('button', { name: 'Change to night dress' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-dress', 'night');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-dress', 'night');
  await page.getByRole('button', { name: 'Change to day dress' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-dress', 'day');
});
