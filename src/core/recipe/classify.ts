import type { Attention, Minutes, Place } from '@/core/dish/dish';
import type { Heat } from '@/core/kitchen/kitchen';
import { celsiusOf, fahrenheitOfGasMark } from '@/core/units/measures';
import { readDuration } from './duration';

/** What a step is, as its words say. */
export type StepSort =
  | 'soak'
  | 'marinate'
  | 'chop'
  | 'boil'
  | 'simmer'
  | 'fry'
  | 'bake'
  | 'rest'
  | 'chill'
  | 'drain'
  | 'mix'
  | 'serve';

/** Sorts of steps that are told apart, for a choice. */
export const STEP_SORTS: readonly StepSort[] = [
  'chop',
  'mix',
  'soak',
  'marinate',
  'fry',
  'boil',
  'simmer',
  'bake',
  'drain',
  'rest',
  'chill',
  'serve',
];

/** A guess at a step, to be confirmed; each part with the words it rests on, where there are any. */
export interface Guess {
  readonly sort: StepSort;
  readonly place: Place;
  readonly attention: Attention;
  readonly minutes: Minutes;
  /** The words that gave the sort, and those that gave the minutes; null for what is only usual. */
  readonly sortWords: string | null;
  readonly minutesWords: string | null;
  readonly doneWhen: string;
  /** Goes on beside the step before it. */
  readonly meanwhile: boolean;
  readonly dayBefore: boolean;
}

/** In the order in which they win: what names a place of its own before what only hands do. */
const VERBS: readonly (readonly [StepSort, RegExp])[] = [
  ['marinate', /\bmarinat(?:e|ing)\b|\bmarinade\b.*\b(?:fridge|overnight)\b/i],
  ['soak', /\bsoak(?:ed|ing)?\b/i],
  [
    'bake',
    /\b(?:bake|baking|roast(?:ing)?|into the (?:hot |preheated )?oven|in the (?:hot |preheated )?oven|broil|grill)\b/i,
  ],
  ['chill', /\b(?:chill|refrigerate|in(?:to)? the fridge|in the refrigerator)\b/i],
  ['fry', /\b(?:fry|saut[eé]|soften|brown|sear|toast|stir-fry|caramelise|caramelize|sweat|sizzle|crisp|wilt)\b/i],
  [
    'simmer',
    /\b(?:simmer|cook(?:ed|ing)? (?:gently|slowly|on|over|for|until|uncovered|covered|a few)|braise|stew|poach|steam|cover and cook|reduce|bubble)\b/i,
  ],
  ['boil', /\b(?:boil|bring (?:it |everything )?(?:up )?to (?:the|a) (?:boil|simmer)|rolling boil)\b/i],
  ['rest', /\b(?:rest|stand|set aside|cool|leave (?:it |them )?(?:to|for|covered)|let (?:it|them)|rise|prove)\b/i],
  ['drain', /\b(?:drain|strain|rinse|wash)\b/i],
  ['chop', /\b(?:chop|slice|dice|mince|peel|grate|shred|cut|trim|crush|halve|quarter|core|julienne)\b/i],
  ['serve', /\b(?:serve|garnish|scatter over|sprinkle over|drizzle over|ladle|spoon onto)\b/i],
  [
    'mix',
    /\b(?:mix|stir|whisk|combine|knead|blend|season|add|pour|fold|beat|toss|taste|mash|process|rub|melt|heat|wrap|divide|lay|seal|spread|arrange|roll|line|throw|put|place|return|fork|fluff|shape|press|tip|skim|dress|dissolve)\b/i,
  ],
];

/** The same in other languages, as stems: German, French, Spanish, Turkish, Persian, Arabic, Hindi. */
const ELSEWHERE: readonly (readonly [StepSort, RegExp])[] = [
  ['marinate', /(?<!\p{L})(?:marinier|mariner|marinar|marine et)|در مواد بخوابان|تبّل|मैरिनेट/iu],
  ['soak', /(?<!\p{L})(?:einweich|quellen lassen|tremper|remoj|ıslat)|خیس (?:کنید|بخور)|انقع|تنقع|भिगो/iu],
  ['bake', /(?<!\p{L})(?:backen|überbacken|im ofen|au four|enfourner|hornea|al horno|fırın)|در فر|في الفرن|ओवन/iu],
  [
    'chill',
    /(?<!\p{L})(?:kühl stellen|kalt stellen|au réfrigérateur|au frais|en la nevera|buzdolab)|در یخچال|في الثلاجة|फ्रिज/iu,
  ],
  [
    'fry',
    /(?<!\p{L})(?:anbraten|braten|anschwitzen|andünsten|rösten|revenir|rissoler|saisir|dorer|sofre[ií]|fre[ií]r|dorar|kavur|kızart)|تفت|سرخ کنید|اقل[يِ]|يُقلى|भून|तल/iu,
  ],
  [
    'simmer',
    /(?<!\p{L})(?:köcheln|schmoren|garen|dünsten|mijoter|cuire|cocer|a fuego lento|guisar|kısık ateşte|pişir|demle)|بپز|دم کنید|اطه|يطهى|ينضج|पका/iu,
  ],
  ['boil', /(?<!\p{L})(?:aufkochen|kochen|zum kochen|bouillir|ébullition|hervir|kayna)|بجوش|جوش بیا|يغلي|اغل|उबाल/iu],
  [
    'rest',
    /(?<!\p{L})(?:ruhen|ziehen lassen|abkühlen|reposer|refroidir|reposar|enfriar|dinlen)|استراحت|يرتاح|اتركه|रहने दें/iu,
  ],
  [
    'drain',
    /(?<!\p{L})(?:abgießen|abtropfen|abseihen|waschen|égoutter|rincer|escurr|lavar|süz|yıka)|آبکش|صاف کنید|بشویید|صفّ|اغسل|छान|धो/iu,
  ],
  [
    'chop',
    /(?<!\p{L})(?:schneiden|hacken|würfeln|schälen|reiben|couper|hacher|émincer|éplucher|râper|picar|cortar|pelar|rallar|doğra|soy|rendele)|خرد کنید|رنده|پوست|قطّع|افرم|قشّر|काट|छील/iu,
  ],
  ['serve', /(?<!\p{L})(?:servieren|anrichten|servir|servez|servis)|سرو|قدّم|يقدم|परोस/iu],
  [
    'mix',
    /(?<!\p{L})(?:mischen|vermengen|rühren|zugeben|hinzu|dazu|würzen|mélang|ajout|versez?|verser|incorpor|assaisonn|mezcl|añad|agreg|ech[ae]|karıştır|ekle|koy)|مخلوط|اضافه|بریزید|هم بزنید|اخلط|أضف|اسكب|मिला|डाल/iu,
  ],
];

/** Minutes that such a step usually takes where none are said. Common practice, no source. */
const USUAL: Readonly<Record<StepSort, Minutes>> = {
  soak: { shortest: 30, likely: 45, longest: 90 },
  marinate: { shortest: 60, likely: 90, longest: 240 },
  chop: { shortest: 4, likely: 6, longest: 9 },
  boil: { shortest: 6, likely: 9, longest: 14 },
  simmer: { shortest: 12, likely: 18, longest: 28 },
  fry: { shortest: 5, likely: 7, longest: 11 },
  bake: { shortest: 25, likely: 35, longest: 50 },
  rest: { shortest: 5, likely: 10, longest: 20 },
  chill: { shortest: 30, likely: 60, longest: 240 },
  drain: { shortest: 2, likely: 2, longest: 4 },
  mix: { shortest: 2, likely: 3, longest: 5 },
  serve: { shortest: 1, likely: 2, longest: 4 },
};

/** Words that look like something to do and are none: the meat, the pan, what is left, what is not to happen. */
const NO_VERBS =
  /\b(?:the )?rest of\b|\b(?:the|with|of|add|lamb|beef|pork|turkey|lean|raw) mince\b|\boff the heat\b|\b(?:do not|don['’]t|without|never|not) (?:let(?:ting)? (?:it|them) )?(?:boil|brown|stir|lift|open|cover|overcook|burn|colou?r)(?:ing)?\b|\b(?:frying|sauté|roasting|baking|grill|griddle) ?(?:pan|tin|tray|sheet|dish|paper|parchment|powder|soda)\b|\bsoup\b|\b(?:cooking|mixing|serving|chopping) (?:liquid|water|time|bowl|dish|plate|board|spoon)s?\b|\ba slice of\b|\b(?:boiling|simmering|chilled|cool|cold|iced|hot) (?:salted )?(?:water|stock|broth|oil)\b|\bgrated zest\b/gi;
/** "Let them colour", "let it bubble": what they do, not that they are left. */
const LET: readonly (readonly [RegExp, string])[] = [
  [/\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:colou?r|brown|fry|sizzle|soften|crisp)\b/gi, 'fry'],
  [/\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:bubble|simmer|cook|reduce|blip)\b/gi, 'simmer'],
  [/\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:boil|come to the boil)\b/gi, 'boil'],
];
/** "Preheat the oven to 200 °C" asks nothing: the plan warms it by itself. What else the sentence says does. */
const PREHEAT =
  /(?:\bfirst,? )?\b(?:pre-?heat|heat) (?:the |your |an )?oven\b(?: to)?[^,;.]*?(?=,|;|\.|$|\band\b|\bthen\b)(?:\s*(?:,|;|\band\b|\bthen\b)\s*)*/i;

/** Work that goes on by itself through a night, or a day before: a slow cooker does not. */
const RESTS: ReadonlySet<StepSort> = new Set(['soak', 'marinate', 'chill', 'rest']);

/** What a sentence asks besides a warm oven. */
export function withoutPreheating(sentence: string): string {
  return sentence
    .replace(PREHEAT, '')
    .replace(/^[^\p{L}]+$/u, '')
    .trim();
}

/** What a sentence of a recipe asks for; null for what asks nothing of the cook ("Preheat the oven": the plan warms it by itself). */
export function classify(written: string): Guess | null {
  const asked = withoutPreheating(written);
  if (asked === '' || (asked !== written && !/[a-z]{3,}\s+[a-z]{2,}/i.test(asked))) return null;
  const sentence = LET.reduce((text, [pattern, verb]) => text.replace(pattern, verb), asked).replace(NO_VERBS, ' … ');
  const duration = readDuration(asked);
  const found = [...VERBS, ...ELSEWHERE]
    .map(([sort, pattern]) => [sort, sentence.match(pattern)] as const)
    .filter(([, match]) => match);
  const best = choose(found, sentence, duration !== null) ?? unnamedWork(asked, duration !== null);
  if (!best) return null;
  const [sort, words] = best;
  const until = sentence.match(/\buntil ([^.,;]+)/i);
  return {
    sort,
    place: placeOf(sort, asked),
    attention: ATTENTION[sort],
    minutes: duration?.minutes ?? USUAL[sort],
    sortWords: words === '' ? null : words,
    minutesWords: duration?.words ?? null,
    doneWhen: until ? until[1]!.trim() : '',
    meanwhile:
      /\b(?:meanwhile|in the meantime|while (?:the|it|they|this)|at the same time|inzwischen|währenddessen|pendant ce temps|mientras tanto|bu (?:sırada|arada))\b|در این (?:فاصله|حین)|في هذه الأثناء|इस बीच/iu.test(
        sentence,
      ),
    dayBefore:
      /\bthe (?:day|night|evening) before\b/i.test(asked) ||
      (RESTS.has(sort) && (/\bovernight\b/i.test(asked) || (duration?.minutes.likely ?? 0) >= 480)),
  };
}

/** The guess with another sort, as the cook says: place and attention follow, and the usual minutes where none were said. */
export function asSort(guess: Guess, words: string, sort: StepSort): Guess {
  return {
    ...guess,
    sort,
    sortWords: null,
    place: placeOf(sort, words),
    attention: ATTENTION[sort],
    minutes: guess.minutesWords === null ? USUAL[sort] : guess.minutes,
  };
}

/** A sentence with several verbs goes by the one with a place of its own when it says a time, else by the first in the list. */
function choose(
  found: readonly (readonly [StepSort, RegExpMatchArray | null])[],
  sentence: string,
  timed: boolean,
): readonly [StepSort, string] | null {
  const [first] = found;
  if (!first) return null;
  // "Stir in the cream and serve": hands, unless minutes are said beside something hot.
  const serve = found.find(([sort]) => sort === 'serve');
  const hot = found.find(([sort]) => !['serve', 'mix', 'chop', 'drain'].includes(sort));
  if (serve && !(hot && timed)) return ['serve', serve[1]![0]];
  // "Bring to the boil, then simmer for 20 minutes" is a simmer; the boil is on its way.
  const simmer = found.find(([sort]) => sort === 'simmer');
  if (simmer && timed && /simmer|cook|braise|stew/i.test(sentence)) {
    const winner = found.find(([sort]) => ['bake', 'marinate', 'soak'].includes(sort)) ?? simmer;
    return [winner[0], winner[1]![0]];
  }
  return [first[0], first[1]![0]];
}

/**
 * A sentence with a time and no verb that is known says what to do all the same: a temperature beside it is an oven, what is let or left rests,
 * and of anything else its own minutes count.
 */
function unnamedWork(sentence: string, timed: boolean): readonly [StepSort, string] | null {
  const cooks = /\bcook(?:ed|ing)?\b/i.test(sentence);
  if (cooks && /\b(?:hot|oiled|frying) pan\b|\bwok\b|\bskillet\b/i.test(sentence)) return ['fry', 'cook'];
  if (cooks) return ['simmer', 'cook'];
  if (!timed) return null;
  if (ovenOf(sentence) !== null || /\boven\b/i.test(sentence)) return ['bake', ''];
  if (/\b(?:hob|stove|flame|burner|heat|pan|pot|lid|covered)\b/i.test(sentence)) return ['simmer', ''];
  return /\b(?:let|leave|wait|pressure|until)\b/i.test(sentence) ? ['rest', ''] : ['mix', ''];
}

const ATTENTION: Readonly<Record<StepSort, Attention>> = {
  soak: 'none',
  marinate: 'none',
  chop: 'hands',
  boil: 'eyes',
  simmer: 'eyes',
  fry: 'hands',
  bake: 'none',
  rest: 'none',
  chill: 'none',
  drain: 'hands',
  mix: 'hands',
  serve: 'hands',
};

const OVEN = 180;

function placeOf(sort: StepSort, sentence: string): Place {
  switch (sort) {
    case 'boil':
    case 'simmer':
    case 'fry':
      return { at: 'burner', heat: heatOf(sort, sentence) };
    case 'bake':
      return { at: 'oven', celsius: ovenOf(sentence) ?? OVEN, shelves: 1 };
    case 'soak':
    case 'rest':
      return { at: 'rest' };
    case 'marinate':
    case 'chill':
      return { at: 'cold' };
    default:
      return { at: 'board' };
  }
}

function heatOf(sort: StepSort, sentence: string): Heat {
  if (
    /schwach|niedrig|petit feu|feu doux|fuego (?:lento|bajo)|kısık ateş|حرارت (?:ملایم|کم)|نار هادئة|धीमी आँच/iu.test(
      sentence,
    )
  )
    return 'low';
  if (/starke[rn]? hitze|feu vif|fuego (?:fuerte|vivo)|yüksek ateş|harlı|حرارت زیاد|نار عالية|तेज़? आँच/iu.test(sentence))
    return 'full';
  if (/\b(?:lowest|very low|barely)\b/i.test(sentence)) return 'lowest';
  if (/\blow(?:er)?(?: heat)?\b|\bgently\b/i.test(sentence)) return 'low';
  if (/\b(?:high|hot pan|very hot|rolling)\b/i.test(sentence)) return 'full';
  if (/\bmedium\b/i.test(sentence)) return 'medium';
  return sort === 'boil' ? 'full' : sort === 'fry' ? 'medium' : 'low';
}

/** °C of an oven in a sentence: "200 °C", "400°F", "gas mark 6"; null when it says none. */
export function ovenOf(sentence: string): number | null {
  const celsius = sentence.match(/(\d{2,3})\s*(?:°|degrees)?\s*C\b/);
  if (celsius) return within(Number(celsius[1]));
  const fahrenheit = sentence.match(/(\d{3})\s*(?:°|degrees)?\s*F\b/);
  if (fahrenheit) return within(Math.round(celsiusOf(Number(fahrenheit[1])) / 5) * 5);
  // "350, 25-30 min": a number that only an oven has, at the beginning of a short line.
  const bare = sentence.match(/^\W*(\d{3})\s*(?:degrees|°)?\s*(?:,|for\b|–|-)/i);
  if (bare) return within(Number(bare[1]) > 260 ? Math.round(celsiusOf(Number(bare[1])) / 5) * 5 : Number(bare[1]));
  const mark = sentence.match(/\bgas(?: mark)? ?(\d{1,2})\b/i);
  const degrees = mark && fahrenheitOfGasMark(Number(mark[1]));
  return degrees ? within(Math.round(celsiusOf(degrees) / 5) * 5) : null;
}

function within(celsius: number): number | null {
  return celsius >= 50 && celsius <= 300 ? celsius : null;
}
