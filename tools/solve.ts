import { appendFileSync, writeFileSync } from 'node:fs';
import { readProblem } from '@/core/formats/problem-file';
import { solve } from '@/core/schedule/solve';
import { numberOption, readArguments, refuse } from './arguments';

const USAGE = 'Usage: npm run --silent solve -- problem.json [--seconds N] [--seed N] [--trace FILE]';
const EXIT = { optimal: 0, feasible: 0, infeasible: 10, unknown: 11 } as const;

const { text, options } = readArguments(USAGE, ['seconds', 'seed', 'trace'], []);
const seconds = numberOption('seconds', options.seconds, 5, 0, 86_400);
const seed = numberOption('seed', options.seed, 1, 0, 2 ** 31, true);
const problem = readProblem(text);
if (!problem.ok) refuse(problem.sentence);
const { trace } = options;
if (trace !== undefined) {
  try {
    writeFileSync(trace, '');
  } catch {
    refuseTrace();
  }
}

const solution = await solve(
  problem.value,
  { seconds, seed, now: () => performance.now(), pause: () => Promise.resolve() },
  ({ milliseconds, cost, bound }) => {
    if (trace === undefined) return;
    try {
      appendFileSync(trace, `${JSON.stringify({ milliseconds, cost, bound })}\n`);
    } catch {
      refuseTrace();
    }
  },
);
process.stdout.write(`${JSON.stringify(solution)}\n`);
process.exitCode = EXIT[solution.status];

function refuseTrace(): never {
  refuse(`--trace: the file ${trace} cannot be written.`);
}
