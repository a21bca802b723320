'use client';

import { useCallback, useEffect, useState } from 'react';

/** A window that was just closed or loaded anew gives its lead back within this time, in ms. */
const GIVEN_BACK = 1500;

export interface Lead {
  readonly leads: boolean;
  /** Another window leads: known after a moment without the lead, so that nothing flashes up, and moves the page, each time it is opened. */
  readonly follows: boolean;
  readonly takeOver: () => void;
}

/**
 * Of all windows that show an evening one leads: it rings and plans by the clock; the others follow. The lead passes on by itself when its
 * window closes, or is taken with a press. Where a browser has no locks every window leads.
 */
export function useLead(sessionId: string | undefined): Lead {
  const [leads, setLeads] = useState(false);
  const [follows, setFollows] = useState(false);
  const [turn, setTurn] = useState({ steal: false });

  useEffect(() => {
    if (sessionId === undefined) return;
    if (!('locks' in navigator)) {
      setLeads(true);
      return;
    }
    let gone = false;
    const waiting = new AbortController();
    let letGo = () => {};
    const hold = () => {
      if (gone) return;
      setLeads(true);
      return new Promise<void>((resolve) => {
        letGo = resolve;
      });
    };
    const options: LockOptions = turn.steal ? { steal: true } : { signal: waiting.signal };
    navigator.locks.request(`evening ${sessionId}`, options, hold).catch(() => {
      // Another window took the lead: wait until it is free again.
      setLeads(false);
      if (!gone) setTurn({ steal: false });
    });
    return () => {
      gone = true;
      letGo();
      waiting.abort();
      setLeads(false);
    };
  }, [sessionId, turn]);

  useEffect(() => {
    if (leads) {
      setFollows(false);
      return;
    }
    const timer = setTimeout(() => setFollows(true), GIVEN_BACK);
    return () => clearTimeout(timer);
  }, [leads]);

  const takeOver = useCallback(() => setTurn({ steal: true }), []);
  return { leads, follows, takeOver };
}
