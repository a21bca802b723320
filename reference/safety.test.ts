import { describe, expect, it } from 'vitest';
import { ALLERGENS } from '@/core/dish/diet';
import { foodsIn } from '@/core/dish/foods';
import { SHELF } from '@/core/dish/shelf';
import { LIMITS } from '@/core/heat/safe-limits';
import { fahrenheitOf } from '@/core/units/measures';

/** Published in °F, as a cook in the United States reads them; all from memory. */
describe('limits of food safety', () => {
  it.each([
    ['poultry', 165, 'USDA FSIS safe minimum internal temperature chart'],
    ['minced', 160, 'USDA FSIS safe minimum internal temperature chart'],
    ['whole', 145, 'USDA FSIS safe minimum internal temperature chart'],
    ['fish', 145, 'USDA FSIS safe minimum internal temperature chart'],
    ['hotHolding', 140, 'USDA FSIS, danger zone (40 to 140 °F)'],
    ['egg', 160, 'USDA FSIS safe minimum internal temperature chart'],
    ['gameAndOffal', 160, 'USDA FSIS safe minimum internal temperature chart (rabbit, venison), and on variety meats'],
  ] as const)('%s: %i °F (%s)', (id, fahrenheit, _source) => {
    expect(Math.abs(fahrenheitOf(LIMITS[id].celsius) - fahrenheit)).toBeLessThan(1);
  });

  it('whole cuts rest three minutes (USDA FSIS)', () => {
    expect(LIMITS.whole.minutes).toBe(3);
  });

  it('two hours in the danger zone, one in the heat (USDA FSIS); two and four hours of cooling (FDA Food Code 3-501.14)', () => {
    expect([LIMITS.dangerZone.minutes, LIMITS.dangerZoneHot.minutes]).toEqual([120, 60]);
    expect([LIMITS.coolFirst.minutes, LIMITS.coolThen.minutes]).toEqual([120, 240]);
  });

  it('kidney beans boil hard for 30 minutes, ten at the very least (FDA Bad Bug Book), and those of the shelf do', () => {
    expect(LIMITS.kidneyBoil.minutes).toBe(30);
    expect(LIMITS.beanBoil.minutes).toBe(10);
    const kidney = SHELF.filter((dish) => foodsIn(dish).some(({ beans }) => beans === 'kidney'));
    expect(kidney.length).toBeGreaterThan(0);
    for (const { steps } of kidney) {
      const boils = steps.some(
        ({ place, safeMinutes = 0 }) =>
          (place.at === 'burner' && place.heat === 'full' && safeMinutes >= 30) ||
          (place.at === 'appliance' && place.appliance === 'pressure-cooker'),
      );
      expect(boils).toBe(true);
    }
  });
});

describe('allergens', () => {
  it('are the fourteen of EU 1169/2011 Annex II, among them the nine of US law (FALCPA, FASTER Act); from memory', () => {
    expect(ALLERGENS).toHaveLength(14);
    const nine = ['milk', 'eggs', 'fish', 'crustaceans', 'tree nuts', 'peanuts', 'gluten', 'soy', 'sesame'];
    expect([...ALLERGENS]).toEqual(expect.arrayContaining(nine));
  });
});
