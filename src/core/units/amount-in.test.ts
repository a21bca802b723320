import { describe, expect, test } from 'vitest';
import { speak } from '@/core/say/say';
import { type Amount, isMass, isVolume, MASS_IN_GRAMS, printAmount, UNITS, VOLUME_IN_ML } from './amount';
import { amountAs, amountIn, unitChoices } from './amount-in';
import { densityOf } from './densities';
import { AMOUNT_MANNERS, CANONICAL } from './manner';
import { told } from './told';

const AMERICAN = { ...CANONICAL, amounts: 'american' } as const;

describe('an amount in the units of a manner', () => {
  test.each<[Amount, string, Amount]>([
    [{ quantity: 280, unit: 'g' }, 'red rice', { quantity: 1.498, unit: 'us-cup' }],
    [{ quantity: 900, unit: 'g' }, 'beef cheeks', { quantity: 1.984, unit: 'lb' }],
    [{ quantity: 5, unit: 'ml' }, 'vanilla', { quantity: 1, unit: 'tsp' }],
    [{ quantity: 3, unit: 'clove' }, 'garlic', { quantity: 3, unit: 'clove' }],
    [{ quantity: 2, unit: 'us-cup' }, 'stock', { quantity: 2, unit: 'us-cup' }],
  ])('%j of %s', (amount, name, expected) => {
    const shown = amountIn(amount, name, AMERICAN);
    expect(shown.unit).toBe(expected.unit);
    expect(shown.quantity).toBeCloseTo(expected.quantity, 3);
  });

  test('is as much as before, in every manner and unit', () => {
    const grams = ({ quantity, unit }: Amount, name: string) =>
      isMass(unit)
        ? quantity * MASS_IN_GRAMS[unit]
        : isVolume(unit)
          ? quantity * VOLUME_IN_ML[unit] * (densityOf(name) ?? 1)
          : quantity;
    for (const amounts of AMOUNT_MANNERS)
      for (const unit of UNITS)
        for (const name of ['rice', 'leeks', 'oil']) {
          const amount = { quantity: 7, unit };
          expect(grams(amountIn(amount, name, { amounts }), name)).toBeCloseTo(grams(amount, name), 6);
        }
  });

  test('all units can be chosen, each under a name of its own', () => {
    for (const amounts of AMOUNT_MANNERS) {
      const choices = unitChoices({ amounts });
      expect(new Set(choices.map(([, name]) => name)).size).toBe(choices.length);
      expect(choices.map(([unit]) => unit)).toEqual(expect.arrayContaining(['g', 'ml', 'us-cup', 'tsp', 'clove']));
    }
  });
});

test.each<[Amount, Amount['unit'], string, Amount]>([
  [{ quantity: 2, unit: 'us-cup' }, 'ml', 'stock', { quantity: 473.18, unit: 'ml' }],
  [{ quantity: 2, unit: 'us-cup' }, 'g', 'red rice', { quantity: 373.81, unit: 'g' }],
  [{ quantity: 79, unit: 'g' }, 'ml', 'rice', { quantity: 100, unit: 'ml' }],
  [{ quantity: 2, unit: 'lb' }, 'kg', 'beef', { quantity: 0.907, unit: 'kg' }],
  [{ quantity: 2, unit: 'us-cup' }, 'g', 'leeks', { quantity: 2, unit: 'us-cup' }],
  [{ quantity: 2, unit: 'clove' }, 'g', 'garlic', { quantity: 2, unit: 'clove' }],
])('%j in %s of %s', (amount, unit, name, expected) => {
  const as = amountAs(amount, unit, name);
  expect(as.unit).toBe(expected.unit);
  expect(as.quantity).toBeCloseTo(expected.quantity, 2);
});

test('units to choose from have the names of the language that is spoken', () => {
  try {
    speak('de', (english) => ({ tbsp: 'EL', 'US cup': 'US-Tasse' })[english]);
    expect(unitChoices(CANONICAL)).toEqual(
      expect.arrayContaining([
        ['tbsp', 'EL'],
        ['us-cup', 'US-Tasse'],
      ]),
    );
  } finally {
    speak('en');
  }
});

test('what was written in cups, ounces and pounds comes back as it was', () => {
  for (const quarters of [1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20]) {
    const quantity = quarters / 4;
    const cups = told(`${printAmount({ quantity, unit: 'us-cup' })} of stock`, AMERICAN);
    expect(cups).toBe(`${shown(quantity)} ${quantity > 1 ? 'cups' : 'cup'} of stock`);
    if (quantity >= 1) expect(told(printAmount({ quantity, unit: 'lb' }), AMERICAN)).toBe(`${shown(quantity)} lb`);
  }
  for (const quantity of [1, 2, 3, 4, 6, 8, 12])
    expect(told(printAmount({ quantity, unit: 'oz' }), AMERICAN)).toBe(`${quantity} oz`);
});

function shown(quantity: number): string {
  const parts: Readonly<Record<string, string>> = { 0: '', 0.25: '¼', 0.5: '½', 0.75: '¾' };
  return `${Math.floor(quantity) || ''}${parts[quantity % 1]}`;
}
