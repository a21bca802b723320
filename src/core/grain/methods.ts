import type { Lid } from '@/core/heat/boil';
import type { Heat } from '@/core/kitchen/kitchen';
import { type Message, message } from '@/core/say/say';
import type { Band } from './grains';

/** A stretch of cooking as the balance sees it. */
export interface Stretch {
  readonly heat: Heat;
  readonly lid: Lid;
  /** Null: as long as the grain needs. */
  readonly minutes: Band | null;
}

/** How a school cooks grain, with the ratio it goes by: volumes of liquid to one of dry grain. */
export interface Method {
  readonly id: string;
  readonly name: Message;
  /** The grain the ratio is told for. */
  readonly grain: string;
  readonly ratio: Band;
  readonly soaked: boolean;
  readonly stretches: readonly Stretch[];
  /** Share of the grain's water that meat, vegetables or pulses in the pot give (positive) or take (negative). */
  readonly given: Band;
  /** Share of its water that the grain takes up in the liquid itself; the rest it finds in steam or sauce later. */
  readonly takes: number;
  /** Volumes to one of dry grain that stay behind: poured off, or clinging as sauce. */
  readonly left: Band;
  /** Why its ratio is what it is, in a sentence. */
  readonly because: Message;
}

const NOTHING: Band = [0, 0];
const ALL_TAKEN = { takes: 1, left: NOTHING } as const;

/** The schools. Common practice, no source; all of them work, and they differ for reasons. */
export const METHODS: readonly Method[] = [
  {
    id: 'covered-soft',
    name: message('covered, soft grain'),
    grain: 'soft-long',
    ratio: [1.25, 1.25],
    soaked: false,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [2, 5] },
      { heat: 'low', lid: 'covered', minutes: null },
    ],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message('Soft grain takes up less, and under a lid little boils off.'),
  },
  {
    id: 'covered',
    name: message('covered, ordinary grain'),
    grain: 'long',
    ratio: [1.5, 1.5],
    soaked: false,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [2, 5] },
      { heat: 'low', lid: 'covered', minutes: null },
    ],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message('Firm grain takes up more than soft; the lid keeps nearly all the rest in.'),
  },
  {
    id: 'pilaf',
    name: message('pilaf'),
    grain: 'long',
    ratio: [1.5, 1.5],
    soaked: false,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [1, 4] },
      { heat: 'low', lid: 'covered', minutes: null },
    ],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message('Fat keeps the grains apart but not dry: it takes up as much as without.'),
  },
  {
    id: 'pilaf-soaked',
    name: message('pilaf, soaked'),
    grain: 'aged-long',
    ratio: [1.33, 1.33],
    soaked: true,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [1, 4] },
      { heat: 'low', lid: 'covered', minutes: null },
    ],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message('What the soak has given already need not be poured.'),
  },
  {
    id: 'broth',
    name: message('in the meat’s own broth'),
    grain: 'aged-long',
    ratio: [1, 1.25],
    soaked: true,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [2, 8] },
      { heat: 'lowest', lid: 'sealed', minutes: null },
    ],
    given: [0.05, 0.3],
    ...ALL_TAKEN,
    because: message('Meat and onions in the pot go on giving juice, and the damp cloth gives back the steam.'),
  },
  {
    id: 'hard-boil',
    name: message('hard boil, then cloth under the lid'),
    grain: 'aged-long',
    ratio: [2, 2],
    soaked: true,
    stretches: [
      { heat: 'full', lid: 'open', minutes: [6, 10] },
      { heat: 'lowest', lid: 'sealed', minutes: [7, 10] },
    ],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message('A rolling boil without a lid sends a third of the water off as steam.'),
  },
  {
    id: 'coconut',
    name: message('with coconut milk and cooked pulses'),
    grain: 'long',
    ratio: [1.3, 1.4],
    soaked: false,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [1, 3] },
      { heat: 'lowest', lid: 'covered', minutes: [28, 32] },
    ],
    given: [0.05, 0.25],
    ...ALL_TAKEN,
    because: message('Cooked pulses bring water of their own; a seventh of coconut milk is fat and solids, not water.'),
  },
  {
    id: 'drain',
    name: message('boil and drain, then steam'),
    grain: 'aged-long',
    ratio: [3, 4.5],
    soaked: true,
    stretches: [{ heat: 'full', lid: 'open', minutes: [5, 8] }],
    given: NOTHING,
    takes: 0.75,
    left: [2, 3.4],
    because: message(
      'Most of it is poured off: it is there so that the grains float apart. What they still lack they find in the steam.',
    ),
  },
  {
    id: 'sauce',
    name: message('cooked in a reduced sauce'),
    grain: 'long',
    ratio: [1.3, 1.7],
    soaked: false,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [2, 5] },
      { heat: 'low', lid: 'sealed', minutes: [30, 40] },
    ],
    given: NOTHING,
    takes: 1,
    left: [0.05, 0.25],
    because: message(
      'The sauce counts as liquid, and some of it stays on the grain. Too little can be mended by the spoonful, too much cannot.',
    ),
  },
  {
    id: 'rice-cooker',
    name: message('rice cooker'),
    grain: 'long',
    ratio: [1.25, 1.6],
    soaked: false,
    stretches: [{ heat: 'medium', lid: 'covered', minutes: [20, 30] }],
    given: NOTHING,
    ...ALL_TAKEN,
    because: message(
      'Its lid is close, and it stops when the water is gone: the marked line, or a finger-joint over the grain.',
    ),
  },
  {
    id: 'turned-out',
    name: message('layered and turned out'),
    grain: 'aged-long',
    ratio: [1.1, 1.4],
    soaked: true,
    stretches: [
      { heat: 'medium', lid: 'open', minutes: [3, 6] },
      { heat: 'low', lid: 'covered', minutes: [30, 50] },
    ],
    given: [0.05, 0.25],
    ...ALL_TAKEN,
    because: message(
      'The layers above and below give juice; the stock is poured through a sieve to just above the grain, not to a number.',
    ),
  },
];

/** The method of an id; throws where there is none. */
export function methodOf(id: string): Method {
  const found = METHODS.find((each) => each.id === id);
  if (!found) throw new Error(`There is no method "${id}".`);
  return found;
}
