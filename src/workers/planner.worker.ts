import * as Comlink from 'comlink';
import type { Meal } from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import type { KnownPlan, Progress } from '@/core/plan/progress';
import { type Catalog, lookIn, speak } from '@/core/say/say';
import { turn } from './turn';

export interface PlanRequest {
  readonly meal: Meal;
  readonly seconds: number;
  /** Ends sooner after so many rounds without a better plan. */
  readonly patience?: number;
  /** Ends sooner after so many rounds, which are the same on every machine. */
  readonly rounds?: number;
  /** An answer at once: see `SolveOptions`. */
  readonly brief?: boolean;
  readonly notBefore?: number;
  readonly known?: KnownPlan;
  readonly near?: boolean;
  readonly held?: Pin;
  readonly progress?: Progress;
  /** Whether to look for what collides when there is no plan; default true. */
  readonly explain?: boolean;
}

/** The planner on its own thread. One plan at a time: a new request ends the one before. */
const planner = {
  running: { aborted: false },

  async plan(request: PlanRequest, onImprove?: (plan: Plan) => void): Promise<PlanResult> {
    planner.running.aborted = true;
    const signal = { aborted: false };
    planner.running = signal;
    const { meal, seconds, patience, rounds, brief = false, explain = true, ...options } = request;
    return planMeal(
      meal,
      {
        ...options,
        solve: {
          seconds,
          explain,
          brief,
          ...(patience === undefined ? {} : { patience }),
          ...(rounds === undefined ? {} : { rounds }),
          now: () => performance.now(),
          // So that the next request can end this one.
          pause: turn,
        },
      },
      onImprove,
      signal,
    );
  },

  /** Says what follows in a language: its tag, its messages by their English, and what dishes keep. */
  speak(tag: string, catalog: Catalog, dishes: Catalog): void {
    speak(tag, lookIn(catalog), dishes);
  },

  /** Answers as soon as all that plans is here. */
  ready(): true {
    return true;
  },

  /** Ends the search under way; its best plan so far is its answer. */
  stop(): void {
    planner.running.aborted = true;
  },
};

export type PlannerWorker = typeof planner;

Comlink.expose(planner);
