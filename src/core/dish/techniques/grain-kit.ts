import type { DishGrain, Link, Step, Takes } from '@/core/dish/dish';
import { usualBalance } from '@/core/dish/grain-of';
import type { Brief, Built, Slot, Way, WayChoice } from '@/core/dish/technique';
import { follow, leave, pot, rest, simmer, waits, work } from '@/core/dish/write';
import { GRAINS, grainOf, litresDry } from '@/core/grain/grains';
import { methodOf } from '@/core/grain/methods';
import { GRAMS_PER_TEASPOON, litresInPot, saltToAdd } from '@/core/grain/rules';
import { written } from '@/core/say/retold';
import { type Amount, MASS_IN_GRAMS, type MassUnit } from '@/core/units/amount';
import { chain, GRAIN_KEEPS, present, STEAM } from './words';

/** What stays in separate grains when it is boiled in measured liquid: not what cooks to a mush, nor what only swells. */
export const KERNELS = GRAINS.map(({ id }) => id).filter(
  (id) => !['polenta', 'oats', 'couscous', 'bulgur-fine'].includes(id),
);

/** Which grain: all that such a method can take, the one it is told for first. */
export function kinds(first: string, ids: readonly string[] = KERNELS): WayChoice {
  const order = [first, ...ids.filter((id) => id !== first)];
  const way = (id: string): Way => {
    const { name, minutes, takesUp } = grainOf(id);
    const [least, most] = minutes;
    return {
      id,
      says: name,
      because: written('{least} to {most} min covered; a gram takes up {little} to {much} g of water.', {
        least,
        most,
        little: takesUp[0],
        much: takesUp[1],
      }),
    };
  };
  return { id: 'kind', asks: 'Which grain?', ways: order.map(way) };
}

/** How the liquid is reckoned: a choice of most ways of cooking grain. */
export const MEASURE: WayChoice = {
  id: 'measure',
  asks: 'How much liquid?',
  ways: [
    {
      id: 'balance',
      says: 'by the balance',
      because: 'What this grain takes up and what boils off, added up: it follows the kind, the soak and the people.',
    },
    {
      id: 'school',
      says: 'by the school’s ratio',
      because:
        'The old rule of this way of cooking, told for its own grain: easy to remember, and right for a family pot.',
    },
    {
      id: 'joint',
      says: 'by a finger-joint',
      because:
        'Level with a finger-joint above the grain, about 2.5 cm: no cup wanted, and true in one’s own pot only. The number of the balance stands there to check it.',
    },
  ],
};

/** In what grain cooks: a choice of several ways. */
export const LIQUID: WayChoice = {
  id: 'liquid',
  asks: 'In what?',
  ways: [
    { id: 'water', says: 'water', because: 'The grain tastes of itself; salt it well.' },
    {
      id: 'stock',
      says: 'a stock of this meal',
      because: 'Deeper, but the grain cannot start until the stock is strained; count the salt that it carries.',
    },
  ],
};

/** The dry grain. */
export const grainSlot: Slot = { id: 'grain', asks: 'the grain', usual: 'grain', amount: { quantity: 70, unit: 'g' } };
/** The liquid, where it is water. */
export const waterSlot: Slot = {
  id: 'water',
  asks: 'the liquid',
  usual: 'water',
  amount: { quantity: 150, unit: 'ml' },
};
/** Liquid that may also be made: a broth, or water boiled with spices. */
export const brothSlot: Slot = { ...waterSlot, takes: ['broth', 'spiced water'] };
/** Salt for grain. */
export const saltSlot: Slot = { id: 'salt', asks: 'salt', usual: 'fine salt', amount: { quantity: 0.3, unit: 'tsp' } };
/** Fat for grain; it may be the oil that something was fried in. */
export const fatSlot: Slot = {
  id: 'fat',
  asks: 'the fat',
  usual: 'oil',
  amount: { quantity: 0.6, unit: 'tbsp' },
  takes: ['kept oil'],
};
/** An onion for the base. */
export const onionSlot: Slot = {
  id: 'onion',
  asks: 'the onion',
  usual: 'onion',
  amount: { quantity: 0.25, unit: 'piece' },
  cut: 'finely chopped',
  mayMiss: true,
};
/** Whole spices or herbs in the pot. */
export const spiceSlot: Slot = {
  id: 'spice',
  asks: 'whole spices or herbs',
  usual: 'bay',
  amount: { quantity: 2, unit: 'leaf' },
  grows: false,
  mayMiss: true,
};
/** What is folded in at the end. */
export const finishSlot: Slot = {
  id: 'finish',
  asks: 'what is folded in at the end',
  usual: 'chopped parsley',
  amount: { quantity: 5, unit: 'g' },
  mayMiss: true,
  takes: ['crisp onions', 'golden nuts', 'spiced butter', 'boiled eggs'],
};

/** The grain of a dish, weighed and measured. */
export interface Grainy {
  readonly kind: ReturnType<typeof grainOf>;
  readonly method: string;
  readonly soaked: boolean;
  readonly grams: number;
  readonly litres: number;
  /** What it takes for its liquid from another dish or part; null where that is water. */
  readonly stock: string | null;
  /** That is salted already. */
  readonly salted: boolean;
  readonly potLitres: number;
  /** Litres that a sauce brings; nothing where there is none. */
  readonly besides: number;
  /** Nothing in the pot gives juice. */
  readonly alone: boolean;
  /** By a school's ratio, which follows no burner. */
  readonly bySchool: boolean;
}

/** The numbers of a grain dish: grams from its slot, litres from the balance or the school. */
export function measured(brief: Brief, method: string, more: { besides?: number; alone?: boolean } = {}): Grainy {
  const { besides = 0, alone = false } = more;
  const kind = grainOf(brief.way('kind'));
  const { quantity, unit } = brief.item('grain')!.amount;
  const grams = quantity * (unit in MASS_IN_GRAMS ? MASS_IN_GRAMS[unit as MassUnit] : 1);
  const soaked = brief.way('soak') === 'yes' && kind.soak !== null;
  const [least, most] = methodOf(method).ratio;
  const wanted =
    brief.way('measure') === 'school'
      ? litresDry(kind, grams) * ((least + most) / 2)
      : usualBalance({ kind: kind.id, method, soaked, ...(alone ? { alone } : {}) }, grams).liquid.likely;
  const litres = Math.max(0, wanted - besides);
  return {
    kind,
    method,
    soaked,
    grams,
    litres: Math.max(0.02, Math.round(litres * 200) / 200),
    stock: brief.handed('water')?.product ?? (brief.way('liquid') === 'stock' ? 'stock' : null),
    salted: !brief.handed('water')?.product.endsWith('spiced-water'),
    potLitres: Math.max(1, Math.round(litresInPot(kind, grams, wanted) * 10) / 10),
    besides,
    alone,
    bySchool: brief.way('measure') === 'school',
  };
}

/** Washing, soaking and draining, as far as they are wanted; the steps that the pot waits for. */
export function readied(brief: Brief, { kind, soaked }: Grainy): { readonly steps: Step[]; readonly links: Link[] } {
  const washes = brief.way('wash') !== 'no';
  const [soakLeast, soakMost] = kind.soak ?? [0, 0];
  const wash = washes
    ? work('wash', 'wash', 4, 'Wash the grain in several waters until they run clear.', {
        uses: ['grain'],
        ...(soaked ? { vessel: 'bowl' } : {}),
        doneWhen: 'the water is clear',
      })
    : null;
  const soak = soaked
    ? rest(
        'soak',
        'soak',
        [Math.max(1, soakLeast), Math.max(1, soakLeast), Math.max(1, soakMost)],
        'Leave it covered with cold water.',
        {
          vessel: 'bowl',
          doneWhen: 'a grain breaks between the nails',
        },
      )
    : null;
  const drain =
    washes || soaked
      ? work('drain', 'drain', 2, 'Drain it well, and let it stand in the sieve.', {
          ...(soaked ? { vessel: 'bowl' } : {}),
          doneWhen: 'nothing drips any more',
        })
      : null;
  // What is soaked without washing must be covered by someone.
  const cover =
    soak && !wash
      ? work('cover', 'cover', 1, 'Cover the grain with cold water, three fingers over it.', {
          uses: ['grain'],
          vessel: 'bowl',
        })
      : null;
  const steps = present([wash, cover, soak, drain]);
  const links = [
    ...(wash && soak ? [follow('wash', 'soak', 0, 0)] : []),
    ...(cover ? [follow('cover', 'soak', 0, 0)] : []),
    ...(soak ? [follow('soak', 'drain', 0, Math.max(0, soakMost - soakLeast), 5)] : []),
    ...(wash && !soak ? [follow('wash', 'drain', 0, 10, 0)] : []),
  ];
  return { steps, links };
}

/** The bowl that it soaks in. */
export const bowlOf = ({ soaked, grams }: Grainy) =>
  soaked
    ? [
        pot('bowl', 'soaking bowl', ['bowl'], Math.round(Math.max(0.5, grams / 300) * 10) / 10, 'soakStart', 'drain', {
          wash: 1,
        }),
      ]
    : [];

/** The bowl is taken from the first step there is. */
export function withBowl(built: Built): Built {
  const first = built.steps.find(({ vessel }) => vessel === 'bowl')?.id;
  return {
    ...built,
    vessels: (built.vessels ?? []).map((use) => (use.from === 'soakStart' && first ? { ...use, from: first } : use)),
  };
}

/** The grain goes by its kind where the cook has not named it. */
export const called = ({ kind }: Grainy) => ({ names: { grain: kind.name } });

/** What the balance has to know of it. */
export function grainOfDish(
  brief: Brief,
  { kind, method, soaked, stock, besides, alone, bySchool }: Grainy,
): DishGrain {
  const liquid = [stock ?? 'water', ...(brief.has('milk') ? ['milk'] : [])];
  return {
    kind: kind.id,
    method,
    soaked,
    dry: 'grain',
    liquid,
    ...(besides > 0 ? { besides } : {}),
    ...(alone ? { alone } : {}),
    ...(bySchool ? { set: true } : {}),
  };
}

/** A stock of the meal is taken hot when the grain wants it. */
export function takesStock({ stock, litres }: Grainy, step: string): Takes[] {
  return stock
    ? [{ product: stock, step, amount: { quantity: litres, unit: 'l' }, withinMinutes: 120, otherwise: 'hot stock' }]
    : [];
}

/** Liquid that goes boiling onto hot grain: from the kettle, or the stock as it is. */
export const pourHot = ({ stock, salted }: Grainy) =>
  stock ? `the boiling ${salted ? 'broth' : 'spiced water'}` : 'the water, boiling from the kettle';
/** What is poured, in a sentence. */
export const pour = ({ stock, salted }: Grainy) =>
  stock ? `the hot ${salted ? 'broth' : 'spiced water'}, measured,` : 'the water';
/** Litres that come to the boil, and from how many °C. */
export const boilsFrom = ({ stock, litres, grams }: Grainy) => [litres + grams / 2500, stock ? 85 : 15] as const;
/** The slots that the liquid comes from. */
export const liquidUses = (brief: Brief, { stock }: Grainy) => brief.uses(...(stock ? [] : ['water']), 'salt');
/** What lies under the lid, in a sentence. */
export const sealWords = (brief: Brief) =>
  ({
    lid: '',
    cloth: ' A cloth under the lid, its corners tied up.',
    foil: ' Foil under the lid.',
    paper: ' Wet paper on the grain.',
  })[brief.way('seal')] ?? '';

/** Covered on a low flame, left alone. */
export const covered = (grain: Grainy, brief: Brief) =>
  leave(
    'covered',
    'covered',
    'low',
    times(grain.kind.minutes),
    `Cover and turn down.${sealWords(brief)} The lid stays on.`,
    {
      vessel: 'pot',
      doneWhen: 'no bubbling to be heard, small craters on top',
    },
  );
/** Off the heat, lid on. */
export const resting = ({ kind }: Grainy) =>
  rest('rest', 'rest', [kind.rest[0], kind.rest[0], kind.rest[1]], 'Off the heat, lid on.', {
    vessel: 'pot',
    doneWhen: written('{minutes} minutes are over', { minutes: kind.rest[0] }),
  });
/** Grain that holds together, and is meant to. */
export const STICKY: ReadonlySet<string> = new Set(['short', 'soft-long']);
/** Loosened, with what is folded in. */
export const fluffed = (brief: Brief, { kind }: Grainy) =>
  work(
    'fluff',
    'fluff',
    2,
    brief.has('finish') ? `Loosen with a fork and fold in ${brief.named('finish')}.` : 'Loosen with a fork.',
    {
      vessel: 'pot',
      uses: brief.uses('finish'),
      cautions: [STEAM, GRAIN_KEEPS],
      doneWhen: STICKY.has(kind.id) ? 'soft and loose, not stirred to a paste' : 'every grain by itself',
    },
  );
/** How it waits for the table. */
export const holds = ({ kind }: Grainy) => waits('hot', Math.min(15, kind.holds), kind.holds, 'covered, in its pot');

/** Shortest, likely and longest of a band of minutes. */
export function times([least, most]: readonly [number, number]): [number, number, number] {
  const low = Math.max(1, least);
  return [low, Math.max(low, Math.round((low + most) / 2)), Math.max(low, most)];
}

/** Minutes that follow the grain where a method slows it down: its own table times a factor, at least and at most what the method is told for. */
export function slowed({ kind }: Grainy, factor: number, least = 1): [number, number, number] {
  const [low, high] = kind.minutes;
  const [short, likely, long] = times([low, high]);
  const by = (minutes: number) => Math.max(least, Math.round(minutes * factor));
  return [by(short), by(likely), by(long)];
}

/** Salt that the grain still wants: a stock of the meal brings some of its own. */
export function saltAmount(brief: Brief, { kind, grams, litres, stock, salted }: Grainy): Record<string, Amount> {
  if (!stock || !salted || !brief.has('salt')) return {};
  const teaspoons = saltToAdd(kind, grams, litres, 'a little too salty') / GRAMS_PER_TEASPOON;
  return {
    salt: teaspoons < 0.1 ? { quantity: 1, unit: 'pinch' } : { quantity: Math.round(teaspoons * 20) / 20, unit: 'tsp' },
  };
}

/** The end that all covered grain has: covered, rest, fluff. */
export function landed(brief: Brief, grain: Grainy, before: readonly (Step | null)[]): Built {
  const ready = readied(brief, grain);
  const steps = present(before);
  const tail = [covered(grain, brief), resting(grain), fluffed(brief, grain)];
  const entry = steps.find(({ id }) => id === 'toast' || id === 'boil')!;
  const hot = [...steps.filter(({ place }) => place.at === 'burner'), ...tail];
  const board = steps.filter(({ place }) => place.at === 'board');
  return withBowl({
    steps: [...ready.steps, ...steps, ...tail],
    links: [
      ...ready.links,
      ...(ready.steps.length > 0 ? [follow('drain', entry.id, 0, 30, 10)] : []),
      ...board.map(({ id }) => follow(id, hot[0]!.id, 0, 240)),
      ...chain(hot.slice(0, -1)),
      follow('rest', 'fluff', 0, 20, 0),
    ],
    vessels: [...bowlOf(grain), pot('pot', 'grain pot', ['pot', 'casserole'], grain.potLitres, hot[0]!.id, 'fluff')],
    takes: takesStock(grain, 'boil'),
    lands: { step: 'fluff', waits: holds(grain) },
    grain: grainOfDish(brief, grain),
    ...called(grain),
    amounts: grain.stock ? saltAmount(brief, grain) : { water: { quantity: grain.litres, unit: 'l' } },
  });
}

/** °C of boiling liquid by the time it lies in the pot. Common practice, no source. */
export const HOT_LIQUID = 90;

/** How it is measured without a cup, in a sentence. */
export const byEye = (brief: Brief) =>
  brief.way('measure') === 'joint'
    ? ', to a finger-joint (2.5 cm) above the level grain; the number is there to check it'
    : '';

/** Grain and liquid to the boil. */
export const boil = (brief: Brief, grain: Grainy, says: string, fromCelsius: number = boilsFrom(grain)[1]) =>
  simmer('boil', 'boil', 'full', [3, 6, 9], byEye(brief) ? `${says} By eye${byEye(brief)}.` : says, {
    vessel: 'pot',
    uses: [
      ...liquidUses(brief, grain),
      ...brief.uses('spice'),
      ...(brief.way('wash') === 'no' && !grain.soaked ? ['grain'] : []),
    ],
    boils: [boilsFrom(grain)[0], fromCelsius],
    doneWhen: 'it bubbles all over',
  });
