'use client';

import { type RefObject, useEffect, useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import { changedFrom, NO_PAST, type Past } from '@/core/plain/undo-stack';
import type { Plan } from '@/core/plan/plan';
import { pantry } from '@/store/db';
import { printOf, setByHand } from '@/store/meals';

/** What the hand changes: what stands where it was put, and the plan around it. */
export interface State {
  readonly pins: readonly Pin[];
  readonly plan: Plan;
}

/** What the way back is about, as it was last drawn. */
export interface AtHand {
  readonly meal: Meal;
  readonly plan: Plan | null;
  readonly pins: readonly Pin[];
  /** What else the plan stands on: where that changes there is no way back. */
  readonly base: string;
}

/** The way back of the hand on the score. */
export interface WayBack {
  /** What lies before and after, as it was last drawn, and as it is now. */
  readonly past: Past<State>;
  pastNow(): Past<State>;
  /** Keeps a state, with the way from it. */
  store(state: State, next: Past<State>): Promise<void>;
  /** The same as one more step from where things stand. */
  change(state: State): Promise<void>;
}

/** The ways back of every meal since the page was opened. */
const ways = new Map<string, { readonly base: string; readonly past: Past<State> }>();

/** What the plan of a meal stands on but for what was put by hand. */
export const baseOf = (meal: Meal) => printOf({ ...meal, pins: [] });

/** The way back for a meal; `now` is what stands on the page at any time, also while a search is under way. */
export function useWayBack(mealId: string, base: string, now: RefObject<AtHand>): WayBack {
  const [past, setPast] = useState<Past<State>>(NO_PAST);
  useEffect(() => {
    const known = ways.get(mealId);
    setPast(known?.base === base ? known.past : NO_PAST);
  }, [mealId, base]);
  const pastNow = () => {
    const known = ways.get(now.current.meal.id);
    return known?.base === now.current.base ? known.past : NO_PAST;
  };
  const store = async (state: State, next: Past<State>) => {
    ways.set(now.current.meal.id, { base: now.current.base, past: next });
    setPast(next);
    await setByHand(pantry(), now.current.meal, state.pins, state.plan, Date.now());
  };
  const change = async (state: State) => {
    const { plan, pins } = now.current;
    await store(state, plan ? changedFrom(pastNow(), { pins, plan }) : pastNow());
  };
  return { past, pastNow, store, change };
}
