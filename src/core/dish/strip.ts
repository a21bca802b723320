import type { Dish, Step } from './dish';

/** A step of a dish on its own clock: minutes before the dish is ready. */
export interface StripStep {
  readonly step: Step;
  readonly start: number;
  readonly end: number;
}

/**
 * The steps of a dish by itself as late as they may be, with every link at its least: what follows what, what goes on beside it, what
 * waits. Minute 0 is the end of its last step. No kitchen, no hands: one cook may need longer.
 */
export function stripOf(dish: Dish): readonly StripStep[] {
  const end = new Map(dish.steps.map(({ id }) => [id, 0]));
  const minutes = new Map(dish.steps.map((step) => [step.id, step.minutes.likely]));
  const edge = (id: string, at: 'start' | 'end') => end.get(id)! - (at === 'start' ? minutes.get(id)! : 0);
  // Each round settles one step at least: a chain has no more links than there are steps.
  for (let round = 0; round <= dish.steps.length; round++) {
    for (const link of dish.links) {
      const late = edge(link.from, link.at) + link.min - edge(link.to, link.of);
      if (late > 0) end.set(link.from, end.get(link.from)! - late);
      // A most that is passed draws what comes after towards it.
      const wait = edge(link.to, link.of) - edge(link.from, link.at);
      if (late <= 0 && link.max !== null && wait > link.max) end.set(link.to, end.get(link.to)! - (wait - link.max));
    }
  }
  const last = Math.max(...end.values());
  return dish.steps
    .map((step) => ({ step, start: end.get(step.id)! - step.minutes.likely - last, end: end.get(step.id)! - last }))
    .sort((a, b) => a.start - b.start || a.end - b.end);
}

/** Minutes from the first step to the last, and of hands, for the servings it is written for; the evening before is left out. */
export function minutesOf(dish: Dish): { readonly all: number; readonly hands: number } {
  const today = stripOf(dish).filter(({ step }) => !step.ahead && step.daysBefore === undefined);
  const first = Math.min(0, ...today.map(({ start }) => start));
  const hands = today
    .filter(({ step }) => step.attention === 'hands')
    .reduce((sum, each) => sum + each.end - each.start, 0);
  return { all: -first, hands };
}
