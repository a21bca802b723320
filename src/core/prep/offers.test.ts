import { describe, expect, it } from 'vitest';
import { KEEPING, keepsOf } from '@/core/dish/keeping';
import { SHELF } from '@/core/dish/shelf';
import { asMadeAhead } from '@/core/meal/ahead';
import type { Plan } from '@/core/plan/plan';
import { mealOf, planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { keptTooLong, type Offer, offersOf } from './offers';
import { takenOut } from './vessels-out';

/** By likely minutes alone: nothing here asks how sure the plan is. */
const harvest = { ...SAMPLE_MEALS[0]!.setting, ...SAMPLE_MEALS[0]!, day: '2026-12-05', sureness: 'short' } as const;
const offer = (id: string) => offersOf(harvest).find(({ dishId }) => dishId === id)!;

describe('what can be made ahead', () => {
  it('says what it spares on the day, what it keeps, what box it wants', () => {
    const cheeks = offer('cheeks');
    expect(cheeks).toMatchObject({ upTo: 'braise', cooked: true, heatedAgain: true });
    expect(cheeks.spares.hands).toBeGreaterThan(25);
    expect(cheeks.spares.oven).toBe(180);
    expect(cheeks.keeps).toBe(KEEPING.stew);
    expect(cheeks.litres).toBe(4);
    expect(keptTooLong(cheeks, { days: 3 })).toBeNull();
    expect(keptTooLong(cheeks, { days: 5 })).toMatch(/3 days in the fridge at the most; freeze it/);
    expect(keptTooLong(cheeks, { days: 5, frozen: true })).toBeNull();
  });

  it('really spares what it says: the same minutes of hands leave the day of the plan', async () => {
    const today = ({ hands }: Plan) =>
      hands.flatMap(({ busy }) => busy).reduce((sum, { start, end }) => sum + (start > -19 * 60 ? end - start : 0), 0);
    const made = asMadeAhead({ ...harvest, ahead: [{ dish: 'cheeks', upTo: 'braise', days: 1 }] });
    const [before, after] = [await planned(harvest, 2), await planned(made, 2)];
    expect(today(before) - today(after)).toBe(offer('cheeks').spares.hands);
    const stepsOfEve = after.steps.filter(({ start }) => start < -19 * 60 - 30);
    expect(stepsOfEve.map(({ key }) => key)).toContain('cheeks/braise');
    expect(stepsOfEve.map(({ key }) => key)).toContain('cheeks/braise-away');
    // Asleep from 23:00 to 7:00.
    for (const { key, start, end, station } of stepsOfEve.filter((step) => step.station.sort !== 'shelf')) {
      expect((start + 19.5 * 60 + 2880) % 1440, `${key} ${station.id}`).toBeGreaterThanOrEqual(7 * 60);
      expect((end + 19.5 * 60 + 2880) % 1440, key).toBeLessThanOrEqual(23 * 60);
    }
  });

  it('is a row for each beginning that may stand overnight: what it spares, how it keeps, what box it wants', () => {
    const row = ({ dishId, lastStep, whole, spares, mostDays, cooked, heatedAgain, litres }: Offer) =>
      [dishId, lastStep, whole, ...Object.values(spares), mostDays, cooked, heatedAgain, litres].join(' ');
    // Hands, burner and oven are those of the steps that leave the day, less a heating through where it is cooked.
    expect(offersOf(harvest).map(row)).toEqual([
      'mushroom-stock strain true 15 47 0 30 true true 3',
      'cheeks braise false 53 28 180 30 true true 4',
      'horseradish in the cold true 8 0 0 2 false false 0',
      'pickle stand true 9 0 0 2 false false 1',
    ]);
    const midwinter = SAMPLE_MEALS.find(({ setting }) => setting.id === 'midwinter')!;
    const list = offersOf({ ...midwinter.setting, ...midwinter, day: '2026-12-05' });
    // The whole cabbage first, then what is cut of it.
    expect(list.filter(({ dishId }) => dishId === 'cabbage').map(row)).toEqual([
      'cabbage braise true 28 86 0 30 true true 4',
      'cabbage shred false 17 0 0 2 false false 0',
    ]);
  });

  it('is spared on the day only what is not done on an earlier day in any case', () => {
    const boat = SAMPLE_MEALS.find(({ setting }) => setting.id === 'boat')!;
    const meal = { ...boat.setting, ...boat, day: '2026-12-05' };
    const [simmered] = offersOf(meal);
    // Soaked the evening before as it is: its hands are of that evening.
    expect(simmered).toMatchObject({ dishId: 'chickpeas', lastStep: 'simmer', whole: false, litres: 1.5 });
    expect(simmered!.spares).toEqual({ hands: 0, burner: 67, oven: 0 });
    // A box for twice as many is twice as large, in half litres.
    expect(offersOf({ ...meal, people: meal.people * 2 })[0]!.litres).toBe(3);
  });

  it('keeps so long in the fridge and no longer, and freezes or not', () => {
    const one = { ...offer('pickle'), keeps: KEEPING.unknown };
    expect(keptTooLong(one, { days: 1 })).toBeNull();
    expect(keptTooLong(one, { days: 2 })).toBe('What is not known: 1 day in the fridge at the most.');
    expect(keptTooLong(one, { days: 1, frozen: true })).toBe('What is not known: not for the freezer.');
    expect(keptTooLong(offer('pickle'), { days: 3 })).toBe('Cut vegetables: 2 days in the fridge at the most.');
    expect(keptTooLong(offer('cheeks'), { days: 4 })).toBe(
      'Soup, stew and cooked meat: 3 days in the fridge at the most; freeze it for longer.',
    );
  });

  it('keeps no longer than the least of what is in it', () => {
    for (const dish of SHELF) {
      const all = new Set(dish.steps.map(({ id }) => id));
      const keeps = keepsOf(dish, all);
      if (/\brice\b/i.test(dish.name)) expect(keeps.fridgeDays, dish.name).toBe(1);
      expect(keeps.fridgeDays, dish.name).toBeGreaterThanOrEqual(1);
      expect(keeps.fridgeDays, dish.name).toBeLessThanOrEqual(3);
    }
  });
});

describe('what is taken out', () => {
  it('is every vessel with its uses in order, what must be washed between, and what stands beside', async () => {
    const plan = await planned(harvest, 2);
    const { vessels, small, serving, toBorrow } = takenOut(harvest, plan);
    expect(vessels.find(({ id }) => id === 'casserole')!.uses[0]!.dish).toBe('Beef cheeks with damsons');
    for (const { id, atOnce, uses } of vessels) {
      expect(atOnce).toBeLessThanOrEqual(harvest.kitchen.vessels.find((vessel) => vessel.id === id)!.count);
      expect(uses.map(({ start }) => start)).toEqual(uses.map(({ start }) => start).sort((a, b) => a - b));
    }
    expect(small.find(({ name }) => name === 'sieve or colander')!.dishes).toContain('Mushroom and bay stock');
    expect(small.find(({ name }) => name === 'lid')!.dishes).toContain('Chestnut brown rice');
    expect(serving).toHaveLength(harvest.dishes.filter(({ lands }) => lands).length);
    expect(toBorrow).toBe(0);
  });

  it('counts what is missing as to be borrowed', async () => {
    const meal = { ...harvest, kitchen: { ...harvest.kitchen, vessels: harvest.kitchen.vessels.slice(1) } };
    const plan = await planned(harvest, 1);
    expect(takenOut({ ...meal, people: 30 }, plan).toBorrow).toBeGreaterThan(0);
    expect(takenOut(mealOf([]), { ...plan, steps: [] }).vessels).toEqual([]);
  });
});
