import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { oddsFile } from '@/core/formats/odds-file';
import { oddsOfMeal } from '@/core/plan/odds';
import { planMeal } from '@/core/plan/plan-meal';
import { numberOption, readArguments, refuse } from './arguments';

// Prints how a meal's evening may go, as JSON: see docs/formats.md.

const USAGE = 'Usage: npm run --silent rehearse -- meal.json [--evenings N] [--seed N] [--seconds N]';

const { text, options } = readArguments(USAGE, ['evenings', 'seed', 'seconds'], []);
const file = readMealFile(text);
if (!file.ok) refuse(file.sentence);
const meal = mealOf(file.value);
const planned = await planMeal(meal, {
  solve: {
    seconds: numberOption('seconds', options.seconds, 5, 0, 86_400),
    now: () => performance.now(),
    pause: () => Promise.resolve(),
  },
});
if (!planned.ok) refuse(planned.refusals.map(({ where, sentence }) => `${where}: ${sentence}`).join('\n'));
const odds = oddsOfMeal(meal, planned.plan, {
  evenings: numberOption('evenings', options.evenings, 1000, 1, 100_000, true),
  seed: numberOption('seed', options.seed, 1, 0, 2 ** 31, true),
});
if (!odds) refuse('Nothing of this meal lands on the table.');
process.stdout.write(`${JSON.stringify(oddsFile(meal.id, odds), null, 2)}\n`);
