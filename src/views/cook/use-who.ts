'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Evening } from '@/core/live/evening';

/** Whose screen this window is, of those in the kitchen; null for everybody's. Kept for this window only. */
export function useWho({ id, meal }: Evening): readonly [string | null, (who: string | null) => void] {
  const key = `screen of ${id}`;
  const [who, setWho] = useState<string | null>(null);
  useEffect(() => setWho(sessionStorage.getItem(key)), [key]);
  const choose = useCallback(
    (next: string | null) => {
      if (next === null) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, next);
      setWho(next);
    },
    [key],
  );
  const isThere = meal.kitchen.people.length > 1 && meal.kitchen.people.some((person) => person.id === who);
  return [isThere ? who : null, choose];
}
