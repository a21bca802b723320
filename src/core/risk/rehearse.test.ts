import { mean, quantile as sampleQuantile, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import type { Problem, Schedule } from '@/core/schedule/problem';
import { bareProblem, endToStart } from '@/core/schedule/testing/bare';
import { type Course, courseOf, type Roles, waitsFrom } from './course';
import { quantile } from './duration';
import { drawMinutes, followed, phi, rehearse } from './rehearse';

const roles: Roles = { isPerson: (unit) => unit.startsWith('person'), isKept: () => true };
const step = (id: string, minutes: number, spread: readonly [number, number] = [minutes, minutes]) => ({
  id,
  minutes,
  spread,
});
const course = (change: Partial<Problem>, schedule: Partial<Schedule>): Course =>
  courseOf(
    bareProblem({ horizon: 300, serve: 120, ...change }),
    { starts: {}, units: {}, holds: {}, ...schedule },
    roles,
  );
/** When steps begin by likely minutes, with everything as it was meant. */
const pushed = (of: Course) => followed(of, 'meant').starts;
/** Starts and ends of one evening in which the steps take these minutes. */
function evening(of: Course, minutes: readonly number[]) {
  const { starts, ends } = rehearse(of, { evenings: 1, minutes: Int32Array.from(minutes) });
  return { starts: [...starts], ends: [...ends] };
}

describe('the triangular law', () => {
  it('has its ends, its middle and its mean where the textbooks have them', () => {
    expect([0, 0.4, 1].map((u) => quantile(10, 14, 20, u))).toEqual([10, 14, 20]);
    const drawn = Array.from({ length: 20_000 }, (_, k) => quantile(10, 14, 20, (k + 0.5) / 20_000));
    // Mean (a + b + c) / 3, variance (a² + b² + c² - ab - ac - bc) / 18: Johnson and Kotz 1999, from memory.
    expect(mean(drawn)).toBeCloseTo(44 / 3, 2);
    expect(standardDeviation(drawn) ** 2).toBeCloseTo((100 + 400 + 196 - 200 - 140 - 280) / 18, 2);
    expect(quantile(7, 7, 7, 0.3)).toBe(7);
  });
});

describe('the normal distribution function', () => {
  it('has the values of the tables', () => {
    // Abramowitz and Stegun 1964, table 26.1, from memory.
    for (const [z, p] of [
      [0, 0.5],
      [1, 0.841345],
      [-1, 0.158655],
      [1.96, 0.975002],
      [-2.5758, 0.005],
    ] as const)
      expect(phi(z)).toBeCloseTo(p, 5);
  });
});

describe('an evening followed', () => {
  const two = { steps: [step('a', 10), step('b', 5)] };

  it('what should have begun by now waits for what is under way: in its pot, on its shelf, in its oven', () => {
    const running = { ...step('a', 10), earliest: 0, latest: 0 };
    const starts = { a: 0, b: -3 };
    const pot = [{ id: 'pot', cost: 0 }];
    const hold = (id: string) => ({ id: `hold ${id}`, from: id, to: id, after: 0, units: pot });
    const inPot = course(
      { steps: [running, step('b', 5)], units: [{ id: 'pot' }], holds: [hold('a'), hold('b')] },
      { starts, holds: { 'hold a': 'pot', 'hold b': 'pot' } },
    );
    expect([...pushed(inPot)]).toEqual([0, 10]);
    const shelf = { shelf: 1 };
    const onShelf = course(
      {
        steps: [
          { ...running, pools: shelf },
          { ...step('b', 5), pools: shelf },
        ],
        pools: [{ id: 'shelf', capacity: 1 }],
      },
      { starts },
    );
    expect([...pushed(onShelf)]).toEqual([0, 10]);
    const at = (value: number) => ({ state: { id: 'oven', value } });
    const inOven = course(
      {
        steps: [
          { ...running, ...at(180) },
          { ...step('b', 5), ...at(220) },
        ],
        states: [{ id: 'oven', change: 2 }],
      },
      { starts },
    );
    expect([...pushed(inOven)]).toEqual([0, 12]);
    // Where nothing holds it up it begins now, not in the past.
    expect([...pushed(course({ steps: [running, step('b', 5)] }, { starts }))]).toEqual([0, 0]);
  });

  it('begins each step at its hour, and later when what it waits for is not over', () => {
    const loose = course({ ...two, links: [endToStart('a', 'b', 0)] }, { starts: { a: 0, b: 12 } });
    expect(evening(loose, [10, 5]).starts).toEqual([0, 12]);
    expect(evening(loose, [4, 5]).starts).toEqual([0, 12]);
    expect(evening(loose, [15, 5])).toEqual({ starts: [0, 15], ends: [15, 20] });
  });

  it('lets what must follow at once do so, sooner or later than planned', () => {
    const tied = course({ ...two, links: [endToStart('a', 'b', 0, 0)] }, { starts: { a: 0, b: 10 } });
    expect(evening(tied, [7, 5]).starts).toEqual([0, 7]);
    expect(evening(tied, [13, 5]).starts).toEqual([0, 13]);
    const within = course({ ...two, links: [endToStart('a', 'b', 0, 20)] }, { starts: { a: 0, b: 29 } });
    expect(evening(within, [5, 5]).starts).toEqual([0, 25]);
    // Start to start, and end to end.
    const links = [
      { from: 'a', at: 'start' as const, to: 'b', of: 'start' as const, min: 3 },
      { from: 'a', at: 'end' as const, to: 'b', of: 'end' as const, min: 2 },
    ];
    expect(evening(course({ ...two, links }, { starts: { a: 0, b: 3 } }), [10, 5]).ends).toEqual([10, 12]);
  });

  it('does not spoil a dish that is ready too soon: it waits before its last step', () => {
    const ready = [{ step: 'b', by: 60, hold: 10, early: 2, late: 50 }];
    const landing = course({ ...two, links: [endToStart('a', 'b', 0, 30)], ready }, { starts: { a: 20, b: 52 } });
    expect(evening(landing, [2, 5]).starts).toEqual([20, 52]);
    expect(evening({ ...landing, notBefore: Int32Array.of(0, 0) }, [2, 5]).starts).toEqual([20, 52]);
    const early = course({ ...two, links: [endToStart('a', 'b', 0, 10)], ready }, { starts: { a: 40, b: 55 } });
    expect(evening(early, [1, 5]).starts).toEqual([40, 51]);
    const earlier = course({ ...two, links: [endToStart('a', 'b', 0, 2)], ready }, { starts: { a: 40, b: 52 } });
    expect(evening(earlier, [1, 5]).starts).toEqual([40, 45]);
  });

  it('lets food wait for its shelf and for the oven to be of its warmth, in the order of the plan, also where that overlaps by now', () => {
    const shelves = { steps: ['a', 'b', 'c'].map((id) => ({ ...step(id, 10), pools: { shelves: 1 } })) };
    const pools = [{ id: 'shelves', capacity: 2 }];
    const oven = course({ ...shelves, pools }, { starts: { a: 0, b: 2, c: 12 } });
    expect(evening(oven, [15, 30, 10]).starts).toEqual([0, 2, 15]);
    const unkept = courseOf(
      bareProblem({ horizon: 300, serve: 120, ...shelves, pools }),
      { starts: { a: 0, b: 2, c: 12 }, units: {}, holds: {} },
      { ...roles, isKept: () => false },
    );
    expect(evening(unkept, [15, 30, 10]).starts).toEqual([0, 2, 12]);
    const warmths = {
      states: [{ id: 'oven', change: 5 }],
      steps: [
        { ...step('a', 20), state: { id: 'oven', value: 150 } },
        { ...step('b', 5), state: { id: 'oven', value: 200 } },
      ],
    };
    // What runs late is over after the hour of what comes next: that still comes next.
    expect(evening(course(warmths, { starts: { a: 0, b: 12 } }), [20, 5]).starts).toEqual([0, 25]);
  });

  it('what only fills the time until its hour ends then, whenever it begins, and lasts no longer than it bears', () => {
    const problem = bareProblem({ horizon: 300, serve: 120, ...two, links: [endToStart('a', 'b', 0, 3)] });
    const schedule = { starts: { a: 100, b: 110 }, units: {}, holds: {} };
    const kept = courseOf(problem, schedule, { ...roles, stretchOf: (id) => (id === 'b' ? 12 : undefined) });
    expect(evening(kept, [10, 5])).toEqual({ starts: [100, 110], ends: [110, 115] });
    expect(evening(kept, [13, 5])).toEqual({ starts: [100, 113], ends: [113, 115] });
    expect(evening(kept, [25, 5])).toEqual({ starts: [100, 125], ends: [125, 125] });
    expect(evening(kept, [2, 5])).toEqual({ starts: [100, 105], ends: [102, 115] });
    const brief = courseOf(problem, schedule, { ...roles, stretchOf: (id) => (id === 'b' ? 6 : undefined) });
    expect(evening(brief, [2, 5])).toEqual({ starts: [100, 105], ends: [102, 111] });
    // Until the table, or nearly: while that waits it goes on, for as long as it bears.
    expect(waitsFrom(kept, 1, { start: 110, end: 115 }, 115)).toBe(122);
    expect(waitsFrom(kept, 1, { start: 110, end: 115 }, 116)).toBe(115);
    expect(waitsFrom(kept, 0, { start: 100, end: 110 }, 0)).toBe(110);
  });

  it('puts no pot on a burner that it is too wide for', () => {
    const units = [
      [
        { id: 'big', cost: 0 },
        { id: 'small', cost: 0 },
      ],
    ];
    const steps = [
      { ...step('a', 10), units },
      { ...step('b', 5), units },
    ];
    const holds = [{ id: 'pot of b', from: 'b', to: 'b', after: 0, units: [{ id: 'wide', cost: 0 }] }];
    const forbid = [
      [
        { hold: 'pot of b', unit: 'wide' },
        { step: 'b', need: 0, unit: 'small' },
      ],
    ] as const;
    const at = { starts: { a: 0, b: 10 }, units: { a: ['big'], b: ['big'] } };
    const free = course({ steps }, at);
    expect(evening(free, [14, 5]).starts).toEqual([0, 10]);
    const wide = course({ steps, holds, forbid }, { ...at, holds: { 'pot of b': 'wide' } });
    expect(evening(wide, [14, 5]).starts).toEqual([0, 14]);
    const narrow = course({ steps, holds, forbid }, { ...at, holds: { 'pot of b': 'narrow' } });
    expect(evening(narrow, [14, 5]).starts).toEqual([0, 10]);
  });

  it('goes on though the order goes in a circle: each of those begins at its hour', () => {
    const links = [endToStart('a', 'b', 0), endToStart('b', 'a', 0)];
    const circle = course(
      { steps: [step('a', 10), step('b', 5), step('c', 3)], links },
      { starts: { a: 4, b: 9, c: 1 } },
    );
    expect(evening(circle, [10, 5, 3])).toEqual({ starts: [4, 9, 1], ends: [14, 14, 4] });
  });

  it('holds nothing up that is under way', () => {
    const links = [endToStart('a', 'b', 0)];
    const steps = [step('a', 10), { ...step('b', 5), earliest: 4, latest: 4 }];
    expect(evening(course({ steps, links }, { starts: { a: 0, b: 4 } }), [20, 5]).starts).toEqual([0, 4]);
    const holds = ['a', 'b'].map((id) => ({ id, from: id, to: id, after: 0, units: [{ id: 'person one', cost: 0 }] }));
    const hands = course({ steps, holds }, { starts: { a: 0, b: 4 }, holds: { a: 'person one', b: 'person one' } });
    expect(evening(hands, [20, 5]).starts).toEqual([0, 4]);
  });

  it('keeps the order on a burner, in a pot and in an oven, and helps out among people', () => {
    const burner = { units: { a: ['unit'], b: ['unit'] }, starts: { a: 0, b: 10 } };
    expect(evening(course({ ...two, units: [{ id: 'unit' }] }, burner), [14, 5]).starts).toEqual([0, 14]);
    const holds = [{ id: 'pot', from: 'a', to: 'a', after: 3, units: [{ id: 'pan', cost: 0 }] }];
    const next = [...holds, { id: 'next', from: 'b', to: 'b', after: 0, units: [{ id: 'pan', cost: 0 }] }];
    const pots = course({ ...two, holds: next }, { starts: { a: 0, b: 13 }, holds: { pot: 'pan', next: 'pan' } });
    expect(evening(pots, [14, 5]).starts).toEqual([0, 17]);
    const hot = (value: number) => ({ state: { id: 'oven', value } });
    const states = {
      states: [{ id: 'oven', change: 4 }],
      steps: [
        { ...step('a', 10), ...hot(180) },
        { ...step('b', 5), ...hot(220) },
      ],
    };
    expect(evening(course(states, { starts: { a: 0, b: 14 } }), [12, 5]).starts).toEqual([0, 16]);
    const hands = (id: string, units: readonly string[]) => ({
      id,
      from: id,
      to: id,
      after: 1,
      units: units.map((unit) => ({ id: unit, cost: 0 })),
    });
    const alone = { ...two, holds: [hands('a', ['person 1']), hands('b', ['person 1'])] };
    const schedule = { starts: { a: 0, b: 11 }, holds: { a: 'person 1', b: 'person 1' } };
    expect(evening(course(alone, schedule), [15, 5]).starts).toEqual([0, 16]);
    const helped = {
      steps: [...two.steps, step('c', 1)],
      holds: [hands('a', ['person 1']), hands('b', ['person 1', 'person 2']), hands('c', ['person 2'])],
    };
    const both = course(helped, {
      starts: { a: 0, b: 11, c: 0 },
      holds: { a: 'person 1', b: 'person 1', c: 'person 2' },
    });
    expect(evening(both, [15, 5, 1]).starts).toEqual([0, 11, 0]);
    // What is pushed on by likely minutes stays with its people, or is helped.
    const crossed = course(helped, {
      starts: { a: 3, b: 4, c: 0 },
      holds: { a: 'person 1', b: 'person 1', c: 'person 2' },
    });
    expect([...pushed(crossed)]).toEqual([3, 14, 0]);
    const { starts, person } = followed(crossed, 'helped');
    expect([...starts]).toEqual([3, 4, 0]);
    expect([...person].map((who) => crossed.peopleIds[who])).toEqual(['person 1', 'person 2', 'person 2']);
    expect([...followed(crossed, 'meant').person]).toEqual([...crossed.person]);
  });

  it('what is under way has its burner before what is to begin at that minute, whichever comes first in the list', () => {
    const units = [[{ id: 'one', cost: 0 }]];
    const running = { ...step('b', 5), earliest: 0, latest: 0, units };
    for (const steps of [
      [running, { ...step('a', 10), units }],
      [{ ...step('a', 10), units }, running],
    ]) {
      const both = course({ steps }, { starts: { a: 0, b: 0 }, units: { a: ['one'], b: ['one'] } });
      const starts = pushed(both);
      expect(both.ids.map((id, index) => [id, starts[index]]).sort()).toEqual([
        ['a', 5],
        ['b', 0],
      ]);
    }
  });

  it('takes another burner for what is helped, and says which', () => {
    const burners = [['one'], ['one', 'two']].map((ids) => [ids.map((id) => ({ id, cost: 0 }))]);
    const steps = two.steps.map((each, index) => ({ ...each, units: burners[index]! }));
    const crossed = course({ steps }, { starts: { a: 0, b: 5 }, units: { a: ['one'], b: ['one'] } });
    expect([...pushed(crossed)]).toEqual([0, 10]);
    const { starts, place } = followed(crossed, 'helped');
    expect([...starts]).toEqual([0, 5]);
    expect([...place].map((where) => crossed.placeIds[where])).toEqual(['one', 'two']);
  });

  it('begins sooner what must not wait longer for something that is over, and what has to be over before it', () => {
    const isLag = ({ early }: { readonly early: number }) => early === 0;
    const lagged = (ready: Problem['ready'], links = [endToStart('a', 'b', 0)]) =>
      courseOf(
        bareProblem({ horizon: 300, serve: 120, steps: two.steps, links, ready }),
        { starts: { a: 50, b: 80 }, units: {}, holds: {} },
        { ...roles, isLag },
      );
    const row = { step: 'b', hold: 0, late: 20 };
    // It ends by 65, so it begins at 60, and what it waits for at 50, or at 40 where it ends by 55.
    expect([...pushed(lagged([{ ...row, by: 65, early: 0 }]))]).toEqual([50, 60]);
    expect([...pushed(lagged([{ ...row, by: 55, early: 0 }]))]).toEqual([40, 50]);
    expect([...pushed(lagged([{ ...row, by: 2, early: 0 }]))]).toEqual([0, 10]);
    expect([...pushed(lagged([{ ...row, by: 90, early: 0 }]))]).toEqual([50, 80]);
    expect([...pushed(lagged([{ ...row, by: 65, early: 1 }]))]).toEqual([50, 80]);
    // What only bounds an end, or may overlap, is not begun sooner for it.
    expect([...pushed(lagged([{ ...row, by: 55, early: 0 }], []))]).toEqual([50, 50]);
    expect([...pushed(lagged([{ ...row, by: 55, early: 0 }], [endToStart('a', 'b', -20)]))]).toEqual([50, 50]);
  });
});

describe('drawn minutes', () => {
  const of = course(
    { steps: [step('a', 20, [10, 40]), step('b', 20, [10, 40]), step('c', 5)], units: [{ id: 'unit' }] },
    { starts: { a: 0, b: 40, c: 0 }, units: { a: ['unit'], b: ['unit'] } },
  );
  const columns = (shared: number, seed = 3) => {
    const { minutes } = drawMinutes(of, 4000, { seed, shared });
    return [0, 1, 2].map((at) => Array.from({ length: 4000 }, (_, k) => minutes[3 * k + at]!));
  };

  it('follow the law, whole minutes up, and are the same for the same seed', () => {
    const [a, , c] = columns(0.2);
    for (const u of [0.1, 0.5, 0.9])
      expect(Math.abs(sampleQuantile(a!, u) - quantile(10, 20, 40, u))).toBeLessThan(1.2);
    expect(new Set(c)).toEqual(new Set([5]));
    expect(columns(0.2)).toEqual(columns(0.2));
    expect(columns(0.2, 4)).not.toEqual(columns(0.2));
  });

  it('go together on the same flame as much as is said', () => {
    const related = (shared: number) => {
      const [a, b] = columns(shared);
      const [ma, mb] = [mean(a!), mean(b!)];
      const together = mean(a!.map((x, k) => (x - ma) * (b![k]! - mb)));
      return together / (standardDeviation(a!) * standardDeviation(b!));
    };
    expect(Math.abs(related(0))).toBeLessThan(0.06);
    expect(related(0.2)).toBeGreaterThan(0.12);
    expect(related(0.2)).toBeLessThan(0.28);
    expect(related(1)).toBeGreaterThan(0.98);
  });
});
