import { expect, test } from '@playwright/test';
import { openBench, openMeal, openMeals, settled, visit, watchForErrors } from './kit';

test('more people: where the pots are too small one borrows, and every change is explained', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'harvest');
  const people = page.getByRole('textbox', { name: 'People at the table' });
  await people.fill('10');
  await expect(page.getByText('needs a casserole of 7.5 l')).toBeVisible();
  await page.getByRole('button', { name: 'Look for ways out' }).click();
  await page.getByRole('button', { name: /^Do this: borrow a casserole of 7\.5 l, \d+ cm across/ }).click();
  const told = page.getByTestId('portions');
  await expect(told).toContainText('10 people instead of 8', { timeout: 90_000 });
  await settled(page);
  await expect(told).toContainText('Brown: 3 batches instead of 2.');
  await expect(told).toContainText(/Boil: \d+ min on the Strong burner instead of \d+\./);
  await expect(told).toContainText('the borrowed casserole of 7.5 l instead of the iron casserole');
  await expect(told).toContainText('less than in proportion');
  await expect(told).toContainText('The first hand is wanted at');
  await people.fill('8');
  await expect(told).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('appetite and leftovers change what is cooked, and are kept', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByRole('radio', { name: 'light' }).click();
  await expect(page.getByText('cooks 3.2 portions as they are written')).toBeVisible();
  await page.getByRole('button', { name: 'Portions to be left over: more' }).click();
  await expect(page.getByText('cooks 4.2 portions')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'light' })).toBeChecked();
  await expect(page.getByRole('textbox', { name: 'Portions to be left over' })).toHaveValue('1');
});

test('which pot for what: another is chosen, the plan keeps to it, and lets go again', async ({ page }) => {
  await openMeal(page, 'boat');
  await page.getByRole('button', { name: 'Pots and pans' }).click();
  const rice = page.getByRole('button', { name: 'Vessel for Red rice: rice pot' });
  const before = await rice.textContent();
  await rice.click();
  const other = before?.includes('good') ? 'small pot' : 'the good pot';
  await page.getByRole('option', { name: other }).click();
  await expect(rice).toHaveText(`${other} · by hand`);
  await settled(page);
  await page.reload();
  await page.getByRole('button', { name: 'Pots and pans' }).click();
  await expect(rice).toHaveText(`${other} · by hand`);
  await rice.click();
  await page.getByRole('option', { name: 'whichever stands best' }).click();
  await expect(rice).not.toContainText('by hand');
});

test('a dish is laid on the bench, its liquid written back, and taken back', async ({ page }) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat');
  await page.getByRole('link', { name: 'Red rice on the bench' }).click();
  await expect(page.getByRole('button', { name: 'Grain', exact: true })).toContainText('red rice');
  await expect(page.getByRole('button', { name: 'Burner', exact: true })).toContainText('Galley of the boat');
  const dish = page.getByRole('region', { name: 'The dish' });
  await expect(dish).toContainText('which takes 620 ml');
  await expect(page.getByText('The school speaks of long grain rice')).toBeVisible();
  await expect(page.getByRole('img', { name: /The water: from the soak/ })).toBeVisible();
  await page.getByRole('radio', { name: 'not soaked' }).click();
  const liquid = await page.getByTestId('liquid').textContent();
  await dish.getByRole('button', { name: /Use this/ }).click();
  await expect(dish).toContainText(`Red rice now takes ${liquid} for 4.`);
  await page.reload();
  await expect(dish).toContainText(`which takes ${liquid}`);
  await expect(page.getByRole('radio', { name: 'not soaked' })).toBeChecked();
  await page.getByRole('radio', { name: 'soaked', exact: true }).click();
  await dish.getByRole('button', { name: /Use this/ }).click();
  await dish.getByRole('button', { name: 'take it back' }).click();
  await expect(dish).toContainText(`which takes ${liquid}`);
  expect(errors).toEqual([]);
});

test('a dish that is not there is said in words', async ({ page }) => {
  await visit(page, '/bench?meal=nowhere&dish=nothing');
  await expect(page.getByText('That dish is not in this browser')).toBeVisible();
  await expect(page.getByTestId('liquid')).toBeVisible();
});

test('salt is counted through the stock, and a drained grain has its water salted like soup', async ({ page }) => {
  await openBench(page);
  const salt = page.getByTestId('salt');
  await expect(salt).toContainText('2¼ tsp');
  await page.getByRole('radio', { name: 'a little too salty' }).click();
  await expect(salt).not.toContainText('2¼ tsp');
  await page.getByRole('button', { name: 'Method' }).click();
  await page.getByRole('option', { name: /boil and drain/i }).click();
  await expect(salt).toContainText('like soup');
  await expect(page.getByTestId('terms')).toContainText('is poured off');
});

test('fits the pot: which of the kitchen’s pots, how many batches, how wide a dish', async ({ page }) => {
  await openMeals(page);
  await openBench(page);
  await page.getByRole('tab', { name: 'fits the pot' }).click();
  await expect(page.getByTestId('pot-litres')).toHaveText('2 l');
  const pots = page.getByTestId('pots');
  await page.getByRole('button', { name: 'Kitchen' }).click();
  await page.getByRole('option', { name: 'Hall kitchen' }).click();
  await expect(pots.getByRole('listitem').filter({ hasText: 'this one' })).toContainText('3 l pot');
  await page.getByRole('slider', { name: 'Dry grain' }).fill('1500');
  await expect(pots.getByRole('listitem').filter({ hasText: '5 l pot' })).toContainText('would boil over');
  await page.getByRole('radio', { name: 'one layer, to brown' }).click();
  await page.getByRole('slider', { name: 'In all' }).fill('2000');
  await expect(page.getByTestId('batches')).toHaveText('3 batches');
  await page.getByRole('radio', { name: 'to be turned out' }).click();
  await expect(page.getByTestId('plate')).toHaveText('28 cm');
  await expect(page.getByText('Hot and heavy')).toBeVisible();
});

test('a mug of one’s own is measured once and measures everywhere; an amount is read as it is written', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('tab', { name: 'units' }).click();
  const own = page.getByRole('region', { name: 'Your own measures' });
  await own.getByRole('button', { name: 'Keep this measure' }).click();
  await expect(own.getByRole('alert')).toContainText('Name');
  await own.getByRole('textbox', { name: 'Name' }).fill('blue mug');
  await own.getByRole('slider', { name: 'It holds' }).fill('310');
  await own.getByRole('button', { name: 'Keep this measure' }).click();
  await expect(own.getByRole('listitem')).toContainText('310 ml');
  const written = page.getByRole('textbox', { name: 'As it is written' });
  await written.fill('some flour');
  await expect(page.getByText('Not an amount')).toBeVisible();
  await written.fill('2 1/2 blue mugs');
  await expect(page.getByTestId('measures').locator('dt', { hasText: /^ml$/ }).locator('+ dd')).toHaveText('775');
  await page.reload();
  await page.getByRole('button', { name: 'Measured with' }).click();
  await page.getByRole('option', { name: 'blue mug' }).click();
  await expect(page.getByTestId('liquid')).toContainText('blue mug');
});

test('a kitchen high above the sea, and a kettle first', async ({ page }) => {
  await openMeals(page);
  await visit(page, '/kitchens/hall');
  await page.getByRole('textbox', { name: 'Above the sea' }).fill('9000');
  await expect(page.getByText('a whole number from -430 to 5500. Kept at 0.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Above the sea' }).fill('2000');
  // By the link: a page that is loaded anew would cut off the storing.
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('tab', { name: 'to the boil' }).click();
  await page.getByRole('button', { name: 'Burner', exact: true }).click();
  await page.getByRole('option', { name: 'Weak burner, Hall kitchen' }).click();
  await expect(page.getByText('Water boils at 93')).toBeVisible();
  await expect(page.getByTestId('by-kettle')).toContainText('With a kettle first');
});
