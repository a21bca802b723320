'use client';

import { useSyncExternalStore } from 'react';
import { spoken } from '@/core/say/say';
import { CANONICAL, type Manner, mannerOf, soundManner } from '@/core/units/manner';
import { told } from '@/core/units/told';
import { keep, kept, placeOf } from '@/ui/kept';
import { manner, onManner, setManner } from './current';

export { manner };

const KEPT = 'manner';
const OF_LANGUAGE = 'manner of the language';

/** A text as the cook of this browser reads it: for what is no element of the page, such as a spoken line. */
export function toldHere(text: string): string {
  return told(text, manner());
}

/** What is usual in the language of this browser. Kept, since to ask what a language does costs a slow phone a fifth of a second at each page. */
function usualManner(): Manner {
  const language = languageOfManner();
  const before = read(OF_LANGUAGE) as { readonly language?: unknown; readonly manner?: unknown } | null;
  if (before?.language === language) return soundManner(before.manner, CANONICAL);
  const usual = mannerOf(language);
  keep(OF_LANGUAGE, JSON.stringify({ language, manner: usual }));
  return usual;
}

/** The language that is spoken here, as it is spoken where the browser is from: German in the United States measures in cups. */
function languageOfManner(): string {
  const { language } = navigator;
  const tag = spoken();
  if (language.toLowerCase().startsWith(tag) || kept('language') === null) return language;
  const region = /[-_]([a-z]{2})$/i.exec(language)?.[1];
  return region === undefined ? tag : `${tag}-${region.toUpperCase()}`;
}

const keptManner = (): Manner => soundManner(read(KEPT), usualManner());

/** What is kept under a name; null where nothing is, or nothing that can be read. */
function read(name: string): unknown {
  try {
    return JSON.parse(kept(name) ?? 'null');
  } catch {
    return null;
  }
}

/** Takes up the manner that was chosen in this browser, or that of its language. */
export function takeUpManner(): void {
  setManner(keptManner());
}

/** Follows what is chosen in another window of this browser. */
export function followManner(): () => void {
  const follow = (event: StorageEvent) => {
    if (event.key === placeOf(KEPT)) takeUpManner();
  };
  window.addEventListener('storage', follow);
  return () => window.removeEventListener('storage', follow);
}

/** Chooses how this browser tells what is measured. */
export function chooseManner(part: Partial<Manner>): void {
  setManner({ ...manner(), ...part });
  keep(KEPT, JSON.stringify(manner()));
}

/** The manner of this page, followed. */
export function useManner(): Manner {
  return useSyncExternalStore(onManner, manner, () => CANONICAL);
}
