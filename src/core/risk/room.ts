import { closedLags, NO_LAG } from '@/core/schedule/indexed';
import type { Problem, ProblemLink, ProblemStep, ReadyRow } from '@/core/schedule/problem';

/** A problem with room kept for steps that take longer than is likely. */
export interface Roomy {
  /** Steps last as long as their places are kept: likely minutes and room. */
  readonly problem: Problem;
  /** Minutes of room at the end of each step, by id; absent for none. */
  readonly room: ReadonlyMap<string, number>;
}

/** Share of the way from likely to longest that room is kept for. Found by cooking: see docs/sure-evenings.md. */
export const ROOM_SHARE = { sure: 0.85, even: 0.6, short: 0 } as const;

/** Minutes of room that a step asks for. */
export type RoomOf = (step: ProblemStep) => number;

/** A dish that is ready sooner by its room must still be good then: its last step has less room than it waits well, by a minute. */
const BEYOND_WELL = -1;

/**
 * Keeps room after each step, so that what comes next begins at its hour even when the step takes longer: its burner, pot, shelf and hands
 * stay its own, and what waits for it begins later by as much. Where something follows at once, the room is kept behind that instead: the
 * stock is not held back for an onion that may take longer. A plan read from the solution has likely minutes, with the room between.
 *
 * Landings are told of the likely end: that is earlier than the table by the room of the last step.
 */
export function withRoom(problem: Problem, roomOf: RoomOf): Roomy {
  const links = problem.links.filter(({ at, of, from, to }) => at === 'end' && of === 'start' && from !== to);
  const after = new Map<string, ProblemLink[]>();
  for (const link of links) after.set(link.from, [...(after.get(link.from) ?? []), link]);
  const wellOf = new Map<string, number>();
  for (const row of problem.ready)
    if (isLanding(row)) wellOf.set(row.step, Math.min(row.hold, wellOf.get(row.step) ?? row.hold));
  const wanted = new Map<string, number>();
  const kept = new Map<ProblemLink, number>();
  for (const step of inOrder(problem.steps, links)) {
    const own = step.minutes > 0 ? Math.max(0, roomOf(step)) : 0;
    const well = wellOf.get(step.id);
    const all = own + (wanted.get(step.id) ?? 0);
    const room = Math.round(well === undefined ? all : Math.min(all, Math.max(1, well + BEYOND_WELL)));
    wanted.set(step.id, room);
    for (const link of after.get(step.id) ?? []) {
      const here = Math.min(room, Math.max(0, (link.max ?? Number.POSITIVE_INFINITY) - link.min));
      kept.set(link, here);
      // What cannot be kept here is kept behind what follows.
      if (room > here) wanted.set(link.to, Math.max(wanted.get(link.to) ?? 0, room - here));
    }
  }
  const spaced = {
    ...problem,
    links: problem.links.map((link) => (kept.get(link) ? { ...link, min: link.min + kept.get(link)! } : link)),
  };
  const room = withinReach(spaced, wanted);
  return { problem: lengthened(spaced, room), room };
}

/** A row that says when a dish is to be ready: costs differ on the two sides, and being early does cost. */
function isLanding({ early, late }: ReadyRow): boolean {
  return early > 0 && early !== late;
}

/** Steps with what comes before them before them; what goes in a circle comes last, as it stands. */
function inOrder(steps: readonly ProblemStep[], links: readonly ProblemLink[]): readonly ProblemStep[] {
  const open = new Map<string, number>(steps.map(({ id }) => [id, 0]));
  const next = new Map<string, string[]>();
  for (const { from, to } of links) {
    open.set(to, (open.get(to) ?? 0) + 1);
    next.set(from, [...(next.get(from) ?? []), to]);
  }
  const byId = new Map(steps.map((step) => [step.id, step]));
  const order: string[] = steps.filter(({ id }) => open.get(id) === 0).map(({ id }) => id);
  for (let index = 0; index < order.length; index++) {
    for (const id of next.get(order[index]!) ?? []) {
      open.set(id, open.get(id)! - 1);
      if (open.get(id) === 0) order.push(id);
    }
  }
  const done = new Set(order);
  return [...order, ...steps.map(({ id }) => id).filter((id) => !done.has(id))].map((id) => byId.get(id)!);
}

/** No step keeps its place so long that what must begin by then could not have it. */
function withinReach(problem: Problem, wanted: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const closed = closedLags(problem);
  if (!closed) return new Map();
  const { lag, n } = closed;
  const { steps } = problem;
  const claims = claimsOf(problem);
  const room = new Map<string, number>();
  for (let i = 0; i < n; i++) {
    const step = steps[i]!;
    let minutes = wanted.get(step.id) ?? 0;
    for (let j = 0; j < n && minutes > 0; j++) {
      const most = lag[j * n + i]!;
      if (j === i || most <= NO_LAG) continue;
      const gap = -most - step.minutes;
      if (gap >= 0 && gap < minutes && share(claims[i]!, claims[j]!)) minutes = gap;
    }
    if (minutes > 0) room.set(step.id, minutes);
  }
  return room;
}

/** Whatever each step may take up: units, pools, states. */
function claimsOf(problem: Problem): readonly ReadonlySet<string>[] {
  const held = new Map<string, string[]>();
  for (const { from, to, units } of problem.holds) {
    if (from === to) held.set(from, [...(held.get(from) ?? []), ...units.map(({ id }) => id)]);
  }
  return problem.steps.map((step) => {
    const units = (step.units ?? []).flat().map(({ id }) => `unit ${id}`);
    const pools = Object.keys(step.pools ?? {}).map((id) => `pool ${id}`);
    const people = (held.get(step.id) ?? []).map((id) => `unit ${id}`);
    return new Set([...units, ...pools, ...people, ...(step.state ? [`state ${step.state.id}`] : [])]);
  });
}

function share(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  for (const each of a) if (b.has(each)) return true;
  return false;
}

/** Steps as long as their room makes them, and all that refers to an end moved by as much. */
function lengthened(problem: Problem, room: ReadonlyMap<string, number>): Problem {
  const by = (id: string) => room.get(id) ?? 0;
  return {
    ...problem,
    steps: problem.steps.map((step) => (by(step.id) > 0 ? { ...step, minutes: step.minutes + by(step.id) } : step)),
    links: problem.links.map((link) => {
      const shift = (link.of === 'end' ? by(link.to) : 0) - (link.at === 'end' ? by(link.from) : 0);
      if (shift === 0) return link;
      return {
        ...link,
        min: link.min + shift,
        ...(link.max === null || link.max === undefined ? {} : { max: link.max + shift }),
        ...(link.soft ? { soft: { ...link.soft, after: link.soft.after + shift } } : {}),
      };
    }),
    ready: problem.ready.map((row) => {
      const minutes = by(row.step);
      if (minutes === 0) return row;
      return isLanding(row) ? { ...row, hold: Math.max(0, row.hold - minutes) } : { ...row, by: row.by + minutes };
    }),
  };
}
