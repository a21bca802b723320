// The app's pages hold no data of the cook's: one kept page of each kind serves every meal, dish, kitchen and evening.

/** Stands for any id when a page is fetched to be kept; no text has it. With a space in it, so that the id in an address and the id as it is differ. */
export const ANY_ID = '~any id~';
const IN_ADDRESS = encodeURIComponent(ANY_ID);
/** The part of a route that is an id, as the framework writes it. */
const ID = '[id]';

/** A page that is kept, and whose it is: `id` is null where the page is nobody's. */
export interface KeptPage {
  readonly route: string;
  /** As it stands in the address. */
  readonly id: string | null;
}

/** The kept page for an address of this app; null where no view has it. */
export function pageOf(pathname: string, routes: readonly string[]): KeptPage | null {
  const parts = partsOf(pathname);
  const matches = routes
    .map((route) => ({ route, wants: partsOf(route) }))
    .filter(
      ({ wants }) =>
        wants.length === parts.length && wants.every((want, at) => want === parts[at] || (want === ID && parts[at])),
    );
  // "/dishes/new" is a page of its own, and no dish.
  const found = matches.find(({ wants }) => !wants.includes(ID)) ?? matches[0];
  return found ? { route: found.route, id: parts[found.wants.indexOf(ID)] ?? null } : null;
}

/** The address from which the page of a route is fetched to be kept. */
export function addressOf(route: string): string {
  return route.replaceAll(ID, IN_ADDRESS);
}

/** A kept page, told whose it is. A page carries ids in the strings of its scripts, data (`"flight"`) in its own. */
export function filled(text: string, kind: 'page' | 'flight', id: string | null): string {
  if (id === null) return text;
  const plain = plainId(id);
  const inText = kind === 'page' ? inString(inString(plain)) : inString(plain);
  return text.replaceAll(IN_ADDRESS, () => encodeURIComponent(plain)).replaceAll(ANY_ID, () => inText);
}

function partsOf(pathname: string): readonly string[] {
  return pathname.split('/').filter((part) => part !== '');
}

function plainId(inAddress: string): string {
  try {
    return decodeURIComponent(inAddress);
  } catch {
    return inAddress;
  }
}

/** Between the quotes of a JSON string; what could end a script is written as a number. */
function inString(value: string): string {
  return JSON.stringify(value)
    .slice(1, -1)
    .replace(/[<>&\u2028\u2029]/g, (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`);
}
