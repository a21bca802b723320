import type { Step } from '@/core/dish/dish';
import type { Brief, Built, Slot, Technique } from '@/core/dish/technique';
import {
  atOnce,
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
  waits,
  work,
} from '@/core/dish/write';
import { foodsOf } from '@/core/food/known';
import { LIMITS } from '@/core/heat/safe-limits';
import { written } from '@/core/say/retold';
import {
  BEANS,
  byAmount,
  COOLING,
  chain,
  EGGS,
  gramsIn,
  HOT_FAT,
  ONION_COLOUR,
  offered,
  onionMinutes,
  present,
  SPROUTS,
  STEAM,
  salt,
  slot,
} from './words';

const oil = (tablespoons: number) => slot('oil', 'the fat', 'oil', tablespoons, 'tbsp', { grows: false });

/** Floor that the onions of a portion cover, sliced thin: half of one, 55 g. Common practice, no source. */
const LAYER_OF_ONIONS = 90;

const curry: Technique = {
  id: 'curry',
  name: 'Onion-based curry',
  family: 'pot',
  says: 'Onions to a colour, paste until the raw smell goes, then what it is of, simmered until the fat parts.',
  choices: [
    ONION_COLOUR,
    {
      id: 'body',
      asks: 'What makes it creamy?',
      ways: [
        { id: 'tomato', says: 'tomato', because: 'Sharp and red; ten more minutes until its tang is gone.' },
        {
          id: 'coconut',
          says: 'coconut milk',
          because: 'Mild; it goes in late and must not boil hard, or its fat parts.',
        },
      ],
    },
  ],
  instead: (way) =>
    way('body') === 'coconut' ? { body: { name: 'coconut milk', amount: { quantity: 60, unit: 'ml' } } } : {},
  slots: [
    slot('main', 'what it is of', 'squash', 170, 'g', {
      cut: 'in 2 cm dice',
      takes: ['fried slices', 'fried pieces', 'boiled meat', 'cooked pulses', 'boiled eggs'],
    }),
    slot('onions', 'onions', 'onions', 0.5, 'piece', { cut: 'thinly sliced' }),
    slot('garlic', 'garlic and ginger', 'garlic', 0.6, 'clove', { cut: 'crushed', mayMiss: true }),
    { ...oil(0.75), grows: true, takes: ['kept oil'] },
    slot('spice', 'ground spices', 'coriander and cumin, ground', 0.7, 'tsp', { takes: ['spice mix'] }),
    slot('body', 'tomato or coconut milk', 'chopped tomatoes', 70, 'g'),
    slot('water', 'water', 'water', 60, 'ml'),
    salt(0.25),
  ],
  mistakes: ['Onions by the clock, not by colour.', 'Spice in too hot fat: it burns in a moment.'],
  build: (brief) => {
    const late = brief.way('body') === 'coconut';
    const coconutGrams = brief.item('body')?.amount.quantity ?? 0;
    const ready = brief.handed('main') !== null;
    const cut = ready
      ? null
      : chop('cut', 'cut', [7, 10, 14], `Cut ${brief.named('main')}.`, {
          uses: brief.uses('main'),
        });
    const slice = chop('slice', 'slice onions', [5, 6, 9], 'Slice the onions thin and even; crush the garlic.', {
      uses: brief.uses('onions', 'garlic'),
    });
    const onions = fry(
      'onions',
      'onions',
      'medium',
      onionMinutes(brief.way('onions')),
      'Fry the onions to their colour; a splash of water stops them.',
      {
        vessel: 'pot',
        uses: brief.uses('oil'),
        // More than two layers of them steam and never colour: for many, one lot after another.
        perBatch: 8,
        floorCm2: LAYER_OF_ONIONS / 2,
        doneWhen:
          { soft: 'soft and clear', golden: 'gold', dark: 'the colour of chestnuts' }[brief.way('onions')] ?? 'gold',
      },
    );
    const spice = fry('spice', 'spice', 'medium', [2, 2, 3], 'Garlic one minute, then the spices one more.', {
      vessel: 'pot',
      uses: brief.uses('spice'),
      doneWhen: 'the raw smell is gone',
      cautions: ['Spice catches in a moment: have water beside you.'],
    });
    const sauce = late
      ? null
      : fry('sauce', 'tomato', 'medium', [8, 10, 13], 'The tomatoes, stirred until the fat parts.', {
          vessel: 'pot',
          uses: brief.uses('body'),
          doneWhen: 'the fat stands at the edge',
        });
    const cook = simmer(
      'cook',
      'simmer',
      'low',
      // What is cooked already only takes the taste.
      ready ? [8, 10, 14] : [14, 18, 25],
      `${brief.named('main')[0]!.toUpperCase()}${brief.named('main').slice(1)} in with water and salt, lid ajar.`,
      {
        vessel: 'pot',
        uses: brief.uses('water', 'salt', ...(ready ? ['main'] : [])),
        doneWhen: 'tender and still whole',
      },
    );
    const coconut = late
      ? simmer(
          'coconut',
          'coconut',
          'lowest',
          byAmount([4, 5, 7], coconutGrams / 240),
          'Stir in the coconut milk; hot, not boiling.',
          {
            vessel: 'pot',
            steady: false,
            uses: brief.uses('body'),
            doneWhen: 'it steams',
            cautions: [COOLING],
          },
        )
      : null;
    const hot = present([onions, spice, sauce, cook, coconut]);
    return {
      steps: present([cut, slice, ...hot]),
      links: [
        follow('slice', 'onions', 0, 240),
        ...(cut ? [follow('cut', 'cook', 0, 240)] : []),
        ...chain(hot.filter(({ id }) => id !== 'coconut')),
        ...(late ? [overnight(follow('cook', 'coconut', 0, 45, 20))] : []),
      ],
      vessels: [
        pot(
          'pot',
          'curry pot',
          ['pot', 'casserole'],
          Math.max(1.5, Math.round(brief.servings * 5) / 10),
          'onions',
          hot.at(-1)!.id,
        ),
      ],
      offers: [
        offered(
          'meat in gravy',
          `${brief.item('main')!.name} in its gravy`,
          hot.at(-1)!.id,
          gramsIn(brief, 'main') * 1.5,
          60,
          {
            rather: 20,
            overnight: true,
          },
        ),
      ],
      lands: { step: hot.at(-1)!.id, waits: overnight(waits('hot', 30, 60, 'covered, on the lowest heat')) },
    };
  },
};

const soup: Technique = {
  id: 'soup',
  name: 'Soup, blended or not',
  family: 'pot',
  says: 'Vegetables softened, liquid on, simmered, blended if you like.',
  choices: [
    {
      id: 'blend',
      asks: 'Blend it?',
      ways: [
        { id: 'yes', says: 'blended', because: 'Smooth, and it forgives uneven cutting: six more minutes of hands.' },
        { id: 'no', says: 'left in pieces', because: 'Each vegetable keeps its taste; cut them even.' },
      ],
    },
  ],
  slots: [
    slot('vegetables', 'the vegetables', 'carrots', 180, 'g', { cut: 'diced' }),
    slot('onions', 'onions', 'onions', 0.3, 'piece', { cut: 'chopped' }),
    oil(2),
    slot('water', 'the liquid', 'water', 220, 'ml', { takes: ['broth'] }),
    salt(0.3),
    slot('cream', 'cream', 'cream', 20, 'ml', { allergens: ['milk'], mayMiss: true }),
  ],
  mistakes: ['Too much liquid at once: thin it at the end.'],
  build: (brief) => {
    const cut = chop('cut', 'cut', [9, 12, 16], `Cut ${brief.named('vegetables')} and the onions.`, {
      uses: brief.uses('vegetables', 'onions'),
    });
    const sweat = fry('sweat', 'sweat', 'medium', [6, 8, 11], 'Soften everything in the fat without colour.', {
      vessel: 'pot',
      uses: brief.uses('oil', 'salt'),
      doneWhen: 'soft at the edges',
    });
    const boil = simmer('boil', 'boil', 'full', [6, 9, 13], 'Liquid on, to the boil.', {
      vessel: 'pot',
      uses: brief.uses('water'),
      boils: [(brief.item('water')!.amount.quantity * 1.5) / 1000, 25],
      doneWhen: 'it bubbles all over',
    });
    const cook = simmer('cook', 'simmer', 'low', [16, 20, 27], 'Lid ajar.', {
      vessel: 'pot',
      doneWhen: 'a piece crushes against the pot',
    });
    const blend =
      brief.way('blend') === 'yes'
        ? work('blend', 'blend', [5, 6, 8], 'Off the heat, blend smooth; taste.', {
            vessel: 'pot',
            uses: brief.uses('cream'),
          })
        : null;
    const warm = simmer(
      'warm',
      'keep warm',
      'lowest',
      [6, 8, 12],
      blend
        ? 'Back on the lowest heat.'
        : brief.has('cream')
          ? `Stir in ${brief.named('cream')}, taste, lowest heat.`
          : 'Taste, lowest heat.',
      { vessel: 'pot', uses: blend ? [] : brief.uses('cream'), doneWhen: 'steaming, not boiling', cautions: [COOLING] },
    );
    return {
      steps: present([cut, sweat, boil, cook, blend, warm]),
      links: [
        follow('cut', 'sweat', 0, 240),
        ...chain([sweat, boil, cook]),
        ...(blend
          ? [follow('cook', 'blend', 0, 20, 5), overnight(follow('blend', 'warm', 0, 60, 20))]
          : [overnight(follow('cook', 'warm', 0, 30, 10))]),
      ],
      vessels: [pot('pot', 'soup pot', ['pot'], Math.max(1.5, Math.round(brief.servings * 5.5) / 10), 'sweat', 'warm')],
      lands: { step: 'warm', waits: overnight(waits('hot', 25, 45, 'covered, stirred now and then')) },
    };
  },
};

const pulseSlots: readonly Slot[] = [
  slot('pulses', 'the pulses', 'dried chickpeas', 65, 'g'),
  slot('water', 'water', 'water', 260, 'ml'),
  slot('herbs', 'herbs', 'bay', 2, 'leaf', { grows: false, mayMiss: true }),
  salt(0.25),
  slot('finish', 'what finishes them', 'olive oil and lemon', 0.5, 'tbsp', { mayMiss: true }),
];

const finishPulses = (uses: readonly string[], vessel = true) =>
  work('finish', 'finish', [3, 4, 6], 'Salt, finish and taste; crush a few to thicken.', {
    ...(vessel ? { vessel: 'pot' } : {}),
    uses,
    cautions: [COOLING],
    doneWhen: 'it tastes whole',
  });
/** Dry pulses weigh two and a half times as much when they are cooked. Common practice, no source. */
const cookedPulses = (brief: Brief) =>
  offered(
    'cooked pulses',
    `cooked ${brief.item('pulses')!.name.replace(/^dried /, '')}`,
    'finish',
    gramsIn(brief, 'pulses') * 2.5,
    90,
    { overnight: true },
  );
const pulsesWait = overnight(waits('hot', 45, 90, 'covered, on the lowest heat'));

/** Minutes of full boil that the pulses want before all else: by what they are, and by what was chosen. */
function hardBoilOf(brief: Brief): number {
  const kidney =
    brief.way('which') === 'kidney' || foodsOf(brief.item('pulses')!).some(({ beans }) => beans === 'kidney');
  return kidney ? LIMITS.kidneyBoil.minutes : LIMITS.beanBoil.minutes;
}

const pulsesSoaked: Technique = {
  id: 'pulses-soaked',
  name: 'Beans, soaked overnight',
  family: 'pulses',
  says: 'Soaked from the evening before, boiled hard first, then simmered until tender.',
  choices: [
    {
      id: 'which',
      asks: 'Which?',
      ways: [
        { id: 'chickpeas', says: 'chickpeas or firm beans', because: 'An hour to an hour and a half after the soak.' },
        { id: 'soft', says: 'small or thin-skinned beans', because: 'Forty to sixty minutes.' },
        {
          id: 'kidney',
          says: 'red kidney beans',
          because: 'Thirty minutes of full boil before all else: raw they are poisonous.',
        },
      ],
    },
  ],
  instead: (way) => (way('which') === 'kidney' ? { pulses: { name: 'dried red kidney beans' } } : {}),
  slots: pulseSlots,
  mistakes: ['Salt or sour in too early: some say they stay hard.', 'Raw kidney beans in a slow cooker: never.'],
  build: (brief) => {
    const which = brief.way('which');
    const hardBoil = hardBoilOf(brief);
    const cover = work('cover', 'set to soak', 3, 'Pick them over; cover with three times as much cold water.', {
      vessel: 'bowl',
      uses: brief.uses('pulses'),
      ahead: true,
      daysBefore: 1,
    });
    const soak = rest('soak', 'soak', 480, 'Overnight in a cool place: eight hours at least, a day at most.', {
      vessel: 'bowl',
      ahead: true,
      doneWhen: 'twice the size',
    });
    const drain = work('drain', 'drain', 2, 'Throw the soaking water away and rinse.', { vessel: 'bowl', ahead: true });
    const boil = simmer('boil', 'boil', 'full', [9, 13, 18], 'Fresh water on, herbs in, to the boil; skim.', {
      vessel: 'pot',
      uses: brief.uses('water', 'herbs'),
      boils: [(brief.item('water')!.amount.quantity * 1.2) / 1000, 12],
      doneWhen: 'it rolls',
      cautions: [BEANS],
    });
    const rolling = simmer(
      'rolling',
      'rolling boil',
      'full',
      [hardBoil, hardBoil, hardBoil + 5],
      'At a full rolling boil.',
      {
        vessel: 'pot',
        lookEvery: 8,
        doneWhen: written('{minutes} minutes of full boil are over', { minutes: hardBoil }),
        cautions: [BEANS],
        safeMinutes: hardBoil,
      },
    );
    const tender = simmer(
      'tender',
      'until tender',
      'low',
      which === 'soft' ? [35, 45, 60] : [50, 65, 90],
      'Turn down, lid ajar; keep them covered with water.',
      { vessel: 'pot', lookEvery: 15, doneWhen: 'one crushes against the palate' },
    );
    return {
      steps: [cover, soak, drain, boil, rolling, tender, finishPulses(brief.uses('salt', 'finish'))],
      links: [
        follow('cover', 'soak', 0, 0),
        follow('soak', 'drain', 0, 960, 240),
        follow('drain', 'boil', 0, 60, 0),
        ...chain([boil, rolling, tender]),
        overnight(follow('tender', 'finish', 0, 90, 40)),
      ],
      vessels: [
        pot('bowl', 'soaking bowl', ['bowl'], Math.max(0.6, Math.round(brief.servings * 3.2) / 10), 'cover', 'drain', {
          wash: 1,
        }),
        pot('pot', 'bean pot', ['pot'], Math.max(1.2, Math.round(brief.servings * 5) / 10), 'boil', 'finish'),
      ],
      offers: [cookedPulses(brief)],
      lands: { step: 'finish', waits: pulsesWait },
    };
  },
};

const pulsesQuick: Technique = {
  id: 'pulses-quick',
  name: 'Lentils and split peas',
  family: 'pulses',
  says: 'No soak: rinsed, boiled, simmered half an hour.',
  choices: [
    {
      id: 'which',
      asks: 'Whole or split?',
      ways: [
        { id: 'whole', says: 'whole, to stay whole', because: 'Twenty-five to thirty-five minutes; salt at the end.' },
        { id: 'split', says: 'split, to a purée', because: 'Thirty to forty-five minutes, stirred; more water.' },
      ],
    },
  ],
  slots: [
    { ...pulseSlots[0]!, usual: 'green lentils' },
    { ...pulseSlots[1]!, amount: { quantity: 180, unit: 'ml' } },
    ...pulseSlots.slice(2),
  ],
  mistakes: ['Boiling them hard: they burst before they are soft.'],
  build: (brief) => {
    const split = brief.way('which') === 'split';
    const rinse = work('rinse', 'rinse', 3, 'Pick over and rinse.', { uses: brief.uses('pulses') });
    const boil = simmer('boil', 'boil', 'full', [6, 9, 13], 'Water on, herbs in, to the boil; skim.', {
      vessel: 'pot',
      uses: brief.uses('water', 'herbs'),
      boils: [(brief.item('water')!.amount.quantity * 1.2) / 1000, 15],
      doneWhen: 'it bubbles all over',
    });
    const cook = simmer('cook', 'simmer', 'low', split ? [30, 36, 45] : [24, 28, 36], 'Lid ajar.', {
      vessel: 'pot',
      lookEvery: split ? 8 : 12,
      doneWhen: split ? 'it falls apart when stirred' : 'tender and whole',
    });
    return {
      steps: [rinse, boil, cook, finishPulses(brief.uses('salt', 'finish'))],
      links: [
        follow('rinse', 'boil', 0, 60, 20),
        ...chain([boil, cook]),
        overnight(follow('cook', 'finish', 0, 60, 20)),
      ],
      vessels: [pot('pot', 'lentil pot', ['pot'], Math.max(1, Math.round(brief.servings * 4) / 10), 'boil', 'finish')],
      offers: [cookedPulses(brief)],
      lands: { step: 'finish', waits: pulsesWait },
    };
  },
};

const pulsesPressure: Technique = {
  id: 'pulses-pressure',
  name: 'Beans in the pressure cooker',
  family: 'pulses',
  says: 'A third of the time, no burner of your own; the pressure goes by itself.',
  choices: pulsesSoaked.choices,
  instead: pulsesSoaked.instead!,
  slots: pulseSlots,
  mistakes: ['Filling it above half: pulses foam into the valve.'],
  build: (brief) => {
    const kidney = hardBoilOf(brief) >= LIMITS.kidneyBoil.minutes;
    const cover = work('cover', 'set to soak', 3, 'Pick them over; cover with cold water.', {
      vessel: 'bowl',
      uses: brief.uses('pulses'),
      ahead: true,
      daysBefore: 1,
    });
    const soak = rest('soak', 'soak', 480, 'Overnight in a cool place.', {
      vessel: 'bowl',
      ahead: true,
      doneWhen: 'twice the size',
    });
    const fill = work(
      'fill',
      'drain, fill',
      4,
      'Throw the soaking water away; beans, fresh water and herbs in, at most half full; close it.',
      { vessel: 'bowl', uses: brief.uses('water', 'herbs'), cautions: [BEANS] },
    );
    const cook: Step = {
      ...leave(
        'cook',
        'pressure',
        'low',
        kidney ? [45, 50, 60] : [34, 40, 48],
        'Up to pressure, then low; let the pressure go by itself.',
        { doneWhen: 'the pressure has gone by itself' },
      ),
      // Half full at the most: pulses foam.
      place: { at: 'appliance', appliance: 'pressure-cooker', litres: Math.round(brief.servings * 7.2) / 10 },
    };
    return {
      steps: [cover, soak, fill, cook, finishPulses(brief.uses('salt', 'finish'), false)],
      links: [
        follow('cover', 'soak', 0, 0),
        follow('soak', 'fill', 0, 960, 240),
        follow('fill', 'cook', 0, 30, 5),
        overnight(follow('cook', 'finish', 0, 90, 30)),
      ],
      vessels: [
        pot('bowl', 'soaking bowl', ['bowl'], Math.max(0.6, Math.round(brief.servings * 3.2) / 10), 'cover', 'fill', {
          wash: 1,
        }),
      ],
      offers: [cookedPulses(brief)],
      lands: { step: 'finish', waits: pulsesWait },
    };
  },
};

const stirFry: Technique = {
  id: 'stir-fry',
  name: 'Stir-fry by fibre',
  family: 'pan',
  says: 'Everything cut before any heat; firm first, soft next, leaves last; straight to the table.',
  choices: [],
  slots: [
    slot('firm', 'what is firm', 'carrots', 50, 'g', { cut: 'in thin sticks' }),
    slot('soft', 'what is softer', 'peppers', 60, 'g', { cut: 'in strips', mayMiss: true }),
    slot('leaves', 'leaves or mushrooms', 'chard', 60, 'g', { cut: 'shredded', mayMiss: true }),
    oil(3),
    slot('sauce', 'what seasons it', 'soy sauce', 0.6, 'tbsp', { allergens: ['soy', 'gluten'] }),
  ],
  mistakes: ['Too much at once: it stews.', 'Cutting while the pan waits.'],
  build: (brief) => {
    const cut = chop(
      'cut',
      'cut everything',
      [9, 12, 16],
      'Cut all of it, each in its own bowl, the seasoning beside the pan.',
      { uses: brief.uses('firm', 'soft', 'leaves') },
    );
    const toss = fry(
      'toss',
      'stir-fry',
      'full',
      [6, 7, 9],
      'Very hot: the firm first, two minutes; the softer, two more; leaves and seasoning last.',
      {
        vessel: 'pan',
        uses: brief.uses('oil', 'sauce'),
        perBatch: 5,
        doneWhen: 'bright, and still with a bite',
        cautions: [HOT_FAT],
      },
    );
    return {
      steps: [cut, toss],
      links: [overnight(follow('cut', 'toss', 0, 240))],
      vessels: [pot('pan', 'wide pan', ['pan'], 2, 'toss', 'toss', { grows: false, widthCm: 26 })],
      lands: { step: 'toss', waits: waits('hot', 3, 6, 'uncovered; it does not wait', 'open') },
    };
  },
};

const friedLayers: Technique = {
  id: 'fried-layers',
  name: 'Vegetables fried in slices',
  family: 'pan',
  says: 'Slices salted, dried, fried in batches; for a layered pot, or warm with yogurt.',
  choices: [
    {
      id: 'salted',
      asks: 'Salt and drain first?',
      ways: [
        { id: 'yes', says: 'salted half an hour', because: 'They lose water, take up less fat and brown sooner.' },
        { id: 'no', says: 'straight into the pan', because: 'Half an hour saved; they drink more oil.' },
      ],
    },
  ],
  slots: [
    slot('slices', 'what is sliced', 'aubergines', 130, 'g', { cut: 'in 1 cm slices' }),
    salt(0.2),
    slot('oil', 'the fat', 'oil', 1, 'tbsp', { takes: ['kept oil'] }),
  ],
  mistakes: ['Wet slices in hot fat.', 'A pan that is not hot: they soak it up.'],
  build: (brief) => {
    const salted = brief.way('salted') === 'yes';
    const slice = chop(
      'slice',
      'slice',
      [5, 7, 10],
      `Slice ${brief.named('slices')} evenly${salted ? ' and salt them on both sides' : ''}.`,
      { uses: brief.uses('slices', 'salt') },
    );
    const drain = salted
      ? rest('drain', 'drain', [25, 30, 60], 'Let them drain, then dry them well.', {
          doneWhen: 'beads of water stand on them',
        })
      : null;
    const cook = fry('fry', 'fry', 'medium', [7, 8, 11], 'One layer at a time, turned once; onto paper.', {
      vessel: 'pan',
      uses: brief.uses('oil'),
      perBatch: 3,
      floorCm2: 180,
      doneWhen: 'brown and soft',
      cautions: [HOT_FAT],
    });
    return {
      steps: present([slice, drain, cook]),
      links: [
        ...(salted
          ? [follow('slice', 'drain', 0, 0), follow('drain', 'fry', 0, 60, 20)]
          : [follow('slice', 'fry', 0, 60, 20)]),
      ],
      vessels: [pot('pan', 'pan', ['pan'], 1.5, 'fry', 'fry', { grows: false, widthCm: 24 })],
      // A quarter of their weight goes off as steam. Common practice, no source.
      offers: [
        offered('fried slices', `fried ${brief.item('slices')!.name}`, 'fry', gramsIn(brief, 'slices') * 0.75, 60, {
          rather: 45,
          overnight: true,
        }),
      ],
      lands: { step: 'fry', waits: waits('warm', 45, 60, 'on paper, uncovered', 'open') },
    };
  },
};

const crispOnions: Technique = {
  id: 'crisp-onions',
  name: 'Crisp onions',
  family: 'pan',
  says: 'Thin even rings fried slowly to brown; they crisp as they cool, and must be fresh.',
  choices: [],
  slots: [
    slot('onions', 'onions', 'onions', 0.4, 'piece', { cut: 'in thin even rings' }),
    slot('oil', 'oil', 'oil', 1.5, 'tbsp'),
    slot('sugar', 'a pinch of sugar', 'sugar', 1, 'pinch', { grows: false, mayMiss: true }),
  ],
  mistakes: [
    'Rings of different thickness: some burn, some stay soft.',
    'Waiting for brown in the pan: they darken after.',
  ],
  build: (brief) => ({
    steps: [
      chop('slice', 'slice', [4, 6, 9], 'Slice the onions in thin even rings.', { uses: brief.uses('onions') }),
      fry(
        'fry',
        'fry crisp',
        'medium',
        [11, 14, 18],
        'In hot oil with the sugar, stirring, until just short of brown; lift out, spread on paper.',
        {
          vessel: 'pan',
          uses: brief.uses('oil', 'sugar'),
          perBatch: 6,
          floorCm2: LAYER_OF_ONIONS * 0.8,
          doneWhen: 'hazel; they darken after',
          cautions: [HOT_FAT],
        },
      ),
    ],
    links: [follow('slice', 'fry', 0, 120)],
    vessels: [pot('pan', 'pan', ['pan'], 1, 'fry', 'fry', { grows: false })],
    // They shrink to a third, and leave two thirds of the oil; best within five to ten minutes, on one flame a little later. Common practice, no source.
    offers: [
      offered('crisp onions', 'crisp onions', 'fry', gramsIn(brief, 'onions') * 0.35, 30, { rather: 10 }),
      {
        product: 'kept oil',
        name: 'oil of the onions',
        step: 'fry',
        amount: { quantity: Math.round(brief.item('oil')!.amount.quantity * 6.5) / 10, unit: 'tbsp' },
        within: null,
        overnight: true,
      },
    ],
    lands: { step: 'fry', waits: waits('warm', 10, 30, 'spread on paper, uncovered', 'open') },
  }),
};

const nuts: Technique = {
  id: 'nuts',
  name: 'Fried nuts and dried fruit',
  family: 'pan',
  says: 'Nuts to gold, fruit until it swells: a garnish that holds all evening.',
  choices: [],
  slots: [
    slot('nuts', 'nuts', 'flaked almonds', 12, 'g', { allergens: ['tree nuts'] }),
    slot('fruit', 'dried fruit', 'raisins', 8, 'g', { mayMiss: true }),
    slot('fat', 'butter', 'butter', 5, 'g', { allergens: ['milk'] }),
  ],
  mistakes: ['Looking away: gold is a moment before black.'],
  build: (brief) => ({
    steps: [
      fry(
        'fry',
        'fry nuts',
        'medium',
        [5, 6, 8],
        'Fry the nuts in the butter to light gold, then the fruit until it swells; out of the pan at once.',
        {
          vessel: 'pan',
          uses: brief.uses('fat', 'nuts', 'fruit'),
          doneWhen: 'light gold',
          cautions: ['Tell the table: nuts.'],
        },
      ),
    ],
    links: [],
    vessels: [pot('pan', 'small pan', ['pan'], 0.8, 'fry', 'fry', { grows: false, wash: 3 })],
    offers: [offered('golden nuts', 'golden nuts', 'fry', gramsIn(brief, 'nuts') + gramsIn(brief, 'fruit'), 360)],
    lands: { step: 'fry', waits: waits('cold', 180, 360, 'uncovered', 'open') },
  }),
};

const parcel: Technique = {
  id: 'fish-parcel',
  name: 'Fish baked in paper',
  family: 'fish',
  says: 'One parcel each, closed tight, in a hot oven; opened at the table.',
  choices: [],
  slots: [
    slot('fish', 'the fish', 'white fish fillet', 150, 'g', { allergens: ['fish'] }),
    slot('bed', 'what lies under it', 'leeks', 40, 'g', { cut: 'in fine strips' }),
    slot('fat', 'butter or oil', 'butter', 8, 'g', { allergens: ['milk'] }),
    salt(0.2),
  ],
  mistakes: ['Parcels that leak: they dry out.'],
  build: (brief) => ({
    steps: [
      chop('cut', 'cut', [3, 5, 7], `Cut ${brief.named('bed')}.`, { uses: brief.uses('bed') }),
      work(
        'wrap',
        'wrap',
        [5, 7, 10],
        'Bed, fish, fat and salt on paper; fold tight, parcel by parcel, onto the tray.',
        {
          vessel: 'tray',
          uses: brief.uses('fish', 'fat', 'salt'),
          steady: false,
          cautions: ['Keep the parcels cold until they go in.'],
        },
      ),
      bake('bake', 'bake', 200, 1, [12, 14, 18], 'Into the hot oven.', {
        vessel: 'tray',
        doneWhen: 'the fish is opaque and flakes',
        cautions: ['The steam scalds when a parcel is opened.'],
      }),
    ],
    links: [follow('cut', 'wrap', 0, 240), follow('wrap', 'bake', 0, 45, 15)],
    vessels: [pot('tray', 'tray', ['tray'], Math.max(1, Math.round(brief.servings * 4) / 10), 'wrap', 'bake')],
    lands: { step: 'bake', waits: waits('hot', 4, 8, 'closed') },
  }),
};

const searedFish: Technique = {
  id: 'fish-seared',
  name: 'Fish or shellfish in minutes',
  family: 'fish',
  says: 'Dried, salted, and cooked in minutes, once all else is resting: seared, in barely moving water, or under the grill.',
  choices: [
    {
      id: 'how',
      asks: 'Which way?',
      ways: [
        {
          id: 'pan',
          says: 'seared in the pan',
          because: 'A crisp skin in four minutes of hands; a pan for every four.',
        },
        {
          id: 'poach',
          says: 'in barely moving water',
          because: 'Eight minutes without a smell or a splash; it stays moist, and waits a little longer.',
        },
        { id: 'grill', says: 'under the grill', because: 'For many at once, and no burner: one stays by it.' },
      ],
    },
  ],
  slots: [
    slot('fish', 'the fish', 'mackerel fillets', 140, 'g', { allergens: ['fish'] }),
    salt(0.2),
    oil(2),
    slot('lemon', 'lemon', 'lemon', 0.25, 'piece', { mayMiss: true }),
    slot('water', 'water', 'water', 220, 'ml', { takes: ['broth'] }),
  ],
  mistakes: ['Starting it too soon: it waits no longer than a guest at the door.'],
  build: (brief) => {
    const dry = work('dry', 'dry, salt', [2, 3, 5], 'Dry the fish well and salt it.', {
      uses: brief.uses('fish', 'salt'),
      cautions: ['Keep it cold until it goes in.'],
    });
    switch (brief.way('how')) {
      case 'poach':
        return poached(brief, dry);
      case 'grill': {
        const grill = bake('sear', 'grill', 240, 1, [7, 9, 12], 'On the oiled tray, high under the hot grill.', {
          vessel: 'tray',
          uses: brief.uses('oil', 'lemon'),
          attention: 'eyes',
          lookEvery: 3,
          doneWhen: 'brown at the edge, opaque to the middle',
        });
        const litres = Math.max(1, Math.round(brief.servings * 2.5) / 10);
        return {
          steps: [dry, grill],
          links: [follow('dry', 'sear', 0, 20, 8)],
          vessels: [pot('tray', 'tray', ['tray'], litres, 'sear', 'sear', { wash: 6 })],
          lands: { step: 'sear', waits: waits('hot', 3, 7, 'on the tray') },
        };
      }
      default: {
        const sear = fry('sear', 'sear', 'full', [3, 4, 5], 'Skin down in a very hot pan, turned once.', {
          vessel: 'pan',
          uses: brief.uses('oil', 'lemon'),
          perBatch: 4,
          floorCm2: 120,
          doneWhen: 'opaque nearly through',
          cautions: [HOT_FAT],
        });
        return {
          steps: [dry, sear],
          links: [follow('dry', 'sear', 0, 20, 8)],
          vessels: [pot('pan', 'pan', ['pan'], 1, 'sear', 'sear', { grows: false, widthCm: 24 })],
          lands: { step: 'sear', waits: waits('hot', 2, 5, 'on warm plates') },
        };
      }
    }
  },
};

/** Fish in water that barely moves, lifted out. */
function poached(brief: Brief, dry: Step): Built {
  const litres = brief.item('water')!.amount.quantity / 1000;
  const boil = simmer('boil', 'water to the boil', 'full', [4, 6, 9], 'Water, salted, with the lemon, to the boil.', {
    vessel: 'pot',
    uses: brief.uses('water', 'lemon'),
    boils: [litres, 15, 'covered'],
    doneWhen: 'it boils',
  });
  const cook = simmer('sear', 'poach', 'lowest', [6, 8, 11], 'The fish in; it must not boil, only tremble.', {
    vessel: 'pot',
    lookEvery: 3,
    doneWhen: 'it flakes, opaque to the middle',
  });
  const lift = work('lift', 'lift out', [1, 2, 3], 'Lift it out with a flat spoon and let it drip off.', {
    vessel: 'pot',
    doneWhen: 'on the plates',
  });
  return {
    steps: [dry, boil, cook, lift],
    links: [follow('dry', 'sear', 0, 20, 8), follow('boil', 'sear', 0, 10, 0), follow('sear', 'lift', 0, 3, 0)],
    vessels: [
      pot(
        'pot',
        'wide pot',
        ['pot', 'casserole'],
        Math.max(1, Math.round(litres * 16 + brief.servings) / 10),
        'boil',
        'lift',
      ),
    ],
    lands: { step: 'lift', waits: waits('hot', 4, 9, 'covered, in a ladle of its water') },
  };
}

const eggs: Technique = {
  id: 'eggs',
  name: 'Boiled eggs',
  family: 'pan',
  says: 'Into boiling water, timed, into cold water.',
  choices: [
    {
      id: 'how',
      asks: 'How firm?',
      ways: [
        { id: 'firm', says: 'firm', because: 'Ten minutes: safe for everybody.' },
        { id: 'wax', says: 'waxy', because: 'Seven minutes: a soft heart, not for the frail.' },
      ],
    },
  ],
  slots: [
    slot('eggs', 'the eggs', 'eggs', 1, 'piece', { allergens: ['eggs'] }),
    slot('water', 'water', 'water', 120, 'ml'),
  ],
  mistakes: ['Leaving them in the hot water: they go on cooking.'],
  build: (brief) => {
    const firm = brief.way('how') === 'firm';
    return {
      steps: [
        simmer('boil', 'water to the boil', 'full', [4, 6, 9], 'Water to cover them, to the boil.', {
          vessel: 'pot',
          uses: brief.uses('water'),
          boils: [brief.item('water')!.amount.quantity / 1000, 15, 'covered'],
          doneWhen: 'it rolls',
        }),
        simmer('cook', 'eggs', 'medium', firm ? 10 : 7, 'The eggs in, from the fridge, with a spoon.', {
          vessel: 'pot',
          uses: brief.uses('eggs'),
          lookEvery: 5,
          doneWhen: written('{minutes} minutes are over', { minutes: firm ? 10 : 7 }),
          cautions: [EGGS],
        }),
        work('peel', 'cool, peel', [4, 6, 9], 'Into cold water, then peel under it.', {
          steady: false,
          cautions: ['Peeled eggs keep in the cold.'],
        }),
      ],
      links: [...atOnce('boil', 'cook'), follow('cook', 'peel', 0, 10, 1)],
      vessels: [
        pot('pot', 'egg pot', ['pot'], Math.max(0.8, Math.round(brief.servings * 1.9) / 10), 'boil', 'cook', {
          wash: 2,
        }),
      ],
      offers: [
        { product: 'boiled eggs', name: 'boiled eggs', step: 'peel', amount: brief.item('eggs')!.amount, within: 120 },
      ],
      lands: { step: 'peel', waits: waits('cold', 60, 120, 'covered, in the cold') },
    };
  },
};

const roastVegetables: Technique = {
  id: 'roast-vegetables',
  name: 'Roast vegetables',
  family: 'oven',
  says: 'Pieces of one size, one layer, a hot oven, turned once.',
  choices: [],
  slots: [
    slot('vegetables', 'the vegetables', 'parsnips and carrots', 200, 'g', { cut: 'in batons' }),
    slot('oil', 'oil', 'oil', 0.5, 'tbsp'),
    salt(0.25),
    slot('herbs', 'herbs', 'thyme', 4, 'sprig', { grows: false, mayMiss: true }),
  ],
  mistakes: ['A full tray: they steam. Take two.'],
  build: (brief) => ({
    steps: [
      chop('cut', 'cut', [9, 12, 16], `Cut ${brief.named('vegetables')} in pieces of one size.`, {
        uses: brief.uses('vegetables'),
      }),
      work('oil', 'oil', [3, 4, 5], 'Turn them in oil and salt, in one layer on the tray.', {
        vessel: 'tray',
        uses: brief.uses('oil', 'salt', 'herbs'),
      }),
      bake('roast', 'roast', 200, 1, [33, 38, 46], 'Into the hot oven; turn them once.', {
        vessel: 'tray',
        attention: 'eyes',
        lookEvery: 20,
        doneWhen: 'brown at the edges, soft within',
        cautions: ['The tray comes out as hot as the oven: two dry cloths, and a clear place to set it down.'],
      }),
    ],
    links: [overnight(follow('cut', 'oil', 0, 300)), follow('oil', 'roast', 0, 90, 40)],
    vessels: [
      pot('tray', 'tray', ['tray'], Math.max(1, Math.round(brief.servings * 4.5) / 10), 'oil', 'roast', { wash: 6 }),
    ],
    offers: [
      offered(
        'fried slices',
        `roast ${brief.item('vegetables')!.name}`,
        'roast',
        gramsIn(brief, 'vegetables') * 0.75,
        60,
        {
          overnight: true,
        },
      ),
    ],
    lands: { step: 'roast', waits: waits('hot', 8, 18, 'on the tray in the oven, door ajar') },
  }),
};

const flatbread: Technique = {
  id: 'flatbread',
  name: 'Flatbread from the pan',
  family: 'bread',
  says: 'Flour, water, salt, a rest, rolled thin, baked in a dry hot pan one by one.',
  choices: [
    {
      id: 'leaven',
      asks: 'With yeast?',
      ways: [
        { id: 'no', says: 'without', because: 'Half an hour of rest is enough: thin and soft.' },
        { id: 'yes', says: 'with yeast', because: 'An hour or more to rise: thicker, and it keeps longer.' },
      ],
    },
  ],
  slots: [
    slot('flour', 'flour', 'wheat flour', 75, 'g', { allergens: ['gluten'] }),
    slot('water', 'water or yogurt', 'lukewarm water', 45, 'ml'),
    salt(0.15),
    slot('yeast', 'yeast', 'dried yeast', 0.1, 'tsp'),
  ],
  mistakes: ['Too dry a dough: it cracks.', 'A pan that is not hot: they dry before they brown.'],
  build: (brief) => {
    const yeast = brief.way('leaven') === 'yes';
    return {
      steps: [
        work('knead', 'knead', [7, 9, 12], 'Mix and knead until smooth.', {
          vessel: 'bowl',
          uses: brief.uses('flour', 'water', 'salt', ...(yeast ? ['yeast'] : [])),
        }),
        rest('rest', yeast ? 'rise' : 'rest', yeast ? [60, 75, 120] : [25, 30, 90], 'Covered, at room temperature.', {
          vessel: 'bowl',
          doneWhen: yeast ? 'twice as large' : 'soft to the finger',
        }),
        work('roll', 'roll out', [5, 7, 10], 'Divide and roll out thin, on flour.', { steady: false }),
        fry(
          'bake',
          'bake in the pan',
          'medium',
          [7, 8, 10],
          'In a dry hot pan, a minute or two a side, one after another into a cloth.',
          { vessel: 'pan', perBatch: 4, doneWhen: 'brown spots on both sides' },
        ),
      ],
      links: [follow('knead', 'rest', 0, 0), follow('rest', 'roll', 0, 60, 20), follow('roll', 'bake', 0, 30, 5)],
      vessels: [
        pot('bowl', 'bowl', ['bowl'], Math.max(0.8, Math.round(brief.servings * 2) / 10), 'knead', 'rest'),
        pot('pan', 'pan', ['pan'], 0.8, 'bake', 'bake', { grows: false, widthCm: 22, wash: 2 }),
      ],
      lands: { step: 'bake', waits: waits('warm', 25, 50, 'wrapped in a cloth', 'wrapped') },
    };
  },
};

const relish: Technique = {
  id: 'relish',
  name: 'Fresh relish',
  family: 'side',
  says: 'Herbs, something sour, something sharp, blended or chopped: five minutes while the grain steams.',
  choices: [],
  slots: [
    slot('herbs', 'herbs', 'parsley and mint', 12, 'g'),
    slot('sour', 'something sour', 'lemon juice', 0.5, 'tbsp'),
    slot('sharp', 'something sharp', 'green chilli', 0.15, 'piece', { mayMiss: true }),
    slot('oil', 'oil', 'olive oil', 0.75, 'tbsp'),
    salt(0.1),
  ],
  mistakes: ['Blending it warm: the green goes grey.'],
  build: (brief) => ({
    steps: [
      chop('blend', 'blend', [4, 6, 8], 'Wash the herbs, blend or chop them with all the rest; taste.', {
        vessel: 'bowl',
        uses: brief.uses('herbs', 'sour', 'sharp', 'oil', 'salt'),
        cautions: [SPROUTS],
      }),
      chill('cold', 'in the cold', [5, 10, 240], 'Covered, in the fridge.', { vessel: 'bowl' }),
    ],
    links: [follow('blend', 'cold', 0, 5)],
    vessels: [
      pot('bowl', 'small bowl', ['bowl'], Math.max(0.3, Math.round(brief.servings * 0.6) / 10), 'blend', 'cold'),
    ],
    lands: { step: 'cold', waits: overnight(waits('cold', 240, 480, 'covered, in the cold')) },
  }),
};

const yogurt: Technique = {
  id: 'yogurt-side',
  name: 'Yogurt side',
  family: 'side',
  says: 'Yogurt, something grated or chopped, salt: it cools what is hot, and holds hours in the cold.',
  choices: [],
  slots: [
    slot('yogurt', 'yogurt', 'thick yogurt', 60, 'g', { allergens: ['milk'] }),
    slot('fresh', 'something fresh', 'cucumber', 40, 'g', { cut: 'grated, salted, squeezed' }),
    salt(0.1),
    slot('herbs', 'herbs', 'dill', 2, 'g', { mayMiss: true }),
  ],
  mistakes: ['Unsqueezed cucumber: it swims.'],
  build: (brief) => ({
    steps: [
      chop('stir', 'grate, stir', [4, 6, 8], `Ready ${brief.named('fresh')} and stir all together.`, {
        vessel: 'bowl',
        uses: brief.uses('yogurt', 'fresh', 'salt', 'herbs'),
      }),
      chill('cold', 'in the cold', [10, 20, 240], 'Covered, in the fridge.', { vessel: 'bowl' }),
    ],
    links: [follow('stir', 'cold', 0, 5)],
    vessels: [pot('bowl', 'bowl', ['bowl'], Math.max(0.4, Math.round(brief.servings * 1.4) / 10), 'stir', 'cold')],
    lands: { step: 'cold', waits: waits('cold', 180, 360, 'covered, in the cold') },
  }),
};

const pickle: Technique = {
  id: 'pickle',
  name: 'Quick pickle',
  family: 'side',
  says: 'Thin slices in warm sweet vinegar: an hour makes them, a week keeps them.',
  choices: [],
  slots: [
    slot('slices', 'what is pickled', 'red onions', 0.3, 'piece', { cut: 'in thin rings' }),
    slot('vinegar', 'vinegar', 'cider vinegar', 22, 'ml'),
    slot('sugar', 'sugar', 'sugar', 0.4, 'tsp'),
    salt(0.15),
  ],
  mistakes: ['Thick slices: raw within.'],
  build: (brief) => ({
    steps: [
      chop(
        'slice',
        'slice',
        [5, 7, 9],
        `Slice ${brief.named('slices')} thinly; vinegar, sugar and salt over it, turn it well.`,
        { vessel: 'bowl', uses: brief.uses('slices', 'vinegar', 'sugar', 'salt') },
      ),
      rest('stand', 'stand', [40, 60, 240], 'Leave it, turning once.', { vessel: 'bowl', doneWhen: 'limp and bright' }),
    ],
    links: [follow('slice', 'stand', 0, 0)],
    vessels: [pot('bowl', 'bowl', ['bowl'], Math.max(0.4, Math.round(brief.servings * 1.5) / 10), 'slice', 'stand')],
    lands: { step: 'stand', waits: overnight(waits('cold', 240, 600, 'covered, in the cold')) },
  }),
};

const salad: Technique = {
  id: 'salad',
  name: 'Salad',
  family: 'side',
  says: 'Cut early and kept cold; dressed at the last moment.',
  choices: [
    {
      id: 'kind',
      asks: 'Leaves or firm?',
      ways: [
        {
          id: 'firm',
          says: 'firm: cabbage, fennel, roots',
          because: 'Dressed ten minutes before, it softens and gains.',
        },
        { id: 'leaves', says: 'leaves', because: 'Dressed as it goes to the table, or it falls.' },
      ],
    },
  ],
  slots: [
    slot('main', 'the salad', 'fennel', 80, 'g', { cut: 'finely sliced' }),
    slot('more', 'what else is in it', 'orange', 0.3, 'piece', { cut: 'in segments', mayMiss: true }),
    slot('oil', 'oil', 'olive oil', 0.6, 'tbsp'),
    slot('sour', 'something sour', 'lemon juice', 0.3, 'tbsp'),
    salt(0.1),
  ],
  mistakes: ['Wet leaves: the dressing slides off.'],
  build: (brief) => {
    const leaves = brief.way('kind') === 'leaves';
    return {
      steps: [
        chop('cut', 'wash, cut', [6, 8, 12], `Wash and cut ${brief.named('main')}; dry it well; into the cold.`, {
          vessel: 'bowl',
          uses: brief.uses('main', 'more'),
          cautions: [SPROUTS],
        }),
        work('dress', 'dress', 3, 'Oil, something sour and salt; turn it lightly, taste.', {
          vessel: 'bowl',
          uses: brief.uses('oil', 'sour', 'salt'),
        }),
      ],
      links: [follow('cut', 'dress', 0, 240)],
      vessels: [
        pot('bowl', 'salad bowl', ['bowl'], Math.max(0.8, Math.round(brief.servings * 4) / 10), 'cut', 'dress'),
      ],
      lands: { step: 'dress', waits: waits('cold', leaves ? 5 : 20, leaves ? 12 : 40, 'uncovered', 'open') },
    };
  },
};

const greens: Technique = {
  id: 'greens',
  name: 'Greens in the pan',
  family: 'pan',
  says: 'Washed, shredded, wilted in garlic and oil at the last minute.',
  choices: [],
  slots: [
    slot('greens', 'the greens', 'kale', 110, 'g', { cut: 'shredded' }),
    slot('garlic', 'garlic', 'garlic', 0.4, 'clove', { cut: 'sliced', mayMiss: true }),
    oil(3),
    salt(0.15),
  ],
  mistakes: ['Starting them before all else has landed.'],
  build: (brief) => ({
    steps: [
      chop('wash', 'wash, shred', [6, 8, 11], 'Wash and shred the greens.', { uses: brief.uses('greens', 'garlic') }),
      fry('wilt', 'wilt', 'full', [5, 6, 8], 'Oil, garlic until it smells, the greens by handfuls with salt.', {
        vessel: 'pan',
        uses: brief.uses('oil', 'salt'),
        perBatch: 8,
        doneWhen: 'wilted and bright',
        cautions: [HOT_FAT, STEAM],
      }),
    ],
    links: [overnight(follow('wash', 'wilt', 0, 240))],
    vessels: [pot('pan', 'wide pan', ['pan'], 2.5, 'wilt', 'wilt', { grows: false, widthCm: 26 })],
    lands: { step: 'wilt', waits: waits('hot', 4, 8, 'uncovered', 'open') },
  }),
};

const spicedButter: Technique = {
  id: 'spiced-butter',
  name: 'Spiced butter to pour over',
  family: 'side',
  says: 'Whole spices swelled in hot butter, poured over at the table.',
  choices: [],
  slots: [
    slot('butter', 'butter', 'butter', 12, 'g', { allergens: ['milk'] }),
    slot('spice', 'whole spices', 'cumin seed', 0.25, 'tsp'),
  ],
  mistakes: ['Black spice is bitter: off the heat when it smells.'],
  build: (brief) => ({
    steps: [
      fry(
        'swell',
        'butter, spice',
        'medium',
        [3, 4, 5],
        'Melt the butter until it foams, the spice in until it smells; off at once.',
        {
          vessel: 'pan',
          uses: brief.uses('butter', 'spice'),
          doneWhen: 'it smells of nuts',
          cautions: [HOT_FAT],
        },
      ),
    ],
    links: [],
    vessels: [pot('pan', 'small pan', ['pan'], 0.6, 'swell', 'swell', { grows: false, wash: 3 })],
    offers: [
      offered('spiced butter', 'spiced butter', 'swell', gramsIn(brief, 'fat') + gramsIn(brief, 'butter'), 15, {
        rather: 3,
      }),
    ],
    lands: { step: 'swell', waits: waits('hot', 6, 15, 'in its pan') },
  }),
};

/** Techniques for curries, vegetables, pulses, sauces, salads and breads. */
export const POT_TECHNIQUES: readonly Technique[] = [
  curry,
  soup,
  pulsesSoaked,
  pulsesQuick,
  pulsesPressure,
  stirFry,
  friedLayers,
  crispOnions,
  nuts,
  greens,
  parcel,
  searedFish,
  eggs,
  roastVegetables,
  flatbread,
  relish,
  yogurt,
  pickle,
  salad,
  spicedButter,
];
