import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { item } from '@/core/dish/write';
import { minutesByKettle } from '@/core/heat/boil';
import { minutesToHeat } from '@/core/heat/roast';
import { LIMITS } from '@/core/heat/safe-limits';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { findingsOf } from './findings';

// Each limit from both sides: a minute or a degree before it, at it, and past it.

const idsOf = async (dishes: readonly Dish[], change: (plan: Plan) => Plan = (plan) => plan) => {
  const meal = mealOf(dishes, { kitchen: largeKitchen, hour: '20:00' });
  return findingsOf(meal, change(await planned(meal))).map(({ id, weight }) => `${id.split(' ')[0]} ${weight}`);
};

describe('raw meat that lies ready', () => {
  const greens = friedGreens(10);
  const raw: Dish = { ...greens, ingredients: greens.ingredients.map((each) => ({ ...each, name: 'chicken thighs' })) };
  const lying = (minutes: number) => (plan: Plan) => {
    const first = plan.steps.find(({ station }) => station.sort === 'board') ?? plan.steps[0]!;
    return { ...plan, waitings: [{ ...plan.waitings[0]!, after: first.key, from: -100, to: -100 + minutes }] };
  };

  it.each([
    [29, false],
    [30, false],
    [31, true],
  ])('for %d minutes', async (minutes, told) => {
    expect((await idsOf([raw], lying(minutes))).includes('raw-waits caution')).toBe(told);
  });
});

describe('food that stands between hot and cold', () => {
  const standing = (minutes: number, low: number, likely: number) => (plan: Plan) => ({
    ...plan,
    landings: plan.landings.map((landing) => ({
      ...landing,
      served: 'hot' as const,
      waits: minutes,
      celsius: { low, likely, high: likely + 10 },
    })),
  });
  const held = LIMITS.hotHolding.celsius;
  const most = LIMITS.dangerZone.minutes;

  it.each([
    [most, held - 1, held + 5, false],
    [most + 1, held - 1, held + 5, true],
    // The coolest guess decides, not the likely or the warmest.
    [most + 1, held, held + 5, false],
  ])('for %d minutes at %d °C at the least', async (minutes, low, likely, told) => {
    expect((await idsOf([plainGrain('grain')], standing(minutes, low, likely))).includes('danger hard')).toBe(told);
  });

  it.each([
    [held - 1, true],
    [held, false],
  ])('comes to the table at %d °C', async (likely, told) => {
    expect((await idsOf([plainGrain('grain')], standing(5, likely - 5, likely))).includes('cool caution')).toBe(told);
  });
});

describe('kidney beans', () => {
  const boiled = (shortest: number, longest: number): Dish => {
    const grain = plainGrain('beans');
    const [pot, ...others] = grain.steps.filter(({ place }) => place.at === 'burner');
    const steps = grain.steps.map((step) => {
      if (step.id === pot!.id)
        return {
          ...step,
          place: { at: 'burner', heat: 'full' } as const,
          minutes: { shortest, likely: longest, longest },
        };
      return others.includes(step) ? { ...step, place: { at: 'burner', heat: 'low' } as const } : step;
    });
    return {
      ...grain,
      steps,
      ingredients: [item(grain.ingredients[0]!.id, 300, 'g', 'dried red kidney beans'), ...grain.ingredients.slice(1)],
    };
  };
  const least = LIMITS.kidneyBoil.minutes;

  it.each([
    [least - 1, least + 20, true],
    [least, least + 20, false],
  ])('boil hard for %d minutes at the shortest', async (shortest, longest, told) => {
    expect((await idsOf([boiled(shortest, longest)])).includes('kidney hard')).toBe(told);
  });
});

describe('a kettle', () => {
  const question = {
    fromCelsius: 15,
    metres: 0,
    covered: true,
    widthCm: 24,
    watts: { low: 1800, likely: 2000, high: 2200 },
  };
  const minutes = (litres: number) =>
    minutesByKettle({ ...question, litres } as Parameters<typeof minutesByKettle>[0]).likely;

  it('is filled again for what it does not hold: twice as much takes twice as long, but for what is left to heat', () => {
    const one = minutes(1.7);
    expect(minutes(3.4)).toBeGreaterThan(one * 1.9);
    expect(minutes(3.4)).toBeLessThan(one * 2.3);
    expect(minutes(2.55)).toBeGreaterThan(one * 1.4);
    expect(minutes(2.55)).toBeLessThan(one * 1.65);
    for (let litres = 0.4; litres < 6; litres += 0.2) expect(minutes(litres + 0.2)).toBeGreaterThan(minutes(litres));
  });
});

describe('an oven that warms up', () => {
  it('takes the longer the hotter it must be, up to what it can', () => {
    expect(minutesToHeat(180, 12).likely).toBeCloseTo(12, 6);
    // ln(280/(300 - t)) / ln(280/120), by hand.
    expect(minutesToHeat(250, 12).likely).toBeCloseTo((12 * Math.log(280 / 50)) / Math.log(280 / 120), 6);
    expect(minutesToHeat(290, 12).likely).toBeCloseTo((12 * Math.log(280 / 10)) / Math.log(280 / 120), 6);
    expect(minutesToHeat(295, 12).likely).toBeCloseTo(minutesToHeat(300, 12).likely, 6);
    expect(minutesToHeat(20, 12).likely).toBe(0);
    expect(minutesToHeat(220, 12, 180).likely).toBeCloseTo(minutesToHeat(220, 12).likely - 12, 6);
  });
});
