import { written } from '@/core/say/retold';
import { say } from '@/core/say/say';
import { scaleAmount } from '@/core/units/amount';
import { checkDish } from './check';
import type { Dish } from './dish';
import type { Made, More } from './made';
import { makeDish } from './parts';
import type { Technique } from './technique';
import { TECHNIQUES, techniqueOf } from './techniques/all';

/** A dish under the cook's hand: what is said of it, from which the dish itself follows. */
export interface DishDraft extends Made {
  readonly id: string;
  readonly name: string;
  readonly servings: number;
}

/** A fresh draft of a technique. */
export function beginDraft(technique: Technique, id: string, servings: number): DishDraft {
  return { id, name: technique.name, servings, technique: technique.id, ways: {}, fillings: {}, ...technique.begins };
}

/** The draft from which a dish was made; null for a dish that was written by hand, or made in a way that is not known here. */
export function draftOf({ id, name, servings, made }: Dish): DishDraft | null {
  const known =
    made && [made, ...(made.parts ?? [])].every(({ technique }) => TECHNIQUES.some((each) => each.id === technique));
  return known ? { id, name, servings, ...made } : null;
}

/** The dish of a draft. Liquid that the cook has measured for its grain is not kept: it follows the balance or the school again. */
export function dishOf({ id, name, servings, technique, ...said }: DishDraft): Dish {
  return makeDish(techniqueOf(technique), { id, name: name.trim(), servings }, said);
}

/** The draft with something more that goes in, to be named. */
export function withMore(draft: DishDraft): DishDraft {
  const { more = [] } = draft;
  let number = more.length + 1;
  while (more.some(({ id }) => id === `more-${number}`)) number++;
  const amount = { quantity: 1 / draft.servings, unit: 'piece' } as const;
  return { ...draft, more: [...more, { id: `more-${number}`, name: written('something more'), amount }] };
}

/** The draft with what goes in besides changed; its amount is told for all portions. Null takes it out. */
export function withMoreChanged(draft: DishDraft, id: string, by: ((now: More) => More) | null): DishDraft {
  const { more = [] } = draft;
  if (by === null) return { ...draft, more: more.filter((each) => each.id !== id) };
  const all = (each: More): More => ({ ...each, amount: scaleAmount(each.amount, draft.servings) });
  const one = (each: More): More => ({ ...each, amount: scaleAmount(each.amount, 1 / draft.servings) });
  return { ...draft, more: more.map((each) => (each.id === id ? one(by(all(each))) : each)) };
}

const MOST_SERVINGS = 40;

/** What is wrong with a draft, in words; null when nothing is. */
export function draftFault(draft: DishDraft): string | null {
  const { name, servings } = draft;
  if (name.trim() === '') return say('Name: the dish needs one.');
  if (name.length > 120) return say('Name: 120 letters at most.');
  if (!Number.isInteger(servings) || servings < 1 || servings > MOST_SERVINGS) {
    return say('Servings: a whole number from 1 to {most}.', { most: MOST_SERVINGS });
  }
  // One vessel for two parts that wait for one another.
  const [refusal] = checkDish(dishOf(draft));
  return refusal?.sentence ?? null;
}
