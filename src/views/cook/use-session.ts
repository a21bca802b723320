'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useRef, useState } from 'react';
import { carryOn } from '@/core/live/carry-on';
import { isOutOfDate } from '@/core/live/replan';
import { type LiveEvent, type LiveStep, lastStanding, liveSteps, moreMinutes, type Session } from '@/core/live/session';
import { pantry, type StoredSession } from '@/store/db';
import { adoptPlan, openSession, tell } from '@/store/sessions';
import { askPlanner } from '@/workers/planner';

export interface SessionAtHand {
  /** undefined while it is being opened, null when there is none. */
  readonly session: StoredSession | null | undefined;
  /** Milliseconds the last re-plan took, from the press to the new plan. */
  readonly replannedIn: number | null;
  readonly done: (live: LiveStep) => void;
  readonly notYet: (live: LiveStep) => void;
  readonly begun: (live: LiveStep) => void;
  readonly undo: () => void;
}

const REPLAN_SECONDS = 0.12;
const REPLAN_PATIENCE = 250;
const BETWEEN_DRIFT_CHECKS = 20_000;

/** The open session of a meal, what can be told to it, and the re-planning that follows. */
export function useSession(mealId: string): SessionAtHand {
  const session = useLiveQuery(async () => (await openSession(pantry(), mealId)) ?? null, [mealId]);
  const [replannedIn, setReplannedIn] = useState<number | null>(null);
  const latest = useRef<StoredSession | null | undefined>(undefined);
  latest.current = session;

  const say = useCallback(async (event: Told, words: string) => {
    const current = latest.current;
    if (!current) return;
    const begun = performance.now();
    const at = Date.now();
    const told = await tell(pantry(), current.id, { ...event, id: `${at}-${current.events.length}`, at } as LiveEvent);
    if (told && (event.kind !== 'begun' || isOutOfDate(told, at))) {
      await replan(told, at, words);
      setReplannedIn(Math.round(performance.now() - begun));
    }
  }, []);

  // When nobody presses anything the plan still must not point into the past.
  useEffect(() => {
    const timer = setInterval(() => {
      const current = latest.current;
      const at = Date.now();
      if (current && !liveSteps(current, at).every((live) => live.status === 'done') && isOutOfDate(current, at)) {
        replan(current, at, 'The clock has moved on').catch(console.error);
      }
    }, BETWEEN_DRIFT_CHECKS);
    return () => clearInterval(timer);
  }, []);

  return {
    session,
    replannedIn,
    done: ({ step }) => void say({ kind: 'done', key: step.key }, `${step.dishName}: ${step.name} is done`),
    begun: ({ step }) => void say({ kind: 'begun', key: step.key }, `${step.dishName}: ${step.name} has begun`),
    notYet: ({ step, endAt }) => {
      const more = moreMinutes(step);
      const until = Math.max(endAt, Date.now()) + more * 60_000;
      void say({ kind: 'not-yet', key: step.key, until }, `${step.dishName}: ${step.name} has ${more} min more`);
    },
    undo: () => {
      const last = latest.current ? lastStanding(latest.current) : undefined;
      if (last) void say({ kind: 'undo', of: last.id }, 'Taken back');
    },
  };
}

type Told =
  | { readonly kind: 'begun' | 'done'; readonly key: string }
  | { readonly kind: 'not-yet'; readonly key: string; readonly until: number }
  | { readonly kind: 'undo'; readonly of: string };

/** Plans the rest of the evening from an instant and stores it, with a sentence on what moved. */
async function replan(session: Session, at: number, words: string): Promise<void> {
  const { plan, moved } = await carryOn(session, at, words, (request) =>
    askPlanner({ meal: session.meal, seconds: REPLAN_SECONDS, patience: REPLAN_PATIENCE, ...request }),
  );
  await adoptPlan(pantry(), session.id, session.events.length, plan, moved);
}
