'use client';

import { useCallback, useEffect, useState } from 'react';

/**
 * Of all windows that show an evening one leads: it rings and plans by the clock; the others follow. The lead passes on by itself when its
 * window closes, or is taken with a press. Where a browser has no locks every window leads.
 */
export function useLead(sessionId: string | undefined): { readonly leads: boolean; readonly takeOver: () => void } {
  const [leads, setLeads] = useState(false);
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

  const takeOver = useCallback(() => setTurn({ steal: true }), []);
  return { leads, takeOver };
}
