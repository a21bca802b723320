import { own } from '@/core/plain/record';
import { NUMBER_WORDS, westernDigits } from './digits';
import type { Language } from './language';
import type { LineKind } from './line-kind';

/** A line of what was pasted, and how it stood there. */
export interface SourceLine {
  readonly text: string;
  readonly role: 'heading' | 'item' | 'numbered' | 'row' | 'paragraph' | 'line';
  /** An empty line stands before it. */
  readonly gap?: boolean;
  /** It stands in what a reader of the page takes for its main part. */
  readonly main?: boolean;
}

/** A line of the method, and the part of the recipe that it stands in ("For the sauce"). */
export interface Instruction {
  readonly words: string;
  readonly part: string | null;
}

/** A recipe taken apart, still in its own words. */
export interface RecipeParts {
  readonly name: string;
  readonly servings: number | null;
  readonly ingredients: readonly string[];
  readonly instructions: readonly Instruction[];
  /** Minutes told for the whole, where they are. */
  readonly minutes: number | null;
  /** Lines of which nobody can say what they are. */
  readonly others?: readonly string[];
  /** Lines that belong to no cooking: what the writer tells, what readers wrote, how it keeps. */
  readonly notes?: readonly string[];
  /** Its lines with what they were taken for, where it has lines. */
  readonly source?: readonly { readonly text: string; readonly kind: LineKind }[];
  /** Nothing in it is listed: what goes in is said in its sentences. */
  readonly told?: boolean;
}

/** A recipe taken apart, or why it is none. */
export type PartsResult =
  | { readonly ok: true; readonly parts: RecipeParts; readonly language: Language }
  | { readonly ok: false; readonly sentence: string };

/** The longest text that is read as a recipe. */
export const MOST_BYTES = 1_000_000;
/** The most lines that are read as a recipe. */
export const MOST_LINES = 400;

/** What stands between two columns once they are plain text. */
export const COLUMN = ' – ';

/** Text without tags, entities or control signs: what is left is words, whatever it was, as far from each other as they stood. */
export function untagged(text: string): string {
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
      .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, ' ')
      // Stars and underscores of marked-up text say how it looks, not what it is.
      .replace(/(\*\*|__|`)(?=\S)(.{1,200}?)(?<=\S)\1/g, '$2')
  );
}

/** The same with single spaces, and with what stands in columns beside each other. */
export function plainText(text: string): string {
  return (
    untagged(text)
      // Columns: what stands after a tab belongs to what stands before it.
      .replace(/(?<=\S)[ \u00a0]*\t[ \t\u00a0]*(?=\S)/g, COLUMN)
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

const COUNT = String.raw`(\d{1,3}|${Object.keys(NUMBER_WORDS).join('|')})`;
const RANGE = String.raw`${COUNT}(?:\s*(?:-|–|to|or|bis|à|a)\s*${COUNT})?`;
/** "Serves about 8", "Servings: 4", "for six", "6 portions": the number beside the word that it belongs to. */
const SERVINGS: readonly RegExp[] = [
  new RegExp(
    String.raw`\b(?:serves|servings?|makes|yields?|feeds|does|portions?|portionen|personen|personnes|parts|raciones|porciones|porsiyon|kişilik)\b\s*:?\s*(?:about|approx\.?|around|ca\.?|up to)?\s*${RANGE}`,
    'i',
  ),
  new RegExp(
    String.raw`${RANGE}\s*(?:servings?|portions?|people|persons?|ppl|pers\.?|persone|pessoas|personen|helpings|covers|bowls|portionen|personen|personnes|parts|raciones|porciones|personas|porsiyon|kişilik)\b`,
    'i',
  ),
  new RegExp(String.raw`(?:برای|لـ? ?)\s*${COUNT}`, 'i'),
  new RegExp(
    String.raw`(?:^|.[,:–-] ?|\bsupper |\bdinner |\bmeal |\benough )(?:for|für|pour|para)\s+${RANGE}\b(?!\s*(?:min|h))`,
    'i',
  ),
];
/** A number with hardly a word beside it, and no word of time. */
const ALONE = new RegExp(String.raw`^\D{0,24}?${RANGE}\D{0,24}$`, 'i');
const TIME = /\b(?:min|minutes?|hours?|hrs?|prep|cook|ready|total)\b/i;

/** Servings in "Serves 4 to 6", "4 portions", "Makes about 8", "For six", 4; null where there are none. A time beside it is none. */
export function readServings(written: string): number | null {
  const text = westernDigits(written);
  const match =
    SERVINGS.map((pattern) => text.match(pattern)).find((found) => found !== null) ??
    (TIME.test(text) ? null : text.match(ALONE));
  if (!match) return null;
  const value = (words: string) => own(NUMBER_WORDS, words.toLowerCase()) ?? Number(words);
  const low = value(match[1]!);
  const middle = Math.round((low + value(match[2] ?? match[1]!)) / 2);
  return middle >= 1 && middle <= 200 ? middle : null;
}
