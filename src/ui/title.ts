'use client';

import { useEffect } from 'react';
import { toldHere } from './told/manner';

/** Names the page for the tab, the history and a screen reader: what comes first tells it from the others. */
export function useTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter(Boolean), 'Warm Cadence'].join(' · ');
  useEffect(() => {
    document.title = toldHere(title);
  }, [title]);
}
