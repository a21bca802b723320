import { readFileSync } from 'node:fs';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { planMeal } from '@/core/plan/plan-meal';

const now = () => performance.now();
const [seconds, ...files] = process.argv.slice(2);
for (const name of files) {
  const read = readMealFile(readFileSync(name, 'utf8'));
  if (!read.ok) throw new Error(read.sentence);
  const t = now();
  const planned = await planMeal(
    mealOf(read.value),
    { solve: { seconds: Number(seconds), now, pause: () => new Promise<void>((r) => setImmediate(r)) } },
    (p) => console.log('  ', Math.round(now() - t), p.cost),
  );
  if (!planned.ok) throw new Error('none');
  console.log(
    name,
    seconds,
    'cost',
    planned.plan.cost,
    planned.plan.proven,
    planned.plan.firstHand,
    planned.plan.landings.map((l) => `${l.dishId} ${l.ready}/${l.wellMinutes}`).join(', '),
  );
}
