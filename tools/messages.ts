import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parse as parseCode } from '@babel/parser';
import { parse, type Token } from '@messageformat/parser';
import { BETWEEN, PRODUCTS } from '../src/core/dish/made';
import { ALLERGENS, DIETS, KINDS } from '../src/core/food/food';
import { GRAINS } from '../src/core/grain/grains';
import { STOCK_SALT } from '../src/core/grain/rules';
import { STANDINGS } from '../src/core/heat/cool';
import { LAYERS } from '../src/core/kitchen/floor';
import { APPLIANCE_KINDS, BURNER_STRENGTHS, HEATS, KITCHEN_PLACES, VESSEL_KINDS } from '../src/core/kitchen/kitchen';
import { CREWS } from '../src/core/kitchen/usual';
import { EARLIER_ANSWERS } from '../src/core/live/settle';
import { APPETITES, PACES, SURENESSES } from '../src/core/meal/meal';
import { ROLES } from '../src/core/meal/menu-words';
import { MEASURED_WAYS } from '../src/core/prep/bowls';
import { AISLES } from '../src/core/prep/shopping';
import { STEP_SORTS } from '../src/core/recipe/classify';
import { COUNT_UNITS } from '../src/core/units/amount';
import { DENSITIES } from '../src/core/units/densities';
import { UNIT_SIGNS } from '../src/core/units/told';
import { root } from './rooms';

// Every message of the product, read from its code: what is said by `say`, `message` and `<Say>`, and the words of closed lists that `term` says.

/** A message with the first place where it stands. */
export interface Said {
  readonly text: string;
  readonly where: string;
}

/** What code says: its messages, and what of it cannot be read or is said too soon. */
export interface Reading {
  readonly messages: readonly Said[];
  /** Texts that dishes keep, by `written`. */
  readonly written: readonly Said[];
  readonly faults: readonly string[];
}

/** Lists whose words are shown and are ids as well. */
const LISTS: readonly (readonly string[])[] = [
  HEATS,
  BURNER_STRENGTHS,
  VESSEL_KINDS,
  APPLIANCE_KINDS.map((kind) => kind.replace('-', ' ')),
  KITCHEN_PLACES,
  CREWS,
  Object.keys(LAYERS),
  STANDINGS,
  GRAINS.map(({ name }) => name),
  Object.keys(STOCK_SALT),
  DENSITIES.map(({ name }) => name),
  DIETS,
  ALLERGENS,
  BETWEEN,
  PRODUCTS,
  PACES,
  SURENESSES,
  APPETITES,
  ROLES,
  AISLES,
  MEASURED_WAYS,
  COUNT_UNITS,
  UNIT_SIGNS,
  EARLIER_ANSWERS,
  Object.keys(KINDS),
  STEP_SORTS,
  ['burner', 'oven', 'appliance', 'not known', 'cook', 'helper', 'people'],
];

interface Node {
  readonly type: string;
  readonly loc?: { readonly start: { readonly line: number } };
  readonly [key: string]: unknown;
}

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && typeof (value as Node).type === 'string';

/** A text that stands whole in the code; null where it is put together. */
function textOf(node: unknown): string | null {
  if (!isNode(node)) return null;
  if (node.type === 'StringLiteral') return node['value'] as string;
  if (node.type === 'JSXExpressionContainer') return textOf(node['expression']);
  if (node.type !== 'TemplateLiteral' || (node['expressions'] as unknown[]).length > 0) return null;
  return (node['quasis'] as { readonly value: { readonly cooked: string } }[])[0]!.value.cooked;
}

const WORD = /\p{L}{2,}/u;
/** The same in every language: the name of the product, and keys. */
const UNSAID = new Set(['Warm Cadence', 'Esc', 'px', 'Ctrl']);
const READ = /^(?:aria-label|aria-description|aria-valuetext|aria-roledescription|title|placeholder|alt|label)$/;

/** Where a sentence is there to be shown. Other rooms hold dishes as well, which say what was written. */
const SHOWING = /^(?:views|ui|store|link|core\/recipe\/reading)\b/;
const SENTENCE = /^\p{Lu}.*\p{Ll}[.!?…]$/u;

/** What of the code is shown as it is written; null where nothing is. */
function shownBy(node: Node, sentences: boolean): string | null {
  if (sentences && node.type === 'StringLiteral' && SENTENCE.test(node['value'] as string))
    return node['value'] as string;
  if (node.type === 'JSXText') return node['value'] as string;
  if (node.type !== 'JSXAttribute' || !READ.test(String((node['name'] as Node)['name']))) return null;
  return textOf(node['value']);
}

/** What one file of code says. */
export function messagesIn(file: string, code: string): Reading {
  const messages: Said[] = [];
  const written: Said[] = [];
  const faults: string[] = [];
  const settled = new Set<Node>();
  const program = parseCode(code, { sourceType: 'module', plugins: ['typescript', 'jsx'] }).program as unknown as Node;
  const take = (node: Node, text: string | null) => {
    const where = `${file}:${node.loc?.start.line}`;
    if (text !== null) messages.push({ text, where });
    return where;
  };
  const walk = (node: Node, inFunction: boolean): void => {
    if (node.type === 'CallExpression') {
      const callee = node['callee'] as Node;
      const name = callee.type === 'Identifier' ? (callee['name'] as string) : '';
      const first = (node['arguments'] as unknown[])[0];
      if (name === 'message' && textOf(first) === null)
        faults.push(`${take(node, null)}: a message is one text, written in one piece.`);
      if (name === 'written') {
        const text = textOf(first);
        const where = take(node, null);
        if (text === null) faults.push(`${where}: what a dish keeps is one text, written in one piece.`);
        else written.push({ text, where });
      }
      if (name === 'say' || name === 'message') {
        take(node, textOf(first));
        if (isNode(first)) settled.add(first);
      }
      // What is said while the code is loaded is said before anybody knows in which language.
      if (name === 'say' && !inFunction) faults.push(`${take(node, null)}: this is said when the code is loaded.`);
    }
    // For developers, who read English.
    if (node.type === 'NewExpression') for (const each of node['arguments'] as Node[]) settled.add(each);
    const shown = settled.has(node) ? null : shownBy(node, SHOWING.test(file));
    if (shown !== null && WORD.test(shown) && !UNSAID.has(shown.trim()))
      faults.push(`${take(node, null)}: "${shown.trim()}" is shown, and not said.`);
    if (node.type === 'JSXOpeningElement' && (node['name'] as Node)['name'] === 'Say') {
      const words = (node['attributes'] as Node[]).find(
        (each) => (each['name'] as Node | undefined)?.['name'] === 'words',
      );
      take(node, textOf(words?.['value']));
      if (isNode(words?.['value'])) settled.add(words['value']);
    }
    const within = inFunction || /Function|Method/.test(node.type);
    for (const [key, value] of Object.entries(node)) {
      if (key === 'loc') continue;
      for (const each of Array.isArray(value) ? value : [value]) if (isNode(each)) walk(each, within);
    }
  };
  walk(program, false);
  return { messages, written, faults };
}

/** What all code under src says, tests left out, each message once. */
export function allMessages(): Reading {
  const files = readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$|\/testing\//.test(file))
    .sort();
  const read = files.map((file) => messagesIn(file, readFileSync(join(root, 'src', file), 'utf8')));
  const listed = LISTS.flat().map((text): Said => ({ text, where: 'a closed list' }));
  const once = new Map(
    [...read.flatMap(({ messages }) => messages), ...listed].reverse().map((said) => [said.text, said]),
  );
  return {
    messages: [...once.values()].reverse(),
    written: read.flatMap(({ written }) => written),
    faults: read.flatMap(({ faults }) => faults),
  };
}

/** Names of the values that a message wants, and its marks, sorted. */
function wantsOf(tokens: readonly Token[], plural?: string): readonly string[] {
  return tokens.flatMap((token): readonly string[] => {
    if (token.type === 'argument') return [token.arg];
    if (token.type === 'content') return token.value.match(/<[a-z]>/g) ?? [];
    // "#" stands for the value of its plural.
    if (token.type === 'octothorpe') return plural === undefined ? [] : [plural];
    if (token.type === 'function') return [`${token.arg}, ${token.key}`];
    return [token.arg, ...token.cases.flatMap((each) => wantsOf(each.tokens, token.arg))];
  });
}

const wanted = (text: string) => [...new Set(wantsOf(parse(text)))].sort().join(' ');

/** The spaces at both ends of a text: what is said before or after it stands against them. */
const edgesOf = (text: string) => `${/^ */.exec(text)![0]}|${/ *$/.exec(text)![0]}`;

/** Categories of number that a text's plurals lack in a language. */
function lacking(tokens: readonly Token[], categories: readonly string[]): readonly string[] {
  return tokens.flatMap((token): readonly string[] => {
    if (token.type !== 'plural' && token.type !== 'select' && token.type !== 'selectordinal') return [];
    const there = new Set(token.cases.map(({ key }) => key));
    const missing =
      token.type === 'plural' ? categories.filter((each) => !there.has(each)) : there.has('other') ? [] : ['other'];
    return [...missing, ...token.cases.flatMap((each) => lacking(each.tokens, categories))];
  });
}

/** What is wrong with a catalog, a line each: messages that it lacks, those that nobody says any more, values and plurals that are not as they must be. */
export function faultsOfCatalog(
  language: string,
  catalog: Readonly<Record<string, string>>,
  messages: readonly Said[],
): { readonly missing: readonly string[]; readonly unsaid: readonly string[]; readonly wrong: readonly string[] } {
  const said = new Set(messages.map(({ text }) => text));
  const { pluralCategories } = new Intl.PluralRules(language.split('/').at(-1)).resolvedOptions();
  const wrong = Object.entries(catalog).flatMap(([english, text]) => {
    try {
      const [theirs, ours] = [wanted(english), wanted(text)];
      const short = lacking(parse(text), pluralCategories);
      return [
        ...(theirs === ours
          ? []
          : [`"${english}" wants ${theirs || 'nothing'}; "${text}" wants ${ours || 'nothing'}.`]),
        ...(short.length === 0 ? [] : [`"${text}" lacks the plural for ${short.join(', ')}.`]),
        ...(edgesOf(english) === edgesOf(text)
          ? []
          : [`"${text}" begins or ends with another space than "${english}".`]),
        ...(text.trim() === '' ? [`"${english}" is said as nothing.`] : []),
      ];
    } catch (error) {
      return [`"${text}" cannot be read: ${error instanceof Error ? error.message : error}`];
    }
  });
  return {
    missing: [...said].filter((text) => !Object.hasOwn(catalog, text)),
    unsaid: Object.keys(catalog).filter((text) => !said.has(text)),
    wrong,
  };
}

/** Where the catalogs are: of a language ("de"), and of what dishes keep in it ("dishes/de"). */
export const catalogFile = (tag: string) => relative(process.cwd(), join(root, 'src/words', `${tag}.json`));
