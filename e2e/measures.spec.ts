import { expect, type Locator, type Page, test } from '@playwright/test';
import { inTable } from './browser-store';
import { EMPTY_STATE, goOn, LONG, NOON, NOON_STATE, openBench, openMeal, openMeals, settled, visit } from './kit';

/** Every view of the app; the bench's tab that shows an amount in everybody's measures is left out. */
const VIEWS = [
  '/',
  '/measures',
  '/kitchens/hall',
  '/kitchens/new',
  '/dishes',
  '/dishes/new',
  '/dishes/new?technique=pilaf',
  '/dishes/new?technique=braise',
  '/dishes/read',
  '/dishes/cheeks',
  '/evenings',
  '/bench',
  '/meals/harvest',
  '/meals/harvest/score',
  '/meals/harvest/rehearse',
  '/meals/harvest/prep',
  '/meals/harvest/prep/lay-out',
  '/meals/harvest/prep/ahead',
  '/meals/harvest/paper',
  '/meals/harvest/cook',
] as const;

/** All that a person reads or hears of a view once it is there, one line each. */
async function readAll(page: Page, view: string): Promise<readonly string[]> {
  await (page.url() === 'about:blank' ? visit : goOn)(page, view);
  await expect(page.getByRole('heading').first()).toBeVisible();
  if (view.endsWith('/cook')) {
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('region', { name: 'Next' })).toBeVisible();
  } else if (view.startsWith('/meals')) await settled(page);
  if (view.endsWith('/score')) await page.keyboard.press('ArrowRight');
  if (view === '/bench') await openBench(page);
  return page.evaluate(() => {
    // biome-ignore lint/performance/useDomNodeTextContent: only what is in sight, line by line
    const words = [document.title, ...document.body.innerText.split('\n')];
    for (const element of document.querySelectorAll('*')) {
      for (const name of ['aria-label', 'aria-valuetext', 'title', 'placeholder']) {
        const text = element.getAttribute(name);
        if (text) words.push(text);
      }
      if (element instanceof SVGTextElement || element instanceof SVGTitleElement)
        words.push(element.textContent ?? '');
      if (element instanceof HTMLInputElement && element.type === 'text' && element.labels?.[0]?.textContent !== 'Name')
        words.push(element.value);
      // Names that the cook gives are as they were given. Of a list to choose from the chosen one: others may be in any measure.
      if (element instanceof HTMLSelectElement) words.push(`1 ${element.selectedOptions[0]?.text ?? ''}`);
    }
    return words.filter((text) => text.trim() !== '');
  });
}

/** Lines that hold what a pattern looks for; options that are not chosen are not read. */
const strays = (words: readonly string[], pattern: RegExp) => [
  ...new Set(words.filter((text) => pattern.test(text) && !OPTIONS.test(text.trim()))),
];

const METRIC = /\d\s?(?:g|kg|ml|l|cm|mm|litres?|grams?)\b|°C|(?<![\d:])(?:[01]\d|2[0-3]):[0-5]\d(?![\d:]| [AP]M)/;
const FOREIGN = /°F|\b(?:cups?|oz|lbs?|quarts?)\b|\d [AP]M\b|\d\.\d/;

/** Names of units in lists to choose from. */
const OPTIONS = /^(g|kg|ml|l|tsp|tbsp|cup|cups|oz|lb|US cup|metric cup|Australian tbsp)$/;

const AMERICAN_RECIPE = `Tomato bean pot
Serves 4
2 cups chopped tomatoes
1 lb green beans
1/4 cup olive oil
1 tsp salt

Heat the oil in a pot over medium heat. Add the tomatoes and salt and simmer for 15 minutes. Add the beans and simmer for 20 minutes.
Serve.`;

/** From an empty browser to a plan: a kitchen, a dish of the shelf, one made by its technique, one read from a recipe. The actions it took. */
async function firstMeal(page: Page, recipe: string): Promise<number> {
  let actions = 0;
  const press = async (target: Locator) => {
    actions++;
    await target.click();
  };
  const write = async (target: Locator, words: string) => {
    actions++;
    await target.fill(words);
  };
  // What is cleared before the samples have come would be filled by them.
  await openMeals(page);
  await inTable(page, 'meals', () => ({ answer: null, clear: true as const }), null);
  await inTable(page, 'kitchens', () => ({ answer: null, clear: true as const }), null);
  await page.reload();
  const kitchen = page.getByRole('region', { name: 'Your kitchen' });
  await press(kitchen.getByRole('radiogroup', { name: 'Burners' }).getByRole('radio', { name: '3' }));
  await press(kitchen.getByRole('radio', { name: 'a small one' }));
  await press(kitchen.getByRole('button', { name: 'Make this kitchen' }));
  await write(page.getByLabel('Add a dish'), 'carrots');
  await press(page.getByRole('button', { name: /^\+ .*arrot/ }).first());
  await press(page.getByRole('link', { name: 'make a new one' }));
  await press(page.getByRole('link', { name: /^Grain, covered on the hob/ }));
  await write(page.getByLabel('Name of the dish'), 'Sunday rice');
  await write(page.getByLabel('How much long grain rice'), '2');
  await press(page.getByRole('button', { name: 'Keep it, and onto the menu' }));
  await press(page.getByRole('link', { name: 'read a recipe' }));
  await write(page.getByLabel(/^Paste it here/), recipe);
  await press(page.getByRole('button', { name: 'Read it' }));
  await press(page.getByRole('button', { name: 'Keep it, and onto the menu' }));
  await expect(page.getByRole('region', { name: 'Dishes' })).toContainText('3 on the menu');
  await settled(page);
  return actions;
}

/** Some views of the meal that this page shows; of the sample meals all are read below. */
const viewsOfMeal = (page: Page) => {
  const meal = new URL(page.url()).pathname;
  return ['', '/score', '/prep'].map((leaf) => meal + leaf);
};

test.describe('a first evening in cups and Fahrenheit', () => {
  test.use({ locale: 'en-US', storageState: EMPTY_STATE });
  test('takes few presses, and what was written in cups comes back in cups', async ({ page }) => {
    expect(await firstMeal(page, AMERICAN_RECIPE)).toBeLessThanOrEqual(60);
    for (const view of viewsOfMeal(page)) expect(strays(await readAll(page, view), METRIC), view).toEqual([]);
    await visit(page, '/dishes');
    await page.getByRole('link', { name: 'Tomato bean pot' }).click();
    const goesIn = page.getByRole('region', { name: 'What goes in' });
    await expect(goesIn.getByText('2 cups chopped tomatoes')).toBeVisible();
    await expect(goesIn.getByText('1 lb green beans')).toBeVisible();
    await expect(goesIn.getByText('¼ cup olive oil')).toBeVisible();
  });
});

test.describe('in the browser of an American', () => {
  test.use({ locale: 'en-US', storageState: NOON_STATE });
  test('no view says anything in grams, litres, Celsius or by 24 hours', async ({ page }) => {
    await page.clock.setFixedTime(NOON);
    const found: Record<string, readonly string[]> = {};
    for (const view of VIEWS) {
      const words = await readAll(page, view);
      expect(words.length, view).toBeGreaterThan(5);
      const stray = strays(words, METRIC);
      if (stray.length > 0) found[view] = stray;
    }
    expect(found).toEqual({});
  });
});

test.describe('in the browser of a German', () => {
  test.use({ locale: 'de-DE', storageState: NOON_STATE });
  // Who reads English in Germany: its words, and the measures that are usual there.
  test.beforeEach(({ page }) => page.addInitScript(() => localStorage.setItem('warm-cadence language', 'en')));
  test('no view says anything in cups, ounces, Fahrenheit, AM or PM, or with a point before tenths', {
    tag: LONG,
  }, async ({ page }) => {
    await page.clock.setFixedTime(NOON);
    const found: Record<string, readonly string[]> = {};
    // Where numbers with tenths, hours or another scale stand; the American reads all.
    for (const view of VIEWS.filter((each) => /bench|braise|cheeks|hall$|harvest(?:$|\/(?:paper|cook))/.test(each))) {
      const words = await readAll(page, view);
      const stray = strays(words, FOREIGN);
      if (stray.length > 0) found[view] = stray;
    }
    expect(found).toEqual({});
  });
});

test('what is chosen is followed at once and kept, and hours are read as they are written', async ({ page }) => {
  await openMeal(page, 'boat');
  await expect(page.getByLabel('On the table at')).toHaveValue('20:00');
  await page.getByRole('link', { name: 'Language and measures' }).click();
  await page.getByRole('radio', { name: 'AM and PM' }).click();
  await page.getByRole('radio', { name: 'Fahrenheit' }).click();
  await page.getByRole('radio', { name: /^US cups/ }).click();
  await expect(page.getByTestId('told-sample')).toContainText('At 6:40 PM: 1½ cups of rice');
  await page.reload();
  await expect(page.getByTestId('told-sample')).toContainText('400 °F');
  await visit(page, '/meals/boat');
  const hour = page.getByLabel('On the table at');
  await expect(hour).toHaveValue('8:00 PM');
  await hour.fill('half past');
  await hour.blur();
  await expect(hour).toHaveValue('8:00 PM');
  await hour.fill('8.15 pm');
  await hour.blur();
  await expect(hour).toHaveValue('8:15 PM');
  await expect(page.getByText('8:15 PM').first()).toBeVisible();
});
