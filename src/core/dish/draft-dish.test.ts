import { describe, expect, it } from 'vitest';
import { dishShape } from '@/core/records/dish';
import { check } from '@/core/records/refuse';
import { barleyLeeks } from '@/demo/harvest';
import { checkDish } from './check';
import { beginDraft, dishOf, draftFault, draftOf, withMore, withMoreChanged } from './draft-dish';
import { portionIn, withFilling } from './draft-parts';
import { MAIN } from './made';
import { SHELF } from './shelf';
import { techniqueOf } from './techniques/all';

const draft = beginDraft(techniqueOf('curry'), 'mine', 6);
const item = (slot: string, of = draft) => dishOf(of).ingredients.find(({ id }) => id === slot);

describe('a dish under the hand', () => {
  it('is a sound dish at every moment, and its draft comes back from it', () => {
    const changed = withFilling({ ...draft, ways: { onions: 'dark' } }, MAIN, 'main', { name: 'cauliflower' });
    expect(checkDish(dishOf(changed))).toEqual([]);
    expect(dishOf(draftOf(dishOf(changed))!)).toEqual(dishOf(changed));
    expect(draftOf(barleyLeeks)).toBeNull();
    for (const dish of SHELF) expect(dishOf(draftOf(dish)!)).toEqual(dish);
  });

  it('takes another thing in a slot, another amount, or nothing, and the usual again', () => {
    const named = withFilling(draft, MAIN, 'main', { name: 'cauliflower' });
    const amount = portionIn(draft, MAIN, 'main', { quantity: 1200, unit: 'g' });
    const both = withFilling(named, MAIN, 'main', { amount });
    expect(item('main', both)).toMatchObject({ name: 'cauliflower', amount: { quantity: 1200, unit: 'g' } });
    expect(item('garlic', withFilling(draft, MAIN, 'garlic', null))).toBeUndefined();
    expect(item('main', withFilling(both, MAIN, 'main', undefined))).toEqual(item('main'));
    // What it cannot do without stays.
    expect(item('main', withFilling(draft, MAIN, 'main', null))).toBeDefined();
    // The fat in the pan does not grow: its amount is the amount.
    expect(portionIn(beginDraft(techniqueOf('stir-fry'), 'x', 6), MAIN, 'oil', { quantity: 4, unit: 'tbsp' })).toEqual({
      quantity: 4,
      unit: 'tbsp',
    });
  });

  it('takes more than its technique asks for, into the step that is said, and lets it go again', () => {
    const more = withMore(draft);
    const { id } = more.more![0]!;
    const named = withMoreChanged(more, id, (now) => ({
      ...now,
      name: 'green beans',
      amount: { quantity: 300, unit: 'g' },
    }));
    const made = dishOf(named);
    expect(checkDish(made)).toEqual([]);
    expect(made.ingredients.at(-1)).toMatchObject({ name: 'green beans', amount: { quantity: 300, unit: 'g' } });
    expect(dishOf({ ...named, servings: 12 }).ingredients.at(-1)!.amount.quantity).toBeCloseTo(600, 6);
    // Where no step is said it goes into the first on the heat.
    expect(made.steps.find(({ place }) => place.at === 'burner')!.uses).toContain(id);
    const last = made.steps.at(-1)!.id;
    const later = dishOf(withMoreChanged(named, id, (now) => ({ ...now, step: last })));
    expect(later.steps.at(-1)!.uses).toContain(id);
    expect(dishOf(draftOf(later)!)).toEqual(later);
    expect(check(dishShape, later)).toMatchObject({ ok: true });
    expect(dishOf(withMoreChanged(named, id, null))).toEqual(dishOf({ ...draft, more: [] }));
  });

  it('takes longer where there is more to grow hot', () => {
    const minutes = (technique: string, slot: string, step: string, quantity: number, unit: 'g' | 'ml', ways = {}) => {
      const fresh = { ...beginDraft(techniqueOf(technique), 'x', 4), ways };
      const amount = portionIn(fresh, MAIN, slot, { quantity, unit });
      return dishOf(withFilling(fresh, MAIN, slot, { amount })).steps.find(({ id }) => id === step)!.minutes.likely;
    };
    expect(minutes('own-juices', 'meat', 'start', 840, 'g')).toBe(18);
    expect(minutes('own-juices', 'meat', 'start', 2500, 'g')).toBeGreaterThan(40);
    const coconut = { body: 'coconut' };
    expect(minutes('curry', 'body', 'coconut', 240, 'ml', coconut)).toBe(5);
    expect(minutes('curry', 'body', 'coconut', 800, 'ml', coconut)).toBeGreaterThan(10);
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
