import type { Attention, Minutes, Place } from '@/core/dish/dish';
import type { Heat } from '@/core/kitchen/kitchen';
import { celsiusOf, fahrenheitOfGasMark } from '@/core/units/measures';
import { type ReadDuration, readDuration } from './duration';

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

/** A step of which nothing is known but that it is one. */
export const NO_GUESS: Guess = {
  sort: 'mix',
  place: { at: 'board' },
  attention: 'hands',
  minutes: { shortest: 2, likely: 3, longest: 5 },
  sortWords: null,
  minutesWords: null,
  doneWhen: '',
  meanwhile: false,
  dayBefore: false,
};

/** In the order in which they win: what names a place of its own before what only hands do. */
const VERBS: readonly (readonly [StepSort, RegExp])[] = [
  ['marinate', /\bmarinat(?:e|ing)\b|\bmarinade\b.*\b(?:fridge|overnight)\b/i],
  ['soak', /\bsoak(?:ed|ing)?\b/i],
  [
    'bake',
    /\b(?:bake[sd]?|baking|roast(?:ing)?|(?:in(?:to)?|to) (?:the |a |your )?(?:hot |preheated |warm |low )?oven|broil|grill(?:ing)?)\b|(?:^|[.!] ?)\W*oven\b/i,
  ],
  ['chill', /\b(?:chill|refrigerate|in(?:to)? the fridge|in the refrigerator)\b/i],
  [
    'fry',
    /\b(?:fry(?:ing)?|fries|saut[eé](?:ed|ing)?|soften(?:ing)?|brown(?:ing)?|sear|seal the meat|toast|stir-fry|caramelise|caramelize|sweat|sizzle|crisp(?: up)?|wilt|render|griddle|char|colou?r (?:the|it|them|all|in)|crackle|go(?:es)? (?:golden|brown))(?![\p{L}])/iu,
  ],
  [
    'simmer',
    /\b(?:simmer(?:ing)?|braise|stew|poach(?:ing)?|steam(?:ed)?|reduce (?!the heat|heat|to (?:a |the )?(?:low|medium))|bubble|tick(?:ing)? over|blip|cook(?:ed|ing|s)? (?:down|away|out)|deglaze)\b/i,
  ],
  ['boil', /\b(?:boil(?:ing)?|bring (?:[\p{L}]+ ){0,4}?(?:up |back )?to (?:the|a) (?:boil|simmer)|bring to boil)\b/iu],
  [
    'rest',
    /\b(?:rest(?:s|ing)?|stand(?:ing)?|set aside|cool(?: (?:down|under|on|in|for))?|leave(?: it| them| the [\p{L}]+)?(?:,| to\b| for\b| covered\b| alone\b| in\b| under\b| \d)|let (?:it|them|the [\p{L}]+)(?= (?!boil|brown|cook|simmer))|let (?:rest|stand|sit|cool|rise|steep)|rise|prove|steep|settle|keep (?:it |them )?warm|pressure (?:go|come|drop)|natural(?:ly)? release)(?![\p{L}])/iu,
  ],
  [
    'drain',
    /\b(?:drain|strain|rinse|wash|lift (?:it |them |the [\p{L}]+ )?out|take (?:it |them |the [\p{L}]+ )?out)\b/iu,
  ],
  [
    'chop',
    /\b(?:chop|slice|dice|mince|peel|grate|shred|cut|trim|crush|halve|quarter|core|julienne|joint the|bone|devein|score|slit|flake|carve|zest|pit|deseed|seed the|hull|debone|fillet)\b/i,
  ],
  [
    'serve',
    /\b(?:serve|garnish|scatter over|sprinkle (?:over|with)|drizzle over|ladle|spoon onto|dish up|plate up)\b/i,
  ],
  [
    'mix',
    /\b(?:mix|stir|whisk|combine|knead|blend|season|add|pour|fold|beat|toss|taste|mash|process|rub|melt|heat|warm|wrap|divide|lay|seal|spread|arrange|roll|line|throw|put|place|return|fork|fluff|shape|press|tip|skim|dress|dissolve|brush|pat|remove|transfer|discard|check|turn|take|lift|layer|cover|uncover|sift|coat|dip|fill|stuff|skewer|thread|thin|scrape|squeeze|sprinkle|scatter|drizzle|top|spoon|salt|reserve|set up|break|crack|separate|crumble|grind|pound|roll out|flip|lower|raise|increase|stretch|fold in|goes? (?:back )?in|in goes?|adjust|finish|swirl|open|rub|baste|unmould|invert|deep[- ]fry|make|push|stick|insert|stud|truss|tie|prick|pick)\b/i,
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
    /(?<!\p{L})(?:anbraten|braten|anschwitzen|andünsten|rösten|revenir|rissol|saisi|dore[rz]|sauter|suer|mitrösten|rehog|sofre[ií]|fre[ií]r|dorar|kavur|kızart)|تفت|سرخ کنید|اقل[يِ]|يُقلى|भून|तल/iu,
  ],
  [
    'simmer',
    /(?<!\p{L})(?:köcheln|schmoren|garen|dünsten|mijote|cuire|cuisson|cuise|cocer|a fuego lento|guisar|kısık ateşte|pişir|demle)|بپز|دم کنید|اطه|يطهى|ينضج|पका/iu,
  ],
  [
    'boil',
    /اسلق|يسلق|(?<!\p{L})(?:aufkochen|kochen|zum kochen|bouillir|ébullition|hervir|kayna)|بجوش|جوش بیا|يغلي|اغل|उबाल/iu,
  ],
  [
    'rest',
    /(?<!\p{L})(?:ruhen|ziehen lassen|abkühlen|reposer|refroidir|reposar|enfriar|dinlen)|استراحت|يرتاح|اتركه|रहने दें/iu,
  ],
  [
    'drain',
    /(?<!\p{L})(?:abgießen|abtropfen|abseihen|waschen|herausnehmen|égoutte|rince[rz]|retire[rz]|réserve[rz]|retirar|escurr|lavar|süz|yıka)|آبکش|صاف کنید|بشویید|صفّ|اغسل|छान|धो/iu,
  ],
  [
    'chop',
    /(?<!\p{L})(?:schneiden|hacken|würfeln|schälen|reiben|coupe[rz]|hache[rz]|éminc|épluch|râpe[rz]|cisel|détaill|nettoye[rz]|trocea|picar|cortar|pelar|rallar|doğra|soy|rendele)|خرد کنید|رنده|پوست|قطّع|افرم|قشّر|काट|छील/iu,
  ],
  ['serve', /(?<!\p{L})(?:servieren|anrichten|servir|servez|servis|sirv[ae])|سرو|قدّم|يقدم|परोस/iu],
  [
    'mix',
    /(?<!\p{L})(?:mischen|vermengen|rühren|zugeben|zufügen|hinzu|dazu|würzen|abschmecken|ablöschen|erhitzen|chauffer|salez|poivrez|calenta|vert[ei]|repart|pasar|precalenta|mélang|ajout|versez?|verser|incorpor|assaisonn|mezcl|añad|agreg|ech[ae]|karıştır|ekle|koy)|مخلوط|اضافه|بریزید|هم بزنید|اخلط|أضف|اسكب|मिला|डाल/iu,
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
  /\bin (?:dice|slices|rings|cubes|quarters|halves|chunks)\b|\bmince (?:in|goes|back)\b|\b(?:the )?rest of\b|\b(?:both|all|each|other|cut|skin|second|per|one) sides?(?: down| up)?\b|\b(?:self-)?rais\w+ flour\b|\b(?:smoked|dried|cooked|roasted|toasted|ground|chopped|sliced|diced|minced|grated|peeled|drained|crushed|softened|browned|fried|boiled|baked|chilled|soaked|melted|beaten|reserved|remaining|cut)(?= [a-z])|\bbrowned bits\b|\b(?:brown|white|red|green|yellow) (?:sugar|rice|onions?|lentils?|bread|sauce|flour|beans?|meat)\b|\bbread ?crumbs?\b|\btop of\b|\bon top\b|\bin half\b|\bcover(?:ed)? (?:with|w\/) (?:a )?(?:lid|foil|cloth|towel)\b|\bcore temperature\b|\bpart of\b|\bback up\b|\bcooks?['’]s?\b|\b(?:the|with|of|add|lamb|beef|pork|turkey|lean|raw) mince\b|\boff the heat\b|\b(?:do not|don['’]t|without|never|not) (?:let(?:ting)? (?:it|them) )?(?:boil|brown|stir|lift|open|cover|overcook|burn|colou?r)(?:ing)?\b|\b(?:frying|sauté|roasting|baking|grill|griddle) ?(?:pan|tin|tray|sheet|dish|paper|parchment|powder|soda)\b|\bsoup\b|\b(?:cooking|mixing|serving|chopping) (?:liquid|water|time|bowl|dish|plate|board|spoon)s?\b|\ba slice of\b|\b(?:boiling|simmering|chilled|cool|cold|iced|hot) (?:salted )?(?:water|stock|broth|oil)\b|\bgrated zest\b/gi;
/** "Let them colour", "let it bubble": what they do, not that they are left. */
const LET: readonly (readonly [RegExp, string])[] = [
  [
    /\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:colou?r|brown|fry|sizzle|soften|crisp|crackle|go (?:golden|brown|soft))\b/gi,
    'fry',
  ],
  [/\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:bubble|simmer|cook|reduce|blip)\b/gi, 'simmer'],
  [/\b(?:let|allow) (?:it|them|the [a-z]+)(?: to)? (?:boil|come to the boil)\b/gi, 'boil'],
];
/** "Preheat the oven to 200 °C" asks nothing: the plan warms it by itself. What else the sentence says does. */
const PREHEAT =
  /(?:\bfirst,? )?\b(?:pre-?heat|heat) (?:the |your |an )?oven\b(?: to)?[^,;.]*?(?=,|;|\.|$|\band\b|\bthen\b)(?:\s*(?:,|;|\band\b|\bthen\b)\s*)*/i;

/** The same in other languages: nothing else stands in such a sentence. */
const PREHEAT_ELSEWHERE =
  /^\W*(?:(?:den )?(?:back)?ofen\b.{0,40}\bvorheizen|préchauffe[rz]? le four\b.{0,40}|precal(?:entar|iente) el horno\b.{0,40}|fırını\b.{0,40}\bısıtın)\W*$/iu;

/** Work that goes on by itself through a night, or a day before: a slow cooker does not. */
const RESTS: ReadonlySet<StepSort> = new Set(['soak', 'marinate', 'chill', 'rest']);

/** What a sentence asks besides a warm oven. */
export function withoutPreheating(sentence: string): string {
  return sentence
    .replace(PREHEAT, '')
    .replace(PREHEAT_ELSEWHERE, '')
    .replace(/^[^\p{L}]+$/u, '')
    .trim();
}

/** "While the rice cooks, …", "Once it boils, …": when something is to be done, which is not what is done. */
/** What is not to be done is nothing to do. */
const FORBIDS = /^\W*(?:do not|don['’]t|never|avoid|nicht|ne pas|no (?:dejar|abrir|remover))\b[^.]*[.!]?$/i;
const LEAD =
  /^\W*(?:about )?(?:\d+|half an|an|a quarter of an|ten|fifteen|twenty|thirty) (?:minutes?|mins?|hours?) before (?:the end|serving|you eat|it is done)[^,.;]{0,30}, |^\W*(?:(?:now|then|and) )?while (?:they|it|that|this|the [\p{L}]+)(?:['’](?:re|s)| is| are)? \p{L}+ing\b,? |^\W*(?:(?:now|then|and|meanwhile) )?(?:while|when|once|after|as soon as|pendant que|sobald|während|cuando|mientras)\b[^,.;]{3,70},\s*/iu;

/** A sentence without when it is to be done. */
export function withoutLead(sentence: string): string {
  const rest = sentence.replace(LEAD, '');
  if (rest === sentence || saysWork(rest)) return rest;
  // "While they're boiling I do the fish": nothing is asked for yet.
  return readDuration(sentence) === null && !/,/.test(sentence) ? '' : sentence;
}

/** What a sentence of a recipe asks for; null for what asks nothing of the cook ("Preheat the oven": the plan warms it by itself). */
export function classify(written: string, before?: Pick<Guess, 'place' | 'sort'>): Guess | null {
  const asked = withoutLead(withoutPreheating(written));
  if (asked === '' || (asked !== written && !/[a-z]{3,}\s+[a-z]{2,}/i.test(asked))) return null;
  const sentence = LET.reduce((text, [pattern, verb]) => text.replace(pattern, verb), asked).replace(NO_VERBS, ' … ');
  if (FORBIDS.test(asked)) return null;
  const duration = durationOf(asked);
  const found = [...VERBS, ...ELSEWHERE]
    .map(([sort, pattern]) => [sort, sentence.match(pattern)] as const)
    .filter(([, match]) => match);
  const cooks = sentence.match(/\bcook(?:ed|ing|s)?\b(?! (?:the )?(?:time|book|liquid))/i);
  const cooked =
    cooks &&
    (duration !== null ||
      !found.some(([sort]) => ['fry', 'bake', 'simmer', 'boil', 'marinate', 'soak', 'chill'].includes(sort)));
  const all = cooked && !found.some(([sort]) => sort === 'bake') ? [[cookOf(asked), cooks] as const, ...found] : found;
  const best = choose(all, sentence, duration !== null) ?? unnamedWork(asked, duration !== null);
  if (!best) return null;
  const [sort, words] = best;
  const placed = placeAfter(sort, asked, before, duration !== null);
  const until = written.match(/\buntil ([^.,;]+)/i);
  return {
    sort,
    place: placed,
    attention: attentionIn(sort, asked, placed, duration),
    minutes: duration?.minutes ?? USUAL[sort],
    sortWords: words === '' ? null : words,
    minutesWords: duration?.words ?? null,
    doneWhen: until ? until[1]!.trim() : '',
    meanwhile: saysMeanwhile(written),
    dayBefore:
      /\bthe (?:day|night|evening) before\b/i.test(asked) ||
      (RESTS.has(sort) && (/\bovernight\b/i.test(asked) || (duration?.minutes.likely ?? 0) >= 480)),
  };
}

/** Whether a sentence says that it goes on beside what is under way. */
export function saysMeanwhile(sentence: string): boolean {
  return /\b(?:meanwhile|in the meantime|while (?!\p{L}+ing|still|hot|warm|you can)|at the same time|(?:minutes|hour) before the end(?=,)|inzwischen|währenddessen|in der zwischenzeit|unterdessen|derweil|pendant ce temps|mientras tanto|bu (?:sırada|arada))\b|در این (?:فاصله|حین)|في هذه الأثناء|इस बीच/iu.test(
    sentence,
  );
}

/** Whether a sentence asks for work at all. */
export function saysWork(sentence: string): boolean {
  const plain = sentence.slice(0, LOOKED_AT).replace(NO_VERBS, ' … ');
  return [...VERBS, ...ELSEWHERE].some(([, pattern]) => pattern.test(plain)) || /\bcook(?:ed|ing)?\b/i.test(plain);
}

/** The same in another language than English. */
export const worksElsewhere = (sentence: string): boolean => ELSEWHERE.some(([, pattern]) => pattern.test(sentence));

/** Longer than that no sentence is looked at. */
const LOOKED_AT = 2000;
/** Words before the verb with which a sentence begins all the same. */
const BEFORE_VERB =
  /^\W*(?:(?:now|then|next|first|finally|meanwhile|carefully|gently|quickly|slowly|once|when|while|after|in the meantime|at the same time|in (?:a|the|another)|into (?:a|the)|on (?:a|the)|off the heat|for the|to (?:make|finish|serve)|using|with|if|as soon as|just before|about|dans|pendant ce temps|in der|in einem|inzwischen|währenddessen|mientras|en una?|bu sırada)\b|\p{L}+ly\b)/iu;

/** Whether a line begins with work: its first word is a verb, or it leads to one ("In a large pan, heat …"). */
export function startsWork(line: string): boolean {
  const plain = line.slice(0, 200);
  if (/^\W*[\d½¼¾]/.test(plain)) return false;
  const [first = ''] = plain.match(/[\p{L}\p{M}-]+/u) ?? [];
  if (FIRST_VERBS.test(first) || ELSEWHERE.some(([, pattern]) => pattern.test(first))) return true;
  return BEFORE_VERB.test(plain) && saysWork(plain);
}

const FIRST_VERBS =
  /^(?:add|arrange|bake|baste|beat|blanch|blend|boil|bone|braise|break|bring|broil|brown|brush|char|check|chill|chop|clean|coat|colou?r|combine|cook|cool|core|cover|crack|crumble|crush|cut|deglaze|dice|dip|discard|dissolve|divide|drain|dredge|dress|drizzle|fill|finish|flake|flip|fluff|fold|fork|fry|garnish|grate|grease|grill|grind|halve|heat|invert|joint|julienne|keep|knead|ladle|lay|layer|leave|let|lift|line|lock|lower|marinate|mash|measure|melt|mix|pat|peel|place|poach|pound|pour|preheat|prepare|press|prick|process|pulse|put|reduce|refrigerate|remove|render|rest|return|rinse|roast|roll|rub|salt|saut[eé]|scatter|score|scrape|sear|season|separate|serve|set|shape|shred|sift|simmer|skewer|skim|slice|slide|smash|soak|soften|soften|spoon|spread|sprinkle|squeeze|stand|steam|steep|stew|stir|store|strain|stuff|sweat|swirl|take|taste|thread|throw|tip|toast|top|toss|transfer|trim|turn|uncover|unmould|warm|wash|whip|whisk|wilt|wipe|wrap|zest)$/i;

/** Said of one side, it is done twice. */
const A_SIDE =
  /\b(?:per|each|a|every|either|on each) sides?\b|\bpro Seite\b|\bje Seite\b|\bpar côté\b|\bde chaque côté\b|\bpor lado\b|\bher (?:iki )?yüz/iu;
/** A bare number at the end of a note of a few words: "render pancetta 5", "10 low". */
const BARE = /(?:^|[\s,])(\d{1,3})(?:\s*(?:low|high|med(?:ium)?|gentle|gently|hot|lid on|covered))?$/i;
const MOST_BARE_WORDS = 7;

function durationOf(sentence: string): ReadDuration | null {
  const said = readDuration(sentence);
  if (said) {
    const { shortest, likely, longest } = said.minutes;
    return A_SIDE.test(sentence)
      ? { ...said, minutes: { shortest: shortest * 2, likely: likely * 2, longest: longest * 2 } }
      : said;
  }
  const bare = sentence.split(/\s+/).length <= MOST_BARE_WORDS ? sentence.replace(/[\s.]+$/, '').match(BARE) : null;
  return bare && Number(bare[1]) > 0 ? readDuration(`${bare[1]} min`) : null;
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

/** What "cook" means in a sentence, by what stands around it. */
function cookOf(sentence: string): StepSort {
  if (
    /\b(?:simmer|water|stock|broth|liquid|lid|cover(?:ed)?|tender|pressure|slow cooker|low heat|lowest|al dente|rice|pasta|absorbed)\b/i.test(
      sentence,
    )
  ) {
    return /\b(?:wok|skillet|frying pan|frypan|each side|per side|golden|brown)\b/i.test(sentence) ? 'fry' : 'simmer';
  }
  return /\b(?:oil|butter|ghee|fat|dripping|pan|frypan|wok|skillet|golden|brown|crisp|soft(?:ened)?|stirring|sides?|fragrant|translucent|onions?|garlic|minute or two)\b/i.test(
    sentence,
  )
    ? 'fry'
    : 'simmer';
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
  if (!timed) return null;
  if (ovenOf(sentence) !== null || /\boven\b/i.test(sentence)) return ['bake', ''];
  if (/\b(?:hob|stove|flame|burner|heat|pan|pot|lid|covered)\b/i.test(sentence)) return ['simmer', ''];
  return /\b(?:let|leave|wait|pressure)\b/i.test(sentence) ? ['rest', ''] : ['mix', ''];
}

/** Work that goes into what stands on the heat, where something does. */
const INTO_POT =
  /\b(?:add|stir|pour|tip|throw|return|deglaze|put|go(?:es)? (?:back )?in|in goes?|scatter in|drop|sprinkle in|fold in|toss in|turn|slide|lay|give it)\b|zugeben|zufügen|dazu|ablöschen|mitrösten|ajoute[rz]?|versez|añad|agreg|ekle|karıştır|اضافه|أضف|डाल|मिला/iu;
const NOT_IN_POT =
  /\b(?:greased|buttered|oiled|ovenproof|deep dish|off the heat|remove(?:d)? from (?:the )?heat|bowl|jug|plate|platter|board|tray|baking dish|casserole dish|[\dx]+ ?pan|dish|mixture to|processor|blender|serve|garnish|to finish|colander|fridge|pour [\p{L} ]{2,20} over)\b|hors du feu|fuera del fuego/iu;

/** The place of a step after another: what is added to a pot on the heat is added on the heat. */
function placeAfter(
  sort: StepSort,
  sentence: string,
  before: Pick<Guess, 'place' | 'sort'> | undefined,
  timed: boolean,
): Place {
  const place = placeOf(sort, sentence);
  const onHeat = before?.place.at === 'burner';
  if (sort === 'mix' && onHeat && !NOT_IN_POT.test(sentence) && (timed || INTO_POT.test(sentence))) return before.place;
  // "Give it 30 minutes more": where it was.
  if (sort === 'mix' && timed && before?.place.at === 'oven' && /\b(?:more|another|further|longer)\b/i.test(sentence))
    return before.place;
  if (
    sort === 'mix' &&
    timed &&
    /\b(?:pan|saucepan|skillet|wok|frypan)\b/i.test(sentence) &&
    !NOT_IN_POT.test(sentence)
  )
    return { at: 'burner', heat: heatOf('fry', sentence) };
  if (
    sort === 'mix' &&
    /(?:^|[,;:] |\band )(?:\p{L}+ly )?(?:heat|melt|warm)\b[^.]{0,40}\b(?:oil|butter|ghee|fat|pan|pot|lard|dripping|milk|cream|water|stock|skillet|wok)\b|\bchauffer\b|\berhitzen\b|\bcalentar\b/iu.test(
      sentence,
    ) &&
    !/\bmelted\b/i.test(sentence)
  )
    return { at: 'burner', heat: heatOf('fry', sentence) };
  return place;
}

/** So long nobody stirs without being told to. Minutes. */
const LONG = 6;

/** What goes into a pot for many minutes, or on in the oven, wants no hands all the time. */
function attentionIn(sort: StepSort, sentence: string, place: Place, duration: ReadDuration | null): Attention {
  if (sort === 'mix' && duration && !/\b(?:stir|whisk|beat|knead|turn)/i.test(sentence)) {
    if (place.at === 'oven') return 'none';
    if (place.at === 'burner' && duration.minutes.likely >= LONG) return 'eyes';
  }
  return attentionOf(sort, sentence);
}

function attentionOf(sort: StepSort, sentence: string): Attention {
  if (sort === 'simmer' || sort === 'boil')
    return /\bstirring (?:all the time|constantly|continuously|throughout|well)\b|\bkeep stirring\b|\bwhisking\b|\bunter Rühren\b|\ben remuant\b/iu.test(
      sentence,
    )
      ? 'hands'
      : 'eyes';
  if (
    sort === 'fry' &&
    /\bstirring (?:now and (?:then|again)|occasionally|from time to time|once or twice)\b/i.test(sentence)
  )
    return 'hands';
  return ATTENTION[sort];
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

/** Tens as they are spoken; nothing stands at the place of none. */
const TENS = ['', 'ten', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const SPOKEN_HEAT = new RegExp(
  `\\boven\\b[^.]{0,30}\\b(?:at|to) (a|one|two) hundred(?: and (${TENS.slice(1).join('|')}))?\\b`,
  'i',
);

/** °C of an oven in a sentence: "200 °C", "400°F", "gas mark 6"; null when it says none. */
export function ovenOf(sentence: string): number | null {
  const celsius = sentence.match(/(\d{2,3})\s*(?:°|degrees)?\s*C\b/);
  if (celsius) return within(Number(celsius[1]));
  const fahrenheit = sentence.match(/(\d{3})\s*(?:°|degrees)?\s*F\b/);
  if (fahrenheit) return within(Math.round(celsiusOf(Number(fahrenheit[1])) / 5) * 5);
  // "350, 25-30 min": a number that only an oven has, at the beginning of a short line.
  const bare = sentence.match(/^\W*(?:oven|bake)?(?: at| to)?\W*(\d{3})\s*(?:degrees|°)?\s*(?:,|for\b|–|-|\.|$)/i);
  if (bare) return within(Number(bare[1]) > 260 ? Math.round(celsiusOf(Number(bare[1])) / 5) * 5 : Number(bare[1]));
  // "Into the oven at two hundred".
  const spoken = sentence.match(SPOKEN_HEAT);
  if (spoken) return within((/two/i.test(spoken[1]!) ? 200 : 100) + TENS.indexOf(spoken[2]?.toLowerCase() ?? '') * 10);
  const mark = sentence.match(/\bgas(?: mark)? ?(\d{1,2})\b/i);
  const degrees = mark && fahrenheitOfGasMark(Number(mark[1]));
  return degrees ? within(Math.round(celsiusOf(degrees) / 5) * 5) : null;
}

function within(celsius: number): number | null {
  return celsius >= 50 && celsius <= 300 ? celsius : null;
}

/** An oven's heat and nothing else: it stands at the step that it is for. */
export function isOnlyHeat(sentence: string): boolean {
  return ovenOf(sentence) !== null && !/[a-z]{3,}/i.test(sentence.replace(/oven|fan|gas|mark|degrees|celsius/gi, ''));
}
