import { describe, expect, it } from 'vitest';
import { BoundedQueue } from './queue';

describe('the queue', () => {
  it('runs so many at once, lets a few wait in order, and turns the rest away', async () => {
    const queue = new BoundedQueue(1, 2);
    const log: string[] = [];
    const gates = new Map<string, () => void>();
    const job = (name: string) =>
      queue.run(async () => {
        log.push(`${name} begins`);
        await new Promise<void>((resolve) => gates.set(name, resolve));
        return name;
      });
    const [a, b, c] = [job('a'), job('b'), job('c')];
    expect(await job('d')).toBeNull();
    expect(log).toEqual(['a begins']);
    gates.get('a')!();
    expect(await a).toBe('a');
    await Promise.resolve();
    gates.get('b')!();
    expect(await b).toBe('b');
    await Promise.resolve();
    gates.get('c')!();
    expect(await c).toBe('c');
    expect(log).toEqual(['a begins', 'b begins', 'c begins']);
  });

  it('gives up the place of whoever leaves while waiting', async () => {
    const queue = new BoundedQueue(1, 1);
    const gates: (() => void)[] = [];
    const slow = () => queue.run(() => new Promise<string>((resolve) => gates.push(() => resolve('slow'))));
    const first = slow();
    const caller = new AbortController();
    let ran = false;
    const leaver = queue.run(async () => {
      ran = true;
    }, caller.signal);
    expect(await queue.run(async () => 1)).toBeNull();
    caller.abort();
    expect(await leaver).toBeNull();
    const second = queue.run(async () => 2);
    gates[0]!();
    expect([await first, await second, ran]).toEqual(['slow', 2, false]);
  });

  it('gives the place on when a job fails', async () => {
    const queue = new BoundedQueue(1, 1);
    const failing = queue.run(() => Promise.reject(new Error('no')));
    const next = queue.run(async () => 7);
    await expect(failing).rejects.toThrow('no');
    expect(await next).toBe(7);
    expect(await queue.run(async () => 8)).toBe(8);
  });
});
