import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { inTable } from './browser-store';
import { NOON_STATE, openMeal, settled, visit, watchForErrors } from './kit';

const toPrep = (page: Page) => page.getByRole('navigation').getByRole('link', { name: 'Prep' }).click();
const leaf = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Leaves of the preparation' }).getByRole('link', { name }).click();

test('the shopping list adds up over all dishes, is ticked off, kept, and saved as a table', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest');
  await toPrep(page);
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

test('what is at home is taken off the list, and prices add up to a meal', async ({ page }) => {
  await openMeal(page, 'harvest');
  await toPrep(page);
  const leeks = page.getByRole('listitem').filter({ hasText: 'leeks' }).first();
  await expect(leeks).toContainText('600 g leeks');
  await leeks.getByRole('button', { name: /price/ }).click();
  await leeks.getByRole('textbox', { name: 'At home, amount' }).fill('250');
  await leeks.getByRole('textbox', { name: 'Price' }).fill('two');
  await leeks.getByRole('button', { name: 'Keep' }).click();
  await expect(leeks.getByRole('status')).toContainText('Price: a number from 0 to 100000; found “two”.');
  await leeks.getByRole('textbox', { name: 'Price' }).fill('2,50');
  await leeks.getByRole('button', { name: 'Keep' }).click();
  await expect(leeks).toContainText('350 g leeks');
  await expect(page.getByTestId('cost')).toContainText('About 1.50 for the meal, 0.19 a portion');
  await page.getByTestId('cost').getByRole('textbox').fill('€');
  await page.getByTestId('cost').getByRole('textbox').blur();
  await expect(page.getByTestId('cost')).toContainText('Pearl barley with leeks €1.50');
  await page.getByRole('button', { name: /take what it used/ }).click();
  await expect(leeks).toContainText('600 g leeks');
});

test('everything is laid out by layer, ticked off, and cut together in one press', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest');
  await toPrep(page);
  await leaf(page, 'Lay out');
  const board = page.getByRole('region', { name: 'At the board' });
  const onions = board.getByRole('listitem').filter({ hasText: '3 onions, thinly sliced' }).last();
  await expect(onions).toContainText('for “onions, dark”, Split pea and squash curry, at 1');
  await onions.getByRole('checkbox').click();
  await expect(onions.getByRole('checkbox')).toBeChecked();
  await expect(page.getByRole('region', { name: 'Measured out' })).toContainText('480 g pearl barley');
  await expect(page.getByRole('region', { name: 'Taken out' })).toContainText('iron casserole');
  await expect(page.getByRole('region', { name: 'Taken out' })).toContainText('nothing needs to be borrowed');
  await expect(page.getByRole('region', { name: 'At hand' })).toContainText('salt');
  const layers = await board.getByRole('heading', { level: 3 }).allTextContents();
  expect(layers).toEqual(['Dry things', 'Vegetables', 'Raw meat and fish, last']);
  await page.getByRole('button', { name: 'cut them together' }).click();
  await expect(page.getByText('Cut in one go: onions for')).toBeVisible();
  await settled(page);
  await expect(onions.getByRole('checkbox')).toBeChecked();
  expect(errors).toEqual([]);
});

test('the last hour is kept for cooking or not: each is another plan, kept like the wish, and the score shows both stretches', async ({
  page,
}) => {
  await openMeal(page, 'boat');
  await toPrep(page);
  await leaf(page, 'Lay out');
  // What a plan is of: it is another when the wish is. How many hands it spares is tested where plans are not made within a second.
  const printOfPlan = () =>
    inTable(
      page,
      'plans',
      (plans: readonly { readonly mealId: string; readonly print: string }[]) => ({
        answer: plans.find(({ mealId }) => mealId === 'boat')?.print ?? '',
      }),
      null,
    );
  const keeps = page.getByRole('checkbox', { name: /Keep the last hour for cooking/ });
  const kept = await printOfPlan();
  await expect(page.getByTestId('tonight')).toContainText(/\d+ of them in the last hour/);
  await keeps.click();
  await expect(keeps).not.toBeChecked();
  await expect.poll(printOfPlan).not.toBe(kept);
  await settled(page);
  await keeps.click();
  await expect(keeps).toBeChecked();
  await expect.poll(printOfPlan).toBe(kept);
  await settled(page);
  await page.getByRole('navigation').getByRole('link', { name: 'Score' }).click();
  await expect(page.getByTestId('stretch the last hour')).toBeVisible();
});

test.describe(() => {
  test.use({ storageState: NOON_STATE });
  test('a braise is made the day before: found by trying, its evening is written down, and taken back', async ({
    page,
  }) => {
    const errors = watchForErrors(page);
    // Four days before the table: there are evenings on which something can be made.
    await page.clock.install({ time: new Date('2026-11-22T12:00:00') });
    await openMeal(page, 'harvest');
    await toPrep(page);
    await leaf(page, 'Ahead');
    await expect(page.getByText('Everything is done on the day itself.')).toBeVisible();
    await page.getByRole('button', { name: 'What would help most?' }).click();
    // On a slow machine, whose plans are rougher, another thing helps most, or none: the braise is chosen by its own radio.
    const help = page.getByRole('list', { name: 'What helps most' }).getByRole('button', { name: /^Do this: / });
    const nothing = page.getByText('Nothing made the evening before would spare the day anything.');
    await expect(help.first().or(nothing)).toBeVisible({ timeout: 90_000 });
    await page.getByRole('radio', { name: /^Up to “braise”/ }).click();
    const days = page.getByRole('region', { name: 'The days before' });
    await expect(days).toContainText('into the fridge, Beef cheeks with damsons');
    await expect(days).toContainText('within two hours');
    await settled(page);
    await expect(page.getByTestId('verdict')).not.toContainText('at 14:36');
    // On the day it is only heated through.
    await page.getByRole('navigation').getByRole('link', { name: 'Score' }).click();
    // On its ribbon: the name beside it may lie over another one.
    await page.locator('[data-testid="score"] [data-key$="-again"] rect[fill="transparent"]').click();
    await expect(page.getByTestId('chosen')).toContainText('heat through');
    await expect(page.getByTestId('reason')).toContainText('74 °C');
    await toPrep(page);
    await leaf(page, 'Ahead');
    await page.getByRole('checkbox', { name: 'in the freezer' }).click();
    await page.getByRole('combobox', { name: 'Day for Beef cheeks with damsons' }).selectOption({ index: 2 });
    await expect(days).toContainText('out of the freezer');
    await settled(page);
    await page.getByRole('button', { name: 'Make Beef cheeks with damsons on the day' }).click();
    await expect(page.getByText('Everything is done on the day itself.')).toBeVisible();
    // The stock on another day: it is heated through before the barley takes it.
    await page.getByRole('radio', { name: /All of it.*spares the day 15 min of hands/ }).click();
    await page.getByRole('combobox', { name: 'Day for Mushroom and bay stock' }).selectOption({ index: 1 });
    await expect(days).toContainText('into the fridge, Mushroom and bay stock');
    await settled(page);
    await page.getByRole('navigation').getByRole('link', { name: 'Score' }).click();
    await expect(page.locator('[data-testid="score"] [data-key="mushroom-stock/strain-again"]')).toBeVisible();
    expect(errors).toEqual([]);
  });
});

test('more people, more to buy; on a phone nothing lies beyond the edge of any leaf', async ({ page }) => {
  await openMeal(page, 'boat');
  await visit(page, '/meals/boat/prep');
  await expect(page.getByText('300 g red rice').first()).toBeVisible();
  await visit(page, '/meals/boat');
  await page.getByRole('textbox', { name: 'People at the table' }).fill('2');
  await toPrep(page);
  await expect(page.getByText('140 g red rice').first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  for (const name of ['Lay out', 'Ahead', 'Shop']) {
    await leaf(page, name);
    await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(390);
  }
});
