import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { openMeal, watchForErrors } from './kit';

test('the shopping list adds up over all dishes, is ticked off, kept, and saved as a table', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest');
  await page.getByRole('navigation').getByRole('link', { name: 'Prep' }).click();
  const shop = page.getByRole('region', { name: 'Shopping' });
  const onions = shop.getByRole('listitem').filter({ hasText: 'for Split pea and squash curry (thinly sliced)' });
  await expect(onions).toContainText('for Beef cheeks with damsons');
  await expect(shop).not.toContainText('cold water');
  const status = shop.getByRole('status').first();
  const before = Number(((await status.textContent()) ?? '').split(' ')[0]);
  await onions.getByRole('checkbox').click();
  await expect(onions.getByRole('checkbox')).toBeChecked();
  await shop.getByRole('button', { name: 'fine salt is at home' }).click();
  await expect(status).toContainText(`${before - 2} of`);
  await page.reload();
  await expect(onions.getByRole('checkbox')).toBeChecked();
  await expect(status).toContainText(`${before - 2} of`);
  const saved = page.waitForEvent('download');
  await shop.getByRole('button', { name: 'save as a table' }).click();
  const table = readFileSync(await (await saved).path(), 'utf8');
  expect(table).toMatch(/^aisle,thing,amount,unit,for\r\n/);
  expect(table).not.toContain('fine salt');
  expect(errors).toEqual([]);
});

test('more people, more to buy; on a phone nothing lies beyond the edge', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.goto('/meals/boat/prep');
  await expect(page.getByText('300 g red rice').first()).toBeVisible();
  await page.goto('/meals/boat');
  await page.getByRole('textbox', { name: 'People at the table' }).fill('2');
  await page.getByRole('navigation').getByRole('link', { name: 'Prep' }).click();
  await expect(page.getByText('140 g red rice').first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
