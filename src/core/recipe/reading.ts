import type { Dish, Ingredient, Link, Step, VesselUse } from '@/core/dish/dish';
import { dish as dishOf, follow, overnight, pot, waits } from '@/core/dish/write';
import type { VesselKind } from '@/core/kitchen/kitchen';
import { classify, type Guess, ovenOf, withoutPreheating } from './classify';
import { type ReadIngredient, readIngredient, readIngredients } from './ingredient-line';
import { recipeInData } from './json-ld';
import { MOST_BYTES, MOST_LINES, type PartsResult, plainText, type RecipeParts } from './taken-apart';
import { recipeInText } from './text';

/** A step as it was read: its words, and the guess at it. */
export interface ReadStep extends Guess {
  readonly id: string;
  readonly words: string;
  /** Ids of ingredients that its words name. */
  readonly uses: readonly string[];
}

/** A recipe read: everything points back to its words, and what was not understood is listed. */
export interface RecipeReading {
  readonly name: string;
  readonly servings: number;
  readonly servingsSaid: boolean;
  readonly ingredients: readonly (ReadIngredient & { readonly id: string })[];
  readonly steps: readonly ReadStep[];
  readonly notUnderstood: readonly string[];
}

/** A recipe read, or why it is none. */
export type ReadingResult =
  | { readonly ok: true; readonly reading: RecipeReading }
  | { readonly ok: false; readonly sentence: string };

const USUAL_SERVINGS = 4;

/** Reads a recipe: JSON-LD by itself or inside a page, else plain text. A refusal says what is wrong and what would do. */
export function readRecipe(text: string): ReadingResult {
  const found = takeApart(text);
  if (!found.ok) return found;
  return { ok: true, reading: readParts(found.parts) };
}

function takeApart(text: string): PartsResult {
  if (text.trim() === '')
    return { ok: false, sentence: 'Recipe: paste one, or drop a file; there is nothing to read yet.' };
  if (text.length > MOST_BYTES) {
    return {
      ok: false,
      sentence: `Recipe: at most ${MOST_BYTES / 1_000_000} MB; this has ${(text.length / 1_000_000).toFixed(1)}. Paste the recipe alone.`,
    };
  }
  const data = recipeInData(text);
  if (data === 'broken') {
    return {
      ok: false,
      sentence: 'Recipe: its data is broken JSON and cannot be read. Copy the recipe’s words from the page instead.',
    };
  }
  const isPage = /<(?:html|body|div|script)\b/i.test(text);
  const parts = data ?? recipeInText(plainText(text));
  if (parts.ingredients.length === 0 && parts.instructions.length === 0) {
    return {
      ok: false,
      sentence: isPage
        ? 'Recipe: this page holds none that can be read. Copy the ingredients and the method from it instead.'
        : 'Recipe: neither ingredients nor steps were found. Put each ingredient and each step on a line of its own.',
    };
  }
  if (parts.ingredients.length + parts.instructions.length > MOST_LINES) {
    return {
      ok: false,
      sentence: `Recipe: at most ${MOST_LINES} lines; this has ${parts.ingredients.length + parts.instructions.length}.`,
    };
  }
  return { ok: true, parts, from: data ? 'data' : 'text' };
}

function readParts(parts: RecipeParts): RecipeReading {
  const listed = parts.ingredients.flatMap(readIngredients);
  const all = parts.instructions.flatMap(sentences);
  const ingredients = [...listed, ...saidInPassing(all, listed)].map((read, k) => ({ ...read, id: `i${k + 1}` }));
  const notUnderstood = [...(parts.others ?? []), ...ingredients.filter(({ sure }) => !sure).map(({ words }) => words)];
  const steps: ReadStep[] = [];
  let oven: number | null = null;
  for (const sentence of all) {
    oven = ovenOf(sentence) ?? oven;
    const guess = classify(sentence);
    if (!guess) {
      const before = steps.at(-1);
      // What asks nothing by itself belongs to the step before it.
      if (withoutPreheating(sentence) === '' || isOnlyHeat(sentence)) continue;
      if (before) steps[steps.length - 1] = { ...before, words: `${before.words} ${sentence}` };
      else notUnderstood.push(sentence);
      continue;
    }
    const place =
      guess.place.at === 'oven' && ovenOf(sentence) === null && oven !== null
        ? { ...guess.place, celsius: oven }
        : guess.place;
    steps.push({ ...guess, place, id: `s${steps.length + 1}`, words: sentence, uses: named(sentence, ingredients) });
  }
  return {
    name: parts.name || 'A dish without a name',
    servings: parts.servings ?? USUAL_SERVINGS,
    servingsSaid: parts.servings !== null,
    ingredients,
    steps: usedOnce(steps),
    notUnderstood,
  };
}

/** An oven's heat and nothing else: it stands at the step that it is for. */
function isOnlyHeat(sentence: string): boolean {
  return ovenOf(sentence) !== null && !/[a-z]{3,}/i.test(sentence.replace(/oven|fan|gas|mark|degrees|celsius/gi, ''));
}

/** An amount in the middle of a sentence, and what it is of: "add 200 ml of cream". */
const IN_PASSING =
  /(?<![\d.,/])(\d+(?:[.,/]\d+)?|[½¼¾⅓⅔]|\d+ ?[½¼¾])\s*(kg|g|ml|l|litres?|liters?|oz|lbs?|pounds?|cups?|tbsp|tsp|tablespoons?|teaspoons?|tins?|cans?|cloves?)\s+(?:of\s+)?((?:[a-zéèêü’'-]{1,20}\s?){1,3}?)(?=\s*(?:[,.;:()]|$|\b(?:and|or|to|in|into|with|for|until|over|on|at|from|then|which|that|if|so|while)\b))/gi;

/** Ingredients whose amount is said only in the method, and whose name no line of the list has. */
function saidInPassing(method: readonly string[], listed: readonly ReadIngredient[]): readonly ReadIngredient[] {
  const found: ReadIngredient[] = [];
  for (const sentence of method) {
    for (const [words] of sentence.matchAll(IN_PASSING)) {
      const read = readIngredient(words);
      if (!read?.sure || /^(?:the|it|each|this|more|water)\b/i.test(read.name)) continue;
      const last = read.name.toLowerCase().split(/\s+/).at(-1)!.replace(/s$/, '');
      const isKnown = [...listed, ...found].some(({ name }) => name.toLowerCase().includes(last));
      if (!isKnown) found.push(read);
    }
  }
  return found;
}

/** A paragraph cut into its sentences; "then" begins a new one where something else is done. */
function sentences(paragraph: string): readonly string[] {
  return paragraph
    .replace(/([.!?])\s+(?=[A-Z"“(])/g, '$1\n')
    .split(/\n|;\s+|,?\s+then\s+(?=(?:add|bake|chop|drain|fry|leave|rest|roast|serve|simmer|soak|stir|turn)\b)/)
    .map((sentence) => sentence.trim())
    .filter((sentence) => /[\p{L}\p{M}]{2}/u.test(sentence));
}

const SMALL_WORDS = new Set([
  'fresh',
  'dried',
  'ground',
  'large',
  'small',
  'whole',
  'fine',
  'chopped',
  'sliced',
  'and',
  'or',
  'the',
  'with',
  'of',
  'red',
  'white',
  'green',
  'black',
  'hot',
  'cold',
  'plus',
  'extra',
  'into',
  'for',
  'about',
]);

/** Ingredients whose name, or its last word, stands in a sentence. */
function named(
  sentence: string,
  ingredients: readonly { readonly id: string; readonly name: string }[],
): readonly string[] {
  const words = ` ${sentence.toLowerCase().replace(/[^\p{L}\p{M}\s]/gu, ' ')} `;
  const stands = (word: string) => {
    const stem = word.replace(/(?:es|s)$/, '');
    return stem.length > 2 && new RegExp(`\\s${stem.replace(/[^\p{L}\p{M}]/gu, '')}(?:es|s)?\\s`, 'u').test(words);
  };
  return ingredients
    .filter(({ name }) => {
      const own = name
        .toLowerCase()
        .replace(/[^\p{L}\p{M}\s]/gu, ' ')
        .split(/\s+/)
        .filter((word) => word.length > 2 && !SMALL_WORDS.has(word));
      return own.some(stands);
    })
    .map(({ id }) => id);
}

/** Each ingredient goes in where it is named first; cutting it is where it is first taken. */
function usedOnce(steps: readonly ReadStep[]): readonly ReadStep[] {
  const taken = new Set<string>();
  return steps.map((step) => {
    const uses = step.uses.filter((id) => !taken.has(id));
    for (const id of uses) taken.add(id);
    return { ...step, uses };
  });
}

/** Ingredients that no step names: the ones that are forgotten at the stove. */
export function unnamed({ ingredients, steps }: RecipeReading): readonly (ReadIngredient & { readonly id: string })[] {
  const used = new Set(steps.flatMap(({ uses }) => uses));
  return ingredients.filter(({ id }) => !used.has(id));
}

/** Minutes that food off the heat may wait between two steps, and a hot pan between two. Guesses that err on the short side. */
const BETWEEN = { cold: 240, hot: 20, atOnce: 2 } as const;
/** Words for what may not wait, and hot oil, which does not. */
const AT_ONCE =
  /\b(?:at once|immediately|straight away|right away|while (?:still )?hot|quickly)\b|\bhot (?:oil|fat)\b/i;

/** The dish of a reading, as it stands after the cook has looked at it. What no step names goes into the first one. */
export function dishFrom(whole: RecipeReading, id: string): Dish {
  const reading = whole.steps.length > 0 ? whole : { ...whole, steps: [UNREAD] };
  const { name, servings, steps: read } = reading;
  const forgotten = unnamed(reading).map((each) => each.id);
  const links = linksOf(read);
  const vessels = vesselsOf(reading, links);
  const steps = read.map((each, k): Step => {
    const vessel = vessels.find(({ steps: own }) => own.includes(each.id))?.use.id;
    return {
      id: each.id,
      name: nameOf(each),
      says: each.words,
      minutes: each.minutes,
      grows: { by: each.sort === 'chop' ? 'people' : 'nothing' },
      attention: each.attention,
      by: each.sort === 'chop' ? 'anyone' : 'cook',
      ...(each.attention === 'eyes' ? { lookEvery: 10 } : {}),
      place: each.place,
      ...(vessel === undefined ? {} : { vessel }),
      doneWhen: each.doneWhen,
      cautions: [],
      uses: k === 0 ? [...each.uses, ...forgotten] : each.uses,
      ...(each.dayBefore ? { ahead: true } : {}),
    };
  });
  const last = steps.at(-1)!;
  const cold = !read.some(({ place }) => place.at === 'burner' || place.at === 'oven');
  return dishOf({
    id,
    name,
    servings,
    ingredients: reading.ingredients.map(
      ({ id: own, name: called, amount, cut, allergens }): Ingredient => ({
        id: own,
        name: called,
        amount,
        ...(cut ? { cut } : {}),
        grows: true,
        allergens,
      }),
    ),
    steps: withDayBefore(steps, read),
    links,
    vessels: vessels.map(({ use }) => use),
    lands: {
      step: last.id,
      waits: cold ? waits('cold', 60, 120, 'covered, in the cold') : waits('hot', 10, 20, 'covered'),
    },
    note: 'Read from a recipe; its minutes and links are guesses until they are cooked.',
  });
}

/** Where no step was read: one to write. */
const UNREAD: ReadStep = {
  id: 's1',
  words: 'No step was read from the recipe: write here what is done.',
  uses: [],
  sort: 'mix',
  place: { at: 'board' },
  attention: 'hands',
  minutes: { shortest: 5, likely: 10, longest: 20 },
  sortWords: null,
  minutesWords: null,
  doneWhen: '',
  meanwhile: false,
  dayBefore: false,
};

function nameOf({ sort, words }: ReadStep): string {
  const [, verb] =
    words
      .toLowerCase()
      .match(
        /\b(chop|slice|dice|grate|marinate|soak|brown|fry|soften|toast|simmer|boil|bake|roast|rest|chill|drain|knead|whisk|blend|serve)/,
      ) ?? [];
  return verb ?? sort;
}

/** The first of the steps that stand on an earlier day says which. */
function withDayBefore(steps: readonly Step[], read: readonly ReadStep[]): readonly Step[] {
  const first = read.findIndex(({ dayBefore }) => dayBefore);
  return steps.map((step, k) => (k === first ? { ...step, daysBefore: 1 } : step));
}

/** One after another; what goes on meanwhile begins beside the step before it, and the next one waits for both. */
function linksOf(steps: readonly ReadStep[]): Link[] {
  const links: Link[] = [];
  let open: ReadStep[] = [];
  /** What the steps that are open now came after. */
  let before: readonly ReadStep[] = [];
  for (const step of steps) {
    if (open.length === 0) {
      open = [step];
      continue;
    }
    if (step.meanwhile) {
      for (const from of before) links.push(linkOf(from, step));
      open = [...open, step];
      continue;
    }
    for (const from of open) links.push(linkOf(from, step));
    before = open;
    open = [step];
  }
  return links;
}

function linkOf(from: ReadStep, to: ReadStep): Link {
  const hot = (step: ReadStep) => step.place.at === 'burner' || step.place.at === 'oven';
  if (AT_ONCE.test(to.words)) return follow(from.id, to.id, 0, BETWEEN.atOnce, 0);
  if (hot(from) && hot(to)) return follow(from.id, to.id, 0, BETWEEN.hot, 2);
  if (hot(from)) return follow(from.id, to.id, 0, 30, 5);
  if (from.dayBefore) return overnight(follow(from.id, to.id, 0, 960));
  return follow(from.id, to.id, 0, BETWEEN.cold);
}

interface VesselGuess {
  readonly use: VesselUse;
  readonly steps: readonly string[];
}

/** Litres a serving takes in a pot, in a pan, on a tray. Common practice, no source. */
const LITRES = { pot: 0.6, pan: 0.25, tray: 0.4 } as const;

/** A casserole that goes from the hob into the oven is one vessel; else one for the oven, and on the hob one for each thing that goes on by itself. */
function vesselsOf({ steps, servings }: RecipeReading, links: readonly Link[]): readonly VesselGuess[] {
  const all = steps.map(({ words }) => words).join(' ');
  const at = (place: 'burner' | 'oven') => steps.filter((step) => step.place.at === place);
  const oven = at('oven').map(({ id }) => id);
  const hob = hobGroups(at('burner'), links);
  const litres = (share: number) => Math.max(1, Math.round(share * servings * 10) / 10);
  const through = hob.length === 1 && oven.length > 0 && /\b(?:casserole|ovenproof|lid on|cover)/i.test(all);
  if (through) return [guess('casserole', 'casserole', ['casserole'], litres(LITRES.pot), [...hob[0]!.steps, ...oven])];
  const vessels = hob.map(({ kind, steps: own }, k) =>
    guess(
      k === 0 ? 'pot' : `pot-${k + 1}`,
      kind,
      kind === 'pan' ? ['pan'] : ['pot', 'casserole'],
      litres(LITRES[kind]),
      own,
    ),
  );
  return [
    ...vessels,
    ...(oven.length > 0 ? [guess('tray', 'tray or dish', ['tray', 'casserole'], litres(LITRES.tray), oven)] : []),
  ];
}

const SAYS_PAN = /\b(?:frying pan|skillet|wok|griddle|pan-fry|stir-fry)\b/i;
const SAYS_POT = /\b(?:simmer|stock|boil|saucepan|pot)\b/i;
const SAYS_ANOTHER =
  /\b(?:another|separate|second|different|clean|other) (?:\w+ )?(?:pan|pot|saucepan|skillet|casserole|wok)\b/i;

interface HobGroup {
  readonly kind: 'pot' | 'pan';
  readonly steps: readonly string[];
}

/**
 * Steps on the hob by the vessel they may share: each comes after all others in it, so that no pot is ever in two places. Another pot is taken where the
 * recipe says so, and where a frying pan follows a pot or a pot a frying pan.
 */
function hobGroups(steps: readonly ReadStep[], links: readonly Link[]): readonly HobGroup[] {
  const groups: { kind: 'pot' | 'pan' | null; steps: string[] }[] = [];
  for (const { id, words } of steps) {
    const kind = SAYS_PAN.test(words) && !SAYS_POT.test(words) ? 'pan' : SAYS_POT.test(words) ? 'pot' : null;
    const known = SAYS_ANOTHER.test(words)
      ? undefined
      : groups.find(
          (group) =>
            group.steps.every((other) => comesBefore(other, id, links)) &&
            (kind === null || group.kind === null || kind === group.kind),
        );
    if (known) {
      known.steps.push(id);
      known.kind ??= kind;
    } else groups.push({ kind, steps: [id] });
  }
  return groups.map(({ kind, steps: own }) => ({ kind: kind ?? 'pot', steps: own }));
}

/** Whether a step is over before another begins, by the links of a dish. */
function comesBefore(before: string, after: string, links: readonly Link[]): boolean {
  const seen = new Set<string>();
  const open = [before];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    for (const { from, to } of links) {
      if (from !== id || seen.has(to)) continue;
      if (to === after) return true;
      seen.add(to);
      open.push(to);
    }
  }
  return false;
}

function guess(
  id: string,
  name: string,
  kinds: readonly VesselKind[],
  litres: number,
  steps: readonly string[],
): VesselGuess {
  return { use: pot(id, name, kinds, litres, steps[0]!, steps.at(-1)!), steps };
}
