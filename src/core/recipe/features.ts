import type { Guess } from './classify';
import type { Above, Look } from './kinds';
import type { LineKind } from './line-kind';

/** Words of a line that are looked at one by one. */
const WORDS_LOOKED_AT = 24;

const wordsOf = (text: string): readonly string[] =>
  (text.toLowerCase().match(/[\p{L}\p{M}]+|\d+/gu) ?? [])
    .slice(0, WORDS_LOOKED_AT)
    .map((word) => (/^\d/.test(word) ? '0' : word));

const sizeOf = (count: number) =>
  count <= 2 ? count : count <= 4 ? 4 : count <= 8 ? 8 : count <= 14 ? 14 : count <= 25 ? 25 : 50;

/** What a line shows by itself, without its words. */
function shapeOf(look: Look | undefined): string {
  if (!look) return 'none';
  const flags = [
    look.heads ?? '',
    look.amount ? 'A' : look.ends ? 'E' : '',
    look.works === 'begins' ? 'W' : look.works === 'holds' ? 'w' : '',
    look.sentence ? '.' : '',
    look.numbered ? '#' : '',
    look.serves ? 'S' : look.times ? 'T' : '',
    look.talk ? 't' : '',
    look.line.role === 'heading' ? 'H' : look.line.role === 'item' ? 'i' : look.line.role === 'row' ? 'r' : '',
  ];
  return flags.join('') || '-';
}

/** What of a line and of what stands around it tells its kind. `rule` is what the rules say. */
export function lineFeatures(
  look: Look,
  rule: LineKind,
  { part, begun, listed }: Above,
  before: readonly LineKind[],
  next: Look | undefined,
): readonly string[] {
  const words = wordsOf(look.text);
  const [first = '', second = ''] = words;
  const last = before.at(-1) ?? 'top';
  const shape = shapeOf(look);
  return [
    'any',
    `rule ${rule}`,
    `rule ${rule} after ${last}`,
    `rule ${rule} in ${part}`,
    `rule ${rule} shape ${shape}`,
    `shape ${shape}`,
    `shape ${shape} in ${part}`,
    `next ${shapeOf(next)}`,
    `next ${shapeOf(next)} rule ${rule}`,
    `after ${last} ${before.at(-2) ?? 'top'}`,
    `size ${sizeOf(words.length)} in ${part}`,
    `size ${sizeOf(words.length)} ${look.sentence ? 'sentence' : 'no'}`,
    `gap ${look.line.gap === true} after ${last}`,
    `main ${look.line.main === true}`,
    `begun ${begun} listed ${listed}`,
    `first ${first}`,
    `two ${first} ${second}`,
    `ends ${look.text.trim().slice(-1)}`,
    ...words.map((word) => `w ${word}`),
  ];
}

/** What of a sentence, and of the step before it, tells where its work is done and how much attention it takes. */
export function stepFeatures(
  words: string,
  rule: Pick<Guess, 'sort' | 'place' | 'attention' | 'minutesWords'>,
  before: Pick<Guess, 'sort' | 'place'> | undefined,
): readonly string[] {
  const said = wordsOf(words);
  const last = before?.place.at ?? 'top';
  const timed = rule.minutesWords !== null;
  return [
    'any',
    `rule ${rule.sort}`,
    `rule ${rule.place.at}`,
    `rule ${rule.place.at} after ${last}`,
    `rule ${rule.sort} timed ${timed}`,
    `rule ${rule.sort} ${rule.attention}`,
    `after ${last} timed ${timed}`,
    `first ${said[0] ?? ''}`,
    `two ${said[0] ?? ''} ${said[1] ?? ''}`,
    `last ${said.at(-1) ?? ''}`,
    ...said.map((word) => `w ${word}`),
    ...said.slice(1).map((word, k) => `b ${said[k]} ${word}`),
  ];
}
