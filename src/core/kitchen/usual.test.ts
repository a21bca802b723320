import { describe, expect, test } from 'vitest';
import { kitchenShape } from '@/core/records/kitchen';
import { check } from '@/core/records/refuse';
import {
  CREWS,
  copyOfKitchen,
  freeName,
  MOST_FIRST_BURNERS,
  OVEN_CHOICES,
  POT_SETS,
  renamedByKind,
  USUAL_ANSWERS,
  usualKitchen,
} from './usual';

describe('a kitchen from a few answers', () => {
  test('every combination of answers is a sound kitchen', () => {
    for (let burners = 1; burners <= MOST_FIRST_BURNERS; burners++)
      for (const oven of OVEN_CHOICES)
        for (const crew of CREWS)
          for (const set of POT_SETS) {
            const kitchen = usualKitchen('k', 'My kitchen', { burners, oven, crew, pots: set });
            expect(check(kitchenShape, kitchen)).toMatchObject({ ok: true });
            expect(kitchen.burners).toHaveLength(burners);
            expect(new Set(kitchen.burners.map(({ name }) => name)).size).toBe(burners);
            // Something boils hard, and something holds the barest simmer.
            expect(kitchen.burners.some(({ strength }) => strength === 'strong')).toBe(true);
            expect(kitchen.burners.some(({ gentle }) => gentle)).toBe(true);
            // And every pot that there is has a flame under which it barely moves, but for the stock pot of a large stove.
            const widest = Math.max(...kitchen.burners.map(({ gentle, widestCm }) => (gentle ? widestCm : 0)));
            const pots = kitchen.vessels.filter(({ kind }) => kind === 'pot' || kind === 'casserole');
            for (const { name, widthCm, litres } of pots)
              if (litres <= 6 || burners <= 2)
                expect(widthCm, `${name}, ${burners} burners`).toBeLessThanOrEqual(widest);
          }
  });

  test('a stove of no burners or half a burner is refused', () => {
    for (const burners of [0, 1.5, MOST_FIRST_BURNERS + 1, Number.NaN])
      expect(() => usualKitchen('k', 'K', { ...USUAL_ANSWERS, burners })).toThrow('whole number from 1 to 6');
  });

  test('more pots hold more than fewer', () => {
    const litres = POT_SETS.map((pots) =>
      usualKitchen('k', 'K', { ...USUAL_ANSWERS, pots }).vessels.reduce(
        (sum, { litres, count }) => sum + litres * count,
        0,
      ),
    );
    expect(litres).toEqual(litres.toSorted((a, b) => a - b));
    expect(new Set(litres).size).toBe(POT_SETS.length);
  });
});

describe('names', () => {
  test('a taken name gets a number, whatever its letters', () => {
    expect(freeName('My kitchen', [])).toBe('My kitchen');
    expect(freeName('My kitchen', ['my Kitchen', 'My kitchen 2'])).toBe('My kitchen 3');
  });

  test('a copy is the same kitchen under another name', () => {
    const kitchen = usualKitchen('k', 'My kitchen', USUAL_ANSWERS);
    expect(copyOfKitchen(kitchen, 'c', ['My kitchen'])).toEqual({ ...kitchen, id: 'c', name: 'My kitchen, copy' });
    expect(copyOfKitchen(kitchen, 'c', ['My kitchen, copy']).name).toBe('My kitchen, copy 2');
  });

  test.each([
    ['New kettle', 'kettle', 'rice-cooker', 'New rice cooker'],
    ['Kettle', 'kettle', 'pressure-cooker', 'Pressure cooker'],
    ['Rice cooker 2', 'rice-cooker', 'kettle', 'Kettle 2'],
    ['The red one', 'kettle', 'blender', 'The red one'],
  ])('%s, once a %s, now a %s, is %s', (name, from, to, now) => {
    expect(renamedByKind(name, from, to)).toBe(now);
  });
});
