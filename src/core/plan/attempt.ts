import type { Meal } from '@/core/meal/meal';
import { type FoundSolution, isFound } from '@/core/schedule/problem';
import { type CancelSignal, solve } from '@/core/schedule/solve';
import { type CompileOptions, compile } from './compile';
import { asWanted, orInOrder, pushedOn, whileItStands } from './in-order';
import { keptAsFits, keptToTheTable } from './kept-longer';
import { type Attempt, knownSchedule, lossOf, type Made, madeOf, type PlanOptions, troublesOf } from './made';
import { noPlan } from './no-plan';
import { onItsFlames, tryOtherFlames } from './other-flames';
import { pinAttempts } from './pins';
import type { Plan } from './plan';
import { readPlan } from './read';

/** Plans a meal as it is put together, with its pins kept as nearly as can be; the hours of the plan are not moved. */
export async function planAsSet(
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Attempt> {
  const attempts = options.progress ? [undefined] : pinAttempts(meal.pins ?? [], options.held);
  for (const [index, pins] of attempts.entries()) {
    const last = index === attempts.length - 1;
    const chosen = { ...options, ...(pins ? { pins } : {}) };
    const result = await attemptPlan(meal, chosen, last, onImprove, signal);
    if (result === null || (!result.ok && !last && !signal?.aborted)) continue;
    if (!result.ok || options.progress || options.held) return result;
    return keptToTheTable(onItsFlames(await tryOtherFlames(result, chosen, onImprove, signal), chosen), chosen);
  }
  throw new Error('There is always a last attempt.');
}

/** One attempt; null when it has no plan and is not the last, so that nobody needs to know why. */
async function attemptPlan(
  meal: Meal,
  options: PlanOptions & CompileOptions,
  last: boolean,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Attempt | null> {
  const compiled = compile(meal, options);
  if (!compiled.ok) return compiled;
  const before = options.known ?? options.from;
  const known = before ? knownSchedule(compiled, { known: before }) : undefined;
  const start = known && options.progress ? pushedOn(compiled, known, options) : known;
  if (options.progress && start && !options.keeps) {
    const keeps = keptAsFits(meal, compiled, start, options);
    if (keeps.size > 0) return attemptPlan(meal, { ...options, keeps }, last, onImprove, signal);
  }
  if (options.progress && known) {
    const standing = (start ? whileItStands(compiled, start) : null) ?? whileItStands(compiled, known);
    if (standing) return asWanted(madeOf(meal, compiled, standing), options);
  }
  const hasRoom = compiled.room.size > 0;
  const solution = await solve(
    compiled.problem,
    { ...options.solve, explain: !hasRoom && last && options.solve.explain !== false, ...(start ? { start } : {}) },
    onImprove ? (better: FoundSolution) => onImprove(readPlan(meal, compiled, better)) : undefined,
    signal,
  );
  if (isFound(solution)) {
    const found = madeOf(meal, compiled, solution);
    if (options.progress) return start ? orInOrder(found, start, options) : found;
    return hasRoom && troublesOf(found) > 0 && !signal?.aborted
      ? orWithoutRoom(found, meal, options, last, signal)
      : found;
  }
  // Where there is no room to be had, a plan without it is better than none.
  if (hasRoom && !signal?.aborted) return attemptPlan(meal, { ...options, roomShare: 0 }, last, onImprove, signal);
  if (!last && !signal?.aborted) return null;
  const undecided = solution.status === 'unknown' ? ({ undecided: true } as const) : {};
  return { ok: false, refusals: [noPlan(meal, compiled, solution)], ...undecided };
}

/** Of the time for a plan so much is for one without room, where room makes something late or wait too long. */
const SHARE_WITHOUT_ROOM = 0.3;

/** What was found with room, or a plan without it where its evenings go better: a kitchen may be too small for both. */
async function orWithoutRoom(
  found: Made,
  meal: Meal,
  options: PlanOptions & CompileOptions,
  last: boolean,
  signal: CancelSignal | undefined,
): Promise<Made> {
  const { seconds = 5 } = options.solve;
  const solveIt = { ...options.solve, seconds: seconds * SHARE_WITHOUT_ROOM, explain: false };
  const bare = await attemptPlan(meal, { ...options, roomShare: 0, solve: solveIt }, last, undefined, signal);
  if (!bare?.ok) return found;
  return lossOf(bare, options) < lossOf(found, options) ? { ...bare, other: found } : { ...found, other: bare };
}
