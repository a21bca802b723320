import { describe, expect, it } from 'vitest';
import { mealOf, planned, smallKitchen } from '@/core/testing/meals';
import { dish, fry, item, pot, waits } from '../dish/write';
import { batchBand, batchesOn, coveredBy, floorOf, widthFor } from './floor';

const steaks = dish({
  id: 'steaks',
  name: 'Steaks',
  servings: 4,
  ingredients: [item('meat', 800, 'g', 'steaks')],
  steps: [
    fry('brown', 'brown', 'full', 6, 'Brown the meat in one layer.', {
      vessel: 'pan',
      uses: ['meat'],
      perBatch: 2,
      floorCm2: 130,
    }),
  ],
  links: [],
  vessels: [pot('pan', 'pan', ['pan'], 1, 'brown', 'brown', { grows: false })],
  lands: { step: 'brown', waits: waits('hot', 5, 15, 'under foil') },
});
const pan = (id: string, widthCm: number) => ({ id, name: id, kind: 'pan' as const, litres: 3, widthCm, count: 1 });
const kitchenWith = (...pans: ReturnType<typeof pan>[]) => ({
  ...smallKitchen,
  burners: smallKitchen.burners.map((burner) => ({ ...burner, widestCm: 40 })),
  vessels: pans,
});

describe('the floor of a pan', () => {
  it('takes what lies on it side by side', () => {
    expect(floorOf(28)).toBeCloseTo(616, 0);
    // Common practice, no source: 700 g of diced meat in a 28 cm pan.
    expect(coveredBy('diced meat', 700) / floorOf(28)).toBeCloseTo(1, 1);
    expect(batchesOn(coveredBy('diced meat', 1600), 28)).toBe(3);
    expect(batchesOn(0, 20)).toBe(1);
  });

  it('takes more or fewer batches as things are cut', () => {
    expect(batchBand('diced meat', 700, 28)).toEqual([1, 1, 2]);
    expect(batchBand('diced meat', 1400, 28)).toEqual([2, 2, 3]);
  });

  it.each([
    [1000, 24],
    [2400, 30],
    [700, 28],
  ])('%i cm² in a pan of %i cm: the narrowest pan for as many batches is no wider', (floor, width) => {
    const count = batchesOn(floor, width);
    const least = widthFor(floor, count);
    expect(least).toBeLessThanOrEqual(width);
    expect(batchesOn(floor, least + 1e-5)).toBe(count);
    expect(batchesOn(floor, least - 0.1)).toBe(count + 1);
  });

  it('decides how many batches a meal has, with the widest pan there is', async () => {
    const batches = async (people: number, ...pans: ReturnType<typeof pan>[]) =>
      (await planned(mealOf([steaks], { people, kitchen: kitchenWith(...pans) }))).steps;
    expect(await batches(4, pan('wide', 28))).toHaveLength(1);
    expect(await batches(10, pan('wide', 28))).toHaveLength(3);
    expect(await batches(10, pan('narrow', 20))).toHaveLength(5);
    const both = await batches(10, pan('narrow', 20), pan('wide', 28));
    expect(both).toHaveLength(3);
    expect(new Set(both.map(({ vessel }) => vessel))).toEqual(new Set(['wide']));
  });
});
