import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeInData } from './json-ld';
import { readRecipe } from './reading';
import { plainText } from './taken-apart';

// What someone may paste who means no good, or by mistake. A reader that looks at each sign again for every other one takes a minute and more
// for these; the limit is far above what looking once takes, and far below that.
const WITHIN = { timeout: 15_000 };
const LARGE = 900_000;

describe('a text of no good will', () => {
  it.each([
    '<',
    '<a ',
    '(',
    '( ',
    '<script>',
    '<script',
    '**a',
    '\t- ',
    '1 h 1 ',
    'preheat oven ',
    '½ cup a ',
    '<style>a',
    '<!--',
    '&',
    '&#',
    '1 ',
    '½',
    '1/',
    ' \n',
    '"',
    '-',
    'a ',
  ])('of %j over and over is read or refused at once', WITHIN, (piece) => {
    const text = piece.repeat(Math.floor(LARGE / piece.length));
    expect(typeof plainText(text)).toBe('string');
    readRecipe(text);
    readRecipe(`Soup\nServes 4\nIngredients\n1 onion ${text}\nMethod\nFry it for 5 minutes.`);
  });

  it('of data nested without end is broken, and said to be', WITHIN, () => {
    const deep = `{"@type":"Recipe","name":${'['.repeat(5000)}${']'.repeat(5000)}}`;
    expect(recipeInData(deep)).toBe('broken');
    expect(recipeInData(`<script type="application/ld+json">${deep}</script>`)).toBe('broken');
    expect(readRecipe(deep)).toMatchObject({ ok: false });
  });

  it('never brings in an amount or minutes that are no number', () => {
    const figure = fc.oneof(
      fc.constantFrom('9'.repeat(400), '1/0', '3/0', '1e999', '0', '½', '999999999999', 'constructor', '__proto__'),
      fc.integer({ min: 0, max: 2000 }).map(String),
    );
    const unit = fc.constantFrom('g', 'cups', 'kg', '', 'constructor', 'toString');
    fc.assert(
      fc.property(figure, unit, figure, (amount, of, minutes) => {
        const text = `Soup\nServes 4\nIngredients\n${amount} ${of} onions\n2 ${of} onions\nMethod\n1. Fry the onions for ${minutes} minutes.\n2. Simmer for ${minutes} hours.`;
        const read = readRecipe(text);
        if (!read.ok) return;
        const { ingredients, steps } = read.reading;
        for (const each of ingredients)
          expect(each.amount.quantity).toSatisfy((value: number) => value >= 0 && value <= 1e9);
        for (const { minutes: told } of steps)
          for (const value of Object.values(told))
            expect(value).toSatisfy((each: number) => each >= 0 && each < 30_000);
      }),
      { numRuns: 300, seed: 11 },
    );
  });

  it('is no entity and no unit by the name of what every object has', () => {
    expect(plainText('salt &constructor; pepper &toString;')).toBe('salt pepper');
    const read = readRecipe('Soup\nServes 4\nIngredients\n2 constructor onions\nMethod\nFry the onions for 5 minutes.');
    expect(read.ok && read.reading.ingredients[0]).toMatchObject({
      name: 'constructor onions',
      amount: { quantity: 2, unit: 'piece' },
    });
  });
});
