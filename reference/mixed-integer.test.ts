import { describe, expect, it } from 'vitest';
import { isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { tinyProblem } from '@/core/schedule/testing/tiny';
import { TEST_CLOCK } from '@/core/testing/clock';
import { isPlain, solveGenerally } from './mixed-integer';

describe('against the mixed-integer solver HiGHS', () => {
  it('gives the same optimum, or the same "infeasible", on 60 small problems with a bit of everything', async () => {
    let compared = 0;
    let feasible = 0;
    for (let seed = 5000; compared < 60; seed++) {
      const problem = tinyProblem(seed, { steps: 6, horizon: 24 });
      if (!isPlain(problem)) continue;
      const theirs = await solveGenerally(problem, 20);
      if (theirs.status === 'unknown') continue;
      const ours = await solve(problem, { ...TEST_CLOCK, seconds: 20 });
      expect(ours.status, `seed ${seed}`).toBe(theirs.status);
      if (isFound(ours)) {
        expect(ours.cost, `seed ${seed}`).toBe(theirs.cost);
        feasible++;
      }
      compared++;
    }
    expect(feasible).toBeGreaterThan(20);
  }, 170_000);
});
