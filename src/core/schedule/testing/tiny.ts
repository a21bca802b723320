import type { Problem, ProblemStep, Schedule } from '@/core/schedule/problem';
import { seededRandom } from '@/core/schedule/random';
import { validate } from '@/core/schedule/validate';

/** A small problem with a bit of everything, from a seed; feasible or not. */
export function tinyProblem(seed: number, most = { steps: 4, horizon: 9 }): Problem {
  const random = seededRandom(seed);
  const chance = (share: number) => random.next() < share;
  const from = (low: number, high: number) => low + random.below(high - low + 1);
  const pick = <T>(list: readonly T[]) => list[random.below(list.length)]!;
  const horizon = from(5, most.horizon);
  const units = Array.from({ length: from(1, 3) }, (_, k) => ({
    id: `u${k}`,
    ...(chance(0.25) ? { away: [[from(0, 3), from(3, 6)] as const] } : {}),
  }));
  const pools = Array.from({ length: from(0, 2) }, (_, k) => ({
    id: `p${k}`,
    capacity: from(1, 3),
    ...(chance(0.3) ? { away: [[from(0, 4), from(4, horizon), from(1, 2)] as const] } : {}),
  }));
  const states = chance(0.4) ? [{ id: 's', change: from(0, 2) }] : [];
  const alternatives = () => {
    const list = units.filter(() => chance(0.7));
    return (list.length > 0 ? list : [pick(units)]).map(({ id }) => ({ id, cost: chance(0.5) ? 0 : from(0, 4) }));
  };
  const steps = Array.from({ length: from(2, most.steps) }, (_, k): ProblemStep => {
    const used = pools.filter(() => chance(0.5));
    return {
      id: `s${k}`,
      minutes: chance(0.12) ? 0 : from(1, 4),
      ...(chance(0.2) ? { earliest: from(0, 3) } : {}),
      ...(chance(0.2) ? { latest: from(2, horizon) } : {}),
      ...(chance(0.7)
        ? { units: chance(0.15) && units.length > 1 ? [alternatives(), alternatives()] : [alternatives()] }
        : {}),
      ...(used.length > 0 ? { pools: Object.fromEntries(used.map(({ id }) => [id, from(1, 2)])) } : {}),
      ...(states.length > 0 && chance(0.6) ? { state: { id: 's', value: from(1, 2) } } : {}),
    };
  });
  const edge = () => (chance(0.5) ? 'start' : 'end');
  const links = Array.from({ length: from(0, steps.length) }, () => {
    const a = random.below(steps.length);
    const b = random.below(steps.length);
    const min = from(-2, 3);
    return {
      from: steps[Math.min(a, b)]!.id,
      at: edge(),
      to: steps[Math.max(a, b)]!.id,
      of: edge(),
      min: a === b ? -9 : min,
      ...(chance(0.4) && a !== b ? { max: min + from(0, 3) } : {}),
      ...(chance(0.4) ? { soft: { after: from(0, 3), cost: from(0, 3) } } : {}),
    } as const;
  });
  const holds = Array.from({ length: from(0, 2) }, (_, k) => {
    const a = random.below(steps.length);
    const b = random.below(steps.length);
    return {
      id: `h${k}`,
      from: steps[Math.min(a, b)]!.id,
      to: steps[Math.max(a, b)]!.id,
      after: from(0, 2),
      units: alternatives(),
    };
  });
  const serve = from(3, horizon);
  const ready = steps
    .filter(() => chance(0.6))
    .map(({ id }) => ({ step: id, by: from(2, horizon), hold: from(0, 2), early: from(0, 3), late: from(0, 9) }));
  const choices = [
    ...steps.flatMap((step) =>
      (step.units ?? []).flatMap((need, index) => need.map(({ id }) => ({ step: step.id, need: index, unit: id }))),
    ),
    ...holds.flatMap((hold) => hold.units.map(({ id }) => ({ hold: hold.id, unit: id }))),
  ];
  const forbid = chance(0.3) && choices.length > 1 ? [[pick(choices), pick(choices)] as const] : [];
  return {
    format: 'warm-cadence/problem',
    version: 1,
    horizon,
    serve,
    units,
    pools,
    states,
    steps,
    holds,
    links,
    ready,
    ...(pools.length > 0 && chance(0.4) ? { awake: { pool: pools[0]!.id, cost: from(0, 2) } } : {}),
    ...(forbid.length > 0 ? { forbid } : {}),
  };
}

/** The least cost of all schedules there are, by trying every one; null when none stands. */
export function bruteForce(problem: Problem): number | null {
  let best: number | null = null;
  const starts: Record<string, number> = {};
  const units: Record<string, string[]> = {};
  const holds: Record<string, string> = {};
  const schedule: Schedule = { starts, units, holds };
  const minutes = new Map(problem.steps.map((step) => [step.id, step.minutes]));

  const linksHold = (id: string) =>
    problem.links.every((link) => {
      if (link.from !== id && link.to !== id) return true;
      const a = starts[link.from];
      const b = starts[link.to];
      if (a === undefined || b === undefined) return true;
      const lag =
        b + (link.of === 'end' ? minutes.get(link.to)! : 0) - a - (link.at === 'end' ? minutes.get(link.from)! : 0);
      return lag >= link.min && lag <= (link.max ?? Number.POSITIVE_INFINITY);
    });
  const choose = (index: number): void => {
    const slots = [
      ...problem.steps.flatMap((step) => (step.units ?? []).map((need, k) => ({ need, k, step: step.id }))),
      ...problem.holds.map((hold) => ({ need: hold.units, k: -1, step: hold.id })),
    ];
    const slot = slots[index];
    if (!slot) {
      const verdict = validate(problem, schedule);
      if (verdict.faults.length === 0 && (best === null || verdict.cost < best)) best = verdict.cost;
      return;
    }
    for (const { id } of slot.need) {
      if (slot.k < 0) holds[slot.step] = id;
      else {
        units[slot.step] ??= [];
        units[slot.step]![slot.k] = id;
      }
      choose(index + 1);
    }
  };
  const place = (index: number): void => {
    const step = problem.steps[index];
    if (!step) {
      choose(0);
      return;
    }
    const last = Math.min(problem.horizon - step.minutes, step.latest ?? problem.horizon);
    for (let at = Math.max(0, step.earliest ?? 0); at <= last; at++) {
      starts[step.id] = at;
      if (linksHold(step.id)) place(index + 1);
    }
    delete starts[step.id];
  };
  place(0);
  return best;
}
