import type { Technique } from '@/core/dish/technique';
import {
  bake,
  chill,
  chop,
  follow,
  fry,
  leave,
  overnight,
  pot,
  rest,
  simmer,
  type Times,
  waits,
  work,
} from '@/core/dish/write';
import { COOLING, chain, GRAIN_KEEPS, gramsIn, HOT_FAT, offered, present, SPROUTS, STEAM, salt, slot } from './words';

/** Minutes of a lot in deep oil. Common practice, no source. */
const FRIED: Readonly<Record<string, Times>> = { fish: [4, 5, 6], meat: [8, 9, 12], soft: [3, 4, 6] };

const deepFried: Technique = {
  id: 'deep-fried',
  name: 'Fried in deep oil, in lots',
  family: 'pan',
  says: 'Dried, coated, fried a few at a time in oil that stays hot, drained and eaten at once.',
  choices: [
    {
      id: 'coat',
      asks: 'Coated in what?',
      ways: [
        { id: 'flour', says: 'flour and spice', because: 'Thin and dry: shaken off, straight into the oil.' },
        { id: 'batter', says: 'batter', because: 'Thick and crisp, steams what is inside; it drips and takes longer.' },
        { id: 'none', says: 'nothing', because: 'For what is dry and starchy by itself.' },
      ],
    },
    {
      id: 'what',
      asks: 'What is it?',
      ways: [
        { id: 'soft', says: 'vegetables, cheese, dough', because: 'Four minutes: it only has to colour.' },
        { id: 'fish', says: 'fish or shellfish', because: 'Four to five minutes a lot, opaque to the middle.' },
        {
          id: 'meat',
          says: 'meat or poultry',
          because: 'Eight to ten minutes in cooler oil: done through before it is dark.',
        },
      ],
    },
  ],
  slots: [
    slot('main', 'what is fried', 'cauliflower', 140, 'g', { cut: 'in florets' }),
    slot('coat', 'the coat', 'flour', 25, 'g', { allergens: ['gluten'] }),
    slot('water', 'water for the batter', 'cold water', 30, 'ml'),
    salt(0.2),
    slot('spice', 'spice in the coat', 'ground cumin', 0.25, 'tsp', { mayMiss: true, takes: ['spice mix'] }),
    slot('oil', 'oil to fry in', 'frying oil', 1, 'l', { grows: false }),
  ],
  instead: (way) =>
    way('what') === 'fish'
      ? { main: { name: 'white fish, in strips', cut: '', allergens: ['fish'] } }
      : way('what') === 'meat'
        ? { main: { name: 'chicken thighs, boned, in pieces', cut: '' } }
        : {},
  mistakes: ['Too much at once: the oil cools and it drinks it.', 'Wet things: they spit, and the oil boils over.'],
  build: (brief) => {
    const coat = brief.way('coat');
    const ready = chop(
      'ready',
      'cut, dry',
      [5, 7, 10],
      `Cut ${brief.named('main')} in pieces of one size; dry them well.`,
      {
        uses: brief.uses('main'),
      },
    );
    const coated = work(
      'coat',
      coat === 'batter' ? 'batter' : 'coat',
      [3, 5, 7],
      coat === 'batter'
        ? 'Flour, salt and spice with cold water to a batter that clings to a spoon; stir no more than it needs.'
        : coat === 'flour'
          ? 'Turn the pieces in flour, salt and spice; shake off what is loose.'
          : 'Salt the pieces, and dry them once more.',
      {
        steady: false,
        uses: brief.uses(
          'salt',
          'spice',
          ...(coat === 'none' ? [] : ['coat']),
          ...(coat === 'batter' ? ['water'] : []),
        ),
      },
    );
    const heat = simmer(
      'heat',
      'heat the oil',
      'medium',
      [7, 9, 13],
      `Oil into a deep pot, a third full at most; to ${brief.way('what') === 'meat' ? '165' : '175'} °C: a crumb rises and sizzles at once.`,
      { vessel: 'pot', uses: brief.uses('oil'), lookEvery: 3, doneWhen: 'a crumb sizzles at once and does not darken' },
    );
    const minutes = FRIED[brief.way('what')] ?? [3, 4, 6];
    const cook = fry(
      'fry',
      'fry',
      'medium',
      minutes,
      'A few at a time, lowered in away from you; turned once, out onto a rack. Let the oil grow hot again between.',
      {
        vessel: 'pot',
        perBatch: 3,
        doneWhen: 'gold, and the bubbles grow quiet',
        cautions: [
          'Deep fat: a third full at most, its lid at hand to smother a flame, never water on it. Stay with it; if it smokes, off the heat. Handle turned in, out of the reach of children.',
        ],
      },
    );
    return {
      steps: [ready, coated, heat, cook],
      links: [follow('ready', 'coat', 0, 120, 60), follow('coat', 'fry', 0, 20, 8), follow('heat', 'fry', 0, 5, 0)],
      vessels: [pot('pot', 'deep pot', ['pot', 'casserole'], 3, 'heat', 'fry', { grows: false, wash: 10 })],
      offers: [
        offered(
          'fried pieces',
          `fried ${brief.item('main')!.name.split(',')[0]}`,
          'fry',
          gramsIn(brief, 'main') * 0.9,
          60,
          {
            rather: 8,
          },
        ),
      ],
      lands: { step: 'fry', waits: waits('hot', 6, 12, 'on a rack in a low oven, uncovered', 'open') },
    };
  },
};

const stuffed: Technique = {
  id: 'stuffed',
  name: 'Stuffed vegetables',
  family: 'pot',
  says: 'Hollowed, filled two thirds with raw grain and herbs, packed tight, cooked in a little liquid under a plate.',
  choices: [
    {
      id: 'with',
      asks: 'Meat in the filling?',
      ways: [
        { id: 'none', says: 'none', because: 'Grain, herbs and tomato: good warm or cold.' },
        { id: 'meat', says: 'minced meat', because: 'Juicier; its middle must reach 71 °C, and it is eaten hot.' },
      ],
    },
    {
      id: 'where',
      asks: 'Where?',
      ways: [
        { id: 'pot', says: 'in a pot, under a plate', because: 'Soft all round; the plate keeps them from floating.' },
        { id: 'oven', says: 'in the oven', because: 'They brown on top; no burner, and fifteen minutes more.' },
      ],
    },
  ],
  slots: [
    slot('vegetables', 'what is filled', 'peppers', 1.5, 'piece'),
    slot('grain', 'the grain, raw', 'short grain rice', 25, 'g'),
    slot('meat', 'the meat', 'minced lamb', 60, 'g'),
    slot('tomato', 'tomato', 'chopped tomatoes', 60, 'g'),
    slot('onion', 'onion', 'onion', 0.25, 'piece', { cut: 'finely chopped', mayMiss: true }),
    slot('herbs', 'herbs', 'chopped dill and mint', 5, 'g', { mayMiss: true }),
    salt(0.3),
    slot('oil', 'oil', 'olive oil', 0.6, 'tbsp', { takes: ['kept oil'] }),
    slot('water', 'the liquid', 'water', 90, 'ml', { takes: ['broth'] }),
  ],
  mistakes: [
    'Filling them to the rim: the grain swells and bursts them.',
    'Loose in the pot: they fall over and open.',
  ],
  build: (brief) => {
    const meat = brief.way('with') === 'meat';
    const oven = brief.way('where') === 'oven';
    const hollow = chop(
      'hollow',
      'hollow',
      [6, 9, 13],
      `Cut the tops off ${brief.named('vegetables')}, take out what is inside.`,
      {
        uses: brief.uses('vegetables'),
      },
    );
    const mix = work(
      'mix',
      'mix the filling',
      [5, 7, 10],
      'Raw grain, tomato, onion, herbs, half of the oil and salt, mixed by hand.',
      {
        uses: brief.uses('grain', 'tomato', 'onion', 'herbs', 'salt', ...(meat ? ['meat'] : [])),
        steady: false,
      },
    );
    const fill = work(
      'fill',
      'fill, pack',
      [7, 10, 14],
      'Fill them two thirds, tops on; stand them side by side, tight.',
      {
        vessel: 'pot',
        uses: brief.uses('oil'),
        steady: false,
      },
    );
    const litres = brief.item('water')!.amount.quantity / 1000;
    const boil = oven
      ? null
      : simmer(
          'boil',
          'boil',
          'medium',
          [6, 9, 13],
          'The hot liquid round them to a third of their height, a plate on top; to the boil.',
          {
            vessel: 'pot',
            uses: brief.uses('water'),
            boils: [litres + brief.servings * 0.2, 35, 'covered'],
            doneWhen: 'it bubbles at the side',
          },
        );
    const cook = oven
      ? bake(
          'cook',
          'bake',
          185,
          1,
          meat ? [60, 70, 85] : [55, 65, 80],
          'The hot liquid round them, covered for the first half, into the oven.',
          {
            vessel: 'pot',
            uses: brief.uses('water'),
            attention: 'eyes',
            lookEvery: 25,
            doneWhen: 'a grain from the middle is soft',
          },
        )
      : simmer(
          'cook',
          'simmer',
          'low',
          meat ? [42, 50, 62] : [38, 45, 58],
          'Lid on, low; a little hot water where it runs dry.',
          {
            vessel: 'pot',
            lookEvery: 15,
            doneWhen: 'a grain from the middle is soft',
          },
        );
    const still = rest('rest', 'rest', [8, 10, 30], 'Off the heat, lid on: they firm up.', {
      vessel: 'pot',
      cautions: [COOLING, GRAIN_KEEPS],
    });
    return {
      steps: present([hollow, mix, fill, boil, cook, still]),
      links: [
        follow('hollow', 'fill', 0, 240),
        follow('mix', 'fill', 0, 30, 10),
        { ...follow('fill', boil?.id ?? 'cook', 0, 60, 30), ...(meat ? {} : { overnight: true }) },
        ...chain([boil, cook, still]),
      ],
      vessels: [
        pot(
          'pot',
          oven ? 'deep dish' : 'wide pot',
          oven ? ['casserole', 'tray'] : ['casserole', 'pot'],
          Math.max(2, Math.round(brief.servings * 7) / 10),
          'fill',
          'rest',
          { wash: 8 },
        ),
      ],
      lands: { step: 'rest', waits: waits('hot', 20, 45, 'covered, in their pot') },
    };
  },
};

const steamed: Technique = {
  id: 'steamed-filled',
  name: 'Dumplings or buns, steamed',
  family: 'bread',
  says: 'A dough that rests, a filling that is dry, folded by hand, steamed in lots over boiling water.',
  choices: [
    {
      id: 'dough',
      asks: 'What dough?',
      ways: [
        { id: 'plain', says: 'flour and water', because: 'Thin and firm; half an hour of rest makes it roll.' },
        { id: 'yeast', says: 'with yeast', because: 'Soft as a pillow: it rises an hour, and again on its paper.' },
      ],
    },
    {
      id: 'inside',
      asks: 'What is inside?',
      ways: [
        { id: 'greens', says: 'vegetables', because: 'Salted and squeezed first, or they soak the dough.' },
        {
          id: 'meat',
          says: 'raw minced meat',
          because: 'It cooks in the steam: the middle of the largest is measured.',
        },
      ],
    },
  ],
  slots: [
    slot('flour', 'flour', 'plain flour', 65, 'g', { allergens: ['gluten'] }),
    slot('water', 'water', 'water', 35, 'ml'),
    slot('yeast', 'yeast', 'dried yeast', 0.25, 'tsp'),
    slot('filling', 'the filling', 'white cabbage', 70, 'g', { cut: 'finely chopped' }),
    salt(0.3),
    slot('season', 'what seasons it', 'ginger and spring onion', 8, 'g', { cut: 'finely chopped', mayMiss: true }),
    slot('below', 'water to steam over', 'water', 1, 'l', { grows: false }),
  ],
  instead: (way) => (way('inside') === 'meat' ? { filling: { name: 'minced pork', cut: '' } } : {}),
  mistakes: ['A wet filling: the dough tears.', 'Set close together: they grow into one.'],
  build: (brief) => {
    const yeast = brief.way('dough') === 'yeast';
    const meat = brief.way('inside') === 'meat';
    const knead = work('knead', 'knead', [7, 9, 12], 'Flour, water and a pinch of the salt to a smooth dough.', {
      uses: brief.uses('flour', 'water', ...(yeast ? ['yeast'] : [])),
      steady: false,
    });
    const still = rest('rest', yeast ? 'rise' : 'dough rests', yeast ? [60, 70, 120] : [30, 30, 90], 'Covered.', {
      doneWhen: yeast ? 'twice the size' : 'a finger leaves its mark',
    });
    const fill = work(
      'filling',
      'filling',
      [6, 8, 11],
      meat
        ? 'Meat, salt and seasoning stirred one way until it binds.'
        : 'Salt the vegetables, squeeze them dry, season.',
      {
        uses: brief.uses('filling', 'salt', 'season'),
        steady: false,
      },
    );
    const shape = work(
      'shape',
      'roll, fill, fold',
      [12, 16, 22],
      'Roll rounds, a spoon of filling in each, fold and pinch shut; onto paper, a finger apart.',
      {
        steady: false,
        doneWhen: 'closed all round',
      },
    );
    const boil = simmer('boil', 'water to the boil', 'full', [5, 8, 11], 'Water in the pot below, to the boil.', {
      vessel: 'pot',
      uses: brief.uses('below'),
      boils: [1, 15, 'covered'],
      doneWhen: 'it rolls',
    });
    const cook = simmer(
      'steam',
      'steam',
      'medium',
      meat ? [12, 14, 17] : [9, 11, 14],
      'The basket over it, lid on; lot after lot.',
      {
        vessel: 'pot',
        perBatch: 4,
        lookEvery: 6,
        doneWhen: meat ? 'firm, and done in the middle of the largest' : 'shining and firm',
        cautions: [STEAM, COOLING],
      },
    );
    return {
      steps: [knead, still, fill, shape, boil, cook],
      links: [
        follow('knead', 'rest', 0, 0),
        follow('rest', 'shape', 0, 60, 20),
        follow('filling', 'shape', 0, 60, 20),
        follow('shape', 'steam', 0, 60, 20),
        follow('boil', 'steam', 0, 10, 0),
      ],
      vessels: [pot('pot', 'steaming pot', ['pot', 'casserole'], 3, 'boil', 'steam', { grows: false, widthCm: 20 })],
      lands: { step: 'steam', waits: waits('hot', 8, 15, 'in the basket, lid on') },
    };
  },
};

const saltDrained: Technique = {
  id: 'salt-drained',
  name: 'Vegetables salted, squeezed and dressed',
  family: 'side',
  says: 'Thin slices lie in salt until they give their water, are squeezed dry and dressed: crisp for hours.',
  choices: [
    {
      id: 'dressing',
      asks: 'Dressed how?',
      ways: [
        { id: 'sour', says: 'sour and a little sweet', because: 'Sharp beside what is rich; it holds for hours.' },
        { id: 'oil', says: 'oil and seeds', because: 'Round and nutty; the seeds go on at the table.' },
      ],
    },
  ],
  slots: [
    slot('main', 'what is sliced', 'cucumbers', 120, 'g', { cut: 'thinly sliced' }),
    salt(0.3),
    slot('sour', 'something sour', 'rice vinegar', 0.5, 'tbsp'),
    slot('sweet', 'sugar', 'sugar', 0.2, 'tsp', { mayMiss: true }),
    slot('seeds', 'seeds', 'toasted sesame seeds', 0.3, 'tsp', { allergens: ['sesame'], mayMiss: true }),
  ],
  instead: (way) => (way('dressing') === 'oil' ? { sour: { name: 'olive oil and lemon' } } : {}),
  mistakes: [
    'Less than twenty minutes: they weep on the table.',
    'More than an hour in salt: limp, and too salty to eat.',
  ],
  build: (brief) => ({
    steps: [
      chop('slice', 'slice, salt', [5, 7, 10], `Slice ${brief.named('main')} thin; turn them in the salt.`, {
        uses: brief.uses('main', 'salt'),
        cautions: [SPROUTS],
      }),
      rest('drain', 'give water', [20, 25, 60], 'In a sieve over a bowl.', { doneWhen: 'limp, and a puddle below' }),
      work('squeeze', 'squeeze, dress', [3, 4, 6], 'Rinse if they taste too salty, squeeze dry in a cloth, dress.', {
        steady: false,
        uses: brief.uses('sour', 'sweet', 'seeds'),
      }),
    ],
    links: [follow('slice', 'drain', 0, 0), follow('drain', 'squeeze', 0, 35, 10)],
    lands: { step: 'squeeze', waits: waits('cold', 180, 360, 'covered, in the cold') },
  }),
};

const spiceMix: Technique = {
  id: 'spice-mix',
  name: 'Spice mix, roasted and ground',
  family: 'side',
  partOnly: true,
  says: 'Whole spices roasted until they smell, cooled, ground, and jarred: what is over keeps for weeks.',
  choices: [
    {
      id: 'roast',
      asks: 'Roast them?',
      ways: [
        {
          id: 'yes',
          says: 'roasted',
          because: 'Deeper and nuttier: three minutes in a dry pan, then cold before the mill.',
        },
        { id: 'no', says: 'ground raw', because: 'Fresh and sharp; no pan, and it keeps a little longer.' },
      ],
    },
  ],
  slots: [slot('spices', 'the whole spices', 'coriander, cumin and black pepper', 1, 'tsp')],
  mistakes: ['Warm into the mill: it turns to paste.', 'One spice burnt is all burnt: the large ones first.'],
  build: (brief) => {
    const roast =
      brief.way('roast') === 'yes'
        ? fry('roast', 'roast spice', 'medium', [3, 4, 5], 'In a dry pan, shaken, until it smells; out at once.', {
            vessel: 'pan',
            uses: brief.uses('spices'),
            doneWhen: 'it smells, a shade darker',
          })
        : null;
    const cool = roast ? rest('cool', 'cool', [8, 10, 30], 'Spread on a plate.') : null;
    const grind = work('grind', 'grind, jar', [4, 5, 8], 'Grind; what is over into a jar with the day on it.', {
      uses: roast ? [] : brief.uses('spices'),
      doneWhen: 'fine as sand',
    });
    return {
      steps: present([roast, cool, grind]),
      links: [...chain([roast, cool]), ...(cool ? [follow('cool', 'grind')] : [])],
      vessels: roast ? [pot('pan', 'small pan', ['pan'], 0.6, 'roast', 'roast', { grows: false, wash: 1 })] : [],
      offers: [
        {
          product: 'spice mix',
          name: 'fresh spice mix',
          step: 'grind',
          amount: brief.item('spices')!.amount,
          within: null,
          overnight: true,
        },
      ],
      lands: null,
    };
  },
};

const spicedWater: Technique = {
  id: 'spiced-water',
  name: 'Water boiled with spices',
  family: 'stock',
  partOnly: true,
  says: 'Whole spices, counted, boiled until the water has their colour; strained, and as many come out as went in.',
  choices: [],
  slots: [
    slot('water', 'the water', 'water', 220, 'ml'),
    slot('spices', 'the whole spices', 'cardamom pods', 6, 'piece', { grows: false }),
    slot('more', 'more of them', 'cinnamon sticks', 1, 'stick', { grows: false, mayMiss: true }),
  ],
  mistakes: ['Not counted: the one that is left is bitten on.'],
  build: (brief) => {
    const litres = brief.item('water')!.amount.quantity / 1000;
    return {
      steps: [
        simmer(
          'boil',
          'spiced water to the boil',
          'full',
          [4, 6, 9],
          'Count the spices into the water; to the boil, lid on.',
          {
            vessel: 'pot',
            uses: brief.uses('water', 'spices', 'more'),
            boils: [litres, 15, 'covered'],
            doneWhen: 'it boils',
          },
        ),
        leave('draw', 'let it draw', 'low', [10, 12, 20], 'Lid on, barely bubbling.', {
          vessel: 'pot',
          doneWhen: 'it has colour, and the kitchen smells of it',
        }),
        work('strain', 'strain, count out', [2, 3, 4], 'Strain and measure it; count the spices out again.', {
          vessel: 'pot',
          doneWhen: 'as many came out as went in',
        }),
      ],
      links: [follow('boil', 'draw', 0, 0), follow('draw', 'strain', 0, 60, 10)],
      vessels: [
        pot('pot', 'small pot', ['pot'], Math.max(0.6, Math.round(litres * 15) / 10), 'boil', 'strain', { wash: 1 }),
      ],
      offers: [
        {
          product: 'spiced water',
          name: 'spiced water, hot',
          step: 'strain',
          amount: { quantity: Math.round(litres * 92) / 100, unit: 'l' },
          within: 120,
          rather: 40,
          overnight: true,
        },
      ],
      lands: null,
    };
  },
};

const sauce: Technique = {
  id: 'pepper-sauce',
  name: 'Tomato and pepper sauce, cooked down',
  family: 'pot',
  says: 'Blended raw, cooked down until the sour has gone and the fat stands above: the base of half a meal.',
  choices: [
    {
      id: 'first',
      asks: 'What goes first?',
      ways: [
        { id: 'onion', says: 'onions in the fat', because: 'Sweet below; ten minutes of stirring.' },
        {
          id: 'blend',
          says: 'boil the blend dry, then the fat',
          because: 'No stirring at first; it fries at the end.',
        },
      ],
    },
  ],
  slots: [
    slot('vegetables', 'tomatoes and peppers', 'tomatoes and red peppers', 130, 'g'),
    slot('onion', 'onion', 'onion', 0.3, 'piece', { cut: 'sliced', mayMiss: true }),
    slot('oil', 'the fat', 'oil', 0.8, 'tbsp', { takes: ['kept oil'] }),
    slot('paste', 'tomato paste', 'tomato paste', 0.4, 'tbsp', { mayMiss: true }),
    slot('spice', 'spice and herbs', 'thyme and bay', 2, 'sprig', { grows: false, mayMiss: true }),
    salt(0.2),
  ],
  mistakes: ['Stopping while it still tastes raw and sour.', 'Left without a lid ajar: it spits over the stove.'],
  build: (brief) => {
    const blend = work('blend', 'blend', [4, 6, 8], `Blend ${brief.named('vegetables')} raw, smooth or rough.`, {
      uses: brief.uses('vegetables'),
    });
    const onion = brief.way('first') === 'onion' && brief.has('onion');
    const slice = brief.has('onion')
      ? chop('slice', 'slice', [3, 4, 6], 'Slice the onion.', { uses: ['onion'] })
      : null;
    const base = fry(
      'base',
      'base',
      'medium',
      onion ? [8, 10, 13] : [4, 5, 7],
      onion
        ? 'The onions to gold in the fat, then the paste until its tang is gone.'
        : 'The fat to the dry blend, with the paste; fry it until the fat parts.',
      { vessel: 'pot', uses: brief.uses('oil', 'paste'), doneWhen: 'dark red, the fat parts', cautions: [HOT_FAT] },
    );
    const reduce = simmer(
      'reduce',
      'cook down',
      'medium',
      [15, 19, 26],
      'The blend in; cook it down, stirred up now and then.',
      {
        vessel: 'pot',
        uses: brief.uses('spice', 'salt'),
        lookEvery: 5,
        doneWhen: 'thick, and no more sour',
        cautions: ['A thick sauce spits: lid ajar.', COOLING],
      },
    );
    const [first, second] = onion ? [base, reduce] : [reduce, base];
    return {
      steps: present([blend, slice, first, second]),
      links: [
        follow('blend', 'reduce', 0, 240),
        ...(slice ? [follow('slice', first.id, 0, 240)] : []),
        ...chain([first, second]),
      ],
      vessels: [
        pot(
          'pot',
          'sauce pot',
          ['pot', 'casserole'],
          Math.max(1, Math.round(brief.servings * 3) / 10),
          first.id,
          second.id,
        ),
      ],
      offers: [
        offered('sauce', 'pepper sauce', second.id, gramsIn(brief, 'vegetables') * 0.55, 90, { overnight: true }),
      ],
      lands: { step: second.id, waits: overnight(waits('hot', 40, 90, 'covered, on the lowest heat')) },
    };
  },
};

/** How a stirred grain is cooked: parts of liquid to one of dry grain by volume, minutes, and who stands by. Common practice, no source. */
const STIRRED = {
  ladles: { ml: 270, minutes: [17, 20, 24], grain: 'short grain rice' },
  once: { ml: 260, minutes: [17, 19, 23], grain: 'short grain rice' },
  meal: { ml: 300, minutes: [30, 38, 50], grain: 'polenta' },
  soft: { ml: 620, minutes: [60, 75, 100], grain: 'short grain rice' },
} as const;

const stirred: Technique = {
  id: 'stirred-grain',
  name: 'Grain stirred until it is creamy',
  family: 'grain',
  says: 'Hot liquid little by little or all at once, and a spoon: risotto way, soft meal, or long-boiled and loose.',
  choices: [
    {
      id: 'how',
      asks: 'Which way?',
      ways: [
        { id: 'ladles', says: 'ladle by ladle', because: 'Twenty minutes at the pot: one sees when it is enough.' },
        {
          id: 'once',
          says: 'liquid at once, stirred at the end',
          because: 'A lid and two looks; three minutes of beating do the rest.',
        },
        {
          id: 'meal',
          says: 'meal rained into boiling water',
          because: 'Coarse meal, half an hour and more; it spits like mud.',
        },
        {
          id: 'soft',
          says: 'long and loose, as a gruel',
          because: 'Ten parts of liquid, an hour and more, until the grains open.',
        },
      ],
    },
  ],
  slots: [
    slot('grain', 'the grain', 'short grain rice', 75, 'g'),
    slot('water', 'the liquid', 'vegetable stock', 270, 'ml', { takes: ['broth', 'spiced water'] }),
    slot('fat', 'the fat', 'butter', 10, 'g', { allergens: ['milk'] }),
    slot('onion', 'onion', 'onion', 0.2, 'piece', { cut: 'finely chopped', mayMiss: true }),
    salt(0.25),
    slot('finish', 'what is beaten in', 'hard cheese, grated', 12, 'g', { allergens: ['milk'], mayMiss: true }),
  ],
  instead: (way) => {
    const { ml, grain } = STIRRED[way('how') as keyof typeof STIRRED] ?? STIRRED.ladles;
    return { grain: { name: grain }, water: { amount: { quantity: ml, unit: 'ml' } } };
  },
  mistakes: ['Cold liquid: it stops at every ladle.', 'Waiting for the guests: the guests wait for it.'],
  build: (brief) => {
    const how = brief.way('how') as keyof typeof STIRRED;
    const litres = brief.item('water')!.amount.quantity / (brief.item('water')!.amount.unit === 'l' ? 1 : 1000);
    const ladled = how === 'ladles' || how === 'once';
    const cut =
      ladled && brief.has('onion')
        ? chop('cut', 'chop', [3, 4, 6], 'Chop the onion finely.', { uses: ['onion'] })
        : null;
    const base = ladled
      ? fry(
          'toast',
          'soften, toast',
          'medium',
          [6, 8, 10],
          'Onion in half the fat without colour; the grain in, stirred until it is glassy.',
          {
            vessel: 'pot',
            uses: brief.uses('fat', 'grain'),
            doneWhen: 'glassy, with a white heart',
          },
        )
      : null;
    const boil = simmer(
      'boil',
      'liquid to the boil',
      'full',
      [5, 8, 11],
      ladled ? 'The liquid hot in a pot beside it.' : 'Liquid and salt to the boil.',
      {
        vessel: ladled ? 'beside' : 'pot',
        uses: brief.uses('water', 'salt'),
        boils: [litres, 60, 'covered'],
        doneWhen: 'it simmers',
      },
    );
    const minutes = STIRRED[how].minutes;
    const says = {
      ladles: 'A ladle at a time, stirred, the next when it is taken up.',
      once: 'All the hot liquid in, stirred once, lid on, low; look and stir twice.',
      meal: 'Rain the meal in, whisking; then low, stirred up every few minutes.',
      soft: 'The grain in, lid ajar, low; stirred up from the bottom.',
    }[how];
    const cook =
      how === 'ladles'
        ? fry('cook', 'ladle, stir', 'medium', minutes, says, {
            vessel: 'pot',
            doneWhen: 'creamy, a bite left in the grain',
          })
        : simmer('cook', how === 'meal' ? 'stir now and then' : 'simmer', 'low', minutes, says, {
            vessel: 'pot',
            uses: base ? [] : brief.uses('grain'),
            lookEvery: how === 'meal' ? 5 : 8,
            doneWhen: how === 'meal' ? 'it comes off the side' : 'creamy',
            cautions: how === 'meal' ? ['It spits and burns: long spoon, sleeve down.'] : [],
          });
    const beat = work(
      'beat',
      'beat in',
      [2, 3, 4],
      `Off the heat, beat in ${brief.has('finish') ? brief.named('finish') : 'the rest of the fat'}; taste.`,
      {
        vessel: 'pot',
        uses: brief.uses('finish', ...(base ? [] : ['fat'])),
        cautions: [GRAIN_KEEPS],
        doneWhen: 'it flows slowly',
      },
    );
    return {
      steps: present([cut, base, boil, cook, beat]),
      links: [
        ...(cut ? [follow('cut', 'toast', 0, 240)] : []),
        ...(base ? [follow('toast', 'cook', 0, 2, 0)] : []),
        follow('boil', 'cook', 0, ladled ? 15 : 2, 0),
        follow('cook', 'beat', 0, 3, 0),
      ],
      vessels: [
        pot(
          'pot',
          'wide pot',
          ['pot', 'casserole'],
          Math.max(1.5, Math.round(litres * 14) / 10),
          base ? 'toast' : 'boil',
          'beat',
        ),
        ...(ladled
          ? [
              pot('beside', 'pot beside it', ['pot'], Math.max(1, Math.round(litres * 11) / 10), 'boil', 'cook', {
                wash: 2,
              }),
            ]
          : []),
      ],
      lands: {
        step: 'beat',
        waits: waits('hot', how === 'soft' ? 20 : 4, how === 'soft' ? 45 : 8, 'covered, loosened with hot liquid'),
      },
    };
  },
};

const friedGrain: Technique = {
  id: 'fried-grain',
  name: 'Fried grain, from cold',
  family: 'grain',
  says: 'Grain of the day before, loosened, fried hot in lots with what there is.',
  choices: [
    {
      id: 'egg',
      asks: 'Egg?',
      ways: [
        { id: 'yes', says: 'scrambled first', because: 'Out of the pan while it is soft, back in at the end.' },
        { id: 'no', says: 'none', because: 'One thing less in the pan.' },
      ],
    },
  ],
  slots: [
    slot('grain', 'cold cooked grain', 'cold cooked rice', 180, 'g'),
    slot('egg', 'eggs', 'eggs', 0.75, 'piece', { allergens: ['eggs'] }),
    slot('vegetables', 'vegetables', 'spring onions, peas and carrots', 60, 'g', { cut: 'in small dice' }),
    slot('oil', 'oil', 'oil', 0.7, 'tbsp', { takes: ['kept oil'] }),
    slot('sauce', 'what seasons it', 'soy sauce', 0.5, 'tbsp', { allergens: ['soy', 'gluten'] }),
    slot('meat', 'something cooked, in small pieces', 'cooked ham', 30, 'g', {
      mayMiss: true,
      takes: ['boiled meat', 'fried pieces'],
    }),
  ],
  mistakes: ['Fresh warm grain: it steams and sticks.', 'More than a pan of it at once.'],
  build: (brief) => {
    const egg = brief.way('egg') === 'yes';
    const cut = chop(
      'cut',
      'cut',
      [5, 7, 10],
      'Cut everything small, each in its own bowl; loosen the cold grain with wet hands.',
      {
        uses: brief.uses('vegetables', 'grain'),
        cautions: [
          'Cooked grain only if it was cooled within the hour, kept cold, and is no older than a day or as your local rules say.',
        ],
      },
    );
    const scramble = egg
      ? fry(
          'egg',
          'scramble',
          'full',
          [2, 2, 3],
          'A little oil very hot, the beaten eggs in, out while they are soft.',
          {
            vessel: 'pan',
            uses: brief.uses('egg'),
            doneWhen: 'soft curds',
          },
        )
      : null;
    const toss = fry(
      'fry',
      'fry',
      'full',
      [5, 6, 8],
      'Oil, vegetables, then the grain, pressed and turned until it is steaming hot all through; seasoning and the rest last.',
      {
        vessel: 'pan',
        uses: brief.uses('oil', 'sauce', 'meat'),
        perBatch: 3,
        floorCm2: 160,
        doneWhen: 'steaming hot all through, grains apart',
        cautions: [HOT_FAT, 'Steaming hot all through: 74 °C. What is left over is not heated a second time.'],
      },
    );
    return {
      steps: present([cut, scramble, toss]),
      links: [overnight(follow('cut', 'fry', 0, 60, 20)), ...(scramble ? [follow('egg', 'fry', 0, 5, 0)] : [])],
      vessels: [pot('pan', 'wide pan', ['pan'], 2, egg ? 'egg' : 'fry', 'fry', { grows: false, widthCm: 26 })],
      lands: { step: 'fry', waits: waits('hot', 5, 12, 'covered') },
    };
  },
};

const omelette: Technique = {
  id: 'omelette',
  name: 'Thick omelette',
  family: 'pan',
  says: 'Vegetables softened, eggs poured over, set slowly and turned: hot, warm or cold.',
  choices: [
    {
      id: 'top',
      asks: 'How does the top set?',
      ways: [
        {
          id: 'turn',
          says: 'turned with a plate',
          because: 'Both sides gold; a bold wrist, and a plate wider than the pan.',
        },
        { id: 'oven', says: 'under the grill', because: 'Nothing to turn; the pan must bear the heat.' },
      ],
    },
  ],
  slots: [
    slot('eggs', 'eggs', 'eggs', 2, 'piece', { allergens: ['eggs'] }),
    slot('main', 'what is in it', 'waxy potatoes', 110, 'g', { cut: 'in thin slices', takes: ['fried slices'] }),
    slot('onion', 'onion', 'onion', 0.25, 'piece', { cut: 'sliced', mayMiss: true }),
    slot('oil', 'oil', 'olive oil', 1, 'tbsp', { takes: ['kept oil'] }),
    salt(0.25),
  ],
  mistakes: ['A high flame: brown outside, raw inside.'],
  build: (brief) => {
    const ready = brief.handed('main') !== null;
    const oven = brief.way('top') === 'oven';
    const cut = chop(
      'cut',
      'slice',
      [4, 6, 9],
      ready ? 'Slice the onion.' : `Slice ${brief.named('main')} and the onion thin.`,
      {
        uses: brief.uses(...(ready ? [] : ['main']), 'onion'),
      },
    );
    const soften = fry(
      'soften',
      'soften',
      'low',
      ready ? [4, 5, 7] : [14, 18, 24],
      'Slowly in the oil, without colour, until soft.',
      {
        vessel: 'pan',
        uses: brief.uses('oil', 'salt', ...(ready ? ['main'] : [])),
        doneWhen: 'a knife goes in',
      },
    );
    const pour = fry(
      'set',
      'pour, set',
      'low',
      [6, 8, 11],
      'The beaten eggs over it, drawn in from the rim; low until only the top is wet.',
      {
        vessel: 'pan',
        uses: brief.uses('eggs'),
        doneWhen: 'set but for the top',
      },
    );
    const top = oven
      ? bake('top', 'grill the top', 230, 1, [4, 5, 7], 'Under the hot grill.', {
          vessel: 'pan',
          attention: 'eyes',
          lookEvery: 2,
          doneWhen: 'gold and firm',
          cautions: ['The handle comes out as hot as the oven.'],
        })
      : fry('top', 'turn, other side', 'low', [4, 5, 7], 'A flat plate on the pan, over in one turn, and slid back.', {
          vessel: 'pan',
          doneWhen: 'firm all through',
          cautions: ['Hot fat runs out when it is turned: away from you, sleeve down.'],
        });
    return {
      steps: [cut, soften, pour, top],
      links: [follow('cut', 'soften', 0, 60, 20), ...chain([soften, pour, top])],
      vessels: [
        pot('pan', 'pan', ['pan'], Math.max(1, Math.round(brief.servings * 3) / 10), 'soften', 'top', { widthCm: 22 }),
      ],
      lands: { step: 'top', waits: waits('warm', 30, 60, 'on a plate, covered') },
    };
  },
};

const ovenBread: Technique = {
  id: 'oven-bread',
  name: 'Loaf or flat loaves from the oven',
  family: 'bread',
  says: 'Flour, water, salt and yeast, time, and the hottest oven there is.',
  choices: [
    {
      id: 'rise',
      asks: 'How long does it rise?',
      ways: [
        { id: 'hours', says: 'an hour and a half', because: 'Made and baked on the day; mild.' },
        {
          id: 'night',
          says: 'a night in the cold',
          because: 'Kneading is done the day before; tastier, and it waits.',
        },
      ],
    },
    {
      id: 'shape',
      asks: 'What shape?',
      ways: [
        { id: 'flat', says: 'flat loaves', because: 'Twelve minutes: torn at the table.' },
        { id: 'loaf', says: 'one loaf', because: 'Thirty-five minutes, and it must cool before the knife.' },
      ],
    },
  ],
  slots: [
    slot('flour', 'flour', 'strong flour', 90, 'g', { allergens: ['gluten'] }),
    slot('water', 'water', 'lukewarm water', 60, 'ml'),
    slot('yeast', 'yeast', 'dried yeast', 0.25, 'tsp'),
    salt(0.3),
    slot('top', 'what is on top', 'nigella seeds', 0.2, 'tsp', { mayMiss: true }),
  ],
  mistakes: ['An oven that is not hot through: pale and hard.', 'Cut while it is hot: it turns to paste.'],
  build: (brief) => {
    const night = brief.way('rise') === 'night';
    const loaf = brief.way('shape') === 'loaf';
    const ahead = night ? { ahead: true, daysBefore: 1 } : {};
    const knead = work('knead', 'knead', [9, 12, 15], 'Flour, water, yeast and salt, kneaded until it is smooth.', {
      uses: brief.uses('flour', 'water', 'yeast', 'salt'),
      vessel: 'bowl',
      ...ahead,
    });
    const rise = night
      ? chill('rise', 'rise in the cold', 600, 'Covered, in the fridge.', {
          vessel: 'bowl',
          ahead: true,
          doneWhen: 'twice the size',
        })
      : rest('rise', 'rise', [75, 90, 150], 'Covered, in a warm place.', {
          vessel: 'bowl',
          doneWhen: 'twice the size',
        });
    const shape = work(
      'shape',
      'shape',
      [5, 7, 10],
      loaf ? 'Fold it to a ball, seam down on paper.' : 'Press it out in flat rounds on paper.',
      {
        uses: brief.uses('top'),
        steady: false,
      },
    );
    const prove = rest('prove', 'rise again', [20, 30, 50], 'Under a cloth.', {
      doneWhen: 'it comes back slowly under a finger',
    });
    const cook = bake(
      'bake',
      'bake',
      230,
      1,
      loaf ? [30, 35, 42] : [11, 13, 17],
      'Into the hottest oven, onto a hot tray.',
      {
        vessel: 'tray',
        attention: 'eyes',
        lookEvery: loaf ? 15 : 6,
        doneWhen: 'it sounds hollow',
      },
    );
    const cool = loaf ? rest('cool', 'cool', [30, 40, 240], 'On a rack.') : null;
    const last = cool?.id ?? 'bake';
    return {
      steps: present([knead, rise, shape, prove, cook, cool]),
      links: [
        follow('knead', 'rise', 0, 0),
        follow('rise', 'shape', 0, night ? 480 : 30, night ? 240 : 10),
        ...chain([shape, prove]),
        follow('prove', 'bake', 0, 20, 5),
        ...(cool ? [follow('bake', 'cool', 0, 0)] : []),
      ],
      vessels: [
        pot('bowl', 'dough bowl', ['bowl'], Math.max(1, Math.round(brief.servings * 3.5) / 10), 'knead', 'rise', {
          wash: 2,
        }),
        pot('tray', 'tray', ['tray'], Math.max(1, Math.round(brief.servings * 2.5) / 10), 'bake', 'bake', { wash: 2 }),
      ],
      lands: { step: last, waits: waits('warm', loaf ? 240 : 20, loaf ? 480 : 45, 'wrapped in a cloth', 'wrapped') },
    };
  },
};

/** Techniques of frying, filling, steaming and stirring, and small parts for others. */
export const HAND_TECHNIQUES: readonly Technique[] = [
  stirred,
  friedGrain,
  deepFried,
  omelette,
  stuffed,
  sauce,
  steamed,
  ovenBread,
  saltDrained,
  spiceMix,
  spicedWater,
];
