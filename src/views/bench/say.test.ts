import { describe, expect, it } from 'vitest';
import { sayBand, sayClock, sayLitres, sayMinutes, sayQuantity, sayVolume } from './say';

describe('what the bench says', () => {
  it.each([
    [0.2, '½ min'],
    [4.3, '4½ min'],
    [6, '6 min'],
    [13.4, '13 min'],
    [59.6, '1 h'],
    [87, '1 h 25 min'],
    [120, '2 h'],
    [5000, 'more than a day'],
  ])('says %f minutes as %s', (minutes, said) => {
    expect(sayMinutes(minutes)).toBe(said);
  });

  it('says a band by its ends, or that it has none', () => {
    expect(sayBand({ low: 8, likely: 10, high: 13 })).toBe('between 8 min and 13 min');
    expect(sayBand({ low: 8, likely: 8, high: 8.1 })).toBe('8 min');
    expect(sayBand({ low: 30, likely: 60, high: Number.POSITIVE_INFINITY })).toBe('30 min or more');
    expect(
      sayBand({ low: Number.POSITIVE_INFINITY, likely: Number.POSITIVE_INFINITY, high: Number.POSITIVE_INFINITY }),
    ).toContain('surface');
  });

  it('says litres in quarters and a clock in seconds', () => {
    expect([0.25, 1, 2.5, 10.75].map(sayLitres)).toEqual(['¼ l', '1 l', '2½ l', '10¾ l']);
    expect([4, 6.25].map(sayClock)).toEqual(['4 min', '6 min 15 s']);
  });

  it('says what a jug and a cup show', () => {
    expect([0.612, 1.349, 0].map(sayVolume)).toEqual(['610 ml', '1.35 l', '5 ml']);
  });

  it('says a bare number as it can be measured', () => {
    expect([0.01, 0.15, 0.25, 1.5, 42.4, 236.6].map(sayQuantity)).toEqual(['a trace', '⅛', '¼', '1½', '42', '235']);
  });
});
