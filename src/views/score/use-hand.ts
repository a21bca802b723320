'use client';

import { useEffect, useRef, useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import { type Pin, pinOf, withoutPin, withPin } from '@/core/meal/pin';
import { doneAgain, takenBack } from '@/core/plain/undo-stack';
import { mealAsPlanned } from '@/core/plan/keeps';
import { knownPlan, type Plan, type PlannedStep } from '@/core/plan/plan';
import { whatCameOf, whatLands, whatMoved } from '@/core/plan/plan-diff';
import { provenGiven } from '@/core/plan/proven';
import { say } from '@/core/say/say';
import { tableInstant } from '@/store/meals';
import { Newest } from '@/workers/newest';
import { askPlanner, atMost, stopPlanning } from '@/workers/planner';
import { baseOf, type State, useWayBack } from './use-way-back';

/** A quick look at what a move would do, the move itself, and the long search for the best plan around the pins. */
const LOOK = { seconds: 0.15, patience: 40 };
const MOVE = { seconds: 0.5, patience: 250 };
const SETTLE = { seconds: 8, patience: 2000 };
const NOTHING_FIXED: ReadonlySet<string> = new Set();

interface Wish {
  readonly pin: Pin;
  /** Let go there: it is kept. Until then it is only looked at. */
  readonly firm: boolean;
  /** What it belongs to: a gesture that was given up must not show its last look. */
  readonly gesture: number;
}

/** Words about a change, and the step they belong to: the empty key when none. */
export interface Told {
  readonly key: string;
  readonly words: string;
}

/** The hand on the score: what it wishes, what that does, and the way back. */
export interface Hand {
  /** The plan as it would be, while a step is under the hand; else the plan as it stands. */
  readonly shown: Plan;
  readonly pins: readonly Pin[];
  /** Where the step under the hand is wished, while it is. */
  readonly wish: Pin | null;
  readonly busy: boolean;
  readonly told: Told;
  readonly canTakeBack: boolean;
  readonly canDoAgain: boolean;
  /** A look at a move, without keeping it. */
  look(pin: Pin): void;
  /** The move itself. */
  move(pin: Pin): void;
  /** By so many minutes from where it stands or was last wished. */
  nudge(step: PlannedStep, minutes: number): void;
  /** Gives up a look. */
  giveUp(): void;
  letGo(step: PlannedStep): void;
  letAllGo(): void;
  /** Looks for the best plan around the pins; `keep` ends the search with the best so far. */
  settle(): void;
  keep(): void;
  readonly settling: boolean;
  takeBack(): void;
  doAgain(): void;
}

/** `meal` as it was put together; `chosen` is the key of the step whose lines are read, empty when none. */
export function useHand(meal: Meal, plan: Plan | null, chosen: string): Hand | null {
  const [preview, setPreview] = useState<Plan | null>(null);
  const [wish, setWish] = useState<Pin | null>(null);
  const [busy, setBusy] = useState(false);
  const [settling, setSettling] = useState(false);
  const [told, setTold] = useState<Told>({ key: '', words: '' });
  const gesture = useRef(0);
  const pins = meal.pins ?? [];
  const base = baseOf(meal);
  const now = useRef({ meal, plan, pins, base, chosen });
  now.current = { meal, plan, pins, base, chosen };
  const { past, pastNow, store, change } = useWayBack(meal.id, base, now);

  // biome-ignore lint/correctness/useExhaustiveDependencies: a new plan takes the place of the look at it
  useEffect(() => setPreview(null), [plan]);

  const report = (words: string, key = now.current.chosen) => setTold({ key, words });
  const fail = (error: unknown) => {
    console.error(error);
    report(say('The planner stopped unexpectedly; the plan stands as it was.'));
    setPreview(null);
    setWish(null);
    setBusy(false);
  };

  const work = async ({ pin, firm, gesture: own }: Wish) => {
    const { meal: ofMeal, plan: before, pins: had } = now.current;
    if (!before || own !== gesture.current) return;
    const result = await askFor(ofMeal, before, pin, firm ? MOVE : LOOK);
    if (own !== gesture.current) return;
    if (!result.ok) report(result.refusals.map(({ sentence }) => sentence).join(' '), pin.key);
    else {
      setPreview(result.plan);
      report(whatCameOf(before, result.plan, pin), pin.key);
    }
    if (!firm || newest.outdated) return;
    setWish(null);
    setBusy(false);
    const stands = result.ok ? pinWhereItStands(result.plan, pin) : null;
    if (!result.ok || !stands) {
      setPreview(null);
      return;
    }
    await change({ pins: withPin(had, stands), plan: result.plan });
  };
  const newest = useNewest(work, fail);

  if (!plan) return null;
  const want = (pin: Pin, firm: boolean) => {
    setWish(pin);
    if (firm) setBusy(true);
    newest.want({ pin, firm, gesture: gesture.current });
  };
  const run = (act: () => Promise<void>) => {
    setBusy(true);
    act()
      .catch(fail)
      .finally(() => setBusy(false));
  };
  const settle = async () => {
    report(say('Looking for the best plan around what you have put by hand…'));
    setSettling(true);
    const result = await askAround(meal, plan, setPreview).finally(() => setSettling(false));
    if (!result.ok) {
      setPreview(null);
      report(result.refusals.map(({ sentence }) => sentence).join(' '));
      return;
    }
    await change({ pins, plan: result.plan });
    report(sayBest(meal, plan, result.plan));
  };
  const goTo = (found: ReturnType<typeof takenBack<State>>, words: string) => {
    if (!found || busy) return;
    run(async () => {
      await store(found.state, found.past);
      report(sayDifference(plan, found.state.plan, words));
    });
  };

  return {
    shown: preview ?? plan,
    pins,
    wish,
    busy,
    told,
    canTakeBack: past.before.length > 0,
    canDoAgain: past.after.length > 0,
    look: (pin) => want(pin, false),
    move: (pin) => want(pin, true),
    nudge: (step, minutes) => {
      const from = busy && wish?.key === step.key ? (wish.start ?? step.start) : step.start;
      want({ key: step.key, start: from + minutes }, true);
    },
    giveUp: () => {
      gesture.current++;
      newest.forget();
      setPreview(null);
      setWish(null);
      report('');
    },
    letGo: (step) =>
      run(async () => {
        await change({ pins: withoutPin(pins, step.key), plan });
        report(say('{step} is free to move again.', { step: step.name }), step.key);
      }),
    letAllGo: () =>
      run(async () => {
        await change({ pins: [], plan });
        report(say('Every step is free to move again; each stays where it is until something asks for its place.'));
      }),
    settle: () => run(settle),
    keep: () => void stopPlanning(),
    settling,
    takeBack: () => goTo(takenBack(pastNow(), { pins, plan }), say('Taken back')),
    doAgain: () => goTo(doneAgain(pastNow(), { pins, plan }), say('Done again')),
  };
}

/** The plan nearest to a known one with a step where it is wished. */
function askFor(meal: Meal, before: Plan, held: Pin, limits: typeof MOVE) {
  const cooked = mealAsPlanned(meal, before);
  return askPlanner({
    meal: cooked,
    ...limits,
    near: true,
    notBefore: notBefore(meal),
    held,
    known: knownPlan(before),
  });
}

/** The best plan around what was put by hand. */
function askAround(meal: Meal, before: Plan, onImprove: (better: Plan) => void) {
  const cooked = mealAsPlanned(meal, before);
  const limits = { ...SETTLE, seconds: atMost(SETTLE.seconds) };
  return askPlanner({ meal: cooked, ...limits, notBefore: notBefore(meal), known: knownPlan(before) }, onImprove);
}

/** A queue that outlives each rendering; what it calls is always the newest. */
function useNewest<T>(work: (each: T) => Promise<void>, fail: (error: unknown) => void): Newest<T> {
  const latest = useRef({ work, fail });
  latest.current = { work, fail };
  const queue = useRef<Newest<T>>(null as never);
  queue.current ??= new Newest<T>(
    (each) => latest.current.work(each),
    (error) => latest.current.fail(error),
  );
  return queue.current;
}

/** What differs from one plan to the next, and at the table; `words` open the sentence. */
function sayDifference(before: Plan, after: Plan, words: string): string {
  return [whatMoved(before, after, NOTHING_FIXED, words), whatLands(before, after)].filter(Boolean).join(' ');
}

function sayBest(meal: Meal, before: Plan, after: Plan): string {
  const given = provenGiven(meal, after)
    .map((each) => ` ${each}`)
    .join(',');
  return sayDifference(
    before,
    after,
    after.proven
      ? say('This is the best plan there is{given}', { given })
      : say('This is the best plan found{given}', { given }),
  );
}

/** The pin of a step where it came to stand, in what was wished for; null where the plan does not hold it. */
function pinWhereItStands({ steps }: Plan, { key, start, unit }: Pin): Pin | null {
  const placed = steps.find((step) => step.key === key);
  if (!placed) return null;
  return {
    key,
    ...(start === undefined ? {} : { start: placed.start }),
    ...(unit === undefined ? {} : { unit: placed.station.id }),
  };
}

function notBefore(meal: Meal): number {
  return Math.ceil((Date.now() - tableInstant(meal)) / 60_000);
}

/** Whether a step stands where the cook put it. */
export function isPinned(pins: readonly Pin[], step: PlannedStep): boolean {
  return pinOf(pins, step.key) !== undefined;
}
