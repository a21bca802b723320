import { readFileSync } from 'node:fs';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { courseOfPlan } from '@/core/plan/odds';
import { planMeal } from '@/core/plan/plan-meal';
import { drawMinutes, rehearse } from '@/core/risk/rehearse';

const now = () => performance.now();
for (const name of process.argv.slice(2)) {
  const read = readMealFile(readFileSync(name, 'utf8'));
  if (!read.ok) throw new Error(read.sentence);
  const meal = mealOf(read.value);
  const planned = await planMeal(meal, { solve: { seconds: 1, now, pause: () => Promise.resolve() } });
  if (!planned.ok) throw new Error('x');
  let t = now();
  const made = courseOfPlan(meal, planned.plan)!;
  console.log('course', now() - t, made.course.n, made.course.arcTo.length);
  const d = drawMinutes(made.course, 10000, { seed: 1, shared: 0.2 });
  console.log('draw', now() - t);
  t = now();
  rehearse(made.course, d);
  console.log(name, (10000 / (now() - t)) * 1000, 'evenings a second');
}
