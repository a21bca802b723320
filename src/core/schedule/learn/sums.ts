import type { Engine } from './engine';
import { Objective, type Term } from './objective';

/** A part of the cost and the group (a dish as a rule) that it belongs to; -1 for none. */
export interface GroupedTerm {
  readonly group: number;
  readonly term: Term;
}

/** Sums that are left to be added up at the top. */
const AT_THE_TOP = 3;

/**
 * Sums up the terms of each group in a variable of its own, and these again two by two: a learned clause can then say "these two
 * dishes cost 40 at least" in one literal instead of naming the bounds of all their steps. Returns the terms whose sum is the whole.
 * `variable` makes a variable for a sum.
 */
export function sumUp(engine: Engine, terms: readonly GroupedTerm[], variable: () => number): Term[] {
  const rest: Term[] = [];
  const groups = new Map<number, Term[]>();
  for (const { group, term } of terms) {
    const known = groups.get(group);
    if (group < 0) rest.push(term);
    else if (known) known.push(term);
    else groups.set(group, [term]);
  }
  const summed = (parts: readonly Term[]): Term => {
    const sum = variable();
    new Objective(engine, parts, sum).attach();
    return { kind: 'ready', start: sum, cost: (value) => value, best: [0, 0] };
  };
  let sums: Term[] = [];
  for (const parts of groups.values()) {
    if (parts.length === 1) rest.push(parts[0]!);
    else sums.push(summed(parts));
  }
  while (sums.length > AT_THE_TOP) sums = [...sums.slice(2), summed(sums.slice(0, 2))];
  return [...rest, ...sums];
}
