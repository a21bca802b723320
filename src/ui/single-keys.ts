'use client';

import { useSyncExternalStore } from 'react';

// Whether single letters and signs do something by themselves. Whoever dictates, or whose hand rests on the keys, switches them off
// (WCAG 2.2, 2.1.4); keys with Ctrl, arrows, Escape and the space bar go on.

const KEPT = 'warm-cadence single keys';
const listeners = new Set<() => void>();
let on: boolean | null = null;

function read(): boolean {
  try {
    on ??= localStorage.getItem(KEPT) !== 'off';
  } catch {
    on ??= true;
  }
  return on;
}

export function singleKeysAreOn(): boolean {
  return read();
}

export function setSingleKeys(value: boolean): void {
  on = value;
  try {
    localStorage.setItem(KEPT, value ? 'on' : 'off');
  } catch {
    // It holds for as long as the page is open.
  }
  for (const listener of listeners) listener();
}

export function useSingleKeys(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    read,
    () => true,
  );
}
