import { classify, type StepSort, saysWork, startsWork, withoutLead, worksElsewhere } from './classify';
import { readDuration } from './duration';

/** Words with a stop behind them that end no sentence. */
const SHORT =
  /(?:^|[\s(])(?:approx|abt|ca|c|tbsp|tbs|tsp|oz|lb|lbs|pkg|med|lge?|sm|no|nr|vol|st|bzw|evtl|ggf|z\.b|env|cuill|e\.g|i\.e|etc|incl|temp|deg|min|mins|hrs?|std)$/i;
/** The same where the sentence seems to go on in small letters. */
const ENDS = /([.!?।؟。])["”’)]*\s+/gu;

/** A paragraph as its sentences. */
export function sentencesOf(paragraph: string): readonly string[] {
  const found: string[] = [];
  let from = 0;
  for (const match of paragraph.matchAll(ENDS)) {
    const at = match.index + match[0].length;
    const before = paragraph.slice(Math.max(0, match.index - 12), match.index);
    const after = paragraph.slice(at, at + 2);
    const goesOn = /^\p{Ll}/u.test(after) || (/^\d/.test(after) && SHORT.test(before));
    if (match[1] === '.' && SHORT.test(before) && goesOn) continue;
    if (
      match[1] === '.' &&
      /(?:^|\s)\d{1,2}$/.test(before) &&
      found.length === 0 &&
      from === 0 &&
      before.trim().length < 3
    )
      continue;
    found.push(paragraph.slice(from, at).trim());
    from = at;
  }
  found.push(paragraph.slice(from).trim());
  const all = found
    .flatMap((each) => each.split('\n'))
    .map((each) => each.trim())
    .filter((each) => /[\p{L}\p{M}]{2}/u.test(each));
  return gathered(all);
}

/** The lid alone, or the heat: it belongs to what comes after. */
const ALONE =
  /^(?:un)?cover(?: (?:it|them|the \p{L}+|tightly|loosely))?[.!]?$|^(?:turn|lower|reduce) (?:down )?the heat[.!]?$/iu;

/** Sentences that say only how long, or only that the lid goes on, with those to which they belong. */
function gathered(sentences: readonly string[]): readonly string[] {
  const all: string[] = [];
  let lead = '';
  for (const sentence of sentences) {
    const before = all.at(-1);
    if (ALONE.test(sentence)) lead = `${lead} ${sentence}`.trim();
    else if (
      before !== undefined &&
      sentence.length < 40 &&
      readDuration(sentence) !== null &&
      !saysWork(sentence) &&
      readDuration(before) === null
    )
      all[all.length - 1] = `${before} ${sentence}`;
    else {
      all.push(`${lead} ${sentence}`.trim());
      lead = '';
    }
  }
  return lead === '' ? all : [...all, lead];
}

/** Where a sentence may be two works. */
const JOINTS =
  /\s*(?:;|–|—)\s+|,?\s+(?:and|und|et|y|e|ve|then|puis|dann|luego|sonra|danach|anschließend)\s+(?:then\s+|anschließend\s+|dann\s+)?|,\s+(?:then\s+)?|:\s+|\s+(?:و|और)\s+/giu;
/** Longer than that no sentence is looked at for what it holds. */
const LOOKED_AT = 1500;
const HANDS: ReadonlySet<StepSort> = new Set(['chop', 'drain', 'mix', 'serve']);
const HEATED: ReadonlySet<StepSort> = new Set(['fry', 'boil', 'simmer', 'bake']);
const STANDS: ReadonlySet<StepSort> = new Set(['soak', 'marinate', 'rest', 'chill']);
/** Work that only leads to what comes after it in the same breath: the lid, the heat, the way into the pan. */
const ONLY_LEADS =
  /^\W*(?:(?:then|now|carefully|gently|and) )*(?:cover|uncover|remove|take|turn|lower|reduce|raise|lift|put|place|tip|pour|add|return|transfer|stir(?: in)?|spread|lay|arrange|bring|heat|melt|warm|season|slide|set|lock|drop|toss|salt|leave|wrap|top|let|close|off|verser|couvrir|couvrez|zudecken|tapar|verter)\b/i;

/** The works of a sentence, each in its own words; one where it is one. */
export function worksOf(sentence: string): readonly string[] {
  if (sentence.length > LOOKED_AT) return [sentence];
  const pieces = piecesOf(sentence);
  if (pieces.length === 1) return pieces;
  const works: string[] = [];
  let open = pieces[0]!;
  for (let k = 1; k < pieces.length; k++) {
    const right = pieces[k]!;
    if (isAnother(withoutJoint(open), right, pieces.slice(k + 1))) {
      works.push(withoutJoint(open));
      open = right.replace(JOINT_BEFORE, '');
    } else open += right;
  }
  works.push(open.trim());
  return works.filter((each) => /[\p{L}\p{M}]{2}/u.test(each));
}

const JOINT_BEFORE =
  /^\s*(?:[;–—,:]\s*)?(?:(?:and|und|et|y|e|ve|then|puis|dann|luego|sonra|danach|anschließend|و|और)\s+)*/iu;
const withoutJoint = (text: string) => text.replace(/[\s,;:–—]+$/, '').trim();

/** Pieces between joints, each but the first with its joint; what is in brackets is not cut. */
function piecesOf(sentence: string): readonly string[] {
  const pieces: string[] = [];
  let from = 0;
  for (const match of sentence.matchAll(JOINTS)) {
    const head = sentence.slice(0, match.index);
    const inBrackets = head.lastIndexOf('(') > head.lastIndexOf(')');
    if (match.index === 0 || inBrackets || (/:/.test(match[0]) && !saysWork(head))) continue;
    pieces.push(sentence.slice(from, match.index));
    from = match.index;
  }
  pieces.push(sentence.slice(from));
  return pieces;
}

/** Whether what comes after a joint is a work of its own. */
function isAnother(left: string, right: string, rest: readonly string[]): boolean {
  const plain = right.replace(JOINT_BEFORE, '');
  if (
    !/[\p{L}\p{M}]{2}/u.test(plain) ||
    /^\s*(?:stirring|turning|shaking|until|till|or|about|for|turning|but|lid on|covered|uncovered|without|so that|if|as|to (?!serve)|bis|jusqu|hasta)\b/i.test(
      plain,
    )
  )
    return false;
  const before = classify(left);
  const after = classify(plain);
  if (!before || !after || !saysWork(left)) return false;
  if (!beginsWork(plain) && !(readDuration(left) && readDuration(plain))) return false;
  const isSplit = /^\s*;/.test(right) || /^\W*then\b/i.test(right.trim());
  const leftTimed = readDuration(withoutLead(left)) !== null;
  const rightTimed = readDuration(plain) !== null;
  if (!saysWork(plain)) return leftTimed && rightTimed && after.sortWords !== null;
  if (leftTimed && rightTimed) return true;
  // What is added after some minutes begins the next work, whose time may come further on.
  if (leftTimed)
    return HANDS.has(after.sort)
      ? !/^\s*(?:\w+ ){0,2}(?:turn|season|stir)\w*\b(?! in\b)/i.test(plain) || after.sort === 'serve'
      : after.sort !== before.sort;
  if (TAKES_OUT.test(left)) return !/^\s*(?:keep|set|wrap|and keep)/i.test(plain);
  const leads = ONLY_LEADS.test(left);
  if (HEATED.has(after.sort) && rightTimed && MIXES.test(left) && !IN_POT.test(left) && left.split(/\s+/).length > 3)
    return true;
  if (before.sort === 'chop' && after.sort === 'chop') return isSplit && rest.length === 0;
  if (STANDS.has(after.sort)) return !leads && (rightTimed || after.sort !== 'rest' || isSplit);
  if (STANDS.has(before.sort)) return HEATED.has(after.sort) || isSplit;
  if (HEATED.has(after.sort))
    return (before.sort === 'chop' || before.sort === 'drain') && !leads
      ? saysMore(left)
      : HEATED.has(before.sort) && isSplit && !leads;
  if (HEATED.has(before.sort)) return isSplit && !leads;
  return isSplit && (before.sort !== after.sort || plain.split(/\s+/).length > SHORTEST);
}

/** What leaves the pan makes room for what comes next. */
const TAKES_OUT =
  /\b(?:take|lift|scoop|spoon|remove)\b.{0,40}\b(?:out|aside|from the (?:pan|pot))$|\bset (?:\p{L}+ )?aside$|\btransfer\b.{0,30}\bplate$|\bherausnehmen$/iu;
/** What is mixed on the table before it is cooked. */
const MIXES = /^\W*(?:mix|whisk|combine|beat|blend|knead|toss)\b/i;
const IN_POT = /\b(?:pot|pan|saucepan|wok|skillet|casserole|cooker)\b/i;

/** A verb among its first words; in other languages anywhere. */
function beginsWork(text: string): boolean {
  const words = text.split(/\s+/, 4);
  return words.some((_, k) => startsWork(words.slice(k).join(' '))) || worksElsewhere(text);
}

/** Words of a work that may stand alone behind a semicolon. */
const SHORTEST = 3;

/** More than a word to do: it names what is worked on. */
const saysMore = (text: string) => text.trim().split(/\s+/).length > 1;
