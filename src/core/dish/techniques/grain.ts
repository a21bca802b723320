import type { Step } from '@/core/dish/dish';
import type { Brief, Technique } from '@/core/dish/technique';
import { bake, chop, follow, fry, leave, pot, rest, simmer, waits, work } from '@/core/dish/write';
import { grainOf } from '@/core/grain/grains';
import { MASS_IN_GRAMS, type MassUnit } from '@/core/units/amount';
import {
  boil,
  bowlOf,
  brothSlot,
  byEye,
  called,
  fatSlot,
  finishSlot,
  fluffed,
  type Grainy,
  grainOfDish,
  grainSlot,
  HOT_LIQUID,
  holds,
  kinds,
  LIQUID,
  landed,
  liquidUses,
  MEASURE,
  measured,
  onionSlot,
  pour,
  pourHot,
  readied,
  resting,
  saltAmount,
  saltSlot,
  slowed,
  spiceSlot,
  takesStock,
  times,
  waterSlot,
  withBowl,
} from './grain-kit';
import { capital, chain, GRAIN_KEEPS, HEAVY, HOT_FAT, present, SEAL, SOAK, STEAM, WASH } from './words';

const absorption: Technique = {
  id: 'absorption',
  name: 'Grain, covered on the hob',
  family: 'grain',
  says: 'Measured water, to the boil, lid on, left alone.',
  choices: [kinds('long'), WASH, SOAK, MEASURE, LIQUID, SEAL],
  slots: [grainSlot, brothSlot, saltSlot, spiceSlot, finishSlot],
  mistakes: ['Lifting the lid: each look costs steam and minutes.', 'Stirring: the starch turns it to paste.'],
  build: (brief) => {
    const grain = measured(brief, brief.way('kind') === 'soft-long' ? 'covered-soft' : 'covered');
    return landed(brief, grain, [
      boil(brief, grain, `Grain, ${pour(grain)} and salt in the pot; to the boil uncovered.`),
    ]);
  },
};

const toasted = (brief: Brief) => [
  brief.has('onion')
    ? chop('chop', 'chop', [4, 5, 7], `Chop ${brief.named('onion')} finely.`, { uses: ['onion'] })
    : null,
  brief.has('onion')
    ? fry('soften', 'soften onion', 'medium', [4, 6, 8], `Soften ${brief.named('onion')} in the fat without colour.`, {
        vessel: 'pot',
        uses: brief.uses('fat'),
        doneWhen: 'soft and clear',
      })
    : null,
  fry(
    'toast',
    'toast',
    'medium',
    [3, 4, 5],
    'The grain into the fat, stirring until every grain shines and smells of nuts.',
    {
      vessel: 'pot',
      uses: [
        ...(brief.has('onion') ? [] : brief.uses('fat')),
        ...(brief.way('wash') === 'no' && brief.way('soak') !== 'yes' ? ['grain'] : []),
      ],
      doneWhen: 'it shines and smells of nuts',
    },
  ),
];

const pilaf: Technique = {
  id: 'pilaf',
  name: 'Pilaf',
  family: 'grain',
  says: 'Grain turned in fat first, then cooked in measured liquid.',
  choices: [kinds('long'), LIQUID, SOAK, WASH, MEASURE, SEAL],
  slots: [grainSlot, brothSlot, saltSlot, fatSlot, onionSlot, spiceSlot, finishSlot],
  mistakes: [
    'Wet grain in hot fat: it spits and sticks. Drain it well.',
    'Cold liquid on hot grain: it stops, and cooks unevenly.',
  ],
  build: (brief) => {
    const grain = measured(brief, brief.way('soak') === 'yes' ? 'pilaf-soaked' : 'pilaf');
    const pouring = boil(brief, grain, `Pour in ${pourHot(grain)}, with the salt, stir once, to the boil.`, HOT_LIQUID);
    const uses = pouring.uses.filter((id) => id !== 'grain');
    return landed(brief, grain, [
      ...toasted(brief),
      { ...pouring, uses, cautions: ['Liquid on hot fat spits: pour slowly, sleeve down.'] },
    ]);
  },
};

const ovenPilaf: Technique = {
  ...pilaf,
  id: 'pilaf-oven',
  name: 'Pilaf finished in the oven',
  says: 'As a pilaf, but under foil in the oven, which frees the burner and cooks from all sides.',
  build: (brief) => {
    const built = pilaf.build(brief);
    const [least, most] = grainOf(brief.way('kind')).minutes;
    // The pot warms through first: a quarter of an hour more than on the hob. Common practice, no source.
    const oven = bake(
      'covered',
      'oven, covered',
      160,
      1,
      times([least + 13, most + 15]),
      'Foil and lid on, into the oven.',
      {
        vessel: 'pot',
        doneWhen: 'the liquid is taken up',
        cautions: ['Lid and handles come out as hot as the oven: two dry cloths.'],
      },
    );
    return {
      ...built,
      steps: built.steps.map((step) => (step.id === 'covered' ? oven : step)),
      vessels: (built.vessels ?? []).map((use) =>
        use.id === 'pot' ? { ...use, need: { ...use.need, kinds: ['casserole' as const] } } : use,
      ),
    };
  },
};

const hardBoil: Technique = {
  id: 'hard-boil',
  name: 'Grain boiled hard, then steamed under a cloth',
  family: 'grain',
  says: 'A rolling boil until craters show, then cloth and lid on the lowest heat.',
  choices: [
    kinds('aged-long', ['aged-long', 'long', 'parboiled']),
    { ...SOAK, ways: [...SOAK.ways].reverse() },
    WASH,
    MEASURE,
  ],
  slots: [grainSlot, waterSlot, saltSlot, fatSlot, spiceSlot, finishSlot],
  mistakes: ['Turning it down too soon: what should have boiled off stays in the pot.'],
  build: (brief) => {
    const grain = measured(brief, 'hard-boil');
    const rolling = simmer('rolling', 'rolling boil', 'full', [6, 8, 10], 'Uncovered at a rolling boil.', {
      vessel: 'pot',
      uses: brief.uses('fat'),
      lookEvery: 4,
      doneWhen: 'the surface is dry and small craters show',
    });
    const built = landed(brief, grain, [boil(brief, grain, 'Grain, water and salt; to the boil.'), rolling]);
    const steam = leave(
      'covered',
      'cloth and lid',
      'lowest',
      grain.kind.id === 'parboiled' ? [12, 15, 18] : [7, 9, 12],
      'A cloth under the lid, lowest heat. First look after five minutes.',
      {
        vessel: 'pot',
        doneWhen: 'a grain is soft to its heart',
        cautions: ['Tie the corners of the cloth up over the lid, away from the flame.'],
      },
    );
    return { ...built, steps: built.steps.map((step) => (step.id === 'covered' ? steam : step)) };
  },
};

const drained: Technique = {
  id: 'drain',
  name: 'Grain boiled, drained and steamed',
  family: 'grain',
  says: 'Boiled in plenty of salted water to three quarters, drained at once, sealed and steamed.',
  choices: [
    kinds('aged-long', ['aged-long', 'long', 'parboiled']),
    { ...SOAK, ways: [...SOAK.ways].reverse() },
    WASH,
    {
      id: 'crust',
      asks: 'A crust below?',
      ways: [
        { id: 'none', says: 'no crust', because: 'Twenty minutes of steam are enough.' },
        {
          id: 'thick',
          says: 'a thick crust',
          because: 'Forty-five minutes over fat make a golden base to turn out; it wants a straight pot.',
        },
      ],
    },
  ],
  slots: [grainSlot, waterSlot, { ...saltSlot, amount: { quantity: 0.75, unit: 'tsp' } }, fatSlot, finishSlot],
  mistakes: [
    'Letting it wait once drained: it clumps and goes on cooking.',
    'Boiling it soft: the steam does the rest.',
  ],
  build: (brief) => {
    const grain = measured(brief, 'drain');
    const ready = readied(brief, grain);
    const crust = brief.way('crust') === 'thick';
    const bringing = simmer(
      'boil',
      'water to the boil',
      'full',
      [6, 10, 14],
      'Plenty of water, salted like soup, to a rolling boil.',
      {
        vessel: 'pot',
        uses: liquidUses(brief, grain),
        boils: [grain.litres, 15, 'covered'],
        doneWhen: 'it rolls',
        cautions: [HEAVY],
      },
    );
    const parboil = fry(
      'parboil',
      'parboil',
      'full',
      grain.kind.id === 'parboiled' ? [8, 10, 12] : [5, 6, 8],
      'The grain in, stirred once; boil it until only its heart is hard.',
      {
        vessel: 'pot',
        uses: ready.steps.length > 0 ? [] : ['grain'],
        doneWhen: 'soft outside, a white point inside',
      },
    );
    const pouring = work('pour', 'drain at once', 2, 'Drain at once; it cannot wait.', {
      vessel: 'pot',
      doneWhen: 'nothing drips',
      cautions: ['Tip the pot away from you into a sieve that stands firm in the sink.'],
    });
    const layer = work(
      'layer',
      'back in, seal',
      [2, 3, 4],
      crust
        ? 'Half the fat and a splash of water into the pot, hot; the grain in as a loose heap, holes poked down with a spoon handle, the rest of the fat over it, a cloth and the lid.'
        : 'Fat into the pot, the grain back in as a loose heap, a cloth and the lid.',
      {
        vessel: 'pot',
        uses: brief.uses('fat'),
      },
    );
    const colour = crust
      ? simmer(
          'colour',
          'colour the base',
          'medium',
          [7, 8, 10],
          'Sealed, on medium heat until the fat sizzles under it.',
          {
            vessel: 'pot',
            lookEvery: 5,
            doneWhen: 'steam at the lid, and it sizzles when one listens',
          },
        )
      : null;
    const steam = leave('steam', 'steam', 'lowest', crust ? [40, 45, 55] : [18, 22, 26], 'Lowest heat, sealed.', {
      vessel: 'pot',
      doneWhen: crust ? 'it smells of toast, and the sides hiss' : 'the lid is too hot to touch and a grain is done',
    });
    const turn = crust
      ? work('turn', 'turn out', [3, 4, 6], 'A flat dish wider than the rim over it, one turn, a minute upside down.', {
          vessel: 'pot',
          uses: brief.uses('finish'),
          cautions: [HEAVY, GRAIN_KEEPS],
          doneWhen: 'it lets go of the pot',
        })
      : fluffed(brief, grain);
    const hot = present([bringing, parboil, pouring, layer, colour, steam]);
    return withBowl({
      steps: [...ready.steps, ...hot, turn],
      links: [
        ...ready.links,
        ...(ready.steps.length > 0 ? [follow('drain', 'parboil', 0, 30, 10)] : []),
        follow('boil', 'parboil', 0, 10, 0),
        ...chain([parboil, pouring]),
        follow('pour', 'layer', 0, 5, 0),
        follow('layer', colour?.id ?? 'steam', 0, 2, 0),
        ...(colour ? [follow('colour', 'steam', 0, 0)] : []),
        follow('steam', turn.id, crust ? 5 : 0, 15, 8),
      ],
      vessels: [
        ...bowlOf(grain),
        pot('pot', 'boiling pot', ['pot'], Math.max(2, Math.round(grain.litres * 14) / 10), 'boil', turn.id, {
          straight: crust,
        }),
      ],
      lands: { step: turn.id, waits: holds(grain) },
      grain: { ...grainOfDish(brief, grain), liquid: ['water'] },
      ...called(grain),
      amounts: { water: { quantity: grain.litres, unit: 'l' } },
    });
  },
};

/** Share of tomatoes and peppers that is water, and of that what is left when they are reduced until the fat parts. Common practice, no source. */
const WATER_OF_VEGETABLES = 0.93;
const LEFT_OF_IT = 0.55;

/** Litres that a reduced sauce brings. */
function sauceLitres(brief: Brief): number {
  const { quantity, unit } = brief.item('sauce')!.amount;
  const grams = unit in MASS_IN_GRAMS ? quantity * MASS_IN_GRAMS[unit as MassUnit] : unit === 'ml' ? quantity : 0;
  return Math.round(grams * WATER_OF_VEGETABLES * LEFT_OF_IT) / 1000;
}

/** Cracked and pre-cooked grain drinks at once; whole grain is slowed by sour and fat. Common practice, no source. */
const IN_SAUCE = (grain: Grainy) => (grain.kind.id === 'bulgur-coarse' ? 1 : 1.5);

const sauced: Technique = {
  id: 'sauce-grain',
  name: 'Grain cooked in a reduced sauce',
  family: 'grain',
  says: 'Peppers, tomato and onion cooked down until the fat parts; then the grain in it, with only enough liquid to loosen.',
  choices: [
    kinds('parboiled', ['parboiled', 'long', 'bulgur-coarse']),
    {
      id: 'stir',
      asks: 'Stirred?',
      ways: [
        {
          id: 'once',
          says: 'stirred up once',
          because: 'What lies below comes up half-way: nothing catches, the grain is softer.',
        },
        {
          id: 'never',
          says: 'never',
          because: 'On the lowest flame, left alone: every grain by itself, and it may catch a little.',
        },
      ],
    },
    {
      id: 'held',
      asks: 'All of the sauce to the grain?',
      ways: [
        { id: 'all', says: 'all of it', because: 'One pot; the grain takes up all the taste.' },
        {
          id: 'third',
          says: 'a third held back, for the meat',
          because:
            'Fried or boiled meat is warmed in it and goes beside: one more pan, and a little more water to the grain.',
          brings: { technique: 'deep-fried', ways: { what: 'meat' }, into: { meat: 'fried pieces' } },
        },
      ],
    },
    WASH,
    MEASURE,
    LIQUID,
  ],
  slots: [
    grainSlot,
    brothSlot,
    saltSlot,
    fatSlot,
    { ...onionSlot, amount: { quantity: 0.3, unit: 'piece' } },
    {
      id: 'sauce',
      asks: 'tomatoes or peppers for the sauce',
      usual: 'chopped tomatoes',
      amount: { quantity: 70, unit: 'g' },
    },
    {
      id: 'paste',
      asks: 'tomato paste',
      usual: 'tomato paste',
      amount: { quantity: 0.5, unit: 'tbsp' },
      mayMiss: true,
    },
    spiceSlot,
    {
      id: 'meat',
      asks: 'the meat',
      usual: 'fried chicken pieces',
      amount: { quantity: 160, unit: 'g' },
      takes: ['fried pieces', 'boiled meat', 'boiled eggs'],
    },
  ],
  mistakes: [
    'Too much liquid cannot be mended, too little can: add it by the spoonful.',
    'Grain in before the sauce has lost its tang.',
  ],
  build: (brief) => {
    const share = brief.way('held') === 'third' ? 2 / 3 : 1;
    const grain = measured(brief, 'sauce', { besides: Math.round(sauceLitres(brief) * share * 1000) / 1000 });
    const board = chop(
      'chop',
      'chop',
      [5, 7, 10],
      `Chop ${brief.named('onion')}; ${/chopped/.test(brief.named('sauce')) ? `have ${brief.named('sauce')} ready` : `blend or chop ${brief.named('sauce')}`}.`,
      {
        uses: brief.uses('onion', 'sauce'),
      },
    );
    const base = fry(
      'base',
      'base',
      'medium',
      [8, 10, 13],
      brief.has('paste')
        ? `Soften ${brief.named('onion')} in the fat, then ${brief.named('paste')} ${/tomato/i.test(brief.named('paste')) ? 'until its tang is gone' : 'for a minute'}.`
        : `Soften ${brief.named('onion')} in the fat.`,
      {
        vessel: 'pot',
        uses: brief.uses('fat', 'paste', 'spice'),
        doneWhen: 'dark red, and it smells sweet',
      },
    );
    const reduce = simmer(
      'reduce',
      'reduce',
      'medium',
      [10, 13, 18],
      `${capital(brief.named('sauce'))} in; let it cook down, stirring now and then.`,
      {
        vessel: 'pot',
        lookEvery: 5,
        doneWhen: 'the fat parts from it',
        cautions: ['A thick sauce spits: lid ajar.'],
      },
    );
    // The spices are in the base already.
    const pouring = boil(brief, grain, `The grain in, ${pour(grain)} to just loosen it, to the boil.`);
    const loosen = { ...pouring, uses: pouring.uses.filter((id) => id !== 'spice') };
    const ready = readied(brief, grain);
    const hot = [base, reduce, loosen, ...underPaper(brief, grain), resting(grain)];
    const held = heldSauce(brief);
    return withBowl({
      steps: present([...ready.steps, board, ...hot, held, fluffed(brief, grain)]),
      links: [
        ...ready.links,
        ...(ready.steps.length > 0 ? [follow('drain', 'boil', 0, 30, 10)] : []),
        follow('chop', 'base', 0, 240),
        ...chain(hot),
        ...(held ? [follow('reduce', 'held', 0, 90), follow('held', 'fluff', 0, 20, 5)] : []),
        follow('rest', 'fluff', 0, 20, 0),
      ],
      vessels: present([
        pot('pot', 'sauce pot', ['pot', 'casserole'], grain.potLitres * 1.2, 'base', 'fluff'),
        held &&
          pot('beside', 'pan for the meat', ['pan', 'casserole'], Math.max(1, brief.servings * 0.3), 'held', 'held'),
      ]),
      takes: takesStock(grain, 'boil'),
      lands: { step: 'fluff', waits: holds(grain) },
      grain: grainOfDish(brief, grain),
      ...called(grain),
      amounts: grain.stock ? saltAmount(brief, grain) : { water: { quantity: grain.litres, unit: 'l' } },
    });
  },
};

/** The part under paper and lid: stirred up once half-way, or never. */
function underPaper(brief: Brief, grain: Grainy): readonly Step[] {
  const [least, likely, most] = slowed(grain, IN_SAUCE(grain), 6);
  const words = { vessel: 'pot', doneWhen: 'a grain is soft to its heart' };
  if (brief.way('stir') === 'never') {
    return [
      leave(
        'first',
        'paper and lid',
        'lowest',
        [least + 3, likely + 4, most + 6],
        'Wet paper on it, lid on, lowest.',
        words,
      ),
    ];
  }
  const half = (minutes: number) => Math.max(3, Math.round(minutes / 2));
  const other = (minutes: number) => Math.max(3, minutes - half(minutes));
  return [
    leave('first', 'paper and lid', 'low', [half(least), half(likely), half(most)], 'Wet paper on it, lid on, low.', {
      vessel: 'pot',
    }),
    fry('stir', 'stir up', 'low', 2, 'Stir up from the bottom; add a spoonful if it is dry.', {
      vessel: 'pot',
      cautions: [STEAM],
    }),
    leave(
      'second',
      'covered again',
      'low',
      [other(least), other(likely), other(most)],
      'Paper and lid on again.',
      words,
    ),
  ];
}

/** A third of the sauce kept back, with the meat in it; null where all of it goes to the grain. */
function heldSauce(brief: Brief): Step | null {
  if (brief.way('held') !== 'third') return null;
  return simmer(
    'held',
    'meat in its sauce',
    'low',
    [7, 9, 13],
    `A third of the sauce, taken out before the grain went in, into a pan; ${brief.named('meat')} in it, hot through.`,
    { vessel: 'beside', uses: brief.uses('meat'), lookEvery: 4, doneWhen: 'steaming hot all through' },
  );
}

const coconut: Technique = {
  id: 'coconut-pulses',
  name: 'Grain with cooked pulses in coconut milk',
  family: 'grain',
  says: 'Grain and pulses cooked the day before, in coconut milk and water, the lid never lifted.',
  choices: [kinds('long', ['long', 'soft-long', 'brown', 'red', 'parboiled']), WASH, MEASURE],
  slots: [
    { ...grainSlot, amount: { quantity: 55, unit: 'g' } },
    {
      id: 'pulses',
      asks: 'the cooked pulses',
      usual: 'cooked pigeon peas',
      amount: { quantity: 60, unit: 'g' },
      takes: ['cooked pulses'],
    },
    { id: 'milk', asks: 'coconut milk', usual: 'coconut milk', amount: { quantity: 50, unit: 'ml' } },
    waterSlot,
    saltSlot,
    spiceSlot,
    {
      id: 'pepper',
      asks: 'a whole hot pepper',
      usual: 'whole hot pepper',
      amount: { quantity: 1, unit: 'piece' },
      grows: false,
      mayMiss: true,
    },
  ],
  mistakes: ['Lifting the lid.', 'Leaving the hot pepper in until the pot is dry: it bursts.'],
  build: (brief) => {
    const grain = measured(brief, 'coconut');
    const milk = brief.item('milk')!.amount.quantity / 1000;
    const water = Math.max(0.02, Math.round((grain.litres - milk) * 200) / 200);
    const bringing = boil(brief, grain, 'Pulses, coconut milk, water, salt and the grain in the pot; to the boil.');
    const built = landed(brief, grain, [
      { ...bringing, uses: [...new Set([...bringing.uses, 'water', ...brief.uses('pulses', 'milk', 'pepper')])] },
    ]);
    const [quick, long] = grain.kind.minutes;
    const least = Math.max(28, quick + 10);
    const lowest = leave(
      'covered',
      'covered',
      'lowest',
      [least, Math.max(30, Math.round((quick + long) / 2) + 10), Math.max(34, long + 10)],
      'Lid on, lowest heat, never lifted.',
      {
        vessel: 'pot',
        doneWhen: 'quiet',
      },
    );
    const still = rest('rest', 'rest', 15, 'Off the heat, lid on.', { vessel: 'pot' });
    return {
      ...built,
      steps: built.steps.map((step) => (step.id === 'covered' ? lowest : step.id === 'rest' ? still : step)),
      amounts: { water: { quantity: water, unit: 'l' } },
    };
  },
};

const cooker: Technique = {
  id: 'rice-cooker',
  name: 'Grain in the rice cooker',
  family: 'grain',
  says: 'Measured or to the line, switched on, forgotten: it needs no burner and no eye.',
  choices: [
    kinds('long'),
    {
      id: 'base',
      asks: 'A fried base?',
      ways: [
        { id: 'plain', says: 'none', because: 'Grain, water, salt: nothing to stand by.' },
        {
          id: 'spiced',
          says: 'onion and spices fried first',
          because: 'Seven minutes in a small pan, and the cooker makes a pilaf: the only time that it wants a burner.',
        },
      ],
    },
    WASH,
    MEASURE,
  ],
  slots: [
    grainSlot,
    brothSlot,
    saltSlot,
    fatSlot,
    onionSlot,
    { ...spiceSlot, usual: 'cardamom pods', amount: { quantity: 1, unit: 'piece' }, grows: true },
    finishSlot,
  ],
  mistakes: ['Opening it when it clicks: ten minutes more with the lid down.'],
  build: (brief) => {
    const grain = measured(brief, 'rice-cooker');
    const ready = readied(brief, grain);
    const fried = brief.way('base') === 'spiced';
    const chopped =
      fried && brief.has('onion')
        ? chop('chop', 'chop', [4, 5, 7], `Chop ${brief.named('onion')} finely.`, { uses: ['onion'] })
        : null;
    const base = fried
      ? fry(
          'base',
          'fry the base',
          'medium',
          [5, 7, 9],
          'Whole spices in hot fat for half a minute, then the onion to gold.',
          {
            vessel: 'pan',
            uses: brief.uses('fat', 'spice'),
            doneWhen: 'gold, and it smells',
            cautions: [HOT_FAT],
          },
        )
      : null;
    const says = [
      `${base ? 'The base, grain' : 'Grain'}, ${pour(grain)} and salt into the cooker.`,
      ...(byEye(brief) ? [`By eye${byEye(brief)}.`] : []),
      'Close it and switch it on.',
    ].join(' ');
    const fill = work('fill', 'fill', 2, says, {
      uses: [...liquidUses(brief, grain), ...(ready.steps.length > 0 ? [] : ['grain'])],
      cautions: ['Fill and clean it as its maker says.'],
    });
    const [least, likely, most] = times(grain.kind.minutes);
    const cook: Step = {
      ...leave('cook', 'rice cooker', 'low', [least + 8, likely + 10, most + 14], 'It cooks by itself.', {
        doneWhen: 'it clicks over to warm',
      }),
      place: { at: 'appliance', appliance: 'rice-cooker', litres: grain.potLitres },
    };
    const still: Step = {
      ...rest('rest', 'rest', 10, 'Leave it closed.', {}),
      place: { at: 'appliance', appliance: 'rice-cooker' },
    };
    const { vessel: _, ...fluff } = fluffed(brief, grain);
    return {
      steps: present([...ready.steps, chopped, base, fill, cook, still, fluff]),
      links: [
        ...ready.links,
        ...(chopped ? [follow('chop', 'base', 0, 240)] : []),
        ...(base ? [follow('base', 'fill', 0, 15, 2)] : []),
        ...(ready.steps.length > 0 ? [follow('drain', 'fill', 0, 30, 10)] : []),
        follow('fill', 'cook', 0, 0),
        follow('cook', 'rest', 0, 0),
        follow('rest', 'fluff', 0, 60, 20),
      ],
      vessels: base ? [pot('pan', 'small pan', ['pan'], 0.8, 'base', 'base', { grows: false, wash: 2 })] : [],
      takes: takesStock(grain, 'fill'),
      lands: { step: 'fluff', waits: waits('hot', 20, 60, 'in the cooker, on warm') },
      grain: grainOfDish(brief, grain),
      ...called(grain),
      amounts: grain.stock ? saltAmount(brief, grain) : { water: { quantity: grain.litres, unit: 'l' } },
    };
  },
};

const steeped: Technique = {
  id: 'steeped',
  name: 'Grain steeped in boiling water',
  family: 'grain',
  says: 'Boiling water over fine grain in a bowl, covered: it needs a kettle and no burner.',
  choices: [kinds('couscous', ['couscous', 'bulgur-fine'])],
  slots: [grainSlot, waterSlot, saltSlot, fatSlot, finishSlot],
  mistakes: ['Leaving it unforked: it sets in one piece.'],
  build: (brief) => {
    const grain = measured(brief, 'covered');
    const litres = Math.max(
      0.02,
      Math.round((grain.grams * ((grain.kind.takesUp[0] + grain.kind.takesUp[1]) / 2)) / 5) / 200,
    );
    const kettle: Step = {
      ...leave('kettle', 'kettle', 'full', [3, 4, 6], 'The kettle on.', { uses: brief.uses('water') }),
      place: { at: 'appliance', appliance: 'kettle', litres },
    };
    const pouring = work(
      'pour',
      'pour over',
      2,
      'Grain, salt and fat in a bowl; boiling water over it, a plate on top.',
      {
        vessel: 'bowl',
        uses: brief.uses('grain', 'salt', 'fat'),
        cautions: ['Boiling water: pour away from you.'],
      },
    );
    const steep = rest(
      'steep',
      'steep',
      [grain.kind.rest[0], grain.kind.rest[0] + 2, grain.kind.rest[1] + 5],
      'Leave it covered.',
      { vessel: 'bowl', doneWhen: 'all the water is gone' },
    );
    const fork = work(
      'fork',
      'fork through',
      2,
      brief.has('finish') ? `Fork it loose with ${brief.named('finish')}.` : 'Fork it loose.',
      { vessel: 'bowl', uses: brief.uses('finish'), cautions: [GRAIN_KEEPS] },
    );
    return {
      steps: [kettle, pouring, steep, fork],
      links: [follow('kettle', 'pour', 0, 3, 0), follow('pour', 'steep', 0, 0), follow('steep', 'fork', 0, 15, 2)],
      vessels: [
        pot('bowl', 'bowl', ['bowl'], Math.max(0.7, Math.round(grain.potLitres * 8) / 10), 'pour', 'fork', { wash: 2 }),
      ],
      lands: { step: 'fork', waits: waits('warm', 20, grain.kind.holds + 20, 'covered') },
      grain: { ...grainOfDish(brief, { ...grain, stock: null }), liquid: ['water'] },
      ...called(grain),
      amounts: { water: { quantity: litres, unit: 'l' } },
    };
  },
};

const inBroth: Technique = {
  ...pilaf,
  id: 'broth-grain',
  name: 'Grain in the meat’s own broth',
  says: 'Soaked grain in measured broth: boiled open until craters show, then a damp cloth, the lid, the lowest heat.',
  choices: [
    kinds('aged-long', ['aged-long', 'long', 'parboiled', 'barley']),
    { ...LIQUID, ways: [...LIQUID.ways].reverse() },
    { ...SOAK, ways: [...SOAK.ways].reverse() },
    WASH,
    MEASURE,
  ],
  slots: [grainSlot, brothSlot, saltSlot, { ...fatSlot, mayMiss: true }, spiceSlot, finishSlot],
  mistakes: ['Pouring the broth unmeasured.', 'Salting without tasting it: broth brings salt of its own.'],
  build: (brief) => {
    const grain = measured(brief, 'broth', { alone: true });
    const pouring = boil(brief, grain, `The grain in, ${pour(grain)} on it, to the boil.`);
    const open = simmer('open', 'open, until craters', 'medium', [3, 5, 9], 'Uncovered until the surface is dry.', {
      vessel: 'pot',
      uses: brief.uses('fat'),
      lookEvery: 3,
      doneWhen: 'the surface is dry with small craters',
    });
    const built = landed(brief, grain, [pouring, open]);
    const low = leave(
      'covered',
      'damp cloth and lid',
      'lowest',
      slowed(grain, 1.3, 15),
      'Damp cloth, lid, lowest heat.',
      {
        vessel: 'pot',
        doneWhen: 'every grain is soft',
        cautions: ['Tie the corners of the cloth up, away from the flame.'],
      },
    );
    return { ...built, steps: built.steps.map((step) => (step.id === 'covered' ? low : step)) };
  },
};

/** Techniques for grain and rice. */
export const GRAIN_TECHNIQUES: readonly Technique[] = [
  absorption,
  pilaf,
  ovenPilaf,
  inBroth,
  hardBoil,
  drained,
  sauced,
  coconut,
  cooker,
  steeped,
];
