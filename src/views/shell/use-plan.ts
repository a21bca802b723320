'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Refusal } from '@/core/dish/check';
import { hourPast } from '@/core/meal/check';
import type { Meal } from '@/core/meal/meal';
import { knownPlan, type Odds, type Plan } from '@/core/plan/plan';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { printOf, tableInstant } from '@/store/meals';
import { askPlanner, atMost, stopPlanning } from '@/workers/planner';

export interface PlanState {
  readonly plan: Plan | null;
  /** It is known whether there is a plan from before: until then nothing is shown that would move when one comes. */
  readonly looked: boolean;
  readonly refusals: readonly Refusal[];
  /** The plan of before, where its beginning is behind the clock by now: some of it may have been done. */
  readonly earlier: Plan | null;
  /** Still looking for a better plan. */
  readonly settling: boolean;
  /** A first plan is taking longer than usual; it is being looked for with more time. */
  readonly long: boolean;
  /** Milliseconds from the change to the first plan that fits it; null until then. */
  readonly firstAfter: number | null;
  /** The odds before the last change of the meal; null where it was not changed since the page opened. */
  readonly oddsBefore: Odds | null;
  /** Keeps the plan as it is. */
  readonly settle: () => void;
}

const SECONDS = 3;
const PATIENCE = 500;
/** What a first plan may take where the usual seconds brought none: a great feast in a small kitchen. */
const SECONDS_FOR_A_FIRST = 30;

/** The plan of a meal, kept in the browser and made anew after each change; the old one stands until then. */
export function usePlan(meal: Meal | undefined): PlanState {
  const [state, setState] = useState<Omit<PlanState, 'settle'>>({
    plan: null,
    looked: false,
    refusals: [],
    earlier: null,
    settling: false,
    long: false,
    firstAfter: null,
    oddsBefore: null,
  });
  const print = meal ? printOf(meal) : null;
  const latest = useRef<Meal | undefined>(undefined);
  const shown = useRef<Plan | null>(null);
  latest.current = meal;

  useEffect(() => {
    const now = latest.current;
    if (!now || print === null) return;
    let gone = false;
    const show = (change: Partial<Omit<PlanState, 'settle'>>) => {
      if (gone) return;
      if (change.plan !== undefined) shown.current = change.plan;
      setState((before) => ({ ...before, ...change, looked: true }));
    };
    planAnew(now, print, shown.current, show, () => gone).catch((error: unknown) => {
      console.error(error);
      const sentence = say(
        'The planner stopped unexpectedly. Change something or load the page again; your meal is kept.',
      );
      show({ refusals: [{ where: 'planner', sentence }], settling: false });
    });
    return () => {
      gone = true;
    };
  }, [print]);

  // Another tab, or the hand on the score, may store a plan for the same meal.
  const mealId = meal?.id;
  const kept = useLiveQuery(async () => (mealId === undefined ? undefined : pantry().plans.get(mealId)), [mealId]);
  useEffect(() => {
    if (!kept || kept.print !== print || shown.current === null) return;
    shown.current = kept.plan;
    setState((before) => (before.settling ? before : { ...before, plan: kept.plan }));
  }, [kept, print]);

  const settle = useCallback(() => void stopPlanning(), []);
  return { ...state, settle };
}

async function planAnew(
  meal: Meal,
  print: string,
  before: Plan | null,
  show: (change: Partial<Omit<PlanState, 'settle'>>) => void,
  isGone: () => boolean,
): Promise<void> {
  const notBefore = Math.ceil((Date.now() - tableInstant(meal)) / 60_000);
  const past = hourPast(meal, -notBefore);
  const kept = await pantry().plans.get(meal.id);
  const stillAhead = kept?.plan.steps.every((step) => step.start >= notBefore);
  if (kept && kept.print === print && (stillAhead || past)) {
    show({
      plan: kept.plan,
      earlier: kept.earlier ?? null,
      refusals: past ? [past] : [],
      settling: false,
      firstAfter: 0,
    });
    return;
  }
  if (past) {
    show({ plan: null, refusals: [past], settling: false });
    return;
  }
  const begun = performance.now();
  const earlier = kept?.print === print ? (kept.earlier ?? kept.plan) : null;
  show({ earlier, settling: true, long: false, firstAfter: null, oddsBefore: null });
  const known = before?.mealId === meal.id ? before : kept?.plan;
  let first = true;
  const ask = (seconds: number) =>
    askPlanner(
      { meal, seconds, patience: PATIENCE, notBefore, ...(known ? { known: knownPlan(known) } : {}) },
      (plan) => {
        show({
          plan,
          refusals: [],
          long: false,
          ...(first ? { firstAfter: Math.round(performance.now() - begun) } : {}),
        });
        first = false;
      },
    );
  const seconds = atMost(SECONDS);
  let result = await ask(seconds);
  // What was stopped by hand ended before its time, and is not asked again.
  if (!result.ok && result.undecided && !isGone() && performance.now() - begun >= seconds * 1000) {
    show({ plan: null, refusals: [], long: true });
    result = await ask(SECONDS_FOR_A_FIRST);
  }
  if (!result.ok) {
    show({ plan: null, refusals: result.refusals, settling: false, long: false });
    return;
  }
  const oddsBefore = (before?.mealId === meal.id && before.odds) || null;
  show({ plan: result.plan, refusals: [], settling: false, long: false, oddsBefore });
  await pantry().plans.put({ mealId: meal.id, print, plan: result.plan, ...(earlier ? { earlier } : {}) });
}
