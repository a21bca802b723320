import type { Pace } from './meal';

interface PaceRule {
  /** Hands-on minutes are multiplied by this. */
  readonly padding: number;
  /** Free minutes after hands-on work: a part of the minutes worked, within these bounds. */
  readonly breathShare: number;
  readonly leastBreath: number;
  readonly mostBreath: number;
}

/** Common practice, no source: written recipes are timed by practised hands. */
const RULES: Readonly<Record<Pace, PaceRule>> = {
  relaxed: { padding: 1.25, breathShare: 0.25, leastBreath: 2, mostBreath: 6 },
  steady: { padding: 1.1, breathShare: 0.15, leastBreath: 1, mostBreath: 4 },
  brisk: { padding: 1, breathShare: 0.1, leastBreath: 1, mostBreath: 2 },
};

/** Hands-on minutes at a pace, whole, at least as many as written. */
export function padHands(minutes: number, pace: Pace): number {
  return Math.ceil(minutes * RULES[pace].padding - 1e-9);
}

/** Free minutes that follow so many minutes of hands-on work. */
export function breathAfter(minutes: number, pace: Pace): number {
  const rule = RULES[pace];
  return Math.min(rule.mostBreath, Math.max(rule.leastBreath, Math.round(minutes * rule.breathShare)));
}
