'use client';

import { useSyncExternalStore } from 'react';
import { type Catalog, lookIn, speak } from '@/core/say/say';
import { keep, kept, placeOf } from '@/ui/kept';
import { bestOf, directionOf, isTag, LANGUAGE_COOKIE, type Tag } from '@/words/languages';
import { catalogOf, dishesIn } from '@/words/load';
import { takeUpManner } from './manner';

const KEPT = 'language';
/** Seconds that the cookie holds. */
const A_YEAR = 31_536_000;

interface Spoken {
  readonly tag: Tag;
  readonly catalog: Catalog;
  /** What dishes keep. */
  readonly dishes: Catalog;
}

const ENGLISH: Spoken = { tag: 'en', catalog: {}, dishes: {} };
let now = ENGLISH;
let wanted: Tag = now.tag;
const listeners = new Set<() => void>();

/** The language that was chosen in this browser; null where none was. */
export function chosenLanguage(): Tag | null {
  const tag = kept(KEPT);
  return isTag(tag) ? tag : null;
}

/** Says everything in a language from now on. What its words cannot be fetched for stays in the language that is spoken. */
async function turnTo(tag: Tag): Promise<void> {
  wanted = tag;
  if (tag === now.tag) return;
  try {
    const [catalog, dishes] = await Promise.all([catalogOf(tag), dishesIn(tag)]);
    // Another one was chosen while this one came.
    if (wanted !== tag) return;
    speak(tag, lookIn(catalog), dishes);
    now = { tag, catalog, dishes };
    // What is usual in a language follows it: its decimal sign, its figures.
    takeUpManner();
  } catch (error) {
    console.warn(`The words of "${tag}" could not be fetched.`, error);
  }
  document.documentElement.lang = now.tag;
  document.documentElement.dir = directionOf(now.tag);
  for (const listener of listeners) listener();
}

/** Takes up the language that was chosen in this browser, or the best of those that it asks for. */
export async function takeUpLanguage(): Promise<void> {
  await turnTo(chosenLanguage() ?? bestOf(navigator.languages));
}

/** Follows what is chosen in another window of this browser. */
export function followLanguage(): () => void {
  const follow = (event: StorageEvent) => {
    if (event.key === placeOf(KEPT)) void takeUpLanguage();
  };
  window.addEventListener('storage', follow);
  return () => window.removeEventListener('storage', follow);
}

/** Chooses the language of this browser; null: the one that the browser asks for. */
export async function chooseLanguage(tag: Tag | null): Promise<void> {
  keep(KEPT, tag);
  // For the server: it then sends no English page first. The cookie store is not there over a plain address of the network.
  // biome-ignore lint/suspicious/noDocumentCookie: see above
  document.cookie = `${LANGUAGE_COOKIE}=${tag ?? ''}; path=/; samesite=lax; max-age=${tag === null ? 0 : A_YEAR}`;
  await takeUpLanguage();
}

/** The language that this page speaks, followed; English until its words are there. */
export function useSpoken(): Spoken {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => now,
    () => ENGLISH,
  );
}
