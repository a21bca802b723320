import { type FoundSolution, isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { solveGenerally } from '../reference/mixed-integer';
import { FAMILIES, generateEvening } from './kitchens';

// npm run bench [-- --seconds 20 --seeds 2 --family supper]: the solver on generated evenings, beside a general mixed-integer
// solver (HiGHS) that gets the same problem and the same time in the same run.

const argument = (name: string, otherwise: string) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : (process.argv[at + 1] ?? otherwise);
};
const seconds = Number(argument('seconds', '20'));
const seeds = Number(argument('seeds', '2'));
const only = argument('family', '');

const clock = {
  now: () => performance.now(),
  pause: () => new Promise<void>((resolve) => setImmediate(resolve)),
};

console.log(
  '| evening | steps | first plan ms | cost at 0.1 / 1 / 5 s | in the end | bound | proof ms | HiGHS | its cost : ours | its ms : ours |',
);
console.log('|---|---|---|---|---|---|---|---|---|---|');
for (const family of FAMILIES) {
  if (only !== '' && family.name !== only) continue;
  for (let seed = 1; seed <= seeds; seed++) {
    const problem = generateEvening(family, seed);
    const found: FoundSolution[] = [];
    const solution = await solve(problem, { ...clock, seconds }, (better) => found.push(better));
    const costAt = (milliseconds: number) =>
      found.filter((each) => each.milliseconds <= milliseconds).at(-1)?.cost ?? '-';
    const general = await solveGenerally(problem, seconds).catch(() => null);
    const end = isFound(solution) ? solution : null;
    const ratio =
      end && general?.cost !== null && general?.cost !== undefined ? (general.cost / end.cost).toFixed(2) : '-';
    const cells = [
      `${family.name} ${seed}`,
      problem.steps.length,
      found[0]?.milliseconds ?? '-',
      `${costAt(100)} / ${costAt(1000)} / ${costAt(5000)}`,
      end?.cost ?? solution.status,
      end?.bound ?? '-',
      solution.status === 'optimal' ? solution.milliseconds : '-',
      general === null
        ? 'gave up'
        : `${general.cost ?? '-'} (${general.status}, ${Math.round(general.milliseconds)} ms)`,
      ratio,
      general?.status === 'optimal' ? (general.milliseconds / Math.max(1, solution.milliseconds)).toFixed(1) : '-',
    ];
    console.log(`| ${cells.join(' | ')} |`);
  }
}
