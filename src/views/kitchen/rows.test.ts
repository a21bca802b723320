import { describe, expect, it } from 'vitest';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { smallKitchen } from '@/core/testing/meals';
import { rowsOf } from './rows';

/** A kitchen that keeps what it is changed to. */
function kept(first: Kitchen) {
  let now = first;
  return {
    now: () => now,
    change: (by: (kitchen: Kitchen) => Kitchen) => {
      now = by(now);
    },
  };
}

describe('the rows of a kitchen', () => {
  it('are changed one at a time, the others as they were', () => {
    const kitchen = kept(smallKitchen);
    rowsOf('burners', kitchen.change).change('small', { widestCm: 24 });
    expect(kitchen.now().burners).toEqual([smallKitchen.burners[0], { ...smallKitchen.burners[1], widestCm: 24 }]);
    expect(kitchen.now().vessels).toBe(smallKitchen.vessels);
  });

  it('get ids of their own, also after one was taken out and when two come at once', () => {
    const kitchen = kept(smallKitchen);
    const burners = rowsOf('burners', kitchen.change);
    const row = { name: 'New', strength: 'weak', widestCm: 20, gentle: true } as const;
    burners.add(row);
    burners.add(row);
    burners.remove('big');
    burners.add(row);
    const ids = kitchen.now().burners.map(({ id }) => id);
    expect(ids).toHaveLength(4);
    expect(new Set(ids).size).toBe(4);
    expect(ids).not.toContain('big');
  });
});
