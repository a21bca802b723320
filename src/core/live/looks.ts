import { wholeNamesIn } from '@/core/dish/cautions';
import type { Dish } from '@/core/dish/dish';
import type { Meal } from '@/core/meal/meal';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import type { Look } from './events';
import { type LiveStep, moreMinutes } from './session';

const MINUTE = 60_000;

/** The instant at which a running step wants its next look: so long after the last one or its beginning; null when it wants none. */
export function nextLookAt({ step, status, startAt, endAt, told }: LiveStep): number | null {
  if (status !== 'running' || step.lookEvery === null || step.attention === 'hands') return null;
  const looked = told.looked ?? startAt;
  const at = Math.max(looked, startAt) + step.lookEvery * MINUTE;
  // The end is a look by itself.
  return at < endAt - MINUTE ? at : null;
}

/** What is asked at a look: its own sign of being done as a question. */
export function questionOf({ step }: LiveStep): string {
  const sign = step.doneWhen.split(/[;.]/)[0]!.trim();
  return sign ? `${sign.charAt(0).toUpperCase()}${sign.slice(1)}?` : say('Is it there?');
}

/** When it is thought to be there after a look: nearly is half of what "not yet" gives, but never sooner than it was thought. */
export function untilAfter(look: Look, { step, endAt }: LiveStep, now: number): number {
  const more = moreMinutes(step) * MINUTE;
  if (look === 'there') return now;
  // Early in its time a "not there" is no news.
  if (now < endAt - more) return endAt;
  return look === 'nearly' ? Math.max(endAt, now + Math.max(MINUTE, more / 2)) : Math.max(endAt, now) + more;
}

/** Minutes until a pot simmers again after cold water. Common practice, no source: 2 to 5 for a splash. */
export const WATER_MINUTES = 3;

/** What added water means for what the grain will have; null where nothing hangs on it. */
export function waterReminder(meal: Meal, dishId: string, ml: number): string | null {
  const dish = meal.dishes.find(({ id }) => id === dishId);
  if (!dish) return null;
  if (dish.grain)
    return say('That counts as liquid of the grain: {ml} ml more, so a longer time open or a little less later.', {
      ml,
    });
  const takers = meal.dishes.filter((other) =>
    other.takes.some(({ product }) => dish.gives.some((give) => give.product === product)),
  );
  return takers.length > 0
    ? say(
        'Measure again when you strain it: {count, plural, one {{takers} wants} other {{takers} want}} a measured amount.',
        { takers: listed(takers.map(({ name }) => name)), count: takers.length },
      )
    : null;
}

/** What has to be fished out of a dish before it is served: whole spices and peppers that went into a pot. */
export function toFishOut(dish: Dish): readonly string[] {
  return wholeNamesIn(dish);
}
