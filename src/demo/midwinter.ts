import type { Dish } from '@/core/dish/dish';
import {
  atOnce,
  bake,
  chill,
  chop,
  dish,
  follow,
  fry,
  item,
  leave,
  overnight,
  pot,
  rest,
  simmer,
  waits,
  work,
} from '@/core/dish/write';

const RAW_MEAT = 'Raw meat: wash board, knife and hands before anything that is eaten raw.';

const porkShoulder: Dish = dish({
  id: 'pork',
  name: 'Slow pork shoulder',
  servings: 14,
  ingredients: [
    item('pork', 4, 'kg', 'boned pork shoulder'),
    item('salt', 2, 'tbsp', 'fine salt'),
    item('fennel', 1, 'tbsp', 'fennel seed, crushed'),
    item('onions', 4, 'piece', 'onions', { cut: 'in thick rings' }),
    item('cider', 750, 'ml', 'dry cider', { allergens: ['sulphites'] }),
  ],
  steps: [
    work('rub', 'score, rub', [8, 10, 14], 'Score the skin, rub salt and fennel into every cut.', {
      uses: ['pork', 'salt', 'fennel'],
      cautions: [RAW_MEAT],
    }),
    work(
      'tray',
      'into the tray',
      [4, 5, 7],
      'Thick onion rings in the tray, the pork on top, cider around it; seal with foil.',
      {
        vessel: 'tray',
        uses: ['onions', 'cider'],
      },
    ),
    bake('roast', 'roast', 155, 1, [240, 270, 310], 'Into the oven, well sealed.', {
      vessel: 'tray',
      attention: 'eyes',
      lookEvery: 90,
      doneWhen: 'a spoon goes in and the meat gives way',
      cautions: [],
    }),
    work(
      'lift',
      'lift, pour off',
      [3, 4, 6],
      'Lift the meat on to a board and wrap it; pour the juices into a jug and skim them.',
      {
        vessel: 'tray',
        cautions: ['A heavy tray full of hot juice: two people, two dry cloths.'],
      },
    ),
    rest('rest', 'rest', [30, 40, 60], 'Wrapped in foil and a cloth.', { doneWhen: 'half an hour is over' }),
    work('pull', 'carve', [5, 6, 8], 'Pull or carve, moisten with a ladle of juices.', {
      doneWhen: 'on its warm dish',
    }),
  ],
  links: [
    follow('rub', 'tray', 0, 60),
    follow('tray', 'roast', 0, 20),
    follow('roast', 'lift', 0, 20, 2),
    ...atOnce('lift', 'rest'),
    follow('rest', 'pull', 0, 30, 15),
  ],
  vessels: [pot('tray', 'deep tray', ['tray'], 6, 'tray', 'lift', { wash: 5, grows: false })],
  gives: [{ product: 'pork-juices', name: 'skimmed pork juices', step: 'lift', amount: { quantity: 700, unit: 'ml' } }],
  lands: { step: 'pull', waits: waits('hot', 10, 20, 'covered, on a warm dish') },
});

const ciderGravy: Dish = dish({
  id: 'gravy',
  name: 'Cider gravy',
  servings: 14,
  ingredients: [
    item('butter', 50, 'g', 'butter', { allergens: ['milk'] }),
    item('flour', 50, 'g', 'plain flour', { allergens: ['gluten'] }),
    item('mustard', 1, 'tbsp', 'grain mustard', { allergens: ['mustard'] }),
  ],
  steps: [
    fry(
      'roux',
      'roux, juices',
      'medium',
      [5, 6, 8],
      'Cook flour in butter to the colour of sand, then whisk in the juices.',
      {
        vessel: 'pot',
        uses: ['butter', 'flour'],
        doneWhen: 'smooth, and it coats a spoon',
        cautions: ['Roux is hotter than it looks: no tasting from the spoon.'],
      },
    ),
    simmer('simmer', 'simmer', 'lowest', [8, 10, 15], 'Simmer thin, whisk in the mustard, taste.', {
      vessel: 'pot',
      uses: ['mustard'],
      doneWhen: 'the taste of flour is gone',
    }),
  ],
  links: atOnce('roux', 'simmer'),
  vessels: [pot('pot', 'small pot', ['pot'], 1.6, 'roux', 'simmer')],
  takes: [
    {
      product: 'pork-juices',
      step: 'roux',
      amount: { quantity: 700, unit: 'ml' },
      withinMinutes: 60,
      otherwise: 'hot stock',
    },
  ],
  lands: { step: 'simmer', waits: waits('hot', 25, 45, 'covered, stirred now and then') },
});

const roastPotatoes: Dish = dish({
  id: 'potatoes',
  name: 'Roast potatoes',
  servings: 14,
  ingredients: [
    item('potatoes', 3.5, 'kg', 'floury potatoes', { cut: 'peeled, in large pieces' }),
    item('dripping', 150, 'g', 'dripping or oil'),
    item('salt', 2, 'tbsp', 'salt'),
  ],
  steps: [
    chop('peel', 'peel', [18, 22, 30], 'Peel and cut the potatoes; keep them in cold water.', {
      uses: ['potatoes'],
      vessel: 'pot',
    }),
    simmer(
      'parboil',
      'parboil',
      'full',
      [20, 25, 30],
      'Bring to the boil in salted water and cook until the edges soften.',
      {
        vessel: 'pot',
        uses: ['salt'],
        doneWhen: 'a knife meets resistance only in the middle',
      },
    ),
    work(
      'shake',
      'drain, shake',
      [4, 5, 7],
      'Drain, let them steam dry, shake until rough; turn in hot dripping on two trays.',
      {
        vessel: 'pot',
        uses: ['dripping'],
        cautions: [
          'A full pot of boiling water: clear the way to the sink.',
          'Hot fat spits on wet food: steam the potatoes dry first.',
        ],
      },
    ),
    bake('roast', 'roast', 205, 2, [45, 50, 60], 'Roast on two shelves, turn once.', {
      vessel: 'tray',
      attention: 'eyes',
      lookEvery: 25,
      doneWhen: 'gold, and they rattle in the tray',
    }),
  ],
  links: [follow('peel', 'parboil', 0, 240), follow('parboil', 'shake', 0, 0), follow('shake', 'roast', 0, 45, 10)],
  vessels: [
    pot('pot', 'big pot', ['pot'], 8, 'peel', 'shake'),
    pot('tray', 'first tray', ['tray'], 5, 'shake', 'roast', { wash: 0, grows: false }),
    pot('tray-2', 'second tray', ['tray'], 5, 'shake', 'roast', { wash: 0, grows: false }),
  ],
  lands: { step: 'roast', waits: waits('hot', 5, 10, 'in the tray, uncovered', 'open') },
});

const redCabbage: Dish = dish({
  id: 'cabbage',
  name: 'Red cabbage with quince',
  servings: 14,
  ingredients: [
    item('cabbage', 2, 'kg', 'red cabbage', { cut: 'shredded' }),
    item('quince', 2, 'piece', 'quinces', { cut: 'grated' }),
    item('onion', 2, 'piece', 'onions', { cut: 'sliced' }),
    item('vinegar', 150, 'ml', 'red wine vinegar', { allergens: ['sulphites'] }),
    item('sugar', 60, 'g', 'brown sugar'),
    item('clove', 4, 'piece', 'cloves in a muslin', { grows: false }),
  ],
  steps: [
    chop('shred', 'shred', [12, 15, 20], 'Shred the cabbage, slice the onions, grate the quince.', {
      uses: ['cabbage', 'onion', 'quince'],
    }),
    fry('sweat', 'sweat', 'medium', [8, 10, 13], 'Sweat onions and cabbage in batches until they sink.', {
      vessel: 'pot',
      doneWhen: 'glossy and sunk by half',
    }),
    leave('braise', 'braise', 'lowest', [75, 90, 120], 'Quince, vinegar, sugar and cloves; lid on, lowest heat.', {
      vessel: 'pot',
      uses: ['vinegar', 'sugar', 'clove'],
      attention: 'eyes',
      lookEvery: 25,
      cautions: ['Lift the lid away from you: steam and hot vinegar rise together.'],
      doneWhen: 'soft and shining; fish out the cloves',
    }),
  ],
  links: [overnight(follow('shred', 'sweat', 0, 300)), follow('sweat', 'braise', 0, 0)],
  vessels: [pot('pot', 'cabbage pot', ['pot', 'casserole'], 5.5, 'sweat', 'braise')],
  lands: { step: 'braise', waits: overnight(waits('hot', 90, 150, 'covered, better for it')) },
});

const wildRicePilaf: Dish = dish({
  id: 'wild-rice',
  name: 'Wild rice and millet pilaf',
  servings: 14,
  ingredients: [
    item('wild', 300, 'g', 'wild rice'),
    item('millet', 450, 'g', 'millet'),
    item('onion', 2, 'piece', 'onions', { cut: 'finely chopped' }),
    item('butter', 60, 'g', 'butter', { allergens: ['milk'] }),
    item('water', 2.1, 'l', 'boiling water'),
    item('salt', 1, 'tbsp', 'fine salt'),
    item('hazelnuts', 120, 'g', 'hazelnuts', { cut: 'roughly chopped', allergens: ['tree nuts'] }),
  ],
  steps: [
    chop('onion', 'chop onion', [5, 6, 8], 'Chop the onions finely; chop the hazelnuts.', {
      uses: ['onion', 'hazelnuts'],
    }),
    fry(
      'toast',
      'toast',
      'medium',
      [8, 10, 12],
      'Soften the onions in butter, add wild rice and stir until it smells toasted.',
      { vessel: 'pot', uses: ['butter', 'wild'], doneWhen: 'it smells of bread' },
    ),
    simmer('first', 'wild rice', 'low', [25, 30, 35], 'Boiling water and salt; simmer covered.', {
      vessel: 'pot',
      uses: ['water', 'salt'],
      doneWhen: 'the first grains split',
      cautions: ['Boiling water on hot fat spits: pour slowly.'],
    }),
    leave('covered', 'millet, covered', 'lowest', [20, 22, 26], 'Stir in the millet, cover, lowest heat.', {
      vessel: 'pot',
      uses: ['millet'],
      doneWhen: 'the water is taken up',
    }),
    rest('rest', 'rest', 10, 'Off the heat, lid on.', { vessel: 'pot' }),
    work('fork', 'fork through', 2, 'Fork through with the hazelnuts.', {
      vessel: 'pot',
      cautions: ['Lift the lid away from you: the steam scalds.', 'Tell the table: nuts.'],
    }),
  ],
  links: [
    follow('onion', 'toast', 0, 240),
    ...atOnce('toast', 'first', 'covered', 'rest'),
    follow('rest', 'fork', 0, 25, 0),
  ],
  vessels: [pot('pot', 'grain pot', ['pot', 'casserole'], 6, 'toast', 'fork')],
  lands: { step: 'fork', waits: waits('hot', 15, 25, 'covered, in its pot') },
});

const winterLentils: Dish = dish({
  id: 'lentils',
  name: 'Lentils in red wine',
  servings: 14,
  ingredients: [
    item('lentils', 700, 'g', 'small green lentils'),
    item('carrot', 3, 'piece', 'carrots', { cut: 'finely diced' }),
    item('celery', 3, 'stick', 'celery', { cut: 'finely diced', allergens: ['celery'] }),
    item('wine', 300, 'ml', 'red wine', { allergens: ['sulphites'] }),
    item('water', 1.6, 'l', 'water'),
    item('vinegar', 1, 'tbsp', 'sherry vinegar', { allergens: ['sulphites'] }),
  ],
  steps: [
    chop('dice', 'dice', [9, 11, 14], 'Dice carrots and celery finely.', { uses: ['carrot', 'celery'] }),
    fry('base', 'base', 'medium', [6, 8, 10], 'Soften the dice in oil, add lentils and wine and boil the wine down.', {
      vessel: 'pot',
      uses: ['lentils', 'wine'],
      cautions: ['Off the flame while the wine goes in: it can spit and catch.'],
      doneWhen: 'the wine is nearly gone',
    }),
    simmer('boil', 'boil', 'full', [8, 10, 13], 'Water on, bring to the boil.', {
      vessel: 'pot',
      uses: ['water'],
      boils: [2.3, 25],
      doneWhen: 'it bubbles all over',
    }),
    simmer('simmer', 'simmer', 'low', [25, 30, 38], 'Simmer, lid ajar.', {
      vessel: 'pot',
      doneWhen: 'tender and whole',
    }),
    work('sharpen', 'sharpen', 2, 'Salt and vinegar; taste.', { vessel: 'pot', uses: ['vinegar'] }),
  ],
  links: [
    follow('dice', 'base', 0, 240),
    ...atOnce('base', 'boil', 'simmer'),
    overnight(follow('simmer', 'sharpen', 0, 45, 15)),
  ],
  vessels: [pot('pot', 'lentil pot', ['pot', 'casserole'], 4.5, 'base', 'sharpen')],
  lands: { step: 'sharpen', waits: waits('hot', 50, 80, 'covered; loosen with hot water') },
});

const parsnipGratin: Dish = dish({
  id: 'gratin',
  name: 'Parsnip gratin',
  servings: 14,
  ingredients: [
    item('parsnips', 2, 'kg', 'parsnips', { cut: 'in thin slices' }),
    item('cream', 900, 'ml', 'cream', { allergens: ['milk'] }),
    item('cheese', 150, 'g', 'hard cheese', { cut: 'grated', allergens: ['milk'] }),
    item('crumbs', 80, 'g', 'breadcrumbs', { allergens: ['gluten'] }),
    item('nutmeg', 1, 'pinch', 'nutmeg', { grows: false }),
  ],
  steps: [
    chop('slice', 'slice', [12, 15, 19], 'Peel and slice the parsnips thinly.', { uses: ['parsnips'] }),
    work(
      'layer',
      'layer',
      [7, 9, 12],
      'Layer in the buttered tray with hot cream, nutmeg, salt; cheese and crumbs on top.',
      { vessel: 'tray', uses: ['cream', 'cheese', 'crumbs', 'nutmeg'] },
    ),
    bake('bake', 'bake', 200, 1, [40, 45, 55], 'Bake until tender.', {
      vessel: 'tray',
      cautions: ['A full gratin dish is heavy and its cream boils: two dry cloths, and a clear place to set it down.'],
      doneWhen: 'brown, and a knife meets nothing',
    }),
  ],
  links: [follow('slice', 'layer', 0, 90), follow('layer', 'bake', 0, 240, 60)],
  vessels: [pot('tray', 'gratin tray', ['tray'], 5, 'layer', 'bake', { wash: 0, grows: false })],
  lands: { step: 'bake', waits: waits('hot', 15, 25, 'loosely covered; it sets as it stands') },
});

const shreddedSprouts: Dish = dish({
  id: 'sprouts',
  name: 'Shredded sprouts',
  servings: 14,
  ingredients: [
    item('sprouts', 1.5, 'kg', 'sprouts', { cut: 'shredded' }),
    item('butter', 60, 'g', 'butter', { allergens: ['milk'] }),
    item('caraway', 2, 'tsp', 'caraway'),
  ],
  steps: [
    chop('shred', 'shred', [14, 17, 22], 'Trim and shred the sprouts.', { uses: ['sprouts'] }),
    fry('fry', 'sprouts', 'full', [6, 7, 9], 'Foaming butter and caraway, then the sprouts, tossing all the time.', {
      vessel: 'pan',
      uses: ['butter', 'caraway'],
      cautions: ['Dry sprouts only: water in hot butter spits.'],
      doneWhen: 'bright green with brown edges',
    }),
  ],
  links: [overnight(follow('shred', 'fry', 0, 240))],
  vessels: [pot('pan', 'skillet', ['pan'], 5, 'fry', 'fry', { widthCm: 30, grows: false })],
  lands: { step: 'fry', waits: waits('hot', 4, 8, 'uncovered', 'open') },
});

const celeriacSoup: Dish = dish({
  id: 'soup',
  name: 'Celeriac and apple soup',
  servings: 14,
  ingredients: [
    item('celeriac', 1.5, 'kg', 'celeriac', { cut: 'diced', allergens: ['celery'] }),
    item('apples', 4, 'piece', 'sharp apples', { cut: 'diced' }),
    item('water', 2.2, 'l', 'water'),
    item('cream', 200, 'ml', 'cream', { allergens: ['milk'] }),
  ],
  steps: [
    chop('dice', 'dice', [12, 15, 19], 'Peel and dice celeriac and apples.', {
      uses: ['celeriac', 'apples'],
      cautions: ['Celeriac is hard and rolls: cut a flat side first.'],
    }),
    simmer('boil', 'boil', 'full', [14, 18, 22], 'Water and salt on the dice, bring to the boil.', {
      vessel: 'pot',
      uses: ['water'],
      boils: [3.8, 15],
      doneWhen: 'it bubbles all over',
    }),
    simmer('simmer', 'simmer', 'low', [18, 20, 26], 'Simmer until soft.', {
      vessel: 'pot',
      doneWhen: 'a piece crushes against the pot',
    }),
    work('blend', 'blend', [5, 6, 8], 'Off the heat, blend smooth with the cream; taste.', {
      vessel: 'pot',
      uses: ['cream'],
    }),
    simmer('warm', 'keep warm', 'lowest', [8, 10, 12], 'Back on the lowest heat, lid on.', {
      vessel: 'pot',
      doneWhen: 'steaming, not boiling',
    }),
  ],
  links: [
    follow('dice', 'boil', 0, 240),
    ...atOnce('boil', 'simmer'),
    follow('simmer', 'blend', 0, 60, 20),
    overnight(follow('blend', 'warm', 0, 120, 60)),
  ],
  vessels: [pot('pot', 'soup pot', ['pot'], 6, 'boil', 'warm')],
  lands: { step: 'warm', waits: waits('hot', 25, 45, 'covered, on the lowest heat') },
});

const oatRolls: Dish = dish({
  id: 'rolls',
  name: 'Warm oat rolls',
  servings: 14,
  ingredients: [
    item('flour', 900, 'g', 'bread flour', { allergens: ['gluten'] }),
    item('oats', 150, 'g', 'rolled oats', { allergens: ['gluten'] }),
    item('yeast', 14, 'g', 'dried yeast'),
    item('milk', 650, 'ml', 'warm milk', { allergens: ['milk'] }),
    item('salt', 1, 'tbsp', 'fine salt'),
  ],
  steps: [
    work('knead', 'mix, knead', [13, 15, 18], 'Mix everything and knead smooth.', {
      vessel: 'bowl',
      uses: ['flour', 'oats', 'yeast', 'milk', 'salt'],
      by: 'anyone',
      doneWhen: 'it springs back',
    }),
    rest('rise', 'rise', [60, 75, 100], 'Covered, in a warm corner.', { vessel: 'bowl', doneWhen: 'twice the size' }),
    work('shape', 'shape', [10, 12, 15], 'Shape into rolls on the tray.', { vessel: 'tray', by: 'anyone' }),
    rest('prove', 'prove', [25, 30, 40], 'Covered, until puffy.', {
      vessel: 'tray',
      doneWhen: 'a fingerprint fills slowly',
    }),
    bake('bake', 'bake', 200, 1, [18, 20, 24], 'Bake until they sound hollow.', {
      vessel: 'tray',
      cautions: ['The tray is as hot as the oven: two dry cloths.'],
      doneWhen: 'hollow when tapped underneath',
    }),
  ],
  links: [
    ...atOnce('knead', 'rise'),
    follow('rise', 'shape', 0, 45, 10),
    ...atOnce('shape', 'prove'),
    follow('prove', 'bake', 0, 20, 5),
  ],
  vessels: [
    pot('bowl', 'bowl', ['bowl'], 4, 'knead', 'shape'),
    pot('tray', 'tray', ['tray'], 5, 'shape', 'bake', { wash: 0, grows: false }),
  ],
  lands: { step: 'bake', waits: waits('warm', 50, 90, 'wrapped in a cloth', 'wrapped') },
});

const walnutRelish: Dish = dish({
  id: 'relish',
  name: 'Walnut and parsley relish',
  servings: 14,
  ingredients: [
    item('walnuts', 200, 'g', 'walnuts', { allergens: ['tree nuts'] }),
    item('parsley', 2, 'bunch', 'parsley'),
    item('garlic', 2, 'clove', 'garlic'),
    item('oil', 200, 'ml', 'olive oil'),
    item('lemon', 1, 'piece', 'lemon', { cut: 'juice' }),
  ],
  steps: [
    chop('chop', 'chop', [9, 11, 14], 'Chop walnuts, parsley and garlic and loosen with oil and lemon.', {
      uses: ['walnuts', 'parsley', 'garlic', 'oil', 'lemon'],
      cautions: ['Tell the table: nuts.'],
    }),
    chill('cold', 'in the cold', 20, 'Covered, in the cold.'),
  ],
  links: atOnce('chop', 'cold'),
  lands: { step: 'cold', waits: overnight(waits('cold', 180, 300, 'covered, in the cold')) },
});

const beetSalad: Dish = dish({
  id: 'beet-salad',
  name: 'Beetroot and orange salad',
  servings: 14,
  ingredients: [
    item('beetroot', 1.5, 'kg', 'beetroot'),
    item('orange', 4, 'piece', 'oranges', { cut: 'in slices' }),
    item('oil', 4, 'tbsp', 'olive oil'),
    item('vinegar', 2, 'tbsp', 'vinegar'),
  ],
  steps: [
    simmer(
      'boil',
      'boil beetroot',
      'low',
      [45, 55, 75],
      'Cover the whole beetroot with boiling water from the kettle and simmer.',
      {
        vessel: 'pot',
        uses: ['beetroot'],
        lookEvery: 25,
        cautions: ['Boiling water from the kettle: fill the pot where it will cook, and carry nothing.'],
        doneWhen: 'a knife slides in',
      },
    ),
    rest('cool', 'cool', [30, 45, 60], 'Drain and leave to cool.', { vessel: 'pot', doneWhen: 'cool enough to hold' }),
    chop('slice', 'peel, slice', [14, 17, 21], 'Rub off the skins, slice beetroot and oranges.', {
      vessel: 'pot',
      uses: ['orange'],
    }),
    work('dress', 'dress', 4, 'Oil, vinegar, salt; lay out on the dish.', { uses: ['oil', 'vinegar'] }),
  ],
  links: [...atOnce('boil', 'cool'), follow('cool', 'slice', 0, 180), follow('slice', 'dress', 0, 240)],
  vessels: [pot('pot', 'beetroot pot', ['pot'], 4, 'boil', 'slice')],
  lands: { step: 'dress', waits: waits('cold', 60, 120, 'on its dish, in the cool') },
});

export const midwinterDishes: readonly Dish[] = [
  porkShoulder,
  ciderGravy,
  roastPotatoes,
  redCabbage,
  wildRicePilaf,
  winterLentils,
  parsnipGratin,
  shreddedSprouts,
  celeriacSoup,
  oatRolls,
  walnutRelish,
  beetSalad,
];
