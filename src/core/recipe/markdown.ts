import { lexer, type Token, type Tokens } from 'marked';
import { rowText } from './columns';
import type { SourceLine } from './taken-apart';

/** Whether a text is marked up: headings with #, tables, stars around words, items with boxes. One sign alone may be chance. */
export function isMarkdown(text: string): boolean {
  const signs = [
    /^#{1,4} \S/m,
    /^[ \t]*\|?(?:[ \t]*:?-{3,}:?[ \t]*\|)/m,
    /\*\*[^*\n]{1,80}\*\*/,
    /^[ \t]*[-*+] \[[ x]\] /m,
    /^> \S/m,
    /`[^`\n]{1,40}`/,
  ];
  return signs.filter((sign) => sign.test(text)).length >= 2 || /^#{1,4} \S/m.test(text);
}

/** Larger than any recipe that somebody marks up by hand; what is larger is taken as plain text. */
const LARGEST = 200_000;

/** The lines of a marked-up text; null where it is too large, or nested in a way that nobody writes. */
export function readMarkdown(text: string): readonly SourceLine[] | null {
  if (text.length > LARGEST || /^(?:[> \t]*[-*+>][ \t]){12}/m.test(text)) return null;
  try {
    return lexer(text).flatMap((token) => linesOf(token, 'paragraph'));
  } catch {
    return null;
  }
}

function linesOf(token: Token, role: SourceLine['role']): readonly SourceLine[] {
  switch (token.type) {
    case 'heading':
      return [{ text: bare(token.text), role: 'heading' }];
    case 'list': {
      const { ordered, items } = token as Tokens.List;
      return items.flatMap((item) => item.tokens.flatMap((each) => linesOf(each, ordered ? 'numbered' : 'item')));
    }
    case 'table': {
      const { header, rows } = token as Tokens.Table;
      return [header, ...rows]
        .flatMap((row) => rowText(row.map((cell) => bare(cell.text))))
        .map((words) => ({ text: words, role: 'row' }));
    }
    case 'blockquote':
      return (token as Tokens.Blockquote).tokens.flatMap((each) => linesOf(each, 'paragraph'));
    case 'space':
    case 'hr':
    case 'def':
    case 'checkbox':
      return [];
    case 'code':
    case 'html':
      return token.raw.split('\n').map((line) => ({ text: bare(line), role: 'line' }));
    default:
      return bare((token as Tokens.Text).text ?? token.raw)
        .split('\n')
        .map((line) => ({ text: line.trim(), role }));
  }
}

/** Words without the signs that say how they look. */
function bare(text: string): string {
  return text
    .replace(/!\[([^\]\n]*)\]\([^()\n]*\)/g, '$1')
    .replace(/\[([^\]\n]*)\]\([^()\n]*\)/g, '$1')
    .replace(/(\*\*|__|~~|`)(?=\S)([^\n]{1,200}?)(?<=\S)\1/g, '$2')
    .replace(/(?<![\p{L}\d])[*_](?=\S)([^*_\n]{1,200}?)(?<=\S)[*_](?![\p{L}\d])/gu, '$1')
    .replace(/<[^<>\n]{1,200}>/g, ' ')
    .replace(/^\s*\[[ xX]\]\s+/gm, '');
}
