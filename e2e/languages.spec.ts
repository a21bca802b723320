import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { LANGUAGES } from '@/words/languages';
import { goOn, LONG, NOON, NOON_STATE, overflow, visit } from './kit';

// In other languages: chosen or asked for, kept, from the server on; all that is said, on the screen of a phone too, from the right where it is read so.

const VIEWS = [
  '/',
  '/dishes',
  '/dishes/read',
  '/evenings',
  '/bench',
  '/measures',
  '/kitchens/hall',
  '/meals/harvest',
  '/meals/harvest/score',
  '/meals/harvest/prep',
  '/meals/harvest/prep/lay-out',
  '/meals/harvest/paper',
  '/meals/harvest/rehearse',
] as const;

/** Whose words are longest, and who reads from the right, walk every view each time; the others when everything is tested. */
const EACH_TIME: ReadonlySet<string> = new Set(['de', 'ar']);

/** So long is a text that cannot be a word of a dish or a name by chance. */
const LONGER = 14;

const catalogOf = (tag: string): Readonly<Record<string, string>> =>
  JSON.parse(readFileSync(`src/words/${tag}.json`, 'utf8'));

/** What is on a page, each text by itself and as it stands with its neighbours, and what a screen reader hears of it. */
const wordsOn = (page: Page) =>
  page.evaluate(() => {
    const texts = new Set<string>();
    const take = (text: string | null) => texts.add((text ?? '').replace(/[\u2066-\u2069]/g, '').trim());
    for (const each of document.querySelectorAll('body *:not(script, style)')) {
      for (const name of ['aria-label', 'title', 'placeholder']) take(each.getAttribute(name));
      const own = [...each.childNodes].filter(({ nodeType }) => nodeType === Node.TEXT_NODE);
      for (const text of own) take(text.nodeValue);
      if (own.length > 0) take(each.textContent);
    }
    return [...texts];
  });

test.describe('whoever comes with another language', () => {
  for (const { tag, name, direction } of LANGUAGES.filter(({ tag }) => tag !== 'en')) {
    test.describe(name, () => {
      test.use({ locale: tag, storageState: NOON_STATE });

      test(`is met in ${name}: no view says anything in English, and none is wider than a phone`, {
        tag: EACH_TIME.has(tag) ? [] : LONG,
      }, async ({ page }) => {
        const catalog = catalogOf(tag);
        const english = [catalog, catalogOf(`dishes/${tag}`)].flatMap((words) =>
          Object.entries(words).flatMap(([text, said]) => (text.length >= LONGER && text !== said ? [text] : [])),
        );
        await page.clock.install({ time: NOON });
        expect(await (await page.request.get('/', { headers: { 'accept-language': tag } })).text()).toContain(
          `<html lang="${tag}" dir="${direction}"`,
        );
        await page.setViewportSize({ width: 320, height: 700 });
        for (const path of VIEWS) {
          await test.step(path, async () => {
            await (path === '/' || page.url() === 'about:blank' ? visit : goOn)(page, path);
            await expect(page.locator(`html[lang=${tag}][dir=${direction}]`)).toBeAttached();
            await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
            await expect(page.getByText(catalog['Opening…']!)).toHaveCount(0);
            expect
              .soft(
                (await wordsOn(page)).filter((text) => english.some((each) => text.includes(each))),
                path,
              )
              .toEqual([]);
            await expect.soft.poll(() => overflow(page), { message: path, timeout: 5000 }).toBe('');
          });
        }
      });
    });
  }
});

test.describe('on paper', () => {
  test.use({ locale: 'ar', storageState: NOON_STATE });

  test('where PDFs have no such letters the sheet is printed, and that is said', async ({ page }) => {
    const catalog = catalogOf('ar');
    await page.clock.install({ time: NOON });
    await visit(page, '/meals/harvest/paper');
    const paper = page.getByRole('region', { name: catalog['On paper']! });
    await expect(paper.getByRole('status')).toHaveText(
      catalog['PDFs made here do not have these letters yet. Print, and choose to save it as a PDF there.']!,
    );
    await expect(paper.getByRole('button')).toHaveText([catalog['Print the sheet for the wall']!]);
  });
});

test.describe('in Persian figures', () => {
  test.use({ locale: 'fa', storageState: NOON_STATE });

  test('all numbers stand, what is set in bold too; those to choose from stand each in its own', async ({ page }) => {
    await page.clock.install({ time: NOON });
    await visit(page, '/bench');
    const main = page.locator('main');
    await expect(main.locator('strong').filter({ hasText: /[۰-۹]/ }).first()).toBeVisible();
    await expect.poll(() => main.textContent()).not.toMatch(/[0-9]/);
    // Its colours are codes with figures in them; they are there when its charts are drawn.
    await expect(main.locator('svg [fill^="#"], svg [fill^="rgb"]').first()).toBeAttached();
    const colours = await main
      .locator('svg [fill]')
      .evaluateAll((drawn) => drawn.map((each) => each.getAttribute('fill')));
    expect(colours.join(' ')).not.toMatch(/[۰-۹]/);
    await visit(page, '/measures');
    for (const figures of ['1 2 3 4', '۱ ۲ ۳ ۴', '१ २ ३ ४']) {
      const asWritten = new RegExp(figures.split(' ').join('\\ufe0e? '));
      await expect(page.getByRole('radio', { name: asWritten })).toHaveCount(1);
    }
  });
});

test.describe('at the stove', () => {
  test.use({ locale: 'ar', storageState: NOON_STATE });

  test('an evening is planned, begun and told in Arabic', async ({ page }) => {
    const catalog = catalogOf('ar');
    await page.clock.install({ time: NOON });
    await visit(page, '/meals/boat/cook');
    await page.getByRole('button', { name: catalog['Begin at the stove']! }).click();
    await expect(page.getByTestId('quiet')).toContainText(catalog['Nothing for the hands']!, { timeout: 30_000 });
    await page.getByRole('button', { name: catalog['evening']!, exact: true }).click();
    const late = page.getByRole('dialog').locator('section', { hasText: catalog['The guests are late']! });
    await late.getByRole('button').first().click();
    // What the planner on its own thread puts into words.
    await expect(page.getByTestId('moved')).toContainText(/[\u0600-\u06ff]{3}/);
  });
});

test.describe('the choice', () => {
  test.use({ storageState: NOON_STATE });

  test('of a language holds at once, after a reload, and for what comes from the server; and can be taken back', async ({
    page,
  }) => {
    await visit(page, '/measures');
    await page.getByRole('combobox', { name: 'Language' }).selectOption({ label: 'Deutsch' });
    await expect(page.getByRole('heading', { level: 1, name: 'Sprache und Maße' })).toBeVisible();
    await expect(page.getByTestId('told-sample')).toContainText('in den Topf mit 2,5 l');
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: 'Sprache und Maße' })).toBeVisible();
    expect(await (await page.request.get('/')).text()).toContain('<html lang="de"');
    await page.getByRole('link', { name: 'Gerichte' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Gerichte' })).toBeVisible();
    await visit(page, '/measures');
    await page.getByRole('combobox', { name: 'Sprache' }).selectOption({ index: 0 });
    await expect(page.getByRole('heading', { level: 1, name: 'Language and measures' })).toBeVisible();
    expect(await (await page.request.get('/')).text()).toContain('<html lang="en"');
  });
});
