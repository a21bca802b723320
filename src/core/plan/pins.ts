import { type Pin, pinOf, withoutPin, withPin } from '@/core/meal/pin';
import type { Plan, PlannedStep } from './plan';

/** Pins that hold, and pins that are met as nearly as can be. */
export interface PinSets {
  readonly firm: readonly Pin[];
  readonly wished: readonly Pin[];
}

/** The minute at which a pin that holds wants a step to start. */
export function firmStart({ firm }: PinSets, key: string): number | undefined {
  return pinOf(firm, key)?.start;
}

/**
 * The ways to plan with pins, in the order to try them: all hold; the pin under the hand (`held`) gives way; all give way.
 * Without pins there is one way.
 */
export function pinAttempts(pins: readonly Pin[], held?: Pin): readonly PinSets[] {
  const all = held ? withPin(pins, held) : pins;
  const attempts: PinSets[] = [{ firm: all, wished: [] }];
  if (held && pins.length > 0) {
    attempts.push({ firm: withoutPin(all, held.key), wished: all.filter(({ key }) => key === held.key) });
  }
  if (all.length > 0) attempts.push({ firm: [], wished: all });
  return attempts;
}

/** A pin that the plan does not keep, with the step as it stands instead. */
export interface Unkept {
  readonly pin: Pin;
  readonly step: PlannedStep;
  /** Minutes by which it stands later than pinned, negative when earlier. */
  readonly by: number;
}

/** Pins that a plan could not keep. Pins of steps that are no longer part of the meal are passed over. */
export function unkeptPins(plan: Plan, pins: readonly Pin[]): readonly Unkept[] {
  return pins.flatMap((pin) => {
    const step = plan.steps.find(({ key }) => key === pin.key);
    if (!step) return [];
    const by = pin.start === undefined ? 0 : step.start - pin.start;
    const elsewhere = pin.unit !== undefined && step.choices.includes(pin.unit) && step.station.id !== pin.unit;
    return by !== 0 || elsewhere ? [{ pin, step, by }] : [];
  });
}
