'use client';

import { useEffect, useRef, useState } from 'react';
import type { NewEvent } from '@/core/live/events';
import type { Session } from '@/core/live/session';
import { whatIf } from '@/core/live/what-if';
import { askPlanner } from '@/workers/planner';
import { THINK } from './use-session';

/** Something that could be told, known by its id. */
interface Tellable {
  readonly id: string;
  readonly does: readonly NewEvent[];
}

/** What each way would lead to, planned one after the other as long as they are shown; null for what is not planned yet. */
export function useOutcomes(session: Session, ways: readonly Tellable[]): (id: string) => string | null {
  const [found, setFound] = useState<Readonly<Record<string, string>>>({});
  const latest = useRef({ session, ways });
  latest.current = { session, ways };
  const key = `${session.events.length} ${ways.map(({ id }) => id).join(' ')}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: planned anew when the ways or the log are others
  useEffect(() => {
    let gone = false;
    setFound({});
    const plan = async () => {
      for (const { id, does } of latest.current.ways) {
        const outcome = await whatIf(latest.current.session, does, Date.now(), (request) =>
          askPlanner({ ...THINK, ...request, explain: false }),
        ).catch(() => null);
        if (gone) return;
        setFound((before) => ({ ...before, [id]: outcome ? outcome.leadsTo : 'that could not be planned' }));
      }
    };
    void plan();
    return () => {
      gone = true;
    };
  }, [key]);
  return (id) => found[id] ?? null;
}
