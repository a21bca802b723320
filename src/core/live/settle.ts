import type { Plan, PlannedStep } from '@/core/plan/plan';
import type { NewEvent } from './events';
import { instantOf, type LiveStep, liveSteps, type Session } from './session';

const MINUTE = 60_000;

/** What one dish should have had done before its evening begins at the stove. */
export interface Earlier {
  readonly dishId: string;
  readonly dishName: string;
  readonly steps: readonly PlannedStep[];
  /** When the first of it was planned. */
  readonly at: number;
}

/** What a cook says of it. */
export type EarlierAnswer = 'done' | 'not done' | 'not needed';
/** The answers, for a choice. */
export const EARLIER_ANSWERS: readonly EarlierAnswer[] = ['done', 'not done', 'not needed'];

/** What is planned to have begun so long ago is asked about. */
const AGO = 10;

/** By dish, what a plan has before an instant, what was planned first at the head. */
export function earlierThan(plan: Plan, tableAt: number, now: number): readonly Earlier[] {
  const at = (minute: number) => instantOf({ tableAt }, minute);
  const gone = plan.steps
    .filter(({ start, kind }) => kind === 'step' && at(start) < now - AGO * MINUTE)
    .sort((a, b) => a.start - b.start);
  return [...new Set(gone.map(({ dishId }) => dishId))].map((dishId) => {
    const steps = gone.filter((step) => step.dishId === dishId);
    return { dishId, dishName: steps[0]!.dishName, steps, at: at(steps[0]!.start) };
  });
}

/**
 * What to tell for an answer: what was done was done when it was planned, so that what rests since then rests since then; what still rests is
 * not told. What is not needed is left out, its rest too.
 */
export function settling({ steps }: Earlier, answer: EarlierAnswer, tableAt: number, now: number): readonly NewEvent[] {
  if (answer === 'not done') return [];
  if (answer === 'not needed') return steps.map(({ key }) => ({ kind: 'skipped', key }));
  return steps
    .map(({ key, end }) => ({ key, when: instantOf({ tableAt }, end) }))
    .filter(({ when }) => when <= now)
    .map(({ key, when }) => ({ kind: 'settled', key, when }));
}

/** "I did that already": the step, and all that it waits for in its dish. */
export function doneAlready(session: Session, key: string, at: number): readonly NewEvent[] {
  const steps = liveSteps(session, at);
  const known = new Map(steps.map((live) => [live.step.key as string, live]));
  const dishId = known.get(key)?.step.dishId;
  const found = new Set<string>();
  const open = [key];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const live = known.get(next);
    if (!live || found.has(next) || live.status === 'done' || live.step.dishId !== dishId) continue;
    found.add(next);
    open.push(...live.step.after);
  }
  return steps
    .filter(({ step }) => found.has(step.key))
    .map(({ step }) => ({ kind: 'settled', key: step.key, when: at }) as const);
}

/** A rest is long from so many minutes on. */
const LONG_REST = 60;
const SLIPS = 30;

/**
 * The long rest that would begin only now if a step were called done at an instant, though it was planned to be over long before it could be:
 * most likely it has stood already, and the cook only says so late. Null where nothing of the kind follows.
 */
export function restThatWouldBegin(session: Session, { step }: LiveStep, now: number): LiveStep | null {
  const rest = liveSteps(session, now).find(
    (each) =>
      each.step.after.includes(step.key) &&
      each.status !== 'done' &&
      each.step.attention === 'none' &&
      each.step.station.sort === 'shelf' &&
      each.step.minutes >= LONG_REST,
  );
  if (!rest) return null;
  const planned = instantOf(session, rest.step.end);
  return now + rest.step.minutes * MINUTE > planned + SLIPS * MINUTE ? rest : null;
}
