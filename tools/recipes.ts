import { readFileSync } from 'node:fs';
import { scoreStranger, strangersIn, sumOf } from '@/core/recipe/testing/strangers';

// npx tsx tools/recipes.ts FILE [-v]: how well the recipes of a file are read.

const [file = 'src/core/recipe/testing/strangers-a.txt', how] = process.argv.slice(2);
const strangers = strangersIn(readFileSync(file, 'utf8'));
const scores = strangers.map(scoreStranger);
scores.forEach(({ corrections, faults }, k) => {
  console.log(`${String(corrections).padStart(3)}  ${strangers[k]!.manner}`);
  if (how === '-v') for (const fault of faults) console.log(`       ${fault}`);
});
const corrections = scores.reduce((sum, each) => sum + each.corrections, 0);
console.log(`\ncorrections ${corrections}, each recipe ${(corrections / scores.length).toFixed(1)}`);
for (const of of ['found', 'listed', 'steps', 'place', 'minutes', 'attention', 'ties', 'relations'] as const)
  console.log(`${of.padEnd(10)} ${(100 * sumOf(scores, of)).toFixed(0)} %`);
