'use client';

import { useEffect, useRef } from 'react';
import { type Cue, ringsAt } from '@/core/live/cues';
import { say } from '@/core/say/say';
import { notify, ring, shake, speak, wakeSound } from './calls';

/** A call this old when the view is opened was heard before. */
const HEARD_BEFORE = 60_000;

interface Calling {
  readonly cues: readonly Cue[];
  readonly now: number | null;
  /** Only the window that leads makes itself heard. */
  readonly leads: boolean;
  readonly quiet: boolean;
}

/** Rings, speaks and shakes for each call once, and for danger again until it is answered; keeps the screen awake and the tab's name true. */
export function useCues({ cues, now, leads, quiet }: Calling): void {
  const rung = useRef(new Map<string, number>());
  const opened = useRef<number | null>(null);
  const pending = cues[0];

  useEffect(() => {
    if (now === null || !leads) return;
    opened.current ??= now;
    for (const cue of cues) {
      const wanted = ringsAt(cue, now);
      const before = rung.current.get(cue.id) ?? 0;
      if (before >= wanted) continue;
      rung.current.set(cue.id, wanted);
      if (cue.kind !== 'danger' && cue.at < opened.current - HEARD_BEFORE) continue;
      if (!quiet) {
        ring(cue.kind, wanted);
        speak(cue.says);
      }
      shake(cue.kind);
      notify(cue.says, cue.id);
    }
  }, [cues, now, leads, quiet]);

  useEffect(() => {
    const wake = () => wakeSound();
    // Whoever came here by a press has touched the page already.
    if (navigator.userActivation?.hasBeenActive) wake();
    window.addEventListener('click', wake);
    window.addEventListener('keydown', wake);
    return () => {
      window.removeEventListener('click', wake);
      window.removeEventListener('keydown', wake);
    };
  }, []);

  // A tab has room for one sentence.
  const sentence = pending?.says.split('. ')[0];
  const title = pending ? `${pending.kind === 'danger' ? '⚠' : '●'} ${sentence}` : say('At the stove');
  useEffect(() => {
    const before = document.title;
    document.title = title;
    return () => {
      document.title = before;
    };
  }, [title]);

  const colour = pending?.kind === 'danger' ? '#d23' : pending ? '#f0b36b' : '#4a423c';
  useEffect(() => {
    const icon = document.querySelector<HTMLLinkElement>('link[rel="icon"]') ?? document.createElement('link');
    const before = icon.href;
    icon.rel = 'icon';
    icon.href = `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 16"><circle cx="8" cy="8" r="8" fill="${colour}"/></svg>`)}`;
    if (!icon.isConnected) document.head.append(icon);
    return () => {
      if (before) icon.href = before;
    };
  }, [colour]);

  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const keepAwake = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock?.request('screen').then(
        (got) => {
          lock = got;
        },
        () => {},
      );
    };
    keepAwake();
    document.addEventListener('visibilitychange', keepAwake);
    return () => {
      document.removeEventListener('visibilitychange', keepAwake);
      lock?.release().catch(() => {});
    };
  }, []);
}
