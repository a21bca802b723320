import { describe, expect, it } from 'vitest';
import type { Problem, Schedule } from './problem';
import { validate } from './validate';

const base: Problem = {
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 100,
  serve: 80,
  units: [{ id: 'u', away: [[0, 5]] }, { id: 'v' }],
  pools: [{ id: 'hands', capacity: 1, away: [[90, 100, 1]] }],
  states: [{ id: 'oven', change: 10 }],
  steps: [
    {
      id: 'a',
      minutes: 10,
      units: [
        [
          { id: 'u', cost: 1 },
          { id: 'v', cost: 2 },
        ],
      ],
      pools: { hands: 1 },
    },
    { id: 'b', minutes: 10, units: [[{ id: 'u', cost: 0 }]], state: { id: 'oven', value: 150 } },
    { id: 'c', minutes: 5, state: { id: 'oven', value: 200 }, pools: { hands: 1 } },
  ],
  holds: [{ id: 'h', from: 'a', to: 'b', after: 5, units: [{ id: 'v', cost: 3 }] }],
  links: [{ from: 'a', at: 'end', to: 'b', of: 'start', min: 0, max: 20, soft: { after: 5, cost: 2 } }],
  ready: [{ step: 'b', by: 40, hold: 5, early: 1, late: 10 }],
  awake: { pool: 'hands', cost: 1 },
  forbid: [],
};
const sound: Schedule = {
  starts: { a: 10, b: 28, c: 60 },
  units: { a: ['u'], b: ['u'] },
  holds: { h: 'v' },
};

describe('validate', () => {
  it('finds nothing wrong with a sound schedule and adds up its cost', () => {
    // Alternatives 1 + 0 + 3; soft lag (28 - 20 - 5) * 2; slip 38 - 40 = -2, within the hold; awake 80 - 10.
    expect(validate(base, sound)).toEqual({ faults: [], cost: 4 + 6 + 0 + 70 });
  });

  it('pays earliness beyond the hold and lateness from the first minute', () => {
    const cost = (b: number) => validate(base, { ...sound, starts: { ...sound.starts, b } }).cost;
    expect(cost(22) - cost(28)).toBe(-6 + 3);
    expect(cost(34) - cost(28)).toBe(12 + 40);
  });

  it.each<[string, Partial<Schedule>, RegExp]>([
    ['a start outside its bounds', { starts: { ...sound.starts, c: 96 } }, /"c" starts at 96, outside 0 to 95/],
    ['a missing start', { starts: { a: 10, b: 28 } }, /"c" has no whole-minute start/],
    ['half a minute', { starts: { ...sound.starts, c: 60.5 } }, /no whole-minute/],
    ['a lag too long', { starts: { ...sound.starts, b: 41 } }, /lag 21 is not within 0 to 20/],
    ['a lag too short', { starts: { ...sound.starts, b: 19 } }, /lag -1 is not within/],
    ['two things on one unit', { units: { a: ['v'], b: ['u'] } }, /Unit "v".*overlap/],
    ['a unit that is away', { starts: { a: 4, b: 22, c: 60 } }, /away.*overlap/],
    ['a pool overdrawn', { starts: { ...sound.starts, c: 12 } }, /Pool "hands": 2 in use/],
    ['a pool that is away', { starts: { ...sound.starts, c: 88 } }, /Pool "hands": 1 in use at 90, 0 there/],
    ['an oven at two heats too close together', { starts: { ...sound.starts, c: 45 } }, /too close together/],
    ['an alternative that is none', { holds: { h: 'u' } }, /not among its alternatives/],
    ['a need without a unit', { units: { a: ['u'] } }, /1 needs but 0 units/],
  ])('tells of %s', (_, change, words) => {
    expect(validate(base, { ...sound, ...change }).faults.join('\n')).toMatch(words);
  });

  it('tells of a forbidden pair and of a hold that ends before it begins', () => {
    const forbid = [
      [
        { hold: 'h', unit: 'v' },
        { step: 'a', need: 0, unit: 'u' },
      ],
    ] as const;
    expect(validate({ ...base, forbid }, sound).faults[0]).toMatch(/Forbidden together/);
    const backwards: Problem = { ...base, links: [], holds: [{ ...base.holds[0]!, from: 'c', to: 'a' }] };
    expect(validate(backwards, sound).faults.join()).toMatch(/ends before it begins/);
  });

  it('leaves milestones and the time after the horizon free', () => {
    const problem: Problem = {
      ...base,
      awake: { pool: 'hands', cost: 1 },
      steps: [
        ...base.steps,
        { id: 'm', minutes: 0, units: [[{ id: 'u', cost: 7 }]], pools: { hands: 5 }, state: { id: 'oven', value: 1 } },
      ],
      holds: [{ ...base.holds[0]!, after: 500 }],
    };
    const schedule = { ...sound, starts: { ...sound.starts, m: 30 }, units: { ...sound.units, m: ['u'] } };
    expect(validate(problem, schedule)).toEqual({ faults: [], cost: 80 + 7 });
  });
});
