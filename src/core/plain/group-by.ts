/** The list in groups by a key, each in the list's order. */
export function groupBy<T, K = string>(list: readonly T[], keyOf: (each: T) => K): ReadonlyMap<K, readonly T[]> {
  const groups = new Map<K, T[]>();
  for (const each of list) {
    const key = keyOf(each);
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  return groups;
}
