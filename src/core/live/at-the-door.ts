import type { Dish } from '@/core/dish/dish';
import { litresOf } from '@/core/dish/grain-of';
import { checkMeal } from '@/core/meal/check';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import type { Tryable } from '@/core/remedies/try-out';
import { say } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { listed } from '@/core/units/words';
import { mealAsItIs } from './as-it-is';
import type { NewEvent } from './events';
import { WATER_MINUTES } from './looks';
import { quickFor } from './quick-dishes';
import { liveSteps, type Session } from './session';

/**
 * Dishes that stay as large as they are when so many more come: those of which something has begun or is done, and those whose pots would be
 * too small.
 */
export function fixedAt(session: Session, more: number, at: number): readonly string[] {
  const begun = new Set(
    liveSteps(session, at).flatMap(({ step, status }) =>
      step.kind === 'step' && (status === 'running' || status === 'done') ? [step.dishId] : [],
    ),
  );
  const meal = mealAsItIs(session, at);
  const forAll = { ...meal, people: Math.max(1, meal.people + more) };
  return meal.dishes
    .filter((dish) => begun.has(dish.id) || checkMeal({ ...forAll, dishes: [dish] }).length > 0)
    .map(({ id }) => id);
}

/** So much more liquid a soup or a stew bears without tasting of it: a share of what is in it. Common practice, no source. */
const STRETCHES = 0.12;
const LEAST_ML = 100;
/** More of a quick dish than for those who have come, so that all can take of it. */
const FOR_ALL = 0.4;

/** A way to feed those who have come. */
export interface DoorIdea extends Tryable {
  readonly says: string;
  readonly how: string;
  readonly does: readonly NewEvent[];
}

/** What can be tried for so many more at the table: what there is shared out, a soup or stew made longer, something quick beside it. */
export function doorIdeas(session: Session, more: number, at: number): readonly DoorIdea[] {
  const meal = mealAsItIs(session, at);
  const fixed = fixedAt(session, more, at);
  const guests: NewEvent = { kind: 'guests', more, fixed };
  const names = (isFixed: boolean) =>
    meal.dishes.filter(({ id, lands }) => lands && fixed.includes(id) === isFixed).map(({ name }) => name);
  const grown = names(false);
  const shares = Math.round(
    (100 * portionsOf(meal)) / portionsOf({ ...meal, people: Math.max(1, meal.people + more) }),
  );
  const portions =
    names(true).length === 0
      ? ''
      : more > 0
        ? say('of {names} a portion is {shares} % of what it was', { names: listed(names(true)), shares })
        : say('of {names} a portion is {shares} % of what it was: some will be left', {
            names: listed(names(true)),
            shares,
          });
  const growing =
    grown.length === 0
      ? ''
      : say('{count, plural, one {{grown} is} other {{grown} are}} cooked for {people}', {
          grown: listed(grown),
          count: grown.length,
          people: meal.people + more,
        });
  const how = [growing, portions].filter(Boolean).join('; ');
  const plain: DoorIdea = { id: 'share', says: say('share out what there is'), how, does: [guests], effort: 0 };
  if (more <= 0) return [plain];
  const longer = loosened(session, meal, fixed, at);
  const size = Math.ceil(more + FOR_ALL * meal.people);
  const quick = quickFor(meal, size).map(
    ({ made, name, takes }): DoorIdea => ({
      id: made.id,
      says: say('{name}, for {size}', { name, size }),
      how: takes,
      does: [guests, { kind: 'added', dish: made.id, made }],
      effort: made.steps.length,
    }),
  );
  const stretched = longer.length === 0 ? [] : [stretch(guests, longer)];
  return [plain, ...stretched, ...quick];
}

/** What a soup or a stew on the heat can take of hot water. */
function loosened(session: Session, meal: Meal, fixed: readonly string[], at: number) {
  const steps = liveSteps(session, at);
  return meal.dishes.flatMap((dish) => {
    const live = steps.findLast(
      ({ step, status }) =>
        step.dishId === dish.id && step.station.sort === 'burner' && step.attention !== 'hands' && status === 'running',
    );
    const litres = liquidIn(scaledFor(meal, dish));
    const ml = Math.round((litres * 1000 * STRETCHES) / 50) * 50;
    if (!live || dish.grain || !fixed.includes(dish.id) || ml < LEAST_ML) return [];
    return [{ name: dish.name, key: live.step.key, ml, until: Math.max(live.endAt, at + WATER_MINUTES * 60_000) }];
  });
}

/** Litres of what is poured into a dish. */
function liquidIn(dish: Dish): number {
  const poured = [...dish.ingredients, ...dish.takes].flatMap(({ amount }) => litresOf(amount) ?? []);
  return poured.reduce((sum, litres) => sum + litres, 0);
}

function stretch(guests: NewEvent, longer: ReturnType<typeof loosened>): DoorIdea {
  return {
    id: 'loosen',
    says: say('make {longer} longer', { longer: listed(longer.map(({ name }) => name)) }),
    how: say('{longer}; taste for salt', {
      longer: listed(
        longer.map(({ name, ml }) =>
          say('{amount} of boiling water into {name}', { amount: printAmount({ quantity: ml, unit: 'ml' }), name }),
        ),
      ),
    }),
    does: [guests, ...longer.map(({ key, ml, until }) => ({ kind: 'water', key, ml, until }) as const)],
    effort: 0.5,
  };
}
