import { expect, type Page, test } from '@playwright/test';
import { asPlannedUntil, inTable } from './browser-store';
import { beginEvening, NOON, NOON_STATE, openMeal, openMeals, soundOnlyWhenTouched, toFirstStep } from './kit';

// For a cook who hears the page, has a keyboard only, or stands at a phone.

test('the list of burners takes the arrows by itself: the chosen step goes there, and no other', async ({ page }) => {
  await openMeal(page, 'harvest', '/score');
  await page.keyboard.press('Home');
  const other = page.getByRole('button', { name: /choose another/ });
  for (let tries = 0; tries < 40 && (await other.count()) === 0; tries++) await page.keyboard.press('ArrowRight');
  const chosen = await page.getByTestId('chosen').textContent();
  const before = await other.getAttribute('aria-label');
  await other.focus();
  await page.keyboard.press('ArrowDown');
  const list = page.getByRole('listbox');
  await expect(list).toBeVisible();
  const active = () => list.getAttribute('aria-activedescendant');
  const first = await active();
  const options = await list.getByRole('option').count();
  expect(options).toBeGreaterThan(1);
  // From wherever it opens one arrow leads to another burner.
  await page.keyboard.press('ArrowDown');
  if ((await active()) === first) await page.keyboard.press('ArrowUp');
  await expect.poll(active).not.toBe(first);
  await page.keyboard.press('Enter');
  await expect(list).toHaveCount(0);
  await expect(page.getByTestId('by-hand-words')).toContainText(/stands? on/);
  await expect.poll(() => other.getAttribute('aria-label')).not.toBe(before);
  expect((await page.getByTestId('chosen').textContent())?.split(',')[0]).toBe(chosen?.split(',')[0]);
  await expect(page.getByTestId('pinned')).toHaveCount(1);
});

test('whoever makes a meal stands at its name', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('button', { name: 'New meal' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  const add = page.getByRole('button', { name: /^\+ / }).first();
  await add.press('Enter');
  await expect(page.getByRole('searchbox', { name: 'Add a dish' })).toBeFocused();
});

test('single keys are switched off, and on again', async ({ page }) => {
  await openMeal(page, 'boat', '/score');
  await page.keyboard.press('Home');
  const fault = page.getByTestId('by-hand-words');
  const toggle = async () => {
    await page.getByRole('button', { name: 'Keys' }).click();
    await page.getByRole('checkbox', { name: /Single keys/ }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  await toggle();
  await page.keyboard.press('p');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  await toggle();
  await page.keyboard.press('p');
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  await expect(fault).toBeVisible();
});

test('a decimal comma is a decimal point', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('link', { name: 'Hall kitchen' }).click();
  const litres = page.getByRole('textbox', { name: 'Holds' }).first();
  await litres.fill('7,5');
  await expect(litres).toHaveValue('7,5');
  await expect(page.getByText(/Kept at/)).toHaveCount(0);
  await litres.blur();
  const kept = () =>
    inTable(
      page,
      'kitchens',
      (rows: readonly { readonly vessels: readonly { readonly litres: number }[] }[]) => ({
        answer: rows.some(({ vessels }) => vessels.some((each) => each.litres === 7.5)),
      }),
      null,
    );
  await expect.poll(kept).toBe(true);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Holds' }).first()).toHaveValue('7.5');
});

test.describe('at the stove', () => {
  test.use({ storageState: NOON_STATE });

  async function begin(page: Page): Promise<void> {
    await page.clock.install({ time: NOON });
    await openMeal(page, 'boat', '/cook');
    await page.getByRole('button', { name: 'Begin at the stove' }).press('Enter');
    await expect(page.getByTestId('table-line')).toBeVisible();
  }

  test('what the hands do is told to a screen reader, buttons name their pot, and the covered page is out of reach', async ({
    page,
  }) => {
    await begin(page);
    await expect(page.getByRole('region', { name: 'Now' })).toBeFocused();
    await toFirstStep(page);
    const name = (await page.getByTestId('focal').getByRole('heading').textContent())!;
    await expect(page.getByTestId('hands-calls')).toContainText(name);
    await expect(page.getByTestId('hands-calls')).toHaveAttribute('aria-live', 'polite');
    const buttons = page.getByTestId('answers').getByRole('button', { name: new RegExp(`: ${name}, `) });
    expect(await buttons.count()).toBeGreaterThan(0);
    // From here on with the keyboard alone: nothing of the covered page is met.
    for (let tab = 0; tab < 40; tab++) {
      await page.keyboard.press('Tab');
      const covered = await page.evaluate(() => document.activeElement?.closest('[data-covered-by-stove]') !== null);
      expect(covered && (await page.evaluate(() => document.activeElement !== document.body))).toBe(false);
    }
    await buttons.first().focus();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('focal').getByRole('heading', { name, exact: true })).toHaveCount(0);
    expect(await page.evaluate(() => document.activeElement === document.body)).toBe(false);
  });

  test('the first press on a page just opened is not lost: nothing moves under the finger', async ({ page }) => {
    await begin(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await soundOnlyWhenTouched(page);
    await page.reload();
    const evening = page.getByRole('button', { name: 'evening', exact: true });
    const note = page.getByRole('button', { name: 'silent until touched' });
    await expect(note).toBeVisible();
    await expect(evening).toBeEnabled();
    const box = (await evening.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.up();
    await expect(note).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'This evening' })).toBeVisible();
    expect(await evening.evaluate((each) => each.getBoundingClientRect().toJSON())).toMatchObject({
      x: box.x,
      y: box.y,
    });
  });

  test('on a phone in danger calls and offers leave the pots in sight, and what has the focus is seen', async ({
    page,
  }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.clock.install({ time: NOON });
    await beginEvening(page, 'harvest');
    const at = await asPlannedUntil(page, -15);
    await page.clock.setSystemTime(at);
    await page.reload();
    await page.getByRole('button', { name: 'evening', exact: true }).click();
    await page.getByRole('button', { name: '30 min', exact: true }).click();
    const offers = page.getByRole('region', { name: 'The hour' });
    await expect(offers).toContainText(/would stand/);
    await expect(offers.getByRole('button', { name: 'what now?' })).toBeVisible();
    const strip = offers.locator('..');
    expect((await strip.boundingBox())!.height).toBeLessThanOrEqual(0.36 * 844);
    const hidden: string[] = [];
    for (let tab = 0; tab < 40; tab++) {
      await page.keyboard.press('Tab');
      const seen = await page.evaluate(() => {
        const focus = document.activeElement as HTMLElement;
        if (focus === document.body) return '';
        const box = focus.getBoundingClientRect();
        const at = document.elementFromPoint(box.x + box.width / 2, box.y + Math.min(box.height / 2, 30));
        return at !== null && (focus.contains(at) || at.contains(focus)) ? '' : (focus.textContent ?? '?');
      });
      if (seen !== '') hidden.push(seen);
    }
    expect(hidden).toEqual([]);
  });
});
