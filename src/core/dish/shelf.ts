import type { Amount, Unit } from '@/core/units/amount';
import type { Dish } from './dish';
import type { Filling, From, Product, SameVessel } from './made';
import { makeDish } from './parts';
import { techniqueOf } from './techniques/all';

const SERVINGS = 4;

/** `[name]`, or with an amount for one portion, a cut, or nothing at all; or it is made by a part. */
type Named = string | null | readonly [name: string, quantity: number, unit: Unit, cut?: string] | From;
type Ways = Readonly<Record<string, string>>;
type Fillings = Readonly<Record<string, Named>>;

/** What a part of the dish hands over. */
const from = (part: string, product: Product): From => ({ part, product });

/** A part: its technique, the ways, and what goes in. */
type PartOf = readonly [technique: string, ways?: Ways, fillings?: Fillings];

/** A dish of the shelf: its name, a technique, the ways, what goes in, and the parts that are made for it. */
function of(
  name: string,
  technique: string,
  ways: Ways = {},
  fillings: Fillings = {},
  parts: Readonly<Record<string, PartOf>> = {},
  same: readonly SameVessel[] = [],
): Dish {
  const id = `shelf-${name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]+/g, '-')}`;
  const made = Object.entries(parts).map(([part, [by, itsWays = {}, itsFillings = {}]]) => ({
    id: part,
    technique: by,
    ways: itsWays,
    fillings: fillingsOf(itsFillings),
  }));
  return makeDish(
    techniqueOf(technique),
    { id, name, servings: SERVINGS },
    { ways, fillings: fillingsOf(fillings), parts: made, same },
  );
}

function fillingsOf(said: Fillings): Readonly<Record<string, Filling | null>> {
  return Object.fromEntries(Object.entries(said).map(([slot, filling]) => [slot, fillingOf(filling)] as const));
}

function fillingOf(said: Named): Filling | null {
  if (said === null) return null;
  if (typeof said === 'string') return { name: said };
  if ('part' in said) return { from: said };
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
  of(
    'Barley in broth',
    'broth-grain',
    { kind: 'barley', soak: 'no', liquid: 'water' },
    { water: from('broth', 'broth'), finish: ['chopped sage', 1, 'g'] },
    { broth: ['stock', { from: 'poultry' }, { base: ['chicken wings', 180, 'g'] }] },
  ),
  of('Rice with a cloth under the lid', 'hard-boil', {}, { finish: null }),
  of('Drained rice with a golden crust', 'drain', { crust: 'thick' }, { fat: ['butter', 1, 'tbsp'], finish: null }),
  of('Pepper rice', 'sauce-grain', {}, { sauce: ['red peppers and tomatoes', 90, 'g'], spice: ['thyme', 3, 'sprig'] }),
  of('Rice and peas in coconut', 'coconut-pulses', {}, { spice: ['allspice berries', 5, 'piece'] }),
  of(
    'Coconut rice with yesterday’s beans',
    'coconut-pulses',
    { kind: 'parboiled' },
    { pulses: from('beans', 'cooked pulses'), spice: ['thyme', 3, 'sprig'] },
    { beans: ['pulses-soaked', { which: 'kidney' }, { pulses: ['dried red kidney beans', 25, 'g'], finish: null }] },
  ),
  of(
    'Rice with crisp onions',
    'pilaf',
    { soak: 'yes' },
    { onion: null, fat: from('onions', 'kept oil'), finish: from('onions', 'crisp onions') },
    { onions: ['crisp-onions', {}, { onions: ['onions', 0.75, 'piece', 'in thin even rings'] }] },
  ),
  of(
    'Rice in spiced water with golden nuts',
    'absorption',
    { kind: 'aged-long', soak: 'yes' },
    { spice: null, water: from('water', 'spiced water'), finish: from('nuts', 'golden nuts') },
    { water: ['spiced-water'], nuts: ['nuts'] },
  ),
  of(
    'Lemon rice, stirred once',
    'stirred-grain',
    { how: 'once' },
    { finish: ['hard cheese, grated, and lemon zest', 12, 'g'] },
  ),
  of(
    'Mushroom rice by the ladle',
    'stirred-grain',
    {},
    { water: from('stock', 'broth') },
    { stock: ['stock', {}, { base: ['mushrooms, onions and carrots', 150, 'g'], water: ['cold water', 400, 'ml'] }] },
  ),
  of('Soft polenta', 'stirred-grain', { how: 'meal' }, { onion: null, water: ['water', 300, 'ml'] }),
  of(
    'Rice gruel with ginger',
    'stirred-grain',
    { how: 'soft' },
    {
      grain: ['short grain rice', 45, 'g'],
      water: ['chicken stock', 450, 'ml'],
      fat: ['sesame oil', 3, 'g'],
      onion: null,
      finish: ['ginger and spring onions', 8, 'g', 'in fine strips'],
    },
  ),
  of('Fried rice with egg and peas', 'fried-grain', {}, { meat: null }),
  of(
    'Fried barley with greens',
    'fried-grain',
    { egg: 'no' },
    {
      grain: ['cold cooked barley', 180, 'g'],
      vegetables: ['kale and leeks', 70, 'g', 'shredded'],
      meat: null,
      sauce: ['lemon juice and mustard', 0.4, 'tbsp'],
    },
  ),
  // Parts that meet
  of(
    'Lamb under rice, sealed',
    'layered',
    { seal: 'cloth', heat: 'medium' },
    {
      meat: from('lamb', 'meat in gravy'),
      crisp: from('onions', 'crisp onions'),
      fat: from('onions', 'kept oil'),
      nuts: null,
    },
    {
      lamb: [
        'braise',
        {},
        {
          meat: ['lamb shoulder, in pieces', 220, 'g'],
          liquid: ['water', 90, 'ml'],
          paste: null,
          spice: ['cinnamon', 1, 'stick'],
        },
      ],
      onions: ['crisp-onions', {}, { onions: ['onions', 0.6, 'piece', 'in thin even rings'] }],
    },
  ),
  of(
    'Chicken under rice, sealed with dough',
    'layered',
    { below: 'raw', share: '55', seal: 'dough', heat: 'medium' },
    {
      meat: from('chicken', 'marinated meat'),
      crisp: from('onions', 'crisp onions'),
      fat: from('onions', 'kept oil'),
      nuts: null,
    },
    {
      chicken: ['marinated-meat', { lies: 'night' }, { meat: ['chicken thighs, in pieces', 240, 'g'] }],
      onions: ['crisp-onions'],
    },
  ),
  of(
    'Chickpeas and rice in layers',
    'layered',
    { layers: 'two', heat: 'oven', seal: 'foil' },
    {
      meat: from('chickpeas', 'cooked pulses'),
      crisp: from('onions', 'crisp onions'),
      fat: from('onions', 'kept oil'),
      herbs: ['chopped dill', 8, 'g'],
      milk: null,
      nuts: from('nuts', 'golden nuts'),
    },
    {
      chickpeas: ['pulses-soaked', {}, { herbs: ['cumin seed', 0.3, 'tsp'] }],
      onions: ['crisp-onions'],
      nuts: ['nuts'],
    },
    [{ from: 'onions_pan', to: 'nuts_pan', between: 'wiped' }],
  ),
  of(
    'Beef and rice with dark onions',
    'meat-pilaf',
    { end: 'cloth' },
    { meat: from('beef', 'boiled meat'), water: from('beef', 'broth'), nuts: null },
    { beef: ['boiled-meat', { cut: 'shanks' }, { meat: ['beef shin, in pieces', 230, 'g'] }] },
  ),
  of(
    'Red chicken rice',
    'meat-pilaf',
    { onions: 'golden', tomato: 'yes', spices: 'ground', back: 'top', end: 'oven' },
    {
      spice: ['ground paprika and cumin', 0.4, 'tsp'],
      meat: from('chicken', 'boiled meat'),
      water: from('chicken', 'broth'),
      nuts: null,
    },
    {
      chicken: ['boiled-meat', { cut: 'poultry', after: 'fried' }, { spice: ['thyme', 3, 'sprig'] }],
    },
  ),
  of(
    'Goat and freekeh',
    'meat-pilaf',
    { kind: 'freekeh' },
    { meat: from('goat', 'boiled meat'), water: from('goat', 'broth') },
    { goat: ['boiled-meat', {}, { meat: ['goat, in pieces on the bone', 250, 'g'] }] },
  ),
  of(
    'Barley with lamb shanks',
    'meat-pilaf',
    { kind: 'barley', onions: 'golden', end: 'foil', back: 'top' },
    {
      spice: ['thyme', 4, 'sprig'],
      meat: from('lamb', 'boiled meat'),
      water: from('lamb', 'broth'),
      garlic: ['garlic', 0.6, 'clove', 'crushed'],
      nuts: null,
    },
    { lamb: ['boiled-meat', { cut: 'shanks', after: 'baked' }, { meat: ['lamb shanks', 330, 'g'] }] },
  ),
  of(
    'Lamb and aubergine, turned out',
    'turned-out',
    { meat: 'with', lined: 'round' },
    {
      layers: from('aubergine', 'fried slices'),
      meat: from('lamb', 'boiled meat'),
      water: from('lamb', 'broth'),
      nuts: from('nuts', 'golden nuts'),
    },
    {
      aubergine: ['fried-layers', {}, { slices: ['aubergines', 170, 'g', 'in 1 cm slices'] }],
      lamb: ['boiled-meat', {}, { meat: ['lamb shoulder, in pieces', 200, 'g'] }],
      nuts: ['nuts'],
    },
    [{ from: 'aubergine_pan', to: 'nuts_pan', between: 'wiped' }],
  ),
  of(
    'Cauliflower and bulgur, turned out',
    'turned-out',
    { kind: 'bulgur-coarse' },
    { layers: from('cauliflower', 'fried slices') },
    {
      cauliflower: [
        'roast-vegetables',
        {},
        { vegetables: ['cauliflower', 170, 'g', 'in florets'], herbs: ['cumin seed', 0.5, 'tsp'] },
      ],
    },
  ),
  of('Rice from the cooker', 'rice-cooker', {}, { finish: null }),
  of(
    'Aubergine pot, turned out',
    'turned-out',
    {},
    { layers: from('aubergine', 'fried slices') },
    { aubergine: ['fried-layers'] },
  ),
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
      spice: ['thyme', 4, 'sprig'],
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
  of('Boiled beef and its broth', 'boiled-meat', { cut: 'joint' }, { meat: ['beef brisket', 260, 'g'] }),
  of('Chicken in broth', 'boiled-meat', { cut: 'poultry' }, { spice: ['thyme', 4, 'sprig'] }),
  of('Lamb boiled, then fried', 'boiled-meat', { after: 'fried' }, {}),
  of('Chicken in yogurt', 'yogurt-curry', {}, {}),
  of(
    'Lamb in yogurt and dark onions',
    'yogurt-curry',
    { lies: 'night', onions: 'dark' },
    { meat: ['lamb shoulder, in pieces', 220, 'g'], spice: ['cinnamon', 1, 'stick'] },
  ),
  of('Chicken legs in yogurt, baked', 'baked-pieces', { lies: 'night' }, {}),
  of(
    'Lemon chicken wings, grilled',
    'baked-pieces',
    { heat: 'grill' },
    { meat: ['chicken wings', 280, 'g'], yogurt: null, rub: ['thyme and black pepper', 0.6, 'tsp'] },
  ),
  of(
    'Pork ribs, boiled and baked',
    'baked-pieces',
    { first: 'parboiled' },
    {
      meat: ['pork ribs', 350, 'g'],
      yogurt: null,
      sour: ['cider vinegar', 0.5, 'tbsp'],
      rub: ['smoked paprika and mustard powder', 0.8, 'tsp'],
    },
  ),
  of(
    'Meatballs in pepper sauce',
    'meatballs',
    {},
    { meat: ['minced lamb', 130, 'g'], sauce: from('sauce', 'sauce') },
    { sauce: ['pepper-sauce', {}, { vegetables: ['tomatoes and red peppers', 210, 'g'] }] },
  ),
  // Pots
  of('Squash curry', 'curry', { body: 'coconut' }, { body: ['coconut milk', 60, 'ml'] }),
  of('Cauliflower in dark onion gravy', 'curry', { onions: 'dark' }, { main: ['cauliflower', 180, 'g', 'in florets'] }),
  of(
    'Eggs in dark onion gravy',
    'curry',
    { onions: 'dark' },
    { main: from('eggs', 'boiled eggs') },
    { eggs: ['eggs', {}, { eggs: ['eggs', 2, 'piece'] }] },
  ),
  of('White fish in coconut', 'coconut-curry', {}, {}),
  of(
    'Prawns in coconut',
    'coconut-curry',
    {},
    { main: ['raw prawns, peeled', 130, 'g'], firm: ['green beans', 50, 'g', 'halved'] },
  ),
  of(
    'Beef in coconut',
    'coconut-curry',
    { of: 'meat' },
    { firm: ['small potatoes', 90, 'g', 'halved'], soft: null, leaves: null },
  ),
  of('Squash and greens in coconut', 'coconut-curry', { of: 'vegetables' }, { firm: null }),
  of(
    'Chickpeas in coconut',
    'coconut-curry',
    { of: 'pulses' },
    { main: from('chickpeas', 'cooked pulses') },
    { chickpeas: ['pulses-soaked', {}, { finish: null }] },
  ),
  of('Peppers filled with rice', 'stuffed', {}, {}),
  of(
    'Courgettes filled with lamb, baked',
    'stuffed',
    { with: 'meat', where: 'oven' },
    { vegetables: ['round courgettes', 2, 'piece'] },
  ),
  of('Tomato and pepper sauce', 'pepper-sauce', {}, {}),
  of('Carrot soup', 'soup', {}, {}),
  of(
    'Cabbage soup in pieces',
    'soup',
    { blend: 'no' },
    { vegetables: ['white cabbage and potatoes', 200, 'g', 'in strips and dice'], cream: null },
  ),
  of(
    'Spiced chickpeas',
    'pulses-soaked',
    {},
    { herbs: ['cumin seed and dried chilli', 1, 'tsp'], finish: ['olive oil, lemon and ground cumin', 0.6, 'tbsp'] },
  ),
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
  of('Cauliflower in batter', 'deep-fried', { coat: 'batter' }, {}),
  of(
    'Fish in spiced flour',
    'deep-fried',
    { what: 'fish' },
    { main: ['white fish fillets, in strips', 150, 'g'], spice: ['ground chilli and turmeric', 0.3, 'tsp'] },
  ),
  of(
    'Fried chicken thighs',
    'deep-fried',
    { what: 'meat' },
    { main: ['chicken thighs, boned, in pieces', 180, 'g'], spice: ['ground paprika and pepper', 0.4, 'tsp'] },
  ),
  of('Potato omelette', 'omelette', {}, {}),
  of('Garlic greens', 'greens', {}, {}),
  of('White fish in paper', 'fish-parcel', {}, {}),
  of('Seared mackerel', 'fish-seared', {}, {}),
  of('Firm eggs', 'eggs', {}, {}),
  of('Roast roots', 'roast-vegetables', {}, {}),
  of('Flatbread', 'flatbread', {}, {}),
  of('Flat loaves with seeds', 'oven-bread', {}, {}),
  of('Night loaf', 'oven-bread', { rise: 'night', shape: 'loaf' }, { top: null }),
  of('Cabbage dumplings', 'steamed-filled', {}, {}),
  of('Pork buns', 'steamed-filled', { dough: 'yeast', inside: 'meat' }, { filling: ['minced pork', 70, 'g'] }),
  // Beside
  of('Green relish', 'relish', {}, {}),
  of('Cucumber yogurt', 'yogurt-side', {}, {}),
  of('Pickled red onions', 'pickle', {}, {}),
  of('Salted cucumbers', 'salt-drained', {}, {}),
  of(
    'Radishes with sesame',
    'salt-drained',
    { dressing: 'oil' },
    { main: ['radishes', 100, 'g', 'thinly sliced'], sour: ['sesame oil and lemon', 0.4, 'tbsp'], sweet: null },
  ),
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
