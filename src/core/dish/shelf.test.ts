import { describe, expect, it } from 'vitest';
import { beefCheeks, harvestDishes } from '@/demo/harvest';
import { checkDish } from './check';
import { allergensIn, allergensOf, dietOf } from './diet';
import { makeDish } from './parts';
import { cardOf, search } from './search';
import { SHELF, withShelf } from './shelf';
import { minutesOf, stripOf } from './strip';
import { differences } from './technique';
import { techniqueOf } from './techniques/all';

const cards = SHELF.map(cardOf);
const names = (found: readonly { dish: { name: string } }[]) => found.map(({ dish }) => dish.name);

describe('the shelf', () => {
  it('holds forty sound dishes at least, each by a name of its own', () => {
    expect(SHELF.length).toBeGreaterThanOrEqual(40);
    expect(new Set(SHELF.map(({ id }) => id)).size).toBe(SHELF.length);
    expect(new Set(SHELF.map(({ name }) => name)).size).toBe(SHELF.length);
    for (const dish of SHELF) expect(checkDish(dish)).toEqual([]);
  });

  it('marks what the names give away', () => {
    const allergens = (name: string) => allergensOf(SHELF.find((dish) => dish.name === name)!);
    expect(allergens('Couscous with raisins')).toEqual(['gluten', 'milk', 'sulphites']);
    expect(allergens('White fish in paper')).toContain('fish');
    expect(allergens('Rice and peas in coconut')).toEqual([]);
  });
});

describe('the search', () => {
  it('finds by a word of the name or of what goes in, without accents, the name first', () => {
    expect(names(search(cards, { words: 'lentil' }))).toEqual(['Green lentils with vinegar']);
    const barley = names(search(cards, { words: 'BÁRLEY' }));
    expect(barley).toEqual([
      'Barley in broth',
      'Barley with lamb shanks',
      'Barley with leeks',
      'Fried barley with greens',
    ]);
    expect(search(cards, { words: 'unheard-of' })).toEqual([]);
  });

  it('finds by time, hands, what it needs, diet and allergen, all at once', () => {
    for (const card of search(cards, { mostMinutes: 30, mostHands: 15 })) {
      expect(card.minutes).toBeLessThanOrEqual(30);
      expect(card.hands).toBeLessThanOrEqual(15);
    }
    expect(names(search(cards, { without: ['burner'] }))).toContain('Roast roots');
    expect(names(search(cards, { without: ['burner', 'oven'] }))).toContain('Couscous with raisins');
    expect(names(search(cards, { diet: 'vegan' }))).not.toContain('Cucumber yogurt');
    expect(names(search(cards, { diet: 'vegetarian' }))).toContain('Cucumber yogurt');
    expect(names(search(cards, { diet: 'vegetarian' }))).not.toContain('Seared mackerel');
    expect(names(search(cards, { free: ['milk', 'gluten'] }))).not.toContain('Couscous with raisins');
    expect(search(cards, {}).length).toBe(SHELF.length);
  });
});

describe('diets and allergens by name', () => {
  it.each([
    ['wheat flour', ['gluten']],
    ['coconut milk', []],
    ['almond milk', ['tree nuts']],
    ['peanut butter', ['peanuts']],
    ['butter', ['milk']],
    ['soy sauce', ['gluten', 'soy']],
    ['celeriac', ['celery']],
    ['red wine', ['sulphites']],
    ['nutmeg', []],
    ['buckwheat', []],
  ])('%s: %j', (name, allergens) => {
    expect(allergensIn(name)).toEqual(allergens);
  });

  it('tells what one may eat who eats no meat, no fish, nothing of animals', () => {
    const diet = (...of: string[]) =>
      dietOf({
        ingredients: of.map((name) => ({
          id: name,
          name,
          amount: { quantity: 1, unit: 'g' },
          grows: true,
          allergens: [],
        })),
      });
    expect(diet('rice', 'coconut milk')).toBe('vegan');
    expect(diet('rice', 'honey')).toBe('vegetarian');
    expect(diet('rice', 'mackerel fillets')).toBe('with fish');
    expect(diet('beef bones', 'butter')).toBe('with meat');
    expect(dietOf(beefCheeks)).toBe('with meat');
  });
});

describe('a dish by itself', () => {
  it.each([...SHELF, ...harvestDishes].map((dish) => [dish.name, dish] as const))(
    '%s: its strip keeps every link',
    (_, dish) => {
      const at = new Map(stripOf(dish).map((each) => [each.step.id, each]));
      for (const link of dish.links) {
        const lag = at.get(link.to)![link.of] - at.get(link.from)![link.at];
        expect(lag, `${link.from} to ${link.to}`).toBeGreaterThanOrEqual(link.min);
        if (link.max !== null) expect(lag, `${link.from} to ${link.to}`).toBeLessThanOrEqual(link.max);
      }
      expect(Math.max(...stripOf(dish).map(({ end }) => end))).toBe(0);
      expect(minutesOf(dish).hands).toBeGreaterThan(0);
    },
  );
});

describe('what another way changes', () => {
  const of = (ways: Record<string, string>) =>
    makeDish(techniqueOf('absorption'), { id: 'rice', name: 'Rice', servings: 4 }, { ways });

  it('is told in minutes, steps and liquid', () => {
    const told = differences(of({}), of({ soak: 'yes' })).join('; ');
    expect(told).toContain('min more in all');
    expect(told).toContain('also “soak”');
    expect(told).toMatch(/\d+ % less water/);
    expect(differences(of({}), of({ wash: 'no' })).join('; ')).toMatch(/min less of hands.*no “wash”, “drain”/);
    expect(differences(of({}), of({}))).toEqual([]);
  });
});

describe('the shelf beside one’s own dishes', () => {
  it('shows each dish once: one’s own before one of the shelf with its id or its name', () => {
    const [first, second] = SHELF;
    const changedFirst = { ...first!, servings: 9 };
    const own = { ...second!, id: 'mine', name: second!.name.toUpperCase() };
    const all = withShelf([changedFirst, own]);
    expect(all).toHaveLength(SHELF.length);
    expect(all.slice(0, 2)).toEqual([changedFirst, own]);
    expect(new Set(all.map(({ name }) => name.toLowerCase())).size).toBe(all.length);
    expect(withShelf([])).toEqual(SHELF);
  });
});
