import Joi from 'joi';
import { check, type Parsed, parseJson } from '@/core/records/refuse';
import { idShape } from '@/core/records/shapes';
import type { Choice, Problem } from '@/core/schedule/problem';

const id = idShape(300);
const minute = Joi.number().integer().min(0).max(100_000);
const lag = Joi.number().integer().min(-100_000).max(100_000);
const cost = Joi.number().integer().min(0).max(1_000_000);
const alternatives = Joi.array()
  .items(Joi.object({ id, cost: cost.required() }))
  .min(1);
const choice = Joi.alternatives(
  Joi.object({ step: id, need: Joi.number().integer().min(0).required(), unit: id }),
  Joi.object({ hold: id, unit: id }),
);

/** The shape of a problem file; what names what is checked by `readProblem`. */
export const problemShape: Joi.ObjectSchema<Problem> = Joi.object({
  format: Joi.string().valid('warm-cadence/problem').required(),
  version: Joi.number().valid(1).required(),
  horizon: minute.required(),
  serve: minute.required(),
  units: Joi.array()
    .items(Joi.object({ id, away: Joi.array().items(Joi.array().ordered(minute.required(), minute.required())) }))
    .required(),
  pools: Joi.array()
    .items(
      Joi.object({
        id,
        capacity: Joi.number().integer().min(0).max(10_000).required(),
        away: Joi.array().items(Joi.array().ordered(minute.required(), minute.required(), minute.required())),
      }),
    )
    .required(),
  states: Joi.array()
    .items(Joi.object({ id, change: minute.required() }))
    .required(),
  steps: Joi.array()
    .items(
      Joi.object({
        id,
        minutes: minute.required(),
        earliest: minute,
        latest: minute,
        units: Joi.array().items(alternatives),
        pools: Joi.object().pattern(/^.+$/, Joi.number().integer().min(0).max(10_000)),
        state: Joi.object({ id, value: Joi.number().integer().min(-100_000).max(100_000).required() }),
        spread: Joi.array().ordered(minute.required(), minute.required()),
      }),
    )
    .max(2000)
    .required(),
  holds: Joi.array()
    .items(Joi.object({ id, from: id, to: id, after: minute.required(), units: alternatives.required() }))
    .required(),
  links: Joi.array()
    .items(
      Joi.object({
        from: id,
        at: Joi.string().valid('start', 'end').required(),
        to: id,
        of: Joi.string().valid('start', 'end').required(),
        min: lag.required(),
        max: lag.allow(null),
        soft: Joi.object({ after: lag.required(), cost: cost.required() }),
      }),
    )
    .required(),
  ready: Joi.array()
    .items(
      Joi.object({
        step: id,
        by: minute.required(),
        hold: minute.required(),
        early: cost.required(),
        late: cost.required(),
      }),
    )
    .required(),
  awake: Joi.object({ pool: id, cost: cost.required() }),
  forbid: Joi.array().items(Joi.array().ordered(choice.required(), choice.required())),
});

/** Reads a problem from JSON text. A refusal names the field and the id. */
export function readProblem(text: string): Parsed<Problem> {
  const json = parseJson(text, 'problem');
  return json.ok ? checkProblem(json.value) : json;
}

/** Checks parsed JSON against the shape of a problem, and that its names fit one another. */
export function checkProblem(value: unknown): Parsed<Problem> {
  const shaped = check(problemShape, value);
  if (!shaped.ok) return shaped;
  const sentence = faultOf(shaped.value);
  return sentence === null ? shaped : { ok: false, sentence };
}

/** The first name that does not fit, doubled or unknown, or bounds that contradict one another. */
function faultOf(problem: Problem): string | null {
  const lists = {
    units: problem.units,
    pools: problem.pools,
    states: problem.states,
    steps: problem.steps,
    holds: problem.holds,
  };
  const known: Record<string, Set<string>> = {};
  for (const [list, items] of Object.entries(lists)) {
    const seen = new Set<string>();
    for (const item of items) {
      if (seen.has(item.id)) return `${list}: the id "${item.id}" stands twice; each must be its own.`;
      seen.add(item.id);
    }
    known[list] = seen;
  }
  const unknown = (where: string, list: string, wanted: string) =>
    known[list]!.has(wanted) ? null : `${where}: "${wanted}" is not among the ${list}.`;
  const needFault = (where: string, list: readonly { readonly id: string }[]) => {
    const seen = new Set<string>();
    for (const { id: unit } of list) {
      if (seen.has(unit)) return `${where}: the unit "${unit}" stands twice in one need.`;
      seen.add(unit);
      const fault = unknown(where, 'units', unit);
      if (fault) return fault;
    }
    return null;
  };

  for (const step of problem.steps) {
    const where = `steps, "${step.id}"`;
    for (const [index, need] of (step.units ?? []).entries()) {
      const fault = needFault(`${where}, units, need ${index}`, need);
      if (fault) return fault;
    }
    for (const pool of Object.keys(step.pools ?? {})) {
      const fault = unknown(`${where}, pools`, 'pools', pool);
      if (fault) return fault;
    }
    const fault = step.state ? unknown(`${where}, state`, 'states', step.state.id) : null;
    if (fault) return fault;
    if (step.spread && step.spread[0] > step.spread[1]) {
      return `${where}, spread: the shortest (${step.spread[0]}) is longer than the longest (${step.spread[1]}).`;
    }
  }
  for (const hold of problem.holds) {
    const where = `holds, "${hold.id}"`;
    const fault =
      unknown(`${where}, from`, 'steps', hold.from) ??
      unknown(`${where}, to`, 'steps', hold.to) ??
      needFault(`${where}, units`, hold.units);
    if (fault) return fault;
  }
  for (const [index, link] of problem.links.entries()) {
    const where = `links, number ${index} ("${link.from}" to "${link.to}")`;
    const fault = unknown(`${where}, from`, 'steps', link.from) ?? unknown(`${where}, to`, 'steps', link.to);
    if (fault) return fault;
    if (link.max !== undefined && link.max !== null && link.min > link.max) {
      return `${where}: min (${link.min}) is above max (${link.max}).`;
    }
  }
  for (const row of problem.ready) {
    const fault = unknown(`ready, "${row.step}"`, 'steps', row.step);
    if (fault) return fault;
  }
  if (problem.awake) {
    const fault = unknown('awake, pool', 'pools', problem.awake.pool);
    if (fault) return fault;
  }
  for (const [index, pair] of (problem.forbid ?? []).entries()) {
    for (const each of pair) {
      const fault = choiceFault(problem, each, `forbid, number ${index}`);
      if (fault) return fault;
    }
  }
  return null;
}

function choiceFault(problem: Problem, choice: Choice, where: string): string | null {
  if ('hold' in choice) {
    const hold = problem.holds.find((each) => each.id === choice.hold);
    if (!hold) return `${where}: "${choice.hold}" is not among the holds.`;
    return hold.units.some((each) => each.id === choice.unit)
      ? null
      : `${where}: the hold "${hold.id}" has no alternative "${choice.unit}".`;
  }
  const step = problem.steps.find((each) => each.id === choice.step);
  if (!step) return `${where}: "${choice.step}" is not among the steps.`;
  const need = step.units?.[choice.need];
  if (!need) return `${where}: the step "${step.id}" has no need ${choice.need}.`;
  return need.some((each) => each.id === choice.unit)
    ? null
    : `${where}: need ${choice.need} of the step "${step.id}" has no alternative "${choice.unit}".`;
}
