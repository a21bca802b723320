import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

const meal = readFileSync(new URL('../examples/boat.json', import.meta.url), 'utf8');
const problem = {
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 60,
  serve: 50,
  units: [{ id: 'hob' }],
  pools: [],
  states: [],
  steps: ['a', 'b'].map((id) => ({ id, minutes: 20, units: [[{ id: 'hob', cost: 0 }]] })),
  holds: [],
  links: [],
  ready: ['a', 'b'].map((step) => ({ step, by: 50, hold: 0, early: 1, late: 9 })),
};
const json = { 'content-type': 'application/json' };

test('a problem is solved on the server', async ({ request }) => {
  const answer = await request.post('/api/solve?seconds=2&seed=3', { data: problem });
  expect(answer.status()).toBe(200);
  expect(await answer.json()).toMatchObject({
    format: 'warm-cadence/solution',
    status: 'optimal',
    cost: 20,
    bound: 20,
  });
  const tight = await request.post('/api/solve', { data: { ...problem, horizon: 39 } });
  expect(await tight.json()).toMatchObject({ status: 'infeasible', conflict: { steps: ['a', 'b'], units: ['hob'] } });
});

test('a meal is planned on the server', async ({ request }) => {
  const answer = await request.post('/api/plan?seconds=2', { data: meal, headers: json });
  expect(answer.status()).toBe(200);
  const plan = await answer.json();
  expect(plan.landings.length).toBeGreaterThan(2);
  const many = JSON.parse(meal);
  many.meal.people = 60;
  const refused = await request.post('/api/plan', { data: many });
  expect(refused.status()).toBe(422);
  expect((await refused.json()).refusals[0].sentence).toMatch(/for 60 needs a/);
});

test('what is not sound is refused with a sentence', async ({ request }) => {
  const broken = await request.post('/api/solve', { data: Buffer.from('{"format":'), headers: json });
  expect(broken.status()).toBe(400);
  expect((await broken.json()).sentence).toMatch(/JSON/);
  const ghost = await request.post('/api/solve', {
    data: { ...problem, ready: [{ step: 'ghost', by: 1, hold: 0, early: 0, late: 0 }] },
  });
  expect((await ghost.json()).sentence).toMatch(/ghost/);
  const slow = await request.post('/api/solve?seconds=900', { data: problem });
  expect(slow.status()).toBe(400);
  expect((await slow.json()).sentence).toMatch(/seconds/);
  const when = await request.post('/api/plan?notBefore=soon', { data: meal, headers: json });
  expect((await when.json()).sentence).toMatch(/notBefore/);
  const large = await request.post('/api/solve', { data: 'x'.repeat(1_200_000), headers: json });
  expect(large.status()).toBe(413);
});

const short = (id: string) => ({ id, minutes: 5, units: [[{ id: 'hob', cost: 0 }]] });
const chainOf = (ids: readonly string[]) => ({
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 100_000,
  serve: 100_000,
  units: [{ id: 'hob' }],
  pools: [],
  states: [],
  steps: ids.map(short),
  holds: [],
  links: ids.slice(1).map((to, index) => ({ from: ids[index], at: 'end', to, of: 'start', min: 0 })),
  ready: [{ step: ids.at(-1), by: 100_000, hold: 0, early: 1, late: 9 }],
});

test('pages carry the headers that keep others out, and the server answers its own pages only', async ({ request }) => {
  const headers = (await request.get('/')).headers();
  const policy = headers['content-security-policy'] ?? '';
  expect(policy).toContain("frame-ancestors 'none'");
  // Scripts come as files or bear the word of this page, which the next page does not have.
  const scripts = policy.match(/script-src ([^;]*)/)?.[1] ?? '';
  expect(scripts).toMatch(/^'self' 'nonce-[\w+/=]{20,}'$/);
  expect((await request.get('/bench')).headers()['content-security-policy']).not.toContain(scripts);
  const api = (await request.get('/api/solve')).headers()['content-security-policy'];
  expect(api).toContain("script-src 'self';");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['referrer-policy']).toBe('no-referrer');
  const data = chainOf(['a']);
  const foreign = await request.post('/api/solve', { data, headers: { origin: 'https://elsewhere.example' } });
  expect(foreign.status()).toBe(403);
  const form = await request.post('/api/solve', {
    data: JSON.stringify(data),
    headers: { 'content-type': 'text/plain' },
  });
  expect(form.status()).toBe(415);
});

test('while the heaviest problems are thrown at it the server serves pages, turns the rest away, and is well after', async ({
  request,
}) => {
  test.setTimeout(600_000);
  const proto = JSON.stringify(chainOf(['a'])).replaceAll('"a"', '"__proto__"');
  const refused = await request.post('/api/solve', { data: proto, headers: { 'content-type': 'application/json' } });
  expect(refused.status()).toBe(400);
  const chain = chainOf(Array.from({ length: 1000 }, (_, index) => `s${index}`));
  const answers: number[] = [];
  const heavy = Array.from({ length: 6 }, async () => {
    const answer = await request.post('/api/solve?seconds=1', { data: chain, timeout: 200_000 });
    answers.push(answer.status());
  });
  // Some of the six find no room and are told so at once; a page comes before the others have their answers.
  await expect.poll(() => answers.length).toBeGreaterThan(0);
  expect((await request.get('/bench')).status()).toBe(200);
  expect(answers.length).toBeLessThan(6);
  await Promise.all(heavy);
  expect(answers).toContain(429);
  // Where the machine is busy some are ended by force, ten seconds after their time.
  for (const status of answers) expect([200, 429, 503]).toContain(status);
  expect((await request.post('/api/solve', { data: chainOf(['a']) })).status()).toBe(200);
});
