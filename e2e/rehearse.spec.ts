import { expect, test } from '@playwright/test';
import { addDays, format } from 'date-fns';
import { plainGrain, smallKitchen } from '@/core/testing/meals';
import { goOn, openFile, openMeal, openMeals, SAMPLE_STATE, settled, supperOf, visit, watchForErrors } from './kit';

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

test('what would wait too long is kept warm by the plan, which says so; a short plan does without', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  // The cook goes three quarters of an hour before the table is laid.
  const people = [{ ...smallKitchen.people[0]!, until: '18:15' }];
  const day = format(addDays(new Date(), 2), 'yyyy-MM-dd');
  await openFile(page, {
    ...supperOf('leaving', 'Left in the oven', [plainGrain('a')]),
    day,
    kitchen: { ...smallKitchen, people },
  });
  await openMeal(page, 'leaving');
  const kept = page.getByTestId('kept-warm');
  await expect(kept).toContainText(/keeps warm: Grain a \(1\d min in a low oven\)\./);
  await expect(page.getByTestId('verdict')).toContainText(
    /In 1[89] of 20 rehearsed evenings all is well|Whatever happens/,
  );
  // A step is moved by hand: what is kept warm stays so, also after a reload.
  await goOn(page, '/meals/leaving/score');
  await expect(page.locator('[data-key="a/kept-warm"]').first()).toBeVisible();
  await page.keyboard.press('Home');
  await page.getByRole('button', { name: '5 min earlier' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('stands at');
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  await page.reload();
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  await expect(kept).toContainText(/Grain a \(1\d min in a low oven\)/);
  await goOn(page, '/meals/leaving/paper');
  await expect(page.getByText('keep warm').first()).toBeVisible();
  await goOn(page, '/meals/leaving');
  await page.getByRole('radio', { name: 'short' }).click();
  await expect(kept).toHaveCount(0, { timeout: 60_000 });
  expect(errors).toEqual([]);
});
