import { allergensIn } from '@/core/dish/diet';
import type { ReadStep, RecipeReading } from './as-read';
import { unnamed } from './as-read';
import { asSort, classify, NO_GUESS } from './classify';
import { mayNotWait } from './graph';
import { readIngredients } from './ingredient-line';
import { Ties } from './ties';

// What a cook puts right in a reading, a touch each. Nothing that was written is lost: what is taken out stands among the notes.

/** Below this a guess is to be looked at: about one in eight of the recipes by hand. */
const DOUBTED_BELOW = 0.6;

/** The next free id with a letter before it. */
function freeId(letter: string, taken: readonly { readonly id: string }[]): string {
  const numbers = taken.map(({ id }) => Number(id.slice(1))).filter(Number.isFinite);
  return `${letter}${Math.max(0, ...numbers) + 1}`;
}

/** A step of some words, guessed at as if they had been read; what it names goes in. */
function stepOf(reading: RecipeReading, id: string, words: string, part: string | null, before?: ReadStep): ReadStep {
  const guess = classify(words, before) ?? NO_GUESS;
  const names = new Ties(reading.ingredients, reading.language).in(words, new Set());
  return { ...guess, id, words, part, sure: 1, atOnce: mayNotWait(words), names, uses: names };
}

const withSteps = (reading: RecipeReading, steps: readonly ReadStep[]): RecipeReading => ({ ...reading, steps });

/** One step as two, cut at a letter of its words, or before the word that holds it; as it was where one of them would be empty. */
export function splitStep(reading: RecipeReading, id: string, at: number): RecipeReading {
  const k = reading.steps.findIndex((each) => each.id === id);
  const step = reading.steps[k];
  const said = step?.words ?? '';
  // A caret within a word means the gap before it.
  const cut = /\S/.test(said[at] ?? ' ') ? said.slice(0, at).search(/\S*$/) : at;
  const [head, tail] = [
    said.slice(0, cut).trim(),
    said
      .slice(cut)
      .replace(/^[\s,;.]+/, '')
      .trim(),
  ];
  if (!step || head === '' || tail === '') return reading;
  const first = stepOf(reading, id, head, step.part, reading.steps[k - 1]);
  const second = stepOf(reading, freeId('s', reading.steps), tail, step.part, first);
  // What went into the one goes into the part that names it; what neither names stays with the first.
  const secondUses = step.uses.filter((each) => second.names.includes(each));
  const firstUses = step.uses.filter((each) => first.names.includes(each) || !secondUses.includes(each));
  return withSteps(reading, [
    ...reading.steps.slice(0, k),
    { ...first, meanwhile: step.meanwhile, dayBefore: step.dayBefore, uses: firstUses },
    { ...second, uses: secondUses.filter((each) => !firstUses.includes(each)) },
    ...reading.steps.slice(k + 1),
  ]);
}

/** A step and the one after it as one. Their minutes add up where both are said; where it is done is where the longer one is. */
export function joinStep(reading: RecipeReading, id: string): RecipeReading {
  const k = reading.steps.findIndex((each) => each.id === id);
  const [first, second] = [reading.steps[k], reading.steps[k + 1]];
  if (!first || !second) return reading;
  const longer = second.minutes.likely > first.minutes.likely ? second : first;
  const both = first.minutesWords !== null && second.minutesWords !== null;
  const sum = (of: keyof ReadStep['minutes']) => first.minutes[of] + second.minutes[of];
  const joined: ReadStep = {
    ...longer,
    id: first.id,
    words: `${first.words.replace(/[,;]$/, '')} ${second.words}`,
    minutes: both ? { shortest: sum('shortest'), likely: sum('likely'), longest: sum('longest') } : longer.minutes,
    minutesWords: both ? `${first.minutesWords}, ${second.minutesWords}` : (first.minutesWords ?? second.minutesWords),
    doneWhen: second.doneWhen || first.doneWhen,
    meanwhile: first.meanwhile,
    dayBefore: first.dayBefore,
    atOnce: first.atOnce,
    part: first.part,
    sure: 1,
    names: [...new Set([...first.names, ...second.names])],
    uses: [...new Set([...first.uses, ...second.uses])],
  };
  return withSteps(reading, [...reading.steps.slice(0, k), joined, ...reading.steps.slice(k + 2)]);
}

/** A step so many places later, or earlier. */
export function moveStep(reading: RecipeReading, id: string, by: number): RecipeReading {
  const from = reading.steps.findIndex((each) => each.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= reading.steps.length) return reading;
  const steps = reading.steps.filter((each) => each.id !== id);
  return withSteps(reading, [...steps.slice(0, to), reading.steps[from]!, ...steps.slice(to)]);
}

/** A step with some of it as the cook says; it needs no second look. */
export function setStep(reading: RecipeReading, id: string, by: (now: ReadStep) => Partial<ReadStep>): RecipeReading {
  return withSteps(
    reading,
    reading.steps.map((each) => (each.id === id ? { ...each, ...by(each), sure: 1 } : each)),
  );
}

/** Another sort of work: where it is done and the usual minutes follow. */
export function sortStep(reading: RecipeReading, id: string, sort: ReadStep['sort']): RecipeReading {
  return setStep(reading, id, (now) => asSort(now, now.words, sort));
}

/** Ties an ingredient to a step, or lets it go from there. */
export function tieToStep(reading: RecipeReading, stepId: string, ingredientId: string): RecipeReading {
  return setStep(reading, stepId, ({ uses }) => ({
    uses: uses.includes(ingredientId) ? uses.filter((each) => each !== ingredientId) : [...uses, ingredientId],
  }));
}

/** Takes a step out; its words stand among the notes. */
export function takeStepOut(reading: RecipeReading, id: string): RecipeReading {
  const step = reading.steps.find((each) => each.id === id);
  if (!step) return reading;
  return {
    ...withSteps(
      reading,
      reading.steps.filter((each) => each.id !== id),
    ),
    notes: [...reading.notes, step.words],
  };
}

/** Takes an ingredient out; its words stand among the notes. */
export function takeIngredientOut(reading: RecipeReading, id: string): RecipeReading {
  const item = reading.ingredients.find((each) => each.id === id);
  if (!item) return reading;
  const without = (ids: readonly string[]) => ids.filter((each) => each !== id);
  return {
    ...reading,
    ingredients: reading.ingredients.filter((each) => each.id !== id),
    steps: reading.steps.map((each) => ({ ...each, names: without(each.names), uses: without(each.uses) })),
    notes: reading.notes.includes(item.words) ? reading.notes : [...reading.notes, item.words],
    notUnderstood: reading.notUnderstood.filter((words) => words !== item.words),
  };
}

/** What goes in, from marked words: tied to the first step that names it. */
export function addIngredient(reading: RecipeReading, words: string): RecipeReading {
  const read = readIngredients(words.trim());
  if (read.length === 0) return reading;
  let next = reading;
  for (const each of read) {
    const item = { ...each, allergens: allergensIn(each.name), sure: true, id: freeId('i', next.ingredients) };
    const ties = new Ties([item], reading.language);
    const step = next.steps.find((one) => ties.in(one.words, new Set()).length > 0);
    next = {
      ...next,
      ingredients: [...next.ingredients, item],
      steps: next.steps.map((one) =>
        one === step ? { ...one, names: [...one.names, item.id], uses: [...one.uses, item.id] } : one,
      ),
    };
  }
  return withoutLine(next, words);
}

/** A step from marked words, where the text has it: before the first step whose words come later. */
export function addStep(reading: RecipeReading, words: string): RecipeReading {
  const plain = words.trim();
  if (plain === '') return reading;
  const text = reading.source.map((line) => line.text).join('\n');
  const placeOf = (of: string) => text.indexOf(of);
  const at = placeOf(plain);
  const later = reading.steps.findIndex((step) => at >= 0 && placeOf(step.words) > at);
  const k = later < 0 ? reading.steps.length : later;
  const step = stepOf(
    reading,
    freeId('s', reading.steps),
    plain,
    reading.steps[k - 1]?.part ?? null,
    reading.steps[k - 1],
  );
  // What goes in elsewhere already is only named here.
  const used = new Set(reading.steps.flatMap(({ uses }) => uses));
  const own = { ...step, uses: step.uses.filter((each) => !used.has(each)) };
  return withoutLine(withSteps(reading, [...reading.steps.slice(0, k), own, ...reading.steps.slice(k)]), words);
}

/** Words that were a note, or not understood, and are something now. */
function withoutLine(reading: RecipeReading, words: string): RecipeReading {
  const others = (lines: readonly string[]) => lines.filter((line) => line.trim() !== words.trim());
  return { ...reading, notes: others(reading.notes), notUnderstood: others(reading.notUnderstood) };
}

/** Something to look at before the dish is kept. */
export type Doubt =
  | { readonly of: 'line'; readonly words: string }
  | { readonly of: 'ingredient'; readonly id: string; readonly words: string }
  | { readonly of: 'untied'; readonly id: string; readonly words: string }
  | { readonly of: 'step'; readonly id: string; readonly words: string };

/** What a cook should look at, the least sure first. */
export function doubtsOf(reading: RecipeReading): readonly Doubt[] {
  const { steps, ingredients, notUnderstood } = reading;
  const unsure = ingredients.filter(({ sure }) => !sure);
  const lines = notUnderstood.filter((words) => !unsure.some((each) => each.words === words));
  const doubted = steps.filter(({ sure }) => sure < DOUBTED_BELOW).sort((a, b) => a.sure - b.sure);
  return [
    ...lines.map((words): Doubt => ({ of: 'line', words })),
    ...unsure.map(({ id, words }): Doubt => ({ of: 'ingredient', id, words })),
    ...doubted.map(({ id, words }): Doubt => ({ of: 'step', id, words })),
    ...unnamed(reading)
      .filter(({ sure }) => sure)
      .map(({ id, words }): Doubt => ({ of: 'untied', id, words })),
  ];
}
