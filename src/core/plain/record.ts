// Records whose keys a person chose. "__proto__" and "constructor" are keys there like any other.

/** A record without a prototype: nothing stands in it that was not put there, and no key reaches beyond it. */
export function bare<T>(entries: Iterable<readonly [string, T]> = []): Record<string, T> {
  const record = Object.create(null) as Record<string, T>;
  for (const [key, value] of entries) record[key] = value;
  return record;
}

/** What a record holds by itself under a key; what every object inherits does not count. */
export function own<T>(record: Readonly<Record<string, T>>, key: string): T | undefined {
  return Object.hasOwn(record, key) ? record[key] : undefined;
}
