import { describe, expect, it } from 'vitest';
import { checkKitchen } from '@/core/meal/check';
import { readUnit } from '@/core/meal/keys';
import { breathAfter, padHands } from '@/core/meal/pace';
import { burnersFor, peopleFor, vesselsFor } from '@/core/meal/stations';
import { smallKitchen } from '@/core/testing/meals';
import { absences } from './resources';

const person = { id: 'p', name: 'p', role: 'helper', from: '10:00', until: '18:00' } as const;

const table = { day: '2026-11-28', hour: '19:00' };

describe('people', () => {
  it('are away outside their hours, over several days', () => {
    // Minute 0 is 16:00; the window is 30 hours long.
    expect(absences(person, { table, origin: -3 * 60, horizon: 30 * 60 })).toEqual([
      [2 * 60, 18 * 60],
      [26 * 60, 30 * 60],
    ]);
  });

  it('come and go by the clock on the wall in the night in which it is changed', () => {
    // Clocks go back at 3:00 on 25 October 2026: from 18:00 the day before to 10:00 it is seventeen hours.
    const stretch = { table: { day: '2026-10-25', hour: '19:00' }, origin: -27 * 60, horizon: 27 * 60 };
    expect(absences(person, stretch)).toEqual([
      [60, 18 * 60],
      [26 * 60, 27 * 60],
    ]);
  });

  it('may stay past midnight', () => {
    const late = { ...person, from: '18:00', until: '01:00' };
    expect(checkKitchen({ ...smallKitchen, people: [{ ...late, role: 'cook' }] })).toEqual([]);
    // Minute 0 is 16:00; the table is laid at half past midnight.
    const stretch = { table: { day: '2026-11-29', hour: '00:30' }, origin: -510, horizon: 600 };
    expect(absences(late, stretch)).toEqual([
      [0, 120],
      [540, 600],
    ]);
  });

  it('are all there when minute 0 lies within their hours and the window too', () => {
    expect(absences(person, { table, origin: -8 * 60, horizon: 120 })).toEqual([]);
  });

  it('help where anyone may, and leave the stove to a cook', () => {
    const kitchen = { ...smallKitchen, people: [...smallKitchen.people, person] };
    expect(peopleFor(kitchen, 'cook').map(({ id }) => id)).toEqual(['person:cook']);
    expect(peopleFor(kitchen, 'anyone')).toEqual([
      { id: 'person:cook', cost: 1 },
      { id: 'person:p', cost: 0 },
    ]);
  });
});

describe('units', () => {
  it('are named so that burners, vessels and people cannot be mixed up', () => {
    const [first] = vesselsFor(smallKitchen, { kinds: ['pot'], litres: 1, widthCm: 0 });
    expect(readUnit(first!.id)).toEqual({ sort: 'vessel', id: 'pot' });
    expect(burnersFor(smallKitchen, { at: 'burner', heat: 'full' }).map(({ id }) => id)).toEqual(['burner:big']);
  });

  it('let an appliance stand in for a burner where a step allows it', () => {
    const kitchen = { ...smallKitchen, appliances: [{ id: 'rc', name: 'rice cooker', kind: 'rice-cooker' as const }] };
    const ids = burnersFor(kitchen, { at: 'burner', heat: 'low', orIn: 'rice-cooker' }).map(({ id }) => id);
    expect(ids).toContain('appliance:rc');
  });
});

describe('pace', () => {
  it('never shortens written minutes, and always leaves a breath', () => {
    for (const pace of ['relaxed', 'steady', 'brisk'] as const) {
      for (let minutes = 1; minutes <= 60; minutes++) {
        expect(padHands(minutes, pace)).toBeGreaterThanOrEqual(minutes);
        expect(breathAfter(minutes, pace)).toBeGreaterThanOrEqual(1);
      }
    }
  });
});
