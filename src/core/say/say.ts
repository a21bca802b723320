import { parse, type Token } from '@messageformat/parser';
import { retellIn, retold, thingRetold } from './retold';
import type { Catalog, Value, ValuesIn } from './values';

export type { Catalog, Value, ValuesIn };

/**
 * All that is said to people is said here: a message in English with named values, in ICU MessageFormat. In another language the message is
 * looked up in that language's catalog and the values are put into what is found there, in the order and the plural that it asks for.
 */

declare const isMessage: unique symbol;
/** A message that is said later, by `say`: kept in a table, chosen by a rule. It wants no values, and cannot be shown unsaid. */
export interface Message {
  readonly [isMessage]: true;
}

/** What a message is in another language; undefined where that language lacks it. */
export type Lookup = (english: string) => string | undefined;

/** Looks messages up in a catalog. */
export const lookIn =
  (catalog: Catalog): Lookup =>
  (english) =>
    Object.hasOwn(catalog, english) ? catalog[english] : undefined;

const inEnglish: Lookup = () => undefined;
let lookUp = inEnglish;
let tag = 'en';
let fromTheRight = false;
let plurals: Intl.PluralRules | undefined;
const read = new Map<string, readonly Token[]>();

/** From now on this thread speaks a language (its BCP 47 tag), and what dishes keep is retold by the second catalog; what these lack is said in English. */
export function speak(language: string, words: Lookup = inEnglish, dishes: Catalog = {}): void {
  tag = language;
  fromTheRight = /^(?:ar|fa|he|ur)\b/.test(language);
  lookUp = words;
  plurals = undefined;
  read.clear();
  retellIn(language, dishes, words(', '));
}

/** The tag of the language that this thread speaks: "en" at first. */
export function spoken(): string {
  return tag;
}

/** Whether that language is read from the right. */
export const readFromTheRight = (): boolean => fromTheRight;

/** Marks a text as a message that is said later, by `say`. */
export function message<M extends string>(text: [ValuesIn<M>] extends [never] ? M : never): Message {
  return text as unknown as Message;
}

/** What a message wants besides itself. */
type Wanted<M extends string> = [ValuesIn<M>] extends [never]
  ? readonly []
  : readonly [values: Readonly<Record<ValuesIn<M>, Value>>];

/** A message of a table in the language of this thread. */
export function say(text: Message): string;
/** A message in the language of this thread, with its values in their places. */
export function say<const M extends string>(text: M, ...values: Wanted<M>): string;
/**
 * Either of them.
 * @throws Error where a message asks for more than values, plural and select
 */
export function say(text: string | Message, values: Readonly<Record<string, Value>> = {}): string {
  const known = inLanguage(text as string);
  if (!known.includes('{')) return known;
  return filled(tokensOf(known), values, '')
    .map((part) => ('value' in part ? apart(part.value) : part.text))
    .join('');
}

/** A word of a closed list that is an id as well ("medium", "vegan") in the language of this thread. What is no such word comes back as it is. */
export function term(word: string): string {
  return inLanguage(word);
}

/** A piece of a message in which some words look different: a text or a value, and the mark it stands in, such as "b" for `<b>…</b>`. */
export interface Piece<V> {
  readonly mark: string | null;
  readonly of: string | V;
}

/** A message in pieces, for those who draw it: values may be anything, and what stands in `<b>…</b>` is told apart. Marks do not stand in marks. */
export function piecesOf<V>(text: string, values: Readonly<Record<string, V>>): readonly Piece<V>[] {
  let mark: string | null = null;
  return filled(tokensOf(inLanguage(text)), values, '').flatMap((part): readonly Piece<V>[] => {
    if ('value' in part) return [{ mark, of: typeof part.value === 'string' ? apart(part.value) : part.value }];
    return part.text.split(/<(\/?[a-z])>/).flatMap((piece, at): readonly Piece<V>[] => {
      // Every second piece is what stood between "<" and ">".
      if (at % 2 === 0) return piece === '' ? [] : [{ mark, of: piece }];
      mark = piece.startsWith('/') ? null : piece;
      return [];
    });
  });
}

/**
 * A value as it stands in a sentence: what a dish keeps is retold, and in a sentence that is read from the right its own words keep their order
 * ("7:30 PM", a name in another script).
 */
function apart(value: unknown): string {
  if (typeof value !== 'string') return String(value);
  const told = thingRetold(retold(value));
  return fromTheRight && told !== '' ? `\u2068${told}\u2069` : told;
}

function inLanguage(text: string): string {
  return lookUp(text) ?? text;
}

function pluralOf(count: number): string {
  plurals ??= new Intl.PluralRules(tag);
  return plurals.select(count);
}

function tokensOf(text: string): readonly Token[] {
  const known = read.get(text);
  if (known) return known;
  const tokens = parse(text);
  read.set(text, tokens);
  return tokens;
}

type Part<V> = { readonly text: string } | { readonly value: V };

/** A message with its values in place, part by part. `count` is what "#" stands for. */
function filled<V>(tokens: readonly Token[], values: Readonly<Record<string, V>>, count: string): readonly Part<V>[] {
  return tokens.flatMap((token): readonly Part<V>[] => {
    if (token.type === 'content') return [{ text: token.value }];
    if (token.type === 'octothorpe') return [{ text: count }];
    const value = values[token.arg];
    if (token.type === 'argument') return value === undefined ? [] : [{ value }];
    if (token.type === 'function')
      throw new Error(`A message asks for {${token.arg}, ${token.key}}: only values, plural and select are said.`);
    const key = token.type === 'plural' ? pluralOf(Number(value)) : String(value);
    const chosen =
      token.cases.find((each) => each.key === `=${value}`) ??
      token.cases.find((each) => each.key === key) ??
      token.cases.find((each) => each.key === 'other');
    return chosen ? filled(chosen.tokens, values, String(value)) : [];
  });
}
