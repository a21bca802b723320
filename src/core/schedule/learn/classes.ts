import type { Indexed, Need } from '@/core/schedule/indexed';

/** Units that are alike in every way: what takes one of them could as well take another. */
export interface UnitClass {
  readonly units: readonly number[];
}

/** A need or a hold with its alternatives told by class. */
export interface ClassNeed {
  readonly need: Need;
  readonly classes: readonly number[];
  readonly costs: readonly number[];
}

/**
 * Sorts units into classes. Two units are alike when every need lists both at the same cost or neither, they are away at the
 * same times, and the same pairs are forbidden with them. As intervals can be given k units exactly when never more than k
 * overlap, a class of k units is one resource of capacity k, and the search is spared all permutations.
 */
export function classify(p: Indexed): { readonly classes: readonly UnitClass[]; readonly needs: readonly ClassNeed[] } {
  const prints = p.problem.units.map((unit) => [JSON.stringify(unit.away ?? [])]);
  for (const need of p.needs) {
    for (const [k, unit] of need.units.entries()) prints[unit]!.push(`${need.index}:${need.costs[k]}`);
  }
  p.forbidOf.forEach((rules, need) => {
    for (const { unit, other, otherUnit } of rules) prints[unit]!.push(`!${need}:${other}:${otherUnit}`);
  });
  // A step that takes two of a kind needs two different ones: such units are kept apart.
  const needsAtOnce = new Map<string, number>();
  for (const need of p.needs) {
    if (!('step' in need.origin)) continue;
    for (const unit of need.units) {
      const key = `${need.origin.step} ${unit}`;
      needsAtOnce.set(key, (needsAtOnce.get(key) ?? 0) + 1);
      if (needsAtOnce.get(key)! > 1) prints[unit]!.push(`#${unit}`);
    }
  }
  const byPrint = new Map<string, number[]>();
  prints.forEach((list, unit) => {
    const print = list.sort().join('|');
    byPrint.set(print, [...(byPrint.get(print) ?? []), unit]);
  });
  const classes = [...byPrint.values()].map((units) => ({ units }));
  const classOf = new Int32Array(p.problem.units.length);
  classes.forEach(({ units }, index) => {
    for (const unit of units) classOf[unit] = index;
  });
  const needs = p.needs.map((need): ClassNeed => {
    const list: number[] = [];
    const costs: number[] = [];
    need.units.forEach((unit, k) => {
      if (list.includes(classOf[unit]!)) return;
      list.push(classOf[unit]!);
      costs.push(need.costs[k]!);
    });
    return { need, classes: list, costs };
  });
  return { classes, needs };
}

/**
 * Gives each need a unit of its class, so that overlapping ones get different units: the intervals in the order of their
 * starts, each the first unit that is free. `stretch` tells [from, to) of a need; `wish` a unit it would like to keep, or -1.
 */
export function handOut(
  classes: readonly UnitClass[],
  chosen: readonly number[],
  stretch: (need: number) => readonly [number, number],
  wish: (need: number) => number,
): Int32Array {
  const unitOf = new Int32Array(chosen.length).fill(-1);
  classes.forEach(({ units }, index) => {
    const needs = chosen.flatMap((each, need) => (each === index ? [need] : []));
    if (units.length === 1) {
      for (const need of needs) unitOf[need] = units[0]!;
      return;
    }
    const spans = needs.map((need) => ({ need, lo: stretch(need)[0], hi: stretch(need)[1] }));
    spans.sort((a, b) => a.lo - b.lo || a.need - b.need);
    const freeAt = new Map(units.map((unit) => [unit, Number.NEGATIVE_INFINITY]));
    for (const { need, lo, hi } of spans) {
      const empty = hi <= lo;
      const free = units.filter((unit) => empty || freeAt.get(unit)! <= lo);
      const wanted = wish(need);
      const unit = free.includes(wanted) ? wanted : free[0]!;
      unitOf[need] = unit;
      if (!empty) freeAt.set(unit, hi);
    }
  });
  return unitOf;
}
