'use client';

import type { Evening } from '@/core/live/evening';
import { stoveAt } from '@/core/live/stove';
import { say } from '@/core/say/say';

/** What an evening that is under way asks for now, in a sentence. */
export function AtTheStove({ session, now }: { readonly session: Evening; readonly now: number }) {
  const { now: hands, next, finished } = stoveAt(session, now);
  if (finished) return say('Everything is on the table.');
  const first = hands[0] ?? next[0];
  return first
    ? hands[0]
      ? say('At the stove. Now: {step}, {dish}.', { step: first.step.name, dish: first.step.dishName })
      : say('At the stove. Next: {step}, {dish}.', { step: first.step.name, dish: first.step.dishName })
    : say('At the stove.');
}
