import { expect, type Page, test } from '@playwright/test';
import { inTable } from './browser-store';
import { EMPTY_STATE, openMeals, settled, visit, watchForErrors } from './kit';

const rowsIn = (page: Page, region: string) =>
  page.getByRole('region', { name: region }).getByRole('button', { name: /^Take out/ });

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

test('kitchens are copied, named, removed and put back', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('button', { name: 'Copy Hall kitchen' }).click();
  const name = page.getByLabel('Name of the kitchen');
  await expect(name).toHaveValue('Hall kitchen, copy');
  // Leaves the page in the same instant in which the last letter is typed.
  await name.fill('The garden kitchen');
  await page.getByRole('button', { name: 'Back' }).click();
  const kitchens = page.getByRole('region', { name: 'Kitchens' });
  await expect(kitchens.getByRole('link', { name: 'The garden kitchen' })).toBeVisible();
  await kitchens.getByRole('button', { name: 'Remove The garden kitchen' }).click();
  await expect(kitchens.getByRole('link', { name: 'The garden kitchen' })).toHaveCount(0);
  await kitchens.getByRole('button', { name: 'put it back' }).click();
  await expect(kitchens.getByRole('link', { name: 'The garden kitchen' })).toBeVisible();
  await kitchens.getByRole('button', { name: 'Remove Hall kitchen' }).click();
  await expect(kitchens.getByRole('alert')).toContainText('Harvest supper is cooked in it');
  await expect(kitchens.getByRole('link', { name: 'Hall kitchen' })).toBeVisible();
});

test('an appliance of another kind is called after it', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('link', { name: 'Hall kitchen' }).click();
  const appliances = page.getByRole('region', { name: 'Appliances' });
  await appliances.getByRole('button', { name: 'Add to Appliances' }).click();
  const added = appliances.getByRole('group', { name: 'New kettle' });
  await added.getByLabel('Kind').selectOption('rice cooker');
  await expect(appliances.getByRole('group', { name: 'New rice cooker' })).toBeVisible();
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

  test('three answers make a kitchen, and the first meal is begun in it', async ({ page }) => {
    const errors = watchForErrors(page);
    await openMeals(page);
    await inTable(page, 'meals', () => ({ answer: null, clear: true as const }), null);
    await inTable(page, 'kitchens', () => ({ answer: null, clear: true as const }), null);
    await page.reload();
    const first = page.getByRole('region', { name: 'Your kitchen' });
    await first.getByRole('radiogroup', { name: 'Burners' }).getByRole('radio', { name: '2' }).click();
    await first.getByRole('radio', { name: 'none' }).click();
    await first.getByRole('radio', { name: 'two cooks' }).click();
    await first.getByRole('radio', { name: /for large tables/ }).click();
    await first.getByRole('button', { name: 'Make this kitchen' }).click();
    await page.getByRole('link', { name: 'look inside' }).click();
    await expect(page.getByLabel('Name of the kitchen')).toHaveValue('My kitchen');
    await expect(rowsIn(page, 'Burners')).toHaveCount(2);
    await expect(rowsIn(page, 'Oven')).toHaveCount(0);
    await expect(rowsIn(page, 'People')).toHaveCount(2);
    expect(errors).toEqual([]);
  });

  test('a new meal without a kitchen asks for one first, and one press is enough', async ({ page }) => {
    await openMeals(page);
    await inTable(page, 'meals', () => ({ answer: null, clear: true as const }), null);
    await inTable(page, 'kitchens', () => ({ answer: null, clear: true as const }), null);
    await page.reload();
    await page.getByRole('button', { name: 'New meal' }).click();
    await expect(page.getByRole('heading', { name: 'First, your kitchen' })).toBeVisible();
    await page.getByRole('button', { name: /^skip/ }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Choose at least one dish' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'My kitchen', exact: true })).toBeVisible();
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
