import type { ReadStep, RecipeReading } from './as-read';
import { linksOf } from './graph';

/** Steps that a dish of its own has at the least. */
const LEAST_STEPS = 2;
const LONGEST_NAME = 120;

/**
 * The dishes of a text that holds more than one, each as a reading of its own; null where it is one dish. Parts are dishes where each is cooked by itself
 * and they meet only at the end, at the table: a curry and its rice, but not a stew and the dumplings that go into it.
 */
export function dishesApart(reading: RecipeReading): readonly RecipeReading[] | null {
  const { steps } = reading;
  const last = steps.at(-1);
  if (!last || steps.length < LEAST_STEPS * 2) return null;
  const body = last.sort === 'serve' ? steps.slice(0, -1) : steps;
  const parts = [...new Set(body.map(({ part }) => part))];
  if (parts.length < 2 || parts.some((part) => !isCooked(body.filter((step) => step.part === part)))) return null;
  const partOf = new Map(body.map(({ id, part }) => [id, part]));
  const meets = linksOf(reading).some(
    ({ from, to }) => partOf.has(from) && partOf.has(to) && partOf.get(from) !== partOf.get(to),
  );
  if (meets) return null;
  const names = namesOf(reading.name, parts);
  const used = (of: readonly ReadStep[]) => new Set(of.flatMap(({ uses }) => uses));
  const all = used(body);
  return parts.map((part, k): RecipeReading => {
    // What is done at the table is done with the first.
    const own = [
      ...body.filter((step) => step.part === part),
      ...(k === 0 && body.length < steps.length ? [last] : []),
    ];
    const uses = used(own);
    return {
      ...reading,
      name: names[k]!.slice(0, LONGEST_NAME),
      steps: own,
      ingredients: reading.ingredients.filter(({ id }) => uses.has(id) || (k === 0 && !all.has(id))),
    };
  });
}

/** Work enough for a dish, some of it with heat. */
function isCooked(steps: readonly ReadStep[]): boolean {
  return steps.length >= LEAST_STEPS && steps.some(({ place }) => place.at === 'burner' || place.at === 'oven');
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/^(?:for|to make) |^(?:the|a|an|your) /g, '')
    .trim();

/** "Chicken curry with cumin rice" names both; else each is called after its part. */
function namesOf(name: string, parts: readonly (string | null)[]): readonly string[] {
  const pieces = name.split(/\s+(?:with|and|&|\+|mit|und|et|avec|y|con)\s+/i);
  const called = parts.map((part) => {
    const noun = plain(part ?? '');
    return noun === '' ? undefined : pieces.find((piece) => piece.toLowerCase().includes(noun));
  });
  const free = pieces.filter((piece) => !called.includes(piece));
  return parts.map((part, k) => called[k] ?? (part === null ? (free[0] ?? name) : `${name}: ${plain(part)}`));
}
