import { describe, expect, it } from 'vitest';
import { Newest } from './newest';

function slowly() {
  const begun: number[] = [];
  const faults: unknown[] = [];
  let release: () => void = () => {};
  const newest = new Newest<number>(
    async (wish) => {
      begun.push(wish);
      await new Promise<void>((resolve) => {
        release = resolve;
      });
      if (wish < 0) throw new Error('no');
    },
    (error) => faults.push(error),
  );
  const end = async () => {
    release();
    await new Promise((resolve) => setTimeout(resolve, 0));
  };
  return { newest, begun, faults, end };
}

describe('the newest wish', () => {
  it('begins the first at once, passes over those in between and ends with the last', async () => {
    const { newest, begun, end } = slowly();
    for (const wish of [1, 2, 3, 4]) newest.want(wish);
    expect(begun).toEqual([1]);
    expect(newest.outdated).toBe(true);
    await end();
    expect(begun).toEqual([1, 4]);
    expect(newest.outdated).toBe(false);
    await end();
    newest.want(5);
    expect(begun).toEqual([1, 4, 5]);
  });

  it('forgets what waits', async () => {
    const { newest, begun, end } = slowly();
    newest.want(1);
    newest.want(2);
    newest.forget();
    await end();
    expect(begun).toEqual([1]);
  });

  it('hears of a fault and goes on', async () => {
    const { newest, begun, faults, end } = slowly();
    newest.want(-1);
    newest.want(2);
    await end();
    expect(faults).toHaveLength(1);
    expect(begun).toEqual([-1, 2]);
  });
});
