import { describe, expect, it } from 'vitest';
import { chop, dish, fry, leave, waits } from '@/core/dish/write';
import { mealOf, plainGrain } from '@/core/testing/meals';
import { compile } from './compile';
import { type Part, partsOf, tooManyParts } from './lots';

const onion = (minutes: number) =>
  dish({
    id: 'soup',
    name: 'Soup',
    servings: 4,
    ingredients: [],
    steps: [
      chop('chop', 'chop', [minutes - 2, minutes, minutes + 10], 'Chop.'),
      leave('boil', 'boil', 'low', [20, 30, 45], 'Boil.'),
    ],
    links: [],
    lands: { step: 'boil', waits: waits('hot', 10, 20, 'covered') },
  });
const flatbread = dish({
  id: 'bread',
  name: 'Bread',
  servings: 6,
  ingredients: [],
  steps: [fry('bake', 'bake', 'full', 4, 'Bake.', { perBatch: 3 })],
  links: [],
  lands: { step: 'bake', waits: waits('hot', 10, 20, 'in a cloth') },
});

const parts = (meal: Parameters<typeof partsOf>[0], key: string): readonly Part[] => partsOf(meal).parts.get(key)!;

describe('steps cut into parts', () => {
  it('stay whole where they are short or need no hands', () => {
    expect(parts(mealOf([onion(10)]), 'soup/chop')).toMatchObject([{ key: 'soup/chop', part: 1, parts: 1 }]);
    expect(parts(mealOf([onion(10)]), 'soup/boil')).toMatchObject([
      { key: 'soup/boil', minutes: { shortest: 20, likely: 30, longest: 45 }, breath: 0 },
    ]);
  });

  it('become sittings of at most twenty-five minutes where the board work is long', () => {
    for (const people of [8, 16, 40]) {
      const sittings = parts(mealOf([onion(20)], { people }), 'soup/chop');
      expect(sittings.length).toBeGreaterThan(1);
      expect(sittings.map((each) => each.key)).toEqual(sittings.map((_, k) => `soup/chop.${k + 1}`));
      const whole = parts(mealOf([onion(20)], { people: 4 }), 'soup/chop')[0]!.minutes.likely;
      const sum = sittings.reduce((total, each) => total + each.minutes.likely, 0);
      // A fifth of the time is getting started; each cut rounds up by less than a minute.
      expect(sum).toBeGreaterThanOrEqual(Math.floor(whole * (0.2 + 0.8 * (people / 4)) - 1));
      for (const each of sittings) {
        expect(each.minutes.likely).toBeLessThanOrEqual(25);
        expect(each.breath).toBeGreaterThan(0);
      }
    }
  });

  it('become as many batches as feed the people, each of the same minutes', () => {
    for (const [people, count] of [
      [3, 1],
      [4, 2],
      [6, 2],
      [13, 5],
    ] as const) {
      const batches = parts(mealOf([flatbread], { people }), 'bread/bake');
      expect(batches).toHaveLength(count);
      expect(new Set(batches.map((each) => each.minutes.likely))).toEqual(new Set([5]));
    }
  });

  it('leave the rest of the meal alone', () => {
    const { dishes, parts: all } = partsOf(mealOf([plainGrain('a'), flatbread], { people: 6 }));
    expect(dishes.map(({ id, servings }) => [id, servings])).toEqual([
      ['a', 6],
      ['bread', 6],
    ]);
    expect([...all.keys()]).toEqual(['a/wash', 'a/soak', 'a/boil', 'a/cover', 'a/rest', 'bread/bake']);
  });
});

describe('too many parts', () => {
  it('are refused with the step, before anything is planned', () => {
    const crumbs = {
      ...flatbread,
      steps: flatbread.steps.map((step) => ({ ...step, grows: { by: 'batches', servingsPerBatch: 0.1 } as const })),
    };
    const result = compile(mealOf([crumbs], { people: 200 }));
    expect(result.ok ? [] : result.refusals).toMatchObject([
      { where: 'Bread, bake', sentence: expect.stringMatching(/2000 lots.*up to 100/) },
    ]);
    const week = {
      ...onion(10),
      steps: [chop('chop', 'chop', [20_160, 20_160, 20_160], 'Chop.')],
      links: [],
      lands: null,
    };
    expect(tooManyParts(partsOf(mealOf([week])).parts)).toHaveLength(1);
    const breads = (count: number) =>
      Array.from({ length: count }, (_, index) => ({ ...flatbread, id: `bread-${index}` }));
    const faultsOf = (count: number) => tooManyParts(partsOf(mealOf(breads(count), { people: 200 })).parts);
    expect(faultsOf(20)).toEqual([]);
    expect(faultsOf(24)).toMatchObject([{ where: 'dishes', sentence: expect.stringContaining('up to 1500') }]);
  });
});
