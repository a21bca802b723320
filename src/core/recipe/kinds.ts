import { allergensIn } from '@/core/dish/diet';
import { readFood } from '@/core/food/known';
import { saysWork, startsWork } from './classify';
import { columnsOf } from './columns';
import { readDuration } from './duration';
import { readIngredient } from './ingredient-line';
import type { LineKind } from './line-kind';
import { readServings, type SourceLine } from './taken-apart';

const INGREDIENTS =
  /^(?:the )?(?:ingredients?(?: list)?|you(?:’|')?ll need|you will need|(?:what|things) you(?:’|')?(?:ll)? need|what goes in|what you need|shopping list|zutaten(?:liste)?|du brauchst|ingrédients|il vous faut|ingredientes|ingredienti|ingrediënten|ingredienser|składniki|ингредиенты|malzemeler|مواد لازم|المكونات|المقادير|सामग्री)(?![\p{L}])(?:\s*(?:\(|for|für|pour|para|per|voor|för|—|-|–).*)?[^\p{L}]*$/iu;
const METHOD =
  /^(?:the )?(?:methods?|directions?|instructions?|preparation|procedure|steps?|how|how (?:to make it|to|i make it|it is made)|what (?:to|you|i) do|to make(?: it)?|making it|cooking|(?:und )?so geht(?:’|')?s|zubereitung|anleitung|préparation|réalisation|étapes|preparación|elaboración|modo de (?:hacerlo|preparo)|pasos|preparazione|procedimento|bereiding(?:swijze)?|gör så här|przygotowanie|приготовление|hazırlanışı|yapılışı|طرز تهیه|روش پخت|طريقة (?:التحضير|العمل)|التحضير|विधि|बनाने की विधि)(?![\p{L}])[^\p{L}\d]*$/iu;
/** What comes after is no part of the cooking. */
const ASIDE =
  /^\W*(?:(?:cook(?:’|')?s |recipe |chef(?:’|')?s |my )?(?:notes?|tips?(?: (?:and|&) tricks)?|variations?|substitutions?)|storage|storing|to store|make ahead|nutrition(?:al)?(?: (?:facts|information|info))?|per serving|comments?|\d+ comments?|reviews?|leave a (?:comment|reply)|about (?:the author|me)|(?:you (?:might|may) also|more|related|similar)\b.{0,30}|(?:did you make|tried) this.{0,20}|faq|kommentare?|bewertungen|tipps?|nährwerte.{0,20}|hinweise?|astuces?|conseils?|commentaires?|remarques?|consejos?|comentarios|notas?|notlar|püf nokta.{0,10}|نکات|ملاحظات|टिप्स)\W*(?:\(\d+\)|\d*)\W*$/iu;
/** One line of the same. */
const ASIDE_LINE =
  /^\W*(?:(?:cook(?:’|')?s |chef(?:’|')?s )?(?:tips?|notes?|hint|n\.?b|p\.?\s?s)\s*[:.!–-]|(?:any )?leftovers? (?:will )?(?:keep|freeze|can)|(?:it |this )?(?:keeps|freezes|stores)\b|(?:to )?(?:store|storage)\b|storage:|nutrition|calories|per serving|tipp:|hinweis:|kommentar|astuce|conseil|variante|consejo|nota:|not:|see also|rating|print\b|jump to|sign up|subscribe|share this|pin it|follow me|privacy|copyright|©|\d+ (?:comments?|reviews?|kcal)|★|advertis|skip to|home\b.{0,20}$|contains\b.{0,60}$|you (?:might|may) also like)/iu;
/** Somebody who tells of himself, or asks. */
const TALK =
  /^[\p{Lu}][\p{L} .'’-]{1,24}:\s+(?:I|We|My|This|So|Can|Is|Made|Super|Very|Great|Love|Delicious|Ich|Habe|J|Lo|La)\b|\?\s*$|\b(?:my (?:mother|mum|mom|sister|husband|wife|grand\w+|kids|family)|hello|welcome|this recipe|this is (?:the one|my|a)|i (?:love|made|first|always|have been|used to|remember|learnt|learned|got)|^if you (?:love|like|make)|newsletter|favou?rite|years ago|thank)/iu;
const SERVES =
  /\b(?:serves|servings?|serve \d|makes|yields?|portions?|covers|bowls|for \d+ people|feeds|(?:supper|dinner|meal) for (?:two|three|four|six|\d)|portionen|personen|personnes|raciones|porciones|personas|porsiyon|kişilik|persone|ppl)\b|\b(?:for|für|pour|para|per) (?:\d+|two|three|four|five|six|eight|ten|twelve)\W*$|برای \S+ نفر|لـ? ?\S+ أشخاص|लोगों के लिए/iu;
const SERVES_SURELY =
  /\b(?:\d+ (?:personnes|personas|raciones|porciones|portions|servings|people)|für \d+|serves \d+)\b/i;
const SAYS_TIME = /\b(?:(?:total|prep|cook(?:ing)?|active) time|ready in)\b/i;
const TIMES =
  /^\W*(?:prep(?:aration)?|cook(?:ing)?|total|active|ready in|time|baking|resting|standing|préparation|cuisson|temps|tiempo|vorbereitung|zubereitungszeit|kochzeit|süre)(?: time)?\s*(?::|–|-|\d|in\b)|^(?:about )?\d+\s*(?:min|hour|hr)[a-z]*\W*(?:prep|cook|total)[a-z]*(?: time)?$|^ready in\b/i;
const ZEST = /^(?:finely |grated |the )*(?:juice|zest)(?:,? (?:and|&) (?:juice|zest))? of\b/i;
const NUMBERED = /^\s*(?:(?:step\s*)?\d{1,2}(?:\s*[.):]\s*|\s+[-–]\s+|\.\d{1,2}[.):]?\s+)(?=\D)|step\s*\d{1,2}\s+)/i;
const BULLET = /^[\s\-–—•*·▢☐□]+/;
/** "Oven 225 °C." on a line of its own: the heat of what comes after. */
const OVEN =
  /^\W*(?:oven|bake|roast)?\W*(?:at|to)?\W*\d{2,3}\s*°?\s*[CF]?\b[^a-z]*(?:oven|fan|gas)?[^a-z]*$|^\W*oven\b[^.]{0,20}\d{2,3}/i;

/** A line without its number or its bullet. */
export function bareLine(text: string): string {
  const bare = text.replace(NUMBERED, '').replace(BULLET, '');
  // "1 Heat the oven": a number without a stop before what begins with work.
  const unnumbered =
    /^\d{1,2}\s+\p{Lu}\p{Ll}+ \p{L}+ \p{L}/u.test(bare) && startsWork(bare.replace(/^\d+\s+/, ''))
      ? bare.replace(/^\d+\s+/, '')
      : bare;
  return unnumbered === '' ? text.trim() : unnumbered.trim();
}

/** The lines of a plain text, with what stands in columns taken apart. */
export function linesOfText(text: string): readonly SourceLine[] {
  const lines: SourceLine[] = [];
  let gap = false;
  for (const written of text.split(/\r?\n/)) {
    if (written.trim() === '') {
      gap = true;
      continue;
    }
    const cells = columnsOf(written);
    for (const cell of cells) {
      const words = cell.replace(/[ \t\u00a0]+/g, ' ').trim();
      if (words === '') continue;
      const role = cells.length > 1 || cell !== written ? 'row' : /^\s*[-–•*·▢☐□]\s/.test(written) ? 'item' : 'line';
      lines.push({ text: words, role, ...(gap ? { gap } : {}) });
      gap = false;
    }
  }
  return lines;
}

/** A line, looked at by itself. */
export interface Look {
  readonly line: SourceLine;
  readonly text: string;
  /** How many words it has. */
  readonly words: number;
  readonly heads: 'ingredients' | 'method' | 'aside' | null;
  readonly serves: boolean;
  readonly times: boolean;
  readonly numbered: boolean;
  /** It begins with an amount. */
  readonly amount: boolean;
  /** It ends with one: "milk 200ml". */
  readonly ends: boolean;
  readonly food: boolean;
  /** It begins with work, or holds some. */
  readonly works: 'begins' | 'holds' | null;
  readonly timed: boolean;
  readonly talk: boolean;
  readonly sentence: boolean;
}

/** Longer than that no line is looked at for what it is. */
const LOOKED_AT = 400;

/** What a line looks like, whatever stands around it. */
export function lookAt(line: SourceLine): Look {
  const whole = line.text.slice(0, LOOKED_AT);
  const text = bareLine(whole.replace(/^#+\s*/, ''));
  const words = text.split(/\s+/).length;
  const short = words <= 9;
  const head = short && words <= 6;
  const zest = ZEST.test(text);
  const amountFirst =
    /^(?:(?:about|approx\.?|ca\.?|roughly) )?(?:\d|[½¼¾⅓⅔⅛])/i.test(text) ||
    /^(?:an?|one|two|three|four|half|pinch|handful|dash|knob)\s+\p{L}/iu.test(text);
  const byWord = /^\p{L}/u.test(text);
  const read =
    amountFirst && text.length < 100 && (!byWord || (words <= 7 && !/[.!]$/.test(text))) ? readIngredient(text) : null;
  // What takes long is looked for only where it is asked for.
  let food: boolean | undefined;
  let timed: boolean | undefined;
  return {
    line,
    text,
    words,
    heads:
      head && INGREDIENTS.test(text)
        ? 'ingredients'
        : head && METHOD.test(text)
          ? 'method'
          : short && ASIDE.test(text)
            ? 'aside'
            : null,
    serves: text.length < 80 && SERVES.test(text) && readServings(text) !== null,
    times: text.length < 80 && TIMES.test(whole),
    numbered: line.role === 'numbered' || NUMBERED.test(whole),
    amount: zest || (read?.sure === true && !/^\d+\s*(?:min|minutes?|hours?|h|%|°)\b/i.test(text)),
    ends:
      short &&
      /\p{L}[^\d]*\s(?:\d+(?:[.,/]\d+)?\s*(?:kg|g|ml|l|cl|dl|oz|lbs?|cups?|tbsp|tsp|each)?|½|¼)\W*(?:each)?(?:,.{0,30})?$/iu.test(
        text,
      ),
    get food() {
      food ??= words <= 14 && readFood(text.replace(/[\d½¼¾⅓⅔⅛]+/g, ' ')).foods.length > 0;
      return food;
    },
    works: zest ? null : startsWork(text) ? 'begins' : saysWork(text) ? 'holds' : null,
    get timed() {
      timed ??= readDuration(text) !== null;
      return timed;
    },
    talk: TALK.test(text) || ASIDE_LINE.test(whole),
    sentence: /[.!。।؟]\W*$/.test(text) || words > 16,
  };
}

/** What a line is by the rules, after what has been said before it. */
export function ruleKind(
  look: Look,
  { part, begun, listed, methodAhead }: Above,
  k: number,
  looks: readonly Look[],
): LineKind {
  const { line, text, heads } = look;
  const before = looks[k - 1];
  const next = looks[k + 1];
  if (heads) return heads;
  if (look.times) return 'time';
  if (SAYS_TIME.test(text) && look.works === null && !look.amount) return look.serves ? 'servings' : 'time';
  if (k > 0 || part !== 'head') {
    if (look.serves && (look.works === null || SERVES_SURELY.test(text)) && text.length < 80) return 'servings';
  }
  if (part === 'head' && !begun && isTitle(look)) return 'title';
  if (look.serves && !look.amount && look.works !== 'begins' && text.length < 70) return 'servings';
  if (part === 'aside') {
    if (!look.talk && look.numbered && look.works === 'begins') return 'step';
    return line.role === 'heading' && isPartHead(look, next) ? 'part' : 'note';
  }
  if (ASIDE_LINE.test(line.text.slice(0, LOOKED_AT))) return 'note';
  if (text.length < 40 && OVEN.test(text)) return 'step';
  if (
    isPartHead(look, next) &&
    (line.role === 'heading' ||
      /[:：]\s*$/.test(text) ||
      /^for the\b|^to (?:serve|finish|garnish)$/i.test(text) ||
      (line.gap && (part === 'ingredients' || (part === 'head' && k > 0 && look.words <= 3 && next?.amount === true))))
  )
    return 'part';
  const asIngredient =
    look.amount || look.ends || (line.role === 'row' && look.words <= 8 && /\d/.test(text) && look.works === null);
  if (part === 'method') {
    if (look.words <= 3 && !look.numbered && !look.sentence && !look.timed && next?.numbered && before?.numbered)
      return 'part';
    if (look.talk && !look.timed && look.works !== 'begins') return 'note';
    // A list after the method has begun is one of a second part.
    if (
      look.amount &&
      !look.sentence &&
      !look.numbered &&
      look.works !== 'begins' &&
      look.words <= 9 &&
      (next?.amount || before?.amount)
    )
      return 'ingredient';
    return 'step';
  }
  const isStep = isInstruction(look);
  if (part === 'ingredients') {
    if (methodAhead && !look.sentence) return 'ingredient';
    if (isStep && listed) return 'step';
    if (look.talk && look.sentence) return 'note';
    if (asIngredient || line.role === 'item' || line.role === 'row') return 'ingredient';
    return look.sentence && look.words > 12 ? (look.works ? 'step' : 'note') : 'ingredient';
  }
  if (look.talk && look.words < 40 && !asIngredient) return 'note';
  if (isStep) return 'step';
  if (asIngredient || (line.role === 'item' && look.food)) return 'ingredient';
  if (look.food && look.words <= 6 && !look.sentence && (before?.amount || before?.ends || next?.amount || next?.ends))
    return 'ingredient';
  // A line with a time, an amount of something, or an allergen is never let go.
  if (look.works !== null && (look.timed || look.words > 8)) return 'step';
  if (look.timed || allergensIn(text).length > 0) return look.talk || look.words < 4 ? 'note' : 'step';
  return 'note';
}

/** What stands above a line. */
export interface Above {
  readonly part: Part;
  /** Something that may be the title. */
  readonly begun: boolean;
  /** Something that goes in. */
  readonly listed: boolean;
  /** A heading says further down that the method begins there. */
  readonly methodAhead: boolean;
}

/** Where nothing stands above. */
export const AT_THE_TOP: Above = { part: 'head', begun: false, listed: false, methodAhead: false };

/** What stands above the next line. */
export function aboveNext(look: Look, kind: LineKind, { part, begun, listed, methodAhead }: Above): Above {
  return {
    methodAhead: methodAhead && kind !== 'method',
    part: partAfter(kind, part),
    begun: begun || (look.line.role !== 'row' && !look.talk && !look.times),
    listed: listed || look.amount || look.ends,
  };
}

/** Where in a recipe a line stands. */
export type Part = 'head' | 'ingredients' | 'method' | 'aside';

/** The part that a line of a kind opens, or the one that goes on. */
function partAfter(kind: LineKind, part: Part): Part {
  if (kind === 'ingredients' || kind === 'method' || kind === 'aside') return kind;
  if (kind === 'ingredient') return 'ingredients';
  return kind === 'step' ? 'method' : part === 'aside' && kind === 'part' ? 'ingredients' : part;
}

function isTitle(look: Look): boolean {
  return look.words <= 16 && look.text.length < 110 && !look.amount && !/^\W*[-–•*]/.test(look.line.text);
}

/** "For the sauce:", "Green rice": short, no amount, no work, and something comes after. */
function isPartHead({ text, words, amount, ends, sentence, line }: Look, next: Look | undefined): boolean {
  if (words > 7 || amount || !next || next.line.role === 'heading') return false;
  if (/^\d/.test(text) || /[,;]/.test(text)) return false;
  return (
    (!sentence || /[:：]\s*$/.test(text)) &&
    (!ends || line.role === 'heading') &&
    (next.amount || next.works !== null || next.ends || next.numbered || line.role === 'heading')
  );
}

/** A line that asks for work: numbered, or begun by a verb, or long with one in it. */
function isInstruction(look: Look): boolean {
  if (look.amount && !look.sentence && look.words <= 9 && look.works !== 'begins') return false;
  if (look.numbered && look.works !== null) return true;
  const season =
    /^\W*(?:salt|season(?:ing|ed)|dress|butter|oil|top|stock|ground|chopped|sliced|grated|crushed|toasted)\b/i.test(
      look.text,
    );
  if (look.works === 'begins' && !season) return look.text.length > 30 || look.sentence || look.words >= 4;
  return look.works === 'holds' && (look.sentence || look.numbered) && look.words > 4;
}
