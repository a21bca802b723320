import { expect, type Page, test } from '@playwright/test';
import { inTable } from './browser-store';
import { told, visit } from './kit';
import { hold, laptopAndTablet, show } from './two-devices';

// Two devices follow one evening: each learns from the code of the other how it can be reached, and what is pressed on one is pressed on both.

interface Kept {
  readonly events: readonly { readonly id: string; readonly kind: string; readonly key?: string }[];
  readonly plan: object;
  readonly tableAt: number;
  readonly toldElsewhere?: true;
  readonly planKnows?: number;
}

/** The evening as a device keeps it. */
const evening = (page: Page) => inTable(page, 'sessions', ([session]: readonly Kept[]) => ({ answer: session! }), null);

/** Both have the same log and the same plan, which knows all of it. */
async function agree(one: Page, other: Page): Promise<void> {
  await expect(async () => {
    const [mine, theirs] = [await evening(one), await evening(other)];
    expect(mine.events.map(({ kind, key }) => [kind, key])).toEqual(theirs.events.map(({ kind, key }) => [kind, key]));
    expect(mine.plan).toEqual(theirs.plan);
    expect([mine.toldElsewhere, theirs.toldElsewhere, mine.planKnows, theirs.planKnows]).toEqual(
      Array(4).fill(undefined),
    );
  }).toPass({ timeout: 20_000 });
}

/** The codes of one before the camera of the other. */
async function takeOver(page: Page, other: Page): Promise<void> {
  await other.getByRole('button', { name: 'Take a meal over by its code' }).click();
  await hold(page, other, () => false);
  await expect(other.getByText('hold this before its camera')).toBeVisible();
}

/** The answer before the camera of the one that invited. */
async function readAnswer(page: Page, other: Page): Promise<void> {
  const answer = await other.getByTestId('code').evaluate(async (canvas) => {
    const code = canvas as HTMLCanvasElement;
    // It is drawn a moment after it is there.
    while (code.width < 500) await new Promise(requestAnimationFrame);
    return code.toDataURL();
  });
  await page.getByRole('button', { name: 'Read its code' }).click();
  await expect(page.getByTestId('code-seen')).toContainText('Looking for a code');
  await show(page, answer);
}

/** The answer as text, for a device without a camera; something else first. */
async function pasteAnswer(page: Page, other: Page): Promise<void> {
  await other.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await other.getByRole('button', { name: 'Copy it as text' }).click();
  await expect(other.getByRole('dialog').getByRole('status')).toHaveText('Copied.');
  const answer = await other.evaluate(() => navigator.clipboard.readText());
  const paste = async (text: string) => {
    await page.getByRole('button', { name: 'Read its code' }).click();
    await page.getByLabel('Without a camera').fill(text);
    await page.getByRole('button', { name: 'Take it' }).click();
  };
  await paste('butter, eggs');
  await expect(page.getByRole('alert').filter({ hasText: 'This answer cannot be read' })).toBeVisible();
  await paste(answer);
}

async function areJoined(...pages: readonly Page[]): Promise<void> {
  for (const each of pages) {
    await expect(each.getByTestId('code').or(each.getByTestId('code-seen'))).toHaveCount(0);
    await expect(each.getByText('on two screens')).toBeAttached();
  }
}

test('two screens follow one evening: what is pressed on either is pressed on both, at one moment too, and after one was out of reach', async ({
  browser,
  baseURL,
}) => {
  const { page, other, close } = await laptopAndTablet(browser, baseURL);
  await page.getByRole('button', { name: 'evening', exact: true }).click();
  await page.getByRole('button', { name: 'Cook on two screens' }).click();
  await takeOver(page, other);
  await readAnswer(page, other);
  await areJoined(page, other);

  // On the laptop, then on the tablet, each seen on the other.
  await page.keyboard.press('d');
  await expect.poll(() => told(other)).toEqual(['done']);
  await agree(page, other);
  await other.keyboard.press('u');
  await expect.poll(() => told(page)).toEqual(['done', 'undo']);
  await agree(page, other);
  // On both at one moment: a step is done on the one, and another hour agreed on the other. Both stand on both.
  await other.getByRole('button', { name: 'evening', exact: true }).click();
  const later = other.getByRole('button', { name: '20 min', exact: true });
  await expect(later).toBeVisible();
  await Promise.all([page.keyboard.press('d'), later.click()]);
  await expect.poll(async () => [...(await told(page))].sort()).toEqual(['done', 'done', 'hour', 'undo']);
  await agree(page, other);
  for (const each of [page, other]) await expect(each.getByTestId('table-line')).toContainText('agreed on 19:20');

  // The tablet is loaded anew: it is out of reach, each goes on, and both say so.
  await visit(other, '/meals/barley-supper/cook');
  for (const each of [page, other])
    await expect(each.getByTestId('apart')).toContainText('out of reach', { timeout: 30_000 });
  const before = (await told(page)).length;
  const pressed = async (each: Page) => {
    await each.keyboard.press('e');
    await each
      .getByRole('textbox', { name: 'A note' })
      .fill(each === page ? 'told on the laptop' : 'told on the tablet');
    await each.getByRole('button', { name: 'keep the note' }).click();
    await expect.poll(async () => (await told(each)).length).toBe(before + 1);
    await each.keyboard.press('Escape');
  };
  await pressed(page);
  await pressed(other);
  // And the clock of one is put back meanwhile.
  await other.clock.setSystemTime((await other.evaluate(() => Date.now())) - 120_000);
  await expect.poll(() => told(other)).toContain('clock-set');
  await visit(other, '/');
  await page.getByRole('button', { name: 'join them again' }).click();
  await takeOver(page, other);
  await pasteAnswer(page, other);
  await areJoined(page, other);
  await agree(page, other);
  expect((await told(page)).length).toBe(before + 3);
  await expect(page.getByRole('status').filter({ hasText: 'The clock of the other device is' })).toContainText(
    'behind',
  );

  // Parted by a press, the other screen says so.
  await page.getByRole('button', { name: 'evening', exact: true }).click();
  await page.getByRole('button', { name: 'part from the other screen' }).click();
  await expect(other.getByTestId('apart')).toContainText('out of reach', { timeout: 30_000 });
  await other.getByRole('button', { name: 'leave it so' }).click();
  await expect(other.getByTestId('apart')).toHaveCount(0);
  await close();
});
