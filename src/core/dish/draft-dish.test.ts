import { describe, expect, it } from 'vitest';
import { barleyLeeks } from '@/demo/harvest';
import { checkDish } from './check';
import { beginDraft, dishOf, draftFault, draftOf, portionOf, withFilling } from './draft-dish';
import { SHELF } from './shelf';
import { techniqueOf } from './techniques/all';

const draft = beginDraft(techniqueOf('curry'), 'mine', 6);
const item = (slot: string, of = draft) => dishOf(of).ingredients.find(({ id }) => id === slot);

describe('a dish under the hand', () => {
  it('is a sound dish at every moment, and its draft comes back from it', () => {
    const changed = withFilling({ ...draft, ways: { onions: 'dark' } }, 'main', { name: 'cauliflower' });
    expect(checkDish(dishOf(changed))).toEqual([]);
    expect(dishOf(draftOf(dishOf(changed))!)).toEqual(dishOf(changed));
    expect(draftOf(barleyLeeks)).toBeNull();
    for (const dish of SHELF) expect(dishOf(draftOf(dish)!)).toEqual(dish);
  });

  it('takes another thing in a slot, another amount, or nothing, and the usual again', () => {
    const named = withFilling(draft, 'main', { name: 'cauliflower' });
    const amount = portionOf(draft, 'main', { quantity: 1200, unit: 'g' });
    const both = withFilling(named, 'main', { amount });
    expect(item('main', both)).toMatchObject({ name: 'cauliflower', amount: { quantity: 1200, unit: 'g' } });
    expect(item('garlic', withFilling(draft, 'garlic', null))).toBeUndefined();
    expect(item('main', withFilling(both, 'main', undefined))).toEqual(item('main'));
    // What it cannot do without stays.
    expect(item('main', withFilling(draft, 'main', null))).toBeDefined();
    // The fat in the pan does not grow: its amount is the amount.
    expect(portionOf(beginDraft(techniqueOf('stir-fry'), 'x', 6), 'oil', { quantity: 4, unit: 'tbsp' })).toEqual({
      quantity: 4,
      unit: 'tbsp',
    });
  });

  it.each([
    [{ name: ' ' }, /Name/],
    [{ name: 'x'.repeat(121) }, /120 letters/],
    [{ servings: 0 }, /1 to 40/],
    [{ servings: 2.5 }, /whole number/],
    [{ servings: 41 }, /1 to 40/],
  ])('is refused in words: %j', (change, words) => {
    expect(draftFault({ ...draft, ...change })).toMatch(words);
    expect(draftFault(draft)).toBeNull();
  });
});
