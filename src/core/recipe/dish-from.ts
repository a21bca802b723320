import type { Dish, Ingredient, Step } from '@/core/dish/dish';
import { dish as dishOf, waits } from '@/core/dish/write';
import { written } from '@/core/say/retold';
import { type ReadStep, type RecipeReading, unnamed } from './as-read';
import { NO_GUESS } from './classify';
import { linksOf } from './graph';
import { vesselsOf } from './vessels';

/** The dish of a reading, as it stands after the cook has looked at it. What no step names goes into the first one. */
export function dishFrom(whole: RecipeReading, id: string): Dish {
  const reading = whole.steps.length > 0 ? whole : { ...whole, steps: [UNREAD] };
  const { name, servings, steps: read } = reading;
  const forgotten = unnamed(reading).map((each) => each.id);
  const links = linksOf(reading);
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
      waits: cold ? waits('cold', 60, 120, written('covered, in the cold')) : waits('hot', 10, 20, 'covered'),
    },
    note: written('Read from a recipe; its minutes and links are guesses until they are cooked.'),
  });
}

/** Where no step was read: one to write. */
const UNREAD: ReadStep = {
  ...NO_GUESS,
  id: 's1',
  words: 'No step was read from the recipe: write here what is done.',
  uses: [],
  names: [],
  part: null,
  sure: 0,
  atOnce: false,
  minutes: { shortest: 5, likely: 10, longest: 20 },
};

/** A word for the score: the verb that its words have, where it says the same as its sort. */
function nameOf({ sort, sortWords, words }: ReadStep): string {
  const [verb] = (sortWords ?? '').toLowerCase().match(VERBS) ?? [];
  if (verb) return verb;
  const [other] =
    sort === 'mix' || sort === 'serve' || sort === 'drain' ? (words.toLowerCase().match(VERBS) ?? []) : [];
  return other ?? sort;
}

const VERBS =
  /\b(?:chop|slice|dice|grate|peel|marinate|soak|brown|fry|soften|toast|simmer|boil|bake|roast|grill|rest|chill|drain|rinse|knead|whisk|blend|mash|roll|season|shred|serve)(?![a-z])/;

/** The first of the steps that stand on an earlier day says which. */
function withDayBefore(steps: readonly Step[], read: readonly ReadStep[]): readonly Step[] {
  const first = read.findIndex(({ dayBefore }) => dayBefore);
  return steps.map((step, k) => (k === first ? { ...step, daysBefore: 1 } : step));
}
