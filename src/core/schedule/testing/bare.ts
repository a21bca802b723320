import type { Problem } from '@/core/schedule/problem';

/** A problem with nothing in it yet. */
export function bareProblem(change: Partial<Problem> = {}): Problem {
  return {
    format: 'warm-cadence/problem',
    version: 1,
    horizon: 60,
    serve: 50,
    units: [],
    pools: [],
    states: [],
    steps: [],
    holds: [],
    links: [],
    ready: [],
    ...change,
  };
}
