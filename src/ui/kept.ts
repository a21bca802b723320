// Small choices that a browser keeps: its dress, its letters. Where it keeps nothing for this site they hold for as long as the page is open.

const PLACE = 'warm-cadence ';

/** Where the browser's store has it. */
export const placeOf = (name: string) => PLACE + name;

/** What is kept under a name; null where nothing is. */
export function kept(name: string): string | null {
  try {
    return localStorage.getItem(placeOf(name));
  } catch {
    return null;
  }
}

/** Keeps a text under a name; null forgets it. */
export function keep(name: string, text: string | null): void {
  try {
    if (text === null) localStorage.removeItem(placeOf(name));
    else localStorage.setItem(placeOf(name), text);
  } catch {}
}
