import { Readability } from '@mozilla/readability';
import { parseHTML } from 'linkedom';
import { rowText } from './columns';
import { type Instruction, plainText, type RecipeParts, readServings, type SourceLine } from './taken-apart';

/** What a page is to its lines: blocks end a line, the others stand in it. */
const BLOCKS = new Set(
  'address article aside blockquote body br center dd details dialog div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr legend li main nav ol option p pre section select summary table tbody td tfoot th thead title tr ul'.split(
    ' ',
  ),
);
/** What no reader sees, or what leads elsewhere. */
const UNREAD = new Set(
  'script style noscript template svg math canvas iframe object video audio button select textarea input nav footer aside form dialog head'.split(
    ' ',
  ),
);
/** What the classes of a page call what is none of the recipe: what readers wrote, what leads elsewhere. */
const APART =
  /(?:^|[\s_-])(?:comments?|replies|respond|sidebar|related|shar(?:e|ing)|social|newsletter|subscribe|breadcrumbs?|advert\w*|ads?|promo|cookies?|menu|navbar|pagination|widget|popup|screen-reader-text|visually-hidden)(?:$|[\s_-])/i;
/** More nodes than a recipe's page has; what comes after is not looked at. */
const MOST_NODES = 60_000;
/** A page nested deeper is not one that somebody reads. */
const DEEPEST = 400;
/** Signs of a page in which the main part is looked for; in a larger one that takes too long. */
const LARGEST_SIFTED = 400_000;

interface PageNode {
  readonly nodeType: number;
  readonly nodeName: string;
  readonly textContent: string | null;
  readonly firstChild: PageNode | null;
  readonly nextSibling: PageNode | null;
  readonly parentNode: PageNode | null;
  getAttribute?(name: string): string | null;
}

/** Whether a text is a page, or a piece of one. */
export function isPage(text: string): boolean {
  return /<(?:html|body|div|script|article|main|section|table|ul|ol|p|h[1-6])\b[^<>]*>/i.test(text);
}

/** The recipe that a page marks as one, by microdata or by the classes of a recipe; else its lines, in their order. */
export function readPage(text: string): RecipeParts | readonly SourceLine[] {
  if (depthOf(text) > DEEPEST) return linesOfText(plainText(text));
  const { document: tree } = parseHTML(/<html\b/i.test(text) ? text : `<html><body>${text}</body></html>`);
  const root = tree.documentElement as unknown as PageNode;
  return marked(root) ?? sifted(linesIn(root), text, tree);
}

function linesOfText(text: string): readonly SourceLine[] {
  return text.split('\n').map((line): SourceLine => ({ text: line.trim(), role: 'line' }));
}

/** How deep the elements of a page are nested at the most, by its tags alone; what is never closed counts as nested. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (const [, slash, name] of text.matchAll(
    /<(\/?)(div|span|section|article|ul|ol|table|b|i|em|strong|a|font|blockquote|p|li|td|tr)\b/gi,
  )) {
    // Paragraphs and rows close each other.
    if (/^(?:p|li|td|tr)$/i.test(name!)) continue;
    depth = slash ? Math.max(0, depth - 1) : depth + 1;
    if (depth > deepest) deepest = depth;
  }
  return deepest;
}

/** Every node of a tree in its order, with whether it is entered or left; none below one that `skip` takes out. */
function* walk(
  root: PageNode,
  skip: (node: PageNode) => boolean,
): Generator<readonly [node: PageNode, enters: boolean]> {
  let node: PageNode | null = root;
  let seen = 0;
  while (node && seen++ < MOST_NODES) {
    const skipped = skip(node);
    if (!skipped) yield [node, true];
    if (!skipped && node.firstChild) {
      node = node.firstChild;
      continue;
    }
    for (;;) {
      if (!skip(node)) yield [node, false];
      if (node === root) return;
      if (node.nextSibling) {
        node = node.nextSibling;
        break;
      }
      node = node.parentNode;
      if (!node) return;
    }
  }
}

const nameOf = (node: PageNode) => node.nodeName.toLowerCase();
const isElement = (node: PageNode) => node.nodeType === 1;
const isText = (node: PageNode) => node.nodeType === 3;

function isApart(node: PageNode): boolean {
  if (!isElement(node)) return node.nodeType === 8;
  const name = nameOf(node);
  if (UNREAD.has(name)) return true;
  if (name === 'html' || name === 'body' || name === 'main' || name === 'article') return false;
  const hidden = node.getAttribute?.('hidden') !== null || node.getAttribute?.('aria-hidden') === 'true';
  return hidden || APART.test(`${node.getAttribute?.('class') ?? ''} ${node.getAttribute?.('id') ?? ''}`);
}

const roleOf = (names: readonly string[]): SourceLine['role'] =>
  names.some((name) => /^h[1-6]$/.test(name) || name === 'summary' || name === 'legend' || name === 'dt')
    ? 'heading'
    : names.includes('li')
      ? names.lastIndexOf('ol') > names.lastIndexOf('ul')
        ? 'numbered'
        : 'item'
      : names.includes('p') || names.includes('blockquote')
        ? 'paragraph'
        : 'line';

/** What a reader of the page sees, line by line; a table's row is one. */
function linesIn(root: PageNode): readonly SourceLine[] {
  const lines: SourceLine[] = [];
  const open: string[] = [];
  let words = '';
  let cells: string[] | null = null;
  let heads = true;
  const end = () => {
    const text = plain(words);
    words = '';
    if (text === '') return;
    if (cells) cells[cells.length - 1] = `${cells.at(-1)} ${text}`.trim();
    else for (const each of text.split('\n')) lines.push({ text: each, role: roleOf(open) });
  };
  for (const [node, enters] of walk(root, isApart)) {
    if (isText(node)) {
      if (enters) words += (node.textContent ?? '').replace(/\s+/g, ' ');
      continue;
    }
    const name = nameOf(node);
    if (!BLOCKS.has(name)) continue;
    end();
    if (enters) open.push(name);
    else open.length = Math.max(0, open.lastIndexOf(name));
    if (name === 'td') heads = false;
    if (name === 'tr' && enters) {
      cells = [];
      heads = true;
    } else if ((name === 'td' || name === 'th') && enters) cells?.push('');
    else if (name === 'tr' && cells) {
      const row = cells;
      cells = null;
      const head = heads && row.filter(Boolean).length === 1;
      for (const text of rowText(row)) lines.push({ text, role: head ? 'heading' : 'row' });
    }
  }
  return lines;
}

const plain = (text: string) =>
  text
    .replace(/[\u200b-\u200f\u00ad\ufeff]/g, '')
    .replace(/[ \t\u00a0]+/g, ' ')
    .trim();

/** Lines with a sign on those that stand in the page's main part, as far as that can be told. */
function sifted(lines: readonly SourceLine[], text: string, tree: Document): readonly SourceLine[] {
  if (text.length > LARGEST_SIFTED || lines.length < 12) return lines;
  try {
    const article = new Readability(tree, { charThreshold: 200 }).parse();
    const main = (article?.textContent ?? '').replace(/\s+/g, ' ');
    if (main.length < 200) return lines;
    return lines.map((line) => (main.includes(line.text) ? { ...line, main: true } : line));
  } catch {
    return lines;
  }
}

/** Names by which pages mark the parts of a recipe: microdata, RDFa, and the classes of old pages. */
const MARKS: readonly (readonly [keyof Marked, RegExp])[] = [
  ['name', /^(?:name|fn|p-name)$/],
  ['yields', /^(?:recipeYield|yield|p-yield)$/],
  ['ingredients', /^(?:recipeIngredient|ingredients?|p-ingredient)$/],
  ['instructions', /^(?:recipeInstructions|instructions?|e-instructions)$/],
];
interface Marked {
  readonly name: string[];
  readonly yields: string[];
  readonly ingredients: string[];
  readonly instructions: string[];
}

/** What a page marks as a recipe; null where it does not, or only in part. */
function marked(root: PageNode): RecipeParts | null {
  const found: Marked = { name: [], yields: [], ingredients: [], instructions: [] };
  let inside = 0;
  let mark: keyof Marked | null = null;
  let depth = 0;
  let words = '';
  for (const [node, enters] of walk(root, (each) => isElement(each) && /^(?:script|style)$/i.test(each.nodeName))) {
    if (isText(node)) {
      if (enters && mark) words += (node.textContent ?? '').replace(/\s+/g, ' ');
      continue;
    }
    if (!isElement(node)) continue;
    if (BLOCKS.has(nameOf(node)) && mark) words += '\n';
    if (isRecipe(node)) inside += enters ? 1 : -1;
    if (mark) {
      depth += enters ? 1 : -1;
      if (depth === 0) {
        found[mark].push(...words.split('\n').map(plain).filter(Boolean));
        mark = null;
      }
      continue;
    }
    if (!enters || inside === 0) continue;
    mark = markOf(node);
    if (!mark) continue;
    const content = node.getAttribute?.('content');
    if (content) {
      found[mark].push(content);
      mark = null;
      continue;
    }
    depth = 1;
    words = '';
    if (!node.firstChild) mark = null;
  }
  if (found.ingredients.length === 0 || found.instructions.length === 0) return null;
  return {
    name: (found.name[0] ?? '').slice(0, 120),
    servings: found.yields.map(readServings).find((each) => each !== null) ?? null,
    ingredients: found.ingredients,
    instructions: found.instructions.map((each): Instruction => ({ words: each, part: null })),
    minutes: null,
  };
}

function isRecipe(node: PageNode): boolean {
  const kind = `${node.getAttribute?.('itemtype') ?? ''} ${node.getAttribute?.('typeof') ?? ''}`;
  return (
    /(?:schema\.org\/|^\s*|\s)Recipe\b/.test(kind) ||
    /(?:^|\s)(?:h-?recipe)(?:\s|$)/.test(node.getAttribute?.('class') ?? '')
  );
}

function markOf(node: PageNode): keyof Marked | null {
  const names = ['itemprop', 'property', 'class'].flatMap((each) => (node.getAttribute?.(each) ?? '').split(/\s+/));
  return MARKS.find(([, pattern]) => names.some((each) => pattern.test(each.replace(/^.*:/, ''))))?.[0] ?? null;
}
