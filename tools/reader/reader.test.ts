import { statSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { AT_THE_TOP, aboveNext, lookAt, ruleKind } from '@/core/recipe/kinds';
import { kindsOf } from '@/core/recipe/lines';
import { Judge } from '@/core/recipe/perceptron';
import { madeUp, shareOf } from './made-up';
import { TONGUES } from './words';

describe('what was learned', () => {
  it('tells the lines of recipes in words that were never taught, better than the rules alone', () => {
    let all = 0;
    let right = 0;
    let byRules = 0;
    for (let k = 0; k < 120; k++) {
      const { lines } = madeUp(100_000 + k, true);
      const looks = lines.map(({ line }) => lookAt(line));
      const kinds = kindsOf(looks);
      let above = AT_THE_TOP;
      looks.forEach((look, j) => {
        const rule = ruleKind(look, above, j, looks);
        above = aboveNext(look, rule, above);
        all++;
        if (rule === lines[j]!.kind) byRules++;
        if (kinds[j] === lines[j]!.kind) right++;
      });
    }
    expect(all).toBeGreaterThan(1500);
    expect(right / all).toBeGreaterThan(0.97);
    expect(right).toBeGreaterThan(byRules);
  });

  it('weighs less than 200 kB', () => {
    expect(statSync(new URL('../../src/core/recipe/learned.json', import.meta.url)).size).toBeLessThan(200_000);
  });
});

describe('a recipe made up', () => {
  it('is the same each time', () => {
    expect(madeUp(7)).toEqual(madeUp(7));
    expect(madeUp(7)).not.toEqual(madeUp(8));
  });

  it('that is held out shares no sentence with what is taught', () => {
    for (const tongue of TONGUES) {
      const [taught, held] = [shareOf(tongue, false), shareOf(tongue, true)];
      expect(held.sentences.length).toBeGreaterThan(3);
      expect(held.sentences.filter((each) => taught.sentences.includes(each))).toEqual([]);
      expect(held.amounts.filter((each) => taught.amounts.includes(each))).toEqual([]);
    }
  });
});

describe('a judge', () => {
  const judge = new Judge({ labels: ['a', 'b', 'c'], features: { x: [3, 0, 1], y: [-4, 2, 0] }, sureLead: 2 });

  it('takes the label with the highest sum, and is the surer the more it leads', () => {
    expect(judge.judge(['x']).label).toBe('a');
    expect(judge.judge(['x', 'y']).label).toBe('b');
    expect(judge.judge(['x']).sure).toBeGreaterThan(judge.judge(['x', 'y']).sure);
    expect(judge.judge(['nothing', '__proto__', 'constructor'])).toEqual({ label: 'a', sure: 0.5 });
    expect(judge.judge(['x'], new Set(['b', 'c'])).label).toBe('c');
    expect(judge.judge(['x'], new Set(['b'])).label).toBe('b');
  });
});
