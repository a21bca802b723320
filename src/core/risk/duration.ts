/**
 * How long a step really takes, as a chance. The law is triangular: "shortest" and "longest" are the ends that a cook hardly ever sees, "likely"
 * is where most evenings are. Three numbers are all that a recipe or a cook can say, and no law of three numbers says them more plainly; a
 * longer tail (log-normal) was tried and moves the odds of an evening by little, for rooms are kept against the same longest minutes.
 */
export interface Duration {
  readonly shortest: number;
  readonly likely: number;
  readonly longest: number;
}

/** The minutes below which a share `u` in [0, 1] of all evenings lies. */
export function quantile({ shortest, likely, longest }: Duration, u: number): number {
  const width = longest - shortest;
  if (width <= 0) return likely;
  const rise = likely - shortest;
  return u * width < rise
    ? shortest + Math.sqrt(u * width * rise)
    : longest - Math.sqrt((1 - u) * width * (longest - likely));
}

/** The share of evenings in which it takes no longer than so many minutes. */
export function chanceWithin({ shortest, likely, longest }: Duration, minutes: number): number {
  if (minutes >= longest) return 1;
  if (minutes <= shortest) return minutes >= likely && shortest === longest ? 1 : 0;
  const width = longest - shortest;
  if (minutes <= likely) return (minutes - shortest) ** 2 / (width * (likely - shortest));
  return 1 - (longest - minutes) ** 2 / (width * (longest - likely));
}

/** The mean and the standard deviation, in minutes. */
export function momentsOf({ shortest: a, likely: c, longest: b }: Duration): {
  readonly mean: number;
  readonly sd: number;
} {
  return { mean: (a + b + c) / 3, sd: Math.sqrt(Math.max(0, a * a + b * b + c * c - a * b - a * c - b * c) / 18) };
}
