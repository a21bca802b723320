import type { Random } from '@/core/schedule/random';
import type { Instrument, Measurement } from './instruments';

const MINUTE = 60_000;

/** What goes wrong with a pretended instrument, and between which instants, in milliseconds since 1970. */
export interface Mishap {
  readonly kind: 'silent' | 'jump' | 'frozen';
  readonly from: number;
  readonly to: number;
}

/** What a pretended probe follows. Instants in milliseconds since 1970, °C, minutes. */
export interface PretendedProbe {
  readonly startAt: number;
  /** °C of the piece at the beginning and of what is around it. */
  readonly from: number;
  readonly around: number;
  /** Minutes in which what is missing to the surroundings falls to 37 %. */
  readonly slowness: number;
  /** °C from and to which it stalls, hardly rising; none when absent. */
  readonly stall?: readonly [from: number, to: number];
  /** Standard deviation of a reading, °C. */
  readonly noise: number;
  readonly mishaps?: readonly Mishap[];
}

/** While it stalls a piece rises by so much of what it would. Common practice, no source. */
const STALLED = 0.15;
const STEP = 0.25;

/** The true temperature of the centre after so many minutes: Newton's law, with a stall on the way. */
export function centreAfter({ from, around, slowness, stall }: PretendedProbe, minutes: number): number {
  let celsius = from;
  for (let at = 0; at < minutes; at += STEP) {
    const slow = stall && celsius >= stall[0] && celsius < stall[1] ? STALLED : 1;
    celsius += (slow * Math.min(STEP, minutes - at) * (around - celsius)) / slowness;
  }
  return celsius;
}

/** What a pretended probe says at an instant; null while it is silent. */
export function probeSays(probe: PretendedProbe, now: number, random: Random): Measurement | null {
  const mishap = probe.mishaps?.find(({ from, to }) => now >= from && now < to);
  if (mishap?.kind === 'silent') return null;
  const at = mishap?.kind === 'frozen' ? mishap.from : now;
  const noise = mishap?.kind === 'frozen' ? 0 : probe.noise * (random.next() + random.next() + random.next() - 1.5) * 2;
  const jump = mishap?.kind === 'jump' ? -20 : 0;
  const value = centreAfter(probe, Math.max(0, (at - probe.startAt) / MINUTE)) + noise + jump;
  return { at: now, value: Math.round(value * 10) / 10 };
}

/** What a pretended scale follows. Grams, and grams a minute. */
export interface PretendedScale {
  readonly startAt: number;
  readonly grams: number;
  /** Grams that boil off in a minute. */
  readonly boilsOff: number;
  readonly noise: number;
}

/** What the pretended scale shows at an instant, in grams. */
export function scaleSays(
  { startAt, grams, boilsOff, noise }: PretendedScale,
  now: number,
  random: Random,
): Measurement {
  const gone = boilsOff * Math.max(0, (now - startAt) / MINUTE);
  return { at: now, value: Math.round(Math.max(0, grams - gone) + noise * (random.next() * 2 - 1)) };
}

/** An instrument that says something at every beat; `every` calls back until it is ended. */
export function pretended(
  kind: Instrument['kind'],
  name: string,
  say: () => Measurement | null,
  every: (beat: () => void) => () => void,
): Instrument {
  return {
    kind,
    name,
    listen: (hear) =>
      every(() => {
        const reading = say();
        if (reading) hear(reading);
      }),
  };
}
