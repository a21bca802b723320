import { type MealFile, mealFile } from '@/core/formats/meal-file';
import type { Evening } from '@/core/live/evening';
import { cookThrough } from '@/core/live/testing/simulate';
import { asLearned, learn } from '@/core/log/lessons';
import { recordsOf } from '@/core/log/records';
import type { Meal } from '@/core/meal/meal';
import type { PlannedStep } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { seededRandom } from '@/core/schedule/random';
import { SAMPLE_MEALS } from '@/demo/meals';

const FIRST = new Date('2026-11-05T20:00:00+01:00').getTime();
const BETWEEN = 4 * 86_400_000;
/** Hands and pots of a made-up cook: how many times longer than written. */
const HANDS = 1.35;
const POTS = 1.1;

/** The boat's supper with a log of four evenings, simulated: a slow cook on a slow stove, whose plans learn. For pictures. */
export async function boatWithEvenings(): Promise<MealFile> {
  const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'boat')!;
  const meal: Meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
  const random = seededRandom(5);
  const log: Evening[] = [];
  for (let count = 0; count < 4; count++) {
    const learned = asLearned(meal, learn(log.flatMap(recordsOf)));
    const solve = { now: () => performance.now(), pause: () => Promise.resolve(), seconds: 2, patience: 6 };
    const planned = await planMeal(learned, { solve });
    if (!planned.ok) throw new Error(planned.refusals.map(({ sentence }) => sentence).join(' '));
    const truth = ({ minutes, attention, learned: known }: PlannedStep) =>
      (known === undefined ? 1 : 0.8) * minutes * (attention === 'hands' ? HANDS : POTS) * (0.9 + 0.2 * random.next());
    const tableAt = FIRST + count * BETWEEN;
    const { session } = await cookThrough({ meal: learned, plan: planned.plan, tableAt, glance: () => 0.5, truth });
    log.push({ ...session, id: `evening ${count + 1}`, mealId: meal.id, over: true });
  }
  return mealFile(meal, { log });
}
