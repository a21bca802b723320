import { ROOM_SHARE } from '@/core/risk/room';
import type { FoundSolution } from '@/core/schedule/problem';
import type { CancelSignal } from '@/core/schedule/solve';
import { planAsSet } from './attempt';
import type { Compiled } from './compile';
import { lossOf, type Made, type PlanOptions, PRICE_OF_A_MINUTE, rehearsedInBrief } from './made';
import { polishedInRounds } from './polish';

/** Where fewer evenings than this land well, all that room may have been too much for the kitchen: so much of it is tried, for so much of the time. */
const TOO_CROWDED = 0.5;
const LESS_ROOM = 0.75;
const SHARE_WITH_LESS = 0.5;

/** A plan with less room, where so few evenings land by what was found that all of its room may be too much for the kitchen. */
async function withLessRoom(made: Made, options: PlanOptions, signal: CancelSignal | undefined): Promise<Made | null> {
  const { meal } = made;
  const { seed = 1, seconds = 5 } = options.solve;
  const lands = rehearsedInBrief(made, seed)?.good ?? 1;
  if (lands >= TOO_CROWDED || made.compiled.room.size === 0) return null;
  const roomShare = LESS_ROOM * (options.roomShare ?? ROOM_SHARE[meal.sureness ?? 'even']);
  const solveIt = { ...options.solve, seconds: seconds * SHARE_WITH_LESS, explain: false };
  const less = await planAsSet(meal, { ...options, roomShare, solve: solveIt }, undefined, signal);
  return less.ok ? less : null;
}

const POLISH_SHARE = 1.2;

/** The plan whose hours can be moved to where most evenings land: of what was found, what was left aside, and one with less room. */
export async function surest(
  made: Made,
  options: PlanOptions,
  signal: CancelSignal | undefined,
): Promise<Pick<Made, 'compiled' | 'solution'>> {
  const less = await withLessRoom(made, options, signal);
  const others = [made.other, less].filter((each) => each != null);
  const moved = async ({ compiled, solution }: Pick<Made, 'compiled' | 'solution'>, share: number) => ({
    compiled,
    solution: await surer(compiled, solution, share, options, signal),
  });
  if (others.length === 0) return moved(made, POLISH_SHARE);
  // Each gets a turn, and the best of them another.
  const share = POLISH_SHARE / (others.length + 2);
  let best = await moved(made, share);
  for (const other of others) {
    const tried = await moved(other, share);
    if (lossOf(tried, options) < lossOf(best, options)) best = tried;
  }
  return moved(best, share);
}

/** The hours of a solution moved, for such a share of the time, to where more evenings land well; before an evening only. */
async function surer(
  compiled: Compiled,
  solution: FoundSolution,
  share: number,
  options: PlanOptions,
  signal: CancelSignal | undefined,
): Promise<FoundSolution> {
  const { now, pause, seconds = 5, seed = 1 } = options.solve;
  const until = now() + 1000 * share * seconds;
  const schedule = await polishedInRounds(compiled, solution, {
    rounds: 3,
    tries: 6000,
    seed,
    price: PRICE_OF_A_MINUTE,
    pause: async () => {
      await pause();
      return now() >= until || signal?.aborted === true;
    },
  });
  return schedule === solution ? solution : { ...solution, ...schedule, status: 'feasible' };
}
