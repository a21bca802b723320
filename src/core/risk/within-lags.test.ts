import { describe, expect, it } from 'vitest';
import type { Problem, Schedule } from '@/core/schedule/problem';
import { bareProblem, endToStart } from '@/core/schedule/testing/bare';
import { courseOf, type Roles } from './course';
import { withinLags } from './within-lags';

const roles: Roles = { isPerson: (unit) => unit.startsWith('person'), isKept: () => true };
const steps = ['a', 'b', 'c'].map((id) => ({ id, minutes: 10 }));

function found(change: Partial<Problem>, schedule: Partial<Schedule>): readonly number[] | null {
  const problem = bareProblem({ horizon: 100, serve: 90, steps, ...change });
  const course = courseOf(problem, { starts: {}, units: {}, holds: {}, ...schedule }, roles);
  const kept = withinLags(course, problem, course.planned);
  return kept && [...kept];
}

describe('hours that keep every lag', () => {
  const held = [endToStart('a', 'c', 0, 5), endToStart('b', 'c', 0)];

  it('are the same where all do', () => {
    expect(found({ links: held }, { starts: { a: 0, b: 0, c: 12 } })).toEqual([0, 0, 12]);
  });

  it('begin what must not wait long later, when what comes after it is late', () => {
    // The third follows the first within five minutes, and the second ends at 40.
    expect(found({ links: held }, { starts: { a: 0, b: 30, c: 12 } })).toEqual([25, 30, 40]);
  });

  it('keep the order of hands, with the breath between', () => {
    const holds = ['a', 'b'].map((id) => ({ id, from: id, to: id, after: 2, units: [{ id: 'person one', cost: 0 }] }));
    const hands = { starts: { a: 0, b: 5, c: 50 }, holds: { a: 'person one', b: 'person one' } };
    expect(found({ holds }, hands)).toEqual([0, 12, 50]);
  });

  it('let what only fills the time until its hour give way to what follows it', () => {
    // The first is kept warm from 10 to 40: begun at 30 it makes room at 40 all the same, and never ends before it begins.
    const keeping = { ...roles, stretchOf: (id: string) => (id === 'a' ? 40 : undefined) };
    const problem = bareProblem({
      horizon: 100,
      serve: 90,
      links: [endToStart('a', 'c', 0)],
      steps: [{ id: 'a', minutes: 30 }, ...steps.slice(1)],
    });
    const course = courseOf(problem, { starts: { a: 10, b: 0, c: 40 }, units: {}, holds: {} }, keeping);
    const from = (a: number) => [...withinLags(course, problem, Int32Array.of(a, 0, 40))!];
    expect(from(10)).toEqual([10, 0, 40]);
    expect(from(30)).toEqual([30, 0, 40]);
    expect(from(45)).toEqual([45, 0, 45]);
  });

  it('are none where what is under way stands against it, where two lags do, or where the day is over', () => {
    const underWay = steps.map((step) => (step.id === 'a' ? { ...step, earliest: 0, latest: 0 } : step));
    expect(found({ links: held, steps: underWay }, { starts: { a: 0, b: 30, c: 12 } })).toBeNull();
    const never = [endToStart('a', 'c', 0, 5), endToStart('a', 'b', 0), endToStart('b', 'c', 0)];
    expect(found({ links: never }, { starts: { a: 0, b: 10, c: 15 } })).toBeNull();
    expect(found({ links: held }, { starts: { a: 0, b: 85, c: 12 } })).toBeNull();
  });
});
