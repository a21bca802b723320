import { describe, expect, it } from 'vitest';
import { bareProblem, endToStart } from '@/core/schedule/testing/bare';
import { withRoom } from './room';

const base = bareProblem({
  horizon: 300,
  serve: 120,
  units: [{ id: 'burner' }],
  steps: ['a', 'b', 'c'].map((id) => ({ id, minutes: 10, spread: [8, 20] as const })),
});
const six = () => 6;

describe('room for what may take longer', () => {
  it('lies at the end of a step, before what waits for it', () => {
    const { problem, room } = withRoom({ ...base, links: [endToStart('a', 'b', 2)] }, six);
    expect([...room]).toEqual([
      ['a', 6],
      ['b', 6],
      ['c', 6],
    ]);
    expect(problem.steps.map(({ minutes }) => minutes)).toEqual([16, 16, 16]);
    // Two minutes after the longer step: eight after its likely end.
    expect(problem.links[0]).toMatchObject({ min: 2 });
  });

  it('lies behind what follows at once, and behind the last of a chain', () => {
    const burner = [[{ id: 'burner', cost: 0 }]];
    const steps = base.steps.map((step) => ({ ...step, units: burner }));
    const { problem, room } = withRoom(
      { ...base, steps, links: [endToStart('a', 'b', 0, 0), endToStart('b', 'c', 0, 4)] },
      six,
    );
    expect(room.get('a')).toBeUndefined();
    // Twelve wanted, four can be kept between the second and the third, eight and its own behind the last.
    expect(room.get('b')).toBe(4);
    expect(room.get('c')).toBe(14);
    expect(problem.links[0]).toMatchObject({ min: 0, max: 0 });
    expect(problem.links[1]).toMatchObject({ min: 0, max: 0 });
  });

  it('on another burner is kept though something follows at once', () => {
    const { problem, room } = withRoom({ ...base, links: [endToStart('a', 'b', 0, 0)] }, six);
    expect(room.get('a')).toBe(6);
    // At once is at once after the likely end, six minutes before the room is over.
    expect(problem.links[0]).toMatchObject({ min: -6, max: -6 });
  });

  it('lets a dish be ready sooner than the table, but never sooner than it waits well', () => {
    const ready = [
      { step: 'a', by: 120, hold: 5, early: 2, late: 50 },
      { step: 'b', by: 120, hold: 0, early: 2, late: 2 },
    ];
    const { problem, room } = withRoom({ ...base, ready }, six);
    expect(room.get('a')).toBe(4);
    expect(problem.ready[0]).toEqual({ step: 'a', by: 120, hold: 1, early: 2, late: 50 });
    // A place that the cook knows is that of the likely end.
    expect(problem.ready[1]).toEqual({ step: 'b', by: 126, hold: 0, early: 2, late: 2 });
  });

  it('is none where nothing is asked for, and for milestones', () => {
    const steps = [...base.steps, { id: 'd', minutes: 0 }];
    const { problem, room } = withRoom({ ...base, steps }, ({ id }) => (id === 'd' ? 9 : 0));
    expect(room.size).toBe(0);
    expect(problem.steps).toEqual(steps);
  });
});
