import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import { asPlannedUntil } from '../e2e/browser-store';
import { browserHere } from './browser.mjs';
import { boatWithEvenings } from './past-evenings';

/** Takes docs/screenshots anew from the demo data: one picture of each main view. */
const PORT = 3219;
const BASE = `http://localhost:${PORT}`;
const root = fileURLToPath(new URL('..', import.meta.url));

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  readonly before?: (page: Page) => Promise<void>;
}

const settled = async (page: Page) => {
  await page.getByTestId('verdict').waitFor();
  await page.getByText('Looking for a better plan').waitFor({ state: 'detached', timeout: 20_000 });
};

/** A recipe as somebody writes it in a letter. */
const LETTER = `Leek and barley pot

You asked for it, so here it is. It does four of us.

300 g pearl barley
3 leeks, in rings
1 litre hot stock
40 g butter
thyme, bay
1 tub of crème fraîche

Soften the leeks in the butter for 8 minutes. Add the barley and toast it for 3 minutes, then pour in the stock with the thyme and bay and simmer, covered, for 35 minutes.
Meanwhile, whisk the crème fraîche with a little of the hot stock.
Let the pot stand for 10 minutes, stir in the crème fraîche and serve at once.

It is even better the next day.`;

const SHOTS: readonly Shot[] = [
  {
    name: 'menu',
    path: '/meals/harvest',
    before: async (page) => {
      await settled(page);
      await page.getByRole('textbox', { name: 'People at the table' }).fill('7');
      await page.getByTestId('portions').waitFor();
      await settled(page);
    },
  },
  {
    name: 'score',
    path: '/meals/harvest/score',
    before: async (page) => {
      await settled(page);
      await page.locator('[data-key="cheeks/braise"]').click();
    },
  },
  {
    name: 'rehearse',
    path: '/meals/midwinter/rehearse',
    before: async (page) => {
      await settled(page);
      await page.getByTestId('rehearsed').waitFor();
    },
  },
  { name: 'score-fourteen', path: '/meals/midwinter/score', before: settled },
  { name: 'score-phone', path: '/meals/boat/score', width: 390, height: 844, before: settled },
  {
    name: 'cook',
    path: '/meals/harvest/cook',
    before: cookUntilQuarterPastSix,
  },
  { name: 'kitchen', path: '/kitchens/hall' },
  { name: 'kitchen-new', path: '/kitchens/new' },
  {
    name: 'read',
    path: '/dishes/read',
    before: async (page) => {
      await page.getByRole('textbox', { name: /Paste it here/ }).fill(LETTER);
      await page.getByRole('button', { name: 'Read it' }).click();
      await page.getByRole('button', { name: /^1 ?Soften/ }).click();
    },
  },
  {
    name: 'prep',
    path: '/meals/harvest/prep',
    before: (page) => page.getByRole('region', { name: 'Shopping' }).waitFor(),
  },
  {
    name: 'lay-out',
    path: '/meals/harvest/prep/lay-out',
    before: async (page) => {
      await settled(page);
      await page.getByRole('region', { name: 'At the board' }).waitFor();
    },
  },
  {
    name: 'ahead',
    path: '/meals/harvest/prep/ahead',
    before: async (page) => {
      await settled(page);
      await page.getByRole('radio', { name: /Up to “braise”/ }).click();
      await page.getByText('into the fridge, Beef cheeks').waitFor();
      await settled(page);
    },
  },
  {
    name: 'paper',
    path: '/meals/harvest/paper',
    before: async (page) => {
      await settled(page);
      await page.getByTestId('wall-sheet').waitFor();
    },
  },
  { name: 'dishes', path: '/dishes', before: (page) => page.getByRole('status').waitFor() },
  {
    name: 'dish',
    path: '/dishes/new?technique=turned-out',
    height: 1200,
    before: async (page) => {
      const boiled = page.getByRole('region', { name: 'Part: Meat boiled for its broth' });
      // A press before the page is dressed is lost.
      while (!(await boiled.isVisible())) {
        await page.getByRole('radio', { name: 'meat, boiled before' }).click();
        await page.waitForTimeout(200);
      }
    },
  },
  { name: 'meals', path: '/' },
  {
    name: 'evenings',
    path: '/',
    before: async (page) => {
      await openEvenings(page);
      await page.getByRole('region', { name: 'What they have taught' }).waitFor();
    },
  },
  {
    name: 'evening',
    path: '/',
    before: async (page) => {
      await openEvenings(page);
      await page
        .getByRole('link', { name: /Two burners/ })
        .first()
        .click();
      await page.getByRole('listitem', { name: 'Red rice' }).getByRole('radio', { name: 'too wet' }).click();
      await page.getByText('5 % less liquid.').waitFor();
    },
  },
  {
    name: 'bench',
    path: '/bench?meal=harvest&dish=brown-rice',
    before: async (page) => {
      await page.getByRole('region', { name: 'The dish' }).waitFor();
      await page.getByRole('img', { name: 'The water' }).locator('svg text').first().waitFor();
    },
  },
];

/** Brings in four simulated evenings and goes to them. */
async function openEvenings(page: Page): Promise<void> {
  const buffer = Buffer.from(JSON.stringify(await boatWithEvenings()));
  await page.getByLabel('Files to open').setInputFiles({ name: 'boat.json', mimeType: 'application/json', buffer });
  const bring = page.getByRole('button', { name: 'Bring it in' });
  const here = page.getByText('is here.');
  await bring.or(here).waitFor();
  if (await bring.isVisible()) await bring.click();
  await here.waitFor();
  await page.getByRole('link', { name: 'Evenings' }).click();
}

/** Begins at the stove and lets the clock run to a quarter past six, everything told as planned. */
async function cookUntilQuarterPastSix(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin at the stove' }).click();
  await page.getByTestId('table-line').waitFor();
  await asPlannedUntil(page, -75);
  const away = await page.evaluate(() => {
    const tomorrow = new Date(Date.now() + 86_400_000);
    tomorrow.setHours(18, 15, 20, 0);
    return tomorrow.getTime() - Date.now();
  });
  await page.clock.fastForward(away);
  await page.waitForTimeout(1500);
  await page.reload();
  await page.getByTestId('table-line').waitFor();
  await page.waitForTimeout(800);
}

const server = spawn(process.execPath, ['tools/demo.mjs', '--port', String(PORT)], { cwd: root, stdio: 'ignore' });
try {
  await answering();
  const browser = await chromium.launch({
    executablePath: browserHere() ?? '',
    args: ['--no-sandbox', '--disable-gpu', '--disable-features=OnDeviceWebSpeechAvailable'],
  });
  for (const shot of SHOTS.filter((each) => process.argv.length < 3 || process.argv.includes(each.name))) {
    const context = await browser.newContext({
      viewport: { width: shot.width ?? 1280, height: shot.height ?? 800 },
      timezoneId: 'Europe/Berlin',
      locale: 'en-GB',
    });
    const page = await context.newPage();
    await page.clock.install({ time: new Date('2026-11-25T12:00:00') });
    await page.goto(BASE);
    await page.getByRole('heading', { name: 'Midwinter table' }).waitFor();
    // The plans of all meals first, so that every view has something to show.
    for (const id of ['harvest', 'boat', 'midwinter']) {
      await page.goto(`${BASE}/meals/${id}`);
      await settled(page);
    }
    await page.goto(`${BASE}${shot.path}`);
    await page.waitForLoadState('networkidle');
    await shot.before?.(page);
    await page.screenshot({ path: `${root}/docs/screenshots/${shot.name}.png` });
    await context.close();
  }
  await browser.close();
} finally {
  server.kill('SIGTERM');
}

async function answering(): Promise<void> {
  for (let attempt = 0; attempt < 240; attempt++) {
    const fine = await fetch(BASE).then(
      (answer) => answer.ok,
      () => false,
    );
    if (fine) return;
    await new Promise((resolve) => setTimeout(resolve, 1000));
  }
  throw new Error('The demo did not start.');
}
