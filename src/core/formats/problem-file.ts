import Joi from 'joi';
import { check, type Parsed, parseJson } from '@/core/records/refuse';
import { idShape } from '@/core/records/shapes';
import { say } from '@/core/say/say';
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
      if (seen.has(item.id))
        return say('{list}: the id "{id}" stands twice; each must be its own.', { list, id: item.id });
      seen.add(item.id);
    }
    known[list] = seen;
  }
  const unknown = (where: string, list: string, wanted: string) =>
    known[list]!.has(wanted) ? null : say('{where}: "{wanted}" is not among the {list}.', { where, wanted, list });
  const needFault = (where: string, list: readonly { readonly id: string }[]) => {
    const seen = new Set<string>();
    for (const { id: unit } of list) {
      if (seen.has(unit)) return say('{where}: the unit "{unit}" stands twice in one need.', { where, unit });
      seen.add(unit);
      const fault = unknown(where, 'units', unit);
      if (fault) return fault;
    }
    return null;
  };

  for (const step of problem.steps) {
    const where = say('steps, "{id}"', { id: step.id });
    for (const [index, need] of (step.units ?? []).entries()) {
      const fault = needFault(say('{where}, units, need {index}', { where, index }), need);
      if (fault) return fault;
    }
    for (const pool of Object.keys(step.pools ?? {})) {
      const fault = unknown(say('{where}, pools', { where }), 'pools', pool);
      if (fault) return fault;
    }
    const fault = step.state ? unknown(say('{where}, state', { where }), 'states', step.state.id) : null;
    if (fault) return fault;
    if (step.spread && step.spread[0] > step.spread[1]) {
      return say('{where}, spread: the shortest ({spread}) is longer than the longest ({spread2}).', {
        where,
        spread: step.spread[0],
        spread2: step.spread[1],
      });
    }
  }
  for (const hold of problem.holds) {
    const where = say('holds, "{id}"', { id: hold.id });
    const fault =
      unknown(say('{where}, from', { where }), 'steps', hold.from) ??
      unknown(say('{where}, to', { where }), 'steps', hold.to) ??
      needFault(say('{where}, units', { where }), hold.units);
    if (fault) return fault;
  }
  for (const [index, link] of problem.links.entries()) {
    const where = say('links, number {index} ("{from}" to "{to}")', { index, from: link.from, to: link.to });
    const fault =
      unknown(say('{where}, from', { where }), 'steps', link.from) ??
      unknown(say('{where}, to', { where }), 'steps', link.to);
    if (fault) return fault;
    if (link.max !== undefined && link.max !== null && link.min > link.max) {
      return say('{where}: min ({min}) is above max ({max}).', { where, min: link.min, max: link.max });
    }
  }
  for (const row of problem.ready) {
    const fault = unknown(say('ready, "{step}"', { step: row.step }), 'steps', row.step);
    if (fault) return fault;
  }
  if (problem.awake) {
    const fault = unknown(say('awake, pool'), 'pools', problem.awake.pool);
    if (fault) return fault;
  }
  for (const [index, pair] of (problem.forbid ?? []).entries()) {
    for (const each of pair) {
      const fault = choiceFault(problem, each, say('forbid, number {index}', { index }));
      if (fault) return fault;
    }
  }
  return null;
}

function choiceFault(problem: Problem, choice: Choice, where: string): string | null {
  if ('hold' in choice) {
    const hold = problem.holds.find((each) => each.id === choice.hold);
    if (!hold) return say('{where}: "{hold}" is not among the holds.', { where, hold: choice.hold });
    return hold.units.some((each) => each.id === choice.unit)
      ? null
      : say('{where}: the hold "{id}" has no alternative "{unit}".', { where, id: hold.id, unit: choice.unit });
  }
  const step = problem.steps.find((each) => each.id === choice.step);
  if (!step) return say('{where}: "{step}" is not among the steps.', { where, step: choice.step });
  const need = step.units?.[choice.need];
  if (!need) return say('{where}: the step "{id}" has no need {need}.', { where, id: step.id, need: choice.need });
  return need.some((each) => each.id === choice.unit)
    ? null
    : say('{where}: need {need} of the step "{id}" has no alternative "{unit}".', {
        where,
        need: choice.need,
        id: step.id,
        unit: choice.unit,
      });
}
