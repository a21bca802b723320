import type { Meal } from '@/core/meal/meal';
import { sayClockChange } from '@/core/plain/wall-clock';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { sayOdds } from '@/core/plan/say-odds';
import { type BoardRound, boardRounds, bowlsOf } from '@/core/prep/bowls';
import { type TakenOut, takenOut } from '@/core/prep/vessels-out';
import { say, term } from '@/core/say/say';

/** How a minute relative to the table is said: its day, and its hour. */
export type Clock = (minute: number) => { readonly day: string; readonly time: string };

/** A line of the sheet for the kitchen wall. */
export interface WallRow {
  readonly key: string;
  /** Set on the first line of each day but the table's own. */
  readonly day: string | null;
  readonly time: string;
  /** When it is over by its likely minutes, and, where it may take longer, by its longest: "18:20", "18:20, at the latest 18:35". */
  readonly until: string;
  readonly step: string;
  readonly dish: string;
  /** Number of the dish on the drawing. */
  readonly number: number;
  /** "Strong burner, full, 5 l pot", "oven 150 °C", "helper". */
  readonly where: string;
  readonly goesIn: string;
  readonly doneWhen: string;
  /** Letters of its cautions below. */
  readonly marks: readonly string[];
}

/** One meal for the kitchen wall: everything by the clock, what goes in, and the cautions, each once. */
export interface WallSheet {
  readonly title: string;
  /** How sure the evening is, in a sentence; empty where it was not rehearsed. */
  readonly odds: string;
  /** That the clocks are changed between the first step and the table, in a sentence; empty where they are not. */
  readonly clocks: string;
  readonly rows: readonly WallRow[];
  /** `lands`: the hour at which a dish is ready, or the hours between which it is in nine evenings of ten. */
  readonly dishes: readonly { readonly number: number; readonly name: string; readonly lands: string }[];
  readonly cautions: readonly { readonly mark: string; readonly says: string }[];
}

/** The sheet for the kitchen wall. `clock` says day and hour of a minute relative to the table. */
export function wallSheet(meal: Meal, plan: Plan, clock: Clock): WallSheet {
  const numbers = new Map(meal.dishes.map(({ id }, index) => [id, index + 1]));
  const marks = new Map<string, string>();
  const markOf = (caution: string) => {
    const known = marks.get(caution) ?? letter(marks.size);
    marks.set(caution, known);
    return known;
  };
  const own = clock(0).day;
  let before = own;
  const rows = [...plan.steps]
    .sort((a, b) => a.start - b.start || a.end - b.end)
    .map((step): WallRow => {
      const { day, time } = clock(step.start);
      const isNew = day !== before;
      before = day;
      return {
        key: step.key,
        day: isNew ? day : null,
        time,
        until: untilOf(step, clock),
        step: step.name,
        dish: step.dishName,
        number: numbers.get(step.dishId) ?? 0,
        where: whereOf(meal, step),
        goesIn: step.amounts.join('; '),
        doneWhen: step.doneWhen,
        marks: step.cautions.map(markOf),
      };
    });
  return {
    title: meal.name,
    odds: plan.odds ? sayOdds(plan.odds, meal) : '',
    clocks: sayClockChange(plan, Math.min(0, ...plan.steps.map(({ start }) => start)), 0),
    rows,
    dishes: meal.dishes.map(({ id, name }) => ({ number: numbers.get(id)!, name, lands: landsOf(plan, id, clock) })),
    cautions: [...marks].map(([says, mark]) => ({ mark, says })),
  };
}

function untilOf({ end, longestEnd }: PlannedStep, clock: Clock): string {
  const { time } = clock(end);
  return longestEnd > end ? say('{time}, at the latest {latest}', { time, latest: clock(longestEnd).time }) : time;
}

function landsOf({ landings, odds }: Plan, dish: string, clock: Clock): string {
  const landing = landings.find(({ dishId }) => dishId === dish);
  const ready = odds?.dishes.find(({ dishId }) => dishId === dish)?.ready;
  if (!ready) return landing ? clock(landing.ready).time : '';
  const [soon, late] = [clock(ready[0]).time, clock(ready[2]).time];
  return soon === late ? soon : say('{soon} to {late}', { soon, late });
}

/** a to z, then aa, ab. */
function letter(index: number): string {
  const last = String.fromCharCode(97 + (index % 26));
  return index < 26 ? last : `${letter(Math.floor(index / 26) - 1)}${last}`;
}

/** Where a step stands; what lies in the cold does so on no shelf of the plan. */
function whereOf({ dishes }: Pick<Meal, 'dishes'>, step: PlannedStep): string {
  const { station, heat, celsius, vessel, person, kind } = step;
  const own = dishes.find(({ id }) => id === step.dishId)?.steps.find(({ id }) => id === step.stepId);
  const isCold = kind === 'step' && own?.place.at === 'cold';
  const place =
    station.sort === 'board'
      ? (person?.name ?? say('board'))
      : station.sort === 'shelf'
        ? isCold
          ? say('in the cold')
          : say('off the heat')
        : celsius !== null
          ? say('{station} {celsius} °C', { station: station.name, celsius })
          : heat
            ? say('{station}, {heat}', { station: station.name, heat: term(heat) })
            : station.name;
  return vessel ? say('{station}, {vessel}', { station: place, vessel }) : place;
}

/** What is cut, measured and taken out before any heat. */
export interface PrepSheet {
  readonly title: string;
  readonly rounds: readonly BoardRound[];
  readonly measured: readonly { readonly name: string; readonly lines: readonly string[] }[];
  readonly atHand: readonly string[];
  readonly taken: TakenOut;
}

/** The sheet of all that is laid out before. `clock` says day and hour of a minute relative to the table. */
export function prepSheet(
  meal: Meal,
  plan: Plan,
  spell: (bowl: ReturnType<typeof bowlsOf>[number]) => string,
): PrepSheet {
  const bowls = bowlsOf(meal, plan);
  const rounds = boardRounds(bowls, plan);
  const cut = new Set(rounds.flatMap((round) => round.bowls.map(({ key }) => key)));
  const measured = new Map<string, string[]>();
  for (const bowl of bowls) {
    if (bowl.amount === null || bowl.madeBy !== null || cut.has(bowl.key)) continue;
    measured.set(bowl.dishName, [...(measured.get(bowl.dishName) ?? []), spell(bowl)]);
  }
  return {
    title: meal.name,
    rounds,
    measured: [...measured].map(([name, lines]) => ({ name, lines })),
    atHand: [...new Set(bowls.filter(({ amount }) => amount === null).map(({ name }) => name))],
    taken: takenOut(meal, plan),
  };
}
