import { linearRegression, standardDeviation } from 'simple-statistics';
import { say } from '@/core/say/say';

/** What an instrument says: °C of a probe, grams of a scale. */
export interface Measurement {
  readonly at: number;
  readonly value: number;
}

/**
 * Something that measures and may fall silent: what a device over Web Bluetooth would be, too. A listener hears each reading; the function
 * returned ends it.
 */
export interface Instrument {
  readonly kind: 'probe' | 'scale';
  readonly name: string;
  readonly listen: (hear: (reading: Measurement) => void) => () => void;
}

/** Why a reading cannot be believed. */
export type Fault = 'silent' | 'jumped' | 'frozen';

const SECOND = 1000;
const MINUTE = 60 * SECOND;
/** Nothing heard for so long: it dropped out. */
const SILENT = 30 * SECOND;
/** The very same value for so long: no probe in hot food stands that still. */
const FROZEN = 120 * SECOND;
/** A change that no food makes from one reading to the next: °C, grams. */
const JUMP: Readonly<Record<Instrument['kind'], number>> = { probe: 6, scale: 400 };

/** What is wrong with an instrument by what it said; null while it can be believed. */
export function faultOf(kind: Instrument['kind'], readings: readonly Measurement[], now: number): Fault | null {
  const last = readings.at(-1);
  if (!last) return null;
  if (now - last.at > SILENT) return 'silent';
  const before = readings.at(-2);
  if (before && Math.abs(last.value - before.value) > JUMP[kind]) return 'jumped';
  const lately = readings.filter(({ at }) => at >= last.at - FROZEN);
  const isLong = lately.length > 5 && last.at - lately[0]!.at >= FROZEN - 10 * SECOND;
  return isLong && lately.every(({ value }) => value === last.value) ? 'frozen' : null;
}

/** A fault in a sentence; `name` is the instrument's. */
export function sayFault(fault: Fault, name: string): string {
  switch (fault) {
    case 'silent':
      return say('The {name} has fallen silent: look by hand.', { name });
    case 'jumped':
      return say('The {name} jumped: is it still in the middle?', { name });
    case 'frozen':
      return say('The {name} has said the same for two minutes: do not trust it.', { name });
  }
}

/** Readings without the jumps: a probe that slipped out for a moment spoils no forecast. */
export function believed(kind: Instrument['kind'], readings: readonly Measurement[]): readonly Measurement[] {
  const kept: Measurement[] = [];
  for (const reading of readings) {
    const last = kept.at(-1);
    const since = last ? (reading.at - last.at) / MINUTE : 0;
    // What stays at its new value for a minute is believed after all.
    if (last && Math.abs(reading.value - last.value) > JUMP[kind] * Math.max(1, since * 4)) continue;
    kept.push(reading);
  }
  return kept;
}

/** When something will be there, and how sure that is. */
export interface Forecast {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Minutes sooner or later that are as likely as not; nine chances in ten within twice as many. */
  readonly give: number;
  /** It hardly rises though it is not there: the surface dries and cools as fast as the heat comes in. */
  readonly stalls: boolean;
  /** The value now, without the noise. */
  readonly value: number;
}

const WINDOW = 12 * MINUTE;
const LEAST_WINDOW = 3 * MINUTE;
/** A stall: the last minutes rise less than so much of what the ones before did. */
const STALL_SHARE = 0.4;

/**
 * When the centre of a piece reaches a temperature in surroundings of another. Newton's law of heating, fitted to the last minutes: the
 * logarithm of what is still missing to the surroundings falls in a straight line. Null while there is too little to go by, or it falls.
 */
export function forecastCentre(readings: readonly Measurement[], target: number, around: number): Forecast | null {
  const good = believed('probe', readings);
  const last = good.at(-1);
  if (!last) return null;
  const recent = good.filter(({ at, value }) => at >= last.at - WINDOW && value < around - 1);
  if (recent.length < 6 || recent.at(-1)!.at - recent[0]!.at < LEAST_WINDOW) return null;
  const line = fitted(recent, around);
  const value = around - Math.exp(line.at(last.at));
  if (value >= target) return { at: last.at, give: 0, stalls: false, value };
  if (line.slope >= 0 || target >= around) return null;
  const minutes = (Math.log(around - target) - line.at(last.at)) / line.slope / MINUTE;
  if (!(minutes > 0) || minutes > 600) return null;
  const stalls = isStalled(recent, around);
  const sure = line.uncertainty * minutes;
  return {
    at: last.at + minutes * MINUTE,
    give: Math.max(1, Math.round(stalls ? Math.max(sure, minutes / 3) : sure)),
    stalls,
    value,
  };
}

interface Line {
  /** Change of the logarithm in a millisecond. */
  readonly slope: number;
  readonly at: (instant: number) => number;
  /** Relative standard error of the slope. */
  readonly uncertainty: number;
}

function fitted(readings: readonly Measurement[], around: number): Line {
  const zero = readings[0]!.at;
  const points = readings.map(({ at, value }): [number, number] => [(at - zero) / MINUTE, Math.log(around - value)]);
  const { m, b } = linearRegression(points);
  const residuals = points.map(([x, y]) => y - (m * x + b));
  const xs = points.map(([x]) => x);
  const error = standardDeviation(residuals) / (standardDeviation(xs) * Math.sqrt(Math.max(1, points.length - 2)));
  return {
    slope: m / MINUTE,
    at: (instant) => b + (m * (instant - zero)) / MINUTE,
    // Never surer than a tenth: the piece is no ball, and ovens swing.
    uncertainty: Math.max(0.1, Math.abs(error / (m || 1e-9))),
  };
}

function isStalled(readings: readonly Measurement[], around: number): boolean {
  const middle = (readings[0]!.at + readings.at(-1)!.at) / 2;
  const early = readings.filter(({ at }) => at < middle);
  const late = readings.filter(({ at }) => at >= middle);
  if (early.length < 4 || late.length < 4) return false;
  return fitted(late, around).slope > STALL_SHARE * fitted(early, around).slope;
}

/** When a pot weighs no more than so many grams: what boils off, by the last minutes. Null while it does not get lighter. */
export function forecastWeight(readings: readonly Measurement[], target: number): Forecast | null {
  const good = believed('scale', readings);
  const last = good.at(-1);
  const recent = last ? good.filter(({ at }) => at >= last.at - WINDOW) : [];
  if (!last || recent.length < 6 || last.at - recent[0]!.at < LEAST_WINDOW) return null;
  const zero = recent[0]!.at;
  const { m, b } = linearRegression(recent.map(({ at, value }) => [(at - zero) / MINUTE, value]));
  const value = b + (m * (last.at - zero)) / MINUTE;
  if (value <= target) return { at: last.at, give: 0, stalls: false, value };
  if (m >= -0.5) return null;
  const minutes = (target - value) / m;
  return minutes > 600
    ? null
    : { at: last.at + minutes * MINUTE, give: Math.max(1, Math.round(minutes * 0.1)), stalls: false, value };
}
