import type { Step, VesselUse } from '@/core/dish/dish';
import type { Brief, Slot, Technique, WayChoice } from '@/core/dish/technique';
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
import { isFlesh } from '@/core/food/food';
import { foodsOf } from '@/core/food/known';
import { written } from '@/core/say/retold';
import {
  COOLING,
  capital,
  chain,
  gramsIn,
  HEAVY,
  HOT_FAT,
  MARINADE,
  ONION_COLOUR,
  offered,
  onionMinutes,
  present,
  salt,
  slot,
} from './words';

const whole = slot('spice', 'whole spices or herbs', 'bay', 2, 'leaf', { grows: false, mayMiss: true });

/** Which cut: it decides how long until it is tender. */
const CUT: WayChoice = {
  id: 'cut',
  asks: 'Which meat?',
  ways: [
    {
      id: 'pieces',
      says: 'pieces on the bone',
      because: 'Goat, lamb or beef in pieces: 40 to 60 minutes to half cooked, an hour and more to tender.',
    },
    {
      id: 'poultry',
      says: 'poultry pieces',
      because: 'Fifteen to twenty minutes: longer, and they fall from the bone.',
    },
    { id: 'shanks', says: 'shanks', because: 'Eighty minutes to two hours, until it comes from the bone by itself.' },
    { id: 'joint', says: 'a whole joint', because: 'Two hours and more, barely moving; it is cut when it is cool.' },
  ],
};
const CUT_MINUTES = {
  pieces: [50, 65, 90],
  poultry: [18, 22, 30],
  shanks: [80, 100, 130],
  joint: [120, 145, 190],
} as const;
const CUT_INSTEAD: Readonly<Record<string, string>> = {
  pieces: 'lamb pieces on the bone',
  poultry: 'chicken thighs and drumsticks',
  shanks: 'beef shanks',
  joint: 'a shoulder of lamb',
};

/** Six parts put in, about five left after a quarter of an hour at a full boil. Common practice, no source. */
const LEFT_OF_BROTH = 5 / 6;

/** Boiled meat weighs so much of what it did raw. Common practice, no source. */
const LEFT_OF_MEAT = 0.7;

/** The animal in a name, for what comes of it: "lamb broth". */
const ANIMALS = /\b(lamb|mutton|goat|beef|veal|pork|chicken|duck|turkey|goose|rabbit|venison)\b/i;
const noun = (brief: Brief) => ANIMALS.exec(brief.item('meat')?.name ?? '')?.[0].toLowerCase() ?? 'meat';

/** Litres of water, and litres of broth that are there once it is measured. */
function brothOf(brief: Brief): { readonly poured: number; readonly left: number } {
  const poured = brief.item('water')!.amount.quantity / 1000;
  return { poured, left: brief.way('broth') === 'topped' ? poured : poured * LEFT_OF_BROTH };
}

/** To the boil and tender; under pressure that is one step. */
function boiling(brief: Brief): readonly Step[] {
  const minutes = CUT_MINUTES[brief.way('cut') as keyof typeof CUT_MINUTES] ?? CUT_MINUTES.pieces;
  const litres = brothOf(brief).poured + gramsIn(brief, 'meat') / 1000;
  const uses = brief.uses('water', 'onion', 'spice');
  if (brief.way('how') === 'pressure') {
    const third = (of: number): number => Math.round(of / 3) + 15;
    return [
      {
        ...leave(
          'cook',
          'pressure',
          'low',
          [third(minutes[0]), third(minutes[1]), third(minutes[2])],
          'Everything in, closed, up to pressure (a whistle every few minutes), then low; let the pressure go by itself.',
          { uses, doneWhen: 'the pressure has gone, and a fork turns' },
        ),
        place: { at: 'appliance', appliance: 'pressure-cooker', litres: Math.round(litres * 15) / 10 },
      },
    ];
  }
  return [
    simmer(
      'boil',
      'meat to the boil',
      'full',
      [9, 13, 18],
      'Cold water on the meat, onion and spices in, up to the boil; skim what rises.',
      { vessel: 'meat', uses, boils: [litres, 12], doneWhen: 'it rolls, and no more grey foam rises' },
    ),
    simmer(
      'cook',
      'simmer the meat',
      'low',
      minutes,
      'Turn down, lid ajar. Look, skim, and add boiling water where the meat stands out of it.',
      {
        vessel: 'meat',
        lookEvery: brief.way('cut') === 'poultry' ? 8 : 15,
        doneWhen: 'a fork turns in it: a finding, not a time',
      },
    ),
  ];
}

function straining(brief: Brief): Step {
  const then =
    brief.way('broth') === 'topped'
      ? 'Top it up with boiling water to what is wanted.'
      : 'Write down how much there is: the grain follows it.';
  return work(
    'strain',
    'strain, measure',
    [4, 6, 9],
    `Lift the meat out, strain the broth and measure it. ${then} Salt it until it tastes a little too salty: grain dulls salt.`,
    {
      ...(brief.way('how') === 'pressure' ? {} : { vessel: 'meat' }),
      uses: brief.uses('salt'),
      doneWhen: 'measured and tasted',
      cautions: [HEAVY, COOLING],
    },
  );
}

function browning(brief: Brief): Step | null {
  const uses = brief.uses('oil');
  switch (brief.way('after')) {
    case 'fried':
      return fry('brown', 'fry the meat', 'full', [4, 5, 7], 'Dry the meat well; brown it in one layer, turned once.', {
        vessel: 'pan',
        uses,
        perBatch: 4,
        floorCm2: 110,
        doneWhen: 'a brown crust all round',
        cautions: [HOT_FAT],
      });
    case 'baked':
      return bake('brown', 'brown the meat', 210, 1, [12, 15, 20], 'On a tray with the fat, into the hot oven.', {
        vessel: 'tray',
        uses,
        attention: 'eyes',
        lookEvery: 8,
        doneWhen: 'brown at the edges',
      });
    default:
      return null;
  }
}

/** The pot that it boils in, and what it is browned in. */
function boiledIn(brief: Brief): readonly VesselUse[] {
  const litres = Math.round((brothOf(brief).poured + gramsIn(brief, 'meat') / 1000) * 13) / 10;
  const after = brief.way('after');
  return present([
    brief.way('how') === 'hob' && pot('meat', 'meat pot', ['pot', 'casserole'], litres, 'boil', 'strain', { wash: 6 }),
    after === 'fried' && pot('pan', 'pan', ['pan'], 1, 'brown', 'brown', { grows: false, widthCm: 24 }),
    after === 'baked' &&
      pot('tray', 'tray', ['tray'], Math.max(1, Math.round(brief.servings * 3) / 10), 'brown', 'brown'),
  ]);
}

const boiledMeat: Technique = {
  id: 'boiled-meat',
  name: 'Meat boiled for its broth',
  family: 'meat',
  says: 'Meat in water until tender; lifted out, the broth strained and measured: both are used.',
  choices: [
    CUT,
    {
      id: 'how',
      asks: 'How?',
      ways: [
        {
          id: 'hob',
          says: 'on the hob',
          because: 'One can look, skim and add water; tough meat takes as long as it takes.',
        },
        {
          id: 'pressure',
          says: 'under pressure',
          because: 'A third of the time, and less boils off; by whistles or by minutes, and nobody can look.',
        },
      ],
    },
    {
      id: 'broth',
      asks: 'When the broth is measured?',
      ways: [
        {
          id: 'as-it-is',
          says: 'kept as it is',
          because: 'Stronger, and less of it: of six mugs about five are left after a quarter of an hour of full boil.',
        },
        {
          id: 'topped',
          says: 'topped up with boiling water',
          because: 'What boiled off comes back from the kettle: there is as much as went in, a little thinner.',
        },
      ],
    },
    {
      id: 'after',
      asks: 'And the meat?',
      ways: [
        { id: 'plain', says: 'kept in a ladle of broth', because: 'Soft and moist, and no more work.' },
        {
          id: 'fried',
          says: 'fried brown',
          because: 'A crust, in batches that cover the pan once: five minutes of hands for each; it spits.',
        },
        {
          id: 'baked',
          says: 'browned in the oven',
          because: 'The same without standing by it; it wants the oven hot.',
        },
      ],
    },
  ],
  slots: [
    slot('meat', 'the meat', 'lamb pieces on the bone', 250, 'g'),
    slot('water', 'the water', 'cold water', 280, 'ml'),
    slot('onion', 'an onion', 'onion', 0.25, 'piece', { cut: 'halved', mayMiss: true }),
    whole,
    salt(0.3),
    slot('oil', 'fat to brown it in', 'oil', 0.5, 'tbsp'),
  ],
  instead: (way) => ({ meat: { name: CUT_INSTEAD[way('cut')] ?? 'meat' } }),
  mistakes: [
    'Pouring the broth away, or into the grain without measuring it.',
    'Boiling it hard all the time: the meat turns dry and the broth cloudy.',
  ],
  build: (brief) => {
    const ready = work('ready', 'ready the meat', [4, 6, 9], 'Trim the meat and dry it; cut what is large.', {
      uses: brief.uses('meat'),
      steady: false,
    });
    const cooking = boiling(brief);
    const strain = straining(brief);
    const brown = browning(brief);
    const last = brown?.id ?? 'strain';
    const grams = gramsIn(brief, 'meat') * LEFT_OF_MEAT;
    const broth = {
      product: 'broth',
      name: written('{meat} broth, hot', { meat: noun(brief) }),
      step: 'strain',
    } as const;
    const amount = { quantity: Math.round(brothOf(brief).left * 100) / 100, unit: 'l' } as const;
    return {
      steps: present([ready, ...cooking, strain, brown]),
      links: [
        follow('ready', cooking[0]!.id, 0, 60, 20),
        ...chain(cooking),
        follow('cook', 'strain', 0, 40, 10),
        ...(brown ? [follow('strain', 'brown', 0, 40, 10)] : []),
      ],
      vessels: boiledIn(brief),
      gives: [{ ...broth, amount, overnight: true }],
      offers: [
        { ...broth, amount, within: 120, rather: 30, overnight: true },
        offered('boiled meat', written('boiled {meat}', { meat: noun(brief) }), last, grams, brown ? 40 : 60, {
          rather: brown ? 15 : 30,
          ...(brown ? {} : { overnight: true }),
        }),
      ],
      lands: {
        step: last,
        waits: brown
          ? waits('hot', 8, 15, 'under foil on a warm plate')
          : overnight(waits('hot', 25, 45, 'covered, in a ladle of its broth')),
      },
    };
  },
};

/** How long what is marinated lies. */
const LIES: WayChoice = {
  id: 'lies',
  asks: 'How long does it lie?',
  ways: [
    { id: 'hours', says: 'one to six hours', because: 'Spice and salt take hold; in the fridge, begun at noon.' },
    { id: 'night', says: 'a night', because: 'Sour and spice go to the bone; more than a day turns it soft as paste.' },
  ],
};

function lying(brief: Brief): { readonly steps: readonly Step[]; readonly most: number } {
  const night = brief.way('lies') === 'night';
  const mix = work(
    'mix',
    'mix, marinate',
    [5, 7, 10],
    'Cut the meat; turn it in the marinade until every piece is coated.',
    {
      uses: brief.uses('meat', 'yogurt', 'sour', 'garlic', 'rub', 'salt'),
      steady: false,
      cautions: [MARINADE],
      ...(night ? { ahead: true, daysBefore: 1 } : {}),
    },
  );
  const lie = night
    ? chill('lie', 'marinate', 600, 'Covered, in the fridge, overnight.', {
        ahead: true,
        doneWhen: 'the morning comes',
      })
    : chill('lie', 'marinate', [60, 90, 360], 'Covered, in the fridge.', { doneWhen: 'an hour at the least is over' });
  return { steps: [mix, lie], most: night ? 720 : 270 };
}

const marinadeSlots: readonly Slot[] = [
  slot('meat', 'the meat', 'chicken thighs, in pieces', 220, 'g'),
  slot('yogurt', 'yogurt', 'yogurt', 45, 'ml', { allergens: ['milk'], mayMiss: true }),
  slot('sour', 'something sour', 'lemon juice', 0.4, 'tbsp', { mayMiss: true }),
  slot('garlic', 'garlic and ginger', 'garlic and ginger', 0.7, 'clove', { cut: 'crushed', mayMiss: true }),
  slot('rub', 'ground spices', 'cumin, coriander and chilli, ground', 0.8, 'tsp', { takes: ['spice mix'] }),
  salt(0.35),
];

const marinated: Technique = {
  id: 'marinated-meat',
  name: 'Meat marinated, to be cooked in something else',
  family: 'meat',
  partOnly: true,
  says: 'Pieces in yogurt, sour and spice, in the cold; it goes raw into the pot that it is cooked in.',
  choices: [LIES],
  slots: marinadeSlots,
  mistakes: ['Leaving it at the stove: it belongs in the fridge until it is laid in.'],
  build: (brief) => {
    const { steps, most } = lying(brief);
    return {
      steps,
      links: [follow('mix', 'lie', 0, 10, 0)],
      offers: [
        offered(
          'marinated meat',
          written('marinated {meat}, raw', { meat: noun(brief) }),
          'lie',
          gramsIn(brief, 'meat') + gramsIn(brief, 'yogurt'),
          most,
        ),
      ],
      lands: null,
    };
  },
};

/** By what is in the pot: how long until it is done through. */
function simmering(brief: Brief): readonly [number, number, number] {
  const flesh = foodsOf(brief.item('meat') ?? { name: '' }).filter(isFlesh);
  const bird = flesh.length > 0 && flesh.every(({ kind, bird: isBird }) => kind === 'poultry' || isBird === true);
  return bird ? [28, 35, 45] : [60, 80, 110];
}

/** The last word of a stew: salt, sweet, sour and heat, each a little at a time. */
const balanced = (uses: readonly string[]) =>
  work(
    'balance',
    'taste, balance',
    [3, 4, 6],
    'Taste, and put right one thing at a time: salt first, then sweet, then sour, then heat; a small spoon of it, stir, taste again.',
    { vessel: 'pot', uses, doneWhen: 'nothing sticks out', cautions: [COOLING] },
  );

const yogurtCurry: Technique = {
  id: 'yogurt-curry',
  name: 'Curry in yogurt, marinated',
  family: 'meat',
  says: 'Marinated meat sealed in the onions’ fat, yogurt stirred in by the spoon, simmered until the fat stands above.',
  choices: [LIES, ONION_COLOUR],
  slots: [
    ...marinadeSlots,
    slot('onions', 'onions', 'onions', 0.5, 'piece', { cut: 'thinly sliced' }),
    slot('oil', 'the fat', 'oil', 0.8, 'tbsp', { takes: ['kept oil'] }),
    slot('more', 'yogurt for the sauce', 'yogurt, beaten smooth', 50, 'ml', { allergens: ['milk'] }),
    slot('water', 'water', 'water', 50, 'ml', { takes: ['broth', 'spiced water'] }),
    slot('spice', 'whole spices', 'cardamom pods', 1, 'piece', { mayMiss: true }),
  ],
  mistakes: [
    'All the yogurt at once, or over a high flame: it splits.',
    'The marinade’s solids left in the dry pan: they burn.',
  ],
  build: (brief) => {
    const { steps, most } = lying(brief);
    const slice = chop('slice', 'slice onions', [4, 6, 9], 'Slice the onions thin and even.', {
      uses: brief.uses('onions'),
    });
    const onions = fry(
      'onions',
      'onions',
      'medium',
      onionMinutes(brief.way('onions')),
      'Whole spices into the hot fat for half a minute, then the onions to their colour; a splash of water stops them.',
      {
        vessel: 'pot',
        uses: brief.uses('oil', 'spice'),
        perBatch: 8,
        floorCm2: 45,
        doneWhen: 'the colour that is wanted',
      },
    );
    const seal = fry(
      'seal',
      'seal the meat',
      'full',
      [6, 8, 11],
      'The meat in with its marinade, turned until it is no more raw outside.',
      { vessel: 'pot', doneWhen: 'no raw colour is left outside', cautions: [HOT_FAT] },
    );
    const stir = fry(
      'yogurt',
      'stir in yogurt',
      'low',
      [4, 5, 7],
      'Yogurt by the spoon over a low flame, stirring all the time, each taken up before the next.',
      { vessel: 'pot', uses: brief.uses('more'), doneWhen: 'smooth, and the fat begins to part' },
    );
    const cook = simmer('cook', 'simmer', 'lowest', simmering(brief), 'The water in, lid on, barely moving.', {
      vessel: 'pot',
      uses: brief.uses('water'),
      lookEvery: 12,
      doneWhen: 'tender, and the fat stands above',
    });
    const last = balanced([]);
    return {
      steps: [...steps, slice, onions, seal, stir, cook, last],
      links: [
        follow('mix', 'lie', 0, 10, 0),
        follow('lie', 'seal', 0, most),
        follow('slice', 'onions', 0, 240),
        ...chain([onions, seal, stir, cook]),
        overnight(follow('cook', 'balance', 0, 60, 20)),
      ],
      vessels: [
        pot(
          'pot',
          'curry pot',
          ['pot', 'casserole'],
          Math.max(1.5, Math.round(brief.servings * 5.5) / 10),
          'onions',
          'balance',
          { wash: 8 },
        ),
      ],
      offers: [
        offered(
          'meat in gravy',
          written('{meat} in yogurt gravy', { meat: noun(brief) }),
          'balance',
          gramsIn(brief, 'meat') + gramsIn(brief, 'more') + gramsIn(brief, 'water'),
          60,
          { rather: 20, overnight: true },
        ),
      ],
      lands: { step: 'balance', waits: overnight(waits('hot', 30, 60, 'covered, on the lowest heat')) },
    };
  },
};

const COCONUT_OF: WayChoice = {
  id: 'of',
  asks: 'What is it of?',
  ways: [
    { id: 'fish', says: 'fish', because: 'Four to six minutes in the barely moving sauce, last of all.' },
    { id: 'poultry', says: 'poultry in pieces', because: 'Twenty-five minutes in the thin milk before anything soft.' },
    { id: 'meat', says: 'beef, lamb or goat', because: 'An hour and a half in the thin milk: the rest waits for it.' },
    { id: 'vegetables', says: 'vegetables alone', because: 'By fibre: roots and stalks, then pods, then leaves.' },
    { id: 'pulses', says: 'cooked pulses', because: 'They only warm through and take the taste: ten minutes.' },
  ],
};
const COCONUT_MINUTES: Readonly<Record<string, Times>> = {
  poultry: [22, 26, 34],
  meat: [75, 95, 125],
  vegetables: [8, 10, 14],
  pulses: [8, 10, 14],
  fish: [8, 10, 14],
};
const COCONUT_INSTEAD: Readonly<Record<string, string>> = {
  fish: 'firm white fish, in chunks',
  poultry: 'chicken thighs, in pieces',
  meat: 'stewing beef, in pieces',
  vegetables: 'squash, in 2 cm dice',
  pulses: 'cooked chickpeas',
};

const coconutCurry: Technique = {
  id: 'coconut-curry',
  name: 'Coconut curry by fibre',
  family: 'pot',
  says: 'Paste fried in the thick of the coconut, thin milk, what is firm, what is soft, thick milk, and the balance.',
  choices: [COCONUT_OF],
  slots: [
    slot('main', 'what it is of', 'firm white fish, in chunks', 150, 'g', {
      takes: ['cooked pulses', 'boiled meat', 'fried pieces', 'boiled eggs'],
    }),
    slot('firm', 'firm vegetables', 'carrots', 50, 'g', { cut: 'in thin sticks', mayMiss: true }),
    slot('soft', 'soft vegetables', 'peppers', 50, 'g', { cut: 'in strips', mayMiss: true }),
    slot('leaves', 'leaves', 'spinach', 30, 'g', { cut: 'washed', mayMiss: true }),
    slot('paste', 'the paste', 'chilli, ginger and lime leaf paste', 0.8, 'tbsp', { takes: ['spice mix'] }),
    slot('oil', 'the fat', 'oil', 0.4, 'tbsp', { takes: ['kept oil'] }),
    slot('milk', 'coconut milk', 'coconut milk', 100, 'ml'),
    slot('water', 'water', 'water', 50, 'ml', { takes: ['broth'] }),
    salt(0.2),
    slot('sweet', 'something sweet', 'brown sugar', 0.25, 'tsp', { mayMiss: true }),
    slot('sour', 'something sour', 'lime juice', 0.3, 'tbsp', { mayMiss: true }),
  ],
  instead: (way) => ({
    main: {
      name: COCONUT_INSTEAD[way('of')] ?? 'fish',
      ...(way('of') === 'fish' ? { allergens: ['fish'] } : {}),
    },
  }),
  mistakes: [
    'Boiling it hard once the thick milk is in: its fat parts.',
    'Sour and salt all at once: it cannot be taken out again.',
  ],
  build: (brief) => {
    const of = brief.way('of');
    const late = of === 'fish' || of === 'pulses';
    const cut = chop('cut', 'cut', [6, 9, 13], 'Cut everything, each in its own bowl, in the order it goes in.', {
      uses: brief.uses(...(brief.handed('main') ? [] : ['main']), 'firm', 'soft', 'leaves'),
    });
    const paste = fry(
      'paste',
      'fry the paste',
      'medium',
      [4, 6, 8],
      'Two spoons of the thick of the milk with the fat; fry the paste in it until the raw smell is gone and the fat parts.',
      {
        vessel: 'pot',
        uses: brief.uses('paste', 'oil'),
        doneWhen: 'the fat parts from it',
        cautions: ['Chilli in hot fat stings eyes and throat: window open.'],
      },
    );
    const firm = simmer(
      'firm',
      'what is firm',
      'low',
      COCONUT_MINUTES[of] ?? [8, 10, 14],
      late
        ? 'Half the milk and the water in, salt, and what is firm.'
        : `Half the milk, the water and salt in, with ${brief.named('main')} and what is firm.`,
      {
        vessel: 'pot',
        uses: brief.uses('milk', 'water', 'salt', ...(late || !brief.handed('main') ? [] : ['main'])),
        lookEvery: of === 'meat' ? 20 : 6,
        doneWhen: of === 'meat' ? 'a fork turns in the meat' : 'a knife goes in with a little push',
      },
    );
    const soft = simmer(
      'soft',
      'what is soft',
      'low',
      of === 'fish' ? [5, 6, 8] : [4, 5, 7],
      of === 'fish'
        ? `The soft things and ${brief.named('main')} in; not stirred, only moved.`
        : late
          ? `${capital(brief.named('main'))} and the soft things in; let them take the taste.`
          : 'The soft things in.',
      {
        vessel: 'pot',
        uses: brief.uses(...(late && brief.handed('main') ? ['main'] : [])),
        lookEvery: 3,
        doneWhen: of === 'fish' ? 'the fish is opaque and flakes' : 'soft, and still of a colour',
      },
    );
    const thick = simmer(
      'thick',
      'thick milk, leaves',
      'lowest',
      [3, 4, 6],
      'The rest of the milk and the leaves; hot, not boiling.',
      { vessel: 'pot', lookEvery: 3, doneWhen: 'it steams' },
    );
    const last = balanced(brief.uses('sweet', 'sour'));
    return {
      steps: [cut, paste, firm, soft, thick, last],
      links: [
        overnight(follow('cut', 'firm', 0, 240)),
        ...chain([paste, firm]),
        follow('firm', 'soft', 0, of === 'meat' || of === 'poultry' ? 30 : 0),
        ...chain([soft, thick]),
        follow('thick', 'balance', 0, 5, 0),
      ],
      vessels: [
        pot(
          'pot',
          'curry pot',
          ['pot', 'casserole'],
          Math.max(1.5, Math.round(brief.servings * 5.5) / 10),
          'paste',
          'balance',
        ),
      ],
      lands: {
        step: 'balance',
        waits: waits('hot', of === 'fish' ? 8 : 20, of === 'fish' ? 15 : 40, 'covered, hot but not boiling'),
      },
    };
  },
};

const bakedPieces: Technique = {
  id: 'baked-pieces',
  name: 'Marinated pieces, baked or grilled',
  family: 'meat',
  says: 'Pieces out of their marinade onto a hot tray, basted and turned; boiled half first where they are thick.',
  choices: [
    LIES,
    {
      id: 'first',
      asks: 'Boil them first?',
      ways: [
        { id: 'raw', says: 'straight in', because: 'All the taste stays in; the middle must be measured.' },
        {
          id: 'parboiled',
          says: 'boiled half first',
          because: 'Twelve minutes in salted water: done inside before the outside burns, and the oven is short.',
        },
      ],
    },
    {
      id: 'heat',
      asks: 'In what heat?',
      ways: [
        { id: 'oven', says: 'a hot oven', because: 'Heat from all sides, and one can do something else.' },
        { id: 'grill', says: 'under the grill', because: 'Char and smoke in half the time; one stays by it.' },
      ],
    },
  ],
  slots: [
    ...marinadeSlots.map((each) =>
      each.id === 'meat' ? { ...each, usual: 'chicken legs', amount: { quantity: 280, unit: 'g' } as const } : each,
    ),
    slot('oil', 'fat to baste with', 'oil', 0.4, 'tbsp', { takes: ['kept oil'] }),
    slot('water', 'salted water', 'water', 250, 'ml'),
  ],
  mistakes: [
    'Basting with what held raw meat in the last ten minutes.',
    'A crowded tray: they stew in what they lose.',
  ],
  build: (brief) => {
    const { steps, most } = lying(brief);
    const parboiled = brief.way('first') === 'parboiled';
    const grilled = brief.way('heat') === 'grill';
    const parboil = parboiled
      ? simmer(
          'parboil',
          'boil half',
          'medium',
          [11, 13, 17],
          'Scrape off the marinade and keep it; the pieces into simmering water, then let them drip off.',
          { vessel: 'pot', uses: brief.uses('water'), lookEvery: 6, doneWhen: 'firm outside' },
        )
      : null;
    const lay = work(
      'lay',
      'onto the tray',
      [3, 4, 6],
      parboiled
        ? 'Boil the marinade up once; the pieces on the tray, brushed with it and the fat.'
        : 'Scrape off the marinade; the pieces on the tray, a finger apart, brushed with the fat.',
      { vessel: 'tray', uses: brief.uses('oil'), steady: false },
    );
    const minutes: Times = parboiled ? (grilled ? [8, 10, 14] : [14, 17, 22]) : grilled ? [20, 24, 30] : [30, 36, 44];
    const cook = bake(
      'bake',
      grilled ? 'grill' : 'bake',
      grilled ? 250 : 220,
      1,
      minutes,
      grilled ? 'High under the hot grill, turned once.' : 'Into the hot oven, turned once.',
      {
        vessel: 'tray',
        attention: 'eyes',
        lookEvery: grilled ? 5 : 12,
        doneWhen: 'dark at the edges, the juice runs clear',
        cautions: ['What held raw meat is boiled before it goes on again, or thrown away.'],
      },
    );
    const still = rest('rest', 'rest', [4, 5, 10], 'On a warm plate under foil.');
    return {
      steps: present([...steps, parboil, lay, cook, still]),
      links: [
        follow('mix', 'lie', 0, 10, 0),
        follow('lie', parboil?.id ?? 'lay', 0, most),
        ...(parboil ? [follow('parboil', 'lay', 0, 30, 5)] : []),
        follow('lay', 'bake', 0, 30, 10),
        follow('bake', 'rest', 0, 0),
      ],
      vessels: [
        ...(parboil
          ? [pot('pot', 'boiling pot', ['pot'], Math.max(2, Math.round(brief.servings * 6) / 10), 'parboil', 'parboil')]
          : []),
        pot('tray', 'tray', ['tray'], Math.max(1, Math.round(brief.servings * 3.5) / 10), 'lay', 'bake', { wash: 8 }),
      ],
      offers: [
        offered(
          'fried pieces',
          written('baked {meat} pieces', { meat: noun(brief) }),
          'rest',
          gramsIn(brief, 'meat') * 0.75,
          40,
          {
            rather: 15,
          },
        ),
      ],
      lands: { step: 'rest', waits: waits('hot', 10, 20, 'under foil on a warm plate') },
    };
  },
};

/** Techniques for meat and what it gives: broth, gravy, marinades. */
export const BROTH_TECHNIQUES: readonly Technique[] = [boiledMeat, marinated, yogurtCurry, coconutCurry, bakedPieces];
