import { describe, expect, it } from 'vitest';
import { type Amount, printAmount, printFraction, printQuantity, roundMeasurable, type Unit } from './amount';
import { amountAs, amountIn, unitChoices } from './amount-in';
import { CANONICAL, fahrenheitTold, gasTold, type Manner, mannerOf, scaleFor, soundManner } from './manner';
import {
  fahrenheitOfGasMark,
  gasMarkOf,
  LEAST_OWN,
  MOST_OWN,
  ownFault,
  readMeasured,
  readQuantity,
  temperatureFault,
} from './measures';
import { AMERICAN } from './testing/manners';
import { told, toldAll, toldDrawing } from './told';

// Where one way of saying ends and the next begins: just below, at, and just above.

const AUSTRALIAN: Manner = { ...CANONICAL, amounts: 'australian' };

describe('what a scale shows', () => {
  it.each([
    [0, 1],
    [0.4, 1],
    [9.4, 9],
    [9.99, 10],
    [10, 10],
    [12.4, 10],
    [12.5, 15],
    [197, 195],
    [199.9, 200],
    [200, 200],
    [204, 200],
    [205, 210],
    [494, 490],
    [500, 500],
    [520, 500],
    [525, 550],
    [1970, 1950],
    [1999, 2000],
    [2000, 2000],
    [2049, 2000],
    [2050, 2100],
  ])('of %d is %d', (value, shown) => {
    expect(roundMeasurable(value)).toBe(shown);
  });

  it.each([
    [0.01, '¼'],
    [0.29, '¼'],
    [0.3, '⅓'],
    [0.41, '⅓'],
    [0.42, '½'],
    [0.58, '½'],
    [0.59, '⅔'],
    [0.7, '⅔'],
    [0.71, '¾'],
    [0.87, '¾'],
    [0.88, '1'],
    [1.12, '1'],
    [1.13, '1¼'],
    [1.99, '2'],
    [9.5, '9½'],
    [9.9, '10'],
    [10.4, '10'],
    [10.5, '11'],
  ])('of %d spoons is %s', (value, shown) => {
    expect(printFraction(value)).toBe(shown);
  });
});

describe('an amount in words', () => {
  it.each<[number, Unit, string]>([
    [999, 'g', '1 kg'],
    [974, 'g', '950 g'],
    [1000, 'g', '1 kg'],
    [1, 'oz', '30 g'],
    [1, 'lb', '450 g'],
    [0.5, 'kg', '500 g'],
    [5.9, 'tsp', '6 tsp'],
    [6, 'tsp', '2 tsp'.replace('tsp', 'tbsp')],
    [1, 'cup', '250 ml'],
    [1, 'us-cup', '235 ml'],
    [1, 'au-tbsp', '20 ml'],
    [0.02, 'cup', '5 ml'],
    [5, 'cup', '1.25 l'],
    [999, 'ml', '1 l'],
    [1, 'bunch', '1 bunch'],
    [2, 'bunch', '2 bunches'],
    [3, 'pinch', '3 pinches'],
    [2, 'tin', '2 tins'],
    [0.74, 'tin', '¾ tin'],
    [1.2, 'tin', '1 tin'],
    [1.25, 'tin', '1½ tins'],
    [0.2, 'sprig', '1 sprig'],
    [2.5, 'slice', '3 slices'],
  ])('%d %s is %s', (quantity, unit, said) => {
    expect(printAmount({ quantity, unit })).toBe(said);
  });

  it.each<[number, Unit, string]>([
    [1.5, 'oz', '1½'],
    [2.26, 'lb', '2¼'],
    [0.4567, 'kg', '0.46'],
    [2.5, 'l', '2.5'],
    [2, 'l', '2'],
    [0.5, 'tin', '½'],
    [0, 'tin', '¼'],
  ])('%d %s is set as %s', (quantity, unit, said) => {
    expect(printQuantity({ quantity, unit })).toBe(said);
  });
});

describe('an amount in another manner', () => {
  const inside = (quantity: number, unit: Unit, amounts: Manner['amounts'], name = 'x') => {
    const { quantity: q, unit: u } = amountIn({ quantity, unit }, name, { amounts });
    return [Math.round(q * 1000) / 1000, u];
  };

  it.each<[number, Unit, Manner['amounts'], string, number, Unit]>([
    [200, 'g', 'metric', 'x', 200, 'g'],
    [1, 'lb', 'metric', 'x', 453.592, 'g'],
    [2.2046, 'lb', 'metric', 'x', 999.99, 'g'],
    [3, 'lb', 'metric', 'x', 1.361, 'kg'],
    [1, 'lb', 'australian', 'x', 453.592, 'g'],
    [439, 'g', 'american', 'beef', 15.485, 'oz'],
    [441, 'g', 'american', 'beef', 0.972, 'lb'],
    [100, 'g', 'american', 'sugar', 0.497, 'us-cup'],
    [10, 'g', 'american', 'sugar', 2.353, 'tsp'],
    [12, 'ml', 'american', 'x', 2.4, 'tsp'],
    [12.5, 'ml', 'american', 'x', 0.833, 'tbsp'],
    [53, 'ml', 'american', 'x', 3.533, 'tbsp'],
    [54, 'ml', 'american', 'x', 0.228, 'us-cup'],
    [1, 'us-cup', 'metric', 'x', 236.588, 'ml'],
    [5, 'cup', 'metric', 'x', 1.25, 'l'],
    [0.9, 'tbsp', 'australian', 'x', 2.7, 'tsp'],
    [1, 'tbsp', 'australian', 'x', 0.75, 'au-tbsp'],
    [3.9, 'tbsp', 'australian', 'x', 2.925, 'au-tbsp'],
    [4, 'tbsp', 'australian', 'x', 0.24, 'cup'],
    [3, 'clove', 'american', 'garlic', 3, 'clove'],
  ])('%d %s, %s, of %s is %d %s', (quantity, unit, amounts, name, to, as) => {
    expect(inside(quantity, unit, amounts, name)).toEqual([to, as]);
  });

  it.each<[Amount, Unit, string, number | null]>([
    [{ quantity: 2, unit: 'kg' }, 'g', 'x', 2000],
    [{ quantity: 2, unit: 'g' }, 'g', 'x', 2],
    [{ quantity: 1, unit: 'cup' }, 'tbsp', 'x', 250 / 15],
    [{ quantity: 85, unit: 'g' }, 'ml', 'sugar', 100],
    [{ quantity: 100, unit: 'ml' }, 'g', 'sugar', 85],
    [{ quantity: 100, unit: 'ml' }, 'g', 'noodles', null],
    [{ quantity: 2, unit: 'clove' }, 'g', 'garlic', null],
    [{ quantity: 2, unit: 'g' }, 'clove', 'garlic', null],
  ])('%o as %s of %s', (amount, unit, name, quantity) => {
    const there = amountAs(amount, unit, name);
    if (quantity === null) expect(there).toBe(amount);
    else expect(there).toEqual({ quantity: expect.closeTo(quantity, 6), unit });
  });

  it('a choice has the units of the manner first, each by its name there, and every unit once', () => {
    const names = (amounts: Manner['amounts']) => unitChoices({ amounts });
    for (const amounts of ['metric', 'american', 'australian'] as const) {
      expect(new Set(names(amounts).map(([unit]) => unit)).size).toBe(names(amounts).length);
      expect(names(amounts)).toHaveLength(21);
      expect(new Set(names(amounts).map(([, name]) => name)).size).toBe(21);
    }
    const named = (amounts: Manner['amounts'], unit: Unit) => names(amounts).find(([each]) => each === unit)?.[1];
    expect(names('american')[0]).toEqual(['us-cup', 'cup']);
    expect([named('metric', 'us-cup'), named('american', 'cup'), named('australian', 'cup')]).toEqual([
      'US cup',
      'metric cup',
      'cup',
    ]);
    expect([named('australian', 'au-tbsp'), named('metric', 'au-tbsp')]).toEqual(['tbsp', 'Australian tbsp']);
    expect([named('australian', 'tbsp'), named('metric', 'tbsp')]).toEqual(['tbsp of 15 millilitres', 'tbsp']);
  });
});

describe('a text told', () => {
  it.each([
    // Spoons to 12.3 ml, tablespoons to 54.4, cups to a litre and a half, then quarts. US cup 236.6 ml.
    ['12 ml', '2½ tsp'],
    ['13 ml', '1 tbsp'],
    ['54 ml', '3⅔ tbsp'],
    ['56 ml', '¼ cup'],
    ['1499 ml', '6⅓ cups'],
    ['1500 ml', '1⅔ quarts'],
    ['946 ml', '4 cups'],
    ['1 ml', '¼ tsp'],
    ['0.5 ml', '⅛ tsp'],
    ['435 g beef', '15 oz beef'],
    ['441 g beef', '1 lb beef'],
    ['100 g beef', '3½ oz beef'],
    ['120 g beef', '4 oz beef'],
    ['270 g beef', '9½ oz beef'],
    ['300 g beef', '11 oz beef'],
    ['680 g beef', '1½ lb beef'],
    ['3 mm', '⅛ in'],
    ['1 cm', '⅜ in'],
    ['5 cm', '2 in'],
    ['10 cm', '4 in'],
    ['11 cm', '4½ in'],
    ['1200 g sugar', '6 cups sugar'],
    ['1300 g sugar', '2¾ lb sugar'],
    ['100 g sugar for the top', '½ cup sugar for the top'],
    ['the 3 l pot', 'the 3¼-quart pot'],
    ['3 l potatoes', '3¼ quarts potatoes'],
    ['23:59', '11:59 PM'],
    ['12:00', '12:00 PM'],
    ['11:59', '11:59 AM'],
    ['00:00', '12:00 AM'],
    ['1:20', '1:20'],
    ['109 °C', '228 °F'],
    ['110 °C', '225 °F'],
    ['5 °C cooler', '9 °F cooler'],
  ])('American: %s is %s', (text, said) => {
    expect(told(text, AMERICAN)).toBe(said);
  });

  it.each([
    ['14 ml', '2¾ tsp'],
    ['15 ml', '¾\u2060 tbsp'],
    ['59 ml', '3\u2060 tbsp'],
    ['60 ml', '¼ cup'],
    ['1499 ml', '6 cups'],
    ['1500 ml', '1500 ml'],
    ['1 l', '1 l'],
    ['200 g flour', '200 g flour'],
    ['2 cm', '2 cm'],
  ])('Australian: %s is %s', (text, said) => {
    expect(told(text, AUSTRALIAN)).toBe(said);
  });

  it('gas marks stand for an oven’s own heat only', () => {
    const gas: Manner = { ...CANONICAL, heat: 'gas' };
    expect(gasTold(104)).toBeNull();
    expect(gasTold(107)).toBe('gas mark ¼ (107 °C)');
    expect(gasTold(120)).toBe('gas mark ½ (120 °C)');
    expect(gasTold(220)).toBe('gas mark 7 (220 °C)');
    expect(told('5 °C cooler', gas)).toBe('5 °C cooler');
    expect(told('150–180 °C', gas)).toBe('150–180 °C');
    expect(told('200 °C below what', gas)).toBe('200 °C below what');
    expect([fahrenheitTold(4), fahrenheitTold(109), fahrenheitTold(110), fahrenheitTold(190)]).toEqual([
      39, 228, 225, 375,
    ]);
    expect(told('−18 to −20 °C', AMERICAN)).toBe('0 to −4 °F');
  });

  it('of a drawing has its words told, and its places not', () => {
    const svg = '<svg width="200" y="1.5"><text x="12:05">19:30, 200 °C</text></svg>';
    const said = '<svg width="200" y="1.5"><text x="12:05">7:30 PM, 400 °F</text></svg>';
    expect(toldDrawing(svg, AMERICAN)).toBe(said);
    expect(toldAll({ svg, list: ['19:30', null, 7], day: new Date(0) }, AMERICAN)).toEqual({
      svg: said,
      list: ['7:30 PM', null, 7],
      day: new Date(0),
    });
    expect(toldAll(undefined, AMERICAN)).toBeUndefined();
  });
});

describe('a number that is set', () => {
  it.each([
    ['cm', 28, 'in', 11],
    ['l', 4, 'qt', 4.25],
    ['ml', 250, 'fl oz', 8.5],
    ['g', 100, 'oz', 3.5],
    ['kg', 2, 'lb', 4.5],
    ['m', 1500, 'ft', 4900],
  ] as const)('%d %s is %d %s', (unit, value, shown, there) => {
    const scale = scaleFor(unit, 1, AMERICAN)!;
    expect([scale.unit, scale.there(value)]).toEqual([shown, there]);
    expect(Math.abs(scale.back(there) - value) / value).toBeLessThan(0.06);
    expect(scaleFor(unit, 1, CANONICAL)).toBeNull();
  });

  it('heat goes by 25 °F where it goes by five degrees, and by one where by less', () => {
    expect([scaleFor('°C', 5, AMERICAN)!.step, scaleFor('°C', 4, AMERICAN)!.step]).toEqual([25, 1]);
    expect(scaleFor('°C', 5, { ...AMERICAN, heat: 'celsius' })).toBeNull();
    expect(scaleFor('°C', 1, AMERICAN)!.back(68)).toBe(20);
    expect(scaleFor(undefined, 1, AMERICAN)).toBeNull();
  });

  it('a manner from anywhere is sound', () => {
    expect(soundManner(JSON.parse('{"__proto__":{"heat":"gas"},"clock":"am and pm"}'), CANONICAL)).toEqual({
      ...CANONICAL,
      clock: 'am and pm',
    });
    expect(mannerOf('en-BZ')).toMatchObject({ heat: 'fahrenheit', amounts: 'metric' });
    expect(mannerOf('es-PR')).toMatchObject({ amounts: 'american', heat: 'fahrenheit' });
    expect(mannerOf('fr-CA')).toMatchObject({ amounts: 'metric', decimal: 'comma' });
  });
});

describe('a number as cooks write it', () => {
  it.each([
    ['¼', 1 / 4],
    ['½', 1 / 2],
    ['¾', 3 / 4],
    ['⅓', 1 / 3],
    ['⅔', 2 / 3],
    ['⅛', 1 / 8],
    ['⅜', 3 / 8],
    ['⅝', 5 / 8],
    ['⅞', 7 / 8],
    ['1¼', 1.25],
    [' 2 ⅜ ', 2.375],
    ['3/4', 0.75],
    ['1 1/2', 1.5],
    ['1 3⁄4', 1.75],
    ['11', 11],
    ['2,5', 2.5],
    ['a', 1],
    ['An', 1],
    ['one', 1],
    ['half', 0.5],
    ['half a', 0.5],
    ['a half', 0.5],
    ['a quarter', 0.25],
    ['quarter of a', 0.25],
    ['', null],
    [' ', null],
    ['1/0', null],
    ['x', null],
    ['1 2', null],
    ['9'.repeat(400), null],
  ])('%j is %s', (text, value) => {
    if (value === null) expect(readQuantity(text)).toBeNull();
    else expect(readQuantity(text)).toBeCloseTo(value, 9);
  });

  it.each([
    ['2 cups', 2, 'cup'],
    ['  half a cup', 0.5, 'cup'],
    ['1½ tbsp.', 1.5, 'tbsp'],
    ['250 grams', 250, 'g'],
    ['2 litres', 2, 'l'],
    ['3 pounds', 3, 'lb'],
    ['12 in', 12, 'inch'],
  ])('%j is so many of a measure', (text, quantity, id) => {
    expect(readMeasured(text)).toMatchObject({ quantity, measure: { id: expect.stringContaining(id) } });
  });

  it('nothing, a measure alone or a number alone is no amount', () => {
    for (const text of ['', 'cups', '3', '3 wishes', 'constructor', '1 constructor'])
      expect(readMeasured(text), text).toBeNull();
  });

  it('a mug of one’s own holds between a spoon and a bucket', () => {
    const fault = (millilitres: number, name = 'mug') => ownFault({ name, millilitres });
    expect([fault(LEAST_OWN), fault(MOST_OWN)]).toEqual([null, null]);
    expect([fault(LEAST_OWN - 0.1), fault(MOST_OWN + 0.1), fault(Number.NaN)].every((each) => each !== null)).toBe(
      true,
    );
    expect([fault(200, 'x'.repeat(40)), fault(200, 'x'.repeat(41)) !== null, fault(200, ' ') !== null]).toEqual([
      null,
      true,
      true,
    ]);
  });

  it('gas marks begin at a quarter and end at ten, each with its own Fahrenheit', () => {
    expect([0.25, 0.5, 1, 6, 10].map(fahrenheitOfGasMark)).toEqual([225, 250, 275, 400, 500]);
    expect([0, 0.75, 1.5, 11].map(fahrenheitOfGasMark)).toEqual([null, null, null, null]);
    expect([100, 105, 125, 135, 140, 260, 268].map(gasMarkOf)).toEqual([null, 0.25, 0.5, 1, 1, 10, null]);
    expect([temperatureFault(-273.15), temperatureFault(600)]).toEqual([null, null]);
    expect([temperatureFault(-273.2), temperatureFault(600.1)].every((each) => each !== null)).toBe(true);
  });
});
