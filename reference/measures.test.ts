import Qty from 'js-quantities';
import { describe, expect, it } from 'vitest';
import { celsiusOf, convert, fahrenheitOf, fahrenheitOfGasMark, measureOf } from '@/core/units/measures';

describe('against the unit library js-quantities', () => {
  it.each([
    ['cup-us', 'cup'],
    ['tbsp-us', 'tablespoon'],
    ['tsp-us', 'teaspoon'],
    ['floz-us', 'fluid-ounce'],
    ['pint-us', 'pint'],
    ['quart-us', 'quart'],
    ['l', 'liter'],
  ])('%s is its %s in millilitres', (ours, theirs) => {
    const ml = Qty(1, theirs).to('ml').scalar;
    expect(convert(1, measureOf(ours), measureOf('ml'))! / ml).toBeCloseTo(1, 5);
  });

  it.each([
    ['oz', 'ounce'],
    ['lb', 'pound'],
    ['kg', 'kilogram'],
  ])('%s is its %s in grams', (ours, theirs) => {
    expect(convert(1, measureOf(ours), measureOf('g'))! / Qty(1, theirs).to('g').scalar).toBeCloseTo(1, 6);
  });

  it('an inch is its inch', () => {
    expect(convert(3, measureOf('inch'), measureOf('cm'))).toBeCloseTo(Qty(3, 'inch').to('cm').scalar, 9);
  });

  it('Fahrenheit is its Fahrenheit', () => {
    for (const celsius of [-40, 0, 37, 100, 180, 250]) {
      expect(fahrenheitOf(celsius)).toBeCloseTo(Qty(celsius, 'tempC').to('tempF').scalar, 6);
    }
  });
});

describe('the gas marks (common tables, from memory)', () => {
  it.each([
    [1, 140],
    [2, 150],
    [3, 160],
    [4, 180],
    [5, 190],
    [6, 200],
    [7, 220],
    [8, 230],
    [9, 240],
  ])('mark %i is printed as %i °C, within 7 of the exact (tables round to tens)', (mark, celsius) => {
    expect(Math.abs(celsiusOf(fahrenheitOfGasMark(mark)!) - celsius)).toBeLessThanOrEqual(7);
  });
});

describe('imperial and Australian measures (Weights and Measures Act 1985, AS 1325; from memory)', () => {
  it.each([
    ['pint-imp', 568.26],
    ['floz-imp', 28.41],
    ['tbsp-au', 20],
    ['cup', 250],
  ])('%s holds %f ml', (id, ml) => {
    expect(convert(1, measureOf(id), measureOf('ml'))).toBeCloseTo(ml, 2);
  });
});
