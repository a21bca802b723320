import type { Alternative, Hold, Problem, ProblemLink, ProblemStep, ReadyRow } from '@/core/schedule/problem';
import { seededRandom } from '@/core/schedule/random';

/** A family of generated evenings: how many dishes on how many burners for how many cooks. */
export interface Family {
  readonly name: string;
  readonly dishes: number;
  readonly burners: number;
  readonly cooks: number;
  readonly horizon: number;
}

export const FAMILIES: readonly Family[] = [
  { name: 'small supper', dishes: 3, burners: 2, cooks: 1, horizon: 400 },
  { name: 'supper', dishes: 10, burners: 3, cooks: 1, horizon: 600 },
  { name: 'two burners', dishes: 8, burners: 2, cooks: 1, horizon: 600 },
  { name: 'feast', dishes: 28, burners: 4, cooks: 2, horizon: 900 },
  { name: 'banquet', dishes: 60, burners: 5, cooks: 2, horizon: 1440 },
];

/** An evening of a family: the same seed gives the same problem. */
export function generateEvening({ dishes, burners, cooks, horizon }: Family, seed: number): Problem {
  const random = seededRandom(seed * 7919 + dishes);
  const from = (low: number, high: number) => low + random.below(high - low + 1);
  const chance = (share: number) => random.next() < share;
  const serve = horizon - 90;
  const hobs = Array.from({ length: burners }, (_, k) => `hob-${k + 1}`);
  const pots = [
    'pot-24',
    'pot-28',
    'pan-26',
    'pan-30',
    ...(dishes > 8 ? ['pot-20', 'pot-32', 'pan-22', 'wok'] : []),
    ...(dishes > 20 ? ['pot-36', 'pot-18', 'pan-34', 'pan-20'] : []),
  ];
  const steps: ProblemStep[] = [];
  const links: ProblemLink[] = [];
  const holds: Hold[] = [];
  const ready: ReadyRow[] = [];
  const hobChoice = (strong: boolean): Alternative[] =>
    hobs.flatMap((id, k) => {
      const cost = strong ? k * 2 : (burners - 1 - k) * 2;
      return strong && k === burners - 1 && burners > 2 ? [] : [{ id, cost }];
    });
  const follow = (a: string, b: string, max: number | null, soft?: readonly [number, number]) =>
    links.push({
      from: a,
      at: 'end',
      to: b,
      of: 'start',
      min: 0,
      ...(max === null ? {} : { max }),
      ...(soft ? { soft: { after: soft[0], cost: soft[1] } } : {}),
    });
  for (let d = 0; d < dishes; d++) {
    const name = (step: string) => `d${d}-${step}`;
    const hands = (step: string, minutes: number, rest: Partial<ProblemStep> = {}) => {
      steps.push({ id: name(step), minutes, pools: { hands: 1 }, ...rest });
      return name(step);
    };
    const kind = from(0, 4);
    const chop = hands('chop', from(5, 18));
    let last = chop;
    if (kind === 0) {
      // Grain: toast, simmer, rest.
      const toast = hands('toast', from(4, 8), { units: [hobChoice(true)] });
      steps.push({ id: name('simmer'), minutes: from(15, 35), units: [hobChoice(false)], pools: { eyes: 1 } });
      steps.push({ id: name('rest'), minutes: from(5, 12) });
      follow(chop, toast, null, [45, 1]);
      follow(toast, name('simmer'), 0);
      follow(name('simmer'), name('rest'), 0);
      holds.push(pot(name('pot'), toast, name('rest')));
      last = name('rest');
    } else if (kind === 1) {
      // Braise: brown on the hob, then the oven.
      const brown = hands('brown', from(10, 20), { units: [hobChoice(true)] });
      steps.push({ id: name('warm'), minutes: 12, state: { id: 'oven', value: 150 } });
      steps.push({
        id: name('braise'),
        minutes: from(90, 160),
        pools: { shelves: 1 },
        state: { id: 'oven', value: 150 },
      });
      const finish = hands('finish', from(4, 8));
      follow(chop, brown, null, [45, 1]);
      follow(brown, name('braise'), 15);
      follow(name('warm'), name('braise'), 10, [2, 1]);
      follow(name('braise'), finish, 30, [10, 1]);
      holds.push(pot(name('pot'), brown, finish));
      last = finish;
    } else if (kind === 2) {
      // Roast.
      steps.push({ id: name('warm'), minutes: 15, state: { id: 'oven', value: 200 } });
      steps.push({
        id: name('roast'),
        minutes: from(25, 50),
        pools: { shelves: 1 },
        state: { id: 'oven', value: 200 },
      });
      follow(chop, name('roast'), null, [45, 1]);
      follow(name('warm'), name('roast'), 10, [2, 1]);
      last = name('roast');
      if (chance(0.5)) {
        last = hands('carve', from(4, 9));
        follow(name('roast'), last, 25);
      }
    } else if (kind === 3) {
      // Curry: fry, simmer, season.
      const fry = hands('fry', from(8, 15), { units: [hobChoice(true)] });
      steps.push({ id: name('simmer'), minutes: from(25, 55), units: [hobChoice(false)], pools: { eyes: 1 } });
      const season = hands('season', from(2, 5), { units: [hobChoice(false)] });
      follow(chop, fry, null, [45, 1]);
      follow(fry, name('simmer'), 5, [0, 1]);
      follow(name('simmer'), season, 30, [5, 1]);
      holds.push(pot(name('pot'), fry, season));
      last = season;
    } else {
      // Quick in the pan.
      const fry = hands('fry', from(5, 12), { units: [hobChoice(true)] });
      follow(chop, fry, null, [45, 1]);
      holds.push(pot(name('pan'), fry, fry));
      last = fry;
    }
    const well = from(0, 4) * 5;
    ready.push({ step: last, by: serve, hold: well, early: 2, late: 50 });
    if (chance(0.6)) ready.push({ step: last, by: serve, hold: well + from(10, 40), early: 20, late: 0 });
  }
  function pot(id: string, a: string, b: string): Hold {
    const some = pots.filter(() => chance(0.6));
    const units = (some.length > 0 ? some : [pots[0]!]).map((unit, k) => ({ id: unit, cost: Math.min(k, 3) }));
    return { id, from: a, to: b, after: from(3, 8), units };
  }
  return {
    format: 'warm-cadence/problem',
    version: 1,
    horizon,
    serve,
    units: [...hobs, ...pots].map((id) => ({ id })),
    pools: [
      { id: 'hands', capacity: cooks },
      { id: 'eyes', capacity: 3 * cooks },
      { id: 'shelves', capacity: 2 },
    ],
    states: [{ id: 'oven', change: 12 }],
    steps,
    holds,
    links,
    ready,
    awake: { pool: 'hands', cost: 1 },
  };
}
