'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Evening } from '@/core/live/evening';

/** Whose screen this window is, of those in the kitchen; null for everybody's. Kept for this window only. */
export function useWho({ id, meal }: Evening): readonly [string | null, (who: string | null) => void] {
  const key = `screen of ${id}`;
  const [who, setWho] = useState<string | null>(null);
  useEffect(() => setWho(kept((store) => store.getItem(key))), [key]);
  const choose = useCallback(
    (next: string | null) => {
      kept((store) => (next === null ? store.removeItem(key) : store.setItem(key, next)));
      setWho(next);
    },
    [key],
  );
  const isThere = meal.kitchen.people.length > 1 && meal.kitchen.people.some((person) => person.id === who);
  return [isThere ? who : null, choose];
}

/** A browser may keep nothing, and says so by throwing: then the choice lasts as long as the page. */
function kept<Answer>(of: (store: Storage) => Answer): Answer | null {
  try {
    return of(sessionStorage);
  } catch {
    return null;
  }
}
