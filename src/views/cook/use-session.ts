'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type CarriedOn, carryOn } from '@/core/live/carry-on';
import { changesThePlan, type Look, type Said } from '@/core/live/events';
import { untilAfter, WATER_MINUTES, waterReminder } from '@/core/live/looks';
import { borneAsItIs, troubleOf, weightOf } from '@/core/live/offer';
import { isOutOfDate } from '@/core/live/replan';
import {
  type LiveStep,
  lastStanding,
  liveSteps,
  moreMinutes,
  type Session,
  safeMinutesLeft,
} from '@/core/live/session';
import type { Way } from '@/core/live/ways';
import { capital } from '@/core/units/words';
import { pantry, type StoredSession } from '@/store/db';
import { adoptPlan, openSession, tell } from '@/store/sessions';
import { askPlanner } from '@/workers/planner';
import { useLead } from './use-lead';

/** What can be told to an evening; all of it is stored at once. */
export interface Telling {
  readonly done: (live: LiveStep) => void;
  readonly byClock: (live: LiveStep) => void;
  readonly notYet: (live: LiveStep) => void;
  readonly begun: (live: LiveStep) => void;
  readonly looked: (live: LiveStep, look: Look) => void;
  readonly water: (live: LiveStep, ml: number) => void;
  readonly pause: (live: LiveStep) => void;
  readonly resume: (live: LiveStep) => void;
  readonly skip: (live: LiveStep) => void;
  readonly move: (live: LiveStep, unit: string, name: string) => void;
  readonly failed: (unit: string, name: string) => void;
  readonly later: (minutes: number) => void;
  /** The hour stays, with what is late and what stands longer than it bears. */
  readonly keepHour: () => void;
  readonly take: (way: Way) => void;
  readonly drop: (dish: string, name: string) => void;
  readonly note: (text: string, photo?: string) => void;
  readonly undo: () => void;
  readonly takeBack: (id: string) => void;
}

export interface SessionAtHand extends Telling {
  /** undefined while it is being opened, null when there is none. */
  readonly session: StoredSession | null | undefined;
  /** Milliseconds the last re-plan took, from the press to the new plan. */
  readonly replannedIn: number | null;
  /** This window leads the evening: it rings, and plans by the clock. */
  readonly leads: boolean;
  readonly takeOver: () => void;
  /** Said to be done before the minutes that safety asks for were over: the cook is asked. */
  readonly early: LiveStep | null;
  /** Done all the same: it had its time. */
  readonly insist: () => void;
  readonly goOn: () => void;
}

/** With what surrounds it an answer comes within a tenth of a second at a hundred steps. */
const REPLAN = { seconds: 0.025, patience: 250 } as const;
/** Where something is wrong, it is worth longer thought. */
export const THINK = { seconds: 0.4, patience: 400 } as const;
const BETWEEN_DRIFT_CHECKS = 20_000;
const MINUTE = 60_000;

/** The open session of a meal, what can be told to it, and the re-planning that follows. */
export function useSession(mealId: string): SessionAtHand {
  const session = useLiveQuery(async () => (await openSession(pantry(), mealId)) ?? null, [mealId]);
  const [replannedIn, setReplannedIn] = useState<number | null>(null);
  const [early, setEarly] = useState<LiveStep | null>(null);
  const { leads, takeOver } = useLead(session?.id);
  const latest = useRef<StoredSession | null | undefined>(undefined);
  latest.current = session;

  const say = useCallback(async (said: readonly Said[], words: string) => {
    const current = latest.current;
    if (!current) return;
    const begun = performance.now();
    const at = Date.now();
    const told = await tell(pantry(), current.id, said, at);
    const last = told?.events.at(-1);
    if (!told || !last) return;
    const matters = changesThePlan(last, told.events) && (last.kind !== 'begun' || isOutOfDate(told, last.at));
    if (!matters) return;
    await replan(told, last.at, words);
    setReplannedIn(Math.round(performance.now() - begun));
  }, []);

  // When nobody presses anything the plan still must not point into the past.
  useEffect(() => {
    if (!leads) return;
    const timer = setInterval(() => {
      const current = latest.current;
      const at = Date.now();
      if (current && !liveSteps(current, at).every((live) => live.status === 'done') && isOutOfDate(current, at)) {
        replan(current, at, 'The clock has moved on').catch(console.error);
      }
    }, BETWEEN_DRIFT_CHECKS);
    return () => clearInterval(timer);
  }, [leads]);

  const telling = useMemo(
    () =>
      tellings(
        (said, words) => void say(said, words),
        () => latest.current,
      ),
    [say],
  );
  const done = (live: LiveStep) => {
    const tooSoon = safeMinutesLeft(live, Date.now()) > 0;
    if (tooSoon) setEarly(live);
    else telling.done(live);
  };
  const insist = () => {
    if (early) telling.done(early);
    setEarly(null);
  };
  const goOn = () => setEarly(null);
  return { session, replannedIn, leads, takeOver, ...telling, done, early, insist, goOn };
}

function tellings(
  sayAll: (said: readonly Said[], words: string) => void,
  current: () => StoredSession | null | undefined,
): Telling {
  const say = (said: Said, words: string) => sayAll([said], words);
  const named = ({ step }: LiveStep) => `${step.dishName}: ${step.name}`;
  const takeBack = (id: string) => say({ kind: 'undo', of: id }, 'Taken back');
  return {
    done: (live) => say({ kind: 'done', key: live.step.key }, `${named(live)} is done`),
    byClock: (live) => say({ kind: 'clock', key: live.step.key }, `${named(live)} is done by the clock`),
    begun: (live) => say({ kind: 'begun', key: live.step.key }, `${named(live)} has begun`),
    notYet: (live) => {
      const more = moreMinutes(live.step);
      const until = Math.max(live.endAt, Date.now()) + more * MINUTE;
      say({ kind: 'not-yet', key: live.step.key, until }, `${named(live)} has ${more} min more`);
    },
    looked: (live, look) => {
      const until = Math.round(untilAfter(look, live, Date.now()));
      const words = look === 'there' ? 'is there' : look === 'nearly' ? 'is nearly there' : 'is not there yet';
      say({ kind: 'checked', key: live.step.key, look, until }, `${named(live)} ${words}`);
    },
    water: (live, ml) => {
      const until = Math.max(live.endAt, Date.now() + WATER_MINUTES * MINUTE);
      const session = current();
      const reminder = session ? waterReminder(session.meal, live.step.dishId, ml) : null;
      const words = `${named(live)} has ${ml} ml of water more`;
      say({ kind: 'water', key: live.step.key, ml, until }, reminder ? `${words}. ${reminder}` : words);
    },
    pause: (live) => say({ kind: 'paused', key: live.step.key }, `${named(live)} is put aside`),
    resume: (live) => say({ kind: 'resumed', key: live.step.key }, `${named(live)} goes on`),
    skip: (live) => say({ kind: 'skipped', key: live.step.key }, `${named(live)} is left out`),
    move: (live, unit, name) =>
      say({ kind: 'moved', key: live.step.key, unit }, `${named(live)} stands on ${name} now`),
    failed: (unit, name) => say({ kind: 'failed', unit }, `${name} gives no heat any more`),
    later: (minutes) => say({ kind: 'hour', minutes }, `The table is laid ${minutes} min later`),
    keepHour: () => {
      const session = current();
      if (session) say(borneAsItIs(session.plan), 'The hour stays');
    },
    take: ({ does, says }) => sayAll(does, capital(says)),
    drop: (dish, name) => say({ kind: 'dropped', dish }, `${name} is left out tonight`),
    note: (text, photo) => say({ kind: 'note', text, ...(photo ? { photo } : {}) }, 'Noted'),
    undo: () => {
      const session = current();
      const last = session ? lastStanding(session) : undefined;
      if (last) takeBack(last.id);
    },
    takeBack,
  };
}

/**
 * Plans the rest of the evening from an instant and stores it, with a sentence on what moved. Where something then comes late or spoils, it is
 * planned again with more time, and the better plan takes its place.
 */
async function replan(session: Session, at: number, words: string): Promise<void> {
  const plan = (limits: typeof REPLAN | typeof THINK) =>
    carryOn(session, at, words, (request) => askPlanner({ ...limits, ...request }));
  const weight = (carried: CarriedOn) => weightOf(troubleOf({ ...session, plan: carried.plan }));
  const first = await plan(REPLAN);
  await adoptPlan(pantry(), session.id, session.events.length, first);
  if (weight(first) === 0) return;
  const second = await plan(THINK);
  if (weight(second) < weight(first)) await adoptPlan(pantry(), session.id, session.events.length, second);
}
