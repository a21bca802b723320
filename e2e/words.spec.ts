import { expect, type Locator, type Page, test } from '@playwright/test';
import type { PlannedStep } from '@/core/plan/plan';
import { inTable } from './browser-store';
import { NOON, NOON_STATE, openMeal } from './kit';

// Everything that a step asks of the hands, every amount and every caution is on the screen when its moment comes: cooked to the end.

const MINUTE = 60_000;

interface Evening {
  readonly tableAt: number;
  readonly events: readonly { readonly kind: string }[];
  readonly plan: { readonly steps: readonly PlannedStep[] };
}

/** The plan as it stands, how much was told, and what stands under "now": all in one glance. */
function glance(page: Page) {
  return inTable(
    page,
    'sessions',
    ([session]: readonly Evening[]) => {
      if (!session) throw new Error('There is no evening yet.');
      const steps = session.plan.steps.map(({ key, says, amounts, cautions, start, end }) => ({
        key,
        says,
        amounts,
        cautions,
        start,
        end,
      }));
      const now = document.querySelector('section[aria-label="Now"]');
      const held = [...(now?.querySelectorAll('[data-key]') ?? [])];
      return {
        answer: {
          now: Date.now(),
          tableAt: session.tableAt,
          told: session.events.length,
          steps,
          finished: document.querySelector('[data-testid="finished"]') !== null,
          asked: document.querySelector('[data-testid="too-soon"]') !== null,
          // The answers to the first card stand apart from it.
          cards: held.map((card) => ({
            key: card.getAttribute('data-key') ?? '',
            words: (card.textContent ?? '').replaceAll(/\s+/g, ' '),
            isFirst: card.getAttribute('data-testid') === 'focal',
            start: [
              ...(card.getAttribute('data-testid') === 'focal'
                ? document.querySelectorAll('[data-testid="answers"] button')
                : card.querySelectorAll('button')),
            ].some(({ textContent }) => textContent === 'begun'),
          })),
          over: [...document.querySelectorAll('[data-testid="watched"]')].some((pot) =>
            pot.querySelector('[data-testid="countdown"]')?.textContent?.startsWith('+'),
          ),
        },
      };
    },
    null,
  );
}

const solid = (words: string) => words.replaceAll(/\s+/g, ' ').trim();

/** Cooks a meal to its end by the clock of its plan, from moment to moment; returns the words of every step that were not on the screen at its moment. */
async function missedWords(page: Page): Promise<readonly string[]> {
  const shown = new Map<string, string>();
  let steps: Awaited<ReturnType<typeof glance>>['steps'] = [];
  for (let tick = 0; tick < 1500; tick++) {
    const before = await glance(page);
    const { now, finished, asked, cards, over } = before;
    steps = before.steps;
    if (finished) break;
    for (const { key, words } of cards) shown.set(key, `${shown.get(key) ?? ''} ${words}`);
    // What was due may be told otherwise meanwhile: then there is nothing to press, and the next glance shows what is.
    const press = async (holder: Locator, name: string | RegExp) => {
      const pressed = await holder
        .getByRole('button', { name: typeof name === 'string' ? new RegExp(`^${name}`) : name })
        .first()
        .click({ timeout: 2000 })
        .then(
          () => true,
          () => false,
        );
      if (!pressed) return;
      const isHeard = async () => {
        const after = await glance(page);
        return after.told > before.told || after.asked !== asked;
      };
      await expect.poll(isHeard, { intervals: [30, 60, 120, 250] }).toBe(true);
    };
    const ends = (key: string) => before.tableAt + (steps.find((step) => step.key === key)?.end ?? 0) * MINUTE;
    const card = cards.find(({ key, start }) => start || ends(key) <= now);
    if (asked) await press(page.getByTestId('too-soon'), /yes, it had/);
    else if (card) {
      const held = card.isFirst
        ? page.getByTestId('answers')
        : page.getByRole('region', { name: 'Now' }).locator(`[data-key="${card.key}"]`);
      await press(held, card.start ? 'begun' : 'done');
    } else if (over) {
      const pot = page.getByTestId('watched').filter({ has: page.getByTestId('countdown').getByText(/^\+/) });
      await press(pot, 'done');
    } else {
      const moments = steps.flatMap(({ start, end }) => [start, end]).map((minute) => before.tableAt + minute * MINUTE);
      const next = Math.min(...moments.filter((moment) => moment > now));
      await page.clock.fastForward(Number.isFinite(next) ? next - now + 1000 : MINUTE);
    }
  }
  await expect(page.getByTestId('finished')).toBeVisible();
  return steps.flatMap(({ key, says, amounts, cautions }) => {
    const words = shown.get(key) ?? '';
    return [says, ...amounts, ...cautions]
      .filter((each) => each !== '' && !words.includes(solid(each)))
      .map((each) => `${key}: ${each}`);
  });
}

test.use({ storageState: NOON_STATE });

// The cards of all samples, and of all of the shelf, are read in `now.test.tsx`.
test('no word, amount or caution is missed in an evening: the boat', async ({ page }) => {
  test.setTimeout(900_000);
  await page.clock.install({ time: NOON });
  await openMeal(page, 'boat', '/cook');
  await page.getByRole('button', { name: 'Begin at the stove' }).click();
  await expect(page.getByTestId('table-line')).toBeVisible();
  expect(await missedWords(page)).toEqual([]);
});
