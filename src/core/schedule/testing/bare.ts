import type { Problem, ProblemLink } from '@/core/schedule/problem';

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

/** A link from the end of one step to the start of another. */
export function endToStart(from: string, to: string, min: number, max?: number): ProblemLink {
  return { from, at: 'end', to, of: 'start', min, ...(max === undefined ? {} : { max }) };
}
