import { expect, type Page, test } from '@playwright/test';
import { openBench, openMeals, watchForErrors } from './kit';

/** Moves a dial to a value, as the arrow keys would. */
async function turn(page: Page, label: string, value: number): Promise<void> {
  await page.getByRole('slider', { name: label }).fill(String(value));
}

const minutes = async (page: Page) =>
  Number(((await page.getByTestId('boils-in').textContent()) ?? '').replace('½', '.5').replace(' min', ''));

test('the bench says how long to the boil, and one measured boil changes the answer for that burner', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('tab', { name: 'to the boil' }).click();
  await expect(page.getByRole('button', { name: 'Burner', exact: true })).toContainText('burner,');
  const before = await minutes(page);
  await turn(page, 'Water', 6);
  expect(await minutes(page)).toBeGreaterThan(1.8 * before);
  await turn(page, 'Water', 1);
  await turn(page, 'Above the sea', 2000);
  await expect(page.getByText('Water boils at 93')).toBeVisible();
  await turn(page, 'Above the sea', 0);
  await turn(page, 'It took', 9);
  await page.getByRole('button', { name: 'Keep it for this burner' }).click();
  await expect(page.getByTestId('boils-in')).toHaveText('9 min');
  await expect(page.getByText('by your own boil')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'to the boil' }).click();
  await turn(page, 'Water', 1);
  await expect(page.getByTestId('boils-in')).toHaveText('9 min');
  await page.getByRole('button', { name: 'forget the boil' }).click();
  await expect(page.getByText('by what such a burner usually gives')).toBeVisible();
  expect(errors).toEqual([]);
});

test('the bench says how long a pot stays hot, longer when it is wrapped', async ({ page }) => {
  await openBench(page);
  await page.getByRole('tab', { name: 'stays hot' }).click();
  const answer = page.getByTestId('stays-hot');
  await page.getByRole('radio', { name: 'open', exact: true }).click();
  const open = await answer.textContent();
  await page.getByRole('radio', { name: 'covered and wrapped' }).click();
  await expect(answer).not.toHaveText(open ?? '');
  await expect(answer).toContainText('h');
  await expect(page.getByRole('img', { name: 'Temperature over four hours' }).getByText('4 h')).toBeVisible();
  await expect(page.getByText('Below 60 °C do not keep it standing')).toContainText('local rules come first');
  await page.getByRole('slider', { name: 'It weighs' }).fill('3');
  await expect(page.getByTestId('roast')).toContainText('between 4 and 9');
  await expect(page.getByText('never count on the rise')).toContainText('Local rules come first');

  // On a phone the answer comes first, and nothing lies beyond the edge.
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const answerAt = (await answer.boundingBox())!.y;
  expect(answerAt).toBeLessThan((await page.getByRole('slider', { name: 'In it' }).boundingBox())!.y);
});

test('the bench says how much liquid so much grain wants, term by term, with the school beside it', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openBench(page);
  const liquid = page.getByTestId('liquid');
  const litres = async () => {
    const [number, unit] = ((await liquid.textContent()) ?? '').split(' ');
    return Number(number) / (unit === 'ml' ? 1000 : 1);
  };
  const before = await litres();
  await turn(page, 'Dry grain', 800);
  expect(await litres()).toBeGreaterThan(1.6 * before);
  await expect(page.getByTestId('terms')).toContainText('boils off');
  await expect(page.getByText('the school says 1 to 1.5.')).toBeVisible();
  const unsoaked = await litres();
  await page.getByRole('radio', { name: 'soaked', exact: true }).click();
  await expect(page.getByTestId('terms')).toContainText('from the soak');
  expect(await litres()).toBeLessThan(unsoaked);
  await page.getByRole('button', { name: 'Method' }).click();
  await page.getByRole('option', { name: /hard boil/i }).click();
  await expect(page.getByRole('button', { name: 'Grain', exact: true })).toContainText('aged long grain rice');
  await expect(page.getByText('the school says 1 to 2.')).toBeVisible();
  expect(errors).toEqual([]);
});

test('the bench says how much grain the measured stock carries', async ({ page }) => {
  await openBench(page);
  await page.getByRole('tab', { name: 'stock left' }).click();
  const carries = page.getByTestId('carries');
  await turn(page, 'Stock, measured', 1);
  const little = await carries.textContent();
  await turn(page, 'Stock, measured', 3);
  await expect(carries).toContainText('kg');
  expect(little).toMatch(/ g$/);

  // For the grain one means to cook: what to add, or to keep.
  await turn(page, 'Grain you mean', 2000);
  await expect(page.getByTestId('top-up')).toContainText('of boiling water');
  await turn(page, 'Grain you mean', 500);
  await expect(page.getByTestId('top-up')).toContainText('and keep');

  // What boils down is less the longer it boils, and dry in the end.
  const down = page.getByTestId('boiled-down');
  const first = await down.textContent();
  await turn(page, 'It boils for', 40);
  await expect(down).not.toHaveText(first ?? '');
  await turn(page, 'Stock, measured', 0.25);
  await expect(down).toContainText('It would be dry');
  await expect(page.getByRole('img', { name: 'What is left over ninety minutes' }).getByText('90 min')).toBeVisible();
});

test('the bench says an amount in every measure, by weight too, and an oven in every scale', async ({ page }) => {
  const errors = watchForErrors(page);
  await openBench(page);
  await page.getByRole('tab', { name: 'units' }).click();
  const measures = page.getByTestId('measures');
  await turn(page, 'So many', 2);
  const grams = measures.locator('dt', { hasText: /^g$/ }).locator('+ dd');
  await expect(grams).toHaveText('370');
  await page.getByRole('button', { name: 'Of', exact: true }).click();
  await page.getByRole('option', { name: 'water' }).click();
  await expect(grams).toHaveText('475');
  await turn(page, 'Oven', 180);
  await expect(page.getByTestId('oven-heat')).toHaveText('355 °F');
  await expect(page.getByText('Gas mark 4.')).toBeVisible();
  expect(errors).toEqual([]);
});
