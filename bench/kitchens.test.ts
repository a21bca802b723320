import { describe, expect, it } from 'vitest';
import { checkProblem } from '@/core/formats/problem-file';
import { FAMILIES, generateEvening } from './kitchens';

describe('generated evenings', () => {
  it.each(FAMILIES.map((family) => [family.name, family] as const))(
    '%s: sound, and the same for the same seed',
    (_, family) => {
      for (const seed of [1, 2, 3]) {
        const problem = generateEvening(family, seed);
        expect(checkProblem(JSON.parse(JSON.stringify(problem)))).toMatchObject({ ok: true });
        expect(generateEvening(family, seed)).toEqual(problem);
      }
      expect(generateEvening(family, 1)).not.toEqual(generateEvening(family, 2));
    },
  );

  it('grow from a small supper to a banquet', () => {
    const sizes = FAMILIES.map((family) => generateEvening(family, 1).steps.length);
    expect(Math.min(...sizes)).toBeLessThan(20);
    expect(Math.max(...sizes)).toBeGreaterThan(180);
  });
});
