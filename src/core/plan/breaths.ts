import type { StepKey } from '@/core/meal/keys';
import { indexProblem, NO_LAG } from '@/core/schedule/indexed';
import type { Hold, PoolResource, Problem, ProblemStep } from '@/core/schedule/problem';

/** The free minutes wanted after a stretch of hands-on work. */
export interface Breath {
  /** Position of the hold on the person. */
  readonly hold: number;
  readonly key: StepKey;
  readonly breath: number;
}

/** Until when a running step keeps a unit, whatever the plan thought: a helper stays for the last onion. */
export function workUntil(
  unit: string,
  steps: readonly ProblemStep[],
  holds: readonly Hold[],
  isRunning: (key: string) => boolean,
): number {
  const minutes = new Map(steps.map((step) => [step.id, step.minutes]));
  let until = 0;
  for (const step of steps) {
    const only = step.units?.[0];
    if (isRunning(step.id) && only?.length === 1 && only[0]!.id === unit) until = Math.max(until, step.minutes);
  }
  for (const hold of holds) {
    const fixed = isRunning(hold.to) && hold.units.length === 1 && hold.units[0]!.id === unit;
    if (fixed) until = Math.max(until, (minutes.get(hold.to) ?? 0) + hold.after);
  }
  return until;
}

/** What runs has found its room already: where the pools would be too small for it, it no longer counts. */
export function withinPools(
  steps: readonly ProblemStep[],
  pools: readonly PoolResource[],
  isRunning: (key: string) => boolean,
): readonly ProblemStep[] {
  const left = new Map(
    pools.map((pool) => {
      const now = (pool.away ?? []).reduce((sum, [from, to, by]) => sum + (from <= 0 && to > 0 ? by : 0), 0);
      return [pool.id, pool.capacity - now];
    }),
  );
  return steps.map((step) => {
    if (!isRunning(step.id)) return step;
    const kept = Object.entries(step.pools ?? {}).filter(([pool, amount]) => {
      const room = left.get(pool) ?? 0;
      if (amount > room) return false;
      left.set(pool, room - amount);
      return true;
    });
    return { ...step, pools: Object.fromEntries(kept) };
  });
}

/** A breath gives way where the dish leaves no time for it: the stock must follow the toasting at once. */
export function fitBreaths(problem: Problem, breaths: readonly Breath[]): readonly Hold[] {
  const result = indexProblem({ ...problem, holds: [], forbid: [] });
  if (!result.ok) return problem.holds;
  const { lag, n } = result.indexed;
  const at = new Map(problem.steps.map((step, index) => [step.id, index]));
  const hands = breaths.map(({ key }) => at.get(key)!);
  const holds = [...problem.holds];
  for (const { hold, key, breath: wanted } of breaths) {
    const i = at.get(key)!;
    const minutes = problem.steps[i]!.minutes;
    let breath = wanted;
    for (const j of hands) {
      const most = lag[j * n + i]!;
      if (j === i || most <= NO_LAG) continue;
      const gap = -most - minutes;
      if (gap >= 0) breath = Math.min(breath, gap);
    }
    holds[hold] = { ...holds[hold]!, after: breath };
  }
  return holds;
}
