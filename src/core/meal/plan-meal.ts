import type { Refusal } from '@/core/dish/check';
import { type FoundSolution, isFound, type Schedule } from '@/core/schedule/problem';
import { type CancelSignal, type SolveOptions, solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { type Compiled, type CompileOptions, compile } from './compile';
import type { Meal } from './meal';
import type { Plan } from './plan';
import { readPlan } from './read';
import { COST } from './weights';

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
  const standing = options.progress && start ? whileItStands(compiled, start) : null;
  if (standing) return { ok: true, plan: readPlan(meal, compiled, standing) };
  const solution = await solve(
    compiled.problem,
    { ...options.solve, ...(start ? { start } : {}) },
    onImprove ? (better: FoundSolution) => onImprove(readPlan(meal, compiled, better)) : undefined,
    signal,
  );
  if (isFound(solution)) return { ok: true, plan: readPlan(meal, compiled, solution) };
  return { ok: false, refusals: [noPlan(solution.status)] };
}

/** Minutes late that rounding to whole minutes alone can make. */
const FORGIVEN = 1;

/**
 * In mid-meal the plan that the cook knows is kept to the minute as long as it breaks no rule, makes nothing late and misses no
 * hand-over: a slightly better one is not worth learning anew.
 */
function whileItStands({ problem }: Compiled, known: Schedule): FoundSolution | null {
  if (problem.steps.some((step) => known.starts[step.id] === undefined)) return null;
  const { faults, cost } = validate(problem, known);
  if (faults.length > 0) return null;
  const isLate = problem.ready.some((row) => {
    const end = known.starts[row.step]! + (problem.steps.find((step) => step.id === row.step)?.minutes ?? 0);
    return row.late >= COST.missedLag && end > row.by + FORGIVEN;
  });
  if (isLate) return null;
  return { format: 'warm-cadence/solution', version: 1, status: 'feasible', cost, bound: 0, milliseconds: 0, ...known };
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
