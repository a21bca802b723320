import { describe, expect, it } from 'vitest';
import { columnsOf, rowText } from './columns';

describe('a row of a table', () => {
  it.each([
    [['Amount', 'Ingredient', 'Preparation'], ['Ingredients']],
    [['1/2 cup', 'butter', 'melted'], ['1/2 cup butter, melted']],
    [['2 tsp', 'dried sage', ''], ['2 tsp dried sage']],
    [['2', 'eggs', 'beaten'], ['2 eggs, beaten']],
    [['200', 'g', 'rice'], ['200 g rice']],
    [['Aubergine', '1 large (320 g)'], ['320 g Aubergine (1 large)']],
    [['Spring onions', '2, sliced'], ['2 Spring onions, sliced']],
    [['Salt', 'to taste'], ['to taste Salt']],
    [
      ['1 lb navy beans', '1/2 c. molasses'],
      ['1 lb navy beans', '1/2 c. molasses'],
    ],
    [['1', 'Sauté celery in butter until tender, 8 minutes'], ['1. Sauté celery in butter until tender, 8 minutes']],
    [['only one'], ['only one']],
    [['', ' '], []],
  ])('%j', (cells, lines) => expect(rowText(cells)).toEqual(lines));
});

describe('a line of plain text', () => {
  it.each([
    ['BAKED BEANS             serves 8', ['BAKED BEANS', 'serves 8']],
    ['2 tsp\tdried sage\t', ['2 tsp dried sage']],
    ['Take out the meat.  Cook the onion.', ['Take out the meat.  Cook the onion.']],
  ])('%s', (line, lines) => expect(columnsOf(line)).toEqual(lines));
});
