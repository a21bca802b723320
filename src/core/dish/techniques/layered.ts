import type { Step } from '@/core/dish/dish';
import { usualBalance } from '@/core/dish/grain-of';
import type { Brief, Slot, Technique, WayChoice } from '@/core/dish/technique';
import { bake, chop, follow, fry, leave, pot, rest, simmer, type Times, waits, work } from '@/core/dish/write';
import {
  bowlOf,
  brothSlot,
  called,
  fatSlot,
  type Grainy,
  grainOfDish,
  grainSlot,
  HOT_LIQUID,
  holds,
  kinds,
  MEASURE,
  measured,
  readied,
  resting,
  saltAmount,
  saltSlot,
  slowed,
  spiceSlot,
  takesStock,
  waterSlot,
  withBowl,
} from './grain-kit';
import {
  capital,
  chain,
  GRAIN_KEEPS,
  gramsIn,
  HEAVY,
  HOT_FAT,
  ONION_COLOUR,
  onionMinutes,
  present,
  SOAK,
  STEAM,
  WASH,
} from './words';

const nutsSlot: Slot = {
  id: 'nuts',
  asks: 'nuts to strew over',
  usual: 'toasted almonds',
  amount: { quantity: 8, unit: 'g' },
  allergens: ['tree nuts'],
  mayMiss: true,
  takes: ['golden nuts', 'crisp onions'],
};
const crispSlot: Slot = {
  id: 'crisp',
  asks: 'crisp onions',
  usual: 'crisp fried onions',
  amount: { quantity: 12, unit: 'g' },
  mayMiss: true,
  takes: ['crisp onions'],
};
const SOAKED_FIRST: WayChoice = { ...SOAK, ways: [...SOAK.ways].reverse() };
const LAYERED_KINDS = ['aged-long', 'long', 'parboiled'];

/** What is boiled to a share of its time, and what is left for the steam. Common practice, no source. */
const SHARE: WayChoice = {
  id: 'share',
  asks: 'How far is the grain boiled?',
  ways: [
    { id: '75', says: 'three quarters', because: 'The usual over cooked meat: a white point left inside.' },
    { id: '55', says: 'a little over half', because: 'Over raw meat: the long steam and its juice do the rest.' },
    { id: '65', says: 'two thirds', because: 'Where much gravy lies below, or the steam is long.' },
    { id: '90', says: 'nearly done', because: 'For a short steam in a thin layer; it clumps if it waits.' },
  ],
};
const BOILED: Readonly<Record<string, Times>> = { 55: [3, 4, 5], 65: [4, 5, 6], 75: [5, 6, 8], 90: [7, 8, 10] };
const STEAMED: Readonly<Record<string, readonly [number, number, number]>> = {
  55: [28, 32, 40],
  65: [24, 28, 34],
  75: [20, 23, 28],
  90: [12, 15, 20],
};
/** Raw meat below wants so many minutes more of steam. Common practice, no source. */
const RAW_BELOW = 22;

const SEALED: WayChoice = {
  id: 'seal',
  asks: 'How is it sealed?',
  ways: [
    { id: 'cloth', says: 'a cloth and the lid', because: 'It takes up what drips from the lid: the top stays dry.' },
    { id: 'lid', says: 'the lid alone', because: 'Nothing to find or wash; a loose lid lets steam go.' },
    { id: 'foil', says: 'foil and the lid', because: 'Tight, and quick to do; the oven wants it.' },
    {
      id: 'dough',
      says: 'a rope of dough',
      because: 'The tightest there is, broken at the table: eight minutes of hands more, and nobody can look.',
    },
  ],
};
const SEAL_SAYS: Readonly<Record<string, string>> = {
  cloth: 'A damp cloth under the lid, its corners tied up over it.',
  lid: 'The lid on.',
  foil: 'Foil over the rim, pressed tight, and the lid.',
  dough: 'The rope of dough on the rim, the lid pressed into it.',
};

const layered: Technique = {
  id: 'layered',
  name: 'Layered pot, sealed and steamed',
  family: 'grain',
  says: 'Grain boiled part of the way, laid over meat, cooked or raw, sealed and left alone; opened at the table.',
  choices: [
    {
      id: 'below',
      asks: 'What lies below?',
      ways: [
        {
          id: 'cooked',
          says: 'meat cooked in its gravy',
          because: 'Sure to be tender; the steam only joins the two.',
          brings: { technique: 'braise', into: { meat: 'meat in gravy' } },
        },
        {
          id: 'raw',
          says: 'raw meat, marinated',
          because: 'One pot less and all the juice stays in; twenty minutes more, and the middle has to be measured.',
          brings: { technique: 'marinated-meat', into: { meat: 'marinated meat' } },
        },
      ],
    },
    kinds('aged-long', LAYERED_KINDS),
    SHARE,
    {
      id: 'layers',
      asks: 'In how many layers?',
      ways: [
        { id: 'one', says: 'one', because: 'Meat, then grain: quick, and the grain on top stays loose.' },
        {
          id: 'two',
          says: 'two, a half kept back',
          because:
            'Half the meat and half the grain, then again; the last of it coloured in thirds: three minutes more.',
        },
      ],
    },
    SEALED,
    {
      id: 'heat',
      asks: 'On what heat?',
      ways: [
        { id: 'lowest', says: 'the lowest, all the time', because: 'Nothing catches; with gravy below it is enough.' },
        {
          id: 'medium',
          says: 'medium first, then the lowest',
          because: 'Steam is there sooner, and a crust forms below if there is fat: listen for the sizzle.',
        },
        { id: 'oven', says: 'in the oven', because: 'No burner, heat from all sides; ten minutes more for the pot.' },
      ],
    },
    SOAKED_FIRST,
    WASH,
  ],
  slots: [
    grainSlot,
    waterSlot,
    { ...saltSlot, amount: { quantity: 0.75, unit: 'tsp' } },
    {
      id: 'meat',
      asks: 'what lies below',
      usual: 'cooked lamb in its gravy',
      amount: { quantity: 220, unit: 'g' },
      takes: [
        'meat in gravy',
        'marinated meat',
        'boiled meat',
        'fried slices',
        'fried pieces',
        'cooked pulses',
        'boiled eggs',
      ],
    },
    crispSlot,
    { ...fatSlot, takes: ['kept oil', 'spiced butter'] },
    {
      id: 'milk',
      asks: 'what colours it',
      usual: 'warm milk with saffron',
      amount: { quantity: 12, unit: 'ml' },
      allergens: ['milk'],
      mayMiss: true,
      takes: ['spiced water'],
    },
    {
      id: 'herbs',
      asks: 'herbs between',
      usual: 'chopped mint and coriander',
      amount: { quantity: 4, unit: 'g' },
      mayMiss: true,
    },
    nutsSlot,
    {
      id: 'dough',
      asks: 'the dough',
      usual: 'plain flour',
      amount: { quantity: 25, unit: 'g' },
      allergens: ['gluten'],
    },
  ],
  instead: (way) => (way('below') === 'raw' ? { meat: { name: 'marinated chicken, raw' } } : {}),
  begins: {
    parts: [
      { id: 'meat', technique: 'braise', ways: {}, fillings: {} },
      { id: 'onions', technique: 'crisp-onions', ways: {}, fillings: {} },
    ],
    fillings: {
      meat: { from: { part: 'meat', product: 'meat in gravy' } },
      crisp: { from: { part: 'onions', product: 'crisp onions' } },
      fat: { from: { part: 'onions', product: 'kept oil' } },
    },
  },
  mistakes: [
    'Draining the grain before the meat is ready: it cannot wait ten minutes.',
    'Opening it to look: the steam that is lost is what cooks it.',
    'Grain boiled soft: there is nothing left for the steam to do.',
  ],
  build: (brief) => {
    const grain = measured(brief, 'drain');
    const ready = readied(brief, grain);
    const [boiling, parboil, pouring] = parboiling(brief, grain, ready.steps.length > 0);
    const dough = seal(brief);
    const laid = laying(brief);
    const heat = steaming(brief);
    const after = [...heat, opening(brief, grain)];
    const grams = gramsIn(brief, 'meat');
    return withBowl({
      steps: present([...ready.steps, dough, boiling, parboil, pouring, laid, ...after]),
      links: [
        ...ready.links,
        ...(ready.steps.length > 0 ? [follow('drain', 'parboil', 0, 30, 10)] : []),
        follow('boil', 'parboil', 0, 10, 0),
        ...chain([parboil, pouring]),
        // Drained, it clumps and goes on cooking.
        follow('pour', 'layer', 0, 8, 0),
        ...(dough ? [follow('dough', 'layer', 0, 120, 30)] : []),
        ...chain([laid, ...heat], 3),
        // Sealed it stays hot; once open it is eaten.
        follow('rest', 'open', 0, 25, 12),
      ],
      vessels: [
        ...bowlOf(grain),
        pot('water', 'boiling pot', ['pot'], Math.max(2, Math.round(grain.litres * 13) / 10), 'boil', 'pour', {
          wash: 3,
        }),
        pot(
          'pot',
          'layering pot',
          brief.way('heat') === 'oven' ? ['casserole'] : ['casserole', 'pot'],
          Math.round((grain.potLitres + grams / 800) * 10) / 10,
          'layer',
          'open',
          { wash: 8 },
        ),
      ],
      lands: { step: 'open', waits: waits('hot', 5, 10, 'lid on again') },
      grain: { ...grainOfDish(brief, { ...grain, stock: null }), liquid: ['water'] },
      ...called(grain),
      amounts: { water: { quantity: grain.litres, unit: 'l' } },
    });
  },
};

/** Much salted water to the boil, the grain in, and out again at the minute. */
function parboiling(brief: Brief, grain: Grainy, washed: boolean): readonly [Step, Step, Step] {
  const share = brief.way('share');
  return [
    simmer('boil', 'water to the boil', 'full', [6, 10, 14], 'Plenty of water, salted like soup, to a rolling boil.', {
      vessel: 'water',
      uses: brief.uses('water', 'salt'),
      boils: [grain.litres, 15, 'covered'],
      doneWhen: 'it rolls',
      cautions: [HEAVY],
    }),
    // Eyes, not hands: the onions are fried beside it.
    simmer(
      'parboil',
      'parboil',
      'full',
      BOILED[share] ?? [5, 6, 8],
      share === '90'
        ? 'The grain in, stirred once; boil it until it is all but done.'
        : 'The grain in, stirred once; boil it until it bends and its heart is still hard.',
      {
        vessel: 'water',
        lookEvery: 2,
        uses: washed ? [] : ['grain'],
        doneWhen:
          { 55: 'it bends, and breaks with a snap', 90: 'soft, with the least bite' }[share] ?? 'a white point inside',
      },
    ),
    work('pour', 'drain at once', 2, 'Drain at once: what lies below must be ready, for it cannot wait.', {
      vessel: 'water',
      doneWhen: 'nothing drips',
      cautions: ['Tip the pot away from you into a sieve that stands firm in the sink.'],
    }),
  ];
}

/** A rope of dough, where one is wanted. */
function seal(brief: Brief): Step | null {
  if (brief.way('seal') !== 'dough') return null;
  return work(
    'dough',
    'dough for the seal',
    [5, 8, 11],
    'Flour and a little water to a firm dough; roll a rope as long as the rim.',
    { uses: ['dough'], doneWhen: 'it holds its shape' },
  );
}

function laying(brief: Brief): Step {
  const raw = brief.way('below') === 'raw';
  const two = brief.way('layers') === 'two';
  const extra = two ? 3 : 0;
  return work(
    'layer',
    two ? 'layer, twice' : 'layer',
    // For many it takes a little longer, not so many times as long.
    [4 + extra, 6 + extra, 12 + extra],
    [
      `Fat into the pot, then ${two ? 'half of ' : ''}${brief.named('meat')}${brief.has('crisp') ? ' and some of the onions' : ''}.`,
      two ? 'Half of the grain on it, and the same again.' : 'The grain on it as a loose heap.',
      ...present([
        brief.has('milk') && `Drops of ${brief.named('milk')} on top.`,
        brief.has('herbs') && 'Herbs on top.',
        brief.has('crisp') && 'Onions on top.',
      ]),
      SEAL_SAYS[brief.way('seal')] ?? '',
    ].join(' '),
    {
      vessel: 'pot',
      uses: brief.uses('fat', 'meat', 'crisp', 'herbs', 'milk'),
      doneWhen: 'sealed all round',
      cautions: raw ? ['Raw meat lies below: no tasting from this pot until it has been steamed and measured.'] : [],
    },
  );
}

/** The heat and the rest. */
function steaming(brief: Brief): readonly Step[] {
  const raw = brief.way('below') === 'raw';
  const heat = brief.way('heat');
  const first =
    heat === 'medium'
      ? simmer(
          'first',
          'medium, until it steams',
          'medium',
          raw ? [10, 12, 15] : [6, 8, 10],
          'Medium heat until steam stands at the rim; put your ear to it.',
          { vessel: 'pot', lookEvery: 4, doneWhen: 'steam at the rim, and a soft sizzle' },
        )
      : null;
  const more = (raw ? RAW_BELOW : 0) - (first ? 5 : 0) + (heat === 'oven' ? 10 : 0);
  const [least, likely, most] = STEAMED[brief.way('share')] ?? [20, 23, 28];
  const minutes: Times = [least + more, likely + more, most + more];
  const words = { vessel: 'pot', doneWhen: raw ? 'the meat below is done through' : 'the lid is too hot to touch' };
  const steam =
    heat === 'oven'
      ? bake('steam', 'steam, in the oven', 170, 1, minutes, 'Sealed, into the oven.', {
          ...words,
          cautions: ['Lid and handles come out as hot as the oven: two dry cloths.'],
        })
      : leave('steam', 'steam, sealed', 'lowest', minutes, 'Lowest heat, sealed; not opened.', {
          ...words,
          cautions: brief.way('seal') === 'cloth' ? ['Tie the corners of the cloth up, away from the flame.'] : [],
        });
  return present([first, steam, rest('rest', 'rest', [5, 8, 15], 'Off the heat, still sealed.', { vessel: 'pot' })]);
}

function opening(brief: Brief, grain: Grainy): Step {
  return work(
    'open',
    'open, lift out',
    [3, 4, 6],
    `Open it at the table. Lift it out from the side with a flat spoon, top to bottom; never stirred.${brief.has('nuts') ? ` Strew with ${brief.named('nuts')}.` : ''}`,
    {
      vessel: 'pot',
      uses: brief.uses('nuts'),
      cautions: [STEAM, GRAIN_KEEPS, ...(grain.potLitres > 4 ? [HEAVY] : [])],
      doneWhen: 'every plate has some of each layer',
    },
  );
}

/** °C of layers that have stood in the kitchen. Common practice, no source. */
const LAID_COOL = 20;
/** A pot that holds more than so many litres is turned by two. Common practice, no source. */
const TURNED_BY_TWO = 5;

const turnedOut: Technique = {
  id: 'turned-out',
  name: 'Layered pot, turned out',
  family: 'grain',
  says: 'Meat or vegetables below, soaked grain above, broth poured through a sieve; turned out onto a flat dish.',
  choices: [
    kinds('aged-long', ['aged-long', 'long', 'bulgur-coarse']),
    {
      id: 'meat',
      asks: 'With meat?',
      ways: [
        { id: 'none', says: 'vegetables alone', because: 'Fried slices line the pot; water or a stock of vegetables.' },
        {
          id: 'with',
          says: 'meat, boiled before',
          because:
            'It gives the broth that is poured over; tender before it is laid in, for the pot only joins things.',
          brings: { technique: 'boiled-meat', into: { meat: 'boiled meat', water: 'broth' } },
        },
      ],
    },
    {
      id: 'lined',
      asks: 'How is the pot lined?',
      ways: [
        { id: 'below', says: 'slices below', because: 'They come out on top; quick to lay.' },
        {
          id: 'round',
          says: 'slices below and up the sides',
          because: 'It stands like a cake; it wants a straight pot, more slices, and four minutes more.',
        },
      ],
    },
    MEASURE,
  ],
  slots: [
    grainSlot,
    brothSlot,
    saltSlot,
    { ...fatSlot, takes: ['kept oil', 'spiced butter'] },
    {
      id: 'layers',
      asks: 'slices, fried or baked',
      usual: 'fried slices of aubergine',
      amount: { quantity: 110, unit: 'g' },
      takes: ['fried slices'],
    },
    {
      id: 'meat',
      asks: 'the meat',
      usual: 'boiled lamb, off the bone',
      amount: { quantity: 150, unit: 'g' },
      takes: ['boiled meat', 'meat in gravy', 'fried pieces'],
    },
    nutsSlot,
  ],
  begins: {
    parts: [{ id: 'slices', technique: 'fried-layers', ways: {}, fillings: {} }],
    fillings: { layers: { from: { part: 'slices', product: 'fried slices' } } },
  },
  mistakes: [
    'Turning it too soon: it must settle.',
    'A plate no wider than the rim: try it on the cold pot.',
    'Broth too hot to pour slowly: the layers float up.',
  ],
  build: (brief) => {
    const { kind } = measured(brief, 'turned-out');
    const grain: Grainy = { ...measured(brief, 'turned-out'), soaked: kind.soak !== null };
    const litres =
      brief.way('measure') === 'school'
        ? grain.litres
        : Math.max(
            0.02,
            Math.round(
              usualBalance({ kind: kind.id, method: 'turned-out', soaked: grain.soaked }, grain.grams).liquid.likely *
                200,
            ) / 200,
          );
    const filled: Grainy = { ...grain, litres };
    const solid = (gramsIn(brief, 'layers') + (brief.way('meat') === 'with' ? gramsIn(brief, 'meat') : 0)) / 1000;
    const ready = readied(brief, filled);
    const steps = turning(brief, filled, solid);
    const potLitres = Math.round((grain.potLitres + solid) * 10) / 10;
    return withBowl({
      steps: [...ready.steps, ...steps],
      links: [
        ...ready.links,
        follow('drain', 'layer', 0, 30, 10),
        // A night in the cold without its broth: a true point to stop at.
        { ...follow('layer', 'boil', 0, 60, 30), overnight: true },
        ...chain(steps.slice(1, 4)),
        follow('settle', 'turn', 0, 10, 2),
      ],
      vessels: [
        ...bowlOf(filled),
        pot('pot', 'straight pot', ['pot'], potLitres, 'layer', 'turn', { straight: true, wash: 8 }),
      ],
      takes: takesStock(filled, 'boil'),
      lands: { step: 'turn', waits: waits('hot', 8, 15, 'as it stands, under a cloth') },
      grain: grainOfDish(brief, filled),
      ...called(filled),
      amounts: filled.stock ? saltAmount(brief, filled) : { water: { quantity: litres, unit: 'l' } },
    });
  },
};

function turning(brief: Brief, grain: Grainy, solid: number): readonly [Step, Step, Step, Step, Step] {
  const { litres, grams, kind, stock } = grain;
  const inThePot = litres + grams / 1000 + solid;
  const round = brief.way('lined') === 'round' ? 4 : 0;
  const meat = brief.way('meat') === 'with';
  const heavy = inThePot > TURNED_BY_TWO / 1.3;
  return [
    work(
      'layer',
      'layer',
      [5 + round, 7 + round, 14 + round],
      [
        'Try the flat dish on the empty pot first: it must be wider than the rim.',
        `Fat into the pot, ${brief.named('layers')} ${round > 0 ? 'on the bottom and up the sides' : 'on the bottom'}.`,
        ...(meat ? [`Then ${brief.named('meat')}.`] : []),
        'Then the drained grain, pressed lightly.',
      ].join(' '),
      { vessel: 'pot', uses: brief.uses('fat', 'layers', ...(meat ? ['meat'] : [])) },
    ),
    simmer(
      'boil',
      'pour, boil',
      'medium',
      [4, 6, 9],
      `${stock ? 'The hot broth, measured,' : 'The hot water'} through a sieve or over a spoon, so that nothing floats up, to just above the grain; to the boil.`,
      {
        vessel: 'pot',
        uses: brief.uses(...(stock ? [] : ['water']), 'salt'),
        // Hot liquid onto cool layers and grain: all of it has to come to the boil.
        boils: [inThePot, Math.round((litres * HOT_LIQUID + (inThePot - litres) * LAID_COOL) / inThePot)],
        doneWhen: 'it bubbles at the edge',
      },
    ),
    leave('low', 'low', 'low', kind.id === 'bulgur-coarse' ? [15, 20, 28] : [30, 38, 50], 'Lid on, low.', {
      vessel: 'pot',
      doneWhen: 'the grain on top is done',
    }),
    rest('settle', 'settle', [15, 15, 20], 'Off the heat, lid on.', { vessel: 'pot' }),
    work(
      'turn',
      'turn out',
      [3, 4, 6],
      `The flat dish over the pot, held tight, one turn${heavy ? ' by two people' : ''}, two minutes upside down, then lift.${brief.has('nuts') ? ` Strew with ${brief.named('nuts')}.` : ''}`,
      {
        vessel: 'pot',
        uses: brief.uses('nuts'),
        cautions: [heavy ? 'Too heavy for one: two people, one at each side, and a clear way.' : HEAVY, GRAIN_KEEPS],
        doneWhen: 'it stands',
      },
    ),
  ];
}

const meatPilaf: Technique = {
  id: 'meat-pilaf',
  name: 'Grain cooked with its meat',
  family: 'grain',
  says: 'Onions to a colour, the boiled meat turned in them, the measured broth and the grain: one pot to the table.',
  choices: [
    kinds('aged-long', ['aged-long', 'long', 'parboiled', 'barley', 'bulgur-coarse', 'freekeh']),
    { ...ONION_COLOUR, ways: [ONION_COLOUR.ways[2]!, ONION_COLOUR.ways[0]!, ONION_COLOUR.ways[1]!] },
    {
      id: 'tomato',
      asks: 'Tomato?',
      ways: [
        { id: 'no', says: 'none', because: 'The grain takes its colour from the onions, and keeps longer.' },
        { id: 'yes', says: 'with tomato', because: 'Red and a little sour: seven minutes until its tang is gone.' },
      ],
    },
    {
      id: 'spices',
      asks: 'The spices?',
      ways: [
        { id: 'whole', says: 'whole', because: 'In the hot fat first; clear in taste, and fished out at the end.' },
        { id: 'ground', says: 'ground', because: 'With the last of the frying, for a minute: rounder, and darker.' },
      ],
    },
    {
      id: 'back',
      asks: 'When does the meat go back?',
      ways: [
        {
          id: 'with',
          says: 'with the grain',
          because: 'It lies below and gives its taste: it must not be falling apart.',
        },
        {
          id: 'top',
          says: 'on top, under the lid',
          because: 'Fried or baked meat keeps its crust, and tender meat its shape.',
        },
      ],
    },
    {
      id: 'end',
      asks: 'Covered, how?',
      ways: [
        { id: 'hob', says: 'lid, lowest flame', because: 'The simplest; a loose lid lets steam go.' },
        { id: 'cloth', says: 'a damp cloth and the lid', because: 'It gives the steam back and keeps the top dry.' },
        { id: 'foil', says: 'foil and the lid', because: 'The tightest on a hob: less boils off.' },
        {
          id: 'oven',
          says: 'in the oven',
          because: 'Frees the burner and cooks from all sides: ten minutes more for the pot.',
        },
      ],
    },
    SOAKED_FIRST,
    WASH,
    MEASURE,
  ],
  slots: [
    grainSlot,
    { ...brothSlot, usual: 'meat broth' },
    saltSlot,
    fatSlot,
    { id: 'onion', asks: 'onions', usual: 'onions', amount: { quantity: 0.5, unit: 'piece' }, cut: 'thinly sliced' },
    {
      id: 'garlic',
      asks: 'garlic and ginger',
      usual: 'garlic and ginger',
      amount: { quantity: 0.6, unit: 'clove' },
      cut: 'crushed',
      mayMiss: true,
    },
    {
      id: 'tomato',
      asks: 'tomatoes',
      usual: 'chopped tomatoes',
      amount: { quantity: 50, unit: 'g' },
      takes: ['sauce'],
    },
    { ...spiceSlot, usual: 'cardamom pods', amount: { quantity: 1, unit: 'piece' }, grows: true },
    {
      id: 'meat',
      asks: 'the meat',
      usual: 'boiled lamb, in pieces',
      amount: { quantity: 170, unit: 'g' },
      takes: ['boiled meat', 'fried pieces', 'meat in gravy', 'cooked pulses', 'fried slices'],
    },
    { ...nutsSlot, usual: 'toasted almonds' },
  ],
  instead: (way) =>
    way('spices') === 'ground'
      ? { spice: { name: 'cumin and allspice, ground', amount: { quantity: 0.3, unit: 'tsp' } } }
      : {},
  begins: {
    parts: [{ id: 'meat', technique: 'boiled-meat', ways: {}, fillings: {} }],
    fillings: {
      meat: { from: { part: 'meat', product: 'boiled meat' } },
      water: { from: { part: 'meat', product: 'broth' } },
    },
  },
  mistakes: [
    'The broth unmeasured: an inch over the grain is right in one pot and wrong in the next.',
    'Stirring once it is covered.',
    'Covering it while broth still stands on top: the bottom turns to mush.',
  ],
  build: (brief) => {
    const grain = measured(brief, 'broth');
    const ready = readied(brief, grain);
    const hot = cookedTogether(brief, grain, ready.steps.length > 0);
    const slice = chop('slice', 'slice onions', [4, 6, 9], 'Slice the onions thin and even; crush the garlic.', {
      uses: brief.uses('onion', 'garlic'),
    });
    return withBowl({
      steps: [...ready.steps, slice, ...hot],
      links: [
        ...ready.links,
        ...(ready.steps.length > 0 ? [follow('drain', 'boil', 0, 30, 10)] : []),
        follow('slice', 'onions', 0, 240),
        ...chain(hot.slice(0, -1)),
        follow('rest', 'fluff', 0, 20, 0),
      ],
      vessels: [
        ...bowlOf(grain),
        pot(
          'pot',
          'grain pot',
          brief.way('end') === 'oven' ? ['casserole'] : ['pot', 'casserole'],
          Math.round((grain.potLitres + gramsIn(brief, 'meat') / 900) * 10) / 10,
          'onions',
          'fluff',
          { wash: 8 },
        ),
      ],
      takes: takesStock(grain, 'boil'),
      lands: { step: 'fluff', waits: holds(grain) },
      grain: grainOfDish(brief, grain),
      ...called(grain),
      amounts: grain.stock ? saltAmount(brief, grain) : { water: { quantity: grain.litres, unit: 'l' } },
    });
  },
};

function cookedTogether(brief: Brief, grain: Grainy, washed: boolean): readonly Step[] {
  const ground = brief.way('spices') === 'ground';
  const onTop = brief.way('back') === 'top';
  const onions = fry(
    'onions',
    'onions',
    'medium',
    onionMinutes(brief.way('onions')),
    `${ground ? '' : 'Whole spices into the hot fat for half a minute; then '}${ground ? 'The' : 'the'} onions to their colour, a splash of water to stop them; garlic for a minute${ground ? ', the ground spices for the last' : ''}.`,
    {
      vessel: 'pot',
      uses: brief.uses('fat', 'spice'),
      perBatch: 8,
      floorCm2: 45,
      doneWhen: 'the colour that the dish shall have',
      cautions: [HOT_FAT],
    },
  );
  const tomato =
    brief.way('tomato') === 'yes'
      ? fry(
          'tomato',
          'tomato',
          'medium',
          [6, 8, 11],
          'The tomatoes, stirred until the tang is gone and the fat parts.',
          {
            vessel: 'pot',
            uses: ['tomato'],
            doneWhen: 'the fat stands at the edge',
            cautions: ['A thick sauce spits: lid ajar.'],
          },
        )
      : null;
  const boil = simmer(
    'boil',
    'broth and grain, boil',
    'full',
    [4, 6, 9],
    `${onTop ? 'The' : `${capital(brief.named('meat'))} in, then the`} broth, measured, and the salt; taste it: a little too salty is right. Then the grain, level; to the boil.`,
    {
      vessel: 'pot',
      uses: [
        ...brief.uses(...(grain.stock ? [] : ['water']), 'salt', ...(onTop ? [] : ['meat'])),
        ...(washed ? [] : ['grain']),
      ],
      boils: [grain.litres + grain.grams / 2500, 80],
      doneWhen: 'it bubbles all over',
      cautions: ['Liquid on hot fat spits: pour slowly, sleeve down.'],
    },
  );
  const open = simmer('open', 'open, until craters', 'medium', [3, 5, 9], 'Uncovered until the surface is dry.', {
    vessel: 'pot',
    lookEvery: 3,
    doneWhen: 'the surface is dry with small craters',
  });
  const end = brief.way('end');
  const lay = (how: string) => (onTop ? `The meat on top, then ${how}` : capital(how));
  const [least, likely, most] = slowed(grain, 1.3, 15);
  const words = { vessel: 'pot', uses: brief.uses(...(onTop ? ['meat'] : [])), doneWhen: 'every grain is soft' };
  const covered =
    end === 'oven'
      ? bake(
          'covered',
          'oven, covered',
          160,
          1,
          [least + 8, likely + 10, most + 12],
          lay('foil and lid, into the oven.'),
          {
            ...words,
            cautions: ['Lid and handles come out as hot as the oven: two dry cloths.'],
          },
        )
      : leave(
          'covered',
          'covered',
          'lowest',
          [least, likely, most],
          lay(
            `${{ cloth: 'a damp cloth and the lid', foil: 'foil and the lid' }[end] ?? 'the lid'}, lowest heat; it stays on.`,
          ),
          {
            ...words,
            cautions: end === 'cloth' ? ['Tie the corners of the cloth up, away from the flame.'] : [],
          },
        );
  const fluff = work(
    'fluff',
    'lift out',
    [2, 3, 5],
    `Loosen from the side with a fork, the meat on top.${brief.has('nuts') ? ` Strew with ${brief.named('nuts')}.` : ''}`,
    { vessel: 'pot', uses: brief.uses('nuts'), cautions: [STEAM, GRAIN_KEEPS], doneWhen: 'every grain by itself' },
  );
  return present([onions, tomato, boil, open, covered, resting(grain), fluff]);
}

/** Techniques in which parts meet in one pot. */
export const LAYERED_TECHNIQUES: readonly Technique[] = [layered, turnedOut, meatPilaf];
