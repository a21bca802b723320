import { describe, expect, it } from 'vitest';
import { answer, type DoJob, MOST_BYTES } from './answer';

const post = (body: string, query = '', more: RequestInit = {}) =>
  new Request(`http://localhost/api/solve${query}`, {
    method: 'POST',
    body,
    ...more,
    headers: { 'content-type': 'application/json', ...more.headers },
  });
const echo: DoJob = async (job) => ({ status: 200, body: job });

describe('an answer of the server', () => {
  it('does the job with the options of the address, or with the usual ones', async () => {
    const usual = await answer(post('x'), 'solve', echo);
    expect([usual.status, await usual.json()]).toEqual([200, { kind: 'solve', text: 'x', seconds: 5, seed: 1 }]);
    const asked = await answer(post('x', '?seconds=0.5&seed=9'), 'solve', echo);
    expect(await asked.json()).toEqual({ kind: 'solve', text: 'x', seconds: 0.5, seed: 9 });
    const near = await answer(post('x', '?notBefore=-90'), 'plan', echo);
    expect(await near.json()).toMatchObject({ kind: 'plan', notBefore: -90 });
  });

  it.each([
    ['?seconds=100', /seconds/],
    ['?seconds=soon', /seconds/],
    ['?seed=-1', /seed/],
    ['?sed=1', /sed|no such field/],
    ['?notBefore=1', /notBefore|no such field/],
  ])('refuses %s with a sentence', async (query, words) => {
    const refused = await answer(post('x', query), 'solve', echo);
    expect(refused.status).toBe(400);
    expect((await refused.json()).sentence).toMatch(words);
  });

  it.each([
    ['a page of another site', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a page of a neighbour on the same domain', { 'sec-fetch-site': 'same-site' }, 403],
    ['a page that tells its origin only', { origin: 'https://elsewhere.example' }, 403],
    ['a page without an origin', { origin: 'null' }, 403],
    ['plain text, which a form can send', { 'content-type': 'text/plain' }, 415],
    ['a page of our own', { 'sec-fetch-site': 'same-origin', origin: 'http://localhost' }, 200],
    ['a page of our own that tells its origin only', { origin: 'http://localhost' }, 200],
    ['JSON with its letters named', { 'content-type': 'application/json; charset=utf-8' }, 200],
  ])('answers %s as it should', async (_, headers, status) => {
    let ran = 0;
    const told = await answer(post('x', '', { headers: headers as Record<string, string> }), 'solve', async (job) => {
      ran++;
      return { status: 200, body: job };
    });
    expect([told.status, ran]).toEqual([status, status === 200 ? 1 : 0]);
  });

  it('refuses what is too large before any work', async () => {
    let ran = 0;
    const large = await answer(post('x'.repeat(MOST_BYTES + 1)), 'solve', async () => {
      ran++;
      return { status: 200, body: null };
    });
    expect([large.status, ran]).toEqual([413, 0]);
  });

  it('turns callers away when enough are waiting, says when to come again, and takes them afterwards', async () => {
    const gates: (() => void)[] = [];
    const slow: DoJob = async () => {
      await new Promise<void>((resolve) => gates.push(resolve));
      return { status: 200, body: 'slow' };
    };
    const waiting = Array.from({ length: 4 }, () => answer(post('x'), 'solve', slow));
    await new Promise((resolve) => setTimeout(resolve, 50));
    const turnedAway = await answer(post('x'), 'solve', slow);
    expect(turnedAway.status).toBe(429);
    expect(Number(turnedAway.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await turnedAway.json()).sentence).toMatch(/try again/);
    for (let k = 0; k < waiting.length; k++) {
      while (gates.length <= k) await new Promise((resolve) => setTimeout(resolve, 5));
      gates[k]!();
    }
    for (const each of waiting) expect((await each).status).toBe(200);
    expect((await answer(post('x'), 'solve', echo)).status).toBe(200);
  });

  it('tells the job when its caller goes away', async () => {
    const caller = new AbortController();
    const seen = await answer(post('x', '', { signal: caller.signal }), 'solve', async (_, signal) => {
      caller.abort();
      return { status: 200, body: signal.aborted };
    });
    expect(await seen.json()).toBe(true);
  });
});
