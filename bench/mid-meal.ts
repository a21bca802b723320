import { readFileSync } from 'node:fs';
import { SHELF } from '@/core/dish/shelf';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { AT_ONCE, carryOn } from '@/core/live/carry-on';
import type { LiveEvent } from '@/core/live/events';
import type { Session } from '@/core/live/session';
import { planMeal } from '@/core/plan/plan-meal';

// npm run bench:mid-meal [-- --dishes 8]: how long an answer at the stove takes, by itself and beside the first plan of the same meal in the same run.
// The samples with so many dishes of the shelf more; at the end of each step it is told that it needs eight minutes more.

const at = process.argv.indexOf('--dishes');
const more = at < 0 ? 8 : Number(process.argv[at + 1]);
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const LATE = 8;
const MINUTE = 60_000;
const clock = {
  now: () => performance.now(),
  pause: () => new Promise<void>((resolve) => setImmediate(resolve)),
};

console.log('| meal | steps | answers | median ms | nine in ten within | longest | first plan : median |');
console.log('|---|---|---|---|---|---|---|');
for (const name of ['harvest', 'midwinter']) {
  const read = readMealFile(readFileSync(`examples/${name}.json`, 'utf8'));
  if (!read.ok) throw new Error(read.sentence);
  const sample = mealOf(read.value);
  const meal = { ...sample, dishes: [...sample.dishes, ...SHELF.slice(0, more)] };
  let first = 0;
  const begun = clock.now();
  const planned = await planMeal(meal, { solve: { ...clock, seconds: 0.6 } }, () => {
    first ||= clock.now() - begun;
  });
  if (!planned.ok) throw new Error(planned.refusals.map(({ sentence }) => sentence).join(' '));
  const { plan } = planned;
  // Twice: what runs the first time is slower than what a cook meets in mid-meal.
  const times: number[] = [];
  for (let round = 0; round < 2; round++) {
    times.length = 0;
    for (const late of plan.steps) {
      const now = TABLE + late.end * MINUTE;
      const told = plan.steps
        .flatMap((step, index): LiveEvent[] => [
          { kind: 'begun', key: step.key, id: `b${index}`, at: TABLE + step.start * MINUTE },
          { kind: 'done', key: step.key, id: `d${index}`, at: TABLE + step.end * MINUTE },
        ])
        .filter((event) => event.at <= now && !(event.kind === 'done' && event.key === late.key))
        .sort((one, other) => one.at - other.at);
      const until = now + LATE * MINUTE;
      const events: LiveEvent[] = [...told, { kind: 'not-yet', key: late.key, id: 'late', at: now, until }];
      const session: Session = { id: 'evening', meal, tableAt: TABLE, plan, events, moved: '' };
      const asked = clock.now();
      await carryOn(session, now, 'Not yet', (request) =>
        planMeal(request.meal, {
          progress: request.progress,
          known: request.known,
          solve: { ...clock, ...AT_ONCE, explain: false },
        }),
      );
      times.push(clock.now() - asked);
    }
  }
  const sorted = times.toSorted((one, other) => one - other);
  const quantile = (share: number) => sorted[Math.floor(share * (sorted.length - 1))]!;
  const cells = [name, plan.steps.length, sorted.length, ...[0.5, 0.9, 1].map((share) => quantile(share).toFixed(0))];
  console.log(`| ${[...cells, (first / quantile(0.5)).toFixed(1)].join(' | ')} |`);
}
