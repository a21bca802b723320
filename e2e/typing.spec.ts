import { expect, type Locator, type Page, test } from '@playwright/test';
import { LONG, NOON, openMeals, visit } from './kit';

/** Edits of each form; more of them for a longer look: EDITS=250 npx playwright test e2e/typing.spec.ts. */
const EDITS = Number(process.env['EDITS'] ?? 12);

/** A word that no other edit of the test writes. */
const word = (number: number) => `w${number}x${(number * 7919) % 997}`;

/** Types into a field letter by letter without a pause, and presses the button in the same instant in the page: nothing is waited for. */
async function typeAndPress(field: Locator, words: string, button: Locator | null): Promise<void> {
  await field.click();
  await field.press('ControlOrMeta+a');
  await field.pressSequentially(words, { delay: 0 });
  if (button)
    await button.evaluate((element: HTMLElement) => {
      (document.activeElement as HTMLElement | null)?.blur();
      element.click();
    });
}

/** The dish of the shelf that is changed step by step. */
async function openByHand(page: Page): Promise<void> {
  await openMeals(page);
  await visit(page, '/dishes/cheeks');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the dish' })).toBeVisible();
}

test('step by step: names typed fast, a press at once after each, none lost', async ({ page }) => {
  await openByHand(page);
  const goesIn = page.getByRole('region', { name: 'What goes in' });
  const fields = goesIn.getByRole('textbox', { name: /^Instead of/ });
  const count = await fields.count();
  const wanted = new Map<number, string>();
  for (let edit = 0; edit < EDITS; edit++) {
    const at = (edit * 5) % count;
    wanted.set(at, word(edit));
    // Every tenth press adds something: what was typed just before must not go with it.
    await typeAndPress(
      fields.nth(at),
      word(edit),
      edit % 10 === 0 ? goesIn.getByRole('button', { name: /add something/ }) : null,
    );
  }
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Change it' })).toBeVisible();
  await page.reload();
  for (const name of wanted.values()) await expect(page.getByText(name, { exact: false }).first()).toBeVisible();
  await expect(page.getByText('something more').nth(EDITS / 10 - 1)).toBeVisible();
});

test('the kitchen: names typed fast, a press at once after each, none lost', { tag: LONG }, async ({ page }) => {
  await openMeals(page);
  await visit(page, '/kitchens/hall');
  const pots = page.getByRole('region', { name: 'Pots, pans and trays' });
  const fields = pots.getByRole('textbox', { name: 'Name' });
  await expect(fields.first()).toBeVisible();
  const count = await fields.count();
  const wanted = new Map<number, string>();
  for (let edit = 0; edit < EDITS; edit++) {
    const at = (edit * 3) % count;
    wanted.set(at, word(edit));
    const more = pots.getByRole('group').nth(at).getByRole('button', { name: 'How many: more' });
    await typeAndPress(fields.nth(at), word(edit), edit % 10 === 0 ? more : null);
  }
  await fields.first().blur();
  await page.getByRole('link', { name: 'Warm Cadence' }).click();
  await expect(page.getByRole('heading', { name: 'Meals', exact: true })).toBeVisible();
  await visit(page, '/kitchens/hall');
  for (const [at, name] of wanted) await expect(fields.nth(at)).toHaveValue(name);
});

test('a dish under way and a recipe half read outlive a closed tab and the way back', async ({ page, context }) => {
  await openMeals(page);
  await visit(page, '/dishes/new?technique=pilaf');
  await page.getByLabel('Name of the dish').pressSequentially('Grandmother’s rice');
  await page.getByRole('button', { name: '+ add something' }).click();
  await expect(page.getByLabel('Instead of something more')).toBeVisible();
  await page.close();
  const again = await context.newPage();
  await visit(again, '/dishes/new?technique=pilaf');
  await expect(again.getByLabel('Name of the dish')).toHaveValue(/Grandmother’s rice/);
  await expect(again.getByLabel('Instead of something more')).toBeVisible();
  await again.getByRole('button', { name: 'begin anew' }).click();
  await expect(again.getByLabel('Name of the dish')).toHaveValue('Pilaf');
  await visit(again, '/dishes/read');
  await again.getByLabel(/^Paste it here/).fill('Soup\nServes 4\n1 kg carrots\n\nSimmer the carrots for 20 minutes.');
  await again.getByRole('button', { name: 'Read it' }).click();
  await again.getByRole('textbox', { name: 'Name', exact: true }).fill('Orange soup');
  await again.close();
  const last = await context.newPage();
  await visit(last, '/dishes/read');
  await expect(last.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Orange soup');
});

test('the menu: the name of a meal typed while its plan is made, and left at once by the way back', async ({
  page,
}) => {
  await page.clock.setSystemTime(NOON);
  await openMeals(page);
  await page.getByRole('link', { name: 'Harvest supper' }).click();
  const name = page.getByLabel('Name', { exact: true });
  await expect(name).toBeVisible();
  await name.click();
  await name.press('ControlOrMeta+a');
  await name.pressSequentially('Late harvest', { delay: 0 });
  await page.goBack();
  await expect(page.getByRole('link', { name: 'Late harvest' })).toBeVisible();
});
