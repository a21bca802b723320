/** What another app hands over when something is shared with this one. */
export interface Shared {
  readonly title: string | null;
  readonly text: string | null;
  readonly url: string | null;
}

const ADDRESS = /^https?:\/\/\S+$/;

/** The words to read of what was shared, or null where an address alone came: a page elsewhere cannot be fetched from here. */
export function sharedWords({
  title,
  text,
  url,
}: Shared): { readonly words: string } | { readonly only: string } | null {
  const lines = [title, text].map((part) => part?.trim() ?? '').filter((part) => part !== '');
  // Many apps put the address into the text, or the title at its beginning.
  const said = lines.filter(
    (line, at) => !ADDRESS.test(line) && !lines.some((other, k) => k > at && other.startsWith(line)),
  );
  const address = [url?.trim() ?? '', ...lines].find((line) => ADDRESS.test(line));
  const hasRecipe = text !== null && !ADDRESS.test(text.trim()) && text.trim() !== '';
  if (hasRecipe) return { words: [...said, ...(address ? [address] : [])].join('\n\n') };
  if (address) return { only: address };
  return said.length > 0 ? { words: said.join('\n\n') } : null;
}
