'use client';

import { createContext, useContext } from 'react';
import type { Evening } from '@/core/live/evening';
import { dishesOf } from '@/core/live/guests';
import type { LiveStep } from '@/core/live/session';
import { say, term } from '@/core/say/say';
import { pigmentAt } from '@/ui/pigments';
import type { SessionAtHand } from './use-session';

/** "done: fry, Barley": which of several buttons it is, for whoever hears it. */
export function tells(word: string, { step }: LiveStep): string {
  return say('{word}: {step}, {dish}', { word, step: step.name, dish: step.dishName });
}

/** The pigment of a dish, by night. */
export function colour(session: Evening, dishId: string): string {
  return pigmentAt(dishesOf(session).findIndex((dish) => dish.id === dishId)).night;
}

/** A pot or an oven that someone has to set going or turn: it is told "begun", not "done". */
export function isStart({ step, status, turns }: LiveStep): boolean {
  return step.attention !== 'hands' && (status === 'due' || turns === true);
}

/** What every piece of the view is about. */
export interface StepProps {
  readonly session: Evening;
  readonly live: LiveStep;
  readonly told: SessionAtHand;
}

/** Where a step stands, in words. */
export function placeWords({ step }: LiveStep): string {
  const heat = step.heat ? say('{heat} heat', { heat: term(step.heat) }) : step.celsius ? `${step.celsius} °C` : '';
  return [step.station.sort === 'board' ? '' : step.station.name, heat, step.vessel ?? '']
    .filter(Boolean)
    .join(say(', '));
}

/** What is asked about on a sheet of its own: how many more have come, or what is wrong with a dish. */
export type Asked = { readonly door: number } | { readonly dish: string; readonly live?: LiveStep };

const AskContext = createContext<(asked: Asked) => void>(() => {});

/** Opens a sheet of its own over the stove's view. */
export const AskProvider = AskContext.Provider;

/** Opens a sheet about something, from any card. */
export function useAsk(): (asked: Asked) => void {
  return useContext(AskContext);
}
