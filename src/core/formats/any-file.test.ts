import { describe, expect, it } from 'vitest';
import { plainGrain, mealOf as testMeal } from '@/core/testing/meals';
import { openAny } from './any-file';
import { dishFile } from './dish-file';
import { MEAL_VERSION, mealFile } from './meal-file';

const said = (value: unknown) => {
  const read = openAny(typeof value === 'string' ? value : JSON.stringify(value));
  return read.ok ? read.value.kind : read.sentence;
};
const EMPTY = { kitchens: [], dishes: [], meals: [], evenings: [], measures: [], larder: [], errands: [] };

describe('a file of whatever kind', () => {
  it('is known by what it says it is', () => {
    expect(said(mealFile(testMeal([plainGrain()])))).toBe('meal');
    expect(said(dishFile(plainGrain()))).toBe('dish');
    expect(said({ format: 'warm-cadence/backup', version: 1, savedAt: 5, ...EMPTY })).toBe('backup');
  });

  it.each([
    ['{', /not whole JSON/],
    ['[]', /format: this must be a meal, a dish or a backup/],
    [{ format: 'something/else' }, /found "something\/else"/],
    [{ format: 'warm-cadence/backup', version: 9 }, /version 9.*newer/],
    [
      { format: 'warm-cadence/backup', version: 1, savedAt: 5, ...EMPTY, meals: 4 },
      /meals: this must be a list; found 4/,
    ],
    [{ ...mealFile(testMeal([plainGrain()])), version: MEAL_VERSION + 1 }, /version 4.*newer/],
    [
      mealFile(
        testMeal([{ ...plainGrain(), links: [{ from: 'wash', at: 'end', to: 'ghost', of: 'start', min: 0, max: 0 }] }]),
      ),
      /ghost/,
    ],
  ])('is refused with what is wrong with it: %j', (value, words) => {
    expect(said(value)).toMatch(words);
  });
});
