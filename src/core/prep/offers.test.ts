import { describe, expect, it } from 'vitest';
import { KEEPING, keepsOf } from '@/core/dish/keeping';
import { SHELF } from '@/core/dish/shelf';
import { asMadeAhead } from '@/core/meal/ahead';
import type { Plan } from '@/core/plan/plan';
import { mealOf, planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { keptTooLong, offersOf } from './offers';
import { takenOut } from './vessels-out';

const harvest = { ...SAMPLE_MEALS[0]!.setting, ...SAMPLE_MEALS[0]!, day: '2026-12-05' };
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
