import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2019';
import { describe, expect, it } from 'vitest';
import { compile } from '@/core/meal/compile';
import { plainGrain, mealOf as testMeal } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { mealFile, mealOf, readMealFile } from './meal-file';
import { checkProblem, readProblem } from './problem-file';

const file = () => JSON.parse(JSON.stringify(mealFile(testMeal([plainGrain()]))));
const sentence = (value: unknown) => {
  const read = readMealFile(typeof value === 'string' ? value : JSON.stringify(value));
  return read.ok ? null : read.sentence;
};

describe('meal files', () => {
  it('come back as they were written', () => {
    const meal = testMeal([plainGrain()]);
    const read = readMealFile(JSON.stringify(mealFile(meal)));
    expect(read.ok && mealOf(read.value)).toEqual(meal);
  });

  it('are refused with the field and the value when broken, wrong or newer', () => {
    expect(sentence('{"format": "warm-cad')).toMatch(/not whole JSON/);
    expect(sentence([])).toMatch(/whole file/);
    const negative = file();
    negative.dishes[0].steps[0].minutes.likely = -4;
    expect(sentence(negative)).toMatch(/dishes, "grain", steps, "wash", minutes, likely: .*0 or more; found -4/);
    const hour = file();
    hour.meal.hour = '25:00';
    expect(sentence(hour)).toMatch(/meal, hour.*"25:00"/);
    const odd = file();
    odd.kitchen.burners[0].colour = 'red';
    expect(sentence(odd)).toMatch(/burners.*no such field/);
    expect(sentence({ ...file(), version: 7 })).toMatch(/version 7.*newer/);
    const none = file();
    delete none.kitchen.people;
    expect(sentence(none)).toMatch(/kitchen, people: this is missing/);
  });
});

describe('problem files', () => {
  const sound = () => {
    const compiled = compile(testMeal([plainGrain()]));
    if (!compiled.ok) throw new Error('does not compile');
    return JSON.parse(JSON.stringify(compiled.problem));
  };
  const fault = (change: (problem: ReturnType<typeof sound>) => void) => {
    const problem = sound();
    change(problem);
    const read = readProblem(JSON.stringify(problem));
    return read.ok ? null : read.sentence;
  };

  it('are read when sound', () => {
    expect(fault(() => undefined)).toBeNull();
  });

  it.each<[string, (problem: ReturnType<typeof sound>) => void, RegExp]>([
    ['an unknown step in a link', (p) => (p.links[0].to = 'ghost'), /links, number 0.*"ghost" is not among the steps/],
    ['a doubled id', (p) => p.steps.push(p.steps[0]), /steps: the id "grain\/wash" stands twice/],
    ['no alternatives', (p) => (p.holds[0].units = []), /holds.*at least 1/],
    ['one unit twice in a need', (p) => p.holds[0].units.push(p.holds[0].units[0]), /stands twice in one need/],
    ['a fraction', (p) => (p.steps[0].minutes = 2.5), /minutes.*whole number; found 2.5/],
    ['a negative cost', (p) => (p.holds[0].units[0].cost = -1), /cost.*0 or more; found -1/],
    ['min above max', (p) => Object.assign(p.links[0], { min: 9, max: 3 }), /min \(9\) is above max \(3\)/],
    ['an unknown pool', (p) => (p.steps[0].pools = { feet: 1 }), /"feet" is not among the pools/],
    ['an unknown awake pool', (p) => (p.awake = { pool: 'ears', cost: 1 }), /awake, pool: "ears"/],
    [
      'a forbidden choice that is none',
      (p) =>
        (p.forbid = [
          [
            { hold: 'x', unit: 'y' },
            { hold: 'x', unit: 'y' },
          ],
        ]),
      /forbid, number 0/,
    ],
  ])('are refused with field and id: %s', (_, change, words) => {
    expect(fault(change)).toMatch(words);
  });
});

describe('the JSON Schemas in docs/', () => {
  const validator = (name: string) =>
    new Ajv({ strict: false, allErrors: true }).compile(
      JSON.parse(readFileSync(new URL(`../../../docs/${name}.schema.json`, import.meta.url), 'utf8')),
    );

  it('accept every sample meal and the problem it compiles to, and refuse a spoilt one', () => {
    const [meals, problems] = [validator('meal'), validator('problem')];
    for (const sample of SAMPLE_MEALS) {
      const meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
      expect(meals(JSON.parse(JSON.stringify(mealFile(meal)))), JSON.stringify(meals.errors?.[0])).toBe(true);
      const compiled = compile(meal);
      if (!compiled.ok) throw new Error(compiled.refusals[0]!.sentence);
      expect(checkProblem(JSON.parse(JSON.stringify(compiled.problem))).ok).toBe(true);
      expect(problems(JSON.parse(JSON.stringify(compiled.problem))), JSON.stringify(problems.errors?.[0])).toBe(true);
    }
    expect(problems({ format: 'warm-cadence/problem', version: 1, horizon: -1 })).toBe(false);
    expect(meals({ format: 'warm-cadence/meal' })).toBe(false);
  });
});
