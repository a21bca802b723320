'use client';

import type { Evening } from '@/core/live/evening';
import { stoveAt } from '@/core/live/stove';

/** What an evening that is under way asks for now, in a sentence. */
export function AtTheStove({ session, now }: { readonly session: Evening; readonly now: number }) {
  const { now: hands, next, finished } = stoveAt(session, now);
  if (finished) return 'Everything is on the table.';
  const first = hands[0] ?? next[0];
  return first
    ? `At the stove. ${hands[0] ? 'Now' : 'Next'}: ${first.step.name}, ${first.step.dishName}.`
    : 'At the stove.';
}
