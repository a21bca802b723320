import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { mealOf, plainGrain } from '@/core/testing/meals';
import { askPlanner, plannerSeat } from './planner';

// There are no workers here, as in a browser that has none: the server is asked, and where that does not help the page plans by itself.

const request = { meal: mealOf([plainGrain()]), seconds: 0.5 };

describe('where there is no thread to plan on', () => {
  beforeEach(() => void vi.spyOn(console, 'warn').mockImplementation(() => {}));
  afterEach(() => void vi.restoreAllMocks());

  const answers = (body: unknown, status = 200) =>
    vi.spyOn(globalThis, 'fetch').mockResolvedValue(Response.json(body, { status }));

  it.each([
    ['an empty answer', {}],
    ['something else', { steps: 'none' }],
    ['nothing', null],
  ])('%s of the server is no plan: the page plans', async (_, body) => {
    answers(body);
    const result = await askPlanner(request);
    expect([result.ok, plannerSeat.now()]).toEqual([true, 'page']);
    expect(result.ok && result.plan.landings).toHaveLength(1);
  });

  it('a refusal of the server is an answer, and one without sentences is none', async () => {
    answers({ refusals: [{ where: 'dishes', sentence: 'Choose one.' }] }, 422);
    expect(await askPlanner(request)).toMatchObject({ ok: false, refusals: [{ sentence: 'Choose one.' }] });
    answers({}, 422);
    expect((await askPlanner(request)).ok).toBe(true);
  });

  it('a server that never answers is not waited for without end', async () => {
    let waited = 0;
    vi.spyOn(AbortSignal, 'timeout').mockImplementation((milliseconds) => {
      waited = milliseconds;
      return AbortSignal.abort();
    });
    vi.spyOn(globalThis, 'fetch').mockImplementation(
      (_, init) =>
        new Promise((_resolve, reject) => {
          if (init?.signal?.aborted) reject(init.signal.reason);
        }),
    );
    expect((await askPlanner(request)).ok).toBe(true);
    expect(waited).toBeGreaterThan(10_000);
    expect(waited).toBeLessThan(60_000);
  });
});
