import { expect, type Page, test } from '@playwright/test';
import { openMeal, openMeals, settled, visit, watchForErrors } from './kit';

/** Counts what a cook does: each press, each choice, each field that is filled. */
function hands(page: Page) {
  let actions = 0;
  const done = async (act: Promise<unknown>) => {
    await act;
    actions++;
  };
  return {
    press: (name: string | RegExp) => done(page.getByRole('button', { name }).first().click()),
    link: (name: string | RegExp) => done(page.getByRole('link', { name }).click()),
    way: (name: string) => done(page.getByRole('radio', { name, exact: true }).first().click()),
    fill: (label: string, text: string) => done(page.getByRole('textbox', { name: label }).first().fill(text)),
    from: (what: string, where: string) =>
      done(page.getByLabel(`Where ${what} comes from`).first().selectOption({ label: where })),
    choose: (label: string, option: string) =>
      done(page.getByLabel(label, { exact: true }).selectOption({ label: option })),
    count: () => actions,
  };
}

test('a pot of meat, its broth and fried slices is made in a few presses, and planned in its order', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat');
  const cook = hands(page);
  await cook.link('make a new one');
  await cook.link(/^Layered pot, turned out/);
  await cook.fill('Name of the dish', 'Lamb and courgettes, turned out');
  await cook.way('meat, boiled before');
  await cook.fill('Instead of aubergines', 'courgettes');
  await cook.from('toasted almonds', 'made for it: Fried nuts and dried fruit');
  await cook.way('under pressure');
  await cook.way('on the hob');
  const handed = page.getByRole('region', { name: 'What is handed over' });
  await expect(handed).toContainText('lamb broth, hot after “strain, measure”, into “pour, boil”');
  await expect(handed).toContainText('fried courgettes');
  await expect(handed).toContainText(/There will be about .*: .* is wanted, and the .* over is worth keeping/);
  await cook.choose('The small pan (golden nuts)', 'the pan (fried courgettes), wiped');
  await cook.press('Keep it, and onto the menu');
  expect(cook.count()).toBeLessThanOrEqual(60);
  await settled(page);
  await expect(page.getByRole('link', { name: 'Lamb and courgettes, turned out', exact: true })).toBeVisible();
  await expect(page.getByText(/ready at \d\d:\d\d/).last()).toBeVisible();
  expect(errors).toEqual([]);
});

test('raw meat below brings its marinade; a part that nobody takes says so; one that goes is bought again', async ({
  page,
}) => {
  await openMeals(page);
  await visit(page, '/dishes/new?technique=layered');
  await expect(page.getByRole('region', { name: 'Part: Braise on the hob' })).toBeVisible();
  await page.getByRole('radio', { name: 'raw meat, marinated' }).click();
  await expect(page.getByRole('region', { name: 'Part: Braise on the hob' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: /^Part: Meat marinated/ })).toBeVisible();
  await expect(page.getByText(/In the middle at least 74 °C/)).toBeVisible();
  await page.getByLabel('One more part').selectOption({ label: 'Fresh relish' });
  await expect(
    page.getByRole('status').filter({ hasText: 'Nothing takes anything from “Fresh relish”' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Let go of Fresh relish' }).click();
  await expect(page.getByText('Nothing takes anything from')).toHaveCount(0);
  await page.getByRole('button', { name: 'Let go of Crisp onions' }).click();
  await expect(page.getByRole('textbox', { name: 'Instead of crisp fried onions' })).toBeVisible();
  await page.getByRole('button', { name: 'take back' }).click();
  await expect(page.getByRole('region', { name: 'Part: Crisp onions' })).toBeVisible();
});

test('a menu from a few words is proposed, swapped, taken, and planned', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await page.getByRole('button', { name: 'New meal' }).click();
  await expect(page.getByRole('heading', { name: 'New meal' })).toBeVisible();
  const words = page.getByRole('region', { name: 'A menu from a few words' });
  await words.getByRole('button', { name: 'Propose' }).click();
  await expect(words.getByRole('alert')).toContainText('Say what shall be on the table');
  await words.getByRole('textbox', { name: 'What shall there be?' }).fill('rice, a soup and something cold');
  await words.getByLabel('Everyone eats').selectOption('vegetarian');
  await words.getByRole('button', { name: 'Propose' }).click();
  const soup = words.getByLabel('For soup');
  await expect(soup).toBeVisible();
  const other = (await soup.getByRole('option').nth(1).textContent())!;
  await soup.selectOption({ label: other });
  await expect(words.getByRole('status')).toContainText(/rehearsed evenings|lands/, { timeout: 60_000 });
  await words.getByRole('button', { name: 'Take this menu' }).click();
  await expect(page.getByText('3 on the menu')).toBeVisible();
  await settled(page);
  await expect(page.getByRole('link', { name: other, exact: true })).toBeVisible();
  expect(errors).toEqual([]);
});

test('by hand a step says its pot, its sign, its lots and its dangers, and hands over what it makes', async ({
  page,
}) => {
  await openMeals(page);
  await visit(page, '/dishes/cheeks');
  await page.getByRole('button', { name: 'Change it' }).click();
  const steps = page.getByRole('region', { name: 'The steps' });
  await steps.getByRole('button', { name: /^brown/ }).click();
  await steps.getByRole('button', { name: /^all else/ }).click();
  await steps.getByRole('textbox', { name: 'Minutes, longest' }).fill('33');
  await steps.getByRole('textbox', { name: 'It is done when' }).fill('dark as chestnuts');
  await steps.getByLabel('It takes').selectOption({ label: 'lot after lot' });
  await steps.getByRole('textbox', { name: 'One lot is enough for' }).fill('3');
  await steps.getByRole('button', { name: 'add a caution' }).click();
  await steps
    .getByRole('textbox', { name: /^Caution \d+ at brown/ })
    .last()
    .fill('The handle is hot.');
  const handed = page.getByRole('region', { name: 'Given and taken' });
  await handed.getByRole('button', { name: 'it gives something' }).click();
  await handed.getByRole('textbox', { name: 'It gives' }).fill('gravy, hot');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  const brown = page
    .getByRole('region', { name: 'The steps' })
    .getByRole('listitem')
    .filter({ hasText: 'dark as chestnuts' });
  await expect(brown).toContainText('to 33 min');
  await expect(brown).toContainText('The handle is hot.');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(
    page.getByRole('region', { name: 'Given and taken' }).getByRole('textbox', { name: 'It gives' }),
  ).toHaveValue('gravy, hot');
});
