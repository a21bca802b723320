import { parseForeignJson } from '@/core/plain/json';
import type { RecipeReading } from './as-read';
import { addIngredient, addStep } from './mend';

// What a language model in the cook's own browser may say of a recipe: which words of the text are something that goes in, and which are a
// step. Whatever is to be known of them is read by the rules from these words; nothing of the model's own is taken.

/** The schema that an answer must fit (JSON Schema, draft 2020-12). */
export const ANSWER_SCHEMA = {
  type: 'object',
  properties: {
    ingredients: { type: 'array', items: { type: 'string' }, maxItems: 80 },
    steps: { type: 'array', items: { type: 'string' }, maxItems: 80 },
  },
  required: ['ingredients', 'steps'],
  additionalProperties: false,
} as const;

/** What is asked, before the text. */
export const QUESTION =
  'Below is a recipe. Copy out, word for word, every line or phrase that names something that goes in with its amount (ingredients), and every phrase that asks the cook to do something (steps). Copy only words that stand there, without changing any. Text:\n\n';

/** Letters of a text that a model is asked about. */
export const MOST_ASKED = 6000;

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, ' ')
    .trim();

/** What an answer adds to a reading, and how much of it did not stand in the text. */
export interface Answered {
  readonly reading: RecipeReading;
  /** How many things more there are now. */
  readonly added: number;
  /** How many phrases were not in the text, or not in the shape that was asked for. */
  readonly refused: number;
}

/** A reading with what an answer found besides; null where the answer is not in its shape at all. */
export function withAnswer(reading: RecipeReading, answer: string): Answered | null {
  const found = shapeOf(answer);
  if (!found) return null;
  const text = ` ${plain(reading.source.map((line) => line.text).join(' '))} `;
  let next = reading;
  let added = 0;
  let refused = found.refused;
  const isThere = (words: string) => plain(words) !== '' && text.includes(` ${plain(words)} `);
  for (const words of found.ingredients) {
    const known = next.ingredients.some(
      (each) => overlaps(plain(each.words), plain(words)) || overlaps(plain(each.name), plain(words)),
    );
    if (!isThere(words)) refused++;
    else if (!known) {
      const more = addIngredient(next, words);
      if (more !== next) added++;
      next = more;
    }
  }
  for (const words of found.steps) {
    const known = next.steps.some((each) => overlaps(plain(each.words), plain(words)));
    if (!isThere(words)) refused++;
    else if (!known) {
      next = addStep(next, words);
      added++;
    }
  }
  return { reading: next, added, refused };
}

/** One holds the other, or says nothing that it does not. */
const overlaps = (a: string, b: string) => a !== '' && b !== '' && (a.includes(b) || b.includes(a));

function shapeOf(
  answer: string,
): { readonly ingredients: readonly string[]; readonly steps: readonly string[]; readonly refused: number } | null {
  let data: unknown;
  try {
    data = parseForeignJson(answer.replace(/^[^{]*/, '').replace(/[^}]*$/, ''));
  } catch {
    return null;
  }
  if (typeof data !== 'object' || data === null || Array.isArray(data)) return null;
  const { ingredients, steps } = data as Record<string, unknown>;
  if (!Array.isArray(ingredients) || !Array.isArray(steps)) return null;
  const words = (list: readonly unknown[]) =>
    list
      .slice(0, ANSWER_SCHEMA.properties.steps.maxItems)
      .filter((each): each is string => typeof each === 'string' && each.length < 600);
  const [goesIn, done] = [words(ingredients), words(steps)];
  return { ingredients: goesIn, steps: done, refused: ingredients.length + steps.length - goesIn.length - done.length };
}
