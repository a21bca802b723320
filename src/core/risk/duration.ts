/**
 * Minutes below which a step is over in a share `u` (0 to 1) of all evenings. The law is triangular: "shortest" and "longest" are the ends that a
 * cook hardly ever sees (quantiles 0 and 1), "likely" is where most evenings are. Three numbers are all that a recipe or a cook can
 * say, and this law says no more than they do. What other laws do to plans made with this one: docs/sure-evenings.md.
 */
export function quantile(shortest: number, likely: number, longest: number, u: number): number {
  const width = longest - shortest;
  if (width <= 0) return likely;
  const rise = likely - shortest;
  return u * width < rise
    ? shortest + Math.sqrt(u * width * rise)
    : longest - Math.sqrt((1 - u) * width * (longest - likely));
}
