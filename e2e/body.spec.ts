import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { asPlannedUntil } from './browser-store';
import {
  beginEvening,
  goOn,
  NOON,
  NOON_STATE,
  openMeal,
  openMeals,
  overflow,
  soundOnlyWhenTouched,
  visit,
} from './kit';

// For every body: what axe finds (WCAG and good practice), contrast on the score, which axe does not look at, a page of 320 px, and a name for each view.

const VIEWS = [
  '/',
  '/dishes',
  '/dishes/new',
  '/dishes/read',
  '/dishes/barley',
  '/evenings',
  '/bench',
  '/measures',
  '/kitchens/new',
  '/kitchens/hall',
  '/meals/harvest',
  '/meals/harvest/score',
  '/meals/harvest/prep',
  '/meals/harvest/prep/lay-out',
  '/meals/harvest/prep/ahead',
  '/meals/harvest/paper',
  '/meals/harvest/rehearse',
  '/meals/harvest/cook',
  '/meals/none',
  '/nowhere',
] as const;

/** Views that between them have all pieces that others are made of. */
const BY_NIGHT = new Set<string>([
  '/',
  '/dishes/barley',
  '/bench',
  '/meals/harvest',
  '/meals/harvest/prep',
  '/meals/harvest/rehearse',
]);

/** The names by which views are told apart in a list of windows. */
const NAMES: Readonly<Record<string, string>> = {
  '/': 'Meals',
  '/dishes': 'Dishes',
  '/evenings': 'Evenings',
  '/bench': 'Bench',
  '/meals/harvest': 'Menu',
  '/meals/harvest/score': 'Score',
  '/meals/harvest/prep': 'Prep',
  '/meals/harvest/paper': 'Paper',
  '/nowhere': 'Nothing here',
};

/** What axe finds, a line each; by these of its rules, or by all. */
async function faults(page: Page, rules?: string[]): Promise<readonly string[]> {
  // In the page itself: otherwise each look opens another page to add up what it found in frames, of which there are none.
  const axe = new AxeBuilder({ page }).setLegacyMode();
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
}

/** The page in a language of words two fifths longer, read from the right, with as much room between letters and lines as a reader may ask for (WCAG 1.4.12). */
const inAnotherLanguage = (page: Page) =>
  page.evaluate(() => {
    document.documentElement.dir = 'rtl';
    const style = document.createElement('style');
    style.textContent =
      '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }';
    document.head.append(style);
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const kept: (readonly [text: Node, own: string, longer: string])[] = [];
    for (let text = texts.nextNode(); text; text = texts.nextNode()) {
      if (text.parentElement?.closest('script, style, textarea')) continue;
      const own = text.nodeValue!;
      const longer = own.replace(/[aeiou]/gi, (vowel) => vowel + vowel);
      text.nodeValue = longer;
      kept.push([text, own, longer]);
    }
    Object.assign(window, {
      inItsOwnLanguage() {
        document.documentElement.dir = 'ltr';
        style.remove();
        // What has been written anew meanwhile stays.
        for (const [text, own, longer] of kept) if (text.nodeValue === longer) text.nodeValue = own;
      },
    });
  });

/** And back. */
const inItsOwnLanguage = (page: Page) =>
  page.evaluate(() => (window as unknown as { inItsOwnLanguage(): void }).inItsOwnLanguage());

/** The page has all that it will have: its own heading, and nothing under way. */
async function settledView(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  await expect(page.getByText(/^(Opening|Looking for)/)).toHaveCount(0);
}

for (const [part, paths] of [VIEWS.slice(0, 10), VIEWS.slice(10)].entries()) {
  test(`every view, ${part + 1} of 2: each has a name, axe finds nothing by day and by night, and at 320 px nothing lies beyond the edge, nor in longer words from the right`, async ({
    page,
  }) => {
    for (const path of paths) {
      await test.step(path, async () => {
        await (page.url() === 'about:blank' || path === '/nowhere' ? visit : goOn)(page, path);
        await settledView(page);
        if (NAMES[path]) await expect.soft(page).toHaveTitle(new RegExp(`^${NAMES[path]} · `));
        expect.soft(await faults(page), path).toEqual([]);
        if (BY_NIGHT.has(path)) {
          await page.getByRole('button', { name: 'Change to night dress' }).click();
          await expect(page.locator('html[data-dress=night]')).toBeAttached();
          expect.soft(await faults(page, ['color-contrast']), `${path} by night`).toEqual([]);
          await page.getByRole('button', { name: 'Change to day dress' }).click();
        }
        await page.setViewportSize({ width: 320, height: 700 });
        await expect.soft.poll(() => overflow(page), { message: path, timeout: 5000 }).toBe('');
        await inAnotherLanguage(page);
        await expect.soft
          .poll(() => overflow(page), { message: `${path} in another language`, timeout: 5000 })
          .toBe('');
        await inItsOwnLanguage(page);
        await page.setViewportSize({ width: 1280, height: 800 });
      });
    }
  });
}

test('letters grow by one press, stay so, and nothing runs over the edge of a phone', async ({ page }) => {
  const letters = () => page.evaluate(() => Number.parseFloat(getComputedStyle(document.body).fontSize));
  await openMeals(page);
  const usual = await letters();
  await page.getByRole('button', { name: 'Make letters larger' }).click();
  await expect.poll(letters).toBeGreaterThan(1.15 * usual);
  await page.getByRole('button', { name: 'Make letters largest' }).click();
  await expect.poll(letters).toBeGreaterThan(1.35 * usual);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ['/', '/meals/harvest', '/meals/harvest/cook', '/dishes/barley', '/bench']) {
    await visit(page, path);
    await settledView(page);
    expect(await letters(), path).toBeGreaterThan(1.35 * usual);
    await expect.poll(() => overflow(page), { message: path, timeout: 5000 }).toBe('');
  }
  await visit(page, '/');
  await page.getByRole('button', { name: 'Usual letters' }).click();
  await expect.poll(letters).toBe(usual);
});

for (const dress of ['day', 'night'] as const) {
  test(`the score by ${dress}: with a step chosen every word keeps its contrast, and every ribbon is wide enough to hit`, async ({
    page,
  }) => {
    await page.addInitScript((kept) => localStorage.setItem('warm-cadence dress', kept), dress);
    await openMeal(page, 'harvest', '/score');
    await page.keyboard.press('Home');
    await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('chosen')).toBeVisible();
    expect(await faults(page)).toEqual([]);
    const { texts, weak } = await page.evaluate(contrasts);
    expect(texts).toBeGreaterThan(40);
    expect(weak).toEqual([]);
    const small = await page.locator('g[role=button][data-key]').evaluateAll((ribbons) =>
      ribbons
        .map((ribbon) => [ribbon.getAttribute('data-key'), ribbon.getBoundingClientRect()] as const)
        .filter(([, { width, height }]) => Math.round(width) < 24 || Math.round(height) < 24)
        .map(([key, { width, height }]) => `${key} ${width}x${height}`),
    );
    expect(small).toEqual([]);
  });
}

/** In the page: words of the score whose contrast to the ground, or to the line around their letters, is under 4.5 (WCAG 2.2, 1.4.3). */
function contrasts(): { texts: number; weak: string[] } {
  const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
  const rgb = (colour: string) => {
    canvas.clearRect(0, 0, 1, 1);
    canvas.fillStyle = colour;
    canvas.fillRect(0, 0, 1, 1);
    return [...canvas.getImageData(0, 0, 1, 1).data].slice(0, 3);
  };
  const light = (colour: readonly number[]) => {
    const [r, g, b] = colour.map((each) =>
      each / 255 <= 0.04045 ? each / 255 / 12.92 : ((each / 255 + 0.055) / 1.055) ** 2.4,
    );
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
  };
  const ground = rgb(getComputedStyle(document.body).backgroundColor);
  const texts = [...document.querySelectorAll('svg text')].filter((each) => each.textContent?.trim());
  const weak = texts.flatMap((each) => {
    let clear = 1;
    for (let at: Element | null = each; at; at = at.parentElement) clear *= Number(getComputedStyle(at).opacity);
    const { fill, stroke } = getComputedStyle(each);
    const around = stroke === 'none' ? ground : rgb(stroke);
    const mixed = rgb(fill).map((part, k) => part * clear + around[k]! * (1 - clear));
    const [a, b] = [light(mixed), light(around)];
    const contrast = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    return contrast < 4.5 ? [`${each.textContent} ${contrast.toFixed(2)}`] : [];
  });
  return { texts: texts.length, weak };
}

test.describe('at the stove', () => {
  test.use({ storageState: NOON_STATE });

  test('an evening under way: axe finds nothing, and what is pressed there is 64 px large', async ({
    page,
    context,
  }) => {
    await context.clock.install({ time: NOON });
    await openMeals(page);
    await beginEvening(page, 'boat');
    const at = await asPlannedUntil(page, -40);
    await page.clock.setFixedTime(at);
    await soundOnlyWhenTouched(page);
    await page.reload();
    await expect(page.getByTestId('table-line')).toBeVisible();
    await expect(page.getByRole('button', { name: 'silent until touched' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    const small = await page.locator('button, a').evaluateAll((all) =>
      all
        .filter((each) => !each.closest('[inert], [data-covered-by-stove]'))
        .map((each) => [each.textContent, each.getBoundingClientRect()] as const)
        .filter(([, { width, height }]) => width > 0 && (width < 64 || height < 64))
        .map(([words, { width, height }]) => `${words} ${Math.round(width)}x${Math.round(height)}`),
    );
    expect(small).toEqual([]);
  });
});
