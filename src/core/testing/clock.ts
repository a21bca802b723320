import type { SolveOptions } from '@/core/schedule/solve';

/** The clock and the pause that every solve in a test needs. */
export const TEST_CLOCK: Pick<SolveOptions, 'now' | 'pause'> = {
  now: () => performance.now(),
  pause: () => Promise.resolve(),
};
