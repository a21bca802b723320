import { expect, test } from '@playwright/test';
import { openMeal, watchForErrors } from './kit';

test('the score is read by keyboard: step by step, line by line, each with its reason', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest', '/score');
  const reason = page.getByTestId('reason');
  await expect(reason).toContainText('Choose a step');
  await page.keyboard.press('Home');
  const first = await reason.getByTestId('chosen').textContent();
  await expect(reason.getByTestId('why')).not.toBeEmpty();
  await page.keyboard.press('ArrowRight');
  await expect(reason.getByTestId('chosen')).not.toHaveText(first ?? '');
  await page.keyboard.press('End');
  await expect(reason.getByTestId('why')).toContainText(/table|minute/);
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('[data-key][aria-pressed="true"]')).toHaveCount(1);
  await expect(page.locator('[data-key][aria-pressed="true"]')).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(reason).toContainText('Choose a step');
  expect(errors).toEqual([]);
});

test('every dish lands, and no step lies beyond the sheet', async ({ page }) => {
  await openMeal(page, 'midwinter', '/score');
  await expect(page.getByTestId('landing')).toHaveCount(12);
  const late = await page.getByTestId('landing').filter({ hasText: 'late' }).count();
  expect(late).toBe(0);
});

test('a step is chosen with the pointer, and the sheet comes nearer and goes farther', async ({ page }) => {
  await openMeal(page, 'boat', '/score');
  const piece = page.locator('[data-testid="score"] [data-key]').last();
  await piece.click();
  await expect(page.getByTestId('chosen')).toBeVisible();
  const width = async () => (await page.getByLabel('The score').boundingBox())!.width;
  const before = await width();
  await page.keyboard.press('+');
  await expect.poll(width).toBeGreaterThan(before);
  await page.keyboard.press('-');
  await expect.poll(width).toBe(before);
});

test('the keys are listed under "?"', async ({ page }) => {
  await openMeal(page, 'boat', '/score');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('nearer, farther');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('on a phone the plan goes down the page by the clock', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openMeal(page, 'boat', '/score');
  const list = page.getByRole('list', { name: 'The plan by the clock' });
  await list.getByRole('button').nth(2).click();
  await expect(page.getByTestId('chosen')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('a step is moved by hand, stays there after a reload, and is let go', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat', '/score');
  await page.keyboard.press('Home');
  const chosen = page.getByTestId('chosen');
  const startOf = async () =>
    Number(
      ((await chosen.textContent()) ?? '')
        .match(/(\d\d):(\d\d)–/)
        ?.slice(1)
        .join(''),
    );
  const before = await startOf();
  await page.getByRole('button', { name: '5 min earlier' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('stands at');
  await expect.poll(startOf).not.toBe(before);
  const moved = await startOf();
  await page.reload();
  await expect(page.getByTestId('reason')).toBeVisible();
  await page.keyboard.press('Home');
  await expect.poll(startOf).toBe(moved);
  await expect(page.getByTestId('why')).toContainText('You put it there.');
  await page.getByRole('button', { name: 'Let it move' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('free to move again');
  await expect(page.getByRole('button', { name: 'Keep it here' })).toBeVisible();
  expect(errors).toEqual([]);
});
