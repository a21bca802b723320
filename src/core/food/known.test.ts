import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DIETS, isFlesh, KINDS, type SaidFood } from './food';
import * as animals from './foods-of-animals';
import * as plants from './foods-of-plants';
import * as made from './foods-that-are-made';
import { foodsOf, KNOWN_FOODS, readFood, rememberedAs, unknownIn } from './known';
import { wordsOf } from './names';

const kindsOf = (name: string) => readFood(name).foods.map(({ kind }) => kind);

describe('the table', () => {
  it('gives no name two meanings', () => {
    const seen = new Map<string, string>();
    const groups = Object.entries({ ...animals, ...plants, ...made });
    for (const [group, lines] of groups) {
      for (const line of lines.trim().split('\n')) {
        const [names = '', marks = ''] = line.split('|');
        for (const name of names.split(',')) {
          const key = wordsOf(name).join(' ');
          const meaning = `${group} ${marks.trim()}`;
          expect(seen.get(key) ?? meaning, key).toBe(meaning);
          expect(key, line.slice(0, 40)).not.toBe('');
          seen.set(key, meaning);
        }
      }
    }
  });

  it('reads each of its own names as itself, in the plural too', () => {
    for (const [name, food] of KNOWN_FOODS) {
      for (const said of /[sui]$|\b..$/.test(name) ? [name] : [name, `${name}s`]) {
        const { foods, unknown } = readFood(said);
        expect(unknown, said).toEqual([]);
        expect(
          foods.map(({ kind }) => kind),
          said,
        ).toContain(food.kind);
      }
    }
  });

  it('never calls flesh, milk or egg vegan', () => {
    for (const [name, food] of KNOWN_FOODS) {
      expect(DIETS.indexOf(food.diet), name).toBeGreaterThanOrEqual(
        DIETS.indexOf(KINDS[food.kind] === 'with meat' && food.kind === 'stock' ? 'vegan' : KINDS[food.kind]),
      );
      if (food.allergens.includes('milk') || food.allergens.includes('eggs')) expect(food.diet, name).not.toBe('vegan');
      if (isFlesh(food)) expect(['with fish', 'with meat'], name).toContain(food.diet);
    }
  });
});

describe('a name', () => {
  it.each([
    ['1.2 kg chicken thighs, skin on, bone in', ['poultry']],
    ['thin slices of pork', ['red meat']],
    ['cod steaks', ['fish']],
    ['steaks', ['red meat']],
    ['cauliflower steaks', ['vegetable']],
    ['minced beef', ['minced meat']],
    ['ground cumin', ['spice']],
    ['tuna in sunflower oil', ['fish', 'fat']],
    ['carrots, leeks and chicken', ['vegetable', 'vegetable', 'poultry']],
    ['butter or oil', ['dairy', 'fat']],
    ['lemon juice and garlic', ['fruit', 'vegetable']],
    ['fish stock', ['stock']],
    ['hot chicken broth', ['stock']],
    ['baking paper', []],
    ['half-fat crème fraîche', ['dairy']],
    ['fat-free yogurt', ['dairy']],
    ['full-fat coconut milk', ['fruit']],
    ['2 fat garlic cloves', ['vegetable']],
    ['0% fat yogurt', ['dairy']],
    ['pork, fat removed', ['red meat']],
    ['chicken thighs trimmed of fat', ['poultry']],
    ['no-salt-added black beans', ['pulse']],
    ['2 fat leeks', ['vegetable']],
    ['2 tbsp fat', ['fat']],
    ['fat for frying', ['fat']],
    ['free-range eggs', ['egg']],
    ['corn-fed chicken', ['poultry']],
    ['a knob of butter', ['dairy']],
  ])('%s: %j', (name, kinds) => {
    expect(kindsOf(name)).toEqual(kinds);
    expect(readFood(name).unknown).toEqual([]);
  });

  it.each([
    'blorp',
    'vegan mince',
    'egg-free mayonnaise',
    'stock',
    'hot stock',
    'legs',
    'fillets',
    'lentil burger',
    'something more',
    'Hähnchenschenkel',
    'dairy-free cream',
    'stuffed aubergines with blorp',
    'marinated chicken',
    '',
    '400',
  ])('“%s” is asked about, not guessed', (name) => {
    expect(unknownIn({ name })).not.toEqual([]);
  });

  it('of what was cooked, cured or tinned says so', () => {
    const state = (name: string) => readFood(name).foods[0]?.state;
    const cooked = ['cooked chicken', 'roast beef', 'tinned chickpeas', 'leftover rice', 'tuna in olive oil'];
    expect(cooked.map(state)).toEqual(Array(5).fill('cooked'));
    expect(['prosciutto', 'smoked salmon', 'olives'].map(state)).toEqual(Array(3).fill('ready'));
    expect(['chicken', 'roasting chicken', 'beef roast', 'smoked haddock', 'streaky bacon'].map(state)).toEqual(
      Array(5).fill('raw'),
    );
  });

  it('without gluten has none, and keeps the rest', () => {
    expect(readFood('gluten-free flour').foods[0]?.allergens).toEqual([]);
    expect(readFood('gluten-free soy sauce').foods[0]?.allergens).toEqual(['soy']);
  });

  it('with a word that nobody knows is never known, whatever stands beside it', () => {
    const odd = KNOWN_FOODS.filter(([name]) => unknownIn({ name: `${name} zzyzx` }).join() !== 'zzyzx');
    expect(odd.map(([name]) => name)).toEqual([]);
  });

  it('of whatever text is read without a fault', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (name) => {
        const { foods, unknown } = readFood(name);
        expect(foods.length + unknown.length).toBeGreaterThanOrEqual(0);
        expect(typeof rememberedAs(name)).toBe('string');
      }),
    );
  });
});

describe('what the cook has said', () => {
  const said: SaidFood = { kind: 'poultry', state: 'raw', diet: 'with meat', allergens: ['soy'] };

  it('goes before the name', () => {
    expect(foodsOf({ name: 'blorp', food: said })).toEqual([{ name: 'blorp', ...said }]);
    expect(unknownIn({ name: 'blorp', food: said })).toEqual([]);
    expect(foodsOf({ name: 'carrots', food: said })[0]?.kind).toBe('poultry');
  });

  it('is remembered under the name however it is written', () => {
    expect(rememberedAs('Blörps')).toBe(rememberedAs('blorp'));
  });
});
