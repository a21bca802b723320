import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Amount } from '@/core/units/amount';
import { packsFor } from './packs';

const grams = (quantity: number): Amount => ({ quantity, unit: 'g' });
const item = (quantity: number, unit: Amount['unit']) => ({
  key: 'k',
  name: 'k',
  have: null,
  price: { money: 2, per: { quantity, unit } },
});

describe('packs', () => {
  // Common practice, no source.
  it.each([
    ['pearl barley', grams(450), '1 of 500 g, 50 left'],
    ['pearl barley', grams(900), '1 of 1000 g, 100 left'],
    ['pearl barley', grams(1300), '3 of 500 g, 200 left'],
    ['eggs', { quantity: 7, unit: 'piece' }, '1 of 10 piece, 3 left'],
    ['coconut milk', { quantity: 800, unit: 'ml' }, '2 of 400 ml, 0 left'],
    ['buttermilk', { quantity: 300, unit: 'ml' }, '1 of 500 ml, 200 left'],
    ['carrots', grams(900), 'loose'],
    ['olive oil', { quantity: 15, unit: 'ml' }, 'loose'],
  ] as const)('%s, %o: %s', (name, amount, words) => {
    const packs = packsFor({ name }, [amount]);
    const said = packs
      ? `${packs.count} of ${packs.size.quantity} ${packs.size.unit}, ${Math.round(packs.left.quantity)} left`
      : 'loose';
    expect(said).toBe(words);
  });

  it('are of the size whose price was told, also across weight and volume, and never of two kinds at once', () => {
    expect(packsFor({ name: 'pearl barley' }, [grams(450)], item(250, 'g'))).toMatchObject({ count: 2, told: true });
    expect(packsFor({ name: 'carrots' }, [grams(900)], item(1, 'kg'))).toMatchObject({ count: 1, told: true });
    expect(packsFor({ name: 'honey' }, [grams(280)], item(200, 'ml'))).toMatchObject({ count: 1, told: true });
    expect(packsFor({ name: 'rice' }, [grams(100), { quantity: 2, unit: 'piece' }])).toBeNull();
    expect(packsFor({ name: 'rice' }, [])).toBeNull();
  });

  it('hold what is wanted, and not a pack more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 9000 }),
        fc.constantFrom('brown rice', 'walnuts', 'flour'),
        (wanted, name) => {
          const packs = packsFor({ name }, [grams(wanted)]);
          if (!packs) return wanted < 60;
          const { count, size, left } = packs;
          return (
            count * size.quantity >= wanted &&
            (count - 1) * size.quantity < wanted &&
            Math.abs(left.quantity - (count * size.quantity - wanted)) < 1e-6
          );
        },
      ),
    );
  });
});
