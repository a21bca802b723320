import { expect, type Page, test } from '@playwright/test';
import { EMPTY_STATE, openMeal, openMeals, settled, visit, watchForErrors } from './kit';

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
  // In a page that is read from the right the clock still runs from left to right, and nothing of the sheet lies elsewhere.
  const places = () =>
    page.getByTestId('score').evaluate((score) => {
      const { left } = score.getBoundingClientRect();
      return [...score.querySelectorAll('svg, svg text')].map((each) => {
        const box = each.getBoundingClientRect();
        return [Math.round(box.left - left), Math.round(box.top), Math.round(box.width)];
      });
    });
  const before = await places();
  expect(before.length).toBeGreaterThan(40);
  await page.evaluate(() => {
    document.documentElement.dir = 'rtl';
  });
  await expect.poll(places).toEqual(before);
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
  const before = await startOf(page);
  await page.getByRole('button', { name: '5 min earlier' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('stands at');
  await expect.poll(() => startOf(page)).not.toBe(before);
  const moved = await startOf(page);
  await page.reload();
  await expect(page.getByTestId('reason')).toBeVisible();
  await page.keyboard.press('Home');
  await expect.poll(() => startOf(page)).toBe(moved);
  await expect(page.getByTestId('why')).toContainText('You put it there.');
  await page.getByRole('button', { name: 'Let it move' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('free to move again');
  await expect(page.getByRole('button', { name: 'Keep it here' })).toBeVisible();
  expect(errors).toEqual([]);
});

/** "18:20–18:45" of the chosen step, in minutes of the day. */
async function startOf(page: Page): Promise<number> {
  const [, hours, minutes] = ((await page.getByTestId('chosen').textContent()) ?? '').match(/(\d\d):(\d\d)–/) ?? [];
  return Number(hours) * 60 + Number(minutes);
}

test('a ribbon is dragged along the clock, kept where it is dropped, taken back and done again', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat', '/score');
  await page.keyboard.press('Home');
  const ribbon = page.locator('[data-testid="score"] [data-key][aria-pressed="true"]');
  const before = await startOf(page);
  const box = (await ribbon.boundingBox())!;
  const from = { x: box.x + Math.min(8, box.width / 2), y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x - 30, from.y, { steps: 4 });
  await expect(page.getByTestId('wished')).toBeVisible();
  await expect(page.getByTestId('by-hand-words')).toContainText('stands at');
  await page.mouse.up();
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  await expect.poll(() => startOf(page)).toBeLessThan(before);
  const moved = await startOf(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('by-hand-words')).toContainText('Taken back');
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  await expect.poll(() => startOf(page)).toBe(before);
  await page.keyboard.press('r');
  await expect(page.getByTestId('by-hand-words')).toContainText('Done again');
  await expect.poll(() => startOf(page)).toBe(moved);
  expect(errors).toEqual([]);
});

test('with the largest letters the score is drawn larger, a drag keeps to the pointer; Escape gives it up, and a click moves nothing', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('warm-cadence letters', 'largest'));
  await openMeal(page, 'boat', '/score');
  await page.keyboard.press('Home');
  const before = await startOf(page);
  const name = page.getByTestId('score').getByText('the table', { exact: true });
  expect((await name.boundingBox())!.height).toBeGreaterThan(1.3 * 14);
  const ribbon = page.locator('[data-testid="score"] [data-key][aria-pressed="true"]');
  const [box, stands] = [(await ribbon.boundingBox())!, (await ribbon.locator('rect').first().boundingBox())!];
  await page.mouse.move(box.x + 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 30, box.y + box.height / 2, { steps: 4 });
  await expect(page.getByTestId('by-hand-words')).toBeVisible();
  // To a whole minute: some pixels.
  const wished = (await page.getByTestId('wished').boundingBox())!;
  expect(Math.abs(wished.x - stands.x + 34)).toBeLessThan(8);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.getByTestId('wished')).toHaveCount(0);
  await expect.poll(() => startOf(page)).toBe(before);
  await page.mouse.click(box.x + 4, box.y + box.height / 2);
  await expect(page.getByTestId('chosen')).toBeVisible();
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  expect(await startOf(page)).toBe(before);
});

test('by keyboard a step moves by minutes, goes to another burner, is kept and all is let go', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest', '/score');
  // A step that may stand on more than one burner.
  await page.keyboard.press('Home');
  const other = page.getByRole('button', { name: /choose another/ });
  for (let tries = 0; tries < 40 && (await other.count()) === 0; tries++) await page.keyboard.press('ArrowRight');
  const name = await other.getAttribute('aria-label');
  await page.keyboard.press('b');
  await expect(page.getByTestId('by-hand-words')).toContainText(/stands? on/);
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  expect(await other.getAttribute('aria-label')).not.toBe(name);
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByTestId('by-hand-words')).toContainText(/stands|nearest/);
  await expect(page.getByRole('button', { name: 'Let it move' })).toBeEnabled();
  await page.keyboard.press('p');
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  await page.keyboard.press('p');
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'best around it' }).click();
  await expect(page.getByTestId('by-hand-words')).toContainText('with what you put by hand', { timeout: 60_000 });
  await page.getByRole('button', { name: 'let it go' }).click();
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('a step that cannot stand where it is wished is put at the nearest minute, and that is said', async ({ page }) => {
  await openMeal(page, 'boat', '/score');
  // The last step of a hot dish cannot begin much later than it does.
  await page.keyboard.press('Home');
  const words = page.getByTestId('by-hand-words');
  const ribbon = page.locator('[data-testid="score"] [data-key][aria-pressed="true"]');
  const box = (await ribbon.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 1200, box.y + box.height / 2, { steps: 3 });
  await page.mouse.up();
  await expect(words).toContainText(/cannot stand at \d\d:\d\d; \d\d:\d\d is the nearest/);
  const [, nearest] = ((await words.textContent()) ?? '').match(/; (\d\d:\d\d) is the nearest/) ?? [];
  await expect(page.getByTestId('chosen')).toContainText(`${nearest}–`);
});

test.describe(() => {
  test.use({ storageState: EMPTY_STATE });
  test('where the browser cannot plan by itself the server does, and the view says so', async ({ page }) => {
    await page.addInitScript(() => {
      window.Worker = class {
        constructor() {
          throw new Error('no workers here');
        }
      } as never;
    });
    await openMeals(page);
    const asked = page.waitForRequest((request) => request.url().includes('/api/plan'));
    await visit(page, '/meals/boat');
    expect((await asked).method()).toBe('POST');
    await settled(page);
    await expect(page.getByTestId('planner-seat')).toContainText('the server made this plan');
    // Without a server the page plans for itself.
    await page.route('**/api/plan*', (route) => route.abort());
    await page
      .getByRole('button', { name: /: more/ })
      .first()
      .click();
    await expect(page.getByTestId('planner-seat')).toContainText('the page itself made this plan');
    await settled(page);
  });
});
