/** Lists and records within one another that a file may hold: far more than any of ours, far fewer than make a reader stumble. */
const DEEPEST = 100;

/** Parses JSON text of whatever sender: a mark of the byte order is passed over, and what is nested without end is refused. Throws a SyntaxError. */
export function parseForeignJson(text: string): unknown {
  const bare = text.replace(/^\uFEFF/, '');
  if (depthOf(bare) > DEEPEST) throw new SyntaxError(`more than ${DEEPEST} lists and records stand within one another`);
  return JSON.parse(bare);
}

function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at++) {
    const sign = text[at];
    if (quoted) {
      if (sign === '\\') at++;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === '[' || sign === '{') deepest = Math.max(deepest, ++depth);
    else if (sign === ']' || sign === '}') depth--;
  }
  return deepest;
}
