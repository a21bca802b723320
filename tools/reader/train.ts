import { writeFileSync } from 'node:fs';
import { classify, type Guess } from '@/core/recipe/classify';
import { lineFeatures, stepFeatures } from '@/core/recipe/features';
import { AT_THE_TOP, aboveNext, lookAt, ruleKind } from '@/core/recipe/kinds';
import { LINE_KINDS, type LineKind } from '@/core/recipe/line-kind';
import { Judge, type Weights } from '@/core/recipe/perceptron';
import { handWritten } from './hand-written';
import { Dice, type MadeUp, madeUp } from './made-up';
import type { Sentence } from './words';

// npx tsx tools/reader/train.ts: trains what tells lines and steps apart, and writes src/core/recipe/learned.json. Every fifth recipe is held
// out, and made of words that no other has; the same each time. Then `npm run format`.

const RECIPES = 900;
const ROUNDS = 6;
const SEED = 20_261;
/** Weights that matter less are left out, in thousandths of the greatest. */
const LEAST = 12;
/** Features seen on fewer lines teach nothing. */
const LEAST_SEEN = 3;
const LARGEST = 127;

/** A row of things to be told apart, each told with what was said of those before. */
interface Task<Label extends string> {
  readonly labels: readonly Label[];
  /** Calls `each` for every thing in its order, with its features and its true label, and goes on with what `each` says. */
  readonly over: (recipe: MadeUp, each: (features: readonly string[], truth: Label) => Label) => void;
}

const LINES: Task<LineKind> = {
  labels: LINE_KINDS,
  over: ({ lines }, each) => {
    const looks = lines.map(({ line }) => lookAt(line));
    const kinds: LineKind[] = [];
    let above = AT_THE_TOP;
    looks.forEach((look, k) => {
      const rule = ruleKind(look, above, k, looks);
      const kind = each(lineFeatures(look, rule, above, kinds, looks[k + 1]), lines[k]!.kind);
      kinds.push(kind);
      above = aboveNext(look, kind, above);
    });
  },
};

/** The steps of a recipe, each after the one before it. */
function steps<Label extends string>(labels: readonly Label[], truthOf: (step: Sentence) => Label): Task<Label> {
  return {
    labels,
    over: (recipe, each) => {
      let before: Guess | undefined;
      for (const step of recipe.steps) {
        const guess = classify(step[0], before);
        if (!guess) continue;
        each(stepFeatures(step[0], guess, before), truthOf(step));
        before = guess;
      }
    },
  };
}
const PLACES = steps<Guess['place']['at']>(['board', 'burner', 'oven', 'rest', 'cold'], ([, place]) => place);
const ATTENTIONS = steps<Guess['attention']>(['hands', 'eyes', 'none'], ([, , attention]) => attention);

function train<Label extends string>({ labels, over }: Task<Label>, recipes: readonly MadeUp[]): Weights<Label> {
  const weights = new Map<string, Float64Array>();
  const sums = new Map<string, Float64Array>();
  const seen = new Map<string, number>();
  let turn = 0;
  const score = (features: readonly string[]) => {
    const all = labels.map(() => 0);
    for (const feature of features)
      weights.get(feature)?.forEach((weight, k) => {
        all[k]! += weight;
      });
    return all;
  };
  const change = (feature: string, label: number, by: number) => {
    if (!weights.has(feature)) {
      weights.set(feature, new Float64Array(labels.length));
      sums.set(feature, new Float64Array(labels.length));
    }
    weights.get(feature)![label]! += by;
    sums.get(feature)![label]! += by * turn;
  };
  for (const recipe of recipes)
    over(recipe, (features, truth) => {
      for (const feature of features) seen.set(feature, (seen.get(feature) ?? 0) + 1);
      return truth;
    });
  const dice = new Dice(SEED);
  for (let round = 0; round < ROUNDS; round++) {
    const order = [...recipes].map((recipe) => [dice.next(), recipe] as const).sort(([a], [b]) => a - b);
    for (const [, recipe] of order) {
      over(recipe, (features, truth) => {
        turn++;
        const known = features.filter((feature) => seen.get(feature)! >= LEAST_SEEN);
        const all = score(known);
        const guess = all.indexOf(Math.max(...all));
        const right = labels.indexOf(truth);
        if (guess !== right) {
          for (const feature of known) {
            change(feature, right, 1);
            change(feature, guess, -1);
          }
        }
        // It goes on with its own guess half the time: so it learns to live with its mistakes.
        return dice.is(0.5) ? labels[guess]! : truth;
      });
    }
  }
  const averaged = [...weights].map(
    ([feature, own]) => [feature, own.map((weight, k) => weight - sums.get(feature)![k]! / turn)] as const,
  );
  const greatest = Math.max(...averaged.flatMap(([, own]) => [...own].map(Math.abs)));
  const features: Record<string, number[]> = {};
  for (const [feature, own] of averaged.sort(([a], [b]) => (a < b ? -1 : 1))) {
    const whole = [...own].map((weight) => Math.round((weight / greatest) * LARGEST));
    if (Math.max(...whole.map(Math.abs)) * 1000 >= LEAST * LARGEST) features[feature] = whole;
  }
  const model = { labels, features, sureLead: 1 };
  const leads: number[] = [];
  const judge = new Judge(model);
  for (const recipe of recipes)
    over(recipe, (found, truth) => {
      const all = judge.sums(found);
      const [first, second] = [...all].sort((a, b) => b - a);
      if (labels[all.indexOf(first!)] === truth) leads.push(first! - second!);
      return truth;
    });
  leads.sort((a, b) => a - b);
  return { ...model, sureLead: Math.max(1, leads[Math.floor(leads.length / 2)]!) };
}

function rightOf<Label extends string>(
  { over }: Task<Label>,
  model: Weights<Label>,
  recipes: readonly MadeUp[],
  rule: (features: readonly string[]) => string | undefined,
): string {
  const judge = new Judge(model);
  let right = 0;
  let byRule = 0;
  let all = 0;
  for (const recipe of recipes)
    over(recipe, (features, truth) => {
      const guess = judge.judge(features).label;
      all++;
      if (guess === truth) right++;
      if (rule(features) === truth) byRule++;
      return guess;
    });
  return `${((100 * right) / all).toFixed(1)} % of ${all} (rules ${((100 * byRule) / all).toFixed(1)} %)`;
}

const made = Array.from({ length: RECIPES }, (_, k) => madeUp(k + 1, k % 5 === 4));
const held = made.filter((_, k) => k % 5 === 4);
const taught = [...made.filter((_, k) => k % 5 !== 4), ...handWritten('a'), ...handWritten('a')];
const ruleOf = (features: readonly string[]) => features.find((each) => each.startsWith('rule '))?.slice(5);
const placeOf = (features: readonly string[]) => features.filter((each) => each.startsWith('rule '))[1]?.slice(5);
const attentionOf = (features: readonly string[]) =>
  features.find((each) => /^rule \S+ (?:hands|eyes|none)$/.test(each))?.split(' ')[2];
const learned = { lines: train(LINES, taught), places: train(PLACES, taught), attentions: train(ATTENTIONS, taught) };
const hand = handWritten('b');
console.log('lines, by hand:      ', rightOf(LINES, learned.lines, hand, ruleOf));
console.log('places, by hand:     ', rightOf(PLACES, learned.places, hand, placeOf));
console.log('attentions, by hand: ', rightOf(ATTENTIONS, learned.attentions, hand, attentionOf));
console.log('lines, held out:     ', rightOf(LINES, learned.lines, held, ruleOf));
console.log('places, held out:    ', rightOf(PLACES, learned.places, held, placeOf));
console.log('attentions, held out:', rightOf(ATTENTIONS, learned.attentions, held, attentionOf));
const file = JSON.stringify(learned).replace(/(\],)"/g, '$1\n"');
writeFileSync(new URL('../../src/core/recipe/learned.json', import.meta.url), `${file}\n`);
console.log(`${(file.length / 1000).toFixed(0)} kB`);
