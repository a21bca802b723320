import type { Catalog, Value, ValuesIn } from './values';

/**
 * Words that a dish keeps. They are written in English whatever is spoken, since rules read them and a dish goes from cook to cook; where they are
 * shown, or put into a sentence, they are retold in the reader's language. What a cook has written is in no catalog and stays as it is.
 */

/** A text that a dish keeps, in English, its values in their places. */
export function written<const M extends string>(
  text: M,
  ...values: [ValuesIn<M>] extends [never] ? readonly [] : readonly [values: Readonly<Record<ValuesIn<M>, Value>>]
): string {
  const given: Readonly<Record<string, Value>> = values[0] ?? {};
  return text.replace(/\{(\w+)\}/g, (_, name: string) => String(given[name]));
}

/** A text with values in it, as it is recognised and as it is retold. */
interface Pattern {
  /** What must be there for it to be worth looking. */
  readonly longest: string;
  readonly form: RegExp;
  readonly names: readonly string[];
  readonly retold: string;
}

let words: ReadonlyMap<string, string> = new Map();
let patterns: readonly Pattern[] = [];
let tag = 'en';
let comma = ', ';
let joins: Intl.ListFormat | undefined;
/** What was looked for, most of it again and again: a page is drawn many times. */
const known = new Map<string, string>();
const MOST_KNOWN = 5000;

/** From now on what dishes keep is retold in a language, by what each text is in it, lists with that comma; by an empty catalog nothing is. */
export function retellIn(language: string, catalog: Catalog, between = ', '): void {
  tag = language;
  comma = between;
  joins = undefined;
  known.clear();
  words = new Map(Object.entries(catalog));
  patterns = Object.entries(catalog)
    .filter(([english]) => english.includes('{'))
    .map(([english, retold]) => patternOf(english, retold))
    // What is told by more of its words is taken first: "boiled {thing}, hot" before "boiled {thing}".
    .sort((a, b) => b.longest.length - a.longest.length);
}

/** A text of a dish as its reader reads it: all of it, its sentences, or what it lists. Unknown words come back as they are. */
export function retold(text: string): string {
  if (words.size === 0 || !/\p{L}/u.test(text)) return text;
  const found = known.get(text);
  if (found !== undefined) return found;
  if (known.size > MOST_KNOWN) known.clear();
  const told = whole(text) ?? inSentences(text) ?? asList(text) ?? inPieces(text, retold) ?? text;
  known.set(text, told);
  return told;
}

/** An amount of a thing with the thing retold: "280 g red rice", "3 cloves garlic"; several of them too. Other text comes back as it is. */
export function thingRetold(text: string): string {
  const [, amount = '', thing = ''] = /^([\d¼½¾⅓⅔⅛]\S* )(.+)$/.exec(text) ?? [];
  if (thing === '' || text.includes('; ') || text.includes(' · ')) return inPieces(text, thingRetold) ?? text;
  const own = retold(thing);
  const [, unit = '', rest = ''] = /^(\S+ (?:of )?)(.+)$/.exec(thing) ?? [];
  return own !== thing || rest === '' ? amount + own : amount + unit + retold(rest);
}

/** Texts that are shown in one line, each told by itself: "280 g red rice; 2 onions", "Strong burner · 3 l pot". */
function inPieces(text: string, tell: (piece: string) => string): string | undefined {
  const pieces = text.split(/(; | · )/);
  return pieces.length > 1 ? pieces.map((piece, at) => (at % 2 === 0 ? tell(piece) : piece)).join('') : undefined;
}

/** The text as it stands in the catalog, also where it begins a sentence, or a name stands within one. */
function whole(text: string): string | undefined {
  return words.get(text) ?? begun(text) ?? byPattern(text);
}

function begun(text: string): string | undefined {
  const small = lowered(text);
  if (small === text) return words.get(text.charAt(0).toUpperCase() + text.slice(1));
  const found = words.get(small);
  return found === undefined ? undefined : raised(found);
}

const lowered = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const raised = (text: string) => text.charAt(0).toLocaleUpperCase(tag) + text.slice(1);

function byPattern(text: string): string | undefined {
  for (const { longest, form, names, retold: to } of patterns) {
    if (!text.includes(longest)) continue;
    const match = form.exec(text);
    if (!match) continue;
    const values = new Map(names.map((name, at) => [name, retold(match[at + 1]!)]));
    const filled = to.replace(/\{(\w+)\}/g, (_, name: string) => values.get(name) ?? '');
    // What begins a sentence in English begins one here too.
    return /^\p{Lu}/u.test(text) ? raised(filled) : filled;
  }
  return undefined;
}

/** The sentences of a text, as a catalog holds them. */
export const sentencesOf = (text: string): readonly string[] => text.split(/(?<=[.!?]) +(?=\p{Lu}|\d)/u);

function inSentences(text: string): string | undefined {
  const parts = sentencesOf(text);
  if (parts.length < 2) return undefined;
  const told = parts.map((part) => whole(part) ?? part);
  return told.some((part, at) => part !== parts[at]) ? told.join(' ') : undefined;
}

/** What a text lists: "leeks, onions and thyme". */
export const partsOfList = (text: string): readonly string[] => text.split(/, (?:and )?| and /);

/** A list is retold where all of it is known: as much at once as there is in the catalog ("in fine rings, washed"). */
function asList(text: string): string | undefined {
  const parts = text.split(', ');
  const told: string[] = [];
  for (let at = 0; at < parts.length; ) {
    const ends = parts.slice(at).map((_, more) => parts.length - more);
    const found = ends
      .map((end) => ({ end, said: listed(parts.slice(at, end).join(', ')) }))
      .find(({ said }) => said !== undefined);
    if (found?.said === undefined) return undefined;
    told.push(found.said);
    at = found.end;
  }
  return told.join(comma);
}

/** A thing of a list, or two of them: "onions and thyme". */
function listed(text: string): string | undefined {
  const one = whole(text.replace(/^and /, ''));
  if (one !== undefined || !text.includes(' and ')) return one;
  const parts = text.split(' and ').flatMap((part) => whole(part) ?? []);
  if (parts.length < text.split(' and ').length) return undefined;
  joins ??= new Intl.ListFormat(tag, { type: 'conjunction' });
  return joins.format(parts);
}

/** What stands in a place: it does not go on into the next sentence. */
const WITHIN_A_SENTENCE = '((?:(?![.!?] ).)+?)';

function patternOf(english: string, to: string): Pattern {
  const parts = english.split(/\{\w+\}/);
  const literal = (part: string) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return {
    longest: parts.reduce((longest, part) => (part.length > longest.length ? part : longest)),
    form: new RegExp(`^${parts.map(literal).join(WITHIN_A_SENTENCE)}$`, 'u'),
    names: [...english.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!),
    retold: to,
  };
}
