import { cautionsAt } from '@/core/dish/cautions';
import type { Dish } from '@/core/dish/dish';
import { isLeftInTheOven } from '@/core/dish/keep-warm';
import type { Range } from '@/core/heat/boil';
import { celsiusAfter, type PotStands } from '@/core/heat/cool';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { giverOf, type PartFault, partFaults, sayMeasured, sayPartFault } from '@/core/meal/hand-over';
import { holdOfPerson, holdOfVessel, nameOfUnit, readUnit, stationId, unitId } from '@/core/meal/keys';
import { type Meal, roomOf } from '@/core/meal/meal';
import { stationsFor } from '@/core/meal/stations';
import { groupBy } from '@/core/plain/group-by';
import { printSpan } from '@/core/plain/span';
import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import { written } from '@/core/say/retold';
import { say } from '@/core/say/say';
import type { FoundSolution, ProblemLink, ProblemStep, Schedule } from '@/core/schedule/problem';
import { printThing } from '@/core/units/thing';
import { listed } from '@/core/units/words';
import { sayBeginning } from './beginning';
import type { Compiled } from './compile';
import type { Part } from './lots';
import {
  type HandsBand,
  type Landing,
  landingAt,
  type Odds,
  type Plan,
  type PlannedStep,
  type Station,
  type Waiting,
} from './plan';
import type { Rehearsable } from './plan-course';
import { sayOdds } from './say-odds';
import { explain } from './why';

const shelfStation = (): Station => ({ id: 'shelf', sort: 'shelf', name: say('Off the heat') });

/** Turns a solution of a compiled meal back into a plan with clock times, places, people and reasons. */
export function readPlan(meal: Meal, compiled: Compiled, solution: FoundSolution): Plan {
  const { origin, entries, likely: problem } = compiled;
  const { kitchen } = meal;
  const reasons = explain(compiled, solution, meal, (unit) => nameOfUnit(kitchen, unit));
  const handovers = problem.links.filter(({ at, of }) => at === 'end' && of === 'start');
  const before = groupBy(handovers, ({ to }) => to);
  const steps: PlannedStep[] = [];
  for (const row of problem.steps) {
    const entry = entries.get(row.id);
    if (!entry || entry.kind === 'present') continue;
    const start = origin + solution.starts[row.id]!;
    const common = {
      key: row.id,
      stepId: entry.kind === 'part' ? entry.part.step.id : entry.step,
      kind: entry.kind === 'part' ? ('step' as const) : ('warm-up' as const),
      dishId: entry.kind === 'part' ? entry.part.dish.id : entry.dish.id,
      dishName: entry.kind === 'part' ? entry.part.dish.name : entry.dish.name,
      start,
      end: start + row.minutes,
      minutes: row.minutes,
      ...(compiled.room.get(row.id) ? { room: compiled.room.get(row.id)! } : {}),
      why: reasons.why.get(row.id) ?? '',
      slack: Math.min(reasons.later.get(row.id) ?? 0, 9999),
      slackSooner: reasons.sooner.get(row.id) ?? 0,
      chain: reasons.chain.get(row.id) ?? [],
      after: (before.get(row.id) ?? []).filter(({ min }) => min >= 0).map(({ from }) => from),
      follows: before.get(row.id)?.find(({ max }) => max === 0)?.from ?? null,
    };
    if (entry.kind === 'warm') {
      const oven = kitchen.ovens.find((each) => each.id === entry.oven)!;
      steps.push({
        ...common,
        name: say('oven to {celsius} °C', { celsius: entry.celsius }),
        says: sayWarmUp(entry),
        part: 1,
        parts: 1,
        shortestEnd: common.end,
        longestEnd: common.end,
        attention: 'none',
        lookEvery: null,
        station: { id: stationId('oven', oven.id), sort: 'oven', name: oven.name },
        choices: [],
        heat: null,
        celsius: entry.celsius,
        vessel: null,
        person: null,
        doneWhen: say('the oven says it is up to heat'),
        cautions: [],
        amounts: [],
        ahead: false,
      });
    } else {
      steps.push({ ...common, ...partOfPlan(meal, compiled, solution, entry.part, row, common.end) });
    }
  }
  const useful = dropIdleWarmUps(steps).sort((a, b) => a.start - b.start || a.key.localeCompare(b.key));
  const landings = compiled.dishes.flatMap((dish) => landingOf(dish, useful, potOf(dish, meal, solution)));
  const hands = kitchen.people.map(
    (person): HandsBand => ({
      personId: person.id,
      name: person.name,
      busy: useful
        .filter((step) => step.person?.id === person.id)
        .map((step) => ({ start: step.start, end: step.end, key: step.key })),
    }),
  );
  const onTheDay = useful.filter((step) => step.person && !step.ahead);
  const firstHand = onTheDay.reduce((least, step) => Math.min(least, step.start), 0);
  const quietStretch = longestQuiet(hands[0]?.busy ?? [], firstHand);
  return {
    mealId: meal.id,
    day: meal.day,
    hour: meal.hour,
    people: meal.people,
    steps: useful,
    landings,
    waitings: waitingsOf(useful, landings, handovers),
    stations: stationsOf(kitchen, useful),
    hands,
    firstHand,
    quietStretch,
    proven: solution.status === 'optimal' && !compiled.drawn,
    cost: solution.cost,
    verdict: verdictOf({ steps: useful, landings, quietStretch }, meal, partFaults(compiled.dishes)),
    known: placesOf(compiled, solution),
  };
}

function placesOf({ origin, likely }: Compiled, { starts, units, holds }: Schedule): Plan['known'] {
  const places = likely.steps.map(({ id, minutes }) => {
    const start = origin + starts[id]!;
    return [id, { start, end: start + minutes, units: units[id] ?? [] }] as const;
  });
  return { places: Object.fromEntries(places), holds };
}

/** As much of a plan as its rehearsal asks for, without the words and reasons, which take longer than the rehearsal. */
export function sketchOf(compiled: Compiled, schedule: Schedule): Rehearsable {
  const { origin, entries, likely } = compiled;
  const steps = likely.steps.flatMap(({ id, minutes }) => {
    const entry = entries.get(id);
    if (entry?.kind !== 'part') return [];
    const start = origin + schedule.starts[id]!;
    const { dish, step } = entry.part;
    return [{ key: id, kind: 'step' as const, dishId: dish.id, stepId: step.id, start, end: start + minutes }];
  });
  steps.sort((a, b) => a.start - b.start || a.key.localeCompare(b.key));
  const landings = compiled.dishes.flatMap((dish) => landingOf(dish, steps, null));
  return { steps, landings, known: placesOf(compiled, schedule) };
}

function partOfPlan(
  meal: Meal,
  compiled: Compiled,
  solution: FoundSolution,
  part: Part,
  row: ProblemStep,
  end: number,
) {
  const { step, dish } = part;
  const who = solution.holds[holdOfPerson(part.key)];
  const person = who ? meal.kitchen.people.find((each) => each.id === readUnit(who).id) : undefined;
  const use = step.vessel ? solution.holds[holdOfVessel(dish.id, step.vessel)] : undefined;
  const { minutes } = row;
  // What rests is over by the clock; its range is what it bears.
  const rests = row.spread?.[0] === row.spread?.[1] && minutes === part.minutes.likely;
  const [least, most] = rests ? [part.minutes.shortest, part.minutes.longest] : (row.spread ?? [minutes, minutes]);
  return {
    name:
      part.parts > 1
        ? written('{step} {part}/{parts}', { step: step.name, part: part.part, parts: part.parts })
        : step.name,
    says: [step.says, sayMeasured(compiled.dishes, dish, step.id)].filter((each) => each !== '').join(' '),
    part: part.part,
    parts: part.parts,
    shortestEnd: end - minutes + least,
    longestEnd: end - minutes + most,
    attention: step.attention,
    lookEvery: step.lookEvery ?? null,
    station: stationOf(meal.kitchen, solution, row, person),
    choices: stationsFor(meal.kitchen, step.place).map(({ id }) => id),
    heat: step.place.at === 'burner' ? step.place.heat : null,
    // An oven that is switched off has no warmth to be set to.
    celsius: row.state && !isLeftInTheOven(dish, step) ? row.state.value : null,
    vessel: use ? nameOfUnit(meal.kitchen, use) : null,
    person: person ? { id: person.id, name: person.name } : null,
    doneWhen: step.doneWhen,
    cautions: cautionsAt(dish, step),
    amounts: part.part === 1 ? amountsOf(part, compiled.dishes) : [],
    ahead: step.ahead === true,
    ...(step.learned ? { learned: step.learned.times } : {}),
    ...(step.duty ? { duty: step.duty } : {}),
    ...(step.safeMinutes ? { safeMinutes: step.safeMinutes } : {}),
  };
}

function amountsOf(part: Part, dishes: readonly Dish[]): readonly string[] {
  const { dish, step } = part;
  const own = step.uses.map((id) => {
    const item = dish.ingredients.find((each) => each.id === id)!;
    return `${printThing(item.amount, item.name)}${item.cut ? `, ${item.cut}` : ''}`;
  });
  const taken = dish.takes
    .filter((take) => take.step === step.id)
    .map((take) => {
      const give = giverOf(dishes, dish, take)?.give;
      return printThing(take.amount, give ? give.name : take.otherwise);
    });
  return [...own, ...taken];
}

function stationOf(
  kitchen: Kitchen,
  solution: FoundSolution,
  row: ProblemStep,
  person: { id: string; name: string } | undefined,
): Station {
  if (row.state) {
    const oven = kitchen.ovens.find((each) => each.id === row.state?.id);
    return { id: stationId('oven', row.state.id), sort: 'oven', name: oven?.name ?? 'Oven' };
  }
  const unit = solution.units[row.id]?.[0];
  if (unit) {
    const { sort } = readUnit(unit);
    return { id: unit, sort: sort === 'appliance' ? 'appliance' : 'burner', name: nameOfUnit(kitchen, unit) };
  }
  if (person)
    return { id: stationId('board', person.id), sort: 'board', name: say('Board, {person}', { person: person.name }) };
  return shelfStation();
}

function sayWarmUp({ celsius, hotter }: { readonly celsius: number; readonly hotter: boolean }): string {
  const set = say('Set the oven to {celsius} °C and let it warm through.', { celsius });
  return hotter
    ? `${set} ${say('While it is hotter than that, leave its door ajar, where its maker allows it.')}`
    : set;
}

/** A warm-up while the oven stands at that heat already is nothing to do. */
function dropIdleWarmUps(steps: readonly PlannedStep[]): PlannedStep[] {
  const isWarm = (step: PlannedStep) => step.kind === 'warm-up';
  return steps.filter((step) => {
    if (!isWarm(step)) return true;
    const keepsHot = (other: PlannedStep) =>
      other !== step &&
      other.station.id === step.station.id &&
      other.celsius === step.celsius &&
      other.end >= step.start &&
      (other.start < step.start || (isWarm(other) && other.start === step.start && other.key < step.key));
    return !steps.some(keepsHot);
  });
}

/** The pot a finished dish stands in, as planned; null when it stands in none. */
function potOf(dish: Dish, meal: Meal, solution: FoundSolution): Pot | null {
  const { kitchen } = meal;
  const use = dish.vessels.find((each) => each.to === dish.lands?.step);
  const unit = use && solution.holds[holdOfVessel(dish.id, use.id)];
  const vessel = unit ? kitchen.vessels.find(({ id }) => id === readUnit(unit).id) : undefined;
  return use && vessel
    ? { litres: use.need.litres * FILLED, widthCm: vessel.widthCm, roomCelsius: roomOf(meal) }
    : null;
}

interface Pot {
  readonly roomCelsius: number;
  readonly litres: number;
  readonly widthCm: number;
}

/** What of a pot's wanted litres is food when it is done; the rest was room to bubble. Common practice, no source. */
const FILLED = 0.6;
/** °C of food as it comes off the heat. Common practice, no source. */
const OFF_THE_HEAT = 92;

/** How hot a dish still is after waiting off the heat, as its waiting is written. */
function stillHot(waits: number, standing: PotStands, pot: Pot): Range {
  const { litres, widthCm, roomCelsius } = pot;
  return celsiusAfter({ litres, widthCm, fromCelsius: OFF_THE_HEAT, roomCelsius, standing }, waits);
}

function landingOf(
  dish: Dish,
  steps: readonly Pick<PlannedStep, 'kind' | 'dishId' | 'stepId' | 'end'>[],
  pot: Pot | null,
): Landing[] {
  const { lands } = dish;
  if (!lands) return [];
  const last = steps.filter((step) => step.kind === 'step' && step.dishId === dish.id && step.stepId === lands.step);
  const ready = last.at(-1)?.end;
  if (ready === undefined) return [];
  const { waits: rule, after } = lands;
  const landing = landingAt(
    {
      dishId: dish.id,
      dishName: dish.name,
      ready,
      waits: 0,
      late: 0,
      ...(after ? { after } : {}),
      wellMinutes: rule.wellMinutes,
      mostMinutes: rule.mostMinutes,
      how: rule.how,
      served: rule.served,
      fine: 'well',
    },
    ready,
  );
  const isHot = rule.served === 'hot' && landing.waits > 0 && pot;
  return [isHot ? { ...landing, celsius: stillHot(landing.waits, rule.standing ?? 'covered', pot) } : landing];
}

function waitingsOf(
  steps: readonly PlannedStep[],
  landings: readonly Landing[],
  handovers: readonly ProblemLink[],
): Waiting[] {
  const byKey = new Map(steps.map((step) => [step.key, step]));
  const after = groupBy(handovers, ({ from }) => from);
  const list: Waiting[] = [];
  for (const step of steps) {
    // Only what this very step hands on: the earliest follower in its own dish.
    const next = (after.get(step.key) ?? [])
      .map((link) => byKey.get(link.to))
      .filter((other) => other !== undefined)
      .sort((a, b) => a.start - b.start)[0];
    if (next && next.start > step.end) {
      list.push({
        dishId: step.dishId,
        from: step.end,
        to: next.start,
        after: step.key,
        before: next.key,
        cold: false,
      });
    }
  }
  for (const landing of landings) {
    const last = steps.filter((step) => step.dishId === landing.dishId && step.end === landing.ready).at(-1);
    if (last && landing.waits > 0) {
      list.push({
        dishId: landing.dishId,
        from: landing.ready,
        to: landing.after ?? 0,
        after: last.key,
        before: null,
        cold: landing.served === 'cold',
      });
    }
  }
  return list;
}

function stationsOf(kitchen: Kitchen, steps: readonly PlannedStep[]): Station[] {
  const used = new Map(steps.map((step) => [step.station.id, step.station]));
  const order = [
    ...kitchen.people.map((person) => stationId('board', person.id)),
    ...kitchen.burners.map((burner) => unitId('burner', burner.id)),
    ...kitchen.ovens.map((oven) => stationId('oven', oven.id)),
    ...kitchen.appliances.map((item) => unitId('appliance', item.id)),
  ];
  const list = order.flatMap((id) => used.get(id) ?? []);
  return [...list, shelfStation()];
}

function longestQuiet(busy: readonly { readonly start: number; readonly end: number }[], first: number): number {
  let free = first;
  let longest = 0;
  for (const stretch of [...busy].sort((a, b) => a.start - b.start)) {
    if (stretch.start < first) continue;
    longest = Math.max(longest, stretch.start - free);
    free = Math.max(free, stretch.end);
  }
  return Math.max(longest, -free);
}

/** A plan with its odds, which its sentence then tells first; nothing is whole before its parts are. */
export function withOdds(plan: Plan, odds: Odds, table: TableHour, { dishes }: Pick<Compiled, 'dishes'>): Plan {
  return { ...plan, odds, verdict: verdictOf(plan, table, partFaults(dishes), sayOdds(odds, table)) };
}

function verdictOf(
  { steps, landings, quietStretch }: Pick<Plan, 'steps' | 'landings' | 'quietStretch'>,
  table: TableHour,
  faults: readonly PartFault[],
  odds = '',
): string {
  const clock = (minute: number) => clockAt(table, minute);
  const hot = landings.filter((landing) => landing.served !== 'cold').sort((a, b) => a.ready - b.ready);
  const late = landings.filter((landing) => landing.fine === 'late');
  const long = landings.filter((landing) => landing.fine === 'too long');
  const opening =
    late.length > 0
      ? say('{late, plural, one {{names} comes} other {{names} come}} late, by {span}.', {
          names: names(late),
          late: late.length,
          span: printSpan(Math.max(...late.map((each) => each.late))),
        })
      : long.length > 0
        ? say(
            '{long, plural, one {{names} waits longer than it should.} other {{names} wait longer than they should.}}',
            { names: names(long), long: long.length },
          )
        : hot.length > 0
          ? say('Everything hot lands {hotHours}.', { hotHours: hotHours(hot.map((each) => clock(each.ready))) })
          : say('Everything is ready in time.');
  const whole =
    faults.length === 0
      ? ''
      : say('Not whole yet: {faults}. ', { faults: listed(faults.map(sayPartFault), MOST_NAMED) });
  const beginning = sayBeginning({ steps, quietStretch }, table);
  return `${whole}${odds === '' ? '' : `${odds} `}${[opening, beginning].filter(Boolean).join(' ')}`;
}

/** "at 19:30", or "between 19:14 and 19:30": the first and the last of clock hours of one evening, in order of readiness. */
function hotHours(hours: readonly string[]): string {
  const [first, last] = [hours[0]!, hours.at(-1)!];
  return first === last ? say('at {first}', { first }) : say('between {first} and {last}', { first, last });
}

/** Dishes named in the verdict at most. */
const MOST_NAMED = 5;

function names(landings: readonly Landing[]): string {
  return listed(
    landings.map((landing) => landing.dishName),
    MOST_NAMED,
  );
}
