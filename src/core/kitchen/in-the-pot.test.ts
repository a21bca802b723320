import { describe, expect, it } from 'vitest';
import { fitOf, plateFor } from './in-the-pot';

describe('a pot', () => {
  it.each([
    [3, 2.9, 'too small'],
    [3, 3, 'fits'],
    [3, 12, 'fits'],
    [3, 12.5, 'far too large'],
  ] as const)('for %f l that holds %f l: %s', (wanted, litres, fit) => {
    expect(fitOf(wanted, litres)).toBe(fit);
  });

  it('is turned out onto a dish wider than its rim (common practice, no source)', () => {
    expect(plateFor(22)).toBeGreaterThan(22);
  });
});
