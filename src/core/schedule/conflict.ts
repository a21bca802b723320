import { indexInTurns } from './indexed';
import { Model } from './learn/model';
import type { Choice, Conflict, Hold, Problem, ProblemStep } from './problem';

/** Something that may be left out of a conflict. */
type Member =
  | { readonly kind: 'steps' | 'holds' | 'units' | 'pools' | 'states'; readonly id: string }
  | { readonly kind: 'links'; readonly index: number };

interface Limits {
  readonly isOver: () => boolean;
  readonly breathe: () => Promise<void>;
}

/** Conflicts after which a part counts as possible: what is named stays named then. */
const MOST_CONFLICTS = 3000;

/**
 * Why an infeasible problem is so: a set of its parts that cannot hold together, and from which nothing can be left out (as
 * far as the time allows). Parts are left out in halves, quarters and so on as long as the rest is still refuted.
 */
export async function findConflict(problem: Problem, limits: Limits): Promise<Conflict> {
  let members: Member[] = [
    ...problem.pools.map(({ id }): Member => ({ kind: 'pools', id })),
    ...problem.states.map(({ id }): Member => ({ kind: 'states', id })),
    ...problem.steps.map(({ id }): Member => ({ kind: 'steps', id })),
    ...problem.units.map(({ id }): Member => ({ kind: 'units', id })),
    ...problem.holds.map(({ id }): Member => ({ kind: 'holds', id })),
    ...problem.links.map((_, index): Member => ({ kind: 'links', index })),
  ];
  for (let chunk = Math.ceil(members.length / 2); chunk >= 1; chunk = chunk === 1 ? 0 : Math.ceil(chunk / 2)) {
    for (let again = true; again; ) {
      again = false;
      for (let at = 0; at < members.length; ) {
        if (limits.isOver()) return named(members);
        await limits.breathe();
        const rest = [...members.slice(0, at), ...members.slice(at + chunk)];
        if (await isRefuted(restrict(problem, rest), limits)) {
          members = rest;
          again = chunk === 1;
        } else {
          at += chunk;
        }
      }
    }
  }
  return named(members);
}

function named(members: readonly Member[]): Conflict {
  const ids = (kind: Member['kind']) =>
    members.flatMap((each) => (each.kind === kind && 'id' in each ? [each.id] : []));
  return {
    steps: ids('steps'),
    links: members.flatMap((each) => (each.kind === 'links' ? [each.index] : [])),
    holds: ids('holds'),
    units: ids('units'),
    pools: ids('pools'),
    states: ids('states'),
  };
}

async function isRefuted(problem: Problem, limits: Limits): Promise<boolean> {
  const result = await inTurns(indexInTurns(problem), limits);
  if (!result?.ok) return result !== null;
  const model = await inTurns(Model.inTurns(result.indexed), limits);
  if (!model?.sound) return model !== null;
  return model.engine.search([], MOST_CONFLICTS, limits.isOver) === 'refuted';
}

/** What is built in turns; null when the time was over before. */
async function inTurns<T>(turns: Generator<void, T>, { isOver, breathe }: Limits): Promise<T | null> {
  for (;;) {
    const turn = turns.next();
    if (turn.done) return turn.value;
    if (isOver()) return null;
    await breathe();
  }
}

/** The problem of the named parts alone, without costs: a need stays only when all its alternatives are named. */
export function restrict(problem: Problem, members: readonly Member[]): Problem {
  const { steps, links, holds, units, pools, states } = named(members);
  const has = { steps: new Set(steps), units: new Set(units), pools: new Set(pools), states: new Set(states) };
  const allNamed = (list: readonly { readonly id: string }[]) => list.every(({ id }) => has.units.has(id));
  const keptNeeds = (step: ProblemStep) => (step.units ?? []).map(allNamed);
  const keptHolds = problem.holds.filter(
    (hold: Hold) =>
      holds.includes(hold.id) && has.steps.has(hold.from) && has.steps.has(hold.to) && allNamed(hold.units),
  );
  const needPlace = (id: string, need: number) => {
    const step = problem.steps.find((each) => each.id === id);
    if (!step || !has.steps.has(id) || !keptNeeds(step)[need]) return -1;
    return keptNeeds(step).slice(0, need).filter(Boolean).length;
  };
  const forbid = (problem.forbid ?? []).flatMap((pair) => {
    const kept = pair.flatMap((choice): Choice[] => {
      if ('hold' in choice) return keptHolds.some(({ id }) => id === choice.hold) ? [choice] : [];
      const need = needPlace(choice.step, choice.need);
      return need < 0 ? [] : [{ ...choice, need }];
    });
    return kept.length === 2 ? [[kept[0]!, kept[1]!] as const] : [];
  });
  return {
    format: problem.format,
    version: problem.version,
    horizon: problem.horizon,
    serve: problem.serve,
    units: problem.units.filter(({ id }) => has.units.has(id)),
    pools: problem.pools.filter(({ id }) => has.pools.has(id)),
    states: problem.states.filter(({ id }) => has.states.has(id)),
    steps: problem.steps
      .filter(({ id }) => has.steps.has(id))
      .map(({ state, pools: amounts, units: needs, ...step }) => ({
        ...step,
        ...(needs ? { units: needs.filter(allNamed) } : {}),
        ...(amounts
          ? { pools: Object.fromEntries(Object.entries(amounts).filter(([pool]) => has.pools.has(pool))) }
          : {}),
        ...(state && has.states.has(state.id) ? { state } : {}),
      })),
    holds: keptHolds,
    links: problem.links.filter(
      (link, index) => links.includes(index) && has.steps.has(link.from) && has.steps.has(link.to),
    ),
    ready: [],
    forbid,
  };
}
