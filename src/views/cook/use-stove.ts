'use client';

import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { type ClockLeap, type DeviceClock, leapBetween } from '@/core/live/device-clock';
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

/** What became of the device's clock while the view was open, and how the cook answers. */
export interface ClockSeen {
  readonly leap: ClockLeap | null;
  /** The clock is right as it is: time went by. */
  readonly slept: () => void;
  /** The clock was put forward: the evening follows it, and pots go on where they were. */
  readonly putForward: () => void;
}

/**
 * Watches the device's clock. Where it was put back, the window that leads tells it to the evening at once, so that pots go on where they were;
 * where it leapt on, only the cook knows whether the device slept.
 */
export function useDeviceClock(now: number | null, leads: boolean, onSet: (by: number) => void): ClockSeen {
  const latest = useRef<DeviceClock | null>(null);
  const [leap, setLeap] = useState<ClockLeap | null>(null);
  const tell = useEffectEvent((by: number) => {
    if (leads) onSet(by);
  });
  useEffect(() => {
    if (now === null) return;
    const before = latest.current;
    // Both are read at once: `now` may be older than this by as long as the machine was busy, or slept.
    latest.current = { wall: Date.now(), running: performance.now() };
    const seen = before && leapBetween(before, latest.current);
    if (!seen) return;
    setLeap(seen);
    if (seen.way === 'back') tell(seen.by);
  }, [now]);
  return {
    leap,
    slept: () => setLeap(null),
    putForward: () => {
      if (leap) onSet(leap.by);
      setLeap(null);
    },
  };
}
