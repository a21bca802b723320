import { say } from '@/core/say/say';
import type { Dish, Link, Minutes } from './dish';
import { grainFaults } from './grain-of';

/** Why something cannot be used: where it stands and a sentence that says what is allowed. */
export interface Refusal {
  readonly where: string;
  readonly sentence: string;
}

/** What makes a dish unusable, in a cook's words; empty when it is sound. */
export function checkDish(dish: Dish): readonly Refusal[] {
  const refusals: Refusal[] = [];
  const refuse = (where: string, sentence: string) => refusals.push({ where: `${dish.name}, ${where}`, sentence });
  if (dish.steps.length === 0) refuse('steps', say('A dish needs at least one step.'));
  for (const [list, what] of [
    [dish.steps, 'step'],
    [dish.ingredients, 'ingredient'],
    [dish.vessels, 'vessel'],
  ] as const) {
    const seen = new Set<string>();
    for (const item of list) {
      if (seen.has(item.id))
        refuse(`${what} "${item.id}"`, say('Two of them share the id "{id}"; each needs its own.', { id: item.id }));
      seen.add(item.id);
    }
  }

  const steps = new Set(dish.steps.map((step) => step.id));
  const ingredients = new Set(dish.ingredients.map((item) => item.id));
  const known = (where: string, id: string) => {
    if (!steps.has(id)) refuse(where, say('There is no step "{id}" in this dish.', { id }));
    return steps.has(id);
  };
  for (const step of dish.steps) {
    const sentence = minutesFault(step.minutes);
    if (sentence) refuse(say('step "{step}", minutes', { step: step.name }), sentence);
    if (step.vessel !== undefined && !dish.vessels.some((use) => use.id === step.vessel)) {
      refuse(
        say('step "{step}", vessel', { step: step.name }),
        say('There is no vessel "{vessel}" in this dish.', { vessel: step.vessel }),
      );
    }
    for (const id of step.uses) {
      if (!ingredients.has(id))
        refuse(
          say('step "{step}", uses', { step: step.name }),
          say('There is no ingredient "{id}" in this dish.', { id }),
        );
    }
  }
  for (const link of dish.links) {
    const where = say('link from "{from}" to "{to}"', { from: link.from, to: link.to });
    if (link.from === link.to) {
      refuse(where, say('The step "{from}" cannot follow itself; name another step.', { from: link.from }));
    } else if (known(where, link.from) && known(where, link.to) && link.max !== null && link.min > link.max) {
      refuse(
        where,
        say('The shortest wait ({min} min) is longer than the longest ({max} min).', { min: link.min, max: link.max }),
      );
    }
  }
  for (const use of dish.vessels) {
    known(say('vessel "{use}"', { use: use.name }), use.from);
    known(say('vessel "{use}"', { use: use.name }), use.to);
  }
  for (const give of dish.gives) known(say('gives "{give}"', { give: give.name }), give.step);
  for (const take of dish.takes) known(say('takes "{product}"', { product: take.product }), take.step);
  if (dish.lands) known('landing', dish.lands.step);
  if (dish.grain) for (const [where, sentence] of grainFaults(dish, dish.grain)) refuse(where, sentence);
  const { lands } = dish;
  if (lands && lands.waits.mostMinutes < lands.waits.wellMinutes) {
    refuse('waiting', say('The most minutes it waits cannot be fewer than the minutes it waits well.'));
  }
  if (refusals.length === 0) {
    const circle = findCircle(dish.links);
    if (circle)
      refuse(
        'links',
        say('These steps wait for one another in a circle: {circle}.', { circle: circle.join(say(', ')) }),
      );
  }
  return refusals;
}

/** What is wrong with a step's minutes, or null. */
export function minutesFault({ shortest, likely, longest }: Minutes): string | null {
  if (![shortest, likely, longest].every((value) => Number.isInteger(value) && value >= 0)) {
    return say('Minutes are whole numbers from 0 upwards.');
  }
  if (shortest > likely || likely > longest) {
    return say('Shortest, likely and longest must rise: {shortest}, {likely}, {longest} do not.', {
      shortest,
      likely,
      longest,
    });
  }
  return null;
}

/** A round of steps in which each begins only after the one before has ended. */
function findCircle(links: readonly Link[]): readonly string[] | null {
  const next = new Map<string, string[]>();
  for (const link of links) {
    if (link.min < 0 || link.at !== 'end' || link.of !== 'start') continue;
    next.set(link.from, [...(next.get(link.from) ?? []), link.to]);
  }
  const state = new Map<string, 'open' | 'closed'>();
  const path: string[] = [];
  const visit = (id: string): readonly string[] | null => {
    if (state.get(id) === 'closed') return null;
    if (state.get(id) === 'open') return path.slice(path.indexOf(id));
    state.set(id, 'open');
    path.push(id);
    for (const to of next.get(id) ?? []) {
      const circle = visit(to);
      if (circle) return circle;
    }
    path.pop();
    state.set(id, 'closed');
    return null;
  };
  for (const id of next.keys()) {
    const circle = visit(id);
    if (circle) return circle;
  }
  return null;
}
