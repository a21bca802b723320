import type { Link, Step } from '@/core/dish/dish';
import type { Brief, Offer, Slot, WayChoice } from '@/core/dish/technique';
import { follow } from '@/core/dish/write';
import { amountAs } from '@/core/units/amount-in';

/** Cautions and choices that several techniques share. */

/** Caution where a lid or a parcel is opened. */
export const STEAM = 'Lift the lid away from you: the steam scalds.';
/** Caution where fat is hot enough to fry in. */
export const HOT_FAT =
  'Hot fat: dry what goes in, and lay it in away from you. Handle turned in, out of the reach of children.';
/** Caution where a full pot is lifted. */
export const HEAVY = 'A full pot is heavy and hot: clear the way first, two dry cloths.';
/** Caution where cooked grain is kept. */
export const GRAIN_KEEPS =
  'Leftover grain: cool it within the hour and eat it within a day, or as your local rules say.';
/** Caution where cooked food is put away. */
export const COOLING =
  'What is left over: cold within two hours, in shallow boxes, in the fridge; local rules come first.';
/** Caution where dry beans are boiled. */
export const BEANS =
  'Soaking water away; then a full rolling boil of at least ten minutes, thirty for red kidney beans. Never raw into a slow cooker.';
/** Caution where raw food has lain in a marinade. */
export const MARINADE = 'Marinate in the fridge. What held raw meat is boiled for some minutes, or thrown away.';
/** Caution where eggs are cooked. */
export const EGGS = 'Eggs for small children, the pregnant and the frail: cooked until firm.';
/** Caution where something is eaten raw. */
export const SPROUTS = 'Wash what is eaten raw, and keep it away from raw meat.';

/** A place for an ingredient, its amount for one portion. */
export const slot = (
  id: string,
  asks: string,
  usual: string,
  quantity: number,
  unit: Slot['amount']['unit'],
  more: Partial<Slot> = {},
): Slot => ({ id, asks, usual, amount: { quantity, unit }, ...more });

/** Salt, in teaspoons for one portion. */
export const salt = (teaspoons: number) => slot('salt', 'salt', 'fine salt', teaspoons, 'tsp');

/** Washing grain: cooks differ. */
export const WASH: WayChoice = {
  id: 'wash',
  asks: 'Wash it?',
  ways: [
    {
      id: 'yes',
      says: 'washed',
      because: 'Loose starch goes, and the grains stay apart: three waters or more, 4 min of hands.',
    },
    {
      id: 'no',
      says: 'unwashed',
      because: 'Nothing is lost and nothing drips: fine for grain that is sold clean, or where water is scarce.',
    },
  ],
};

/** A choice of several techniques: how long grain or pulses soak. */
export const SOAK: WayChoice = {
  id: 'soak',
  asks: 'Soak it?',
  ways: [
    {
      id: 'no',
      says: 'straight into the pot',
      because: 'No planning ahead; it takes more liquid and a few minutes more.',
    },
    {
      id: 'yes',
      says: 'soaked',
      because: 'It cooks evenly and grows long; it takes less liquid, and too long a soak breaks it.',
    },
  ],
};

/** A choice of several techniques: how a pot is sealed. */
export const SEAL: WayChoice = {
  id: 'seal',
  asks: 'Under the lid?',
  ways: [
    { id: 'lid', says: 'the lid alone', because: 'Nothing to find or wash; a loose lid lets some steam go.' },
    {
      id: 'cloth',
      says: 'a cloth',
      because: 'It takes up what drips from the lid, and the top stays dry. Keep its corners away from the flame.',
    },
    { id: 'foil', says: 'foil', because: 'It seals tightest: less boils off, and in the oven it is a must.' },
    { id: 'paper', says: 'paper', because: 'Wet paper on the grain itself keeps the top layer from drying out.' },
  ],
};

/** Steps in a row, each following the one before within so many minutes; null for any time. */
export function chain(steps: readonly (Step | null)[], within = 0): Link[] {
  const there = steps.filter((step) => step !== null);
  return there.slice(1).map((step, k) => follow(there[k]!.id, step.id, 0, within));
}

/** What is there of a list that may have gaps. */
export function present<T>(list: readonly (T | null | false)[]): T[] {
  return list.filter((each): each is T => each !== null && each !== false);
}

/** Minutes of what must grow hot all through, by how much more of it there is than usual: a fifth is getting started. Common practice, no source. */
export function byAmount(
  [least, likely, most]: readonly [number, number, number],
  times: number,
): readonly [number, number, number] {
  const factor = 0.2 + 0.8 * Math.max(0, times);
  const by = (minutes: number) => Math.max(1, Math.round(minutes * factor));
  return [by(least), by(likely), by(most)];
}

/** A sentence's beginning. */
export const capital = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

/** Grams of a counted thing where nothing else is known: an onion. Common practice, no source. */
const PIECE = 110;

/** Grams in a slot, a millilitre taken for one where its weight is not known; 0 where it is left out. */
export function gramsIn(brief: Brief, slot: string): number {
  const item = brief.item(slot);
  if (!item) return 0;
  const { quantity, unit } = amountAs(item.amount, 'g', item.name);
  if (unit === 'g') return quantity;
  if (unit === 'piece') return quantity * PIECE;
  const ml = amountAs(item.amount, 'ml', item.name);
  return ml.unit === 'ml' ? ml.quantity : 0;
}

/** A part hands over what it has cooked: so many grams, at the end of a step. */
export function offered(
  product: Offer['product'],
  name: string,
  step: string,
  grams: number,
  within: number | null,
  more: Partial<Pick<Offer, 'rather' | 'overnight'>> = {},
): Offer {
  return { product, name, step, amount: { quantity: Math.max(1, Math.round(grams)), unit: 'g' }, within, ...more };
}

/** How dark onions are fried: several techniques ask. */
export const ONION_COLOUR: WayChoice = {
  id: 'onions',
  asks: 'How dark the onions?',
  ways: [
    { id: 'golden', says: 'golden', because: 'Eight to twelve minutes: sweet, and the sauce stays light.' },
    { id: 'soft', says: 'soft and pale', because: 'Three to five minutes: fresh and mild, for coconut and greens.' },
    {
      id: 'dark',
      says: 'dark brown',
      because: 'Twelve to twenty minutes of stirring: the colour is the taste, and the colour of the dish.',
    },
  ],
};
const COLOUR_MINUTES = { soft: [3, 4, 6], golden: [8, 10, 13], dark: [13, 16, 20] } as const;

/** Minutes of a lot of sliced onions to a colour of `ONION_COLOUR`. */
export const onionMinutes = (way: string) =>
  COLOUR_MINUTES[way as keyof typeof COLOUR_MINUTES] ?? COLOUR_MINUTES.golden;
