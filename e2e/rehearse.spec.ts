import { expect, test } from '@playwright/test';
import { openMeal, SAMPLE_STATE, settled, visit, watchForErrors } from './kit';

test.use({ storageState: SAMPLE_STATE });

test('the evening is rehearsed: how often all lands, what decides, and one of the evenings is watched', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest');
  await expect(page.getByTestId('verdict')).toContainText(/^(In \d+ of 20 rehearsed evenings|Whatever happens)/);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  const hundred = page.getByRole('region', { name: 'A hundred evenings' });
  await expect(hundred.getByTestId('rehearsed')).toContainText(/^\d+ of them were on time/);
  await hundred.getByText('In words').click();
  await expect(hundred.getByRole('listitem').first()).toContainText(
    /Ready .+ in 9 of 10 evenings; good in \d+ of 20\./,
  );
  await expect(page.getByTestId('assured')).toContainText(/sure|Whatever happens/);
  const one = page.getByRole('region', { name: 'One evening' });
  const clock = one.getByTestId('rehearsed-clock');
  await expect(one.getByTestId('rehearsed-end')).toContainText('All was on the table at');
  const end = (await clock.textContent())!;
  await one.getByRole('slider').press('Home');
  await expect(clock).not.toHaveText(end);
  await expect(one.getByTestId('rehearsed-end')).toHaveCount(0);
  const begins = (await clock.textContent())!;
  await one.getByRole('button', { name: 'play' }).click();
  await expect(clock).not.toHaveText(begins);
  await one.getByRole('button', { name: 'stop' }).click();
  await one.getByRole('button', { name: 'an ordinary one' }).click();
  await expect(one.getByRole('button', { name: 'an ordinary one' })).toHaveAttribute('aria-pressed', 'true');
  await expect(one.getByTestId('rehearsed-end')).toBeVisible();
  expect(errors).toEqual([]);
});

test('a plan leans to short or to sure, and that is kept', async ({ page }) => {
  await openMeal(page, 'boat');
  const verdict = page.getByTestId('verdict');
  const first = async () => (await verdict.textContent())!.match(/[Ff]irst hand on a knife at (\d\d:\d\d)/)![1]!;
  const even = await first();
  await page.getByRole('radio', { name: 'short' }).click();
  await expect.poll(first).not.toBe(even);
  await settled(page);
  expect((await first()) > even).toBe(true);
  await expect(page.getByTestId('odds-moved')).toContainText(/Lands well in \d+ of 20 evenings; in \d+ before/);
  await visit(page, '/meals/boat');
  await settled(page);
  await expect(page.getByText('the shortest evening, if all takes its usual minutes')).toBeVisible();
});

test('at the landing edge every hot dish shows where it lands', async ({ page }) => {
  await openMeal(page, 'harvest', '/score');
  const spread = page.getByTestId('spread');
  await expect(spread.first()).toBeVisible();
  await expect(spread.first().locator('title')).toHaveText(/^Ready .+; good in \d+ of 20\.$/);
});
