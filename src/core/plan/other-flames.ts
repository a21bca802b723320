import type { Meal } from '@/core/meal/meal';
import { bare, own } from '@/core/plain/record';
import { isFound } from '@/core/schedule/problem';
import { type CancelSignal, solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { type CompileOptions, compile } from './compile';
import { knownSchedule, type Made, madeOf, type PlanOptions } from './made';
import { knownPlan, type Plan } from './plan';

/** Each slower burner gets so many seconds, and all together no more than this share of the time. */
const SECONDS_A_FLAME = 1;
const SHARE_OF_FLAMES = 0.5;
const FLAME_PATIENCE = 40;

/** A gain smaller than this is not worth another burner. */
const WORTH_ANOTHER = 2;

/**
 * A pot comes to the boil as fast as its burner lets it, and the plan counts on the burner that suits it best, or a quicker one. Where
 * that one is busy, waiting longer on a slower one may serve better: each is tried for real, and kept when it does.
 */
export async function tryOtherFlames(
  made: Made,
  options: PlanOptions & CompileOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Made> {
  const { meal } = made;
  let best = made;
  let flames = new Map(options.flames);
  const { now, seconds = 5 } = options.solve;
  const until = now() + 1000 * SHARE_OF_FLAMES * seconds;
  for (const [key, unit] of slowerFlames(meal, options)) {
    if (now() >= until || signal?.aborted) break;
    const tried = new Map(flames).set(key, unit);
    const compiled = compile(meal, { ...options, flames: tried });
    if (!compiled.ok) continue;
    const start = knownSchedule(compiled, { known: knownPlan(best.plan()) });
    const limits = { seconds: Math.min(SECONDS_A_FLAME, seconds / 4), patience: FLAME_PATIENCE, explain: false };
    const solution = await solve(compiled.problem, { ...options.solve, ...limits, start }, undefined, signal);
    if (!isFound(solution) || solution.cost > best.solution.cost - WORTH_ANOTHER) continue;
    flames = tried;
    best = { ...madeOf(meal, compiled, solution), ...(made.other ? { other: made.other } : {}) };
    onImprove?.(best.plan());
  }
  return best;
}

/** Steps that come to the boil, each with the burners on which that takes longer than the plan counts on. */
function slowerFlames(meal: Meal, options: CompileOptions): readonly (readonly [key: string, unit: string])[] {
  const compiled = compile(meal, options);
  if (!compiled.ok) return [];
  return [...compiled.entries.values()].flatMap((entry) =>
    entry.kind === 'part' ? (entry.part.flames?.slow ?? []).map((unit) => [entry.part.key, unit] as const) : [],
  );
}

/**
 * A plan in which every boil takes as long as on the burner it came to stand on, which may be quicker than the one that was counted on: it ends when
 * it did. At the stove it would be reckoned so, and begun later than the plan said.
 */
export function onItsFlames(made: Made, options: CompileOptions): Made {
  const { meal, compiled, solution } = made;
  const flames = flamesOf(made, options);
  const exact = flames.size > 0 ? compile(meal, { ...options, flames }) : null;
  if (!exact?.ok) return made;
  const counted = new Map(compiled.likely.steps.map(({ id, minutes }) => [id, minutes]));
  const starts = bare(
    exact.likely.steps.map(({ id, minutes }) => [id, solution.starts[id]! + counted.get(id)! - minutes] as const),
  );
  if (exact.likely.steps.every(({ id }) => starts[id] === solution.starts[id])) return made;
  const { faults, cost } = validate(exact.likely, { ...solution, starts });
  if (faults.length > 0) return made;
  const { other } = made;
  return {
    ...madeOf(meal, exact, { ...solution, starts, cost, bound: 0, status: 'feasible' }),
    ...(other ? { other: onItsFlames(other, options) } : {}),
  };
}

/** The burner that each step that comes to the boil stands on in a plan. */
export function flamesOf({ compiled, solution }: Made, options: CompileOptions): ReadonlyMap<string, string> {
  const flames = new Map(options.flames);
  for (const [key, entry] of compiled.entries) {
    const unit = own(solution.units, key)?.[0];
    if (entry.kind === 'part' && entry.part.flames && unit !== undefined) flames.set(key, unit);
  }
  return flames;
}
