import { expect, test } from '@playwright/test';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { Meal } from '@/core/meal/meal';
import { asPlannedUntil, inTable } from './browser-store';
import { beginEvening, EMPTY_STATE, NOON, openFile, openMeals, settled, supperOf, visit, watchForErrors } from './kit';

test.use({ storageState: EMPTY_STATE });

const supper = (dishes: Meal['dishes']) => supperOf('safe', 'A safe supper', dishes);

test('what nobody knows is asked about once, is neither vegan nor free of anything until then, and is remembered', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await page.clock.install({ time: NOON });
  await visit(page, '/dishes/shelf-squash-curry');
  const main = page.getByLabel('Instead of squash');
  await main.fill('blorp');
  await main.blur();
  const holds = page.getByTestId('holds');
  await expect(holds).toContainText('whom it suits is not known');
  await expect(holds).toContainText('not known: blorp');
  const asked = page.getByTestId('what-is-it');
  await expect(asked).toContainText('“blorp” is not known: what is it?');
  await asked.getByLabel('It is', { exact: true }).selectOption('poultry');
  await asked.getByRole('checkbox', { name: 'soy' }).check();
  await asked.getByRole('button', { name: 'That is what it is' }).click();
  await expect(asked).toHaveCount(0);
  await expect(holds).toContainText('with meat · contains soy');
  // At once the rule of that food stands at the step where it is measured.
  await expect(page.getByRole('region', { name: 'The steps' })).toContainText('In the middle at least 74 °C');
  await page.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(page.getByText('is kept.')).toBeVisible();
  // Another dish with that name, later: it is not asked again.
  const soup = makeDish(
    techniqueOf('soup'),
    { id: 'blorp-soup', name: 'Blorp soup', servings: 4 },
    { fillings: { vegetables: { name: 'Blorps' } } },
  );
  const fish = makeDish(
    techniqueOf('fish-seared'),
    { id: 'seared-zzyzx', name: 'Seared zzyzx', servings: 4 },
    { fillings: { fish: { name: 'zzyzx' } } },
  );
  // Its meals come from the browser's own store: once they are there, so is what opens files.
  await openMeals(page);
  await openFile(page, supper([soup, fish]));
  await visit(page, '/meals/safe?heed');
  await settled(page);
  const heed = page.getByRole('region', { name: 'To heed' });
  await expect(heed).toContainText('“zzyzx” (Seared zzyzx) is not known: what is it?');
  await expect(heed).toContainText('It is free of nothing until that is known.');
  await expect(heed).not.toContainText('Blorps” (Blorp soup) is not known');
  await heed.getByRole('link', { name: 'Say what it is' }).click();
  await page.getByTestId('what-is-it').getByLabel('It is', { exact: true }).selectOption('fish');
  await page.getByTestId('what-is-it').getByRole('button', { name: 'That is what it is' }).click();
  await expect(page.getByTestId('holds')).toContainText('with fish · contains fish');
  expect(errors).toEqual([]);
});

test('a hard boil that is said to be done too soon asks back, and is told only when the cook insists', async ({
  page,
}) => {
  const beans = makeDish(
    techniqueOf('pulses-soaked'),
    { id: 'beans', name: 'Kidney beans', servings: 4 },
    { ways: { which: 'kidney' } },
  );
  await page.clock.install({ time: NOON });
  // Its meals come from the browser's own store: once they are there, so is what opens files.
  await openMeals(page);
  await openFile(page, supper([beans]));
  await beginEvening(page, 'safe');
  interface Row {
    readonly events: readonly object[];
    readonly plan: { readonly steps: readonly { readonly key: string; readonly start: number }[] };
  }
  const start = await inTable(
    page,
    'sessions',
    ([session]: readonly Row[]) => ({ answer: session!.plan.steps.find(({ key }) => key === 'beans/rolling')!.start }),
    null,
  );
  const told = () =>
    inTable(page, 'sessions', ([session]: readonly Row[]) => ({ answer: session!.events.length }), null);
  const at = await asPlannedUntil(page, start);
  await page.clock.setSystemTime(at + 12 * 60_000);
  await page.reload();
  const pot = page.locator('[data-testid="watched"][data-key="beans/rolling"]');
  await expect(pot).toBeVisible();
  if ((await pot.getByRole('button', { name: /^done/ }).count()) === 0) await pot.getByRole('button').first().click();
  const before = await told();
  await pot.getByRole('button', { name: /^done/ }).click();
  const ask = page.getByTestId('too-soon');
  await expect(ask).toContainText(/wants 30 min to be safe, and 1[78] of them are left/);
  expect(await told()).toBe(before);
  await ask.getByRole('button', { name: 'no, it goes on' }).click();
  await expect(ask).toHaveCount(0);
  expect(await told()).toBe(before);
  await pot.getByRole('button', { name: /^done/ }).click();
  await ask.getByRole('button', { name: 'yes, it had 30 min' }).click();
  await expect.poll(told).toBe(before + 1);
});
