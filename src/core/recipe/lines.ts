import { lineFeatures } from './features';
import { type Above, AT_THE_TOP, aboveNext, bareLine, type Look, lookAt, ruleKind } from './kinds';
import { lineJudge, OPEN_KINDS } from './learned';
import type { LineKind } from './line-kind';
import { type Instruction, type RecipeParts, readServings, type SourceLine } from './taken-apart';

/** Lines taken apart: a title, ingredients, instructions; what belongs to none of them is kept as a note. */
export function recipeInLines(lines: readonly SourceLine[]): RecipeParts {
  const looks = lines.slice(0, MOST_LOOKED_AT).map(lookAt);
  const kinds = kindsOf(looks);
  const ingredients: string[] = [];
  const instructions: Instruction[] = [];
  const notes: string[] = [];
  let name = '';
  let servings: number | null = null;
  let part: string | null = null;
  kinds.forEach((kind, k) => {
    const { text, line } = looks[k]!;
    const serves = () => {
      servings ??= readServings(text);
    };
    switch (kind) {
      case 'title':
        name =
          text
            .replace(/^#+\s*/, '')
            .replace(SERVED, '')
            .trim()
            .slice(0, 120) || text.slice(0, 120);
        if (SERVED.test(text)) serves();
        break;
      case 'servings':
        serves();
        if (text.split(/\s+/).length > PLAIN) notes.push(line.text);
        break;
      case 'time':
        notes.push(line.text);
        break;
      case 'ingredients':
        if (/\d|\b(?:for|für|pour|para)\b/i.test(text)) serves();
        part = null;
        break;
      case 'part':
        part = text.replace(/\s*[:：]\s*$/, '');
        break;
      case 'ingredient':
        ingredients.push(line.text);
        break;
      case 'step':
        // A part of the ingredients is none of the method, unless each part has both.
        if (instructions.length === 0 && kinds.lastIndexOf('ingredient') < k && !kinds.includes('method')) part = null;
        instructions.push({ words: bareLine(line.text), part });
        break;
      case 'note':
        notes.push(line.text);
        if (instructions.length === 0 && ingredients.length === 0 && FOR_SO_MANY.test(text)) serves();
        break;
      case 'method':
      case 'aside':
        part = null;
    }
  });
  const source = kinds.map((kind, k) => ({ text: looks[k]!.line.text, kind }));
  const told = ingredients.length === 0 && instructions.some(({ words }) => words.length > 80);
  return { name, servings, ingredients, instructions, minutes: null, notes, told, source };
}

const FOR_SO_MANY =
  /\b(?:does|feeds) (?:two|three|four|five|six|eight|ten)\b|\b(?:supper|dinner|meal|lunch|enough) for (?:two|three|four|six|eight|\d)/i;

/** Words of a line that says only for how many it is. */
const PLAIN = 4;
/** Lines of the longest page that is looked through. */
const MOST_LOOKED_AT = 20_000;
/** "Serves 6" behind a title: "Ragu - for 4", "SOUP (serves 6)". */
const SERVED =
  /[\s,(|·:–-]*\b(?:serves|serve|servings?|makes|yields?|portions?|for (?:\d+|two|three|four|five|six|eight|ten|twelve)(?: people| covers)?|feeds|\d+ (?:covers|portions|servings|people)|(?:für|pour|para) \d+(?: \p{L}+)?)\b[^\p{L}]*(?:\d+)?.{0,12}$/iu;

/** What every line is, each by its looks and by what stands before it; then by the lines that it stands among. */
export function kindsOf(looks: readonly Look[]): readonly LineKind[] {
  const kinds: LineKind[] = [];
  let above: Above = { ...AT_THE_TOP, methodAhead: looks.some(({ heads }) => heads === 'method') };
  looks.forEach((look, k) => {
    const rule = ruleKind(look, above, k, looks);
    const kind = judged(look, rule, above, kinds, looks[k + 1]);
    kinds.push(kind);
    above = aboveNext(look, kind, above);
  });
  return asBlocks(looks, kinds);
}

/** The least that what was learned must be sure of before it overrules the rules. */
const OVERRULES = 0.7;

/** What a line is by the rules and by what was learned. A heading is one by its words alone. */
function judged(
  look: Look,
  rule: LineKind,
  above: Above,
  kinds: readonly LineKind[],
  next: Look | undefined,
): LineKind {
  if (look.heads) return rule;
  const { label, sure } = lineJudge.judge(lineFeatures(look, rule, above, kinds, next), OPEN_KINDS);
  return sure < OVERRULES ? rule : label;
}

/** Least of the lines of a block that must agree before the others follow them. */
const AGREE = 0.5;

/** Lines without an empty one between them are mostly of one kind: terse ones are told by their neighbours. */
function asBlocks(looks: readonly Look[], kinds: readonly LineKind[]): readonly LineKind[] {
  if (kinds.includes('method') || kinds.includes('ingredients')) return kinds;
  const result = [...kinds];
  let listed = false;
  for (let from = 0; from < looks.length; ) {
    let to = from + 1;
    while (to < looks.length && !looks[to]!.line.gap && looks[to]!.line.role !== 'heading') to++;
    const block = looks.slice(from, to);
    if (block.length >= 3) {
      const share = (of: (look: Look, k: number) => boolean) =>
        block.filter((look, k) => of(look, from + k)).length / block.length;
      const isList = share((look, k) => (look.amount || look.ends) && !look.timed && result[k] !== 'title') > AGREE;
      const isMethod = !isList && listed && share((look) => look.timed || look.works !== null) > AGREE;
      for (let k = from; k < to; k++) {
        const { sentence, words } = looks[k]!;
        if (isList && words <= 8 && !sentence && (result[k] === 'step' || result[k] === 'note'))
          result[k] = 'ingredient';
        if (isMethod && result[k] === 'ingredient') result[k] = 'step';
      }
      listed ||= isList;
    }
    from = to;
  }
  return result;
}
