import { expect, test } from '@playwright/test';
import { EMPTY_STATE, openMeal, openMeals, settled, visit, watchForErrors } from './kit';

test.describe(() => {
  test.use({ storageState: EMPTY_STATE });
  test('the first start shows the sample meals with hour, state and what comes next', async ({ page }) => {
    const errors = watchForErrors(page);
    await openMeals(page);
    const harvest = page.getByRole('listitem').filter({ hasText: 'Harvest supper' });
    await expect(harvest).toContainText('19:30');
    await expect(harvest).toContainText('tomorrow');
    await expect(harvest).toContainText('8 at the table');
    await harvest.getByRole('link', { name: 'Menu' }).click();
    await settled(page);
    await expect(page.getByTestId('verdict')).toContainText(/lands between|comes|ready/);
    await page.getByRole('link', { name: 'Warm Cadence' }).click();
    await expect(harvest).toContainText('Planned. First:');
    expect(errors).toEqual([]);
  });
});

test('changing people and hour makes a new plan, and it is there after a reload', async ({ page }) => {
  await openMeal(page, 'harvest');
  const before = await page.getByTestId('verdict').textContent();
  await page.getByLabel('On the table at', { exact: true }).fill('20:15');
  await page.getByLabel('On the table at', { exact: true }).blur();
  await expect(page.getByTestId('verdict')).not.toHaveText(before ?? '');
  await settled(page);
  await expect(page.getByText('20:15').first()).toBeVisible();
  await page.getByRole('button', { name: 'People at the table: fewer' }).click();
  await expect(page.getByText('7 at the table')).toBeVisible();
  await settled(page);
  await page.reload();
  await expect(page.getByText('7 at the table · 20:15')).toBeVisible();
});

test('bad input is answered with a sentence, and what was there stays', async ({ page }) => {
  await openMeal(page, 'boat');
  const people = page.getByLabel('People at the table', { exact: true });
  await people.fill('-4');
  await expect(page.getByRole('alert').filter({ hasText: 'a whole number from 1' })).toContainText('Kept at 4');
  await people.fill('4.5');
  await expect(page.getByRole('alert').filter({ hasText: 'Kept at 4' })).toBeVisible();
  await page.reload();
  await expect(page.getByText('4 at the table')).toBeVisible();
  await page.getByLabel('Day', { exact: true }).fill('2020-01-01');
  await page.getByLabel('Day', { exact: true }).blur();
  await expect(page.getByRole('alert').filter({ hasText: 'has gone by' })).toContainText('Choose a later hour');
});

test('too many people for the pots is said with the pot that is missing', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByLabel('People at the table', { exact: true }).fill('40');
  await expect(page.getByRole('alert').filter({ hasText: 'for 40 needs a' }).first()).toContainText('the nearest here');
});

test('a dish taken out is gone from the plan and can be put back', async ({ page }) => {
  await openMeal(page, 'boat');
  await page
    .getByRole('button', { name: /Take out/ })
    .last()
    .click();
  await settled(page);
  await expect(page.getByRole('button', { name: /Take out/ })).toHaveCount(3);
});

test('a kitchen is changed for real: with one burner less the plan is another', async ({ page }) => {
  await openMeal(page, 'harvest', '/score');
  await expect(page.getByTestId('score').getByText('Weak burner', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Warm Cadence' }).click();
  await page.getByRole('link', { name: /hall/i }).last().click();
  const burners = page.getByRole('region', { name: 'Burners' });
  await expect(burners.getByRole('button', { name: /Take out/ })).toHaveCount(3);
  await burners.getByRole('button', { name: /Take out .*middling/i }).click();
  await expect(burners.getByRole('button', { name: /Take out/ })).toHaveCount(2);
  await visit(page, '/meals/harvest/score');
  await settled(page);
  await expect(page.getByTestId('score').getByText('Weak burner', { exact: true })).toBeVisible();
  await expect(page.getByTestId('score').getByText('Middling burner', { exact: true })).toHaveCount(0);
});

test.describe(() => {
  test.use({ storageState: EMPTY_STATE });
  test('a meal that lands late shows ways out, each planned, and one press applies one', async ({ page }) => {
    // An hour and a half before the table: too late to begin the boat's supper.
    await page.clock.install({ time: new Date('2026-11-25T18:30:00') });
    await openMeals(page);
    await openMeal(page, 'boat');
    await page.getByLabel('Day', { exact: true }).fill('2026-11-25');
    await page.getByLabel('Day', { exact: true }).blur();
    const look = page.getByRole('button', { name: 'Look for ways out' });
    await expect(look).toBeVisible({ timeout: 60_000 });
    await look.click();
    const ways = page.getByRole('list', { name: 'Ways out, the best first' });
    await expect(ways.getByRole('listitem').first()).toBeVisible({ timeout: 90_000 });
    const first = ways.getByRole('listitem').first();
    await expect(first).toContainText(/land|late|wait/);
    const verdict = await page.getByTestId('verdict').textContent();
    await first.getByRole('button', { name: /Do this/ }).click();
    await expect(page.getByTestId('verdict')).not.toHaveText(verdict ?? '');
  });
});
