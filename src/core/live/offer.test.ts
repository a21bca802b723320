import { describe, expect, it } from 'vitest';
import type { Landing, Odds, Plan } from '@/core/plan/plan';
import { landingAt } from '@/core/plan/plan';
import { lateOffer } from './offer';
import type { Session } from './session';

const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const stew: Landing = landingAt(
  {
    dishId: 'stew',
    dishName: 'Stew',
    ready: 0,
    waits: 0,
    late: 0,
    wellMinutes: 20,
    mostMinutes: 40,
    how: 'covered',
    served: 'hot',
    fine: 'well',
  },
  7,
);
const odds = (table: readonly number[]): Odds => ({
  evenings: 300,
  within5: 0.3,
  within10: 0.6,
  good: 0.3,
  table,
  dishes: [],
  causes: [],
});
const session = (landing: Landing, of?: Odds): Session => ({
  id: 's',
  meal: {} as Session['meal'],
  tableAt: TABLE,
  plan: { landings: [landing], ...(of ? { odds: of } : {}) } as unknown as Plan,
  events: [],
  moved: '',
});

describe('a later hour', () => {
  it('is offered once, as late as nine of ten evenings keep it', () => {
    expect(lateOffer(session(stew, odds([2, 5, 8, 12, 17, 22])))).toEqual({
      dishes: ['Stew'],
      late: 7,
      minutes: 20,
      newTable: TABLE + 20 * 60_000,
    });
  });

  it('is never sooner than what is late already, and goes by that where nothing was rehearsed', () => {
    expect(lateOffer(session(stew, odds([0, 0, 0, 0, 1, 2])))?.minutes).toBe(10);
    expect(lateOffer(session(stew))?.minutes).toBe(10);
  });

  it('is not offered while nothing is late by likely minutes', () => {
    expect(lateOffer(session(landingAt(stew, -3), odds([0, 0, 0, 2, 6, 9])))).toBeNull();
  });
});
