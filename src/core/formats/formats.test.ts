import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2019';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { compile } from '@/core/plan/compile';
import { plainGrain, planned, mealOf as testMeal } from '@/core/testing/meals';
import { spicedChickpeas } from '@/demo/boat';
import { SAMPLE_MEALS } from '@/demo/meals';
import { mealFile, mealOf, readMealFile } from './meal-file';
import { planFile, planTable } from './plan-file';
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

describe('meal files of other versions', () => {
  it('of version 1 are brought up to now, and examples of it are read', () => {
    const { plan: _, log: __, ...old } = { ...file(), version: 1 };
    const read = readMealFile(JSON.stringify(old));
    expect(read.ok && read.value.version).toBe(3);
  });

  it('hold the plan and the evenings, and give them back as they were', async () => {
    const meal = testMeal([plainGrain()]);
    const plan = await planned(meal, 1);
    const evening = {
      id: 'e',
      mealId: meal.id,
      meal,
      tableAt: 1_780_000_000_000,
      plan,
      events: [
        { id: '1', at: 1_779_990_000_000, kind: 'done', key: 'grain/wash' } as const,
        { id: '2', at: 1_779_990_000_001, kind: 'undo', of: '1' } as const,
      ],
      moved: '',
      over: true,
    };
    const whole = mealFile(meal, { plan, log: [evening] });
    const read = readMealFile(JSON.stringify(whole));
    expect(read).toEqual({ ok: true, value: whole });
    const broken = JSON.parse(JSON.stringify(whole));
    broken.log[0].events[0].kind = 'guessed';
    expect(sentence(broken)).toMatch(/log, "e", events/);
  });

  it('with something made ahead are planned with it on its day', () => {
    const meal = testMeal([spicedChickpeas], { ahead: [{ dish: 'chickpeas', upTo: 'tender', days: 1 }] });
    const read = readMealFile(JSON.stringify(mealFile(meal)));
    if (!read.ok) throw new Error(read.sentence);
    expect(mealOf(read.value).dishes[0]!.steps.find(({ id }) => id === 'boil')!.daysBefore).toBe(1);
  });
});

describe('plans for other programs', () => {
  it('are a table with a row a step in clock time, and JSON with the instant of the table', async () => {
    const plan = await planned(testMeal([plainGrain()]), 1);
    const tableAt = new Date('2026-11-28T19:00:00').getTime();
    const rows = Papa.parse<Record<string, string>>(planTable(plan, tableAt), { header: true }).data;
    expect(rows).toHaveLength(plan.steps.length);
    expect(rows.at(-1)).toMatchObject({ day: '2026-11-28', to: '19:00', dish: 'Grain grain', step: 'rest' });
    expect(planFile('Supper', plan, tableAt)).toMatchObject({ version: 1, table: new Date(tableAt).toISOString() });
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
