import type { Dish } from '@/core/dish/dish';
import { scaleDish } from '@/core/dish/scale';
import { chop, dish, follow, fry, item, leave, pot, rest, waits, work } from '@/core/dish/write';
import type { Meal } from '@/core/meal/meal';
import { printThing } from '@/core/units/thing';
import { listed } from '@/core/units/words';

/**
 * What a house has on a shelf and a cook can set beside a meal with guests at the door. Each is written for one; amounts and minutes are
 * common practice, no source.
 */
export const QUICK_DISHES: readonly Dish[] = [
  dish({
    id: 'extra-bread',
    name: 'Bread, cut',
    servings: 1,
    ingredients: [item('bread', 70, 'g', 'bread')],
    steps: [
      chop('cut', 'cut the bread', [2, 3, 4], 'Cut the bread and lay it in a cloth.', {
        uses: ['bread'],
        steady: true,
      }),
    ],
    links: [],
    lands: { step: 'cut', waits: waits('cold', 60, 180, 'in a cloth') },
  }),
  dish({
    id: 'extra-couscous',
    name: 'Couscous beside it',
    servings: 1,
    ingredients: [
      item('couscous', 70, 'g', 'couscous'),
      item('water', 95, 'ml', 'water'),
      item('butter', 8, 'g', 'butter'),
      item('salt', 0.2, 'tsp', 'fine salt'),
    ],
    steps: [
      leave('boil', 'boil the water', 'full', [3, 5, 7], 'Bring the water to the boil, lid on.', {
        vessel: 'pot',
        uses: ['water'],
        attention: 'eyes',
        lookEvery: 3,
        doneWhen: 'it rolls',
      }),
      work('pour', 'stir in the couscous', [1, 1, 2], 'Off the heat: couscous and salt in, stir once, lid on.', {
        vessel: 'pot',
        uses: ['couscous', 'salt'],
      }),
      rest('swell', 'let it swell', [6, 7, 9], 'Covered, off the heat.', { vessel: 'pot' }),
      work('fluff', 'loosen it', [1, 1, 2], 'Loosen it with a fork, the butter in.', {
        vessel: 'pot',
        uses: ['butter'],
      }),
    ],
    links: [follow('boil', 'pour', 0, 1), follow('pour', 'swell', 0, 0), follow('swell', 'fluff', 0, 15)],
    vessels: [pot('pot', 'small pot', ['pot', 'casserole'], 0.3, 'boil', 'fluff')],
    lands: { step: 'fluff', waits: waits('hot', 15, 30, 'covered') },
  }),
  dish({
    id: 'extra-chickpeas',
    name: 'Warm chickpeas with lemon',
    servings: 1,
    ingredients: [
      item('chickpeas', 0.35, 'tin', 'cooked chickpeas', { cut: 'drained' }),
      item('oil', 1, 'tsp', 'olive oil'),
      item('lemon', 0.15, 'piece', 'lemons'),
    ],
    steps: [
      fry('warm', 'warm the chickpeas', 'medium', [4, 5, 7], 'In the oil, turned now and then, until hot through.', {
        vessel: 'pan',
        uses: ['chickpeas', 'oil'],
        doneWhen: 'steaming hot all through',
      }),
      work('dress', 'lemon over it', [1, 1, 2], 'Lemon and salt over them.', { uses: ['lemon'] }),
    ],
    links: [follow('warm', 'dress', 0, 2)],
    vessels: [pot('pan', 'pan', ['pan', 'pot', 'casserole'], 0.25, 'warm', 'warm')],
    lands: { step: 'dress', waits: waits('warm', 20, 45, 'covered') },
  }),
];

/** A quick dish of a size, as it is offered. */
export interface QuickOffer {
  readonly made: Dish;
  /** Its name in the middle of a sentence. */
  readonly name: string;
  /** What goes in, measured. */
  readonly takes: string;
}

/** What is quick and not in a meal yet, for so many portions. */
export function quickFor({ dishes }: Pick<Meal, 'dishes'>, portions: number): readonly QuickOffer[] {
  return QUICK_DISHES.filter(({ id }) => !dishes.some((dish) => dish.id === id)).map((written) => {
    const made = scaleDish(written, portions);
    return {
      made,
      name: `${made.name.charAt(0).toLowerCase()}${made.name.slice(1)}`,
      takes: listed(made.ingredients.map(({ amount, name }) => printThing(amount, name))),
    };
  });
}
