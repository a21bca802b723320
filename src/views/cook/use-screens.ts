'use client';

import { useSyncExternalStore } from 'react';
import { type Screens, screens } from '@/link/screens';

/** How this screen stands with another one that shows the same evening. */
export function useScreens(eveningId: string | undefined): Screens {
  const now = useSyncExternalStore(screens.subscribe, screens.now, screens.atFirst);
  return now.kind !== 'alone' && now.evening === eveningId ? now : screens.atFirst();
}
