/** "leeks, barley and rice"; of more than `most` the last are counted: "leeks, barley and 7 more". */
export function listed(names: readonly string[], most = Number.POSITIVE_INFINITY): string {
  const shown = names.length > most ? [...names.slice(0, most - 1), `${names.length - most + 1} more`] : names;
  return shown.length > 1 ? `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}` : (shown[0] ?? '');
}

/** With a capital first letter. */
export function capital(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}
