import { readFileSync } from 'node:fs';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { cookThrough } from '@/core/live/testing/simulate';
import type { Sureness } from '@/core/meal/meal';
import { groupBy } from '@/core/plain/group-by';
import type { PlannedStep } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { quantile } from '@/core/risk/duration';
import { seededRandom } from '@/core/schedule/random';

// Cooks meals many times through the session and the planner themselves, with true minutes drawn at random, and says how often all was well.
// npm run --silent evenings -- meal.json... [--evenings 20] [--seconds 5] [--family triangular|log-normal|shared] [--seed 1] [--leans sure|even|short] [--answers sure|at-once]

const args = process.argv.slice(2);
const option = (name: string, otherwise: string) => {
  const at = args.indexOf(`--${name}`);
  return at < 0 ? otherwise : args.splice(at, 2)[1]!;
};
const evenings = Number(option('evenings', '20'));
const seconds = Number(option('seconds', '5'));
const family = option('family', 'triangular');
const seed = Number(option('seed', '1'));
const leans = option('leans', '') as Sureness | '';
/** At once is how the app answers at the stove, which hangs on how fast the machine is. */
const answers = option('answers', 'sure');
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const now = () => performance.now();
const pause = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Box and Muller 1958. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

function truthOf(family: string, random: () => number): (step: PlannedStep) => number {
  const pace = random();
  return (step) => {
    const shortest = Math.min(step.minutes, step.shortestEnd - step.start);
    const longest = Math.max(step.minutes, step.longestEnd - step.start);
    if (family === 'log-normal') {
      const spread = Math.max(Math.log(Math.max(1.001, longest / Math.max(1, step.minutes))), 1e-3) / 1.6449;
      return step.minutes * Math.exp(spread * normal(random));
    }
    const u = family === 'shared' && step.attention === 'hands' ? 0.5 * pace + 0.5 * random() : random();
    return quantile(shortest, step.minutes, longest, u);
  };
}

let all = 0;
let promised = 0;
let worst = 100;
for (const name of args) {
  const read = readMealFile(readFileSync(name, 'utf8'));
  if (!read.ok) throw new Error(read.sentence);
  const written = mealOf(read.value);
  const meal = leans === '' ? written : { ...written, sureness: leans };
  const began = now();
  const planned = await planMeal(meal, { solve: { seconds, now, pause } });
  if (!planned.ok) {
    console.log(name, 'no plan', JSON.stringify(planned.refusals).slice(0, 200));
    continue;
  }
  const { plan } = planned;
  const thought = now() - began;
  const drawn = new Map(plan.steps.map((step) => [step.key, step]));
  const rows: { late: number; stale: string[]; lates: string[] }[] = [];
  const cooking = now();
  for (let evening = 0; evening < evenings; evening++) {
    const random = seededRandom(1000 * seed + evening);
    const truth = truthOf(family, () => random.next());
    const { session } = await cookThrough({
      meal,
      plan,
      tableAt: TABLE,
      truth: (step) => truth(drawn.get(step.key) ?? step),
      glance: () => 1,
      ...(answers === 'at-once' ? { rounds: 'at once' } : {}),
    });
    const table = Math.max(0, ...session.plan.landings.map(({ ready }) => ready));
    const hot = session.plan.landings.filter(({ served }) => served === 'hot');
    rows.push({
      late: table,
      stale: hot.filter(({ ready, wellMinutes }) => table - ready > wellMinutes + 3).map(({ dishId }) => dishId),
      lates: session.plan.landings.filter(({ ready }) => ready > 5).map(({ dishId }) => dishId),
    });
  }
  const percent = (is: (row: (typeof rows)[0]) => boolean) => Math.round((100 * rows.filter(is).length) / rows.length);
  const sorted = rows.map(({ late }) => late).sort((a, b) => a - b);
  const counts = (ids: readonly string[]) =>
    [...groupBy(ids, (id) => id)].map(([id, list]) => `${id} ${list.length}`).join(', ');
  const good = percent(({ late, stale }) => late <= 5 && stale.length === 0);
  all += good;
  promised += 100 * (plan.odds?.good ?? 0);
  worst = Math.min(worst, good);
  console.log(
    `${name.replace(/.*\//, '')}: on time ${percent(({ late }) => late <= 5)} %, good ${good} % (promised ${Math.round(100 * (plan.odds?.within5 ?? 0))} and ${Math.round(100 * (plan.odds?.good ?? 0))}), late median ${sorted[Math.floor(sorted.length / 2)]} p90 ${sorted[Math.floor(sorted.length * 0.9)]}; first hand ${plan.firstHand}, ${plan.proven ? 'proven' : 'not proven'} ${Math.round(thought / 1000)} s, ${Math.round((now() - cooking) / evenings)} ms an evening; late: ${counts(rows.flatMap(({ lates }) => lates))}; stale: ${counts(rows.flatMap(({ stale }) => stale))}`,
  );
}
if (args.length > 1)
  console.log(
    `mean ${Math.round(all / args.length)} %, worst ${worst} %, promised ${Math.round(promised / args.length)} %`,
  );
