import { describe, expect, it } from 'vitest';
import { KEEPING } from '@/core/dish/keeping';
import { MILLIMETRES } from '@/core/paper/pdf';

/**
 * FoodSafety.gov, Cold Food Storage Chart: days in the fridge at 4 °C and months in the freezer, as ranges; from memory. Ours is the lower end,
 * or less.
 */
const CHART = {
  rawMinced: { days: [1, 2], months: [3, 4] },
  rawPoultry: { days: [1, 2], months: [9, 12] },
  rawFish: { days: [1, 3], months: [2, 8] },
  rawMeat: { days: [3, 5], months: [4, 12] },
  stew: { days: [3, 4], months: [2, 3] },
  eggs: { days: [3, 4], months: null },
} as const;

describe('how long things keep', () => {
  it.each(Object.entries(CHART))('%s: no longer than the chart’s lower end', (name, { days, months }) => {
    const keeps = KEEPING[name as keyof typeof CHART];
    expect(keeps.fridgeDays).toBeLessThanOrEqual(days[0]);
    expect(keeps.fridgeDays).toBeGreaterThan(0);
    if (months === null) expect(keeps.freezerMonths).toBeNull();
    else expect(keeps.freezerMonths).toBeLessThanOrEqual(months[0]);
  });

  // FSA, "Cooking safely in your business": rice is cooled within the hour and kept no longer than 24 hours; from memory.
  it('cooked grain: a day', () => {
    expect(KEEPING.grain.fridgeDays).toBe(1);
  });
});

describe('paper', () => {
  // ISO 216: A0 is a square metre with sides as 1 to √2, halved four times and rounded down to a millimetre.
  it('A4 follows from A0', () => {
    const [width, height] = MILLIMETRES.A4;
    const long = Math.sqrt(Math.SQRT2) * 1000;
    expect(height).toBe(Math.round(long / 4));
    expect(width).toBe(Math.floor(long / Math.SQRT2 / 4));
  });

  // ANSI/ASME Y14.1: letter is 8.5 by 11 inches of 25.4 mm.
  it('letter is eight and a half inches by eleven', () => {
    expect(MILLIMETRES.LETTER[0]).toBeCloseTo(8.5 * 25.4, 6);
    expect(MILLIMETRES.LETTER[1]).toBeCloseTo(11 * 25.4, 6);
  });
});
