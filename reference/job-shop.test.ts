import { describe, expect, it } from 'vitest';
import type { Problem } from '@/core/schedule/problem';
import { isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';

/**
 * The 6x6 instance of Muth and Thompson, Industrial Scheduling, 1963 (ft06): machine and duration of each operation,
 * optimum makespan 55. Written from memory.
 */
const FT06: readonly (readonly (readonly [number, number])[])[] = [
  [
    [2, 1],
    [0, 3],
    [1, 6],
    [3, 7],
    [5, 3],
    [4, 6],
  ],
  [
    [1, 8],
    [2, 5],
    [4, 10],
    [5, 10],
    [0, 10],
    [3, 4],
  ],
  [
    [2, 5],
    [3, 4],
    [5, 8],
    [0, 9],
    [1, 1],
    [4, 7],
  ],
  [
    [1, 5],
    [0, 5],
    [2, 5],
    [3, 3],
    [4, 8],
    [5, 9],
  ],
  [
    [2, 9],
    [1, 3],
    [4, 5],
    [5, 4],
    [0, 3],
    [3, 1],
  ],
  [
    [1, 3],
    [3, 3],
    [5, 9],
    [0, 10],
    [4, 4],
    [2, 1],
  ],
];

function jobShop(jobs: typeof FT06, machines: number, horizon: number): Problem {
  return {
    format: 'warm-cadence/problem',
    version: 1,
    horizon,
    serve: 0,
    units: Array.from({ length: machines }, (_, m) => ({ id: `m${m}` })),
    pools: [],
    states: [],
    steps: [
      ...jobs.flatMap((job, j) =>
        job.map(([machine, minutes], k) => ({ id: `${j}-${k}`, minutes, units: [[{ id: `m${machine}`, cost: 0 }]] })),
      ),
      { id: 'end', minutes: 0 },
    ],
    holds: [],
    links: jobs.flatMap((job, j) =>
      job.map((_, k) => ({
        from: `${j}-${k}`,
        at: 'end' as const,
        to: k + 1 < job.length ? `${j}-${k + 1}` : 'end',
        of: 'start' as const,
        min: 0,
      })),
    ),
    ready: [{ step: 'end', by: 0, hold: 0, early: 0, late: 1 }],
  };
}

describe('published job-shop optima', () => {
  it('reaches 55 on the 6x6 instance of Muth and Thompson (1963)', async () => {
    const problem = jobShop(FT06, 6, 200);
    const solution = await solve(problem, {
      seed: 1,
      rounds: 60_000,
      seconds: 40,
      now: () => performance.now(),
      pause: () => Promise.resolve(),
    });
    if (!isFound(solution)) throw new Error('no plan');
    expect(validate(problem, solution).faults).toEqual([]);
    expect(solution.cost).toBe(55);
  });
});
