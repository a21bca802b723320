import { bare } from '@/core/plain/record';
import type { Snapshot } from './draft';
import type { Indexed } from './indexed';
import type { Schedule } from './problem';

/** Starts by step and units by need, as positions in the problem's lists. */
export interface Placement {
  readonly start: Int32Array;
  readonly unit: Int32Array;
}

/** A snapshot of a draft as starts and units. */
export function placementOf(p: Indexed, { start, choice }: Snapshot): Placement {
  return { start, unit: Int32Array.from(p.needs, (need) => need.units[choice[need.index]!]!) };
}

/** Starts and units as the draft keeps them. */
export function snapshotOf(p: Indexed, { start, unit }: Placement): Snapshot {
  return { start: start.slice(), choice: Int32Array.from(p.needs, (need) => need.units.indexOf(unit[need.index]!)) };
}

/** Starts and units by the ids of the problem. */
export function scheduleOf(p: Indexed, { start, unit }: Placement): Schedule {
  const starts = bare<number>();
  const units = bare<string[]>();
  const holds = bare<string>();
  p.problem.steps.forEach((step, index) => {
    starts[step.id] = start[index]!;
  });
  for (const need of p.needs) {
    const id = p.problem.units[unit[need.index]!]!.id;
    if ('hold' in need.origin) {
      holds[need.origin.hold] = id;
    } else {
      const list = units[need.origin.step] ?? [];
      list[need.origin.need] = id;
      units[need.origin.step] = list;
    }
  }
  return { starts, units, holds };
}

/** The whole cost of a placement. */
export function costOf(p: Indexed, { start, unit }: Placement): number {
  let cost = 0;
  let awake = p.problem.serve;
  for (let i = 0; i < p.n; i++) {
    const end = start[i]! + p.minutes[i]!;
    for (const { by, hold, early, late } of p.readyOf[i]!) {
      cost += end > by ? late * (end - by) : early * Math.max(0, by - end - hold);
    }
    for (const soft of p.softOf[i]!) {
      if (soft.from === i) cost += soft.cost * Math.max(0, start[soft.to]! - start[i]! - soft.above);
    }
    if (p.awakeOf[i]) awake = Math.min(awake, start[i]!);
  }
  for (const need of p.needs) cost += need.costs[need.units.indexOf(unit[need.index]!)]!;
  return cost + p.awakeCost * Math.max(0, p.problem.serve - awake);
}
