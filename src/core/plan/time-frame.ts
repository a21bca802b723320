import type { Dish } from '@/core/dish/dish';
import { clockMinutes, type Person } from '@/core/kitchen/kitchen';
import { stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { minuteAt } from '@/core/plain/wall-clock';
import type { Part } from './lots';
import { sleep } from './resources';
import { HOT_HOUR_MINUTES } from './weights';

const MINUTES_AFTER_TABLE = 90;
/** Work of an earlier day is done in its evening, from 16:00. */
const EVENING_FROM = 16 * 60;
/** A dish as long as this reaches into the night before. */
const LONG_DISH = 480;
const NIGHT = 660;
/** Room to arrange things in: at least so long, and a quarter more than the longest dish and the hands. */
const LEAST_LEAD = 240;
const ROOM_TO_ARRANGE = 1.25;

/** The stretch of time that a problem is about. */
export interface TimeFrame {
  /** Minute 0 of the problem in minutes relative to the table (negative before it). */
  readonly origin: number;
  readonly horizon: number;
  /** What keeps is to be prepared before the hot hour, and there is time for it. */
  readonly roomy: boolean;
  /** The household sleeps somewhere within the horizon: then nothing is left on the heat. */
  readonly nights: boolean;
}

interface FrameOptions {
  /** How long before the table the first firm pin stands; 0 when there is none. */
  readonly firstPin: number;
  /** The present, in minutes relative to the table; undefined when it bounds nothing. */
  readonly present: number | undefined;
  /** In mid-meal the present is minute 0, whatever the meal would want. */
  readonly running: boolean;
}

type Parts = ReadonlyMap<string, readonly Part[]>;

/** How long before the table the planner looks, and whether there is room for laying out first. */
export function timeFrame(meal: Meal, dishes: readonly Dish[], parts: Parts, options: FrameOptions): TimeFrame {
  const { firstPin, present, running } = options;
  const lead = Math.max(leadOf(meal, dishes, parts), firstPin);
  const origin = present === undefined ? -lead : running ? present : Math.max(-lead, present);
  const shortage = Math.max(0, lead + origin);
  const horizon = -origin + MINUTES_AFTER_TABLE + shortage;
  return {
    origin,
    horizon,
    roomy: meal.layOutFirst !== false && shortage === 0 && cooksAreThereBeforeTheHotHour(meal, parts),
    nights: sleep(meal.kitchen, { table: meal, origin, horizon }).length > 0,
  };
}

function cooksAreThereBeforeTheHotHour({ hour, kitchen }: Meal, parts: Parts): boolean {
  const table = clockMinutes(hour);
  const cooks = kitchen.people.filter(({ role }) => role === 'cook');
  const there = Math.max(0, ...cooks.map((cook) => sinceWhen(cook) - HOT_HOUR_MINUTES));
  /** Minutes before the table; whoever stays past midnight may have come on the day before. */
  function sinceWhen({ from, until }: Person): number {
    const minutes = table - clockMinutes(from);
    return minutes < 0 && until < from ? minutes + 1440 : minutes;
  }
  const hands = [...parts.values()].flat().filter(({ step }) => step.attention === 'hands');
  return there >= hands.reduce((sum, { minutes, breath }) => sum + minutes.likely + breath, 0);
}

/** How long before the table work may begin: the longest dish, the hands-on sum, and room to arrange them. */
function leadOf(meal: Meal, dishes: readonly Dish[], parts: Parts): number {
  let longest = 0;
  let hands = 0;
  for (const dish of dishes) {
    let sum = 0;
    for (const step of dish.steps) {
      const list = parts.get(stepKey(dish.id, step.id))!;
      const minutes = list.reduce((total, part) => total + part.minutes.likely + part.breath, 0);
      sum += minutes;
      if (step.attention === 'hands') hands += minutes;
    }
    for (const link of dish.links) sum += Math.max(0, link.min);
    longest = Math.max(longest, sum);
  }
  const daysBefore = Math.max(0, ...dishes.flatMap((dish) => dish.steps.map((step) => step.daysBefore ?? 0)));
  const sinceEve = daysBefore > 0 ? -minuteAt(meal, -daysBefore, EVENING_FROM) : 0;
  // Whoever sleeps in between needs the evening before; the search stays small for a meal of one afternoon.
  const lead = longest + hands / meal.kitchen.people.length;
  const least = longest > LONG_DISH ? lead + NIGHT : Math.max(LEAST_LEAD, lead * ROOM_TO_ARRANGE);
  return Math.ceil(Math.max(sinceEve, least) / 30) * 30;
}
