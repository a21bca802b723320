import { beforeAll, describe, expect, it } from 'vitest';
import { KEPT_WARM } from '@/core/dish/keep-warm';
import { unitId } from '@/core/meal/keys';
import type { Plan } from '@/core/plan/plan';
import { friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { agreedTableAt, changesSoFar, mealAsItIs } from './as-it-is';
import { atHour, firstTableAt } from './at-hour';
import type { LiveEvent, NewEvent } from './events';
import type { Session } from './session';

const MINUTE = 60_000;
const TABLE = Date.UTC(2026, 10, 28, 18);
const meal = mealOf([plainGrain(), friedGreens(10)]);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});

const session = (...said: NewEvent[]): Session => ({
  id: 's',
  meal,
  tableAt: TABLE,
  plan,
  events: said.map((each, index) => ({ ...each, id: `${index}`, at: TABLE - 200 * MINUTE + index }) as LiveEvent),
  moved: '',
});
const at = (minute: number) => TABLE + minute * MINUTE;
const kindsOf = (of: Session) => changesSoFar(of, at(-180)).map(({ kind }) => kind);

describe('the hour that is agreed', () => {
  it('is the first one and all that it was moved by since, also back', () => {
    expect(agreedTableAt(session())).toBe(TABLE);
    const moved = session({ kind: 'hour', minutes: 20 }, { kind: 'hour', minutes: -5 });
    expect(agreedTableAt(moved)).toBe(at(15));
    expect(agreedTableAt({ ...moved, firstTable: at(-30) })).toBe(at(-15));
    expect([firstTableAt(moved), firstTableAt({ ...moved, firstTable: at(-30) })]).toEqual([TABLE, at(-30)]);
    expect(mealAsItIs(moved, at(-180))).toMatchObject({ day: '2026-11-28', hour: '19:15' });
  });
});

describe('the meal as it is', () => {
  it('is the same where nothing was told that changes it', () => {
    expect(kindsOf(session())).toEqual([]);
    expect(mealAsItIs(session({ kind: 'note', text: 'Hello' }), at(-180))).toEqual(meal);
  });

  it('has no dish that was left out, no burner that failed, and as many eaters as came', () => {
    expect(kindsOf(session({ kind: 'dropped', dish: 'greens' }))).toEqual(['without']);
    expect(mealAsItIs(session({ kind: 'dropped', dish: 'greens' }), at(-180)).dishes.map(({ id }) => id)).toEqual([
      'grain',
    ]);
    const broken = mealAsItIs(session({ kind: 'failed', unit: unitId('burner', 'big') }), at(-180)).kitchen;
    expect(broken.burners.map(({ id }) => id)).toEqual(['small']);
    expect(broken.ovens).toEqual(meal.kitchen.ovens);
    // An appliance of the same name is another thing.
    const other = mealAsItIs(session({ kind: 'failed', unit: unitId('appliance', 'big') }), at(-180)).kitchen;
    expect(other.burners).toHaveLength(2);
  });

  it('serves after the rest what was put off, the last word counting', () => {
    const after = mealAsItIs(
      session({ kind: 'after', dish: 'greens', minutes: 15 }, { kind: 'after', dish: 'greens', minutes: 10 }),
      at(-180),
    );
    expect(after.dishes.map(({ lands }) => lands?.after)).toEqual([undefined, 10]);
  });
});

describe('a dish that was put right', () => {
  it('has one step more, and no other dish has it', () => {
    const step = { name: 'thicken', says: 'Boil it down.', minutes: 6, heat: 'full', hands: true } as const;
    const of = session({ kind: 'rescued', dish: 'greens', says: 'Too thin', step });
    const [grain, greens] = mealAsItIs(of, at(-180)).dishes;
    expect(grain).toEqual(meal.dishes[0]);
    expect(greens!.steps.at(-1)).toMatchObject({ name: 'thicken', minutes: { likely: 6 } });
    expect(greens!.lands!.step).toBe(greens!.steps.at(-1)!.id);
    expect(kindsOf(session({ kind: 'rescued', dish: 'greens', says: 'Too thin' }))).toEqual([]);
  });
});

describe('a dish that is kept warm', () => {
  // The fried greens are there at `ready`, and wait well for ten minutes.
  const kept = (ready: number, where: 'oven' | 'flame' = 'flame', ...before: readonly NewEvent[]) => {
    const fry = plan.steps.find(({ key }) => key === 'greens/fry')!;
    const steps = plan.steps.map((step) => (step === fry ? { ...step, start: ready - fry.minutes, end: ready } : step));
    const of = { ...session(...before, { kind: 'keep-warm', dish: 'greens', where }), plan: { ...plan, steps } };
    const greens = mealAsItIs(of, at(-180)).dishes.find(({ id }) => id === 'greens')!;
    return greens.steps.find(({ id }) => id === KEPT_WARM)?.minutes.likely ?? null;
  };

  it.each([
    // Until eight minutes before the table; less than four is not worth a flame, and what waits well needs none of it.
    [-11, null],
    [-12, 4],
    [-16, 4],
    [-20, 4],
    [-21, 5],
    [-40, 24],
  ])('ready %d min from the table it is warmed for %s', (ready, minutes) => {
    expect(kept(ready)).toBe(minutes);
    expect(kept(ready, 'oven')).toBe(minutes);
  });

  it('is so for longer where it comes after the rest, or the table is later', () => {
    expect(kept(-16, 'flame', { kind: 'after', dish: 'greens', minutes: 15 })).toBe(15);
    expect(kept(-16, 'flame', { kind: 'hour', minutes: 15 })).toBe(15);
    expect(kept(-16, 'flame', { kind: 'after', dish: 'grain', minutes: 15 })).toBe(4);
  });
});

describe('a plan told from another hour', () => {
  it('is the same by the clock, minute for minute', () => {
    const by = 25;
    const later = atHour(session(), at(by));
    expect(later.tableAt).toBe(at(by));
    expect(later.firstTable).toBe(TABLE);
    expect(later.plan).toMatchObject({ hour: '19:25', day: '2026-11-28', firstHand: plan.firstHand - by });
    for (const [index, step] of later.plan.steps.entries()) {
      const was = plan.steps[index]!;
      for (const field of ['start', 'end', 'shortestEnd', 'longestEnd'] as const)
        expect(step[field], `${step.key} ${field}`).toBe(was[field] - by);
    }
    for (const [index, waiting] of later.plan.waitings.entries()) {
      expect(waiting.from).toBe(plan.waitings[index]!.from - by);
      expect(waiting.to).toBe(plan.waitings[index]!.to - by);
    }
    for (const [index, landing] of later.plan.landings.entries())
      expect(landing.ready).toBe(plan.landings[index]!.ready - by);
    for (const [index, band] of later.plan.hands.entries())
      for (const [k, busy] of band.busy.entries())
        expect([busy.start, busy.end]).toEqual([
          plan.hands[index]!.busy[k]!.start - by,
          plan.hands[index]!.busy[k]!.end - by,
        ]);
    for (const [key, place] of Object.entries(later.plan.known.places)) {
      const was = plan.known.places[key]!;
      expect([place.start, place.end]).toEqual([was.start - by, was.end - by]);
    }
    const [key, place] = Object.entries(plan.known.places)[0]!;
    const known = { ...plan.known, places: { [key]: { ...place, wanted: place.start - 3 } } };
    const wanting = atHour({ ...session(), plan: { ...plan, known } }, at(by));
    expect(wanting.plan.known.places[key]).toMatchObject({ start: place.start - by, wanted: place.start - 3 - by });
    expect('wanted' in later.plan.known.places[key]!).toBe('wanted' in place);
    expect(plan.hands.some(({ busy }) => busy.length > 0)).toBe(true);
    const same = session();
    expect(atHour(same, TABLE)).toBe(same);
    expect(atHour(later, at(by + 5)).firstTable).toBe(TABLE);
  });
});
