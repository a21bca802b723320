import { describe, expect, it } from 'vitest';
import type { Parsed } from '@/core/formats/refuse';
import { answer, type JobTools, MOST_BYTES, optionsShape } from './answer';

const post = (body: string, query = '', signal?: AbortSignal) =>
  new Request(`http://localhost/api/solve${query}`, { method: 'POST', body, ...(signal ? { signal } : {}) });
const read = (text: string): Parsed<string> =>
  text === 'bad' ? { ok: false, sentence: 'steps: this is bad' } : { ok: true, value: text };
const echo = async (value: string, { options }: JobTools) => ({ status: 200, body: { value, ...options } });

describe('an answer of the server', () => {
  it('runs the job with the options of the address, or with the usual ones', async () => {
    const usual = await answer(post('x'), optionsShape, read, echo);
    expect([usual.status, await usual.json()]).toEqual([200, { value: 'x', seconds: 5, seed: 1 }]);
    const asked = await answer(post('x', '?seconds=0.5&seed=9'), optionsShape, read, echo);
    expect(await asked.json()).toEqual({ value: 'x', seconds: 0.5, seed: 9 });
  });

  it.each([
    ['?seconds=100', /seconds/],
    ['?seconds=soon', /seconds/],
    ['?seed=-1', /seed/],
    ['?sed=1', /sed|no such field/],
  ])('refuses %s with a sentence', async (query, words) => {
    const refused = await answer(post('x', query), optionsShape, read, echo);
    expect(refused.status).toBe(400);
    expect((await refused.json()).sentence).toMatch(words);
  });

  it('refuses what is not sound, and what is too large, before any work', async () => {
    let ran = 0;
    const job = async () => {
      ran++;
      return { status: 200, body: null };
    };
    const bad = await answer(post('bad'), optionsShape, read, job);
    expect([bad.status, await bad.json()]).toEqual([400, { sentence: 'steps: this is bad' }]);
    const large = await answer(post('x'.repeat(MOST_BYTES + 1)), optionsShape, read, job);
    expect(large.status).toBe(413);
    expect(ran).toBe(0);
  });

  it('turns callers away when enough are waiting, and takes them again afterwards', async () => {
    const gates: (() => void)[] = [];
    const slow = async () => {
      await new Promise<void>((resolve) => gates.push(resolve));
      return { status: 200, body: 'slow' };
    };
    const waiting = Array.from({ length: 4 }, () => answer(post('x'), optionsShape, read, slow));
    await new Promise((resolve) => setTimeout(resolve, 50));
    const turnedAway = await answer(post('x'), optionsShape, read, slow);
    expect(turnedAway.status).toBe(429);
    expect((await turnedAway.json()).sentence).toMatch(/try again/);
    for (let k = 0; k < waiting.length; k++) {
      while (gates.length <= k) await new Promise((resolve) => setTimeout(resolve, 5));
      gates[k]!();
    }
    for (const each of waiting) expect((await each).status).toBe(200);
    expect((await answer(post('x'), optionsShape, read, echo)).status).toBe(200);
  });

  it('tells the job when its caller goes away', async () => {
    const caller = new AbortController();
    const seen = answer(post('x', '', caller.signal), optionsShape, read, async (_, { signal, pause }) => {
      caller.abort();
      await pause();
      return { status: 200, body: signal.aborted };
    });
    expect(await (await seen).json()).toBe(true);
  });
});
