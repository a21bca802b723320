import type { Refusal } from '@/core/dish/check';
import { nameOfUnit } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { say } from '@/core/say/say';
import type { Conflict, NoSolution } from '@/core/schedule/problem';
import { listed } from '@/core/units/words';
import type { Compiled } from './compile';
import { EYES, HANDS, shelvesOf } from './resources';

/** Why there is no plan: what collides, as far as that is known, and what may help. */
export function noPlan(meal: Meal, compiled: Compiled, solution: NoSolution): Refusal {
  const help = say('Choose a later hour, take out a dish, or add a burner, a pot or a person.');
  if (solution.status === 'unknown') {
    return { where: say('the meal'), sentence: say('No plan was found in the time there was. {help}', { help }) };
  }
  const clash = solution.conflict ? clashOf(meal, compiled, solution.conflict) : '';
  return {
    where: say('the meal'),
    sentence: [say('This cannot be cooked in this kitchen by that hour.'), clash, help].filter(Boolean).join(' '),
  };
}

const MOST_NAMED = 5;

/** "These collide: “simmer” of the barley and “fry” of the curry; they want the strong burner." */
function clashOf(meal: Meal, { entries }: Compiled, conflict: Conflict): string {
  const steps = conflict.steps.flatMap((key) => {
    const entry = entries.get(key);
    if (entry?.kind === 'part')
      return [say('“{step}” ({dish})', { step: entry.part.step.name, dish: entry.part.dish.name })];
    return entry?.kind === 'warm'
      ? [say('warming the oven to {celsius} °C ({dish})', { celsius: entry.celsius, dish: entry.dish.name })]
      : [];
  });
  if (steps.length === 0) return '';
  const things = [
    ...new Set(conflict.units.map((unit) => nameOfUnit(meal.kitchen, unit))),
    ...(conflict.pools.includes(HANDS) ? [say('hands')] : []),
    ...(conflict.pools.includes(EYES) ? [say('eyes for the pots')] : []),
    ...meal.kitchen.ovens.flatMap(({ id, name }) =>
      conflict.pools.includes(shelvesOf(id)) || conflict.states.includes(id) ? [name] : [],
    ),
  ];
  const values = { steps: listed(steps, MOST_NAMED), things: listed(things, MOST_NAMED) };
  if (steps.length === 1)
    return things.length > 0
      ? say('What does not fit is {steps}, which wants {things}.', values)
      : say('What does not fit is {steps}.', values);
  return things.length > 0
    ? say('These collide: {steps}; they want {things}.', values)
    : say('These collide: {steps}.', values);
}
