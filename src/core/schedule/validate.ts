import { own } from '@/core/plain/record';
import type { Choice, Problem, ProblemStep, Schedule } from './problem';

/** What the independent check says of a schedule. */
export interface Validation {
  /** One sentence for each broken rule; empty when the schedule stands. */
  readonly faults: readonly string[];
  /** The cost recomputed from the starts and choices; meaningful only without faults. */
  readonly cost: number;
}

interface Use {
  readonly who: string;
  readonly lo: number;
  readonly hi: number;
}

/**
 * Checks a schedule against every rule of the problem and recomputes its cost. It shares no code with the solver:
 * it works straight from the written problem, so that a mistake in the solver's tables cannot hide here.
 */
export function validate(problem: Problem, schedule: Schedule): Validation {
  const faults: string[] = [];
  const steps = new Map(problem.steps.map((step) => [step.id, step]));
  const startOf = (id: string) => own(schedule.starts, id) ?? Number.NaN;
  const endOf = (id: string) => startOf(id) + (steps.get(id)?.minutes ?? Number.NaN);

  for (const step of problem.steps) checkBounds(problem, step, own(schedule.starts, step.id), faults);
  for (const id of Object.keys(schedule.starts)) if (!steps.has(id)) faults.push(`Start of an unknown step "${id}".`);
  if (faults.length > 0) return { faults, cost: 0 };

  let cost = 0;

  problem.links.forEach((link, index) => {
    const lag =
      (link.of === 'end' ? endOf(link.to) : startOf(link.to)) -
      (link.at === 'end' ? endOf(link.from) : startOf(link.from));
    const max = link.max ?? Number.POSITIVE_INFINITY;
    if (lag < link.min || lag > max) {
      faults.push(`Link ${index} (${link.from} to ${link.to}): lag ${lag} is not within ${link.min} to ${max}.`);
    }
    if (link.soft) cost += link.soft.cost * Math.max(0, lag - link.soft.after);
  });

  const uses = new Map<string, Use[]>(problem.units.map((unit) => [unit.id, []]));
  for (const step of problem.steps) {
    const chosen = own(schedule.units, step.id) ?? [];
    const needs = step.units ?? [];
    if (chosen.length !== needs.length) {
      faults.push(`Step "${step.id}" has ${needs.length} needs but ${chosen.length} units.`);
      continue;
    }
    if (new Set(chosen).size !== chosen.length) faults.push(`Step "${step.id}" takes one unit for two needs.`);
    needs.forEach((need, index) => {
      const taken = need.find((alternative) => alternative.id === chosen[index]);
      if (!taken) {
        faults.push(`Step "${step.id}" need ${index} takes "${chosen[index]}", which is not among its alternatives.`);
        return;
      }
      cost += taken.cost;
      uses.get(taken.id)?.push({ who: `step "${step.id}"`, lo: startOf(step.id), hi: endOf(step.id) });
    });
  }
  for (const hold of problem.holds) {
    const taken = hold.units.find((alternative) => alternative.id === own(schedule.holds, hold.id));
    if (!taken) {
      faults.push(`Hold "${hold.id}" takes "${own(schedule.holds, hold.id)}", which is not among its alternatives.`);
      continue;
    }
    cost += taken.cost;
    const lo = startOf(hold.from);
    if (endOf(hold.to) < lo) faults.push(`Hold "${hold.id}" ends before it begins.`);
    uses.get(taken.id)?.push({ who: `hold "${hold.id}"`, lo, hi: endOf(hold.to) + hold.after });
  }
  for (const unit of problem.units) {
    const taken = (uses.get(unit.id) ?? [])
      .map((use) => ({ ...use, hi: Math.min(use.hi, problem.horizon) }))
      .filter((use) => use.hi > use.lo);
    for (const [from, to] of unit.away ?? []) if (to > from) taken.push({ who: 'away', lo: from, hi: to });
    checkDisjoint(unit.id, taken, faults);
  }

  checkPools(problem, startOf, faults);
  checkStates(problem, startOf, faults);
  for (const [a, b] of problem.forbid ?? []) {
    if (isChosen(a, schedule) && isChosen(b, schedule)) {
      faults.push(`Forbidden together: ${JSON.stringify(a)} and ${JSON.stringify(b)}.`);
    }
  }

  for (const row of problem.ready) {
    const slip = endOf(row.step) - row.by;
    cost += row.late * Math.max(0, slip) + row.early * Math.max(0, -slip - row.hold);
  }
  if (problem.awake) {
    const { pool } = problem.awake;
    const first = problem.steps
      .filter((step) => step.minutes > 0 && (step.pools?.[pool] ?? 0) > 0)
      .reduce((least, step) => Math.min(least, startOf(step.id)), Number.POSITIVE_INFINITY);
    if (Number.isFinite(first)) cost += problem.awake.cost * Math.max(0, problem.serve - first);
  }
  return { faults, cost };
}

function checkBounds(problem: Problem, step: ProblemStep, start: number | undefined, faults: string[]): void {
  if (start === undefined || !Number.isInteger(start)) {
    faults.push(`Step "${step.id}" has no whole-minute start.`);
    return;
  }
  const earliest = Math.max(0, step.earliest ?? 0);
  const latest = Math.min(problem.horizon - step.minutes, step.latest ?? Number.POSITIVE_INFINITY);
  if (start < earliest || start > latest) {
    faults.push(`Step "${step.id}" starts at ${start}, outside ${earliest} to ${latest}.`);
  }
}

function checkDisjoint(unit: string, uses: Use[], faults: string[]): void {
  const sorted = [...uses].sort((a, b) => a.lo - b.lo);
  let last: Use | undefined;
  for (const use of sorted) {
    // Two absences may overlap each other; everything else may not.
    if (last && use.lo < last.hi && !(use.who === 'away' && last.who === 'away')) {
      faults.push(`Unit "${unit}": ${last.who} and ${use.who} overlap at ${use.lo}.`);
    }
    if (!last || use.hi > last.hi) last = use;
  }
}

function checkPools(problem: Problem, startOf: (id: string) => number, faults: string[]): void {
  for (const pool of problem.pools) {
    const users = problem.steps
      .map((step) => ({
        lo: startOf(step.id),
        hi: startOf(step.id) + step.minutes,
        amount: step.pools?.[pool.id] ?? 0,
      }))
      .filter((use) => use.amount > 0 && use.hi > use.lo);
    const moments = new Set([...users.map((use) => use.lo), ...(pool.away ?? []).map(([from]) => from)]);
    for (const moment of moments) {
      const inUse = users.reduce((sum, use) => sum + (use.lo <= moment && moment < use.hi ? use.amount : 0), 0);
      if (inUse === 0) continue;
      const away = (pool.away ?? []).reduce((sum, [from, to, by]) => sum + (from <= moment && moment < to ? by : 0), 0);
      if (inUse > Math.max(0, pool.capacity - away)) {
        faults.push(`Pool "${pool.id}": ${inUse} in use at ${moment}, ${Math.max(0, pool.capacity - away)} there.`);
      }
    }
  }
}

function checkStates(problem: Problem, startOf: (id: string) => number, faults: string[]): void {
  for (const state of problem.states) {
    const users = problem.steps.filter((step) => step.state?.id === state.id && step.minutes > 0);
    for (const [index, a] of users.entries()) {
      for (const b of users.slice(index + 1)) {
        if (a.state?.value === b.state?.value) continue;
        const [first, second] = startOf(a.id) <= startOf(b.id) ? [a, b] : [b, a];
        if (startOf(second.id) < startOf(first.id) + first.minutes + state.change) {
          faults.push(
            `State "${state.id}": "${first.id}" and "${second.id}" want different values too close together.`,
          );
        }
      }
    }
  }
}

function isChosen(choice: Choice, schedule: Schedule): boolean {
  return 'hold' in choice
    ? own(schedule.holds, choice.hold) === choice.unit
    : own(schedule.units, choice.step)?.[choice.need] === choice.unit;
}
