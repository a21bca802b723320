import { describe, expect, it } from 'vitest';
import { doJob, type Job } from './job';

const job = (kind: Job['kind'], body: unknown): Job => ({
  kind,
  text: typeof body === 'string' ? body : JSON.stringify(body),
  seconds: 1,
  seed: 1,
});
const step = (id: string) => ({ id, minutes: 20, units: [[{ id: 'hob', cost: 0 }]] });
const problem = (ids: readonly string[], horizon = 60) => ({
  format: 'warm-cadence/problem',
  version: 1,
  horizon,
  serve: 50,
  units: [{ id: 'hob' }],
  pools: [],
  states: [],
  steps: ids.map(step),
  holds: [],
  links: [],
  ready: ids.map((id) => ({ step: id, by: 50, hold: 0, early: 1, late: 9 })),
});

describe('a job of the server', () => {
  it('is done, or refused in words', async () => {
    expect(await doJob(job('solve', problem(['a', 'b'])))).toMatchObject({ status: 200, body: { status: 'optimal' } });
    expect(await doJob(job('solve', '{"format":'))).toMatchObject({ status: 400 });
    expect(await doJob(job('plan', {}))).toMatchObject({ status: 400 });
  });

  it.each(Object.getOwnPropertyNames(Object.prototype))(
    'refuses a step called "%s", and leaves no trace',
    async (id) => {
      const before = Object.getOwnPropertyNames(Object.prototype);
      // Written as text: in a literal, "__proto__" is no key.
      const refused = await doJob(job('solve', JSON.stringify(problem(['a'])).replaceAll('"a"', JSON.stringify(id))));
      expect(refused).toMatchObject({ status: 400, body: { sentence: expect.stringContaining(`found "${id}"`) } });
      expect(Object.getOwnPropertyNames(Object.prototype)).toEqual(before);
    },
  );
});
