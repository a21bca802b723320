import type { Heat } from '@/core/kitchen/kitchen';
import { nameOfUnit } from '@/core/meal/keys';
import { say, term } from '@/core/say/say';
import { standingEvents } from './events';
import type { LiveStep, Session } from './session';

const HEATS: readonly Heat[] = ['lowest', 'low', 'medium', 'full'];

/**
 * What the hand does to pot and flame between a step and the one before it: "Move the pot from the left burner to the right one. Turn it down:
 * medium to low." Empty where it stays as it is, or stood nowhere before.
 */
export function transitionOf({ step }: Pick<LiveStep, 'step'>, steps: readonly LiveStep[]): string {
  const before = steps
    .filter((each) => step.after.includes(each.step.key) && each.step.dishId === step.dishId)
    .map((each) => each.step)
    .findLast((each) => isHot(each) && (each.vessel === step.vessel || step.vessel === null));
  const pot = step.vessel ?? 'it';
  if (!isHot(step)) return before && step.station.sort === 'shelf' ? say('Off the heat.') : '';
  if (step.station.sort === 'oven') {
    const celsius = step.celsius === null ? '' : `, ${step.celsius} °C`;
    // What stays in an oven that is switched off has no warmth of its own.
    const isThere = step.celsius === null || before?.celsius === step.celsius;
    return before?.station.id === step.station.id && isThere
      ? ''
      : say('Into {station}{celsius}.', { station: step.station.name, celsius });
  }
  if (!before) return '';
  const sentences = [
    before.station.id === step.station.id
      ? ''
      : say('Move {pot} from {station} to {to}.', {
          pot,
          station: before.station.name,
          to: step.station.name,
        }),
    turnOf(before.heat, step.heat),
  ];
  return sentences.filter(Boolean).join(' ');
}

function turnOf(from: Heat | null, to: Heat | null): string {
  if (from === null || to === null || from === to) return '';
  const down = HEATS.indexOf(to) < HEATS.indexOf(from);
  return down
    ? say('Turn it down: {from} to {to}.', { from: term(from), to: term(to) })
    : say('Turn it up: {from} to {to}.', { from: term(from), to: term(to) });
}

function isHot({ station: { sort } }: LiveStep['step']): boolean {
  return sort === 'burner' || sort === 'oven' || sort === 'appliance';
}

/** A pot under way that stood where there is no more heat, and where the plan has it now. */
export interface Carry {
  readonly live: LiveStep;
  readonly from: string;
}

/** The pots that have to be carried from what failed, until somebody says that they stand elsewhere. */
export function toCarry(session: Session, steps: readonly LiveStep[]): readonly Carry[] {
  return standingEvents(session.events).flatMap((event) => {
    if (event.kind !== 'failed') return [];
    const from = nameOfUnit(session.meal.kitchen, event.unit);
    return (event.stood ?? []).flatMap((key) => {
      const live = steps.find(({ step }) => step.key === key);
      const waits = live?.status === 'running' && live.told.unit === undefined && live.step.station.id !== event.unit;
      return live && waits && live.step.station.sort === 'burner' ? [{ live, from }] : [];
    });
  });
}

/** Keys of what stands on a unit at an instant. */
export function standingOn(steps: readonly LiveStep[], unit: string): readonly string[] {
  return steps
    .filter(({ step, status }) => status === 'running' && step.station.id === unit)
    .map(({ step }) => step.key);
}
