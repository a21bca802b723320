import { describe, expect, it } from 'vitest';
import type { Problem, Schedule } from '@/core/schedule/problem';
import { bareProblem, endToStart } from '@/core/schedule/testing/bare';
import { controllability } from './controllability';
import { courseOf, type Roles } from './course';
import { endOf, networkOf, startOf } from './network';

const steps = ['a', 'b', 'c', 'd'].map((id) => ({ id, minutes: 10, spread: [8, 15] as const }));
const roles: Roles = { isPerson: (unit) => unit.startsWith('person'), isKept: () => true };
const ALL = { share: 1, sooner: 0 };

function drawn(change: Partial<Problem>, schedule: Partial<Schedule>, options = ALL) {
  const problem = bareProblem({ horizon: 300, serve: 120, steps, ...change });
  const course = courseOf(problem, { starts: {}, units: {}, holds: {}, ...schedule }, roles);
  const network = networkOf(course, problem, options);
  const comesAfter = (before: number, after: number) =>
    network.bounds.some(({ from, to, most }) => from === startOf(after) && to === endOf(before) && most <= 0);
  return { network, comesAfter };
}

describe('a plan as a network', () => {
  it('keeps the order of hands, of burners, and of what a pool cannot hold at once', () => {
    const shelves = {
      pools: [{ id: 'oven', capacity: 2 }],
      steps: steps.map((step) => ({ ...step, pools: { oven: 1 } })),
    };
    const oven = drawn(shelves, { starts: { a: 0, b: 5, c: 12, d: 16 } });
    expect([0, 1].filter((before) => oven.comesAfter(before, 2))).toEqual([0]);
    expect([0, 1, 2].filter((before) => oven.comesAfter(before, 3))).toEqual([1]);
    expect(oven.comesAfter(0, 1)).toBe(false);
    const holds = ['a', 'c'].map((id) => ({ id, from: id, to: id, after: 3, units: [{ id: 'person one', cost: 0 }] }));
    const hands = drawn(
      { holds },
      { starts: { a: 0, b: 5, c: 20, d: 30 }, holds: { a: 'person one', c: 'person one' } },
    );
    expect(hands.network.bounds).toContainEqual({ from: startOf(2), to: endOf(0), most: -3 });
    const burner = { starts: { a: 0, b: 5, c: 20, d: 30 }, units: { a: ['burner'], d: ['burner'] } };
    expect(drawn({ units: [{ id: 'burner' }] }, burner).comesAfter(0, 3)).toBe(true);
  });

  it('begins nothing before its hour, but what must follow soon', () => {
    const links = [endToStart('a', 'b', 0, 4)];
    const { network } = drawn({ links }, { starts: { a: 20, b: 31, c: 50, d: 60 } });
    const earliest = (step: number) =>
      Math.max(...network.bounds.filter(({ from, to }) => from === startOf(step) && to === 0).map(({ most }) => -most));
    expect([0, 1, 2, 3].map(earliest)).toEqual([20, 0, 50, 60]);
    const sooner = drawn({ links }, { starts: { a: 20, b: 31, c: 50, d: 60 } }, { share: 1, sooner: 30 }).network;
    expect(sooner.bounds).toContainEqual({ from: startOf(2), to: 0, most: -20 });
    expect(controllability(network).ok).toBe(true);
  });

  it('lets minutes stray as far as is asked', () => {
    const at = (share: number) =>
      drawn({}, { starts: { a: 0, b: 0, c: 0, d: 0 } }, { share, sooner: 0 }).network.durations[0];
    expect(at(1)).toMatchObject({ shortest: 8, longest: 15 });
    expect(at(0.4)).toMatchObject({ shortest: 9, longest: 12 });
    expect(at(0)).toBeUndefined();
  });
});
