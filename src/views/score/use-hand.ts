'use client';

import { useEffect, useRef, useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import { type Pin, pinOf, withoutPin, withPin } from '@/core/meal/pin';
import { changedFrom, doneAgain, NO_PAST, type Past, takenBack } from '@/core/plain/undo-stack';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { whatCameOf, whatLands, whatMoved } from '@/core/plan/plan-diff';
import { provenGiven } from '@/core/plan/proven';
import { knownPlan } from '@/core/plan/read';
import { pantry } from '@/store/db';
import { printOf, setByHand, tableInstant } from '@/store/meals';
import { Newest } from '@/workers/newest';
import { askPlanner, stopPlanning } from '@/workers/planner';

/** A quick look at what a move would do, the move itself, and the long search for the best plan around the pins. */
const LOOK = { seconds: 0.15, patience: 40 };
const MOVE = { seconds: 0.5, patience: 250 };
const SETTLE = { seconds: 8, patience: 2000 };
const NOTHING_FIXED: ReadonlySet<string> = new Set();

interface State {
  readonly pins: readonly Pin[];
  readonly plan: Plan;
}

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

/** The ways back of every meal since the page was opened; `base` is what else the plan stood on. */
const ways = new Map<string, { readonly base: string; readonly past: Past<State> }>();

/** `chosen` is the key of the step whose lines are read, empty when none. */
export function useHand(meal: Meal, plan: Plan | null, chosen: string): Hand | null {
  const [preview, setPreview] = useState<Plan | null>(null);
  const [wish, setWish] = useState<Pin | null>(null);
  const [busy, setBusy] = useState(false);
  const [settling, setSettling] = useState(false);
  const [told, setTold] = useState<Told>({ key: '', words: '' });
  const [past, setPast] = useState<Past<State>>(NO_PAST);
  const gesture = useRef(0);
  const pins = meal.pins ?? [];
  const base = printOf({ ...meal, pins: [] });
  const now = useRef({ meal, plan, pins, base, chosen });
  now.current = { meal, plan, pins, base, chosen };

  useEffect(() => {
    const known = ways.get(meal.id);
    setPast(known?.base === base ? known.past : NO_PAST);
  }, [meal.id, base]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new plan takes the place of the look at it
  useEffect(() => setPreview(null), [plan]);

  const keepPast = (next: Past<State>) => {
    ways.set(now.current.meal.id, { base: now.current.base, past: next });
    setPast(next);
  };
  const pastNow = () => {
    const known = ways.get(now.current.meal.id);
    return known?.base === now.current.base ? known.past : NO_PAST;
  };
  const store = async (state: State, next: Past<State>) => {
    keepPast(next);
    await setByHand(pantry(), now.current.meal, state.pins, state.plan, Date.now());
  };
  const change = async (state: State) => {
    const { plan: before, pins: had } = now.current;
    await store(state, before ? changedFrom(pastNow(), { pins: had, plan: before }) : pastNow());
  };
  const say = (words: string, key = now.current.chosen) => setTold({ key, words });
  const fail = (error: unknown) => {
    console.error(error);
    say('The planner stopped unexpectedly; the plan stands as it was.');
    setPreview(null);
    setWish(null);
    setBusy(false);
  };

  const work = async ({ pin, firm, gesture: own }: Wish) => {
    const { meal: ofMeal, plan: before, pins: had } = now.current;
    if (!before || own !== gesture.current) return;
    const result = await askPlanner({
      meal: ofMeal,
      ...(firm ? MOVE : LOOK),
      near: true,
      notBefore: notBefore(ofMeal),
      held: pin,
      known: knownPlan(before),
    });
    if (own !== gesture.current) return;
    if (!result.ok) say(result.refusals.map(({ sentence }) => sentence).join(' '), pin.key);
    else {
      setPreview(result.plan);
      say(whatCameOf(before, result.plan, pin), pin.key);
    }
    if (!firm || newest.current.outdated) return;
    setWish(null);
    setBusy(false);
    const placed = result.ok ? result.plan.steps.find(({ key }) => key === pin.key) : undefined;
    if (!result.ok || !placed) {
      setPreview(null);
      return;
    }
    const stands: Pin = {
      key: pin.key,
      ...(pin.start === undefined ? {} : { start: placed.start }),
      ...(pin.unit === undefined ? {} : { unit: placed.station.id }),
    };
    await change({ pins: withPin(had, stands), plan: result.plan });
  };
  // The queue outlives each rendering; what it calls is always the newest.
  const latest = useRef({ work, fail });
  latest.current = { work, fail };
  const newest = useRef<Newest<Wish>>(null as never);
  newest.current ??= new Newest<Wish>(
    (each) => latest.current.work(each),
    (error) => latest.current.fail(error),
  );

  if (!plan) return null;
  const want = (pin: Pin, firm: boolean) => {
    setWish(pin);
    if (firm) setBusy(true);
    newest.current.want({ pin, firm, gesture: gesture.current });
  };
  const run = (act: () => Promise<void>) => {
    setBusy(true);
    act()
      .catch(fail)
      .finally(() => setBusy(false));
  };
  const goTo = (found: ReturnType<typeof takenBack<State>>, words: string) => {
    if (!found || busy) return;
    run(async () => {
      await store(found.state, found.past);
      say(
        [whatMoved(plan, found.state.plan, NOTHING_FIXED, words), whatLands(plan, found.state.plan)]
          .filter(Boolean)
          .join(' '),
      );
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
      newest.current.forget();
      setPreview(null);
      setWish(null);
      say('');
    },
    letGo: (step) =>
      run(async () => {
        await change({ pins: withoutPin(pins, step.key), plan });
        say(`${step.name} is free to move again.`, step.key);
      }),
    letAllGo: () =>
      run(async () => {
        await change({ pins: [], plan });
        say('Every step is free to move again; each stays where it is until something asks for its place.');
      }),
    settle: () =>
      run(async () => {
        say('Looking for the best plan around what you have put by hand…');
        setSettling(true);
        const result = await askPlanner(
          { meal, ...SETTLE, notBefore: notBefore(meal), known: knownPlan(plan) },
          (better) => setPreview(better),
        ).finally(() => setSettling(false));
        if (!result.ok) {
          setPreview(null);
          say(result.refusals.map(({ sentence }) => sentence).join(' '));
          return;
        }
        await change({ pins, plan: result.plan });
        const given = provenGiven(meal)
          .map((each) => ` ${each}`)
          .join(',');
        const best = `This is the best plan ${result.plan.proven ? 'there is' : 'found'}${given}`;
        say([whatMoved(plan, result.plan, NOTHING_FIXED, best), whatLands(plan, result.plan)].join(' '));
      }),
    keep: () => void stopPlanning(),
    settling,
    takeBack: () => goTo(takenBack(pastNow(), { pins, plan }), 'Taken back'),
    doAgain: () => goTo(doneAgain(pastNow(), { pins, plan }), 'Done again'),
  };
}

function notBefore(meal: Meal): number {
  return Math.ceil((Date.now() - tableInstant(meal)) / 60_000);
}

/** Whether a step stands where the cook put it. */
export function isPinned(pins: readonly Pin[], step: PlannedStep): boolean {
  return pinOf(pins, step.key) !== undefined;
}
