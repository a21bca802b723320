import { beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { type HeldEvening, remembering, restored, withoutBefore } from './evening';
import type { LiveEvent } from './events';

const MEAL = mealOf([plainGrain()]);
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});
const evening = (): HeldEvening => ({
  id: 'e',
  mealId: 'm',
  over: false,
  meal: MEAL,
  tableAt: TABLE,
  plan,
  events: [],
  moved: 'first',
});
const failed = (id: string): LiveEvent => ({ id, at: 1, kind: 'failed', unit: `burner:${id}` });
const undo = (id: string, of: string): LiveEvent => ({ id, at: 2, kind: 'undo', of });

describe('what is taken back', () => {
  it('brings plan and hour back as they stood, one press after the other', () => {
    const other = { ...plan, firstHand: -999 };
    const told = {
      ...remembering(evening(), [failed('a')]),
      plan: other,
      tableAt: TABLE + 1_800_000,
      firstTable: TABLE,
    };
    const twice = { ...remembering(told, [failed('b')]), plan: { ...plan, firstHand: -1 }, moved: 'twice' };
    const once = restored(remembering(twice, [undo('u', 'b')]))!;
    expect(once).toMatchObject({ tableAt: TABLE + 1_800_000, firstTable: TABLE, plan: other });
    const none = restored(remembering(once, [undo('v', 'a')]))!;
    expect(none).toMatchObject({ tableAt: TABLE, plan });
    expect('firstTable' in none).toBe(false);
    expect(none.moved).toMatch(/as it was. first/);
    expect(none.events).toHaveLength(4);
  });

  it('is not kept for what was told long before, nor where something else was told since', () => {
    let now = evening();
    for (const id of ['a', 'b', 'c', 'd', 'e']) now = remembering(now, [failed(id)]);
    expect(now.before).toHaveLength(3);
    expect(restored(remembering(now, [undo('u', 'a')]))).toBeNull();
    expect(restored(remembering(now, [undo('u', 'd')]))).toBeNull();
    // A note in between changes no plan.
    const noted = remembering(now, [{ id: 'n', at: 1, kind: 'note', text: 'hm' }]);
    expect(restored(remembering(noted, [undo('u', 'e')]))).not.toBeNull();
  });

  it('is of this browser only', () => {
    expect(withoutBefore(remembering(evening(), [failed('a')]))).not.toHaveProperty('before');
  });
});
