import { describe, expect, test } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { speak } from '@/core/say/say';
import { printAmount } from './amount';
import { CANONICAL, type Manner, mannerOf, scaleFor, soundManner } from './manner';
import { AMERICAN } from './testing/manners';
import { AS_WRITTEN, inWesternFigures, told, toldAll } from './told';

const BRITISH: Manner = { ...CANONICAL, heat: 'gas' };
const AUSTRALIAN: Manner = { ...CANONICAL, amounts: 'australian' };
const GERMAN: Manner = { ...CANONICAL, decimal: 'comma' };

test('a difference of heat is told apart from a heat in any language', () => {
  expect(told('um \u206020 °C, \u20603–7 °C, auf 200 °C', AMERICAN)).toBe('um 36 °F, 5–13 °F, auf 400 °F');
});

describe('in other figures', () => {
  const ARABIC = mannerOf('ar-EG');
  const PERSIAN = mannerOf('fa');
  const HINDI: Manner = { ...CANONICAL, figures: 'devanagari' };

  test('numbers, hours and tenths are written as their readers write them', () => {
    expect(ARABIC).toMatchObject({ figures: 'arabic', decimal: 'comma', amounts: 'metric' });
    expect(PERSIAN).toMatchObject({ figures: 'persian', decimal: 'comma', clock: '24 hours' });
    expect(mannerOf('hi')).toMatchObject({ figures: 'western', decimal: 'point' });
    expect(told('18:40, 1.35 l', PERSIAN)).toBe('۱۸:۴۰, ۱٫۳۵ l');
    expect(told('280 g', { ...ARABIC, clock: '24 hours' })).toBe('٢٨٠ g');
    expect(told('at 9', HINDI)).toBe('at ९');
  });

  test('what is typed in them is read back', () => {
    for (const manner of [ARABIC, PERSIAN, HINDI])
      expect(inWesternFigures(told('1234567890', manner))).toBe('1234567890');
    expect(inWesternFigures('12 ٣ x ۴ ५')).toBe('12 3 x 4 5');
  });
});

test('a mixed number runs from the left in a sentence from the right, once', () => {
  try {
    speak('ar', () => undefined);
    const once = told('2½ ملعقة', CANONICAL);
    expect(once).toBe('\u20662½\u2069 ملعقة');
    expect(told(once, CANONICAL)).toBe(once);
  } finally {
    speak('en');
  }
});

describe('in figures of other scripts', () => {
  const persian = { ...CANONICAL, figures: 'persian' as const };

  test('numbers are written in them, all but those that are to stay and those that say how something looks', () => {
    expect(told('7 of 12', persian)).toBe('۷ of ۱۲');
    expect(told(`1${AS_WRITTEN}`, persian)).toBe(`1${AS_WRITTEN}`);
    const looks = { color: '#4f6b2e', edge: 'rgba(1, 2, 3, 0.5)', width: '40%', size: '12px' };
    expect(toldAll({ ...looks, name: 'pot 2' }, persian)).toEqual({ ...looks, name: 'pot ۲' });
  });
});

describe('in the American manner', () => {
  test.each([
    ['Set the oven to 200 °C and let it warm through.', 'Set the oven to 400 °F and let it warm through.'],
    ['In the middle at least 74 °C: measure it.', 'In the middle at least 165 °F: measure it.'],
    ['safe from 63 °C and three minutes', 'safe from 145 °F and three minutes'],
    ['between 4 and 60 °C', 'between 39 and 140 °F'],
    ['3 to 5 °C below what you want', '5 to 9 °F below what you want'],
    ['−18 °C', '0 °F'],
    ['280 g red rice', '1½ cups red rice'],
    ['620 ml water', '2⅔ cups water'],
    ['1.2 l mushroom stock', '5 cups mushroom stock'],
    ['1.02 l', '4⅓ cups'],
    ['1.8 l', '2 quarts'],
    ['240 ml', '1 cup'],
    ['900 g beef cheeks, trimmed', '2 lb beef cheeks, trimmed'],
    ['120 g leeks', '4 oz leeks'],
    ['15 g butter', '1 tbsp butter'],
    ['5 ml oil', '1 tsp oil'],
    ['2 tbsp oil', '2 tbsp oil'],
    ['95 ml cream', '⅓ cup and 1 tbsp cream'],
    ['400 to 500 ml stock', '1⅔ to 2 cups stock'],
    ['the largest here is the pot with 3 l and 28 cm', 'the largest here is the pot with 3¼ quarts and 11 in'],
    ['the 5 l pot', 'the 5¼-quart pot'],
    ['in 2 cm dice', 'in ¾ in dice'],
    ['first flame 17:34, hands from 18:24', 'first flame 5:34 PM, hands from 6:24 PM'],
    ['00:05 and 12:00', '12:05 AM and 12:00 PM'],
    ['45 min, 2 h 30 min, 3 cloves, step 4', '45 min, 2 h 30 min, 3 cloves, step 4'],
    ['no number at all', 'no number at all'],
  ])('%s', (text, expected) => {
    expect(told(text, AMERICAN)).toBe(expected);
  });

  test('nothing metric is left of any amount and any words of the shelf', () => {
    const texts = SHELF.flatMap(({ ingredients, steps }) => [
      ...ingredients.map(({ amount, name, cut }) => `${printAmount(amount)} ${name}${cut ? `, ${cut}` : ''}`),
      ...steps.flatMap(({ says, doneWhen, cautions }) => [says, doneWhen ?? '', ...(cautions ?? [])]),
    ]);
    expect(texts.length).toBeGreaterThan(500);
    const strays = texts
      .map((text) => told(text, AMERICAN))
      .filter((text) => /\d\s?(g|kg|ml|l|cm|mm)\b|°C|\b\d\d:\d\d\b(?! [AP]M)/.test(text));
    expect(strays).toEqual([]);
  });

  test('what is told is within what a cook can measure of what was meant', () => {
    const ml = { tsp: 4.93, tbsp: 14.79, cup: 236.6, cups: 236.6, quart: 946.4, quarts: 946.4 } as const;
    const parts = { '⅛': 1 / 8, '¼': 1 / 4, '⅓': 1 / 3, '½': 1 / 2, '⅔': 2 / 3, '¾': 3 / 4 } as const;
    for (let meant = 3; meant < 6000; meant += meant < 240 ? 1 : 17) {
      let said = 0;
      for (const one of told(`${meant} ml`, AMERICAN).split(' and ')) {
        const [, whole, part, unit] = one.match(/^(\d*)(\D?) (\w+)$/)!;
        const quantity = Number(whole || 0) + (part ? parts[part as keyof typeof parts] : 0);
        said += quantity * ml[unit as keyof typeof ml];
      }
      // A sixth of a teaspoon, an eighth of a spoon, or one part in eight.
      expect(Math.abs(said - meant), `${meant} ml`).toBeLessThan(meant < 12 ? 0.75 : Math.max(2, meant * 0.12));
    }
  });
});

describe('in other manners', () => {
  test.each<[Manner, string, string]>([
    [BRITISH, 'Set the oven to 200 °C.', 'Set the oven to gas mark 6 (200 °C).'],
    [BRITISH, 'at least 74 °C in the middle', 'at least 74 °C in the middle'],
    [AUSTRALIAN, '500 ml stock, 2 tbsp oil', '2 cups stock, 1½\u2060 tbsp oil'],
    [AUSTRALIAN, '1.8 l water and 280 g rice', '1.8 l water and 280 g rice'],
    [GERMAN, '1.35 l of water at 18:40', '1,35 l of water at 18:40'],
    [{ ...AMERICAN, amounts: 'metric' }, '280 g rice at 19:30', '280 g rice at 7:30 PM'],
    [CANONICAL, '1.35 l at 200 °C by 19:30', '1.35 l at 200 °C by 19:30'],
  ])('%j: %s', (manner, text, expected) => {
    expect(told(text, manner)).toBe(expected);
  });

  test('what is told once is not told again', () => {
    const text = '280 g red rice, 95 ml cream and 3 tbsp oil, 30 ml milk, at 200 °C, 12:05 and 18:40, 28 cm, 1.35 l';
    for (const manner of [AMERICAN, BRITISH, AUSTRALIAN, GERMAN])
      expect(told(told(text, manner), manner)).toBe(told(text, manner));
  });

  test('every text of a sheet is told, and nothing else', () => {
    const print = () => '200 °C';
    const sheet = { at: '19:30', rows: [['5 min', '280 g rice', 7]], print, id: null };
    expect(toldAll(sheet, AMERICAN)).toEqual({ at: '7:30 PM', rows: [['5 min', '1½ cups rice', 7]], print, id: null });
  });
});

describe('whose manner', () => {
  test.each<[string, Partial<Manner>]>([
    ['en-US', { amounts: 'american', heat: 'fahrenheit', clock: 'am and pm', decimal: 'point', figures: 'western' }],
    ['en', { amounts: 'american', heat: 'fahrenheit' }],
    ['en-GB', { amounts: 'metric', heat: 'celsius', clock: '24 hours', decimal: 'point', figures: 'western' }],
    ['en-AU', { amounts: 'australian', heat: 'celsius', clock: 'am and pm' }],
    ['de', { amounts: 'metric', heat: 'celsius', clock: '24 hours', decimal: 'comma', figures: 'western' }],
    ['not a language!', CANONICAL],
    ['', CANONICAL],
  ])('%s', (language, manner) => {
    expect(mannerOf(language)).toMatchObject(manner);
  });

  test('what is kept wrongly is as the browser says', () => {
    expect(soundManner({ amounts: 'metric', heat: 7, decimal: 'comma' }, AMERICAN)).toEqual({
      amounts: 'metric',
      heat: 'fahrenheit',
      clock: 'am and pm',
      decimal: 'comma',
      figures: 'western',
    });
    for (const nothing of [null, 'x', 7, []]) expect(soundManner(nothing, AMERICAN)).toEqual(AMERICAN);
  });
});

describe('numbers that are set', () => {
  test('go there and back', () => {
    const oven = scaleFor('°C', 5, AMERICAN)!;
    expect(oven.there(200)).toBe(400);
    expect(oven.back(400)).toBe(204);
    expect(scaleFor('°C', 1, AMERICAN)!.there(20)).toBe(68);
    const pot = scaleFor('l', 0.5, AMERICAN)!;
    expect(pot.unit).toBe('qt');
    expect(pot.there(pot.back(3.25))).toBe(3.25);
    expect(scaleFor('l', 0.5, CANONICAL)).toBeNull();
    expect(scaleFor('people', 1, AMERICAN)).toBeNull();
  });
});
