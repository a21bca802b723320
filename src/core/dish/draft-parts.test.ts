import { describe, expect, it } from 'vitest';
import { checkDish } from './check';
import { beginDraft, type DishDraft, dishOf, draftFault } from './draft-dish';
import {
  BOUGHT,
  handOversOf,
  ingredientOf,
  nameOfPart,
  portionIn,
  saidOf,
  sharedVessels,
  sourceOf,
  sourcesOf,
  withNewPart,
  withoutPart,
  withSaid,
  withSameVessel,
  withSource,
  withWay,
} from './draft-parts';
import { MAIN } from './made';
import { TECHNIQUES, techniqueOf } from './techniques/all';

const turned = beginDraft(techniqueOf('turned-out'), 'it', 4);
const slot = (technique: string, id: string) => techniqueOf(technique).slots.find((each) => each.id === id)!;
const choice = (technique: string, id: string) => techniqueOf(technique).choices.find((each) => each.id === id)!;
const withMeat = withWay(turned, MAIN, choice('turned-out', 'meat'), 'with');

describe('a dish of parts under the hand', () => {
  it('begins with what is usually made for it, and each beginning is sound', () => {
    for (const technique of TECHNIQUES) expect(checkDish(dishOf(beginDraft(technique, 'it', 4)))).toEqual([]);
    expect(turned.parts?.map(({ technique }) => technique)).toEqual(['fried-layers']);
  });

  it('is given meat and its broth by one press, and loses both by another', () => {
    expect(withMeat.parts?.map(({ technique }) => technique)).toEqual(['fried-layers', 'boiled-meat']);
    expect(handOversOf(dishOf(withMeat)).map(({ name }) => name)).toEqual([
      'lamb broth, hot',
      'fried aubergines',
      'boiled lamb',
    ]);
    const without = withWay(withMeat, MAIN, choice('turned-out', 'meat'), 'none');
    expect(without.parts).toEqual(turned.parts);
    expect(dishOf(without).ingredients.map(({ id }) => id)).toContain('water');
  });

  it('has cooked meat below, or raw: the part changes with the choice', () => {
    const layered = beginDraft(techniqueOf('layered'), 'it', 4);
    const raw = withWay(layered, MAIN, choice('layered', 'below'), 'raw');
    expect(raw.parts?.map(({ technique }) => technique)).toEqual(['crisp-onions', 'marinated-meat']);
    expect(checkDish(dishOf(raw))).toEqual([]);
    expect(withWay(raw, MAIN, choice('layered', 'below'), 'raw')).toEqual(raw);
  });

  it('has a slot filled from what is bought, what is there, or what is made for it', () => {
    const nuts = slot('turned-out', 'nuts');
    expect(sourceOf(turned, MAIN, nuts)).toBe(BOUGHT);
    const sources = sourcesOf(turned, MAIN, nuts);
    expect(sources.map(({ says }) => says)).toEqual([
      'as it is bought',
      'made for it: Fried nuts and dried fruit',
      'made for it: Crisp onions',
    ]);
    const made = withSource(turned, MAIN, nuts, sources[1]!);
    expect(sourceOf(made, MAIN, nuts)).toBe('nuts golden nuts');
    expect(sourcesOf(made, MAIN, nuts)[1]).toMatchObject({ from: { part: 'nuts', product: 'golden nuts' } });
    // Bought again, the part that was made for it goes.
    expect(withSource(made, MAIN, nuts, sources[0]!).parts).toEqual(turned.parts);
    // A broth may come from another dish of the meal.
    const water = slot('turned-out', 'water');
    const elsewhere = sourcesOf(turned, MAIN, water).find(({ id }) => id === 'meal')!;
    const dish = dishOf(withSource(turned, MAIN, water, elsewhere));
    expect(dish.takes).toContainEqual(expect.objectContaining({ product: 'broth' }));
    expect(sourceOf(withSource(turned, MAIN, water, elsewhere), MAIN, water)).toBe('meal');
  });

  it('never offers a part to itself, nor in a circle', () => {
    const made = withSource(withMeat, 'fried-layers', slot('fried-layers', 'oil'), {
      id: '',
      says: '',
      make: { technique: 'crisp-onions', product: 'kept oil' },
    });
    for (const part of ['slices', ...(made.parts ?? []).map(({ id }) => id)]) {
      for (const each of techniqueOf(saidOf(made, part)?.technique ?? 'nuts').slots) {
        for (const source of sourcesOf(made, part, each)) expect(source.from?.part).not.toBe(part);
      }
    }
  });

  it('lets a part go with all that was made for it alone', () => {
    const soup = withSource(withMeat, MAIN, slot('turned-out', 'nuts'), {
      id: '',
      says: '',
      make: { technique: 'nuts', product: 'golden nuts' },
    });
    const gone = withoutPart(soup, 'boiled-meat');
    expect(gone.parts?.map(({ technique }) => technique)).toEqual(['fried-layers', 'nuts']);
    expect(checkDish(dishOf(gone))).toEqual([]);
    expect(dishOf(gone).ingredients.map(({ id }) => id)).toEqual(expect.arrayContaining(['meat', 'water']));
  });

  it('gives a vessel to the next part, and takes it back; what would wait for itself is not offered', () => {
    const five = ['a', 'b'].reduce<DishDraft>((now) => withNewPart(now, techniqueOf('fried-layers')).draft, turned);
    const pans = sharedVessels(five).find(({ id }) => id === 'fried-layers-2_pan')!;
    expect(pans.others.map(({ id }) => id)).toContain('slices_pan');
    const same = withSameVessel(five, 'fried-layers-2_pan', { from: 'slices_pan', between: 'wiped' });
    expect(dishOf(same).vessels.length).toBe(dishOf(five).vessels.length - 1);
    expect(draftFault(same)).toBeNull();
    expect(withSameVessel(same, 'fried-layers-2_pan', null).same).toEqual([]);
    // The pot that it ends in cannot be used again before.
    for (const { others } of sharedVessels(withMeat)) expect(others.map(({ id }) => id)).not.toContain('pot');
  });

  it('knows whose an ingredient is, what a part is called, and what one portion of a slot is', () => {
    expect(ingredientOf(withMeat, 'boiled-meat_water')).toEqual({ part: 'boiled-meat', slot: 'water' });
    expect(ingredientOf(withMeat, 'grain')).toEqual({ part: MAIN, slot: 'grain' });
    expect(nameOfPart(withMeat, 'boiled-meat')).toBe('Meat boiled for its broth');
    const named = withSaid(withMeat, 'boiled-meat', () => ({ fillings: { meat: { name: 'goat' } } }));
    expect(nameOfPart(named, 'boiled-meat')).toBe('Meat boiled for its broth: goat');
    expect(portionIn(withMeat, 'boiled-meat', 'meat', { quantity: 1200, unit: 'g' })).toEqual({
      quantity: 300,
      unit: 'g',
    });
    expect(portionIn(withMeat, 'boiled-meat', 'spice', { quantity: 4, unit: 'leaf' })).toEqual({
      quantity: 4,
      unit: 'leaf',
    });
    // Whatever amount is set is the amount that stands there.
    for (const technique of TECHNIQUES) {
      const own = beginDraft(technique, 'it', 6);
      for (const item of dishOf({ ...own, parts: [], fillings: {} }).ingredients) {
        if (dishOf({ ...own, parts: [], fillings: {} }).grain?.liquid.includes(item.id)) continue;
        const amount = { quantity: 3, unit: 'tsp' } as const;
        const set = withSaid({ ...own, parts: [], fillings: {} }, MAIN, () => ({
          fillings: { [item.id]: { amount: portionIn(own, MAIN, item.id, amount) } },
        }));
        const now = dishOf(set).ingredients.find(({ id }) => id === item.id)!.amount;
        expect(now.unit, `${technique.id}, ${item.id}`).toBe('tsp');
        expect(now.quantity, `${technique.id}, ${item.id}`).toBeCloseTo(3, 6);
      }
    }
  });

  it('is refused where two parts wait for one another', () => {
    const knot: DishDraft = { ...withMeat, same: [{ from: 'pot', to: 'boiled-meat_meat', between: 'as it is' }] };
    expect(draftFault(knot)).toMatch(/circle/);
  });
});
