import type { Amount, Unit } from '@/core/units/amount';
import type { Dish } from './dish';
import type { Filling } from './made';
import { makeDish } from './parts';
import { techniqueOf } from './techniques/all';

const SERVINGS = 4;

/** `[name]`, or with an amount for one portion, a cut, or nothing at all. */
type Named = string | null | readonly [name: string, quantity: number, unit: Unit, cut?: string];

/** A dish of the shelf: its name, a technique, the ways, and what goes in. */
function of(
  name: string,
  technique: string,
  ways: Readonly<Record<string, string>> = {},
  fillings: Readonly<Record<string, Named>> = {},
): Dish {
  const id = `shelf-${name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]+/g, '-')}`;
  const said = Object.entries(fillings).map(([slot, filling]) => [slot, fillingOf(filling)] as const);
  return makeDish(
    techniqueOf(technique),
    { id, name, servings: SERVINGS },
    { ways, fillings: Object.fromEntries(said) },
  );
}

function fillingOf(said: Named): Filling | null {
  if (said === null) return null;
  if (typeof said === 'string') return { name: said };
  const [name, quantity, unit, cut] = said;
  const amount: Amount = { quantity, unit };
  return { name, amount, ...(cut ? { cut } : {}) };
}

/** Dishes of our own to begin with, each made by a technique and to be changed as one likes. */
export const SHELF: readonly Dish[] = [
  // Grain
  of('Plain long grain rice', 'absorption', {}, { spice: null, finish: null }),
  of('Scented rice with lime leaf', 'absorption', { kind: 'soft-long' }, { spice: 'lime leaves', finish: null }),
  of(
    'Brown rice with chestnuts',
    'absorption',
    { kind: 'brown', soak: 'yes' },
    { spice: null, finish: ['cooked chestnuts', 25, 'g', 'crumbled'] },
  ),
  of('Red rice', 'absorption', { kind: 'red', soak: 'yes' }, { spice: null, finish: null }),
  of('Millet with herbs', 'absorption', { kind: 'millet', seal: 'cloth' }, { finish: ['chopped dill', 4, 'g'] }),
  of(
    'Quinoa with lemon',
    'absorption',
    { kind: 'quinoa' },
    { spice: null, finish: ['lemon zest and juice', 0.25, 'tbsp'] },
  ),
  of(
    'Barley with leeks',
    'pilaf',
    { kind: 'barley' },
    {
      grain: 'pearl barley',
      fat: 'butter',
      onion: ['leeks', 75, 'g', 'in fine rings, washed'],
      finish: ['lemon zest', 0.3, 'tsp'],
    },
  ),
  of(
    'Freekeh pilaf with greens',
    'pilaf',
    { kind: 'freekeh' },
    { fat: 'olive oil', finish: ['spinach', 40, 'g', 'shredded'] },
  ),
  of('Bulgur pilaf with tomato', 'sauce-grain', { kind: 'bulgur-coarse', wash: 'no' }, { fat: 'olive oil' }),
  of(
    'Oven pilaf with almonds',
    'pilaf-oven',
    { kind: 'aged-long', soak: 'yes' },
    { fat: 'butter', finish: ['toasted almonds', 8, 'g'] },
  ),
  of('Barley in broth', 'broth-grain', { kind: 'barley', soak: 'no' }, { finish: ['chopped sage', 1, 'g'] }),
  of('Rice with a cloth under the lid', 'hard-boil', {}, { finish: null }),
  of('Drained rice with a golden crust', 'drain', { crust: 'thick' }, { fat: 'butter', finish: null }),
  of('Pepper rice', 'sauce-grain', {}, { sauce: ['red peppers and tomatoes', 90, 'g'], spice: 'thyme' }),
  of('Rice and peas in coconut', 'coconut-pulses', {}, { spice: 'allspice berries' }),
  of('Rice from the cooker', 'rice-cooker', {}, { finish: null }),
  of('Aubergine pot, turned out', 'turned-out', {}, {}),
  of('Couscous with raisins', 'steeped', {}, { fat: 'butter', finish: ['raisins', 10, 'g'] }),
  of('Fine bulgur with parsley', 'steeped', { kind: 'bulgur-fine' }, { fat: 'olive oil' }),
  // Stock
  of('Mushroom and bay stock', 'stock', {}, { base: ['mushrooms, onions and carrots', 150, 'g'] }),
  of('Chicken stock', 'stock-pressure', { from: 'poultry' }, { base: ['chicken wings', 140, 'g'] }),
  // Meat
  of('Beef braised in wine', 'braise-oven', {}, { liquid: ['red wine', 120, 'ml'] }),
  of(
    'Chicken with mustard',
    'braise',
    { animal: 'poultry' },
    {
      meat: ['chicken thighs', 230, 'g'],
      liquid: ['cider', 110, 'ml'],
      paste: ['mustard', 0.3, 'tbsp'],
      spice: 'thyme',
    },
  ),
  of('Pork loin with fennel', 'roast', {}, {}),
  of(
    'Roast chicken',
    'roast',
    { animal: 'poultry', rub: 'rub' },
    { meat: ['chicken', 330, 'g'], spice: ['thyme and pepper', 0.3, 'tsp'] },
  ),
  of('Lemon pork slices', 'pan-meat', { rub: 'night' }, {}),
  of('Meatballs in tomato', 'meatballs', {}, { meat: ['minced beef', 130, 'g'] }),
  of('Lamb in its own juices', 'own-juices', {}, {}),
  // Pots
  of('Squash curry', 'curry', { body: 'coconut' }, { body: ['coconut milk', 60, 'ml'] }),
  of('Cauliflower in dark onion gravy', 'curry', { onions: 'dark' }, { main: ['cauliflower', 180, 'g', 'in florets'] }),
  of('Carrot soup', 'soup', {}, {}),
  of(
    'Cabbage soup in pieces',
    'soup',
    { blend: 'no' },
    { vegetables: ['white cabbage and potatoes', 200, 'g', 'in strips and dice'], cream: null },
  ),
  of('Spiced chickpeas', 'pulses-soaked', {}, {}),
  of('White beans with sage', 'pulses-soaked', { which: 'soft' }, { pulses: 'dried white beans', herbs: 'sage' }),
  of(
    'Kidney beans from the pressure cooker',
    'pulses-pressure',
    { which: 'kidney' },
    { pulses: 'dried red kidney beans' },
  ),
  of('Green lentils with vinegar', 'pulses-quick', {}, { finish: ['sherry vinegar', 0.3, 'tbsp'] }),
  of(
    'Yellow split peas',
    'pulses-quick',
    { which: 'split' },
    { pulses: 'yellow split peas', finish: ['butter', 0.4, 'tbsp'] },
  ),
  // Pan, fish, oven
  of('Stir-fried vegetables', 'stir-fry', {}, {}),
  of('Fried aubergine slices', 'fried-layers', {}, {}),
  of('Crisp onions', 'crisp-onions', {}, {}),
  of('Golden almonds and raisins', 'nuts', {}, {}),
  of('Garlic greens', 'greens', {}, {}),
  of('White fish in paper', 'fish-parcel', {}, {}),
  of('Seared mackerel', 'fish-seared', {}, {}),
  of('Firm eggs', 'eggs', {}, {}),
  of('Roast roots', 'roast-vegetables', {}, {}),
  of('Flatbread', 'flatbread', {}, {}),
  // Beside
  of('Green relish', 'relish', {}, {}),
  of('Cucumber yogurt', 'yogurt-side', {}, {}),
  of('Pickled red onions', 'pickle', {}, {}),
  of('Fennel and orange salad', 'salad', {}, {}),
  of('Leaf salad', 'salad', { kind: 'leaves' }, { main: ['mixed leaves', 40, 'g', 'washed and dried'], more: null }),
  of('Cumin butter', 'spiced-butter', {}, {}),
];

/** Dishes of one's own, and of the shelf those that are not among them: a dish of one's own goes before one of the same name. */
export function withShelf(own: readonly Dish[]): readonly Dish[] {
  const ids = new Set(own.map(({ id }) => id));
  const names = new Set(own.map(({ name }) => name.toLowerCase()));
  return [...own, ...SHELF.filter(({ id, name }) => !ids.has(id) && !names.has(name.toLowerCase()))];
}
