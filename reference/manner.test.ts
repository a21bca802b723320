import { expect, test } from 'vitest';
import { fahrenheitTold, gasTold } from '@/core/units/manner';

// The oven table printed in cookery books on both sides of the ocean: °C, °F, gas mark. Common practice, from memory.
const OVENS: readonly (readonly [celsius: number, fahrenheit: number, mark: string])[] = [
  [120, 250, '½'],
  [140, 275, '1'],
  [150, 300, '2'],
  [160, 325, '3'],
  [180, 350, '4'],
  [190, 375, '5'],
  [200, 400, '6'],
  [220, 425, '7'],
  [230, 450, '8'],
  [240, 475, '9'],
];

test.each(OVENS)('an oven of %i °C is %i °F, gas mark %s', (celsius, fahrenheit, mark) => {
  expect(fahrenheitTold(celsius)).toBe(fahrenheit);
  expect(gasTold(celsius)).toBe(`gas mark ${mark} (${celsius} °C)`);
});

// Source: USDA, Safe Minimum Internal Temperature Chart: 145 °F for whole cuts, 160 for ground meat, 165 for poultry; in °C 62.8, 71.1, 73.9. From memory.
test.each([
  [63, 145],
  [71, 160],
  [74, 165],
  [60, 140],
])('%i °C in the middle is told as %i °F', (celsius, fahrenheit) => {
  expect(fahrenheitTold(celsius)).toBe(fahrenheit);
});
