import { expect, type Locator, type Page } from '@playwright/test';
import type { PlannedStep } from '@/core/plan/plan';
import { inTable } from './browser-store';

// An evening cooked from moment to moment on the real screen.

export const MINUTE = 60_000;

interface Evening {
  readonly tableAt: number;
  readonly events: readonly { readonly kind: string }[];
  readonly plan: { readonly steps: readonly PlannedStep[] };
}

/** The plan as it stands, how much was told, and what is in sight: all in one glance, since each costs time on a busy machine. */
export function glance(page: Page) {
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
      const pots = [...document.querySelectorAll('[data-testid="watched"]')];
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
          over: pots.some((pot) => pot.querySelector('[data-testid="countdown"]')?.textContent?.startsWith('+')),
          /** A pot that can be said not to be there yet. */
          open:
            pots
              .find((pot) => [...pot.querySelectorAll('button')].some(({ textContent }) => textContent === 'not yet'))
              ?.getAttribute('data-key') ?? null,
        },
      };
    },
    null,
  );
}

export type Glance = Awaited<ReturnType<typeof glance>>;

/** Presses what is due, sets going what must begin, says done to what is over, and waits until it is heard. Returns whether that was told; null where nothing is due. */
export async function pressDue(page: Page, before: Glance): Promise<boolean | null> {
  const { now, asked, cards, over, steps } = before;
  // What was due may be told otherwise meanwhile: then there is nothing to press, and the next glance shows what is.
  const press = async (holder: Locator, name: RegExp): Promise<boolean> => {
    const button = holder.getByRole('button', { name }).first();
    const pressed = await button.click({ timeout: 2000 }).then(
      () => true,
      () => false,
    );
    if (!pressed) return false;
    let told = false;
    const isHeard = async () => {
      const after = await glance(page);
      told = after.told > before.told;
      return told || after.asked !== asked;
    };
    await expect.poll(isHeard, { intervals: [30, 60, 120, 250] }).toBe(true);
    return told;
  };
  const ends = (key: string) => before.tableAt + (steps.find((step) => step.key === key)?.end ?? 0) * MINUTE;
  const card = cards.find(({ key, start }) => start || ends(key) <= now);
  if (asked) return press(page.getByTestId('too-soon'), /yes, it had/);
  if (card) {
    const held = card.isFirst
      ? page.getByTestId('answers')
      : page.getByRole('region', { name: 'Now' }).locator(`[data-key="${card.key}"]`);
    return press(held, card.start ? /^begun/ : /^done/);
  }
  if (!over) return null;
  const pot = page.getByTestId('watched').filter({ has: page.getByTestId('countdown').getByText(/^\+/) });
  return press(pot, /^done/);
}

/** Lets the clock run to one second after the next moment of the plan at which something begins or ends. */
export async function toNextMoment(page: Page, { now, tableAt, steps }: Glance): Promise<void> {
  const moments = steps.flatMap(({ start, end }) => [start, end]).map((minute) => tableAt + minute * MINUTE);
  const next = Math.min(...moments.filter((moment) => moment > now));
  await page.clock.fastForward(Number.isFinite(next) ? next - now + 1000 : MINUTE);
}
