import { answered, carryOn, type RestRequest, type Thought } from '@/core/live/carry-on';
import { changesThePlan, type LiveEvent, type NewEvent } from '@/core/live/events';
import { type LiveStep, liveSteps, type Session } from '@/core/live/session';
import type { Meal } from '@/core/meal/meal';
import { mealAsPlanned } from '@/core/plan/keeps';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { TEST_CLOCK } from '@/core/testing/clock';

const MINUTE = 60_000;

export interface Simulation {
  readonly meal: Meal;
  readonly plan: Plan;
  readonly tableAt: number;
  /** Minutes that a step really takes. */
  readonly truth: (step: PlannedStep) => number;
  /** Rounds that each re-plan may take, 12 when absent; or as at the stove: at once, and longer where there is trouble. */
  readonly rounds?: number | 'at once';
  /** Minutes from one glance at the stove to the next. */
  readonly glance: () => number;
  /** Something unforeseen at a glance; null for nothing. */
  readonly mishap?: (session: Session, steps: readonly LiveStep[], now: number) => NewEvent | null;
  /** Hears of every glance, and of the stove between two things told at it. */
  readonly onGlance?: (session: Session, now: number) => void;
  /** Hears of every re-plan. */
  readonly onPlanned?: (before: Session, after: Session, at: number) => void;
}

/** A planner for the rest of an evening, within so many rounds. */
export function planRestIn(rounds: number) {
  return ({ meal, progress, known }: RestRequest) =>
    planMeal(meal, { progress, known, solve: { ...TEST_CLOCK, seconds: 5, rounds, explain: false } });
}

/** Tells an event and plans the rest, as the app does. The session goes through text, as it does when it is stored. */
export async function tellAndPlan(
  session: Session,
  said: NewEvent,
  now: number,
  rounds: number | 'at once' = 12,
): Promise<Session> {
  const at = Math.max(now, session.events.at(-1)?.at ?? 0);
  const event = { ...said, id: `e${session.events.length}`, at } as LiveEvent;
  const told: Session = JSON.parse(JSON.stringify({ ...session, events: [...session.events, event] }));
  if (!changesThePlan(event, told.events)) return told;
  const carry = (thought: Thought) =>
    carryOn(told, at, 'Told', ({ meal, progress, known }) =>
      planMeal(meal, { progress, known, solve: { ...TEST_CLOCK, ...thought } }),
    );
  const { plan, tableAt, moved } = await (rounds === 'at once' ? answered(told, carry) : carry({ seconds: 5, rounds }));
  const firstTable = told.firstTable ?? told.tableAt;
  return { ...told, plan, tableAt, moved, ...(tableAt === told.tableAt ? {} : { firstTable }) };
}

/** Cooks a whole evening with a cook who looks now and then and says what is so; ends when everything is done. */
export async function cookThrough(
  simulation: Simulation,
): Promise<{ readonly session: Session; readonly endedAt: number }> {
  const { plan, tableAt, truth, glance, mishap, onGlance, onPlanned, rounds } = simulation;
  const meal = mealAsPlanned(simulation.meal, plan);
  let session: Session = { id: 'evening', meal, tableAt, plan, events: [], moved: '' };
  const real = new Map<string, number>();
  let now = tableAt + (Math.min(...plan.steps.map(({ start }) => start)) - 1) * MINUTE;
  const tell = async (said: NewEvent) => {
    const before = session;
    session = await tellAndPlan(session, said, now, rounds);
    if (changesThePlan(session.events.at(-1)!, session.events)) onPlanned?.(before, session, now);
  };
  for (let glances = 0; glances < 20_000; glances++) {
    now += Math.round(glance() * MINUTE);
    const said = mishap?.(session, liveSteps(session, now), now);
    if (said) await tell(said);
    for (let told = 0; told < 60; told++) {
      onGlance?.(session, now);
      const steps = liveSteps(session, now);
      if (steps.every(({ status }) => status === 'done')) return { session, endedAt: now };
      const next = whatToSay(steps, now, real, truth);
      if (!next) break;
      await tell(next);
    }
  }
  throw new Error('The evening never ended.');
}

function whatToSay(
  steps: readonly LiveStep[],
  now: number,
  real: Map<string, number>,
  truth: (step: PlannedStep) => number,
): NewEvent | null {
  for (const live of steps) {
    const { step, status, startAt, endAt, stands } = live;
    const { key } = step;
    if (status === 'due' && step.attention !== 'hands') return { kind: 'begun', key };
    if (status !== 'running') continue;
    if (stands) {
      if (now - startAt > 10 * MINUTE) return { kind: 'resumed', key };
      continue;
    }
    if (!real.has(key)) real.set(key, truth(step));
    // What is kept warm is so until the plan wants it on the table.
    const isOver = now >= (step.duty === 'keep warm' ? endAt : startAt + real.get(key)! * MINUTE);
    if (isOver) return { kind: 'done', key };
    if (now >= endAt) return { kind: 'not-yet', key, until: Math.max(endAt, now) + 3 * MINUTE };
  }
  return null;
}
