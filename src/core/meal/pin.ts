import type { HoldKey, StepKey, UnitKey } from './keys';

/** What the cook has set by hand for one step; the rest of the plan arranges itself around it. */
export interface Pin {
  /** Key of the step in the plan, or of the vessel that a dish takes. */
  readonly key: StepKey | HoldKey;
  /** Minute at which it starts, relative to the table: it goes along when the hour of the table changes. */
  readonly start?: number;
  /** The burner, appliance or vessel, as the problem names it: "burner:strong". */
  readonly unit?: UnitKey;
}

/** The pin of a step or a vessel, by its key. */
export function pinOf(pins: readonly Pin[], key: string): Pin | undefined {
  return pins.find((pin) => pin.key === key);
}

/** The pins with one step's pin put in; what it leaves open is kept from the step's pin before. */
export function withPin(pins: readonly Pin[], pin: Pin): readonly Pin[] {
  const before = pinOf(pins, pin.key);
  return [...withoutPin(pins, pin.key), { ...before, ...pin }];
}

/** The pins without that of one step. */
export function withoutPin(pins: readonly Pin[], key: string): readonly Pin[] {
  return pins.filter((pin) => pin.key !== key);
}
