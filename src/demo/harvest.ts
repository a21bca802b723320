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

const STEAM = 'Lift the lid away from you: the steam scalds.';
const RICE_KEEPS = 'Leftover grain: cool it within the hour and eat it within a day, or as your local rules say.';

export const mushroomStock: Dish = dish({
  id: 'mushroom-stock',
  name: 'Mushroom and bay stock',
  servings: 8,
  ingredients: [
    item('mushrooms', 500, 'g', 'flat mushrooms', { cut: 'in thick slices' }),
    item('dried', 20, 'g', 'dried mushrooms'),
    item('onion', 2, 'piece', 'onions', { cut: 'halved, skins on' }),
    item('celery', 2, 'stick', 'celery', { cut: 'in chunks', allergens: ['celery'] }),
    item('bay', 4, 'leaf', 'bay', { grows: false }),
    item('peppercorns', 1, 'tsp', 'peppercorns'),
    item('water', 2.2, 'l', 'cold water'),
    item('salt', 2, 'tsp', 'fine salt'),
  ],
  steps: [
    chop(
      'chop',
      'chop',
      [6, 8, 12],
      'Slice the mushrooms thickly; halve the onions, skins on; cut the celery in chunks.',
      {
        uses: ['mushrooms', 'onion', 'celery'],
        doneWhen: 'all in one bowl',
      },
    ),
    simmer(
      'boil',
      'boil',
      'full',
      [12, 15, 20],
      'Cover with the cold water, add dried mushrooms, bay and peppercorns, and bring to the boil.',
      {
        vessel: 'pot',
        uses: ['dried', 'bay', 'peppercorns', 'water'],
        doneWhen: 'it rolls; skim what rises',
        cautions: ['A full pot is heavy and hot: fill it on the burner, not at the sink.'],
        boils: [2.7, 12],
      },
    ),
    leave('simmer', 'barely moving', 'lowest', [40, 50, 75], 'Turn down until it barely moves, lid ajar.', {
      vessel: 'pot',
      doneWhen: 'dark as tea, and it smells of the wood',
    }),
    work(
      'strain',
      'strain',
      [4, 5, 8],
      'Strain through a sieve, press lightly, measure, and salt it a little more than tastes right: grain dulls salt. Top up from the kettle or keep the surplus.',
      {
        vessel: 'pot',
        uses: ['salt'],
        doneWhen: 'measured and tasted',
        cautions: ['Tip the hot pot away from you, with the sieve set firmly in the sink.'],
      },
    ),
  ],
  links: [follow('chop', 'boil', 0, 180), ...atOnce('boil', 'simmer'), follow('simmer', 'strain', 0, 40)],
  vessels: [pot('pot', 'stock pot', ['pot'], 4.5, 'boil', 'strain')],
  gives: [
    { product: 'mushroom-stock', name: 'mushroom stock, hot', step: 'strain', amount: { quantity: 1.8, unit: 'l' } },
  ],
  lands: null,
});

export const barleyLeeks: Dish = dish({
  id: 'barley',
  name: 'Pearl barley with leeks',
  servings: 8,
  ingredients: [
    item('leeks', 600, 'g', 'leeks', { cut: 'in fine rings, washed' }),
    item('butter', 60, 'g', 'butter', { allergens: ['milk'] }),
    item('barley', 480, 'g', 'pearl barley', { allergens: ['gluten'] }),
    item('thyme', 4, 'sprig', 'thyme', { grows: false }),
    item('lemon', 1, 'piece', 'lemon', { cut: 'zest and juice' }),
  ],
  steps: [
    chop('leeks', 'leeks', [8, 10, 14], 'Slice the leeks in fine rings and wash them in two waters.', {
      uses: ['leeks'],
      doneWhen: 'no grit left in the water',
    }),
    work('rinse', 'rinse', 3, 'Rinse the barley until the water runs nearly clear, and drain it well.', {
      uses: ['barley'],
    }),
    fry('sweat', 'sweat leeks', 'medium', [6, 8, 10], 'Melt the butter and soften the leeks without colour.', {
      vessel: 'pot',
      uses: ['butter', 'thyme'],
      doneWhen: 'soft and still green',
    }),
    fry(
      'toast',
      'toast',
      'medium',
      [3, 4, 6],
      'Add the barley and stir until it smells of nuts and clicks against the pan.',
      {
        vessel: 'pot',
        doneWhen: 'it smells of nuts',
      },
    ),
    simmer('boil', 'boil', 'medium', [3, 4, 6], 'Pour in the hot strained stock and bring to the boil.', {
      vessel: 'pot',
      boils: [1.6, 85],
      doneWhen: 'it bubbles all over',
      cautions: ['Hot stock on hot butter spits: pour slowly, sleeve down.'],
    }),
    leave('simmer', 'covered', 'low', [26, 30, 36], 'Cover and turn low. Leave the lid alone.', {
      vessel: 'pot',
      doneWhen: 'the stock is taken up and small craters show',
    }),
    rest('rest', 'rest', 10, 'Off the heat, lid on.', { vessel: 'pot', doneWhen: 'ten minutes are over' }),
    work('finish', 'finish', 2, 'Fork through with the lemon, take out the thyme, taste for salt.', {
      vessel: 'pot',
      uses: ['lemon'],
      cautions: [STEAM, RICE_KEEPS],
      doneWhen: 'loose and bright',
    }),
  ],
  links: [
    follow('leeks', 'sweat', 0, 240),
    follow('rinse', 'toast', 0, 40),
    ...atOnce('sweat', 'toast', 'boil', 'simmer', 'rest'),
    follow('rest', 'finish', 0, 25, 0),
  ],
  vessels: [pot('pot', 'barley pot', ['pot', 'casserole'], 4, 'sweat', 'finish')],
  takes: [
    {
      product: 'mushroom-stock',
      step: 'boil',
      amount: { quantity: 1.25, unit: 'l' },
      withinMinutes: 120,
      otherwise: 'hot stock',
    },
  ],
  lands: { step: 'finish', waits: waits('hot', 10, 20, 'covered, in its pot') },
  grain: { kind: 'barley', method: 'pilaf', soaked: false, dry: 'barley', liquid: ['mushroom-stock'] },
});

export const brownRice: Dish = dish({
  id: 'brown-rice',
  name: 'Chestnut brown rice',
  servings: 8,
  ingredients: [
    item('rice', 500, 'g', 'brown rice'),
    item('water', 1, 'l', 'water'),
    item('salt', 2, 'tsp', 'fine salt'),
    item('chestnuts', 200, 'g', 'cooked chestnuts', { cut: 'crumbled' }),
    item('oil', 1, 'tbsp', 'walnut oil', { allergens: ['tree nuts'] }),
  ],
  steps: [
    work('wash', 'wash', 4, 'Wash the rice in three waters and cover it with cold water.', {
      uses: ['rice'],
      vessel: 'bowl',
    }),
    rest('soak', 'soak', [30, 40, 60], 'Let it soak.', {
      vessel: 'bowl',
      doneWhen: 'a grain breaks between the nails',
    }),
    work('drain', 'drain', 2, 'Drain the rice well.', { vessel: 'bowl' }),
    simmer(
      'boil',
      'boil',
      'full',
      [5, 6, 8],
      'Rice, measured water and salt in the pot; bring to the boil uncovered.',
      {
        vessel: 'pot',
        uses: ['water', 'salt'],
        boils: [1.3, 15],
        doneWhen: 'it bubbles all over',
      },
    ),
    leave('covered', 'covered', 'lowest', [34, 38, 45], 'Cover tightly, lowest heat. The lid stays on.', {
      vessel: 'pot',
      doneWhen: 'no more bubbling to be heard',
    }),
    rest('rest', 'rest', 10, 'Off the heat, lid on.', { vessel: 'pot', doneWhen: 'ten minutes are over' }),
    work('fluff', 'fluff', 2, 'Fluff with a fork and fold in chestnuts and walnut oil.', {
      vessel: 'pot',
      uses: ['chestnuts', 'oil'],
      cautions: [STEAM, RICE_KEEPS],
    }),
  ],
  links: [
    ...atOnce('wash', 'soak'),
    follow('soak', 'drain', 0, 30, 5),
    follow('drain', 'boil', 0, 30, 5),
    ...atOnce('boil', 'covered', 'rest'),
    follow('rest', 'fluff', 0, 25, 0),
  ],
  vessels: [
    pot('bowl', 'soaking bowl', ['bowl'], 2, 'wash', 'drain', { wash: 1 }),
    pot('pot', 'rice pot', ['pot'], 3, 'boil', 'fluff'),
  ],
  lands: { step: 'fluff', waits: waits('hot', 12, 20, 'covered, in its pot') },
  grain: { kind: 'brown', method: 'covered', soaked: true, dry: 'rice', liquid: ['water'] },
});

export const beefCheeks: Dish = dish({
  id: 'cheeks',
  name: 'Beef cheeks with damsons',
  servings: 8,
  ingredients: [
    item('cheeks', 2, 'kg', 'beef cheeks', { cut: 'trimmed, halved' }),
    item('salt', 1, 'tbsp', 'fine salt'),
    item('oil', 3, 'tbsp', 'oil', { grows: false }),
    item('onions', 3, 'piece', 'onions', { cut: 'sliced' }),
    item('paste', 2, 'tbsp', 'tomato paste'),
    item('wine', 500, 'ml', 'red wine', { allergens: ['sulphites'] }),
    item('stock', 500, 'ml', 'water'),
    item('damsons', 500, 'g', 'damsons'),
    item('bay', 3, 'leaf', 'bay', { grows: false }),
    item('sugar', 1, 'tbsp', 'brown sugar'),
  ],
  steps: [
    work('trim', 'trim', [7, 9, 12], 'Trim the cheeks, halve them and salt them well.', {
      uses: ['cheeks', 'salt'],
      steady: false,
      cautions: ['Raw meat: wash board, knife and hands before anything that is eaten raw.'],
    }),
    chop('onions', 'slice onions', [5, 6, 8], 'Slice the onions.', { uses: ['onions'] }),
    fry('brown', 'brown', 'full', [8, 10, 13], 'Brown the meat on all sides, one layer at a time, and lift it out.', {
      vessel: 'pot',
      uses: ['oil'],
      perBatch: 4,
      floorCm2: 150,
      doneWhen: 'dark crust all round',
      cautions: ['Hot oil: dry the meat first, lay it in away from you.'],
    }),
    fry(
      'soften',
      'onions',
      'medium',
      [9, 12, 15],
      'Soften and colour the onions in the same fat; stir in the paste until the tang goes.',
      {
        vessel: 'pot',
        uses: ['paste'],
        doneWhen: 'golden, and the fat parts from the paste',
      },
    ),
    simmer(
      'wine',
      'wine, boil',
      'full',
      [6, 8, 10],
      'Pour in wine and water, return the meat with damsons, bay and sugar, and bring to the boil.',
      {
        vessel: 'pot',
        uses: ['wine', 'stock', 'damsons', 'bay', 'sugar'],
        boils: [2, 30],
        doneWhen: 'it bubbles and the wine no longer stings the nose',
      },
    ),
    bake('braise', 'braise', 150, 1, [150, 180, 210], 'Lid on, into the oven.', {
      vessel: 'pot',
      attention: 'eyes',
      lookEvery: 45,
      doneWhen: 'a fork turns without lifting the meat',
      cautions: ['The lid and handles come out at 150 °C: two dry cloths, and a clear place to set it down.'],
    }),
    work(
      'finish',
      'finish',
      [3, 4, 6],
      'Skim the fat, fish out the bay, taste for salt, sweet and sour in small steps.',
      {
        vessel: 'pot',
        doneWhen: 'it tastes whole',
        cautions: ['Tell the table: the damsons have stones.'],
      },
    ),
  ],
  links: [
    follow('trim', 'brown', 0, 240),
    follow('onions', 'soften', 0, 240),
    follow('brown', 'soften', 0, 5, 1),
    ...atOnce('soften', 'wine', 'braise'),
    overnight(follow('braise', 'finish', 0, 60, 30)),
  ],
  vessels: [pot('pot', 'braising pot', ['casserole'], 6, 'brown', 'finish', { widthCm: 26, wash: 10 })],
  lands: { step: 'finish', waits: waits('hot', 45, 75, 'covered on the shelf, better for it; keep it steaming hot') },
});

export const splitPeaCurry: Dish = dish({
  id: 'curry',
  name: 'Split pea and squash curry',
  servings: 8,
  ingredients: [
    item('peas', 400, 'g', 'yellow split peas'),
    item('water', 1.2, 'l', 'water'),
    item('squash', 800, 'g', 'squash', { cut: 'in 2 cm dice' }),
    item('onions', 3, 'piece', 'onions', { cut: 'thinly sliced' }),
    item('oil', 3, 'tbsp', 'oil', { grows: false }),
    item('garlic', 4, 'clove', 'garlic', { cut: 'crushed' }),
    item('ginger', 30, 'g', 'ginger', { cut: 'grated' }),
    item('spice', 2, 'tbsp', 'coriander and cumin, ground', { allergens: [] }),
    item('turmeric', 1, 'tsp', 'turmeric'),
    item('coconut', 1, 'tin', 'coconut milk (400 ml)'),
    item('salt', 2, 'tsp', 'fine salt'),
  ],
  steps: [
    chop('squash', 'squash', [10, 12, 16], 'Peel, seed and dice the squash.', {
      uses: ['squash'],
      cautions: ['A hard squash rolls: cut a flat side first, fingers curled.'],
    }),
    chop('onions', 'slice onions', [5, 7, 9], 'Slice the onions thin and even; crush the garlic, grate the ginger.', {
      uses: ['onions', 'garlic', 'ginger'],
    }),
    fry(
      'brown',
      'onions, dark',
      'medium',
      [13, 16, 20],
      'Fry the onions dark gold, stirring; a splash of water stops them.',
      {
        vessel: 'pot',
        uses: ['oil'],
        doneWhen: 'the colour of chestnuts',
      },
    ),
    fry('spice', 'spice', 'medium', [2, 2, 3], 'Garlic and ginger, one minute; then the spices, one more.', {
      vessel: 'pot',
      uses: ['spice', 'turmeric'],
      doneWhen: 'the raw smell has gone',
      cautions: ['Spice catches in a moment: have the water beside you.'],
    }),
    simmer('boil', 'boil', 'full', [5, 6, 9], 'Add peas and water and bring to the boil; skim.', {
      vessel: 'pot',
      uses: ['peas', 'water'],
      boils: [1.5, 30],
      doneWhen: 'it bubbles all over',
    }),
    simmer(
      'soften',
      'peas soften',
      'low',
      [30, 38, 50],
      'Simmer with the lid ajar, stirring from the bottom now and then.',
      {
        vessel: 'pot',
        doneWhen: 'the peas crush against the pot',
      },
    ),
    simmer('squash-in', 'squash', 'low', [12, 15, 20], 'Add squash and salt and simmer.', {
      vessel: 'pot',
      uses: ['salt'],
      doneWhen: 'a knife goes through',
    }),
    simmer(
      'coconut',
      'coconut',
      'lowest',
      [4, 5, 6],
      'Stir in the coconut milk; do not let it boil hard, or its fat parts.',
      {
        vessel: 'pot',
        uses: ['coconut'],
        lookEvery: 3,
        doneWhen: 'hot through; taste for salt',
      },
    ),
  ],
  links: [
    follow('squash', 'squash-in', 0, 300),
    follow('onions', 'brown', 0, 180),
    ...atOnce('brown', 'spice', 'boil', 'soften'),
    follow('soften', 'squash-in', 0, 60, 10),
    follow('squash-in', 'coconut', 0, 60, 20),
  ],
  vessels: [pot('pot', 'curry pot', ['pot'], 4.6, 'brown', 'coconut', { wash: 8 })],
  lands: { step: 'coconut', waits: waits('hot', 40, 60, 'covered; stir and loosen with hot water') },
});

export const roastRoots: Dish = dish({
  id: 'roots',
  name: 'Roast roots',
  servings: 8,
  ingredients: [
    item('carrots', 700, 'g', 'carrots', { cut: 'in batons' }),
    item('parsnips', 600, 'g', 'parsnips', { cut: 'in batons' }),
    item('beetroot', 400, 'g', 'beetroot', { cut: 'in wedges' }),
    item('oil', 4, 'tbsp', 'oil'),
    item('honey', 1, 'tbsp', 'honey'),
    item('salt', 2, 'tsp', 'flaky salt'),
  ],
  steps: [
    chop(
      'cut',
      'cut',
      [12, 15, 20],
      'Peel and cut the roots to one size, the beetroot apart so that it does not dye the rest.',
      {
        uses: ['carrots', 'parsnips', 'beetroot'],
      },
    ),
    work('oil', 'oil', 3, 'Turn them in oil, honey and salt, in one layer on the trays.', {
      uses: ['oil', 'honey', 'salt'],
      vessel: 'tray',
      cautions: ['Honey is not for infants under one year.'],
    }),
    bake('roast', 'roast', 200, 2, [35, 40, 50], 'Into the hot oven; turn and swap shelves half-way.', {
      vessel: 'tray',
      attention: 'eyes',
      lookEvery: 20,
      doneWhen: 'brown at the edges, a knife slides in',
    }),
  ],
  links: [follow('cut', 'oil', 0, 300), follow('oil', 'roast', 0, 60)],
  vessels: [
    pot('tray', 'first tray', ['tray'], 4, 'oil', 'roast', { wash: 0 }),
    pot('tray-2', 'second tray', ['tray'], 4, 'oil', 'roast', { wash: 0 }),
  ],
  lands: { step: 'roast', waits: waits('hot', 6, 12, 'on the tray, uncovered', 'open') },
});

export const skilletGreens: Dish = dish({
  id: 'greens',
  name: 'Skillet greens',
  servings: 8,
  ingredients: [
    item('greens', 900, 'g', 'mixed winter greens', { cut: 'torn, stalks apart' }),
    item('garlic', 3, 'clove', 'garlic', { cut: 'sliced' }),
    item('oil', 3, 'tbsp', 'olive oil', { grows: false }),
    item('chilli', 0.5, 'tsp', 'dried chilli', { grows: false }),
  ],
  steps: [
    chop('wash', 'wash, tear', [6, 8, 10], 'Wash the greens, tear the leaves, slice the stalks.', {
      uses: ['greens', 'garlic'],
    }),
    fry(
      'fry',
      'greens',
      'medium',
      [5, 6, 8],
      'Oil, garlic and chilli, then the stalks, then the leaves by handfuls with a splash of water.',
      {
        vessel: 'pan',
        uses: ['oil', 'chilli'],
        doneWhen: 'wilted and bright',
        cautions: ['Wet leaves in hot oil spit: shake them dry.'],
      },
    ),
  ],
  links: [follow('wash', 'fry', 0, 180)],
  vessels: [pot('pan', 'skillet', ['pan'], 3.5, 'fry', 'fry', { widthCm: 28 })],
  lands: { step: 'fry', waits: waits('hot', 3, 6, 'uncovered, in the pan', 'open') },
});

export const horseradishCream: Dish = dish({
  id: 'horseradish',
  name: 'Horseradish cream',
  servings: 8,
  ingredients: [
    item('root', 60, 'g', 'fresh horseradish', { cut: 'finely grated' }),
    item('cream', 250, 'ml', 'soured cream', { allergens: ['milk'] }),
    item('mustard', 1, 'tsp', 'mustard', { allergens: ['mustard'] }),
    item('vinegar', 2, 'tsp', 'white vinegar'),
  ],
  steps: [
    chop(
      'mix',
      'mix',
      [6, 7, 9],
      'Grate the horseradish at an open window and fold it into the cream with mustard, vinegar and salt.',
      {
        uses: ['root', 'cream', 'mustard', 'vinegar'],
        doneWhen: 'it makes the nose prick',
        cautions: ['Its vapour stings the eyes: arm’s length.'],
      },
    ),
    chill('chill', 'in the cold', 30, 'Covered, in the cold, to come together.', { doneWhen: 'half an hour is over' }),
  ],
  links: atOnce('mix', 'chill'),
  lands: { step: 'chill', waits: overnight(waits('cold', 180, 360, 'covered, in the cold')) },
});

export const pickledOnions: Dish = dish({
  id: 'pickle',
  name: 'Quick-pickled onions',
  servings: 8,
  ingredients: [
    item('onions', 3, 'piece', 'red onions', { cut: 'in thin rings' }),
    item('vinegar', 200, 'ml', 'cider vinegar'),
    item('sugar', 2, 'tbsp', 'sugar'),
    item('salt', 1, 'tsp', 'fine salt'),
  ],
  steps: [
    chop(
      'slice',
      'slice, dress',
      [6, 8, 10],
      'Slice the onions in thin rings; stir with vinegar, sugar and salt until these dissolve.',
      {
        uses: ['onions', 'vinegar', 'sugar', 'salt'],
        vessel: 'bowl',
      },
    ),
    rest('stand', 'stand', [45, 60, 90], 'Let them stand, turning once.', {
      vessel: 'bowl',
      doneWhen: 'pink right through and limp',
    }),
  ],
  links: atOnce('slice', 'stand'),
  vessels: [pot('bowl', 'bowl', ['bowl'], 1.5, 'slice', 'stand', { wash: 0 })],
  lands: { step: 'stand', waits: overnight(waits('cold', 240, 480, 'covered, on the side')) },
});

export const harvestDishes: readonly Dish[] = [
  mushroomStock,
  beefCheeks,
  barleyLeeks,
  brownRice,
  splitPeaCurry,
  roastRoots,
  skilletGreens,
  horseradishCream,
  pickledOnions,
];
