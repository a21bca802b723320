'use client';

import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Evening } from '@/core/live/evening';
import { followAlong } from '@/core/live/follow';
import { liveSteps } from '@/core/live/session';
import type { SessionAtHand } from './use-session';

/** Where a button went away under the focus, the list it stood in gets it: a keyboard goes on from there, and a screen reader reads on. */
export function useFocusKept(holder: React.RefObject<HTMLElement | null>, changes: string): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at when what stands there changes
  useEffect(() => {
    if (document.activeElement === document.body) holder.current?.focus({ preventScroll: true });
  }, [changes]);
}

/** What lies under the stove's view is out of reach while it covers the page. */
export function useCoveredPage(): void {
  useEffect(() => {
    const covered = [...document.querySelectorAll<HTMLElement>('[data-covered-by-stove]')];
    for (const each of covered) each.inert = true;
    return () => {
      for (const each of covered) each.inert = false;
    };
  }, []);
}

/** Calls cold work done when its time is over and the cook stays silent. */
export function useFollowing(session: Evening, told: SessionAtHand, second: number | null, on: boolean): void {
  const said = useRef(new Set<string>());
  useEffect(() => {
    if (!on || second === null) return;
    const at = second * 1000;
    const live = followAlong(session, liveSteps(session, at), at);
    if (!live || said.current.has(live.step.key)) return;
    said.current.add(live.step.key);
    told.byClock(live);
  }, [session, told, second, on]);
}

/** A step back of the clock that is no mere tuning. */
const WENT_BACK = 30_000;

/**
 * Minutes by which the device's clock was put back while the view was open; null when it was not. The window that leads tells it to the
 * evening, so that pots go on where they were.
 */
export function useClockWentBack(now: number | null, leads: boolean, onSet: (by: number) => void): number | null {
  const latest = useRef({ wall: 0, running: 0 });
  const [back, setBack] = useState<number | null>(null);
  const tell = useEffectEvent((by: number) => {
    if (leads) onSet(by);
  });
  useEffect(() => {
    if (now === null) return;
    const { wall, running } = latest.current;
    // Both are read at once: `now` may be older than this by as long as the machine was busy, or slept.
    latest.current = { wall: Date.now(), running: performance.now() };
    // What the clock shows, less what it should show by the time that really went by.
    const by = latest.current.wall - wall - (latest.current.running - running);
    if (wall === 0 || by > -WENT_BACK) return;
    setBack(Math.max(1, Math.round(-by / 60_000)));
    tell(Math.round(by));
  }, [now]);
  return back;
}
