import { expect, type Page, test } from '@playwright/test';
import { NOON, NOON_STATE, openBench, openMeal, settled, visit } from './kit';

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
  await visit(page, view);
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
const strays = (words: readonly string[], pattern: RegExp) => [...new Set(words.filter((text) => pattern.test(text)))];

/** Names of units in lists to choose from. */
const OPTIONS = /^(g|kg|ml|l|tsp|tbsp|cup|cups|oz|lb|US cup|metric cup|Australian tbsp)$/;

test.describe('in the browser of an American', () => {
  test.use({ locale: 'en-US', storageState: NOON_STATE });
  const METRIC = /\d\s?(?:g|kg|ml|l|cm|mm|litres?|grams?)\b|°C|(?<![\d:])(?:[01]\d|2[0-3]):[0-5]\d(?![\d:]| [AP]M)/;
  test('no view says anything in grams, litres, Celsius or by 24 hours', async ({ page }) => {
    await page.clock.setFixedTime(NOON);
    const found: Record<string, readonly string[]> = {};
    for (const view of VIEWS) {
      const words = (await readAll(page, view)).filter((text) => !OPTIONS.test(text.trim()));
      expect(words.length, view).toBeGreaterThan(5);
      const stray = strays(words, METRIC);
      if (stray.length > 0) found[view] = stray;
    }
    expect(found).toEqual({});
  });
});

test.describe('in the browser of a German', () => {
  test.use({ locale: 'de-DE', storageState: NOON_STATE });
  const FOREIGN = /°F|\b(?:cups?|oz|lbs?|quarts?)\b|\d [AP]M\b|\d\.\d/;
  test('no view says anything in cups, ounces, Fahrenheit, AM or PM, or with a point before tenths', async ({
    page,
  }) => {
    await page.clock.setFixedTime(NOON);
    const found: Record<string, readonly string[]> = {};
    for (const view of VIEWS) {
      if (view === '/measures') continue;
      const words = (await readAll(page, view)).filter((text) => !OPTIONS.test(text.trim()));
      const stray = strays(words, FOREIGN);
      if (stray.length > 0) found[view] = stray;
    }
    expect(found).toEqual({});
  });
});

test('what is chosen is followed at once and kept, and hours are read as they are written', async ({ page }) => {
  await openMeal(page, 'boat');
  await expect(page.getByLabel('On the table at')).toHaveValue('20:00');
  await page.getByRole('link', { name: 'How you measure' }).click();
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
