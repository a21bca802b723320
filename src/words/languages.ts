/** A language in which the whole interface can be read. */
export interface Language {
  /** BCP 47. */
  readonly tag: string;
  /** Its own name for itself. */
  readonly name: string;
  readonly direction: 'ltr' | 'rtl';
}

/** The product itself is written in the first; the others have a catalog each. */
export const LANGUAGES = [
  { tag: 'en', name: 'English', direction: 'ltr' },
  { tag: 'de', name: 'Deutsch', direction: 'ltr' },
  { tag: 'fr', name: 'Français', direction: 'ltr' },
  { tag: 'es', name: 'Español', direction: 'ltr' },
  { tag: 'pt', name: 'Português', direction: 'ltr' },
  { tag: 'tr', name: 'Türkçe', direction: 'ltr' },
  { tag: 'sw', name: 'Kiswahili', direction: 'ltr' },
  { tag: 'hi', name: 'हिन्दी', direction: 'ltr' },
  { tag: 'ar', name: 'العربية', direction: 'rtl' },
  { tag: 'fa', name: 'فارسی', direction: 'rtl' },
] as const satisfies readonly Language[];

export type Tag = (typeof LANGUAGES)[number]['tag'];

export const isTag = (text: unknown): text is Tag => LANGUAGES.some(({ tag }) => tag === text);

/** What a reader of several languages, the best first, reads best of those there are; English where it is none of them. */
export function bestOf(wanted: readonly string[]): Tag {
  for (const each of wanted) {
    const [first = ''] = each.trim().toLowerCase().split(/[-_;]/);
    if (isTag(first)) return first;
  }
  return 'en';
}

/** The languages of a header "Accept-Language", the best first. */
export function acceptedIn(header: string): readonly string[] {
  return header
    .split(',')
    .map((each) => {
      const [tag = '', ...rest] = each.trim().split(';');
      const weight = rest.map((part) => /^\s*q=([\d.]+)$/.exec(part)?.[1]).find((part) => part !== undefined);
      return { tag, weight: Number(weight ?? 1) };
    })
    .filter(({ tag, weight }) => tag !== '' && weight > 0)
    .sort((a, b) => b.weight - a.weight)
    .map(({ tag }) => tag);
}

export const directionOf = (tag: Tag): Language['direction'] => LANGUAGES.find((each) => each.tag === tag)!.direction;

/** The cookie that tells the server which language was chosen. */
export const LANGUAGE_COOKIE = 'warm-cadence-language';
