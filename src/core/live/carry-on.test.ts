import { beforeAll, describe, expect, it } from 'vitest';
import { holdOfPerson, unitId } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { AT_ONCE, answered, type CarriedOn, carryOn, carryOnByClock, type RestRequest, type Thought } from './carry-on';
import type { LiveEvent } from './events';
import { instantOf, type Session } from './session';

const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const meal = mealOf([plainGrain('a')], { kitchen: smallKitchen, people: 4 });
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal, 4, 2);
});
const session = (events: readonly LiveEvent[] = [], moved = ''): Session => ({
  id: 's',
  meal,
  tableAt: TABLE,
  plan,
  events,
  moved,
});
const NOW = () => instantOf({ tableAt: TABLE }, plan.firstHand - 10);
const asBefore = async () => ({ ok: true, plan }) as const;
const late = (minutes: number, of: Plan = plan): Plan => ({
  ...of,
  landings: of.landings.map((landing) => ({ ...landing, late: minutes, fine: 'late' })),
});

describe('the rest of an evening', () => {
  it('is asked for with the meal as it is, what has happened, and the plan the cook knows', async () => {
    let asked: RestRequest | undefined;
    const boil = plan.steps.find(({ key }) => key === 'a/boil')!;
    const events = [
      { id: '1', at: NOW(), kind: 'moved-to', key: boil.key, unit: 'burner:small' },
      { id: '2', at: NOW(), kind: 'handed', key: 'a/wash', person: 'cook' },
    ] as unknown as LiveEvent[];
    const carried = await carryOn(session(events), NOW(), 'Told', async (request) => {
      asked = request;
      return { ok: true, plan };
    });
    expect(carried).toMatchObject({ fits: true, tableAt: TABLE });
    expect(asked!.progress.now).toBe(plan.firstHand - 10);
    expect(asked!.meal.dishes.map(({ id }) => id)).toEqual(['a']);
    expect(asked!.known.given?.get(holdOfPerson(plan.steps.find(({ key }) => key === 'a/wash')!.key))).toBe(
      unitId('person', 'cook'),
    );
    // Nothing given: nothing is said of it.
    await carryOn(session(), NOW(), 'Told', async (request) => {
      asked = request;
      return { ok: true, plan };
    });
    expect(asked!.known.given).toBeUndefined();
  });

  it('keeps the old plan where it no longer fits, and where nothing is left', async () => {
    const stands = await carryOn(session(), NOW(), 'Barley: done', async () => ({ ok: false, refusals: [] }));
    expect(stands).toEqual({
      plan,
      tableAt: TABLE,
      fits: false,
      moved: 'Barley: done. The rest no longer fits by the clock: carry on in this order, the hour will slip.',
    });
    const dropped = [{ id: '1', at: NOW(), kind: 'dropped', dish: 'a' }] as LiveEvent[];
    const nothing = await carryOn(session(dropped), NOW(), 'Left out', () => {
      throw new Error('There is nothing to plan.');
    });
    expect(nothing).toEqual({ plan, tableAt: TABLE, fits: true, moved: 'Left out. There is nothing left to cook.' });
  });

  it('is told from the hour that is agreed', async () => {
    const events = [{ id: '1', at: NOW(), kind: 'hour', minutes: 20 }] as LiveEvent[];
    const carried = await carryOn(session(events), NOW(), 'Later', asBefore);
    expect(carried.tableAt).toBe(TABLE + 20 * 60_000);
  });
});

describe('an answer', () => {
  const carried = (of: Plan, moved: string): CarriedOn => ({ plan: of, tableAt: TABLE, moved, fits: true });
  const answer = async (...found: readonly CarriedOn[]) => {
    const asked: Thought[] = [];
    let thinks = 0;
    const said = await answered(
      session(),
      async (thought) => {
        asked.push(thought);
        return found[asked.length - 1]!;
      },
      () => thinks++,
    );
    return { said: said.moved, asked, thinks };
  };

  it('comes at once where all is well', async () => {
    const { said, asked, thinks } = await answer(carried(plan, 'first'));
    expect([said, thinks]).toEqual(['first', 0]);
    expect(asked).toEqual([AT_ONCE]);
  });

  it('is thought over where something comes late, by rounds, and the better one is told', async () => {
    const { said, asked, thinks } = await answer(carried(late(10), 'first'), carried(late(5), 'second'));
    expect([said, thinks]).toEqual(['second', 1]);
    expect(asked[1]).toMatchObject({ rounds: 12 });
    expect((await answer(carried(late(10), 'first'), carried(late(10), 'second'))).said).toBe('second');
    expect((await answer(carried(late(10), 'first'), carried(late(12), 'second'))).said).toBe('first');
    // It may be thought over by those who hear nothing of it.
    const found = [carried(late(10), 'first'), carried(plan, 'second')];
    expect((await answered(session(), async () => found.shift()!)).moved).toBe('second');
  });
});

describe('by the clock alone', () => {
  const done = (at: number) => [{ id: '1', at, kind: 'note', text: 'x' }] as LiveEvent[];
  const moved = async (events: readonly LiveEvent[], said: string, at = NOW()) =>
    (await carryOnByClock(session(events, said), at, asBefore)).moved;

  it('what an answer led to stays in front for a minute', async () => {
    const alone = await moved([], '');
    expect(alone).toMatch(/^The clock has moved on/);
    expect(await moved(done(NOW() - 60_000), 'Barley is done. Nothing moved.')).toBe(
      `Barley is done. Nothing moved. ${alone}`,
    );
    expect(await moved(done(NOW() - 60_001), 'Barley is done.')).toBe(alone);
    expect(await moved(done(NOW()), '')).toBe(alone);
    expect(await moved([], 'Barley is done.')).toBe(alone);
    // Once: what the clock moved before is not said again.
    expect(await moved(done(NOW()), `Barley is done. ${alone}`)).toBe(`Barley is done. ${alone}`);
    expect(await moved(done(NOW()), 'The clock has moved on: rice later.')).toBe(alone);
  });
});
