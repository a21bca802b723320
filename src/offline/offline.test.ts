import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { HeldEvening } from '@/core/live/evening';
import { Pantry } from '@/store/db';
import { PANTRY } from '@/store/name';
import { buildInUse, type Caches, pagesOf, settle, takeOver } from './builds';
import { eveningRuns, isAnyRunning } from './evening-runs';
import { ANY_ID, addressOf, filled, pageOf } from './pages';

const ROUTES = ['/', '/dishes', '/dishes/[id]', '/dishes/new', '/meals/[id]', '/meals/[id]/prep/ahead'];

describe('the kept page for an address', () => {
  it.each([
    ['/', { route: '/', id: null }],
    ['/dishes', { route: '/dishes', id: null }],
    ['/dishes/', { route: '/dishes', id: null }],
    ['/dishes/rice', { route: '/dishes/[id]', id: 'rice' }],
    ['/dishes/new', { route: '/dishes/new', id: null }],
    ['/meals/caf%C3%A9', { route: '/meals/[id]', id: 'caf%C3%A9' }],
    ['/meals/boat/prep/ahead', { route: '/meals/[id]/prep/ahead', id: 'boat' }],
  ])('of %s', (path, page) => expect(pageOf(path, ROUTES)).toEqual(page));

  it.each(['/meals', '/meals/boat/prep', '/meals/boat/prep/ahead/more', '/other', '/meals//prep/ahead'])(
    'of %s is none',
    (path) => expect(pageOf(path, ROUTES)).toBeNull(),
  );

  it('is fetched from an address of its own, which leads to it', () => {
    for (const route of ROUTES) expect(pageOf(addressOf(route), ROUTES)?.route).toBe(route);
  });
});

describe('a kept page, told whose it is', () => {
  const inAddress = encodeURIComponent(ANY_ID);
  const flight = `0:{"tree":["id","${inAddress}","d"]}\n1:["$","$L2",null,{"id":"${ANY_ID}"}]`;

  it('says it as an address and as it is', () => {
    expect(filled(flight, 'flight', 'caf%C3%A9')).toBe(
      '0:{"tree":["id","caf%C3%A9","d"]}\n1:["$","$L2",null,{"id":"café"}]',
    );
    expect(filled(flight, 'flight', null)).toBe(flight);
  });

  it('holds every id as data, in a page and in its flight, and lets none end a script', () => {
    const page = `self.__next_f.push([1,${JSON.stringify(flight)}])`;
    const id = fc.oneof(
      fc.string({ unit: 'grapheme', minLength: 1 }),
      fc.constantFrom('</script>', '"', "'", '\\', '$&', '\u2028'),
    );
    fc.assert(
      fc.property(id, (name) => {
        const address = encodeURIComponent(name);
        const read = (text: string) =>
          text.split('\n').map((line) => JSON.parse(line.slice(2))) as [
            { tree: string[] },
            [string, string, null, object],
          ];
        const expected = (text: string) => {
          const [{ tree }, [, , , props]] = read(text);
          expect([tree[1], props]).toEqual([address, { id: name }]);
        };
        expected(filled(flight, 'flight', address));
        const whole = filled(page, 'page', address);
        expect(whole).not.toMatch(/[<>]/);
        expected(JSON.parse(whole.slice('self.__next_f.push('.length, -1))[1]);
      }),
    );
  });

  it('takes an id that is no address as it stands', () => {
    expect(filled(ANY_ID, 'flight', '50%')).toBe('50%');
  });
});

describe('the build that is shown', () => {
  /** Caches in memory, in which the pages of these builds are kept. */
  const withBuilds = (...builds: readonly string[]) => {
    const all = new Map<string, Map<string, string>>([
      ...builds.map((build) => [pagesOf(build), new Map()] as const),
      ['of another app', new Map()],
    ]);
    const caches: Caches = {
      keys: async () => [...all.keys()],
      delete: async (name) => all.delete(name),
      open: async (name) => {
        const cache = all.get(name) ?? new Map<string, string>();
        all.set(name, cache);
        return {
          match: async (key) => (cache.has(String(key)) ? new Response(cache.get(String(key))) : undefined),
          put: async (key, answer) => void cache.set(String(key), await answer.text()),
        };
      },
    };
    return {
      caches,
      kept: () => [...all.keys()].filter((name) => name.endsWith('-pages') || !name.startsWith('warm')),
    };
  };
  const always = async () => true;
  const never = async () => false;

  it('is none before the first, which is shown at once, evening or not', async () => {
    const { caches } = withBuilds('one');
    expect(await buildInUse(caches)).toBeNull();
    expect(await takeOver(caches, 'one', false, always)).toBe('shown');
    expect(await buildInUse(caches)).toBe('one');
  });

  it('is the newer one, and only that is kept, when nothing is being cooked', async () => {
    const { caches, kept } = withBuilds('one', 'two');
    await settle(caches, 'one');
    expect(kept()).toEqual([pagesOf('one'), 'of another app']);
    await caches.open(pagesOf('two'));
    expect(await takeOver(caches, 'two', false, never)).toBe('shown');
    expect(kept()).toEqual(['of another app', pagesOf('two')]);
  });

  it('stays in mid-meal, until the cook asks for the newer one', async () => {
    const { caches, kept } = withBuilds('one');
    await settle(caches, 'one');
    await caches.open(pagesOf('two'));
    expect(await takeOver(caches, 'two', false, always)).toBe('held');
    expect(await buildInUse(caches)).toBe('one');
    expect(kept()).toContain(pagesOf('two'));
    expect(await takeOver(caches, 'two', true, always)).toBe('shown');
    expect(await buildInUse(caches)).toBe('two');
  });

  it('is none where the browser has thrown its pages away: then the newer one is shown even in mid-meal', async () => {
    const { caches } = withBuilds('one');
    await settle(caches, 'one');
    await caches.delete(pagesOf('one'));
    await caches.open(pagesOf('two'));
    expect(await buildInUse(caches)).toBeNull();
    expect(await takeOver(caches, 'two', false, always)).toBe('shown');
  });
});

describe('an evening under way', () => {
  const TABLE = Date.UTC(2026, 10, 28, 18);
  const HOUR = 3_600_000;

  it('is one that is not over, until half a day after its table', () => {
    const evening = { over: false, tableAt: TABLE };
    expect(isAnyRunning([evening], TABLE - 8 * HOUR)).toBe(true);
    expect(isAnyRunning([evening], TABLE + 12 * HOUR - 1)).toBe(true);
    expect(isAnyRunning([evening], TABLE + 12 * HOUR)).toBe(false);
    expect(isAnyRunning([{ ...evening, over: true }], TABLE - HOUR)).toBe(false);
    expect(isAnyRunning([{ ...evening, over: true }, evening], TABLE)).toBe(true);
    expect(isAnyRunning([], TABLE)).toBe(false);
  });

  it('is read from the store as it is, and no store is made to read it', async () => {
    expect(await eveningRuns(TABLE)).toBe(false);
    expect((await indexedDB.databases()).map(({ name }) => name)).not.toContain(PANTRY);
    const db = new Pantry();
    await db.open();
    expect(await eveningRuns(TABLE)).toBe(false);
    const evening = { id: 'e', mealId: 'boat', over: false, tableAt: TABLE } as HeldEvening;
    await db.sessions.put(evening);
    expect(await eveningRuns(TABLE)).toBe(true);
    await db.sessions.put({ ...evening, over: true });
    expect(await eveningRuns(TABLE)).toBe(false);
    await db.delete();
  });
});
