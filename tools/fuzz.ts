import { parseArgs } from 'node:util';
import fc from 'fast-check';
import { numberOption, refuse } from './arguments';
import { type Attempt, borders, crossed } from './fuzz/borders';

// npm run fuzz [-- --inputs 10000 --seed 1 --only recipes]: sends inputs of ill will over every border, and counts what became of them.

const USAGE = 'Usage: npm run fuzz -- [--inputs N] [--seed N] [--only NAME]';
const SHOWN = 5;

const { inputs, seed, only } = options();
const wanted = borders().filter(({ name }) => only === undefined || name.includes(only));
if (wanted.length === 0)
  refuse(
    `--only must be part of: ${borders()
      .map(({ name }) => name)
      .join('; ')}.`,
  );

let wrongs = 0;
console.log(`${inputs} inputs of each kind, seed ${seed}\n`);
console.log(['taken', 'refused', 'wrong', 'seconds'].map((head) => head.padStart(8)).join(''), ' kind');
for (const { name, inputs: made } of wanted) {
  const begun = performance.now();
  const count = { taken: 0, refused: 0, wrong: 0 };
  const shown: string[] = [];
  for (const attempt of attempts(made)) {
    const became = await crossed(attempt);
    if (typeof became === 'string') count[became]++;
    else {
      count.wrong++;
      if (shown.length < SHOWN) shown.push(`${became.wrong}\n      of ${JSON.stringify(attempt.input.slice(0, 300))}`);
    }
  }
  wrongs += count.wrong;
  const seconds = ((performance.now() - begun) / 1000).toFixed(1);
  console.log(
    [count.taken, count.refused, count.wrong, seconds].map((each) => String(each).padStart(8)).join(''),
    ` ${name}`,
  );
  for (const each of shown) console.log(`    - ${each}`);
}
console.log(`\n${wrongs === 0 ? 'Nothing went wrong.' : `${wrongs} inputs went wrong.`}`);
process.exit(wrongs === 0 ? 0 : 1);

/** Made a few at a time: ten thousand files at once would not fit. */
function* attempts(made: fc.Arbitrary<Attempt>): Generator<Attempt> {
  const EACH = 200;
  for (let from = 0; from < inputs; from += EACH) {
    yield* fc.sample(made, { numRuns: Math.min(EACH, inputs - from), seed: seed + from });
  }
}

function options() {
  try {
    const { values } = parseArgs({
      options: { inputs: { type: 'string' }, seed: { type: 'string' }, only: { type: 'string' } },
    });
    return {
      inputs: numberOption('inputs', values.inputs, 10_000, 1, 10_000_000, true),
      seed: numberOption('seed', values.seed, 1, 0, 2 ** 30, true),
      only: values.only,
    };
  } catch (error) {
    refuse(`${error instanceof Error ? error.message : error}\n${USAGE}`);
  }
}
