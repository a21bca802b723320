'use client';

import { useSyncExternalStore } from 'react';
import { keep, kept } from './kept';

// Whether single letters and signs do something by themselves. Whoever dictates, or whose hand rests on the keys, switches them off
// (WCAG 2.2, 2.1.4); keys with Ctrl, arrows, Escape and the space bar go on.

const KEPT = 'single keys';
const listeners = new Set<() => void>();
let on: boolean | null = null;

function read(): boolean {
  on ??= kept(KEPT) !== 'off';
  return on;
}

export function singleKeysAreOn(): boolean {
  return read();
}

export function setSingleKeys(value: boolean): void {
  on = value;
  keep(KEPT, value ? 'on' : 'off');
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
