import { own } from '@/core/plain/record';

/** A recipe taken apart, still in its own words. */
export interface RecipeParts {
  readonly name: string;
  readonly servings: number | null;
  readonly ingredients: readonly string[];
  readonly instructions: readonly string[];
  /** Minutes told for the whole, where they are. */
  readonly minutes: number | null;
}

export type PartsResult =
  | { readonly ok: true; readonly parts: RecipeParts; readonly from: 'data' | 'text' }
  | { readonly ok: false; readonly sentence: string };

export const MOST_BYTES = 1_000_000;
export const MOST_LINES = 400;

/** Text without tags, entities or control signs: what is left is words, whatever it was. */
export function plainText(text: string): string {
  return (
    text
      .replace(/<(script|style)\b[\s\S]*?<\/\1\s*>/gi, ' ')
      .replace(/<br\s*\/?>|<\/(?:p|li|div|h\d)>/gi, '\n')
      .replace(/<[^>]*>/g, ' ')
      .replace(/&(?:#(\d+)|#x([\da-f]+)|(\w+));/gi, (_, decimal, hex, name) =>
        decimal
          ? sign(Number(decimal))
          : hex
            ? sign(Number.parseInt(hex, 16))
            : (own(ENTITIES, String(name).toLowerCase()) ?? ' '),
      )
      // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
      .replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, ' ')
      .replace(/[ \t\u00a0]+/g, ' ')
      .replace(/ ?\n ?/g, '\n')
      .trim()
  );
}

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '‹',
  gt: '›',
  quot: '"',
  apos: '’',
  nbsp: ' ',
  deg: '°',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  ndash: '–',
  mdash: '—',
  rsquo: '’',
  lsquo: '‘',
  eacute: 'é',
  egrave: 'è',
  ccedil: 'ç',
  times: '×',
  hellip: '…',
};

function sign(code: number): string {
  return code >= 32 && code < 0x110000 && code !== 60 && code !== 62 ? String.fromCodePoint(code) : ' ';
}

/** Servings in "Serves 4 to 6", "4 portions", "Makes about 8", 4; null where there are none. */
export function readServings(text: string): number | null {
  const match = text.match(/(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?/);
  if (!match) return null;
  const middle = Math.round((Number(match[1]) + Number(match[2] ?? match[1])) / 2);
  return middle >= 1 && middle <= 200 ? middle : null;
}
