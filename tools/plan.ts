import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { numberOption, readArguments, refuse } from './arguments';

const USAGE =
  'Usage: npm run --silent plan -- meal.json [--people N] [--serve 19:30] [--seconds N] [--seed N] [--text]';

const { text, options, flags } = readArguments(USAGE, ['people', 'serve', 'seconds', 'seed'], ['text']);
const file = readMealFile(text);
if (!file.ok) refuse(file.sentence);
const written = mealOf(file.value);
if (options.serve !== undefined && !/^([01]\d|2[0-3]):[0-5]\d$/.test(options.serve)) {
  refuse(`--serve must be an hour such as 19:30; found "${options.serve}".`);
}
const meal: Meal = {
  ...written,
  people: options.people === undefined ? written.people : Number(options.people),
  hour: options.serve ?? written.hour,
};
const result = await planMeal(meal, {
  solve: {
    seconds: numberOption('seconds', options.seconds, 5, 0, 86_400),
    seed: numberOption('seed', options.seed, 1, 0, 2 ** 31, true),
    now: () => performance.now(),
    pause: () => Promise.resolve(),
  },
});
if (!result.ok) refuse(result.refusals.map(({ where, sentence }) => `${where}: ${sentence}`).join('\n'));
process.stdout.write(flags.text ? printPlan(meal, result.plan) : `${JSON.stringify(result.plan, null, 2)}\n`);

function printPlan({ name, day, hour, people }: Meal, plan: Plan): string {
  const clock = (minute: number) => printClock(clockMinutes(hour) + minute);
  const lines = [`${name}: ${day}, ${people} at the table at ${hour}`, plan.verdict, ''];
  for (const step of plan.steps) {
    const place = [
      step.station.name,
      step.heat ? `${step.heat} heat` : step.celsius ? `${step.celsius}°` : '',
      step.vessel ?? '',
    ]
      .filter(Boolean)
      .join(', ');
    lines.push(`${clock(step.start)}-${clock(step.end)}  ${step.dishName}: ${step.name} (${place})`);
  }
  lines.push('');
  for (const landing of plan.landings) {
    const waiting = landing.late > 0 ? `${landing.late} min late` : `waits ${landing.waits} min`;
    lines.push(`${clock(landing.ready)}  ${landing.dishName} is ready, ${waiting} (${landing.fine})`);
  }
  return `${lines.join('\n')}\n`;
}
