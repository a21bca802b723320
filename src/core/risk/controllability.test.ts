import { describe, expect, it } from 'vitest';
import { seededRandom } from '@/core/schedule/random';
import { type Bound, controllability, type Duration, type UncertainNetwork } from './controllability';

/** `to` comes `least` to `most` minutes after `from`. */
const between = (from: number, to: number, least: number, most: number): Bound[] => [
  { from, to, most },
  { from: to, to: from, most: -least },
];

describe('whether a network can be kept whatever happens', () => {
  it('bears what it can wait for', () => {
    // 0: the pot goes on, 1: it is done after 10 to 20 minutes, 2: the next thing, 0 to 5 minutes after that.
    const durations = [{ from: 0, to: 1, shortest: 10, longest: 20 }];
    expect(controllability({ moments: 3, bounds: between(1, 2, 0, 5), durations })).toEqual({ ok: true });
  });

  it('does not bear what must be known before it is seen', () => {
    // What must begin 3 minutes before the pot is done cannot be begun in time, unless the pot is sure to within its leeway.
    const pot = (shortest: number) => [{ from: 0, to: 1, shortest, longest: 20 }];
    const ahead = (least: number, most: number) => between(2, 1, least, most);
    expect(controllability({ moments: 3, bounds: ahead(3, 8), durations: pot(10) })).toMatchObject({
      ok: false,
      durations: [0],
    });
    expect(controllability({ moments: 3, bounds: ahead(3, 13), durations: pot(10) })).toEqual({ ok: true });
    expect(controllability({ moments: 3, bounds: ahead(3, 8), durations: pot(15) })).toEqual({ ok: true });
  });

  it('names the durations and the bounds that collide, and no others', () => {
    const network: UncertainNetwork = {
      moments: 6,
      durations: [
        { from: 0, to: 1, shortest: 5, longest: 30 },
        { from: 0, to: 2, shortest: 5, longest: 8 },
        { from: 0, to: 4, shortest: 1, longest: 50 },
      ],
      bounds: [...between(0, 3, 0, 25), { from: 3, to: 1, most: 0 }, { from: 4, to: 5, most: 3 }],
    };
    expect(controllability(network)).toEqual({ ok: false, durations: [0], bounds: [0, 2] });
  });

  it('sees what no order of certain moments can keep', () => {
    const bounds = [
      { from: 0, to: 1, most: -5 },
      { from: 1, to: 0, most: 3 },
    ];
    expect(controllability({ moments: 2, bounds, durations: [] })).toEqual({
      ok: false,
      durations: [],
      bounds: [0, 1],
    });
  });

  it('lets a wait be enough: what comes first is waited for only as long as it must be', () => {
    const durations = [{ from: 0, to: 1, shortest: 1, longest: 10 }];
    const bounds = (most: number) => [...between(2, 1, -most, 2), ...between(0, 2, 0, 20)];
    expect(controllability({ moments: 3, bounds: bounds(4), durations })).toEqual({ ok: true });
    expect(controllability({ moments: 3, bounds: bounds(-1), durations })).toMatchObject({ ok: false });
  });

  it('says what trying everything says, on tiny networks', () => {
    const random = seededRandom(7);
    const count = { yes: 0, no: 0 };
    for (let round = 0; round < 1500; round++) {
      const network = tinyNetwork(random);
      const truth = canBeKept(network);
      expect(controllability(network).ok, JSON.stringify(network)).toBe(truth);
      if (truth) count.yes++;
      else count.no++;
    }
    expect(Math.min(count.yes, count.no)).toBeGreaterThan(200);
  });

  it('keeps what it says collides from being kept, whatever else is let go', () => {
    const random = seededRandom(11);
    let seen = 0;
    for (let round = 0; round < 400; round++) {
      const network = tinyNetwork(random);
      const found = controllability(network);
      if (found.ok) continue;
      seen++;
      const part: UncertainNetwork = {
        moments: network.moments,
        bounds: network.bounds.filter((_, index) => found.bounds.includes(index)),
        durations: network.durations.filter((_, index) => found.durations.includes(index)),
      };
      expect(controllability(part).ok, JSON.stringify(network)).toBe(false);
    }
    expect(seen).toBeGreaterThan(50);
  });
});

const HORIZON = 7;

/** Moment 0 is the beginning; all others lie within a few minutes of it. */
function tinyNetwork({ below }: { below(n: number): number }): UncertainNetwork {
  const moments = 4 + below(2);
  const durations: Duration[] = [];
  const ends = new Set<number>();
  for (let wanted = 1 + below(2); wanted > 0; wanted--) {
    const to = moments - wanted;
    const from = below(moments - 2);
    const shortest = 1 + below(2);
    durations.push({ from, to, shortest, longest: shortest + 1 + below(2) });
    ends.add(to);
  }
  const bounds = Array.from({ length: moments - 1 }, (_, index) => between(0, index + 1, 0, HORIZON)).flat();
  for (let wanted = 2 + below(4); wanted > 0; wanted--) {
    const [from, to] = [below(moments), below(moments)];
    if (from !== to) bounds.push({ from, to, most: below(6) - 2 });
  }
  return { moments, bounds, durations };
}

/** A game minute by minute: nature says which durations end, then the cook which moments are now. */
function canBeKept({ moments, bounds, durations }: UncertainNetwork): boolean {
  const isNatures = new Set(durations.map(({ to }) => to));
  const known = new Map<string, boolean>();
  const holds = (at: readonly number[], minute: number) =>
    bounds.every(({ from, to, most }) => {
      const [a, b] = [at[from]!, at[to]!];
      if (a >= 0 && b >= 0) return b - a <= most;
      // What has not come yet comes later.
      return a < 0 || minute + 1 - a <= most;
    });
  const wins = (minute: number, at: readonly number[]): boolean => {
    if (at.every((when) => when >= 0)) return true;
    if (minute > HORIZON + 1) return false;
    const key = `${minute} ${at.join(' ')}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const running = durations.filter(({ from, to }) => at[from]! >= 0 && at[to]! < 0);
    const must = running.filter(({ from, longest }) => minute - at[from]! === longest);
    const may = running.filter(({ from, shortest, longest }) => {
      const minutes = minute - at[from]!;
      return minutes >= shortest && minutes < longest;
    });
    const answer = subsetsOf(may).every((ended) => {
      const seen = at.map((when, moment) => ([...must, ...ended].some(({ to }) => to === moment) ? minute : when));
      const free = seen.flatMap((when, moment) => (when < 0 && !isNatures.has(moment) ? [moment] : []));
      return subsetsOf(free).some((now) => {
        const after = seen.map((when, moment) => (now.includes(moment) ? minute : when));
        return holds(after, minute) && wins(minute + 1, after);
      });
    });
    known.set(key, answer);
    return answer;
  };
  return subsetsOf(
    Array.from({ length: moments - 1 }, (_, index) => index + 1).filter((moment) => !isNatures.has(moment)),
  ).some((now) => {
    const at = Array.from({ length: moments }, (_, moment) => (moment === 0 || now.includes(moment) ? 0 : -1));
    return holds(at, 0) && wins(1, at);
  });
}

function subsetsOf<T>(list: readonly T[]): readonly (readonly T[])[] {
  return Array.from({ length: 2 ** list.length }, (_, bits) => list.filter((_, index) => bits & (1 << index)));
}
