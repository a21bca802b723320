import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { type LiveStep, liveSteps } from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import { cookThrough } from '@/core/live/testing/simulate';
import type { Meal } from '@/core/meal/meal';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { Beside, Focal } from './now';
import type { SessionAtHand } from './use-session';
import { Watched } from './watched';

const TABLE = Date.UTC(2026, 10, 27, 18, 0);
/** Suppers over which the shelf is dealt out, so that each has something of everything. */
const SUPPERS = 25;
const told = {} as SessionAtHand;
const solid = (words: string) => words.replaceAll(/\s+/g, ' ').trim();

/** The words of a card, as they are read. */
function read(card: React.ReactNode): string {
  const text = renderToStaticMarkup(card)
    .replaceAll(/<[^>]+>/g, ' ')
    .replaceAll('&#x27;', "'")
    .replaceAll('&quot;', '"')
    .replaceAll('&amp;', '&');
  return solid(text);
}

const MEALS: readonly (readonly [name: string, meal: Meal])[] = [
  ...Array.from({ length: SUPPERS }, (_, first) => {
    const dishes = SHELF.filter((_, index) => index % SUPPERS === first);
    const meal = mealOf(dishes, { kitchen: largeKitchen, people: 4 });
    return [`the shelf: ${dishes[0]!.name} and others`, meal] as const;
  }),
  // The two samples that have most in one pot; the others are made of what the shelf has too.
  ...SAMPLE_MEALS.filter(({ setting }) => ['boat', 'shearing'].includes(setting.id)).map(
    ({ setting, kitchen, dishes }) => {
      return [setting.name, { ...setting, day: '2026-11-27', kitchen, dishes }] as const;
    },
  ),
];

describe('the words at the stove', () => {
  for (const [name, meal] of MEALS) {
    it(`miss no word, amount or caution of ${name}`, async () => {
      const plan = await planned(meal, 2, 1);
      const shown = new Map<string, string>();
      const drawn = new Set<string>();
      // A card whose words are the same is drawn once.
      const show = ({ step, status, turns }: LiveStep, as: string, card: () => React.ReactNode) => {
        const words = JSON.stringify([as, step.key, status, turns, step.says, step.amounts, step.cautions]);
        if (drawn.has(words)) return;
        drawn.add(words);
        shown.set(step.key, `${shown.get(step.key) ?? ''} ${read(card())}`);
      };
      const { session } = await cookThrough({
        meal,
        plan,
        tableAt: TABLE,
        truth: (step) => step.minutes,
        glance: () => 3,
        rounds: 1,
        onGlance: (session, now) => {
          const evening = { ...session, mealId: meal.id, begunAt: now, endedAt: null } as never;
          const stove = stoveAt(session, now);
          const steps = liveSteps(session, now);
          stove.now.forEach((live, index) => {
            const Card = index === 0 ? Focal : Beside;
            show(live, `now ${index}`, () => (
              <Card session={evening} live={live} told={told} now={now} steps={steps} />
            ));
          });
          for (const live of stove.watching) {
            show(live, 'watched', () => (
              <Watched session={evening} live={live} told={told} now={now} tint="" pretend={false} steps={steps} />
            ));
          }
        },
      });
      const missed = session.plan.steps.flatMap(({ key, says, amounts, cautions }) =>
        [says, ...amounts, ...cautions]
          .filter((each) => each !== '' && !(shown.get(key) ?? '').includes(solid(each)))
          .map((each) => `${key}: ${each}`),
      );
      expect(missed).toEqual([]);
    });
  }
});
