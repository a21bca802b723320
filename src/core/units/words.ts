/** "leeks, barley and rice". */
export function listed(names: readonly string[]): string {
  return names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : (names[0] ?? '');
}

/** With a capital first letter. */
export function capital(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}
