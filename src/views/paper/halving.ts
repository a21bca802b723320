/**
 * Looks for the first of a list that fits, where all after one that fits do too: sizes of letters from the largest. Hands out what to try, takes
 * whether it fits, and returns the first that does, or undefined. Halves, for every try is a whole sheet laid out; when nothing fits the last has been tried.
 */
export function* halving<T>(list: readonly T[]): Generator<T, T | undefined, boolean> {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    const fits = yield list[middle]!;
    if (fits) high = middle;
    else low = middle + 1;
  }
  return list[low];
}
