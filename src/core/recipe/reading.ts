import { readFood } from '@/core/food/known';
import { own } from '@/core/plain/record';
import { message, say } from '@/core/say/say';
import type { ReadingResult, ReadStep, RecipeReading } from './as-read';
import type { Guess } from './classify';
import {
  classify,
  isOnlyHeat,
  NO_GUESS,
  ovenOf,
  saysMeanwhile,
  startsWork,
  withoutPreheating,
  worksElsewhere,
} from './classify';
import { NUMBER_WORDS } from './digits';
import { readDuration } from './duration';
import { stepFeatures } from './features';
import { mayNotWait } from './graph';
import { type ReadIngredient, readIngredients } from './ingredient-line';
import { recipeInData } from './json-ld';
import { linesOfText } from './kinds';
import { type Language, languageOf } from './language';
import { attentionJudge, placeJudge } from './learned';
import { recipeInLines } from './lines';
import { isMarkdown, readMarkdown } from './markdown';
import { isPage, readPage } from './page';
import { partsSaid } from './parts-said';
import type { Judge } from './perceptron';
import { sentencesOf, worksOf } from './split';
import { spokenIngredients } from './spoken';
import { MOST_BYTES, MOST_LINES, type PartsResult, type RecipeParts, readServings, untagged } from './taken-apart';
import { Ties } from './ties';

const USUAL_SERVINGS = 4;
const BROKEN = message(
  'Recipe: its data is broken JSON and cannot be read. Copy the recipe’s words from the page instead.',
);

/** Reads a recipe: data, a page, a marked-up text, or plain words. A refusal says what is wrong and what would do. */
export function readRecipe(text: string): ReadingResult {
  const found = takeApart(text);
  if (!found.ok) return found;
  return { ok: true, reading: readParts(found.parts, found.language) };
}

function takeApart(whole: string): PartsResult {
  if (whole.trim() === '')
    return { ok: false, sentence: say('Recipe: paste one, or drop a file; there is nothing to read yet.') };
  // A page whose recipe stands in its first megabyte is read, whatever comes after.
  const text = whole.slice(0, MOST_BYTES);
  const data = recipeInData(text);
  const page = isPage(text);
  if (data === 'broken' && !page) return { ok: false, sentence: say(BROKEN) };
  const parts = data && data !== 'broken' && isWhole(data) ? data : partsOf(text, page);
  const language = languageOf([...parts.ingredients, ...parts.instructions.map(({ words }) => words)].join('\n'));
  const refusal = refusalOf(parts, language, page, whole);
  if (refusal !== null && whole.length > MOST_BYTES) {
    return {
      ok: false,
      sentence: say(
        'Recipe: at most {most} MB; this has {whole}, and none stands in the first. Paste the recipe alone.',
        { most: MOST_BYTES / 1_000_000, whole: (whole.length / 1_000_000).toFixed(1) },
      ),
    };
  }
  if (refusal !== null && data === 'broken') return { ok: false, sentence: say(BROKEN) };
  return refusal === null ? { ok: true, parts, language } : { ok: false, sentence: refusal };
}

const isWhole = ({ ingredients, instructions }: RecipeParts) => ingredients.length > 0 || instructions.length > 0;

function partsOf(text: string, page: boolean): RecipeParts {
  if (page) {
    const read = readPage(text);
    return 'ingredients' in read ? read : recipeInLines(read);
  }
  const marked = isMarkdown(text) ? readMarkdown(text) : null;
  return recipeInLines(marked ?? linesOfText(untagged(text)));
}

/** Foods that somebody who tells speaks of at the least: fewer stand in any newspaper. */
const LEAST_TOLD = 3;
/** The least share of what is listed that must be food, where no heading says that it goes in. */
const LEAST_FOOD = 0.3;

/** Why what was found is no recipe; null where it is one. */
function refusalOf(parts: RecipeParts, language: Language, page: boolean, whole: string): string | null {
  const { ingredients, instructions, told = false } = parts;
  const works = instructions
    .slice(0, 40)
    .filter(({ words }) => sentencesOf(words.slice(0, 4000)).some((each) => classify(each) !== null));
  const spoken = told ? instructions.flatMap(({ words }) => spokenIngredients(words, true)) : [];
  const things = [...ingredients.slice(0, 60).flatMap(readIngredients), ...spoken];
  if (things.length === 0 && works.length === 0) {
    if (page)
      return say('Recipe: this page holds none that can be read. Copy the ingredients and the method from it instead.');
    return say(
      'Recipe: neither ingredients nor steps were found. Put each ingredient and each step on a line of its own.',
    );
  }
  const lines = ingredients.length + instructions.length;
  if (lines > MOST_LINES && whole.length < MOST_BYTES && !page)
    return say('Recipe: at most {most} lines; this has {lines}.', { most: MOST_LINES, lines });
  const heads = parts.source?.map(({ kind }) => kind) ?? ['ingredients'];
  const headed = heads.includes('ingredients');
  // The foods of other languages are not known: there the headings and the verbs have to do.
  const verbs = instructions.some(({ words }) => worksElsewhere(words.slice(0, 2000)));
  if (headed || (language !== 'English' && language !== null) || verbs) return null;
  const foods = things.filter(({ name }) => readFood(name).foods.length > 0).length;
  if (foods === 0 || foods < things.length * LEAST_FOOD || (told && foods < LEAST_TOLD))
    return say(
      'Recipe: hardly anything in this is food that goes into a dish. If it is a recipe, put a line “Ingredients” above what goes in.',
    );
  if (works.length === 0)
    return say(
      'Recipe: this says what to buy and not what is done with it. If it is a recipe, put a line “Ingredients” above what goes in.',
    );
  return null;
}

function readParts(parts: RecipeParts, language: Language): RecipeReading {
  const instructions = parts.instructions.slice(0, MOST_LINES);
  const listed = parts.ingredients.slice(0, MOST_LINES).flatMap(readIngredients);
  const works = partsSaid(instructions).flatMap(({ words, part }) =>
    sentencesOf(words).flatMap((sentence) =>
      joinedLists(parts.told === true, worksOf(sentence)).map((each) => ({ words: each, part, sentence })),
    ),
  );
  const told = parts.told === true;
  const atTheEnd = works.find(({ words }) => SERVES_ALONE.test(words))?.words ?? '';
  const said = saidInPassing([...new Set(works.map(({ sentence }) => sentence))], listed, told);
  const ingredients = [...listed, ...said].map((read, k) => ({ ...read, id: `i${k + 1}` }));
  // A food without an amount is understood; how much of it is in doubt.
  const strange = ingredients.filter(({ sure, name }) => !sure && readFood(name).foods.length === 0);
  const notUnderstood = [...new Set([...(parts.others ?? []), ...strange.map(({ words }) => words)])];
  const notes = [...(parts.notes ?? [])];
  const ties = new Ties(ingredients, language);
  const left = new Set(ingredients.map(({ id }) => id));
  const steps: ReadStep[] = [];
  let oven: number | null = null;
  // "While they're boiling I do the fish": what comes next goes on beside.
  let beside = false;
  for (const { words, part } of works) {
    if (words === atTheEnd) continue;
    oven = ovenOf(words) ?? oven;
    const before = steps.at(-1);
    if (isOnlyHeat(words) && readDuration(words) === null) {
      notes.push(words);
      continue;
    }
    const known = classify(words, contextOf(steps, part));
    // In a language of which few verbs are known a sentence is a step all the same, to be looked at.
    const foreign = language !== 'English' && !told && withoutPreheating(words) !== '' && /\s/.test(words);
    const guess = known ?? (foreign ? NO_GUESS : null);
    if (!guess || (told && isAside(words, guess))) {
      // What asks nothing by itself belongs to the step before it; of somebody who tells, it is an aside. The plan warms the oven.
      if (withoutPreheating(words) === '') notes.push(words);
      else if (told) {
        notes.push(words);
        beside ||= saysMeanwhile(words);
      } else if (before) steps[steps.length - 1] = { ...before, words: `${before.words} ${words}` };
      else notUnderstood.push(words);
      continue;
    }
    const place =
      guess.place.at === 'oven' && ovenOf(words) === null && oven !== null
        ? { ...guess.place, celsius: oven }
        : guess.place;
    const sure = known === null ? 0 : surenessOf(words, { ...guess, place }, contextOf(steps, part));
    const names = ties.in(words.replace(FOR_WHAT, ''), left);
    for (const id of names) left.delete(id);
    const meanwhile = guess.meanwhile || beside;
    beside = false;
    steps.push({
      ...guess,
      meanwhile,
      place,
      id: `s${steps.length + 1}`,
      words,
      part,
      sure,
      atOnce: mayNotWait(words),
      names,
      uses: names,
    });
  }
  return {
    name: parts.name || say('A dish without a name'),
    servings:
      parts.servings ??
      readServings(atTheEnd) ??
      servingsTold(
        told,
        instructions.map(({ words }) => words),
      ) ??
      USUAL_SERVINGS,
    servingsSaid: parts.servings !== null || atTheEnd !== '',
    language,
    ingredients,
    steps: goingIn(steps),
    notes,
    notUnderstood,
    source: parts.source ?? sourceOf(parts),
  };
}

/** The lines of what had none: data, and what a page marks. */
function sourceOf({ name, ingredients, instructions }: RecipeParts): RecipeReading['source'] {
  return [
    { text: name, kind: 'title' as const },
    ...ingredients.map((text) => ({ text, kind: 'ingredient' as const })),
    ...instructions.map(({ words }) => ({ text: words, kind: 'step' as const })),
  ].filter(({ text }) => text !== '');
}

/** "It does four of us", "six of us on Fridays". */
function servingsTold(told: boolean, words: readonly string[]): number | null {
  const match = told
    ? words
        .join(' ')
        .match(
          /\b(?:for|does|feeds|serves|us|of|are) (two|three|four|five|six|seven|eight|ten|\d{1,2})(?: of us| people|,| on\b)|\b(two|three|four|five|six|eight|ten|\d{1,2}) of us\b/i,
        )
    : null;
  const word = (match?.[1] ?? match?.[2] ?? '').toLowerCase();
  const count = word === '' ? null : (own(NUMBER_WORDS, word) ?? Number(word));
  return count && count > 0 && count <= 200 ? count : null;
}

/** How sure a guess is: where what was learned says the same, as sure as that; where it does not, as unsure. */
function surenessOf(words: string, guess: Guess, before: ReadStep | undefined): number {
  const features = stepFeatures(words, guess, before);
  const of = <Label extends string>(judge: Judge<Label>, said: Label) => {
    const { label, sure } = judge.judge(features);
    return label === said ? sure : 1 - sure;
  };
  const appliance = guess.place.at === 'appliance';
  return Math.min(appliance ? 1 : of(placeJudge, guess.place.at), of(attentionJudge, guess.attention));
}

/** "Serves 12." at the end of a paragraph. */
const SERVES_ALONE = /^\W*(?:serves|makes|yields?|feeds)\b[^.]{1,20}\d[^.]{0,12}\.?$/i;

/** What a sentence is for, said before it: it names no ingredient. */
const FOR_WHAT =
  /^(?:for|to (?:make|prepare|serve)) (?:the|a|your) [\p{L}\s-]{2,30}?[,:]\s|\b(?:until|till) the water runs clear\b/iu;

/** The step on whose heat the next one may go on: what goes on beside it has a place of its own. */
function contextOf(steps: readonly ReadStep[], part: string | null): ReadStep | undefined {
  const last = steps.at(-1);
  const before = last?.meanwhile && last.place.at !== 'burner' ? steps.at(-2) : last;
  return before?.part === part ? before : undefined;
}

/** "I've got six hundred grams of haddock here, you poach it": what is listed belongs to what is done with it. */
function joinedLists(told: boolean, works: readonly string[]): readonly string[] {
  const [first] = works;
  if (!told || first === undefined || works.length === 1 || !LISTS.test(first)) return works;
  const timed = works.findIndex((each) => readDuration(each) !== null);
  const to = Math.max(1, timed);
  return [works.slice(0, to + 1).join(', '), ...works.slice(to + 1)];
}

/** Somebody tells of himself, or of others, and asks for nothing. */
const ASIDE =
  /\b(?:my (?:mother|mum|mom|sister|husband|wife|grand\w+|kids|knife)|i (?:did once|don['’]t bother|always|hate|love|like)|hates? it|likes? (?:it|cheese)|nobody|matters more|whatever you like|that['’]s it)\b/i;

/** What goes in is said, and nothing asked for yet. */
const LISTS =
  /^\W*(?:(?:so|now|right|well|ok),? )*(?:this is|there(?:['’]s| is| are)|you (?:want|need|take)|you['’]ll (?:want|need)|i(?:['’]ve| have) got|get )\b/i;

function isAside(words: string, { minutesWords, sort }: Guess): boolean {
  if (minutesWords !== null || sort !== 'mix') return false;
  return LISTS.test(words) || (ASIDE.test(words) && !startsWork(words));
}

/** Ingredients whose amount is said only in the method, and whose name no line of the list has. */
function saidInPassing(
  sentences: readonly string[],
  listed: readonly ReadIngredient[],
  told: boolean,
): readonly ReadIngredient[] {
  const found: ReadIngredient[] = [];
  const isKnown = (name: string) => {
    const last = lastWord(name);
    return [...listed, ...found].some(
      (each) => each.name.toLowerCase().includes(last) || name.toLowerCase().includes(lastWord(each.name)),
    );
  };
  for (const sentence of sentences) {
    for (const read of spokenIngredients(sentence, told || listed.length === 0)) {
      if (/^(?:the|it|each|this|more)\b/i.test(read.name) || (!told && /^(?:\p{L}+ )?water\b/iu.test(read.name)))
        continue;
      if (/\b(?:of|reserve|remaining) the\b/i.test(read.words)) continue;
      if (!isKnown(read.name)) found.push(read);
    }
  }
  return found;
}

const lastWord = (name: string) =>
  name
    .toLowerCase()
    .trim()
    .split(/\s+/)
    .at(-1)!
    .replace(/(?:es|s)$/, '');

/** Work after which a thing still goes in elsewhere. */
const READIED: ReadonlySet<string> = new Set(['chop', 'drain', 'soak', 'marinate']);

/** Each ingredient goes in where it is named first; what is only cut, washed or soaked there goes in where it is named next. */
function goingIn(steps: readonly ReadStep[]): readonly ReadStep[] {
  const done = new Set<string>();
  const readied = new Set<string>();
  return steps.map((step) => {
    const uses = step.names.filter((id) => !done.has(id));
    for (const id of uses) {
      if (READIED.has(step.sort) && !readied.has(id)) readied.add(id);
      else done.add(id);
    }
    return { ...step, uses };
  });
}

export type { ReadingResult, ReadStep, RecipeReading } from './as-read';
export { unnamed } from './as-read';
export { dishFrom } from './dish-from';
