import type { Refusal } from '@/core/dish/check';
import { type FoundSolution, isFound, type Schedule } from '@/core/schedule/problem';
import { type CancelSignal, type SolveOptions, solve } from '@/core/schedule/solve';
import { type Compiled, type CompileOptions, compile } from './compile';
import type { Meal } from './meal';
import type { Plan } from './plan';
import { readPlan } from './read';

export type PlanResult =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly refusals: readonly Refusal[] };

export interface PlanOptions extends CompileOptions {
  readonly solve: SolveOptions;
}

/**
 * Plans a meal: compiles it, solves it, reads the plan back. `onImprove` gets each better plan on the way. A meal that
 * cannot be planned comes back as refusals in a cook's words.
 */
export async function planMeal(
  meal: Meal,
  options: PlanOptions,
  onImprove?: (plan: Plan) => void,
  signal?: CancelSignal,
): Promise<PlanResult> {
  const compiled = compile(meal, options);
  if (!compiled.ok) return compiled;
  const start = options.known ? knownSchedule(compiled, options) : undefined;
  const solution = await solve(
    compiled.problem,
    { ...options.solve, ...(start ? { start } : {}) },
    onImprove ? (better: FoundSolution) => onImprove(readPlan(meal, compiled, better)) : undefined,
    signal,
  );
  if (isFound(solution)) return { ok: true, plan: readPlan(meal, compiled, solution) };
  return { ok: false, refusals: [noPlan(solution.status)] };
}

function noPlan(status: 'infeasible' | 'unknown'): Refusal {
  return {
    where: 'the meal',
    sentence:
      status === 'infeasible'
        ? 'These dishes cannot be cooked by these people in this kitchen before that hour. Choose a later hour, take out a dish, or add a burner, a pot or a person.'
        : 'No plan was found in the time there was. Choose a later hour, take out a dish, or add a burner, a pot or a person.',
  };
}

/** The known plan in the times and ids of the newly compiled problem: a place to start from. */
function knownSchedule(compiled: Compiled, { known }: CompileOptions): Schedule {
  const starts: Record<string, number> = {};
  const units: Record<string, readonly string[]> = {};
  for (const step of compiled.problem.steps) {
    const place = known?.places.get(step.id);
    if (!place) continue;
    starts[step.id] = step.latest === 0 ? 0 : place.start - compiled.origin;
    units[step.id] = place.units;
  }
  for (const step of compiled.problem.steps) {
    if (step.minutes === 0 && step.latest === 0) starts[step.id] = 0;
  }
  return { starts, units, holds: Object.fromEntries(known?.holds ?? []) };
}
