'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Dish } from '@/core/dish/dish';
import { answered, carryOn, carryOnByClock, type RestRequest, type Thought } from '@/core/live/carry-on';
import type { Evening, HeldEvening } from '@/core/live/evening';
import { changesThePlan, type Look, lastTakenBack, type MeasuredDoes, type NewEvent } from '@/core/live/events';
import type { LiveRemedy } from '@/core/live/live-remedies';
import { untilAfter, WATER_MINUTES, waterReminder } from '@/core/live/looks';
import type { ToMeasure } from '@/core/live/measuring';
import { borneAsItIs } from '@/core/live/offer';
import { isOutOfDate } from '@/core/live/replan';
import {
  type LiveStep,
  lastStanding,
  liveSteps,
  moreMinutes,
  type Session,
  safeMinutesLeft,
} from '@/core/live/session';
import { doneAlready, restThatWouldBegin } from '@/core/live/settle';
import { type Ladder, lookedAtStage, sayAtStage } from '@/core/live/stages';
import type { TasteStep } from '@/core/live/tasting';
import { standingOn } from '@/core/live/transition';
import { say } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import { capital } from '@/core/units/words';
import { pantry } from '@/store/db';
import { storeFault } from '@/store/faults';
import { adoptPlan, openSession, restoreSession, tell } from '@/store/sessions';
import { askPlanner, warmPlanner } from '@/workers/planner';
import { useLead } from './use-lead';
import { useScreens } from './use-screens';

/** What can be told to an evening; all of it is stored at once. */
export interface Telling {
  readonly done: (live: LiveStep) => void;
  readonly byClock: (live: LiveStep) => void;
  readonly notYet: (live: LiveStep) => void;
  readonly begun: (live: LiveStep) => void;
  readonly looked: (live: LiveStep, look: Look) => void;
  /** A look that found a stage: at the wanted one it is done. */
  readonly staged: (live: LiveStep, ladder: Ladder, stage: number) => void;
  readonly water: (live: LiveStep, ml: number) => void;
  /** So much there is of what was strained, and what is done about it. */
  readonly measured: (live: LiveStep, measure: ToMeasure, ml: number, does: MeasuredDoes) => void;
  /** What a tongue found, and what went in. */
  readonly tasted: (dish: Pick<Dish, 'id' | 'name'>, step: TasteStep) => void;
  /** Done before: with all that it waits for. */
  readonly already: (live: LiveStep) => void;
  /** Somebody else does it. */
  readonly handed: (live: LiveStep, person: { readonly id: string; readonly name: string }) => void;
  readonly pause: (live: LiveStep) => void;
  readonly resume: (live: LiveStep) => void;
  readonly skip: (live: LiveStep) => void;
  readonly move: (live: LiveStep, unit: string, name: string) => void;
  readonly failed: (unit: string, name: string) => void;
  readonly later: (minutes: number) => void;
  /** The hour stays, with what is late and what stands longer than it bears. */
  readonly keepHour: () => void;
  readonly take: (way: Pick<LiveRemedy, 'does' | 'says'>) => void;
  readonly drop: (dish: string, name: string) => void;
  /** Whether it was kept. */
  readonly note: (text: string, photo?: string) => Promise<boolean>;
  readonly undo: () => void;
  /** Tells again what was taken back last, as long as nothing else was told since. */
  readonly redo: () => void;
  readonly takeBack: (id: string) => void;
  /** The clock of the device was set by so many milliseconds. */
  readonly clockSet: (by: number) => void;
}

export interface SessionAtHand extends Telling {
  /** undefined while it is being opened, null when there is none. */
  readonly session: Evening | null | undefined;
  /** Milliseconds the last re-plan took, from the press to the new plan. */
  readonly replannedIn: number | null;
  /** This window leads the evening: it rings, and plans by the clock. */
  readonly leads: boolean;
  /** It does what the clock asks for: it leads, and so does no other screen that it is joined to. */
  readonly keepsTime: boolean;
  /** Another window leads it. */
  readonly follows: boolean;
  readonly takeOver: () => void;
  /** Said to be done before the minutes that safety asks for were over: the cook is asked. */
  readonly early: LiveStep | null;
  /** Done all the same: it had its time. */
  readonly insist: () => void;
  readonly goOn: () => void;
  /** Called done late, and a long rest would begin only now: the cook is asked whether it has stood already. */
  readonly stood: Stood | null;
  readonly hasStood: () => void;
  readonly standsNow: () => void;
  /** What was told and could not be stored, until it is told again or let go. */
  readonly unkept: Unkept | null;
  readonly letGo: () => void;
  /** The last re-plan failed: the plan on the screen is the one before. */
  readonly unplanned: boolean;
  /** What was planned at first lands late: a better plan is looked for before any hour is told. */
  readonly thinking: boolean;
  readonly planAgain: () => void;
}

export interface Stood {
  readonly live: LiveStep;
  readonly rest: LiveStep;
}

export interface Unkept {
  readonly words: string;
  readonly fault: string;
  readonly again: () => void;
}

/** What may be done about it is worth longer thought. */
export const THINK = { seconds: 0.4, patience: 400 } as const;
const BETWEEN_DRIFT_CHECKS = 20_000;
const AT_FIRST = 1000;
/** What was told on a screen that this one is joined to is planned with there; after so many ms here, where that did not come. */
const FOR_ITS_PLAN = 600;
const MINUTE = 60_000;

/** The open session of a meal, what can be told to it, and the re-planning that follows. */
export function useSession(mealId: string): SessionAtHand {
  const session = useLiveQuery(async () => (await openSession(pantry(), mealId)) ?? null, [mealId]);
  const [replannedIn, setReplannedIn] = useState<number | null>(null);
  const [early, setEarly] = useState<LiveStep | null>(null);
  const [stood, setStood] = useState<Stood | null>(null);
  const [unkept, setUnkept] = useState<Unkept | null>(null);
  const [unplanned, setUnplanned] = useState(false);
  const [thinking, setThinking] = useState(false);
  const { leads, follows, takeOver } = useLead(session?.id);
  const screens = useScreens(session?.id);
  const together = screens.kind === 'together';
  const keepsTime = leads && !(together && !screens.leads);
  const { latest, write, written } = useAsTold(session);

  /** Answers whose plan is under way: the clock does not plan the same over them. */
  const underWay = useRef(0);

  /** Where no planner can be had, the plan stands as it was, and the cook is told so. */
  const replanOrSay = useCallback(async (current: Evening, at: number, words: string | null) => {
    try {
      await replan(current, at, words, () => setThinking(true));
      setUnplanned(false);
    } catch (error) {
      console.error(error);
      setUnplanned(true);
    } finally {
      setThinking(false);
    }
  }, []);

  const tellAndPlan = useCallback(
    async function tellAll(said: readonly NewEvent[], words: string): Promise<boolean> {
      const current = latest.current;
      if (!current) return false;
      const begun = performance.now();
      const at = Date.now();
      let told: Evening | undefined;
      try {
        told = await write(tell(pantry(), current.id, said, at));
        setUnkept(null);
      } catch (error) {
        // What was told stays in sight, to be told again.
        setUnkept({
          words,
          fault: storeFault(error) ?? say('That was not kept.'),
          again: () => void tellAll(said, words),
        });
        return false;
      }
      const last = told?.events.at(-1);
      if (!told || !last) return true;
      const matters = changesThePlan(last, told.events) && (last.kind !== 'begun' || isOutOfDate(told, last.at));
      if (!matters) return true;
      // What is taken back was never so: the evening stands as it stood, its plan and its hour too.
      if (last.kind === 'undo' && (await restoreSession(pantry(), told.id))) {
        setReplannedIn(Math.round(performance.now() - begun));
        return true;
      }
      await replanOrSay(told, last.at, words);
      setReplannedIn(Math.round(performance.now() - begun));
      return true;
    },
    [latest, replanOrSay, write],
  );
  const report = useCallback(
    async (said: readonly NewEvent[], words: string) => {
      underWay.current++;
      return tellAndPlan(said, words).finally(() => underWay.current--);
    },
    [tellAndPlan],
  );

  useCatchUp(mealId, keepsTime, together && session?.toldElsewhere === true, underWay, replanOrSay);

  const telling = useMemo(() => tellings(report, latest, written), [latest, report, written]);
  // A stove may lose its network: what plans anew is fetched while there is one.
  useEffect(() => {
    void warmPlanner();
  }, []);
  const done = (live: LiveStep) => {
    const at = Date.now();
    const tooSoon = safeMinutesLeft(live, at) > 0;
    const rest = latest.current ? restThatWouldBegin(latest.current, live, at) : null;
    if (tooSoon) setEarly(live);
    else if (rest) setStood({ live, rest });
    else telling.done(live);
  };
  const hasStood = () => {
    if (stood) telling.already(stood.rest);
    setStood(null);
  };
  const standsNow = () => {
    if (stood) telling.done(stood.live);
    setStood(null);
  };
  const staged = (live: LiveStep, ladder: Ladder, stage: number) => {
    const tooSoon = stage >= ladder.target && safeMinutesLeft(live, Date.now()) > 0;
    if (tooSoon) setEarly(live);
    else telling.staged(live, ladder, stage);
  };
  const insist = () => {
    if (early) telling.done(early);
    setEarly(null);
  };
  const goOn = () => setEarly(null);
  const letGo = () => setUnkept(null);
  const planAgain = () => {
    const current = latest.current;
    if (current) void replanOrSay(current, Date.now(), say('Planned anew'));
  };
  const faults = { unkept, letGo, unplanned, thinking, planAgain };
  return {
    session,
    replannedIn,
    leads,
    keepsTime,
    follows,
    takeOver,
    ...telling,
    done,
    staged,
    early,
    insist,
    goOn,
    stood,
    hasStood,
    standsNow,
    ...faults,
  };
}

/**
 * When nobody presses anything the plan still must not point into the past. Planned is what is stored, not what is on the screen: that shows
 * an answer's plan a moment late, and the clock's words would be written over the answer's.
 */
function useCatchUp(
  mealId: string,
  keepsTime: boolean,
  toldOnOther: boolean,
  underWay: RefObject<number>,
  replanOrSay: (current: HeldEvening, at: number, words: null) => Promise<void>,
): void {
  useEffect(() => {
    if (!keepsTime) return;
    const catchUp = async () => {
      const current = underWay.current > 0 ? undefined : await openSession(pantry(), mealId);
      const at = Date.now();
      if (!current || underWay.current > 0 || !(current.toldElsewhere || isOutOfDate(current, at))) return;
      if (!liveSteps(current, at).every((live) => live.status === 'done')) await replanOrSay(current, at, null);
    };
    // A store that cannot be read now is asked again in a while.
    const tryToCatchUp = () => void catchUp().catch((error) => console.error(error));
    // Once at the beginning too: what was done before is settled by then.
    const first = setTimeout(tryToCatchUp, AT_FIRST);
    const timer = setInterval(tryToCatchUp, toldOnOther ? FOR_ITS_PLAN : BETWEEN_DRIFT_CHECKS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [mealId, keepsTime, toldOnOther, underWay, replanOrSay]);
}

/** The evening with all that this window has told: a press right after another means that other, though what is stored is not on the screen yet. */
function useAsTold(session: HeldEvening | null | undefined) {
  const latest = useRef<HeldEvening | null | undefined>(undefined);
  const told = useRef<HeldEvening | undefined>(undefined);
  const written = useRef<Promise<unknown>>(Promise.resolve());
  const isBehind =
    session?.id === told.current?.id && (session?.events.length ?? 0) < (told.current?.events.length ?? 0);
  if (!isBehind) told.current = undefined;
  latest.current = told.current ?? session;
  const write = useCallback(async (writing: Promise<HeldEvening | undefined>) => {
    written.current = writing.catch(() => {});
    const evening = await writing;
    if (evening) latest.current = told.current = evening;
    return evening;
  }, []);
  return { latest, write, written };
}

function tellings(
  sayAll: (said: readonly NewEvent[], words: string) => Promise<boolean>,
  latest: RefObject<Evening | null | undefined>,
  written: RefObject<Promise<unknown>>,
): Telling {
  const current = () => latest.current;
  const report = (said: NewEvent, words: string) => void sayAll([said], words);
  const named = ({ step }: LiveStep) => say('{name}: {words}', { name: step.dishName, words: step.name });
  const takeBack = (id: string) => report({ kind: 'undo', of: id }, say('Taken back'));
  return {
    done: (live) => report({ kind: 'done', key: live.step.key }, say('{named} is done', { named: named(live) })),
    byClock: (live) =>
      report({ kind: 'clock', key: live.step.key }, say('{named} is done by the clock', { named: named(live) })),
    begun: (live) => report({ kind: 'begun', key: live.step.key }, say('{named} has begun', { named: named(live) })),
    notYet: (live) => {
      const more = moreMinutes(live.step);
      const until = Math.max(live.endAt, Date.now()) + more * MINUTE;
      report(
        { kind: 'not-yet', key: live.step.key, until },
        say('{named} has {more} min more', { named: named(live), more }),
      );
    },
    looked: (live, look) => {
      const until = Math.round(untilAfter(look, live, Date.now()));
      const words =
        look === 'there' ? say('is there') : look === 'nearly' ? say('is nearly there') : say('is not there yet');
      report({ kind: 'checked', key: live.step.key, look, until }, `${named(live)} ${words}`);
    },
    staged: (live, ladder, stage) => {
      const at = Date.now();
      const said = lookedAtStage(live, ladder, stage, at);
      const next = sayAtStage(ladder, stage, (said.until - at) / MINUTE);
      report(said, `${named(live)}: ${ladder.stages[stage]!.says}. ${next.replace(/\.$/, '')}`);
    },
    water: (live, ml) => {
      const until = Math.max(live.endAt, Date.now() + WATER_MINUTES * MINUTE);
      const session = current();
      const reminder = session ? waterReminder(session.meal, live.step.dishId, ml) : null;
      const words = say('{named} has {ml} ml of water more', { named: named(live), ml });
      report({ kind: 'water', key: live.step.key, ml, until }, reminder ? `${words}. ${reminder}` : words);
    },
    measured: (live, { product, name }, ml, does) => {
      const there = printAmount({ quantity: ml, unit: 'ml' });
      const words = { 'as it is': 'as it is', 'topped up': 'topped up', 'less grain': say('so much less goes in') }[
        does
      ];
      report(
        { kind: 'measured', key: live.step.key, product, ml, does },
        say('{there} of {name}: {words}', { there, name, words }),
      );
    },
    tasted: ({ id, name }, { sense, give }) =>
      report(
        { kind: 'tasted', dish: id, sense, ...(give ? { gave: give } : {}) },
        give
          ? say('{name}: {thing} went in', { name, thing: printThing(give.amount, give.name) })
          : say('{name} was tasted', { name }),
      ),
    already: (live) => {
      const session = current();
      if (session)
        void sayAll(
          doneAlready(session, live.step.key, Date.now()),
          say('{named} was done before', { named: named(live) }),
        );
    },
    handed: (live, person) =>
      report(
        { kind: 'handed', key: live.step.key, person: person.id },
        say('{named}: given to {person}', { named: named(live), person: person.name }),
      ),
    pause: (live) =>
      report({ kind: 'paused', key: live.step.key }, say('{named} is put aside', { named: named(live) })),
    resume: (live) => report({ kind: 'resumed', key: live.step.key }, say('{named} goes on', { named: named(live) })),
    skip: (live) => report({ kind: 'skipped', key: live.step.key }, say('{named} is left out', { named: named(live) })),
    move: (live, unit, name) =>
      report(
        { kind: 'moved', key: live.step.key, unit },
        say('{named} stands on {name} now', { named: named(live), name }),
      ),
    failed: (unit, name) => {
      const session = current();
      const stood = session ? standingOn(liveSteps(session, Date.now()), unit) : [];
      report(
        { kind: 'failed', unit, ...(stood.length > 0 ? { stood } : {}) },
        say('{name} gives no heat any more', { name }),
      );
    },
    later: (minutes) => report({ kind: 'hour', minutes }, say('The table is laid {minutes} min later', { minutes })),
    keepHour: () => {
      const session = current();
      if (session) report(borneAsItIs(session.plan), say('The hour stays'));
    },
    take: ({ does, says }) => void sayAll(does, capital(says)),
    drop: (dish, name) => report({ kind: 'dropped', dish }, say('{name} is left out tonight', { name })),
    note: (text, photo) => sayAll([{ kind: 'note', text, ...(photo ? { photo } : {}) }], 'Noted'),
    undo: async () => {
      await written.current;
      const session = current();
      const last = session ? lastStanding(session) : undefined;
      if (last) takeBack(last.id);
    },
    redo: async () => {
      await written.current;
      const session = current();
      const last = session ? lastTakenBack(session.events) : undefined;
      if (last) report({ kind: 'undo', of: last.id }, say('Told again'));
    },
    clockSet: (by) =>
      report(
        { kind: 'clock-set', by },
        by < 0 ? say('The clock of this device was set back') : say('The clock of this device was put forward'),
      ),
    takeBack,
  };
}

/** Plans the rest of the evening from an instant and stores it, with a sentence on what moved. Without words nothing was told: the clock has moved on. */
async function replan(session: Session, at: number, words: string | null, onThinking: () => void): Promise<void> {
  const carry = (thought: Thought) => {
    const ask = (request: RestRequest) => askPlanner({ ...thought, ...request });
    return words === null ? carryOnByClock(session, at, ask) : carryOn(session, at, words, ask);
  };
  await adoptPlan(pantry(), session.id, session.events.length, await answered(session, carry, onThinking));
}
