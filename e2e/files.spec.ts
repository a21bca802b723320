import { readFileSync } from 'node:fs';
import { type Download, expect, type Page, test } from '@playwright/test';
import ICAL from 'ical.js';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { LONG, openMeal, openMeals, settled, visit, watchForErrors } from './kit';

const paper = (page: Page) => page.getByRole('navigation').getByRole('link', { name: 'Paper' }).click();
const bytes = async (download: Promise<Download>) => readFileSync(await (await download).path());

const WORDS = /\p{L}{3}/u;

const solid = (text: string) => text.replaceAll(/\s/g, '');

/** Pages of a PDF with their size in points and all text with where it stands. */
async function readPdf(data: Uint8Array) {
  const document = await getDocument({ data: new Uint8Array(data), verbosity: 0 }).promise;
  const { info } = (await document.getMetadata()) as { info: { Title?: string; Language?: string } };
  const pages = [];
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const [, , width, height] = page.view as [number, number, number, number];
    const items = (await page.getTextContent()).items.flatMap((item) =>
      'str' in item && item.str.trim() ? [item] : [],
    );
    pages.push({ width, height, items, text: items.map(({ str }) => str).join(' '), info });
  }
  return pages;
}

for (const [size, width, height] of [
  ['A4', 595.28, 841.89],
  ['US Letter', 612, 792],
] as const) {
  test(`sheets on ${size} fit their page, as PDF without a network and from the browser’s print`, {
    tag: size === 'A4' ? [] : LONG,
  }, async ({ page, context }) => {
    const errors = watchForErrors(page);
    await openMeal(page, 'midwinter');
    // A name in three alphabets: it stands on the sheets as it is written.
    const title = 'Midwinter table, Вечеря, Δείπνο';
    await page.getByLabel('Name').fill(title);
    await page.getByLabel('Name').blur();
    await expect(page.getByRole('heading', { name: title })).toBeVisible();
    await paper(page);
    await page.getByRole('radio', { name: size }).click();
    await expect(page.getByRole('radio', { name: size })).toBeChecked();
    const rows = page.getByTestId('wall-sheet').getByRole('listitem');
    expect(await rows.count()).toBeGreaterThan(45);
    await expect(page.getByText('PDFs can be saved now, also without a network.')).toBeVisible();
    await context.setOffline(true);
    const sheets = [
      ['Save it as PDF', 'Slow pork shoulder', title],
      ['Laid out, PDF', 'At the board', `Laid out: ${title}`],
      ['Shopping, PDF', `To buy: ${title}`, `To buy: ${title}`],
    ] as const;
    for (const [name, holds, called] of size === 'A4' ? sheets : sheets.slice(0, 1)) {
      const saved = page.waitForEvent('download');
      await page.getByRole('button', { name }).click();
      const pages = await readPdf(await bytes(saved));
      expect(pages.length, name).toBeLessThanOrEqual(2);
      // Where one font ends and the next begins the reader of PDFs sees a blank.
      expect(solid(pages.map(({ text }) => text).join(' '))).toContain(solid(holds));
      for (const { items, ...own } of pages) {
        expect(own.width).toBeCloseTo(width, 0);
        expect(own.height).toBeCloseTo(height, 0);
        expect(own.info).toMatchObject({ Title: called, Language: 'en' });
        for (const { transform, width: wide, str } of items) {
          expect(transform[4], str).toBeGreaterThanOrEqual(20);
          expect(transform[4] + wide, str).toBeLessThanOrEqual(width - 20);
          expect(transform[5], str).toBeGreaterThanOrEqual(20);
          // Numbers of dishes beside thin bars may be smaller.
          if (WORDS.test(str)) expect(Math.hypot(transform[0], transform[1]), str).toBeGreaterThan(8.9);
        }
      }
    }
    await context.setOffline(false);
    const printed = await readPdf(await page.pdf({ preferCSSPageSize: true }));
    expect(printed).toHaveLength(2);
    await expect(page.getByText('read from the stove: it takes 2')).toBeVisible();
    const words = solid(printed.map(({ text }) => text).join(' '));
    // To the last row and what stands below it: nothing is cut off at the foot.
    for (const row of await rows.allTextContents()) expect(words).toContain(solid(row).slice(0, 40));
    expect(words).toContain('Careful.');
    expect(words).not.toContain('Provenbest');
    for (const { height: tall, items } of printed) {
      expect(tall).toBeCloseTo(height, -1);
      for (const { transform, str } of items)
        if (WORDS.test(str)) expect(Math.hypot(transform[0], transform[1]), str).toBeGreaterThan(8.9);
    }
    expect(errors.filter((error) => !error.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([]);
  });
}

test('lists are printed on few pages, and the score whole, on its side', async ({ page }) => {
  const printed = async (path: string, few: number) => {
    await visit(page, path);
    await settled(page);
    const pages = await readPdf(await page.pdf({ format: 'A4', preferCSSPageSize: true }));
    expect(pages.length, path).toBeLessThanOrEqual(few);
    return pages;
  };
  const words = (pages: Awaited<ReturnType<typeof readPdf>>) => solid(pages.map(({ text }) => text).join(' '));
  expect(words(await printed('/meals/midwinter/prep', 2))).toContain(solid('4 kg boned pork shoulder'));
  expect(words(await printed('/meals/midwinter/prep/lay-out', 3))).toContain(solid('skimmed pork juices'));
  const score = await printed('/meals/midwinter/score', 2);
  expect(score[0]!.width).toBeGreaterThan(score[0]!.height);
  for (const name of ['the table', 'Shredded sprouts', 'Slow pork shoulder', 'second cook: hands'])
    expect(words(score)).toContain(solid(name));
  for (const { items, width } of score)
    for (const { transform, width: wide, str } of items)
      expect(transform[4] + wide, str).toBeLessThanOrEqual(width - 20);
  // On the screen it has the width of the window again.
  const wide = () =>
    page
      .getByTestId('score')
      .evaluate((sheet) =>
        Math.max(...[...sheet.querySelectorAll('svg')].map((each) => each.getBoundingClientRect().right)),
      );
  await expect.poll(wide).toBeGreaterThan(1200);
});

test('the calendar holds what the sheet says, and only the days before when asked', async ({ page }) => {
  await openMeal(page, 'boat');
  await paper(page);
  const read = async () => {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'save for a calendar' }).click();
    const calendar = new ICAL.Component(ICAL.parse((await bytes(saved)).toString('utf8')));
    return calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  };
  const all = await read();
  expect(all.map(({ summary }) => summary)).toContain('Set to soak: Spiced chickpeas');
  expect(all.at(-1)!.summary).toBe('Two burners on the boat: to the table');
  await page.getByRole('radio', { name: 'only the days before' }).click();
  const early = await read();
  expect(early.map(({ summary }) => summary)).toEqual(['Set to soak: Spiced chickpeas']);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'plan as a table' }).click();
  expect((await bytes(saved)).toString('utf8')).toMatch(/^day,from,to,minutes,dish,step,/);
});

test('a meal goes out as a file and comes back: asked where it differs, never overwritten in silence', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await openMeal(page, 'boat');
  await paper(page);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'the whole meal as a file' }).click();
  const buffer = await bytes(saved);
  expect(JSON.parse(buffer.toString('utf8'))).toMatchObject({
    format: 'warm-cadence/meal',
    version: 3,
    meal: { id: 'boat' },
  });
  const other = JSON.parse(buffer.toString('utf8'));
  other.meal.people = 7;
  const changed = { name: 'theirs.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(other)) };
  await page.getByRole('link', { name: 'Warm Cadence' }).click();
  const files = page.getByLabel('Files to open');
  await files.setInputFiles([
    { name: 'same.json', mimeType: 'application/json', buffer },
    { name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"}') },
    changed,
  ]);
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('The meal Two burners on the boat differs in people.');
  await dialog.getByRole('button', { name: 'Bring it in' }).click();
  const status = page.getByRole('region', { name: 'Files' }).getByRole('status');
  await expect(status).toContainText('Two burners on the boat is here.');
  await expect(status).toContainText(
    'odd.json: format: this must be a meal, a dish or a backup of Warm Cadence; found "x".',
  );
  await expect(status).toContainText('Two burners on the boat (2) is here.');
  const cards = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /Two burners/ }) });
  await expect(cards).toHaveCount(2);
  await expect(cards.filter({ hasText: '(2)' })).toContainText('7 at the table');
  expect(errors).toEqual([]);
});

test('files are dropped on the page; a backup puts everything back or nothing', async ({ page }) => {
  await openMeals(page);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything' }).click();
  const whole = (await bytes(saved)).toString('utf8');
  const drop = (text: string) =>
    page.evaluate((words) => {
      const data = new DataTransfer();
      data.items.add(new File([words], 'backup.json', { type: 'application/json' }));
      window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
    }, text);
  await page.getByRole('button', { name: 'New meal' }).click();
  await expect(page.getByRole('heading', { name: 'New meal' })).toBeVisible();
  await page.getByRole('link', { name: 'Warm Cadence' }).click();
  // Of the first page only: the meal's own has that heading too.
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'New meal' })).toBeVisible();
  await drop(whole.slice(0, -20));
  const status = page.getByRole('region', { name: 'Files' }).getByRole('status');
  await expect(status).toContainText('not whole JSON');
  await drop(whole);
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('holds 4 meals');
  await dialog.getByRole('button', { name: 'Keep what is here' }).click();
  await expect(page.getByRole('heading', { name: 'New meal' })).toBeVisible();
  await drop(whole);
  await dialog.getByRole('button', { name: 'Put it back' }).click();
  await expect(status).toContainText('Put back');
  await expect(page.getByRole('heading', { name: 'New meal' })).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Midwinter table' })).toBeVisible();
});
