import { whatMoved } from '@/core/meal/changes';
import type { Plan } from '@/core/meal/plan';
import type { PlanResult } from '@/core/meal/plan-meal';
import type { KnownPlan, Progress } from '@/core/meal/progress';
import { knownPlan } from '@/core/meal/read';
import { joinPlans, progressAt } from './replan';
import type { Session } from './session';

/** What a planner is asked for in mid-meal. */
export interface RestRequest {
  readonly progress: Progress;
  readonly known: KnownPlan;
}

/** The plan of an evening from now on, and what changed in it, in a sentence. */
export interface CarriedOn {
  readonly plan: Plan;
  readonly moved: string;
}

/**
 * Plans the rest of an evening from an instant on. `words` says what happened ("Barley: toast is done"). What is done or
 * running stays; when the rest no longer fits, the old plan stands and the sentence says so.
 */
export async function carryOn(
  session: Session,
  at: number,
  words: string,
  planRest: (request: RestRequest) => Promise<PlanResult>,
): Promise<CarriedOn> {
  const progress = progressAt(session, at);
  const result = await planRest({ progress, known: knownPlan(session.plan) });
  if (!result.ok) {
    const moved = `${words}. The rest no longer fits by the clock: carry on in this order, the hour will slip.`;
    return { plan: session.plan, moved };
  }
  const plan = joinPlans(session, result.plan, at);
  const fixed = new Set([...progress.done.keys(), ...progress.running.keys()]);
  return { plan, moved: whatMoved(session.plan, plan, fixed, words) };
}
