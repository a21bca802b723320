import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import { compile } from '@/core/meal/compile';
import { readPlan } from '@/core/meal/read';
import { isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { SAMPLE_MEALS } from '@/demo/meals';

const sample = SAMPLE_MEALS[Number(process.argv[2] ?? 0)]!;
const meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
const c = compile(meal);
if (!c.ok) {
  console.log(c.refusals);
  process.exit(1);
}
console.log('steps', c.problem.steps.length, 'holds', c.problem.holds.length, 'horizon', c.problem.horizon);
const s = await solve(
  c.problem,
  {
    seconds: Number(process.argv[3] ?? 3),
    now: () => performance.now(),
    pause: () => new Promise((r) => setImmediate(r)),
  },
  (b) => console.log(b.milliseconds, b.cost),
);
if (!isFound(s)) {
  console.log(s);
  process.exit(1);
}
const plan = readPlan(meal, c, s);
const T = clockMinutes(meal.hour);
console.log(plan.verdict);
for (const st of plan.steps)
  console.log(
    printClock(T + st.start),
    printClock(T + st.end),
    st.station.name.padEnd(16),
    (st.person?.name ?? '').padEnd(7),
    st.dishName.slice(0, 20).padEnd(21),
    st.name.padEnd(14),
    st.vessel ?? '',
    process.argv[4] ? `| ${st.why}` : '',
  );
for (const l of plan.landings) console.log(l.dishName, printClock(T + l.ready), l.waits, l.fine);
