import type { StepKey } from '@/core/meal/keys';
import { closedLags, NO_LAG } from '@/core/schedule/indexed';
import type { Hold, PoolResource, Problem, ProblemStep } from '@/core/schedule/problem';

/** The free minutes wanted after a stretch of hands-on work. */
export interface Breath {
  /** Position of the hold on the person. */
  readonly hold: number;
  readonly key: StepKey;
  readonly breath: number;
}

/** Until when running steps keep the units that only they can have, whatever the plan thought: a helper stays for the last onion. */
export function workUntil(
  steps: readonly ProblemStep[],
  holds: readonly Hold[],
  isRunning: (key: string) => boolean,
): ReadonlyMap<string, number> {
  const minutes = new Map(steps.map((step) => [step.id, step.minutes]));
  const until = new Map<string, number>();
  const keep = (unit: string, minute: number) => until.set(unit, Math.max(until.get(unit) ?? 0, minute));
  for (const step of steps) {
    const only = step.units?.[0];
    if (only?.length === 1 && isRunning(step.id)) keep(only[0]!.id, step.minutes);
  }
  for (const { to, after, units } of holds) {
    if (units.length === 1 && isRunning(to)) keep(units[0]!.id, (minutes.get(to) ?? 0) + after);
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
  const closed = closedLags(problem);
  if (!closed) return problem.holds;
  const { lag, n } = closed;
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
