import type { Dish } from '@/core/dish/dish';
import {
  atOnce,
  bake,
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

export const redRice: Dish = dish({
  id: 'red-rice',
  name: 'Red rice',
  servings: 4,
  ingredients: [
    item('rice', 280, 'g', 'red rice'),
    item('water', 620, 'ml', 'water'),
    item('salt', 1, 'tsp', 'fine salt'),
    item('oil', 1, 'tsp', 'oil', { grows: false }),
  ],
  steps: [
    work('wash', 'wash', 3, 'Wash the rice in two waters and cover it with cold water.', {
      vessel: 'bowl',
      uses: ['rice'],
    }),
    rest('soak', 'soak', [30, 30, 60], 'Let it soak.', { vessel: 'bowl', doneWhen: 'half an hour is over' }),
    work('drain', 'drain', 1, 'Drain the rice.', { vessel: 'bowl' }),
    simmer('boil', 'boil', 'full', [4, 5, 7], 'Rice, measured water, salt and oil in the pot; bring to the boil.', {
      vessel: 'pot',
      uses: ['water', 'salt', 'oil'],
      boils: [0.75, 15],
      doneWhen: 'it bubbles all over',
    }),
    leave('covered', 'covered', 'lowest', [28, 30, 36], 'Cover tightly, lowest heat; the lid stays on.', {
      vessel: 'pot',
      doneWhen: 'quiet, and the water is gone',
    }),
    rest('rest', 'rest', 10, 'Off the heat, lid on.', { vessel: 'pot', doneWhen: 'ten minutes are over' }),
    work('fluff', 'fluff', 1, 'Fluff with a fork.', {
      vessel: 'pot',
      cautions: [
        'Lift the lid away from you: the steam scalds.',
        'Leftover rice: cool it within the hour and eat it within a day, or as your local rules say.',
      ],
    }),
  ],
  links: [
    ...atOnce('wash', 'soak'),
    follow('soak', 'drain', 0, 30, 5),
    follow('drain', 'boil', 0, 30, 5),
    ...atOnce('boil', 'covered', 'rest'),
    follow('rest', 'fluff', 0, 20, 0),
  ],
  vessels: [
    pot('bowl', 'bowl', ['bowl'], 1.5, 'wash', 'drain', { wash: 1 }),
    pot('pot', 'rice pot', ['pot'], 1.8, 'boil', 'fluff'),
  ],
  lands: { step: 'fluff', waits: waits('hot', 12, 20, 'covered, in its pot') },
  grain: { kind: 'red', method: 'covered', soaked: true, dry: 'rice', liquid: ['water'] },
});

export const spicedChickpeas: Dish = dish({
  id: 'chickpeas',
  name: 'Spiced chickpeas',
  servings: 4,
  note: 'The beans soak from the evening before.',
  ingredients: [
    item('chickpeas', 300, 'g', 'dried chickpeas'),
    item('bay', 2, 'leaf', 'bay', { grows: false }),
    item('onion', 2, 'piece', 'onions', { cut: 'finely chopped' }),
    item('garlic', 3, 'clove', 'garlic', { cut: 'crushed' }),
    item('oil', 2, 'tbsp', 'olive oil', { grows: false }),
    item('cumin', 2, 'tsp', 'cumin, ground'),
    item('paprika', 2, 'tsp', 'smoked paprika'),
    item('tomato', 1, 'tin', 'chopped tomatoes (400 g)'),
    item('salt', 1, 'tsp', 'fine salt'),
    item('lemon', 1, 'piece', 'lemon', { cut: 'juice' }),
  ],
  steps: [
    work('cover', 'set to soak', 3, 'Pick over the chickpeas and cover them with three times as much cold water.', {
      vessel: 'bowl',
      uses: ['chickpeas'],
      ahead: true,
      daysBefore: 1,
    }),
    rest('soak', 'soak', 480, 'Overnight in a cool place: eight hours at least, a day at most.', {
      vessel: 'bowl',
      ahead: true,
      doneWhen: 'twice the size',
    }),
    work('drain', 'drain', 2, 'Throw the soaking water away and rinse.', { vessel: 'bowl', ahead: true }),
    simmer('boil', 'boil', 'full', [9, 12, 16], 'Cover with fresh water, add bay, bring to a full boil and skim.', {
      vessel: 'pot',
      uses: ['bay'],
      boils: [1.7, 12],
      doneWhen: 'it has boiled hard for a few minutes',
      cautions: ['It foams over when covered: lid ajar.'],
    }),
    simmer(
      'tender',
      'simmer',
      'low',
      [50, 70, 100],
      'Simmer with the lid ajar until tender; top up with hot water so that they stay covered.',
      {
        vessel: 'pot',
        lookEvery: 15,
        doneWhen: 'one crushes easily between the fingers',
      },
    ),
    chop('onion', 'chop onions', [5, 6, 8], 'Chop the onions finely, crush the garlic.', { uses: ['onion', 'garlic'] }),
    fry(
      'base',
      'onions, spice',
      'medium',
      [10, 12, 15],
      'Fry the onions golden, then garlic and spices for a minute.',
      {
        vessel: 'pan',
        uses: ['oil', 'cumin', 'paprika'],
        doneWhen: 'golden; the raw smell is gone',
        cautions: ['Spice catches in a moment: have the tomatoes open.'],
      },
    ),
    simmer(
      'together',
      'together',
      'low',
      [12, 15, 20],
      'Tomatoes, salt and the drained chickpeas with a ladle of their water; simmer thick.',
      {
        vessel: 'pan',
        uses: ['tomato', 'salt'],
        doneWhen: 'the fat parts at the edge',
      },
    ),
    work('sour', 'lemon', 1, 'Lemon juice; taste for salt, sweet and sour; take out the bay.', {
      vessel: 'pan',
      uses: ['lemon'],
    }),
  ],
  links: [
    ...atOnce('cover', 'soak'),
    follow('soak', 'drain', 0, 960),
    follow('drain', 'boil', 0, 60, 0),
    ...atOnce('boil', 'tender'),
    overnight(follow('tender', 'together', 0, 120, 30)),
    follow('onion', 'base', 0, 120),
    ...atOnce('base', 'together'),
    follow('together', 'sour', 0, 60, 0),
  ],
  vessels: [
    pot('bowl', 'soaking bowl', ['bowl'], 2.2, 'cover', 'drain', { wash: 1 }),
    pot('pot', 'bean pot', ['pot'], 1.9, 'boil', 'tender'),
    pot('pan', 'pan', ['pan'], 1.8, 'base', 'sour'),
  ],
  lands: { step: 'sour', waits: waits('hot', 40, 60, 'covered; better for it') },
});

export const paperFish: Dish = dish({
  id: 'fish',
  name: 'Fish baked in paper',
  servings: 4,
  ingredients: [
    item('fillets', 4, 'piece', 'thick white fish fillets (160 g each)', { allergens: ['fish'] }),
    item('butter', 40, 'g', 'butter', { allergens: ['milk'] }),
    item('dill', 0.5, 'bunch', 'dill'),
    item('lemon', 1, 'piece', 'lemon', { cut: 'in thin slices' }),
    item('paper', 4, 'sheet', 'baking paper'),
  ],
  steps: [
    work(
      'wrap',
      'wrap',
      [7, 8, 11],
      'A fillet on each sheet with lemon, dill, butter, salt and pepper; fold the edges over twice.',
      {
        uses: ['fillets', 'butter', 'dill', 'lemon', 'paper'],
        steady: false,
        vessel: 'tray',
        cautions: ['Raw fish: wash board, knife and hands before the salad.'],
      },
    ),
    bake('bake', 'bake', 200, 1, [13, 15, 18], 'Into the hot oven.', {
      vessel: 'tray',
      doneWhen: 'puffed; the fish is opaque and flakes',
      cautions: ['Open the paper away from you: the steam scalds.'],
    }),
  ],
  links: [follow('wrap', 'bake', 0, 30, 10)],
  vessels: [pot('tray', 'tray', ['tray'], 2, 'wrap', 'bake', { wash: 0 })],
  lands: { step: 'bake', waits: waits('hot', 4, 8, 'closed in its paper') },
});

export const fennelSalad: Dish = dish({
  id: 'fennel',
  name: 'Fennel salad',
  servings: 4,
  ingredients: [
    item('fennel', 2, 'piece', 'fennel', { cut: 'shaved' }),
    item('orange', 1, 'piece', 'orange', { cut: 'in segments' }),
    item('olives', 60, 'g', 'black olives', { cut: 'stoned' }),
    item('oil', 2, 'tbsp', 'olive oil'),
    item('vinegar', 2, 'tsp', 'white vinegar'),
  ],
  steps: [
    chop('shave', 'shave', [7, 9, 12], 'Shave the fennel into cold water, cut the orange free of its skin.', {
      vessel: 'bowl',
      uses: ['fennel', 'orange'],
      cautions: ['A slicer takes fingertips: use its guard.'],
    }),
    work('dress', 'dress', 3, 'Drain, and dress with olives, oil, vinegar and salt.', {
      vessel: 'bowl',
      uses: ['olives', 'oil', 'vinegar'],
    }),
  ],
  links: [follow('shave', 'dress', 0, 120)],
  vessels: [pot('bowl', 'bowl', ['bowl'], 2, 'shave', 'dress', { wash: 0 })],
  lands: { step: 'dress', waits: waits('cold', 12, 20, 'dressed, on the table') },
});

export const boatDishes: readonly Dish[] = [spicedChickpeas, redRice, paperFish, fennelSalad];
