import type { Guess } from './classify';
import type { ReadIngredient } from './ingredient-line';
import type { Language } from './language';
import type { LineKind } from './line-kind';

/** A step as it was read: its words, and the guess at it. */
export interface ReadStep extends Guess {
  readonly id: string;
  readonly words: string;
  /** Ids of ingredients that go in, or are readied for it. */
  readonly uses: readonly string[];
  /** Ids of all ingredients that its words name. */
  readonly names: readonly string[];
  /** The part of the recipe that it stands in: "the rice". */
  readonly part: string | null;
  /** 0 to 1: how far what was learned agrees with the rules on where it is done and how much attention it takes. */
  readonly sure: number;
  /** What comes before it may not wait. */
  readonly atOnce: boolean;
}

/** A recipe read: everything points back to its words, and what was not understood is listed. */
export interface RecipeReading {
  readonly name: string;
  readonly servings: number;
  readonly servingsSaid: boolean;
  readonly language: Language;
  readonly ingredients: readonly (ReadIngredient & { readonly id: string })[];
  readonly steps: readonly ReadStep[];
  /** What belongs to no cooking: what the writer tells, what readers wrote, how it keeps. */
  readonly notes: readonly string[];
  readonly notUnderstood: readonly string[];
  /** Every line that was read, in its order, with what it was taken for. */
  readonly source: readonly SourceRead[];
}

/** A line of what was pasted, and what it was taken for. */
export interface SourceRead {
  readonly text: string;
  readonly kind: LineKind;
}

/** A recipe read, or why it is none. */
export type ReadingResult =
  | { readonly ok: true; readonly reading: RecipeReading }
  | { readonly ok: false; readonly sentence: string };

/** Ingredients that no step names: the ones that are forgotten at the stove. */
export function unnamed({
  ingredients,
  steps,
}: Pick<RecipeReading, 'ingredients' | 'steps'>): readonly (ReadIngredient & { readonly id: string })[] {
  const used = new Set(steps.flatMap(({ uses }) => uses));
  return ingredients.filter(({ id }) => !used.has(id));
}
