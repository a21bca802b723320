import type { Dish } from '@/core/dish/dish';
import { comesBefore } from '@/core/recipe/graph';
import { dishFrom, type RecipeReading, readRecipe } from '@/core/recipe/reading';

/** A recipe as others write them, with what a cook reads in it. */
export interface Stranger {
  readonly manner: string;
  readonly servings: number;
  readonly text: string;
  readonly ingredients: readonly {
    readonly name: string;
    readonly quantity: number;
    readonly units: readonly string[];
  }[];
  readonly steps: readonly TrueStep[];
}

interface TrueStep {
  /** Words that only this step has. */
  readonly words: string;
  readonly places: readonly string[];
  /** null: none are said. */
  readonly minutes: number | null;
  readonly attentions: readonly string[];
  readonly uses: readonly string[];
  readonly relation: 'after' | 'beside' | 'once';
}

/** The recipes of a file: `=== manner | servings`, the text, `--- ingredients`, `--- steps`. */
export function strangersIn(file: string): readonly Stranger[] {
  return file
    .split(/^=== /m)
    .slice(1)
    .map((block) => {
      const [head, ...lines] = block.split('\n');
      const [manner, servings] = head!.split(' | ');
      const [text, ingredients, steps] = lines.join('\n').split(/^--- (?:ingredients|steps)\n/m);
      const rows = (part: string) =>
        part
          .trim()
          .split('\n')
          .map((line) => line.split('|').map((cell) => cell.trim()));
      return {
        manner: manner!,
        servings: Number(servings),
        text: text!.trim(),
        ingredients: rows(ingredients!).map(([name, quantity, units]) => ({
          name: name!,
          quantity: Number(quantity),
          units: units!.split(','),
        })),
        steps: rows(steps!).map(([words, places, minutes, attentions, uses, relation]) => ({
          words: words!,
          places: places!.split(','),
          minutes: minutes === '-' ? null : Number(minutes),
          attentions: attentions!.split(','),
          uses: (uses ?? '')
            .split(',')
            .map((use) => use.trim())
            .filter(Boolean),
          relation: relation === 'beside' ? 'beside' : relation === 'once' ? 'once' : 'after',
        })),
      };
    });
}

/** So many of so many. */
export type Share = readonly [right: number, of: number];

/** What of a recipe was read as a cook reads it. */
export interface StrangerScore {
  readonly found: Share;
  readonly listed: Share;
  readonly steps: Share;
  readonly place: Share;
  readonly minutes: Share;
  readonly attention: Share;
  readonly ties: Share;
  readonly relations: Share;
  readonly extraSteps: number;
  readonly corrections: number;
  readonly faults: readonly string[];
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, ' ')
    .trim();
const stem = (word: string) =>
  plain(word)
    .split(' ')
    .at(-1)!
    .replace(/(?:es|s|e)$/, '');

/** Reads a recipe and holds it against what a cook reads. */
export function scoreStranger(stranger: Stranger): StrangerScore {
  const result = readRecipe(stranger.text);
  const faults: string[] = [];
  const reading: Pick<RecipeReading, 'ingredients' | 'steps' | 'servings'> = result.ok
    ? result.reading
    : { servings: 0, ingredients: [], steps: [] };
  if (!result.ok) faults.push(result.sentence);
  const taken = new Set<string>();
  const idOf = new Map<string, string>();
  for (const { name, quantity, units } of stranger.ingredients) {
    const match = reading.ingredients.find(
      (each) =>
        !taken.has(each.id) &&
        plain(name)
          .split(' ')
          .every((word) => plain(each.name).includes(stem(word))),
    );
    if (!match) faults.push(`- ${name}`);
    else {
      taken.add(match.id);
      idOf.set(name, match.id);
      const { amount } = match;
      const is = units.some((unit) => unit === amount.unit || (unit === 'packet' && amount.unit === 'piece'));
      if (Math.abs(amount.quantity - quantity) > quantity * 0.02 || !is)
        faults.push(`~ ${name}: ${amount.quantity} ${amount.unit}`);
    }
  }
  for (const each of reading.ingredients) if (!taken.has(each.id)) faults.push(`+ ${each.name} (${each.words})`);
  const listed = faults.length;
  const idsOf = (use: string) =>
    [...idOf]
      .filter(([name]) =>
        plain(use)
          .split(' ')
          .some((word) => plain(name).includes(stem(word))),
      )
      .map(([, id]) => id);
  const dish: Dish | null = result.ok ? dishFrom(result.reading, 'd') : null;
  const counts = { place: [0, 0], minutes: [0, 0], attention: [0, 0], ties: [0, 0], relations: [0, 0] } as Record<
    string,
    [number, number]
  >;
  const count = (of: string, is: boolean, words: string) => {
    counts[of]![1]++;
    if (is) counts[of]![0]++;
    else faults.push(`${of}: ${words}`);
  };
  const claimed = new Set<string>();
  let before: string | null = null;
  let found = 0;
  for (const step of stranger.steps) {
    const read = reading.steps.find(({ id, words }) => !claimed.has(id) && plain(words).includes(plain(step.words)));
    if (!read) {
      faults.push(`step: ${step.words}`);
      before = null;
      continue;
    }
    claimed.add(read.id);
    found++;
    const was = read.place.at === 'burner' ? `burner ${read.place.heat}` : read.place.at;
    count('place', step.places.includes(read.place.at), `${step.words} at ${was}`);
    if (step.minutes !== null)
      count(
        'minutes',
        Math.abs(read.minutes.likely - step.minutes) <= Math.max(1, step.minutes * 0.1),
        `${step.words} ${read.minutes.likely}`,
      );
    count('attention', step.attentions.includes(read.attention), `${step.words} ${read.attention}`);
    for (const use of step.uses) {
      const ids = idsOf(use);
      if (ids.length > 0)
        count(
          'ties',
          ids.some((id) => read.uses.includes(id)),
          `${step.words}: ${use}`,
        );
    }
    if (before !== null && dish) {
      const max = dish.links.find(({ from, to }) => from === before && to === read.id)?.max ?? null;
      const after = comesBefore(before, read.id, dish.links);
      const is =
        step.relation === 'beside' ? !after : step.relation === 'once' ? after && max !== null && max <= 5 : after;
      count('relations', is, `${step.words} ${step.relation}`);
    }
    before = read.id;
  }
  // What only warms a pan, or says that it boils on the way, may stand alone or with what comes after.
  const extras = reading.steps.filter(
    ({ id, words }) => !claimed.has(id) && !/^(?:heat|melt|bring|warm)\b/i.test(words),
  );
  for (const { words } of extras) faults.push(`extra step: ${words}`);
  if (reading.servings !== stranger.servings) faults.push(`serves ${reading.servings}`);
  const share = (of: string): Share => [counts[of]![0], counts[of]![1]];
  const right = stranger.ingredients.length - faults.slice(0, listed).filter((each) => !each.startsWith('+')).length;
  return {
    found: [right, stranger.ingredients.length],
    listed: [right, reading.ingredients.length],
    steps: [found, stranger.steps.length],
    place: share('place'),
    minutes: share('minutes'),
    attention: share('attention'),
    ties: share('ties'),
    relations: share('relations'),
    extraSteps: extras.length,
    corrections: faults.length,
    faults,
  };
}

/** All of a set together. */
export function sumOf(scores: readonly StrangerScore[], of: keyof StrangerScore): number {
  const shares = scores.map((each) => each[of] as Share);
  return (
    shares.reduce((sum, [right]) => sum + right, 0) /
    Math.max(
      1,
      shares.reduce((sum, [, all]) => sum + all, 0),
    )
  );
}
