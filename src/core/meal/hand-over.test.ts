import { describe, expect, it } from 'vitest';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';
import { mealOf, planned } from '@/core/testing/meals';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { hallKitchen } from '@/demo/kitchens';
import { giverOf } from './hand-over';

const pilaf = makeDish(
  techniqueOf('pilaf'),
  { id: 'pilaf', name: 'Barley', servings: 4 },
  { ways: { kind: 'barley', liquid: 'stock' } },
);
const stock = makeDish(techniqueOf('stock'), { id: 'stock', name: 'Stock', servings: 4 });

describe('what one dish takes from another', () => {
  it('is the very thing it names, else, for just any stock, the first there is', () => {
    const [take] = pilaf.takes;
    expect(giverOf([pilaf, mushroomStock], pilaf, take!)?.dish.id).toBe('mushroom-stock');
    expect(giverOf([mushroomStock, stock], pilaf, take!)?.dish.id).toBe('stock');
    expect(giverOf([stock], barleyLeeks, barleyLeeks.takes[0]!)).toBeNull();
    expect(giverOf([pilaf], pilaf, take!)).toBeNull();
    expect(giverOf([stock], stock, { product: 'stock' })).toBeNull();
  });

  it('barley, pilaf way, in the mushroom stock: it cannot start before the stock is strained', async () => {
    const plan = await planned(mealOf([mushroomStock, pilaf], { kitchen: hallKitchen, hour: '20:00' }));
    const at = (key: string) => plan.steps.find((step) => step.key === key)!;
    expect(at('pilaf/boil').start).toBeGreaterThanOrEqual(at('mushroom-stock/strain').end);
    expect(at('pilaf/boil').amounts.join(' ')).toContain('mushroom stock, hot');
    expect(pilaf.ingredients.some(({ id }) => id === 'water')).toBe(false);
  });
});
