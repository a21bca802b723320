'use client';

import { useEffect, useRef, useState } from 'react';
import { type FoundRemedy, findWays } from '@/core/live/live-remedies';
import { isTrouble, troubleOf } from '@/core/live/offer';
import type { Session } from '@/core/live/session';
import { askPlanner } from '@/workers/planner';
import { THINK } from './use-session';

/** Lets a press and its own plan come first. */
const AFTER = 900;

/** What could be done about what comes late or stands too long, each planned for real; null while it is being looked for. */
export function useWays(session: Session): readonly FoundRemedy[] | null {
  const [found, setFound] = useState<{ readonly key: string; readonly ways: readonly FoundRemedy[] } | null>(null);
  const trouble = troubleOf(session);
  const key = isTrouble(trouble)
    ? [
        session.events.length,
        ...trouble.late.map(({ dishId, ready }) => `${dishId} ${ready}`),
        ...trouble.spoilt.map(({ dishId, waits }) => `${dishId} ${waits}`),
      ].join(' ')
    : '';
  const latest = useRef(session);
  latest.current = session;
  useEffect(() => {
    if (key === '') return;
    const signal = { aborted: false };
    const timer = setTimeout(async () => {
      const plan = (request: Parameters<Parameters<typeof findWays>[2]>[0]) =>
        askPlanner({ ...THINK, ...request, explain: false });
      const ways = await findWays(latest.current, Date.now(), plan, signal);
      if (!signal.aborted) setFound({ key, ways });
    }, AFTER);
    return () => {
      signal.aborted = true;
      clearTimeout(timer);
    };
  }, [key]);
  return found?.key === key ? found.ways : null;
}
