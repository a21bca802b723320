import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { openMeal, openMeals, settled, visit, watchForErrors } from './kit';

test('a dish of one’s own, made from a technique, stands in a meal', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat');
  await page.getByRole('link', { name: 'make a new one' }).click();
  await page.getByRole('link', { name: /Onion-based curry/ }).click();
  await page.getByRole('textbox', { name: 'Name of the dish' }).fill('Cauliflower in gravy');
  await page.getByRole('textbox', { name: 'Instead of squash' }).fill('cauliflower');
  await page.getByRole('radio', { name: 'dark brown' }).click();
  await expect(page.getByText(/That makes it: \d+ min more of hands/)).toBeVisible();
  await page.getByRole('radio', { name: 'coconut milk' }).click();
  await expect(page.getByText(/also “coconut”/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it, and onto the menu' }).click();
  await expect(page.getByText('Cauliflower in gravy')).toBeVisible();
  await settled(page);
  await expect(page.getByText(/ready at \d\d:\d\d/).last()).toBeVisible();
  expect(errors).toEqual([]);
});

test('what is changed is taken back, a nameless dish is refused, and the kept one is there again', async ({ page }) => {
  await openMeals(page);
  await page.getByRole('link', { name: 'Dishes' }).click();
  await page.getByRole('link', { name: 'Make a dish' }).click();
  await page.getByRole('link', { name: /^Pilaf Grain turned/ }).click();
  const grain = page.getByRole('textbox', { name: 'How much long grain rice' });
  await expect(grain).toHaveValue('280');
  await grain.fill('400');
  await grain.press('Enter');
  await expect(page.getByText(/% more long grain rice/)).toBeVisible();
  await page.getByRole('button', { name: 'leave out' }).first().click();
  await expect(page.getByText(/no “chop”, “soften onion”/)).toBeVisible();
  await page.getByRole('button', { name: 'take back' }).click();
  await expect(page.getByRole('textbox', { name: 'Instead of onion' })).toBeVisible();
  const name = page.getByRole('textbox', { name: 'Name of the dish' });
  await name.fill(' ');
  await name.blur();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Name' })).toContainText('Nothing was stored');
  await name.fill('Our pilaf');
  await name.blur();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Our pilaf is kept.')).toBeVisible();
  await page.getByRole('link', { name: 'Dishes' }).click();
  await page.getByRole('searchbox', { name: 'Its name, or what is in it' }).fill('our pilaf');
  await expect(page.getByRole('status')).toHaveText(/^1 of \d+ dishes$/);
  await page.getByRole('link', { name: /Our pilaf/ }).click();
  await expect(grain).toHaveValue('400');
});

test('dishes are found by time, heat, guests and allergens', async ({ page }) => {
  await openMeals(page);
  await visit(page, '/dishes');
  const count = page.getByRole('status');
  const choose = async (filter: string, option: string) => {
    await page.getByRole('button', { name: filter, exact: true }).click();
    await page.getByRole('option', { name: option, exact: true }).click();
  };
  await choose('Heat', 'nothing hot');
  await expect(page.getByRole('link', { name: /Couscous with raisins/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Roast roots/ })).toHaveCount(0);
  await choose('Suits', 'vegan');
  await expect(page.getByRole('link', { name: /Couscous with raisins/ })).toHaveCount(0);
  await choose('Time', 'within 30 min');
  await choose('Hands', '10 min of hands');
  await choose('Allergens', 'without gluten');
  await expect(count).toHaveText(/^\d+ of \d+ dishes$/);
  await page.getByRole('searchbox').fill('no such thing');
  await expect(page.getByText('Nothing of that kind')).toBeVisible();
});

test('a dish of the shelf goes onto the menu as one’s own', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByRole('searchbox', { name: 'Add a dish' }).fill('cucumber');
  await page.getByRole('button', { name: '+ Cucumber yogurt' }).click();
  await expect(page.getByText('Cucumber yogurt', { exact: true })).toBeVisible();
  await settled(page);
  await visit(page, '/dishes');
  await page.getByRole('searchbox').fill('cucumber');
  await expect(page.getByRole('link', { name: /Cucumber yogurt yours/ })).toBeVisible();
});

test('what a plan has to heed is told with its fix, and what is passed over leaves a mark', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByRole('button', { name: /To heed/ }).click();
  const heed = page.getByRole('region', { name: 'To heed' });
  await expect(heed).toContainText('Wash hands, board and knife between');
  await expect(heed).toContainText('Your local rules and the maker’s instructions come first.');
  await expect(heed.getByRole('definition').filter({ hasText: 'Fish baked in paper' }).first()).toBeVisible();
  await heed.getByRole('button', { name: 'pass over' }).first().click();
  await expect(heed).toContainText('Passed over by you:');
  await page.reload();
  await expect(page.getByRole('button', { name: /To heed.*1 passed over/ })).toBeVisible();
  await page.getByRole('navigation').getByRole('link', { name: 'Score' }).click();
  // The menu has such a link too.
  await expect(page.getByTestId('score')).toBeVisible();
  await page.getByRole('link', { name: '1 to heed' }).click();
  await expect(heed).toContainText('Cool it within the hour');
});

test('raw kidney beans without a hard boil are called unsafe on every view of the meal', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByRole('link', { name: 'make a new one' }).click();
  await page.getByRole('link', { name: /Lentils and split peas/ }).click();
  await page.getByRole('textbox', { name: 'Instead of green lentils' }).fill('red kidney beans');
  await page.getByRole('button', { name: 'Keep it, and onto the menu' }).click();
  const alarm = page.getByRole('alert').filter({ hasText: 'Not safe as it stands' });
  await expect(alarm).toContainText('boil them hard for 30 minutes');
  await page.getByRole('navigation').getByRole('link', { name: 'Score' }).click();
  await expect(page.getByTestId('score')).toBeVisible();
  await expect(alarm).toBeVisible();
});

test('a recipe is pasted, put right, and stands in a meal', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat');
  await page.getByRole('link', { name: 'read a recipe' }).click();
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('nothing to read yet')).toBeVisible();
  await page
    .getByRole('textbox', { name: /Paste it here/ })
    .fill(
      'Carrot pot\nServes 4\nIngredients\n500 g carrots, sliced\n1 onion\n20 g butter\nsome love\n1 tsp salt\nMethod\nSlice the carrots and the onion.\nSoften the onion in the butter for 6 minutes.\nAdd the carrots and simmer for 15 minutes.\nServe.',
    );
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('15 min by “15 minutes”')).toBeVisible();
  await expect(page.getByTestId('forgotten')).toContainText('some love and salt');
  await expect(page.getByRole('region', { name: 'Not understood' })).toContainText('some love');
  await page.getByRole('button', { name: /Add the carrots/ }).click();
  await page.getByRole('combobox', { name: /What it is: Add the carrots/ }).selectOption('boil');
  await expect(page.getByRole('button', { name: /Add the carrots.*boil, on the hob/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'How much carrots' }).fill('800');
  await page.getByRole('textbox', { name: 'How much carrots' }).blur();
  await page.getByRole('button', { name: 'Keep it, and onto the menu' }).click();
  await expect(page.getByText('Carrot pot', { exact: true })).toBeVisible();
  await settled(page);
  await visit(page, '/dishes');
  await page.getByRole('searchbox').fill('carrot pot');
  await page.getByRole('link', { name: /Carrot pot/ }).click();
  await expect(page.getByText('800 g carrots')).toBeVisible();
  expect(errors).toEqual([]);
});

test('a recipe is put right in touches: what is in doubt first, split, joined, tied, added by marking, taken back', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await visit(page, '/dishes/read');
  await page
    .getByRole('textbox', { name: /Paste it here/ })
    .fill(
      'Carrot pot\nServes 4\nIngredients\n500 g carrots\n1 onion\n20 g butter\nsome love\nMethod\nSlice the carrots and the onion.\nSoften the onion in the butter for 6 minutes. Add the carrots.\nSimmer for 15 minutes.\nServe.\nNotes\nA spoon of 2 tbsp cream at the end does it good.',
    );
  await page.getByRole('button', { name: 'Read it' }).click();
  const steps = page.getByRole('region', { name: 'The steps' });
  const rows = steps.getByRole('listitem');
  const goesIn = page.getByRole('region', { name: 'What goes in' });
  await expect(rows).toHaveCount(5);
  // What is in doubt comes to hand.
  await page.getByRole('button', { name: 'show the next' }).click();
  await expect(page.getByRole('textbox', { name: 'How much some love' })).toBeFocused();
  await page.getByRole('button', { name: 'some love does not go in' }).click();
  await expect(page.getByRole('textbox', { name: 'How much some love' })).toHaveCount(0);
  // What stands among the notes is made what it is, by marking its words.
  const text = page.getByRole('region', { name: 'The text' });
  await text.getByText('A spoon of 2 tbsp cream').evaluate((line) => {
    const words = line.firstChild!;
    const from = words.textContent!.indexOf('2 tbsp');
    document.getSelection()!.setBaseAndExtent(words, from, words, from + '2 tbsp cream'.length);
  });
  await text.getByRole('button', { name: 'goes in', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'How much cream' })).toHaveValue('2');
  await goesIn
    .getByRole('combobox', { name: 'Where cream goes in' })
    .selectOption({ label: '4 Simmer for 15 minutes.' });
  await expect(rows.nth(3)).toContainText('with cream');
  // Joined, split where the caret stands, at once, and all taken back.
  await rows
    .nth(2)
    .getByRole('button', { name: /Add the carrots/ })
    .click();
  await page.getByRole('button', { name: 'join with the next' }).click();
  await expect(rows).toHaveCount(4);
  await expect(rows.nth(2)).toContainText('Add the carrots. Simmer for 15 minutes.');
  await expect(rows.nth(2)).toContainText('15 min by “15 minutes”');
  await page.getByLabel(/^Its words/).evaluate((field: HTMLTextAreaElement) => {
    field.focus();
    field.setSelectionRange(16, 16);
  });
  await page.getByRole('button', { name: 'split at the caret' }).click();
  await expect(rows).toHaveCount(5);
  await rows.nth(2).getByLabel('at once').check();
  await expect(rows.nth(2)).toContainText('at once');
  await page.getByRole('button', { name: 'undo' }).click();
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(rows).toHaveCount(4);
  await page.locator('body').press('Control+z');
  await expect(rows).toHaveCount(5);
  await expect(rows.nth(3)).toContainText('with cream');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('2 tbsp cream')).toBeVisible();
  expect(errors).toEqual([]);
});

test('two dishes in one text are kept as two; the browser’s own model, switched on, finds what was missed and nothing else', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  // A stand-in for the model that a browser may have: it says one thing that is there, and one that is not.
  await page.addInitScript(() => {
    Object.defineProperty(globalThis, 'LanguageModel', {
      value: {
        availability: async () => 'available',
        create: async () => ({
          prompt: async () => JSON.stringify({ ingredients: ['3 tbsp yogurt', '1 kg gold'], steps: [] }),
        }),
      },
    });
  });
  await openMeals(page);
  await visit(page, '/dishes/read');
  await page
    .getByRole('textbox', { name: /Paste it here/ })
    .fill(
      'LENTIL STEW WITH ONION RICE\n\nIngredients\n200 g lentils\n2 carrots, diced\n700 ml water\n300 g rice\n1 onion\n2 tbsp oil\n450 ml stock\n\nMethod\nFor the stew, boil the lentils and carrots in the water for 30 minutes.\nSeason.\n\nFor the rice, fry the onion in the oil for 6 minutes.\nAdd the rice and stock and simmer for 15 minutes.\n\nServe the stew with the rice.\n\nNotes\nSome like 3 tbsp yogurt with it.',
    );
  await page.getByRole('button', { name: 'Read it' }).click();
  const ask = page.getByLabel(/own language model/);
  await expect(ask).not.toBeChecked();
  await expect(page.getByRole('button', { name: 'look for it' })).toHaveCount(0);
  await ask.check();
  await page.getByRole('button', { name: 'look for it' }).click();
  await expect(page.getByText('One thing more was found; 1 was not taken: not in the text.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'How much yogurt' })).toHaveValue('3');
  await expect(page.getByLabel(/Keep it as 2 dishes: LENTIL STEW and ONION RICE/)).toBeChecked();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page).toHaveURL(/\/dishes$/);
  await page.getByRole('searchbox').fill('onion rice');
  await expect(page.getByRole('link', { name: /ONION RICE/ })).toBeVisible();
  await page.getByRole('searchbox').fill('lentil stew');
  await page.getByRole('link', { name: /LENTIL STEW/ }).click();
  await expect(page.getByText('3 tbsp yogurt')).toBeVisible();
  await expect(page.getByText('300 g rice')).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('what is no recipe is refused in words', async ({ page }) => {
  await openMeals(page);
  await visit(page, '/dishes/read');
  const field = page.getByRole('textbox', { name: /Paste it here/ });
  await field.fill('<html><body><p>About us</p></body></html>');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('this page holds none that can be read')).toBeVisible();
  await field.fill('{"@type": "Recipe", ');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('broken JSON')).toBeVisible();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'big.txt', mimeType: 'text/plain', buffer: Buffer.alloc(5_000_000, 'x') });
  await expect(page.getByText('at most 1 MB; this has 5.0')).toBeVisible();
});

test('a dish written by hand is changed step by step, a circle is refused, and all is taken back', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await visit(page, '/dishes/cheeks');
  await page.getByRole('button', { name: 'Change it' }).click();
  const steps = page.getByRole('region', { name: 'The steps' });
  await steps.getByRole('button', { name: /^trim/ }).click();
  await steps.getByRole('textbox', { name: 'Minutes, likely' }).fill('20');
  await expect(steps.getByRole('button', { name: /^trim 20 min/ })).toBeVisible();
  await steps.getByRole('combobox', { name: 'Another step that it comes after' }).selectOption('finish');
  await expect(page.getByRole('alert').filter({ hasText: 'circle' })).toContainText('Kept as it was');
  await steps.getByRole('button', { name: 'a step after this' }).click();
  await steps.getByRole('button', { name: /^new step/ }).click();
  await expect(steps.getByRole('group', { name: 'It comes after' }).last()).toContainText('trim');
  await page.getByRole('combobox', { name: 'Step for red wine' }).selectOption('no step: it will be forgotten');
  await expect(page.getByText('no step: it will be forgotten').first()).toBeAttached();
  // The second press comes before the first is stored.
  await page.getByRole('button', { name: 'take back' }).dblclick();
  await expect(steps.getByRole('button', { name: /^new step/ })).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('16 to 27 min')).toBeVisible();
  expect(errors).toEqual([]);
});

test('what is typed is kept though something else is pressed at the same moment', async ({ page }) => {
  await openMeals(page);
  await visit(page, '/dishes/cheeks');
  await page.getByRole('button', { name: 'Change it' }).click();
  const goesIn = page.getByRole('region', { name: 'What goes in' });
  const rows = goesIn.getByRole('listitem');
  const before = await rows.count();
  // The field is left and the button pressed before anything can be stored or drawn.
  const leaveAndPress = (name: string) =>
    page.getByRole('button', { name, exact: true }).evaluate((button: HTMLButtonElement) => {
      (document.activeElement as HTMLElement).blur();
      button.click();
    });
  await page.getByRole('textbox', { name: 'Name of the dish' }).fill('Cheeks of the house');
  await leaveAndPress('add something');
  await expect(rows).toHaveCount(before + 1);
  await goesIn.getByRole('textbox', { name: 'Instead of red wine' }).fill('dark beer');
  await leaveAndPress('add something');
  await expect(rows).toHaveCount(before + 2);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Cheeks of the house' })).toBeVisible();
  await expect(page.getByText('dark beer').first()).toBeVisible();
});

test('a dish is saved as a file and opened again beside the one that is there', async ({ page }) => {
  await openMeals(page);
  await visit(page, '/dishes/barley');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as a dish file' }).click();
  const path = await (await saved).path();
  await visit(page, '/dishes/read');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'barley.dish.json', mimeType: 'application/json', buffer: readFileSync(path) });
  await expect(page.getByRole('heading', { name: 'Pearl barley with leeks (opened)' })).toBeVisible();
  const data = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as recipe data' }).click();
  const recipe = JSON.parse(readFileSync(await (await data).path(), 'utf8'));
  expect(recipe).toMatchObject({ '@type': 'Recipe', recipeYield: '8 portions' });
});

test('a dish is copied, its pots, its waiting and its order changed, and put onto a menu', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeals(page);
  await visit(page, '/dishes/barley');
  await page.getByRole('button', { name: 'make a copy' }).click();
  await expect(page.getByRole('heading', { name: 'Pearl barley with leeks (copy)' })).toBeVisible();
  await page.getByRole('button', { name: 'Change it' }).click();
  const list = page.getByRole('region', { name: 'What goes in' });
  await list.getByRole('button', { name: /^lemon: drag/ }).press('ArrowUp');
  await expect(list.getByRole('listitem').nth(3).getByRole('textbox', { name: 'Instead of lemon' })).toBeVisible();
  await list.getByRole('button', { name: /^thyme: drag/ }).hover();
  await page.mouse.down();
  const first = (await list.getByRole('listitem').first().boundingBox())!;
  // In steps, as a hand moves.
  await page.mouse.move(first.x + 20, first.y + first.height / 2, { steps: 12 });
  await page.mouse.move(first.x + 20, first.y + first.height / 3, { steps: 3 });
  await page.mouse.up();
  await expect(list.getByRole('listitem').first().getByRole('textbox', { name: 'Instead of thyme' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Litres of the barley pot' }).fill('5');
  const waits = page.getByRole('textbox', { name: 'and at the most' });
  await waits.fill('5');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be fewer' })).toContainText('Kept as it was');
  await page.getByRole('textbox', { name: 'Allergens of butter' }).fill('');
  await page.getByRole('textbox', { name: 'Allergens of butter' }).blur();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Onto the menu of Harvest supper' }).click();
  await page.getByRole('link', { name: 'see it in the score' }).click();
  await expect(page.getByTestId('score')).toContainText('Pearl barley with leeks (copy)');
  expect(errors).toEqual([]);
});
