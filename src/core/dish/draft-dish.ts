import { type Amount, scaleAmount } from '@/core/units/amount';
import type { Dish } from './dish';
import type { Filling, Made } from './made';
import { makeDish, type Technique } from './technique';
import { techniqueOf } from './techniques/all';

/** A dish under the cook's hand: what is said of it, from which the dish itself follows. */
export interface DishDraft extends Made {
  readonly id: string;
  readonly name: string;
  readonly servings: number;
}

/** A fresh draft of a technique. */
export function beginDraft(technique: Technique, id: string, servings: number): DishDraft {
  return { id, name: technique.name, servings, technique: technique.id, ways: {}, fillings: {} };
}

/** The draft from which a dish was made; null for a dish that was written by hand. */
export function draftOf({ id, name, servings, made }: Dish): DishDraft | null {
  return made ? { id, name, servings, ...made } : null;
}

/** The dish of a draft. Liquid that the cook has measured for its grain is not kept: it follows the balance or the school again. */
export function dishOf({ id, name, servings, technique, ways, fillings }: DishDraft): Dish {
  return makeDish(techniqueOf(technique), { id, name: name.trim(), servings }, { ways, fillings });
}

/** The draft with something else in a slot; null leaves it out, undefined puts the usual back. */
export function withFilling(draft: DishDraft, slot: string, change: Filling | null | undefined): DishDraft {
  const { [slot]: before, ...others } = draft.fillings;
  if (change === undefined) return { ...draft, fillings: others };
  return { ...draft, fillings: { ...others, [slot]: change === null ? null : { ...before, ...change } } };
}

/** The amount of a slot for one portion, from the amount for all of them. */
export function portionOf(draft: DishDraft, slot: string, amount: Amount): Amount {
  const grows = techniqueOf(draft.technique).slots.find(({ id }) => id === slot)?.grows !== false;
  return grows ? scaleAmount(amount, 1 / draft.servings) : amount;
}

const MOST_SERVINGS = 40;

/** What is wrong with a draft, in words; null when nothing is. */
export function draftFault({ name, servings }: DishDraft): string | null {
  if (name.trim() === '') return 'Name: the dish needs one.';
  if (name.length > 120) return 'Name: 120 letters at most.';
  if (!Number.isInteger(servings) || servings < 1 || servings > MOST_SERVINGS) {
    return `Servings: a whole number from 1 to ${MOST_SERVINGS}.`;
  }
  return null;
}
