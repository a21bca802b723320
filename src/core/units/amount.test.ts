import { describe, expect, it } from 'vitest';
import {
  type Amount,
  printAmount,
  printFraction,
  printQuantity,
  roundMeasurable,
  scaleAmount,
  type Unit,
} from './amount';

describe('amounts', () => {
  it.each([
    [1350, 'ml', '1.35 l'],
    [443, 'g', '440 g'],
    [2.5, 'tbsp', '2½ tbsp'],
    [9, 'tsp', '3 tbsp'],
    [3, 'clove', '3 cloves'],
    [1, 'leaf', '1 leaf'],
    [2, 'leaf', '2 leaves'],
    [4, 'piece', '4'],
    [0.02, 'piece', '¼'],
    [2, 'kg', '2 kg'],
    [0.4, 'g', '1 g'],
  ] as const)('prints %d %s as %s', (quantity, unit, text) => {
    expect(printAmount({ quantity, unit: unit as Unit })).toBe(text);
  });

  it('writes the nearest quarter or third, and nothing as nothing less than a quarter', () => {
    expect([0.26, 0.34, 0.5, 0.68, 0.76, 0.95, 1.02, 2.33].map(printFraction)).toEqual([
      '¼',
      '⅓',
      '½',
      '⅔',
      '¾',
      '1',
      '1',
      '2⅓',
    ]);
  });

  it('rounds to what a scale or a jug shows', () => {
    expect([3.4, 87, 212, 1234, 4321].map(roundMeasurable)).toEqual([3, 85, 210, 1250, 4300]);
  });

  it('scales without changing the unit', () => {
    expect(scaleAmount({ quantity: 2, unit: 'tbsp' }, 2.5)).toEqual({ quantity: 5, unit: 'tbsp' });
  });
});

describe('what is counted', () => {
  it.each<[number, Amount['unit'], string]>([
    [2.4, 'clove', '2 cloves'],
    [0.4, 'clove', '1 clove'],
    [0.93333, 'piece', '1'],
    [1.6, 'piece', '1½'],
    [0.27, 'piece', '¼'],
    [1.5, 'bunch', '1½ bunches'],
    [0.5, 'bunch', '½ bunch'],
    [7.3, 'leaf', '7 leaves'],
  ])('%f %s is %s', (quantity, unit, said) => {
    expect(printAmount({ quantity, unit })).toBe(said);
  });

  it.each<[number, Amount['unit'], string]>([
    [2.4, 'clove', '2'],
    [283, 'g', '280'],
    [1.347, 'l', '1.35'],
    [1.498, 'us-cup', '1½'],
    [0.07, 'ml', '1'],
  ])('%f %s is set as %s', (quantity, unit, said) => {
    expect(printQuantity({ quantity, unit })).toBe(said);
  });
});
