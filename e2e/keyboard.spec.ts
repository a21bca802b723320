import { expect, type Page, test } from '@playwright/test';
import { glance, toNextMoment } from './an-evening';
import { inTable } from './browser-store';
import { EMPTY_STATE, NOON, openMeals, settled, watchForErrors } from './kit';

// The whole job without a pointer: from a browser that knows no kitchen to an evening that is put away. Whatever is passed on the way has a name, and is seen.

interface Stop {
  readonly name: string;
  readonly role: string;
  /** What it lies under, or that it is nowhere; empty where it is seen. */
  readonly hidden: string;
}

/** What has the focus: what a screen reader calls it, and whether the eye finds it. */
const stop = (page: Page): Promise<Stop> =>
  page.evaluate(() => {
    const at = document.activeElement as HTMLElement;
    const labels = [...((at as HTMLInputElement).labels ?? [])].map(({ textContent }) => textContent);
    const by = at.getAttribute('aria-labelledby')?.split(' ') ?? [];
    const words = [
      at.getAttribute('aria-label'),
      ...by.map((id) => document.getElementById(id)?.textContent),
      ...labels,
      at.matches('input, select') ? null : at.textContent,
      at.title,
    ];
    const box = at.getBoundingClientRect();
    const [x, y] = [box.left + box.width / 2, box.top + Math.min(box.height / 2, 20)];
    const over = document.elementFromPoint(x, y);
    const isSeen = over !== null && (at.contains(over) || over.contains(at) || over.closest('label') !== null);
    return {
      name: (words.find((each) => each?.trim()) ?? '').replaceAll(/\s+/g, ' ').trim(),
      role: at.getAttribute('role') ?? at.tagName.toLowerCase(),
      hidden: at === document.body || isSeen ? '' : `under ${over?.outerHTML.slice(0, 90) ?? `${x}, ${y}`}`,
    };
  });

/** Goes on with the tab key until something of this name has the focus. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  const passed: string[] = [];
  for (let tabs = 0; tabs < 150; tabs++) {
    await page.keyboard.press('Tab');
    const at = await stop(page);
    if (at.role === 'body') continue;
    passed.push(at.name);
    expect.soft(at.name, `something without a name after ${passed.slice(-3).join(', ')}`).not.toBe('');
    expect.soft(at.hidden, at.name).toBe('');
    if (name.test(at.name)) return;
  }
  throw new Error(`No tab leads to ${name}: ${[...new Set(passed)].join(' | ')}`);
}

const pressAt = async (page: Page, name: RegExp) => {
  await tabTo(page, name);
  await page.keyboard.press('Enter');
};

test.use({ storageState: EMPTY_STATE });

test('the whole job by keyboard: a kitchen, a meal, its plan read step by step, an evening told to its end and put away', async ({
  page,
}) => {
  const errors = watchForErrors(page);
  await page.clock.install({ time: NOON });
  await openMeals(page);
  for (const table of ['meals', 'kitchens'] as const)
    await inTable(page, table, () => ({ answer: null, clear: true as const }), null);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Your kitchen' })).toBeVisible();
  // Of several that one is chosen of the arrows choose.
  await tabTo(page, /^4$/);
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('radio', { name: '3', exact: true })).toBeChecked();
  await pressAt(page, /^Make this kitchen/);

  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await tabTo(page, /^Add a dish/);
  await page.keyboard.type('green beans');
  await pressAt(page, /^\+ /);
  await expect(page.getByRole('region', { name: 'Dishes' })).toContainText('1 on the menu');
  await settled(page);

  // The score, read like a story: each arrow leads to the next step, with its reason.
  await pressAt(page, /^Score$/);
  await expect(page.getByTestId('reason')).toContainText('Choose a step');
  const heard = new Set<string>();
  for (let arrows = 0; arrows < 12; arrows++) {
    await page.keyboard.press('ArrowRight');
    const told = (await page.getByTestId('chosen').textContent()) ?? '';
    if (heard.has(told)) break;
    heard.add(told);
  }
  expect(heard.size).toBeGreaterThan(1);
  await page.keyboard.press('Escape');

  await pressAt(page, /^Cook$/);
  await expect(page.getByRole('button', { name: 'Begin at the stove' })).toBeVisible();
  await pressAt(page, /^Begin at the stove/);
  await expect(page.getByTestId('table-line')).toBeVisible();
  let at = await glance(page);
  for (let turns = 0; turns < 80 && !at.finished; turns++, at = await glance(page)) {
    const { told, now, tableAt, steps, cards, over, asked } = at;
    const ends = (key: string) => tableAt + (steps.find((step) => step.key === key)?.end ?? 0) * 60_000;
    const isDue = cards.some(({ key, start }) => start || ends(key) <= now) || over || asked;
    if (!isDue) {
      await toNextMoment(page, at);
      continue;
    }
    await pressAt(page, asked ? /^yes, it had/ : /^(?:begun|done)\b/i);
    await expect
      .poll(async () => {
        const after = await glance(page);
        return after.told > told || after.asked !== asked;
      })
      .toBe(true);
  }
  expect(at.finished).toBe(true);
  await pressAt(page, /^Put the evening away/);
  await expect(page.getByTestId('put-away')).toBeVisible();
  expect(errors).toEqual([]);
});
