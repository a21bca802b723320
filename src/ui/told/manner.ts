'use client';

import { useSyncExternalStore } from 'react';
import { CANONICAL, type Manner, mannerOf, soundManner } from '@/core/units/manner';
import { told } from '@/core/units/told';
import { manner, onManner, setManner } from './current';

export { manner };

const KEPT = 'warm-cadence manner';
/** A text as the cook of this browser reads it: for what is no element of the page, such as a spoken line. */
export function toldHere(text: string): string {
  return told(text, manner());
}

function keptManner(): Manner {
  const usual = mannerOf(navigator.language);
  try {
    return soundManner(JSON.parse(localStorage.getItem(KEPT) ?? 'null'), usual);
  } catch {
    return usual;
  }
}

/** Takes up the manner that was chosen in this browser, or that of its language. */
export function takeUpManner(): void {
  setManner(keptManner());
  // Changed in another window of this browser.
  window.addEventListener('storage', (event) => {
    if (event.key === KEPT) setManner(keptManner());
  });
}

/** Chooses how this browser tells what is measured. */
export function chooseManner(part: Partial<Manner>): void {
  setManner({ ...manner(), ...part });
  try {
    localStorage.setItem(KEPT, JSON.stringify(manner()));
  } catch {
    // It holds for as long as the page is open.
  }
}

/** The manner of this page, followed. */
export function useManner(): Manner {
  return useSyncExternalStore(onManner, manner, () => CANONICAL);
}
