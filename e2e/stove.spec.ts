import { expect, type Page, test } from '@playwright/test';
import { SHELF } from '@/core/dish/shelf';
import type { Meal } from '@/core/meal/meal';
import { asPlannedUntil, inTable } from './browser-store';
import {
  beginEvening,
  LONG,
  NOON,
  NOON_STATE,
  openFile,
  openMeal,
  openMeals,
  supperOf,
  visit,
  watchForErrors,
} from './kit';

/** What a cook reads in the pots, on the two screens that stand beside a stove, by a clock that the test moves. */

test.use({ storageState: NOON_STATE });

interface Step {
  readonly key: string;
  readonly name: string;
  readonly dishId: string;
  readonly start: number;
  readonly end: number;
}
interface Stored {
  readonly tableAt: number;
  readonly moved: string;
  readonly kinds: readonly string[];
  readonly steps: readonly Step[];
}

async function stored(page: Page): Promise<Stored> {
  return inTable(
    page,
    'sessions',
    ([session]: readonly {
      tableAt: number;
      moved: string;
      events: readonly { kind: string }[];
      plan: { steps: readonly Step[] };
    }[]) => {
      const { tableAt, moved, events, plan } = session!;
      const steps = plan.steps.map(({ key, name, dishId, start, end }) => ({ key, name, dishId, start, end }));
      return { answer: { tableAt, moved, kinds: events.map(({ kind }) => kind), steps } };
    },
    null,
  );
}

const shelf = (...names: readonly string[]): Meal['dishes'] =>
  names.map((name) => SHELF.find((dish) => dish.name === name)!);

/** An evening of these dishes, all told as planned until so many minutes after a step of it begins. */
async function eveningAt(page: Page, dishes: Meal['dishes'], step: RegExp, after: number): Promise<Stored> {
  await page.clock.install({ time: NOON });
  await openMeals(page);
  await openFile(page, supperOf('supper', 'Two pots', dishes));
  await beginEvening(page, 'supper');
  const evening = await stored(page);
  const found = evening.steps.find(({ name }) => step.test(name))!;
  const at = await asPlannedUntil(page, found.start + after);
  await page.clock.setSystemTime(at);
  await page.reload();
  await expect(page.getByTestId('answers')).toBeVisible();
  return evening;
}

/** Names of buttons in sight that a wet knuckle would miss. */
async function tooSmall(page: Page): Promise<readonly string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[data-dress="night"] button, [data-dress="night"] a')]
      .filter((each) => each.offsetParent !== null && each.getBoundingClientRect().height > 0)
      .filter((each) => each.getBoundingClientRect().height < 63.5 && !each.closest('header'))
      .map((each) => `${each.textContent} ${Math.round(each.getBoundingClientRect().height)}`),
  );
}

const BEEF = 'Beef and rice with dark onions';

for (const [screen, width, height] of [
  ['a phone', 390, 844],
  ['a tablet', 1024, 768],
] as const) {
  test(`on ${screen}: onions by their colour, broth by the mug, three more at the door, and an undo that restores`, {
    tag: screen === 'a phone' ? [] : LONG,
  }, async ({ page }) => {
    test.setTimeout(300_000);
    await page.setViewportSize({ width, height });
    const errors = watchForErrors(page);
    const evening = await eveningAt(page, shelf(BEEF, 'Carrot soup'), /^onions/, 12);
    const answers = page.getByTestId('answers');
    // Glassy still, when they should nearly be brown: the end moves at the first look.
    const stages = page.getByTestId('stages').filter({ hasText: 'What colour are they?' });
    await expect(stages.getByRole('button', { name: /wanted/ })).toHaveCount(1);
    await stages.getByRole('button', { name: 'glassy' }).click();
    await expect(stages.getByRole('status')).toContainText(/About \d+ min more until: (dark )?brown/);
    await expect(page.getByTestId('moved')).toContainText(/glassy/);
    expect(await tooSmall(page)).toEqual([]);
    const onions = (of: Stored) => of.steps.find(({ name }) => name.startsWith('onions'))!;
    await expect.poll(async () => onions(await stored(page)).end).toBeGreaterThan(onions(evening).end + 3);
    // Taken back, plan and hour are what they were to the minute.
    const before = await stored(page);
    await page.keyboard.press('e');
    await page.getByRole('button', { name: '20 min', exact: true }).click();
    await expect.poll(async () => (await stored(page)).tableAt).toBe(before.tableAt + 20 * 60_000);
    await answers.getByRole('button', { name: 'undo' }).click();
    await expect.poll(async () => (await stored(page)).tableAt).toBe(before.tableAt);
    expect((await stored(page)).steps).toEqual(before.steps);
    await expect(page.getByTestId('moved')).toContainText('as it was');

    // Three more: each way is planned, and says what a portion becomes.
    await page.keyboard.press('e');
    await page.getByRole('button', { name: '3 more' }).click();
    const door = page.getByRole('list', { name: 'How they are fed' });
    await expect(door).toContainText(/a portion is 57 % of what it was/);
    await expect(door.getByText('Planning what it leads to…')).toHaveCount(0);
    await door.getByRole('button', { name: /^bread, cut/i }).click();
    await expect.poll(async () => (await stored(page)).steps.map(({ dishId }) => dishId)).toContain('extra-bread');
    await expect.poll(async () => (await stored(page)).kinds).toEqual(expect.arrayContaining(['guests', 'added']));
    // And the log says why the evening went as it did.
    await page.keyboard.press('e');
    const log = page.getByRole('list', { name: 'What was told' });
    await expect(log).toContainText('looked, glassy');
    await expect(log).toContainText('3 more at the table');
    await expect(log).toContainText('Bread, cut added');
    await page.getByRole('dialog').getByRole('button', { name: 'back', exact: true }).click();
    await visit(page, '/');
    await expect(page.getByRole('listitem').filter({ hasText: 'Two pots' })).toContainText('7 at the table');
    expect(errors).toEqual([]);
  });
}

test('on a phone: what is wrong with a dish is put right, what was forgotten goes in or not, and a taste is remembered', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await page.setViewportSize({ width: 390, height: 844 });
  const evening = await eveningAt(page, shelf('Beef braised in wine', 'Plain long grain rice'), /^covered/, 10);
  await page.keyboard.press('e');
  const wrong = page.getByRole('region', { name: 'Something is wrong with' });
  await wrong.getByRole('button', { name: 'Plain long grain rice' }).click();
  await page.getByRole('button', { name: 'dry, or hard at the heart' }).click();
  const ways = page.getByRole('list', { name: 'What saves it' });
  await expect(ways).toContainText(/Sprinkled, not poured/);
  await expect(ways.getByText('Planning what it leads to…')).toHaveCount(0);
  await expect(ways).toContainText(/7 min · /);
  await ways.getByRole('button', { name: /ml of boiling water over it/i }).click();
  await expect.poll(async () => (await stored(page)).kinds).toContain('rescued');
  // Raw meat does not go into a pot that has no time for it.
  await page.keyboard.press('e');
  await wrong.getByRole('button', { name: 'Beef braised in wine' }).click();
  await page.getByRole('button', { name: 'Something was forgotten' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /beef/ }).first().click();
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('would not be safe');
  await expect(page.getByRole('dialog').getByRole('button', { name: 'do that' })).toHaveCount(0);
  await page.getByRole('dialog').getByRole('button', { name: 'back', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'back', exact: true }).click();
  // A spoon of the braise near its end: what the tongue finds, one small step, and again.
  const braise = evening.steps.find(({ name }) => name.startsWith('braise'))!;
  await page.clock.setSystemTime(await asPlannedUntil(page, braise.end - 6));
  await page.reload();
  const pot = page.locator(`[data-testid="watched"][data-key="${braise.key}"]`);
  await pot.getByRole('button').first().click();
  await pot.getByRole('button', { name: 'taste it' }).click();
  const tasting = page.getByTestId('taste');
  await tasting.getByRole('button', { name: 'too sour' }).click();
  await expect(tasting.getByRole('status')).toContainText(/tsp sugar/);
  await tasting.getByRole('button', { name: 'it is in' }).click();
  await expect.poll(async () => (await stored(page)).kinds).toContain('tasted');
  await page.keyboard.press('e');
  await expect(page.getByRole('list', { name: 'What was told' })).toContainText(/tasted sour: .*sugar went in/);
});

test('a burner fails: where each pot goes stands there until it is said to stand there', async ({ page }) => {
  await eveningAt(page, shelf('Plain long grain rice', 'Carrot soup'), /^covered/, 4);
  const rice = (await stored(page)).steps.find(({ name }) => name.startsWith('covered'))!;
  const place = page.locator(`[data-testid="watched"][data-key="${rice.key}"]`);
  await place.getByRole('button').first().click();
  const burner = (await place.textContent())!.match(/Burner (?:one|two|three|four)/)![0];
  await page.keyboard.press('e');
  await page.getByRole('region', { name: 'A burner gives no heat' }).getByRole('button', { name: burner }).click();
  const carry = page.getByTestId('carry');
  await expect(carry).toContainText(new RegExp(`Move .* from ${burner} to`));
  await carry.getByRole('button', { name: /it stands there/ }).click();
  await expect(carry).toHaveCount(0);
  await expect.poll(async () => (await stored(page)).kinds).toEqual(expect.arrayContaining(['failed', 'moved']));
});

test('what was done last night is settled when the evening begins, and the hour stays', async ({ page }) => {
  await page.clock.install({ time: NOON });
  await openMeal(page, 'boat', '/cook');
  // An hour and a half before the table of 20:00, three days later.
  await page.clock.setSystemTime(new Date('2026-11-28T17:30:00Z'));
  await page.reload();
  const earlier = page.getByRole('region', { name: 'Before now' });
  await expect(earlier).toContainText(/soak/);
  const soaked = earlier.getByRole('button', { name: /: done$/ });
  await expect(soaked.first()).toHaveAttribute('aria-pressed', 'true');
  for (const each of await soaked.all()) await each.click();
  await page.getByRole('button', { name: 'Begin at the stove' }).click();
  await expect(page.getByTestId('table-line')).toBeVisible();
  await expect.poll(async () => new Set((await stored(page)).kinds)).toEqual(new Set(['settled']));
  const { tableAt, steps } = await stored(page);
  expect(tableAt).toBe(new Date('2026-11-28T19:00:00Z').getTime());
  expect(Math.max(...steps.map(({ end }) => end))).toBeLessThanOrEqual(5);
});

test('two cooks: each screen has the work of one of them, and a press gives it to the other', async ({
  page,
  context,
}) => {
  await page.clock.install({ time: NOON });
  await beginEvening(page, 'harvest');
  const at = await asPlannedUntil(page, -60);
  await context.clock.install({ time: new Date(at) });
  await page.clock.setSystemTime(at);
  await page.reload();
  const screens = page.getByRole('group', { name: 'Whose screen' });
  await expect(screens.getByRole('button')).toHaveCount(3);
  const other = await context.newPage();
  await visit(other, '/meals/harvest/cook');
  await expect(other.getByText('Another window leads this evening')).toBeVisible();
  const helper = other.getByRole('group', { name: 'Whose screen' }).getByRole('button').nth(2);
  const name = (await helper.locator('span').first().textContent())!;
  await helper.click();
  // Their own screen answers, though another leads; the pots are the cook's.
  await expect(other.getByText('Another window leads this evening')).toHaveCount(0);
  await expect(other.getByText('Nothing is on the heat.')).toBeVisible();
  await screens.getByRole('button').nth(1).click();
  const give = page.getByRole('button', { name: new RegExp(`^give it to ${name}: `) });
  await page.clock.resume();
  for (let tick = 0; tick < 40 && (await give.count()) === 0; tick++) {
    await page.keyboard.press('d');
    await page.clock.fastForward(60_000);
    await page.waitForTimeout(300);
  }
  const work = (await page.getByTestId('focal').getByRole('heading').textContent())!;
  await give.first().click();
  await expect.poll(async () => (await stored(page)).kinds).toContain('handed');
  await other.clock.setSystemTime(await page.evaluate(() => Date.now()));
  await expect(other.getByRole('region', { name: 'Now' })).toContainText(new RegExp(work, 'i'));
});

test('by voice: what is heard is done, once it is switched on, and it is said where it goes', async ({ page }) => {
  await page.addInitScript(() => {
    class Ear {
      onresult: ((event: object) => void) | null = null;
      onend: (() => void) | null = null;
      start() {
        Object.assign(window, {
          hear: (words: string) => this.onresult?.({ results: [[{ transcript: words }]], resultIndex: 0 }),
        });
      }
      abort() {
        Object.assign(window, { hear: undefined });
      }
    }
    Object.assign(window, { SpeechRecognition: Ear });
  });
  await eveningAt(page, shelf('Plain long grain rice', 'Carrot soup'), /^(sweat|soften)/, 1);
  const hear = (words: string) =>
    page.evaluate((said) => (window as unknown as { hear?: (s: string) => void }).hear?.(said), words);
  await hear('done');
  await page.keyboard.press('e');
  await expect(page.getByRole('region', { name: 'By voice' })).toContainText('sends what it hears to its maker');
  await page.getByRole('region', { name: 'By voice' }).getByRole('checkbox').click();
  await expect(page.getByRole('region', { name: 'By voice' }).getByRole('checkbox')).toBeChecked();
  await page.getByRole('dialog').getByRole('button', { name: 'back', exact: true }).click();
  const told = (await stored(page)).kinds.length;
  await expect(async () => {
    await hear('not yet');
    await expect(page.getByTestId('heard')).toContainText('not yet', { timeout: 1000 });
  }).toPass();
  await expect.poll(async () => (await stored(page)).kinds.slice(told)).toContain('not-yet');
  await hear('the weather is nice');
  await expect(page.getByTestId('heard')).toContainText('no command');
});
