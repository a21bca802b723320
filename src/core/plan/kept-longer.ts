import type { Meal } from '@/core/meal/meal';
import type { FoundSolution, Schedule } from '@/core/schedule/problem';
import { validate } from '@/core/schedule/validate';
import { type Compiled, type CompileOptions, compile } from './compile';
import { keptUntilTable, WARM_UNTIL } from './kept-until';
import { type Made, madeOf } from './made';
import { flamesOf } from './other-flames';

/** A plan in which what is kept warm is so until shortly before the table, where there is a place for it and it bears that; or at least until it waits well. */
export function keptToTheTable(made: Made, options: CompileOptions): Made {
  const { meal, compiled, solution, other } = made;
  const rest = other ? { other: keptToTheTable(other, options) } : {};
  let best = { ...made, ...rest };
  let keeps: ReadonlyMap<string, number> = new Map();
  const wanted = [
    ...keptUntilTable(compiled, solution, { well: WARM_UNTIL }),
    ...keptUntilTable(compiled, solution, {}),
  ];
  for (const [key, minutes] of wanted) {
    if (keeps.has(key)) continue;
    const tried = new Map(keeps).set(key, minutes);
    const exact = compile(meal, { ...options, flames: flamesOf(made, options), keeps: tried });
    const longer = exact.ok ? somewhere(exact, best.solution, key) : null;
    if (!exact.ok || !longer) continue;
    keeps = tried;
    best = { ...madeOf(meal, exact, longer), ...rest };
  }
  return best;
}

/** The solution where a step stands where it did, or on another burner that would do; null where no rule allows either. */
function somewhere({ likely }: Compiled, solution: FoundSolution, key: string): FoundSolution | null {
  const [own = []] = likely.steps.find(({ id }) => id === key)?.units ?? [];
  const others = own.map(({ id }) => ({ ...solution, units: { ...solution.units, [key]: [id] } }));
  for (const tried of [solution, ...others]) {
    const { faults, cost } = validate(likely, tried);
    if (faults.length === 0) return { ...tried, cost, bound: 0, status: 'feasible' };
  }
  return null;
}

/**
 * In mid-meal: what is kept warm is so until the table, however late or soon it is ready; longer than it was meant to be only where its place is
 * free for that. Where not all can stay, those stay that wait least well without.
 */
export function keptAsFits(
  meal: Meal,
  compiled: Compiled,
  start: Schedule,
  options: CompileOptions,
): ReadonlyMap<string, number> {
  const wanted = keptUntilTable(compiled, start, options);
  if (compiled.stretch.size === 0) return wanted;
  const fits = (keeps: ReadonlyMap<string, number>) => {
    const fitted = keeps.size === 0 ? compiled : compile(meal, { ...options, keeps });
    return fitted.ok && validate(fitted.likely, start).faults.length === 0;
  };
  if (fits(wanted)) return wanted;
  const asMeant = keptUntilTable(compiled, start, { ...options, how: 'as meant' });
  const least = fits(asMeant) ? asMeant : keptUntilTable(compiled, start, { ...options, how: 'briefly' });
  const { steps, ready } = compiled.likely;
  const holdOf = (key: string) => Math.min(...ready.filter(({ step }) => step === key).map(({ hold }) => hold));
  const longer = steps
    .filter(({ id }) => compiled.stretch.has(id))
    .map(({ id, minutes }) => [id, wanted.get(id) ?? minutes, least.get(id) ?? minutes] as const)
    .filter(([, most, now]) => most > now)
    .sort(([a], [b]) => holdOf(a) - holdOf(b));
  return longer.reduce<ReadonlyMap<string, number>>((keeps, [key, minutes]) => {
    const tried = new Map(keeps).set(key, minutes);
    return fits(tried) ? tried : keeps;
  }, least);
}
