import { techniqueAt } from '@/core/dish/made';
import type { Evening } from '@/core/live/evening';
import { pausedFor, standingEvents, toldOf } from '@/core/live/events';
import { dishesOf, withGuests } from '@/core/live/guests';
import { toMeasure } from '@/core/live/measuring';
import { liveSteps } from '@/core/live/session';
import { joinedKey, readKey, type StepKey, stepKey, unitId } from '@/core/meal/keys';
import type { PlannedStep } from '@/core/plan/plan';

const MINUTE = 60_000;

/** What became of one step of one evening. */
export interface StepRecord {
  readonly eveningId: string;
  /** `dish/step`, without the part. */
  readonly step: StepKey;
  readonly key: StepKey;
  readonly dishId: string;
  readonly dishName: string;
  readonly name: string;
  /** The technique its dish was made by; null where it was written by hand. */
  readonly technique: string | null;
  readonly kitchenId: string;
  /** Whose hands, where it wanted hands. */
  readonly person: string | null;
  /** The burner or appliance that it came to the boil on; null where it did not. */
  readonly boiledOn: string | null;
  readonly attention: PlannedStep['attention'];
  /** Minutes as they were planned, and as they would have been without what was learned before. */
  readonly planned: number;
  readonly plannedPlain: number;
  /** Minutes as they were, pauses left out. */
  readonly real: number;
  readonly startedAt: number;
  readonly endedAt: number;
  /** When it was planned to begin and to end, by the plan as it stood at the end. */
  readonly paused: number;
}

/**
 * The steps of an evening that somebody said were done, with the minutes they took. Left out: what was skipped, changed its heat on the way or was called done by the clock, what only
 * rests, and what is part of another's time (warming an oven).
 */
export function recordsOf(evening: Evening): readonly StepRecord[] {
  const events = standingEvents(evening.events);
  const told = toldOf(events);
  const byClock = new Set(events.flatMap((event) => (event.kind === 'clock' ? [event.key] : [])));
  const end = (events.at(-1)?.at ?? evening.tableAt) + 1;
  return liveSteps(evening, end).flatMap(({ step, status, startAt, endAt }): StepRecord[] => {
    const said = told.get(step.key);
    const counts =
      status === 'done' &&
      said?.done !== undefined &&
      !said.skipped &&
      !said.settled &&
      !said.altered &&
      !byClock.has(step.key);
    if (!counts || step.station.sort === 'shelf' || step.kind === 'warm-up') return [];
    const dish = dishesOf(evening).find(({ id }) => id === step.dishId);
    const written = dish?.steps.find(({ id }) => id === step.stepId);
    if (!dish || !written) return [];
    const paused = pausedFor(said, endAt);
    const boils = written.grows.by === 'boil';
    const burner = evening.meal.kitchen.burners.find((each) => unitId('burner', each.id) === step.station.id);
    const factor = boils ? (burner?.learned ?? 1) : (written.learned?.factor ?? 1);
    return [
      {
        eveningId: evening.id,
        step: stepKey(dish.id, step.stepId),
        key: step.key,
        dishId: dish.id,
        dishName: dish.name,
        name: step.name,
        technique: techniqueAt(dish.made, step.stepId),
        kitchenId: evening.meal.kitchen.id,
        person: step.attention === 'hands' ? (step.person?.id ?? null) : null,
        boiledOn: boils ? step.station.id : null,
        attention: step.attention,
        planned: step.minutes,
        plannedPlain: step.minutes / factor,
        real: Math.max(0, endAt - startAt - paused) / MINUTE,
        startedAt: startAt,
        endedAt: endAt,
        paused: paused / MINUTE,
      },
    ];
  });
}

/** How much there was of a liquid on one evening. Millilitres. */
export interface MeasureRecord {
  /** `kitchen/dish/product`. */
  readonly key: string;
  readonly dishId: string;
  readonly dishName: string;
  readonly name: string;
  readonly thought: number;
  /** What would have been thought without what was learned before. */
  readonly thoughtPlain: number;
  readonly real: number;
}

/** What a liquid's lesson is known by. */
export function yieldKey(kitchenId: string, dishId: string, product: string): string {
  return joinedKey(kitchenId, dishId, product);
}

/** What was measured on an evening, the last word on each counting; by the number of people it began with. */
export function measuresOf(evening: Evening): readonly MeasureRecord[] {
  const found = new Map<string, MeasureRecord>();
  const events = standingEvents(evening.events);
  const meal = withGuests(evening.meal, events);
  for (const event of events) {
    const read = event.kind === 'measured' ? readKey(event.key) : null;
    const measure = read && toMeasure(meal, read.dish, read.step);
    if (event.kind !== 'measured' || !read || measure?.product !== event.product || event.ml <= 0) continue;
    const dish = evening.meal.dishes.find(({ id }) => id === read.dish);
    const factor = dish?.gives.find(({ product }) => product === event.product)?.learned?.factor ?? 1;
    const key = yieldKey(evening.meal.kitchen.id, read.dish, event.product);
    found.set(key, {
      key,
      dishId: read.dish,
      dishName: dish?.name ?? read.dish,
      name: measure.name,
      thought: measure.thoughtMl,
      thoughtPlain: measure.thoughtMl / factor,
      real: event.ml,
    });
  }
  return [...found.values()].filter(({ thoughtPlain }) => thoughtPlain > 0);
}
