import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  celsiusOf,
  convert,
  fahrenheitOf,
  fahrenheitOfGasMark,
  gasMarkOf,
  MEASURES,
  measureOf,
  measureOfOwn,
  ownFault,
  readMeasured,
  readQuantity,
  temperatureFault,
} from './measures';

describe('measures', () => {
  it('lead there and back again', () => {
    const any = fc.constantFrom(...MEASURES);
    fc.assert(
      fc.property(
        any,
        any,
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        fc.double({ min: 0.3, max: 1.5, noNaN: true }),
        (from, to, quantity, density) => {
          const there = convert(quantity, from, to, density);
          const comparable = from.sort === to.sort || ![from.sort, to.sort].includes('length');
          expect(there === null).toBe(!comparable);
          if (there !== null) expect(convert(there, to, from, density)! / quantity).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('need a density between volume and mass', () => {
    expect(convert(1, measureOf('cup'), measureOf('g'))).toBeNull();
    expect(convert(1, measureOf('cup'), measureOf('g'), 0.8)).toBe(200);
    expect(() => measureOf('bucket')).toThrow('bucket');
  });
});

describe('numbers as cooks write them', () => {
  it.each([
    ['1 1/2', 1.5],
    ['1½', 1.5],
    ['2 ½', 2.5],
    ['2,5', 2.5],
    ['2.25', 2.25],
    ['3/4', 0.75],
    ['⅔', 2 / 3],
    ['12', 12],
    ['a', 1],
    ['half a', 0.5],
    ['1 1⁄4', 1.25],
  ])('reads %s', (text, value) => {
    expect(readQuantity(text)).toBeCloseTo(value, 9);
  });

  it.each(['', 'some', '1/0', '-3', '1 2', '½½', 'NaN'])('refuses %j', (text) => {
    expect(readQuantity(text)).toBeNull();
  });
});

describe('temperatures', () => {
  it('go between Celsius, Fahrenheit and gas marks', () => {
    expect(celsiusOf(fahrenheitOf(180))).toBeCloseTo(180, 9);
    for (const mark of [0.25, 0.5, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]) {
      expect(gasMarkOf(celsiusOf(fahrenheitOfGasMark(mark)!))).toBe(mark);
    }
    expect(fahrenheitOfGasMark(11)).toBeNull();
    expect(fahrenheitOfGasMark(2.5)).toBeNull();
    expect([gasMarkOf(60), gasMarkOf(300)]).toEqual([null, null]);
  });

  it('beyond reason are refused in words', () => {
    expect(temperatureFault(-300)).toMatch(/colder/);
    expect(temperatureFault(Number.NaN)).toMatch(/Temperature/);
    expect(temperatureFault(900)).toMatch(/600/);
    expect(temperatureFault(180)).toBeNull();
  });
});

describe('an amount as it is written', () => {
  const mug = measureOfOwn({ id: '1', name: 'blue mug', millilitres: 310 });

  it.each([
    ['1 1/2 cups', 1.5, 'cup'],
    ['2½ tbsp', 2.5, 'tbsp'],
    ['half a cup', 0.5, 'cup'],
    ['a pinch', 1, 'pinch'],
    ['250 g', 250, 'g'],
    ['1,5 litres', 1.5, 'l'],
    ['3 tablespoons', 3, 'tbsp'],
    ['2 lb.', 2, 'lb'],
    ['6 ounces', 6, 'oz'],
  ])('%s', (text, quantity, id) => {
    const read = readMeasured(text)!;
    expect(read.quantity).toBeCloseTo(quantity, 9);
    expect(read.measure.id).toBe(id);
  });

  it('in a mug of the cook’s own', () => {
    expect(readMeasured('2 1/2 blue mugs', [mug, ...MEASURES])).toEqual({ quantity: 2.5, measure: mug });
    expect(convert(2, mug, measureOf('ml'))).toBe(620);
  });

  it.each(['', 'cups', 'some flour', '3', '-2 cups', '2 bananas'])('%j is none', (text) => {
    expect(readMeasured(text)).toBeNull();
  });

  it.each([
    [{ name: ' ', millilitres: 300 }, /Name/],
    [{ name: 'x'.repeat(41), millilitres: 300 }, /40 letters/],
    [{ name: 'thimble', millilitres: 0 }, /5 ml/],
    [{ name: 'bath', millilitres: Number.NaN }, /5 l/],
  ])('a measure like %j is refused in words', (own, words) => {
    expect(ownFault(own)).toMatch(words);
    expect(ownFault({ name: 'blue mug', millilitres: 310 })).toBeNull();
  });
});
