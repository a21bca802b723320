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

/** A recipe taken apart, or why it is none. */
export type PartsResult =
  | { readonly ok: true; readonly parts: RecipeParts; readonly from: 'data' | 'text' }
  | { readonly ok: false; readonly sentence: string };

/** The longest text that is read as a recipe. */
export const MOST_BYTES = 1_000_000;
/** The most lines that are read as a recipe. */
export const MOST_LINES = 400;

/** Text without tags, entities or control signs: what is left is words, whatever it was. */
export function plainText(text: string): string {
  return (
    without(without(text, 'script'), 'style')
      .replace(/<br\s*\/?>|<\/(?:p|li|div|h\d)>/gi, '\n')
      .replace(/<[^<>]*>/g, ' ')
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
      .replace(/ \n/g, '\n')
      .replace(/\n /g, '\n')
      .trim()
  );
}

interface Element {
  /** Where it stands in the text. */
  readonly from: number;
  readonly to: number;
  readonly head: string;
  readonly inside: string;
}

/** Every element of a name in a page, in order; one that is never closed is none. Each sign is looked at once or twice, whatever the page holds. */
export function elements(text: string, name: string): readonly Element[] {
  const lower = text.toLowerCase();
  const found: Element[] = [];
  for (let from = lower.indexOf(`<${name}`); from >= 0; ) {
    const inside = lower.indexOf('>', from) + 1;
    const end = inside === 0 ? -1 : lower.indexOf(`</${name}`, inside);
    const close = end < 0 ? -1 : lower.indexOf('>', end);
    if (close < 0) break;
    found.push({ from, to: close + 1, head: text.slice(from, inside), inside: text.slice(inside, end) });
    from = lower.indexOf(`<${name}`, close);
  }
  return found;
}

function without(text: string, name: string): string {
  const parts = elements(text, name);
  return parts.length === 0
    ? text
    : [
        ...parts.map(({ from }, index) => text.slice(parts[index - 1]?.to ?? 0, from)),
        text.slice(parts.at(-1)!.to),
      ].join(' ');
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
