import { readFileSync } from 'node:fs';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { cookThrough } from '@/core/live/testing/simulate';
import type { Meal, Sureness } from '@/core/meal/meal';
import { groupBy } from '@/core/plain/group-by';
import type { PlannedStep } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { SURE_ENOUGH } from '@/core/plan/well-landed';
import { appliedAsMade } from '@/core/remedies/change';
import { findWaysOut } from '@/core/remedies/ways-out';
import { quantile } from '@/core/risk/duration';
import { seededRandom } from '@/core/schedule/random';
import { drawnMeals } from './drawn-meals';

// Cooks meals many times through the session and the planner themselves, with true minutes drawn at random, and says how often all was well.
// npm run --silent evenings -- meal.json... [--drawn 0] [--evenings 20] [--seconds 5] [--family triangular|log-normal|shared] [--seed 1] [--leans sure|even|short]
//   [--answers sure|at-once] [--ways-out true]
// Drawn: so many meals of the shelf, drawn by the seed. Ways out: a meal that does not promise enough is cooked as the best ways out have it, three at most.

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
const drawn = Number(option('drawn', '0'));
const tryWaysOut = option('ways-out', 'false') === 'true';
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

const solve = { seconds, now, pause };

interface Cooked {
  readonly good: number;
  readonly promised: number;
  readonly line: string;
}

/** Plans a meal and cooks it so many times; null where it cannot be planned. */
async function cooked(meal: Meal): Promise<Cooked | null> {
  const began = now();
  const planned = await planMeal(meal, { solve });
  if (!planned.ok) {
    console.log(meal.id, 'no plan', JSON.stringify(planned.refusals).slice(0, 200));
    return null;
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
  const promised = 100 * (plan.odds?.good ?? 0);
  const kitchen = `${meal.dishes.length} dishes, ${meal.kitchen.burners.length} burners, ${meal.kitchen.people.length} people`;
  const line = `on time ${percent(({ late }) => late <= 5)} %, good ${good} % (promised ${Math.round(100 * (plan.odds?.within5 ?? 0))} and ${Math.round(promised)}), late median ${sorted[Math.floor(sorted.length / 2)]} p90 ${sorted[Math.floor(sorted.length * 0.9)]}; first hand ${plan.firstHand}, ${plan.proven ? 'proven' : 'not proven'} ${Math.round(thought / 1000)} s, ${Math.round((now() - cooking) / evenings)} ms an evening; ${kitchen}; late: ${counts(rows.flatMap(({ lates }) => lates))}; stale: ${counts(rows.flatMap(({ stale }) => stale))}`;
  return { good, promised, line };
}

/** Ways out are looked for as the app does: so long for each, one applied after the other. */
const WAY_SECONDS = 0.6;
const WAY_PATIENCE = 6;
const MOST_PRESSES = 3;
const TOLD = 4;

/** The meal as the best ways out have it, one after the other until enough is promised. */
async function byTheBestWays(meal: Meal): Promise<Meal> {
  let best = meal;
  for (let press = 0; press < MOST_PRESSES; press++) {
    const before = await planMeal(best, { solve });
    const promised = before.ok ? (before.plan.odds?.good ?? 1) : 0;
    console.log(`  promised ${Math.round(100 * promised)}`);
    if (promised >= SURE_ENOUGH) break;
    const ways = await findWaysOut(best, before.ok ? before.plan : null, (other) =>
      planMeal(other, { solve: { ...solve, seconds: WAY_SECONDS, patience: WAY_PATIENCE, explain: false } }),
    );
    for (const { says, gains } of ways.slice(0, TOLD)) console.log(`  ${says}: ${gains}`);
    const way = ways[0];
    if (!way) break;
    best = appliedAsMade(best, way.change);
  }
  return best;
}

function read(name: string): Meal {
  const file = readMealFile(readFileSync(name, 'utf8'));
  if (!file.ok) throw new Error(file.sentence);
  return mealOf(file.value);
}

const meals = [...args.map(read), ...drawnMeals(drawn, seed)];
const done: Cooked[] = [];
for (const written of meals) {
  const meal = leans === '' ? written : { ...written, sureness: leans };
  if (tryWaysOut) console.log(meal.id);
  const one = await cooked(tryWaysOut ? await byTheBestWays(meal) : meal);
  if (one) console.log(`${meal.id}: ${one.line}`);
  if (one) done.push(one);
}
if (done.length > 1) {
  const mean = (of: (one: Cooked) => number) => Math.round(done.reduce((sum, one) => sum + of(one), 0) / done.length);
  const worst = Math.min(...done.map(({ good }) => good));
  console.log(`mean ${mean(({ good }) => good)} %, worst ${worst} %, promised ${mean(({ promised }) => promised)} %`);
}
