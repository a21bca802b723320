import type { Dish, Step } from '@/core/dish/dish';

/**
 * Staples and small things that instructions mention in passing, so that nobody lists them: "butter, salt and pepper". Each by the
 * word that is known for it in a list of ingredients.
 */
const STAPLES: readonly (readonly [name: string, said: RegExp, listed: RegExp])[] = [
  ['salt', /\b(salt|salted|salting)\b(?! (it )?less)/, /\bsalt\b/],
  ['pepper', /\bpepper\b(?!s)/, /\bpepper(corns?)?\b/],
  ['sugar', /\bsugar\b/, /\b(sugar|honey)\b/],
  ['oil', /\b(oil|oiled)\b/, /\b(oil|dripping|ghee|lard)\b/],
  ['butter', /\b(butter|buttered)\b/, /\bbutter\b/],
  ['vinegar', /\bvinegar\b/, /\bvinegar\b/],
  ['lemon', /\blemons?\b/, /\blemons?\b/],
  ['flour', /\b(flour|floured)\b/, /\bflour\b/],
  ['cornflour', /\b(cornflour|starch)\b/, /\b(cornflour|starch)\b/],
  ['honey', /\bhoney\b/, /\bhoney\b/],
  ['mustard', /\bmustard\b/, /\bmustard\b/],
  ['herbs', /\bherbs?\b/, /\b(herbs?|parsley|dill|thyme|sage|mint|rosemary|coriander|chives|oregano|bay)\b/],
  ['baking paper', /\bpaper\b/, /\bpaper\b/],
  ['foil', /\b(foil|foiled)\b/, /\bfoil\b/],
  ['a clean cloth', /\bcloth\b/, /\bcloth\b/],
  ['ice', /\biced? (water|bath)|\bice\b/, /\bice\b/],
];

/** A thing that a step asks for though no list names it: to be put at hand, as much as it takes. */
export interface ToHand {
  readonly name: string;
  readonly step: Step;
}

/** What the steps of a dish mention and its ingredients do not hold; each thing once, at the first step that asks for it. */
export function toHandOf(dish: Dish): readonly ToHand[] {
  const listed = [...dish.ingredients.map(({ name }) => name), ...dish.takes.map(({ otherwise }) => otherwise)]
    .join(', ')
    .toLowerCase();
  return STAPLES.flatMap(([name, said, known]): ToHand[] => {
    if (known.test(listed)) return [];
    const step = dish.steps.find(({ says }) => said.test(says.toLowerCase()));
    return step ? [{ name, step }] : [];
  });
}
