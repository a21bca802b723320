import { describe, expect, it } from 'vitest';
import { knifeMinutes } from './knife';

// The minutes at the board worked out once more: common practice, no source.

describe('minutes of the knife', () => {
  it.each([
    [2, 'piece', 2],
    [3, 'clove', 1.5],
    [3, 'stick', 1.5],
    [3, 'slice', 1.5],
    [2, 'bunch', 4],
    [5, 'leaf', 0.5],
    [5, 'sprig', 0.5],
    [5, 'pinch', 0.5],
    [250, 'g', 2],
    [2, 'kg', 16],
    [500, 'ml', 4],
    [0.5, 'l', 4],
  ] as const)('for %d %s, sliced', (quantity, unit, minutes) => {
    expect(knifeMinutes({ quantity, unit }, 'sliced')).toBeCloseTo(minutes, 9);
    expect(knifeMinutes({ quantity, unit }, undefined)).toBe(0);
  });

  it.each([
    ['halved', 0.4],
    ['in thick wedges', 0.6],
    ['Finely chopped', 1.5],
    ['grated', 1.4],
    ['zest and juice', 1.6],
    ['juice', 0.7],
    ['chopped', 1],
    // The first that fits counts, and a part of a word does not.
    ['halved, then finely sliced', 0.4],
    ['unpeeled', 1],
  ])('%s takes its share of slicing', (cut, share) => {
    expect(knifeMinutes({ quantity: 10, unit: 'piece' }, cut)).toBeCloseTo(10 * share, 9);
  });
});
