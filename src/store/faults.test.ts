import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { Pantry } from './db';
import { storeFault } from './faults';

describe('a fault of the store', () => {
  it('is told in words, also where it lies within another', () => {
    const full = new DOMException('full', 'QuotaExceededError');
    expect(storeFault(full)).toMatch(/not kept.*no more room/);
    expect(storeFault(new Dexie.AbortError('aborted', full))).toMatch(/no more room/);
    expect(storeFault(new Dexie.AbortError('aborted'))).toMatch(/not kept.*Try again/);
    expect(storeFault(new Dexie.MissingAPIError('none'))).toMatch(/lets no site keep anything/);
    expect(storeFault(new Dexie.DatabaseClosedError('closed'))).toMatch(/could not be opened/);
    expect(storeFault(new TypeError('x is not a function'))).toBeNull();
    expect(storeFault(undefined)).toBeNull();
  });

  it('is a store that a newer version wrote: it is left as it is', async () => {
    const name = `newer ${Math.random()}`;
    const newer = new Dexie(name);
    newer.version(99).stores({ meals: 'id', wonders: 'id' });
    await newer.open();
    await newer.table('wonders').put({ id: 'w' });
    newer.close();
    const error = await new Pantry(name).open().catch((reason: unknown) => reason);
    expect(storeFault(error)).toMatch(/newer Warm Cadence/);
    const again = await new Dexie(name).open();
    expect(again.verno).toBe(99);
    expect(await again.table('wonders').toArray()).toEqual([{ id: 'w' }]);
    again.close();
  });
});
