import type { Step } from '@/core/dish/dish';
import { strictest } from '@/core/dish/rules';
import { pieceKilos } from '@/core/dish/scale';
import type { Brief, Offer, Slot, Technique, WayChoice } from '@/core/dish/technique';
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
import { isFlesh } from '@/core/food/food';
import { foodsOf } from '@/core/food/known';
import { LIMITS } from '@/core/heat/safe-limits';
import { written } from '@/core/say/retold';
import { type Amount, MASS_IN_GRAMS, type MassUnit } from '@/core/units/amount';
import { byAmount, COOLING, chain, gramsIn, HEAVY, HOT_FAT, MARINADE, present, salt } from './words';

const oil = (tablespoons: number): Slot => ({
  id: 'oil',
  asks: 'the fat',
  usual: 'oil',
  amount: { quantity: tablespoons, unit: 'tbsp' },
  grows: false,
});
const meat = (usual: string, grams: number): Slot => ({
  id: 'meat',
  asks: 'the meat',
  usual,
  amount: { quantity: grams, unit: 'g' },
});

/** Which meat: it decides how hot its middle must be. */
const ANIMAL: WayChoice = {
  id: 'animal',
  asks: 'What kind of meat?',
  ways: [
    {
      id: 'whole',
      says: 'beef, pork, lamb or goat',
      because: 'Whole cuts are safe from 63 °C and three minutes of rest.',
    },
    { id: 'poultry', says: 'poultry', because: 'Safe from 74 °C in the middle, and done far sooner than red meat.' },
  ],
};
/** Whether what is cooked is a bird: what it is goes before what was chosen. */
function isBird(brief: Brief): boolean {
  const flesh = foodsOf(brief.item('meat')!).filter(isFlesh);
  return flesh.length > 0
    ? flesh.every(({ kind, bird }) => kind === 'poultry' || bird === true)
    : brief.way('animal') === 'poultry';
}
/** What goes in by what was chosen, where the cook has named nothing. */
const birdInstead =
  (name: string): NonNullable<Technique['instead']> =>
  (way) =>
    way('animal') === 'poultry' ? { meat: { name } } : {};
/** °C that the middle must reach by all that is in these slots, for a sign of doneness; of what is not known, the most. */
function middleOf(brief: Brief, ...slots: string[]): number {
  const foods = slots.flatMap((slot) => foodsOf(brief.item(slot) ?? { name: '' }));
  return (strictest(foods) ?? { celsius: LIMITS.poultry.celsius }).celsius;
}

const FROM_WHAT: WayChoice = {
  id: 'from',
  asks: 'From what?',
  ways: [
    { id: 'vegetables', says: 'vegetables', because: 'Forty minutes give all they have; longer turns it dull.' },
    { id: 'poultry', says: 'poultry pieces', because: 'Twenty minutes cook the meat, an hour and more the bones.' },
    {
      id: 'shanks',
      says: 'shanks or bones',
      because: 'An hour and a half to two hours until the meat comes from the bone.',
    },
  ],
};
const STOCK_MINUTES = {
  vegetables: [40, 45, 60],
  poultry: [50, 65, 90],
  shanks: [90, 110, 140],
} as const;
const stockSlots: readonly Slot[] = [
  {
    id: 'base',
    asks: 'what it is made from',
    usual: 'vegetables',
    amount: { quantity: 130, unit: 'g' },
  },
  {
    id: 'herbs',
    asks: 'herbs and spices',
    usual: 'bay',
    amount: { quantity: 3, unit: 'leaf' },
    grows: false,
    mayMiss: true,
  },
  { id: 'water', asks: 'the water', usual: 'cold water', amount: { quantity: 280, unit: 'ml' } },
  // Eleven grams a litre: a little too salty by itself, for grain dulls it.
  salt(0.42),
];

function stockOf(brief: Brief, simmering: Step, boils: Step): ReturnType<Technique['build']> {
  const prepare = chop('prepare', 'cut', [4, 6, 9], `Cut ${brief.named('base')} roughly.`, {
    uses: brief.uses('base'),
  });
  const litres = brief.item('water')!.amount.quantity / 1000;
  const strain = work(
    'strain',
    'strain, measure',
    [4, 5, 8],
    'Lift out what is in it, strain, measure, and salt it a little more than tastes right: grain dulls salt.',
    {
      vessel: 'pot',
      uses: brief.uses('salt'),
      doneWhen: 'measured and tasted',
      cautions: [HEAVY, COOLING],
    },
  );
  return {
    steps: [prepare, boils, simmering, strain],
    links: [
      follow('prepare', boils.id, 0, 180),
      ...(boils === simmering ? [] : atOnce(boils.id, simmering.id)),
      follow(simmering.id, 'strain', 0, 40),
    ],
    vessels: [pot('pot', 'stock pot', ['pot'], Math.round(litres * 19) / 10, boils.id, 'strain')],
    gives: [
      {
        product: 'stock',
        name: 'stock, hot',
        step: 'strain',
        amount: { quantity: Math.round(litres * 82) / 100, unit: 'l' },
      },
    ],
    offers: [
      {
        product: 'broth',
        name: `${brief.way('from') === 'vegetables' ? 'vegetable' : 'meat'} stock, hot`,
        step: 'strain',
        amount: { quantity: Math.round(litres * 82) / 100, unit: 'l' },
        within: 120,
        rather: 30,
        overnight: true,
      },
    ],
    lands: null,
  };
}

const stock: Technique = {
  id: 'stock',
  name: 'Stock on the hob',
  family: 'stock',
  says: 'Cold water, up to the boil, skimmed, barely moving, strained and measured.',
  choices: [FROM_WHAT],
  slots: stockSlots,
  instead: (way) =>
    way('from') === 'poultry'
      ? { base: { name: 'chicken wings and carcasses' } }
      : way('from') === 'shanks'
        ? { base: { name: 'beef shanks and marrow bones' } }
        : {},
  mistakes: ['Boiling it hard: it turns cloudy.', 'Salting it early: what boils down grows saltier.'],
  build: (brief) => {
    const minutes = STOCK_MINUTES[brief.way('from') as keyof typeof STOCK_MINUTES];
    const litres = brief.item('water')!.amount.quantity / 1000;
    return stockOf(
      brief,
      simmer('simmer', 'barely moving', 'lowest', minutes, 'Turn down until it barely moves, lid ajar.', {
        vessel: 'pot',
        lookEvery: 20,
        doneWhen: 'it smells right and has colour',
      }),
      simmer('boil', 'boil', 'full', [9, 14, 20], 'Cold water on it, herbs in, up to the boil; skim what rises.', {
        vessel: 'pot',
        uses: brief.uses('herbs', 'water'),
        boils: [litres * 1.3, 12],
        doneWhen: 'it rolls',
        cautions: [HEAVY],
      }),
    );
  },
};

const pressureStock: Technique = {
  ...stock,
  id: 'stock-pressure',
  name: 'Stock in the pressure cooker',
  says: 'A third of the time, and none of the smell; the pressure takes its own time to go.',
  mistakes: ['Filling it beyond its line.', 'Forcing it open.'],
  build: (brief) => {
    const [least, likely, most] = STOCK_MINUTES[brief.way('from') as keyof typeof STOCK_MINUTES];
    const third = (minutes: number) => Math.round(minutes / 3) + 18;
    const cook: Step = {
      ...leave(
        'cook',
        'pressure',
        'low',
        [third(least), third(likely), third(most)],
        'Everything in, closed, up to pressure, then low; let the pressure go by itself.',
        {
          uses: brief.uses('herbs', 'water'),
          doneWhen: 'the pressure has gone by itself',
        },
      ),
      // Two thirds full at the most.
      place: { at: 'appliance', appliance: 'pressure-cooker', litres: Math.round(brief.servings * 6.5) / 10 },
    };
    const built = stockOf(brief, cook, cook);
    const strain = built.steps.find(({ id }) => id === 'strain')!;
    const { vessel: _, ...strained } = strain;
    const prepare = built.steps[0]!;
    return { ...built, steps: [prepare, cook, strained], vessels: [] };
  },
};

const FIRST: WayChoice = {
  id: 'first',
  asks: 'Brown the meat?',
  ways: [
    {
      id: 'meat',
      says: 'meat first',
      because: 'A dark crust gives the sauce its depth; it takes a batch for each layer of the pan.',
    },
    { id: 'none', says: 'not at all', because: 'Softer and paler, and no batches: the pot does the rest.' },
  ],
};

const braiseSlots: readonly Slot[] = [
  meat('braising beef, in large pieces', 220),
  salt(0.4),
  { ...oil(3), takes: ['kept oil'] },
  { id: 'onions', asks: 'onions', usual: 'onions', amount: { quantity: 0.4, unit: 'piece' }, cut: 'sliced' },
  { id: 'paste', asks: 'tomato paste', usual: 'tomato paste', amount: { quantity: 0.25, unit: 'tbsp' }, mayMiss: true },
  {
    id: 'liquid',
    asks: 'the liquid',
    usual: 'water',
    amount: { quantity: 120, unit: 'ml' },
    takes: ['broth', 'spiced water'],
  },
  {
    id: 'spice',
    asks: 'whole spices or herbs',
    usual: 'bay',
    amount: { quantity: 3, unit: 'leaf' },
    grows: false,
    mayMiss: true,
  },
];

function braised(brief: Brief, long: Step): ReturnType<Technique['build']> {
  const browns = brief.way('first') === 'meat';
  const poultry = isBird(brief);
  const litres = brief.item('liquid')!.amount.quantity / 1000;
  const trim = work('trim', 'trim', [4, 6, 9], 'Trim the meat, dry it and salt it well.', {
    uses: brief.uses('meat', 'salt'),
    steady: false,
  });
  const onions = chop('onions', 'slice onions', [4, 6, 9], 'Slice the onions thin and even.', {
    uses: brief.uses('onions'),
  });
  const brown = browns
    ? fry('brown', 'brown', 'full', [7, 9, 12], 'Brown the meat on all sides, one layer at a time, and lift it out.', {
        vessel: 'pot',
        uses: brief.uses('oil'),
        perBatch: 4,
        floorCm2: 140,
        doneWhen: 'a dark crust all round',
        cautions: [HOT_FAT],
      })
    : null;
  const soften = fry(
    'soften',
    'onions',
    'medium',
    [8, 11, 15],
    brief.has('paste')
      ? `Colour the onions in the same fat; then ${brief.named('paste')} ${/tomato/i.test(brief.named('paste')) ? 'until its tang is gone' : 'for a minute'}.`
      : 'Colour the onions in the same fat.',
    {
      vessel: 'pot',
      uses: brief.uses(...(browns ? [] : ['oil']), 'paste'),
      doneWhen: brief.has('paste') ? 'golden, and the fat parts from the paste' : 'golden',
    },
  );
  const boil = simmer(
    'boil',
    'boil',
    'full',
    [5, 7, 10],
    'The meat back in, the liquid and the spices on it, to the boil.',
    {
      vessel: 'pot',
      uses: brief.uses('liquid', 'spice'),
      boils: [litres + brief.servings * 0.1, 25],
      doneWhen: 'it bubbles all over',
    },
  );
  const finish = work('finish', 'finish', [3, 4, 6], 'Skim the fat, taste for salt, sweet and sour in small steps.', {
    vessel: 'pot',
    doneWhen: 'it tastes whole',
    cautions: [COOLING],
  });
  const hot = present([brown, soften, boil]);
  return {
    steps: present([trim, onions, brown, soften, boil, long, finish]),
    links: [
      follow('trim', browns ? 'brown' : 'boil', 0, 240),
      follow('onions', 'soften', 0, 240),
      ...(browns ? [follow('brown', 'soften', 0, 5, 1)] : []),
      ...chain([...hot.filter(({ id }) => id !== 'brown'), long]),
      overnight(follow(long.id, 'finish', 0, 60, 30)),
    ],
    vessels: [
      pot(
        'pot',
        'braising pot',
        long.place.at === 'oven' ? ['casserole'] : ['casserole', 'pot'],
        Math.max(2, Math.round(brief.servings * 6.5) / 10),
        hot[0]!.id,
        'finish',
        { wash: 8 },
      ),
    ],
    offers: [inGravy(brief, 'finish', 'meat', 'liquid')],
    lands: {
      step: 'finish',
      waits: overnight(
        waits(
          'hot',
          poultry ? 25 : 45,
          poultry ? 45 : 75,
          'covered, on the lowest heat or in a low oven, steaming hot',
        ),
      ),
    },
  };
}

/** Meat with what it cooked in, for what lies above it or goes under it. */
const inGravy = (brief: Brief, step: string, ...slots: string[]): Offer => ({
  product: 'meat in gravy',
  name: `${brief.item('meat')?.name.split(',')[0] ?? 'meat'} in its gravy`,
  step,
  amount: { quantity: Math.round(slots.reduce((sum, slot) => sum + gramsIn(brief, slot), 0)), unit: 'g' },
  within: 60,
  rather: 20,
  overnight: true,
});

const TENDER = 'a fork turns in it without lifting it: a finding, not a time';

const braiseHob: Technique = {
  id: 'braise',
  name: 'Braise on the hob',
  family: 'meat',
  says: 'Browned, onions, a little liquid, a lid, and time: tender when it is.',
  choices: [ANIMAL, FIRST],
  slots: braiseSlots,
  instead: birdInstead('chicken thighs'),
  mistakes: ['Crowding the pan: it steams.', 'Going by the clock: it is done when a fork turns.'],
  build: (brief) =>
    braised(
      brief,
      simmer(
        'braise',
        'braise',
        'lowest',
        isBird(brief) ? [35, 45, 60] : [80, 105, 150],
        'Lid on, barely moving. Look now and then, and add a little water.',
        {
          vessel: 'pot',
          lookEvery: 20,
          doneWhen: TENDER,
        },
      ),
    ),
};

const braiseOven: Technique = {
  ...braiseHob,
  id: 'braise-oven',
  name: 'Braise in the oven',
  says: 'The same, but the long part in a low oven: no burner, no catching, heat from all sides.',
  build: (brief) =>
    braised(
      brief,
      bake('braise', 'braise', 150, 1, isBird(brief) ? [50, 60, 75] : [120, 150, 195], 'Lid on, into the oven.', {
        vessel: 'pot',
        attention: 'eyes',
        lookEvery: 40,
        doneWhen: TENDER,
        cautions: ['Lid and handles come out as hot as the oven: two dry cloths, and a clear place to set it down.'],
      }),
    ),
};

const RUB: WayChoice = {
  id: 'rub',
  asks: 'Salt or marinate it before?',
  ways: [
    { id: 'rub', says: 'a dry rub, an hour before', because: 'Salt works its way in, the outside dries and browns.' },
    { id: 'night', says: 'marinated overnight', because: 'Sour and spice go deeper; it must lie in the fridge.' },
    { id: 'none', says: 'just before', because: 'Nothing to remember; salt stays on the outside.' },
  ],
};

function seasoned(brief: Brief): { readonly steps: Step[]; readonly last: string; readonly most: number } {
  const kind = brief.way('rub');
  const night = kind === 'night';
  const rub = work(
    'rub',
    kind === 'none' ? 'salt' : 'rub',
    [4, 5, 8],
    'Dry the meat; rub it with salt and spice all over.',
    {
      uses: brief.uses('meat', 'salt', 'spice', 'marinade'),
      steady: false,
      cautions: night ? [MARINADE] : [],
      ...(night ? { ahead: true, daysBefore: 1 } : {}),
    },
  );
  if (kind === 'none') return { steps: [rub], last: 'rub', most: 60 };
  const lie = night
    ? chill('lie', 'marinate', 600, 'Covered, in the fridge, overnight.', {
        ahead: true,
        doneWhen: 'the morning comes',
      })
    : chill('lie', 'let it lie', [40, 60, 120], 'In the fridge, uncovered.', { doneWhen: 'an hour is over' });
  return { steps: [rub, lie], last: 'lie', most: night ? 720 : 120 };
}

/**
 * Minutes at 190 °C of one bird: twenty for each half kilo and twenty more; a joint for many is longer, not thicker. Common practice, no
 * source.
 */
export const BIRD = { mostKilos: 2, first: 20, perKilo: 40 } as const;
const JOINT = { mostKilos: 2.5, first: 32, perKilo: 16 } as const;

function kilosOf({ quantity, unit }: Amount): number {
  return unit in MASS_IN_GRAMS ? (quantity * MASS_IN_GRAMS[unit as MassUnit]) / 1000 : quantity;
}

/** Kilos of meat that the minutes of a closed pot are written for. */
const USUAL_POT_KILOS = 0.84;

const roast: Technique = {
  id: 'roast',
  name: 'Roast with a rest',
  family: 'meat',
  says: 'A joint or bird in a hot oven, taken out a little early, rested under foil, carved.',
  choices: [ANIMAL, RUB],
  instead: birdInstead('chicken'),
  slots: [
    meat('pork loin', 220),
    salt(0.4),
    {
      id: 'spice',
      asks: 'the rub',
      usual: 'ground fennel and pepper',
      amount: { quantity: 0.4, unit: 'tsp' },
      mayMiss: true,
    },
    { ...oil(0.2), grows: true },
  ],
  mistakes: ['Carving at once: the juice runs out.', 'Trusting the clock: measure the middle.'],
  build: (brief) => {
    const ready = seasoned(brief);
    const kilos = kilosOf(brief.item('meat')!.amount);
    const bird = isBird(brief);
    const way = bird ? BIRD : JOINT;
    const minutes = Math.round(way.first + way.perKilo * pieceKilos(kilos, way.mostKilos));
    const roasting = bake(
      'roast',
      'roast',
      190,
      1,
      [Math.round(minutes * 0.85), minutes, Math.round(minutes * 1.25)],
      bird
        ? `On the tray with the oil, into the hot oven: as many birds as it takes, none over ${BIRD.mostKilos} kg, side by side and not touching.`
        : 'On the tray with the oil, into the hot oven. For many a longer joint, or several, not a thicker one.',
      {
        vessel: 'tray',
        uses: brief.uses('oil'),
        attention: 'eyes',
        lookEvery: 20,
        doneWhen: isBird(brief)
          ? written('{celsius} °C at the thickest part', { celsius: middleOf(brief, 'meat') })
          : '3 to 5 °C below what you want in the middle',
      },
    );
    const cook: Step = { ...roasting, grows: { by: 'pieces', kilos, ...way } };
    const still = rest('rest', 'rest', [12, 15, 25], 'Under foil, in a warm place.', {
      vessel: 'tray',
      doneWhen: 'the juice stays in when it is cut',
    });
    const carve = work('carve', 'carve', [4, 6, 9], 'Carve across the grain.', {
      vessel: 'tray',
      steady: false,
      cautions: [COOLING],
    });
    return {
      steps: [...ready.steps, cook, still, carve],
      links: [
        ...chain(ready.steps),
        follow(ready.last, 'roast', 0, ready.most),
        follow('roast', 'rest', 0, 0),
        follow('rest', 'carve', 0, 25, 5),
      ],
      vessels: [
        pot('tray', 'roasting tray', ['tray'], Math.max(1.5, Math.round(brief.servings * 3.5) / 10), 'roast', 'carve', {
          wash: 8,
        }),
      ],
      lands: { step: 'carve', waits: waits('hot', 8, 15, 'under foil on a warm plate') },
    };
  },
};

const panMeat: Technique = {
  id: 'pan-meat',
  name: 'Thin meat, marinated, in the pan',
  family: 'meat',
  says: 'Thin slices or pieces, marinated, seared in batches, a short rest.',
  choices: [ANIMAL, RUB],
  instead: birdInstead('thin slices of chicken breast'),
  slots: [
    meat('thin slices of pork', 150),
    salt(0.25),
    {
      id: 'marinade',
      asks: 'the marinade',
      usual: 'lemon juice and garlic',
      amount: { quantity: 0.8, unit: 'tbsp' },
      mayMiss: true,
    },
    oil(2),
  ],
  mistakes: ['Wet marinade in the pan: wipe it off, its solids burn.', 'A cold pan.'],
  build: (brief) => {
    const ready = seasoned(brief);
    const sear = fry('sear', 'sear', 'full', [4, 5, 7], 'Wipe off the marinade; sear in one layer, turning once.', {
      vessel: 'pan',
      uses: brief.uses('oil'),
      perBatch: 3,
      floorCm2: 110,
      doneWhen: 'browned on both sides and done in the middle',
      cautions: [HOT_FAT],
    });
    const still = rest('rest', 'rest', 4, 'On a warm plate under foil.', {});
    return {
      steps: [...ready.steps, sear, still],
      links: [...chain(ready.steps), follow(ready.last, 'sear', 0, ready.most), follow('sear', 'rest', 0, 0)],
      vessels: [pot('pan', 'pan', ['pan'], 1, 'sear', 'sear', { grows: false, widthCm: 22 })],
      lands: { step: 'rest', waits: waits('hot', 6, 12, 'under foil') },
    };
  },
};

const meatballs: Technique = {
  id: 'meatballs',
  name: 'Meatballs in sauce',
  family: 'meat',
  says: 'Minced meat rolled, browned in batches, simmered in a sauce until the middle is done.',
  choices: [
    {
      id: 'first',
      asks: 'Brown them?',
      ways: [
        { id: 'brown', says: 'browned', because: 'Colour and taste, in batches.' },
        {
          id: 'poach',
          says: 'straight into the sauce',
          because: 'Softer, and no batches; the sauce must be hot or they fall apart.',
        },
      ],
    },
  ],
  slots: [
    meat('minced meat', 130),
    salt(0.3),
    {
      id: 'crumbs',
      asks: 'breadcrumbs',
      usual: 'breadcrumbs',
      amount: { quantity: 15, unit: 'g' },
      allergens: ['gluten'],
    },
    {
      id: 'egg',
      asks: 'egg',
      usual: 'egg',
      amount: { quantity: 0.2, unit: 'piece' },
      allergens: ['eggs'],
      mayMiss: true,
    },
    oil(3),
    {
      id: 'sauce',
      asks: 'the sauce',
      usual: 'chopped tomatoes',
      amount: { quantity: 110, unit: 'g' },
      takes: ['sauce'],
    },
  ],
  mistakes: ['Kneading until it is tough.', 'Balls of different sizes: some dry, some raw.'],
  build: (brief) => {
    const browns = brief.way('first') === 'brown';
    const roll = work(
      'roll',
      'mix, roll',
      [8, 11, 15],
      'Mix lightly, roll walnuts of one size, set them on a plate in the cold.',
      {
        uses: brief.uses('meat', 'salt', 'crumbs', 'egg'),
        steady: false,
      },
    );
    const brown = browns
      ? fry('brown', 'brown', 'medium', [6, 7, 9], 'Brown them in one layer, turning.', {
          vessel: 'pan',
          uses: brief.uses('oil'),
          perBatch: 4,
          floorCm2: 110,
          doneWhen: 'brown all round',
          cautions: [HOT_FAT],
        })
      : null;
    const sauce = simmer('sauce', 'sauce to the boil', 'medium', [4, 6, 8], 'The sauce into the pan, to the boil.', {
      vessel: 'pan',
      uses: brief.uses('sauce', ...(browns ? [] : ['oil'])),
      doneWhen: 'it bubbles all over',
    });
    const cook = simmer(
      'cook',
      'simmer',
      'low',
      browns ? [12, 15, 20] : [18, 22, 28],
      'The meatballs in, lid on, low.',
      {
        vessel: 'pan',
        lookEvery: 8,
        doneWhen: written('{celsius} °C in the middle of the largest', { celsius: middleOf(brief, 'meat', 'egg') }),
        cautions: [COOLING],
      },
    );
    return {
      steps: present([roll, brown, sauce, cook]),
      links: [follow('roll', browns ? 'brown' : 'cook', 0, 240), ...chain([brown, sauce, cook], 5)],
      vessels: [
        pot(
          'pan',
          'wide pan',
          ['pan', 'casserole'],
          Math.max(1.2, Math.round(brief.servings * 4) / 10),
          browns ? 'brown' : 'sauce',
          'cook',
        ),
      ],
      lands: { step: 'cook', waits: overnight(waits('hot', 25, 45, 'covered, on the lowest heat')) },
    };
  },
};

const ownJuices: Technique = {
  id: 'own-juices',
  name: 'Stew in its own juices',
  family: 'meat',
  says: 'Meat and onions in a closed pot without liquid: they give what they cook in.',
  choices: [ANIMAL],
  instead: birdInstead('chicken legs, in pieces'),
  slots: [
    meat('lamb shoulder, in pieces', 210),
    salt(0.4),
    { id: 'onions', asks: 'onions', usual: 'onions', amount: { quantity: 0.75, unit: 'piece' }, cut: 'thickly sliced' },
    {
      id: 'vegetables',
      asks: 'vegetables that give water',
      usual: 'tomatoes, quartered',
      amount: { quantity: 80, unit: 'g' },
      mayMiss: true,
    },
    { id: 'spice', asks: 'spices', usual: 'allspice', amount: { quantity: 0.3, unit: 'tsp' }, mayMiss: true },
  ],
  mistakes: ['Too hot at the start: it catches before it gives.'],
  build: (brief) => {
    const poultry = isBird(brief);
    const cut = work('cut', 'cut', [4, 6, 9], 'Cut and salt the meat.', {
      uses: brief.uses('meat', 'salt'),
      steady: false,
    });
    const onions = chop('onions', 'onions', [5, 7, 10], 'Slice the onions and cut the vegetables.', {
      uses: brief.uses('onions', 'vegetables'),
    });
    const fill = work('fill', 'fill the pot', 3, 'Onions below, then meat, vegetables and spice; close the lid.', {
      vessel: 'pot',
      uses: brief.uses('spice'),
    });
    const start = simmer(
      'start',
      'until it gives',
      'low',
      byAmount([15, 18, 25], kilosOf(brief.item('meat')!.amount) / USUAL_POT_KILOS),
      'Low, lid on, until the juice stands at half.',
      { vessel: 'pot', lookEvery: 8, doneWhen: 'the juice stands at half', steady: false },
    );
    const long = simmer('long', 'simmer', 'lowest', poultry ? [25, 35, 45] : [60, 80, 110], 'Lowest heat, lid on.', {
      vessel: 'pot',
      lookEvery: 20,
      doneWhen: TENDER,
      cautions: [COOLING],
    });
    return {
      steps: [cut, onions, fill, start, long],
      links: [
        follow('cut', 'fill', 0, 120),
        follow('onions', 'fill', 0, 240),
        follow('fill', 'start', 0, 60, 20),
        follow('start', 'long', 0, 0),
      ],
      vessels: [
        pot(
          'pot',
          'closed pot',
          ['casserole', 'pot'],
          Math.max(2, Math.round(brief.servings * 5.5) / 10),
          'fill',
          'long',
          { wash: 8 },
        ),
      ],
      offers: [inGravy(brief, 'long', 'meat', 'onions', 'vegetables')],
      lands: { step: 'long', waits: overnight(waits('hot', 40, 60, 'covered, on the lowest heat')) },
    };
  },
};

/** Techniques for stocks, meat, fish and eggs. */
export const MEAT_TECHNIQUES: readonly Technique[] = [
  stock,
  pressureStock,
  braiseHob,
  braiseOven,
  roast,
  panMeat,
  meatballs,
  ownJuices,
];
