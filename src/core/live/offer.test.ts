import { describe, expect, it } from 'vitest';
import type { Landing, Odds, Plan } from '@/core/plan/plan';
import { landingAt } from '@/core/plan/plan';
import type { LiveEvent } from './events';
import { borneAsItIs, isTrouble, lateOffer, troubleOf, weightOf } from './offer';
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

describe('what is wrong with a plan', () => {
  const dish = (dishId: string, late: number, change: Partial<Landing> = {}): Landing => ({
    ...landingAt({ ...stew, dishId }, late),
    ...change,
  });
  const long = (dishId: string) => dish(dishId, -60);
  const trouble = (landings: readonly Landing[], ...events: readonly LiveEvent[]) =>
    troubleOf({ plan: { landings } as unknown as Plan, events });
  const ids = (list: readonly Landing[]) => list.map(({ dishId }) => dishId);
  const kept = (minutes: number, ...dishes: readonly string[]): LiveEvent => ({
    id: 'k',
    at: TABLE,
    kind: 'kept',
    minutes,
    dishes,
  });

  it('is what comes late and hot, the latest last, from three minutes on, and what stands longer than it bears', () => {
    const found = trouble([dish('roast', 9), dish('salad', 30, { served: 'cold' }), dish('rice', 4), long('soup')]);
    expect(ids(found.late)).toEqual(['rice', 'roast']);
    expect(ids(found.spoilt)).toEqual(['soup']);
    expect(weightOf(found)).toBe(9 + 15);
    expect(ids(trouble([dish('rice', 2)]).late)).toEqual([]);
    expect(ids(trouble([dish('rice', 3)]).late)).toEqual(['rice']);
  });

  it('is trouble by either', () => {
    expect([trouble([stew]), trouble([long('soup')]), trouble([dish('rice', 0)])].map(isTrouble)).toEqual([
      true,
      true,
      false,
    ]);
  });

  it('is borne where the cook said so: to five minutes more than was said, and for these dishes', () => {
    const landings = [dish('rice', 7), dish('salad', 20, { served: 'cold' }), long('soup'), long('stock')];
    expect(borneAsItIs({ landings } as unknown as Plan)).toEqual({
      kind: 'kept',
      minutes: 7,
      dishes: ['soup', 'stock'],
    });
    expect(borneAsItIs({ landings: [long('soup')] } as unknown as Plan).minutes).toBe(0);
    const borne = trouble(landings, kept(7, 'soup'));
    expect([ids(borne.late), ids(borne.spoilt)]).toEqual([[], ['stock']]);
    expect(ids(trouble([dish('rice', 11)], kept(7)).late)).toEqual([]);
    expect(ids(trouble([dish('rice', 12)], kept(7)).late)).toEqual(['rice']);
  });
});
