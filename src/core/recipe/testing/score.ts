import type { StepSort } from '@/core/recipe/classify';
import { type RecipeReading, readRecipe } from '@/core/recipe/reading';

/** A recipe of our own in some manner of writing, and what a cook reads in it. */
export interface Written {
  readonly manner: string;
  readonly text: string;
  readonly servings: number;
  readonly ingredients: readonly (readonly [name: string, quantity: number, unit: string])[];
  readonly steps: readonly StepSort[];
}

/** Reads a recipe that can be read. */
export function read(text: string): RecipeReading {
  const result = readRecipe(text);
  if (!result.ok) throw new Error(result.sentence);
  return result.reading;
}

/** Length of the longest row that both have in this order. */
function longestCommon(a: readonly string[], b: readonly string[]): number {
  const rows = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  for (let i = 1; i <= a.length; i++) {
    for (let j = 1; j <= b.length; j++) {
      rows[i]![j] = a[i - 1] === b[j - 1] ? rows[i - 1]![j - 1]! + 1 : Math.max(rows[i - 1]![j]!, rows[i]![j - 1]!);
    }
  }
  return rows[a.length]![b.length]!;
}

/** How many of what a cook reads was read: ingredients with name, amount and unit; steps by sort, in their order. */
export function score({ text, ingredients, steps }: Written): { readonly right: number; readonly all: number } {
  const reading = read(text);
  const items = ingredients.filter(([name, quantity, unit], k) => {
    const found = reading.ingredients[k];
    return found?.name === name && Math.abs(found.amount.quantity - quantity) < 1e-6 && found.amount.unit === unit;
  });
  const inOrder = longestCommon(
    steps,
    reading.steps.map(({ sort }) => sort),
  );
  return { right: items.length + inOrder, all: ingredients.length + steps.length };
}
