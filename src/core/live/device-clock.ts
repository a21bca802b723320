/** What a device's clock shows, and how long the page has been running, both in milliseconds and read at once. */
export interface DeviceClock {
  readonly wall: number;
  readonly running: number;
}

/** A leap of the clock on the device of whoever cooks. */
export interface ClockLeap {
  /** Back: the clock was put back. On: it was put forward, or the device slept while time went by; no clock tells these two apart. */
  readonly way: 'back' | 'on';
  /** Milliseconds by which it leapt, negative when back. */
  readonly by: number;
}

/** Milliseconds: a step back of the clock that is no mere tuning. */
const WENT_BACK = 30_000;
/** Milliseconds: what a sleeping device or a clock put forward leaves out, and no busy machine. */
const WENT_ON = 300_000;

/** The leap between two looks at the clock; null where it ran as the page did. */
export function leapBetween(before: DeviceClock, after: DeviceClock): ClockLeap | null {
  const by = Math.round(after.wall - before.wall - (after.running - before.running));
  if (by <= -WENT_BACK) return { way: 'back', by };
  return by >= WENT_ON ? { way: 'on', by } : null;
}
